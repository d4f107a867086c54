<script setup lang="ts">
// How one rack is built: frames, posts, bars, tiers, and what carries which hull.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import FieldGroup from '@/fields/FieldGroup.vue'
import PlanFields from '@/fields/PlanFields.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import ProfileFields from '@/fields/ProfileFields.vue'
import TextField from '@/fields/TextField.vue'
import { where, type PlanField } from '@/fields/planField'
import type { Part } from '@/generated/types'
import { newId } from '@/stores/patch'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { choices, footWords, jointWords, padWords, poseWords } from '@/words'

const props = defineProps<{ id: string; part: Part }>()
const workspace = useWorkspace()
const path = (field: string) => `/parts/${props.id}/${field}`
const rack = computed(() => props.part.rack!)
const set = (field: string, value: unknown, label: string) => workspace.setAt(path(field), value, label)

const tiers = computed(() => Object.entries(rack.value.tiers).sort((a, b) => a[1].order - b[1].order))
function addTier() {
  const last = tiers.value.at(-1)?.[1]
  const tier = { order: (last?.order ?? 0) + 1, up: (last?.up ?? 0) + 0.6, length: last?.length ?? 1.4 }
  set(`rack/tiers/${newId('tier')}`, tier, 'add a tier')
}
const slots = computed(() => Object.entries(props.part.slots ?? {}).sort((a, b) => a[1].order - b[1].order))
function addSlot() {
  const tier = tiers.value[0]?.[0]
  const order = (slots.value.at(-1)?.[1].order ?? 0) + 1
  set(
    `slots/${newId('slot')}`,
    { order, name: `place ${order}`, tier, at: { back: 0, right: 0 } },
    'add a place',
  )
}
const reference = useReference()
const base = computed(() => path('rack'))
const posts = [1, 2, 3].map((n) => ({ value: n, name: n === 1 ? 'one, a T' : String(n) }))
const frames: PlanField[] = [
  { at: 'posts', label: 'Posts to a frame', options: posts, usual: 2 },
  { at: 'apart', label: 'Posts apart' },
  { at: 'frontAt', label: 'Front frame behind its front' },
  { at: 'rearAt', label: 'Rear frame behind its front' },
]
const bolted = computed<PlanField[]>(() => [
  { at: 'bolts', label: 'Bolts to a foot', whole: true },
  { at: 'bolt', label: 'Bolts’ diameter' },
  { at: 'gauge', label: 'Between their rows' },
  {
    at: 'grade',
    label: 'Their grade',
    options: (reference.data?.bolts ?? []).map((b) => ({ value: b.id, name: b.name })),
  },
])
const feet = computed<PlanField[]>(() => [
  { at: 'foot', label: 'Feet', options: choices(footWords) },
  ...where(rack.value.foot === 'bolted', ...bolted.value),
  { at: 'brace', label: 'Braces at 45°, leg' },
])
const ways: PlanField[] = [
  { at: 'pads', label: 'Hulls slide on', options: choices(padWords), hint: 'not known' },
  { at: 'middle', label: 'Frame in the middle too', on: true },
  { at: 'held', label: 'Bars held upright', on: true },
]
const joint = computed<PlanField[]>(() => [
  { at: 'joint/with', label: 'Held together by', options: choices(jointWords) },
  { at: 'joint/diameter', label: 'Their diameter' },
  { at: 'joint/count', label: 'At each post', whole: true, hint: '1' },
  { at: 'joint/length', label: 'Depth in the post' },
  { at: 'joint/washer', label: 'Washer' },
  { at: 'joint/endGrain', label: 'Down into the post’s end', on: true },
])
const tierNames = computed(() => tiers.value.map(([id], i) => ({ value: id, name: `tier ${i + 1}` })))
</script>

<template>
  <div class="grid gap-3">
    <div class="grid gap-2 sm:grid-cols-2 lg:grid-cols-4">
      <PlanFields :base="base" :fields="frames" />
      <ProfileFields :path="path('rack/bar')" :profile="rack.bar" label="Cross bars" priced />
      <ProfileFields
        v-if="rack.insert"
        :path="path('rack/insert')"
        :profile="rack.insert"
        label="Slid into the bars"
      />
      <ProfileFields :path="path('rack/post')" :profile="rack.post" label="Posts" priced />
      <PlanFields :base="base" :fields="feet" />
      <TextField :path="path('undo')" label="What is undone to lift it off" />
      <PlanFields :base="base" :fields="ways" />
      <FieldGroup title="Bars to posts" :base="base" :fields="joint" />
    </div>
    <div class="grid gap-x-6 gap-y-3 lg:grid-cols-2">
      <section aria-label="Tiers">
        <h3 class="font-bold">Tiers</h3>
        <div v-for="[tid] in tiers" :key="tid" class="mt-1 grid grid-cols-[1fr_1fr_auto] items-end gap-2">
          <PlanQuantity :path="path(`rack/tiers/${tid}/up`)" label="Bar’s top over the deck" />
          <PlanQuantity :path="path(`rack/tiers/${tid}/length`)" label="Bar’s length" />
          <button
            class="act size-11"
            aria-label="Take the tier out"
            @click="set(`rack/tiers/${tid}`, undefined, 'take a tier out')"
          >
            <TrashIcon class="size-5" />
          </button>
        </div>
        <button class="act mt-2" @click="addTier"><PlusIcon class="size-5" />Tier</button>
      </section>
      <section aria-label="Places">
        <h3 class="font-bold">Places for hulls</h3>
        <div
          v-for="[sid, s] in slots"
          :key="sid"
          class="border-rule mt-1 grid grid-cols-[1fr_1fr_auto] items-end gap-2 border-t pt-2 first-of-type:border-0"
        >
          <ChoiceField
            :label="s.name"
            :value="s.tier"
            :options="tierNames"
            @chosen="set(`slots/${sid}/tier`, $event, 'put in another tier')"
          />
          <ChoiceField
            label="hull lies"
            :value="s.pose || 'down'"
            :options="choices(poseWords)"
            @chosen="set(`slots/${sid}/pose`, $event === 'down' ? undefined : $event, 'how the hull lies')"
          />
          <button
            class="act size-11"
            :aria-label="`Take ${s.name} out`"
            @click="set(`slots/${sid}`, undefined, 'take a place out')"
          >
            <TrashIcon class="size-5" />
          </button>
          <PlanQuantity :path="path(`slots/${sid}/at/right`)" label="right of middle" />
          <PlanQuantity :path="path(`slots/${sid}/at/back`)" label="begins at" />
        </div>
        <button class="act mt-2" @click="addSlot"><PlusIcon class="size-5" />Place</button>
      </section>
    </div>
  </div>
</template>
