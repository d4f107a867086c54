// The owner's library: things kept across plans, and what of the open plan is not as they are.
import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import { api } from '@/api'
import type { Kept, Offer, Op, Shelved } from '@/generated/types'
import { newId } from './patch'
import { useWorkspace } from './workspace'

export type Collection = 'loads' | 'towVehicles' | 'trailers' | 'straps' | 'materials' | 'ballMounts'
const collections: Collection[] = ['loads', 'towVehicles', 'trailers', 'straps', 'materials', 'ballMounts']
const restMs = 400 // of stillness before the plan is compared

export const useLibrary = defineStore('library', () => {
  const workspace = useWorkspace()
  const things = shallowRef<Shelved[]>()
  const offers = shallowRef<Record<string, Offer>>({})
  const failure = shallowRef('')

  /** Does it, and keeps in words what went wrong. */
  async function tried<T>(what: () => Promise<T>): Promise<T | undefined> {
    try {
      const out = await what()
      failure.value = ''
      return out
    } catch (e) {
      failure.value = e instanceof Error ? e.message : String(e)
    }
  }

  const load = () => tried<void>(async () => void (things.value = await api.library.list()))

  let first: Promise<void> | undefined
  /** Loads it where nobody has yet, once for all that want it at the same time. */
  function need() {
    if (!things.value) first ??= load().finally(() => (first = undefined))
  }

  /** Whether anything in the plan came from the library: else there is nothing to compare. */
  const linked = computed(() =>
    collections.some((c) =>
      Object.values((workspace.plan?.[c] ?? {}) as Record<string, { kept?: Kept }>).some((x) => x.kept),
    ),
  )

  async function compare() {
    const plan = workspace.plan
    if (!plan || !linked.value) return void (offers.value = {})
    const found = await tried(() => api.library.offers(plan))
    if (found) offers.value = Object.fromEntries(found.map((o) => [o.path, o]))
  }
  let timer: ReturnType<typeof setTimeout> | undefined
  watch(
    () => [workspace.sequence, workspace.plan?.name !== undefined, things.value],
    () => {
      clearTimeout(timer)
      timer = setTimeout(() => void compare(), restMs)
    },
  )

  /** Keeps an entry of the plan: new, or over the thing that it is a copy of. */
  async function keep(path: string) {
    const plan = workspace.plan
    if (!plan) return
    const own = workspace.get(`${path}/kept`) as Kept | undefined
    const id = own?.id ?? newId('kept')
    const kept = await tried(() => api.library.keep(plan, path, id))
    if (!kept) return
    workspace.setAt(`${path}/kept`, { id: kept.id, revision: kept.revision }, 'keep in the library')
    await load()
  }

  /** Puts a copy into the plan, with what else its stage does; gives the copy's id. */
  async function take(thing: Shelved, also: (id: string) => Op[] = () => []) {
    const plan = workspace.plan
    if (!plan) return
    const as = newId(thing.collection === 'towVehicles' ? 'car' : thing.collection.toLowerCase())
    const ops = await tried(() => api.library.take(plan, thing.id, as))
    return ops && workspace.edit([...ops, ...also(as)], `take ${thing.name} from the library`)
      ? as
      : undefined
  }

  const dropped = shallowRef<Shelved>() // the last one taken out: it can come back
  async function drop(thing: Shelved) {
    await tried(() => api.library.drop(thing.id))
    dropped.value = thing
    await load()
  }
  async function restore() {
    const id = dropped.value?.id
    if (id) await tried(() => api.library.restore(id))
    await load()
    dropped.value = undefined
  }
  return { things, offers, failure, dropped, load, need, keep, take, drop, restore }
})
