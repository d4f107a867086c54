<script setup lang="ts">
// What is carried and how: outings and loads, with the rig that they change.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import RigDrawing from '@/drawing/RigDrawing.vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import EstimateField from '@/fields/EstimateField.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import TextField from '@/fields/TextField.vue'
import LoadDetails from './LoadDetails.vue'
import type { Op } from '@/generated/types'
import { newId } from '@/stores/patch'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'

const workspace = useWorkspace()
const reference = useReference()

const loads = computed(() =>
  Object.entries(workspace.plan?.loads ?? {}).sort((a, b) => a[1].order - b[1].order),
)
const vehicles = computed(() =>
  Object.entries(workspace.plan?.towVehicles ?? {}).map(([value, v]) => ({ value, name: v.name })),
)
const kinds = computed(() => (reference.data?.loads ?? []).map((k) => ({ value: k.id, name: k.name })))
const outing = computed(() => workspace.plan?.outings[workspace.outing])
const layout = computed(() => `/outings/${workspace.outing}/layouts/${workspace.trailer}`)
const placed = (id: string) => workspace.get(`${layout.value}/placements/${id}`) !== undefined

const lastOrder = (m: Record<string, { order: number }> | undefined) =>
  Math.max(0, ...Object.values(m ?? {}).map((x) => x.order))

function addLoad() {
  const id = newId('load')
  const ops: Op[] = [
    {
      op: 'add',
      path: `/loads/${id}`,
      value: { order: lastOrder(workspace.plan?.loads) + 1, name: 'New load', size: {}, centre: {} },
    },
  ]
  workspace.edit(ops, 'add a load')
  if (outing.value) place(id, true)
  workspace.selected = `/loads/${id}`
}

function place(id: string, on: boolean) {
  workspace.setAt(
    `${layout.value}/placements/${id}`,
    on ? { on: 'deck', at: { back: 0 } } : undefined,
    on ? 'take along' : 'leave at home',
  )
}

/** A load goes with its places in every outing. */
function removeLoad(id: string) {
  const ops: Op[] = []
  for (const [o, out] of Object.entries(workspace.plan?.outings ?? {}))
    for (const [t, l] of Object.entries(out.layouts))
      if (l.placements[id]) ops.push({ op: 'remove', path: `/outings/${o}/layouts/${t}/placements/${id}` })
  workspace.edit([...ops, { op: 'remove', path: `/loads/${id}` }], 'take out a load')
}

function addOuting() {
  const id = newId('outing')
  const layouts = Object.fromEntries(
    Object.keys(workspace.plan?.trailers ?? {}).map((t) => [t, { placements: {} }]),
  )
  const value = {
    order: lastOrder(workspace.plan?.outings) + 1,
    name: 'New outing',
    vehicle: outing.value?.vehicle,
    layouts,
  }
  if (workspace.edit([{ op: 'add', path: `/outings/${id}`, value }], 'add an outing'))
    workspace.choose({ outing: id })
}
</script>

<template>
  <section class="flex flex-col gap-2 xl:overflow-auto" aria-label="Job" tabindex="-1">
    <div class="plate h-56 shrink-0 p-2"><RigDrawing class="h-full" :only="['side']" /></div>
    <div v-if="outing" class="plate p-3">
      <div class="flex items-center justify-between gap-2">
        <h2 class="text-lg font-bold">This outing</h2>
        <button class="act" @click="addOuting"><PlusIcon class="size-5" />Another outing</button>
      </div>
      <div class="mt-2 grid gap-x-4 gap-y-3 md:grid-cols-2">
        <TextField :path="`/outings/${workspace.outing}/name`" label="Name" />
        <ChoiceField
          label="Towed by"
          :value="outing.vehicle"
          :options="vehicles"
          @chosen="workspace.setAt(`/outings/${workspace.outing}/vehicle`, $event, 'choose the car')"
        />
        <EstimateField
          :path="`/outings/${workspace.outing}/people`"
          label="People in the car, all"
          kind="mass"
        />
        <EstimateField :path="`/outings/${workspace.outing}/gear`" label="Luggage in the car" kind="mass" />
        <PlanQuantity :path="`/outings/${workspace.outing}/distance`" label="Distance" kind="distance" />
        <PlanQuantity :path="`/outings/${workspace.outing}/speed`" label="Speed on the road" kind="speed" />
      </div>
    </div>
    <div v-else class="plate p-6 text-center">
      <p class="font-bold">No outing yet.</p>
      <button class="act-main mt-2" @click="addOuting">Add an outing</button>
    </div>
    <div class="flex items-center justify-between">
      <h2 class="text-lg font-bold">Loads</h2>
      <button class="act" @click="addLoad"><PlusIcon class="size-5" />Add a load</button>
    </div>
    <p v-if="!loads.length" class="plate p-4">
      No loads yet. Add what you carry; its weight is enough to begin.
    </p>
    <details
      v-for="[id, l] in loads"
      :key="id"
      class="plate"
      :open="workspace.selected === `/loads/${id}`"
      :data-load="id"
    >
      <summary class="flex min-h-11 items-center justify-between gap-2 p-3 font-semibold">
        <span class="truncate">{{ l.name || 'Unnamed load' }}</span>
        <span class="text-soft text-sm font-normal">{{ placed(id) ? 'comes along' : 'stays at home' }}</span>
      </summary>
      <div class="grid gap-x-4 gap-y-3 p-3 pt-0 md:grid-cols-2">
        <TextField :path="`/loads/${id}/name`" label="Name" />
        <ChoiceField
          label="Kind"
          :value="l.kind"
          :options="kinds"
          none="Any"
          @chosen="workspace.setAt(`/loads/${id}/kind`, $event, 'choose the kind')"
        />
        <EstimateField :path="`/loads/${id}/mass`" label="Weight" kind="mass" />
        <EstimateField :path="`/loads/${id}/size/length`" label="Length" kind="length" />
        <EstimateField :path="`/loads/${id}/size/width`" label="Width" kind="length" />
        <EstimateField :path="`/loads/${id}/size/height`" label="Height" kind="length" />
        <EstimateField
          :path="`/loads/${id}/centre/back`"
          label="Its weight lies behind its front by"
          kind="length"
          hint="the middle"
          usual="guessed"
        />
        <LoadDetails :id="id" class="md:col-span-2" :load="l" />
        <div class="flex flex-wrap items-end gap-2">
          <button v-if="outing" class="act" @click="place(id, !placed(id))">
            {{ placed(id) ? 'Leave at home' : 'Take along' }}
          </button>
          <button class="act" @click="removeLoad(id)">
            <TrashIcon class="size-5" />Take out of the plan
          </button>
        </div>
      </div>
    </details>
  </section>
</template>
