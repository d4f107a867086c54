<script setup lang="ts">
// How the trailer's empty weight and its centre are known: stated, or read on scales.
import { computed } from 'vue'
import PlanFields from '@/fields/PlanFields.vue'
import { where, type PlanField } from '@/fields/planField'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { term } = useWords()
const trailer = computed(() => workspace.plan?.trailers[workspace.trailer])
const fields = computed<PlanField[]>(() => [
  { at: 'empty/mass', label: 'Empty weight', hint: 'plate or papers', how: 'plate' },
  { at: 'empty/centre', label: 'Its centre is behind the ball by' },
  { at: 'empty/ball/mass', label: `Scale under the ${term('coupling')} reads` },
  ...where(
    trailer.value?.empty.ball,
    { at: 'empty/ball/at', label: 'Scale stood behind the ball by', hint: '0: under it' },
    { at: 'empty/ball/plusMinus', label: 'Scale is right within ±' },
  ),
  { at: 'empty/axle/mass', label: 'Both wheels together read', hint: term('weighbridge') },
  ...where(trailer.value?.axleMoves, {
    at: 'empty/axleAt',
    label: `The axle stood then, behind the ${term('coupling')}`,
    hint: 'as now',
  }),
  { at: 'empty/left/mass', label: 'Left wheel reads' },
  { at: 'empty/right/mass', label: 'Right wheel reads' },
  ...where(trailer.value?.axleMoves, {
    at: 'runningGear',
    label: 'Axle, springs and wheels weigh',
  }),
])
</script>

<template>
  <div class="grid gap-x-4 gap-y-3 md:grid-cols-2">
    <PlanFields :base="`/trailers/${workspace.trailer}`" :fields="fields" />
  </div>
</template>
