<script setup lang="ts">
// Racks: from behind with the hulls in their slots, the side view under it, how
// each rack is built and cut.
import { computed, shallowRef } from 'vue'
import RigDrawing from '@/drawing/RigDrawing.vue'
import type { Part, Shape } from '@/generated/types'
import ThingTray from '@/parts/ThingTray.vue'
import { useWorkspace } from '@/stores/workspace'
import CarrierPanel from './racks/CarrierPanel.vue'
import CutGate from './racks/CutGate.vue'
import CutList from './racks/CutList.vue'
import CradlePanel from './racks/CradlePanel.vue'
import DrawbarFields from './racks/DrawbarFields.vue'
import OtherOutings from './racks/OtherOutings.vue'
import RackFields from './racks/RackFields.vue'
import RackPlanner from './racks/RackPlanner.vue'
import SupportTable from './racks/SupportTable.vue'

const workspace = useWorkspace()
const others = shallowRef<Record<string, Shape[]>>({})
const several = computed(() => Object.keys(workspace.plan?.outings ?? {}).length > 1)
const racks = computed(() =>
  (workspace.report?.racks ?? []).flatMap((built) => {
    const id = built.part.replace('/parts/', '')
    const part: Part | undefined = (workspace.preview?.plan ?? workspace.plan)?.parts[id]
    return part?.rack ? [{ id, part, built }] : []
  }),
)
</script>

<template>
  <section class="relative flex flex-col gap-2 xl:overflow-auto" aria-label="Racks" tabindex="-1">
    <div class="plate shrink-0 overflow-hidden p-2 md:h-[26rem]">
      <RigDrawing class="h-full" :only="['rear', 'side', 'plan']" rear-first :others="others" />
    </div>
    <OtherOutings v-if="several" class="no-print" @shapes="others = $event" />
    <ThingTray class="no-print" />
    <RackPlanner class="no-print" />
    <div v-for="r in racks" :key="r.id" class="plate shrink-0 p-3" :data-rack="r.id">
      <h2 class="mb-2 text-lg font-bold">{{ r.part.name || 'Rack' }}</h2>
      <RackFields v-if="!workspace.preview" :id="r.id" class="no-print" :part="r.part" />
      <CutList class="mt-3" :built="r.built" />
    </div>
    <p v-if="!racks.length" class="text-soft px-1">
      No rack in this outing is described in detail. Plan one, or fit one under Trailer.
    </p>
    <CutGate />
    <CarrierPanel />
    <CradlePanel />
    <SupportTable />
    <DrawbarFields class="no-print" />
    <p class="text-soft px-1 text-sm">
      Welds, pockets and the trailer’s own frame are for a competent welder to judge. Tie every hull to the
      trailer, not to the rack alone.
    </p>
  </section>
</template>
