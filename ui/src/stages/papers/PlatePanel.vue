<script setup lang="ts">
// What a plate of one's own should say, and the label at the drawbar; both to scale as files.
import { ArrowDownTrayIcon } from '@heroicons/vue/20/solid'
import { computed, ref } from 'vue'
import { api } from '@/api'
import { download } from '@/download'
import PlanFields from '@/fields/PlanFields.vue'
import { where } from '@/fields/planField'
import SheetButton from '@/parts/SheetButton.vue'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { choices, paperWords, useWords } from '@/words'

const workspace = useWorkspace()
const { say, nominal, term } = useWords()
const { data, failure } = useStudy(api.papers, () => 0, true, true)
const base = computed(() => `/trailers/${workspace.trailer}/plate`)
const plate = computed(() => data.value?.plate)
const refused = ref('')
async function file(key: 'plate' | 'label') {
  refused.value = ''
  try {
    const asked = { plan: workspace.plan!, outing: workspace.outing, trailer: workspace.trailer }
    download(await api.plate(asked, key), `${key}.svg`)
  } catch (e) {
    refused.value = e instanceof Error ? e.message : String(e)
  }
}
</script>

<template>
  <div class="plate p-3" data-plate>
    <h2 class="flex items-start text-lg leading-tight font-bold" role="status">
      <span class="mr-auto"
        ><template v-if="plate?.refused?.length">{{ say(plate.refused) }}</template>
        <template v-else-if="plate?.draft">The plate is a draft</template>
        <template v-else>The plate</template></span
      >
      <SheetButton v-if="plate?.lines.length" label="Print the plate" />
    </h2>
    <p v-if="failure || refused" class="text-fails" role="alert">{{ failure || refused }}</p>
    <p v-if="plate?.least && plate.part" class="text-soft">
      The gross is at most that of the weakest part: {{ say(plate.part) }}, {{ nominal(plate.least) }}.
    </p>
    <ul v-if="plate?.needs.length" class="text-unknown">
      <li v-for="(n, i) in plate.needs" :key="i">
        Not known: {{ say(n.says) }}. <span class="text-soft">{{ say(n.where) }}</span>
      </li>
    </ul>
    <div
      v-if="plate?.lines.length"
      class="border-ink relative mt-2 max-w-md overflow-hidden rounded-lg border-2 p-4"
    >
      <svg
        v-if="plate.draft"
        class="pointer-events-none absolute inset-0 size-full opacity-25"
        viewBox="0 0 120 50"
        aria-hidden="true"
      >
        <text
          x="60"
          y="34"
          font-size="26"
          font-weight="bold"
          text-anchor="middle"
          transform="rotate(-14 60 25)"
          class="fill-fails"
        >
          DRAFT
        </text>
      </svg>
      <table class="w-full">
        <tbody>
          <tr v-for="(l, i) in plate.lines" :key="i">
            <th class="pr-3 text-left font-normal">{{ say(l.name) }}</th>
            <td class="text-right font-bold">{{ say(l.says) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <div class="no-print mt-3 grid grid-cols-2 items-end gap-x-4 gap-y-3 lg:grid-cols-4">
      <PlanFields
        :base="base"
        :fields="[
          { at: 'kind', label: 'The trailer is', options: choices(paperWords), usual: data?.kind },
          ...where(
            plate?.lines.length,
            { at: 'maker', label: 'Built by', text: true },
            { at: 'identity', label: 'Identity number', text: true },
            { at: 'issued', label: 'As the authority issued it', on: true },
            { at: 'year', label: 'Year', whole: true },
            { at: 'gross', label: 'Gross', hint: 'the least rated part’s' },
          ),
        ]"
      />
    </div>
    <button
      v-if="plate?.lines.length && !plate.refused?.length"
      class="act no-print mt-3 min-h-11"
      @click="file('plate')"
    >
      <ArrowDownTrayIcon class="size-5" />The plate for engraving
    </button>
  </div>
  <div class="plate mt-2 p-3" data-label>
    <div class="flex items-start gap-2">
      <h2 class="mr-auto text-lg font-bold">The label at the {{ term('drawbar') }}</h2>
      <SheetButton v-if="data?.label.length" label="Print the label" />
    </div>
    <p v-if="!data?.label.length" class="text-soft">
      It needs what the trailer may carry: enter its label and its empty weight under Trailer.
    </p>
    <table v-else class="mt-1 w-full max-w-md">
      <tbody>
        <tr v-for="(l, i) in data.label" :key="i" class="border-rule border-t">
          <th class="py-1 pr-3 text-left font-normal">{{ say(l.name) }}</th>
          <td class="text-right font-bold" :class="l.big ? 'text-xl' : ''">{{ say(l.says) }}</td>
        </tr>
      </tbody>
    </table>
    <button v-if="data?.label.length" class="act no-print mt-3 min-h-11" @click="file('label')">
      <ArrowDownTrayIcon class="size-5" />The label to print
    </button>
    <p class="text-soft mt-2 text-sm">A fill line means level over the whole deck; a heap weighs more.</p>
  </div>
</template>
