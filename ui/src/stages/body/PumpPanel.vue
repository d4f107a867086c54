<script setup lang="ts">
// A pump with hose and nozzle: what comes out, and what another hose brings.
import { TrashIcon } from '@heroicons/vue/20/solid'
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import { api } from '@/api'
import PlanFields from '@/fields/PlanFields.vue'
import type { PlanField } from '@/fields/planField'
import { where } from '@/fields/planField'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { say, nominal, print } = useWords()
const { data, failure } = useStudy(api.pumping)
const given = computed(() => data.value?.given)
const base = computed(() => `/trailers/${workspace.trailer}/pump`)
const pump = computed(() => workspace.plan?.trailers[workspace.trailer]?.pump)
const litres = (v: number) => print('flow', v)
const minutes = computed(() => given.value?.empties ?? undefined)

const box = useTemplateRef<HTMLElement>('box')
const size = useElementSize(box)
const width = computed(() => Math.min(560, Math.max(200, (size.width.value || 300) - 4)))
const height = 180
const most = computed(() => Math.max(1, ...(given.value?.curve ?? []).map((p) => p.gives)) * 1.08)
const end = computed(() => Math.max(1, ...(given.value?.curve ?? []).map((p) => p.flow)))
const x = (flow: number) => 8 + (flow / end.value) * (width.value - 16)
const y = (p: number) => height - 8 - (Math.min(p, most.value) / most.value) * (height - 16)
const path = (of: 'gives' | 'takes') =>
  (given.value?.curve ?? []).map((p, i) => `${i ? 'L' : 'M'}${x(p.flow)} ${y(p[of])}`).join('')

const fields = computed<PlanField[]>(() => [
  { at: 'topPressure', label: 'Label: top pressure' },
  { at: 'openFlow', label: 'Label: open flow' },
  { at: 'hoseLong', label: 'Hose length' },
  { at: 'hoseBore', label: 'Its bore' },
  { at: 'nozzle', label: 'Nozzle’s bore', hint: 'open end' },
  { at: 'nozzleUp', label: 'Nozzle above the pump', hint: '0' },
  { at: 'above', label: 'Pump above the lowest water', hint: '0' },
  { at: 'drawsUp', label: 'Suction lift, by its label', hint: 6 },
  { at: 'inLong', label: 'Suction hose length', hint: 'none' },
  { at: 'inBore', label: 'Its bore' },
  { at: 'couplings', label: 'Joints in the hose', whole: true, hint: '0' },
  { at: 'elbows', label: 'Elbows', whole: true, hint: '0' },
  { at: 'reel', label: 'The hose stays on its reel', on: true },
  { at: 'litres', label: 'A place takes' },
  { at: 'places', label: 'Places', whole: true },
  { at: 'tap', label: 'The tap fills' },
  { at: 'amps', label: 'Amperes while it runs' },
  { at: 'runsFor', label: 'Minutes it may run at a time' },
  { at: 'frost', label: 'It stands in frost', on: true },
  ...where(pump.value?.frost, { at: 'drained', label: 'Drained after use', on: true }),
])
</script>

<template>
  <div class="plate p-3" data-pump>
    <template v-if="!pump">
      <h2 class="text-lg font-bold">A pump with hose and nozzle</h2>
      <p class="mt-1 max-w-2xl">
        What comes out at the nozzle, how far it goes, how long the tank lasts, and what another hose brings.
      </p>
      <button class="act-main mt-3" @click="workspace.setAt(base, {}, 'a pump')">Put one on</button>
    </template>
    <template v-else>
      <div class="flex items-start gap-2">
        <h2 class="mr-auto text-lg leading-tight font-bold" role="status">
          <template v-if="given"
            >{{ litres(given.litres) }} at {{ nominal(given.pressure)
            }}<template v-if="minutes !== undefined"
              >; the tank lasts {{ print('time', minutes * 60) }} at least<template v-if="given.places"
                >, {{ given.places }} {{ given.places === 1 ? 'place' : 'places' }}</template
              ></template
            ></template
          >
          <template v-else>What the pump gives is not known yet</template>
        </h2>
        <button
          class="act size-11 shrink-0"
          aria-label="No pump"
          @click="workspace.setAt(base, undefined, 'no pump')"
        >
          <TrashIcon class="size-5" />
        </button>
      </div>
      <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
      <p v-if="given">
        Before the nozzle {{ nominal(given.nozzle) }}; the jet goes less than {{ nominal(given.far) }} far and
        {{ nominal(given.high) }} high.
      </p>
      <div ref="box" class="mt-2 w-full overflow-hidden">
        <svg
          v-if="given"
          :width="width"
          :height="height"
          role="img"
          aria-label="What the pump gives and what the line takes, over the flow"
        >
          <path :d="`M8 8V${height - 8}H${width - 8}`" class="axis" />
          <path :d="path('gives')" class="gives" />
          <path :d="path('takes')" class="takes" />
          <circle :cx="x(given.litres)" :cy="y(given.pressure.value)" r="6" class="here" />
          <text :x="x(0.12 * end) + 6" :y="y(0.93 * (given.curve[0]?.gives ?? 0)) - 4">the pump gives</text>
          <text :x="x(0.8 * end) - 10" :y="y(given.curve[32]?.takes ?? 0) - 2" text-anchor="end">
            the line takes
          </text>
        </svg>
      </div>
      <ul v-if="given?.ways.length" class="mt-2" data-ways>
        <li v-for="(w, i) in given.ways" :key="i" class="py-0.5 first-letter:uppercase">
          {{ say(w.says) }}: <b>{{ litres(w.litres) }}</b>
        </li>
      </ul>
      <div class="no-print mt-3 grid grid-cols-2 items-end gap-x-4 gap-y-3 lg:grid-cols-4">
        <PlanFields :base="base" :fields="fields" />
      </div>
      <p class="text-soft mt-3 text-sm">
        Beside a small fire: call the fire service first, and keep your way out behind you.
      </p>
    </template>
  </div>
</template>

<style scoped>
.axis {
  fill: none;
  stroke: var(--rule);
  stroke-width: 1.5;
}
.gives {
  fill: none;
  stroke: var(--deep);
  stroke-width: 3;
}
.takes {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
  stroke-dasharray: 6 4;
}
.here {
  fill: var(--panel);
  stroke: var(--ink);
  stroke-width: 3;
}
text {
  fill: var(--ink);
  font-size: 13px;
}
</style>
