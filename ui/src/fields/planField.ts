// A field told by what it is of: its path below a base, its label, and a figure, a whole
// number, a choice or a switch.
import type { Kind } from '@/quantities'

export type PlanField = { at: string; label: string; hint?: string } & (
  | { kind: Kind }
  | { whole: true }
  | { options: { value: string | number; name: string; more?: string }[]; usual?: string | number } // usual: what none told means
  | { on: unknown } // what it is when switched on
)
