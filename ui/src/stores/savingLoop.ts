// The saving loop: one save in flight, each with an id of its own, under If-Match. What the server
// does not have yet stands as a draft on this device.
import { ref, type Ref, type ShallowRef } from 'vue'
import { api, ApiError, Unreachable } from '@/api'
import type { Plan } from '@/generated/types'
import { drafts, type Draft } from './drafts'
import { uuid } from './patch'
import { together } from './ticks'

export type SaveState = 'saved' | 'waiting' | 'saving' | 'offline' | 'conflict' | 'refused'

const draftMs = 120 // at most so often, work goes to this device's own store
const saveMs = 700 // of stillness before a save

/** Keeps what is open; met is called with a document in which both sides' ticks stand. */
export function useSavingLoop(
  id: Ref<string>,
  plan: ShallowRef<Plan | undefined>,
  met: (next: Plan) => void,
) {
  const saveState = ref<SaveState>('saved')
  const saveProblem = ref('')
  const revision = ref(0)
  const sitting = uuid()

  let flying = false
  let timer: ReturnType<typeof setTimeout> | undefined
  let saveId = uuid()
  let label = ''
  let tried: string[] = [] // own saves whose answer never came: one of them may stand
  let drafting: ReturnType<typeof setTimeout> | undefined

  function note() {
    if (!plan.value) return
    saveId = uuid()
    drafting ??= setTimeout(keepDraft, draftMs)
    if (saveState.value === 'conflict') return
    saveState.value = 'waiting'
    clearTimeout(timer)
    timer = setTimeout(() => void send(), saveMs)
  }

  function unsaved(): Draft | undefined {
    if (!plan.value || saveState.value === 'saved') return undefined
    return { base: revision.value, saveId, after: tried, plan: plan.value }
  }

  function keepDraft() {
    clearTimeout(drafting)
    drafting = undefined
    const draft = unsaved()
    if (draft) void drafts.keep(id.value, draft)
  }

  async function send() {
    clearTimeout(timer)
    if (flying || !plan.value || saveState.value === 'conflict') return
    flying = true
    const [doc, own, named, planId] = [plan.value, saveId, label, id.value]
    const after = tried
    if (!tried.includes(own)) tried = [...tried.slice(-49), own]
    saveState.value = 'saving'
    keepDraft()
    try {
      const done = await api.update(planId, revision.value, {
        saveId: own,
        sitting,
        label: named,
        after,
        plan: doc,
      })
      if (planId !== id.value) return
      revision.value = done.revision
      tried = []
      if (label === named) label = ''
      saveProblem.value = ''
      if (plan.value === doc && saveId === own) {
        saveState.value = 'saved'
        await drafts.drop(planId)
      } else {
        keepDraft()
        saveState.value = 'waiting'
        timer = setTimeout(() => void send(), saveMs)
      }
    } catch (e) {
      if (planId !== id.value) return
      if (e instanceof ApiError && e.status === 412) await meet(doc)
      else if (e instanceof ApiError && e.status < 500 && e.status !== 401) {
        tried = tried.filter((t) => t !== own)
        saveState.value = 'refused'
        saveProblem.value = e.message
        if (plan.value !== doc) timer = setTimeout(() => void send(), saveMs)
      } else {
        saveState.value = 'offline'
        saveProblem.value = e instanceof Unreachable ? '' : e instanceof Error ? e.message : String(e)
        timer = setTimeout(() => void send(), 3000)
      }
    } finally {
      flying = false
    }
  }

  /** The plan was saved elsewhere: where one side only ticked, both go together. */
  async function meet(doc: Plan) {
    const planId = id.value
    try {
      const [base, stored] = await Promise.all([api.revision(planId, revision.value), api.plan(planId)])
      const next = plan.value === doc && planId === id.value && together(base.plan, doc, stored.plan)
      if (next) {
        revision.value = stored.revision
        saveState.value = 'waiting'
        met(next)
        return
      }
    } catch {
      // the way to the server is gone again, or the base: stated as a conflict below
    }
    if (planId === id.value) saveState.value = plan.value === doc ? 'conflict' : 'waiting'
    if (saveState.value === 'waiting') timer = setTimeout(() => void send(), saveMs)
  }

  /** Takes up a draft with the save id that it was sent with, if it was. */
  function resume(draft: Draft) {
    saveId = draft.saveId
    tried = draft.after ?? []
    saveState.value = 'waiting'
    void send()
  }

  function named(name: string) {
    label = name
    saveId = uuid()
    void send()
  }

  /** Leaves the plan: what is not saved yet is left as a draft. */
  function stop() {
    keepDraft()
    clearTimeout(timer)
    label = ''
    tried = []
  }
  window.addEventListener('pagehide', () => {
    const draft = unsaved()
    if (draft) drafts.leave(id.value, draft)
  })
  return { saveState, saveProblem, revision, sitting, note, send, resume, named, stop }
}
