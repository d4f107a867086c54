<script setup lang="ts">
// Car and trailer from above, in metres, y to the left.
import { computed } from 'vue'
import type { Outline, Seen } from '@/generated/types'

const props = defineProps<{ outline: Outline; seen: Seen; ghost?: boolean; hints?: boolean }>()
const degrees = (rad: number) => (rad * 180) / Math.PI
const car = computed(
  () => `translate(${props.seen.x} ${props.seen.y}) rotate(${degrees(props.seen.heading)})`,
)
const ball = computed(() => ({
  x: props.seen.x - props.outline.overhang * Math.cos(props.seen.heading),
  y: props.seen.y - props.outline.overhang * Math.sin(props.seen.heading),
}))
// behind the ball is above zero in the trailer's own frame
const trailer = computed(
  () =>
    `translate(${ball.value.x} ${ball.value.y}) rotate(${degrees(props.seen.heading - props.seen.hitch) + 180})`,
)
const half = computed(() => props.outline.track / 2)
const fan = computed(() => {
  const r = props.outline.length
  const c = props.outline.critical
  const at = (a: number) => `${r * Math.cos(a)} ${r * Math.sin(a)}`
  return `M0 0L${at(-c)}A${r} ${r} 0 0 1 ${at(c)}Z`
})
</script>

<template>
  <g :class="{ ghost }">
    <g v-if="hints && !ghost" :transform="`${car} translate(${-outline.overhang} 0) rotate(180)`">
      <path class="fan" :d="fan" />
    </g>
    <g :transform="trailer">
      <path class="bar" :d="`M0 0H${outline.length}`" />
      <rect
        class="deck"
        :class="{ stuck: seen.stuck || seen.folded }"
        :x="outline.trailer.front"
        :y="outline.trailer.left"
        :width="outline.trailer.rear - outline.trailer.front"
        :height="outline.trailer.right - outline.trailer.left"
      />
      <rect
        v-for="s in [-1, 1]"
        :key="s"
        class="tyre"
        :x="outline.length - 0.32"
        :y="s * half - 0.1"
        width="0.64"
        height="0.2"
      />
    </g>
    <g :transform="car">
      <rect
        class="body"
        :x="outline.car.rear"
        :y="outline.car.left"
        :width="outline.car.front - outline.car.rear"
        :height="outline.car.right - outline.car.left"
        rx="0.25"
      />
      <path class="bar" :d="`M${outline.car.rear} 0H${-outline.overhang}`" />
      <rect
        v-for="s in [-1, 1]"
        :key="s"
        class="tyre"
        x="-0.32"
        :y="s * 0.72 - 0.1"
        width="0.64"
        height="0.2"
      />
      <rect
        v-for="s in [-1, 1]"
        :key="`f${s}`"
        class="tyre"
        x="-0.32"
        y="-0.1"
        width="0.64"
        height="0.2"
        :transform="`translate(${outline.wheelbase} ${s * 0.72}) rotate(${degrees(seen.steer)})`"
      />
      <path class="glass" :d="`M${outline.wheelbase - 0.2} -0.6V0.6`" />
    </g>
    <circle class="ball" :cx="ball.x" :cy="ball.y" r="0.09" />
  </g>
</template>

<style scoped>
.body {
  fill: var(--car);
  stroke: var(--ink);
  stroke-width: 0.05;
}
.deck {
  fill: var(--load);
  stroke: var(--load-edge);
  stroke-width: 0.06;
}
.deck.stuck {
  stroke: var(--fails);
  stroke-width: 0.16;
}
.bar {
  fill: none;
  stroke: var(--steel);
  stroke-width: 0.12;
}
.tyre {
  fill: var(--ink);
}
.glass {
  stroke: var(--ink);
  stroke-width: 0.08;
}
.ball {
  fill: var(--deep);
}
.fan {
  fill: var(--deep);
  opacity: 0.12;
}
.ghost {
  opacity: 0.25;
}
</style>
