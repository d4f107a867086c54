<script setup lang="ts">
// Which stages stand in the rail.
import SwitchField from '@/fields/SwitchField.vue'
import { groups } from '@/stages/registry'
import { useRail } from '@/stores/rail'
import DialogShell from './DialogShell.vue'

defineProps<{ open: boolean }>()
const emit = defineEmits<{ closed: [] }>()
const { away, put } = useRail(() => '')
</script>

<template>
  <DialogShell :open="open" title="Stages to show" @closed="emit('closed')">
    <p class="text-soft mt-1 text-sm">
      On this device. A stage you put away is still checked, and comes back while something in it fails.
    </p>
    <div class="mt-3 grid gap-x-4 gap-y-3 sm:grid-cols-2">
      <fieldset v-for="g in groups" :key="g.id">
        <legend class="text-soft font-semibold">{{ g.name }}</legend>
        <SwitchField
          v-for="s in g.stages"
          :key="s.id"
          :label="s.name"
          :value="!away.includes(s.id)"
          @set="put(s.id, $event)"
        />
      </fieldset>
    </div>
  </DialogShell>
</template>
