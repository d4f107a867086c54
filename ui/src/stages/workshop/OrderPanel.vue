<script setup lang="ts">
// The work in an order that is right: what waits for what, and why.
import {
  ArrowPathIcon,
  ArrowDownIcon,
  ArrowUpIcon,
  CheckIcon,
  PlusIcon,
  TrashIcon,
} from '@heroicons/vue/20/solid'
import { computed, ref } from 'vue'
import { api } from '@/api'
import ChoiceField from '@/fields/ChoiceField.vue'
import PlanFields from '@/fields/PlanFields.vue'
import type { WorkStep } from '@/generated/types'
import BackAgain from '@/parts/BackAgain.vue'
import FoldedPart from '@/parts/FoldedPart.vue'
import PhotoStrip from '@/parts/PhotoStrip.vue'
import { newId } from '@/stores/patch'
import StandView from './StandView.vue'
import { useRecords } from '@/stores/records'
import SheetButton from '@/parts/SheetButton.vue'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { beginsWords, choices, sideWords, useWords } from '@/words'

const workspace = useWorkspace()
const records = useRecords()
const { say, nominal, print } = useWords()
const { data, failure } = useStudy(api.workOrder, () => 0, true, true)
const work = computed(() => data.value?.work)
const base = computed(() => `/trailers/${workspace.trailer}/workshop`)
const open = ref('')
const span = (m: readonly number[]) =>
  `${print('time', (m[0] ?? 0) * 60)} to ${print('time', (m[1] ?? 0) * 60)}`
const path = (s: WorkStep) => `/records/${s.record}`
/** The record of a step, ahead of the study's answer. */
const record = (s: WorkStep) => records.all[s.record]
const isDone = (s: WorkStep) => (record(s)?.step ? !!record(s)!.step!.done : !!s.done)

function tick(s: WorkStep) {
  if (s.waits?.length && !isDone(s)) open.value = open.value === s.id ? '' : s.id
  else records.change(s.record, { ...fresh(s), step: { done: !isDone(s) } })
}
/** The step that is drawn: the one in hand, else the next. */
const pointed = ref(-1)
const looked = computed(() => {
  const steps = work.value?.steps ?? []
  const next = steps.findIndex((s) => !isDone(s))
  return Math.min(pointed.value >= 0 ? pointed.value : Math.max(0, next), steps.length - 1)
})
const fresh = (s: WorkStep) => (record(s) ? {} : { trailer: workspace.trailer })
/** A step goes before another, or no longer. */
function move(i: number, up: boolean) {
  const steps = work.value?.steps ?? []
  const [first, then] = up ? [steps[i], steps[i - 1]] : [steps[i + 1], steps[i]]
  if (!first || !then) return
  if (then.moved === first.id) records.change(then.record, { step: { before: null } })
  records.change(first.record, { ...fresh(first), step: { before: then.id } })
}
function add(of?: WorkStep) {
  const id = newId('own')
  records.change(id, {
    ...{ kind: 'step', trailer: workspace.trailer, order: Object.keys(records.all).length },
    step: of
      ? { says: `${say(of.says).replace(/\.$/, '')}: the first part`, of: of.id }
      : { says: 'Another step' },
  })
  open.value = id
}
</script>

