// What happened, beside the plan: ticks, parts, snags, measures. A change is a JSON Merge Patch of one
// record, sent as soon as the hand rests; what the server does not have yet stands in IndexedDB. Two
// devices' changes go together field by field, the later one standing.
import { get as kept, update } from 'idb-keyval'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { api, ApiError } from '@/api'
import type { Happened } from '@/generated/types'
import { at, tokens, uuid } from './patch'

type Patch = { [field: string]: unknown }

interface Change {
  key: string
  id: string
  patch?: Patch // else it is taken away …
  back?: true // … or brought back
}

const restMs = 250 // of stillness before a change is sent
const atOnce = 250 // records that one call changes
const bodies = new Set([
  'step',
  'part',
  'snag',
  'built',
  'tool',
  'spend',
  'paper',
  'trip',
  'slip',
  'wear',
  'trouble',
  'loan',
])

/** RFC 7396: null takes out, an object changes member by member, all else replaces. */
export function merged(onto: unknown, by: unknown): unknown {
  if (by === null || typeof by !== 'object' || Array.isArray(by)) return by
  const out: Patch = onto && typeof onto === 'object' && !Array.isArray(onto) ? { ...(onto as Patch) } : {}
  for (const [k, v] of Object.entries(by)) {
    if (v === null) delete out[k]
    else out[k] = merged(out[k], v)
  }
  return out
}

/** Two patches as one: the second's nulls stay, since they take out what the server has. */
function after(first: Patch, then: Patch): Patch {
  const out: Patch = { ...first }
  for (const [k, v] of Object.entries(then)) {
    const was = out[k]
    const both = [was, v].every((x) => x && typeof x === 'object' && !Array.isArray(x))
    out[k] = both ? after(was as Patch, v as Patch) : v
  }
  return out
}

