// From "what do I carry" to a choice: wants, loose material, who tows what, the
// comparison, a seller's label, a table, the gate before buying.
import { accessible, expect, saved, settled, studied, test } from './rig'

test('job: a must is added, loose material shows how far to fill', async ({ page, hut }) => {
  await hut.open('job')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await page.getByRole('menuitem', { name: 'Have this many tie-down points' }).click()
  await settled(page)
  const rings = page.locator('[data-want=anchors]').last()
  await expect(rings).toHaveAttribute('data-outcome', 'holds')
  await rings.getByRole('button').first().click()
  await rings.getByLabel('Tie-down points').fill('8')
  await settled(page)
  await expect(rings).toHaveAttribute('data-outcome', 'fails')
  await expect(rings).toContainText('6 tie-down points, and you asked for 8')
  await rings.getByRole('switch', { name: 'Only a wish' }).click()
  await settled(page)
  await expect(page.locator('[data-headline]')).toContainText('Noseweight')

  const gravel = page.locator('[data-load="pea-gravel"]')
  await gravel.locator('summary').click()
  // 1300 less 350: 950 kg; 1.44 m² in a box of 280 mm.
  await expect(gravel.locator('[data-fill]')).toContainText('950 kg can go on')
  await gravel.getByRole('button', { name: /How the amount is given/ }).click()
  await page.getByRole('option', { name: 'Level with the sides' }).click()
  await settled(page)
  await expect(gravel.locator('summary')).toContainText('706 kg') // 1.44 · 0.28 · 1750
  await expect(page.locator('[data-view="side"] .fill-line')).toHaveCount(2)
  await gravel.getByRole('button', { name: /As it lies/ }).click()
  await page.getByRole('option', { name: 'Wet', exact: true }).click()
  await settled(page)
  await expect(gravel.locator('summary')).toContainText('746 kg') // · 1850
  await accessible(page)
})

test('job: a kind is found by typing, a pack is weighed by counting', async ({ page, hut }) => {
  await hut.open('job')
  await page.getByRole('button', { name: 'Add a load' }).click()
  await settled(page)
  const added = page.locator('details[open]')
  await added.getByRole('combobox', { name: 'Kind' }).fill('zero')
  await page.getByRole('option', { name: /zero-turn mower/ }).click()
  await settled(page)
  await expect(added.locator('summary')).toContainText('420 kg') // 220 to 620
  await added.getByRole('button', { name: /It is/ }).click()
  await page.getByRole('option', { name: /A pack of like pieces/ }).click()
  await settled(page)
  await added.getByLabel('Pieces', { exact: true }).fill('10')
  await settled(page)
  await expect(added.locator('summary')).toContainText('335 kg') // 10 · 2.44 · 1.22 · 0.018 · 625
})

test('tow vehicle: a D value, an adapter, who may tow what', async ({ page, hut }) => {
  await hut.open('vehicle')
  await page.getByLabel('D value').fill('8 kN')
  await settled(page)
  // 9.80665 · 2900 · 1300 / 4200 = 8.80 kN
  await expect(page.locator('[data-link="hitch-d"]')).toContainText('8.8 kN of 8 kN')
  await expect(page.locator('[data-headline]')).toHaveAttribute('data-outcome', 'fails')
  await studied(page)
  const table = page.locator('[data-tows]')
  await expect(table.getByRole('columnheader', { name: 'Valley estate car' })).toBeVisible()
  await expect(table).toContainText('Fails')
})

