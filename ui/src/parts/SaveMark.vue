<script setup lang="ts">
// Whether the work is kept, in words.
import { computed } from 'vue'
import { useWorkspace } from '@/stores/workspace'

const workspace = useWorkspace()
const words = computed(
  () =>
    ({
      saved: 'Saved',
      waiting: 'Saving…',
      saving: 'Saving…',
      offline: 'No server: kept here',
      conflict: 'Changed elsewhere',
      refused: 'Not saved',
    })[workspace.saveState],
)
</script>

<template>
  <span
    class="text-sm whitespace-nowrap"
    :class="
      ['offline', 'conflict', 'refused'].includes(workspace.saveState) ? 'text-fails font-bold' : 'text-soft'
    "
    role="status"
    :title="workspace.saveProblem"
    :data-save="workspace.saveState"
    >{{ words }}</span
  >
</template>
