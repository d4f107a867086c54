<script setup lang="ts">
// Mudguards, steps, something to hold on to.
import { computed } from 'vue'
import PlanFields from '@/fields/PlanFields.vue'
import { where, type PlanField } from '@/fields/planField'
import ProfileFields from '@/fields/ProfileFields.vue'
import FoldedPart from '@/parts/FoldedPart.vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const { term } = useWords()

const workspace = useWorkspace()
const base = computed(() => `/trailers/${workspace.trailer}/access`)
const access = computed(() => workspace.plan?.trailers[workspace.trailer]?.access)
const steel = { shape: 'tube', height: 0.04, width: 0.04, wall: 0.003, material: 's235' }
const fields = computed<PlanField[]>(() => [
  { at: 'guardRadius', label: `${term('Mudguard')}’s inside over the hub, empty` },
  { at: 'guardWide', label: 'Its width' },
  { at: 'guardSkirt', label: 'Its skirt hangs down', hint: '0' },
  { at: 'stood', label: 'People stand on it', on: true },
  ...where(access.value?.stood, { at: 'brackets', label: 'Brackets that hold it', whole: true }),
  { at: 'stepUp', label: 'Lowest step over the ground' },
  { at: 'stepApart', label: 'Steps apart' },
  { at: 'handhold', label: 'Something to hold on to', on: true },
  { at: 'bumpers', label: 'Something slanted before what stands out', on: true },
])
</script>

<template>
  <FoldedPart class="no-print mt-4" data-access :open="!!access">
    <template #heading
      ><b>{{ term('Mudguard') }}s and steps</b></template
    >
    <div class="mt-1 grid grid-cols-1 items-end gap-x-4 gap-y-3 sm:grid-cols-3">
      <PlanFields :base="base" :fields="fields" />
      <ProfileFields
        v-if="access?.stood"
        :path="`${base}/bracket`"
        :profile="access.bracket?.shape ? access.bracket : steel"
        label="A bracket"
      />
    </div>
  </FoldedPart>
</template>
