<script setup lang="ts">
// Frame and deck: the ways side by side over ten years, tins, what is hidden, where bare metal shows.
import { computed } from 'vue'
import { api } from '@/api'
import PlanFields from '@/fields/PlanFields.vue'
import { where } from '@/fields/planField'
import type { CoatWay } from '@/generated/types'
import FoldedPart from '@/parts/FoldedPart.vue'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { choices, coatWords, deckWords, useWords } from '@/words'

const workspace = useWorkspace()
const { say, range, print } = useWords()
const { data, failure } = useStudy(api.finishing)
const base = computed(() => `/trailers/${workspace.trailer}/finish`)
const finish = computed(() => workspace.plan?.trailers[workspace.trailer]?.finish)
const painted = computed(() => ['paint', 'liner', 'pregal'].includes(finish.value?.way ?? ''))
const area = (v: number) => print('area', v)
const choose = (w: CoatWay) => workspace.setAt(`${base.value}/way`, w.id, w.name)
const chosen = computed(() => data.value?.ways.find((w) => w.chosen))
</script>

<template>
  <div class="plate p-3" data-coats>
    <h2 class="text-lg leading-tight font-bold first-letter:uppercase" role="status">
      <template v-if="chosen">{{ chosen.name }}: {{ range(chosen.ten!) }} over ten years</template>
      <template v-else-if="data?.ways.length">Which way to keep it?</template>
      <template v-else>How it is kept</template>
    </h2>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <p v-if="data && (data.steel || data.deck)" class="text-soft">
      <template v-if="data.steel">{{ area(data.steel) }} of steel to paint</template
      ><template v-if="data.deck"
        ><template v-if="data.steel">, </template>{{ area(data.deck) }} of deck on both sides</template
      ><template v-if="data.skins">, {{ area(data.skins) }} of skins</template>.
    </p>
    <p v-if="data && !data.ways?.length" class="max-w-2xl">
      Draw the frame under Frame: then its area, the tins and the ways over ten years follow. The deck’s
      follow from its length, width and floor.
    </p>
    <div v-if="data?.ways?.length" class="mt-2 overflow-x-auto">
      <table class="w-full">
        <thead>
          <tr class="text-soft text-left text-sm">
            <th class="py-1 font-normal">Way</th>
            <th class="font-normal">Now</th>
            <th class="font-normal">In ten years</th>
            <th class="font-normal">Hours in all</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="w in data.ways" :key="w.id" class="border-rule border-t align-top" :data-way-of="w.id">
            <td class="py-2 pr-3">
              <button class="act min-h-11 text-left" :aria-pressed="!!w.chosen" @click="choose(w)">
                {{ w.name }}
              </button>
              <p class="text-sm" :class="w.cannot?.length ? 'text-fails font-semibold' : 'text-soft'">
                {{ say(w.cannot?.length ? w.cannot : w.says) }}
              </p>
            </td>
            <td class="py-2 pr-3 whitespace-nowrap">{{ range(w.first!) }}</td>
            <td class="py-2 pr-3 whitespace-nowrap">
              <b>{{ range(w.ten!) }}</b><span v-if="w.usual" class="text-soft block text-sm"
                >usual prices</span
              >
            </td>
            <td class="py-2 whitespace-nowrap">{{ range(w.hours!) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <ul v-if="data?.tins?.length" class="mt-2" data-tins>
      <li v-for="t in data.tins" :key="t.name" class="first-letter:uppercase">
        <b>{{ t.name }}:</b> {{ range(t.litres) }} for {{ t.coats }} coats of {{ area(t.area)
        }}<template v-if="t.tins">, {{ t.tins }} {{ t.tins === 1 ? 'tin' : 'tins' }}</template
        ><template v-if="t.cost">, {{ range(t.cost) }}</template>
      </li>
    </ul>
    <div class="no-print mt-3 grid grid-cols-2 items-end gap-x-4 gap-y-3 lg:grid-cols-4">
      <PlanFields
        :base="base"
        :fields="[
          { at: 'way', label: 'The frame', options: choices(coatWords), hint: 'not chosen' },
          { at: 'deckBy', label: 'The deck', options: choices(deckWords), hint: 'not chosen' },
          { at: 'salt', label: 'By the sea, salted roads', on: true },
          { at: 'indoors', label: 'Kept under a roof', on: true },
          ...where(
            painted,
            { at: 'coats', label: 'Coats', whole: true, hint: 'usual' },
            { at: 'cover', label: 'The paint covers', hint: 'usual' },
            { at: 'perLitre', label: 'The paint costs', hint: 'usual' },
            { at: 'tin', label: 'A tin holds' },
            { at: 'recoat', label: `Next coat after, at ${print('temperature', 20)}`, hint: 'usual' },
            { at: 'recoatMost', label: 'and no later than' },
          ),
          ...where(
            finish?.way === 'dip',
            { at: 'dipPerKg', label: 'Dipping, by weight', hint: 'usual' },
            { at: 'dipFar', label: 'Way to the bath' },
            { at: 'driveCost', label: 'Driving, by distance' },
            { at: 'dipDays', label: 'Days away', hint: '4 to 15' },
          ),
          ...where(
            finish?.deckBy === 'oil' || finish?.deckBy === 'paint',
            { at: 'deckCoats', label: 'Coats on the deck', whole: true, hint: '2' },
            { at: 'deckCover', label: 'On the deck it covers', hint: 'usual' },
            { at: 'deckPerLitre', label: 'and costs', hint: 'usual' },
          ),
        ]"
      />
    </div>
    <FoldedPart v-if="data?.touch?.length" class="mt-2">
      <template #heading><b>Where bare metal will show</b></template>
      <ul class="list-disc pl-6">
        <li v-for="(t, i) in data.touch" :key="i">{{ say(t) }}</li>
      </ul>
    </FoldedPart>
    <p class="text-soft mt-2 text-sm">
      Zinc, primer and enamel are poisonous when burnt or breathed in: fresh air, mask, no flame; grind them
      off before you weld. The tin’s own sheet comes first.
    </p>
  </div>
</template>
