// Ticks and readings are kept by the trailer while the plan may be open elsewhere: where one
// side changed nothing else, both versions go together.
import { applyPatch, compare, type Operation } from 'fast-json-patch'
import type { Plan } from '@/generated/types'

const own = /^\/outings\/[^/]+\/(departures|layouts\/[^/]+\/readings)(\/|$)/

const onlyTicks = (ops: Operation[]) => ops.every((o) => own.test(o.path))

/** Both versions of a plan in one; undefined where neither side's changes are ticks alone. */
export function together(base: Plan, mine: Plan, theirs: Plan): Plan | undefined {
  const [here, there] = [compare(base, mine), compare(base, theirs)]
  const [onto, ops] = onlyTicks(here) ? [theirs, here] : onlyTicks(there) ? [mine, there] : [undefined, []]
  if (!onto) return undefined
  let next = structuredClone(onto) as Plan
  for (const op of ops) {
    try {
      next = applyPatch(next, [structuredClone(op)], true, false).newDocument
    } catch {
      if (op.op !== 'remove') return undefined // what is gone already needs no taking out
    }
  }
  return next
}
