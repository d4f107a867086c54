<script setup lang="ts">
// One figure along the drive, at the same places as the drawing over it.
import { computed } from 'vue'
import type { Curve } from '@/generated/types'
import type { Kind } from '@/quantities'
import { useWords } from '@/words'

const props = defineProps<{ name: string; curve: Curve; places: number[]; at: number; width: number }>()
const { print } = useWords()
const height = 64
const values = computed(() => props.curve.values)
const shown = computed(() => [
  ...values.value,
  ...(props.curve.limit === undefined ? [] : [props.curve.limit]),
])
const low = computed(() => Math.min(...shown.value))
const high = computed(() => Math.max(...shown.value))
const y = (v: number) => 6 + ((high.value - v) / Math.max(1e-9, high.value - low.value)) * (height - 12)
const line = computed(() => values.value.map((v, i) => `${i ? 'L' : 'M'}${props.places[i]} ${y(v)}`).join(''))
const kind = computed(() => props.curve.kind as Kind)
const now = computed(() => values.value[props.at] ?? 0)
const bad = computed(() => {
  const l = props.curve.limit
  const worst = values.value[props.curve.worst] ?? 0
  return l !== undefined && (props.curve.above ? worst < l : worst > l)
})
</script>

<template>
  <figure class="border-rule mt-1 border-t pt-1" :data-curve="name">
    <figcaption class="flex flex-wrap gap-x-3 text-sm">
      <b>{{ name }}: {{ print(kind, now) }}</b>
      <span :class="bad ? 'text-tight font-semibold' : 'text-soft'"
        >{{ curve.above ? 'least' : 'most' }} {{ print(kind, values[curve.worst] ?? 0) }}</span
      >
      <span v-if="curve.limit !== undefined" class="text-soft"
        >{{ curve.above ? 'not under' : 'not over' }} {{ print(kind, curve.limit) }}</span
      >
    </figcaption>
    <svg :width="width" :height="height" role="img" :aria-label="`${name} along the way`" class="block">
      <path
        v-if="curve.limit !== undefined"
        :d="`M0 ${y(curve.limit)}H${width}`"
        class="limit"
        vector-effect="non-scaling-stroke"
      />
      <path :d="line" class="now" />
      <circle :cx="places[curve.worst]" :cy="y(values[curve.worst] ?? 0)" r="4" class="worst" />
      <path :d="`M${places[at]} 0V${height}`" class="here" />
      <circle :cx="places[at]" :cy="y(now)" r="5" class="dot" />
    </svg>
  </figure>
</template>

<style scoped>
.now {
  fill: none;
  stroke: var(--deep);
  stroke-width: 3;
}
.limit {
  stroke: var(--tight);
  stroke-width: 2;
  stroke-dasharray: 2 4;
}
.here {
  stroke: var(--ink);
  stroke-dasharray: 3 3;
}
.worst {
  fill: var(--tight);
}
.dot {
  fill: var(--panel);
  stroke: var(--ink);
  stroke-width: 2.5;
}
</style>
