<script setup lang="ts">
// How far the bed may be filled, dry and wet, and how many trips that makes.
import { computed } from 'vue'
import type { Fill } from '@/generated/types'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const props = defineProps<{ load: string }>()
const workspace = useWorkspace()
const { say, print, measure, nominal } = useWords()
const fill = computed<Fill | undefined>(() => workspace.report?.fills.find((f) => f.load === props.load))
// A loader drops it in one place: the fill line is that of the bed raked level.
const raked = computed(() => workspace.get(`${props.load}/bulk/by`) === 'scoops')
const rows = computed(() => {
  const f = fill.value
  if (!f) return []
  const all = [
    { name: 'Dry', line: f.dry, wet: 'dry' },
    { name: 'Wet', line: f.wet, wet: 'wet' },
  ]
  return all
})
const top = computed(() => {
  const f = fill.value
  return f ? Math.max(f.side, f.dry.depth, f.wet.depth, 0.1) * 1.15 : 1
})
const y = (depth: number) => 100 - (depth / top.value) * 100
</script>

<template>
  <div v-if="fill" class="bg-wash rounded-lg p-3" data-fill>
    <p class="text-lg leading-snug font-bold">
      {{ nominal(fill.allowed) }} can go on<template v-if="raked">, raked level</template>.
      <template v-if="fill.wet.depth > 0">
        Fill to {{ print('length', fill.dry.depth) }} dry, {{ print('length', fill.wet.depth) }} wet.
      </template>
    </p>
    <p v-if="fill.open" class="text-unknown font-semibold">Ratings not known yet may allow less.</p>
    <p class="text-soft text-sm">
      Reached first: {{ say(fill.by) }}. Planned: {{ measure(fill.mass) }}.
      <template v-if="fill.level"> Level with the sides: {{ measure(fill.level) }}.</template>
    </p>
    <div class="mt-2 grid grid-cols-[7.5rem_minmax(0,1fr)] gap-3">
      <svg viewBox="0 0 100 104" class="h-24 w-full" preserveAspectRatio="none" aria-hidden="true">
        <rect
          x="10"
          :y="y(fill.dry.depth)"
          width="80"
          :height="100 - y(fill.dry.depth)"
          class="fill-[var(--load)]"
          fill-opacity=".45"
        />
        <rect
          x="10"
          :y="y(fill.wet.depth)"
          width="80"
          :height="100 - y(fill.wet.depth)"
          class="fill-[var(--load)]"
        />
        <path
          :d="`M8 ${y(fill.side)}V101H92V${y(fill.side)}`"
          fill="none"
          class="stroke-[var(--steel)]"
          stroke-width="4"
          vector-effect="non-scaling-stroke"
        />
      </svg>
      <table class="w-full text-sm">
        <thead>
          <tr class="text-soft text-left">
            <th class="font-normal"><span class="sr-only">As it lies</span></th>
            <th class="font-normal">fill to</th>
            <th class="font-normal">that is</th>
            <th class="font-normal">trips</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in rows" :key="r.wet" class="border-rule border-t">
            <th scope="row" class="py-1 text-left">{{ r.name }}</th>
            <td>{{ print('length', r.line.depth) }}</td>
            <td>{{ print('volume', r.line.volume) }}</td>
            <td>{{ r.line.trips || '–' }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="fill.spills > 0.001" class="text-fails mt-1 font-semibold">
      {{ print('volume', fill.spills) }} will not stay on.
    </p>
    <p class="text-soft mt-1 text-sm">
      Cover it. Material as sold may be heavier: the delivery note’s weight comes first.
    </p>
  </div>
</template>
