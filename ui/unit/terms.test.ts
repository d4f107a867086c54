// What is called otherwise from region to region is never written out in a page: it comes from the table of terms.
import { readdirSync, readFileSync } from 'node:fs'
import { join, relative } from 'node:path'
import { parse, type SFCTemplateBlock } from '@vue/compiler-sfc'
import { expect, test } from 'vitest'

const root = join(import.meta.dirname, '../src')
/** The words of the table's other regions and its own; "coupling" and "drawbar" are also keys of fields. */
const regional =
  /\b(tyres?|tires?|weighbridges?|truck scales?|nose ?weight|tongue( weight)?|ball weight|tow ?bars?|receiver hitch|jockey wheels?|tongue jacks?|mud ?guards?|fenders?|number plates?|licen[cs]e plates?|[ck]urb weight|drawbars?|couplings?|couplers?|coupling heads?)\b/i

const files = (dir: string): string[] =>
  readdirSync(dir, { withFileTypes: true }).flatMap((f) =>
    f.isDirectory() ? files(join(dir, f.name)) : /\.(vue|ts)$/.test(f.name) ? [join(dir, f.name)] : [],
  )

interface Node {
  type: number
  content?: unknown
  props?: { type: number; name: string; value?: { content: string }; exp?: { content: string } }[]
  children?: Node[]
}
/** The texts of a template and of its attributes that are read. */
function* texts(node: Node): Generator<string> {
  if (node.type === 2) yield String(node.content)
  if (node.type === 5) yield* strings((node.content as { content: string }).content)
  for (const p of node.props ?? [])
    if (p.type === 7 && p.exp) yield* strings(p.exp.content)
    else if (
      p.type === 6 &&
      /^(label|title|hint|placeholder|aria-label|says|none|thing)$/.test(p.name) &&
      p.value
    )
      yield p.value.content
  for (const c of node.children ?? []) yield* texts(c)
}
/** The strings of a script that look like a sentence or a label. */
function strings(code: string) {
  const plain = code
    .replace(/\/\*[\s\S]*?\*\/|^\s*\/\/.*$/gm, '')
    .replace(/^import .*$/gm, '')
    .replace(/(term|word)\('[^']*'\)|term: '[^']*'/g, '')
  return [...plain.matchAll(/'((?:[^'\\\n]|\\.)*)'|"((?:[^"\\\n]|\\.)*)"|`([^`]*)`/g)]
    .map((m) => m[1] ?? m[2] ?? m[3]!.replace(/\$\{[^}]*\}/g, ''))
    .filter((s) => /^[A-Z’]|\s/.test(s.trim()) && !/^[/.@#]|^[a-z]+-[a-z-]+ /.test(s))
}

/** What every page says, by file. */
function* said(): Generator<[file: string, says: string]> {
  for (const file of files(root)) {
    if (/generated|\.test\.ts$|api\.ts$|quantities/.test(file)) continue
    const source = readFileSync(file, 'utf8')
    const says: string[] = []
    if (file.endsWith('.vue')) {
      const { descriptor } = parse(source)
      const ast = (descriptor.template as SFCTemplateBlock | null)?.ast as unknown as Node | undefined
      if (ast) says.push(...texts(ast))
      says.push(...strings(descriptor.scriptSetup?.content ?? ''))
    } else says.push(...strings(source))
    for (const s of says) yield [relative(root, file), s.trim()]
  }
}

test('no page writes out what regions call otherwise', () => {
  const found: string[] = []
  for (const [file, s] of said()) {
    const word = regional.exec(s)
    if (word) found.push(`${file}: ${word[0]} in “${s.slice(0, 90)}”`)
  }
  expect(found).toEqual([])
})

/** A figure with its unit, or a unit alone that imperial plans do not have. */
const unit =
  /\d ?(mm|cm|m|km|kg|km\/h|°C|bar|l|kN)(?![\w²])|(?<!m)m²|\bl\/min|\blitres?\b|\bkilograms?\b|\bkilomet/i

test('no page writes out a figure in units of its own', () => {
  const found: string[] = []
  for (const [file, s] of said()) if (unit.test(s)) found.push(`${file}: “${s.slice(0, 90)}”`)
  expect(found).toEqual([])
})
