// A field told by what it is of: its path below a base, its label, and a figure, an
// estimate, a whole number, a text, a choice or a switch.
import type { Kind } from '@/quantities'

export type PlanField = { at: string; label: string; hint?: string } & (
  | { kind: Kind }
  | { estimate: 'mass' | 'length' | 'volume'; how?: string } // how: it is usually known
  | { whole: true }
  | { text: true }
  | { options: { value: string | number; name: string; more?: string }[]; usual?: string | number } // usual: what none told means
  | { on: unknown } // what it is when switched on
)

/** Fields that stand only where something is so. */
export const where = (so: unknown, ...fields: PlanField[]): PlanField[] => (so ? fields : [])
