import { accessible, ball, expect, settled, test } from './rig'

test('twelve fields lead to a payload verdict and a ball verdict', async ({ page }) => {
  await page.goto('/')
  await accessible(page)
  await page.getByRole('link', { name: 'New plan' }).click()
  const next = () => page.getByRole('button', { name: 'Next' }).click()
  await page.getByRole('button', { name: 'Australia' }).click() // 1
  await accessible(page)
  await next()
  await page.getByLabel('Name').fill('Ride-on') // 2
  await page.getByLabel('Weight of each').fill('240 ± 10 kg') // 3
  await next()
  await page.getByLabel('The label’s number').fill('750') // 4
  await page.getByRole('button', { name: /It counts/ }).click() // 5
  await page.getByRole('option', { name: /Trailer and load together/ }).click()
  await next()
  await page.getByLabel('Coupling to axle').fill('2.4 m') // 6
  await page.getByLabel('Coupling to deck front').fill('1.1 m') // 7
  await page.getByLabel('Deck length').fill('2.4m') // 8
  const payload = page.locator('[data-verdict="Payload"]')
  await expect(payload).not.toHaveAttribute('data-outcome', 'unknown')
  await next()
  await page.getByLabel('Towing capacity').fill('1200') // 9
  await page.getByLabel('Ball weight limit').fill('90') // 10
  await expect(page.locator('[data-verdict="Car"]')).toHaveAttribute('data-outcome', 'unknown') // brakes?
  await page.getByRole('button', { name: /For a trailer/ }).click() // 11
  await page.getByRole('option', { name: 'with brakes' }).click()
  await expect(page.locator('[data-verdict="Car"]')).toHaveAttribute('data-outcome', 'holds')
  await next()
  await page.getByLabel('The scale reads').fill('35') // 12
  await expect(page.locator('[data-verdict="Ball weight"]')).not.toHaveAttribute('data-outcome', 'unknown')
  await accessible(page)
  await page.getByRole('button', { name: 'Show the rig' }).click()
  await settled(page)
  expect(await ball(page)).toMatch(/kg$/)
  await expect(page.locator('[data-code="balance.ball-window"]')).not.toHaveAttribute(
    'data-outcome',
    'unknown',
  )
  // Nobody placed it: the app says where it goes, and its owner confirms or moves it.
  const headline = page.locator('[data-headline]')
  await expect(headline).toContainText(/Set the front of Ride-on .* behind the front board: ball weight/)
  await page.locator('[data-placed]').click()
  await settled(page)
  await expect(page.locator('[data-placed]')).toHaveCount(0)
  await expect(headline).not.toContainText('Set the front')
  await page.getByRole('button', { name: /Undo/ }).click()
  await settled(page)
  await page.locator('[data-tray]').getByRole('button', { name: 'Ride-on' }).click()
  const place = page.locator('[data-tray]').getByLabel('to its near face')
  const was = await place.inputValue()
  await page.locator('[data-tray]').getByRole('button', { name: 'Back', exact: true }).click()
  await settled(page)
  await expect(headline).not.toContainText('Set the front') // it is in its owner's hands
  expect(parseInt(await place.inputValue())).toBe(parseInt(was) + 10) // from where it stood
})

test('everything may be skipped; what is missing is named', async ({ page }) => {
  await page.goto('/new')
  await page.getByRole('button', { name: 'North America' }).click()
  await page.getByRole('button', { name: 'Next' }).click()
  for (let i = 0; i < 5; i++) await page.getByRole('button', { name: 'I do not know: skip' }).click()
  await settled(page)
  await expect(page.locator('[data-headline]')).toContainText('Nothing fails yet: 0 of')
  const side = page.getByRole('complementary', { name: 'Checks' })
  await expect(side).toContainText('distance from coupler to axle')
  await side.getByRole('button', { name: /distance from coupler to axle/i }).click()
  await expect(page.getByLabel('Coupler to axle')).toBeFocused()
})
