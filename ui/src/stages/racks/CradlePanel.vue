<script setup lang="ts">
// A boat that comes off the water: cradle, bow stop, winch, the slip.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import EstimateField from '@/fields/EstimateField.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import SwitchField from '@/fields/SwitchField.vue'
import { newId } from '@/stores/patch'
import { useWorkspace } from '@/stores/workspace'

const workspace = useWorkspace()
const layout = computed(() => workspace.plan?.outings[workspace.outing]?.layouts[workspace.trailer])
const cradle = computed(() => {
  const ids = Object.keys(layout.value?.parts ?? {})
  const id = ids.find((id) => workspace.plan?.parts[id]?.cradle)
  return id ? { id, ...workspace.plan!.parts[id]! } : undefined
})
const path = (field: string) => `/parts/${cradle.value?.id}/cradle/${field}`
const set = (field: string, value: unknown, label: string) => workspace.setAt(path(field), value, label)
const rollers = computed(() =>
  Object.entries(cradle.value?.cradle?.rollers ?? {}).sort((a, b) => a[1].order - b[1].order),
)
const boats = computed(() =>
  Object.entries(layout.value?.placements ?? {})
    .filter(([, p]) => p.on === 'part' && p.id === cradle.value?.id)
    .map(([id]) => ({ id, name: workspace.plan?.loads[id]?.name || 'The boat' })),
)
const add = () => workspace.begin('cradle', 'add a cradle')
function addRoller() {
  const last = rollers.value.at(-1)?.[1]
  set(
    `rollers/${newId('roller')}`,
    { order: (last?.order ?? 0) + 1, at: (last?.at ?? 0) + 0.6 },
    'add a roller',
  )
}
</script>

<template>
  <div v-if="layout" class="plate no-print shrink-0 p-3" data-cradle>
    <div class="flex flex-wrap items-center gap-2">
      <h2 class="mr-auto text-lg font-bold">Off the water</h2>
      <button v-if="!cradle" class="act" @click="add"><PlusIcon class="size-5" />Cradle for a boat</button>
    </div>
    <p v-if="!cradle" class="text-soft text-sm">
      Rollers or bunks, bow stop and winch: what they carry, and how deep the hubs go.
    </p>
    <template v-else>
      <p v-if="!boats.length" class="text-soft text-sm">Choose the boat, then let it stand on the cradle.</p>
      <div class="mt-2 grid gap-2 sm:grid-cols-2 lg:grid-cols-4">
        <EstimateField :path="`/parts/${cradle.id}/mass`" label="Cradle’s weight" />
        <PlanQuantity :path="path('keel')" label="Rollers’ top over the deck" />
        <PlanQuantity :path="path('bowStop')" label="Bow stop behind its front" />
        <PlanQuantity :path="path('winchAt')" label="Winch behind its front" />
        <PlanQuantity :path="path('winchUp')" label="Winch line over the deck" />
        <div v-for="([rid], i) in rollers" :key="rid" class="flex items-end gap-2">
          <PlanQuantity
            class="flex-1"
            :path="path(`rollers/${rid}/at`)"
            :label="`Roller ${i + 1} behind its front`"
          />
          <button
            class="act size-11"
            :aria-label="`Take roller ${i + 1} out`"
            @click="set(`rollers/${rid}`, undefined, 'take a roller out')"
          >
            <TrashIcon class="size-5" />
          </button>
        </div>
        <template v-if="cradle.cradle?.bunks">
          <PlanQuantity :path="path('bunks/from')" label="Bunks begin at" />
          <PlanQuantity :path="path('bunks/to')" label="Bunks end at" />
          <PlanQuantity :path="path('bunks/apart')" label="Bunks apart" />
        </template>
        <SwitchField
          label="The stern is tied down"
          :value="cradle.cradle?.transom"
          @set="set('transom', $event || undefined, 'stern tie')"
        />
        <PlanQuantity :path="`/outings/${workspace.outing}/slip/angle`" label="The slip falls by" />
        <template v-for="b in boats" :key="b.id">
          <PlanQuantity :path="`/loads/${b.id}/hull/draft`" :label="`${b.name}: draft astern`" />
          <PlanQuantity :path="`/loads/${b.id}/hull/eyeUp`" :label="`${b.name}: bow eye over keel`" />
          <PlanQuantity :path="`/loads/${b.id}/hull/eyeAt`" :label="`${b.name}: eye behind stem`" />
        </template>
      </div>
      <div class="mt-2 flex gap-2">
        <button class="act" @click="addRoller"><PlusIcon class="size-5" />Roller</button>
        <button
          v-if="!cradle.cradle?.bunks"
          class="act"
          @click="set('bunks', { from: 0.2, to: 1.8, apart: 0.8 }, 'add bunks')"
        >
          <PlusIcon class="size-5" />Bunks
        </button>
      </div>
      <p class="text-soft mt-2 text-sm">
        Stand clear of the winch line. Nobody behind the trailer on the slip; chock the car’s wheels.
      </p>
    </template>
  </div>
</template>
