<script setup lang="ts">
// The drive on: the machine at the scrubber's place, three curves under it on the same
// places. With reduced motion it steps.
import { useElementSize, useMediaQuery, useRafFn } from '@vueuse/core'
import { PauseIcon, PlayIcon } from '@heroicons/vue/20/solid'
import { computed, ref, useTemplateRef, watch } from 'vue'
import '@/drawing/drawing.css'
import SceneShape from '@/drawing/SceneShape.vue'
import NeedFields from '@/fields/NeedFields.vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import DriveCurve from './DriveCurve.vue'

const workspace = useWorkspace()
const { say, term } = useWords()
const drive = computed(() => workspace.settledReport?.drive)
/** Why there is no drive to be seen, and what would show it. */
const untold = computed(() => workspace.settledReport?.findings.find((f) => f.code === 'ramp.setup'))
const at = ref(0)
const last = computed(() => Math.max(0, (drive.value?.steps.length ?? 1) - 1))
watch(
  () => drive.value?.worst,
  (worst) => (at.value = worst ?? 0),
  { immediate: true },
)
const step = computed(() => drive.value?.steps[Math.min(Math.round(at.value), last.value)])
const frame = useTemplateRef<HTMLElement>('frame')
const size = useElementSize(frame)
const view = computed(() => drive.value?.view)
const width = computed(() => (view.value ? view.value.max[0] - view.value.min[0] : 1))
const height = computed(() => (view.value ? view.value.max[1] - view.value.min[1] : 1))
const scale = computed(() => Math.max(20, Math.min((size.width.value - 4) / width.value, 330 / height.value)))

const still = useMediaQuery('(prefers-reduced-motion: reduce)')
const whole = 5000 // ms for the whole way
const { isActive, pause, resume } = useRafFn(
  ({ delta }) => {
    at.value = Math.min(last.value, at.value + (delta / whole) * last.value)
    if (at.value >= last.value) pause()
  },
  { immediate: false },
)
function play() {
  if (isActive.value) return pause()
  if (still.value) {
    at.value = at.value >= last.value ? 0 : Math.min(last.value, Math.round(at.value) + 5)
    return
  }
  if (at.value >= last.value) at.value = 0
  resume()
}
const curves = computed(() => {
  const d = drive.value
  if (!d) return []
  return [
    { name: `At the ${term('coupling')}`, curve: d.ball },
    { name: 'Under the belly', curve: d.clear },
    ...(d.line ? [{ name: 'On the line', curve: d.line }] : []),
  ]
})
/** The curves run from the right, where it starts, to the left, as the drawing does. */
const places = computed(() => {
  const v = view.value
  return (drive.value?.steps ?? []).map((s) => (v ? (s.x - v.min[0]) * scale.value : 0))
})
</script>

<template>
  <div class="plate shrink-0 p-3" data-drive :data-step="Math.round(at)">
    <template v-if="!drive">
      <p class="font-bold" data-untold>{{ untold ? say(untold.says) : 'Not known yet.' }}</p>
      <NeedFields :needs="untold?.needs" />
    </template>
    <template v-else>
      <div ref="frame" class="overflow-hidden">
        <svg
          class="drawing"
          data-view="drive"
          :viewBox="`${view!.min[0]} ${view!.min[1]} ${width} ${height}`"
          :width="width * scale"
          :height="height * scale"
          role="img"
          aria-label="The machine on its way onto the trailer"
        >
          <SceneShape v-for="(s, i) in view!.shapes" :key="i" :shape="s" :scale="scale" />
          <g
            v-if="step"
            :transform="`translate(${step.x} ${-step.z}) rotate(${(step.pitch * 180) / Math.PI})`"
            data-machine
          >
            <SceneShape v-for="(s, i) in drive.machine" :key="i" :shape="s" :scale="scale" />
          </g>
        </svg>
        <p v-if="!drive.steps.length" class="text-fails mt-1 font-semibold" role="alert">
          {{ say(drive.why) }}
        </p>
        <template v-else>
          <DriveCurve
            v-for="c in curves"
            :key="c.name"
            :name="c.name"
            :curve="c.curve"
            :places="places"
            :at="Math.round(at)"
            :width="width * scale"
          />
        </template>
      </div>
      <div v-if="drive.steps.length" class="no-print mt-2 flex flex-wrap items-center gap-2">
        <button class="act" :aria-pressed="isActive" @click="play">
          <component :is="isActive ? PauseIcon : PlayIcon" class="size-5" />
          {{ isActive ? 'Hold' : still ? 'Step' : 'Drive on' }}
        </button>
        <label class="min-w-40 flex-1">
          <span class="sr-only">Place on the way</span>
          <input
            v-model.number="at"
            type="range"
            class="accent-deep h-11 w-full"
            min="0"
            :max="last"
            step="1"
            :aria-valuetext="`${Math.round((at / Math.max(1, last)) * 100)} % of the way`"
          />
        </label>
        <button class="act" @click="at = drive.worst">Worst moment</button>
        <button class="act" @click="at = last">Home</button>
      </div>
    </template>
  </div>
</template>
