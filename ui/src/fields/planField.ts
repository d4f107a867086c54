// A field stated by its path below a base and its label: a figure or an estimate of the kind that the
// core says (tables.ts), or a whole number, a text, a choice, a switch.
import type { Kind } from '@/quantities'

export interface PlanField {
  at: string
  label: string
  hint?: string | number // a number is printed as the field's kind
  kind?: Kind // where the core's does not say all
  how?: string // an estimate: how it is usually known
  whole?: true
  text?: true
  options?: { value: string | number; name: string; more?: string }[]
  usual?: string | number // of options: what none stated means
  on?: unknown // what it is when switched on
  ask?: [yes: string, no: string] // a switch that may be not stated: its words
}

/** Fields that stand only where something is so. */
export const where = (so: unknown, ...fields: PlanField[]): PlanField[] => (so ? fields : [])
