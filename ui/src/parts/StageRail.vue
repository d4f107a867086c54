<script setup lang="ts">
// The stages of the work, each with its worst outcome.
import {
  ArrowTrendingUpIcon,
  Bars4Icon,
  HomeModernIcon,
  ClipboardDocumentCheckIcon,
  LinkIcon,
  ScaleIcon,
  TruckIcon,
  WrenchScrewdriverIcon,
} from '@heroicons/vue/24/outline'
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import { useWorkspace } from '@/stores/workspace'
import { stageWords } from '@/words'

const props = defineProps<{ stage: string; id: string }>()
const workspace = useWorkspace()
const icons = {
  job: HomeModernIcon,
  vehicle: TruckIcon,
  trailer: WrenchScrewdriverIcon,
  balance: ScaleIcon,
  racks: Bars4Icon,
  ramps: ArrowTrendingUpIcon,
  tie: LinkIcon,
  road: ClipboardDocumentCheckIcon,
} as const
/** On a phone the rail is wider than the screen: the open stage comes to its middle. */
const rail = useTemplateRef<HTMLElement>('rail')
watch(
  () => props.stage,
  async () => {
    await nextTick()
    const open = rail.value?.querySelector<HTMLElement>('[aria-current="page"]')
    if (rail.value && open)
      rail.value.scrollLeft = open.offsetLeft - (rail.value.clientWidth - open.clientWidth) / 2
  },
  { immediate: true, flush: 'post' },
)
const states = computed(() => new Map((workspace.report?.stages ?? []).map((s) => [s.id, s.outcome])))
</script>

<template>
  <nav aria-label="Stages" class="no-print">
    <ul
      ref="rail"
      class="grid auto-cols-[minmax(4.6rem,1fr)] grid-flow-col gap-1 overflow-x-auto md:auto-cols-auto md:grid-flow-row md:overflow-visible"
    >
      <li v-for="(icon, s) in icons" :key="s">
        <RouterLink
          :to="`/plan/${id}/${s}`"
          class="hover:bg-wash flex min-h-14 flex-col items-center justify-center gap-0.5 rounded-lg px-1 py-1.5 text-center text-sm leading-tight font-semibold"
          :class="{ 'bg-deep text-deep-ink hover:!bg-deep': stage === s }"
          :aria-current="stage === s ? 'page' : undefined"
        >
          <span class="flex items-center gap-1">
            <component :is="icon" class="size-5" aria-hidden="true" />
            <span v-if="states.get(s)" class="bg-panel inline-flex rounded-md p-0.5 leading-none"
              ><OutcomeMark :outcome="states.get(s)" :size="15"
            /></span>
          </span>
          {{ stageWords[s] }}
        </RouterLink>
      </li>
    </ul>
  </nav>
</template>
