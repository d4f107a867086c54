<script setup lang="ts">
// Plug, wires, and each lamp as it is placed.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import { api } from '@/api'
import ChoiceField from '@/fields/ChoiceField.vue'
import PlanFields from '@/fields/PlanFields.vue'
import type { PlanField } from '@/fields/planField'
import { newId, put } from '@/stores/patch'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { choices, lampUseWords, useWords } from '@/words'

defineProps<{ plugs: { value: string; name: string }[] }>()
const workspace = useWorkspace()
const { say, nominal } = useWords()
const base = computed(() => `/trailers/${workspace.trailer}`)
const trailer = computed(() => workspace.plan?.trailers[workspace.trailer])
const lamps = computed(() =>
  Object.entries(trailer.value?.wiring?.lamps ?? {}).sort((a, b) => a[1].order - b[1].order),
)
const { data } = useStudy((asked) => api.shining(asked, ''))
const harness: PlanField[] = [
  { at: 'wire', label: 'Wires, mm²', hint: '1' },
  { at: 'lead', label: 'Cable before the frame', hint: 'as the drawbar, and a loop' },
  { at: 'fuse', label: 'Fuse of the socket, A' },
  { at: 'earthFrame', label: 'Earth through the frame', on: true },
  { at: 'bundled', label: 'All in one bundle', on: true },
]
const fields: PlanField[] = [
  { at: 'what', label: 'It is a', options: choices(lampUseWords) },
  { at: 'back', label: 'Behind the front' },
  { at: 'right', label: 'Right of the middle' },
  { at: 'height', label: 'Over the ground' },
  { at: 'watts', label: 'Watts', hint: 'usual' },
  { at: 'led', label: 'LED', on: true },
]
function add() {
  if (!workspace.plan) return
  const value = { order: lamps.value.length + 1, what: 'marker', back: 0, right: 0, height: 0.6 }
  workspace.edit(put(workspace.plan, `${base.value}/wiring/lamps/${newId('lamp')}`, value), 'add a lamp')
}
</script>

<template>
  <div class="plate p-3" data-lamps>
    <div class="grid grid-cols-1 items-end gap-x-4 gap-y-3 sm:grid-cols-3">
      <ChoiceField
        label="The trailer’s plug"
        :value="trailer?.plug"
        none="choose"
        :options="plugs"
        @chosen="workspace.setAt(`${base}/plug`, $event || undefined, 'plug')"
      />
      <PlanFields :base="`${base}/wiring`" :fields="harness" />
    </div>
    <section v-if="data?.picture?.wires.length" class="mt-4" data-wires>
      <h2 class="font-bold">Wire to buy</h2>
      <ul class="text-sm sm:columns-2">
        <li v-for="(w, i) in data.picture.wires" :key="i" class="flex gap-2 py-0.5">
          <span class="flex-1 first-letter:uppercase">{{ say(w.says) }}</span><b>{{ nominal(w.length) }}</b>
        </li>
      </ul>
    </section>
    <h2 class="mt-4 font-bold">Lamps and reflectors</h2>
    <div
      v-for="[id, l] in lamps"
      :key="id"
      class="border-rule mt-2 grid grid-cols-2 items-end gap-2 border-t pt-2 sm:grid-cols-4 lg:grid-cols-7"
    >
      <PlanFields :base="`${base}/wiring/lamps/${id}`" :fields="fields" />
      <button
        class="act size-11"
        :aria-label="`Take the ${lampUseWords[l.what] ?? 'lamp'} out`"
        @click="workspace.setAt(`${base}/wiring/lamps/${id}`, undefined, 'take a lamp out')"
      >
        <TrashIcon class="size-5" />
      </button>
    </div>
    <button class="act mt-3 min-h-11" @click="add"><PlusIcon class="size-5" />A lamp</button>
  </div>
</template>
