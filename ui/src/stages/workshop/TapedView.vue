<script setup lang="ts">
// A drawing of what was taped, as wide as there is room.
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import SceneView from '@/drawing/SceneView.vue'
import type { View } from '@/generated/types'

const props = defineProps<{ view: View; note?: string }>()
const box = useTemplateRef<HTMLElement>('box')
const size = useElementSize(box)
const scale = computed(() =>
  Math.min(
    ((size.width.value || 300) - 4) / (props.view.max[0] - props.view.min[0]),
    320 / (props.view.max[1] - props.view.min[1]),
  ),
)
</script>

<template>
  <figure ref="box" class="w-full overflow-hidden">
    <SceneView :view="view" :scale="scale" />
    <figcaption v-if="note" class="text-soft text-sm">{{ note }}</figcaption>
  </figure>
</template>

<style scoped>
figure :deep(.push) {
  fill: none;
  stroke: var(--deep);
  stroke-width: 3;
  vector-effect: non-scaling-stroke;
}
</style>
