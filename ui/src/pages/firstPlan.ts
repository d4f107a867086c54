// Puts the answers of a first run into a plan.
import type { Load, LoadKind, Material, Placement, Plan } from '@/generated/types'
import { bulkOf, capital, single } from '@/kinds'

export interface LoadAnswer {
  name: string
  kind?: string
  count: number
  weight?: number
  weightDoubt?: number // of what was typed: ± so much …
  weightShare?: number // … or a share
}

export interface Answers {
  region: string
  name?: string // of the plan
  units: string
  loads: LoadAnswer[]
  label?: number
  counts: string
  kind?: string // of trailer
  axle?: number
  front?: number
  deck?: number
  width?: number
  tow?: number
  brakes: '' | 'fitted' | 'none'
  ball?: number
  scale?: number
}

export const mostLoads = 100
const taped = (v: number | undefined) => (v === undefined ? undefined : { value: v, how: 'weighed' })

/** Whether several of a thing are one load: bags, boards, sheets, and loose material. */
export const together = (l: LoadAnswer, kinds: LoadKind[]) =>
  l.kind === 'heap' || !!kinds.find((k) => k.id === l.kind)?.pack

/** The doubt of so many alike: what one is off, all are. */
const doubtOf = (l: LoadAnswer, times: number) => ({
  plusMinus: l.weightDoubt === undefined ? undefined : l.weightDoubt * times,
  relative: l.weightShare,
})

/** What a plan is called that nobody named. */
export const planName = (a: Answers) => `${capital(a.loads[0]?.name.trim() || 'load')} on the trailer`

/** The plan of the answers; the loads are left to the app to place. Several of what lies together are one load. */
export function firstPlan(a: Answers, materials: Material[] = [], kinds: LoadKind[] = []): Plan {
  const loads: Record<string, Load> = {}
  const placements: Record<string, Placement> = {}
  for (const l of a.loads) {
    const name = l.name.trim() || 'Load'
    const pack = l.count > 1 && together(l, kinds)
    for (let i = 0; i < (pack ? 1 : l.count) && Object.keys(loads).length < mostLoads; i++) {
      const n = Object.keys(loads).length + 1
      const times = pack ? l.count : 1
      const weight = l.weight === undefined ? undefined : l.weight * times
      loads[`load-${n}`] = {
        order: n,
        name: pack
          ? l.kind === 'heap'
            ? name
            : `${l.count} ${name}`
          : l.count > 1
            ? `${single(name)} ${i + 1}`
            : name,
        ...(l.kind ? { kind: l.kind } : {}),
        ...(l.kind === 'heap' ? { bulk: bulkOf(l.name, l.weight !== undefined, materials) } : {}),
        ...(weight === undefined ? {} : { mass: { value: weight, ...doubtOf(l, times), how: 'guessed' } }),
        size: {},
        centre: {},
      }
      placements[`load-${n}`] = { on: 'any', at: { back: 0 } }
    }
  }
  return {
    format: 'zygonos-plan',
    version: 1,
    name: a.name?.trim() || planName(a),
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
        kind: a.kind || undefined,
        couplingToAxle: taped(a.axle),
        couplingToDeck: taped(a.front),
        deckLength: taped(a.deck),
        deckWidth: taped(a.width),
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
