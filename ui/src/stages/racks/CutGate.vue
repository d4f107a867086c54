<script setup lang="ts">
// Before you cut: what the racks' checks come to, and what is still not known.
import { computed } from 'vue'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import { useWorkspace } from '@/stores/workspace'
import { outcomeWord, useWords } from '@/words'

const workspace = useWorkspace()
const { say } = useWords()
const found = computed(() =>
  (workspace.report?.findings ?? []).filter((f) => f.stage === 'racks' && f.gate === 'cut'),
)
const stops = computed(() => found.value.filter((f) => f.outcome === 'fails' || f.outcome === 'unknown'))
const answer = computed(() => {
  const n = stops.value.length
  if (!n) return 'No reason not to cut. Tape the trailer once more first.'
  return n === 1 ? 'One thing to settle before you cut.' : `${n} things to settle before you cut.`
})
</script>

<template>
  <section v-if="found.length" class="plate shrink-0 p-3" aria-label="Before you cut" data-cut-gate>
    <h2 class="text-lg font-bold">Before you cut</h2>
    <p class="font-semibold">{{ answer }}</p>
    <ul class="mt-1 grid gap-x-4 gap-y-1 sm:grid-cols-2">
      <li v-for="f in found" :key="f.code + f.subject" class="flex items-start gap-2 text-sm">
        <OutcomeMark :outcome="f.outcome" :size="16" class="mt-0.5 shrink-0" />
        <span
          ><b>{{ say(f.title) }}</b
          >: {{ outcomeWord[f.outcome] }}</span
        >
      </li>
    </ul>
  </section>
</template>
