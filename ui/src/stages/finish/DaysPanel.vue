<script setup lang="ts">
// When it is done: the steps in the hours that there are, as bars, as a calendar.
import { ArrowDownTrayIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import { api } from '@/api'
import { download } from '@/download'
import { useDays } from '@/days'
import DateField from '@/fields/DateField.vue'
import PlanList from '@/fields/PlanList.vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import FoldedPart from '@/parts/FoldedPart.vue'
import { useRecords } from '@/stores/records'
import SheetButton from '@/parts/SheetButton.vue'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { choices, useWords, weekdayWords } from '@/words'
import DayBars from './DayBars.vue'

const workspace = useWorkspace()
const records = useRecords()
const { say, nominal, print } = useWords()
const { day, long, when } = useDays()
const { data, failure } = useStudy(api.days, () => 0, true, true)
const base = computed(() => `/trailers/${workspace.trailer}/days`)
const days = computed(() => workspace.plan?.trailers[workspace.trailer]?.days)
const comes = computed(() => Object.entries(days.value?.comes ?? {}).sort((a, b) => a[1].order - b[1].order))
const tone = computed(() =>
  data.value?.meets === 'no' ? 'text-fails' : data.value?.meets === 'perhaps' ? 'text-tight' : '',
)
async function calendar() {
  if (!workspace.plan) return
  await records.settle().catch(() => {})
  download(
    await api.daysCalendar({
      ...{ plan: workspace.plan, outing: workspace.outing, trailer: workspace.trailer },
      kept: workspace.id,
    }),
    'days.ics',
  )
}
</script>

<template>
  <div class="plate p-3" data-days>
    <div class="flex items-start gap-2">
      <h2 class="mr-auto text-lg leading-tight font-bold" role="status">
        <template v-if="data?.ready">Ready on {{ long(data.ready) }}, likely</template>
        <template v-else>When is it done?</template>
      </h2>
      <template v-if="data?.ready">
        <button class="act no-print size-11 shrink-0" aria-label="As a calendar file" @click="calendar">
          <ArrowDownTrayIcon class="size-5" />
        </button>
        <SheetButton label="Print the days" />
      </template>
    </div>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <template v-if="data">
      <p v-if="data.ready && data.early && data.late">
        In eight of ten runs between {{ day(data.early) }} and {{ day(data.late) }}.
      </p>
      <p :class="tone" class="font-semibold">{{ say(data.says) }}</p>
      <p v-if="data.pace" class="text-soft">
        So far the steps took {{ print('share', data.pace) }} of what was guessed; the rest is worked out with
        that.
      </p>
      <p v-for="(w, i) in data.wrong" :key="i" class="text-tight font-semibold">{{ say(w) }}</p>
      <ul v-if="data.needs.length" class="text-unknown">
        <li v-for="(n, i) in data.needs" :key="i">
          Not known: {{ say(n.says) }}. <span class="text-soft">{{ say(n.where) }}</span>
        </li>
      </ul>
      <DayBars v-if="data.ready" class="mt-2" :days="data" />
    </template>
    <div class="no-print mt-3 grid grid-cols-2 items-end gap-x-4 gap-y-3 lg:grid-cols-4">
      <DateField :path="`${base}/from`" label="It begins on" />
      <DateField :path="`${base}/by`" label="Wanted by" />
    </div>
    <FoldedPart class="no-print mt-2" open>
      <template #heading><b>Time in the week</b></template>
      <PlanList
        :path="`${base}/slots`"
        :of="days?.slots as never"
        thing="stretch"
        :fields="[
          { at: 'day', label: 'Day', options: choices(weekdayWords) },
          { at: 'from', label: 'From, hour' },
          { at: 'to', label: 'To, hour' },
        ]"
        :fresh="{ day: 'sat', from: 9, to: 15 }"
      />
    </FoldedPart>
    <FoldedPart class="no-print mt-2">
      <template #heading><b>What is delivered</b></template>
      <div v-for="[id] in comes" :key="id" class="mt-2 grid grid-cols-2 gap-x-4 lg:grid-cols-4">
        <DateField :path="`${base}/comes/${id}/on`" label="Comes on" />
        <ChoiceField
          label="For the step"
          none="none"
          :value="days?.comes?.[id]?.step"
          :options="(data?.rows ?? []).map((r) => ({ value: r.id, name: say(r.says) }))"
          @chosen="workspace.setAt(`${base}/comes/${id}/step`, $event, 'what waits for it')"
        />
      </div>
      <PlanList
        :path="`${base}/comes`"
        :of="days?.comes"
        thing="delivery"
        :fields="[{ at: 'name', label: 'What', text: true }]"
        :fresh="{ name: 'A delivery', on: data?.from ?? '' }"
      />
    </FoldedPart>
    <FoldedPart class="no-print mt-2">
      <template #heading><b>Days off</b></template>
      <div v-for="id in Object.keys(days?.off ?? {})" :key="id" class="mt-2 max-w-xs">
        <DateField :path="`${base}/off/${id}/on`" label="Off on" />
      </div>
      <PlanList
        :path="`${base}/off`"
        :of="days?.off"
        thing="day off"
        :fields="[]"
        :fresh="{ on: data?.from ?? '' }"
      />
    </FoldedPart>
    <FoldedPart v-if="data?.sits?.length" class="mt-2" :open="data.sits.length < 12">
      <template #heading><b>Evening by evening</b></template>
      <ol>
        <li v-for="s in data.sits" :key="s.from" class="border-rule border-t py-1.5">
          <b>{{ when(s.from) }}</b> to {{ s.to.slice(11) }}<b v-if="s.two" class="text-tight">, two people</b>
          <p class="text-sm">{{ s.steps.map((x) => say(x)).join(' ') }}</p>
        </li>
      </ol>
    </FoldedPart>
    <p v-if="data" class="text-soft mt-2 text-sm">
      {{ nominal(data.left) }} of work left for one pair of hands; drying and parts away take clock time
      meanwhile.
    </p>
  </div>
</template>
