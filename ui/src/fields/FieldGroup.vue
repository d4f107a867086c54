<script setup lang="ts">
// Fields that few need, folded away; how many of them are told.
import { ChevronDownIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import { useWorkspace } from '@/stores/workspace'
import type { PlanField } from './planField'
import PlanFields from './PlanFields.vue'

const props = defineProps<{ title: string; base: string; fields: readonly PlanField[] }>()
const workspace = useWorkspace()
const told = computed(
  () => props.fields.filter((f) => workspace.get(`${props.base}/${f.at}`) !== undefined).length,
)
</script>

<template>
  <details class="border-rule group col-span-full border-t">
    <summary class="flex min-h-11 cursor-pointer items-center gap-2">
      <b>{{ title }}</b>
      <span v-if="told" class="text-soft text-sm">{{ told }} of {{ fields.length }} told</span>
      <ChevronDownIcon class="ml-auto size-5 group-open:rotate-180" aria-hidden="true" />
    </summary>
    <div class="grid grid-cols-2 items-end gap-2 pt-1 pb-3 lg:grid-cols-4">
      <PlanFields :base="base" :fields="fields" />
      <slot />
    </div>
  </details>
</template>
