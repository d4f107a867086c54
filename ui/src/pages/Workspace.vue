<script setup lang="ts">
// The open plan: strip above, stages at the left, the rig in the middle with
// the thing in hand under it, checks at the right.
import { useEventListener, useTitle } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef, watch, watchEffect } from 'vue'
import { useRouter } from 'vue-router'
import CheckList from '@/checks/CheckList.vue'
import NextList from '@/checks/NextList.vue'
import WeakestLink from '@/checks/WeakestLink.vue'
import WorkingDialog from '@/checks/WorkingDialog.vue'
import ConflictDialog from '@/parts/ConflictDialog.vue'
import LeastNeeded from '@/parts/LeastNeeded.vue'
import PlanStrip from '@/parts/PlanStrip.vue'
import ShortcutsDialog from '@/parts/ShortcutsDialog.vue'
import StageRail from '@/parts/StageRail.vue'
import StagesDialog from '@/parts/StagesDialog.vue'
import { useWorkspace } from '@/stores/workspace'
import { stageOfPath } from '@/fields/tables'
import { stageOf, stages } from '@/stages/registry'
import { trailerTab } from '@/stages/trailer/tabs'

const props = defineProps<{ id: string; stage?: string; tab?: string }>()
const workspace = useWorkspace()
const router = useRouter()
const stage = computed(() => stageOf(props.stage)?.id ?? 'balance')
watch(stage, (s) => (workspace.stage = s), { immediate: true })
/** The comparison takes the whole width: it has its checks in its own columns. */
const wide = computed(() => stage.value === 'trailer' && trailerTab(workspace.plan, props.tab) === 'compare')
const help = ref(false)
const choosing = ref(false)

watch(
  () => props.id,
  (id) => void workspace.open(id),
  { immediate: true },
)
useTitle(computed(() => `${workspace.plan?.name ?? 'Plan'} · Zygonos`))

watchEffect(() => {
  const root = document.documentElement
  root.dataset.sequence = String(workspace.sequence)
  root.dataset.shown = String(workspace.shown)
  root.dataset.settled = String(workspace.settled && workspace.shown === workspace.sequence)
})

const typing = (e: KeyboardEvent) =>
  (e.target as HTMLElement).matches?.('input:not([type=checkbox], [type=range]), textarea, select')
useEventListener(document, 'keydown', (e) => {
  const ctrl = e.ctrlKey || e.metaKey
  const key = e.key.toLowerCase()
  if (ctrl && key === 's') {
    e.preventDefault()
    void workspace.saveNow()
  } else if (typing(e)) return
  else if (ctrl && key === 'z') {
    e.preventDefault()
    if (e.shiftKey) workspace.redo()
    else workspace.undo()
  } else if (ctrl && key === 'y') {
    e.preventDefault()
    workspace.redo()
  } else if (ctrl || e.altKey) return
  else if (e.key === '?') help.value = true
  else if (key === 'u')
    workspace.setAt('/units', workspace.locale.units === 'metric' ? 'imperial' : 'metric', 'change units')
  else if (e.key === 'Escape') workspace.hide()
  else if (/^[0-9]$/.test(e.key)) {
    const stage = e.key === '0' ? stageOf('road') : stages[Number(e.key) - 1]
    if (stage) void router.push(`/plan/${props.id}/${stage.id}`)
  }
})
// Who chose a stage goes on with Tab from its beginning, not through the rest of the rail.
const content = useTemplateRef<HTMLElement>('content')
watch(
  () => props.stage,
  async () => {
    await nextTick()
    const now = document.activeElement
    if (!now || now === document.body || now.closest('nav')) content.value?.focus({ preventScroll: true })
  },
)
useEventListener(window, 'beforeunload', (e) => {
  if (workspace.saveState === 'refused') e.preventDefault()
})

