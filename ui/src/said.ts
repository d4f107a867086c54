// Renders sentences that the core sends as data.
import type { Finding, Measure, Piece, Sentence } from '@/generated/types'
import { print, printRange, type Locale } from '@/quantities'

export type Terms = Record<string, Record<string, string>>

/** The region's word for a term; a key with a capital gives the word with one. */
export function term(terms: Terms, key: string, region: string): string {
  const first = key.charAt(0)
  const capital = first !== first.toLowerCase()
  const small = capital ? first.toLowerCase() + key.slice(1) : key
  const words = Object.hasOwn(terms, small) ? terms[small]! : undefined
  const word = words ? (words[region] ?? words.uk ?? small) : small
  return capital ? word.charAt(0).toUpperCase() + word.slice(1) : word
}

/** A text with its words in braces in the region's. */
export const worded = (terms: Terms, region: string, text: string) =>
  text.replace(/\{([^}]+)\}/g, (_, key: string) => term(terms, key, region))

/** Identifies a finding across reports, as the core's Finding.Key does. */
export const keyOf = (f: Finding) =>
  [f.code, f.scope.trailer, f.scope.outing, f.scope.state, f.scope.school, f.subject]
    .map((x) => x ?? '')
    .join('|')

/** Keeps a number and its unit on one line. */
export const unbroken = (s: string) => s.replace(/(\d['"]?) (?=[a-z%°0-9])/g, '$1\u00a0')

export function part(terms: Terms, l: Locale, p: Piece): string {
  if (p.value !== undefined) return unbroken(printRange(l, p.kind ?? 'count', p.value, p.low, p.high))
  if (p.term) return term(terms, p.term, l.region)
  return p.name ?? p.text ?? ''
}

export function sentence(terms: Terms, l: Locale, s: Sentence | undefined | null): string {
  return (s ?? []).map((p) => part(terms, l, p)).join('')
}

export function measure(l: Locale, m: Measure | undefined | null): string {
  return m ? unbroken(printRange(l, m.kind, m.value, m.low, m.high)) : 'Not known'
}

/** From its low to its high end, where they are printed differently. */
export function spread(l: Locale, m: Measure): string {
  const [low, high] = [m.low ?? m.value, m.high ?? m.value].map((v) => unbroken(print(l, m.kind, v)))
  return low === high ? low! : `${low} to ${high}`
}

/** The measure's nominal value alone. */
export function nominal(l: Locale, m: Measure | undefined | null): string {
  return m ? unbroken(print(l, m.kind, m.value)) : 'Not known'
}
