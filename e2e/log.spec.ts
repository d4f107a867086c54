import { accessible, expect, saved, settled, studied, test } from './rig'

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
    await expect(slip).toContainText('mixed up')
    await slip.getByLabel('Loaded, on the slip').fill(full)
    await slip.getByLabel('It filled').fill('0.25')
    await expect(slip).not.toContainText('mixed up')
  }
  await expect(slips.getByRole('status')).toContainText('by 2 slips')
  await accessible(page)
  await slips.getByRole('button', { name: 'Use it in the plan' }).click()
  await settled(page)
  await expect(slips).toContainText('It stands in the plan')
  await saved(page)
})
