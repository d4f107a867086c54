<script setup lang="ts">
// What there is to tie down with.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { computed, ref } from 'vue'
import PlanFields from '@/fields/PlanFields.vue'
import TextField from '@/fields/TextField.vue'
import { where, type PlanField } from '@/fields/planField'
import FoldedPart from '@/parts/FoldedPart.vue'
import FromLibrary from '@/parts/FromLibrary.vue'
import KeepInLibrary from '@/parts/KeepInLibrary.vue'
import { newId } from '@/stores/patch'
import { useWorkspace } from '@/stores/workspace'
import { choices, strapWords } from '@/words'

const workspace = useWorkspace()
const straps = computed(() =>
  Object.entries(workspace.plan?.straps ?? {}).sort((a, b) => a[1].order - b[1].order),
)
const grades = ['43', '70'].map((g) => ({ value: g, name: `grade ${g}` }))
const fields = (kind: string | undefined): PlanField[] => [
  { at: 'kind', label: 'Kind', options: choices(strapWords) },
  { at: 'count', label: 'How many', whole: true },
  { at: 'limit', label: 'Working limit (LC) on its tag' },
  { at: 'breaks', label: 'or breaking strength' },
  ...where(kind === 'chain', { at: 'grade', label: 'or its grade', options: grades, hint: 'not known' }),
  { at: 'width', label: kind === 'chain' ? 'and its link’s thickness' : 'or its width' },
  { at: 'length', label: 'Its length' },
  { at: 'pull', label: 'Tightened to (S_TF)', hint: 'usual' },
  { at: 'retire', label: 'Cut, frayed or bleached: retired', on: true },
]
const open = ref(!straps.value.length) // at first; what is added is typed at once
function add() {
  const order = (straps.value.at(-1)?.[1].order ?? 0) + 1
  workspace.setAt(
    `/straps/${newId('strap')}`,
    { order, name: 'Ratchet strap', kind: 'ratchet', width: 0.05, count: 4 },
    'add straps',
  )
}
</script>

<template>
  <FoldedPart class="plate shrink-0 px-3 py-1" data-straps :open="open">
    <template #heading>
      <b class="text-lg">Straps: {{ straps.reduce((n, [, s]) => n + s.count, 0) }}</b>
    </template>
    <div
      v-for="[sid, s] in straps"
      :key="sid"
      class="border-rule mt-2 grid grid-cols-2 items-end gap-2 border-t pt-2 lg:grid-cols-4"
    >
      <TextField :path="`/straps/${sid}/name`" label="Name" />
      <TextField :path="`/straps/${sid}/hook`" label="Its hooks" />
      <PlanFields :base="`/straps/${sid}`" :fields="fields(s.kind)" />
      <KeepInLibrary class="col-span-2" :path="`/straps/${sid}`" :name="s.name" />
      <button
        class="act size-11"
        :aria-label="`Take ${s.name} out`"
        @click="workspace.setAt(`/straps/${sid}`, undefined, 'take straps out')"
      >
        <TrashIcon class="size-5" />
      </button>
    </div>
    <div class="mt-2 flex flex-wrap gap-2">
      <button class="act" @click="add"><PlusIcon class="size-5" />Straps</button>
      <FromLibrary collection="straps" title="Take straps from my library" />
    </div>
    <p class="text-soft mt-1 text-sm">
      The working limit counts, not the breaking strength; if the tag gives only that, a third of it counts.
      Retire a strap that is cut, frayed, burnt or bleached stiff, or has a bent hook or a slipping ratchet.
    </p>
  </FoldedPart>
</template>
