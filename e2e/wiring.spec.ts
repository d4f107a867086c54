import { accessible, expect, settled, studied, test } from './rig'

test('lamps shine before they exist, and a fault is found by what they do', async ({ page, lock }) => {
  await lock.open('wiring')
  await studied(page)
  const lamp = (name: string) => page.locator('[data-tester] li', { hasText: name }).locator('[data-level]')
  await expect(lamp('Left tail lamp')).toHaveAttribute('data-level', 'bright')
  await expect(lamp('Left stop lamp')).toHaveAttribute('data-level', 'off')
  await page.getByRole('button', { name: 'Brake', exact: true }).click()
  await studied(page)
  await expect(lamp('Left stop lamp')).toHaveAttribute('data-level', 'bright')
  // the meter between that lamp's feed and the car's earth
  await page.getByLabel('Hold the meter to').click()
  await page.getByRole('option', { name: 'feed of the left stop lamp' }).click()
  await expect(page.locator('[data-meter] [role=status]')).toContainText('V')
  await expect(page.locator('[data-trials] tr').first()).toContainText('left tail lamp')
  await accessible(page)

  // off, wherever it is asked: a dead feed or earth stays
  await page.getByRole('tab', { name: 'Find a fault' }).click()
  const question = page.locator('[data-question]')
  await expect(question).toContainText('Question 1')
  await question.getByRole('button', { name: 'Off' }).click()
  await expect(question).toContainText('Question 2')
  await expect(page.locator('[data-suspects] li').first()).toContainText('%')
  await question.getByRole('button', { name: 'Back' }).click()
  await expect(question).toContainText('Question 1')
  await accessible(page)

  // a thicker wire, kept in the plan
  await page.getByRole('tab', { name: 'Lamps and wires' }).click()
  await page.getByLabel('Wires, mm²').fill('4')
  await page.getByLabel('Wires, mm²').press('Enter')
  await settled(page)
  await expect(page.locator('[data-code="wiring.drop"]')).toHaveAttribute('data-outcome', 'holds')
  // the cable keeps off a rail, and needs more wire
  await studied(page)
  const earth = page.locator('[data-wires] li', { hasText: 'earth (white)' })
  const before = await earth.textContent()
  await page.getByLabel('The cable on member').click()
  await page.getByRole('option', { name: 'Cross member 6' }).click()
  await page.getByRole('button', { name: 'Not along it' }).click()
  await settled(page)
  await studied(page)
  await expect(earth).not.toHaveText(before ?? '')
  await page.locator('[data-diagram] summary').click()
  await accessible(page)

  // a battery too small for the day
  await page.getByRole('tab', { name: 'Battery and brakes' }).click()
  await page.getByLabel('Its capacity, A·h').fill('10')
  await page.getByLabel('Its capacity, A·h').press('Enter')
  await settled(page)
  await expect(page.locator('[data-code="power.lasts"]')).toHaveAttribute('data-outcome', 'fails')
  await accessible(page)
})

test('lamps are placed on a plug from nothing', async ({ page, heather }) => {
  await heather.open('wiring')
  await page.getByRole('button', { name: 'Place the lamps' }).click()
  await settled(page)
  await expect(page.locator('[data-code="wiring.lamps"]')).toHaveAttribute('data-outcome', 'holds')
})
