<script setup lang="ts">
// Reversing one's own rig, from above. The server drives it by what the hands do; the page draws between two places.
import { ArrowDownIcon, ArrowUpIcon, PlayIcon, StopIcon } from '@heroicons/vue/20/solid'
import { useElementSize, usePreferredReducedMotion, useRafFn } from '@vueuse/core'
import { computed, onScopeDispose, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { api } from '@/api'
import ChoiceField from '@/fields/ChoiceField.vue'
import SwitchField from '@/fields/SwitchField.vue'
import type { DriveLine, DriveScene, Hand, Score, Seen } from '@/generated/types'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import { useBest } from './progress'
import RigAbove from './RigAbove.vue'
import { useSound } from './sound'

const workspace = useWorkspace()
const { say, print, term } = useWords()
const best = useBest()
const still = usePreferredReducedMotion()
const { on: sound, play } = useSound()

const scene = shallowRef<DriveScene>()
const taskId = ref('straight')
const longer = ref(false)
const hints = ref(false)
const failure = ref('')
const task = computed(() => scene.value?.tasks.find((t) => t.id === taskId.value))
const asked = () => ({
  ...(workspace.plan ? { plan: workspace.plan, outing: workspace.outing, trailer: workspace.trailer } : {}),
  task: taskId.value,
  longer: longer.value ? 0.6 : 0,
})
const key = computed(() => `${workspace.id}/${workspace.trailer}/${taskId.value}/${longer.value ? 600 : 0}`)

const bestHere = computed(() => best.value[key.value])
const score = shallowRef<Score>()
const hands = shallowRef<Hand[]>([])
const ghost = shallowRef<Seen[]>([])
const running = ref(false)
const again = ref(false) // a run is seen again
const seen = shallowRef<Seen>() // as it is drawn
let last: Seen | undefined
let before: Seen | undefined
let lastAt = 0
let socket: WebSocket | undefined

watch(
  [taskId, longer, () => workspace.trailer, () => workspace.outing, () => workspace.sequence],
  async (now, was) => {
    if (running.value && was && now.slice(0, 4).join() === was.slice(0, 4).join()) return
    stop()
    score.value = undefined
    try {
      scene.value = await api.practice.scene(asked())
      rest()
    } catch (e) {
      failure.value = e instanceof Error ? e.message : String(e)
    }
  },
  { immediate: true },
)
/** It stands where the task begins. */
function rest() {
  const s = task.value?.start
  if (!s) return
  before = last = { ...s, tick: 0, hitch: 0, steer: 0, speed: 0 }
  seen.value = last
}

const steer = ref(0) // hundredths, to the left
const pedal = ref(0)
function send() {
  if (socket?.readyState === WebSocket.OPEN)
    socket.send(JSON.stringify({ steer: Math.round(steer.value), pedal: pedal.value }))
}
watch([steer, pedal], send)

async function start() {
  stop()
  failure.value = ''
  score.value = undefined
  ghost.value = []
  steer.value = pedal.value = 0
  rest()
  const old = best.value[key.value]
  if (old) {
    const run = await api.practice.replay({ ...asked(), hands: old.hands }).catch(() => undefined)
    ghost.value = run?.seen ?? []
  }
  const own = api.practice.drive()
  socket = own
  own.onopen = () => {
    own.send(JSON.stringify(asked()))
    running.value = true
    field.value?.focus()
  }
  own.onmessage = (m) => {
    if (socket === own) told(JSON.parse(m.data as string) as DriveLine)
  }
  own.onclose = own.onerror = () => {
    if (socket !== own) return
    if (running.value) failure.value = 'The drive was cut off. Start again.'
    running.value = false
  }
}
function told(line: DriveLine) {
  if (line.wrong) failure.value = line.wrong
  if (line.seen) {
    if (line.seen.stuck && !last?.stuck) play('stuck')
    else if ((line.seen.touch || line.seen.folded) && !(last?.touch || last?.folded)) play('touch')
    before = last
    last = line.seen
    lastAt = performance.now()
  }
  if (line.score) {
    running.value = false
    score.value = line.score
    hands.value = line.hands ?? []
    if (line.score.done) play('done')
    const had = best.value[key.value]
    if (line.score.done && (!had || line.score.points > had.points))
      best.value = {
        ...best.value,
        [key.value]: { points: line.score.points, seconds: line.score.seconds, hands: hands.value },
      }
    socket?.close()
  }
}
function stop() {
  const own = socket
  socket = undefined
  running.value = again.value = false
  own?.close()
}
/** The driver ends it: how it went is stated. */
function end() {
  if (socket?.readyState === WebSocket.OPEN) socket.send(JSON.stringify({ steer: 0, pedal: 0, stop: true }))
}
onScopeDispose(stop)

// Between two places, a sixtieth of a second apart, the page draws what lies between them.
const apart = 1000 / 60
const turned = ref(0) // −1, 0, 1: the wheel is being turned by keys
useRafFn(({ delta }) => {
  if (turned.value) steer.value = Math.max(-100, Math.min(100, steer.value + turned.value * delta * 0.12))
  if (again.value) return
  if (!last) return
  const u = still.value === 'reduce' || !before ? 1 : Math.min(1, (performance.now() - lastAt) / apart)
  if (seen.value === last && u === 1) return
  seen.value = u === 1 ? last : between(before!, last, u)
})
function between(a: Seen, b: Seen, u: number): Seen {
  const mix = (x: number, y: number) => x + (y - x) * u
  return {
    ...b,
    x: mix(a.x, b.x),
    y: mix(a.y, b.y),
    heading: mix(a.heading, b.heading),
    hitch: mix(a.hitch, b.hitch),
    steer: mix(a.steer, b.steer),
  }
}
/** The run just driven, seen again. */
async function replay() {
  const run = await api.practice.replay({ ...asked(), hands: hands.value }).catch(() => undefined)
  if (!run) return
  again.value = true
  const began = performance.now()
  const step = () => {
    const i = Math.floor((performance.now() - began) / (2 * apart)) // a replay has every other place
    if (!again.value || i >= run.seen.length) {
      again.value = false
      return
    }
    seen.value = run.seen[i]
    requestAnimationFrame(step)
  }
  step()
}
const ghostNow = computed(() => {
  const t = seen.value?.tick ?? 0
  return running.value && ghost.value.length
    ? ghost.value[Math.min(ghost.value.length - 1, Math.floor(t / 2))]
    : undefined
})

const keys: Record<string, (e: KeyboardEvent) => void> = {
  ArrowLeft: () => (turned.value = 1),
  ArrowRight: () => (turned.value = -1),
  ArrowUp: (e) => (pedal.value = e.shiftKey ? 100 : 70),
  ArrowDown: (e) => (pedal.value = e.shiftKey ? -100 : -70),
  ' ': () => (pedal.value = 0),
  c: () => (steer.value = 0),
}
function down(e: KeyboardEvent) {
  const does = keys[e.key]
  if (!does || !running.value) return
  e.preventDefault()
  does(e)
}
function up(e: KeyboardEvent) {
  if (e.key === 'ArrowLeft' || e.key === 'ArrowRight') turned.value = 0
  if (e.key === 'ArrowUp' || e.key === 'ArrowDown') pedal.value = 0
}
const field = useTemplateRef<HTMLElement>('field')
const size = useElementSize(field)
/** What the drawing holds: walls near the way, start and goal. */
const frame = computed(() => {
  const t = task.value
  const o = scene.value?.outline
  if (!t || !o) return { x: -10, y: -5, w: 20, h: 10 }
  const xs = [t.start.x + o.car.front + 3, t.goal.x - 5, ...t.ideal.map((p) => p[0]!)]
  const ys = [t.start.y - 4, t.start.y + 4, t.goal.y - 4, t.goal.y + 4, ...t.ideal.map((p) => p[1]!)]
  const far = o.length + o.overhang + o.trailer.rear
  const x = Math.min(...xs, t.start.x - far) - 1
  const y = Math.min(...ys) - 2
  const all = { x, y, w: Math.max(...xs) + 1 - x, h: Math.max(...ys) + 2 - y }
  const s = seen.value
  // where the whole would be too small, the picture goes along
  if (!s || (size.width.value || 600) >= 600 || still.value === 'reduce') return all
  const w = Math.min(all.w, 20)
  const h = Math.min(all.h, 13)
  return { x: s.x - w * 0.62, y: s.y - h / 2, w, h }
})
const tall = computed(() =>
  Math.max(180, Math.min(330, ((size.width.value || 600) * frame.value.h) / frame.value.w)),
)
/** A ramp from above: darker the lower it lies. */
const slip = computed(() => {
  const s = task.value?.slip
  if (!s) return undefined
  const count = 12
  const wide = (s.top - s.edge) / count
  const steps = Array.from({ length: count }, (_, i) => ({
    x: s.top - (i + 1) * wide,
    wide,
    dark: (0.35 * (i + 1)) / count,
  }))
  return { ...s, steps, one: Math.round(1 / s.fall) }
})
const tasks = computed(() => (scene.value?.tasks ?? []).map((t) => ({ value: t.id, name: t.name })))
</script>

<template>
  <div class="plate p-3" data-drive>
    <h2 class="text-lg leading-tight font-bold" role="status" :data-done="score?.done || undefined">
      <template v-if="score">{{ say(score.says) }}</template>
      <template v-else-if="running && seen?.stuck">Pull ahead: steering no longer straightens it</template>
      <template v-else-if="running && (seen?.touch || seen?.folded)">It touches: go the other way</template>
      <template v-else>{{ task ? say(task.says) : 'Reverse your own rig' }}</template>
    </h2>
    <p v-if="score" class="text-soft">
      {{ print('time', score.seconds) }}, {{ print('length', score.off) }} off the way on average. Stand still
      within the goal to end it.
    </p>
    <p v-else-if="scene?.outline.usual.length" class="text-soft text-sm">
      Not in the plan, so typical: {{ scene.outline.usual.map((u) => say(u)).join(', ') }}.
    </p>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <div class="mt-2 flex flex-wrap items-end gap-x-4 gap-y-2">
      <ChoiceField
        class="w-60"
        label="Task"
        :value="taskId"
        :options="tasks"
        @chosen="taskId = $event ?? 'straight'"
      />
      <button v-if="!running" class="act-main min-h-11" @click="start">
        <PlayIcon class="size-5" />Drive
      </button>
      <button v-else class="act min-h-11" @click="end"><StopIcon class="size-5" />End it</button>
      <button v-if="score && hands.length" class="act min-h-11" @click="replay">See it again</button>
      <SwitchField
        :label="`A ${term('drawbar')} ${print('length', 0.6)} longer`"
        :value="longer"
        @set="longer = $event"
      />
      <SwitchField label="Show the angle beyond which it folds" :value="hints" @set="hints = $event" />
      <SwitchField label="Sound" :value="sound" @set="sound = $event" />
    </div>
    <div
      ref="field"
      class="bg-wash mt-2 w-full overflow-hidden rounded-lg"
      tabindex="0"
      role="application"
      aria-label="The rig from above: arrow keys left and right turn the wheel, up and down drive, C sets the wheel straight"
      @keydown="down"
      @keyup="up"
      @blur="((turned = 0), (pedal = 0))"
    >
      <svg
        v-if="scene && task && seen"
        class="block w-full"
        :height="tall"
        :viewBox="`${frame.x} ${-frame.y - frame.h} ${frame.w} ${frame.h}`"
        preserveAspectRatio="xMidYMid meet"
        :data-tick="seen.tick"
        :data-x="seen.x"
        :data-steer="seen.steer"
        aria-hidden="true"
      >
        <g transform="scale(1 -1)">
          <g v-if="slip">
            <rect class="water" :x="frame.x" :y="frame.y" :width="slip.edge - frame.x" :height="frame.h" />
            <rect
              v-for="(s, i) in slip.steps"
              :key="i"
              class="fall"
              :x="s.x"
              :y="-slip.half"
              :width="s.wide"
              :height="2 * slip.half"
              :style="{ opacity: s.dark }"
            />
            <g transform="scale(1 -1)">
              <text class="told" :x="slip.top + 1" :y="slip.half + 1.3">falls 1 in {{ slip.one }}</text>
              <text class="told" text-anchor="end" :x="slip.edge - 0.5" :y="slip.half + 1.3">water</text>
            </g>
          </g>
          <polyline class="way" :points="task.ideal.map((p) => p.join(',')).join(' ')" />
          <rect
            class="goal"
            :x="-task.goal.along"
            :y="-task.goal.across - scene.outline.track / 2"
            :width="2 * task.goal.along"
            :height="2 * task.goal.across + scene.outline.track"
            :transform="`translate(${task.goal.x} ${task.goal.y}) rotate(${(task.goal.heading * 180) / Math.PI})`"
          />
          <polygon
            v-for="(w, i) in task.walls"
            :key="i"
            class="wall"
            :points="w.map((p) => p.join(',')).join(' ')"
          />
          <RigAbove v-if="ghostNow" :outline="scene.outline" :seen="ghostNow" ghost />
          <RigAbove :outline="scene.outline" :seen="seen" :hints="hints" />
        </g>
      </svg>
    </div>
    <div class="mt-2 grid grid-cols-[1fr_auto_auto] items-center gap-3">
      <label class="min-w-0">
        <span class="text-soft text-sm">Steering wheel</span>
        <input
          type="range"
          class="wheel h-11 w-full"
          min="-100"
          max="100"
          :value="-steer"
          :disabled="!running"
          aria-label="Steering wheel, right is right"
          @input="steer = -Number(($event.target as HTMLInputElement).value)"
        />
      </label>
      <button
        v-for="[name, icon, value] in [
          ['Back', ArrowDownIcon, -70],
          ['Ahead', ArrowUpIcon, 70],
        ] as const"
        :key="name"
        class="act size-16 flex-col justify-center touch-none select-none"
        :disabled="!running"
        :aria-label="name"
        @pointerdown.prevent="pedal = value"
        @pointerup="pedal = 0"
        @pointerleave="pedal = 0"
        @pointercancel="pedal = 0"
        @keydown.enter.space.prevent="pedal = value"
        @keyup="pedal = 0"
      >
        <component :is="icon" class="size-6" />{{ name }}
      </button>
    </div>
    <p class="text-soft mt-2 text-sm">
      Hold the wheel at the bottom: move your hand the way the tail should go. Walking pace, no slip; every
      task is driven as on level ground. A real yard has people in it: get out and look.
      <template v-if="bestHere"
        >Your best: {{ bestHere.points }} points in {{ print('time', bestHere.seconds) }}.</template
      >
    </p>
  </div>
</template>

<style scoped>
.wall {
  fill: var(--soft);
}
.goal {
  fill: none;
  stroke: var(--holds);
  stroke-width: 0.12;
  stroke-dasharray: 0.4 0.25;
}
.way {
  fill: none;
  stroke: var(--rule);
  stroke-width: 0.08;
}
.water {
  fill: var(--deep);
  opacity: 0.22;
}
.fall {
  fill: var(--steel);
}
.told {
  font-size: 0.9px;
  fill: var(--ink);
}
.wheel {
  accent-color: var(--deep);
}
</style>
