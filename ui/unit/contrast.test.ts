// Figures and verdicts are read in sunlight: seven to one against what they stand on, and soft words four and a half.
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, test } from 'vitest'

const css = readFileSync(join(import.meta.dirname, '../src/style.css'), 'utf8')
const block = (selector: string) => css.slice(css.indexOf(`\n${selector} {`)).split('}')[0]!
const colours = (selector: string) =>
  Object.fromEntries([...block(selector).matchAll(/--([\w-]+): (#[0-9a-f]{6});/g)].map((m) => [m[1]!, m[2]!]))

/** Relative luminance (WCAG 2.2). */
function luminance(hex: string) {
  const [r, g, b] = [1, 3, 5].map((i) => {
    const v = parseInt(hex.slice(i, i + 2), 16) / 255
    return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4
  }) as [number, number, number]
  return 0.2126 * r + 0.7152 * g + 0.0722 * b
}
function contrast(a: string, b: string) {
  const [x, y] = [luminance(a), luminance(b)].sort((p, q) => q - p) as [number, number]
  return (x + 0.05) / (y + 0.05)
}

test.each([':root', "[data-theme='dark']"])('%s can be read in the sun', (selector) => {
  const c = colours(selector)
  expect(contrast('#ffffff', '#000000')).toBeCloseTo(21)
  const weak: string[] = []
  for (const on of ['panel', 'paper', 'wash'])
    for (const [what, least] of [
      ['ink', 7],
      ['fails', on === 'panel' ? 7 : 4.5],
      ['tight', on === 'panel' ? 7 : 4.5],
      ['unknown', on === 'panel' ? 7 : 4.5],
      ['holds', on === 'panel' ? 7 : 4.5],
      ['deep', on === 'panel' ? 7 : 4.5],
      ['soft', 4.5],
    ] as const) {
      const got = contrast(c[what]!, c[on]!)
      if (got < least) weak.push(`${what} on ${on}: ${got.toFixed(2)}`)
    }
  expect(weak).toEqual([])
  expect(contrast(c['deep-ink']!, c.deep!)).toBeGreaterThan(7)
})
