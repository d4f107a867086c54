<script setup lang="ts">
// The comparison: candidates as columns, what counts as rows.
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { EllipsisHorizontalIcon, LockClosedIcon } from '@heroicons/vue/20/solid'
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import SceneView from '@/drawing/SceneView.vue'
import type { Candidate, CandidateOuting, Comparison, State } from '@/generated/types'
import { comesWords, outcomeWord, useWords } from '@/words'

const props = defineProps<{
  comparison: Comparison
  candidates: Candidate[]
  pinned: string[]
  narrow: boolean
}>()
const emit = defineEmits<{
  choose: [Candidate]
  open: [string, string]
  hide: [Candidate]
  pin: [Candidate]
  remove: [Candidate]
}>()
const { say, print, nominal, term } = useWords()
const frame = useTemplateRef<HTMLElement>('frame')
const size = useElementSize(frame)
const wishes = ref(false)
const head = computed(() => (props.narrow ? 108 : 124))
const column = computed(() =>
  Math.max(props.narrow ? 180 : 132, (size.width.value - head.value) / Math.max(1, props.candidates.length)),
)
const scale = computed(() => {
  const v = props.candidates.find((c) => c.view)?.view
  return v ? Math.max(8, (column.value - 22) / (v.max[0] - v.min[0])) : 30
})
const musts = computed(() => props.comparison.wants.filter((w) => !w.wish && !carries(w.id)))
const wished = computed(() => props.comparison.wants.filter((w) => w.wish))
/** To carry an outing has its own row above. */
const carries = (id: string) => props.candidates[0] && wantOf(props.candidates[0], id)?.what === 'carry'
const must = (outing: string) =>
  props.candidates[0]?.wants.some((w) => w.what === 'carry' && !w.wish && w.outing === outing)
const wantOf = (c: Candidate, id: string): State | undefined => c.wants.find((w) => w.id === id)
const outingOf = (c: Candidate, id: string): CandidateOuting | undefined => c.outings.find((o) => o.id === id)
const acts = [
  { name: 'In detail', act: (c: Candidate) => emit('open', c.id, 'details') },
  { name: 'Money and hours', act: (c: Candidate) => emit('open', c.id, 'money') },
  { name: 'Before you buy', act: (c: Candidate) => emit('open', c.id, 'buy') },
  { name: 'Pin to the front', act: (c: Candidate) => emit('pin', c) },
  { name: 'Hide', act: (c: Candidate) => emit('hide', c) },
  { name: 'Take out of the plan', act: (c: Candidate) => emit('remove', c) },
]
const left = (o: CandidateOuting) =>
  !o.payload
    ? outcomeWord[o.outcome]
    : o.payload.value < 0
      ? `${print('mass', -o.payload.value)} over`
      : `${nominal(o.payload)} left`
/** A bow that comes near the car, or a long tail, is stated in the outing's cell. */
const gap = (o: CandidateOuting) => o.gap && o.near
</script>

