// Tie-down: planned from what there is, changed by hand, compared by rule.
import { accessible, expect, settled, test } from './rig'

test('loads are tied down: planned, ticked on the card, loosened, compared', async ({ page, hut }) => {
  await hut.open('tie')
  await page.getByRole('button', { name: 'Outing' }).click()
  await page.getByRole('option', { name: /Boats for the crossing/ }).click()
  await settled(page)
  const answer = page.locator('[data-tie-answer]')
  await expect(answer).toContainText('not tied down yet')
  await page.getByRole('button', { name: 'Plan straps for me' }).click()
  const planner = page.locator('[data-tie-planner]')
  await expect(planner).toContainText('10 straps hold all of it')
  await planner.getByRole('button', { name: 'Do it' }).first().click()
  await settled(page)
  await expect(planner).toContainText('10 straps hold all of it')
  await expect(page.locator('[data-bars]')).toHaveCount(3)
  const canoe = page.locator('[data-tied="green-canoe"]')
  await expect(canoe.locator('[data-bars] dt')).toHaveText(['Forward', 'Rearward', 'Left', 'Right', 'Up'])
  await expect(page.locator('[data-view="plan"] .strap')).not.toHaveCount(0)
  await accessible(page)

  // While something changes, what was found at rest stands, marked; the next rest makes it again.
  const statics = page.locator('[data-code="tie.statics"]').first()
  await expect(statics).toBeVisible()
  let held: Promise<void> | undefined
  let rest = () => {}
  await page.route('**/api/review', async (route) => {
    const asked = route.request().postDataJSON() as { want: string }
    if (asked.want === 'settled') await (held ??= new Promise<void>((go) => (rest = go)))
    await route.continue()
  })
  await canoe.getByRole('switch', { name: 'Mat under it' }).click()
  await expect(statics).toHaveAttribute('data-follows', 'true')
  await expect.poll(() => !!held).toBe(true)
  rest()
  await settled(page)
  await page.unroute('**/api/review')
  await expect(statics).not.toHaveAttribute('data-follows', 'true')
  await page.getByRole('button', { name: 'Undo' }).click()
  await settled(page)

  // The card tells each strap; a tick is kept on the day's page.
  await page.keyboard.press('0')
  await settled(page)
  const card = page.locator('[data-departure]')
  await expect(card).toContainText('Green canoe')
  await card.getByRole('checkbox').first().check()
  await settled(page)
  await expect(card.locator('[data-done]')).toContainText(/^1 of/)
  await expect(card.getByRole('checkbox').first()).toBeChecked()
  await accessible(page)
  await page.keyboard.press('7')
  await settled(page)

  // A strap's end is taken from above and hooked elsewhere.
  const skiff = page.locator('[data-tied="skiff"] [data-lashing]').first()
  await skiff.locator('summary').click()
  const hooked = await skiff.getByRole('button', { name: 'Hooked at' }).innerText()
  const lashing = await skiff.getAttribute('data-lashing')
  await page.locator('[data-view="plan"]').scrollIntoViewIfNeeded()
  const end = (await page.locator(`[data-moves$="/${lashing}/from"]`).boundingBox())!
  const points = page.locator('[data-view="plan"] .tie-point')
  let to = { x: 0, y: 0, width: 0, height: 0 }
  for (const p of await points.all()) {
    const b = (await p.boundingBox())!
    if (Math.hypot(b.x - end.x, b.y - end.y) > 60) to = b
  }
  const bars = await page.locator('[data-tied="skiff"]').textContent()
  await page.mouse.move(end.x + end.width / 2, end.y + end.height / 2)
  await page.mouse.down()
  await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 4 })
  // While it is held there its load's bars follow; nothing is hooked yet.
  await expect(page.locator('[data-tied="skiff"]')).not.toHaveText(bars!)
  await page.mouse.up()
  await settled(page)
  expect(await skiff.getByRole('button', { name: 'Hooked at' }).innerText()).not.toBe(hooked)
  await page.getByRole('button', { name: 'Undo' }).click()

  await canoe.getByRole('button', { name: 'Compare the rules' }).click()
  await expect(canoe.locator('[data-schools] tbody tr')).toHaveCount(4)
  await canoe.locator('[data-lashing] summary').first().click()
  await canoe.getByRole('button', { name: 'Take the strap off' }).first().click()
  await settled(page)
  await expect(answer).toContainText('Use two straps over Green canoe')
  await page.locator('[data-straps] summary').click()
  await page
    .locator('[data-straps]')
    .getByRole('switch', { name: /retired/ })
    .first()
    .click()
  await settled(page)
  await accessible(page)
})
