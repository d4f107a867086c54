import { accessible, expect, settled, studied, test } from './rig'

test('a bed is raised before it is built', async ({ page, lock }) => {
  await lock.open('body')
  await studied(page)
  const tip = page.locator('[data-tip]')
  await expect(tip.locator('[data-care]')).toContainText('Nobody under a raised bed')
  await expect(tip.locator('[data-curve]').first()).toContainText('kg')
  await tip.getByRole('button', { name: 'Up', exact: true }).click()
  await expect(tip.locator('[data-bed]')).toHaveAttribute('aria-label', /47°/)
  await accessible(page)

  // a winch for loads that roll may not lift
  await page.getByLabel('It is rated').click()
  await page.getByRole('option', { name: 'for pulling alone' }).click()
  await settled(page)
  await expect(page.locator('[data-code="tip.winch"]')).toHaveAttribute('data-outcome', 'fails')
  await page.keyboard.press('Control+z')
  await settled(page)

  // the place of the mast's top that takes least
  await page.getByRole('button', { name: 'Look for it' }).click()
  const search = page.locator('[data-tip-search]')
  await expect(search).toContainText('the least peak is')
  await search.getByRole('button').nth(1).click()
  await settled(page)
  await studied(page)
  await expect(page.locator('[data-code="tip.gear"]')).toHaveAttribute('data-outcome', 'holds')
  await accessible(page)
})

test('a bed that tips begins from nothing', async ({ page, heather }) => {
  await heather.open('body')
  await page.getByLabel('It is raised by').click()
  await page.getByRole('option', { name: 'A cylinder under the bed' }).click()
  await page.getByRole('button', { name: 'Lay it out' }).click()
  await settled(page)
  await studied(page)
  await expect(page.locator('[data-tip]')).toContainText('on the cylinder')
})

test('a pump: what comes out, and a shorter hose', async ({ page, lock }) => {
  await lock.open('body')
  await page.getByRole('button', { name: 'Outing' }).click()
  await page.getByRole('option', { name: /Washing/ }).click()
  await settled(page)
  await page.getByRole('tab', { name: 'Pump' }).click()
  await studied(page)
  const pump = page.locator('[data-pump]')
  await expect(pump.getByRole('status')).toContainText('l/min')
  const before = await pump.getByRole('status').textContent()
  await page.getByLabel('Hose, long', { exact: true }).fill('5 m')
  await page.getByLabel('Hose, long', { exact: true }).press('Enter')
  await settled(page)
  await studied(page)
  await expect(pump.getByRole('status')).not.toHaveText(before ?? '')
  await expect(page.locator('[data-code="pump.point"]')).toHaveAttribute('data-outcome', 'holds')
  await accessible(page)
})
