<script setup lang="ts">
// Ways to do a thing side by side: what each trades, to be previewed and taken.
import { computed, onMounted, useTemplateRef } from 'vue'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import type { Fix, Op, Sentence, Traded } from '@/generated/types'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

interface Way {
  kind: string
  name: Sentence
  patch: Op[]
  outcome: Fix['outcome']
  says: Sentence
  figures: Traded[]
}
const props = defineProps<{ ways: Way[]; titles: Record<string, string>; stale: boolean; label: string }>()
const workspace = useWorkspace()
const { say, nominal } = useWords()

// What was asked for comes into sight with the heading that it was asked under.
const table = useTemplateRef<HTMLElement>('table')
onMounted(() => {
  const plate = table.value?.closest('.plate')
  const tall = (plate?.clientHeight ?? 0) > 0.7 * innerHeight
  plate?.scrollIntoView({ block: tall ? 'start' : 'nearest' })
})

/** A way is offered as a fix is: previewed, applied, undone. */
const fixOf = (w: Way) => w as Fix
const previewed = (w: Way) => workspace.preview?.fix === fixOf(w)
const rows = computed(() => [
  ...new Set(props.ways.flatMap((w) => w.figures.filter((f) => f.was || f.then).map((f) => say(f.name)))),
])
const figure = (w: Way, name: string) => w.figures.find((f) => say(f.name) === name)
const now = (name: string) => props.ways.map((w) => figure(w, name)?.was).find(Boolean)
</script>

<template>
  <div ref="table" class="mt-2 overflow-x-auto" tabindex="0" role="region" :aria-label="label">
    <table class="w-full text-sm">
      <thead>
        <tr class="text-left align-bottom">
          <th class="text-soft font-normal"><span class="sr-only">Figure</span></th>
          <th class="text-soft px-2 text-right font-normal">now</th>
          <th v-for="w in ways" :key="w.kind" class="px-2 text-right">
            <OutcomeMark :outcome="w.outcome" :size="14" class="mr-1 inline-block" />{{ titles[w.kind] }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="name in rows" :key="name" class="border-rule border-t">
          <th scope="row" class="py-1 pr-2 text-left font-semibold">{{ name }}</th>
          <td class="text-soft px-2 text-right">{{ now(name) ? nominal(now(name)) : '' }}</td>
          <td v-for="w in ways" :key="w.kind" class="px-2 text-right">
            {{ figure(w, name)?.then ? nominal(figure(w, name)!.then) : '' }}
          </td>
        </tr>
      </tbody>
    </table>
  </div>
  <ul class="no-print mt-2 grid gap-1.5">
    <li v-for="w in ways" :key="w.kind" class="border-rule flex flex-wrap items-center gap-2 border-t pt-1.5">
      <p class="min-w-48 flex-1 leading-snug">
        <b>{{ titles[w.kind] }}.</b> {{ say(w.says) }}
      </p>
      <button
        class="act"
        :disabled="stale"
        :aria-pressed="previewed(w)"
        @click="previewed(w) ? workspace.hide() : workspace.show(fixOf(w))"
      >
        {{ previewed(w) ? 'Back' : 'Preview' }}
      </button>
      <button
        class="act !border-deep !text-deep"
        :disabled="stale"
        @click="workspace.apply(fixOf(w), say(w.name))"
      >
        Do it
      </button>
    </li>
  </ul>
</template>
