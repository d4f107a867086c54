<script setup lang="ts">
// What this trailer costs in money and hours until it is on the road.
import { computed } from 'vue'
import { api } from '@/api'
import ChoiceField from '@/fields/ChoiceField.vue'
import DateField from '@/fields/DateField.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import type { Comparison } from '@/generated/types'
import { useReference } from '@/stores/reference'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { choices, comesWords, papersWords, skillWords, useWords } from '@/words'
import BillLines from './BillLines.vue'
import InspectionList from './InspectionList.vue'

const workspace = useWorkspace()
const reference = useReference()
const { print, worded } = useWords()
const trailer = computed(() => workspace.plan?.trailers[workspace.trailer])
const path = (field: string) => `/trailers/${workspace.trailer}/${field}`
const { data } = useStudy<Comparison>((asked) => api.compare(asked, false))
const bill = computed(() => data.value?.candidates.find((c) => c.id === workspace.trailer)?.bill)
const lineWords: Record<string, string> = {
  price: 'Price',
  offer: 'Your offer',
  tax: 'Tax',
  delivery: 'Delivery',
  fetch: 'Drive to fetch it',
  office: 'Papers and plates',
  'papers-risk': 'Missing papers, at worst',
  assembly: 'Assembly',
}
</script>

<template>
  <div v-if="trailer" class="plate p-3" data-bill>
    <p v-if="bill" class="text-2xl leading-tight font-bold">
      {{ print('money', bill.money) }}
      <span class="text-lg font-semibold"
        >to the road<template v-if="bill.hours">, {{ print('time', bill.hours) }} of work</template></span
      >
    </p>
    <p v-if="bill && (bill.risk || bill.open || !bill.known)" class="text-tight font-semibold">
      <template v-if="!bill.known">The price itself is not entered yet. </template>
      <template v-if="bill.risk">Missing papers may cost {{ print('money', bill.risk) }} more. </template>
      <template v-if="bill.open">{{ bill.open }} without a price.</template>
    </p>
    <table v-if="bill?.lines.length" class="mt-2 w-full max-w-xl text-sm">
      <tbody>
        <tr v-for="l in bill.lines" :key="l.path" class="border-rule border-t first:border-t-0">
          <th scope="row" class="py-1 text-left font-normal first-letter:uppercase">
            {{ l.name || lineWords[l.what] || l.what }}
          </th>
          <td class="text-right">{{ l.money === undefined ? '' : print('money', l.money) }}</td>
          <td class="w-24 text-right">{{ l.hours ? print('time', l.hours) : '' }}</td>
        </tr>
      </tbody>
    </table>
  </div>
  <div v-if="trailer" class="plate p-3">
    <h2 class="text-lg font-bold">The deal</h2>
    <div class="mt-2 grid gap-x-4 gap-y-3 md:grid-cols-3">
      <ChoiceField
        label="How it comes"
        :value="trailer.comes"
        :options="choices(comesWords)"
        @chosen="workspace.setAt(path('comes'), $event, 'how it comes')"
      />
      <PlanQuantity :path="path('deal/price')" label="Price asked" />
      <PlanQuantity :path="path('deal/offer')" label="Your offer" hint="the price" />
      <PlanQuantity :path="path('deal/tax')" label="Tax on top" hint="included" />
      <PlanQuantity :path="path('deal/delivery')" label="Delivery" />
      <PlanQuantity :path="path('deal/fetch')" label="or the drive to fetch it" />
      <PlanQuantity :path="path('deal/office')" label="Papers, plates, inspection" />
      <ChoiceField
        label="Papers"
        :value="trailer.papers"
        :options="choices(papersWords)"
        @chosen="workspace.setAt(path('papers'), $event, 'papers')"
      />
      <PlanQuantity
        v-if="trailer.papers === 'missing'"
        :path="path('deal/papersRisk')"
        label="Getting papers may cost"
      />
      <PlanQuantity :path="path('deal/hours')" label="Hours to assemble or build" />
      <ChoiceField
        label="Skill it needs"
        :value="trailer.deal?.skill"
        :options="choices(skillWords)"
        none="As usual for its kind"
        @chosen="workspace.setAt(path('deal/skill'), $event, 'skill')"
      />
      <DateField :path="path('deal/readyOn')" label="There on" />
    </div>
  </div>
  <BillLines
    v-if="trailer"
    :path="path('deal/buys')"
    title="Must-buys before the road"
    :usual="(reference.data?.mustBuys ?? []).map(worded)"
  />
  <BillLines
    v-if="trailer && (trailer.comes === 'used' || trailer.comes === 'frame' || trailer.deal?.repairs)"
    :path="path('deal/repairs')"
    title="Repairs"
    :usual="['bearings', '{tyre}s', 'lights', 'floor', 'rust', 'brakes', '{coupling}'].map(worded)"
  />
  <InspectionList v-if="trailer && (trailer.comes === 'used' || trailer.comes === 'frame')" />
</template>
