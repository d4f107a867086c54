<script setup lang="ts">
// The working behind a figure: each formula, what went in, where it came from.
import { computed, ref, watch } from 'vue'
import { api } from '@/api'
import type { Step } from '@/generated/types'
import { keyOf } from '@/said'
import { useWorkspace } from '@/stores/workspace'
import { howWords, useWords } from '@/words'
import OutcomeMark from './OutcomeMark.vue'
import DialogShell from '@/parts/DialogShell.vue'

const workspace = useWorkspace()
const finding = computed(() => workspace.report?.findings.find((f) => keyOf(f) === workspace.opened))
const close = () => (workspace.opened = '')
const { say, measure } = useWords()
const steps = ref<Step[]>()
const failure = ref('')

watch(
  () => workspace.opened,
  async (key) => {
    const f = finding.value
    steps.value = undefined
    failure.value = ''
    if (!f || !workspace.plan) return
    try {
      steps.value = await api.working(
        {
          plan: workspace.preview?.plan ?? workspace.plan,
          outing: f.scope.outing ?? '',
          trailer: f.scope.trailer ?? '',
        },
        key,
      )
    } catch (e) {
      failure.value = e instanceof Error ? e.message : String(e)
    }
  },
)
const known = (how: string, kind: string) => howWords[how]?.[kind === 'length' ? 1 : 0] ?? how
</script>

<template>
  <DialogShell :open="!!finding" :title="say(finding?.says)" width="max-w-3xl" @closed="close()">
    <template #mark><OutcomeMark v-if="finding" :outcome="finding.outcome" class="mt-1" /></template>

    <div class="mt-2 overflow-auto" tabindex="0" role="region" aria-label="Working">
      <p v-if="failure" class="text-fails">{{ failure }}</p>
      <p v-else-if="!steps" class="text-soft py-6">Working it out…</p>
      <div v-for="(s, i) in steps" :key="i" class="border-rule border-t py-3 first:border-t-0">
        <div class="flex flex-wrap items-baseline justify-between gap-x-4">
          <h3 class="font-semibold">{{ say(s.says) }}</h3>
          <b v-if="s.result" class="text-lg">{{ measure(s.result) }}</b>
        </div>
        <p class="bg-wash my-1.5 rounded-md px-2 py-1.5 font-semibold">{{ s.formula }}</p>
        <table v-if="s.terms?.length" class="w-full text-sm">
          <tbody>
            <tr
              v-for="(t, k) in s.terms"
              :key="k"
              class="border-rule border-t first:border-t-0 align-baseline"
            >
              <th scope="row" class="py-1 pr-3 text-left font-semibold whitespace-nowrap">
                {{ t.symbol }}
              </th>
              <td class="w-full py-1 pr-3">{{ say(t.says) }}</td>
              <td class="py-1 pr-3 text-right whitespace-nowrap">{{ measure(t.measure) }}</td>
              <td class="text-soft py-1 whitespace-nowrap">{{ known(t.how, t.measure?.kind ?? '') }}</td>
            </tr>
          </tbody>
        </table>
        <p v-if="s.source" class="text-soft mt-1 text-sm">
          Source: {{ s.source.title }}{{ s.source.clause ? `, ${s.source.clause}` : '' }}. As of
          {{ s.source.asOf }}, check your local code.
        </p>
      </div>
    </div>
  </DialogShell>
</template>
