<script setup lang="ts">
// What a stage takes at least, while it has no answer yet, and what the plan has for it at one click.
import { ArrowRightIcon, PlusIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import { put } from '@/stores/patch'
import { useRecords } from '@/stores/records'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const props = defineProps<{ stage: string }>()
const workspace = useWorkspace()
const records = useRecords()
const { say } = useWords()
/** The kinds of what happened that a stage is about. */
const kinds: Record<string, string[]> = {
  workshop: ['step', 'part', 'snag', 'built', 'tool'],
  papers: ['paper'],
  log: ['trip', 'slip', 'wear', 'trouble', 'loan'],
  money: ['spend'],
}
/** At rest, so that it does not come and go while something is dragged. */
const least = computed(() => {
  const says = workspace.settledReport?.stages.find((s) => s.id === props.stage)?.least
  const happened = Object.values(records.all).some((r) => kinds[props.stage]?.includes(r.kind))
  return happened ? undefined : says
})

/** Stages that speak of a loaded trailer, and those that speak of a drawn frame. */
const laden = ['balance', 'racks', 'ramps', 'tie', 'road']
const built = ['workshop', 'finish']
const trailer = computed(() => workspace.plan?.trailers[workspace.trailer])
const left = computed(() => {
  const placed = workspace.plan?.outings[workspace.outing]?.layouts[workspace.trailer]?.placements ?? {}
  return Object.keys(placed).length ? [] : Object.keys(workspace.plan?.loads ?? {})
})
const lead = computed(() => {
  const plan = workspace.plan
  if (!plan) return undefined
  if (laden.includes(props.stage) && !trailer.value) return { to: 'trailer/details', says: 'Add the trailer' }
  if (laden.includes(props.stage) && !plan.outings[workspace.outing])
    return { to: 'job', says: 'Add an outing' }
  if (laden.includes(props.stage) && !Object.keys(plan.loads).length) return { to: 'job', says: 'Add a load' }
  if (built.includes(props.stage) && !trailer.value?.frame) return { to: 'frame', says: 'Draw the frame' }
  return undefined
})
const all = computed(
  () => !lead.value && laden.includes(props.stage) && !!workspace.outing && left.value.length > 0,
)
/** Every load comes along; the arrangement or the owner gives it its place. */
function along() {
  const path = `/outings/${workspace.outing}/layouts/${workspace.trailer}`
  const placements = Object.fromEntries(left.value.map((id) => [id, { on: 'any', at: { back: 0 } }]))
  workspace.edit(put(workspace.plan, `${path}/placements`, placements), 'take all along')
}
</script>

<template>
  <div
    v-if="least"
    class="plate no-print text-soft flex shrink-0 flex-wrap items-center gap-x-4 gap-y-2 px-3 py-2"
    data-least
  >
    <p class="min-w-0 flex-1 basis-64">
      The least that gives an answer here: <b class="text-ink">{{ say(least) }}</b>.
      <RouterLink class="text-deep underline underline-offset-2" :to="`/guide/${stage}`">More</RouterLink>
    </p>
    <RouterLink v-if="lead" class="act-main min-h-11" :to="`/plan/${workspace.id}/${lead.to}`"
      >{{ lead.says }}<ArrowRightIcon class="size-5"
    /></RouterLink>
    <button v-else-if="all" class="act-main min-h-11" @click="along">
      <PlusIcon class="size-5" />{{
        left.length === 1 ? 'Take the load along' : `Take all ${left.length} loads along`
      }}
    </button>
  </div>
</template>
