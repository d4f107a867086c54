<script setup lang="ts">
// The ramps: bought with a rating, or made of own sections.
import { computed } from 'vue'
import { api } from '@/api'
import { download } from '@/download'
import ChoiceField from '@/fields/ChoiceField.vue'
import CountField from '@/fields/CountField.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import ProfileFields from '@/fields/ProfileFields.vue'
import SwitchField from '@/fields/SwitchField.vue'
import type { Part } from '@/generated/types'
import { useWorkspace } from '@/stores/workspace'
import { choices, heldWords, rampKindWords } from '@/words'

const props = defineProps<{ id: string; part: Part }>()
const workspace = useWorkspace()
const path = (field: string) => `/parts/${props.id}/ramp/${field}`
const ramp = computed(() => props.part.ramp)
const set = (field: string, value: unknown, label: string) => workspace.setAt(path(field), value, label)
const counts = [
  { value: 'axle', name: 'an axle' },
  { value: 'vehicle', name: 'the vehicle' },
]
const per = [
  { value: 'pair', name: 'the pair' },
  { value: 'each', name: 'each ramp' },
]
async function exportPieces() {
  const asked = { plan: workspace.plan!, outing: workspace.outing, trailer: workspace.trailer }
  download(await api.cutList(asked), 'cut-list.csv')
}
const tube = { shape: 'tube', height: 0.06, width: 0.04, wall: 0.003, material: 's235' }
</script>

<template>
  <div class="plate shrink-0 p-3" data-ramp>
    <div class="flex items-center justify-between">
      <h2 class="text-lg font-bold">{{ part.name || 'Ramps' }}</h2>
      <button v-if="ramp?.profile" class="act" @click="exportPieces">Cut list as CSV</button>
    </div>
    <div class="mt-2 grid grid-cols-2 items-end gap-2 lg:grid-cols-4">
      <ChoiceField
        label="Kind"
        :value="ramp?.kind || 'pair'"
        :options="choices(rampKindWords)"
        @chosen="set('kind', $event === 'pair' ? undefined : $event, 'kind of ramp')"
      />
      <PlanQuantity :path="path('length')" label="Length along it" kind="length" />
      <PlanQuantity :path="path('width')" label="Width of one" kind="length" />
      <ChoiceField
        label="Kept on the tail by"
        :value="ramp?.held"
        :options="choices(heldWords)"
        @chosen="set('held', $event, 'what keeps it')"
      />
      <PlanQuantity :path="path('lip')" label="Lies on the tail by" kind="length" />
      <PlanQuantity
        v-if="ramp?.held === 'strip'"
        :path="path('play')"
        label="Play behind the strip"
        kind="length"
      />
      <PlanQuantity :path="path('gap')" label="Between treads" kind="length" />
      <PlanQuantity :path="path('step')" label="Step at its ends" kind="length" hint="20 mm" />
      <PlanQuantity :path="path('rating')" label="Rating on its plate" kind="mass" />
      <ChoiceField
        label="Rating counts"
        :value="ramp?.counts"
        :options="counts"
        @chosen="set('counts', $event, 'what the rating counts')"
      />
      <ChoiceField
        label="… for"
        :value="ramp?.per"
        :options="per"
        @chosen="set('per', $event, 'for how many it counts')"
      />
      <SwitchField
        label="Own make"
        :value="!!ramp?.profile"
        @set="set('profile', $event ? tube : undefined, 'own make')"
      />
      <template v-if="ramp?.profile">
        <ProfileFields :path="path('profile')" :profile="ramp.profile" label="Sides" />
        <SwitchField
          label="Treads of another section"
          :value="!!ramp.tread"
          @set="set('tread', $event ? { ...ramp.profile } : undefined, 'treads')"
        />
        <ProfileFields v-if="ramp.tread" :path="path('tread')" :profile="ramp.tread" label="Treads" />
        <CountField :path="path('sides')" label="Sides of one ramp" />
        <SwitchField
          label="Leg under the middle"
          :value="ramp.middle"
          @set="set('middle', $event || undefined, 'middle leg')"
        />
      </template>
    </div>
  </div>
</template>
