<script setup lang="ts">
// Members out of bars: those on hand first, then what costs least.
import { CheckIcon, PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import { api } from '@/api'
import { download } from '@/download'
import PlanFields from '@/fields/PlanFields.vue'
import ProfileFields from '@/fields/ProfileFields.vue'
import type { PlanField } from '@/fields/planField'
import type { CutPiece } from '@/generated/types'
import FoldedPart from '@/parts/FoldedPart.vue'
import { newId, put } from '@/stores/patch'
import SheetButton from '@/parts/SheetButton.vue'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { say, nominal } = useWords()
const { data, failure } = useStudy(api.cutting)
const base = computed(() => `/trailers/${workspace.trailer}/frame`)
const frame = computed(() => workspace.plan?.trailers[workspace.trailer]?.frame)
const all = computed(() => Object.entries(frame.value?.bars ?? {}).sort((a, b) => a[1].order - b[1].order))
const bars = computed(() => all.value.filter(([, b]) => !b.sawn))
const fields: PlanField[] = [
  { at: 'length', label: 'Its length' },
  { at: 'have', label: 'On hand', whole: true, hint: 'it is bought' },
  { at: 'price', label: 'A bar costs' },
]
const arrived: PlanField[] = [
  { at: 'trim', label: 'Cut off its ends', hint: '0' },
  { at: 'bow', label: 'Off straight in its middle', hint: '0' },
  { at: 'wall', label: 'Wall by the gauge', hint: 'as drawn' },
]
const saw: PlanField[] = [
  { at: 'kerf', label: 'The saw takes', hint: 0.0025 },
  { at: 'carry', label: 'Longest bar that the car carries' },
  { at: 'carryMass', label: 'Carried at once' },
]
function add() {
  const like = Object.values(frame.value?.members ?? {}).sort((a, b) => a.order - b.order)[0]
  if (!workspace.plan || !like) return
  const value = { order: bars.value.length + 1, profile: JSON.parse(JSON.stringify(like.profile)), length: 6 }
  workspace.edit(put(workspace.plan, `${base.value}/bars/${newId('bar')}`, value), 'add a bar')
}
/** A piece is cut: it counts as one that is there, for its member first. */
function sawn(p: CutPiece) {
  const m = frame.value?.members?.[p.member]
  if (!workspace.plan || !m) return
  const profile = JSON.parse(JSON.stringify(m.profile))
  const value = {
    order: all.value.length + 1,
    profile,
    length: p.length.value,
    have: 1,
    sawn: m.name || p.mark,
  }
  workspace.edit(put(workspace.plan, `${base.value}/bars/${newId('piece')}`, value), `cut ${p.mark}`)
}
/** Ticked by mistake: the piece is to be cut again. */
function uncut(p: CutPiece) {
  const name = frame.value?.members?.[p.member]?.name || p.mark
  const near = all.value.filter(([, b]) => b.sawn && Math.abs(b.length - p.length.value) < 0.002)
  const hit = near.find(([, b]) => b.sawn === name) ?? near[0]
  if (hit) workspace.setAt(`${base.value}/bars/${hit[0]}`, undefined, `${p.mark} is not cut`)
}
const share = (v: number, of: number) => `${(100 * v) / of}%`
const asked = () => ({ plan: workspace.plan!, outing: workspace.outing, trailer: workspace.trailer })
async function sheet(form: 'svg' | 'dxf') {
  download(await api.drawing(asked(), 'frame-sheet', form), `frame.${form}`)
}
async function table() {
  download(await api.cutList(asked()), 'cut-list.csv')
}
</script>

<template>
  <div class="plate p-3" data-cut>
    <div class="flex flex-wrap items-center justify-between gap-2">
      <h2 class="text-lg font-bold">
        <template v-if="data">
          Buy {{ nominal(data.bought) }}, {{ nominal(data.mass)
          }}<template v-if="data.price">, {{ nominal(data.price) }}</template
          ><template v-if="data.drives"
            >, {{ data.drives === 1 ? 'one drive' : `${data.drives} drives` }}</template
          >
        </template>
        <template v-else>Cut list</template>
      </h2>
      <span class="no-print flex gap-1.5">
        <button class="act" @click="sheet('svg')">Drawing with dimensions</button>
        <button class="act" @click="sheet('dxf')">DXF</button>
        <button class="act" @click="table">CSV</button>
        <SheetButton v-if="data" label="Print the cut list" />
      </span>
    </div>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <section v-for="(s, i) in data?.sections ?? []" :key="i" class="mt-3" data-section-cut>
      <h3 class="font-bold">
        {{ say(s.says) }}<span v-if="s.price" class="font-normal">, {{ nominal(s.price) }}</span>
      </h3>
      <p v-if="s.fails?.length" class="text-fails font-semibold">{{ say(s.fails) }}</p>
      <p v-for="(n, k) in s.notes ?? []" :key="`n${k}`" class="text-sm">{{ say(n) }}</p>
      <p v-if="!s.fails?.length" class="text-soft text-sm">
        <template v-if="!s.priced">By the least length. Enter prices to find the cheapest way. </template>
        <template v-if="s.proven">No other way takes less.</template>
        <template v-else-if="s.gap">At most {{ nominal(s.gap) }} over the least possible.</template>
        <template v-else>There may be a way that takes a little less.</template>
      </p>
      <p v-if="s.done?.length" class="mt-1 flex flex-wrap items-center gap-1.5 text-sm" data-done>
        <b>Cut:</b>
        <button
          v-for="p in s.done"
          :key="p.member"
          class="act min-h-11"
          :aria-label="`${p.mark} ${nominal(p.length)} is cut; take that back`"
          @click="uncut(p)"
        >
          <CheckIcon class="size-4" />{{ p.mark }} {{ nominal(p.length) }}
        </button>
      </p>
      <ol class="mt-1 grid gap-1.5">
        <li v-for="(b, k) in s.bars" :key="k" class="grid grid-cols-[7.5rem_1fr] items-center gap-2 text-sm">
          <span
            >{{ nominal(b.length)
            }}<span class="text-soft block">{{ b.have ? 'on hand' : 'buy' }}</span></span
          >
          <span class="border-rule bg-panel flex h-11 overflow-hidden rounded border">
            <button
              v-for="(p, n) in b.pieces"
              :key="n"
              class="border-ink bg-wash flex min-w-0 flex-col items-start justify-center overflow-hidden border-r px-1 text-left leading-tight"
              :style="{ width: share(p.length.value, b.length.value) }"
              :title="`${p.name}: tick it when it is cut`"
              @click="sawn(p)"
            >
              <b class="max-w-full truncate">{{ p.mark }} {{ nominal(p.length) }}</b>
              <span class="text-soft max-w-full truncate text-xs">{{ p.name }}</span>
            </button>
            <span class="text-soft self-center truncate px-1">{{
              b.rest.value > 0.05 ? nominal(b.rest) + ' left' : ''
            }}</span>
          </span>
          <span class="text-soft col-span-2 sm:hidden">{{
            b.pieces.map((p) => `${p.mark} ${nominal(p.length)} ${p.name}`).join(', ')
          }}</span>
          <span v-if="b.tooLong" class="text-fails col-span-2 font-semibold"
            >Its longest piece is longer than the car carries.</span
          >
          <span v-else-if="b.home?.length" class="col-span-2"
            >Have it cut where it is bought: {{ b.home.map((h) => nominal(h)).join(', ') }}.</span
          >
        </li>
      </ol>
    </section>
    <section v-if="data?.lost?.length" class="mt-4" data-lost>
      <h3 class="font-bold">
        Cut, and no member needs it now<template v-if="data.lostCost"
          >: {{ nominal(data.lostCost) }}</template
        >
      </h3>
      <ul class="divide-rule divide-y text-sm">
        <li v-for="l in data.lost" :key="l.bar" class="flex flex-wrap items-center gap-2 py-1">
          <span class="min-w-0 flex-1"
            >{{ nominal(l.length) }} of {{ say(l.says) }}, cut for {{ l.for }}</span
          >
          <button
            class="act no-print min-h-11"
            @click="workspace.setAt(`${base}/bars/${l.bar}`, undefined, 'take a piece out')"
          >
            It is gone
          </button>
        </li>
      </ul>
      <p class="text-soft text-sm">Shorter pieces are cut from it before a bar is bought.</p>
    </section>
    <section v-if="data?.saw.length" class="mt-4" data-saw>
      <h3 class="font-bold">Set the saw once for</h3>
      <ul class="divide-rule divide-y text-sm">
        <li v-for="(a, i) in data.saw" :key="i" class="flex flex-wrap gap-x-3 py-1">
          <b class="w-40 first-letter:uppercase">{{ say(a.says) }}</b>
          <span class="w-20">{{ a.ends === 1 ? 'one end' : `${a.ends} ends` }}</span>
          <span class="text-soft min-w-0 flex-1">{{ a.marks.join(' ') }}</span>
        </li>
      </ul>
      <p class="text-soft mt-1 text-sm">
        Tap a piece when it is cut. Chalk the marks on the pieces as they leave the saw. Lengths are from long
        point to long point.
      </p>
    </section>
    <FoldedPart class="no-print mt-3" data-bars :open="bars.length > 0">
      <template #heading><b>Bars to cut from</b></template>
      <p class="text-soft text-sm">
        Those you have and those you can buy, each with its section. For a section with none, the usual
        lengths are assumed.
      </p>
      <div
        v-for="[bid, b] in bars"
        :key="bid"
        class="border-rule mt-2 grid grid-cols-2 items-end gap-2 border-t pt-2 lg:grid-cols-3"
      >
        <ProfileFields :path="`${base}/bars/${bid}/profile`" :profile="b.profile" label="Section" />
        <PlanFields :base="`${base}/bars/${bid}`" :fields="b.have ? [...fields, ...arrived] : fields" />
        <button
          class="act size-11"
          aria-label="Take this bar out"
          @click="workspace.setAt(`${base}/bars/${bid}`, undefined, 'take a bar out')"
        >
          <TrashIcon class="size-5" />
        </button>
      </div>
      <div class="mt-2 flex flex-wrap items-end gap-2">
        <button class="act min-h-11" @click="add"><PlusIcon class="size-5" />A bar</button>
      </div>
      <div class="mt-3 grid grid-cols-1 gap-x-4 gap-y-3 sm:grid-cols-3">
        <PlanFields :base="base" :fields="saw" />
      </div>
    </FoldedPart>
  </div>
</template>
