<script setup lang="ts">
// Quick entry at the seller's: six figures make a candidate, the rest later.
import { computed, reactive, ref, watch } from 'vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import QuantityField from '@/fields/QuantityField.vue'
import { newId } from '@/stores/patch'
import { useWorkspace } from '@/stores/workspace'
import { choices, papersWords, useWords } from '@/words'
import DialogShell from '@/parts/DialogShell.vue'

const props = defineProps<{ open: boolean }>()
const emit = defineEmits<{ closed: [] }>()
const workspace = useWorkspace()
const { term } = useWords()
const blank = {
  name: '',
  tyre: '',
  counts: 'unsure',
  papers: undefined as string | undefined,
  price: undefined as number | undefined,
  label: undefined as number | undefined,
  empty: undefined as number | undefined,
  length: undefined as number | undefined,
  width: undefined as number | undefined,
}
const got = reactive({ ...blank })
const missing = ref(false)
watch(
  () => props.open,
  (open) => {
    if (open) Object.assign(got, blank)
    missing.value = false
  },
)
const counts = computed(() => [
  { value: 'unsure', name: 'Not sure', more: 'Both ways are worked out.' },
  { value: 'gross', name: 'Trailer and load together', more: `The ${term('gross')}.` },
  { value: 'payload', name: 'The load alone' },
])

function done() {
  if (!got.name.trim()) {
    missing.value = true
    return
  }
  const id = newId(got.name)
  const order = Math.max(0, ...Object.values(workspace.plan?.trailers ?? {}).map((t) => t.order)) + 1
  const told = (value: number | undefined) => (value === undefined ? undefined : { value, how: 'maker' })
  const value = {
    order,
    name: got.name.trim(),
    label: got.label === undefined ? undefined : { value: got.label, counts: got.counts },
    deckLength: told(got.length),
    deckWidth: told(got.width),
    tyreText: got.tyre.trim() || undefined,
    papers: got.papers,
    deal: got.price === undefined ? undefined : { price: got.price },
    empty: { mass: told(got.empty) },
  }
  workspace.edit(
    [{ op: 'add', path: `/trailers/${id}`, value: JSON.parse(JSON.stringify(value)) }],
    'add a candidate',
  )
  emit('closed')
}
</script>

<template>
  <DialogShell :open="open" title="At the seller’s" width="max-w-xl" @closed="emit('closed')">
    <p class="text-soft text-sm">Leave out what you cannot get; it stays “not known”.</p>
    <form class="mt-3 grid gap-x-4 gap-y-3 sm:grid-cols-2" @submit.prevent="done">
      <label class="block sm:col-span-2">
        <span class="text-soft mb-0.5 block text-sm">Call it</span>
        <input v-model="got.name" class="box" maxlength="200" :aria-invalid="missing" />
        <span v-if="missing" class="text-fails text-sm">Give it a name to tell it apart.</span>
      </label>
      <QuantityField
        label="Price"
        kind="money"
        :value="got.price"
        @typed="got.price = $event.value"
        @cleared="got.price = undefined"
      />
      <ChoiceField
        label="Papers"
        :value="got.papers"
        :options="choices(papersWords)"
        none="Not seen"
        @chosen="got.papers = $event"
      />
      <QuantityField
        label="The label’s number"
        kind="mass"
        :value="got.label"
        @typed="got.label = $event.value"
        @cleared="got.label = undefined"
      />
      <ChoiceField
        label="This number is"
        :value="got.counts"
        :options="counts"
        @chosen="got.counts = $event"
      />
      <QuantityField
        label="Empty weight"
        kind="mass"
        :value="got.empty"
        @typed="got.empty = $event.value"
        @cleared="got.empty = undefined"
      />
      <label class="block">
        <span class="text-soft mb-0.5 block text-sm">{{ term('Tyre') }}, as printed on its wall</span>
        <input
          v-model="got.tyre"
          class="box"
          maxlength="80"
          placeholder="145/80 R13 79N"
          autocomplete="off"
        />
      </label>
      <QuantityField
        label="Deck length"
        kind="length"
        :value="got.length"
        @typed="got.length = $event.value"
        @cleared="got.length = undefined"
      />
      <QuantityField
        label="Deck width"
        kind="length"
        :value="got.width"
        @typed="got.width = $event.value"
        @cleared="got.width = undefined"
      />
      <button type="submit" class="act-main sm:col-span-2">Add to the comparison</button>
    </form>
  </DialogShell>
</template>
