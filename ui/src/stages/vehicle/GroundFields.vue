<script setup lang="ts">
// The worst ground of the outing, and what of the car counts there.
import { computed } from 'vue'
import PlanFields from '@/fields/PlanFields.vue'
import type { PlanField } from '@/fields/planField'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { choices, driveWheelWords, useWords } from '@/words'

const props = defineProps<{ id: string }>()
const workspace = useWorkspace()
const reference = useReference()
const { say } = useWords()
const ground = computed<PlanField[]>(() => [
  {
    at: 'ground/on',
    label: 'Worst ground',
    options: (reference.data?.grounds ?? []).map((g) => ({ value: g.id, name: g.name })),
    hint: 'roads only',
  },
  { at: 'ground/slope', label: 'Its steepest slope' },
])
const car = computed<PlanField[]>(() => [
  { at: 'drive', label: 'Which wheels drive', options: choices(driveWheelWords) },
  { at: 'centreUp', label: 'Its centre above the ground', hint: 0.55 },
  { at: 'rearOnly', label: 'Only its rear wheels brake', on: true },
])
const most = computed(() => workspace.report?.findings.find((f) => f.code === 'traction.most'))
</script>

<template>
  <div class="plate p-3" data-ground>
    <h2 class="text-lg font-bold">Off the road</h2>
    <p v-if="most" class="mt-1 font-semibold">{{ say(most.says) }}</p>
    <p v-else class="text-soft text-sm">Grass, gravel, mud, a slip: can it start, stand and come down?</p>
    <div class="mt-2 grid items-end gap-x-4 gap-y-3 md:grid-cols-2">
      <PlanFields :base="`/outings/${workspace.outing}`" :fields="ground" />
      <PlanFields :base="`/towVehicles/${props.id}`" :fields="car" />
    </div>
  </div>
</template>
