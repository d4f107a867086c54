<script setup lang="ts">
// A tank over every fill: its water, the ball, the minutes that the pump has.
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { api } from '@/api'
import SceneShape from '@/drawing/SceneShape.vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import EstimateField from '@/fields/EstimateField.vue'
import PlanFields from '@/fields/PlanFields.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import ProfileFields from '@/fields/ProfileFields.vue'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import { standFields, tankFields } from '../job/tankFields'

const workspace = useWorkspace()
const { say, nominal, print } = useWords()
const { data, failure } = useStudy(api.filling)

const chosen = ref('')
const tanks = computed(() => data.value?.tanks ?? [])
const tank = computed(() => tanks.value.find((t) => t.path === chosen.value) ?? tanks.value[0])
const load = computed(() => workspace.plan?.loads[tank.value?.path.split('/')[2] ?? ''])
const names = computed(() => tanks.value.map((t) => ({ value: t.path, name: say([t.name]) })))

const at = ref(0)
watch(
  () => [tank.value?.path, tank.value?.now],
  () => (at.value = tank.value?.now ?? 0),
  { immediate: true },
)
const step = computed(() => tank.value?.steps[Math.min(at.value, (tank.value?.steps.length ?? 1) - 1)])

const box = useTemplateRef<HTMLElement>('box')
const size = useElementSize(box)
const width = computed(() => Math.min(620, Math.max(220, (size.width.value || 300) - 4)))
const height = 170
const ends = computed(() => {
  const all = (tank.value?.steps ?? []).flatMap((s) => [s.brakes, s.pulls, ...s.window])
  const [low, high] = [Math.min(...all), Math.max(...all)]
  const pad = Math.max(2, (high - low) * 0.08)
  return [low - pad, high + pad] as const
})
const x = (i: number) => 8 + (i / Math.max(1, (tank.value?.steps.length ?? 1) - 1)) * (width.value - 16)
const y = (kg: number) =>
  height - 10 - ((kg - ends.value[0]) / (ends.value[1] - ends.value[0])) * (height - 22)
const path = (of: (s: NonNullable<typeof step.value>) => number) =>
  (tank.value?.steps ?? []).map((s, i) => `${i ? 'L' : 'M'}${x(i)} ${y(of(s))}`).join('')
const band = computed(() => {
  const steps = tank.value?.steps ?? []
  const top = steps.map((s, i) => `${i ? 'L' : 'M'}${x(i)} ${y(s.window[1])}`).join('')
  const back = steps.map((s, i) => `L${x(i)} ${y(s.window[0])}`).reverse()
  return top ? `${top}${back.join('')}Z` : ''
})
// the tank from the left and from behind, one scale for both
const wide = computed(() =>
  Math.max(
    0.4,
    ...[tank.value?.side, tank.value?.behind].flatMap((s) => [
      ...(s?.points ?? []).map((p) => 2 * Math.abs(p[0])),
      2 * (s?.radius ?? 0),
    ]),
  ),
)
const high = computed(() => Math.max(0.3, ...(tank.value?.steps ?? []).map((s) => s.level)))
</script>

