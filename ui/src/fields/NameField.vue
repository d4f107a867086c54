<script setup lang="ts">
// What a load is called. What is typed is its name; a kind that goes by it may be
// taken from the list and brings its typical size and weight.
import { Combobox, ComboboxInput, ComboboxLabel, ComboboxOption, ComboboxOptions } from '@headlessui/vue'
import { computed } from 'vue'
import type { LoadKind } from '@/generated/types'
import { capital, findKinds, names } from '@/kinds'
import { useReference } from '@/stores/reference'
import { useWords } from '@/words'

const props = defineProps<{ name: string; label: string; path?: string; hint?: string }>()
const emit = defineEmits<{ named: [string]; taken: [LoadKind, string] }>()
const reference = useReference()
const { print } = useWords()
const found = computed(() => findKinds(reference.data?.loads ?? [], props.name).slice(0, 12))
const asTyped = 'as typed' // the name alone; first, unless the words are a kind's own
const rows = computed<{ id: string; name: string; low?: number; high?: number }[]>(() => {
  const own = { id: asTyped, name: `“${props.name.trim()}”, no kind` }
  const first = found.value[0]
  return first && names(first, props.name) ? [...found.value, own] : [own, ...found.value]
})

function take(id: string | null) {
  const kind = found.value.find((k) => k.id === id)
  if (kind) emit('taken', kind, names(kind, props.name) ? props.name : capital(kind.name))
}
</script>

<template>
  <Combobox model-value="" @update:model-value="take">
    <div class="relative min-w-0">
      <ComboboxLabel class="text-soft mb-0.5 block text-sm">{{ label }}</ComboboxLabel>
      <ComboboxInput
        class="box"
        maxlength="80"
        autocomplete="off"
        :display-value="() => name"
        :data-path="path"
        :placeholder="hint"
        @change="emit('named', $event.target.value)"
      />
      <ComboboxOptions
        v-if="found.length"
        class="border-rule bg-panel absolute z-30 mt-1 max-h-80 w-full min-w-72 overflow-auto rounded-lg border py-1 shadow-lg focus:outline-none"
      >
        <ComboboxOption v-for="k in rows" :key="k.id" v-slot="{ active }" :value="k.id" as="template">
          <li
            class="flex min-h-11 items-center justify-between gap-3 px-3 py-1.5"
            :class="active && 'bg-wash'"
          >
            <span>{{ capital(k.name) }}</span>
            <span
              v-if="k.low !== undefined && k.high !== undefined"
              class="text-soft text-sm whitespace-nowrap"
              >{{ print('mass', k.low) }} – {{ print('mass', k.high) }}</span
            >
          </li>
        </ComboboxOption>
      </ComboboxOptions>
    </div>
  </Combobox>
</template>
