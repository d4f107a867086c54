<script setup lang="ts">
// An estimate of the plan: value, how it is known, and its plus-minus, which
// follows from how it is known unless it is typed ("12 ± 2 kg").
import { computed } from 'vue'
import type { LengthEstimate, MassEstimate } from '@/generated/types'
import type { Typed } from '@/quantities'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { howWords, useWords } from '@/words'
import ChoiceField from './ChoiceField.vue'
import QuantityField from './QuantityField.vue'
import { figureOf } from './tables'

const props = defineProps<{
  path: string
  label: string
  hint?: string | number
  usual?: string
}>()
const workspace = useWorkspace()
const reference = useReference()
const { print } = useWords()

const kind = computed(() => figureOf(props.path)?.kind ?? 'mass')
const estimate = computed(() => workspace.get(props.path) as MassEstimate | LengthEstimate | undefined)
const how = computed(
  () => estimate.value?.how || props.usual || (kind.value === 'length' ? 'weighed' : 'guessed'),
)
const options = computed(() =>
  Object.entries(howWords)
    .filter(([value]) => value !== 'learned' || how.value === 'learned')
    .map(([value, words]) => ({ value, name: words[kind.value === 'mass' ? 0 : 1] })),
)

/** What a learned figure was learned from. */
const slips = computed(() => {
  const e = estimate.value as MassEstimate | undefined
  return how.value === 'learned' && e?.slips ? e.slips : 0
})

const doubt = computed(() => {
  const e = estimate.value
  if (!e) return ''
  if (e.plusMinus !== undefined) return `± ${print(kind.value, e.plusMinus)}`
  if (e.relative !== undefined) return `± ${print('share', e.relative)}`
  if (kind.value !== 'mass') return ''
  const own = workspace.plan?.doubts?.[how.value] ?? reference.data?.doubts[how.value]
  return own === undefined ? '' : `± ${print('share', own)}`
})

/** A doubt that was typed keeps its share: ± 2 kg of 12 are ± 50 kg of 300; beside zero it is the usual one. */
function typed(t: Typed) {
  // what is typed over what was learned is no longer learned
  const known = how.value === 'learned' ? (props.usual ?? 'guessed') : how.value
  const e: Record<string, unknown> = { value: t.value, how: known }
  if (t.plusMinus !== undefined) e.plusMinus = t.plusMinus
  else if (t.relative !== undefined) e.relative = t.relative
  else if (known !== how.value) return workspace.setAt(props.path, e, props.label, `type-${props.path}`)
  else if (estimate.value?.plusMinus !== undefined) {
    const share = estimate.value.plusMinus / Math.abs(estimate.value.value)
    if (share > 0 && t.value !== 0 && Number.isFinite(share)) e.plusMinus = share * Math.abs(t.value)
    else if (share === 0) e.plusMinus = 0
  } else if (estimate.value?.relative !== undefined) e.relative = estimate.value.relative
  workspace.setAt(props.path, e, props.label, `type-${props.path}`)
}

/** A new provenance takes its own plus-minus. */
function chosen(h: string) {
  if (estimate.value) workspace.setAt(props.path, { value: estimate.value.value, how: h }, props.label)
}
</script>

<template>
  <div class="grid grid-cols-[minmax(0,1fr)_minmax(0,0.85fr)] items-end gap-1.5">
    <QuantityField
      :label="label"
      :kind="kind"
      :value="estimate?.value"
      :path="path"
      :hint="hint"
      with-doubt
      @typed="typed"
      @cleared="workspace.setAt(path, undefined, label, `type-${path}`)"
    />
    <div v-if="estimate" class="relative">
      <span class="text-soft absolute -top-5 right-0 text-sm whitespace-nowrap"
        >{{ doubt
        }}<RouterLink v-if="slips" class="ml-1 underline" :to="`/plan/${workspace.id}/log#slips`"
          >{{ slips }} {{ slips === 1 ? 'slip' : 'slips' }}</RouterLink
        ></span
      >
      <ChoiceField label="How known" tight :value="how" :options="options" @chosen="chosen" />
    </div>
    <span v-else class="text-unknown self-center pt-5 text-sm font-semibold">Not known</span>
  </div>
</template>
