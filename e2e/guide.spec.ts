import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { accessible, expect, settled, stages, test } from './rig'

test('the guide is there from the list and from each stage, with a page for every stage', async ({
  page,
  hut,
}) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'Guide' }).click()
  await expect(page.getByRole('heading', { name: 'A first trailer in ten steps' })).toBeVisible()
  await accessible(page)
  await page.getByRole('link', { name: 'Balance' }).click()
  await expect(page.getByRole('heading', { name: 'Balance' })).toBeVisible()
  await expect(page.locator('main')).toContainText('The least that gives an answer')

  await hut.open('wiring')
  await page.getByRole('button', { name: 'Plan', exact: true }).click()
  await page.getByRole('menuitem', { name: 'Guide' }).click()
  await expect(page.getByRole('heading', { name: 'Wiring' })).toBeVisible()
  await page.getByRole('button', { name: 'Back' }).click()
  await settled(page)

  const written = readdirSync(join(import.meta.dirname, '../docs/guide')).map((f) => f.replace('.md', ''))
  expect(written.filter((n) => n !== 'README').sort()).toEqual([...stages].sort())
})
