<script setup lang="ts">
// The core looks for a frame: over usual sections, or over the bars that are there.
import { computed } from 'vue'
import { api } from '@/api'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import NeedFields from '@/fields/NeedFields.vue'
import PlanFields from '@/fields/PlanFields.vue'
import type { Design, Designs } from '@/generated/types'
import { useSearch } from '@/stores/search'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { say, nominal, term } = useWords()
const aims = [
  { aim: 'mass', name: 'The lightest' },
  { aim: 'cost', name: 'The cheapest' },
  { aim: 'hand', name: 'From the bars on hand' },
]
const { found, tried, failure, running, start, stop, stale } = useSearch<Designs>(
  (asked, signal, n) => api.design(asked, 'mass', signal, n),
  () => workspace.trailer,
)
const look = (aim: string) => start((asked, signal, n) => api.design(asked, aim, signal, n))
const names = computed(() => ['Rails', 'Cross members', term('Drawbar')])
const take = (d: Design) => workspace.edit(d.patch, 'take a frame that was found')
</script>

<template>
  <div class="plate no-print p-3" data-design>
    <div class="flex flex-wrap items-center gap-2">
      <h2 class="mr-auto text-lg font-bold">Find one for me</h2>
      <button v-if="running" class="act min-h-11" @click="stop">Stop</button>
      <template v-else>
        <button
          v-for="(a, i) in aims"
          :key="a.aim"
          :class="i ? 'act min-h-11' : 'act-main'"
          @click="look(a.aim)"
        >
          {{ a.name }}
        </button>
      </template>
    </div>
    <p v-if="running" class="mt-1" role="status">Looking… {{ tried }} frames so far.</p>
    <p v-else-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <p v-else-if="!found" class="text-soft text-sm">
      A ladder frame that holds in every load case on every outing: sections and number of cross members for
      one beam and for two bars that run together.
    </p>
    <template v-if="found">
      <p class="mt-1 font-semibold">{{ say(found.says) }}</p>
      <p v-if="found.stopped" class="text-soft text-sm">Time ran out: there may be better ones.</p>
      <NeedFields :needs="found.needs" :rough="found.rough" />
      <p v-if="stale && found.answers.length" class="text-tight text-sm font-semibold">
        Something has changed since: look again.
      </p>
      <div class="mt-2 grid gap-3 lg:grid-cols-2">
        <article
          v-for="(d, i) in found.answers"
          :key="i"
          class="border-rule flex flex-col gap-2 rounded-lg border p-3"
        >
          <header class="flex items-start gap-2">
            <h3 class="flex-1 leading-tight font-bold">{{ say(d.says) }}</h3>
            <button class="act min-h-11" :disabled="stale" @click="take(d)">Take it</button>
          </header>
          <dl class="grid grid-cols-2 gap-x-3 gap-y-0.5 text-sm sm:grid-cols-4">
            <div>
              <dt class="text-soft">Members</dt>
              <dd class="text-base font-bold">{{ nominal(d.mass) }}</dd>
            </div>
            <div v-if="d.cost">
              <dt class="text-soft">Steel</dt>
              <dd class="text-base font-bold">{{ nominal(d.cost) }}</dd>
            </div>
            <div v-if="d.payload">
              <dt class="text-soft">Payload left</dt>
              <dd class="text-base font-bold">{{ nominal(d.payload) }}</dd>
            </div>
            <div>
              <dt class="text-soft">Pieces</dt>
              <dd class="text-base font-bold">{{ d.pieces }}</dd>
            </div>
            <div>
              <dt class="text-soft">Height</dt>
              <dd class="text-base font-bold">{{ nominal(d.deep) }}</dd>
            </div>
          </dl>
          <ul class="text-sm">
            <li v-for="(s, k) in d.sections" :key="k">
              <b>{{ names[k] }}</b>: {{ say(s) }}
            </li>
          </ul>
          <details class="text-sm">
            <summary class="cursor-pointer py-1 font-semibold">Why nothing is lighter</summary>
            <ul class="text-soft list-disc pl-5">
              <li v-for="(b, k) in d.bound" :key="k">{{ say(b) }}</li>
            </ul>
          </details>
          <p class="flex items-start gap-2 text-sm">
            <OutcomeMark :outcome="d.outcome" :size="16" class="mt-0.5" />{{ say(d.whole) }}
          </p>
        </article>
      </div>
      <div class="mt-3 w-56">
        <PlanFields
          :base="`/trailers/${workspace.trailer}/frame`"
          :fields="[{ at: 'perKg', label: 'Steel costs, by weight' }]"
        />
      </div>
    </template>
  </div>
</template>
