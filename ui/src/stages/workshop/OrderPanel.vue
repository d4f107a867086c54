<script setup lang="ts">
// The work in an order that is right: what waits for what, and why.
import { ArrowPathIcon, CheckIcon, PrinterIcon } from '@heroicons/vue/20/solid'
import { computed, ref } from 'vue'
import { api } from '@/api'
import PlanFields from '@/fields/PlanFields.vue'
import type { WorkStep } from '@/generated/types'
import FoldedPart from '@/parts/FoldedPart.vue'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { beginsWords, choices, useWords } from '@/words'

const workspace = useWorkspace()
const { say, nominal, print } = useWords()
const { data, failure } = useStudy(api.workOrder)
const work = computed(() => data.value?.work)
const base = computed(() => `/trailers/${workspace.trailer}/workshop`)
const open = ref('')
const span = (m: readonly number[]) =>
  `${print('time', (m[0] ?? 0) * 60)} to ${print('time', (m[1] ?? 0) * 60)}`

function tick(s: WorkStep) {
  const path = `${base.value}/done/${s.id}`
  if (s.waits?.length && !s.done) open.value = open.value === s.id ? '' : s.id
  else if (s.done) workspace.setAt(path, undefined, 'a step is open again')
  else workspace.setAt(path, {}, 'a step is done')
}
/** The sheet alone, without the checks beside it. */
function printed() {
  const root = document.documentElement
  root.dataset.sheet = 'order'
  window.addEventListener('afterprint', () => delete root.dataset.sheet, { once: true })
  window.print()
}
</script>

<template>
  <div class="plate p-3" data-order>
    <div class="flex items-start gap-2">
      <h2 class="mr-auto text-lg leading-tight font-bold" role="status">
        {{ work?.steps.length ? say(work.says) : 'The work in its order' }}
      </h2>
      <button
        v-if="work?.steps.length"
        class="act no-print size-11 shrink-0"
        aria-label="Print for the wall"
        @click="printed"
      >
        <PrinterIcon class="size-5" />
      </button>
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
    <div class="no-print mt-2 grid grid-cols-2 items-end gap-x-4 gap-y-3 md:grid-cols-4">
      <PlanFields
        :base="base"
        :fields="[
          { at: 'begins', label: 'It is made from', options: choices(beginsWords), usual: work?.begins },
          { at: 'people', label: 'People at work', whole: true, hint: '1' },
        ]"
      />
    </div>
    <ol class="mt-3">
      <li v-for="(s, i) in work?.steps ?? []" :key="s.id" :data-step="s.id">
        <p v-if="s.turn" class="text-tight flex items-center gap-2 py-2 font-semibold">
          <ArrowPathIcon class="size-5 shrink-0" />Turn it over:
          {{ s.side === 'down' ? 'upside down' : 'onto its feet' }}. {{ s.people }}
          {{ s.people === 1 ? 'person' : 'people' }}.
        </p>
        <div
          class="border-rule flex items-start gap-3 border-t border-l-4 py-2 pl-3"
          :class="s.chain ? 'border-l-deep' : 'border-l-transparent'"
        >
          <button
            class="act mt-0.5 size-11 shrink-0"
            :aria-pressed="!!s.done"
            :aria-label="`${i + 1}. ${say(s.says)} ${s.done ? 'Done' : 'Not done'}`"
            @click="tick(s)"
          >
            <CheckIcon v-if="s.done" class="size-6" /><span v-else>{{ i + 1 }}</span>
          </button>
          <div class="min-w-0 flex-1">
            <p :class="s.done ? 'text-soft line-through' : 'font-semibold'">{{ say(s.says) }}</p>
            <p v-if="!s.done" class="text-soft text-sm">
              {{ s.why }} {{ span(s.minutes) }}<template v-if="s.tool">, {{ s.tool }}</template
              ><template v-if="s.torque">, {{ nominal(s.torque) }}</template
              >.
            </p>
            <p v-if="s.hazard && !s.done" class="text-sm font-semibold">{{ s.hazard }}</p>
            <template v-if="s.waits?.length && !s.done">
              <p class="text-fails text-sm font-semibold">{{ say(s.waits) }}</p>
              <button class="act no-print mt-1 min-h-11" @click="open = open === s.id ? '' : s.id">
                Go on without
              </button>
              <div v-if="open === s.id" class="no-print mt-1 max-w-md">
                <PlanFields
                  :base="`${base}/done/${s.id}`"
                  :fields="[{ at: 'note', label: 'Why', text: true }]"
                />
              </div>
            </template>
            <FoldedPart v-else-if="s.done" class="no-print">
              <template #heading
                ><span class="text-soft text-sm">{{
                  s.done.minutes ? `took ${print('time', s.done.minutes * 60)}` : 'minutes and a note'
                }}</span></template
              >
              <div class="mt-1 grid max-w-md grid-cols-2 gap-x-4">
                <PlanFields
                  :base="`${base}/done/${s.id}`"
                  :fields="[
                    { at: 'minutes', label: 'Minutes it took' },
                    { at: 'note', label: 'Note', text: true },
                  ]"
                />
              </div>
            </FoldedPart>
          </div>
        </div>
      </li>
    </ol>
  </div>
</template>
