// A search that the core makes, with what it has tried so far: begun, stopped, and stale once the plan is another.
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import type { Plan } from '@/generated/types'
import { useWorkspace } from './workspace'

interface Asked {
  plan: Plan
  outing: string
  trailer: string
}

export function useSearch<T>(
  ask: (asked: Asked, signal: AbortSignal, tried: (n: number) => void) => Promise<T | undefined>,
  /** What it was asked for; another, and it is put away. */
  of?: () => unknown,
) {
  const workspace = useWorkspace()
  const found = shallowRef<T>()
  const foundFor = shallowRef<Plan>() // the plan that it belongs to
  const tried = ref(0)
  const failure = ref('')
  const running = shallowRef<AbortController>()
  async function start(how = ask) {
    if (!workspace.plan) return
    const controller = new AbortController()
    running.value = controller
    found.value = undefined
    failure.value = ''
    tried.value = 0
    const plan = workspace.plan
    try {
      const asked = { plan, outing: workspace.outing, trailer: workspace.trailer }
      found.value = await how(asked, controller.signal, (n) => (tried.value = n))
      foundFor.value = plan
      if (!found.value) failure.value = 'The search broke off. Try again.'
    } catch (e) {
      if (!controller.signal.aborted) failure.value = e instanceof Error ? e.message : String(e)
    } finally {
      if (running.value === controller) running.value = undefined
    }
  }
  function stop() {
    running.value?.abort()
    running.value = undefined
  }
  onScopeDispose(stop)
  watch(of ?? (() => [workspace.outing, workspace.trailer]), () => {
    stop()
    found.value = undefined
  })
  const stale = computed(() => foundFor.value !== workspace.plan)
  return { found, tried, failure, running, start, stop, stale }
}
