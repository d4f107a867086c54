<script setup lang="ts">
// Buy, build, convert, hire, deliver, a bigger vehicle, the roof: the same job over the years.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import PlanFields from '@/fields/PlanFields.vue'
import { newId, put } from '@/stores/patch'
import { useWorkspace } from '@/stores/workspace'
import { choices, useWords, wayWords } from '@/words'
import { useBook } from './book'

const workspace = useWorkspace()
const { say, nominal, range } = useWords()
const { ways, failure } = useBook()
const base = computed(() => `/trailers/${workspace.trailer}/money`)
const own = computed(() => workspace.plan?.trailers[workspace.trailer]?.money?.ways ?? {})
const order = () => Math.max(0, ...Object.values(own.value).map((w) => w.order)) + 1

function add(kind: string, name: string) {
  if (!workspace.plan) return
  const id = newId(kind)
  workspace.edit(
    put(workspace.plan, `${base.value}/ways/${id}`, { order: order(), name, kind }),
    'another way',
  )
}
function usual() {
  for (const kind of ['build', 'hire', 'deliver'] as const) add(kind, wayWords[kind]!)
}
const width = (v: number) => {
  const most = Math.max(1, ...(ways.value?.rows ?? []).map((r) => r.whole?.value ?? 0))
  return `${Math.max(0, (100 * v) / most)}%`
}
</script>

<template>
  <div class="plate p-3" data-ways-money>
    <h2 class="text-lg leading-tight font-bold" role="status">
      {{ ways?.says?.length ? say(ways.says) : 'The same job by each way' }}
    </h2>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <ul v-if="ways?.needs.length" class="text-unknown">
      <li v-for="(n, i) in ways.needs" :key="i">
        Not known: {{ say(n.says) }}. <span class="text-soft">{{ say(n.where) }}</span>
      </li>
    </ul>
    <div class="no-print mt-2 grid grid-cols-2 items-end gap-x-4 gap-y-3 lg:grid-cols-4">
      <PlanFields
        :base="base"
        :fields="[
          { at: 'years', label: 'Kept for years' },
          { at: 'uses', label: 'Uses a year' },
          { at: 'hourRate', label: 'An hour of your own is worth', hint: 'nothing' },
        ]"
      />
    </div>
    <ul class="mt-3">
      <li v-for="r in ways?.rows ?? []" :key="r.id" class="border-rule border-t py-2" :data-way-row="r.id">
        <div class="flex flex-wrap items-baseline gap-x-3">
          <h3 class="font-bold">{{ say([r.name]) }}<template v-if="r.best">: least</template></h3>
          <p v-if="r.whole" class="ml-auto">
            <b>{{ nominal(r.whole) }}</b> <span class="text-soft">({{ range(r.whole) }})</span>
          </p>
        </div>
        <div v-if="r.whole" class="bg-wash h-3 w-full rounded" aria-hidden="true">
          <div
            class="h-3 rounded"
            :class="r.best ? 'bg-holds' : 'bg-deep'"
            :style="{ width: width(r.whole.value) }"
          />
        </div>
        <p v-if="r.use" class="text-soft text-sm">
          {{ nominal(r.use) }} a use, {{ nominal(r.hours) }} of your own in all<template v-if="r.first"
            >; {{ nominal(r.first) }} at the beginning, from the ledger or the bill</template
          >.
          <b v-if="r.even">Pays off from {{ range(r.even) }} uses.</b>
          <b v-else-if="r.never">It never pays off: each use costs as much as elsewhere.</b>
        </p>
        <p v-for="(n, i) in r.needs" :key="i" class="text-unknown text-sm">
          Not known: {{ say(n.says) }}. <span class="text-soft">{{ say(n.where) }}</span>
        </p>
        <div class="no-print mt-1 flex items-end gap-2">
          <div class="grid grow grid-cols-2 items-end gap-x-4 gap-y-3 lg:grid-cols-4">
            <PlanFields
              :base="`${base}/ways/${r.id}`"
              :fields="[
                { at: 'name', label: 'Way', text: true },
                { at: 'kind', label: 'What it is', options: choices(wayWords) },
                { at: 'first', label: 'At the beginning', hint: r.first ? 'known' : 'none' },
                { at: 'hours', label: 'Hours at the beginning' },
                { at: 'perUse', label: 'A use' },
                { at: 'useHours', label: 'Hours of a use' },
                { at: 'perYear', label: 'A year' },
                { at: 'resale', label: 'Sold at the end for' },
              ]"
            />
          </div>
          <button
            class="act size-11 shrink-0"
            :aria-label="`Take out ${say([r.name])}`"
            @click="workspace.setAt(`${base}/ways/${r.id}`, undefined, 'take a way out')"
          >
            <TrashIcon class="size-5" />
          </button>
        </div>
      </li>
    </ul>
    <div class="no-print mt-2 flex flex-wrap gap-2">
      <button v-if="!ways?.rows.length" class="act-main" @click="usual">Build, hire, deliver</button>
      <button class="act min-h-11" @click="add('buy', wayWords.buy!)">
        <PlusIcon class="size-5" />Another way
      </button>
    </div>
    <p class="text-soft mt-2 text-sm">
      What is not spent yet is assumed known to 15 %. For the sale at the end, enter what you would get, not
      what you hope for.
    </p>
  </div>
</template>
