import { readFileSync, writeFileSync } from 'node:fs'
import { accessible, ball, expect, saved, Server, settled, studied, test } from './rig'

test('a reload loses nothing, saved or not', async ({ page, hut }) => {
  await hut.open()
  await page.route('**/api/plans/*', (r) => (r.request().method() === 'PUT' ? r.abort() : r.continue()))
  await page.getByRole('button', { name: 'Pea gravel', exact: true }).click()
  await page.locator('[data-tray]').getByRole('button', { name: 'Forward' }).click()
  await settled(page)
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'offline')
  await page.reload()
  await settled(page)
  expect(
    await page.locator('[data-view="plan"] [data-thing="/loads/pea-gravel"]').getAttribute('aria-valuenow'),
  ).toBe('1.08')
  await page.unroute('**/api/plans/*')
  await saved(page)
  await page.reload()
  await settled(page)
  expect(
    await page.locator('[data-view="plan"] [data-thing="/loads/pea-gravel"]').getAttribute('aria-valuenow'),
  ).toBe('1.08')
})

test('a save whose answer is lost is no conflict, edited on or reloaded', async ({ page, hut }) => {
  await hut.open()
  const weight = page.locator('[data-tray]').getByLabel('Weight')
  await page.getByRole('button', { name: 'Pea gravel', exact: true }).click()
  let lost = 0
  await page.route('**/api/plans/*', async (r) => {
    if (r.request().method() !== 'PUT') return r.continue()
    await r.fetch() // it arrives and is kept; only the answer does not come back
    lost++
    await r.abort()
  })
  await weight.fill('500 kg')
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'offline')
  expect(lost).toBeGreaterThan(0)
  await weight.fill('520 kg')
  await expect.poll(() => lost).toBeGreaterThan(1)
  await page.unroute('**/api/plans/*')
  await weight.fill('530 kg')
  await page.reload()
  await settled(page)
  await saved(page)
  await expect(page.locator('[data-view="beam"]')).toContainText('530 kg')
})

test('ticks that the server does not have outlive a reload, and two devices’ changes go together', async ({
  page,
  lock,
}) => {
  await lock.open('workshop')
  await studied(page)
  const cut = page.locator('[data-step=cut]')
  const tick = cut.getByRole('button', { name: /(Not d|D)one$/ })
  await page.route('**/records/*', (r) => (r.request().method() === 'PATCH' ? r.abort() : r.continue()))
  await tick.click()
  await cut.getByText('time, note, photo, place').click()
  await cut.getByLabel('Note').fill('blunt blade')
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'offline')
  await page.reload()
  await expect(tick).toHaveAttribute('aria-pressed', 'true')
  await page.unroute('**/records/*')
  await saved(page)
  // meanwhile a phone writes down the minutes
  const plan = page.url().split('/')[4]!
  const list = await (await page.request.get(`/api/plans/${plan}/records`)).json()
  const answer = await page.request.patch(`/api/plans/${plan}/records/${list[0].id}`, {
    data: { step: { minutes: 90 } },
    headers: { Origin: new URL(page.url()).origin },
  })
  expect(answer.ok()).toBe(true)
  await tick.click()
  await saved(page)
  const [record] = await (await page.request.get(`/api/plans/${plan}/records`)).json()
  expect(record.record).toMatchObject({ note: 'blunt blade', step: { minutes: 90 } })
  expect(record.record.step.done ?? false).toBe(false)
})

test('a restart of the server loses nothing', async ({ browser }) => {
  const server = new Server()
  await server.start()
  const page = await browser.newPage({ baseURL: server.url })
  await page.goto('/plan/skarrow-hut/balance')
  await settled(page)
  await page.getByRole('button', { name: 'Pea gravel', exact: true }).click()
  await page.locator('[data-tray]').getByLabel('Weight').fill('500 kg')
  await saved(page)
  await server.restart()
  await page.locator('[data-tray]').getByLabel('Weight').fill('510 kg')
  await settled(page)
  await saved(page)
  await page.goto('/plan/skarrow-hut/balance')
  await settled(page)
  await expect(page.locator('[data-view="beam"]')).toContainText('510 kg')
  await page.close()
  await server.stop()
  server.remove()
})

