<script setup lang="ts">
// What a study takes and nobody has stated: each field there to be filled, with where
// to read it; what is no plain figure leads to its stage.
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { Need } from '@/generated/types'
import { capital } from '@/kinds'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import EstimateField from './EstimateField.vue'
import PlanQuantity from './PlanQuantity.vue'
import { figureOf, stageOfPath } from './tables'

const props = defineProps<{ needs?: Need[]; rough?: Need[]; narrow?: boolean }>()
const workspace = useWorkspace()
const router = useRouter()
const { say } = useWords()

/** What a field is: an estimate, or a plain figure at a path of its own; else its stage has it. */
function fieldOf(path: string) {
  const f = figureOf(path)
  if (f?.form === 'estimate') return { estimate: f.kind as 'mass' | 'length' | 'volume' }
  if (f) return { plain: f.form === 'reading' ? `${path}/mass` : path, kind: f.kind }
  return figureOf(`${path}/value`) ? { plain: `${path}/value`, kind: 'mass' as const } : {}
}

/** A field stays where it is while it is typed into, though it is stated by then; what only leads elsewhere goes. */
const seen = ref<Need[]>([])
const told = (path: string, now: Need[]) =>
  Object.keys(fieldOf(path)).length > 0 && !now.some((m) => m.path === path)
watch(
  () => workspace.trailer,
  () => (seen.value = []),
)
watch(
  () => [...(props.needs ?? []), ...(props.rough ?? [])],
  (now) =>
    (seen.value = [...now, ...seen.value.filter((n) => told(n.path, now))].sort((a, b) =>
      a.path.localeCompare(b.path),
    )),
  { immediate: true },
)
const rows = computed(() =>
  seen.value.map((n) => ({
    path: n.path,
    says: capital(say(n.says)),
    where: say(n.where),
    ...fieldOf(n.path),
  })),
)
function go(path: string) {
  workspace.selected = path.match(/^\/(loads|parts)\/[^/]+/)?.[0] ?? workspace.selected
  void router.push(`/plan/${workspace.id}/${stageOfPath(path)}`)
}
</script>

<template>
  <ul
    v-if="rows.length"
    class="no-print mt-2 grid gap-x-4 gap-y-2"
    :class="{ 'md:grid-cols-2': !narrow }"
    aria-label="Missing here"
  >
    <li v-for="n in rows" :key="n.path">
      <EstimateField v-if="n.estimate" :path="n.path" :label="n.says" />
      <PlanQuantity v-else-if="n.plain" :path="n.plain" :label="n.says" />
      <button v-else class="act" @click="go(n.path)">{{ n.says }}</button>
      <p class="text-soft mt-0.5 text-sm">{{ n.where }}</p>
    </li>
  </ul>
</template>
