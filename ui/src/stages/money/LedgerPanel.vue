<script setup lang="ts">
// Planned, spent, to come, against a target that warns before it is passed.
import { ArrowDownTrayIcon, PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { computed, ref } from 'vue'
import { api } from '@/api'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import { useDays } from '@/days'
import { download } from '@/download'
import DateField from '@/fields/DateField.vue'
import PlanFields from '@/fields/PlanFields.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import type { LedgerRow, Measure } from '@/generated/types'
import BackAgain from '@/parts/BackAgain.vue'
import PhotoStrip from '@/parts/PhotoStrip.vue'
import { cash } from '@/quantities'
import { newId } from '@/stores/patch'
import { useListFile } from '@/stores/listFile'
import { useRecords } from '@/stores/records'
import { useWorkspace } from '@/stores/workspace'
import { choices, spendWords, useWords } from '@/words'
import { useBook } from './book'

const workspace = useWorkspace()
const records = useRecords()
const { say, locale } = useWords()
const nominal = (m: Measure) => cash(locale.value, m.value)
const { day } = useDays()
const { ledger, failure } = useBook()
const base = computed(() => `/trailers/${workspace.trailer}/money`)

const shown = ref(60)
const open = ref('')
const rows = computed(() =>
  (ledger.value?.rows ?? []).filter((r, i) => i < shown.value || (!!r.record && r.record === open.value)),
)
const path = (r: LedgerRow) => `/records/${r.record}`
const whole = computed(() => ledger.value?.whole.value ?? 0)
const bar = (v: number) =>
  `${Math.min(100, (100 * v) / Math.max(1, whole.value, ledger.value?.target?.value ?? 0))}%`

function add() {
  const id = newId('spend')
  records.change(id, {
    ...{ kind: 'spend', trailer: workspace.trailer, order: Object.keys(records.all).length },
    spend: { what: '' },
  })
  open.value = id
}
/** As much as was planned was spent. */
function spend(r: LedgerRow) {
  if (r.planned) workspace.setAt(`${path(r)}/spend/spent`, r.planned.value, 'spent')
}

const asked = () => ({
  ...{ plan: workspace.plan!, outing: workspace.outing, trailer: workspace.trailer },
  kept: workspace.id,
})
const { wrong, refused, read } = useListFile('spend', api.spendList, (r) => r.spend)
async function table() {
  await records.settle().catch(() => {})
  download(await api.ledger(asked()), 'ledger.csv')
}
</script>

<template>
  <div class="plate p-3" data-ledger>
    <div class="flex items-start gap-2">
      <OutcomeMark v-if="ledger?.outcome" class="mt-0.5" :outcome="ledger.outcome" />
      <h2 class="mr-auto text-lg leading-tight font-bold" role="status" :data-outcome="ledger?.outcome">
        {{ ledger ? say(ledger.says) : 'The ledger' }}
      </h2>
      <button class="act no-print size-11 shrink-0" aria-label="As a table" @click="table">
        <ArrowDownTrayIcon class="size-5" />
      </button>
    </div>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <div
      v-if="ledger && whole > 0"
      class="bg-wash relative mt-2 h-5 w-full overflow-hidden rounded"
      aria-hidden="true"
    >
      <div class="bg-deep absolute inset-y-0 left-0" :style="{ width: bar(ledger.spent.value) }" />
      <div
        class="bg-deep absolute inset-y-0 opacity-40"
        :style="{ left: bar(ledger.spent.value), width: bar(ledger.toCome.value) }"
      />
      <div
        v-if="ledger.target"
        class="bg-fails absolute inset-y-0 w-1"
        :style="{ left: `calc(${bar(ledger.target.value)} - 4px)` }"
      />
    </div>
    <p v-if="ledger && whole > 0" class="text-soft text-sm">
      Full is spent, pale is to come<template v-if="ledger.target">, the red line is the target</template>.
      <template v-if="ledger.running.value"
        >Trips and upkeep, {{ nominal(ledger.running) }}, are listed separately. </template
      ><template v-if="ledger.worth.value"
        >Scrap and gifts, worth {{ nominal(ledger.worth) }}, are listed separately. </template
      ><template v-if="ledger.tax.value">{{ nominal(ledger.tax) }} of it is tax.</template>
    </p>
    <ul v-if="ledger?.by.length" class="mt-1 flex flex-wrap gap-x-4 text-sm">
      <li v-for="b in ledger.by" :key="b.for">
        {{ spendWords[b.for] }} <b>{{ nominal(b.spent) }}</b><template v-if="b.toCome.value">
          + {{ nominal(b.toCome) }}</template
        >
      </li>
    </ul>
    <div class="no-print mt-3 grid max-w-2xl grid-cols-2 items-end gap-x-4 gap-y-3 md:grid-cols-3">
      <PlanFields :base="base" :fields="[{ at: 'target', label: 'It may cost, at most' }]" />
    </div>
    <BackAgain />
    <ul class="mt-3">
      <li v-for="r in rows" :key="r.record" class="border-rule border-t py-1.5" :data-spend="r.record">
        <div class="flex flex-wrap items-center gap-x-3 gap-y-1">
          <button
            class="min-h-11 min-w-0 flex-1 basis-40 text-left first-letter:uppercase"
            :aria-expanded="open === r.record"
            @click="open = open === r.record ? '' : r.record"
          >
            {{ say(r.what)
            }}<span class="text-soft"
              ><template v-if="r.on">, {{ day(r.on) }}</template
              ><template v-if="r.for">, {{ spendWords[r.for] }}</template
              ><template v-if="r.log">, under Log, {{ r.for === 'keep' ? 'Wear' : 'Trips' }}</template
              ><template v-else-if="!r.own">, from the plan</template></span
            >
          </button>
          <p class="text-right">
            <b v-if="r.spent">{{ nominal(r.spent) }}</b>
            <span v-else-if="r.planned" class="text-soft">{{ nominal(r.planned) }} planned</span>
            <span v-else-if="r.worth" class="text-soft">worth {{ nominal(r.worth) }}</span>
            <span v-else class="text-unknown font-semibold">no amount</span>
          </p>
          <button v-if="!r.spent && r.planned" class="act no-print min-h-11" @click="spend(r)">Paid</button>
        </div>
        <p v-if="open === r.record && r.log" class="text-soft">Change it where it was entered.</p>
        <div v-else-if="open === r.record" class="no-print mt-1 mb-2">
          <div class="grid grid-cols-2 items-end gap-x-4 gap-y-3 lg:grid-cols-4">
            <PlanFields
              :base="path(r)"
              :fields="[
                ...(r.own ? [{ at: 'spend/what', label: 'Item', text: true as const }] : []),
                { at: 'spend/for', label: 'Kind', options: choices(spendWords), hint: 'other' },
              ]"
            />
            <PlanQuantity
              :path="`${path(r)}/spend/planned`"
              label="Planned"
              :hint="r.own ? '' : 'from the plan'"
            />
            <PlanQuantity :path="`${path(r)}/spend/spent`" label="Spent" />
            <DateField :path="`${path(r)}/on`" label="On" />
            <PlanQuantity :path="`${path(r)}/spend/tax`" label="Tax" hint="none" />
            <PlanFields
              :base="path(r)"
              :fields="[
                { at: 'spend/taxOn', label: 'It comes on top', on: true },
                { at: 'spend/worth', label: 'Scrap or gift, worth' },
              ]"
            />
          </div>
          <div class="mt-2 flex flex-wrap gap-2">
            <PhotoStrip :record="r.record" :of="say(r.what)" />
            <button v-if="r.own" class="act min-h-11" @click="records.remove(r.record, say(r.what))">
              <TrashIcon class="size-5" />Take it out
            </button>
          </div>
        </div>
      </li>
    </ul>
    <button v-if="(ledger?.rows.length ?? 0) > shown" class="act min-h-11" @click="shown += 200">
      {{ (ledger?.rows.length ?? 0) - shown }} more
    </button>
    <div class="no-print mt-2 flex flex-wrap gap-2">
      <button class="act min-h-11" @click="add"><PlusIcon class="size-5" />Another item</button>
      <label class="act min-h-11 cursor-pointer focus-within:outline-2">
        A bank’s or shop’s list
        <input
          type="file"
          class="sr-only"
          accept=".csv,.tsv,.txt,text/csv"
          aria-label="A list of spendings"
          @change="read"
        />
      </label>
    </div>
    <p v-if="refused" class="text-fails font-semibold" role="alert">{{ refused }}</p>
    <div v-if="wrong.length" class="text-fails mt-1" role="alert">
      <p v-for="(w, i) in wrong.slice(0, 20)" :key="i">Line {{ w.line }}: {{ w.says }}</p>
    </div>
  </div>
</template>
