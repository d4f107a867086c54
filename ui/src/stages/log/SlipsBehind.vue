<script setup lang="ts">
// The slips that a learned figure is made of.
import { computed } from 'vue'
import { useDays } from '@/days'
import type { SlipRow } from '@/generated/types'
import FoldedPart from '@/parts/FoldedPart.vue'
import { useWords } from '@/words'

const props = defineProps<{ used: string[]; out: string[]; slips: SlipRow[] }>()
const { nominal } = useWords()
const { long } = useDays()
const rows = computed(() =>
  props.slips.filter((s) => props.used.includes(s.record) || props.out.includes(s.record)),
)
</script>

<template>
  <FoldedPart class="no-print">
    <template #heading
      ><span class="text-soft text-sm">The slips behind it, {{ used.length }}</span></template
    >
    <ul>
      <li v-for="s in rows" :key="s.record">
        {{ s.on ? long(s.on) : 'Some day' }}<template v-if="s.load">: {{ nominal(s.load) }}</template
        ><template v-if="s.density">, {{ nominal(s.density) }}</template
        ><b v-if="out.includes(s.record)" class="text-tight">, not counted</b>
      </li>
    </ul>
  </FoldedPart>
</template>
