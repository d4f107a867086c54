import { accessible, expect, settled, studied, test } from './rig'

test('a frame is judged, mended, moved and cut', async ({ page, lock }) => {
  await lock.open('frame')
  await page.getByRole('button', { name: 'Outing' }).click()
  await page.getByRole('option', { name: /Rubble/ }).click()
  await settled(page)
  const cases = page.locator('[data-strength] li')
  await expect(cases.first()).toContainText('times the weight')
  await expect(page.locator('[data-view="frame-plan"] [data-thing]')).toHaveCount(10)
  await accessible(page)

  // the way out is tried on the drawing and taken
  const way = page.locator('[data-code="frame.strength"] li', { hasText: /Every rail of 100 × 50 × 4/i })
  await way.getByRole('button', { name: 'Preview' }).click()
  await settled(page)
  await expect(page.locator('[data-code="frame.strength"]')).toHaveAttribute('data-outcome', 'holds')
  await way.getByRole('button', { name: 'Do it' }).click()
  await settled(page)
  await expect(page.locator('[data-strength]')).not.toContainText('125')

  // a member in hand goes back by the keys
  const member = page.locator('[data-view="frame-plan"] [data-thing$="/cross-5"]')
  await member.focus()
  for (let i = 0; i < 4; i++) await page.keyboard.press('Shift+ArrowRight')
  await settled(page)
  await expect(page.getByLabel('Begins behind the front')).toHaveValue('2185 mm')
  await expect(member).toHaveAttribute('aria-valuenow', '2.185')

  // taken out, it is gone from the cut list; undo brings it back
  await page.getByRole('button', { name: 'Take out', exact: true }).click()
  await settled(page)
  await page.getByRole('tab', { name: 'Cut list' }).click()
  await studied(page)
  const pieces = page.locator('[data-cut] ol')
  await expect(pieces.filter({ hasText: 'Cross member 5' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await studied(page)
  await expect(pieces.filter({ hasText: 'Cross member 5' })).toHaveCount(1)
  await expect(page.locator('[data-cut]')).toContainText('on hand')
  await page.getByRole('tab', { name: 'Before you cut' }).click()
  await expect(page.locator('[data-before-cut]')).toContainText('your authority')
  await accessible(page)
  await page.getByRole('tab', { name: 'Weight' }).click()
  await expect(page.locator('[data-weight]')).toContainText('by the drawing')
})

test('a first frame is laid out, and one section put on all cross members', async ({ page, heather }) => {
  await heather.open('frame')
  await page.getByRole('button', { name: 'two that run together' }).click()
  await settled(page)
  await expect(page.locator('[data-strength]')).toContainText('Load cases')
  await page.getByRole('tab', { name: 'Sections' }).click()
  await page.getByLabel(/Every cross member/).click()
  await page.getByRole('option', { name: '60 × 60 × 3', exact: true }).click()
  await settled(page)
  // stretched behind the middle, its rails and the deck grow
  await page.locator('[data-stretch] summary').click()
  await page.getByLabel('By', { exact: true }).fill('300')
  await page.getByLabel('Behind the front by').fill('1 m')
  await page.getByRole('button', { name: 'See what it becomes' }).click()
  await page.getByRole('button', { name: 'Stretch it' }).click()
  await settled(page)
  await page.getByRole('tab', { name: 'Strength' }).click()
  await expect(page.locator('[data-members] tr', { hasText: 'Cross member 1' })).toContainText(
    '60 mm × 60 mm',
  )
})
