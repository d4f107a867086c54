// Rules, kinds and words that the core knows, fetched once.
import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import { api } from '@/api'
import type { Reference } from '@/generated/types'

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
  return { data, load }
})
