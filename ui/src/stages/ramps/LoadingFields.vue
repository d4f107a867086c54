<script setup lang="ts">
// Who gets on, over which ramps, on what ground, hitched or not, with props or not.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import EstimateField from '@/fields/EstimateField.vue'
import FieldGroup from '@/fields/FieldGroup.vue'
import PlanFields from '@/fields/PlanFields.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import SwitchField from '@/fields/SwitchField.vue'
import type { PlanField } from '@/fields/planField'
import RollingFields from '@/stages/job/RollingFields.vue'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { choices, driveWords, useWords } from '@/words'

const workspace = useWorkspace()
const reference = useReference()
const { term, print } = useWords()
const base = computed(() => `/outings/${workspace.outing}/layouts/${workspace.trailer}`)
const path = (field: string) => `${base.value}/loading/${field}`
const layout = computed(() => workspace.plan?.outings[workspace.outing]?.layouts[workspace.trailer])
const loading = computed(() => layout.value?.loading)
const set = (field: string, value: unknown, label: string) => workspace.setAt(path(field), value, label)

const named = (ids: string[] | undefined, of: Record<string, { name: string }> | undefined, none: string) =>
  (ids ?? []).map((id) => ({ value: id, name: of?.[id]?.name || none }))
const machines = computed(() =>
  named(workspace.report?.loaders?.machines, workspace.plan?.loads, 'A machine'),
)
const ramps = computed(() => named(workspace.report?.loaders?.ramps, workspace.plan?.parts, 'Ramps'))
function begin() {
  const ramp = ramps.value[0]?.value
  workspace.setAt(
    `${base.value}/loading`,
    { machine: machines.value[0]?.value ?? '', ...(ramp ? { ramp } : {}) },
    'describe how it gets on',
  )
}
const addRamps = () => workspace.begin('ramps', 'add ramps')
const machine = computed(() => workspace.plan?.loads[loading.value?.machine ?? ''])
const kind = computed(() => reference.data?.loads.find((k) => k.id === machine.value?.kind))
const usualDriver = computed(() =>
  kind.value?.walked ? 'on foot' : `≈ ${print('mass', reference.data?.driver ?? 0)}`,
)
const usualWheel = computed(() => {
  const rolls = kind.value?.rolls
  return rolls ? `typical ${print('length', rolls.wheel)}` : undefined
})
const wheels = computed<PlanField[]>(() => [
  { at: 'wheel', label: 'Wheels’ diameter', hint: usualWheel.value },
  { at: 'frontWheel', label: 'Front ones, if smaller' },
  { at: 'tyre', label: `${term('Tyre')}s’ width` },
  { at: 'frontTrack', label: 'Front track, if different' },
  { at: 'frontTyre', label: `Front ${term('tyre')}s’ width` },
  { at: 'nose', label: 'Under its nose' },
  { at: 'tail', label: 'Under its tail' },
])
const ground = computed<PlanField[]>(() => [
  { at: 'fall', label: 'Ground falls away by', hint: '0°' },
  { at: 'kerb', label: 'Foot of the ramp lower by', hint: `a ${term('kerb')}` },
  { at: 'deck', label: 'Deck lowered to', hint: 'as it stands' },
  { at: 'raised', label: `${term('Coupling')} raised by` },
  { at: 'unhitched', label: 'Unhitched', on: true },
  { at: 'rampInCar', label: 'Ramps go in the car', on: true },
])
const tail = computed(() => workspace.plan?.trailers[workspace.trailer]?.deckLength?.value ?? 2.4)
</script>

<template>
  <div class="plate shrink-0 p-3" data-loading>
    <div class="flex flex-wrap items-center gap-2">
      <h2 class="mr-auto text-lg font-bold">How it gets on</h2>
      <button v-if="!loading" class="act-main" :disabled="!machines.length" @click="begin">
        A machine gets on
      </button>
      <button
        v-else
        class="act size-11"
        aria-label="No machine gets on"
        @click="workspace.setAt(`${base}/loading`, undefined, 'no machine gets on')"
      >
        <TrashIcon class="size-5" />
      </button>
    </div>
    <p v-if="!loading" class="text-soft text-sm">
      {{
        machines.length
          ? 'Ramp’s angle, what touches, what tips, what the winch pulls, in one drive.'
          : 'Nothing in this outing has wheels. Add a machine under Job, then place it under Balance.'
      }}
    </p>
    <div v-else class="mt-2 grid grid-cols-2 items-end gap-2 lg:grid-cols-4">
      <ChoiceField
        label="Machine"
        :value="loading.machine"
        :options="machines"
        @chosen="set('machine', $event, 'machine')"
      />
      <div class="flex items-end gap-1.5">
        <ChoiceField
          class="flex-1"
          label="Ramps"
          :value="loading.ramp"
          none="none yet"
          :options="ramps"
          @chosen="set('ramp', $event, 'ramps')"
        />
        <button class="act size-11" aria-label="Add ramps" @click="addRamps">
          <PlusIcon class="size-5" />
        </button>
      </div>
      <ChoiceField
        label="It is"
        :value="loading.drive || 'all'"
        :options="choices(driveWords)"
        @chosen="set('drive', $event === 'all' ? undefined : $event, 'drive')"
      />
      <EstimateField
        v-if="loading.drive !== 'winch'"
        class="col-span-2 sm:col-span-1"
        :path="path('driver')"
        label="Driver"
        :hint="usualDriver"
      />
      <PlanFields :base="`${base}/loading`" :fields="ground" />
      <PlanQuantity
        v-if="!loading.ramp"
        :path="`/trailers/${workspace.trailer}/pivot`"
        label="The bed tilts; pivot behind ball"
      />
      <SwitchField
        label="Rear props down"
        :value="!!loading.props"
        @set="set('props', $event ? { back: tail - 0.1, gap: 0.02 } : undefined, 'props')"
      />
      <template v-if="loading.props">
        <PlanQuantity :path="path('props/back')" label="Props behind the front board" />
        <PlanQuantity :path="path('props/gap')" label="Gap under them" />
      </template>
    </div>
    <template v-if="loading && machine">
      <h3 class="mt-3 mb-1 font-bold">{{ machine.name || 'The machine' }}</h3>
      <RollingFields :id="loading.machine" :load="machine" />
      <FieldGroup
        class="mt-3"
        title="Its wheels and nose"
        :base="`/loads/${loading.machine}/rolling`"
        :fields="wheels"
      />
    </template>
  </div>
</template>
