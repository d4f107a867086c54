<script setup lang="ts">
// The log: trips that were driven, slips of the weighbridge, what a drive takes, what wears, what went wrong, and what all of it
// teaches.
import { TabGroup, TabPanel, TabPanels } from '@headlessui/vue'
import TabBar from '@/parts/TabBar.vue'
import BackPanel from './log/BackPanel.vue'
import EnergyPanel from './log/EnergyPanel.vue'
import LendPanel from './log/LendPanel.vue'
import ScalePanel from './log/ScalePanel.vue'
import SlipsPanel from './log/SlipsPanel.vue'
import TripsPanel from './log/TripsPanel.vue'
import TroublePanel from './log/TroublePanel.vue'
import WearPanel from './log/WearPanel.vue'

const tabs = [
  { name: 'Trips', panel: TripsPanel },
  { name: 'Slips', panel: SlipsPanel },
  { name: 'Energy', panel: EnergyPanel },
  { name: 'Wear', panel: WearPanel },
  { name: 'Something wrong', panel: TroublePanel },
  { name: 'Lending', panel: LendPanel },
  { name: 'Scale', panel: ScalePanel },
  { name: 'Looking back', panel: BackPanel },
]
</script>

<template>
  <section class="relative flex flex-col gap-2 xl:overflow-auto" aria-label="Log" tabindex="-1">
    <TabGroup>
      <TabBar :names="tabs.map((t) => t.name)" label="Log" />
      <TabPanels class="flex flex-col gap-2">
        <TabPanel v-for="t in tabs" :key="t.name" tabindex="-1"><component :is="t.panel" /></TabPanel>
      </TabPanels>
    </TabGroup>
  </section>
</template>
