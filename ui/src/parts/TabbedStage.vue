<script setup lang="ts">
// A stage of panels under tabs.
import { TabGroup, TabPanel, TabPanels } from '@headlessui/vue'
import type { Component } from 'vue'
import { useRoute } from 'vue-router'
import TabBar from './TabBar.vue'

const props = defineProps<{ label: string; tabs: { name: string; panel: Component }[] }>()
/** The tab that the address names: #something-wrong. */
const named = useRoute().hash.slice(1)
const first = props.tabs.findIndex((t) => t.name.toLowerCase().replace(/\W+/g, '-') === named)
</script>

<template>
  <section class="relative flex flex-col gap-2 xl:overflow-auto" :aria-label="label" tabindex="-1">
    <TabGroup :default-index="Math.max(0, first)">
      <TabBar :names="tabs.map((t) => t.name)" :label="label" />
      <TabPanels class="flex flex-col gap-2">
        <TabPanel v-for="t in tabs" :key="t.name" tabindex="-1"><component :is="t.panel" /></TabPanel>
      </TabPanels>
    </TabGroup>
  </section>
</template>
