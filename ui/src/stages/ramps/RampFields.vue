<script setup lang="ts">
// The ramps: bought with a rating, or made of own sections.
import { computed } from 'vue'
import { api } from '@/api'
import { download } from '@/download'
import FieldGroup from '@/fields/FieldGroup.vue'
import PlanFields from '@/fields/PlanFields.vue'
import ProfileFields from '@/fields/ProfileFields.vue'
import SwitchField from '@/fields/SwitchField.vue'
import { where, type PlanField } from '@/fields/planField'
import type { Part } from '@/generated/types'
import { useWorkspace } from '@/stores/workspace'
import { choices, heldWords, rampCountWords, rampKindWords, rampPerWords, tube } from '@/words'

const props = defineProps<{ id: string; part: Part }>()
const workspace = useWorkspace()
const base = computed(() => `/parts/${props.id}/ramp`)
const ramp = computed(() => props.part.ramp)
const first: PlanField[] = [
  { at: 'length', label: 'Length along it' },
  { at: 'width', label: 'Width of one' },
  { at: 'kind', label: 'Kind', options: choices(rampKindWords), usual: 'pair' },
  { at: 'held', label: 'Kept on the tail by', options: choices(heldWords) },
  { at: 'rating', label: 'Rating on its plate' },
  { at: 'counts', label: 'Rating counts', options: choices(rampCountWords) },
  { at: 'per', label: '… for', options: choices(rampPerWords) },
]
const edges = computed<PlanField[]>(() => [
  { at: 'lip', label: 'Lies on the tail by' },
  ...where(ramp.value?.held === 'strip', { at: 'play', label: 'Play behind the strip' }),
  { at: 'gap', label: 'Between treads' },
  { at: 'step', label: 'Step at its ends', hint: 0.02 },
])
const own: PlanField[] = [
  { at: 'sides', label: 'Sides of one ramp', whole: true },
  { at: 'middle', label: 'Leg under the middle', on: true },
]
const make: PlanField[] = [{ at: 'profile', label: 'Own make', on: tube(0.04) }]
async function exportPieces() {
  const asked = { plan: workspace.plan!, outing: workspace.outing, trailer: workspace.trailer }
  download(await api.cutList(asked), 'cut-list.csv')
}
</script>

<template>
  <div class="plate shrink-0 p-3" data-ramp>
    <div class="flex items-center justify-between">
      <h2 class="text-lg font-bold">{{ part.name || 'Ramps' }}</h2>
      <button v-if="ramp?.profile" class="act" @click="exportPieces">Cut list as CSV</button>
    </div>
    <div class="mt-2 grid grid-cols-2 items-end gap-2 lg:grid-cols-4">
      <PlanFields :base="base" :fields="first" />
      <PlanFields :base="base" :fields="make" />
      <template v-if="ramp?.profile">
        <ProfileFields :path="`${base}/profile`" :profile="ramp.profile" label="Sides" />
        <PlanFields :base="base" :fields="own" />
        <SwitchField
          label="Treads of another section"
          :value="!!ramp.tread"
          @set="workspace.setAt(`${base}/tread`, $event ? { ...ramp.profile } : undefined, 'treads')"
        />
        <ProfileFields v-if="ramp.tread" :path="`${base}/tread`" :profile="ramp.tread" label="Treads" />
      </template>
      <FieldGroup title="Its ends and treads" :base="base" :fields="edges" />
    </div>
  </div>
</template>
