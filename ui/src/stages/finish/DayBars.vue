<script setup lang="ts">
// The steps as bars over the days: work solid, drying open, the late end as a thin line.
import { useElementSize } from '@vueuse/core'
import { scaleUtc } from 'd3-scale'
import { computed, useTemplateRef } from 'vue'
import { wall } from '@/days'
import TimeAxis from '@/drawing/TimeAxis.vue'
import type { WorkDays } from '@/generated/types'
import { useWords } from '@/words'

const props = defineProps<{ days: WorkDays }>()
const { say } = useWords()
const box = useTemplateRef<HTMLElement>('box')
const size = useElementSize(box)
const wide = computed(() => Math.max(260, (size.width.value || 300) - 2))
const rows = computed(() => props.days.rows.filter((r) => !r.done && r.from && r.to))
const row = 34
const height = computed(() => 24 + rows.value.length * row)
const scale = computed(() => {
  const ends = rows.value.flatMap((r) => [r.to, r.dry, r.late].filter(Boolean) as string[])
  const last = ends.reduce((a, b) => (b > a ? b : a), props.days.ready ?? props.days.from)
  return scaleUtc([wall(props.days.from), wall(last)], [8, wide.value - 8]).nice()
})
/** A sentence as far as its words have room beside its bar. */
function short(s: string) {
  if (s.length <= 60) return s
  const cut = s.slice(0, 59)
  return cut.slice(0, cut.lastIndexOf(' ')).replace(/[,;:]$/, '') + ' …'
}
const x = (s: string) => scale.value(wall(s))
</script>

<template>
  <div ref="box" class="w-full overflow-hidden">
    <svg :width="wide" :height="height" role="img" aria-label="The steps over the days">
      <TimeAxis :scale="scale" :height="height" :wide="wide" />
      <g v-for="(r, i) in rows" :key="r.id" :transform="`translate(0 ${24 + i * row})`">
        <text
          :x="x(r.from!) > wide * 0.6 ? x(r.from!) - 4 : x(r.from!)"
          y="11"
          :text-anchor="x(r.from!) > wide * 0.6 ? 'end' : 'start'"
        >
          {{ short(say(r.says)) }}
        </text>
        <path v-if="r.late" class="late" :d="`M${x(r.to!)} 21H${x(r.late)}`" />
        <rect
          v-if="r.dry"
          class="dry"
          :x="x(r.to!)"
          y="17"
          :width="Math.max(1, x(r.dry) - x(r.to!))"
          height="8"
        />
        <rect
          class="work"
          :class="{ chain: r.chain }"
          :x="x(r.from!)"
          y="16"
          :width="Math.max(3, x(r.to!) - x(r.from!))"
          height="10"
        />
      </g>
    </svg>
    <p class="text-soft text-sm">
      Dark bars decide the finish; open ones are drying or away; thin lines reach to the late finish.
    </p>
  </div>
</template>

<style scoped>
text {
  fill: var(--ink);
  font-size: 12px;
}
.work {
  fill: var(--panel);
  stroke: var(--deep);
  stroke-width: 2;
}
.work.chain {
  fill: var(--deep);
}
.dry {
  fill: none;
  stroke: var(--soft);
  stroke-dasharray: 3 3;
}
.late {
  stroke: var(--soft);
  stroke-width: 1;
  fill: none;
}
</style>
