<script setup lang="ts">
// Trips: one tap after a drive, more where it is wanted.
import { PlusIcon } from '@heroicons/vue/20/solid'
import { computed, ref } from 'vue'
import { api, today } from '@/api'
import { useDays } from '@/days'
import DateField from '@/fields/DateField.vue'
import PlanFields from '@/fields/PlanFields.vue'
import type { TripRow } from '@/generated/types'
import BackAgain from '@/parts/BackAgain.vue'
import RecordRow from '@/parts/RecordRow.vue'
import { newId } from '@/stores/patch'
import { useRecords } from '@/stores/records'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const records = useRecords()
const { say, print } = useWords()
const { day } = useDays()
const { data, failure } = useStudy(api.log, () => 0, true, true)
const open = ref('')
const most = ref(100) // rows on screen
const outing = computed(() => workspace.plan?.outings[workspace.outing])
const electric = computed(
  () => workspace.plan?.towVehicles[outing.value?.vehicle ?? '']?.thirst?.by === 'electric',
)
const trip = (r: TripRow) => records.all[r.record]?.trip
const line = (r: TripRow) =>
  [
    trip(r)?.far !== undefined && print('distance', trip(r)!.far!),
    trip(r)?.load !== undefined && print('mass', trip(r)!.load!),
    trip(r)?.fuel !== undefined && print('fuel', trip(r)!.fuel!),
    trip(r)?.power !== undefined && print('energy', trip(r)!.power!),
  ]
    .filter(Boolean)
    .join(', ')
/** What lies on the trailer, by name. */
const lies = computed(() => {
  const placed = outing.value?.layouts[workspace.trailer]?.placements ?? {}
  const names = Object.keys(placed).map((id) => workspace.plan?.loads[id]?.name ?? '')
  return names.filter(Boolean).join(', ').slice(0, 500)
})
/** The outing on screen was driven today, with its load as the plan has it. */
function driven() {
  const id = newId('trip')
  const figures = workspace.report?.figures
  records.change(id, {
    ...{ kind: 'trip', trailer: workspace.trailer, on: today(), order: Object.keys(records.all).length },
    trip: {
      outing: workspace.outing,
      ...(outing.value?.distance === undefined ? {} : { far: outing.value.distance }),
      ...(lies.value ? { with: lies.value } : {}),
      ...(figures?.cargo ? { load: Math.round(figures.cargo.value) } : {}),
      ...(figures?.ball ? { ballSaid: Math.max(0, Math.round(figures.ball.value)) } : {}),
    },
  })
  open.value = id
}
</script>

<template>
  <div class="plate p-3" data-trips>
    <h2 class="text-lg leading-tight font-bold" role="status">{{ data ? say(data.says) : 'Trips' }}</h2>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <p v-if="data?.ball?.length">{{ say(data.ball) }}</p>
    <button class="act-main no-print mt-2" @click="driven">
      <PlusIcon class="size-5" />{{ outing?.name || 'This outing' }}, driven today
    </button>
    <BackAgain />
    <ul class="mt-2">
      <RecordRow
        v-for="r in data?.trips.slice(0, most) ?? []"
        :id="r.record"
        :key="r.record"
        v-model:open="open"
        :name="say([r.name])"
        :of="say([r.name])"
        :data-trip="r.record"
      >
        <template #heading>
          <b>{{ say([r.name]) }}</b><span class="text-soft"
            ><template v-if="r.on">, {{ day(r.on) }}</template
            ><template v-if="line(r)">, {{ line(r) }}</template
            ><template v-if="trip(r)?.with">: {{ trip(r)!.with }}</template></span
          >
        </template>
        <template #below>
          <p v-if="r.off?.length || r.card?.length" class="text-soft text-sm">
            {{ say([...(r.off ?? []), ...(r.off?.length ? [{ text: ' ' }] : []), ...(r.card ?? [])]) }}
          </p>
          <p v-if="r.warns?.length" class="text-tight font-semibold">{{ say(r.warns) }}</p>
        </template>
        <DateField :path="`/records/${r.record}/on`" label="On" />
        <PlanFields
          :base="`/records/${r.record}`"
          :fields="[
            { at: 'trip/far', label: 'Distance' },
            { at: 'trip/takes', label: 'Time on the road' },
            { at: 'trip/load', label: 'Load' },
            { at: 'trip/with', label: 'What was on it', text: true },
            electric ? { at: 'trip/power', label: 'Charged' } : { at: 'trip/fuel', label: 'Filled up' },
            { at: 'trip/cost', label: 'Paid for it' },
            { at: 'trip/mileage', label: 'Mileage at its end' },
            { at: 'trip/ballRead', label: 'On the ball, as read' },
            { at: 'trip/hubLeft', label: 'Left hub, first stop' },
            { at: 'trip/hubRight', label: 'Right hub' },
            { at: 'trip/slack', label: 'A strap was slack', on: true },
            { at: 'trip/nuts', label: 'Wheel nuts were loose', on: true },
            { at: 'trip/dips', label: 'Hubs in water, times', whole: true },
            { at: 'trip/tips', label: 'Tips and pulls', whole: true },
            { at: 'note', label: 'Remark', text: true },
          ]"
        />
      </RecordRow>
    </ul>
    <button v-if="(data?.trips.length ?? 0) > most" class="act no-print mt-2 min-h-11" @click="most += 200">
      Older ones, {{ data!.trips.length - most }}
    </button>
    <p v-if="records.away" class="text-soft mt-2 text-sm">
      The server does not answer. What you enter stays on this device and is sent when it is back.
    </p>
  </div>
</template>
