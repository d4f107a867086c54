<script setup lang="ts">
// A record in a list: its heading opens what was written down, with its photos and the way to take it out.
import { TrashIcon } from '@heroicons/vue/20/solid'
import PhotoStrip from '@/parts/PhotoStrip.vue'
import { useRecords } from '@/stores/records'

defineProps<{ id: string; name: string; of: string }>()
/** The id of the row that is open. */
const open = defineModel<string>('open', { required: true })
const records = useRecords()
</script>

<template>
  <li class="border-rule border-t py-1.5">
    <button
      class="min-h-11 w-full text-left"
      :aria-expanded="open === id"
      @click="open = open === id ? '' : id"
    >
      <slot name="heading" />
    </button>
    <slot name="below" />
    <div v-if="open === id" class="no-print mb-2">
      <div class="grid grid-cols-2 items-end gap-x-4 gap-y-3 lg:grid-cols-4"><slot /></div>
      <div class="mt-2 flex flex-wrap gap-2">
        <slot name="acts" />
        <PhotoStrip :record="id" :of="of" />
        <button class="act min-h-11" @click="records.remove(id, name)">
          <TrashIcon class="size-5" />Take it out
        </button>
      </div>
      <slot name="after" />
    </div>
  </li>
</template>
