// The interface prints and reads quantities as the core does: one file of
// vectors holds both.
import { readFileSync } from 'node:fs'
import { expect, test } from 'vitest'
import { parse, ParseError, print, type Kind } from '@/quantities'

type Row = [string, string, Kind, never, never, number | null | undefined, number | null | undefined]
const vectors = JSON.parse(readFileSync('core/lang/quantity/testdata/vectors.json', 'utf8')) as Record<
  'print' | 'parse' | 'refuse',
  Row[]
>

test('prints as the core does', () => {
  for (const [units, region, kind, value, text] of vectors.print) {
    expect(print({ units, region }, kind, value), `${units} ${kind} ${value}`).toBe(text)
  }
  expect(print({ units: 'metric', region: 'uk' }, 'mass', NaN)).toBe('–')
})

test('reads as the core does', () => {
  for (const [units, region, kind, text, value, plusMinus, relative] of vectors.parse) {
    const got = parse({ units, region }, kind, text)
    expect(got.value, `${units} ${region} ${text}`).toBeCloseTo(value, 6)
    if (plusMinus == null) expect(got.plusMinus).toBeUndefined()
    else expect(got.plusMinus).toBeCloseTo(plusMinus, 9)
    if (relative == null) expect(got.relative).toBeUndefined()
    else expect(got.relative).toBeCloseTo(relative, 9)
  }
})

test('refuses as the core does', () => {
  for (const [units, region, kind, text, sentence] of vectors.refuse) {
    let said = ''
    try {
      parse({ units, region }, kind, text)
    } catch (e) {
      said = e instanceof ParseError ? e.message : String(e)
    }
    expect(said, text).toBe(sentence)
  }
})
