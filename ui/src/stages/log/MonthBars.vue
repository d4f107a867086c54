<script setup lang="ts">
// One figure over the months as bars.
import { useElementSize } from '@vueuse/core'
import { scaleBand, scaleLinear } from 'd3-scale'
import { computed, useTemplateRef } from 'vue'
import { useDays } from '@/days'
import ValueAxis from '@/drawing/ValueAxis.vue'

const props = defineProps<{
  name: string
  rows: { month: string; value: number }[]
  print: (v: number) => string
}>()
const { month } = useDays()
const box = useTemplateRef<HTMLElement>('box')
const size = useElementSize(box)
const wide = computed(() => Math.max(240, (size.width.value || 300) - 2))
const height = 120
const x = computed(() =>
  scaleBand(
    props.rows.map((r) => r.month),
    [44, wide.value - 4],
  ).padding(0.2),
)
const y = computed(() =>
  scaleLinear([0, Math.max(...props.rows.map((r) => r.value), 1e-9)], [height - 20, 16]).nice(3),
)
const every = computed(() => Math.ceil(props.rows.length / Math.max(1, Math.floor(wide.value / 90))))
</script>

<template>
  <figure ref="box" class="w-full overflow-hidden">
    <figcaption class="font-semibold">{{ name }}</figcaption>
    <svg :width="wide" :height="height" role="img" :aria-label="`${name} by month`">
      <ValueAxis :scale="y" :wide="wide" :print="print" />
      <g v-for="(r, i) in rows" :key="r.month">
        <rect :x="x(r.month)" :y="y(r.value)" :width="x.bandwidth()" :height="Math.max(0, y(0) - y(r.value))">
          <title>{{ month(r.month) }}: {{ print(r.value) }}</title>
        </rect>
        <text
          v-if="i % every === 0"
          :x="x(r.month)! + x.bandwidth() / 2"
          :y="height - 5"
          text-anchor="middle"
        >
          {{ month(r.month) }}
        </text>
      </g>
    </svg>
  </figure>
</template>

<style scoped>
rect {
  fill: var(--deep);
}
text {
  fill: var(--soft);
  font-size: 12px;
}
</style>
