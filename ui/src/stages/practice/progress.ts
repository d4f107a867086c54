// How far somebody is in practice: it stays on this device.
import { useLocalStorage } from '@vueuse/core'
import type { Hand, Progress } from '@/generated/types'

export const useProgress = () =>
  useLocalStorage<Progress>('practice', { topics: {}, days: [], seeds: 0 }, { writeDefaults: false })

export interface Best {
  points: number
  seconds: number
  hands: Hand[]
}

/** The best runs, by trailer, task and drawbar. */
export const useBest = () =>
  useLocalStorage<Record<string, Best>>('practice-best', {}, { writeDefaults: false })
