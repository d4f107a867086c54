<script setup lang="ts">
// Fields that few need, folded away; how many of them are stated.
import { computed } from 'vue'
import FoldedPart from '@/parts/FoldedPart.vue'
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
  <FoldedPart class="border-rule col-span-full border-t">
    <template #heading>
      <b>{{ title }}</b>
      <span v-if="told" class="text-soft pl-2 text-sm">{{ told }} of {{ fields.length }} filled in</span>
    </template>
    <div class="grid grid-cols-2 items-end gap-2 pt-1 pb-3 lg:grid-cols-4">
      <PlanFields :base="base" :fields="fields" />
      <slot />
    </div>
  </FoldedPart>
</template>
