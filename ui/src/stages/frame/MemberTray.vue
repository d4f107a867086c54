<script setup lang="ts">
// The member in hand: its ends as one tapes them, its section, its joints.
import { DocumentDuplicateIcon, PlusIcon, ScissorsIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { computed, ref } from 'vue'
import { api } from '@/api'
import { download } from '@/download'
import ChoiceField from '@/fields/ChoiceField.vue'
import PlanFields from '@/fields/PlanFields.vue'
import ProfileFields from '@/fields/ProfileFields.vue'
import CutFields from './CutFields.vue'
import { memberOf } from './member'
import TextField from '@/fields/TextField.vue'
import { where, type PlanField } from '@/fields/planField'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { choices, memberJointWords, roleWords, useWords } from '@/words'

const workspace = useWorkspace()
const reference = useReference()
const { nominal, term } = useWords()
const base = computed(() => `/trailers/${workspace.trailer}/frame/members`)
const members = computed(() =>
  Object.entries(workspace.plan?.trailers[workspace.trailer]?.frame?.members ?? {}).sort(
    (a, b) => a[1].order - b[1].order,
  ),
)
const id = computed(() => memberOf(workspace.selected))
const member = computed(() => members.value.find(([k]) => k === id.value)?.[1])
const path = computed(() => `${base.value}/${id.value}`)
const use = computed(() => workspace.report?.frame?.members.find((m) => m.path === path.value))
const passes = computed(
  () => workspace.settledReport?.frame?.members.find((m) => m.path === path.value)?.ends,
)
const mark = computed(() => {
  for (const p of workspace.report?.frame?.pieces ?? []) {
    const at = p.members.indexOf(id.value)
    if (at >= 0) return p.marks[at] ?? ''
  }
  return ''
})

const ends: PlanField[] = [
  { at: 'from/back', label: 'Begins behind the front' },
  { at: 'from/right', label: 'right of the middle' },
  { at: 'from/up', label: 'its top above the frame’s', hint: '0' },
  { at: 'to/back', label: 'Ends behind the front' },
  { at: 'to/right', label: 'right of the middle' },
  { at: 'to/up', label: 'its top above the frame’s', hint: '0' },
]
const joints = computed<PlanField[]>(() => [
  { at: 'role', label: 'It is a', options: choices(roleWords(term)) },
  { at: 'fromJoint', label: 'Joined where it begins', options: choices(memberJointWords), usual: 'weld' },
  { at: 'toJoint', label: 'Joined where it ends', options: choices(memberJointWords), usual: 'weld' },
  { at: 'fromCap', label: 'A cap where it begins', on: true },
  { at: 'toCap', label: 'A cap where it ends', on: true },
  ...where(
    member.value?.fromJoint === 'bolt' || member.value?.toJoint === 'bolt',
    { at: 'bolts', label: 'Bolts at an end', whole: true },
    { at: 'bolt', label: 'Their diameter' },
    { at: 'boltGauge', label: 'Their rows apart' },
    {
      at: 'boltGrade',
      label: 'Their grade',
      hint: 'not known',
      options: (reference.data?.bolts ?? []).map((b) => ({ value: b.id, name: b.name })),
    },
  ),
])
const flat = computed(() => Math.abs(Math.abs(member.value?.roll ?? 0) - Math.PI / 2) < 0.01)

const failure = ref('')
/** One more from the member in hand; the core says where it goes. */
async function more(kind: 'add' | 'mirror' | 'split', label: string) {
  failure.value = ''
  try {
    const fresh = await workspace.begin('member', label, kind, { of: id.value })
    if (fresh && kind !== 'split') workspace.selected = `${base.value}/${fresh}`
  } catch (e) {
    failure.value = e instanceof Error ? e.message : String(e)
  }
}
async function sheet(form: 'svg' | 'dxf') {
  const asked = { plan: workspace.plan!, outing: workspace.outing, trailer: workspace.trailer }
  download(await api.drawing(asked, `frame-piece/${id.value}`, form), `${mark.value || 'piece'}.${form}`)
}
function remove() {
  workspace.edit([{ op: 'remove', path: path.value }], 'take a member out')
  workspace.selected = ''
}
</script>

<template>
  <div class="plate shrink-0 p-3" data-member-tray>
    <div class="flex flex-wrap items-end gap-2">
      <ChoiceField
        class="w-56"
        label="Member selected"
        :value="id || undefined"
        none="Select one"
        :options="members.map(([value, m]) => ({ value, name: m.name || 'unnamed' }))"
        @chosen="workspace.selected = $event ? `${base}/${$event}` : ''"
      />
      <button class="act min-h-11" @click="more('add', 'add a member')">
        <PlusIcon class="size-5" />Add one
      </button>
      <template v-if="member">
        <button class="act min-h-11" @click="more('mirror', 'mirror a member')">
          <DocumentDuplicateIcon class="size-5" />Copy to the other side
        </button>
        <button class="act min-h-11" @click="more('split', 'split a member')">
          <ScissorsIcon class="size-5" />Split
        </button>
        <button class="act min-h-11" @click="remove"><TrashIcon class="size-5" />Take out</button>
        <button class="act min-h-11" @click="sheet('svg')">Its drawing</button>
        <button class="act min-h-11" @click="sheet('dxf')">DXF</button>
      </template>
      <p v-if="use" class="ml-auto text-right text-sm">
        {{ nominal(use.length) }}<template v-if="use.taped"> as taped</template>, {{ nominal(use.mass) }}
        <b v-if="use.use" class="block text-base">{{ nominal(use.use) }} used</b>
      </p>
    </div>
    <p v-if="failure" class="text-fails mt-2 font-semibold" role="alert">{{ failure }}</p>
    <template v-if="member">
      <div class="mt-3 grid grid-cols-1 gap-x-4 gap-y-3 sm:grid-cols-3">
        <PlanFields :base="path" :fields="ends" />
      </div>
      <div class="mt-3 grid grid-cols-1 items-end gap-x-4 gap-y-3 sm:grid-cols-3">
        <TextField :path="`${path}/name`" label="Name" />
        <ProfileFields :path="`${path}/profile`" :profile="member.profile" label="Section" priced />
        <ChoiceField
          label="Lies"
          :value="flat ? 'flat' : 'upright'"
          :options="[
            { value: 'upright', name: 'upright' },
            { value: 'flat', name: 'flat' },
          ]"
          @chosen="workspace.setAt(`${path}/roll`, $event === 'flat' ? Math.PI / 2 : undefined, 'turn it')"
        />
        <PlanFields :base="path" :fields="joints" />
      </div>
      <CutFields class="mt-3" :path="path" :member="member" />
      <p v-if="passes?.length" class="mt-2 text-sm" data-joint>
        Its joints pass on at most <b>{{ nominal(passes[0]!.force) }}</b> and
        <b>{{ nominal(passes[0]!.moment) }}</b> where it begins, <b>{{ nominal(passes[1]!.force) }}</b> and
        <b>{{ nominal(passes[1]!.moment) }}</b> where it ends. Show them to the person who welds or bolts it.
      </p>
    </template>
  </div>
</template>
