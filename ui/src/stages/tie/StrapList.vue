<script setup lang="ts">
// What there is to tie down with.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import CountField from '@/fields/CountField.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import SwitchField from '@/fields/SwitchField.vue'
import TextField from '@/fields/TextField.vue'
import { newId } from '@/stores/patch'
import { useWorkspace } from '@/stores/workspace'
import { choices, strapWords } from '@/words'

const workspace = useWorkspace()
const straps = computed(() =>
  Object.entries(workspace.plan?.straps ?? {}).sort((a, b) => a[1].order - b[1].order),
)
const grades = ['43', '70'].map((g) => ({ value: g, name: `grade ${g}` }))
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
  <details class="plate shrink-0 p-3" data-straps :open="!straps.length">
    <summary class="cursor-pointer text-lg font-bold">
      Straps: {{ straps.reduce((n, [, s]) => n + s.count, 0) }}
    </summary>
    <div
      v-for="[sid, s] in straps"
      :key="sid"
      class="border-rule mt-2 grid grid-cols-2 items-end gap-2 border-t pt-2 lg:grid-cols-4"
    >
      <TextField :path="`/straps/${sid}/name`" label="Name" />
      <ChoiceField
        label="Kind"
        :value="s.kind"
        :options="choices(strapWords)"
        @chosen="workspace.setAt(`/straps/${sid}/kind`, $event, 'kind of strap')"
      />
      <TextField :path="`/straps/${sid}/hook`" label="Its hooks" />
      <CountField :path="`/straps/${sid}/count`" label="How many" />
      <PlanQuantity :path="`/straps/${sid}/limit`" label="Working limit (LC) on its tag" kind="mass" />
      <PlanQuantity :path="`/straps/${sid}/breaks`" label="or breaking strength" kind="mass" />
      <ChoiceField
        v-if="s.kind === 'chain'"
        label="or its grade"
        none="not told"
        :value="s.grade"
        :options="grades"
        @chosen="workspace.setAt(`/straps/${sid}/grade`, $event, 'grade of chain')"
      />
      <PlanQuantity
        :path="`/straps/${sid}/width`"
        :label="s.kind === 'chain' ? 'and its link’s thickness' : 'or its width'"
        kind="length"
      />
      <PlanQuantity :path="`/straps/${sid}/length`" label="Its length" kind="length" />
      <PlanQuantity
        :path="`/straps/${sid}/pull`"
        label="Pull it is drawn to (S_TF)"
        kind="mass"
        hint="usual"
      />
      <SwitchField
        label="Cut, frayed, bleached: retired"
        :value="s.retire"
        @set="workspace.setAt(`/straps/${sid}/retire`, $event || undefined, 'retire')"
      />
      <button
        class="act size-11"
        :aria-label="`Take ${s.name} out`"
        @click="workspace.setAt(`/straps/${sid}`, undefined, 'take straps out')"
      >
        <TrashIcon class="size-5" />
      </button>
    </div>
    <button class="act mt-2" @click="add"><PlusIcon class="size-5" />Straps</button>
    <p class="text-soft mt-1 text-sm">
      The working limit counts, not the breaking strength: a third of it where that is all the tag says.
      Retire one that is cut, frayed, burnt, bleached stiff, or with a bent hook or a ratchet that slips.
    </p>
  </details>
</template>
