<script setup lang="ts">
// A plain figure of the plan at a path: a rating, a size, a place. The core knows its kind.
import { computed } from 'vue'
import type { Kind } from '@/quantities'
import { useWorkspace } from '@/stores/workspace'
import QuantityField from './QuantityField.vue'
import { figureOf } from './tables'

const props = defineProps<{
  path: string
  label: string
  hint?: string | number
  tight?: boolean
  as?: Kind // where the core's kind does not say all
}>()
const workspace = useWorkspace()
const kind = computed(() => props.as ?? figureOf(props.path)?.kind ?? 'count')
const value = computed(() => workspace.get(props.path) as number | undefined)
</script>

<template>
  <QuantityField
    :label="label"
    :kind="kind"
    :value="value"
    :path="path"
    :hint="hint"
    :tight="tight"
    @typed="workspace.setAt(path, $event.value, label, `type-${path}`)"
    @cleared="workspace.setAt(path, undefined, label, `type-${path}`)"
  />
</template>
