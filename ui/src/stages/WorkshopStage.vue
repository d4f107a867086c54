<script setup lang="ts">
// The workshop: what is taped as it is put together, and what that says to push, shim or shift.
import { TabGroup, TabPanel, TabPanels } from '@headlessui/vue'
import TabBar from '@/parts/TabBar.vue'
import AxlePanel from './workshop/AxlePanel.vue'
import LevelPanel from './workshop/LevelPanel.vue'
import OrderPanel from './workshop/OrderPanel.vue'
import SquarePanel from './workshop/SquarePanel.vue'
</script>

<template>
  <section class="relative flex flex-col gap-2 xl:overflow-auto" aria-label="Workshop" tabindex="-1">
    <TabGroup>
      <TabBar :names="['Order', 'Square', 'Level', 'Axle']" label="Workshop" />
      <TabPanels class="flex flex-col gap-2">
        <TabPanel tabindex="-1"><OrderPanel /></TabPanel>
        <TabPanel tabindex="-1"><SquarePanel /></TabPanel>
        <TabPanel tabindex="-1"><LevelPanel /></TabPanel>
        <TabPanel tabindex="-1"><AxlePanel /></TabPanel>
      </TabPanels>
    </TabGroup>
  </section>
</template>
