<script setup lang="ts">
// Measures as drawn and as built, with what they are off.
import PlanQuantity from '@/fields/PlanQuantity.vue'
import type { BuiltRow } from '@/generated/types'
import { useWords } from '@/words'

defineProps<{ rows: BuiltRow[] }>()
const { say, nominal } = useWords()
const sign = (v: number) => (v > 0 ? '+' : v < 0 ? '−' : '±')
</script>

<template>
  <table class="w-full">
    <thead>
      <tr class="text-soft text-left text-sm">
        <th class="py-1 font-normal">Measure</th>
        <th class="font-normal">As drawn</th>
        <th class="font-normal">As built</th>
        <th class="text-right font-normal">Off</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="r in rows" :key="r.what" class="border-rule border-t" :data-measure="r.what">
        <td class="py-1.5 pr-2">{{ say(r.name) }}</td>
        <td class="pr-2">{{ r.drawn ? nominal(r.drawn) : '–' }}</td>
        <td class="w-36 pr-2">
          <PlanQuantity :path="`/records/${r.record}/built/${r.field}`" :label="say(r.name)" tight />
        </td>
        <td class="text-right">
          <template v-if="r.off"
            >{{ sign(r.off.value) }}{{ nominal({ ...r.off, value: Math.abs(r.off.value) }) }}</template
          >
          <span v-if="r.inPlan" class="text-soft block text-sm">in the plan</span>
        </td>
      </tr>
    </tbody>
  </table>
</template>
