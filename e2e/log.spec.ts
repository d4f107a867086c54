import { accessible, expect, saved, Scale, settled, studied, test } from './rig'

test('a trip by one tap, slips that teach what the gravel weighs', async ({ page, hut }) => {
  await hut.open('log')
  await studied(page)
  const trips = page.locator('[data-trips]')
  await trips.getByRole('button', { name: /driven today$/ }).click()
  await expect(trips.getByRole('status')).toContainText('1 trip')
  await trips.getByLabel('Left hub, first stop').fill('35')
  await trips.getByLabel('Right hub', { exact: true }).fill('64')
  await expect(trips).toContainText('29 K hotter')
  await accessible(page)

  await page.getByRole('tab', { name: 'Slips' }).click()
  const slips = page.locator('[data-slips]')
  for (const full of ['665', '660']) {
    await slips.getByRole('button', { name: 'A slip' }).click()
    const slip = slips.locator('[data-slip]', { has: page.getByLabel('Loaded, on the slip') })
    await slip.getByLabel('Loaded, on the slip').fill('200')
    await slip.getByLabel('Empty, on the slip').fill('250')
    await expect(slip).toContainText('swapped')
    await slip.getByLabel('Loaded, on the slip').fill(full)
    await slip.getByLabel('It filled').fill('0.25')
    await expect(slip).not.toContainText('swapped')
  }
  await expect(slips.getByRole('status')).toContainText('by 2 slips')
  await accessible(page)
  await slips.getByRole('button', { name: 'Use it in the plan' }).click()
  await settled(page)
  await expect(slips).toContainText('It is in the plan')

  await page.getByRole('tab', { name: 'Wear' }).click()
  const bearings = page.locator('[data-thing=bearings]')
  await expect(bearings).toContainText('never written down')
  await bearings.getByRole('button', { name: 'Done today' }).click()
  await expect(bearings).toContainText('in order')
  await bearings.getByLabel('On, or made on').fill('2020-01-15')
  await expect(page.locator('[data-wear]').getByRole('status')).toContainText('1 thing is over the time')
  await accessible(page)
  await saved(page)
})

test('a drive, a trouble, a loan with its page', async ({ page, hut, context }) => {
  await hut.open('log')
  await page.getByRole('tab', { name: 'Energy' }).click()
  const energy = page.locator('[data-energy]')
  await expect(energy.getByRole('status')).toContainText('for 46 km')
  await expect(energy.locator('[data-car=valley-estate]')).toContainText('kWh')
  await energy.getByLabel('Alone it burns').fill('12')
  await studied(page)
  await expect(energy.locator('[data-share="0"]')).toContainText('4.9 l')
  await accessible(page)

  await page.getByRole('tab', { name: 'Something wrong' }).click()
  const trouble = page.locator('[data-trouble]')
  await trouble.getByRole('button', { name: 'It snakes from side to side' }).click()
  await expect(trouble.getByRole('alert')).toContainText('hold the wheel straight')
  await expect(trouble.locator('[data-suspect]').first()).toContainText('too little on the ball')
  await trouble.locator('[data-look=pressureLow]').getByRole('button', { name: 'Yes' }).click()
  await expect(trouble.locator('[data-suspect=soft-tyre]')).toContainText('Seen')
  await accessible(page)

  await page.getByRole('tab', { name: 'Lending' }).click()
  const lending = page.locator('[data-lending]')
  await lending.getByRole('button', { name: 'Lend it' }).click()
  await lending.getByLabel('Lent to').fill('The rowing club')
  await expect(lending.getByRole('status')).toContainText('Lent to The rowing club')
  const tab = context.waitForEvent('page')
  await lending.getByRole('button', { name: 'The card' }).click()
  const card = await tab
  await expect(card.getByRole('heading', { name: 'Hitch it up' })).toBeVisible()
  await expect(card.locator('body')).toContainText('The rowing club')
  await expect(card.locator('a, button, script')).toHaveCount(0)
  await card.emulateMedia({ media: 'print' })
  for (const format of ['A4', 'Letter']) {
    const pdf = await card.pdf({ format })
    expect(pdf.toString('latin1').match(/\/Type\s*\/Page\b/g), format).toHaveLength(1)
  }
  await card.close()
  await accessible(page)
  await saved(page)
})

test('a trip on the phone while the server is away is sent when it is back', async ({
  page,
  hut,
  server,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await hut.open('log')
  const trips = page.locator('[data-trips]')
  await expect(trips.getByRole('status')).toContainText('No trip')
  await server.stop()
  await trips.getByRole('button', { name: /driven today$/ }).click()
  await expect(trips).toContainText('stays on this device')
  await server.restart()
  await expect(trips.getByRole('status')).toContainText('1 trip')
  await page.reload()
  await settled(page)
  await expect(trips.getByRole('status')).toContainText('1 trip')
})

test('a scale is read place after place, and one that stops is named', async ({ page, hut }) => {
  const scale = await Scale.start()
  try {
    await hut.open('log')
    await page.getByRole('tab', { name: 'Scale' }).click()
    const panel = page.locator('[data-scale]')
    await panel.getByLabel('Address of the scale').fill(scale.address)
    await panel.getByRole('button', { name: 'Read it' }).click()
    await expect(panel.locator('[data-taken=ball]')).toContainText('48')
    await expect(panel.getByRole('button', { name: 'Left wheel' })).toHaveAttribute('aria-pressed', 'true')
    await scale.put(0)
    await expect(panel.getByRole('status')).toContainText('Left wheel: 0')
    await scale.put(310)
    await expect(panel.locator('[data-taken=left]')).toContainText('310')
    await accessible(page)
    await scale.stop()
    await expect(panel.getByRole('alert')).toContainText('What was recorded is kept')
    await saved(page)
  } finally {
    await scale.stop()
  }
})

test('a scale that sends nonsense is named, and what it gave before is kept', async ({ page, hut }) => {
  const scale = await Scale.start('--fails', 'nonsense')
  try {
    await hut.open('log')
    await page.getByRole('tab', { name: 'Scale' }).click()
    const panel = page.locator('[data-scale]')
    await panel.getByLabel('Address of the scale').fill(scale.address)
    await panel.getByRole('button', { name: 'Front end of the load' }).waitFor({ state: 'detached' })
    await panel.getByRole('button', { name: 'Read it' }).click()
    await expect(panel.locator('[data-taken=ball]')).toContainText('48')
    await expect(panel.getByRole('alert')).toContainText('does not send a weight')
    await expect(panel.locator('[data-taken=ball]')).toBeVisible()
    await expect(panel.getByRole('button', { name: 'Read it' })).toBeVisible()
    await saved(page)
  } finally {
    await scale.stop()
  }
})
