// Unsaved work stands in IndexedDB until the server has it. Each tab keeps its
// own draft; a draft whose tab is gone is adopted by the next one that opens
// the plan.
import { del, entries, set } from 'idb-keyval'
import type { Plan } from '@/generated/types'
import { uuid } from './patch'

export interface Draft {
  base: number
  saveId: string
  after?: string[] // own saves whose answer never came
  plan: Plan
}

const prefix = 'draft:'
const key = (plan: string, tab: string) => `${prefix}${plan}:${tab}`

let mine: Promise<string> | undefined

/** This tab's id: it outlives a reload, and no other living tab has it. */
function tab(): Promise<string> {
  mine ??= (async () => {
    let id = sessionStorage.getItem('tab') ?? uuid()
    if (navigator.locks && !(await hold(id))) {
      id = uuid() // a duplicated tab carries the other's id
      await hold(id)
    }
    sessionStorage.setItem('tab', id)
    return id
  })()
  return mine
}

/** Holds a lock under the tab's id for as long as the tab lives. */
function hold(id: string): Promise<boolean> {
  return new Promise((resolve) => {
    void navigator.locks.request('tab:' + id, { ifAvailable: true }, (lock) => {
      resolve(lock !== null)
      return lock ? new Promise(() => {}) : undefined
    })
  })
}

export const drafts = {
  async keep(plan: string, draft: Draft) {
    sessionStorage.removeItem('left:' + plan) // this one is newer
    await set(key(plan, await tab()), draft)
  },
  async drop(plan: string) {
    sessionStorage.removeItem('left:' + plan)
    await del(key(plan, await tab()))
  },
  /** Keeps the draft at once while the page goes: a reload of this tab finds it. */
  leave(plan: string, draft: Draft) {
    try {
      sessionStorage.setItem('left:' + plan, JSON.stringify(draft))
    } catch {
      // too large for it: the last draft in IndexedDB stands
    }
  },
  /** This tab's draft of a plan, or one that a closed tab left. */
  async find(plan: string): Promise<Draft | undefined> {
    const own = await tab()
    const left = sessionStorage.getItem('left:' + plan)
    if (left) {
      sessionStorage.removeItem('left:' + plan)
      const draft = JSON.parse(left) as Draft
      await set(key(plan, own), draft)
      return draft
    }
    const held = navigator.locks ? ((await navigator.locks.query()).held ?? []).map((l) => l.name) : []
    const all = (await entries<string, Draft>()).filter(([k]) => k.startsWith(`${prefix}${plan}:`))
    const found =
      all.find(([k]) => k === key(plan, own)) ??
      all.find(([k]) => !held.includes('tab:' + k.slice(`${prefix}${plan}:`.length)))
    if (!found) return undefined
    if (found[0] !== key(plan, own)) {
      await set(key(plan, own), found[1])
      await del(found[0])
    }
    return found[1]
  },
}