async function rescue() {
  try {
    await router.push(`/plan/${await workspace.rescue()}/balance`)
  } catch (e) {
    workspace.failure = e instanceof Error ? e.message : String(e)
  }
}

/** Leads to the field that a finding needs. */
async function go(path: string) {
  await router.push(`/plan/${props.id}/${stageOfPath(path)}`)
  workspace.selected = path.match(/^\/(loads|parts)\/[^/]+/)?.[0] ?? workspace.selected
  // The stage may still be on its way: look for the field at each frame, for a while.
  for (let frame = 0; frame < 180; frame++) {
    const fields = [...document.querySelectorAll<HTMLElement>('section [data-path]:not(aside *)')]
    const field =
      fields.find((e) => e.dataset.path === path) ??
      fields.find((e) => path.startsWith(e.dataset.path + '/') || e.dataset.path!.startsWith(path + '/'))
    if (field) {
      for (let f = field.closest('details'); f; f = f.parentElement!.closest('details')) f.open = true
      field.scrollIntoView({ block: 'center' })
      field.focus()
      return
    }
    await new Promise(requestAnimationFrame)
  }
}
</script>

<template>
  <div class="relative flex min-h-full flex-col xl:h-full xl:overflow-hidden print:overflow-visible">
    <PlanStrip @help="help = true" @stages="choosing = true" />
    <p
      v-if="workspace.failure && workspace.plan"
      class="no-print bg-wash text-fails px-3 py-1 text-sm font-semibold"
      role="alert"
    >
      {{ workspace.failure }} The figures are from before; your changes are kept.
    </p>
    <p
      v-if="workspace.preview"
      class="no-print bg-wash flex items-center gap-3 px-3 py-1.5 font-semibold"
      role="status"
    >
      Preview, not in the plan yet. Press Esc to go back.
      <button class="act" @click="workspace.hide()">Back</button>
    </p>
    <main
      v-if="workspace.plan && (workspace.report || workspace.failure)"
      class="grid min-h-0 flex-1 gap-2 p-2 pb-36 md:grid-cols-[104px_minmax(0,1fr)] md:pb-2"
      :class="wide ? '' : 'xl:grid-cols-[104px_minmax(0,1fr)_336px]'"
    >
      <StageRail
        :id="id"
        class="border-rule bg-panel fixed inset-x-0 bottom-0 z-20 border-t p-1 md:static md:rounded-xl md:border"
        :stage="stage"
      />
      <div ref="content" class="flex min-h-0 min-w-0 flex-col gap-2 outline-none" tabindex="-1">
        <LeastNeeded :stage="stage" />
        <component
          :is="stageOf(stage)!.page"
          v-bind="stage === 'trailer' ? { id, tab } : {}"
          class="min-h-0 min-w-0 flex-1"
        />
      </div>
      <aside
        v-if="!wide"
        class="plate relative min-h-0 overflow-auto p-3 md:col-start-2 xl:col-start-3"
        :class="{ 'no-print': stage === 'road' }"
        aria-label="Checks"
        tabindex="0"
      >
        <WeakestLink class="mb-3" />
        <NextList @go="go" />
        <CheckList :stage="stage" />
      </aside>
    </main>
    <main v-else class="grid flex-1 place-items-center p-6 text-center">
      <div v-if="workspace.failure">
        <h1 class="text-xl font-bold">{{ workspace.failure }}</h1>
        <p class="mt-3 flex justify-center gap-2">
          <button v-if="workspace.earlier" class="act-main" @click="rescue">
            Open version {{ workspace.earlier }} as a plan of its own
          </button>
          <RouterLink to="/" class="act min-h-11">All plans</RouterLink>
        </p>
      </div>
      <h1 v-else class="text-soft">Opening the plan…</h1>
    </main>
    <WorkingDialog />
    <ConflictDialog />
    <StagesDialog :open="choosing" @closed="choosing = false" />
    <ShortcutsDialog :open="help" @closed="help = false" />
  </div>
</template>
