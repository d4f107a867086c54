<script setup lang="ts">
// Whether the work is kept, in words.
import { computed } from 'vue'
import { useRecords } from '@/stores/records'
import { useWorkspace } from '@/stores/workspace'

const workspace = useWorkspace()
const records = useRecords()
/** The plan's state, or that of the records where they alone wait. */
const state = computed(() =>
  workspace.saveState !== 'saved' || !records.waiting
    ? workspace.saveState
    : records.away
      ? 'offline'
      : 'saving',
)
const words = computed(
  () =>
    ({
      saved: 'Saved',
      waiting: 'Saving…',
      saving: 'Saving…',
      offline: 'No server: kept here',
      conflict: 'Changed elsewhere',
      refused: 'Not saved',
    })[state.value],
)
</script>

<template>
  <span
    class="text-sm whitespace-nowrap"
    :class="['offline', 'conflict', 'refused'].includes(state) ? 'text-fails font-bold' : 'text-soft'"
    role="status"
    :title="workspace.saveProblem"
    :data-save="state"
    >{{ words }}</span
  >
</template>
