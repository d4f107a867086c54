<script setup lang="ts">
// One answer for the whole, and a set of straps found for it.
import { computed } from 'vue'
import { api } from '@/api'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import type { Fix, Tied } from '@/generated/types'
import { useAsked } from '@/stores/asked'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

defineProps<{ tied: Tied[] }>()
const workspace = useWorkspace()
const reference = useReference()
const { say } = useWords()
const outcome = computed(() => workspace.report?.stages.find((s) => s.id === 'tie')?.outcome)
const checks = computed(() => (workspace.settledReport?.findings ?? []).filter((f) => f.stage === 'tie'))
const answer = computed(() => say(workspace.settledReport?.tieSays ?? []))
const mark = computed(() =>
  checks.value.some((f) => f.outcome === 'unknown') && outcome.value !== 'fails' ? 'unknown' : outcome.value,
)
const schools = computed(() => [
  { value: '', name: 'usual in the region' },
  ...(reference.data?.tieSchools ?? []).map((s) => ({ value: s.id, name: s.name })),
])
const { found, failure, stale, ask } = useAsked(api.ties)
const sets = computed(() => (found.value ? ([found.value, ...found.value.others] as unknown as Fix[]) : []))
</script>

<template>
  <div class="plate shrink-0 p-3" data-tie-planner>
    <div class="flex flex-wrap items-center gap-2">
      <OutcomeMark v-if="mark" :outcome="mark" />
      <p class="min-w-48 flex-1 leading-snug font-bold" data-tie-answer>{{ answer }}</p>
      <ChoiceField
        class="no-print w-52"
        label="Rule"
        tight
        :value="workspace.plan?.tieSchool || ''"
        :options="schools"
        @chosen="workspace.setAt('/tieSchool', $event || undefined, 'rule for tie-downs')"
      />
      <button class="act-main no-print" @click="ask">Plan straps for me</button>
    </div>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <div v-if="found" class="no-print mt-2">
      <p class="font-semibold">{{ say(found.says) }}</p>
      <ul v-if="found.loads.length" class="mt-1 text-sm">
        <li v-for="l in found.loads" :key="l.name">
          <b>{{ l.name }}</b>: {{ say(l.says) }}
        </li>
      </ul>
      <ul v-if="!stale && found.loads.some((l) => l.holds)" class="mt-2 grid gap-2" data-tie-sets>
        <li v-for="(f, i) in sets" :key="i" class="flex flex-wrap items-center gap-2">
          <button class="act" @click="workspace.show(f)">Preview</button>
          <button :class="i ? 'act' : 'act-main'" @click="workspace.apply(f, say(f.name))">Do it</button>
          <span v-if="i" class="text-soft min-w-40 flex-1 text-sm">or {{ say(f.name) }}</span>
        </li>
      </ul>
    </div>
  </div>
</template>
