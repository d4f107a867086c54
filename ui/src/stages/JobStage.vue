<script setup lang="ts">
// What is carried and how: outings and loads, with the rig that they change.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import RigDrawing from '@/drawing/RigDrawing.vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import EstimateField from '@/fields/EstimateField.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import TextField from '@/fields/TextField.vue'
import KindField from '@/fields/KindField.vue'
import LikeField from '@/fields/LikeField.vue'
import NameField from '@/fields/NameField.vue'
import FromLibrary from '@/parts/FromLibrary.vue'
import KeepInLibrary from '@/parts/KeepInLibrary.vue'
import ChangeList from './job/ChangeList.vue'
import FillPanel from './job/FillPanel.vue'
import GoodsFields from './job/GoodsFields.vue'
import RollingFields from './job/RollingFields.vue'
import WantList from './job/WantList.vue'
import WithoutPanel from './job/WithoutPanel.vue'
import LoadDetails from './LoadDetails.vue'
import type { Load, LoadKind, Op } from '@/generated/types'
import { bulkOf } from '@/kinds'
import { newId, put } from '@/stores/patch'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { choices, roadWords, useWords } from '@/words'

const workspace = useWorkspace()
const reference = useReference()

const loads = computed(() =>
  Object.entries(workspace.plan?.loads ?? {}).sort((a, b) => a[1].order - b[1].order),
)
const vehicles = computed(() =>
  Object.entries(workspace.plan?.towVehicles ?? {}).map(([value, v]) => ({ value, name: v.name })),
)
const kindOf = (l: Load) => reference.data?.loads.find((k) => k.id === l.kind)
const typical = (l: Load) => {
  const k = kindOf(l)
  return k ? `typical ${print('mass', k.low)} to ${print('mass', k.high)}` : undefined
}
const size = (l: Load, side: 'length' | 'width' | 'height') => {
  const k = kindOf(l)
  return k ? `typical ${print('length', k[side])}` : undefined
}
const { print, nominal, worded } = useWords()
/** What a thing placed on this outing comes to. */
const weightOf = (id: string) =>
  workspace.report?.things.find((t) => t.path === `/loads/${id}`)?.mass ?? undefined
const plan = computed(() => workspace.plan)
const outing = computed(() => workspace.plan?.outings[workspace.outing])
const layout = computed(() => `/outings/${workspace.outing}/layouts/${workspace.trailer}`)
const placed = (id: string) => workspace.get(`${layout.value}/placements/${id}`) !== undefined

const lastOrder = (m: Record<string, { order: number }> | undefined) =>
  Math.max(0, ...Object.values(m ?? {}).map((x) => x.order))

const fresh = 'New load'
function addLoad() {
  const id = newId('load')
  const ops: Op[] = [
    {
      op: 'add',
      path: `/loads/${id}`,
      value: { order: lastOrder(workspace.plan?.loads) + 1, name: fresh, size: {}, centre: {} },
    },
  ]
  workspace.edit(ops, 'add a load')
  if (outing.value) place(id, true)
  workspace.selected = `/loads/${id}`
}

const named = (l: Load) => l.name.trim() !== '' && l.name !== fresh

/** A kind brings its usual size, weight and way of standing; loose material is stated by what it is. */
function takeKind(id: string, kind: string, name?: string) {
  const ops: Op[] = [{ op: 'add', path: `/loads/${id}/kind`, value: kind }]
  if (name !== undefined) ops.push({ op: 'add', path: `/loads/${id}/name`, value: name })
  const load = workspace.plan?.loads[id]
  if (kind === 'heap' && load && !load.bulk) {
    const value = bulkOf(name ?? load.name, !!load.mass, reference.data?.materials ?? [])
    ops.push({ op: 'add', path: `/loads/${id}/bulk`, value })
  }
  workspace.edit(ops, 'choose the kind')
}
const take = (id: string, kind: LoadKind, name: string) => takeKind(id, kind.id, name)

/** A load from the library comes along. */
const comesAlong = (id: string) =>
  plan.value && outing.value
    ? put(plan.value, `${layout.value}/placements/${id}`, { on: 'any', at: { back: 0 } })
    : []

