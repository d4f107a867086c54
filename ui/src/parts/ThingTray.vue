<script setup lang="ts">
// The thing in hand, under the drawings: its weight, where it stands as one
// tapes it, steppers for cold fingers.
import {
  ArrowDownIcon,
  ArrowLeftIcon,
  ArrowPathIcon,
  ArrowRightIcon,
  ArrowUpIcon,
  LockClosedIcon,
  LockOpenIcon,
} from '@heroicons/vue/20/solid'
import { computed, ref } from 'vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import EstimateField from '@/fields/EstimateField.vue'
import QuantityField from '@/fields/QuantityField.vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { say } = useWords()

const things = computed(() => workspace.report?.things ?? [])
const thing = computed(() => things.value.find((t) => t.path === workspace.selected))
const axle = computed(() =>
  workspace.selected === 'axle'
    ? workspace.report?.views.find((v) => v.id === 'side')?.handles?.find((h) => h.thing === 'axle')
    : undefined,
)
const fromWords: Record<string, string> = {
  board: 'front board',
  tail: 'tail',
  axle: 'axle',
  carrier: 'its carrier',
}
const from = ref('board')
const tape = computed(() => thing.value?.tapes.find((t) => t.from === from.value) ?? thing.value?.tapes[0])
const distance = computed(() =>
  thing.value && tape.value ? tape.value.sign * thing.value.back + tape.value.offset : undefined,
)
const backPath = computed(() => `${thing.value?.place}/at/back`)
const rightPath = computed(() => `${thing.value?.place}/at/right`)
const step = computed(() => (workspace.locale.units === 'imperial' ? 0.0254 / 2 : 0.01))
const exact = (v: number) => Math.round(v * 1e4) / 1e4

const optional = computed(() => workspace.get(`${thing.value?.place}/optional`) === true)
const key = (c: { on: string; id?: string; slot?: string }) => `${c.on} ${c.id ?? ''} ${c.slot ?? ''}`
const carriers = computed(() =>
  (thing.value?.carriers ?? []).map((c) => ({ value: key(c), name: c.name || 'The deck' })),
)
const carrier = computed(() => {
  const pl = workspace.placeOf(thing.value?.place ?? '/')
  return pl?.on ? key(pl) : undefined
})
/** Put on something else, a load begins at its front. */
function carry(value: string) {
  const t = thing.value
  const c = t?.carriers.find((c) => key(c) === value)
  if (!t || !c) return
  const was = workspace.placeOf(t.place)
  const next = { ...was, on: c.on, id: c.id, slot: c.slot, at: { back: c.on === 'deck' ? t.back : 0 } }
  workspace.setAt(t.place, JSON.parse(JSON.stringify(next)), `put ${t.name} elsewhere`)
}
const pinned = computed(() => workspace.get(`${thing.value?.place}/pinned`) === true)
/** Says that all stand as the app placed them. */
const asPlaced = computed(
  () => workspace.report?.findings.find((f) => f.code === 'balance.placed')?.fixes?.[0],
)
/** It stands where the app found room for it. */
const found = computed(() => asPlaced.value?.patch.some((op) => op.path === thing.value?.place))
/** Nobody has placed it: it stands where the app put it, until its owner says so. */
const byApp = computed(() => (workspace.get(`${thing.value?.place}/on`) as string | undefined) === 'any')

/** Steps from what the plan says, not from the last report: quick steps all count. */
function slide(path: string, shown: number, by: number) {
  const now = byApp.value ? shown : ((workspace.get(path) as number | undefined) ?? shown)
  workspace.setAt(path, exact(now + by), `move ${thing.value?.name ?? 'axle'}`, `step-${path}`)
}
function turn() {
  const path = `${thing.value?.place}/turn`
  workspace.setAt(
    path,
    ((workspace.placeOf(thing.value?.place ?? '/')?.turn ?? 0) + 90) % 360,
    `turn ${thing.value?.name}`,
  )
}
</script>

