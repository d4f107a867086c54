<script setup lang="ts">
// The trailer: what its plate says, its lengths, how its empty weight is known.
import { PlusIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import FigureButton from '@/checks/FigureButton.vue'
import RatingChain from '@/checks/RatingChain.vue'
import FoldedPart from '@/parts/FoldedPart.vue'
import FromLibrary from '@/parts/FromLibrary.vue'
import KeepInLibrary from '@/parts/KeepInLibrary.vue'
import RigDrawing from '@/drawing/RigDrawing.vue'
import PlanFields from '@/fields/PlanFields.vue'
import type { PlanField } from '@/fields/planField'
import { newId } from '@/stores/patch'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import DoubtFields from '../DoubtFields.vue'
import EmptyFields from './EmptyFields.vue'
import FitOut from './FitOut.vue'
import GearFields from './GearFields.vue'
import InspectionList from './InspectionList.vue'
import LengthFields from './LengthFields.vue'
import LinkFields from './LinkFields.vue'
import MakeFields from './MakeFields.vue'
import RatingFields from './RatingFields.vue'

const workspace = useWorkspace()
const reference = useReference()
const { term, say } = useWords()
const trailer = computed(() => workspace.plan?.trailers[workspace.trailer])
const payload = computed(() => workspace.report?.findings.find((f) => f.code === 'towing.payload'))
const rules = computed<PlanField[]>(() => {
  const sets = reference.data?.ruleSets ?? []
  const schools = reference.data?.schools ?? []
  const own = sets.find((r) => r.region === workspace.plan?.region)
  return [
    {
      at: 'region',
      label: 'Rule set',
      options: sets.map((r) => ({ value: r.region, name: r.name, more: r.differs })),
    },
    {
      at: 'ballSchool',
      label: `${term('Ball load')} window`,
      options: schools.map((s) => ({ value: s.id, name: s.name, more: s.reason })),
      usual: (trailer.value?.kind === 'boat' && own?.boatSchool) || own?.school,
    },
  ]
})

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
      <span class="flex flex-wrap gap-2">
        <FromLibrary
          collection="trailers"
          title="Take a trailer from my library"
          @taken="workspace.choose({ trailer: $event })"
        />
        <button class="act" @click="add"><PlusIcon class="size-5" />Another trailer</button>
      </span>
    </div>
    <p v-if="payload" class="mt-1" data-payload>
      {{ say(payload.says) }}
      <FigureButton v-if="payload.hasWork" code="towing.payload" class="text-deep"
        >Show the working</FigureButton
      >
    </p>
    <RatingChain class="mt-2" stage="trailer" />
    <RatingFields class="mt-4" />
    <KeepInLibrary class="mt-3" :path="`/trailers/${workspace.trailer}`" :name="trailer.name" />
    <p class="text-soft mt-3 text-sm">
      A plate comes before anything said here. A trailer without one is limited by its weakest part, and its
      frame stays not known.
    </p>
  </div>
  <div v-else class="plate p-6 text-center">
    <p class="font-bold">No trailer yet.</p>
    <button class="act-main mt-2" @click="add">Add a trailer</button>
  </div>
  <div v-if="trailer?.chains" class="plate p-3" data-second-link>
    <h2 class="text-lg font-bold">{{ term('Chains') }}</h2>
    <p class="text-soft text-sm">Holds the trailer if the {{ term('coupling') }} lets go.</p>
    <LinkFields class="mt-2" />
  </div>
  <div v-if="trailer" class="plate p-3">
    <h2 class="text-lg font-bold">Its lengths</h2>
    <LengthFields class="mt-2" />
  </div>
  <div v-if="trailer" class="plate p-3">
    <h2 class="text-lg font-bold">Empty</h2>
    <p class="text-soft text-sm">
      Fill in what you have. Scale readings are best. Level, chocked, on firm ground.
      <template v-if="workspace.report?.emptyWay">Now taken from: {{ workspace.report.emptyWay }}.</template>
    </p>
    <EmptyFields class="mt-2" />
  </div>
  <FitOut />
  <FoldedPart v-if="trailer && !trailer.axleRating" class="plate px-3 py-1" data-gear :open="!!trailer.gear">
    <template #heading><b class="text-lg">Running gear without a plate</b></template>
    <p class="text-soft text-sm">A cautious limit from the tape. A plate or a maker’s number overrides it.</p>
    <GearFields class="mt-2 mb-2" />
  </FoldedPart>
  <FoldedPart v-if="trailer" class="plate px-3 py-1" data-looked>
    <template #heading><b class="text-lg">Look it over</b></template>
    <InspectionList bare />
  </FoldedPart>
  <div v-if="trailer" class="plate p-3">
    <h2 class="text-lg font-bold">How it is made</h2>
    <MakeFields class="mt-2" />
  </div>
  <div v-if="workspace.plan" class="plate p-3">
    <h2 class="text-lg font-bold">Rules followed</h2>
    <div class="mt-2 grid gap-x-4 gap-y-3 md:grid-cols-2"><PlanFields base="" :fields="rules" /></div>
    <DoubtFields class="mt-3" />
  </div>
</template>
