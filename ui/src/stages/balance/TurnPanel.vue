<script setup lang="ts">
// What fits when it turns: the trailer swung about the ball, with the first touch.
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import SceneShape from '@/drawing/SceneShape.vue'
import '@/drawing/drawing.css'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { print, term } = useWords()
const swing = computed(() => workspace.settledReport?.swing)
const degrees = ref(0)
const angle = computed(() => (degrees.value * Math.PI) / 180)
const frame = useTemplateRef<HTMLElement>('frame')
const size = useElementSize(frame)
/** The car, and the side to which the tail goes. */
const view = computed(() => {
  const s = swing.value
  if (!s) return { x: 0, y: 0, width: 1, height: 1 }
  const aside = 1.3
  const y = degrees.value < 0 ? s.min[1] : -aside
  return { x: s.min[0], y, width: s.max[0] - s.min[0], height: s.max[1] + aside }
})
const scale = computed(() =>
  Math.max(24, Math.min((size.width.value - 4) / view.value.width, 420 / view.value.height)),
)
const touch = computed(() => (angle.value >= 0 ? swing.value?.right : swing.value?.left))
const touches = computed(
  () => touch.value?.angle !== undefined && Math.abs(angle.value) >= touch.value.angle - 1e-9,
)
const most = computed(() => Math.round(((swing.value?.most ?? 1.9) * 180) / Math.PI))
const words = (t?: { angle?: number; by?: string; on?: string }) =>
  t?.angle === undefined
    ? `free to ${print('angle', swing.value?.most ?? 0)}`
    : `${t.by || 'the load'} touches the ${t.on} at ${print('angle', t.angle)}`
const to = (t?: { angle?: number }, sign = 1) => {
  if (t?.angle !== undefined) degrees.value = Math.round(((sign * t.angle * 180) / Math.PI) * 10) / 10
}
</script>

<template>
  <div class="plate shrink-0 p-3" data-turn :data-touches="touches">
    <h2 class="text-lg font-bold">When it turns</h2>
    <p v-if="!swing" class="text-soft">Not known yet: enter the car, and the deck’s length and position.</p>
    <template v-else>
      <p class="leading-snug">
        Tail to the right: <b>{{ words(swing.right) }}</b>. Tail to the left: <b>{{ words(swing.left) }}</b>.
      </p>
      <p v-if="swing.longer" class="mt-1 leading-snug">
        For {{ print('angle', swing.wanted) }} the {{ term('drawbar') }} must be
        <b>{{ print('length', swing.longer.by) }}</b> longer: {{ term('ball load') }}
        {{ print('mass', swing.longer.ball) }} before its own weight<template v-if="swing.longer.bends"
          >, bending at the deck {{ print('share', swing.longer.bends) }} of what it is now</template
        >, that much longer to store, and in reverse it responds at
        {{ print('share', swing.longer.answers) }} of what it does now.
      </p>
      <div ref="frame" class="mt-2 overflow-hidden">
        <svg
          class="drawing mx-auto"
          data-view="plan"
          :viewBox="`${view.x} ${view.y} ${view.width} ${view.height}`"
          :width="view.width * scale"
          :height="view.height * scale"
          role="img"
          :aria-label="`Trailer at ${degrees}° to the car`"
        >
          <SceneShape v-for="(s, i) in swing.car" :key="`c${i}`" :shape="s" :scale="scale" />
          <g :transform="`rotate(${degrees})`" :class="{ touching: touches }">
            <SceneShape v-for="(s, i) in swing.trailer" :key="i" :shape="s" :scale="scale" />
          </g>
        </svg>
      </div>
      <div class="no-print mt-2 grid items-end gap-3 sm:grid-cols-[minmax(0,1fr)_9rem]">
        <label class="block">
          <span class="text-soft text-sm"
            >Tail to the left … right: {{ degrees }}°{{ touches ? ', touches' : '' }}</span
          >
          <input
            v-model.number="degrees"
            type="range"
            list="first-touches"
            class="accent-deep h-11 w-full"
            :min="-most"
            :max="most"
            step="1"
            :aria-valuetext="`${degrees}°${touches ? ', touches' : ''}`"
          />
        </label>
        <datalist id="first-touches">
          <option
            v-if="swing.left.angle !== undefined"
            :value="-Math.round((swing.left.angle * 180) / Math.PI)"
          />
          <option value="0" />
          <option
            v-if="swing.right.angle !== undefined"
            :value="Math.round((swing.right.angle * 180) / Math.PI)"
          />
        </datalist>
        <PlanQuantity :path="`/trailers/${workspace.trailer}/turnTo`" label="Turn as far as" hint="90°" />
      </div>
      <div class="no-print mt-2 flex flex-wrap gap-1.5">
        <button class="act" @click="degrees = 0">Straight</button>
        <button class="act" :disabled="swing.right.angle === undefined" @click="to(swing.right)">
          First touch, right
        </button>
        <button class="act" :disabled="swing.left.angle === undefined" @click="to(swing.left, -1)">
          First touch, left
        </button>
      </div>
    </template>
  </div>
</template>
