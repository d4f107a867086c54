<script setup lang="ts">
// How the trailer is made: floor, tail, springs, plug, lamps, how it folds, its tie points.
import { computed } from 'vue'
import PlanFields from '@/fields/PlanFields.vue'
import { where, type PlanField } from '@/fields/planField'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { choices, comesWords, floorWords, lampWords, springWords, tailWords, useWords } from '@/words'
import AnchorList from './AnchorList.vue'

const workspace = useWorkspace()
const reference = useReference()
const { term } = useWords()
const trailer = computed(() => workspace.plan?.trailers[workspace.trailer])
const fields = computed<PlanField[]>(() => [
  { at: 'comes', label: 'How it comes', options: choices(comesWords) },
  { at: 'floor', label: 'Floor', options: choices(floorWords) },
  ...where(
    trailer.value?.floor === 'ply' || trailer.value?.floor === 'boards' || trailer.value?.floor === 'plate',
    { at: 'floorThick', label: 'Thickness of the floor', hint: 'to see what wheels and feet do' },
    {
      at: 'floorSpan',
      label: 'It spans between cross members',
      hint: trailer.value?.frame ? 'as drawn' : 'tape',
    },
  ),
  ...where(
    trailer.value?.floor === 'boards',
    { at: 'boardWide', label: 'Width of a board', hint: 0.12 },
    {
      at: 'floorGrade',
      label: 'Their grade',
      hint: 'C16',
      options: [
        { value: 'c16', name: 'C16' },
        { value: 'c24', name: 'C24' },
      ],
    },
  ),
  { at: 'tail', label: 'Tail', options: choices(tailWords) },
  { at: 'suspension', label: 'Suspension', options: choices(springWords) },
  { at: 'travel', label: 'Spring travel to the stop' },
  { at: 'sinks', label: 'Springs sink at their rating', hint: 'tape deck empty, full' },
  ...where(reference.axlesOf(trailer.value) > 1, {
    at: 'axleGap',
    label: 'Between the axles',
    hint: 'tape',
  }),
  { at: 'wheelRoom', label: `Room over the ${term('tyre')}, empty`, hint: 'tape' },
  {
    at: 'plug',
    label: 'Plug',
    options: (reference.data?.plugs ?? []).map((p) => ({ value: p.id, name: p.name })),
  },
  { at: 'lights', label: 'Lamps', options: choices(lampWords) },
  ...['length', 'width', 'height'].map((side): PlanField => ({
    at: `folded/${side}`,
    label: `Folded: ${side}`,
    hint: 'does not fold',
  })),
  { at: 'onEdge', label: 'Can stand on its edge', on: true },
])
</script>

<template>
  <div class="grid gap-x-4 gap-y-3 md:grid-cols-2">
    <PlanFields :base="`/trailers/${workspace.trailer}`" :fields="fields" />
    <AnchorList />
  </div>
</template>
