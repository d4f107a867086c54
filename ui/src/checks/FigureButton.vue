<script setup lang="ts">
// A figure that opens to its working.
import { computed } from 'vue'
import { keyOf } from '@/said'
import { useWorkspace } from '@/stores/workspace'

const props = defineProps<{ code: string }>()
const workspace = useWorkspace()
const finding = computed(() => workspace.report?.findings.find((f) => f.code === props.code && f.hasWork))
</script>

<template>
  <button
    v-if="finding"
    class="min-h-6 font-bold underline decoration-dotted underline-offset-4"
    title="Show the working"
    @click="workspace.opened = keyOf(finding)"
  >
    <slot />
  </button>
  <b v-else><slot /></b>
</template>
