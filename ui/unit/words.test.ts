// The interface's own small sums: sentences, patches, ids.
import { expect, test } from 'vitest'
import { keyOf, sentence, term, unbroken } from '@/said'
import { figureOf, stageOfPath } from '@/fields/tables'
import { at, newId, put, uuid } from '@/stores/patch'

const terms = { 'ball load': { na: 'tongue weight', uk: 'noseweight' } }
const uk = { units: 'metric', region: 'uk' }

test('sentences are put together from their parts', () => {
  const says = [
    { term: 'Ball load' },
    { text: ' ' },
    { kind: 'mass', value: 31 },
    { text: ' for ' },
    { name: '<b>skiff</b>' },
  ]
  expect(sentence(terms, uk, says)).toBe('Noseweight 31\u00a0kg for <b>skiff</b>')
  expect(sentence(terms, { units: 'imperial', region: 'na' }, says)).toBe(
    'Tongue weight 68\u00a0lb for <b>skiff</b>',
  )
  expect(sentence(terms, uk, [{ kind: 'mass', value: 50, low: 40, high: 60 }])).toBe(
    '50\u00a0kg (40\u00a0kg to 60\u00a0kg)',
  )
  expect(sentence(terms, uk, undefined)).toBe('')
  expect(term(terms, 'constructor', 'uk')).toBe('constructor')
  expect(term(terms, 'ball load', 'nowhere')).toBe('noseweight')
  expect(unbroken(`8' 4 3/4"`)).toBe(`8'\u00a04\u00a03/4"`)
})

test('a key is the core’s key', () => {
  const finding = { code: 'c', scope: { trailer: 't', outing: 'o' }, subject: '/s' }
  expect(keyOf(finding as never)).toBe('c|t|o|||/s')
})

test('patches make the way to a value and take it out again', () => {
  const doc = { loads: { a: { name: 'x', 'odd/key~': 1 } } }
  expect(at(doc, '/loads/a/name')).toBe('x')
  expect(at(doc, '/loads/a/odd~1key~0')).toBe(1)
  expect(at(doc, '/loads/b/name')).toBeUndefined()
  expect(at(doc, '/loads/toString')).toBeUndefined()
  expect(put(doc, '/loads/a/name', 'y')).toEqual([{ op: 'add', path: '/loads/a/name', value: 'y' }])
  expect(put(doc, '/loads/a/size/length/value', 2)).toEqual([
    { op: 'add', path: '/loads/a/size', value: { length: { value: 2 } } },
  ])
  expect(put(doc, '/loads/a/name', undefined)).toEqual([{ op: 'remove', path: '/loads/a/name' }])
  expect(put(doc, '/loads/a/none', undefined)).toEqual([])
})

test('ids are of their form and never the same', () => {
  const ids = new Set(Array.from({ length: 200 }, () => newId('Größe & <Boot>')))
  expect(ids.size).toBe(200)
  for (const id of ids) expect(id).toMatch(/^[a-z0-9-]{1,64}$/)
  expect(newId('🛶')).toMatch(/^thing-/)
  expect(uuid()).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/)
})

test('a field is found on its stage', () => {
  expect(stageOfPath('/trailers/t/axleRating')).toBe('trailer/details')
  expect(stageOfPath('/trailers/t/deal/price')).toBe('trailer/money')
  expect(stageOfPath('/wants/w/size')).toBe('job')
  expect(stageOfPath('/towVehicles/c/kerb')).toBe('vehicle')
  expect(stageOfPath('/outings/o/people')).toBe('job')
  expect(stageOfPath('/loads/l/mass')).toBe('balance')
  expect(stageOfPath('/loads/l/size/length')).toBe('job')
  expect(stageOfPath('/outings/o/layouts/t/loading/winch/pull')).toBe('ramps')
  expect(stageOfPath('/parts/constructor/rack/post/wall')).toBe('racks')
  expect(stageOfPath('/nothing/like/this')).toBe('balance')
})

test('a figure is known by its path', () => {
  expect(figureOf('/trailers/t/deckLength')).toEqual({ form: 'estimate', kind: 'length' })
  expect(figureOf('/trailers/t/empty/ball')).toEqual({ form: 'reading', kind: 'mass' })
  expect(figureOf('/towVehicles/c/ballSize')).toEqual({ form: 'figure', kind: 'length' })
  expect(figureOf('/trailers/t/name')).toBeUndefined()
  expect(figureOf('/trailers/t/deckLength/value/x')).toBeUndefined()
})
