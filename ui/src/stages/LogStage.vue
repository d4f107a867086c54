<script setup lang="ts">
// The log: trips that were driven, slips of the weighbridge, and what they teach.
import { TabGroup, TabPanel, TabPanels } from '@headlessui/vue'
import TabBar from '@/parts/TabBar.vue'
import SlipsPanel from './log/SlipsPanel.vue'
import TripsPanel from './log/TripsPanel.vue'
import WearPanel from './log/WearPanel.vue'
</script>

<template>
  <section class="relative flex flex-col gap-2 xl:overflow-auto" aria-label="Log" tabindex="-1">
    <TabGroup>
      <TabBar :names="['Trips', 'Slips', 'Wear']" label="Log" />
      <TabPanels class="flex flex-col gap-2">
        <TabPanel tabindex="-1"><TripsPanel /></TabPanel>
        <TabPanel tabindex="-1"><SlipsPanel /></TabPanel>
        <TabPanel tabindex="-1"><WearPanel /></TabPanel>
      </TabPanels>
    </TabGroup>
  </section>
</template>
