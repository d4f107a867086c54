<script setup lang="ts">
// The tabs of a stage in one row; the chosen one is brought into view where they run on.
import { Tab, TabList } from '@headlessui/vue'
import { useTemplateRef } from 'vue'

defineProps<{ names: string[]; label: string }>()
const bar = useTemplateRef<{ $el: HTMLElement }>('bar')
function shown(selected: boolean, i: number) {
  if (!selected) return
  requestAnimationFrame(() => {
    const row = bar.value?.$el
    const tab = row?.children[i] as HTMLElement | undefined
    if (!row || !tab) return
    const over = tab.offsetLeft + tab.offsetWidth - row.offsetLeft - row.clientWidth
    const under = tab.offsetLeft - row.offsetLeft
    if (under < row.scrollLeft) row.scrollLeft = under
    else if (over > row.scrollLeft) row.scrollLeft = over
  })
}
</script>

<template>
  <TabList ref="bar" class="plate no-print flex max-w-full shrink-0 overflow-x-auto p-1" :aria-label="label">
    <Tab v-for="(name, i) in names" :key="name" v-slot="{ selected }" as="template">
      <button
        class="min-h-11 rounded-lg px-3.5 font-semibold whitespace-nowrap"
        :class="selected ? 'bg-deep text-deep-ink' : 'hover:bg-wash'"
        @vue:mounted="shown(selected, i)"
        @vue:updated="shown(selected, i)"
      >
        {{ name }}
      </button>
    </Tab>
  </TabList>
</template>
