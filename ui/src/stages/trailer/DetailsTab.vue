<script setup lang="ts">
// The trailer: what its plate says, its lengths, how its empty weight is known.
import { PlusIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import FigureButton from '@/checks/FigureButton.vue'
import RatingChain from '@/checks/RatingChain.vue'
import RigDrawing from '@/drawing/RigDrawing.vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import EstimateField from '@/fields/EstimateField.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import QuantityField from '@/fields/QuantityField.vue'
import TextField from '@/fields/TextField.vue'
import { newId } from '@/stores/patch'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { choices, comesWords, floorWords, springWords, tailWords, useWords } from '@/words'
import SwitchField from '@/fields/SwitchField.vue'
import DoubtFields from '../DoubtFields.vue'
import AnchorList from './AnchorList.vue'
import FitOut from './FitOut.vue'
import LabelPicture from './LabelPicture.vue'

const workspace = useWorkspace()
const reference = useReference()
const { term, say } = useWords()
const trailer = computed(() => workspace.plan?.trailers[workspace.trailer])
const path = (field: string) => `/trailers/${workspace.trailer}/${field}`
const kinds = computed(() => (reference.data?.trailers ?? []).map((k) => ({ value: k.id, name: k.name })))
const rules = computed(() =>
  (reference.data?.ruleSets ?? []).map((r) => ({ value: r.region, name: r.name, more: r.differs })),
)
const schools = computed(() =>
  (reference.data?.schools ?? []).map((s) => ({ value: s.id, name: s.name, more: s.reason })),
)
const usual = computed(
  () => reference.data?.ruleSets.find((r) => r.region === workspace.plan?.region)?.school,
)
const payload = computed(() => workspace.report?.findings.find((f) => f.code === 'towing.payload'))

const counts = computed(() => [
  { value: 'unsure', name: 'Not sure', more: 'Both ways are worked out.' },
  { value: 'gross', name: 'Trailer and load together', more: `The ${term('gross')}.` },
  { value: 'payload', name: 'The load alone', more: 'Shop labels often mean this.' },
])
const brakes = [
  { value: 'none', name: 'None' },
  { value: 'overrun', name: 'Overrun (surge)' },
  { value: 'electric', name: 'Electric' },
  { value: 'fitted', name: 'Fitted, kind not known' },
]
const yesNo = [
  { value: 'yes', name: 'Fitted' },
  { value: 'no', name: 'None' },
]
const few = [0, 1, 2].map((n) => ({ value: n, name: String(n) }))
const axles = [1, 2, 3].map((n) => ({ value: n, name: String(n) }))
const sizes = computed(() =>
  (reference.data?.ballSizes ?? []).map((b) => ({ value: b.diameter, name: b.name })),
)
const plugs = computed(() => (reference.data?.plugs ?? []).map((p) => ({ value: p.id, name: p.name })))
const lamps = [
  { value: 'filament', name: 'Bulbs' },
  { value: 'led', name: 'LED' },
]
const set = (field: string, value: unknown, label: string) => workspace.setAt(path(field), value, label)

function label(value: number | undefined) {
  if (value === undefined) return set('label', undefined, 'label')
  return workspace.setAt(
    path('label'),
    { value, counts: trailer.value?.label?.counts ?? 'unsure' },
    'label',
    `type-${path('label')}`,
  )
}

/** An axle that can be moved starts with 200 mm either way and a common hole pitch. */
function axleMoves() {
  const at = trailer.value?.couplingToAxle?.value ?? 2.5
  const range = { min: Math.max(0.1, at - 0.2), max: at + 0.2, pitch: 0.05 }
  set('axleMoves', trailer.value?.axleMoves ? undefined : range, 'axle')
}

function add() {
  const id = newId('trailer')
  const order = Math.max(0, ...Object.values(workspace.plan?.trailers ?? {}).map((t) => t.order)) + 1
  workspace.edit(
    [{ op: 'add', path: `/trailers/${id}`, value: { order, name: 'Another trailer', empty: {} } }],
    'add a trailer',
  )
  workspace.choose({ trailer: id })
}
</script>

<template>
  <div class="plate shrink-0 overflow-hidden p-2 md:h-56"><RigDrawing class="h-full" :only="['side']" /></div>
  <div v-if="trailer" class="plate p-3">
    <div class="flex flex-wrap items-center justify-between gap-2">
      <h2 class="text-lg font-bold">Its ratings</h2>
      <button class="act" @click="add"><PlusIcon class="size-5" />Another trailer</button>
    </div>
    <p v-if="payload" class="mt-1" data-payload>
      {{ say(payload.says) }}
      <FigureButton v-if="payload.hasWork" code="towing.payload" class="text-deep"
        >Show the working</FigureButton
      >
    </p>
    <RatingChain class="mt-2" stage="trailer" />
    <div class="mt-4 grid gap-x-4 gap-y-3 md:grid-cols-2">
      <TextField :path="path('name')" label="Name" />
      <ChoiceField
        label="Kind"
        :value="trailer.kind"
        :options="kinds"
        @chosen="set('kind', $event, 'choose the kind')"
      />
      <QuantityField
        label="The label’s or plate’s number"
        kind="mass"
        :value="trailer.label?.value"
        :path="path('label')"
        hint="plate"
        @typed="label($event.value)"
        @cleared="label(undefined)"
      />
      <ChoiceField
        v-if="trailer.label"
        label="It counts"
        :value="trailer.label?.counts"
        :options="counts"
        @chosen="set('label/counts', $event, 'what the label counts')"
      />
      <SwitchField
        v-if="!trailer.label"
        label="It has no plate at all"
        :value="trailer.noPlate"
        @set="set('noPlate', $event || undefined, 'no plate')"
      />
      <LabelPicture class="md:col-span-2" />
      <PlanQuantity
        v-if="workspace.plan?.region === 'au' || trailer.onWheels"
        :path="path('onWheels')"
        :label="term('On wheels')"
        kind="mass"
        hint="plate"
      />
      <PlanQuantity :path="path('axleRating')" label="Axle rating" kind="mass" hint="on the axle" />
      <PlanQuantity :path="path('springRating')" label="Springs, both sides" kind="mass" hint="if marked" />
      <TextField
        :path="path('tyreText')"
        :label="`${term('Tyre')}, as it stands on its wall`"
        hint="145/80 R13 79N"
      />
      <PlanQuantity
        :path="path('tyreRating')"
        :label="`${term('Tyre')}, one, max load`"
        kind="mass"
        :hint="`${term('tyre')} wall`"
      />
      <PlanQuantity :path="path('tyreIndex')" :label="`or its load index`" kind="count" hint="e.g. 94" />
      <PlanQuantity
        :path="path('tyreSpeed')"
        label="Printed top speed"
        kind="speed"
        hint="or by its letter"
      />
      <PlanQuantity
        :path="path('tyrePressure')"
        label="Cold pressure, at most"
        kind="pressure"
        :hint="`${term('tyre')} wall`"
      />
      <PlanQuantity
        :path="path('couplingRating')"
        :label="`${term('Coupling')} rating`"
        kind="mass"
        hint="stamped on it"
      />
      <PlanQuantity
        :path="path('couplingBall')"
        :label="`${term('Coupling')}’s ${term('ball load')} limit`"
        kind="mass"
        hint="plate"
      />
      <ChoiceField
        :label="`${term('Coupling')} takes a ball of`"
        :value="trailer.couplingSize"
        :options="sizes"
        @chosen="set('couplingSize', $event, 'choose the size')"
      />
      <ChoiceField
        label="Brakes"
        :value="trailer.brakes"
        :options="brakes"
        @chosen="set('brakes', $event, 'brakes')"
      />
      <ChoiceField
        :label="term('Breakaway')"
        :value="trailer.breakaway === undefined ? undefined : trailer.breakaway ? 'yes' : 'no'"
        :options="yesNo"
        @chosen="set('breakaway', $event === 'yes', 'breakaway')"
      />
      <ChoiceField
        :label="term('Chains')"
        :value="trailer.chains"
        :options="few"
        @chosen="set('chains', $event, 'chains')"
      />
      <ChoiceField
        label="Axles"
        :value="trailer.axles || 1"
        :options="axles"
        @chosen="set('axles', $event, 'axles')"
      />
    </div>
    <p class="text-soft mt-3 text-sm">
      A plate comes before anything said here. A trailer without one is bound by its weakest part, and its
      frame stays not known.
    </p>
  </div>
  <div v-else class="plate p-6 text-center">
    <p class="font-bold">No trailer yet.</p>
    <button class="act-main mt-2" @click="add">Add a trailer</button>
  </div>
  <div v-if="trailer" class="plate p-3">
    <h2 class="text-lg font-bold">Its lengths</h2>
    <div class="mt-2 grid gap-x-4 gap-y-3 md:grid-cols-2">
      <EstimateField :path="path('couplingToAxle')" :label="`${term('Coupling')} to axle`" kind="length" />
      <EstimateField
        :path="path('couplingToDeck')"
        :label="`${term('Coupling')} to front board`"
        kind="length"
      />
      <EstimateField :path="path('deckLength')" label="Deck length" kind="length" />
      <EstimateField :path="path('deckWidth')" label="Deck width" kind="length" />
      <EstimateField :path="path('deckHeight')" label="Deck height" kind="length" />
      <EstimateField
        :path="path('track')"
        :label="`Track, between the ${term('tyre')}s’ middles`"
        kind="length"
      />
      <EstimateField :path="path('widthOverAll')" label="Width over all" kind="length" />
      <PlanQuantity
        :path="path('couplingHeight')"
        :label="`${term('Coupling')} height, loaded and level`"
        kind="length"
        hint="tape"
      />
      <PlanQuantity
        :path="path('wheelDiameter')"
        label="Wheel, over all"
        kind="length"
        :hint="`from the ${term('tyre')}`"
      />
      <PlanQuantity :path="path('sideHeight')" label="Sides, height" kind="length" />
      <template v-if="trailer.axleMoves">
        <PlanQuantity :path="path('axleMoves/min')" label="Axle may stand from" kind="length" />
        <PlanQuantity :path="path('axleMoves/max')" label="to, behind the coupling" kind="length" />
        <PlanQuantity
          :path="path('axleMoves/pitch')"
          label="in holes each"
          kind="length"
          hint="0: anywhere"
        />
      </template>
      <button class="act min-h-11 self-end" @click="axleMoves">
        {{ trailer.axleMoves ? 'The axle is fixed' : 'The axle can be moved' }}
      </button>
    </div>
  </div>
  <div v-if="trailer" class="plate p-3">
    <h2 class="text-lg font-bold">Empty</h2>
    <p class="text-soft text-sm">
      Whichever you have: scale readings tell most. Level, chocked, on firm ground.
      <template v-if="workspace.report?.emptyWay">Now taken from: {{ workspace.report.emptyWay }}.</template>
    </p>
    <div class="mt-2 grid gap-x-4 gap-y-3 md:grid-cols-2">
      <EstimateField
        :path="path('empty/mass')"
        label="Empty weight"
        kind="mass"
        hint="plate or papers"
        usual="plate"
      />
      <EstimateField :path="path('empty/centre')" label="Its weight lies behind the ball by" kind="length" />
      <PlanQuantity
        :path="path('empty/ball/mass')"
        :label="`Scale under the ${term('coupling')} reads`"
        kind="mass"
      />
      <PlanQuantity
        v-if="trailer.empty.ball"
        :path="path('empty/ball/at')"
        label="Scale stood behind the ball by"
        kind="length"
        hint="0: under it"
      />
      <PlanQuantity
        v-if="trailer.empty.ball"
        :path="path('empty/ball/plusMinus')"
        label="Scale is right within ±"
        kind="mass"
      />
      <PlanQuantity
        :path="path('empty/axle/mass')"
        label="Both wheels together read"
        kind="mass"
        :hint="term('weighbridge')"
      />
      <PlanQuantity
        v-if="trailer.axleMoves"
        :path="path('empty/axleAt')"
        label="The axle stood then, behind the coupling"
        kind="length"
        hint="as now"
      />
      <PlanQuantity :path="path('empty/left/mass')" label="Left wheel reads" kind="mass" />
      <PlanQuantity :path="path('empty/right/mass')" label="Right wheel reads" kind="mass" />
      <EstimateField
        v-if="trailer.axleMoves"
        :path="path('runningGear')"
        label="Axle, springs and wheels weigh"
        kind="mass"
      />
    </div>
  </div>
  <FitOut />
  <div v-if="trailer" class="plate p-3">
    <h2 class="text-lg font-bold">How it is made</h2>
    <div class="mt-2 grid gap-x-4 gap-y-3 md:grid-cols-2">
      <ChoiceField
        label="How it comes"
        :value="trailer.comes"
        :options="choices(comesWords)"
        @chosen="set('comes', $event, 'how it comes')"
      />
      <ChoiceField
        label="Floor"
        :value="trailer.floor"
        :options="choices(floorWords)"
        @chosen="set('floor', $event, 'floor')"
      />
      <ChoiceField
        label="Tail"
        :value="trailer.tail"
        :options="choices(tailWords)"
        @chosen="set('tail', $event, 'tail')"
      />
      <ChoiceField
        label="Suspension"
        :value="trailer.suspension"
        :options="choices(springWords)"
        @chosen="set('suspension', $event, 'suspension')"
      />
      <PlanQuantity :path="path('travel')" label="Spring travel to the stop" kind="length" />
      <PlanQuantity
        :path="path('sinks')"
        label="Springs sink at their rating"
        kind="length"
        hint="tape deck empty, full"
      />
      <PlanQuantity
        v-if="(trailer.axles ?? 1) > 1"
        :path="path('axleGap')"
        label="Between the axles"
        kind="length"
        hint="tape"
      />
      <PlanQuantity
        :path="path('wheelRoom')"
        :label="`Room over the ${term('tyre')}, empty`"
        kind="length"
        hint="tape"
      />
      <ChoiceField
        label="Plug"
        :value="trailer.plug"
        :options="plugs"
        @chosen="set('plug', $event, 'plug')"
      />
      <ChoiceField
        label="Lamps"
        :value="trailer.lights"
        :options="lamps"
        @chosen="set('lights', $event, 'lamps')"
      />
      <EstimateField
        v-for="side in ['length', 'width', 'height']"
        :key="side"
        :path="path(`folded/${side}`)"
        :label="`Folded: ${side}`"
        kind="length"
        hint="does not fold"
      />
      <SwitchField
        label="May be stood on its edge"
        :value="trailer.onEdge"
        @set="set('onEdge', $event || undefined, 'on edge')"
      />
      <AnchorList />
    </div>
  </div>
  <div v-if="workspace.plan" class="plate p-3">
    <h2 class="text-lg font-bold">Rules followed</h2>
    <div class="mt-2 grid gap-x-4 gap-y-3 md:grid-cols-2">
      <ChoiceField
        label="Rule set"
        :value="workspace.plan.region"
        :options="rules"
        @chosen="workspace.setAt('/region', $event, 'choose the rules')"
      />
      <ChoiceField
        :label="`${term('Ball load')} window`"
        :value="workspace.plan.ballSchool || usual"
        :options="schools"
        @chosen="workspace.setAt('/ballSchool', $event, 'choose the window')"
      />
    </div>
    <DoubtFields class="mt-3" />
  </div>
</template>
