// What is known of the plan's fields beforehand, by path: how a figure is filled in, and on
// which stage. The core says it (plan.Field); here it is looked up.
import { fields, stagesByPath } from '@/generated/tables'
import type { Kind } from '@/quantities'

/** Beginnings of the known paths, with * for the ids of collections. */
const known = new Set<string>()
for (const path of [...Object.keys(fields), ...Object.keys(stagesByPath)]) {
  for (let at = path.length; at > 0; at = path.lastIndexOf('/', at - 1)) known.add(path.slice(0, at))
}

/** The path with * for ids, as far as it is known. */
function general(path: string): string {
  let at = ''
  for (const part of path.split('/').slice(1)) {
    if (known.has(`${at}/${part}`)) at += `/${part}`
    else if (known.has(`${at}/*`)) at += '/*'
    else break
  }
  return at
}

/** The stage, with its tab, on which the field at a path is filled in. */
export function stageOfPath(path: string): string {
  for (let at = general(path); at; at = at.slice(0, at.lastIndexOf('/'))) {
    const stage = stagesByPath[at]
    if (stage) return stage
  }
  return 'balance'
}

export interface Figure {
  form: 'figure' | 'estimate' | 'reading'
  kind: Kind
}

/** How the figure at a path is filled in, where it is one. */
export function figureOf(path: string): Figure | undefined {
  const is = fields[general(path)]?.split(' ')
  return is && general(path).split('/').length === path.split('/').length
    ? ({ form: is[0], kind: is[1] } as Figure)
    : undefined
}
