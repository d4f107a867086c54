<script setup lang="ts">
// The same job without this trailer, side by side.
import { computed } from 'vue'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import PlanFields from '@/fields/PlanFields.vue'
import type { PlanField } from '@/fields/planField'
import FoldedPart from '@/parts/FoldedPart.vue'
import { useWorkspace } from '@/stores/workspace'
import { outcomeWord, useWords } from '@/words'

const workspace = useWorkspace()
const { say } = useWords()
const ways = computed(() => workspace.report?.without ?? [])
const car = computed(() => workspace.plan?.outings[workspace.outing]?.vehicle)
const fields: PlanField[] = [
  { at: 'roofLimit', label: 'Roof can take, bars included', hint: 'handbook' },
  { at: 'bedLength', label: 'Bed or inside, length' },
  { at: 'bedWidth', label: 'Its width' },
]
</script>

<template>
  <FoldedPart v-if="ways.length" class="plate px-3 py-1" data-without>
    <template #heading><b class="text-lg">Does it need a trailer?</b></template>
    <ul>
      <li v-for="w in ways" :key="w.id" class="border-rule flex gap-2 border-t py-2 first:border-t-0">
        <span class="w-[18px] shrink-0"
          ><OutcomeMark v-if="w.outcome" :outcome="w.outcome" :size="18" class="mt-0.5"
        /></span>
        <div>
          <b>{{ w.name }}</b><span v-if="w.outcome" class="sr-only">: {{ outcomeWord[w.outcome] }}</span>
          <p class="leading-snug">{{ say(w.says) }}</p>
        </div>
      </li>
    </ul>
    <div v-if="car" class="mt-1 grid gap-x-4 gap-y-3 sm:grid-cols-3">
      <PlanFields :base="`/towVehicles/${car}`" :fields="fields" />
    </div>
    <p class="text-soft mt-2 mb-2 text-sm">A short trip does not change a rating.</p>
  </FoldedPart>
</template>
