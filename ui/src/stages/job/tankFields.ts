// What is entered of a tank beside its fluid and its fill.
import { where, type PlanField } from '@/fields/planField'
import type { Tank } from '@/generated/types'
import { choices, tankWords } from '@/words'

export const tankFields = (t: Tank | undefined): PlanField[] => [
  { at: 'shape', label: 'Its shape', options: choices(tankWords), usual: 'box' },
  { at: 'baffles', label: 'Baffles across', whole: true, hint: '0' },
  ...where(
    t?.shape === 'saddle',
    { at: 'tunnelWide', label: 'Tunnel width' },
    { at: 'tunnelHigh', label: 'Tunnel height' },
  ),
]

/** The stand under it. */
export const standFields = (t: Tank | undefined): PlanField[] => [
  { at: 'legs', label: 'Legs of its stand', whole: true, hint: 'none' },
  ...where(t?.legs, { at: 'legsBraced', label: 'Braced both ways', on: true }),
]
