// Builds JSON Patches on the plan document.
import type { Op, Placement } from '@/generated/types'

export const tokens = (path: string) =>
  path
    .slice(1)
    .split('/')
    .map((t) => t.replaceAll('~1', '/').replaceAll('~0', '~'))

/** What stands at a path, or undefined. */
export function at(doc: unknown, path: string): unknown {
  let node = doc as Record<string, unknown> | undefined
  for (const t of tokens(path)) {
    if (node === null || typeof node !== 'object' || !Object.hasOwn(node, t)) return undefined
    node = node[t] as Record<string, unknown>
  }
  return node
}

/** The operations that put a value at a path, with the objects on the way; undefined takes it out. */
export function put(doc: unknown, path: string, value: unknown): Op[] {
  if (value === undefined) return at(doc, path) === undefined ? [] : [{ op: 'remove', path }]
  const way = path.slice(1).split('/')
  for (let n = 1; n < way.length; n++) {
    const parent = '/' + way.slice(0, n).join('/')
    if (at(doc, parent) === undefined) {
      let nested = value
      for (const t of way.slice(n).reverse()) nested = { [t]: nested }
      return [{ op: 'add', path: parent, value: nested }]
    }
  }
  return [{ op: 'add', path, value }]
}

/** A new stable id for an entry called name. */
export function newId(name: string): string {
  const words = name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 40)
  return `${words || 'thing'}-${crypto.getRandomValues(new Uint32Array(1))[0]!.toString(36).padStart(7, '0').slice(-7)}`
}

/** A random id in the form of a UUID (RFC 9562, version 4); works without a secure context too. */
export function uuid(): string {
  const b = crypto.getRandomValues(new Uint8Array(16))
  b[6] = (b[6]! & 0x0f) | 0x40
  b[8] = (b[8]! & 0x3f) | 0x80
  const hex = [...b].map((x) => x.toString(16).padStart(2, '0')).join('')
  return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5')
}

/** What is said of a placement's place: saying it takes the load out of the app's hands. */
const says = new Set(['at', 'turn', 'pinned', 'on', 'id', 'slot'])

/**
 * The operations with, before the first on the place of a load that the app placed, the
 * place that it was given: its owner takes hold of it there.
 */
export function hold(doc: unknown, ops: Op[], placed: Record<string, Placement> | undefined): Op[] {
  const held: Op[] = []
  for (const [path, value] of Object.entries(placed ?? {})) {
    const touched = ops.some(
      (op) => op.path.startsWith(path + '/') && says.has(tokens(op.path.slice(path.length))[0]!),
    )
    if (touched && (at(doc, path) as Placement | undefined)?.on === 'any')
      held.push({ op: 'replace', path, value })
  }
  return [...held, ...ops]
}
