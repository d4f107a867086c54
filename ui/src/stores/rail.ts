// Which stages stand in the rail, on this device. One that is put away comes back while it fails:
// nothing that fails is hidden.
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { groups } from '@/stages/registry'
import { useWorkspace } from './workspace'

const away = useLocalStorage<string[]>('stages put away', [])

export function useRail(current: () => string) {
  const workspace = useWorkspace()
  const failing = computed(
    () =>
      new Set(
        (workspace.report?.stages ?? []).filter((s) => s.outcome === 'fails').map((s) => s.id as string),
      ),
  )
  const stands = (id: string) => !away.value.includes(id) || id === current() || failing.value.has(id)
  const shown = computed(() =>
    groups
      .map((g) => ({ ...g, stages: g.stages.filter((s) => stands(s.id)) }))
      .filter((g) => g.stages.length > 0),
  )
  function put(id: string, there: boolean) {
    away.value = there ? away.value.filter((a) => a !== id) : [...away.value, id]
  }
  return { shown, away, put }
}
