<script setup lang="ts">
// As built against as drawn: what was measured replaces what was drawn, at a button.
import PlanQuantity from '@/fields/PlanQuantity.vue'
import type { BuiltRow, Op } from '@/generated/types'
import { useRecords } from '@/stores/records'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import { watch } from 'vue'
import { useLists } from './lists'

const workspace = useWorkspace()
const records = useRecords()
const { say, nominal } = useWords()
const { lists, failure } = useLists()

/** What the plan has when a measure is first written stays beside it. */
function drawn(r: BuiltRow) {
  const field = r.field === 'long' ? 'drawnLong' : 'drawnHeavy'
  const rec = records.all[r.record]?.built
  if (
    rec &&
    rec[field] === undefined &&
    r.plan !== undefined &&
    rec[r.field as 'long' | 'heavy'] !== undefined
  )
    records.change(r.record, { built: { [field]: r.plan, what: r.what } })
}
watch(
  () => [records.all, lists.value],
  () => lists.value?.built.rows.forEach(drawn),
)
const sign = (v: number) => (v > 0 ? '+' : v < 0 ? '−' : '±')
</script>

<template>
  <div class="plate p-3" data-built>
    <h2 class="text-lg leading-tight font-bold" role="status">
      {{ lists ? say(lists.built.says) : 'As built' }}
    </h2>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <p class="text-soft">
      Tape and weigh the finished trailer. In the plan, these figures then stand in every check as measured;
      what was drawn is kept here. Diagonals stand under Square, the axle’s line under Axle.
    </p>
    <table class="mt-2 w-full">
      <thead>
        <tr class="text-soft text-left text-sm">
          <th class="py-1 font-normal">Measure</th>
          <th class="font-normal">As drawn</th>
          <th class="font-normal">As built</th>
          <th class="text-right font-normal">Off</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="r in lists?.built.rows ?? []"
          :key="r.what"
          class="border-rule border-t"
          :data-measure="r.what"
        >
          <td class="py-1.5 pr-2">{{ say(r.name) }}</td>
          <td class="pr-2">{{ r.drawn ? nominal(r.drawn) : '–' }}</td>
          <td class="w-36 pr-2">
            <PlanQuantity :path="`/records/${r.record}/built/${r.field}`" :label="say(r.name)" tight />
          </td>
          <td class="text-right">
            <template v-if="r.off"
              >{{ sign(r.off.value) }}{{ nominal({ ...r.off, value: Math.abs(r.off.value) }) }}</template
            >
            <span v-if="r.inPlan" class="text-soft block text-sm">in the plan</span>
          </td>
        </tr>
      </tbody>
    </table>
    <button
      v-if="lists?.built.use.length"
      class="act-main no-print mt-3"
      @click="workspace.edit(lists.built.use as Op[], 'as built')"
    >
      Use them in the plan
    </button>
  </div>
</template>
