<script setup lang="ts">
// The stage's own checks, worst first: what fails, what is not known with its fields,
// then the rest up to five rows. The other stages' are folded beneath; print has this stage's, and the others' where they are open.
import { ChevronDownIcon } from '@heroicons/vue/20/solid'
import { computed, ref, watch } from 'vue'
import NeedFields from '@/fields/NeedFields.vue'
import FoldedPart from '@/parts/FoldedPart.vue'
import { keyOf } from '@/said'
import { stageOf } from '@/stages/registry'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import FindingCard from './FindingCard.vue'
import OutcomeMark from './OutcomeMark.vue'

const props = defineProps<{ stage: string }>()
const workspace = useWorkspace()
const { say } = useWords()
const all = ref(false)
const open = ref(false)
watch(
  () => props.stage,
  () => (all.value = open.value = filling.value = false),
)

const findings = computed(() => workspace.report?.findings ?? [])
const own = computed(() => findings.value.filter((f) => f.stage === props.stage))
const others = computed(() => findings.value.filter((f) => f.stage !== props.stage))
const fails = computed(() => own.value.filter((f) => f.outcome === 'fails'))
const unknown = computed(() => own.value.filter((f) => f.outcome === 'unknown'))
const names = computed(() => [...new Set(unknown.value.map((f) => say(f.title)))].join(', '))
const needs = computed(() => {
  const all = unknown.value.flatMap((f) => f.needs ?? [])
  return all.filter((n, i) => all.findIndex((m) => m.path === n.path) === i)
})
/** A field that is typed into stays, though nothing is missing by then. */
const filling = ref(false)
const rest = computed(() =>
  own.value
    .filter((f) => f.outcome === 'tight' || f.outcome === 'holds')
    .slice(0, Math.max(0, 5 - fails.value.length)),
)
const folded = computed(() => own.value.filter((f) => !fails.value.includes(f) && !rest.value.includes(f)))
const more = computed(() => folded.value.length - unknown.value.length)
const words = [
  { outcome: 'fails', one: 'fails', more: 'fail' },
  { outcome: 'unknown', one: 'not known', more: 'not known' },
  { outcome: 'tight', one: 'tight', more: 'tight' },
  { outcome: 'holds', one: 'holds', more: 'hold' },
]
const counted = computed(() =>
  words
    .map((w) => ({ ...w, n: others.value.filter((f) => f.outcome === w.outcome).length }))
    .filter((w) => w.n > 0),
)
</script>

<template>
  <section aria-labelledby="checks-title">
    <h2 id="checks-title" class="text-lg font-bold">
      {{ own.length ? `Checks of ${stageOf(stage)?.name}` : 'Checks' }}
    </h2>
    <p v-if="!findings.length" class="text-soft py-2">Nothing to check yet.</p>
    <p v-if="workspace.settledReport?.notLooked" class="text-unknown py-1 leading-snug">
      {{ say(workspace.settledReport.notLooked) }}
    </p>
    <template v-if="all">
      <FindingCard v-for="f in own" :key="keyOf(f)" :finding="f" />
    </template>
    <template v-else>
      <FindingCard v-for="f in fails" :key="keyOf(f)" :finding="f" />
      <article
        v-if="unknown.length || filling"
        :key="stage"
        class="border-rule border-t py-2.5 first:border-t-0"
        data-unknown
        @focusin="filling = true"
        @focusout="filling = false"
      >
        <div v-if="unknown.length" class="flex items-start gap-2">
          <OutcomeMark outcome="unknown" class="mt-0.5" />
          <p class="leading-snug">
            <b>{{ unknown.length }} not known:</b> {{ names }}.
          </p>
        </div>
        <FoldedPart v-if="needs.length || filling" class="no-print pl-7">
          <template #heading><span class="text-deep underline">Fill in what is missing</span></template>
          <NeedFields :needs="needs" narrow />
        </FoldedPart>
      </article>
      <FindingCard v-for="f in rest" :key="keyOf(f)" :finding="f" />
    </template>
    <button v-if="more > 0 || all" class="act no-print mt-1 w-full" :aria-expanded="all" @click="all = !all">
      {{ all ? 'Show the first ones' : `All ${own.length} checks of this stage` }}
    </button>
    <div v-if="others.length" class="border-rule mt-2 border-t" data-others>
      <button
        class="flex min-h-11 w-full flex-wrap items-center gap-x-3 gap-y-1 py-1 text-left"
        :aria-expanded="open"
        @click="open = !open"
      >
        <b>{{ own.length ? 'Other stages' : 'All stages' }}</b>
        <span v-for="c in counted" :key="c.outcome" class="flex items-center gap-1 text-sm">
          <OutcomeMark :outcome="c.outcome" :size="14" />{{ c.n }} {{ c.n === 1 ? c.one : c.more }}
        </span>
        <ChevronDownIcon class="ml-auto size-5" :class="{ 'rotate-180': open }" aria-hidden="true" />
      </button>
      <div v-if="!all" class="hidden print:block">
        <FindingCard v-for="f in folded" :key="keyOf(f)" :finding="f" />
      </div>
      <div v-if="open">
        <FindingCard v-for="f in others" :key="keyOf(f)" :finding="f" />
      </div>
    </div>
  </section>
</template>
