<script setup lang="ts">
// Finish and days: how it is kept from rust and rot, and when it is done.
import { TabGroup, TabPanel, TabPanels } from '@headlessui/vue'
import TabBar from '@/parts/TabBar.vue'
import CoatPanel from './finish/CoatPanel.vue'
import DaysPanel from './finish/DaysPanel.vue'
import WeatherPanel from './finish/WeatherPanel.vue'
</script>

<template>
  <section class="relative flex flex-col gap-2 xl:overflow-auto" aria-label="Finish" tabindex="-1">
    <TabGroup>
      <TabBar :names="['Finish', 'Weather', 'Days']" label="Finish" />
      <TabPanels class="flex flex-col gap-2">
        <TabPanel tabindex="-1"><CoatPanel /></TabPanel>
        <TabPanel tabindex="-1"><WeatherPanel /></TabPanel>
        <TabPanel tabindex="-1"><DaysPanel /></TabPanel>
      </TabPanels>
    </TabGroup>
  </section>
</template>