<template>
  <div class="plate p-3" data-order>
    <div class="flex items-start gap-2">
      <h2 class="mr-auto text-lg leading-tight font-bold" role="status">
        {{ work?.steps.length ? say(work.says) : 'The work in its order' }}
      </h2>
      <SheetButton v-if="work?.steps.length" label="Print for the wall" />
    </div>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <p v-if="work?.steps.length" class="text-soft">
      The longest chain takes about {{ print('time', work.chain * 3600) }}; its steps have a thick edge, the
      others can wait or be done meanwhile.
    </p>
    <p v-else class="max-w-2xl">
      Steps follow from what the plan has: a drawn frame, lamps, a floor, a bed. Say what it is made from, or
      draw the frame.
    </p>
    <p v-for="(r, i) in work?.refused ?? []" :key="i" class="text-fails font-semibold" role="alert">
      {{ say(r) }}
    </p>
    <div class="no-print mt-2 grid grid-cols-2 items-end gap-x-4 gap-y-3 md:grid-cols-4">
      <PlanFields
        :base="base"
        :fields="[
          { at: 'begins', label: 'It is made from', options: choices(beginsWords), usual: work?.begins },
          { at: 'people', label: 'People at work', whole: true, hint: '1' },
        ]"
      />
    </div>
    <BackAgain />
    <div v-if="work?.stand && work.steps.length" class="no-print bg-panel z-10 mt-3 xl:sticky xl:top-0">
      <StandView :stand="work.stand" :steps="work.steps" :at="looked" />
      <p class="text-soft text-sm">
        At step {{ looked + 1 }}: {{ say(work.steps[looked]?.says ?? []) }} What comes later is faint.
      </p>
    </div>
    <ol class="mt-3 print:columns-2 print:gap-6">
      <li
        v-for="(s, i) in work?.steps ?? []"
        :key="s.id"
        :data-step="s.id"
        :class="{ 'print:hidden': isDone(s) }"
        @pointerenter="pointed = i"
        @focusin="pointed = i"
        @pointerleave="pointed = -1"
      >
        <p v-if="s.turn" class="text-tight flex items-center gap-2 py-2 font-semibold">
          <ArrowPathIcon class="size-5 shrink-0" />Turn it over:
          {{ s.side === 'down' ? 'upside down' : 'onto its feet' }}. {{ s.people }}
          {{ s.people === 1 ? 'person' : 'people' }}.
        </p>
        <div
          class="border-rule flex break-inside-avoid items-start gap-3 border-t border-l-4 py-2 pl-3 print:gap-2 print:py-0.5"
          :class="s.chain ? 'border-l-deep' : 'border-l-transparent'"
        >
          <button
            class="act mt-0.5 size-11 shrink-0 print:size-6"
            :aria-pressed="isDone(s)"
            :aria-label="`${i + 1}. ${say(s.says)} ${isDone(s) ? 'Done' : 'Not done'}`"
            @click="tick(s)"
          >
            <CheckIcon v-if="isDone(s)" class="size-6" /><span v-else>{{ i + 1 }}</span>
          </button>
          <div class="min-w-0 flex-1">
            <p :class="isDone(s) ? 'text-soft line-through' : 'font-semibold'">{{ say(s.says) }}</p>
            <p v-if="!isDone(s)" class="text-soft text-sm">
              <span class="print:hidden">{{ `${s.why} ` }}</span>{{ span(s.minutes)
              }}<template v-if="s.tool">, {{ s.tool }}</template
              ><template v-if="s.torque">, {{ nominal(s.torque) }}</template
              >.<template v-if="s.weighs"> Then it weighs {{ nominal(s.weighs) }}.</template>
            </p>
            <p v-if="s.two" class="text-tight text-sm font-semibold">
              From here on it takes two to lift an end, or a trestle and a lever.
            </p>
            <p v-if="s.hazard && !isDone(s)" class="text-sm font-semibold">
              {{ s.hazard }}
            </p>
            <template v-if="s.waits?.length && !isDone(s)">
              <p class="text-fails text-sm font-semibold print:hidden">{{ say(s.waits) }}</p>
              <button class="act no-print mt-1 min-h-11" @click="open = open === s.id ? '' : s.id">
                Go on without
              </button>
              <div v-if="open === s.id" class="no-print mt-1 flex max-w-xl items-end gap-2">
                <div class="grow">
                  <PlanFields :base="path(s)" :fields="[{ at: 'note', label: 'Why', text: true }]" />
                </div>
                <button
                  class="act-main min-h-11"
                  :disabled="!record(s)?.note"
                  @click="records.change(s.record, { ...fresh(s), step: { done: true } })"
                >
                  It is done
                </button>
              </div>
            </template>
            <FoldedPart class="no-print" :open="open === s.id && !s.waits?.length">
              <template #heading
                ><span class="text-soft text-sm">{{
                  s.took ? `took ${print('time', s.took * 60)}` : 'time, note, photo, place'
                }}</span></template
              >
              <div class="mt-1 grid max-w-2xl grid-cols-2 items-end gap-x-4 gap-y-3">
                <PlanFields
                  v-if="s.own"
                  :base="path(s)"
                  :fields="[
                    { at: 'step/says', label: 'What it is', text: true },
                    { at: 'step/guess', label: 'Minutes, likely' },
                    {
                      at: 'step/side',
                      label: 'The work lies',
                      options: choices(sideWords),
                      hint: 'either way',
                    },
                  ]"
                />
                <ChoiceField
                  v-if="s.own && !record(s)?.step?.of"
                  label="It follows"
                  none="nothing"
                  :value="record(s)?.step?.after"
                  :options="
                    (work?.steps ?? [])
                      .filter((o) => o.id !== s.id)
                      .map((o) => ({ value: o.id, name: say(o.says) }))
                  "
                  @chosen="workspace.setAt(`${path(s)}/step/after`, $event, 'it follows')"
                />
                <PlanFields
                  :base="path(s)"
                  :fields="[
                    { at: 'step/minutes', label: 'Minutes it took' },
                    { at: 'note', label: 'Note', text: true },
                  ]"
                />
              </div>
              <div class="mt-2 flex flex-wrap gap-2">
                <PhotoStrip :record="s.record" :of="say(s.says)" />
                <button v-if="s.up" class="act min-h-11" @click="move(i, true)">
                  <ArrowUpIcon class="size-5" />Earlier
                </button>
                <button v-if="s.down" class="act min-h-11" @click="move(i, false)">
                  <ArrowDownIcon class="size-5" />Later
                </button>
                <button
                  v-if="s.moved"
                  class="act min-h-11"
                  @click="records.change(s.record, { step: { before: null } })"
                >
                  Back to its place
                </button>
                <button v-if="!s.own" class="act min-h-11" @click="add(s)">Split it</button>
                <button v-else class="act min-h-11" @click="records.remove(s.record, say(s.says))">
                  <TrashIcon class="size-5" />Take it out
                </button>
              </div>
            </FoldedPart>
          </div>
        </div>
      </li>
    </ol>
    <button v-if="work" class="act no-print mt-2 min-h-11" @click="add()">
      <PlusIcon class="size-5" />Another step
    </button>
  </div>
</template>
