<script setup lang="ts">
// The log: trips that were driven, slips of the weighbridge, what a drive takes, what wears, what went wrong, and what all of it
// teaches.
import TabbedStage from '@/parts/TabbedStage.vue'
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
  <TabbedStage label="Log" :tabs="tabs" />
</template>
