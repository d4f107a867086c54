<script setup lang="ts">
// Before step one: tools with where they come from, what is used up, hands, power and datum.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import ChoiceField from '@/fields/ChoiceField.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import TextField from '@/fields/TextField.vue'
import type { ToolRow } from '@/generated/types'
import BackAgain from '@/parts/BackAgain.vue'
import { newId } from '@/stores/patch'
import { useRecords } from '@/stores/records'
import { useWorkspace } from '@/stores/workspace'
import { choices, toolFromWords, useWords } from '@/words'
import { useLists } from './lists'

const workspace = useWorkspace()
const records = useRecords()
const { say, nominal } = useWords()
const { lists, failure } = useLists()
const from = (r: ToolRow) => records.all[r.record]?.tool?.from
function set(r: ToolRow, value: string | undefined) {
  records.change(r.record, {
    ...(records.all[r.record] ? {} : { trailer: workspace.trailer }),
    tool: { from: value || null },
  })
}
function add() {
  records.change(newId('tool'), {
    ...{ kind: 'tool', trailer: workspace.trailer },
    tool: { name: 'A tool' },
  })
}
</script>

<template>
  <div class="plate p-3" data-tools>
    <h2 class="text-lg leading-tight font-bold" role="status">
      <template v-if="lists?.tools.away">{{ lists.tools.away }} of these still to find</template>
      <template v-else>Before step one</template
      ><template v-if="lists?.tools.cost">, {{ nominal(lists.tools.cost) }} to hire and buy</template>
    </h2>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <BackAgain />
    <template v-for="group in ['tools', 'used'] as const" :key="group">
      <h3 v-if="lists?.tools[group].length" class="mt-2 font-bold">
        {{ group === 'tools' ? 'Tools' : 'Used up' }}
      </h3>
      <ul>
        <li
          v-for="r in lists?.tools[group] ?? []"
          :key="r.record"
          class="border-rule flex flex-wrap items-end gap-x-3 gap-y-1 border-t py-1.5"
          :data-tool="r.record"
        >
          <div v-if="r.own && !r.for" class="min-w-0 flex-1 basis-48">
            <TextField :path="`/records/${r.record}/tool/name`" label="Tool" tight />
          </div>
          <p v-else class="min-w-0 flex-1 basis-48 self-center">
            {{ say(r.name) }}<span v-if="r.for" class="text-soft"> {{ r.for }}</span>
          </p>
          <div class="w-36">
            <ChoiceField
              :label="`${say(r.name)} comes from`"
              tight
              :value="from(r)"
              none="from where?"
              :options="choices(toolFromWords)"
              @chosen="set(r, $event)"
            />
          </div>
          <div v-if="from(r) === 'hired' || from(r) === 'bought'" class="w-28">
            <PlanQuantity :path="`/records/${r.record}/tool/cost`" label="Cost" />
          </div>
          <button
            v-if="r.own"
            class="act size-11"
            :aria-label="`Take out ${say(r.name)}`"
            @click="records.remove(r.record, say(r.name))"
          >
            <TrashIcon class="size-5" />
          </button>
        </li>
      </ul>
    </template>
    <button class="act no-print mt-2 min-h-11" @click="add"><PlusIcon class="size-5" />Another tool</button>
    <template v-if="lists?.tools.hands.length">
      <h3 class="mt-3 font-bold">Hands</h3>
      <ul class="list-disc pl-6">
        <li v-for="(h, i) in lists.tools.hands" :key="i">
          <b>{{ h.people }} people.</b> {{ say(h.says) }}
        </li>
      </ul>
    </template>
    <template v-if="lists?.tools.site.length">
      <h3 class="mt-3 font-bold">The place</h3>
      <ul class="list-disc pl-6">
        <li v-for="s in lists.tools.site" :key="s">{{ s }}</li>
      </ul>
    </template>
  </div>
</template>