<template>
  <div class="plate p-3" data-tank :data-step="at">
    <template v-if="!tank">
      <h2 class="text-lg font-bold">A tank at every fill</h2>
      <p class="mt-1 max-w-2xl">
        Add a tank under Job, with its length, width and height, and place it on this outing: then its water,
        the ball and the pump’s minutes are shown from empty to full.
      </p>
      <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    </template>
    <template v-else>
      <h2 class="text-lg leading-tight font-bold" role="status">
        <template v-if="step"
          >{{ print('share', step.fill) }} full: {{ print('fuel', Math.round(step.litres)) }},
          {{ nominal(step.ball) }} on the ball<template v-if="step.minutes !== undefined"
            >, {{ print('time', step.minutes * 60) }} of the pump</template
          ></template
        >
      </h2>
      <p>{{ say(tank.says) }}</p>
      <p v-if="tank.tyres?.length" class="text-soft">
        {{ say(tank.tyres)
        }}<template v-if="step?.pressure !== undefined">
          At this fill: {{ print('pressure', step.pressure) }}.</template
        >
      </p>
      <div class="mt-1 flex items-center gap-2">
        <label class="flex-1">
          <span class="sr-only">How full the tank is</span>
          <input
            v-model.number="at"
            type="range"
            class="accent-deep h-11 w-full"
            min="0"
            :max="tank.steps.length - 1"
            step="1"
            :aria-valuetext="print('share', step?.fill ?? 0)"
          />
        </label>
        <button class="act min-h-11" @click="at = tank.now">As it is</button>
      </div>
      <div class="grid grid-cols-2 gap-2" aria-hidden="true">
        <figure v-for="(shape, i) in [tank.side, tank.behind]" :key="i">
          <svg
            class="drawing w-full"
            :viewBox="`${-wide / 2 - 0.05} ${-high - 0.05} ${wide + 0.1} ${high + 0.1}`"
            style="max-height: 150px"
          >
            <clipPath :id="`tank-${i}`"><SceneShape :shape="shape" :scale="100" /></clipPath>
            <rect
              :x="-wide"
              :y="-(step?.level ?? 0)"
              :width="2 * wide"
              :height="step?.level ?? 0"
              class="water"
              :clip-path="`url(#tank-${i})`"
            />
            <SceneShape :shape="shape" :scale="100" />
          </svg>
          <figcaption class="text-soft text-center text-sm">
            {{ i ? 'from behind' : 'from the left' }}
          </figcaption>
        </figure>
      </div>
      <div ref="box" class="mt-2 w-full overflow-hidden">
        <svg
          :width="width"
          :height="height"
          role="img"
          aria-label="The ball load over the fill, with its window"
        >
          <path :d="band" class="band" />
          <path :d="path((s) => s.brakes)" class="runs" />
          <path :d="path((s) => s.pulls)" class="runs" />
          <path :d="path((s) => s.ball.value)" class="ball" />
          <text x="10" y="12">{{ print('mass', ends[1]) }}</text>
          <text x="10" :y="height - 2">{{ print('mass', ends[0]) }}, empty</text>
          <text :x="width - 8" :y="height - 2" text-anchor="end">full</text>
          <circle v-if="step" :cx="x(at)" :cy="y(step.ball.value)" r="6" class="here" />
        </svg>
      </div>
      <p class="text-soft text-sm">
        The ball from empty to full, its window shaded; dashed, as the water runs forward under braking ({{
          print('mass', step?.brakes ?? 0)
        }}) and back when pulling away ({{ print('mass', step?.pulls ?? 0) }}).
      </p>
      <div class="no-print mt-3 grid grid-cols-2 items-end gap-x-4 gap-y-3 lg:grid-cols-4">
        <ChoiceField
          v-if="tanks.length > 1"
          label="Tank"
          :value="tank.path"
          :options="names"
          @chosen="chosen = $event ?? ''"
        />
        <PlanQuantity :path="`${tank.path}/tank/fill`" label="Filled to" />
        <EstimateField :path="`${tank.path}/tank/capacity`" label="It holds" hint="from its size" />
        <PlanFields :base="`${tank.path}/tank`" :fields="tankFields(load?.tank)" />
        <PlanFields :base="`${tank.path}/tank`" :fields="standFields(load?.tank)" />
        <ProfileFields
          v-if="load?.tank?.legs"
          :path="`${tank.path}/tank/leg`"
          :profile="load.tank.leg ?? { shape: '', height: 0, material: 's235' }"
          label="A leg"
        />
      </div>
    </template>
  </div>
</template>

<style scoped>
.water {
  fill: var(--deep);
  opacity: 0.45;
}
svg :deep(.tank) {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}
clipPath :deep(.tank) {
  fill: #000;
}
text {
  fill: var(--soft);
  font-size: 12px;
}
.band {
  fill: var(--rule);
  opacity: 0.5;
}
.ball {
  fill: none;
  stroke: var(--deep);
  stroke-width: 3;
}
.runs {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
  stroke-dasharray: 5 4;
}
.here {
  fill: var(--panel);
  stroke: var(--ink);
  stroke-width: 3;
}
</style>
