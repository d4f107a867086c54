<script setup lang="ts">
// Every trailer of the plan held against the same outings, musts and money.
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { ChevronLeftIcon, ChevronRightIcon, PlusIcon, TableCellsIcon, TagIcon } from '@heroicons/vue/20/solid'
import { useMediaQuery, useStorage } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import { useRouter } from 'vue-router'
import { api } from '@/api'
import { download } from '@/download'
import ChoiceField from '@/fields/ChoiceField.vue'
import type { Candidate, Comparison, Op } from '@/generated/types'
import { newId } from '@/stores/patch'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import CandidateTable from './CandidateTable.vue'
import ImportDialog from './ImportDialog.vue'
import SellerDialog from './SellerDialog.vue'

const props = defineProps<{ id: string }>()
const workspace = useWorkspace()
const router = useRouter()
const {
  data: fast,
  failure,
  shown: fastOf,
} = useStudy<Comparison>(
  (asked) => api.compare(asked, false),
  () => workspace.outing,
  false,
)
/** What would bring failing ones back takes many reviews more, and follows. */
const { data: slow, shown: slowOf } = useStudy<Comparison>(
  (asked) => api.compare(asked, true),
  () => workspace.outing,
)
const data = computed<Comparison | undefined>(() => {
  if (!fast.value) return slow.value
  const slower = new Map(slow.value?.candidates.map((c) => [c.id, c]))
  const fresh = slowOf.value === fastOf.value
  const candidates = fast.value.candidates.map((c) => {
    const { back, looked } = slower.get(c.id) ?? {}
    return { ...c, back, looked: fresh && looked }
  })
  return { ...fast.value, candidates }
})
const view = useStorage(`compare-${props.id}`, {
  sort: 'order',
  hidden: [] as string[],
  pinned: [] as string[],
})
const narrow = useMediaQuery('screen and (max-width: 760px)')
const at = ref(0)
const seller = ref(false)
const table = ref('') // a CSV that was chosen
const file = useTemplateRef<HTMLInputElement>('file')

const rank: Record<string, number> = { holds: 0, tight: 1, unknown: 2, fails: 3 }
const last = Number.MAX_VALUE
const sorts: Record<string, { name: string; by: (c: Candidate) => number }> = {
  order: { name: 'As they were added', by: () => 0 },
  outcome: { name: 'What holds first', by: (c) => rank[c.outcome] ?? 2 },
  cost: { name: 'Least money first', by: (c) => (c.bill.known ? c.bill.money : last) },
  payload: { name: 'Most payload first', by: (c) => -(c.fitOut?.value ?? -last) },
  hours: { name: 'Least work first', by: (c) => c.bill.hours },
}
const candidates = computed(() => {
  const by = sorts[view.value.sort]?.by ?? (() => 0)
  const pinned = (c: Candidate) => (view.value.pinned.includes(c.id) ? 0 : 1)
  return (data.value?.candidates ?? [])
    .filter((c) => !view.value.hidden.includes(c.id))
    .map((c, i) => ({ c, i }))
    .sort((a, b) => pinned(a.c) - pinned(b.c) || by(a.c) - by(b.c) || a.i - b.i)
    .map((x) => x.c)
})
const hidden = computed(() => (data.value?.candidates ?? []).filter((c) => view.value.hidden.includes(c.id)))
const one = computed(() => Math.min(at.value, candidates.value.length - 1))
const shown = computed(() =>
  narrow.value ? candidates.value.slice(one.value, one.value + 1) : candidates.value,
)

function toggle(list: 'hidden' | 'pinned', id: string) {
  const was = view.value[list]
  view.value = { ...view.value, [list]: was.includes(id) ? was.filter((x) => x !== id) : [...was, id] }
}

/** The chosen candidate becomes the plan's trailer, with the places its loads were given. */
function choose(c: Candidate) {
  workspace.edit(
    [...((c.lays ?? []) as Op[]), { op: 'add', path: '/chosen', value: c.id }],
    `choose ${c.name}`,
  )
  workspace.choose({ trailer: c.id })
}
function open(id: string, tab: string) {
  workspace.choose({ trailer: id })
  void router.push(`/plan/${props.id}/trailer/${tab}`)
}
function add() {
  const id = newId('trailer')
  const order = Math.max(0, ...Object.values(workspace.plan?.trailers ?? {}).map((t) => t.order)) + 1
  workspace.edit(
    [{ op: 'add', path: `/trailers/${id}`, value: { order, name: 'Another trailer', empty: {} } }],
    'add a trailer',
  )
  open(id, 'details')
}
function remove(c: Candidate) {
  const ops: Op[] = Object.entries(workspace.plan?.outings ?? {})
    .filter(([, o]) => o.layouts[c.id])
    .map(([o]) => ({ op: 'remove', path: `/outings/${o}/layouts/${c.id}` }))
  if (workspace.plan?.chosen === c.id) ops.push({ op: 'remove', path: '/chosen' })
  workspace.edit([...ops, { op: 'remove', path: `/trailers/${c.id}` }], `take out ${c.name}`)
  if (workspace.trailer === c.id) workspace.choose({ trailer: '' })
}

