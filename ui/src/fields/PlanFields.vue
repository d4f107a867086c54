<script setup lang="ts">
// Fields of the plan in a row, each as what it is.
import ChoiceField from '@/fields/ChoiceField.vue'
import CountField from '@/fields/CountField.vue'
import EstimateField from '@/fields/EstimateField.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import SwitchField from '@/fields/SwitchField.vue'
import TextField from '@/fields/TextField.vue'
import { useWorkspace } from '@/stores/workspace'
import type { PlanField } from './planField'

const props = defineProps<{ base: string; fields: readonly PlanField[] }>()
const workspace = useWorkspace()
const path = (f: PlanField) => `${props.base}/${f.at}`
const get = (f: PlanField) => workspace.get(path(f)) as string | number | undefined
/** What is chosen; nought is a choice too. */
const chosen = (f: PlanField & { usual?: string | number }) => {
  const value = get(f)
  return value === undefined || value === '' ? f.usual : value
}
const set = (f: PlanField, value: unknown) => workspace.setAt(path(f), value, f.label)
</script>

<template>
  <template v-for="f in fields" :key="f.at">
    <PlanQuantity v-if="'kind' in f" :path="path(f)" :label="f.label" :kind="f.kind" :hint="f.hint" />
    <EstimateField
      v-else-if="'estimate' in f"
      :path="path(f)"
      :label="f.label"
      :kind="f.estimate"
      :hint="f.hint"
      :usual="f.how"
    />
    <TextField v-else-if="'text' in f" :path="path(f)" :label="f.label" :hint="f.hint" />
    <CountField v-else-if="'whole' in f" :path="path(f)" :label="f.label" :hint="f.hint" />
    <ChoiceField
      v-else-if="'options' in f"
      :label="f.label"
      :value="chosen(f)"
      :none="f.hint"
      :options="f.options"
      @chosen="set(f, $event === f.usual ? undefined : $event)"
    />
    <SwitchField v-else :label="f.label" :value="!!get(f)" @set="set(f, $event ? f.on : undefined)" />
  </template>
</template>
