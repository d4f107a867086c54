// Puts the answers of a first run into a plan.
import type { Load, Placement, Plan } from '@/generated/types'

export interface Answers {
  region: string
  units: string
  load: string
  count: number
  weight?: number
  weightDoubt?: number
  label?: number
  counts: string
  axle?: number
  front?: number
  deck?: number
  tow?: number
  brakes: '' | 'fitted' | 'none'
  ball?: number
  scale?: number
}

const taped = (v: number | undefined) => (v === undefined ? undefined : { value: v, how: 'weighed' })

/** The loads are left to the app to place. */
export function firstPlan(a: Answers): Plan {
  const name = a.load.trim() || 'Load'
  const loads: Record<string, Load> = {}
  const placements: Record<string, Placement> = {}
  for (let i = 0; i < a.count; i++) {
    const id = `load-${i + 1}`
    loads[id] = {
      order: i + 1,
      name: a.count > 1 ? `${name} ${i + 1}` : name,
      ...(a.weight === undefined
        ? {}
        : { mass: { value: a.weight, plusMinus: a.weightDoubt, how: 'guessed' } }),
      size: {},
      centre: {},
    }
    placements[id] = { on: 'any', at: { back: 0 } }
  }
  return {
    format: 'zygonos-plan',
    version: 1,
    name: `${name} on the trailer`,
    region: a.region,
    units: a.units,
    chosen: 'trailer',
    loads,
    towVehicles: {
      car: {
        order: 1,
        name: 'Car',
        [a.brakes === 'none' ? 'towUnbraked' : 'towBraked']: a.tow,
        ballLimit: a.ball,
      },
    },
    trailers: {
      trailer: {
        order: 1,
        name: 'Trailer',
        couplingToAxle: taped(a.axle),
        couplingToDeck: taped(a.front),
        deckLength: taped(a.deck),
        label: a.label === undefined ? undefined : { value: a.label, counts: a.counts },
        brakes: a.brakes || undefined,
        empty: { ball: a.scale === undefined ? undefined : { mass: a.scale } },
      },
    },
    parts: {},
    outings: {
      first: { order: 1, name: 'First outing', vehicle: 'car', layouts: { trailer: { placements } } },
    },
  }
}
