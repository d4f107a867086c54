// Texts on a drawing.
import { expect, test } from 'vitest'
import { fitted } from '@/drawing/labels'

// 7.2 px a letter: a metre at 72 px takes ten.
test('a name fits its room, is cut, or is left out where less than half of it would stand', () => {
  expect(fitted('Zero-turn', 1, 72)).toBe('Zero-turn')
  expect(fitted('Zero-turn mower', 1, 72)).toBe('Zero-turn…')
  expect(fitted('Twenty bags of mulch', 1, 72)).toBe('')
  expect(fitted('Clay', 0.2, 72)).toBe('')
  expect(fitted('Anything at all', undefined, 72)).toBe('Anything at all')
})
