import { accessible, expect, saved, settled, test } from './rig'

// Worker's servers keep their database: names of this story are its own.
test('what is kept in one plan is taken into another, and a change is offered', async ({
  page,
  hut,
  heather,
}) => {
  await hut.open('job')
  const skiff = page.locator('[data-load="skiff"]')
  await skiff.locator('summary').first().click()
  await skiff.getByLabel('Name').fill('Lantern skiff')
  await settled(page)
  await skiff.getByRole('button', { name: /Keep in my library/ }).click()
  await expect(skiff.getByText('In your library, kept from')).toBeVisible()
  await saved(page)

  // another plan takes a copy: it comes along at once
  await heather.open('job')
  await page.locator('[data-from-library="loads"]').click()
  await expect(page.getByRole('dialog')).toHaveAccessibleName(/\S{3}/)
  await accessible(page)
  await page
    .locator('[data-thing="Lantern skiff"]')
    .getByRole('button', { name: 'Take', exact: true })
    .click()
  await settled(page)
  const copy = page.locator('[data-load]', { hasText: 'Lantern skiff' })
  await expect(copy).toContainText('comes along')
  await expect(copy.getByText('In your library')).toBeVisible()
  await saved(page)

  // the skiff is weighed in the first plan, and the library follows
  await hut.open('job')
  await skiff.locator('summary').first().click()
  await skiff.getByLabel('Weight', { exact: true }).fill('61 kg')
  await skiff.getByRole('button', { name: 'Change the library too' }).click()
  await expect(skiff.getByText('In your library')).toBeVisible()
  await saved(page)

  // the copy is offered the new figure; undo brings the old one back
  await heather.open('job')
  await copy.locator('summary').first().click()
  const offer = copy.locator('[data-offer]')
  await expect(offer).toContainText('Your library has other figures')
  await expect(offer).toContainText('61 kg in the library')
  await offer.getByRole('button', { name: 'Take the library’s' }).click()
  await expect(copy.getByLabel('Weight', { exact: true })).toHaveValue('61 kg')
  await expect(offer).toBeHidden()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(offer).toBeVisible()
  await offer.getByRole('button', { name: 'Keep these' }).click()
  await expect(offer).toContainText('Changed here')

  // taken out on the first page, and brought back
  await saved(page)
  await page.goto('/')
  await page.locator('[data-library] summary').click()
  await page.getByRole('button', { name: 'Take Lantern skiff out of the library' }).click()
  await expect(page.locator('[data-thing="Lantern skiff"]')).toHaveCount(0)
  await page.getByRole('button', { name: 'Bring it back' }).click()
  await expect(page.locator('[data-thing="Lantern skiff"]')).toBeVisible()
})
