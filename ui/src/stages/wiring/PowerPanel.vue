<script setup lang="ts">
// A battery on board with what it feeds, and electric brakes.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { computed, ref } from 'vue'
import { api } from '@/api'
import PlanFields from '@/fields/PlanFields.vue'
import { where, type PlanField } from '@/fields/planField'
import { useReference } from '@/stores/reference'
import { newId, put } from '@/stores/patch'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const reference = useReference()
const { say, nominal } = useWords()
const { data } = useStudy(api.powering)
const base = computed(() => `/trailers/${workspace.trailer}/wiring`)
const trailer = computed(() => workspace.plan?.trailers[workspace.trailer])
const power = computed(() => trailer.value?.wiring?.power)
const uses = computed(() => Object.entries(power.value?.uses ?? {}).sort((a, b) => a[1].order - b[1].order))
const worked = (id: string) => data.value?.uses?.find((u) => u.id === id)
const failure = ref('')
async function start() {
  failure.value = ''
  try {
    await workspace.begin('power', 'a battery on board')
  } catch (e) {
    failure.value = e instanceof Error ? e.message : String(e)
  }
}
function add() {
  if (!workspace.plan) return
  const value = { order: uses.value.length + 1, name: '' }
  workspace.edit(put(workspace.plan, `${base.value}/power/uses/${newId('use')}`, value), 'add a use')
}
const fields = computed<PlanField[]>(() => [
  {
    at: 'power/kind',
    label: 'The battery is',
    options: (reference.data?.batteries ?? []).map((b) => ({ value: b.id, name: b.name })),
    hint: 'not entered',
  },
  { at: 'power/capacity', label: 'Its capacity, A·h' },
  { at: 'power/celsius', label: 'It gets as cold as', hint: 25 },
  { at: 'power/borrowed', label: 'The car’s own, by leads', on: true },
  { at: 'power/fuseAt', label: 'From its pole to the fuse' },
  ...where(
    !power.value?.borrowed,
    { at: 'power/isolator', label: 'An isolator', on: true },
    { at: 'power/vented', label: 'A box open at its top', on: true },
    { at: 'power/chargeLong', label: 'Charging wire from the car, length' },
    { at: 'power/chargeWire', label: 'and section, mm²' },
    { at: 'power/lifts', label: 'Through a charger that lifts the voltage', on: true },
  ),
])
const called: PlanField[] = [{ at: 'name', label: 'What draws', text: true }]
const use: PlanField[] = [
  { at: 'amps', label: 'Amperes' },
  { at: 'minutes', label: 'Minutes a use' },
  { at: 'times', label: 'Uses an outing', whole: true, hint: '1' },
  { at: 'long', label: 'Cable, one way' },
  { at: 'wire', label: 'Its mm²' },
  { at: 'fuse', label: 'Its fuse, A' },
]
const brakes: PlanField[] = [
  { at: 'magnets', label: 'Magnets', whole: true, hint: 'two an axle' },
  { at: 'magnetOhms', label: 'One has, Ω', hint: '3.2' },
  { at: 'brakeWire', label: 'Brake’s wire, mm²' },
  { at: 'breakaway', label: 'Breakaway’s battery, A·h' },
]
</script>

<template>
  <div class="plate p-3" data-power>
    <template v-if="!power">
      <h2 class="text-lg font-bold">A battery on board</h2>
      <p class="text-soft mt-1 text-sm">
        For a winch, a pump, a tipping bed: how thick the cable, which fuse, how many outings it lasts.
      </p>
      <button class="act-main mt-2" @click="start">Put one on</button>
      <p v-if="failure" class="text-fails mt-2 font-semibold" role="alert">{{ failure }}</p>
    </template>
    <template v-else>
      <div class="flex items-center gap-2">
        <h2 class="mr-auto text-lg font-bold">A battery on board</h2>
        <button
          class="act size-11"
          aria-label="Take the battery off"
          @click="workspace.setAt(`${base}/power`, undefined, 'take the battery off')"
        >
          <TrashIcon class="size-5" />
        </button>
      </div>
      <div class="mt-1 grid grid-cols-1 items-end gap-x-4 gap-y-3 sm:grid-cols-3">
        <PlanFields :base="base" :fields="fields" />
      </div>
      <h3 class="mt-4 font-bold">What draws on it</h3>
      <div v-for="[id] in uses" :key="id" class="border-rule mt-2 border-t pt-2" data-use>
        <div class="grid grid-cols-2 items-end gap-2 sm:grid-cols-4 lg:grid-cols-9">
          <span class="col-span-2"><PlanFields :base="`${base}/power/uses/${id}`" :fields="called" /></span>
          <PlanFields :base="`${base}/power/uses/${id}`" :fields="use" />
          <button
            class="act size-11"
            aria-label="Take this use out"
            @click="workspace.setAt(`${base}/power/uses/${id}`, undefined, 'take a use out')"
          >
            <TrashIcon class="size-5" />
          </button>
        </div>
        <p v-if="worked(id)?.section" class="mt-1 text-sm">
          Enough: <b>{{ worked(id)!.section }}</b><template v-if="worked(id)!.fuse"
            >, fuse <b>{{ worked(id)!.fuse }}</b></template
          ><template v-if="worked(id)!.drop">; its own takes {{ nominal(worked(id)!.drop!) }}</template>
        </p>
      </div>
      <button class="act mt-3 min-h-11" @click="add"><PlusIcon class="size-5" />A use</button>
    </template>
    <template v-if="trailer?.brakes === 'electric'">
      <h2 class="mt-5 text-lg font-bold">Electric brakes</h2>
      <div class="mt-1 grid grid-cols-2 items-end gap-x-4 gap-y-3 sm:grid-cols-4">
        <PlanFields :base="base" :fields="brakes" />
      </div>
      <ol v-if="data?.walk?.length" class="mt-3 list-decimal pl-6" data-walk>
        <li v-for="(s, i) in data.walk" :key="i" class="py-1">{{ say(s) }}</li>
      </ol>
    </template>
    <p class="text-soft mt-3 text-sm">
      A battery gives enough to weld: no ring, no loose spanner near its poles. Take the minus off first and
      put it on last.
    </p>
  </div>
</template>
