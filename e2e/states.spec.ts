// The states beside the usual one: keyboard alone, no plan, no server, a
// passcode asked for.
import { accessible, ball, expect, saved, Server, settled, test } from './rig'

test('the story by keyboard alone', async ({ page, hut }) => {
  await hut.open()
  const go = async (name: RegExp | string, role: 'button' | 'slider' = 'button') => {
    const target = page.getByRole(role, { name, exact: typeof name === 'string' }).first()
    for (let i = 0; i < 90; i++) {
      if (await target.evaluate((e) => e === document.activeElement)) return
      await page.keyboard.press('Tab')
    }
    throw new Error(`Tab never comes to ${name}`)
  }
  await go('Pea gravel along the deck', 'slider')
  await page.keyboard.press('Shift+ArrowLeft')
  await page.keyboard.press('Shift+ArrowLeft')
  await settled(page)
  expect(await ball(page)).not.toMatch(/^22/)
  await page.keyboard.press('Control+z')
  await settled(page)
  expect(await ball(page)).toMatch(/^22/)
  await go('Preview')
  await page.keyboard.press('Enter')
  await settled(page)
  expect(await ball(page)).toMatch(/^60/)
  await go('Do it')
  await page.keyboard.press('Enter')
  await settled(page)
  await page.keyboard.press('u')
  await settled(page)
  expect(await ball(page)).toMatch(/lb$/)
  await go('Plan')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('menuitem', { name: 'Print' })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.keyboard.press('2')
  await expect(page).toHaveURL(/vehicle$/)
  await saved(page)
})

test('a plan that is not there, and a list that does not come', async ({ page }) => {
  await page.goto('/plan/no-such-plan/balance')
  await expect(page.getByRole('heading', { name: 'There is no such plan.' })).toBeVisible()
  await accessible(page)
  await page.route('**/api/plans', (r) => r.abort())
  await page.getByRole('link', { name: 'All plans' }).last().click()
  await expect(page.getByText('The server does not answer.')).toBeVisible()
  await page.unroute('**/api/plans')
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page.locator('[data-plans] li').first()).toBeVisible()
})

test('without a server the figures stand and the work is kept', async ({ page, hut }) => {
  await hut.open()
  await page.route('**/api/**', (r) => r.abort())
  await page.getByRole('button', { name: 'Pea gravel', exact: true }).click()
  await page.locator('[data-tray]').getByLabel('Weight').fill('500 kg')
  await expect(page.getByText('The figures are from before; your changes are kept.')).toBeVisible()
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'offline')
  expect(await ball(page)).toMatch(/^22/)
  await page.unroute('**/api/**')
  await saved(page)
  await settled(page)
  expect(await ball(page)).not.toMatch(/^22/)
})

test('a phone pairs, ticks without the server, and sends its ticks later', async ({ browser }) => {
  const server = new Server()
  server.setPasscode('tarn and heather')
  await server.start()
  try {
    const context = await browser.newContext({ baseURL: server.url })
    const page = await context.newPage()
    await page.goto('/')
    const dialog = page.getByRole('dialog', { name: 'Passcode' })
    await dialog.getByRole('textbox').fill('a guess')
    await dialog.getByRole('button', { name: 'Enter' }).click()
    await expect(dialog.getByRole('alert')).toContainText('That is not the passcode.')
    await accessible(page)
    await dialog.getByRole('textbox').fill('tarn and heather')
    await dialog.getByRole('button', { name: 'Enter' }).click()
    await expect(page.locator('[data-plans]')).toContainText('Skarrow Hut crew')

    await page.goto('/plan/skarrow-hut/road')
    await settled(page)
    await page.getByRole('button', { name: 'Phone' }).click()
    const code = await page.locator('[data-short-code]').innerText()
    await expect(page.locator('[data-pair] img')).toBeVisible()
    await accessible(page)
    await page.getByRole('button', { name: 'Done' }).click()

    const pocket = await browser.newContext({ baseURL: server.url, viewport: { width: 390, height: 844 } })
    const phone = await pocket.newPage()
    await phone.goto(`/plan/skarrow-hut/road?pair=${code}`)
    await settled(phone)
    const ticks = phone.locator('[data-departure]').getByRole('checkbox')
    await ticks.nth(0).check()
    await saved(phone)
    const port = new URL(server.url).port
    await server.stop()
    await ticks.nth(1).check()
    await ticks.nth(2).check()
    await expect(phone.locator('[data-as-of]')).toContainText(/figures as of \d\d[:.]\d\d/)
    await expect(phone.locator('[data-done]')).toContainText(/^3 of/)

    // At home the plan itself is changed before the phone answers again: both go together.
    await pocket.setOffline(true)
    await server.start(port)
    await page.keyboard.press('u')
    await saved(page)
    await pocket.setOffline(false)
    await saved(phone)
    await expect(phone.locator('[data-as-of]')).toHaveCount(0)
    await expect(phone.locator('[data-done]')).toContainText(/^3 of/)
    await expect(phone.getByRole('button', { name: /Units: lb/ })).toBeVisible()
    await accessible(phone)
    await context.close()
    await pocket.close()
  } finally {
    await server.stop()
    server.remove()
  }
})

test('a preview never enters the plan', async ({ page, hut }) => {
  await hut.open()
  await page.getByRole('button', { name: 'Preview' }).first().click()
  await settled(page)
  // While it is shown nothing can be taken.
  await page.locator('[data-view="side"] [data-thing="/loads/pea-gravel"]').focus()
  await page.keyboard.press('ArrowLeft')
  await expect(page.getByText('Preview, not in the plan yet')).toBeVisible()
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved')
  await page.reload()
  await settled(page)
  expect(await ball(page)).toMatch(/^22/)
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled()
})
