<script setup lang="ts">
// A drawn frame made longer or wider, as an old trailer is.
import { computed, ref, shallowRef } from 'vue'
import { api } from '@/api'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import QuantityField from '@/fields/QuantityField.vue'
import type { Plan, StretchRow, Stretched } from '@/generated/types'
import FoldedPart from '@/parts/FoldedPart.vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { term, say, nominal, print } = useWords()
const kind = ref('longer')
const by = ref<number>()
const at = ref<number>()
const failure = ref('')
const found = shallowRef<Stretched>()
const foundFor = shallowRef<Plan>()
const stale = computed(() => foundFor.value !== workspace.plan)
const kinds = computed(() => [
  { value: 'longer', name: 'Longer deck' },
  { value: 'wider', name: 'Wider deck' },
  { value: 'drawbar', name: `Longer ${term('drawbar')}` },
])
async function look() {
  if (!workspace.plan) return
  failure.value = ''
  const plan = workspace.plan
  try {
    const asked = { plan, outing: workspace.outing, trailer: workspace.trailer }
    found.value = await api.stretched(asked, { kind: kind.value, by: by.value ?? 0, at: at.value ?? 0 })
    foundFor.value = plan
    if (found.value.fails) failure.value = found.value.fails
  } catch (e) {
    failure.value = e instanceof Error ? e.message : String(e)
  }
}
function go() {
  if (found.value?.fix) workspace.edit(found.value.fix.patch, 'stretch the frame')
}
const signed = (r: StretchRow) => {
  const d = r.now.value - r.was.value
  return (d > 0 ? '+' : '') + print(r.now.kind, d)
}
</script>

<template>
  <FoldedPart class="no-print mt-4" data-stretch>
    <template #heading><b>Stretch it</b></template>
    <div class="grid grid-cols-1 items-end gap-x-4 gap-y-3 sm:grid-cols-4">
      <ChoiceField label="What" :value="kind" :options="kinds" @chosen="kind = $event" />
      <QuantityField
        label="By"
        kind="length"
        :value="by"
        hint="minus: shorter"
        @typed="by = $event.value"
        @cleared="by = undefined"
      />
      <QuantityField
        v-if="kind === 'longer'"
        label="Behind the front by"
        kind="length"
        :value="at"
        hint="0"
        @typed="at = $event.value"
        @cleared="at = undefined"
      />
      <button class="act min-h-11" @click="look">See what it becomes</button>
    </div>
    <p v-if="failure" class="text-fails mt-2 font-semibold" role="alert">{{ failure }}</p>
    <div v-else-if="found && !stale" class="border-rule mt-3 rounded-lg border p-3" data-stretched>
      <div class="flex items-start gap-3">
        <p class="flex-1 text-lg leading-tight font-bold">{{ say(found.says) }}</p>
        <button class="act-main" @click="go">Stretch it</button>
      </div>
      <ul>
        <li
          v-for="w in found.worse"
          :key="w.now.code + w.now.subject"
          class="flex items-start gap-2 py-1 text-sm"
        >
          <OutcomeMark :outcome="w.now.outcome" :size="16" class="mt-0.5" /><span>{{ say(w.now.says) }}</span>
        </li>
      </ul>
      <table class="mt-2 w-full max-w-xl text-sm">
        <thead>
          <tr class="text-soft">
            <th><span class="sr-only">Figure</span></th>
            <th class="text-right font-normal">now</th>
            <th class="text-right font-normal">then</th>
            <th class="text-right font-normal">differs by</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(r, i) in found.rows" :key="i" class="border-rule border-t">
            <th scope="row" class="py-1 text-left font-semibold">{{ say(r.name) }}</th>
            <td class="text-right">{{ nominal(r.was) }}</td>
            <td class="text-right">{{ nominal(r.now) }}</td>
            <td class="text-right font-semibold">{{ signed(r) }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="found.axle?.length" class="mt-2 text-sm">{{ say(found.axle) }}</p>
      <p v-for="(n, i) in found.notes" :key="i" class="text-soft mt-2 text-sm">{{ say(n) }}</p>
    </div>
    <p class="text-soft mt-2 text-sm">
      Members across that place grow and everything behind it moves. Axle, track and loads stay where they
      are.
    </p>
  </FoldedPart>
</template>
