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
  await accessible(page)
})

test('lamps are placed on a plug from nothing', async ({ page, heather }) => {
  await heather.open('wiring')
  await page.getByRole('button', { name: 'Place the lamps' }).click()
  await settled(page)
  await expect(page.locator('[data-code="wiring.lamps"]')).toHaveAttribute('data-outcome', 'holds')
})
