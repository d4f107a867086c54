<script setup lang="ts">
// What was last taken away of the records, with its way back.
import { useRecords } from '@/stores/records'

const records = useRecords()
</script>

<template>
  <p v-if="records.removed" class="no-print mt-2 flex flex-wrap items-center gap-2" role="status">
    “{{ records.removed.label }}” is taken out.
    <button class="act min-h-11" @click="records.bringBack">Bring it back</button>
  </p>
</template>
