// The open document with its undo: every edit is a JSON Patch, its inverse one undo entry, and the
// changes of one gesture fold into one.
import { applyPatch, compare, type Operation } from 'fast-json-patch'
import { shallowRef, type ShallowRef } from 'vue'
import type { Op, Placement, Plan, Report } from '@/generated/types'
import { at, hold, put } from './patch'

interface Entry {
  label: string
  gesture?: string
  undo: Operation[]
  redo: Operation[]
}

/** The document with a patch applied; it is left as it was. */
export function patched(doc: Plan, ops: Operation[]): Plan {
  return applyPatch(structuredClone(doc), structuredClone(ops), true).newDocument
}

/**
 * Undo over a document. placed is what the app put in it by itself; change is called with each
 * next document.
 */
export function useHistory(
  plan: ShallowRef<Plan | undefined>,
  placed: ShallowRef<Report['placed']>,
  change: (next: Plan) => void,
) {
  const past = shallowRef<Entry[]>([])
  const future = shallowRef<Entry[]>([])
  let before: Plan | undefined // the document before the running gesture

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
    change(patched(plan.value, entry.undo))
  }

  function redo() {
    const entry = future.value.at(-1)
    if (!entry || !plan.value) return
    future.value = future.value.slice(0, -1)
    past.value = [...past.value, entry]
    before = undefined
    change(patched(plan.value, entry.redo))
  }

  /** Forgets what can be undone: another document is open. */
  function forget() {
    past.value = []
    future.value = []
    before = undefined
  }
  return { past, future, held, edit, endGesture, setAt, setAll, get, placeOf, undo, redo, forget }
}
