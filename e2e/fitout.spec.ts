// What is fitted, what the label counts, the hitch's class, a used trailer looked
// at, a tank: the details from which the figures come.
import { accessible, expect, saved, settled, studied, test, toStage } from './rig'

test('a spare is fitted: payload and ball follow, and it comes off again', async ({ page, heather }) => {
  await heather.open('trailer/details')
  await expect(page.locator('[data-bare]')).toContainText(
    'Payload as sold 458 kg, after what is fitted 458 kg',
  )
  await page.getByRole('button', { name: 'Fit something' }).click()
  await page.getByRole('menuitem', { name: /Spare wheel/i }).click()
  await settled(page)
  // 10 to 22 kg: 16.
  await expect(page.locator('[data-bare]')).toContainText('after what is fitted 442 kg')
  const spare = page.locator('main section details').filter({ hasText: 'spare wheel' }).first()
  await spare.locator('summary').first().click()
  await spare.getByLabel('Weight', { exact: true }).fill('20 kg')
  await settled(page)
  await expect(page.locator('[data-bare]')).toContainText('after what is fitted 438 kg')
  await spare.getByRole('button', { name: 'Take off' }).click()
  await settled(page)
  await expect(page.locator('[data-bare]')).toContainText('after what is fitted 458 kg')
  await saved(page)
})

test('the label in one picture; no plate at all', async ({ page, heather }) => {
  await heather.open('trailer/details')
  const picture = page.locator('[data-label-picture]')
  await expect(picture).toContainText('The label says 600 kg')
  await expect(picture).toContainText('458 kg of load') // 600 − 142
  await expect(picture).toContainText('Counts the load alone: 600 kg of load')
  await page.getByLabel('The label’s or plate’s number').fill('')
  await settled(page)
  await expect(picture).toHaveCount(0)
  await page.getByRole('switch', { name: 'It has no plate at all' }).click()
  await settled(page)
  await expect(page.locator('[data-payload]')).toContainText('The frame has no plate and may carry less')
  await accessible(page)
})

test('North America: the hitch by its class, the tire by its wall', async ({ page, heather }) => {
  await heather.open('trailer/details')
  await page.getByRole('button', { name: /Rule set/ }).click()
  await page.getByRole('option', { name: 'North America' }).click()
  await settled(page)
  await page.getByLabel('Tire, as printed on its wall').fill('ST175/80D13 91M')
  await page.getByLabel('or its load index').fill('')
  await settled(page)
  await expect(page.locator('[data-link="tyres"]')).toContainText('of 1230 kg') // 2 · 615
  await toStage(page, 'Choose', 'Tow vehicle')
  await page.getByRole('button', { name: 'Hitch class, on its plate' }).click()
  await page.getByRole('option', { name: /Class II / }).click()
  await settled(page)
  await expect(page.locator('[data-link="hitch"]')).toContainText('of 1588 kg') // 3,500 lb
  await expect(page.locator('[data-link="hitch-ball"]')).toContainText('of 159 kg') // 350 lb
  await expect(page.getByLabel('D value')).toHaveCount(0)
})

test('a used trailer is looked at: worn asks for a repair, bad speaks against it', async ({
  page,
  heather,
}) => {
  await heather.open('trailer')
  await studied(page)
  await page.getByRole('button', { name: 'More of Old green tipper' }).click()
  await page.getByRole('menuitem', { name: 'Money and hours' }).click()
  await studied(page)
  // 820 + 40 + 40 + 110 + 45 + 30
  await expect(page.locator('[data-bill]')).toContainText('€1085 to the road, 6 h of work')
  const frame = page.getByRole('radiogroup').filter({ hasText: 'Frame where the drawbar joins it' })
  await expect(frame.getByRole('radio', { name: 'Good' })).toBeChecked()
  await frame.getByRole('radio', { name: 'Bad' }).click()
  await expect(frame).toContainText('A crack, or rust that flakes in layers.')
  await page.getByRole('button', { name: 'rust' }).click()
  await page.getByLabel('Price', { exact: true }).last().fill('90')
  await studied(page)
  await expect(page.locator('[data-bill]')).toContainText('€1175 to the road')
  await accessible(page)
})

test('a tank part full: its weight by the fill, and what braking does', async ({ page, hut }) => {
  await hut.open('job')
  await page.getByRole('button', { name: 'Add a load' }).click()
  await settled(page)
  const added = page.locator('details[open]')
  await added.getByLabel('Name').fill('Water')
  await page.keyboard.press('Escape') // of the kinds that it may be
  await added.getByRole('button', { name: /It is/ }).click()
  await page.getByRole('option', { name: 'A tank of fluid' }).click()
  await added.getByLabel('Filled to').fill('50 %')
  await added.getByLabel('It holds').fill('600 l')
  await added.getByLabel('Empty tank weighs').fill('30 kg')
  await added.getByLabel('Length', { exact: true }).fill('1200')
  await settled(page)
  await expect(added.locator('summary')).toContainText('330 kg') // 30 + 0.5 · 600 · 0.9985
  const checks = page.getByRole('complementary', { name: 'Checks' })
  await checks.getByRole('button', { name: /^Other stages/ }).click()
  await expect(checks).toContainText('braking throws it')
})
