<script setup lang="ts">
// The body: a bed that empties itself, a pump beside its tank.
import { TabGroup, TabPanel, TabPanels } from '@headlessui/vue'
import { computed, ref } from 'vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import TabBar from '@/parts/TabBar.vue'
import { useWorkspace } from '@/stores/workspace'
import { choices, tipWords } from '@/words'
import BoxPanel from './body/BoxPanel.vue'
import PumpPanel from './body/PumpPanel.vue'
import TankPanel from './body/TankPanel.vue'
import TipPanel from './body/TipPanel.vue'

const workspace = useWorkspace()
const trailer = computed(() => workspace.plan?.trailers[workspace.trailer])
const by = ref('mast')
const failure = ref('')
async function start() {
  failure.value = ''
  try {
    await workspace.begin('tip', 'a bed that tips', by.value)
  } catch (e) {
    failure.value = e instanceof Error ? e.message : String(e)
  }
}
</script>

<template>
  <section class="relative flex flex-col gap-2 xl:overflow-auto" aria-label="Body" tabindex="-1">
    <TabGroup>
      <TabBar :names="['Tip', 'Tank', 'Pump', 'Box']" label="Body" />
      <TabPanels class="flex flex-col gap-2">
        <TabPanel tabindex="-1" class="flex flex-col gap-2">
          <div v-if="!trailer?.tipping" class="plate p-4" data-body-start>
            <h2 class="text-lg font-bold">A bed that empties itself</h2>
            <p class="mt-1 max-w-2xl">
              See what the winch, cylinder or hands carry at every angle, whether the load slides, and whether
              the trailer stays standing, before anything is welded.
            </p>
            <div class="mt-3 grid max-w-xl items-end gap-3 sm:grid-cols-2">
              <ChoiceField
                label="It is raised by"
                :value="by"
                :options="choices(tipWords)"
                @chosen="by = $event || 'mast'"
              />
              <button class="act-main" :disabled="!trailer" @click="start">Lay it out</button>
            </div>
            <p v-if="failure" class="text-fails mt-2 font-semibold" role="alert">{{ failure }}</p>
          </div>
          <template v-else>
            <TipPanel />
            <p class="text-soft px-1 text-sm">
              Under EU law a bed raised by a motor is machinery, even one you build for yourself, and needs
              its own assessment. Have a competent welder look at the welds of hinge and mast.
            </p>
          </template>
        </TabPanel>
        <TabPanel tabindex="-1"><TankPanel /></TabPanel>
        <TabPanel tabindex="-1"><PumpPanel /></TabPanel>
        <TabPanel tabindex="-1"><BoxPanel /></TabPanel>
      </TabPanels>
    </TabGroup>
  </section>
</template>
