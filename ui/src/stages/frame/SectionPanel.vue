<script setup lang="ts">
// One section for all members of a role, and how the axle hangs on the frame.
import { computed, ref } from 'vue'
import PlanFields from '@/fields/PlanFields.vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import QuantityField from '@/fields/QuantityField.vue'
import { where, type PlanField } from '@/fields/planField'
import type { Common, Member, Profile } from '@/generated/types'
import AccessPart from './AccessPart.vue'
import StretchPart from './StretchPart.vue'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { choices, roleWords, seatWords, springWords, useWords } from '@/words'

const workspace = useWorkspace()
const reference = useReference()
const { term } = useWords()
const base = computed(() => `/trailers/${workspace.trailer}/frame`)
const members = computed(() =>
  Object.entries(workspace.plan?.trailers[workspace.trailer]?.frame?.members ?? {}),
)
const roles = computed(() =>
  Object.entries(roleWords(term))
    .map(([role, name]) => ({ role, name, of: members.value.filter(([, m]) => m.role === role) }))
    .filter((r) => r.of.length),
)
const commons = computed(() => reference.data?.commons ?? [])
const materials = computed(() => (reference.data?.stocks ?? []).map((s) => ({ value: s.id, name: s.name })))
const same = (a: Common, p: Profile) =>
  a.shape === p.shape &&
  (['height', 'width', 'wall'] as const).every((k) => Math.abs((a[k] ?? 0) - (p[k] ?? 0)) < 1e-6)
const one = <T,>(of: [string, Member][], get: (m: Member) => T) => {
  const all = new Set(of.map(([, m]) => get(m)))
  return all.size === 1 ? [...all][0] : undefined
}
const section = (of: [string, Member][]) =>
  one(of, (m) => commons.value.find((c) => same(c, m.profile))?.name ?? '')
const material = (of: [string, Member][]) => one(of, (m) => m.profile.material)
/** Writes to the section of every member of a role, as one change. */
function all(of: [string, Member][], fields: Partial<Profile>, label: string) {
  workspace.edit(
    of.map(([id, m]) => ({
      op: 'add',
      path: `${base.value}/members/${id}/profile`,
      value: JSON.parse(JSON.stringify({ ...m.profile, ...fields })),
    })),
    label,
  )
}
function choose(of: [string, Member][], name: string) {
  const c = commons.value.find((c) => c.name === name)
  if (!c) return
  const { shape, height, width, wall, lip } = c
  all(of, { shape, height, width, wall, lip }, 'section')
}
const deep = ref<number>()
const long = ref<number>()
const failure = ref('')
async function notch() {
  failure.value = ''
  try {
    await workspace.begin('seat', 'notch the rails for the axle', undefined, {
      by: deep.value,
      at: long.value,
    })
  } catch (e) {
    failure.value = e instanceof Error ? e.message : String(e)
  }
}
const trailer = computed(() => workspace.plan?.trailers[workspace.trailer])
const slots = computed(() => trailer.value?.frame?.axleFixed === 'slots')
/** Slots begin with 100 mm either way of where the axle stands. */
function slotted() {
  const at = trailer.value?.couplingToAxle?.value ?? 2.5
  const range = { min: Math.max(0.1, at - 0.1), max: at + 0.1, pitch: 0 }
  workspace.setAt(`/trailers/${workspace.trailer}/axleMoves`, range, 'slots')
}
const axle = computed<PlanField[]>(() => [
  { at: 'suspension', label: 'The axle hangs on', options: choices(springWords), hint: 'leaf springs' },
  { at: 'frame/springLength', label: 'Spring, from eye to slipper', hint: 0.65 },
  { at: 'frame/springsApart', label: 'Springs or brackets apart', hint: 'as the rails' },
  { at: 'frame/axleSeat', label: 'Underside of the rails above the axle’s middle', hint: 'spring and pads' },
  { at: 'frame/axleDrop', label: 'Hubs above the axle’s tube', hint: 'straight axle: 0' },
  { at: 'frame/axleFixed', label: 'Axle or hangers are', options: choices(seatWords), hint: 'not entered' },
  ...where(
    slots.value && trailer.value?.axleMoves,
    { at: 'axleMoves/min', label: `The slots begin, behind the ${term('coupling')}` },
    { at: 'axleMoves/max', label: 'and end' },
  ),
  { at: 'frame/extra', label: 'Welds, paint, fasteners add', hint: '3 %' },
])
</script>

<template>
  <div class="plate p-3" data-sections>
    <h2 class="text-lg font-bold">One section for all of a kind</h2>
    <div class="mt-2 grid grid-cols-1 gap-x-4 gap-y-3 sm:grid-cols-2">
      <template v-for="r in roles" :key="r.role">
        <ChoiceField
          :label="`Every ${r.name} (${r.of.length})`"
          :value="section(r.of)"
          none="not all alike"
          :options="commons.map((c) => ({ value: c.name, name: c.name }))"
          @chosen="choose(r.of, $event)"
        />
        <ChoiceField
          label="Their material"
          :value="material(r.of)"
          none="not all alike"
          :options="materials"
          @chosen="all(r.of, { material: $event }, 'material')"
        />
      </template>
    </div>
    <h2 class="mt-4 text-lg font-bold">The axle</h2>
    <div class="mt-2 grid grid-cols-1 gap-x-4 gap-y-3 sm:grid-cols-2">
      <PlanFields :base="`/trailers/${workspace.trailer}`" :fields="axle" />
    </div>
    <button v-if="slots && !trailer?.axleMoves" class="act mt-2 min-h-11" @click="slotted">
      Enter where the slots begin and end
    </button>
    <p class="text-soft mt-2 text-sm">A rubber torsion axle is bolted, never welded near the rubber.</p>
    <div class="mt-2 grid grid-cols-1 items-end gap-x-4 gap-y-3 sm:grid-cols-4" data-seat>
      <QuantityField
        label="Depth of a notch in the rails for it"
        kind="length"
        :value="deep"
        @typed="deep = $event.value"
        @cleared="deep = undefined"
      />
      <QuantityField
        label="and long"
        kind="length"
        :value="long"
        :hint="0.06"
        @typed="long = $event.value"
        @cleared="long = undefined"
      />
      <button class="act min-h-11" :disabled="!deep" @click="notch">Notch both rails</button>
    </div>
    <p v-if="failure" class="text-fails mt-2 font-semibold" role="alert">{{ failure }}</p>
    <AccessPart />
    <StretchPart />
  </div>
</template>
