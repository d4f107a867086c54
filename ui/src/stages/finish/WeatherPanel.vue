<script setup lang="ts">
// May it be painted now, and when does the weather allow it?
import { computed } from 'vue'
import { api } from '@/api'
import PlanFields from '@/fields/PlanFields.vue'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { useDays } from '@/days'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { say, print } = useWords()
const { when, day } = useDays()
const { data, failure } = useStudy(api.finishing)
const base = computed(() => `/trailers/${workspace.trailer}/finish`)
const weather = computed(() => data.value?.weather)
const text = computed(() => (workspace.get(`${base.value}/forecast`) as string | undefined) ?? '')
function typed(e: Event) {
  workspace.setAt(
    `${base.value}/forecast`,
    (e.target as HTMLTextAreaElement).value || undefined,
    'a forecast',
    'type-forecast',
  )
}
</script>

<template>
  <div class="plate p-3" data-weather>
    <h2 class="text-lg leading-tight font-bold" role="status">
      {{ weather?.says?.length ? say(weather.says) : 'When may it be painted?' }}
    </h2>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <ul v-if="weather?.windows?.length" data-windows>
      <li v-for="w in weather.windows" :key="w.from" :class="w.long ? 'font-bold' : 'text-soft'">
        {{ when(w.from) }} to {{ when(w.to) }}<template v-if="!w.long">: too short for a coat</template>
      </li>
    </ul>
    <h3 class="mt-3 font-bold">Now</h3>
    <div class="mt-1 grid grid-cols-2 items-end gap-x-4 gap-y-3 lg:grid-cols-5">
      <PlanFields
        :base="base"
        :fields="[
          { at: 'air', label: 'Air' },
          { at: 'humid', label: 'Humidity' },
          { at: 'steel', label: 'The steel', hint: 'as the air' },
          { at: 'least', label: 'Tin: warm at least', hint: 10 },
          { at: 'wettest', label: 'Tin: wet at most', hint: '85 %' },
        ]"
      />
    </div>
    <label class="no-print mt-3 block">
      <span class="text-soft text-sm"
        >A forecast, a line for each stretch: “2026-06-01 9-12 16C 70% dry”</span
      >
      <textarea
        class="box h-36 w-full py-2 font-mono"
        aria-label="A forecast"
        spellcheck="false"
        :value="text"
        @input="typed"
        @blur="workspace.endGesture()"
      />
    </label>
    <div v-if="weather?.wrong?.length" class="text-fails" role="alert">
      <p v-for="w in weather.wrong" :key="w.line">Line {{ w.line }}: {{ w.says }}</p>
    </div>
    <table v-if="weather?.hours?.length" class="mt-2 w-full">
      <tbody>
        <tr v-for="(h, i) in weather.hours" :key="i" class="border-rule border-t">
          <td class="py-1 pr-3">{{ day(h.on) }}, {{ h.from }} to {{ h.to }}</td>
          <td class="pr-3">{{ print('temperature', h.air) }}, {{ print('share', h.humid) }}</td>
          <td class="pr-3">dew at {{ print('temperature', h.dew) }}</td>
          <td :class="h.good ? 'text-holds font-bold' : 'text-soft'">
            {{ h.good ? 'good' : say(h.why ?? []) }}
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
