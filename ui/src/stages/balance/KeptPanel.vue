<script setup lang="ts">
// The arrangement that was kept as A against the one on screen, B: every figure
// that differs, signed.
import { computed } from 'vue'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import type { Finding, Measure } from '@/generated/types'
import { keyOf } from '@/said'
import { useWorkspace } from '@/stores/workspace'
import { outcomeWord, useWords } from '@/words'

const workspace = useWorkspace()
const { say, print, nominal } = useWords()
const kept = computed(() => workspace.kept)
const other = computed(() => kept.value && kept.value.plan !== workspace.plan)

interface Row {
  name: string
  a?: Measure
  b?: Measure
  was?: string
  now?: string
}
const rows = computed<Row[]>(() => {
  const a = kept.value?.report
  const b = workspace.report
  if (!a || !b || a.scope.outing !== b.scope.outing || a.scope.trailer !== b.scope.trailer) return []
  const before = new Map(a.findings.map((f) => [keyOf(f), f]))
  const out: Row[] = []
  if (a.frame && b.frame) {
    const of: [string, Measure | undefined, Measure | undefined][] = [
      ['Frame’s members', a.frame.mass, b.frame.mass],
      ['Their metres cost', a.frame.cost, b.frame.cost],
      ['Frame’s height', a.frame.deep, b.frame.deep],
      [
        `Corner dips under ${print('mass', 100)}`,
        a.frame.twist?.corner,
        workspace.settledReport?.frame?.twist?.corner,
      ],
    ]
    for (const [name, x, y] of of)
      if (x && y && Math.abs(x.value - y.value) > 1e-6) out.push({ name, a: x, b: y })
  }
  const seen = new Set<string>()
  const differs = (f: Finding, g: Finding) =>
    Math.abs((f.figure?.value ?? 0) - (g.figure?.value ?? 0)) > 1e-6 || f.outcome !== g.outcome
  for (const g of b.findings) {
    const f = before.get(keyOf(g))
    const name = say(g.title)
    if (!f?.figure || !g.figure || !differs(f, g) || seen.has(name)) continue
    seen.add(name)
    out.push({ name, a: f.figure, b: g.figure, was: f.outcome, now: g.outcome })
  }
  return out
})
const signed = (r: Row) => {
  const d = (r.b?.value ?? 0) - (r.a?.value ?? 0)
  return (d > 0 ? '+' : '') + print(r.b!.kind, d)
}
</script>

<template>
  <div class="plate no-print shrink-0 p-3" data-kept>
    <div class="flex flex-wrap items-center gap-2">
      <h2 class="mr-auto text-lg font-bold">Keep and compare</h2>
      <button class="act" @click="workspace.keep()">Keep this as A</button>
      <button v-if="other" class="act" @click="workspace.backToKept()">Back to A</button>
    </div>
    <p v-if="!kept" class="text-soft text-sm">
      Keep how it stands now, move things, and see what each move changes.
    </p>
    <p v-else-if="!rows.length" class="text-soft text-sm">Nothing differs from A.</p>
    <div v-else class="overflow-x-auto" tabindex="0" role="region" aria-label="Against what was kept">
      <table class="mt-1 w-full text-sm">
        <thead>
          <tr class="text-soft text-left">
            <th class="font-normal"><span class="sr-only">Figure</span></th>
            <th class="text-right font-normal">A, kept</th>
            <th class="text-right font-normal">B, now</th>
            <th class="text-right font-normal">differs by</th>
            <th class="pl-3 font-normal">comes to</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in rows" :key="r.name" class="border-rule border-t">
            <th scope="row" class="py-1 pr-2 text-left font-semibold">{{ r.name }}</th>
            <td class="text-right">{{ nominal(r.a) }}</td>
            <td class="text-right">{{ nominal(r.b) }}</td>
            <td class="text-right font-semibold">{{ signed(r) }}</td>
            <td class="pl-3 whitespace-nowrap">
              <template v-if="r.now">
                <OutcomeMark :outcome="r.now" :size="14" class="mr-1 inline-block" />
                {{ r.was === r.now ? outcomeWord[r.now] : `${outcomeWord[r.was!]} → ${outcomeWord[r.now]}` }}
              </template>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>
