<script setup lang="ts">
// What a load is made of where it is no single thing: loose material, a tank's
// fluid, a pack of like pieces.
import { computed } from 'vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import CountField from '@/fields/CountField.vue'
import EstimateField from '@/fields/EstimateField.vue'
import PlanFields from '@/fields/PlanFields.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import SwitchField from '@/fields/SwitchField.vue'
import type { Load } from '@/generated/types'
import MaterialFields from './MaterialFields.vue'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { tankFields } from './tankFields'

const props = defineProps<{ id: string; load: Load }>()
const workspace = useWorkspace()
const reference = useReference()
const path = (field: string) => `/loads/${props.id}/${field}`
const named = (list: { id: string; name: string }[] | undefined) =>
  (list ?? []).map((x) => ({ value: x.id, name: x.name }))

const what = computed(() =>
  props.load.bulk ? 'bulk' : props.load.tank ? 'tank' : props.load.pieces ? 'pieces' : 'thing',
)
const whats = [
  { value: 'thing', name: 'One thing' },
  { value: 'bulk', name: 'Loose material', more: 'Gravel, sand, soil, mulch, by volume, scoop or bag.' },
  { value: 'tank', name: 'A tank of fluid' },
  { value: 'pieces', name: 'A pack of like pieces', more: 'Sheets, boards, battens.' },
]
function setWhat(v: string) {
  const fresh: Record<string, unknown> = {
    bulk: { material: 'gravel', by: 'level' },
    tank: { fluid: 'water' },
    pieces: { material: 'plywood', count: 1, length: 2.44, width: 1.22, thickness: 0.018 },
  }
  const ops = ['bulk', 'tank', 'pieces']
    .filter((k) => workspace.get(path(k)) !== undefined)
    .map((k) => ({ op: 'remove', path: path(k) }))
  workspace.edit(
    [...ops, ...(fresh[v] ? [{ op: 'add', path: path(v), value: fresh[v] }] : [])],
    'what it is made of',
  )
}

const ways = [
  { value: 'level', name: 'Level with the sides' },
  { value: 'heaped', name: 'Heaped, as much as stays on' },
  { value: 'volume', name: 'By volume' },
  { value: 'mass', name: 'By weight' },
  { value: 'scoops', name: 'By the loader’s scoop', more: 'Each drops in one place and forms a cone.' },
  { value: 'bulk-bags', name: 'In bulk bags' },
  { value: 'bags', name: 'In small bags' },
]
const wets = [
  { value: '', name: 'Not known: dry to wet' },
  { value: 'dry', name: 'Dry' },
  { value: 'wet', name: 'Wet' },
]
const by = computed(() => props.load.bulk?.by)

// the owner's own materials stand before the usual ones
const mine = 'own '
const materials = computed(() => [
  ...Object.entries(workspace.plan?.materials ?? {}).map(([id, m]) => ({
    value: mine + id,
    name: m.name,
    more: 'my own',
  })),
  ...named(reference.data?.materials),
])
const material = computed(() =>
  props.load.bulk?.own ? mine + props.load.bulk.own : props.load.bulk?.material,
)
function chooseMaterial(v: string) {
  if (v.startsWith(mine))
    return workspace.setAt(path('bulk/own'), v.slice(mine.length), 'choose the material')
  const ops = props.load.bulk?.own ? [{ op: 'remove', path: path('bulk/own') }] : []
  workspace.edit([...ops, { op: 'add', path: path('bulk/material'), value: v }], 'choose the material')
}
</script>

<template>
  <div class="grid gap-x-4 gap-y-3 md:grid-cols-2">
    <ChoiceField label="It is" :value="what" :options="whats" @chosen="setWhat" />
    <template v-if="load.bulk">
      <ChoiceField label="Material" :value="material" :options="materials" @chosen="chooseMaterial" />
      <ChoiceField
        label="How the amount is given"
        :value="load.bulk.by"
        :options="ways"
        @chosen="workspace.setAt(path('bulk/by'), $event, 'how the amount is given')"
      />
      <ChoiceField
        label="As it lies"
        :value="load.bulk.wet ?? ''"
        :options="wets"
        @chosen="workspace.setAt(path('bulk/wet'), $event || undefined, 'dry or wet')"
      />
      <EstimateField
        v-if="by === 'volume' || by === 'scoops' || by === 'bulk-bags'"
        :path="path('bulk/volume')"
        :label="by === 'volume' ? 'Volume' : by === 'scoops' ? 'One scoop holds' : 'One bag holds'"
      />
      <EstimateField v-if="by === 'mass'" :path="path('mass')" label="Weight" />
      <EstimateField v-if="by === 'bags'" :path="path('bulk/each')" label="One bag weighs" />
      <CountField
        v-if="by === 'bags' || by === 'scoops' || by === 'bulk-bags'"
        :path="path('bulk/count')"
        :label="by === 'scoops' ? 'Scoops' : 'Bags'"
      />
      <EstimateField :path="path('bulk/heap')" label="The whole heap, all trips" />
      <MaterialFields :id="id" class="md:col-span-2" :bulk="load.bulk" />
    </template>
    <template v-else-if="load.tank">
      <ChoiceField
        label="Fluid"
        :value="load.tank.fluid"
        :options="named(reference.data?.fluids)"
        @chosen="workspace.setAt(path('tank/fluid'), $event, 'choose the fluid')"
      />
      <PlanQuantity :path="path('tank/fill')" label="Filled to" hint="50 %" />
      <SwitchField
        label="May be drained on the way"
        :value="load.tank.drains"
        @set="workspace.setAt(path('tank/drains'), $event || undefined, 'may be drained')"
      />
      <EstimateField :path="path('tank/capacity')" label="It holds" hint="from its size" />
      <PlanFields :base="path('tank')" :fields="tankFields(load.tank)" />
    </template>
    <template v-else-if="load.pieces">
      <ChoiceField
        label="Made of"
        :value="load.pieces.material"
        :options="named(reference.data?.solids)"
        @chosen="workspace.setAt(path('pieces/material'), $event, 'choose the material')"
      />
      <CountField :path="path('pieces/count')" label="Pieces" />
      <CountField :path="path('pieces/across')" label="Side by side" hint="1" />
      <PlanQuantity :path="path('pieces/length')" label="One piece: length" />
      <PlanQuantity :path="path('pieces/width')" label="Width" />
      <PlanQuantity :path="path('pieces/thickness')" label="Thickness" />
    </template>
  </div>
</template>
