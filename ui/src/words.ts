// The words of the open plan: its region's terms and its units.
import { computed, inject, type ComputedRef, type InjectionKey } from 'vue'
import type { Measure, Sentence } from '@/generated/types'
import { print, type Locale } from '@/quantities'
import { measure, nominal, sentence, term, unbroken } from '@/said'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'

/** A page without an open plan provides the locale that its fields speak. */
export const localeKey: InjectionKey<ComputedRef<Locale>> = Symbol('locale')

export function useWords() {
  const own = inject(localeKey, undefined)
  const reference = useReference()
  const workspace = useWorkspace()
  const locale = computed<Locale>(() => own?.value ?? workspace.locale)
  const terms = computed(() => reference.data?.terms ?? {})
  return {
    locale,
    say: (s: Sentence | undefined | null) => sentence(terms.value, locale.value, s),
    term: (key: string) => term(terms.value, key, locale.value.region),
    measure: (m: Measure | undefined | null) => measure(locale.value, m),
    nominal: (m: Measure | undefined | null) => nominal(locale.value, m),
    print: (kind: string, v: number) => unbroken(print(locale.value, kind, v)),
  }
}

export const outcomeWord: Record<string, string> = {
  fails: 'Fails',
  unknown: 'Not known',
  tight: 'Tight',
  holds: 'Holds',
}

export const howWords: Record<string, [mass: string, length: string]> = {
  weighed: ['weighed', 'measured'],
  plate: ['plate or papers', 'plate or papers'],
  maker: ["maker's figure", "maker's figure"],
  typical: ['typical', 'typical'],
  guessed: ['guessed', 'guessed'],
}

export const stageWords: Record<string, string> = {
  job: 'Job',
  vehicle: 'Tow vehicle',
  trailer: 'Trailer',
  balance: 'Balance',
}
