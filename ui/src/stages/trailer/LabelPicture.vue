<script setup lang="ts">
// What the label's number counts, in one picture: the trailer and its load
// together, or the load alone.
import { computed } from 'vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { print, term } = useWords()
const label = computed(() => workspace.plan?.trailers[workspace.trailer]?.label)
const rows = computed(() => {
  const readings = workspace.report?.labels ?? []
  const top = Math.max(...readings.map((r) => Math.max(r.own + r.load, r.mark)), 1) * 1.04
  const part = (x: number) => `${(Math.max(0, x) / top) * 100}%`
  return readings.map((r) => ({
    ...r,
    name: r.counts === 'gross' ? `Counts trailer and load, the ${term('gross')}` : 'Counts the load alone',
    on: r.meant,
    at: part(r.mark),
    part,
    top,
  }))
})
/** What stands in a part of the bar: as much as it has room for. */
function word(of: string, kg: number, top: number): string {
  if (kg < 0.13 * top) return ''
  return kg < 0.3 * top ? print('mass', kg) : `${of} ${print('mass', kg)}`
}
</script>

<template>
  <div v-if="label && rows.length" class="mt-3" data-label-picture>
    <p class="text-soft text-sm">The label says {{ print('mass', label.value) }}. What it counts decides:</p>
    <div v-for="r in rows" :key="r.name" class="mt-1.5" :class="{ 'text-soft': !r.on }">
      <p class="text-sm leading-tight">
        <b>{{ r.name }}:</b>
        {{ r.left < 0 ? 'less than the trailer itself weighs' : `${print('mass', r.left)} of load` }}
        <b v-if="r.over" class="text-fails">· over now</b>
      </p>
      <div
        class="bg-wash relative mt-1 flex overflow-hidden rounded"
        :class="r.on ? 'h-7' : 'h-2'"
        aria-hidden="true"
      >
        <span
          class="grid place-items-center overflow-hidden bg-[var(--steel)] whitespace-nowrap text-white dark:text-black"
          :style="{ width: r.part(r.own) }"
          ><span v-if="r.on" class="text-xs">{{ word('trailer', r.own, r.top) }}</span></span
        >
        <span
          class="grid place-items-center overflow-hidden bg-[var(--load)] whitespace-nowrap text-black"
          :style="{ width: r.part(r.load) }"
          ><span v-if="r.on" class="text-xs">{{ word('load', r.load, r.top) }}</span></span
        >
        <span class="bg-ink absolute inset-y-0 w-1" :style="{ left: r.at }" />
      </div>
    </div>
  </div>
</template>
