<script setup lang="ts">
// What is still to be put right, with who and when.
import { CheckIcon, PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { ref } from 'vue'
import { useDays } from '@/days'
import DateField from '@/fields/DateField.vue'
import PlanFields from '@/fields/PlanFields.vue'
import type { SnagRow } from '@/generated/types'
import BackAgain from '@/parts/BackAgain.vue'
import FoldedPart from '@/parts/FoldedPart.vue'
import PhotoStrip from '@/parts/PhotoStrip.vue'
import { newId } from '@/stores/patch'
import { useRecords } from '@/stores/records'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import { useLists } from './lists'

const workspace = useWorkspace()
const records = useRecords()
const { say } = useWords()
const { day } = useDays()
const { lists, failure } = useLists()
const open = ref('')
const snag = (r: SnagRow) => records.all[r.record]?.snag
function add() {
  const id = newId('snag')
  records.change(id, { kind: 'snag', trailer: workspace.trailer, snag: { says: '' } })
  open.value = id
}
const line = (r: SnagRow) =>
  [snag(r)?.who, snag(r)?.due && `by ${day(snag(r)!.due!)}`, r.stops && !r.done && 'before it is driven']
    .filter(Boolean)
    .join(', ')
</script>

<template>
  <div class="plate p-3" data-snags>
    <h2 class="text-lg leading-tight font-bold" role="status">
      {{ lists ? say(lists.snags.says) : 'Snags' }}
    </h2>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <BackAgain />
    <ul class="mt-2">
      <li
        v-for="r in lists?.snags.rows ?? []"
        :key="r.record"
        class="border-rule flex items-start gap-3 border-t py-2"
        :data-snag="r.record"
      >
        <button
          class="act size-11 shrink-0"
          :aria-pressed="!!snag(r)?.done"
          :aria-label="`${say([r.says])}: ${snag(r)?.done ? 'fixed' : 'open'}`"
          @click="records.change(r.record, { snag: { done: !snag(r)?.done } })"
        >
          <CheckIcon v-if="snag(r)?.done" class="size-6" />
        </button>
        <div class="min-w-0 flex-1">
          <p :class="snag(r)?.done ? 'text-soft line-through' : 'font-semibold'">
            {{ snag(r)?.says || 'A snag' }}
          </p>
          <p
            v-if="line(r)"
            class="text-sm"
            :class="r.stops && !r.done ? 'text-fails font-semibold' : 'text-soft'"
          >
            {{ line(r) }}
          </p>
          <FoldedPart class="no-print" :open="open === r.record">
            <template #heading><span class="text-soft text-sm">what, who, when, photo</span></template>
            <div class="mt-1 grid max-w-2xl grid-cols-2 items-end gap-x-4 gap-y-3">
              <PlanFields
                :base="`/records/${r.record}`"
                :fields="[
                  { at: 'snag/says', label: 'What is wrong', text: true },
                  { at: 'snag/who', label: 'Who fixes it', text: true },
                ]"
              />
              <DateField :path="`/records/${r.record}/snag/due`" label="By when" />
              <PlanFields
                :base="`/records/${r.record}`"
                :fields="[{ at: 'snag/stops', label: 'Before it is driven', on: true }]"
              />
            </div>
            <div class="mt-2 flex flex-wrap gap-2">
              <PhotoStrip :record="r.record" :of="snag(r)?.says || 'a snag'" />
              <button class="act min-h-11" @click="records.remove(r.record, snag(r)?.says || 'a snag')">
                <TrashIcon class="size-5" />Take it out
              </button>
            </div>
          </FoldedPart>
        </div>
      </li>
    </ul>
    <button class="act no-print mt-2 min-h-11" @click="add"><PlusIcon class="size-5" />Another snag</button>
  </div>
</template>
