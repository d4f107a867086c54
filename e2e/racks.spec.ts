// Racks: planned for the hulls of an outing, dragged and typed, cut.
import { accessible, expect, settled, test } from './rig'

test('a rack is planned, taken, typed and cut', async ({ page, hut }) => {
  await hut.open('racks')
  await page.getByRole('button', { name: 'Outing' }).click()
  await page.getByRole('option', { name: /Boats for the crossing/ }).click()
  await settled(page)
  await expect(page.locator('[data-rack="boat-rack"] [data-cut-list] tbody tr')).toHaveCount(3)
  await page.getByRole('button', { name: 'Plan racks' }).click()
  const plans = page.locator('[data-rack-plans]')
  await expect(plans).toContainText('3 hulls, 3 ways to carry them')
  await accessible(page)
  const tall = plans.getByRole('listitem').filter({ hasText: 'Narrow and tall' })
  await tall.getByRole('button', { name: 'Preview' }).click()
  await settled(page)
  await expect(page.locator('[data-view="rear"] .bar')).toHaveCount(3)
  await tall.getByRole('button', { name: 'Do it' }).click()
  await settled(page)
  const rack = page.locator('[data-rack^="rack-tall"]')
  await expect(rack).toHaveCount(1)
  await expect(page.locator('[data-rack="boat-rack"]')).toHaveCount(0)

  // A tier goes up by the keyboard, in the drawing; the field follows.
  const up = rack.getByLabel('Bar’s top over the deck').last()
  await expect(up).toHaveValue('1400 mm')
  await page.locator('[data-view="rear"] [role=slider][aria-label*="tier-3"]').focus()
  await page.keyboard.press('Shift+ArrowUp')
  await settled(page)
  await expect(up).toHaveValue('1500 mm')

  // Thin bars fail, and the way out is the next section.
  await rack.getByRole('button', { name: 'Cross bars' }).click()
  await page.getByRole('option', { name: '45 × 70 timber' }).click()
  await settled(page)
  await expect(rack.locator('[data-cut-list]')).toContainText('timber C24')
  await page.getByRole('button', { name: /^All \d+ checks/ }).click()
  await expect(page.locator('[data-code="rack.bar"]')).toContainText('Cross bars are used to')
  await rack.getByLabel('Posts apart').fill('1 m')
  await settled(page)
  await expect(page.locator('[data-code="rack.room"]')).toContainText('A post stands')
  await expect(page.locator('[data-code="rack.room"]')).toHaveAttribute('data-outcome', 'fails')
  await accessible(page)
})
