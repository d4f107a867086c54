// The parts of the Trailer stage.
import type { Plan } from '@/generated/types'

export const trailerTabs = [
  { id: 'compare', name: 'Compare' },
  { id: 'details', name: 'In detail' },
  { id: 'money', name: 'Money and hours' },
  { id: 'buy', name: 'Before you buy' },
]

/** The tab that is asked for, or the one that makes sense: with one trailer there is nothing to compare. */
export function trailerTab(plan: Plan | undefined, asked: string | undefined): string {
  if (trailerTabs.some((t) => t.id === asked)) return asked!
  return Object.keys(plan?.trailers ?? {}).length > 1 ? 'compare' : 'details'
}
