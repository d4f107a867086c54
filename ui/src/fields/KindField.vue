<script setup lang="ts">
// The kind of a load, found by typing a part of its name, in groups.
import {
  Combobox,
  ComboboxButton,
  ComboboxInput,
  ComboboxLabel,
  ComboboxOption,
  ComboboxOptions,
} from '@headlessui/vue'
import { ChevronUpDownIcon } from '@heroicons/vue/20/solid'
import { computed, ref } from 'vue'
import { findKinds } from '@/kinds'
import { useReference } from '@/stores/reference'
import { useWords } from '@/words'

const props = defineProps<{ value: string | undefined; path: string }>()
const emit = defineEmits<{ chosen: [string] }>()
const reference = useReference()
const { print } = useWords()
const typed = ref('')
const kinds = computed(() => reference.data?.loads ?? [])
const groups = computed(() => {
  const want = typed.value.trim()
  const found = want ? findKinds(kinds.value, want) : kinds.value
  return (reference.data?.groups ?? [])
    .map((name) => ({ name, kinds: found.filter((k) => k.group === name) }))
    .filter((g) => g.kinds.length)
})
const nameOf = (id: unknown) => kinds.value.find((k) => k.id === id)?.name ?? ''
</script>

<template>
  <Combobox :model-value="value ?? ''" @update:model-value="(v: string) => v && emit('chosen', v)">
    <div class="relative min-w-0">
      <ComboboxLabel class="text-soft mb-0.5 block text-sm">Kind</ComboboxLabel>
      <ComboboxInput
        class="box pr-9"
        :display-value="nameOf"
        :data-path="props.path"
        placeholder="Any: type to find"
        autocomplete="off"
        @change="typed = $event.target.value"
      />
      <ComboboxButton
        class="absolute right-1 bottom-0 grid h-10 w-8 place-items-center"
        aria-label="All kinds"
        ><ChevronUpDownIcon class="size-5"
      /></ComboboxButton>
      <ComboboxOptions
        class="border-rule bg-panel absolute z-30 mt-1 max-h-80 w-full min-w-72 overflow-auto rounded-lg border py-1 shadow-lg focus:outline-none"
      >
        <template v-for="g in groups" :key="g.name">
          <li
            class="text-soft px-3 pt-2 pb-0.5 text-sm font-semibold first-letter:uppercase"
            role="presentation"
          >
            {{ g.name }}
          </li>
          <ComboboxOption
            v-for="k in g.kinds"
            :key="k.id"
            v-slot="{ active, selected }"
            :value="k.id"
            as="template"
          >
            <li
              class="flex justify-between gap-3 px-3 py-2"
              :class="[active && 'bg-wash', selected && 'font-semibold']"
            >
              <span class="first-letter:uppercase">{{ k.name }}</span>
              <span class="text-soft text-sm whitespace-nowrap"
                >{{ print('mass', k.low) }} – {{ print('mass', k.high) }}</span
              >
            </li>
          </ComboboxOption>
        </template>
        <li v-if="!groups.length" class="text-soft px-3 py-2" role="presentation">No kind of that name.</li>
      </ComboboxOptions>
    </div>
  </Combobox>
</template>
