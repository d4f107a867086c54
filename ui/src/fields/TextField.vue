<script setup lang="ts">
// A text of the plan at a path.
import { computed, useId } from 'vue'
import { useWorkspace } from '@/stores/workspace'

const props = defineProps<{ path: string; label: string; tight?: boolean; hint?: string }>()
const workspace = useWorkspace()
const id = useId()
const value = computed(() => (workspace.get(props.path) as string | undefined) ?? '')
</script>

<template>
  <div class="min-w-0">
    <label :for="id" class="text-soft mb-0.5 block text-sm" :class="{ 'sr-only': tight }">{{ label }}</label>
    <input
      :id="id"
      class="box"
      maxlength="200"
      :placeholder="hint"
      :value="value"
      :data-path="path"
      @input="workspace.setAt(path, ($event.target as HTMLInputElement).value, label, `type-${path}`)"
    />
  </div>
</template>
