<script setup lang="ts">
// Papers: what is usually asked, the plate, the label at the drawbar, and what keeps it from being taken.
import { TabGroup, TabPanel, TabPanels } from '@headlessui/vue'
import TabBar from '@/parts/TabBar.vue'
import PaperList from './papers/PaperList.vue'
import PlatePanel from './papers/PlatePanel.vue'
</script>

<template>
  <section class="relative flex flex-col gap-2 xl:overflow-auto" aria-label="Papers" tabindex="-1">
    <TabGroup>
      <TabBar :names="['Papers', 'Plate and label', 'Theft']" label="Papers" />
      <TabPanels class="flex flex-col gap-2">
        <TabPanel tabindex="-1"><PaperList of="rows" /></TabPanel>
        <TabPanel tabindex="-1"><PlatePanel /></TabPanel>
        <TabPanel tabindex="-1"><PaperList of="theft" /></TabPanel>
      </TabPanels>
    </TabGroup>
  </section>
</template>
