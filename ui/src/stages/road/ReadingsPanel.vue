<script setup lang="ts">
// What the scales read before it goes, each beside what the plan says.
import { computed } from 'vue'
import { api } from '@/api'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import type { Scales } from '@/generated/types'
import ScaleReading from '@/stages/balance/ScaleReading.vue'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { say } = useWords()
const { data } = useStudy<Scales>(
  (asked) => api.scales(asked),
  () => [workspace.outing, workspace.trailer],
  false,
)
const rows = computed(() => {
  const all = [...(data.value?.rows ?? []), ...(data.value?.expect ?? [])]
  return ['ball', 'axle'].flatMap((w) => all.filter((r) => r.what === w))
})
</script>

<template>
  <div v-if="rows.length" class="plate no-print shrink-0 p-3" data-readings>
    <h2 class="text-lg font-bold">What the scale reads</h2>
    <p v-if="data?.rows.length" class="mt-0.5 flex items-start gap-2 leading-snug">
      <OutcomeMark :outcome="data.outcome" class="mt-0.5" />{{ say(data.says) }}
    </p>
    <div class="mt-1 grid items-start gap-3 md:grid-cols-2">
      <ScaleReading v-for="(r, i) in rows" :key="r.what" :row="r" :order="i + 1" />
    </div>
  </div>
</template>
