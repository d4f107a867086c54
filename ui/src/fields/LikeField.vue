<script setup lang="ts">
// The one question on a thing that is of no kind: how it lies.
import { likes } from '@/kinds'
import ChoiceField from './ChoiceField.vue'

defineProps<{ value: string | undefined }>()
defineEmits<{ chosen: [string] }>()
</script>

<template>
  <ChoiceField
    label="It"
    :value="value"
    :options="likes"
    none="choose how it lies"
    @chosen="$emit('chosen', $event)"
  />
</template>
