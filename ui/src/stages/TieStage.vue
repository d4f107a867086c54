<script setup lang="ts">
// Tie-down: the rig with its straps, one answer, each load with its bars, the rings and
// the straps there are.
import { computed } from 'vue'
import RigDrawing from '@/drawing/RigDrawing.vue'
import { useWorkspace } from '@/stores/workspace'
import StrapList from './tie/StrapList.vue'
import TiedLoad from './tie/TiedLoad.vue'
import TiePlanner from './tie/TiePlanner.vue'
import TiePointList from './tie/TiePointList.vue'

const workspace = useWorkspace()
// A preview's own bars, once they are made; else those of the plan at rest.
const tied = computed(() => workspace.report?.tied ?? workspace.settledReport?.tied ?? [])
const weak = computed(() => tied.value.map((t) => t.weak ?? '').filter(Boolean))
</script>

<template>
  <section class="relative flex flex-col gap-2 xl:overflow-auto" aria-label="Tie-down" tabindex="-1">
    <div class="plate shrink-0 overflow-hidden p-2 md:h-[24rem]">
      <RigDrawing class="h-full" :only="['side', 'plan']" :weak="weak" />
    </div>
    <TiePlanner :tied="tied" />
    <TiedLoad v-for="t in tied" :key="t.load" :tied="t" />
    <p v-if="!tied.length" class="text-soft px-1">Nothing stands on the trailer in this outing yet.</p>
    <TiePointList class="no-print" />
    <StrapList class="no-print" />
    <p class="text-soft px-1 text-sm">
      Protect straps at edges, twist long ones once, tie their ends off. Soft hulls: snug, not hard, and
      slacker in the heat. Look again at the first stop. Hang nothing on the trailer tailgate alone.
    </p>
  </section>
</template>
