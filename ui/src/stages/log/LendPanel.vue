<script setup lang="ts">
// Lending: a card for the borrower, the state at both times.
import { ArrowTopRightOnSquareIcon, PlusIcon } from '@heroicons/vue/20/solid'
import { computed, ref } from 'vue'
import { api, today } from '@/api'
import { useDays } from '@/days'
import DateField from '@/fields/DateField.vue'
import PlanFields from '@/fields/PlanFields.vue'
import BackAgain from '@/parts/BackAgain.vue'
import RecordRow from '@/parts/RecordRow.vue'
import { newId, uuid } from '@/stores/patch'
import { useRecords } from '@/stores/records'
import { useWorkspace } from '@/stores/workspace'

const workspace = useWorkspace()
const records = useRecords()
const { long } = useDays()
const loans = computed(() =>
  Object.entries(records.all)
    .filter(([, r]) => r.loan && r.trailer === workspace.trailer)
    .sort((a, b) => (b[1].on ?? '').localeCompare(a[1].on ?? '') || (b[1].order ?? 0) - (a[1].order ?? 0)),
)
const out = computed(() => loans.value.filter(([, r]) => !r.loan!.back))
const late = computed(() => out.value.some(([, r]) => r.loan!.until && r.loan!.until < today()))
const open = ref('')
const addresses = ref<Record<string, string[]>>({}) // by loan
function lend() {
  const id = newId('loan')
  records.change(id, {
    ...{ kind: 'loan', trailer: workspace.trailer, on: today(), order: Object.keys(records.all).length },
    loan: { key: uuid() },
  })
  open.value = id
}
const page = (id: string) => `/lent/${workspace.id}/${id}/${records.all[id]?.loan?.key ?? ''}`
/** The page shows what the server has. */
async function show(id: string) {
  const tab = window.open('', '_blank')
  await Promise.all([records.settle(), workspace.saveNow()]).catch(() => {})
  if (tab) tab.location.href = page(id)
}
async function where(id: string) {
  const pairing = await api.pair(page(id)).catch(() => undefined)
  const at = pairing?.addresses.length ? pairing.addresses : [location.origin]
  addresses.value = { ...addresses.value, [id]: at.map((a) => a + page(id)) }
}
</script>

<template>
  <div class="plate p-3" data-lending>
    <h2 class="text-lg leading-tight font-bold" role="status">
      <template v-if="out.length">
        Lent to {{ out[0]![1].loan!.to || 'somebody'
        }}<template v-if="out[0]![1].loan!.until">, back by {{ long(out[0]![1].loan!.until!) }}</template>
      </template>
      <template v-else>It is at home</template>
    </h2>
    <p v-if="late" class="text-fails font-semibold">It should be back by now: call.</p>
    <p class="text-soft">
      The card says what it may carry, how to hitch and reverse, what to look at. It prints on one side. Its
      page opens on a phone with its address alone, shows nothing else, and closes when the trailer is back.
    </p>
    <button class="act-main no-print mt-2" @click="lend"><PlusIcon class="size-5" />Lend it</button>
    <BackAgain />
    <ul class="mt-2">
      <RecordRow
        v-for="[id, r] in loans"
        :id="id"
        :key="id"
        v-model:open="open"
        name="a loan"
        of="its state"
        :data-loan="id"
      >
        <template #heading>
          <b>{{ r.loan!.to || 'Somebody' }}</b><span class="text-soft"
            ><template v-if="r.on">, {{ long(r.on) }}</template
            ><template v-if="r.loan!.back"> to {{ long(r.loan!.back) }}</template></span
          >
        </template>
        <DateField :path="`/records/${id}/on`" label="Lent on" />
        <DateField :path="`/records/${id}/loan/until`" label="Back by" />
        <PlanFields
          :base="`/records/${id}/loan`"
          :fields="[
            { at: 'to', label: 'Lent to', text: true },
            { at: 'call', label: 'Whom to call', text: true },
            { at: 'deposit', label: 'Deposit' },
            { at: 'out', label: 'State when lent', text: true },
            { at: 'in', label: 'State when it came back', text: true },
          ]"
        />
        <DateField :path="`/records/${id}/loan/back`" label="Came back on" />
        <template #acts>
          <template v-if="!r.loan!.back && r.loan!.key">
            <button class="act-main min-h-11" @click="show(id)">
              <ArrowTopRightOnSquareIcon class="size-5" />The card
            </button>
            <button class="act min-h-11" @click="where(id)">Its address for a phone</button>
          </template>
        </template>
        <template #after>
          <p v-for="a in addresses[id]" :key="a" class="mt-1 text-sm break-all select-all">{{ a }}</p>
        </template>
      </RecordRow>
    </ul>
  </div>
</template>
