<script setup lang="ts" generic="T extends string | number">
// One of a few, from a listbox.
import { Listbox, ListboxButton, ListboxLabel, ListboxOption, ListboxOptions } from '@headlessui/vue'
import { ChevronUpDownIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'

const props = defineProps<{
  label: string
  value: T | undefined
  options: { value: T; name: string; more?: string }[]
  tight?: boolean
  none?: string
}>()
const emit = defineEmits<{ chosen: [T] }>()
const name = computed(
  () => props.options.find((o) => o.value === props.value)?.name ?? props.none ?? 'Not known',
)
</script>

<template>
  <Listbox :model-value="value" @update:model-value="(v: T) => emit('chosen', v)">
    <div class="relative min-w-0">
      <ListboxLabel class="text-soft mb-0.5 block text-sm" :class="{ 'sr-only': tight }">{{
        label
      }}</ListboxLabel>
      <ListboxButton class="box flex items-center justify-between gap-1 text-left">
        <span class="truncate">{{ name }}</span>
        <ChevronUpDownIcon class="size-5 shrink-0" aria-hidden="true" />
      </ListboxButton>
      <ListboxOptions
        class="border-rule bg-panel absolute z-30 mt-1 max-h-80 min-w-full overflow-auto rounded-lg border py-1 shadow-lg focus:outline-none"
      >
        <ListboxOption
          v-for="o in options"
          :key="o.value"
          v-slot="{ active, selected }"
          :value="o.value"
          as="template"
        >
          <li class="px-3 py-2" :class="[active && 'bg-wash', selected && 'font-semibold']">
            {{ o.name }}
            <span v-if="o.more" class="text-soft block max-w-80 text-sm font-normal">{{ o.more }}</span>
          </li>
        </ListboxOption>
      </ListboxOptions>
    </div>
  </Listbox>
</template>