<template>
  <section class="plate shrink-0 p-3" aria-label="In hand" data-tray :inert="!!workspace.preview">
    <div v-if="thing" class="grid grid-cols-[minmax(0,1fr)] gap-3">
      <div class="flex flex-wrap items-end gap-x-3 gap-y-2">
        <h2 class="w-full truncate text-lg font-bold sm:w-28 sm:self-center">
          {{ thing.name || 'Unnamed' }}
        </h2>
        <EstimateField class="w-full sm:w-64" :path="`${thing.path}/mass`" label="Weight" />
        <ChoiceField
          v-if="carriers.length > 1"
          class="w-full sm:w-32"
          label="Stands on"
          :value="carrier"
          :options="carriers"
          @chosen="carry"
        />
        <div class="ml-auto flex gap-1.5">
          <button class="act min-h-11" @click="turn"><ArrowPathIcon class="size-5" />Turn</button>
          <button
            v-if="byApp && found"
            class="act-main min-h-11"
            title="Placed by the app: confirm its place"
            @click="workspace.setAt(`${thing.place}/pinned`, true, `${thing.name} stands there`)"
          >
            It stands there
          </button>
          <button
            v-else-if="!thing.part && !byApp"
            class="act min-h-11"
            :aria-pressed="pinned"
            @click="
              workspace.setAt(`${thing.place}/pinned`, pinned ? undefined : true, pinned ? 'unpin' : 'pin')
            "
          >
            <component :is="pinned ? LockClosedIcon : LockOpenIcon" class="size-5" />{{
              pinned ? 'Pinned' : 'Pin'
            }}
          </button>
        </div>
      </div>
      <div class="flex flex-wrap items-end gap-x-5 gap-y-2">
        <div class="flex w-full items-end gap-1.5 sm:w-auto">
          <ChoiceField
            class="w-28 sm:w-36"
            label="Measured from"
            :value="tape?.from"
            :options="thing.tapes.map((t) => ({ value: t.from, name: fromWords[t.from]! }))"
            @chosen="from = $event"
          />
          <button class="act size-11" aria-label="Forward" @click="slide(backPath, thing.back, -step)">
            <ArrowLeftIcon class="size-5" />
          </button>
          <QuantityField
            class="w-0 flex-1 sm:w-28 sm:flex-none"
            label="to its near face"
            kind="length"
            :value="distance"
            :path="backPath"
            @typed="
              workspace.setAt(
                backPath,
                exact(($event.value - tape!.offset) / tape!.sign),
                `move ${thing.name}`,
                `type-${backPath}`,
              )
            "
          />
          <button class="act size-11" aria-label="Back" @click="slide(backPath, thing.back, step)">
            <ArrowRightIcon class="size-5" />
          </button>
        </div>
        <div class="flex w-full items-end gap-1.5 sm:w-auto">
          <button class="act size-11" aria-label="To the left" @click="slide(rightPath, thing.right, -step)">
            <ArrowUpIcon class="size-5" />
          </button>
          <QuantityField
            class="w-0 flex-1 sm:w-36 sm:flex-none"
            label="Right of the middle"
            kind="length"
            :value="thing.right"
            :path="rightPath"
            @typed="workspace.setAt(rightPath, $event.value, `move ${thing.name}`, `type-${rightPath}`)"
          />
          <button class="act size-11" aria-label="To the right" @click="slide(rightPath, thing.right, step)">
            <ArrowDownIcon class="size-5" />
          </button>
        </div>
        <button
          class="act ml-auto min-h-11"
          :class="{ '!bg-deep !text-deep-ink': optional }"
          :aria-pressed="optional"
          title="Judged with and without it"
          @click="workspace.setAt(`${thing.place}/optional`, optional ? undefined : true, 'may stay at home')"
        >
          May stay home
        </button>
      </div>
    </div>
    <div v-else-if="axle" class="flex flex-wrap items-end gap-2">
      <h2 class="w-full self-center text-lg font-bold sm:w-auto">Axle</h2>
      <button
        class="act size-11"
        aria-label="Forward"
        @click="
          workspace.setAt(
            axle.path,
            exact(Math.max(axle.min, axle.at - axle.step)),
            'move the axle',
            `step-${axle.path}`,
          )
        "
      >
        <ArrowLeftIcon class="size-5" />
      </button>
      <QuantityField
        class="w-40"
        label="Behind the ball"
        kind="length"
        :value="axle.at"
        :path="axle.path"
        @typed="workspace.setAt(axle.path, $event.value, 'move the axle', `type-${axle.path}`)"
      />
      <button
        class="act size-11"
        aria-label="Back"
        @click="
          workspace.setAt(
            axle.path,
            exact(Math.min(axle.max, axle.at + axle.step)),
            'move the axle',
            `step-${axle.path}`,
          )
        "
      >
        <ArrowRightIcon class="size-5" />
      </button>
      <p class="text-soft max-w-80 text-sm">
        A bolted axle moves only from hole to hole. Never work under a trailer that stands only on a jack.
      </p>
    </div>
    <div v-else class="flex flex-wrap items-center gap-2">
      <span class="text-soft">Select something in the drawing or here:</span>
      <button v-for="t in things" :key="t.path" class="act" @click="workspace.selected = t.path">
        {{ t.name || 'Unnamed' }}
      </button>
      <button class="act" @click="workspace.selected = 'axle'">Axle</button>
      <button
        v-if="asPlaced"
        class="act !border-deep !text-deep ml-auto"
        data-placed
        @click="workspace.edit(asPlaced.patch, say(asPlaced.name))"
      >
        <LockClosedIcon class="size-5" />Placed by the app: {{ say(asPlaced.name) }}
      </button>
    </div>
  </section>
</template>
