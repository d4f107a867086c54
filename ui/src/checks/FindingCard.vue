<script setup lang="ts">
// One check: outcome, sentence, ways out, and the way to its working.
import { computed } from 'vue'
import type { Finding, Fix } from '@/generated/types'
import { keyOf } from '@/said'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import OutcomeMark from './OutcomeMark.vue'

const props = defineProps<{ finding: Finding }>()
const workspace = useWorkspace()
const { say, nominal } = useWords()

/** Fixes come with the settled report; the older ones stay, marked as following. */
const fixes = computed<Fix[]>(() => {
  const all = workspace.settledReport?.findings ?? []
  const tried = workspace.preview?.fix
  const own =
    all.find((f) => keyOf(f) === keyOf(props.finding)) ??
    // what is tried may make another thing the worst: the check still shows it
    all.find((f) => f.code === props.finding.code && tried && f.fixes?.includes(tried))
  return own?.fixes ?? []
})
/** How many ways out were tried and are none; of what was not tried nothing is said. */
const inVain = computed(
  () => workspace.settledReport?.findings.find((f) => keyOf(f) === keyOf(props.finding))?.inVain ?? 0,
)
const shown = computed(() => (props.finding.outcome !== 'holds' || workspace.preview ? fixes.value : []))
const previewed = (x: Fix) => workspace.preview?.fix === x
</script>

<template>
  <article
    class="border-rule border-t py-2.5 first:border-t-0"
    :data-code="finding.code"
    :data-outcome="finding.outcome"
    :data-follows="finding.follows"
  >
    <div class="flex items-start gap-2" :class="{ 'text-soft': finding.follows }">
      <OutcomeMark :outcome="finding.outcome" class="mt-0.5" />
      <p class="min-w-0 flex-1 leading-snug first-letter:uppercase">{{ say(finding.says) }}</p>
    </div>
    <ul
      v-if="shown.length"
      class="no-print mt-2 space-y-1.5 pl-7"
      :class="{ 'opacity-60': !workspace.settled }"
    >
      <li v-for="(x, i) in shown" :key="i" class="plate p-2">
        <p class="leading-snug first-letter:uppercase">
          {{ say(x.name) }}
          <span v-if="x.figure" class="whitespace-nowrap"
            >→ <b>{{ nominal(x.figure) }}</b></span
          >
          <OutcomeMark :outcome="x.outcome" :size="14" class="ml-1.5" />
        </p>
        <div class="mt-1.5 grid grid-cols-2 gap-1.5">
          <button
            class="act"
            :aria-pressed="previewed(x)"
            @click="previewed(x) ? workspace.hide() : workspace.show(x)"
          >
            {{ previewed(x) ? 'Back' : 'Preview' }}
          </button>
          <button class="act !border-deep !text-deep" @click="workspace.apply(x, say(x.name))">Do it</button>
        </div>
      </li>
    </ul>
    <p
      v-else-if="inVain && finding.outcome === 'fails' && workspace.settled && !workspace.preview"
      class="text-soft mt-1 pl-7 text-sm"
    >
      {{
        inVain > 1
          ? `None of ${inVain} changes that were tried mends`
          : 'The one change that was tried does not mend'
      }}
      this without making another check worse.
    </p>
    <button
      v-if="finding.hasWork"
      class="text-deep no-print mt-1 ml-7 min-h-6 text-sm underline underline-offset-2"
      @click="workspace.opened = keyOf(finding)"
    >
      Show the working
    </button>
  </article>
</template>
