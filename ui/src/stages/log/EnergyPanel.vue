<script setup lang="ts">
// What the drive takes: fuel or charge, where it goes, with each car, in one drive or two.
import { computed } from 'vue'
import { api } from '@/api'
import ChoiceField from '@/fields/ChoiceField.vue'
import NeedFields from '@/fields/NeedFields.vue'
import PlanFields from '@/fields/PlanFields.vue'
import PlanList from '@/fields/PlanList.vue'
import { where, type PlanField } from '@/fields/planField'
import type { Op } from '@/generated/types'
import FoldedPart from '@/parts/FoldedPart.vue'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { choices, fuelWords, homeWords, useWords } from '@/words'

const workspace = useWorkspace()
const { say, nominal, range } = useWords()
const { data, failure } = useStudy(api.drives, () => 0, true, true)
const outing = computed(() => workspace.plan?.outings[workspace.outing])
const outingPath = computed(() => `/outings/${workspace.outing}`)
const vehicle = computed(() => outing.value?.vehicle ?? '')
const thirst = computed(() => workspace.plan?.towVehicles[vehicle.value]?.thirst)
const car = computed(() => `/towVehicles/${vehicle.value}/thirst`)
const electric = computed(() => thirst.value?.by === 'electric')
const carFields = computed<PlanField[]>(() => [
  { at: 'by', label: 'It runs on', options: choices(fuelWords) },
  ...where(
    thirst.value?.by && !electric.value,
    { at: 'burns', label: 'Alone it burns' },
    { at: 'tank', label: 'A full tank' },
  ),
  ...where(
    electric.value,
    { at: 'draws', label: 'Alone it draws' },
    { at: 'battery', label: 'A full battery' },
  ),
  { at: 'at', label: 'That is at', hint: 25 },
  electric.value
    ? { at: 'price', label: 'A kilowatt-hour costs' }
    : { at: 'price', label: 'Fuel costs', kind: 'litreCost' },
  ...where(thirst.value?.factor !== undefined, { at: 'factor', label: 'Factor of the trips' }),
])
</script>

<template>
  <div class="plate p-3" data-energy>
    <h2 class="text-lg leading-tight font-bold" role="status">
      {{ data ? say(data.trip.says) : 'What the drive takes' }}
    </h2>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <template v-if="data">
      <NeedFields v-if="data.trip.needs.length" :needs="data.trip.needs" />
      <p v-if="data.trip.whole && data.trip.by">
        {{ range(data.trip.whole) }}, {{ nominal(data.trip.by)
        }}<template v-if="data.trip.money">, {{ range(data.trip.money) }}</template
        ><template v-if="data.trip.perTon">, {{ nominal(data.trip.perTon) }} a tonne carried</template
        ><template v-if="data.trip.co2">, {{ nominal(data.trip.co2) }} of CO₂</template>.
      </p>
      <p v-if="data.trip.home?.length" :class="data.trip.short ? 'text-tight font-semibold' : ''">
        {{ say(data.trip.home) }}
      </p>
      <p v-if="data.trip.range">Like this it runs {{ range(data.trip.range) }}.</p>
      <ul v-if="data.trip.shares.length" class="mt-2 max-w-xl">
        <li
          v-for="(s, i) in data.trip.shares"
          :key="i"
          class="border-rule flex gap-3 border-t py-1"
          :data-share="i"
        >
          <span class="mr-auto inline-block first-letter:uppercase">{{ say(s.name) }}</span><b>{{
            nominal(s.measure)
          }}</b>
        </li>
      </ul>
      <p v-if="data.trip.drag" class="text-soft text-sm">
        Trailer and load add {{ range(data.trip.drag) }} of drag: what sticks out beyond the car’s outline
        counts.
      </p>
      <p v-if="data.split?.length" class="mt-2">{{ say(data.split) }}</p>
      <p v-if="data.learned" class="mt-2" data-factor>
        {{ say(data.learned.says) }}
        <button
          v-if="data.learned.use.length"
          class="act no-print min-h-11"
          @click="workspace.edit(data.learned.use as Op[], 'what the trips say')"
        >
          Use it in the plan
        </button>
      </p>
      <template v-if="data.cars.length">
        <h3 class="mt-3 font-bold">With each car</h3>
        <ul>
          <li
            v-for="c in data.cars"
            :key="c.vehicle"
            class="border-rule border-t py-1.5"
            :data-car="c.vehicle"
          >
            <b>{{ say([c.name]) }}</b><template v-if="c.whole"
              >: {{ range(c.whole) }}<template v-if="c.money">, {{ nominal(c.money) }}</template
              ><template v-if="c.co2">, {{ nominal(c.co2) }} of CO₂</template
              ><template v-if="c.range">, runs {{ nominal(c.range) }}</template
              ><b v-if="c.short" class="text-tight">, {{ nominal(c.short) }} short</b></template
            ><span v-else-if="c.needs.length" class="text-unknown"
              >: not known: {{ say(c.needs[0]!.says) }}</span
            >
          </li>
        </ul>
      </template>
    </template>
    <FoldedPart v-if="vehicle" class="no-print mt-3" open>
      <template #heading><b>The car</b></template>
      <div class="grid grid-cols-2 items-end gap-x-4 gap-y-3 lg:grid-cols-4">
        <PlanFields :base="car" :fields="carFields" />
      </div>
    </FoldedPart>
    <FoldedPart v-if="outing" class="no-print mt-2" open>
      <template #heading><b>The way</b></template>
      <div class="grid grid-cols-2 items-end gap-x-4 gap-y-3 lg:grid-cols-4">
        <PlanFields
          :base="outingPath"
          :fields="[
            { at: 'distance', label: 'Distance, one way' },
            { at: 'speed', label: 'Speed', hint: 80 / 3.6 },
          ]"
        />
        <ChoiceField
          label="Home"
          none="not counted"
          :value="outing.drive?.home"
          :options="choices(homeWords)"
          @chosen="workspace.setAt(`${outingPath}/drive/home`, $event, 'the way home')"
        />
        <PlanFields
          :base="`${outingPath}/drive`"
          :fields="[
            { at: 'headwind', label: 'Wind from ahead' },
            { at: 'begins', label: electric ? 'Charged to' : 'Tank at', hint: '100 %' },
            { at: 'spare', label: 'To be left', hint: '10 %' },
          ]"
        />
      </div>
      <p class="text-soft mt-2 text-sm">Stretches replace distance and speed: motorway, hill, town.</p>
      <PlanList
        :path="`${outingPath}/drive/stretches`"
        :of="outing.drive?.stretches"
        thing="stretch"
        :fields="[
          { at: 'far', label: 'Distance' },
          { at: 'speed', label: 'Speed' },
          { at: 'climb', label: 'Climbs' },
          { at: 'drop', label: 'Descends' },
          { at: 'stops', label: 'Stops', whole: true },
        ]"
        :fresh="{}"
      />
    </FoldedPart>
    <p class="text-soft mt-2 text-sm">
      Cold, rain and traffic take more. After three trips with their fuel entered, the result is corrected.
    </p>
  </div>
</template>
