// The open plan: its document, undo, what is selected, and the two loops that
// follow every change, one to the review and one to the store.
import { applyPatch, compare, type Operation } from 'fast-json-patch'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { api, ApiError, Unreachable } from '@/api'
import type { Fix, Op, Placement, Plan, Report, Settled } from '@/generated/types'
import type { Locale } from '@/quantities'
import { drafts, type Draft } from './drafts'
import { at, hold, put, uuid } from './patch'
import { together } from './ticks'

interface Entry {
  label: string
  gesture?: string
  undo: Operation[]
  redo: Operation[]
}

export type SaveState = 'saved' | 'waiting' | 'saving' | 'offline' | 'conflict' | 'refused'

const restMs = 150 // of stillness before the settled tier is asked for
const draftMs = 120 // at most so often, work goes to this device's own store
const saveMs = 700 // of stillness before a save

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
  const selected = ref('') // path of the thing in hand
  const opened = ref('') // key of the finding whose working is open
  const preview = shallowRef<{ fix: Fix; plan: Plan }>()

  const locale = computed<Locale>(() => ({
    units: plan.value?.units ?? 'metric',
    region: plan.value?.region ?? 'uk',
  }))

  // --- the document and its undo ---
  const past = shallowRef<Entry[]>([])
  const future = shallowRef<Entry[]>([])
  const sequence = ref(0)
  let before: Plan | undefined // the document before the running gesture

  function change(next: Plan) {
    plan.value = next
    sequence.value++
    review.ask()
    saving.note()
  }

  function patched(doc: Plan, ops: Operation[]): Plan {
    return applyPatch(structuredClone(doc), structuredClone(ops), true).newDocument
  }

  /** The plan's patch, with hold taken of what the app placed. */
  const held = (doc: Plan, ops: Op[]) => hold(doc, ops, placed.value) as Operation[]

  /** Applies a patch as one undo entry; changes of one gesture fold into one. */
  function edit(ops: Op[], label: string, gesture?: string): boolean {
    const doc = plan.value
    if (!doc || ops.length === 0) return false
    let next: Plan
    try {
      next = patched(doc, held(doc, ops))
    } catch {
      return false
    }
    const last = past.value.at(-1)
    const folds = gesture !== undefined && last?.gesture === gesture && before !== undefined
    if (!folds) before = doc
    const entry: Entry = { label, gesture, undo: compare(next, before!), redo: compare(before!, next) }
    if (entry.redo.length === 0 && !folds) return true
    past.value = [...past.value.slice(folds ? 0 : -199, folds ? -1 : undefined), entry]
    future.value = []
    preview.value = undefined
    change(next)
    return true
  }

  /** Ends the running gesture: what comes next is an undo entry of its own. */
  function endGesture() {
    before = undefined
  }

  /** Puts one value at a path; undefined takes it out. */
  function setAt(path: string, value: unknown, label: string, gesture?: string) {
    return plan.value ? edit(put(plan.value, path, value), label, gesture) : false
  }

  /** Puts several values whose places are there, as one change. */
  function setAll(values: { path: string; value: unknown }[], label: string, gesture?: string) {
    const doc = plan.value
    if (!doc) return false
    return edit(
      values.flatMap((v) => put(doc, v.path, v.value)),
      label,
      gesture,
    )
  }

  const get = (path: string) => at(plan.value, path)

  /** A load's place: the plan's, or the one that the app gave it. */
  function placeOf(path: string): Placement | undefined {
    const own = get(path) as Placement | undefined
    return own?.on === 'any' ? (placed.value?.[path] ?? own) : own
  }

  function undo() {
    const entry = past.value.at(-1)
    if (!entry || !plan.value) return
    past.value = past.value.slice(0, -1)
    future.value = [...future.value, entry]
    before = undefined
    preview.value = undefined
    change(patched(plan.value, entry.undo))
  }

  function redo() {
    const entry = future.value.at(-1)
    if (!entry || !plan.value) return
    future.value = future.value.slice(0, -1)
    past.value = [...past.value, entry]
    before = undefined
    preview.value = undefined
    change(patched(plan.value, entry.redo))
  }

  // --- fixes: preview never enters the plan ---
  function show(fix: Fix) {
    if (!plan.value) return
    try {
      preview.value = { fix, plan: patched(plan.value, held(plan.value, fix.patch)) }
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

  // --- the review loop: one request in flight, the latest wins ---
  const shown = ref(0) // sequence of the report on screen
  const settled = ref(false)
  const settledReport = shallowRef<Settled>()
  const settledAt = shallowRef<Date>() // when its figures were made

  const review = (() => {
    let flying = false
    let wanted: 'live' | 'settled' | undefined
    let rest: ReturnType<typeof setTimeout> | undefined

    function ask() {
      settled.value = false
      clearTimeout(rest)
      rest = setTimeout(() => send('settled'), restMs)
      send('live')
    }

    function send(want: 'live' | 'settled') {
      wanted = want
      if (!flying) void fly()
    }

    async function fly() {
      flying = true
      while (wanted && plan.value) {
        const want = wanted
        wanted = undefined
        const asked = preview.value?.plan ?? plan.value
        const seq = sequence.value
        const [forPlan, forOuting, forTrailer] = [id.value, outing.value, trailer.value]
        try {
          const answer = await api.review({ plan: asked, outing: forOuting, trailer: forTrailer }, want)
          if (id.value !== forPlan) continue
          failure.value = ''
          away.value = false
          report.value = answer
          if (asked === plan.value) placed.value = answer.placed
          // The core picks where nothing was chosen; a choice made meanwhile stands.
          if (outing.value === forOuting) outing.value = answer.scope.outing ?? ''
          if (trailer.value === forTrailer) trailer.value = answer.scope.trailer ?? ''
          shown.value = seq
          if (want === 'settled' && seq === sequence.value) {
            settled.value = true
            if (!preview.value) {
              settledReport.value = answer // a preview keeps the plan's own fixes
              settledAt.value = new Date()
            }
          }
        } catch (e) {
          if (id.value !== forPlan) continue
          failure.value = e instanceof Error ? e.message : String(e)
          away.value = e instanceof Unreachable
          clearTimeout(rest)
          rest = setTimeout(() => send('settled'), 2000)
        }
      }
      flying = false
    }
    return { ask }
  })()

  function choose(what: { outing?: string; trailer?: string }) {
    if (what.outing !== undefined) outing.value = what.outing
    if (what.trailer !== undefined) trailer.value = what.trailer
    selected.value = ''
    preview.value = undefined
    settledReport.value = undefined
    sequence.value++
    review.ask()
  }

  // --- the saving loop: one save in flight, each with its own id ---
  const saveState = ref<SaveState>('saved')
  const saveProblem = ref('')
  const revision = ref(0)
  const sitting = uuid()

  const saving = (() => {
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
          past.value = []
          future.value = []
          before = undefined
          saveState.value = 'waiting'
          change(next)
          return
        }
      } catch {
        // the way to the server is gone again, or the base: told as a conflict below
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
    return { note, send, resume, named, stop }
  })()

  // --- opening ---
  async function open(planId: string) {
    saving.stop()
    id.value = planId
    plan.value = report.value = placed.value = settledReport.value = preview.value = undefined
    past.value = []
    future.value = []
    before = undefined
    kept.value = undefined
    failure.value = outing.value = trailer.value = selected.value = ''
    earlier.value = 0
    saveState.value = 'saved'
    try {
      const [stored, draft] = await Promise.all([api.plan(planId), drafts.find(planId)])
      if (id.value !== planId) return
      revision.value = stored.revision
      plan.value = draft ? draft.plan : stored.plan
      sequence.value++
      if (draft) {
        revision.value = draft.base
        saving.resume(draft)
      }
      review.ask()
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
    ...{ id, plan, report, failure, earlier, away, outing, trailer, selected, opened, preview, locale, kept },
    ...{ past, future, sequence, shown, settled, settledReport, settledAt },
    ...{ saveState, saveProblem, revision },
    ...{
      edit,
      setAt,
      setAll,
      get,
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
