<script setup lang="ts">
// How the trailer stands without its car: stored, or worked from.
import { computed } from 'vue'
import PlanFields from '@/fields/PlanFields.vue'
import { where, type PlanField } from '@/fields/planField'
import FoldedPart from '@/parts/FoldedPart.vue'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const reference = useReference()
const { term } = useWords()
const base = computed(() => `/outings/${workspace.outing}/parked`)
const parked = computed(() => workspace.plan?.outings[workspace.outing]?.parked)
const trailer = computed(() => workspace.plan?.trailers[workspace.trailer])
const fields = computed<PlanField[]>(() => [
  { at: 'frontAt', label: `${term('Jockey wheel')} or front legs, behind the ball` },
  { at: 'frontApart', label: 'Front legs apart', hint: 'one in the middle' },
  { at: 'rearAt', label: 'Rear legs behind the front board', hint: 'none' },
  ...where(parked.value?.rearAt !== undefined, { at: 'rearApart', label: 'Rear legs apart' }),
  { at: 'extra', label: 'Who gets on weighs', hint: 'nobody' },
  ...where(
    parked.value?.extra,
    { at: 'back', label: '… and stands behind the front board' },
    { at: 'right', label: '… right of the middle' },
  ),
  { at: 'wind', label: 'Gusts' },
  {
    at: 'soil',
    label: 'It stands on',
    options: (reference.data?.soils ?? []).map((s) => ({ value: s.id, name: s.name })),
  },
  { at: 'foot', label: 'Side of a foot or board' },
  { at: 'weeks', label: 'Loaded for how many weeks' },
])
const edge: PlanField[] = [{ at: 'edgeBase', label: 'On its edge: casters apart', hint: 'its thickness' }]
</script>

<template>
  <FoldedPart class="plate no-print shrink-0 px-3 py-1" data-parked :open="!!parked">
    <template #heading><b class="text-lg">Parked, and at work</b></template>
    <p class="text-soft text-sm">
      Without the car: does it tip, does its foot sink, can it stand loaded? Chock both wheels first.
    </p>
    <div class="mt-2 mb-2 grid items-end gap-x-4 gap-y-3 md:grid-cols-2 lg:grid-cols-3">
      <PlanFields :base="base" :fields="fields" />
      <PlanFields v-if="trailer?.onEdge" :base="`/trailers/${workspace.trailer}`" :fields="edge" />
    </div>
  </FoldedPart>
</template>
