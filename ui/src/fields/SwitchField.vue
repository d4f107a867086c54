<script setup lang="ts">
// Yes or no.
import { Switch, SwitchGroup, SwitchLabel } from '@headlessui/vue'

defineProps<{ label: string; value: boolean | undefined }>()
const emit = defineEmits<{ set: [boolean] }>()
</script>

<template>
  <SwitchGroup>
    <div class="flex min-h-11 items-center gap-2.5">
      <Switch
        :model-value="!!value"
        class="border-soft relative inline-flex h-7 w-12 shrink-0 items-center rounded-full border-2"
        :class="value ? 'bg-deep border-deep' : 'bg-panel'"
        @update:model-value="emit('set', $event)"
      >
        <span
          class="inline-block size-5 rounded-full"
          :class="value ? 'bg-deep-ink translate-x-5' : 'bg-soft translate-x-0.5'"
          aria-hidden="true"
        />
      </Switch>
      <SwitchLabel class="cursor-pointer">{{ label }}</SwitchLabel>
    </div>
  </SwitchGroup>
</template>
