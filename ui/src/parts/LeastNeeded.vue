<script setup lang="ts">
// What a stage takes at least, while it has no answer yet.
import { computed } from 'vue'
import { useRecords } from '@/stores/records'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const props = defineProps<{ stage: string }>()
const workspace = useWorkspace()
const records = useRecords()
const reference = useReference()
const { say } = useWords()
/** The kinds of what happened that a stage is about. */
const kinds: Record<string, string[]> = {
  workshop: ['step', 'part', 'snag', 'built', 'tool'],
  papers: ['paper'],
  log: ['trip', 'slip', 'wear', 'trouble', 'loan'],
  money: ['spend'],
}
const least = computed(() => {
  const says = reference.data?.least[props.stage]
  const own = workspace.report?.findings.filter((f) => f.stage === props.stage) ?? []
  if (!says || own.some((f) => f.outcome !== 'unknown')) return undefined
  return Object.values(records.all).some((r) => kinds[props.stage]?.includes(r.kind)) ? undefined : says
})
</script>

<template>
  <p v-if="least" class="plate no-print text-soft shrink-0 px-3 py-2" data-least>
    The least that gives an answer here: <b class="text-ink">{{ say(least) }}</b>.
    <RouterLink class="text-deep underline underline-offset-2" :to="`/guide/${stage}`">More</RouterLink>
  </p>
</template>
