<script setup lang="ts">
// As built against as drawn: what was measured replaces what was drawn, at a button.
import type { BuiltRow, Op } from '@/generated/types'
import FoldedPart from '@/parts/FoldedPart.vue'
import { useRecords } from '@/stores/records'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import { watch } from 'vue'
import BuiltTable from './BuiltTable.vue'
import { useLists } from './lists'

const workspace = useWorkspace()
const records = useRecords()
const { say } = useWords()
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
    records.change(r.record, { built: { [field]: r.plan, what: r.member ? 'member' : r.what } })
}
watch(
  () => [records.all, lists.value],
  () => lists.value?.built.rows.forEach(drawn),
)
const rows = (members: boolean) => (lists.value?.built.rows ?? []).filter((r) => !!r.member === members)
</script>

<template>
  <div class="plate p-3" data-built>
    <h2 class="text-lg leading-tight font-bold" role="status">
      {{ lists ? say(lists.built.says) : 'As built' }}
    </h2>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <p class="text-soft">
      Tape and weigh the finished trailer. Once in the plan, every check uses these figures as measured; what
      was drawn is kept here. Diagonals are under Square, the axle’s line under Axle.
    </p>
    <BuiltTable class="mt-2" :rows="rows(false)" />
    <FoldedPart v-if="rows(true).length" class="mt-2">
      <template #heading
        ><b>Members of the frame</b
        ><span class="text-soft"
          >: in the plan, ends move to where they were taped, and holes too</span
        ></template
      >
      <BuiltTable :rows="rows(true)" />
    </FoldedPart>
    <button
      v-if="lists?.built.use.length"
      class="act-main no-print mt-3"
      @click="workspace.edit(lists.built.use as Op[], 'as built')"
    >
      Use them in the plan
    </button>
  </div>
</template>