async function exportTable() {
  if (!workspace.plan) return
  const blob = await api.comparisonTable({ plan: workspace.plan, outing: workspace.outing, trailer: '' })
  download(blob, 'comparison.csv')
}
async function picked(e: Event) {
  const input = e.target as HTMLInputElement
  const f = input.files?.[0]
  if (f) table.value = await f.text()
  input.value = ''
}
const tables = [
  { name: 'Read candidates from a table (CSV)', act: () => file.value?.click() },
  { name: 'Empty table to fill in', act: () => window.location.assign('/api/candidates.csv') },
  { name: 'Save the comparison as a table', act: () => void exportTable() },
  { name: 'Print the comparison', act: () => window.print() },
]
</script>

<template>
  <div class="plate p-3" data-compare>
    <div class="no-print flex flex-wrap items-end gap-2">
      <button class="act-main" @click="seller = true"><TagIcon class="size-5" />At the seller’s</button>
      <button class="act min-h-11" @click="add"><PlusIcon class="size-5" />Add a trailer</button>
      <ChoiceField
        class="w-52"
        label="Order of the candidates"
        tight
        :value="view.sort"
        :options="Object.entries(sorts).map(([value, s]) => ({ value, name: s.name }))"
        @chosen="view = { ...view, sort: $event }"
      />
      <Menu as="div" class="relative">
        <MenuButton class="act min-h-11"><TableCellsIcon class="size-5" />Tables</MenuButton>
        <MenuItems
          class="border-rule bg-panel absolute z-30 mt-1 w-72 rounded-lg border py-1 shadow-lg focus:outline-none"
        >
          <MenuItem v-for="t in tables" :key="t.name" v-slot="{ active }">
            <button class="block min-h-11 w-full px-4 text-left" :class="active && 'bg-wash'" @click="t.act">
              {{ t.name }}
            </button>
          </MenuItem>
        </MenuItems>
      </Menu>
      <input
        ref="file"
        type="file"
        accept=".csv,text/csv"
        class="hidden"
        aria-label="Table"
        @change="picked"
      />
      <span v-if="hidden.length" class="flex flex-wrap items-center gap-1 text-sm">
        Hidden:
        <button v-for="c in hidden" :key="c.id" class="act" @click="toggle('hidden', c.id)">
          {{ c.name || 'Unnamed' }}
        </button>
      </span>
    </div>
    <p v-if="failure" class="text-fails mt-2">{{ failure }}</p>
    <p v-if="data && !data.candidates.length" class="mt-3">
      No trailer yet. Standing in front of one? Six figures from its label are enough to begin.
    </p>
    <div v-if="narrow && candidates.length > 1" class="mt-2 flex items-center justify-between">
      <button class="act size-11" aria-label="Candidate before" :disabled="one <= 0" @click="at = one - 1">
        <ChevronLeftIcon class="size-6" />
      </button>
      <span class="font-semibold" data-which>{{ one + 1 }} of {{ candidates.length }}</span>
      <button
        class="act size-11"
        aria-label="Next candidate"
        :disabled="one >= candidates.length - 1"
        @click="at = one + 1"
      >
        <ChevronRightIcon class="size-6" />
      </button>
    </div>
    <CandidateTable
      v-if="data && shown.length"
      class="mt-2"
      :comparison="data"
      :candidates="shown"
      :pinned="view.pinned"
      :narrow="narrow"
      @choose="choose"
      @open="open"
      @hide="toggle('hidden', $event.id)"
      @pin="toggle('pinned', $event.id)"
      @remove="remove"
    />
    <p class="text-soft mt-3 text-sm">
      Not beaten: no other candidate that does not fail is as cheap, as quick and carries as much. On a
      trailer without positions yet, those of the other trailer are used and slid.
    </p>
    <SellerDialog :open="seller" @closed="seller = false" />
    <ImportDialog :table="table" @closed="table = ''" />
  </div>
</template>
