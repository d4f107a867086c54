// The open plan: its document with undo (history), what is selected, and the two loops that follow
// every change, one to the review and one to the store.
import { compare } from 'fast-json-patch'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { api, ApiError } from '@/api'
import type { Fix, Op, Plan, Report } from '@/generated/types'
import type { Locale } from '@/quantities'
import { drafts } from './drafts'
import { patched, useHistory } from './history'
import { newId, uuid } from './patch'
import { useRecords } from './records'
import { useReviewLoop } from './reviewLoop'
import { useSavingLoop } from './savingLoop'

export type { SaveState } from './savingLoop'

export const useWorkspace = defineStore('workspace', () => {
  const id = ref('')
  const plan = shallowRef<Plan>()
  const report = shallowRef<Report>()
  const placed = shallowRef<Report['placed']>() // by the app, in the plan itself and not a preview
  const away = ref(false) // no answer at all from the server
  const failure = ref('') // why there is no plan, or no fresh report
  const earlier = ref(0) // of a damaged plan: the version before it that is sound
  const outing = ref('')
  const trailer = ref('')
  const stage = ref('') // on screen
  const selected = ref('') // path of the thing in hand
  const opened = ref('') // key of the finding whose working is open
  const preview = shallowRef<{ fix: Fix; plan: Plan }>()

  const locale = computed<Locale>(() => ({
    units: plan.value?.units ?? 'metric',
    region: plan.value?.region ?? 'uk',
  }))

  const sequence = ref(0)
  const review = useReviewLoop({
    ...{ id, plan, outing, trailer, stage, sequence, preview, report, placed, failure, away },
  })
  const { shown, settled, settledReport, settledAt } = review
  const saving = useSavingLoop(id, plan, (next) => {
    history.forget()
    change(next)
  })
  const { saveState, saveProblem, revision, sitting } = saving
  const history = useHistory(plan, placed, change)
  const { edit, setAll, placeOf, endGesture, undo, redo } = history

  // Records stand beside the plan, under /records: fields lead to both alike.
  const records = useRecords()
  const beside = (path: string) => path.startsWith('/records/')
  const get = (path: string) => (beside(path) ? records.get(path) : history.get(path))
  function setAt(path: string, value: unknown, label: string, gesture?: string) {
    if (!beside(path)) return history.setAt(path, value, label, gesture)
    records.setAt(path, value, trailer.value)
    return true
  }
  /** The core's own word on what stands at a path. */
  const wordOn = (path: string) =>
    beside(path)
      ? records.problems[path]
      : report.value?.problems.find((p) => p.path === path || p.path === path + '/value')?.says

  function change(next: Plan) {
    plan.value = next
    preview.value = undefined
    sequence.value++
    review.ask()
    saving.note()
  }

  /** Adds a thing as the core says that it begins; gives its id. */
  async function begin(
    what: string,
    label: string,
    kind?: string,
    how: { by?: number; at?: number; of?: string } = {},
  ) {
    if (!plan.value) return ''
    const fresh = newId(kind ?? what)
    const asked = { plan: plan.value, outing: outing.value, trailer: trailer.value }
    return edit(await api.begin(asked, { what, kind, id: fresh, ...how }), label) ? fresh : ''
  }

  // --- fixes: preview never enters the plan ---
  function show(fix: Fix) {
    if (!plan.value) return
    try {
      preview.value = { fix, plan: patched(plan.value, history.held(plan.value, fix.patch)) }
    } catch {
      preview.value = undefined
    }
    sequence.value++
    review.ask()
  }

  function hide() {
    if (!preview.value) return
    preview.value = undefined
    sequence.value++
    review.ask()
  }

  function apply(fix: Fix, label: string) {
    hide()
    return edit(fix.patch, label)
  }

  function choose(what: { outing?: string; trailer?: string }) {
    if (what.outing !== undefined) outing.value = what.outing
    if (what.trailer !== undefined) trailer.value = what.trailer
    selected.value = ''
    preview.value = undefined
    settledReport.value = undefined
    sequence.value++
    review.ask(true)
  }

  // --- opening ---
  async function open(planId: string) {
    saving.stop()
    id.value = planId
    plan.value = report.value = placed.value = settledReport.value = preview.value = undefined
    history.forget()
    kept.value = undefined
    failure.value = outing.value = trailer.value = selected.value = ''
    earlier.value = 0
    saveState.value = 'saved'
    try {
      const [stored, draft] = await Promise.all([api.plan(planId), drafts.find(planId)])
      if (id.value !== planId) return
      void records.open(planId)
      revision.value = stored.revision
      plan.value = draft ? draft.plan : stored.plan
      sequence.value++
      if (draft) {
        revision.value = draft.base
        saving.resume(draft)
      }
      review.ask(true)
    } catch (e) {
      failure.value = e instanceof Error ? e.message : String(e)
      earlier.value = (e instanceof ApiError && e.earlier) || 0
    }
  }

  /** Of a damaged plan: the version before it becomes a plan of its own. */
  async function rescue(): Promise<string> {
    const old = await api.revision(id.value, earlier.value)
    const copyId = uuid()
    await api.create(copyId, {
      saveId: uuid(),
      sitting,
      plan: { ...old.plan, name: `${old.plan.name} (rescued)` },
    })
    return copyId
  }

  /** After a conflict: this tab's version becomes a plan of its own. */
  async function keepAsCopy(): Promise<string> {
    const copy = { ...plan.value!, name: `${plan.value!.name} (copy)` }
    const copyId = uuid()
    await api.create(copyId, { saveId: uuid(), sitting, plan: copy })
    await drafts.drop(id.value)
    return copyId
  }

  /** After a conflict: the stored version replaces this tab's. */
  async function reload() {
    await drafts.drop(id.value)
    await open(id.value)
  }

  /** An arrangement that was kept to hold others against. */
  const kept = shallowRef<{ plan: Plan; report: Report }>()
  function keep() {
    const whole = settled.value ? settledReport.value : undefined // a live report has no chart
    if (plan.value && report.value) kept.value = { plan: plan.value, report: whole ?? report.value }
  }
  function backToKept() {
    if (plan.value && kept.value) edit(compare(plan.value, kept.value.plan) as Op[], 'back to what was kept')
  }

  /** Brings an earlier revision back, as an edit that can be undone. */
  async function bringBack(n: number) {
    const old = await api.revision(id.value, n)
    if (plan.value) edit(compare(plan.value, old.plan) as Op[], 'bring back an earlier version')
  }

  return {
    ...{
      id,
      plan,
      report,
      failure,
      earlier,
      away,
      outing,
      trailer,
      stage,
      selected,
      opened,
      preview,
      locale,
      kept,
    },
    ...{ past: history.past, future: history.future, sequence, shown, settled, settledReport, settledAt },
    ...{ saveState, saveProblem, revision },
    ...{
      begin,
      edit,
      setAt,
      setAll,
      get,
      wordOn,
      placeOf,
      endGesture,
      undo,
      redo,
      show,
      hide,
      apply,
      choose,
      open,
      keepAsCopy,
      rescue,
      reload,
      bringBack,
      keep,
      backToKept,
    },
    saveNow: saving.send,
    saveNamed: saving.named,
  }
})
