<script setup lang="ts">
// A day of the plan at a path, written year-month-day.
import { computed, useId } from 'vue'
import { useWorkspace } from '@/stores/workspace'

const props = defineProps<{ path: string; label: string }>()
const workspace = useWorkspace()
const id = useId()
const value = computed(() => (workspace.get(props.path) as string | undefined) ?? '')
const set = (e: Event) =>
  workspace.setAt(props.path, (e.target as HTMLInputElement).value || undefined, props.label)
</script>

<template>
  <div class="min-w-0">
    <label :for="id" class="text-soft mb-0.5 block text-sm">{{ label }}</label>
    <input :id="id" type="date" class="box" :value="value" :data-path="path" @change="set" />
  </div>
</template>