test('comparison: chosen, hidden, pinned, sorted; at the seller’s; one by one on a phone', async ({
  page,
  heather,
}) => {
  await heather.open('trailer')
  await studied(page)
  await accessible(page)
  await expect(page.locator('[data-candidate]')).toHaveCount(6)
  await expect(page.locator('[data-candidate="old-tipper"]')).toHaveAttribute('data-outcome', 'unknown')
  await expect(page.locator('[data-back]')).toContainText(['2 trips', 'for €1275 at most', '2 trips'])
  await page.getByRole('button', { name: 'Order of the candidates' }).click()
  await page.getByRole('option', { name: 'Least money first' }).click()
  await expect(page.locator('[data-candidate]').first()).toHaveAttribute('data-candidate', 'tiny-box')
  await page.getByRole('button', { name: 'More of Camper frame' }).click()
  await page.getByRole('menuitem', { name: 'Hide' }).click()
  await expect(page.locator('[data-candidate]')).toHaveCount(5)
  await page.getByRole('button', { name: 'More of Old green tipper' }).click()
  await page.getByRole('menuitem', { name: 'Pin to the front' }).click()
  await expect(page.locator('[data-candidate]').first()).toHaveAttribute('data-candidate', 'old-tipper')
  await page.getByRole('button', { name: 'Choose' }).first().click()
  await settled(page)
  await studied(page)
  await expect(page.locator('[data-compare]')).toContainText('The plan’s trailer')
  await page.getByRole('button', { name: 'At the seller’s' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('button', { name: 'Add to the comparison' }).click()
  await expect(dialog).toContainText('Give it a name')
  await dialog.getByLabel('Call it').fill('Yard find')
  await dialog.getByLabel('Price').fill('480')
  await dialog.getByLabel('The label’s number').fill('500 kg')
  await dialog.getByLabel('Empty weight').fill('130')
  await dialog.getByLabel(/on its wall/).fill('145/80 R13 75N')
  await accessible(page)
  await dialog.getByRole('button', { name: 'Add to the comparison' }).click()
  await studied(page)
  await expect(page.locator('[data-candidate]')).toHaveCount(6)
  await expect(page.locator('[data-compare]')).toContainText('Yard find')
  await saved(page)
  await page.setViewportSize({ width: 390, height: 844 })
  await expect(page.locator('[data-candidate]')).toHaveCount(1)
  await page.getByRole('button', { name: 'Next candidate' }).click()
  await expect(page.locator('[data-which]')).toHaveText('2 of 6')
})

test('a table of candidates: wrong rows named, good ones kept', async ({ page, heather }) => {
  await heather.open('trailer')
  await studied(page)
  const csv = '\ufeffname;price;deck length\n"Kiln\ntrailer";1.250,50;2,6 m\nBad one;cheap;2 m\n'
  await page
    .getByLabel('Table')
    .setInputFiles({ name: 'c.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) })
  const dialog = page.locator('[data-import]')
  await expect(dialog).toContainText('1 can be used')
  await expect(dialog).toContainText('Line 4, column 2 (price): “cheap” is not a number with a unit.')
  await accessible(page)
  await dialog.getByRole('button', { name: 'Add 1 to the comparison' }).click()
  await studied(page)
  await expect(page.locator('[data-candidate]')).toHaveCount(7)
  await expect(page.locator('[data-compare]')).toContainText('€1251')
})

test('money and the gate before buying', async ({ page, heather }) => {
  await heather.open('trailer/money')
  await studied(page)
  // 640 + 19 % + 35 + 95 + 85 + 45 + 40
  await expect(page.locator('[data-bill]')).toContainText('€1062 to the road, 12.5 h of work')
  await accessible(page)
  await page.getByLabel('Your offer').fill('600')
  await studied(page)
  await expect(page.locator('[data-bill]')).toContainText('€1014') // 600 · 1.19 + 300
  await page.getByRole('tab', { name: 'Before you buy' }).click()
  await studied(page)
  await expect(page.locator('[data-buy]')).toHaveAttribute('data-outcome', 'unknown')
  await expect(page.locator('[data-buy]')).toContainText('what the label counts')
  await accessible(page)
  await page.getByRole('button', { name: 'Fill in' }).first().click()
  await expect(page.getByRole('heading', { name: 'Hitch, ball and tail' })).toBeVisible()
})
