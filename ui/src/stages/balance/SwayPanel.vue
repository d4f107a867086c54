<script setup lang="ts">
// How it tows: damping of snaking over speed, with its band, against the
// arrangement that was kept.
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import type { Chart } from '@/generated/types'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { say, print, term } = useWords()
const chart = computed(() =>
  workspace.preview
    ? (workspace.report?.sway ?? workspace.settledReport?.sway)
    : workspace.settledReport?.sway,
)
const kept = computed(() => workspace.kept?.report.sway)
const frame = useTemplateRef<HTMLElement>('frame')
const size = useElementSize(frame)
const width = computed(() => Math.max(280, Math.min(760, size.width.value)))
const height = 230
const room = { left: 48, right: 14, top: 12, bottom: 34 }

const all = computed(() => [chart.value, kept.value].filter((c): c is Chart => !!c))
const least = computed(() => Math.min(0, ...all.value.flatMap((c) => c.curve.map((p) => p.low))))
const most = computed(() => Math.max(0.3, ...all.value.flatMap((c) => c.curve.map((p) => p.high))))
const slowest = computed(() => chart.value?.curve[0]?.speed ?? 10)
const fastest = computed(() => chart.value?.curve.at(-1)?.speed ?? 40)
const x = (v: number) =>
  room.left + ((v - slowest.value) / (fastest.value - slowest.value)) * (width.value - room.left - room.right)
const y = (z: number) =>
  room.top + ((most.value - z) / (most.value - least.value)) * (height - room.top - room.bottom)
const line = (c: Chart) => c.curve.map((p, i) => `${i ? 'L' : 'M'}${x(p.speed)} ${y(p.damping)}`).join('')
const band = (c: Chart) =>
  [...c.curve.map((p) => [p.speed, p.high]), ...[...c.curve].reverse().map((p) => [p.speed, p.low])]
    .map(([v, z], i) => `${i ? 'L' : 'M'}${x(v!)} ${y(z!)}`)
    .join('') + 'Z'
const speeds = computed(() => {
  const unit = workspace.locale.units === 'imperial' ? 0.44704 : 1 / 3.6
  const step = width.value < 480 ? 40 : 20 // as many as have room
  const out: number[] = []
  for (let v = Math.ceil(slowest.value / unit / step) * step; v * unit <= fastest.value; v += step)
    out.push(v * unit)
  return out
})
const rates = computed(() => {
  const out: number[] = []
  for (let z = Math.ceil(least.value * 10) / 10; z <= most.value + 1e-9; z += most.value > 0.8 ? 0.2 : 0.1)
    out.push(Math.round(z * 10) / 10)
  return out
})
const signed = (d: number) => (d > 0 ? '+' : '') + print('share', d)
</script>

<template>
  <div class="plate shrink-0 p-3" data-sway>
    <h2 class="text-lg font-bold">How it tows</h2>
    <p v-if="!chart" class="text-soft">
      Not known yet: enter the car’s {{ say([{ term: 'curb weight' }]) }}, the people and all loads.
    </p>
    <template v-else>
      <p class="mt-0.5 leading-snug">{{ say(chart.says) }}</p>
      <p v-if="kept" class="font-semibold">
        Against A at {{ print('speed', chart.compare.speed) }}:
        {{ signed(chart.compare.damping - kept.compare.damping) }} damping.
      </p>
      <div ref="frame" class="mt-2">
        <svg :width="width" :height="height" role="img" aria-label="Damping over speed" class="sway block">
          <g v-for="z in rates" :key="z">
            <path
              :d="`M${room.left} ${y(z)}H${width - room.right}`"
              class="grid"
              :class="{ zero: z === 0 }"
            />
            <text :x="room.left - 6" :y="y(z) + 4" text-anchor="end">{{ print('share', z) }}</text>
          </g>
          <g v-for="v in speeds" :key="v">
            <path :d="`M${x(v)} ${height - room.bottom}v5`" class="tick" />
            <text :x="x(v)" :y="height - 12" text-anchor="middle">{{ print('speed', v) }}</text>
          </g>
          <path :d="band(chart)" class="band" />
          <path :d="`M${room.left} ${y(chart.slow)}H${width - room.right}`" class="limit" />
          <text :x="room.left + 4" :y="y(chart.slow) - 5">dies out slowly below</text>
          <path v-if="kept" :d="line(kept)" class="kept" />
          <path :d="line(chart)" class="now" />
          <path :d="`M${x(chart.speed)} ${room.top}V${height - room.bottom}`" class="outing" />
          <circle :cx="x(chart.speed)" :cy="y(chart.now.damping)" r="5" class="dot" />
          <text :x="x(chart.speed) + 8" :y="room.top + 10">this outing</text>
        </svg>
      </div>
      <p class="text-soft text-sm">
        Share of each swing that is damped; the band shows what {{ term('tyre') }}s and car may be
        like.<template v-if="kept"> Dashed: A, kept.</template>
        It compares arrangements and promises nothing. When it snakes, ease off: do not brake or steer against
        it.
      </p>
    </template>
  </div>
</template>

<style scoped>
.sway text {
  font-size: 13px;
  fill: var(--soft);
}
.grid {
  stroke: var(--rule);
  stroke-width: 1;
}
.grid.zero {
  stroke: var(--soft);
}
.tick {
  stroke: var(--soft);
}
.band {
  fill: var(--deep);
  fill-opacity: 0.16;
}
.now {
  fill: none;
  stroke: var(--deep);
  stroke-width: 3;
}
.kept {
  fill: none;
  stroke: var(--soft);
  stroke-width: 2.5;
  stroke-dasharray: 7 5;
}
.limit {
  stroke: var(--tight);
  stroke-width: 2;
  stroke-dasharray: 2 4;
}
.outing {
  stroke: var(--ink);
  stroke-dasharray: 3 3;
}
.dot {
  fill: var(--panel);
  stroke: var(--ink);
  stroke-width: 2.5;
}
</style>
