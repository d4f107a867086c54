<script setup lang="ts">
// A plain figure of the plan at a path: a rating, a size, a place.
import { computed } from 'vue'
import type { Kind } from '@/quantities'
import { useWorkspace } from '@/stores/workspace'
import QuantityField from './QuantityField.vue'

const props = defineProps<{ path: string; label: string; kind: Kind; hint?: string; factor?: number }>()
const workspace = useWorkspace()
const value = computed(() => workspace.get(props.path) as number | undefined)
</script>

<template>
  <QuantityField
    :label="label"
    :kind="kind"
    :value="value"
    :path="path"
    :hint="hint"
    @typed="workspace.setAt(path, $event.value, label, `type-${path}`)"
    @cleared="workspace.setAt(path, undefined, label, `type-${path}`)"
  />
</template>
