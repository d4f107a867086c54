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
import { figureOf } from './tables'

const props = defineProps<{ base: string; fields: readonly PlanField[] }>()
const workspace = useWorkspace()
const path = (f: PlanField) => `${props.base}/${f.at}`
const get = (f: PlanField) => workspace.get(path(f)) as string | number | undefined
const words = (f: PlanField) => (typeof f.hint === 'string' ? f.hint : undefined)
/** What is chosen; zero is a choice too. */
const chosen = (f: PlanField) => {
  const value = get(f)
  return value === undefined || value === '' ? f.usual : value
}
const asked = (f: PlanField) => (get(f) === undefined ? undefined : get(f) ? 'yes' : 'no')
const set = (f: PlanField, value: unknown) => workspace.setAt(path(f), value, f.label)
</script>

<template>
  <template v-for="f in fields" :key="f.at">
    <EstimateField
      v-if="figureOf(path(f))?.form === 'estimate'"
      :path="path(f)"
      :label="f.label"
      :hint="f.hint"
      :usual="f.how"
    />
    <TextField v-else-if="f.text" :path="path(f)" :label="f.label" :hint="words(f)" />
    <CountField v-else-if="f.whole" :path="path(f)" :label="f.label" :hint="f.hint" />
    <ChoiceField
      v-else-if="f.ask"
      :label="f.label"
      :value="asked(f)"
      :none="words(f)"
      :options="[
        { value: 'yes', name: f.ask[0] },
        { value: 'no', name: f.ask[1] },
      ]"
      @chosen="set(f, $event === 'yes')"
    />
    <ChoiceField
      v-else-if="f.options"
      :label="f.label"
      :value="chosen(f)"
      :none="words(f)"
      :options="f.options"
      @chosen="set(f, $event === f.usual ? undefined : $event)"
    />
    <PlanQuantity
      v-else-if="figureOf(path(f))"
      :path="path(f)"
      :label="f.label"
      :hint="f.hint"
      :as="f.kind"
    />
    <SwitchField v-else :label="f.label" :value="!!get(f)" @set="set(f, $event ? f.on : undefined)" />
  </template>
</template>
