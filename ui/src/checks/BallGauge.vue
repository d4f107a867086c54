<script setup lang="ts">
// The ball load on its scale: the allowed window, the figure, its range of doubt.
import { computed } from 'vue'
import FigureButton from './FigureButton.vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

defineProps<{ name: string }>()
const workspace = useWorkspace()
const { nominal, print } = useWords()
const f = computed(() => workspace.report?.figures)
const span = computed(() => {
  const high = Math.max(f.value?.window?.high ?? 0, f.value?.ball?.high ?? f.value?.ball?.value ?? 0) * 1.2
  const low = Math.min(0, (f.value?.ball?.low ?? f.value?.ball?.value ?? 0) * 1.2)
  return { low, high: Math.max(high, low + 1) }
})
const at = (kg: number) => (100 * (kg - span.value.low)) / (span.value.high - span.value.low)
</script>

<template>
  <div data-ball-gauge>
    <p class="flex items-baseline justify-between gap-2">
      <span class="font-semibold">{{ name }}</span>
      <span
        ><FigureButton code="balance.ball-window" class="text-xl" data-ball>{{
          nominal(f?.ball)
        }}</FigureButton
        ><span v-if="f?.share" class="text-soft"> · {{ nominal(f.share) }}</span></span
      >
    </p>
    <svg v-if="f?.ball" class="h-4 w-full" viewBox="0 0 100 12" preserveAspectRatio="none" aria-hidden="true">
      <rect x="0" y="4" width="100" height="4" class="fill-wash" />
      <rect
        v-if="f.window && f.window.high > f.window.low"
        :x="at(f.window.low)"
        y="1"
        :width="at(f.window.high) - at(f.window.low)"
        height="10"
        class="fill-holds"
        fill-opacity=".3"
      />
      <rect
        v-if="f.ball.low !== undefined"
        :x="at(f.ball.low)"
        y="4"
        :width="Math.max(0, at(f.ball.high ?? 0) - at(f.ball.low))"
        height="4"
        class="fill-unknown"
        fill-opacity=".55"
      />
      <rect :x="at(f.ball.value) - 0.6" y="0" width="1.2" height="12" class="fill-ink" />
    </svg>
    <p class="text-soft text-sm">
      <template v-if="f?.window"
        >Window {{ print('mass', f.window.low) }} to {{ print('mass', f.window.high) }}</template
      >
      <template v-if="f?.ball?.low !== undefined"
        >, may be {{ print('mass', f.ball.low) }} to {{ print('mass', f.ball.high ?? 0) }}</template
      >
    </p>
  </div>
</template>
