<script setup lang="ts">
// Getting it on and off: the drive on to scrub, what it comes to at each place, who
// and how, the ramps, the card.
import { computed } from 'vue'
import { useWorkspace } from '@/stores/workspace'
import DrivePanel from './ramps/DrivePanel.vue'
import LoadingCard from './ramps/LoadingCard.vue'
import LoadingFields from './ramps/LoadingFields.vue'
import RampFields from './ramps/RampFields.vue'
import RampPlacer from './ramps/RampPlacer.vue'
import ShiftPanel from './ramps/ShiftPanel.vue'
import WinchFields from './ramps/WinchFields.vue'

const workspace = useWorkspace()
const layout = computed(() => workspace.plan?.outings[workspace.outing]?.layouts[workspace.trailer])
const loading = computed(() => layout.value?.loading)
const ramp = computed(() => {
  const id = loading.value?.ramp
  return id && workspace.plan?.parts[id] ? { id, part: workspace.plan.parts[id]! } : undefined
})
</script>

<template>
  <section class="relative flex flex-col gap-2 xl:overflow-auto" aria-label="Ramps" tabindex="-1">
    <DrivePanel v-if="loading" />
    <LoadingFields v-if="layout" class="no-print" />
    <p v-else class="plate p-3">
      Nothing is placed in this outing yet: place the machine on the deck under Balance.
    </p>
    <RampFields v-if="ramp" :id="ramp.id" :key="ramp.id" class="no-print" :part="ramp.part" />
    <WinchFields v-if="loading?.drive === 'winch'" class="no-print" />
    <RampPlacer v-if="ramp?.part.ramp" class="no-print" />
    <LoadingCard v-if="loading" />
    <ShiftPanel />
    <p class="text-soft px-1 text-sm">
      Never load a trailer that is neither hitched nor propped. Ratings on ramp and winch, and their makers’
      leaflets, come first.
    </p>
  </section>
</template>
