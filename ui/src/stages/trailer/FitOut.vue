<script setup lang="ts">
// What is fitted to the trailer for good: its weight and where it sits take off
// payload and shift the balance.
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import EstimateField from '@/fields/EstimateField.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import TextField from '@/fields/TextField.vue'
import type { Fitting } from '@/generated/types'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import LatchFields from './LatchFields.vue'

const workspace = useWorkspace()
const reference = useReference()
const { print, nominal, locale, worded } = useWords()
const imperial = computed(() => locale.value.units === 'imperial')
/** What weighs by its area is stated by the square foot or metre. */
const per = (f: Fitting) => (f.perArea && imperial.value ? 0.09290304 : 1)
const trailer = computed(() => workspace.plan?.trailers[workspace.trailer])
const fitted = computed(() =>
  Object.keys(trailer.value?.fitted ?? {})
    .map((id) => [id, workspace.plan!.parts[id]!] as const)
    .filter(([, p]) => p)
    .sort((a, b) => a[1].order - b[1].order),
)
const undo = [
  { value: 'pins', name: 'Pins: no tools' },
  { value: 'bolts', name: 'Bolts' },
  { value: 'welded', name: 'Welded' },
]
const payload = computed(() => ({ bare: workspace.report?.bare, fitOut: workspace.report?.fitOut }))

const add = (f: Fitting) => workspace.begin('fitting', `fit ${worded(f.name)}`, f.id)
function remove(id: string) {
  const used = Object.entries(workspace.plan?.trailers ?? {}).some(
    ([t, x]) => t !== workspace.trailer && x.fitted?.[id],
  )
  workspace.edit(
    [
      { op: 'remove', path: `/trailers/${workspace.trailer}/fitted/${id}` },
      ...(used ? [] : [{ op: 'remove', path: `/parts/${id}` }]),
    ],
    'take off a part',
  )
}
</script>

<template>
  <div v-if="trailer" class="plate p-3">
    <div class="flex flex-wrap items-center justify-between gap-2">
      <h2 class="text-lg font-bold">Fitted for good</h2>
      <Menu as="div" class="relative">
        <MenuButton class="act"><PlusIcon class="size-5" />Fit something</MenuButton>
        <MenuItems
          class="border-rule bg-panel absolute right-0 z-30 mt-1 max-h-80 w-80 overflow-auto rounded-lg border py-1 shadow-lg focus:outline-none"
        >
          <MenuItem v-for="f in reference.data?.fittings" :key="f.id" v-slot="{ active }">
            <button
              class="flex min-h-11 w-full items-center justify-between gap-2 px-4 text-left"
              :class="active && 'bg-wash'"
              @click="add(f)"
            >
              <span class="first-letter:uppercase">{{ worded(f.name) }}</span>
              <span class="text-soft text-sm whitespace-nowrap"
                >{{ print('mass', f.low * per(f)) }} – {{ print('mass', f.high * per(f))
                }}{{ f.perArea ? ` a ${imperial ? 'square foot' : 'm²'}` : '' }}</span
              >
            </button>
          </MenuItem>
        </MenuItems>
      </Menu>
    </div>
    <p v-if="payload.bare" class="mt-1" data-bare>
      Payload as sold <b>{{ nominal(payload.bare) }}</b>, after what is fitted
      <b>{{ nominal(payload.fitOut) }}</b>.
    </p>
    <p v-if="!fitted.length" class="text-soft mt-1 text-sm">
      Floor, sides, spare, jack, toolbox, rack: each takes off payload. Not yet in the empty weight? Add it
      here.
    </p>
    <details v-for="[id, p] in fitted" :key="id" class="border-rule mt-1 border-t">
      <summary class="flex min-h-11 items-center justify-between gap-2 font-semibold">
        <span class="first-letter:uppercase">{{ p.name }}</span>
        <span class="text-soft font-normal">{{ p.mass ? print('mass', p.mass.value) : 'Not known' }}</span>
      </summary>
      <div class="grid items-end gap-x-4 gap-y-3 pb-3 md:grid-cols-2">
        <TextField :path="`/parts/${id}/name`" label="Name" />
        <EstimateField :path="`/parts/${id}/mass`" label="Weight" />
        <PlanQuantity
          :path="`/trailers/${workspace.trailer}/fitted/${id}/at/back`"
          label="Its near face, behind the front board"
          hint="in front of it: a minus"
        />
        <EstimateField :path="`/parts/${id}/size/length`" label="Length" />
        <EstimateField :path="`/parts/${id}/size/height`" label="Height" />
        <ChoiceField
          label="Held by"
          :value="p.undo"
          :options="undo"
          @chosen="workspace.setAt(`/parts/${id}/undo`, $event, 'what holds it')"
        />
        <LatchFields :id="id" class="md:col-span-2" />
        <button class="act justify-self-start" @click="remove(id)">
          <TrashIcon class="size-5" />Take off
        </button>
      </div>
    </details>
  </div>
</template>
