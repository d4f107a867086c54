<script setup lang="ts">
// What the driver sees by: mirrors, eye, rear window.
import FieldGroup from '@/fields/FieldGroup.vue'
import type { PlanField } from '@/fields/planField'

defineProps<{ id: string }>()
const fields: PlanField[] = [
  { at: 'mirrorOut', label: 'Mirror’s outer edge from the middle', hint: 1 },
  { at: 'eyeAhead', label: 'Driver’s eye before the ball', hint: 2.8 },
  { at: 'eyeUp', label: 'Eye above the ground', hint: 1.25 },
  { at: 'sillUp', label: 'Rear window’s lower edge', hint: 1 },
]
</script>

<template>
  <div class="plate px-3 py-1" data-sight>
    <FieldGroup title="What the driver sees by" :base="`/towVehicles/${id}`" :fields="fields" />
  </div>
</template>
