<script setup lang="ts">
// Bought carriers: what their labels say, and rails that lie along their bars.
import { PlusIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import EstimateField from '@/fields/EstimateField.vue'
import FieldGroup from '@/fields/FieldGroup.vue'
import PlanFields from '@/fields/PlanFields.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import ProfileFields from '@/fields/ProfileFields.vue'
import type { PlanField } from '@/fields/planField'
import { useWorkspace } from '@/stores/workspace'
import { carrierWords, choices } from '@/words'

const workspace = useWorkspace()
const layout = computed(() => workspace.plan?.outings[workspace.outing]?.layouts[workspace.trailer])
/** Parts that are on, with places, and not built here. */
const carriers = computed(() =>
  Object.keys(layout.value?.parts ?? {})
    .map((id) => ({ id, part: workspace.plan!.parts[id]! }))
    .filter(({ part }) => part && !part.rack && (part.carrier || Object.keys(part.slots ?? {}).length)),
)
const label: PlanField[] = [
  { at: 'whole', label: 'All of it takes', hint: 'label' },
  { at: 'place', label: 'One place takes', hint: 'label' },
  { at: 'bar', label: 'One cross bar takes', hint: 'label' },
  { at: 'clamp', label: 'One clamp takes', hint: 'label' },
  { at: 'counts', label: 'Its figures are', options: choices(carrierWords), hint: 'not known' },
]
const bars: PlanField[] = [
  { at: 'frontAt', label: 'Front bar behind its front' },
  { at: 'rearAt', label: 'Rear bar behind its front' },
  { at: 'apart', label: 'Between a bar’s clamps' },
]
const rails: PlanField[] = [
  { at: 'railLength', label: 'Each rail’s length' },
  { at: 'rails', label: 'Rails under a hull', whole: true, hint: '2' },
]
const tube = { shape: 'tube', height: 0.04, width: 0.04, wall: 0.003, material: 'mild' }
</script>

<template>
  <div v-if="layout" class="plate no-print shrink-0 p-3" data-carriers>
    <div class="flex flex-wrap items-center gap-2">
      <h2 class="mr-auto text-lg font-bold">Bought carriers</h2>
      <button class="act" @click="workspace.begin('carrier', 'add a carrier')">
        <PlusIcon class="size-5" />Saddles, bars or rails
      </button>
    </div>
    <p v-if="!carriers.length" class="text-soft text-sm">
      Saddles, cross bars or a rail rack from a shop: what their labels take, with shocks.
    </p>
    <div v-for="c in carriers" :key="c.id" class="border-rule mt-2 border-t pt-2">
      <h3 class="font-bold">{{ c.part.name }}</h3>
      <div class="mt-1 grid items-end gap-2 sm:grid-cols-2 lg:grid-cols-4">
        <EstimateField :path="`/parts/${c.id}/mass`" label="Its weight" />
        <PlanFields :base="`/parts/${c.id}/carrier`" :fields="label" />
      </div>
      <FieldGroup class="mt-3" title="Its bars" :base="`/parts/${c.id}/carrier`" :fields="bars" />
      <FieldGroup title="Rails along the bars" :base="`/parts/${c.id}/carrier`" :fields="rails">
        <ProfileFields
          v-if="c.part.carrier?.rail"
          :path="`/parts/${c.id}/carrier/rail`"
          :profile="c.part.carrier.rail"
          label="Rails"
        />
        <button
          v-else
          class="act"
          @click="workspace.setAt(`/parts/${c.id}/carrier/rail`, tube, 'rails of own make')"
        >
          Own make
        </button>
      </FieldGroup>
      <div class="mt-1 grid items-end gap-2 sm:grid-cols-2 lg:grid-cols-4">
        <template v-for="(s, sid) in c.part.slots" :key="sid">
          <PlanQuantity
            :path="`/parts/${c.id}/slots/${sid}/at/right`"
            :label="`Place ${s.name}: right of middle`"
          />
          <PlanQuantity
            :path="`/parts/${c.id}/slots/${sid}/at/up`"
            :label="`Place ${s.name}: over the deck`"
          />
        </template>
      </div>
    </div>
  </div>
</template>
