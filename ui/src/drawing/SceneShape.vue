<script setup lang="ts">
// One primitive of the core's scene. SVG files are drawn from the same few.
import { computed } from 'vue'
import type { Shape } from '@/generated/types'
import { useWords } from '@/words'
import { fitted, type Shift } from './labels'

const props = defineProps<{ shape: Shape; scale: number; shift?: Shift }>()
const { say } = useWords()
const points = computed(() => props.shape.points.map((p) => `${round(p[0])},${round(p[1])}`).join(' '))
const label = computed(() => fitted(say(props.shape.says), props.shape.room, props.scale))
const anchor = computed(() => props.shape.anchor as 'start' | 'middle' | 'end' | undefined)
const round = (v: number) => Math.round(v * 1e4) / 1e4
</script>

<template>
  <polygon v-if="shape.form === 'polygon'" :class="shape.class" :points="points" />
  <polyline v-else-if="shape.form === 'polyline'" :class="shape.class" :points="points" fill="none" />
  <circle
    v-else-if="shape.form === 'circle'"
    :class="shape.class"
    :cx="round(shape.points[0]![0])"
    :cy="round(shape.points[0]![1])"
    :r="shape.radius"
  />
  <template v-else>
    <path
      v-if="shift?.line"
      class="leader"
      :d="`M${shape.points[0]![0]} ${shape.points[0]![1]}l${shift.line.x / scale} ${shift.line.y / scale}`"
      fill="none"
    />
    <text
      :class="shape.class"
      :x="shape.points[0]![0] + (shift?.x ?? 0) / scale"
      :y="shape.points[0]![1] + (shift?.y ?? 0) / scale"
      :text-anchor="anchor"
      dominant-baseline="middle"
      :font-size="13 / scale"
    >
      {{ label }}
    </text>
  </template>
</template>
