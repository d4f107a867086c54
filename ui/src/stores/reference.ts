// Rules, kinds and words that the core knows, fetched once.
import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import { api } from '@/api'
import type { Reference, Trailer } from '@/generated/types'

export const useReference = defineStore('reference', () => {
  const data = shallowRef<Reference>()
  let asked: Promise<void> | undefined

  function load(): Promise<void> {
    asked ??= api
      .reference()
      .then((r) => {
        data.value = r
      })
      .catch((e) => {
        asked = undefined
        throw e
      })
    return asked
  }
  /** How many axles a kind of trailer has, and a trailer: as stated, else as its kind. */
  const usualAxles = (kind?: string) => data.value?.trailers.find((k) => k.id === kind)?.axles ?? 1
  const axlesOf = (trailer?: Trailer) => trailer?.axles || usualAxles(trailer?.kind)
  return { data, load, usualAxles, axlesOf }
})
