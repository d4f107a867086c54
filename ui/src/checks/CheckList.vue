<script setup lang="ts">
// The checks, worst first: five rows, the rest behind a button, minor unknowns
// counted. A stage may put its own in front.
import { computed, ref } from 'vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import FindingCard from './FindingCard.vue'
import OutcomeMark from './OutcomeMark.vue'

const props = defineProps<{ own?: string }>()
const workspace = useWorkspace()
const { say } = useWords()
const all = ref(false)

const findings = computed(() => workspace.report?.findings ?? [])
const unknown = computed(() => findings.value.filter((f) => f.outcome === 'unknown' && f.essential))
const minor = computed(() => findings.value.filter((f) => f.outcome === 'unknown' && !f.essential))
const known = computed(() => findings.value.filter((f) => f.outcome !== 'unknown'))
const fails = computed(() => known.value.filter((f) => f.outcome === 'fails'))
// What is not known is told once, by name; "weigh or find next" says how to find it.
const own = computed(() =>
  props.own ? findings.value.filter((f) => f.stage === props.own && f.outcome !== 'fails') : [],
)
const rest = computed(() => [
  ...own.value,
  ...known.value
    .filter((f) => f.outcome !== 'fails' && !own.value.includes(f))
    .slice(0, Math.max(0, 5 - fails.value.length - own.value.length)),
])
const others = computed(() =>
  findings.value.filter((f) => !fails.value.includes(f) && !rest.value.includes(f)),
)
const names = computed(() => unknown.value.map((f) => say(f.title)).join(', '))
</script>

<template>
  <section aria-labelledby="checks-title">
    <h2 id="checks-title" class="text-lg font-bold">Checks</h2>
    <p v-if="!findings.length" class="text-soft py-2">Nothing to check yet.</p>
    <template v-if="all">
      <FindingCard v-for="f in findings" :key="f.code + f.subject" :finding="f" />
    </template>
    <template v-else>
      <FindingCard v-for="f in fails" :key="f.code + f.subject" :finding="f" />
      <article
        v-if="unknown.length"
        class="border-rule flex items-start gap-2 border-t py-2.5 first:border-t-0"
        data-unknown
      >
        <OutcomeMark outcome="unknown" class="mt-0.5" />
        <p class="leading-snug">
          <b>{{ unknown.length }} not known:</b> {{ names }}.
        </p>
      </article>
      <FindingCard v-for="f in rest" :key="f.code + f.subject" :finding="f" />
      <div class="hidden print:block">
        <FindingCard v-for="f in others" :key="f.code + f.subject" :finding="f" />
      </div>
    </template>
    <button
      v-if="findings.length > 5"
      class="act no-print mt-1 w-full"
      :aria-expanded="all"
      @click="all = !all"
    >
      {{ all ? 'Show the first ones' : `All ${findings.length} checks` }}
      <span v-if="!all && minor.length" class="text-unknown">· {{ minor.length }} minor not known</span>
    </button>
  </section>
</template>
