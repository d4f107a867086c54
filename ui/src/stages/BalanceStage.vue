<script setup lang="ts">
// Where the weight presses: the rig, the beam under it, the thing in hand.
import { TabGroup, TabPanel, TabPanels } from '@headlessui/vue'
import { computed } from 'vue'
import BallGauge from '@/checks/BallGauge.vue'
import FigureButton from '@/checks/FigureButton.vue'
import RigDrawing from '@/drawing/RigDrawing.vue'
import TabBar from '@/parts/TabBar.vue'
import ThingTray from '@/parts/ThingTray.vue'
import ArrangePanel from './balance/ArrangePanel.vue'
import AxlePanel from './balance/AxlePanel.vue'
import KeptPanel from './balance/KeptPanel.vue'
import ScalesPanel from './balance/ScalesPanel.vue'
import SwayPanel from './balance/SwayPanel.vue'
import TurnPanel from './balance/TurnPanel.vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { nominal, term } = useWords()
const tabs = [
  { name: 'Arrange', panel: ArrangePanel },
  { name: 'Axle', panel: AxlePanel },
  { name: 'Scale', panel: ScalesPanel },
  { name: 'Sway', panel: SwayPanel },
  { name: 'Turning', panel: TurnPanel },
  { name: 'Compare', panel: KeptPanel },
]
const figures = computed(() => {
  const f = workspace.report?.figures
  return [
    { name: 'Loaded trailer', m: f?.mass, code: 'towing.link.gross' },
    { name: 'On the axle', m: f?.axle, code: 'balance.ball-window' },
    { name: 'Left wheel', m: f?.left, code: 'balance.sides' },
    { name: 'Right wheel', m: f?.right, code: 'balance.sides' },
  ]
})
</script>

<template>
  <section class="relative flex flex-col gap-2 xl:overflow-auto" aria-label="Balance" tabindex="-1">
    <div class="plate flex shrink-0 flex-wrap items-center gap-x-6 gap-y-1 px-3 py-1.5">
      <BallGauge class="w-full sm:w-72" :name="term('Ball load')" />
      <dl class="grid flex-1 grid-cols-2 justify-between gap-x-5 gap-y-1 sm:flex sm:flex-wrap">
        <div v-for="f in figures" :key="f.name">
          <dt class="text-soft text-sm">{{ f.name }}</dt>
          <dd>
            <FigureButton :code="f.code" :class="{ 'text-unknown': !f.m }">{{ nominal(f.m) }}</FigureButton>
          </dd>
        </div>
      </dl>
    </div>
    <div class="plate shrink-0 overflow-hidden p-2 md:h-[28.5rem]">
      <RigDrawing class="h-full" />
    </div>
    <ThingTray class="no-print" />
    <TabGroup>
      <TabBar class="*:flex-1" :names="tabs.map((t) => t.name)" label="More of the balance" />
      <TabPanels>
        <TabPanel v-for="t in tabs" :key="t.name" tabindex="-1"><component :is="t.panel" /></TabPanel>
      </TabPanels>
    </TabGroup>
  </section>
</template>
