<script setup lang="ts">
// What the trailer's plates say: the label and what it counts, axle, tyres, coupling, brakes.
import { computed } from 'vue'
import PlanFields from '@/fields/PlanFields.vue'
import QuantityField from '@/fields/QuantityField.vue'
import { where, type PlanField } from '@/fields/planField'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { brakeWords, choices, useWords } from '@/words'
import LabelPicture from './LabelPicture.vue'

const workspace = useWorkspace()
const reference = useReference()
const { term } = useWords()
const trailer = computed(() => workspace.plan?.trailers[workspace.trailer])
const base = computed(() => `/trailers/${workspace.trailer}`)
const axles = computed(() => reference.axlesOf(trailer.value))
const counts = computed(() => [
  { value: 'unsure', name: 'Not sure', more: 'Both ways are worked out.' },
  { value: 'gross', name: 'Trailer and load together', more: `The ${term('gross')}.` },
  { value: 'payload', name: 'The load alone', more: 'Shop labels often mean this.' },
])
const numbers = (...all: number[]) => all.map((n) => ({ value: n, name: String(n) }))

const first = computed<PlanField[]>(() => [
  { at: 'name', label: 'Name', text: true },
  {
    at: 'kind',
    label: 'Kind',
    options: (reference.data?.trailers ?? []).map((k) => ({ value: k.id, name: k.name })),
  },
])
const afterLabel = computed<PlanField[]>(() =>
  trailer.value?.label
    ? [{ at: 'label/counts', label: 'This number is', options: counts.value }]
    : [{ at: 'noPlate', label: 'It has no plate at all', on: true }],
)
const plates = computed<PlanField[]>(() => [
  ...where(workspace.plan?.region === 'au' || trailer.value?.onWheels, {
    at: 'onWheels',
    label: term('On wheels'),
    hint: 'plate',
  }),
  axles.value > 1
    ? { at: 'axleRating', label: 'Axle rating, all axles', hint: 'add up their plates' }
    : { at: 'axleRating', label: 'Axle rating', hint: 'on the axle' },
  { at: 'springRating', label: 'Springs, both sides', hint: 'if marked' },
  {
    at: 'tyreText',
    label: `${term('Tyre')}, as printed on its wall`,
    text: true,
    hint: '145/80 R13 79N',
  },
  { at: 'tyreRating', label: `${term('Tyre')}, one, max load`, hint: `${term('tyre')} wall` },
  { at: 'tyreIndex', label: 'or its load index', hint: 'e.g. 94' },
  { at: 'tyreSpeed', label: 'Printed top speed', hint: 'or by its letter' },
  { at: 'tyrePressure', label: 'Cold pressure, at most', hint: `${term('tyre')} wall` },
  { at: 'couplingRating', label: `${term('Coupling')} rating`, hint: 'stamped on it' },
  {
    at: 'couplingBall',
    label: `${term('Coupling')}’s ${term('ball load')} limit`,
    hint: 'plate',
  },
  {
    at: 'couplingSize',
    label: `${term('Coupling')} takes a ball of`,
    options: (reference.data?.ballSizes ?? []).map((b) => ({ value: b.diameter, name: b.name })),
  },
  { at: 'brakes', label: 'Brakes', options: choices(brakeWords) },
  ...where(axles.value > 1 && !['', 'none'].includes(trailer.value?.brakes ?? ''), {
    at: 'brakedAxles',
    label: 'Axles with brakes',
    options: numbers(1, 2, 3).slice(0, axles.value),
  }),
])
const more = computed<PlanField[]>(() => [
  { at: 'breakaway', label: term('Breakaway'), ask: ['Yes', 'No'] },
  { at: 'chains', label: term('Chains'), options: numbers(0, 1, 2) },
  {
    at: 'axles',
    label: 'Axles',
    options: numbers(1, 2, 3),
    usual: reference.usualAxles(trailer.value?.kind),
  },
])

function label(value: number | undefined) {
  const path = `${base.value}/label`
  const next = value === undefined ? undefined : { value, counts: trailer.value?.label?.counts ?? 'unsure' }
  workspace.setAt(path, next, 'label', `type-${path}`)
}
</script>

<template>
  <div v-if="trailer" class="grid gap-x-4 gap-y-3 md:grid-cols-2">
    <PlanFields :base="base" :fields="first" />
    <QuantityField
      label="The label’s or plate’s number"
      kind="mass"
      :value="trailer.label?.value"
      :path="`${base}/label`"
      hint="plate"
      @typed="label($event.value)"
      @cleared="label(undefined)"
    />
    <PlanFields :base="base" :fields="afterLabel" />
    <LabelPicture class="md:col-span-2" />
    <PlanFields :base="base" :fields="plates" />
    <PlanFields :base="base" :fields="more" />
  </div>
</template>
