<script setup lang="ts">
// The tow vehicle of this outing, with the chain that its ratings belong to.
import { PlusIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import RatingChain from '@/checks/RatingChain.vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import EstimateField from '@/fields/EstimateField.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import TextField from '@/fields/TextField.vue'
import FromLibrary from '@/parts/FromLibrary.vue'
import KeepInLibrary from '@/parts/KeepInLibrary.vue'
import { newId } from '@/stores/patch'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import GroundFields from './vehicle/GroundFields.vue'
import HitchFields from './vehicle/HitchFields.vue'
import MountFields from './vehicle/MountFields.vue'
import SightFields from './vehicle/SightFields.vue'
import TowTable from './vehicle/TowTable.vue'

const workspace = useWorkspace()
const { term } = useWords()
const id = computed(() => workspace.plan?.outings[workspace.outing]?.vehicle ?? '')
const car = computed(() => workspace.plan?.towVehicles[id.value])
const path = (field: string) => `/towVehicles/${id.value}/${field}`
const cars = computed(() =>
  Object.entries(workspace.plan?.towVehicles ?? {}).map(([value, v]) => ({ value, name: v.name })),
)

const bodies = [
  { value: 'hatch', name: 'saloon or hatchback' },
  { value: 'estate', name: 'estate or wagon' },
  { value: 'tall', name: 'off-roader or people carrier' },
  { value: 'pickup', name: 'pickup' },
  { value: 'van', name: 'van' },
]

function add() {
  const car = newId('car')
  const order = Math.max(0, ...Object.values(workspace.plan?.towVehicles ?? {}).map((v) => v.order)) + 1
  workspace.edit(
    [
      { op: 'add', path: `/towVehicles/${car}`, value: { order, name: 'Another car' } },
      ...(workspace.outing ? [{ op: 'add', path: `/outings/${workspace.outing}/vehicle`, value: car }] : []),
    ],
    'add a car',
  )
}
</script>

<template>
  <section class="relative flex flex-col gap-2 xl:overflow-auto" aria-label="Tow vehicle" tabindex="-1">
    <div class="plate p-3">
      <h2 class="text-lg font-bold">What the car may carry and tow</h2>
      <RatingChain class="mt-2" stage="vehicle" />
    </div>
    <div class="plate p-3">
      <div class="flex flex-wrap items-end justify-between gap-2">
        <ChoiceField
          class="w-64"
          label="Tows this outing"
          :value="id"
          :options="cars"
          @chosen="workspace.setAt(`/outings/${workspace.outing}/vehicle`, $event, 'choose the car')"
        />
        <span class="flex flex-wrap gap-2">
          <FromLibrary
            collection="towVehicles"
            title="Take a car from my library"
            :also="
              (car) =>
                workspace.outing
                  ? [{ op: 'add', path: `/outings/${workspace.outing}/vehicle`, value: car }]
                  : []
            "
          />
          <button class="act" @click="add"><PlusIcon class="size-5" />Another car</button>
        </span>
      </div>
      <div v-if="car" class="mt-4 grid gap-x-4 gap-y-3 md:grid-cols-2">
        <TextField :path="path('name')" label="Name" />
        <ChoiceField
          label="Body, for the drawing"
          :value="car.body ?? ''"
          none="not known"
          :options="bodies"
          @chosen="workspace.setAt(path('body'), $event || undefined, 'body')"
        />
        <EstimateField :path="path('kerb')" :label="term('Curb weight')" usual="plate" />
        <PlanQuantity
          :path="path('towBraked')"
          :label="`${term('Tow rating')}, trailer with brakes`"
          hint="handbook or papers"
        />
        <PlanQuantity
          :path="path('towUnbraked')"
          :label="`${term('Tow rating')}, no brakes`"
          hint="handbook or papers"
        />
        <PlanQuantity :path="path('ballLimit')" :label="`Car’s ${term('ball load')} limit`" hint="handbook" />
        <PlanQuantity :path="path('gross')" :label="`Car’s ${term('car gross')}`" hint="door post" />
        <PlanQuantity :path="path('train')" :label="term('Train gross')" hint="door post or handbook" />
        <PlanQuantity :path="path('rearLimit')" :label="`Rear ${term('axle limit')}`" hint="door post" />
        <EstimateField
          :path="path('rearEmpty')"
          label="On the rear axle, empty"
          :hint="term('weighbridge')"
          usual="weighed"
        />
        <EstimateField :path="path('wheelbase')" label="Wheelbase" />
        <EstimateField :path="path('rearOverhang')" label="Rear axle to ball" hint="tape" />
      </div>
      <p v-else class="mt-4">
        No car yet. Add one; its towing and {{ term('ball load') }} limits are enough to begin.
      </p>
      <KeepInLibrary v-if="car" class="mt-3" :path="`/towVehicles/${id}`" :name="car.name" />
      <p class="text-soft mt-3 text-sm">
        The lower figure rules. Plates, papers and your local code come before anything said here.
      </p>
    </div>
    <HitchFields v-if="car" :id="id" :car="car" />
    <MountFields v-if="car" :id="id" :car="car" />
    <GroundFields v-if="car" :id="id" />
    <SightFields v-if="car" :id="id" />
    <TowTable />
  </section>
</template>
