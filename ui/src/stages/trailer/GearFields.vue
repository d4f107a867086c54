<script setup lang="ts">
// Axle, spindles, bearings, wheel bolts and springs by the tape, where no plate tells.
import { computed } from 'vue'
import FieldGroup from '@/fields/FieldGroup.vue'
import PlanFields from '@/fields/PlanFields.vue'
import ProfileFields from '@/fields/ProfileFields.vue'
import type { PlanField } from '@/fields/planField'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'

const workspace = useWorkspace()
const reference = useReference()
const base = computed(() => `/trailers/${workspace.trailer}/gear`)
const gear = computed(() => workspace.plan?.trailers[workspace.trailer]?.gear)
const hub = computed<PlanField[]>(() => [
  { at: 'spindle', label: 'Spindle at its inner bearing', hint: 'calliper' },
  {
    at: 'bearing',
    label: 'Inner bearing’s number',
    options: (reference.data?.bearings ?? []).map((b) => ({ value: b.id, name: b.name })),
    hint: 'not read',
  },
  { at: 'arm', label: 'Wheel’s middle to that bearing', hint: 0.06 },
  { at: 'studs', label: 'Wheel bolts', whole: true },
  { at: 'circle', label: 'Across their circle' },
])
const springs: PlanField[] = [
  { at: 'leaves', label: 'Leaves of one spring', whole: true },
  { at: 'leaf', label: 'One leaf’s thickness' },
  { at: 'leafWidth', label: 'Its width' },
  { at: 'eyes', label: 'Between the eyes' },
]
const tube: PlanField[] = [
  { at: 'seats', label: 'Between the springs’ middles' },
  { at: 'wallLeft', label: 'Wall left beside rust', hint: 'thinnest' },
]
const usual = { shape: 'tube', height: 0.05, width: 0.05, wall: 0.004, material: 'mild' }
</script>

<template>
  <div>
    <div class="grid items-end gap-x-4 gap-y-3 md:grid-cols-2 lg:grid-cols-3">
      <PlanFields :base="base" :fields="hub" />
    </div>
    <FieldGroup class="mt-3" title="Its springs" :base="base" :fields="springs" />
    <FieldGroup title="The axle’s tube" :base="base" :fields="tube">
      <ProfileFields v-if="gear?.tube" :path="`${base}/tube`" :profile="gear.tube" label="Tube" />
      <button v-else class="act" @click="workspace.setAt(`${base}/tube`, usual, 'the axle’s tube')">
        Describe its section
      </button>
    </FieldGroup>
  </div>
</template>
