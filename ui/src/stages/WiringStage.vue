<script setup lang="ts">
// Lamps on their plug: planned, tried before they exist, searched for faults.
import { TabGroup, TabPanel, TabPanels } from '@headlessui/vue'
import { computed, ref } from 'vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import TabBar from '@/parts/TabBar.vue'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import FaultPanel from './wiring/FaultPanel.vue'
import LampsPanel from './wiring/LampsPanel.vue'
import PowerPanel from './wiring/PowerPanel.vue'
import TesterPanel from './wiring/TesterPanel.vue'

const workspace = useWorkspace()
const reference = useReference()
const trailer = computed(() => workspace.plan?.trailers[workspace.trailer])
const plugs = computed(() => (reference.data?.plugs ?? []).map((p) => ({ value: p.id, name: p.name })))
const plug = computed(() => `/trailers/${workspace.trailer}/plug`)
const failure = ref('')
async function start() {
  failure.value = ''
  try {
    await workspace.begin('lamps', 'place the lamps')
  } catch (e) {
    failure.value = e instanceof Error ? e.message : String(e)
  }
}
</script>

<template>
  <section class="relative flex flex-col gap-2 xl:overflow-auto" aria-label="Wiring" tabindex="-1">
    <div v-if="!trailer?.wiring" class="plate p-4" data-wiring-start>
      <h2 class="text-lg font-bold">The lamps and their plug</h2>
      <p class="mt-1 max-w-2xl">
        Place the lamps your region requires, see each one light up before you cut a wire, and find a fault
        from what the lamps do.
      </p>
      <div class="mt-3 grid max-w-xl items-end gap-3 sm:grid-cols-2">
        <ChoiceField
          label="The trailer’s plug"
          :value="trailer?.plug"
          none="choose"
          :options="plugs"
          @chosen="workspace.setAt(plug, $event || undefined, 'plug')"
        />
        <button class="act-main" :disabled="!trailer" @click="start">Place the lamps</button>
      </div>
      <p v-if="failure" class="text-fails mt-2 font-semibold" role="alert">{{ failure }}</p>
    </div>
    <TabGroup v-else>
      <TabBar :names="['Try it', 'Find a fault', 'Lamps and wires', 'Battery and brakes']" label="Wiring" />
      <TabPanels class="flex flex-col gap-2">
        <TabPanel tabindex="-1"><TesterPanel :plugs="plugs" /></TabPanel>
        <TabPanel tabindex="-1"><FaultPanel /></TabPanel>
        <TabPanel tabindex="-1"><LampsPanel :plugs="plugs" /></TabPanel>
        <TabPanel tabindex="-1"><PowerPanel /></TabPanel>
      </TabPanels>
    </TabGroup>
    <p v-if="trailer?.wiring" class="text-soft px-1 text-sm">
      The same colour can mean something else: go by what a wire does. Take the plug out before you work on
      it. Your local code decides on lamps; have brakes and breakaway tested by someone who knows them.
    </p>
  </section>
</template>
