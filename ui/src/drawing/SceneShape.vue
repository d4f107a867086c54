<script setup lang="ts">
// One primitive of the core's scene. SVG files are drawn from the same few.
import { computed } from 'vue'
import type { Shape } from '@/generated/types'
import { useWords } from '@/words'

const props = defineProps<{ shape: Shape; scale: number }>()
const { say } = useWords()
const points = computed(() => props.shape.points.map((p) => `${round(p[0])},${round(p[1])}`).join(' '))
/** A text that must fit is cut by the usual width of a letter at 13 px. */
const label = computed(() => {
  const text = say(props.shape.says)
  const fits = props.shape.room ? Math.floor((props.shape.room * props.scale) / 7.2) : Infinity
  const letters = [...text]
  return letters.length <= fits ? text : letters.slice(0, Math.max(1, fits - 1)).join('') + '…'
})
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
  <text
    v-else
    :class="shape.class"
    :x="shape.points[0]![0]"
    :y="shape.points[0]![1]"
    :text-anchor="anchor"
    dominant-baseline="middle"
    :font-size="13 / scale"
  >
    {{ label }}
  </text>
</template>
