<script setup lang="ts">
// The trailer's lengths, and whether its axle can be moved.
import { computed } from 'vue'
import PlanFields from '@/fields/PlanFields.vue'
import { where, type PlanField } from '@/fields/planField'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { term } = useWords()
const trailer = computed(() => workspace.plan?.trailers[workspace.trailer])
const base = computed(() => `/trailers/${workspace.trailer}`)
const fields = computed<PlanField[]>(() => [
  { at: 'couplingToAxle', label: `${term('Coupling')} to axle` },
  { at: 'couplingToDeck', label: `${term('Coupling')} to front board` },
  { at: 'deckLength', label: 'Deck length' },
  { at: 'deckWidth', label: 'Deck width' },
  { at: 'deckHeight', label: 'Deck height' },
  { at: 'track', label: `Track, between the ${term('tyre')}s’ middles` },
  { at: 'widthOverAll', label: 'Width over all' },
  {
    at: 'couplingHeight',
    label: `${term('Coupling')} height, loaded and level`,
    hint: 'tape',
  },
  { at: 'wheelDiameter', label: 'Wheel, over all', hint: `from the ${term('tyre')}` },
  { at: 'sideHeight', label: 'Sides, height' },
  ...where(
    trailer.value?.axleMoves,
    { at: 'axleMoves/min', label: 'Axle can stand from' },
    { at: 'axleMoves/max', label: `to, behind the ${term('coupling')}` },
    { at: 'axleMoves/pitch', label: 'in holes each', hint: '0: anywhere' },
  ),
])

/** An axle that can be moved starts with 200 mm either way and a common hole pitch. */
function axleMoves() {
  const at = trailer.value?.couplingToAxle?.value ?? 2.5
  const range = { min: Math.max(0.1, at - 0.2), max: at + 0.2, pitch: 0.05 }
  workspace.setAt(`${base.value}/axleMoves`, trailer.value?.axleMoves ? undefined : range, 'axle')
}
</script>

<template>
  <div v-if="trailer" class="grid gap-x-4 gap-y-3 md:grid-cols-2">
    <PlanFields :base="base" :fields="fields" />
    <button class="act min-h-11 self-end" @click="axleMoves">
      {{ trailer.axleMoves ? 'The axle is fixed' : 'The axle can be moved' }}
    </button>
  </div>
</template>
