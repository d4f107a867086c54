// The pictures of docs/screenshots, from the demo plans; run by make shots.
import { join } from 'node:path'
import { expect, saved, settled, studied, test } from './rig'

const file = (name: string) => join(import.meta.dirname, '../docs/screenshots', `${name}.png`)

test('plans', async ({ page }) => {
  await page.goto('/')
  await expect(page.locator('[data-plan] svg.drawing')).toHaveCount(3)
  await page.screenshot({ path: file('plans') })
})

for (const stage of ['balance', 'trailer', 'job']) {
  test(stage, async ({ page }) => {
    await page.goto(`/plan/skarrow-hut/${stage}`)
    await settled(page)
    if (stage === 'balance') await page.getByRole('button', { name: 'Pea gravel', exact: true }).click()
    await page.evaluate(() => document.fonts.ready)
    await page.screenshot({ path: file(stage) })
  })
}

for (const [name, path, tab] of [
  ['finish', 'ostrel-lock/finish', 'Days'],
  ['log', 'skarrow-hut/log', 'Slips'],
  ['papers', 'ostrel-lock/papers', 'Plate and label'],
  ['money', 'ostrel-lock/money', 'Ledger'],
] as const) {
  test(name, async ({ page }) => {
    await page.goto(`/plan/${path}`)
    await settled(page)
    await page.getByRole('tab', { name: tab, exact: true }).click()
    await studied(page)
    await page.evaluate(() => document.fonts.ready)
    await page.screenshot({ path: file(name) })
  })
}

test('practice', async ({ page }) => {
  await page.goto('/plan/skarrow-hut/practice')
  await settled(page)
  await page.getByRole('tab', { name: 'Reverse it' }).click()
  const drive = page.locator('[data-drive]')
  await drive.getByLabel('Task').click()
  await page.getByRole('option', { name: 'Into a bay on the left' }).click()
  await drive.getByText('Show the angle beyond which it folds').click()
  await drive.getByText('Back it into the bay on the left').waitFor()
  await page.evaluate(() => document.fonts.ready)
  await page.screenshot({ path: file('practice') })
})

test('racks', async ({ page }) => {
  await page.goto('/plan/skarrow-hut/racks')
  await settled(page)
  await page.getByRole('button', { name: 'Outing' }).click()
  await page.getByRole('option', { name: /Boats/ }).click()
  await settled(page)
  await page.getByRole('button', { name: 'Plan racks' }).click()
  await page.getByRole('region', { name: 'Racks' }).last().waitFor()
  await page.locator('main section').evaluateAll((all) => all.forEach((e) => e.scrollTo(0, 0)))
  await page.evaluate(() => document.fonts.ready)
  await page.screenshot({ path: file('racks') })
})

for (const stage of ['ramps', 'tie', 'road'] as const) {
  test(stage, async ({ page }) => {
    await page.goto(`/plan/skarrow-hut/${stage === 'road' ? 'tie' : stage}`)
    await settled(page)
    await page.getByRole('button', { name: 'Outing' }).click()
    await page.getByRole('option', { name: stage === 'ramps' ? /Two-seater/ : /Boats/ }).click()
    await settled(page)
    if (stage !== 'ramps') {
      await page.getByRole('button', { name: 'Plan straps for me' }).click()
      await page.getByRole('button', { name: 'Do it' }).first().click()
      await settled(page)
    }
    if (stage === 'road') await page.keyboard.press('0')
    await settled(page)
    await saved(page)
    await page.evaluate(() => (document.activeElement as HTMLElement).blur())
    await page.evaluate(() => document.fonts.ready)
    await page.screenshot({ path: file(stage) })
  })
}

test('frame', async ({ page }) => {
  await page.goto('/plan/ostrel-lock/frame')
  await settled(page)
  await page.getByRole('button', { name: 'Outing' }).click()
  await page.getByRole('option', { name: /Rubble/ }).click()
  await settled(page)
  await page.evaluate(() => document.fonts.ready)
  await page.screenshot({ path: file('frame') })
})

test('wiring', async ({ page }) => {
  await page.goto('/plan/ostrel-lock/wiring')
  await settled(page)
  await page.getByRole('button', { name: 'Brake', exact: true }).click()
  await studied(page)
  await page.evaluate(() => document.fonts.ready)
  await page.screenshot({ path: file('wiring') })
})

test('body', async ({ page }) => {
  await page.goto('/plan/ostrel-lock/body')
  await settled(page)
  await studied(page)
  await page.getByLabel('Angle of the bed').fill('28')
  await page.getByLabel('Angle of the bed').blur()
  await page.evaluate(() => document.fonts.ready)
  await page.screenshot({ path: file('body') })
})

test('workshop', async ({ page }) => {
  await page.goto('/plan/ostrel-lock/workshop')
  await settled(page)
  await studied(page)
  await page.evaluate(() => document.fonts.ready)
  await page.screenshot({ path: file('workshop') })
})

test('phone, dark', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/plan/skarrow-hut/balance')
  await settled(page)
  await page.screenshot({ path: file('phone') })
  await page.setViewportSize({ width: 1280, height: 800 })
  await page.evaluate(() => (document.documentElement.dataset.theme = 'dark'))
  await settled(page)
  await page.screenshot({ path: file('dark') })
})