test('a stale tab is told, keeps its version as a copy, overwrites nothing', async ({
  page,
  hut,
  context,
}) => {
  await hut.open()
  const other = await context.newPage()
  await other.goto(`/plan/${hut.id}/balance`)
  await settled(other)
  await other.getByRole('button', { name: 'Axle', exact: true }).click()
  await other.getByLabel('Behind the ball').fill('2.9 m')
  await saved(other)

  await page.getByRole('button', { name: 'Pea gravel', exact: true }).click()
  await page.locator('[data-tray]').getByLabel('Weight').fill('333 kg')
  const dialog = page.getByRole('dialog', { name: 'The plan was changed elsewhere' })
  await expect(dialog.getByRole('button', { name: 'Load the other version' })).toBeVisible()
  await accessible(page)
  await dialog.getByRole('button', { name: 'Keep mine as a copy' }).click()
  await expect(page).not.toHaveURL(new RegExp(hut.id))
  await settled(page)
  await expect(page.locator('[data-view="beam"]')).toContainText('333 kg')
  await other.reload()
  await settled(other)
  await expect(other.locator('[data-view="beam"]')).toContainText('640 kg')
})

test('earlier versions are brought back; deleting is undone', async ({ page, hut }) => {
  await hut.open()
  await page.getByRole('button', { name: 'Pea gravel', exact: true }).click()
  await page.locator('[data-tray]').getByLabel('Weight').fill('200 kg')
  await saved(page)
  await page.getByRole('button', { name: 'Plan', exact: true }).click()
  await page.getByRole('menuitem', { name: 'Earlier versions' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Bring back' }).first().click()
  await expect(page.locator('[data-ball]')).toHaveText(/^22/) // the earlier version is fetched first
  await settled(page)
  await saved(page)

  await page.goto('/')
  const row = page.locator('li', { has: page.locator(`a[href*="${hut.id}"]`) })
  await row.getByRole('button', { name: /Delete/ }).click()
  await expect(row).toHaveCount(0)
  await page.getByRole('button', { name: 'Bring it back' }).click()
  await expect(row).toHaveCount(1)
})

test('a plan goes out as a file and comes back in; a bad one is refused by name', async ({
  page,
  hut,
}, info) => {
  await hut.open()
  await page.getByRole('button', { name: 'Plan', exact: true }).click()
  const waiting = page.waitForEvent('download')
  await page.getByRole('menuitem', { name: 'Save as a file' }).click()
  const download = await waiting
  expect(download.suggestedFilename()).toBe('skarrow-hut-crew.zygonos.json')
  const file = info.outputPath('plan.zygonos.json')
  await download.saveAs(file)
  await page.goto('/')
  await page.locator('input[type=file]').setInputFiles(file)
  await page.waitForURL(/plan/)
  await settled(page)
  expect(await ball(page)).toMatch(/^22/)

  const bad = info.outputPath('bad.zygonos.json')
  writeFileSync(bad, readFileSync(file, 'utf8').replace('"track"', '"trak"'))
  await page.goto('/')
  await page.locator('input[type=file]').setInputFiles(bad)
  await expect(page.getByRole('alert')).toContainText('/trailers/grey-flatbed/trak: There is no such field.')
})

test(
  'a version that is damaged on the disk leads to the one before it',
  { annotation: { type: 'damaged' } },
  async ({ page, hut }) => {
    await page.route('**/api/plans/skarrow-hut', (r) =>
      r.fulfill({
        status: 500,
        contentType: 'application/problem+json',
        body: JSON.stringify({
          type: 'about:blank',
          title: 'Revision 2 of this plan is damaged on the disk.',
          status: 500,
          detail: 'Open an earlier version, or a backup.',
          earlier: 1,
        }),
      }),
    )
    await page.goto('/plan/skarrow-hut/balance')
    await expect(page.getByRole('heading', { name: /Revision 2 of this plan is damaged/ })).toBeVisible()
    await page.getByRole('button', { name: 'Open version 1 as a plan of its own' }).click()
    await settled(page)
    await expect(page).not.toHaveURL(/skarrow-hut/)
    expect(await ball(page)).toMatch(/kg$/)
    await page.unroute('**/api/plans/skarrow-hut')
    await hut.open()
  },
)
