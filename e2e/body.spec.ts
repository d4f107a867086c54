import { accessible, expect, settled, studied, test } from './rig'

test('a bed is raised before it is built', async ({ page, lock }) => {
  await lock.open('body')
  await studied(page)
  const tip = page.locator('[data-tip]')
  await expect(tip.locator('[data-care]')).toContainText('Nobody under a raised bed')
  await expect(tip.locator('[data-curve]').first()).toContainText('kg')
  await tip.getByRole('button', { name: 'Up', exact: true }).click()
  await expect(tip.locator('[data-bed]')).toHaveAttribute('aria-label', /47°/)
  // and by the hand: its front end drawn down from where it is up
  await tip.getByRole('button', { name: 'Down', exact: true }).click()
  const bed = await tip.locator('[data-bed] g').first().boundingBox()
  if (!bed) throw new Error('no bed')
  await page.mouse.move(bed.x + 0.3 * bed.width, bed.y + 0.6 * bed.height)
  await page.mouse.down()
  await page.mouse.move(bed.x + 0.35 * bed.width, bed.y - 0.3 * bed.width, { steps: 4 })
  await page.mouse.up()
  await expect(tip.locator('[data-bed]')).not.toHaveAttribute('aria-label', /at 0°/)
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
  await expect(search).toContainText('the lowest peak is')
  await expect(search).toContainText('weakest you have')
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
  await page.getByLabel('Hose length', { exact: true }).fill('5 m')
  await page.getByLabel('Hose length', { exact: true }).press('Enter')
  await settled(page)
  await studied(page)
  await expect(pump.getByRole('status')).not.toHaveText(before ?? '')
  await expect(page.locator('[data-code="pump.point"]')).toHaveAttribute('data-outcome', 'holds')
  await accessible(page)
})

test('a tank from empty to full', async ({ page, lock }) => {
  await lock.open('body')
  await page.getByRole('button', { name: 'Outing' }).click()
  await page.getByRole('option', { name: /Washing/ }).click()
  await settled(page)
  await page.getByRole('tab', { name: 'Tank' }).click()
  await studied(page)
  const tank = page.locator('[data-tank]')
  await expect(tank.getByRole('status')).toContainText('100 % full')
  await tank.getByRole('slider').press('Home')
  await expect(tank.getByRole('status')).toContainText('0 % full: 0 l')
  await page.getByLabel('Baffles across').fill('3')
  await page.getByLabel('Baffles across').press('Enter')
  await settled(page)
  await expect(tank).toContainText('on the ball')
  await accessible(page)
})

test('a box that has to get out of the workshop', async ({ page, lock }) => {
  await lock.open('body')
  await page.getByRole('tab', { name: 'Box' }).click()
  await page.getByRole('button', { name: 'Put it on the deck' }).click()
  await settled(page)
  await studied(page)
  const box = page.locator('[data-box]')
  await expect(box.getByRole('status')).toContainText('kg')
  for (const [label, value] of [
    ['Door width', '1.6 m'],
    ['Door height', '2 m'],
    ['Path width', '1.8 m'],
    ['Path behind its corner', '1.6 m'],
  ] as const) {
    await page.getByLabel(label, { exact: true }).fill(value)
    await page.getByLabel(label, { exact: true }).press('Enter')
    await settled(page)
  }
  await studied(page)
  await expect(box).toContainText('too large')
  // it is led out by hand: from its tightest place to the end of its way
  await expect(box.locator('figcaption')).toContainText('Tightest here')
  const way = (await box.locator('[data-way]').boundingBox())!
  await page.mouse.move(way.x + way.width * 0.8, way.y + way.height * 0.3)
  await page.mouse.down()
  await page.mouse.move(way.x + way.width * 0.15, way.y + way.height * 0.9)
  await page.mouse.up()
  await expect(box.locator('figcaption')).not.toContainText('Tightest here')
  await expect(page.locator('[data-code="box.out"]')).toHaveAttribute('data-outcome', 'fails')
  await page.getByLabel('Length outside').fill('1.2 m')
  await page.getByLabel('Length outside').press('Enter')
  await settled(page)
  await expect(page.locator('[data-code="box.out"]')).not.toHaveAttribute('data-outcome', 'fails')
  await accessible(page)
})
