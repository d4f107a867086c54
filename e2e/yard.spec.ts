// Balance: what may stay at home, where a thing may stand, the axle for every
// outing, and the scale.
import { accessible, ball, expect, settled, studied, test } from './rig'

test('a canoe may stay at home; where it may stand is shaded', async ({ page, hut }) => {
  await hut.open()
  await page.getByRole('button', { name: 'Outing' }).click()
  await page.getByRole('option', { name: /Boats for the crossing/ }).click()
  await settled(page)
  await page.getByRole('button', { name: 'Rowing skiff', exact: true }).click()
  await expect(page.locator('[data-view="side"] [data-zone]')).toHaveCount(1)
  await page.getByRole('button', { name: 'May stay home' }).click()
  await settled(page)
  await expect(page.locator('[data-headline]')).toContainText('Without Rowing skiff it is')
  await expect(page.locator('[data-headline]')).toHaveAttribute('data-outcome', 'fails')
  await page.getByRole('button', { name: 'Undo' }).click()
  await settled(page)
  await page.getByRole('button', { name: 'Stands on' }).click()
  await page.getByRole('option', { name: 'Boat rack, top left' }).click()
  await settled(page)
  await expect(page.getByRole('button', { name: 'Stands on' })).toContainText('Boat rack, top left')
})

test('the axle for every outing, and a hole for each', async ({ page, hut }) => {
  await hut.open()
  await studied(page)
  const panel = page.locator('[data-axle-place]')
  await expect(panel).toContainText('No one place suits all outings')
  await expect(panel.locator('[data-view="axle"] .axle-bar')).toHaveCount(4)
  await panel.getByRole('listitem').filter({ hasText: 'A hole for each outing' }).getByRole('button').click()
  await studied(page)
  await settled(page)
  await expect(page.locator('[data-headline]')).not.toHaveAttribute('data-outcome', 'fails')
  await expect(await ball(page)).toContain('66')
})

test('a reading narrows the guesses and is taken over; an impossible one is named', async ({ page, hut }) => {
  await hut.open()
  const panel = page.locator('[data-scales]')
  const scale = panel.locator('[data-scale=whole]')
  await expect(scale).toContainText('Expected before: 990 kg (919 kg to 1061 kg)')
  await scale.getByRole('textbox').first().fill('1020 kg')
  await scale.getByRole('textbox').first().blur()
  await scale.getByLabel('within ±').fill('5')
  await settled(page)
  await expect(panel).toHaveAttribute('data-outcome', 'holds')
  await expect(panel).toContainText('what agrees')
  await panel.getByRole('button', { name: 'Do it' }).first().click()
  await settled(page)
  // 1020 less 310 and 40: 670 kg of gravel.
  await page.getByRole('button', { name: 'Pea gravel', exact: true }).click()
  await expect(page.locator('[data-tray]').getByLabel('Weight', { exact: true })).toHaveValue(/67\d kg/)
  await scale.getByRole('textbox').first().fill('1300 kg')
  await settled(page)
  await expect(panel).toHaveAttribute('data-outcome', 'fails')
  await expect(panel).toContainText('cannot be')
  await accessible(page)
})

test('kept as A, compared, and brought back', async ({ page, hut }) => {
  await hut.open()
  const panel = page.locator('[data-kept]')
  await panel.getByRole('button', { name: 'Keep this as A' }).click()
  await expect(panel).toContainText('Nothing differs')
  await page
    .getByRole('complementary', { name: 'Checks' })
    .getByRole('button', { name: 'Do it' })
    .first()
    .click() // slide the gravel 170 mm forward
  await settled(page)
  // 640 · 0.17 / 2.85 = 38.2 kg more on the ball, as much less on the axle.
  await expect(panel.getByRole('row', { name: /^Noseweight 22/ })).toContainText('+38 kg')
  await expect(panel.getByRole('row', { name: /^Axle/ })).toContainText('−38 kg')
  await expect(panel).toContainText('Fails → Tight')
  await panel.getByRole('button', { name: 'Back to A' }).click()
  await settled(page)
  await expect(await ball(page)).toContain('22')
})