export const useRecords = defineStore('records', () => {
  const plan = ref('')
  const all = shallowRef<Record<string, Happened>>({})
  const version = ref(0) // of what the server has
  const loaded = ref(false)
  const problems = ref<Record<string, string>>({}) // by path
  const away = ref(false)
  const removed = ref<{ id: string; label: string }>() // the last one, to bring it back
  const queue = shallowRef<Change[]>([])
  const waiting = computed(() => queue.value.length)

  let flying = false
  let air = new Set<string>() // keys of what is on its way
  let timer: ReturnType<typeof setTimeout> | undefined
  const store = () => 'records:' + plan.value

  // One write at a time: what changes meanwhile goes in the next, so that two thousand rows of a
  // list are a handful of writes.
  const unkept = new Map<string, Change[]>()
  let writing: Promise<void> | undefined

  function keep(next: Change[]) {
    queue.value = next
    unkept.set(store(), next)
    writing ??= write()
  }

  async function write() {
    try {
      for (const [to, list] of unkept) {
        unkept.delete(to)
        // plain objects alone can be kept
        const plain = JSON.parse(JSON.stringify(list)) as Change[]
        await update<Change[]>(to, () => plain)
      }
    } finally {
      writing = undefined
    }
  }

  async function open(id: string) {
    if (plan.value === id) return
    clearTimeout(timer)
    plan.value = id
    all.value = {}
    queue.value = []
    problems.value = {}
    removed.value = undefined
    loaded.value = false
    await writing?.catch(() => {}) // a full disk is no reason not to open
    const left = (await kept<Change[]>(store())) ?? []
    if (plan.value !== id) return
    queue.value = [...left, ...queue.value]
    await load()
    if (queue.value.length) void send()
  }

  /** What the server has, with what waits here on top. */
  async function load() {
    const id = plan.value
    try {
      const list = await api.records.list(id)
      if (plan.value !== id) return
      const next: Record<string, Happened> = {}
      for (const r of list) if (r.record) next[r.id] = r.record
      for (const c of queue.value) apply(next, c)
      all.value = next
      loaded.value = true
      version.value++
    } catch {
      away.value = true
      setTimeout(() => plan.value === id && !loaded.value && void load(), 3000)
    }
  }

  function apply(onto: Record<string, Happened>, c: Change) {
    if (c.patch) onto[c.id] = merged(onto[c.id], c.patch) as Happened
    else if (!c.back) delete onto[c.id]
  }

  /** Changes a record; the first change of a new one says of what kind it is, or the beginning of its id does. */
  function change(id: string, patch: Patch) {
    const own = Object.keys(patch).find((k) => bodies.has(k)) ?? id.split('-')[0]
    const whole = all.value[id] ? patch : { kind: own, ...patch }
    const last = queue.value.at(-1)
    if (last?.id === id && last.patch && !air.has(last.key))
      keep([...queue.value.slice(0, -1), { ...last, patch: after(last.patch, whole) }])
    else keep([...queue.value, { key: uuid(), id, patch: whole }])
    const next = { ...all.value }
    apply(next, { key: '', id, patch: whole })
    all.value = next
    rest()
  }

  /** New records, as many as a list has. */
  function make(made: { id: string; record: Patch }[]) {
    const changes = made.map(({ id, record }) => ({ key: uuid(), id, patch: record }))
    keep([...queue.value, ...changes])
    const next = { ...all.value }
    for (const c of changes) apply(next, c)
    all.value = next
    rest()
  }

  /** Puts one value at /records/{id}/…; undefined takes it out. trailer is that of a new record. */
  function setAt(path: string, value: unknown, trailer: string) {
    const [, id, ...way] = tokens(path)
    let patch: unknown = value ?? null
    for (const t of way.reverse()) patch = { [t]: patch }
    const known = all.value[id!]
    change(id!, known ? (patch as Patch) : { trailer, ...(patch as Patch) })
    delete problems.value[path]
  }

  const get = (path: string) => at({ records: all.value }, path)

  function remove(id: string, label: string) {
    keep([...queue.value, { key: uuid(), id }])
    const next = { ...all.value }
    delete next[id]
    all.value = next
    removed.value = { id, label }
    rest()
  }

  function bringBack() {
    const last = removed.value
    if (!last) return
    removed.value = undefined
    keep([...queue.value, { key: uuid(), id: last.id, back: true }])
    rest()
  }

  function rest() {
    clearTimeout(timer)
    timer = setTimeout(() => void send(), restMs)
  }

  /** The changes at the queue's head that go in one call: patches, each of another record. */
  function run() {
    const ids = new Set<string>()
    const out: Change[] = []
    for (const c of queue.value) {
      if (!c.patch || ids.has(c.id) || out.length === atOnce) break
      ids.add(c.id)
      out.push(c)
    }
    return out
  }

  async function send() {
    if (flying) return
    flying = true
    const id = plan.value
    let reload = false
    let sent = false
    try {
      while (queue.value.length && plan.value === id) {
        const c = queue.value[0]!
        const many = run()
        air = new Set([c, ...many].map((m) => m.key))
        if (many.length > 1) {
          const { refused } = await api.records.changeAll(
            id,
            many.map((m) => ({ id: m.id, patch: m.patch! })),
          )
          const wrong = Object.fromEntries(refused.map((r) => [r.field, r.says]))
          problems.value = { ...problems.value, ...wrong }
          if (plan.value !== id) return
          away.value = false
          keep(queue.value.filter((q) => !air.has(q.key)))
          sent = true
          continue
        }
        try {
          if (c.patch) await api.records.change(id, c.id, c.patch)
          else if (c.back) {
            await api.records.restore(id, c.id)
            reload = true
          } else await api.records.remove(id, c.id)
        } catch (e) {
          if (!(e instanceof ApiError) || e.status >= 500 || e.status === 401) throw e
          // what makes no sense stays on screen with the core's word on it
          problems.value = { ...problems.value, [e.field ?? `/records/${c.id}`]: e.message }
        }
        if (plan.value !== id) return
        away.value = false
        keep(queue.value.filter((q) => q.key !== c.key))
        sent = true
      }
    } catch {
      away.value = true
      timer = setTimeout(() => void send(), 3000)
    } finally {
      flying = false
      air = new Set()
      // what follows from the records is asked for when all of them are there, not at each
      if (sent && plan.value === id) version.value++
    }
    if (reload) await load()
  }

  /** Waits until the server has all that was changed; an error where it does not come to that. */
  async function settle() {
    clearTimeout(timer)
    for (let tries = 0; queue.value.length && tries < 40; tries++) {
      await send()
      if (queue.value.length) await new Promise((r) => setTimeout(r, 250))
    }
    if (queue.value.length)
      throw new Error('The server does not have all records yet. Try again in a moment.')
  }

  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'visible' && plan.value && loaded.value && !queue.value.length)
      void load()
  })

  return {
    ...{ plan, all, version, loaded, problems, away, removed, waiting },
    ...{ open, load, settle, change, make, setAt, get, remove, bringBack },
  }
})
