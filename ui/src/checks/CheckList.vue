<script setup lang="ts">
// The checks, worst first: five rows, the rest behind a button, minor unknowns
// counted.
import { computed, ref } from 'vue'
import type { Finding } from '@/generated/types'
import { useWorkspace } from '@/stores/workspace'
import FindingCard from './FindingCard.vue'
import WorkingDialog from './WorkingDialog.vue'

const workspace = useWorkspace()
const all = ref(false)
const opened = ref<Finding>()

const findings = computed(() => workspace.report?.findings ?? [])
const minor = computed(() => findings.value.filter((f) => f.outcome === 'unknown' && !f.essential))
const main = computed(() => findings.value.filter((f) => f.outcome !== 'unknown' || f.essential))
const rows = computed(() => (all.value ? findings.value : main.value.slice(0, 5)))
</script>

<template>
  <section aria-labelledby="checks-title">
    <h2 id="checks-title" class="text-lg font-bold">Checks</h2>
    <p v-if="!findings.length" class="text-soft py-2">Nothing to check yet.</p>
    <FindingCard v-for="f in rows" :key="f.code + f.subject" :finding="f" @working="opened = $event" />
    <button
      v-if="findings.length > 5"
      class="act no-print mt-1 w-full"
      :aria-expanded="all"
      @click="all = !all"
    >
      {{ all ? 'Show the first five' : `All ${findings.length} checks` }}
      <span v-if="!all && minor.length" class="text-unknown">· {{ minor.length }} minor not known</span>
    </button>
    <WorkingDialog :finding="opened" @closed="opened = undefined" />
  </section>
</template>
