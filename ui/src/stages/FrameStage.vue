<script setup lang="ts">
// The trailer's own frame: drawn, weighed, loaded case by case, cut out of bars.
import { TabGroup, TabPanel, TabPanels } from '@headlessui/vue'
import { computed } from 'vue'
import TabBar from '@/parts/TabBar.vue'
import { useWorkspace } from '@/stores/workspace'
import KeptPanel from './balance/KeptPanel.vue'
import CutGatePanel from './frame/CutGatePanel.vue'
import CutPanel from './frame/CutPanel.vue'
import DeckPanel from './frame/DeckPanel.vue'
import DesignPanel from './frame/DesignPanel.vue'
import DipPanel from './frame/DipPanel.vue'
import FrameDrawing from './frame/FrameDrawing.vue'
import MemberTray from './frame/MemberTray.vue'
import SectionPanel from './frame/SectionPanel.vue'
import StartPanel from './frame/StartPanel.vue'
import StrengthPanel from './frame/StrengthPanel.vue'
import WeightPanel from './frame/WeightPanel.vue'
import { useWords } from '@/words'

const { term } = useWords()

const workspace = useWorkspace()
const frame = computed(() => workspace.report?.frame)
const tabs = ['Strength', 'Weight', 'Sections', 'Find one', 'Deck', 'Cut list', 'Dipping', 'Before you cut']
</script>

<template>
  <section class="relative flex flex-col gap-2 xl:overflow-auto" aria-label="Frame" tabindex="-1">
    <template v-if="!frame">
      <StartPanel />
      <DesignPanel />
      <DeckPanel />
    </template>
    <template v-else>
      <FrameDrawing :frame="frame" />
      <MemberTray class="no-print" />
      <TabGroup>
        <TabBar :names="tabs" label="The frame" />
        <TabPanels class="flex flex-col gap-2">
          <TabPanel tabindex="-1"><StrengthPanel :frame="frame" /></TabPanel>
          <TabPanel tabindex="-1"><WeightPanel :frame="frame" /></TabPanel>
          <TabPanel tabindex="-1"><SectionPanel /></TabPanel>
          <TabPanel tabindex="-1"><DesignPanel /></TabPanel>
          <TabPanel tabindex="-1"><DeckPanel /></TabPanel>
          <TabPanel tabindex="-1"><CutPanel /></TabPanel>
          <TabPanel tabindex="-1"><DipPanel /></TabPanel>
          <TabPanel tabindex="-1"><CutGatePanel /></TabPanel>
        </TabPanels>
      </TabGroup>
      <KeptPanel />
      <p class="text-soft px-1 text-sm">
        Welds, thin walls at hangers and {{ term('coupling') }}, and fatigue are not checked: show them to a
        competent welder. A computed strength never raises a plated rating. A {{ term('drawbar') }} is often
        an approved part (UN R55): lengthening, welding or drilling it may end the approval. Ask before you
        cut.
      </p>
    </template>
  </section>
</template>
