// Finds kinds of load by what people call them.
import type { Bulk, LoadKind, Material } from '@/generated/types'

const stop = new Set('a an the of my our with and in on for to two three some old new'.split(' '))

/** A word without its plural. */
function stem(w: string): string {
  if (w.length < 4 || w.endsWith('ss')) return w
  if (w.endsWith('ies')) return w.slice(0, -3) + 'y'
  if (/(ch|sh|s|x)es$/.test(w)) return w.slice(0, -2)
  return w.endsWith('s') ? w.slice(0, -1) : w
}

/** The words of a text, without case, accents, numbers and plurals. */
export function wordsOf(text: string): string[] {
  return text
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[\u0300-\u036f’']/g, '')
    .split(/[^a-z]+/)
    .filter((w) => w && !stop.has(w))
    .map(stem)
}

/** Whether one letter was left out, put in, changed or swapped with its neighbour. */
export function nearly(a: string, b: string): boolean {
  if (Math.abs(a.length - b.length) > 1 || Math.min(a.length, b.length) < 4) return false
  let i = 0
  while (i < a.length && a[i] === b[i]) i++
  const [x, y] = [a.slice(i), b.slice(i)]
  return (
    x.slice(1) === y ||
    x === y.slice(1) ||
    x.slice(1) === y.slice(1) ||
    (x[0] === y[1] && x[1] === y[0] && x.slice(2) === y.slice(2))
  )
}

/** How well a word that was typed meets one that a kind goes by. */
function meets(typed: string, word: string): number {
  if (typed === word) return 3
  if (typed.length > 1 && word.startsWith(typed)) return 2
  return nearly(typed, word) ? 1.5 : 0
}

/** The kinds that a text may mean, the likeliest first. */
export function findKinds(kinds: LoadKind[], text: string): LoadKind[] {
  const typed = wordsOf(text)
  if (typed.length === 0) return []
  const scored = kinds.map((kind, order) => {
    const own = wordsOf(kind.name)
    const phrases = [own, ...(kind.words ?? '').split(',').map(wordsOf)]
    let [met, score] = [0, 0]
    for (const t of typed) {
      const inName = Math.max(0, ...own.map((w) => meets(t, w)))
      const best = Math.max(inName && inName + 0.5, ...phrases.flat().map((w) => meets(t, w)))
      if (best > 0) met++
      score += best
    }
    if (phrases.some((p) => p.join(' ') === typed.join(' '))) score += 2
    return { kind, order, met, score }
  })
  const most = Math.max(...scored.map((s) => s.met))
  return scored
    .filter((s) => s.met > 0 && s.met >= most - 1)
    .sort((a, b) => b.met - a.met || b.score - a.score || a.order - b.order)
    .map((s) => s.kind)
}

/** Whether a text says the kind in whole words: then it is the owner's own name for it. */
export function names(kind: LoadKind, text: string): boolean {
  const of = new Set(wordsOf(`${kind.name} ${kind.words ?? ''}`))
  const typed = wordsOf(text)
  return typed.length > 0 && typed.every((w) => of.has(w))
}

/** What stands for a thing of no kind, by how it lies. */
export const likes = [
  { value: 'box', name: 'stands like a box' },
  { value: 'boat-other', name: 'lies like a boat' },
  { value: 'machine-other', name: 'rolls on wheels' },
  { value: 'heap', name: 'is loose material' },
  { value: 'tank', name: 'is liquid, in a tank' },
  { value: 'long-other', name: 'is long and thin' },
]

export const capital = (s: string) => s.charAt(0).toUpperCase() + s.slice(1)

/** Loose material: the one that is named, by its weight where that is stated, else level with the sides. */
export function bulkOf(name: string, weighed: boolean, materials: Material[]): Bulk {
  const said = wordsOf(name)
  const named = materials.find((m) => wordsOf(m.name).some((w) => said.includes(w)))
  return { material: named?.id ?? 'gravel', by: weighed ? 'mass' : 'level' }
}
