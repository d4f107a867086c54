<script setup lang="ts">
// A whole number of the plan at a path.
import { computed } from 'vue'
import { useWorkspace } from '@/stores/workspace'
import QuantityField from './QuantityField.vue'

const props = defineProps<{ path: string; label: string; hint?: string | number }>()
const workspace = useWorkspace()
const value = computed(() => workspace.get(props.path) as number | undefined)
</script>

<template>
  <QuantityField
    :label="label"
    kind="count"
    :value="value"
    :path="path"
    :hint="hint"
    @typed="workspace.setAt(path, Math.round($event.value), label, `type-${path}`)"
    @cleared="workspace.setAt(path, undefined, label, `type-${path}`)"
  />
</template>
