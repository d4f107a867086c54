<script setup lang="ts">
// The sheet for an axle maker or dealer.
import PlanFields from '@/fields/PlanFields.vue'
import SheetButton from '@/parts/SheetButton.vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import { useLists } from './lists'

const workspace = useWorkspace()
const { say } = useWords()
const { lists } = useLists()
</script>

<template>
  <div class="plate mt-2 p-3" data-axle-order>
    <div class="flex items-start gap-2">
      <h2 class="mr-auto text-lg font-bold">To order an axle</h2>
      <SheetButton label="Print the order" />
    </div>
    <p v-if="lists">{{ say(lists.axle.says) }}</p>
    <table class="mt-1 w-full">
      <tbody>
        <tr v-for="(l, i) in lists?.axle.lines ?? []" :key="i" class="border-rule border-t">
          <th class="w-48 py-1.5 pr-3 text-left font-normal">{{ say(l.name) }}</th>
          <td class="font-semibold">{{ say(l.says) }}</td>
        </tr>
      </tbody>
    </table>
    <ul v-if="lists?.axle.needs.length" class="text-unknown mt-1">
      <li v-for="(n, i) in lists.axle.needs" :key="i">
        Missing: {{ say(n.says) }}. <span class="text-soft">{{ say(n.where) }}</span>
      </li>
    </ul>
    <div class="no-print mt-2 grid grid-cols-2 items-end gap-x-4 gap-y-3 md:grid-cols-4">
      <PlanFields
        :base="`/trailers/${workspace.trailer}/workshop`"
        :fields="[
          { at: 'wheelOffset', label: 'The wheel’s offset' },
          { at: 'spindleEnd', label: 'Spindle’s end', text: true },
        ]"
      />
      <PlanFields
        :base="`/trailers/${workspace.trailer}/gear`"
        :fields="[
          { at: 'studs', label: 'Wheel bolts', whole: true },
          { at: 'circle', label: 'on a circle of' },
        ]"
      />
    </div>
  </div>
</template>