<template>
  <div
    ref="frame"
    class="overflow-x-auto print:overflow-visible"
    tabindex="0"
    role="region"
    aria-label="Comparison"
  >
    <table class="w-full border-separate border-spacing-0 text-sm leading-snug">
      <colgroup>
        <col :style="{ width: `${head}px` }" />
        <col v-for="c in candidates" :key="c.id" :style="{ width: `${column}px` }" />
      </colgroup>
      <thead>
        <tr class="align-top">
          <th class="bg-panel sticky left-0 z-10"><span class="sr-only">What counts</span></th>
          <th
            v-for="c in candidates"
            :key="c.id"
            scope="col"
            class="px-2 pb-2 text-left font-normal"
            :class="{ 'bg-wash rounded-t-lg': c.chosen }"
            :data-candidate="c.id"
            :data-outcome="c.outcome"
          >
            <span class="flex items-start gap-1">
              <b class="min-w-0 flex-1 text-base leading-tight break-words">{{ c.name || 'Unnamed' }}</b>
              <LockClosedIcon v-if="pinned.includes(c.id)" class="mt-0.5 size-4" aria-label="Pinned" />
              <Menu as="span" class="no-print relative -mt-1">
                <MenuButton
                  class="hover:bg-wash grid size-8 place-items-center rounded-md"
                  :aria-label="`More of ${c.name}`"
                  ><EllipsisHorizontalIcon class="size-5"
                /></MenuButton>
                <MenuItems
                  class="border-rule bg-panel absolute right-0 z-30 mt-1 w-52 rounded-lg border py-1 shadow-lg focus:outline-none"
                >
                  <MenuItem v-for="a in acts" :key="a.name" v-slot="{ active }">
                    <button
                      class="block min-h-11 w-full px-4 text-left text-base"
                      :class="active && 'bg-wash'"
                      @click="a.act(c)"
                    >
                      {{ a.name.startsWith('Pin') && pinned.includes(c.id) ? 'Unpin' : a.name }}
                    </button>
                  </MenuItem>
                </MenuItems>
              </Menu>
            </span>
            <span class="text-soft block">{{ comesWords[c.comes ?? ''] ?? '' }}</span>
          </th>
        </tr>
      </thead>
      <tbody class="align-top">
        <tr class="align-bottom">
          <th class="row-head !border-t-0"><span class="sr-only">From the side, to one scale</span></th>
          <td
            v-for="c in candidates"
            :key="c.id"
            class="cell mini !border-t-0 !py-0"
            :class="{ 'bg-wash': c.chosen }"
          >
            <SceneView v-if="c.view" :view="c.view" :scale="scale" class="pointer-events-none" />
          </td>
        </tr>
        <tr>
          <th class="row-head !border-t-0"><span class="sr-only">All in all</span></th>
          <td
            v-for="c in candidates"
            :key="c.id"
            class="cell !border-t-0 !pb-2.5"
            :class="{ 'bg-wash': c.chosen }"
          >
            <span class="flex items-center gap-1.5 text-base font-bold"
              ><OutcomeMark :outcome="c.outcome" :size="20" />{{ outcomeWord[c.outcome] }}</span
            >
            <span class="block">{{ say(c.worst) }}</span>
            <span v-if="c.back" class="mt-1 block font-semibold" data-back
              >Back in: {{ say(c.back.name) }}</span
            >
            <span v-else-if="c.outcome === 'fails' && c.looked" class="text-soft mt-1 block"
              >No single change was found that brings it back.</span
            >
          </td>
        </tr>
        <tr class="no-print">
          <th class="row-head !border-t-0"><span class="sr-only">Choose</span></th>
          <td
            v-for="c in candidates"
            :key="c.id"
            class="cell !border-t-0 !pt-0 !pb-3"
            :class="{ 'bg-wash': c.chosen }"
          >
            <button v-if="!c.chosen" class="act w-full" @click="emit('choose', c)">Choose</button>
            <span v-else class="grid min-h-10 items-center font-bold">The plan’s trailer</span>
          </td>
        </tr>
        <tr v-for="o in comparison.outings" :key="o.id">
          <th scope="row" class="row-head">
            {{ say(o.name) }}<span v-if="must(o.id)" class="text-soft block font-normal">must carry</span>
          </th>
          <td v-for="c in candidates" :key="c.id" class="cell" :class="{ 'bg-wash': c.chosen }">
            <template v-if="outingOf(c, o.id)">
              <span class="flex items-center gap-1.5 font-semibold"
                ><OutcomeMark :outcome="outingOf(c, o.id)!.outcome" :size="16" />
                {{ left(outingOf(c, o.id)!) }}</span
              >
              <span class="text-soft flex items-center gap-1.5"
                ><OutcomeMark :outcome="outingOf(c, o.id)!.ballState" :size="12" />{{ term('ball load') }}
                {{ nominal(outingOf(c, o.id)!.ball) }}</span
              >
              <span v-if="outingOf(c, o.id)!.move" class="block">{{ say(outingOf(c, o.id)!.move) }}</span>
              <span v-if="outingOf(c, o.id)!.rear" class="text-soft block"
                >{{ nominal(outingOf(c, o.id)!.rear) }} beyond the tail</span
              >
              <span
                v-if="outingOf(c, o.id)!.side"
                class="block"
                :class="outingOf(c, o.id)!.sideState === 'fails' ? 'text-fails font-semibold' : 'text-soft'"
                >{{ nominal(outingOf(c, o.id)!.side) }} beyond the side</span
              >
              <span v-if="gap(outingOf(c, o.id)!)" class="block"
                >{{ nominal(outingOf(c, o.id)!.gap) }} to the car</span
              >
              <span v-if="outingOf(c, o.id)!.laid" class="text-soft block">positions assumed</span>
            </template>
          </td>
        </tr>
        <tr>
          <th scope="row" class="row-head">To the road</th>
          <td v-for="c in candidates" :key="c.id" class="cell" :class="{ 'bg-wash': c.chosen }">
            <template v-if="c.bill.known">
              <b class="text-base">{{ print('money', c.bill.money) }}</b><template v-if="c.bill.hours"
                >, {{ print('time', c.bill.hours) }} of work</template
              >
              <span v-if="c.bill.risk" class="text-tight block"
                >may be {{ print('money', c.bill.risk) }} more</span
              >
              <span v-if="c.perKg" class="text-soft block"
                >{{ print('rate', c.perKg.value) }} of payload</span
              >
              <span v-if="c.bill.open" class="text-tight block">{{ c.bill.open }} without a price</span>
            </template>
            <span v-else class="text-unknown">Price not known</span>
            <b v-if="c.unbeaten" class="text-holds block">Not beaten</b>
          </td>
        </tr>
        <tr>
          <th scope="row" class="row-head">Payload, as sold</th>
          <td v-for="c in candidates" :key="c.id" class="cell" :class="{ 'bg-wash': c.chosen }">
            {{ nominal(c.bare) }}
            <span v-if="c.fitOut && c.bare && c.fitOut.value !== c.bare.value" class="text-soft block"
              >{{ nominal(c.fitOut) }} fitted out</span
            >
          </td>
        </tr>
        <tr>
          <th scope="row" class="row-head">{{ term('Tyre') }}s and ball</th>
          <td v-for="c in candidates" :key="c.id" class="cell" :class="{ 'bg-wash': c.chosen }">
            <span v-if="c.outings.some((x) => x.tyreUsed)" class="block"
              >{{ print('share', Math.max(...c.outings.map((x) => x.tyreUsed?.value ?? 0))) }} of the
              {{ term('tyre') }}s</span
            >
            <span v-if="!c.outings.every((x) => x.tyreUsed)" class="text-unknown block"
              >{{ term('Tyre') }}s not known<template v-if="c.outings.some((x) => x.tyreUsed)">
                on every outing</template
              ></span
            >
            <span v-if="c.outings.some((x) => x.tyreSpeed === 'fails')" class="text-fails block font-semibold"
              >{{ term('Tyre') }}s too slow</span
            >
            <span v-if="c.outings.some((x) => x.ballSize === 'fails')" class="text-fails block font-semibold"
              >Ball does not match</span
            >
            <span
              v-else-if="c.outings.length && c.outings.every((x) => x.ballSize === 'holds')"
              class="text-soft block"
              >ball matches</span
            >
            <span v-else class="text-unknown block">ball size not known</span>
          </td>
        </tr>
        <tr v-for="w in musts" :key="w.id">
          <th scope="row" class="row-head">{{ say(w.name) }}</th>
          <td v-for="c in candidates" :key="c.id" class="cell" :class="{ 'bg-wash': c.chosen }">
            <span v-if="wantOf(c, w.id)" class="flex items-start gap-1.5"
              ><OutcomeMark :outcome="wantOf(c, w.id)!.outcome" :size="16" class="mt-0.5 shrink-0" /><span>{{
                say(wantOf(c, w.id)!.says)
              }}</span></span
            >
          </td>
        </tr>
        <tr v-if="wished.length">
          <th scope="row" class="row-head">
            <button
              class="text-left underline underline-offset-2"
              :aria-expanded="wishes"
              @click="wishes = !wishes"
            >
              Wishes
            </button>
          </th>
          <td v-for="c in candidates" :key="c.id" class="cell" :class="{ 'bg-wash': c.chosen }">
            {{ c.wishes.holds }} of {{ c.wishes.of }}
          </td>
        </tr>
        <template v-if="wishes">
          <tr v-for="w in wished" :key="w.id">
            <th scope="row" class="row-head !font-normal">{{ say(w.name) }}</th>
            <td v-for="c in candidates" :key="c.id" class="cell" :class="{ 'bg-wash': c.chosen }">
              <span v-if="wantOf(c, w.id)" class="flex items-start gap-1.5"
                ><OutcomeMark
                  :outcome="wantOf(c, w.id)!.outcome"
                  :size="14"
                  class="mt-0.5 shrink-0"
                /><span>{{ say(wantOf(c, w.id)!.says) }}</span></span
              >
            </td>
          </tr>
        </template>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.mini :deep(text) {
  display: none;
}
.row-head {
  position: sticky;
  left: 0;
  z-index: 10;
  background: var(--panel);
  border-top: 1px solid var(--rule);
  padding: 0.4rem 0.5rem 0.4rem 0;
  text-align: left;
  font-weight: 600;
}
.cell {
  border-top: 1px solid var(--rule);
  padding: 0.4rem 0.5rem;
}
@media print {
  table {
    table-layout: fixed;
    font-size: 8.5pt;
  }
  col {
    width: auto !important;
  }
  .row-head,
  .cell {
    padding: 2px 4px;
  }
}
</style>
