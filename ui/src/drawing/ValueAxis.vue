<script setup lang="ts">
// The one axis of values: lines across with their figures at the left.
import type { ScaleLinear } from 'd3-scale'
import { computed } from 'vue'
import './axis.css'

const props = defineProps<{
  scale: ScaleLinear<number, number>
  wide: number
  print: (v: number) => string
}>()
const ticks = computed(() => props.scale.ticks(3).map((t) => ({ y: props.scale(t), name: props.print(t) })))
</script>

<template>
  <g class="axis">
    <template v-for="t in ticks" :key="t.y">
      <path :d="`M0 ${t.y}H${wide}`" />
      <text x="2" :y="t.y - 3">{{ t.name }}</text>
    </template>
  </g>
</template>
