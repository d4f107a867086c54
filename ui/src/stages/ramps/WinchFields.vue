<script setup lang="ts">
// The winch: what it pulls, where it stands, by hand or by battery.
import { computed } from 'vue'
import FieldGroup from '@/fields/FieldGroup.vue'
import PlanFields from '@/fields/PlanFields.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import ProfileFields from '@/fields/ProfileFields.vue'
import type { PlanField } from '@/fields/planField'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { choices, tube, useWords, wheelWords } from '@/words'

const workspace = useWorkspace()
const reference = useReference()
const { term } = useWords()
const base = computed(() => `/outings/${workspace.outing}/layouts/${workspace.trailer}/loading/winch`)
const winch = computed(
  () => workspace.plan?.outings[workspace.outing]?.layouts[workspace.trailer]?.loading?.winch,
)
const first = computed<PlanField[]>(() => [
  { at: 'pull', label: 'Rated pull, first layer' },
  { at: 'wheels', label: 'The machine', options: choices(wheelWords(term)), usual: 'hard' },
  { at: 'back', label: 'Drum behind the front board' },
  { at: 'up', label: 'Line over the deck' },
  { at: 'block', label: 'Block at the machine', on: true },
])
const line: PlanField[] = [
  { at: 'layer', label: 'Layer on the drum', whole: true },
  { at: 'drum', label: 'Bare drum’s diameter' },
  { at: 'line', label: 'Line’s thickness' },
  { at: 'aside', label: 'Drum off the middle by' },
  { at: 'reach', label: 'Length of the whole line' },
  { at: 'flange', label: 'Across the flanges' },
  { at: 'wide', label: 'Between them', hint: 'a strap: one lap' },
  { at: 'lineMax', label: 'Line’s working limit' },
  { at: 'hookMax', label: 'Hook’s working limit' },
  { at: 'tieMax', label: 'Shackle’s working limit' },
]
const hand: PlanField[] = [
  { at: 'ratio', label: 'Crank turns to one' },
  { at: 'crank', label: 'Crank’s length' },
  { at: 'lever/handle', label: 'Or a lever: its length' },
  { at: 'lever/stroke', label: 'Its stroke', hint: '60°' },
]
const electric: PlanField[] = [
  { at: 'battery', label: 'Battery, A·h' },
  { at: 'amps', label: 'A at rated pull', hint: 'usual' },
  { at: 'idle', label: 'A without load', hint: '20' },
  { at: 'speed', label: 'Line’s speed', hint: 'usual' },
]
const mount = computed<PlanField[]>(() => [
  { at: 'bolts', label: 'Bolts at its foot', whole: true },
  { at: 'bolt', label: 'Bolts’ diameter' },
  { at: 'gauge', label: 'Between their rows' },
  { at: 'pin', label: 'Receiver’s pin' },
  {
    at: 'grade',
    label: 'Grade of bolts and pin',
    options: (reference.data?.bolts ?? []).map((b) => ({ value: b.id, name: b.name })),
  },
  { at: 'post', label: 'Describe its post', on: tube(0.06) },
])
</script>

<template>
  <div class="plate shrink-0 p-3" data-winch>
    <div class="flex items-center gap-2">
      <h2 class="mr-auto text-lg font-bold">Winch</h2>
      <button
        v-if="!winch"
        class="act"
        @click="workspace.setAt(base, { back: 0, up: 0.3 }, 'describe the winch')"
      >
        Describe the winch
      </button>
    </div>
    <div v-if="winch" class="mt-2 grid grid-cols-2 items-end gap-2 lg:grid-cols-4">
      <PlanFields :base="base" :fields="first" />
      <FieldGroup title="Line and drum" :base="base" :fields="line" />
      <FieldGroup title="By hand" :base="base" :fields="hand" />
      <FieldGroup title="By battery" :base="base" :fields="electric" />
      <FieldGroup title="How it is mounted" :base="base" :fields="mount">
        <template v-if="winch.post">
          <ProfileFields :path="`${base}/post`" :profile="winch.post" label="Post" />
          <PlanQuantity :path="`${base}/brace`" label="Brace meets it at" hint="no brace" />
        </template>
      </FieldGroup>
    </div>
    <p class="text-soft mt-2 text-sm">
      A line under tension kills when it parts: stand aside, hang a damper on it, gloves on.
    </p>
  </div>
</template>
