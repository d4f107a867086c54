<script setup lang="ts">
// What falls due: when it was last seen to, when it is due.
import { ArrowDownTrayIcon, CheckIcon } from '@heroicons/vue/20/solid'
import { computed, ref } from 'vue'
import { api, today } from '@/api'
import { useDays } from '@/days'
import { download } from '@/download'
import DateField from '@/fields/DateField.vue'
import PlanFields from '@/fields/PlanFields.vue'
import type { WearRow } from '@/generated/types'
import { newId } from '@/stores/patch'
import { useRecords } from '@/stores/records'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { useWords, wearWords } from '@/words'

const workspace = useWorkspace()
const records = useRecords()
const { nominal, say, term } = useWords()
const { long } = useDays()
const { data, failure } = useStudy(api.log, () => 0, true, true)
const open = ref('')
const over = computed(() => (data.value?.wear ?? []).filter((w) => w.state === 'over').length)
/** The last record of a thing: its day can be put right. */
const last = (w: WearRow) =>
  Object.entries(records.all)
    .filter(([, r]) => r.wear?.what === w.id && r.trailer === workspace.trailer && r.on === w.last)
    .map(([id]) => id)[0]
const tone: Record<string, string> = { over: 'text-fails font-bold', soon: 'text-tight font-bold' }
async function calendar() {
  if (!workspace.plan) return
  await records.settle().catch(() => {})
  download(
    await api.wearCalendar({
      ...{ plan: workspace.plan, outing: workspace.outing, trailer: workspace.trailer },
      kept: workspace.id,
    }),
    'wear.ics',
  )
}
function done(w: WearRow) {
  const id = newId('wear')
  records.change(id, { kind: 'wear', trailer: workspace.trailer, on: today(), wear: { what: w.id } })
  open.value = w.id
}
</script>

<template>
  <div class="plate p-3" data-wear>
    <div class="flex items-start gap-2">
      <h2 class="mr-auto text-lg leading-tight font-bold" role="status">
        <template v-if="over">{{ over }} {{ over === 1 ? 'thing is' : 'things are' }} over the time</template>
        <template v-else>What falls due</template>
      </h2>
      <button
        v-if="data?.wear.some((w) => w.due)"
        class="act no-print size-11 shrink-0"
        aria-label="What is due, as a calendar file"
        @click="calendar"
      >
        <ArrowDownTrayIcon class="size-5" />
      </button>
    </div>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <ul class="mt-2">
      <li v-for="w in data?.wear ?? []" :key="w.id" class="border-rule border-t py-2" :data-thing="w.id">
        <div class="flex flex-wrap items-center gap-x-3">
          <p class="min-w-0 flex-1 basis-48">
            <b>{{ say(w.name) }}:</b> <span :class="tone[w.state]">{{ wearWords[w.state] }}</span><span
              class="text-soft"
              ><template v-if="w.last">, last {{ long(w.last) }}</template
              ><template v-if="w.state !== 'over'"
                ><template v-if="w.due">, due by {{ long(w.due) }}</template
                ><template v-if="w.left"> or in {{ nominal(w.left) }}</template></template
              ></span
            >
          </p>
          <button class="act no-print min-h-11" @click="done(w)">
            <CheckIcon class="size-5" />Done today
          </button>
        </div>
        <p class="text-soft text-sm">
          <b v-if="w.why?.length" :class="tone[w.state]">{{ say(w.why) }}</b> {{ say(w.does) }}
        </p>
        <div
          v-if="open === w.id && last(w)"
          class="no-print mt-1 grid max-w-2xl grid-cols-2 items-end gap-x-4 gap-y-3 md:grid-cols-3"
        >
          <DateField :path="`/records/${last(w)}/on`" label="On, or made on" />
          <PlanFields
            :base="`/records/${last(w)}`"
            :fields="[
              ...(w.reads ? [{ at: 'wear/tread', label: 'Shallowest groove' }] : []),
              { at: 'wear/cost', label: 'It cost' },
              { at: 'note', label: 'Remark', text: true },
            ]"
          />
        </div>
      </li>
    </ul>
    <p class="text-soft mt-2 text-sm">
      Usual times; the leaflets come first. A {{ term('tyre') }}’s date is in its code: 2319 is the 23rd week
      of 2019. After the hubs were under water, grease them at once.
    </p>
  </div>
</template>