/** A load comes along or stays at home on whichever trailer the outing takes. */
function place(id: string, on: boolean) {
  const ops: Op[] = []
  for (const [t, l] of Object.entries(outing.value?.layouts ?? {}))
    if (!on && l.placements[id])
      ops.push({ op: 'remove', path: `/outings/${workspace.outing}/layouts/${t}/placements/${id}` })
  if (on && plan.value)
    ops.push(...put(plan.value, `${layout.value}/placements/${id}`, { on: 'any', at: { back: 0 } }))
  workspace.edit(ops, on ? 'take along' : 'leave at home')
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
  <section class="relative flex flex-col gap-2 xl:overflow-auto" aria-label="Job" tabindex="-1">
    <div class="plate shrink-0 overflow-hidden p-2 md:h-56">
      <RigDrawing class="h-full" :only="['side']" />
    </div>
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
        <EstimateField :path="`/outings/${workspace.outing}/people`" label="People in the car, all" />
        <EstimateField :path="`/outings/${workspace.outing}/gear`" label="Luggage in the car" />
        <PlanQuantity :path="`/outings/${workspace.outing}/distance`" label="Distance" />
        <div class="grid grid-cols-2 gap-2">
          <PlanQuantity :path="`/outings/${workspace.outing}/speed`" label="Speed on the road" />
          <ChoiceField
            label="Road"
            :value="outing.road"
            :options="choices(roadWords)"
            none="Ordinary road"
            @chosen="workspace.setAt(`/outings/${workspace.outing}/road`, $event, 'choose the road')"
          />
        </div>
      </div>
    </div>
    <div v-else class="plate p-6 text-center">
      <p class="font-bold">No outing yet.</p>
      <button class="act-main mt-2" @click="addOuting">Add an outing</button>
    </div>
    <WantList />
    <div class="flex items-center justify-between">
      <h2 class="text-lg font-bold">Loads</h2>
      <span class="flex flex-wrap gap-2">
        <FromLibrary
          collection="loads"
          title="Take a load from my library"
          :also="comesAlong"
          @taken="workspace.selected = `/loads/${$event}`"
        />
        <button class="act" @click="addLoad"><PlusIcon class="size-5" />Add a load</button>
      </span>
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
        <span class="text-soft text-sm font-normal whitespace-nowrap"
          ><b v-if="weightOf(id)" class="text-ink">{{ nominal(weightOf(id)) }} · </b
          >{{ placed(id) ? 'comes along' : 'stays at home' }}</span
        >
      </summary>
      <div class="grid gap-x-4 gap-y-3 p-3 pt-0 md:grid-cols-2">
        <NameField
          :path="`/loads/${id}/name`"
          label="Name"
          :name="l.name"
          @named="workspace.setAt(`/loads/${id}/name`, $event, 'Name', `type-/loads/${id}/name`)"
          @taken="(kind, name) => take(id, kind, name)"
        />
        <KindField :value="l.kind" :path="`/loads/${id}/kind`" @chosen="takeKind(id, $event)" />
        <p v-if="kindOf(l)" class="text-soft text-sm md:col-span-2" data-kind-from>
          <b v-if="kindOf(l)!.note" class="text-ink">{{ worded(kindOf(l)!.note!) }}</b>
          Typical figures: {{ kindOf(l)!.from }}.
        </p>
        <LikeField
          v-if="!l.kind && !l.bulk && !l.tank && !l.pieces && named(l)"
          class="md:col-span-2"
          :value="undefined"
          @chosen="takeKind(id, $event)"
        />
        <GoodsFields :id="id" class="md:col-span-2" :load="l" />
        <FillPanel v-if="l.bulk" class="md:col-span-2" :load="`/loads/${id}`" />
        <EstimateField
          v-if="!l.bulk && !l.pieces"
          :path="`/loads/${id}/mass`"
          :label="l.tank ? 'Empty tank weighs' : 'Weight'"
          :hint="typical(l)"
        />
        <template v-if="!l.pieces">
          <EstimateField
            :path="`/loads/${id}/size/length`"
            :label="l.bulk ? 'Covers the bed: length' : 'Length'"
            :hint="l.bulk ? 'all of it' : size(l, 'length')"
          />
          <EstimateField
            :path="`/loads/${id}/size/width`"
            label="Width"
            :hint="l.bulk ? 'all of it' : size(l, 'width')"
          />
          <EstimateField
            v-if="!l.bulk || l.size.length || l.size.width"
            :path="`/loads/${id}/size/height`"
            :label="l.bulk ? 'Its own box: sides' : 'Height'"
            :hint="l.bulk ? 'lies free' : size(l, 'height')"
          />
        </template>
        <EstimateField
          v-if="!l.bulk && !l.pieces && !l.tank"
          :path="`/loads/${id}/centre/back`"
          label="Its centre is behind its front by"
          :hint="kindOf(l)?.centreHigh ? 'as is typical' : 'the middle'"
          usual="guessed"
        />
        <RollingFields :id="id" class="md:col-span-2" :load="l" />
        <LoadDetails v-if="!l.bulk && !l.pieces" :id="id" class="md:col-span-2" :load="l" />
        <div class="flex flex-wrap items-end gap-2">
          <button v-if="outing" class="act" @click="place(id, !placed(id))">
            {{ placed(id) ? 'Leave at home' : 'Take along' }}
          </button>
          <button class="act" @click="removeLoad(id)">
            <TrashIcon class="size-5" />Take out of the plan
          </button>
        </div>
        <KeepInLibrary :path="`/loads/${id}`" :name="l.name" />
      </div>
    </details>
    <ChangeList />
    <WithoutPanel />
  </section>
</template>
