<script setup lang="ts">
// The workshop: what is taped as it is put together, and what that says to push, shim or shift.
import { TabGroup, TabPanel, TabPanels } from '@headlessui/vue'
import TabBar from '@/parts/TabBar.vue'
import AxleOrder from './workshop/AxleOrder.vue'
import AxlePanel from './workshop/AxlePanel.vue'
import BuiltPanel from './workshop/BuiltPanel.vue'
import JointsPanel from './workshop/JointsPanel.vue'
import LevelPanel from './workshop/LevelPanel.vue'
import OrderPanel from './workshop/OrderPanel.vue'
import PartsPanel from './workshop/PartsPanel.vue'
import SnagsPanel from './workshop/SnagsPanel.vue'
import SquarePanel from './workshop/SquarePanel.vue'
import ToolsPanel from './workshop/ToolsPanel.vue'
</script>

<template>
  <section class="relative flex flex-col gap-2 xl:overflow-auto" aria-label="Workshop" tabindex="-1">
    <TabGroup>
      <TabBar
        :names="['Order', 'Tools', 'Parts', 'Joints', 'Square', 'Level', 'Axle', 'As built', 'Snags']"
        label="Workshop"
      />
      <TabPanels class="flex flex-col gap-2">
        <TabPanel tabindex="-1"><OrderPanel /></TabPanel>
        <TabPanel tabindex="-1"><ToolsPanel /></TabPanel>
        <TabPanel tabindex="-1"><PartsPanel /></TabPanel>
        <TabPanel tabindex="-1"><JointsPanel /></TabPanel>
        <TabPanel tabindex="-1"><SquarePanel /></TabPanel>
        <TabPanel tabindex="-1"><LevelPanel /></TabPanel>
        <TabPanel tabindex="-1"><AxlePanel /><AxleOrder /></TabPanel>
        <TabPanel tabindex="-1"><BuiltPanel /></TabPanel>
        <TabPanel tabindex="-1"><SnagsPanel /></TabPanel>
      </TabPanels>
    </TabGroup>
  </section>
</template>
