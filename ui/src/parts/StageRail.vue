<script setup lang="ts">
// The stages in their groups, each with its worst outcome; one group is open. On a phone the
// groups are the bar at the bottom, the open one's stages a row over it.
import { ChevronDownIcon } from '@heroicons/vue/20/solid'
import { computed, ref, watch } from 'vue'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import { groupOf } from '@/stages/registry'
import { useRail } from '@/stores/rail'
import { useWorkspace } from '@/stores/workspace'

const props = defineProps<{ stage: string; id: string }>()
const workspace = useWorkspace()
const { shown: groups } = useRail(() => props.stage)
const open = ref('')
watch(
  () => props.stage,
  (stage) => (open.value = groupOf(stage)?.id ?? ''),
  { immediate: true },
)
const states = computed(() => new Map((workspace.report?.stages ?? []).map((s) => [s.id, s.outcome])))
const ranks = ['fails', 'unknown', 'tight', 'holds']
const worst = computed(
  () =>
    new Map(
      groups.value.map((g) => {
        const all = g.stages.flatMap((s) => states.value.get(s.id) || [])
        return [g.id, ranks.find((r) => all.includes(r)) ?? '']
      }),
    ),
)
</script>

<template>
  <nav aria-label="Stages" class="no-print">
    <ul
      class="grid gap-x-1 md:block"
      :style="{ gridTemplateColumns: `repeat(${groups.length}, minmax(0, 1fr))` }"
    >
      <li v-for="g in groups" :key="g.id" class="contents md:mb-1 md:block">
        <button
          class="hover:bg-wash row-start-2 flex min-h-12 w-full flex-col items-center justify-center rounded-lg px-1 text-sm leading-tight font-semibold md:min-h-9 md:flex-row md:justify-start md:gap-1 md:px-1.5"
          :class="
            g.id === open ? 'bg-wash text-ink md:bg-transparent md:text-[color:var(--soft)]' : 'text-soft'
          "
          :aria-expanded="g.id === open"
          :data-group="g.id"
          @click="open = g.id"
        >
          <span class="flex items-center gap-1 md:hidden">
            <component :is="g.icon" class="size-5" aria-hidden="true" />
            <OutcomeMark :outcome="worst.get(g.id)" :size="15" />
          </span>
          {{ g.name }}
          <span class="ml-auto hidden items-center gap-1 md:flex">
            <OutcomeMark v-if="g.id !== open" :outcome="worst.get(g.id)" :size="14" />
            <ChevronDownIcon class="size-4" :class="{ 'rotate-180': g.id === open }" aria-hidden="true" />
          </span>
        </button>
        <ul
          v-if="g.id === open"
          class="col-span-full row-start-1 mb-1 flex gap-1 md:mb-0 md:block md:space-y-1"
        >
          <li v-for="s in g.stages" :key="s.id" class="min-w-0 flex-1">
            <RouterLink
              :to="`/plan/${id}/${s.id}`"
              class="hover:bg-wash flex min-h-12 flex-col items-center justify-center gap-0.5 rounded-lg px-1 py-1 text-center text-sm leading-tight font-semibold md:min-h-14 md:py-1.5"
              :class="{ 'bg-deep text-deep-ink hover:!bg-deep': stage === s.id }"
              :aria-current="stage === s.id ? 'page' : undefined"
            >
              <span class="flex items-center gap-1">
                <component :is="s.icon" class="size-5" aria-hidden="true" />
                <span v-if="states.get(s.id)" class="bg-panel inline-flex rounded-md p-0.5 leading-none"
                  ><OutcomeMark :outcome="states.get(s.id)" :size="15"
                /></span>
              </span>
              {{ s.name }}
            </RouterLink>
          </li>
        </ul>
      </li>
    </ul>
  </nav>
</template>
