<script setup lang="ts">
// Practice: reversing one's own rig, judging it by eye, and how it gets better.
import { TabGroup, TabPanel, TabPanels } from '@headlessui/vue'
import TabBar from '@/parts/TabBar.vue'
import DrivePanel from './practice/DrivePanel.vue'
import JudgePanel from './practice/JudgePanel.vue'
import ProgressPanel from './practice/ProgressPanel.vue'

const tabs = [
  { name: 'Judge it', panel: JudgePanel },
  { name: 'Reverse it', panel: DrivePanel },
  { name: 'Getting better', panel: ProgressPanel },
]
</script>

<template>
  <section class="relative flex flex-col gap-2 xl:overflow-auto" aria-label="Practice" tabindex="-1">
    <TabGroup>
      <TabBar :names="tabs.map((t) => t.name)" label="Practice" />
      <TabPanels class="flex flex-col gap-2">
        <TabPanel v-for="t in tabs" :key="t.name" tabindex="-1"><component :is="t.panel" /></TabPanel>
      </TabPanels>
    </TabGroup>
  </section>
</template>
