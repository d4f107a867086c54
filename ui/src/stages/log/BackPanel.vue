<script setup lang="ts">
// Looking back: what was carried, driven and spent by month, what was seen to, what was learned.
import { ArrowDownTrayIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import { api } from '@/api'
import { useDays } from '@/days'
import { download } from '@/download'
import FoldedPart from '@/parts/FoldedPart.vue'
import { useRecords } from '@/stores/records'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import MonthBars from './MonthBars.vue'

const workspace = useWorkspace()
const records = useRecords()
const { say, nominal, print } = useWords()
const { long } = useDays()
const { data, failure } = useStudy(api.lookBack, () => 0, true, true)
const bars = computed(() => {
  const months = data.value?.months ?? []
  const of = (name: string, kind: string, pick: (m: (typeof months)[number]) => number) => ({
    name,
    print: (v: number) => print(kind, v),
    rows: months.map((m) => ({ month: m.month, value: pick(m) })),
  })
  return [
    of('Carried', 'mass', (m) => m.carried),
    of('Driven', 'distance', (m) => m.far),
    of('Spent', 'money', (m) => m.spent),
    of('Fuel', 'fuel', (m) => m.fuel),
    of('Charge', 'energy', (m) => m.power),
  ].filter((b) => b.rows.some((r) => r.value > 0))
})
async function table() {
  if (!workspace.plan) return
  await records.settle().catch(() => {})
  download(
    await api.months({
      ...{ plan: workspace.plan, outing: workspace.outing, trailer: workspace.trailer },
      kept: workspace.id,
    }),
    'months.csv',
  )
}
</script>

<template>
  <div class="plate p-3" data-back>
    <div class="flex items-start gap-2">
      <h2 class="mr-auto text-lg leading-tight font-bold" role="status">
        {{ data ? say(data.says) : 'Looking back' }}
      </h2>
      <button
        v-if="data?.months.length"
        class="act no-print size-11 shrink-0"
        aria-label="The months as a table"
        @click="table"
      >
        <ArrowDownTrayIcon class="size-5" />
      </button>
    </div>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <div v-if="bars.length" class="mt-2 grid gap-x-6 gap-y-3 lg:grid-cols-2">
      <MonthBars v-for="b in bars" :key="b.name" v-bind="b" />
    </div>
    <p v-else class="text-soft">
      Enter one trip under Trips, or one line in the ledger with its date, and the months appear here.
    </p>
    <template v-if="data?.learned.length">
      <h3 class="mt-3 font-bold">Learned</h3>
      <ul>
        <li v-for="(l, i) in data.learned" :key="i">{{ say(l) }}</li>
      </ul>
    </template>
    <FoldedPart v-if="data?.worn.length" class="mt-3" open>
      <template #heading><b>Seen to</b></template>
      <ul>
        <li v-for="w in data.worn" :key="w.record" class="border-rule border-t py-1.5">
          <b>{{ say(w.what) }}</b><span class="text-soft"
            >, {{ long(w.on) }}<template v-if="w.far">, after {{ nominal(w.far) }}</template
            ><template v-if="w.cost">, {{ nominal(w.cost) }}</template
            ><template v-if="w.note">: {{ w.note }}</template></span
          >
        </li>
      </ul>
    </FoldedPart>
  </div>
</template>
