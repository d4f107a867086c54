// The calendar that the server writes, read back by another program.
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import ICAL from 'ical.js'
import { expect, test } from 'vitest'

const text = readFileSync(fileURLToPath(new URL('../../web/testdata/days.ics', import.meta.url)), 'utf8')

test('sittings float on the clock of the wall, and wake twelve hours before', () => {
  const cal = new ICAL.Component(ICAL.parse(text) as [])
  const events = cal.getAllSubcomponents('vevent').map((v) => new ICAL.Event(v))
  expect(events).toHaveLength(3)
  const [first, second, comes] = events as [ICAL.Event, ICAL.Event, ICAL.Event]
  expect(first.summary).toBe('Lock trailer; a name, with marks: Cut 10 members, deburr; mark each')
  expect(first.description).toContain('\nStands level.')
  // the clock is changed in the night between both: 19:00 stays 19:00, and no zone is named
  expect(first.startDate.zone).toBe(ICAL.Timezone.localTimezone)
  expect([first.startDate.hour, first.endDate.hour, first.endDate.minute]).toEqual([19, 21, 30])
  expect([second.startDate.day, second.startDate.hour]).toEqual([29, 9])
  expect(second.summary).toContain('two people')
  const alarm = first.component.getFirstSubcomponent('valarm')!
  expect(alarm.getFirstPropertyValue('trigger')!.toString()).toBe('-PT12H')
  expect(comes.startDate.isDate).toBe(true)
  expect(comes.startDate.toString()).toBe('2026-04-01')
})
