<script setup lang="ts">
// The trailer: candidates side by side, one of them in detail, its money and
// hours, and what must hold before it is bought.
import { TabGroup, TabPanel, TabPanels } from '@headlessui/vue'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import TabBar from '@/parts/TabBar.vue'
import { useWorkspace } from '@/stores/workspace'
import BuyTab from './trailer/BuyTab.vue'
import CompareTab from './trailer/CompareTab.vue'
import DetailsTab from './trailer/DetailsTab.vue'
import MoneyTab from './trailer/MoneyTab.vue'
import { trailerTab, trailerTabs } from './trailer/tabs'

const props = defineProps<{ id: string; tab?: string }>()
const workspace = useWorkspace()
const router = useRouter()
const now = computed(() => trailerTab(workspace.plan, props.tab))
const index = computed(() => trailerTabs.findIndex((t) => t.id === now.value))
const choose = (i: number) => void router.replace(`/plan/${props.id}/trailer/${trailerTabs[i]!.id}`)
const name = computed(() => workspace.plan?.trailers[workspace.trailer]?.name)
</script>

<template>
  <section class="relative flex flex-col gap-2 xl:overflow-auto" aria-label="Trailer" tabindex="-1">
    <TabGroup :selected-index="index" @change="choose">
      <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
        <TabBar :names="trailerTabs.map((t) => t.name)" label="The trailer" />
        <p v-if="now !== 'compare' && name" class="font-semibold">{{ name }}</p>
      </div>
      <TabPanels class="flex min-h-0 flex-1 flex-col gap-2">
        <TabPanel class="flex flex-col gap-2" tabindex="-1"><CompareTab :id="id" /></TabPanel>
        <TabPanel class="flex flex-col gap-2" tabindex="-1"><DetailsTab /></TabPanel>
        <TabPanel class="flex flex-col gap-2" tabindex="-1"><MoneyTab /></TabPanel>
        <TabPanel class="flex flex-col gap-2" tabindex="-1"><BuyTab :id="id" /></TabPanel>
      </TabPanels>
    </TabGroup>
  </section>
</template>
