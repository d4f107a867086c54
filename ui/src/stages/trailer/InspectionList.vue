<script setup lang="ts">
// What to look at on a used trailer, and what was found.
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'
import { computed } from 'vue'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { seenWords, useWords } from '@/words'

defineProps<{ bare?: boolean }>() // within a part that has its heading
const workspace = useWorkspace()
const reference = useReference()
const { worded } = useWords()
const small = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)
const base = computed(() => `/trailers/${workspace.trailer}/deal/inspected`)
const seen = (id: string) => (workspace.get(`${base.value}/${id}`) as string | undefined) ?? ''
const options = Object.entries(seenWords)
</script>

<template>
  <div :class="{ 'plate p-3': !bare }">
    <h2 v-if="!bare" class="text-lg font-bold">Look at it before you pay</h2>
    <p class="text-soft text-sm">Chock it first. Never reach under a trailer that stands only on a jack.</p>
    <RadioGroup
      v-for="i in reference.data?.inspections"
      :key="i.id"
      :model-value="seen(i.id)"
      class="border-rule flex flex-wrap items-center gap-x-4 gap-y-1 border-t py-2 first-of-type:border-t-0"
      @update:model-value="(v: string) => workspace.setAt(`${base}/${i.id}`, v, 'what was seen')"
    >
      <div class="min-w-60 flex-1">
        <RadioGroupLabel class="leading-snug">{{ worded(i.look) }}</RadioGroupLabel>
        <p v-if="seen(i.id) === 'bad'" class="text-fails text-sm font-semibold">{{ worded(i.bad) }}</p>
        <p v-else-if="seen(i.id) === 'worn'" class="text-tight text-sm font-semibold">
          Add the repair: {{ worded(i.repair) }}.
        </p>
        <p v-else class="text-soft text-sm">
          {{ bare ? 'Bad: ' : 'Walk away if: ' }}{{ small(worded(i.bad)) }}
        </p>
      </div>
      <div class="flex gap-1">
        <RadioGroupOption v-for="[v, word] in options" :key="v" v-slot="{ checked }" :value="v" as="template">
          <button class="act min-w-16" :class="{ '!bg-deep !text-deep-ink': checked }">{{ word }}</button>
        </RadioGroupOption>
      </div>
    </RadioGroup>
  </div>
</template>
