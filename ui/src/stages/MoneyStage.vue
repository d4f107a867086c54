<script setup lang="ts">
// Money: the ledger with its target, the ways side by side, jobs for pay.
import { TabGroup, TabPanel, TabPanels } from '@headlessui/vue'
import TabBar from '@/parts/TabBar.vue'
import EarnPanel from './money/EarnPanel.vue'
import LedgerPanel from './money/LedgerPanel.vue'
import WaysPanel from './money/WaysPanel.vue'
</script>

<template>
  <section class="relative flex flex-col gap-2 xl:overflow-auto" aria-label="Money" tabindex="-1">
    <TabGroup>
      <TabBar :names="['Ledger', 'Ways', 'Earning']" label="Money" />
      <TabPanels class="flex flex-col gap-2">
        <TabPanel tabindex="-1"><LedgerPanel /></TabPanel>
        <TabPanel tabindex="-1"><WaysPanel /></TabPanel>
        <TabPanel tabindex="-1"><EarnPanel /></TabPanel>
      </TabPanels>
    </TabGroup>
  </section>
</template>
