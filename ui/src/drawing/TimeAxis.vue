<script setup lang="ts">
// The one axis of time: ticks on days, their names in the plan's region.
import type { ScaleTime } from 'd3-scale'
import { computed } from 'vue'
import './axis.css'
import { useDays } from '@/days'

const props = defineProps<{ scale: ScaleTime<number, number>; height: number; wide: number }>()
const { day } = useDays()
const ticks = computed(() =>
  props.scale
    .ticks(Math.max(2, Math.floor(props.wide / 110)))
    .map((t) => ({ x: props.scale(t), name: day(t.toISOString().slice(0, 10)) })),
)
/** The last name ends where the picture does. */
const anchor = (x: number) => (x > props.wide - 40 ? 'end' : 'middle')
</script>

<template>
  <g class="axis">
    <template v-for="t in ticks" :key="t.x">
      <path :d="`M${t.x} 16V${height}`" />
      <text :x="anchor(t.x) === 'end' ? wide - 2 : t.x" y="11" :text-anchor="anchor(t.x)">{{ t.name }}</text>
    </template>
  </g>
</template>
