<script setup lang="ts">
// A case to judge: what is given, what is asked; then the truth with its working.
import { ArrowRightIcon, CheckCircleIcon, XCircleIcon } from '@heroicons/vue/20/solid'
import { computed, nextTick, ref, shallowRef, useTemplateRef } from 'vue'
import { api } from '@/api'
import SceneShape from '@/drawing/SceneShape.vue'
import '@/drawing/drawing.css'
import QuantityField from '@/fields/QuantityField.vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import type { Plan, PracticeCase, Truth } from '@/generated/types'
import { useElementSize } from '@vueuse/core'
import type { Kind } from '@/quantities'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import { useProgress } from './progress'

const workspace = useWorkspace()
const { say } = useWords()
const progress = useProgress()
const dealt = shallowRef<PracticeCase>()
const truth = shallowRef<Truth>()
const chosen = ref(-1)
const guess = ref<number>() // where a figure is asked for, SI
const only = ref('')
const failure = ref('')
let plan: Plan | undefined // as it was when the case was dealt
const box = useTemplateRef<HTMLElement>('box')
const size = useElementSize(box)
const view = computed(() => dealt.value?.case.view)
const wide = computed(() => (view.value ? view.value.max[0] - view.value.min[0] : 1))
const high = computed(() => (view.value ? view.value.max[1] - view.value.min[1] : 1))
const scale = computed(() => Math.min((size.width.value || 300) / wide.value, 240 / high.value))
const heading = useTemplateRef<HTMLElement>('heading')

async function next() {
  failure.value = ''
  plan = workspace.plan ? (JSON.parse(JSON.stringify(workspace.plan)) as Plan) : undefined
  try {
    dealt.value = await api.practice.next({ progress: progress.value, plan, only: only.value, today: '' })
    truth.value = undefined
    chosen.value = -1
    guess.value = undefined
  } catch (e) {
    failure.value = e instanceof Error ? e.message : String(e)
  }
}
async function answer(i: number) {
  const c = dealt.value?.case
  if (!c || truth.value) return
  chosen.value = i
  try {
    const got = await api.practice.answer({
      ...{
        progress: progress.value,
        plan,
        topic: c.topic,
        seed: c.seed,
        level: c.level,
        chosen: i,
        figure: guess.value ?? 0,
        today: '',
      },
    })
    truth.value = got.truth
    progress.value = got.progress
    await nextTick()
    heading.value?.focus()
  } catch (e) {
    failure.value = e instanceof Error ? e.message : String(e)
  }
}
function pick(topic: string | undefined) {
  only.value = topic ?? ''
  void next()
}
const mark = (i: number) =>
  !truth.value ? '' : i === truth.value.right ? 'right' : i === chosen.value ? 'wrong' : 'other'
void next()
</script>

<template>
  <div class="plate p-3" data-judge>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <template v-if="dealt">
      <h2
        ref="heading"
        class="text-lg leading-tight font-bold outline-none"
        role="status"
        tabindex="-1"
        :data-truth="truth ? (truth.correct ? 'right' : 'wrong') : undefined"
      >
        <template v-if="truth">{{ say(truth.says) }}</template>
        <template v-else>{{ say(dealt.case.ask) }}</template>
      </h2>
      <p v-if="truth?.mistake?.length" class="text-fails font-semibold">{{ say(truth.mistake) }}</p>
      <p v-if="truth" class="text-soft">{{ say(dealt.case.ask) }}</p>
      <ul class="mt-1">
        <li v-for="(g, i) in dealt.case.given" :key="i">{{ say(g) }}</li>
      </ul>
      <div v-if="dealt.case.view" ref="box" class="mt-2 w-full max-w-2xl overflow-hidden">
        <svg
          class="drawing"
          :viewBox="`${dealt.case.view.min[0]} ${dealt.case.view.min[1]} ${wide} ${high}`"
          :width="wide * scale"
          :height="high * scale"
          aria-hidden="true"
        >
          <SceneShape v-for="(s, i) in dealt.case.view.shapes" :key="i" :shape="s" :scale="scale" />
        </svg>
      </div>
      <div v-if="dealt.case.figure" class="mt-3 flex max-w-2xl flex-wrap items-end gap-3">
        <QuantityField
          class="w-40"
          label="Your figure"
          :kind="dealt.case.figure.kind as Kind"
          :value="guess"
          @typed="guess = $event.value"
          @cleared="guess = undefined"
        />
        <input
          type="range"
          class="accent-deep h-11 min-w-48 flex-1"
          min="0"
          :max="dealt.case.figure.most"
          :step="dealt.case.figure.most / 200"
          :value="guess ?? dealt.case.figure.most / 2"
          :disabled="!!truth"
          aria-label="Your figure, by hand"
          @input="guess = Number(($event.target as HTMLInputElement).value)"
        />
        <button
          v-if="!truth"
          class="act-main min-h-11"
          :disabled="guess === undefined"
          data-figure
          @click="answer(0)"
        >
          That is it
        </button>
      </div>
      <div v-else class="mt-3 grid gap-2 sm:grid-cols-2" role="group" aria-label="Your answer">
        <button
          v-for="(c, i) in dealt.case.choices"
          :key="`${dealt.case.seed}-${i}`"
          class="act min-h-12 justify-start text-left"
          :class="{
            'border-holds text-holds border-2 font-bold': mark(i) === 'right',
            'border-fails text-fails border-2': mark(i) === 'wrong',
            'text-soft': mark(i) === 'other',
          }"
          :aria-disabled="!!truth"
          :data-choice="i"
          @click="answer(i)"
        >
          <CheckCircleIcon v-if="mark(i) === 'right'" class="size-5 shrink-0" aria-label="right" />
          <XCircleIcon v-else-if="mark(i) === 'wrong'" class="size-5 shrink-0" aria-label="wrong" />
          <span class="inline-block first-letter:uppercase">{{ say(c) }}</span>
        </button>
      </div>
      <template v-if="truth">
        <ul class="border-rule mt-3 border-t pt-2">
          <li v-for="(w, i) in truth.why" :key="i">{{ say(w) }}</li>
        </ul>
        <button class="act-main mt-3 min-h-12" @click="next">Next<ArrowRightIcon class="size-5" /></button>
      </template>
      <div class="mt-4 flex flex-wrap items-end gap-3">
        <ChoiceField
          class="w-56"
          label="Practise"
          none="what is due"
          :value="only || undefined"
          :options="dealt.session.rows.map((r) => ({ value: r.id, name: r.name }))"
          @chosen="pick"
        />
        <p class="text-soft pb-2 text-sm">{{ say(dealt.session.says) }}</p>
      </div>
    </template>
    <p class="text-soft mt-2 text-sm">
      Made-up rigs, judged by the same sums as your plan{{
        dealt?.case.own ? ', and this one is your own' : ''
      }}. What you answer stays on this device.
    </p>
  </div>
</template>
