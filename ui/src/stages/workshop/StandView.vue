<script setup lang="ts">
// The work from above as it stands at a step: what is on, what comes now, what is taped there.
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import SceneShape from '@/drawing/SceneShape.vue'
import '@/drawing/drawing.css'
import type { Stand, WorkStep } from '@/generated/types'

const props = defineProps<{ stand: Stand; steps: WorkStep[]; at: number }>()
const box = useTemplateRef<HTMLElement>('box')
const size = useElementSize(box)
const wide = computed(() => (props.stand.max[0] ?? 1) - (props.stand.min[0] ?? 0))
const high = computed(() => (props.stand.max[1] ?? 1) - (props.stand.min[1] ?? 0))
const scale = computed(() => Math.min(((size.width.value || 300) - 4) / wide.value, 200 / high.value))
const place = computed(() => new Map(props.steps.map((s, i) => [s.id, i])))
const groups = computed(() =>
  props.stand.groups
    .map((g) => ({ ...g, place: place.value.get(g.step) ?? 0 }))
    .filter((g) => !g.tapes || g.place === props.at),
)
</script>

<template>
  <div ref="box" class="w-full overflow-hidden" aria-hidden="true" data-stand>
    <svg
      class="drawing"
      :viewBox="`${stand.min[0]} ${stand.min[1]} ${wide} ${high}`"
      :width="wide * scale"
      :height="high * scale"
    >
      <g v-for="g in groups" :key="g.step" :class="g.place === at ? 'now' : g.place < at ? '' : 'later'">
        <SceneShape v-for="(s, i) in g.shapes" :key="i" :shape="s" :scale="scale" />
      </g>
    </svg>
  </div>
</template>

<style scoped>
.later {
  opacity: 0.14;
}
.now :deep(*) {
  stroke: var(--tight);
}
.now :deep(.push) {
  fill: none;
  stroke-width: 3;
  stroke-dasharray: 7 5;
  vector-effect: non-scaling-stroke;
}
</style>
