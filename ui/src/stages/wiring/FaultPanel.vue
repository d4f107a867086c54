<script setup lang="ts">
// One question a screen, made for kneeling behind a trailer in the rain.
import { computed, ref, watch } from 'vue'
import { api } from '@/api'
import type { Answer, Diagnosis } from '@/generated/types'
import SheetButton from '@/parts/SheetButton.vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { say, nominal } = useWords()
const answers = ref<Answer[]>([])
const two = ref(false)
const found = ref<Diagnosis>()
const failure = ref('')
let asking = 0
async function ask() {
  if (!workspace.plan) return
  const mine = ++asking
  failure.value = ''
  try {
    const asked = { plan: workspace.plan, outing: workspace.outing, trailer: workspace.trailer }
    const got = await api.faults(asked, answers.value, two.value)
    if (mine === asking) found.value = got
  } catch (e) {
    failure.value = e instanceof Error ? e.message : String(e)
  }
}
/** Other lamps or another plug, other answers. */
const harness = computed(() => {
  const t = workspace.plan?.trailers[workspace.trailer]
  return JSON.stringify([workspace.trailer, t?.plug, t?.wiring])
})
watch(harness, restart, { immediate: true })
function both() {
  two.value = true
  void ask()
}
function restart() {
  answers.value = []
  two.value = false
  void ask()
}
function answer(level?: Answer['level']) {
  const q = found.value?.next
  if (!q) return
  answers.value = [...answers.value, { switch: q.switch, lamp: q.lamp, probe: q.probe, level }]
  void ask()
}
function back() {
  answers.value = answers.value.slice(0, -1)
  void ask()
}
const question = computed(() => found.value?.next)
const choices = computed<{ level: NonNullable<Answer['level']>; name: string }[]>(() =>
  question.value?.probe
    ? [
        { level: 'off', name: 'Next to nothing' },
        { level: 'bright', name: 'Volts' },
      ]
    : [
        { level: 'off', name: 'Off' },
        { level: 'dim', name: 'Dim' },
        { level: 'bright', name: 'Bright' },
      ],
)
</script>

<template>
  <div class="plate p-3" data-faults>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <template v-if="found">
      <div class="flex items-start gap-2">
        <p class="mr-auto text-lg leading-tight font-bold first-letter:uppercase" role="status">
          {{ say(found.says) }}
        </p>
        <SheetButton v-if="answers.length" label="Print what was found" />
      </div>
      <div v-if="question" class="border-rule mt-3 rounded-lg border p-4" data-question>
        <p class="text-soft text-sm">Question {{ answers.length + 1 }}</p>
        <p class="text-xl leading-snug font-semibold">{{ say(question.says) }}</p>
        <p v-if="question.why" class="text-soft mt-1 text-sm">{{ say(question.why) }}</p>
        <div class="mt-3 grid gap-2" :class="choices.length === 3 ? 'grid-cols-3' : 'grid-cols-2'">
          <button v-for="c in choices" :key="c.level" class="act-main min-h-14" @click="answer(c.level)">
            {{ c.name }}
          </button>
        </div>
        <div class="no-print mt-2 grid grid-cols-2 gap-2">
          <button class="act min-h-11" :disabled="!answers.length" @click="back">Back</button>
          <button class="act min-h-11" @click="answer()">I cannot say</button>
        </div>
      </div>
      <section v-if="answers.length" class="mt-4" data-suspects>
        <h2 class="font-bold">{{ found.settled ? 'What to do' : 'So far' }}</h2>
        <ul class="divide-rule divide-y">
          <li v-for="(s, i) in found.suspects" :key="i" class="grid grid-cols-[3.5rem_1fr] gap-2 py-2">
            <b class="text-right">{{ nominal(s.likely) }}</b>
            <span>
              <span v-for="(x, k) in s.says" :key="k" class="block first-letter:uppercase"
                >{{ k ? 'or ' : '' }}{{ say(x) }}</span
              >
              <span class="text-soft block text-sm">{{ say(s.do) }}</span>
            </span>
          </li>
        </ul>
      </section>
      <div v-if="answers.length" class="no-print mt-3 flex flex-wrap gap-2">
        <button class="act min-h-11" @click="restart">Begin again</button>
        <button v-if="!two" class="act min-h-11" @click="both">It may be two faults at once</button>
        <p v-else class="text-soft self-center text-sm">Two faults at once are looked for as well.</p>
      </div>
    </template>
  </div>
</template>
