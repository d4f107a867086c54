// A study that a button asks for: what was found, whether it is of the plan on screen,
// and what went wrong. It is forgotten when outing or trailer change.
import { computed, ref, shallowRef, watch } from 'vue'
import type { Plan } from '@/generated/types'
import { useWorkspace } from './workspace'

interface Question {
  plan: Plan
  outing: string
  trailer: string
}

export function useAsked<T>(study: (asked: Question) => Promise<T>) {
  const workspace = useWorkspace()
  const found = shallowRef<T>()
  const foundFor = shallowRef<Plan>()
  const failure = ref('')
  async function ask() {
    const plan = workspace.plan
    if (!plan) return
    failure.value = ''
    try {
      found.value = await study({ plan, outing: workspace.outing, trailer: workspace.trailer })
      foundFor.value = plan
    } catch (e) {
      failure.value = e instanceof Error ? e.message : String(e)
    }
  }
  watch(
    () => [workspace.outing, workspace.trailer],
    () => (found.value = undefined),
  )
  const stale = computed(() => foundFor.value !== workspace.plan)
  return { found, failure, stale, ask }
}
