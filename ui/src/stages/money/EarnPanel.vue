<script setup lang="ts">
// Jobs for pay: what is left of each, and when the trailer has paid for itself.
import { computed } from 'vue'
import PlanFields from '@/fields/PlanFields.vue'
import PlanList from '@/fields/PlanList.vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import { useBook } from './book'

const workspace = useWorkspace()
const { say, nominal } = useWords()
const { ways, failure } = useBook()
const base = computed(() => `/trailers/${workspace.trailer}/money`)
const jobs = computed(() => workspace.plan?.trailers[workspace.trailer]?.money?.jobs)
</script>

<template>
  <div class="plate p-3" data-earning>
    <h2 class="text-lg font-bold">What is left of a job</h2>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <ul class="mt-1">
      <li v-for="j in ways?.jobs ?? []" :key="j.id" class="border-rule border-t py-1.5" :data-job="j.id">
        <b>{{ say([j.name]) }}:</b> {{ say(j.says)
        }}<template v-if="j.year">{{ ` ${nominal(j.year)} a year.` }}</template>
        <p v-for="(n, i) in j.needs" :key="i" class="text-unknown text-sm">
          Not known: {{ say(n.says) }}. <span class="text-soft">{{ say(n.where) }}</span>
        </p>
      </li>
    </ul>
    <div class="no-print mt-2 grid grid-cols-2 items-end gap-x-4 gap-y-3 lg:grid-cols-4">
      <PlanFields
        :base="base"
        :fields="[
          { at: 'perDistance', label: 'Driving, by distance' },
          { at: 'hourRate', label: 'An hour of your own is worth', hint: 'nothing' },
        ]"
      />
    </div>
    <PlanList
      class="no-print"
      :path="`${base}/jobs`"
      :of="jobs"
      thing="job"
      :fields="[
        { at: 'name', label: 'Job', text: true },
        { at: 'rate', label: 'It pays' },
        { at: 'far', label: 'There and back' },
        { at: 'takes', label: 'Hours' },
        { at: 'fee', label: 'Tip fee' },
        { at: 'often', label: 'Times a year' },
      ]"
      :fresh="{ name: 'A job' }"
    />
    <p class="text-soft mt-2 text-sm">
      Hauling waste or goods for pay may need a carrier’s registration and another insurance: ask before the
      first job.
    </p>
  </div>
</template>
