import { expect, settled, test } from './rig'

// A plan of which nobody entered anything: every stage and every tab opens, says what it needs, and breaks nothing.
test('every stage and tab of a plan made from nothing', async ({ page }) => {
  test.slow()
  await page.goto('/new')
  for (let i = 0; i < 12 && !page.url().includes('/plan/'); i++) {
    await page.locator('.act-main').last().click()
    await page.waitForLoadState('networkidle')
  }
  await settled(page)
  const plan = page.url().split('/')[4]!
  for (const stage of [
    ...['job', 'vehicle', 'trailer', 'balance', 'racks', 'ramps', 'tie', 'frame'],
    ...['wiring', 'body', 'workshop', 'finish', 'road', 'log', 'papers', 'money'],
  ]) {
    await page.goto(`/plan/${plan}/${stage}`)
    await settled(page)
    const tabs = page.locator('main [role=tab]')
    const n = await tabs.count()
    for (let i = 0; i < Math.max(1, n); i++) {
      if (n) await tabs.nth(i).click()
      await expect(page.locator('main section').first()).toBeVisible()
      await page.waitForLoadState('networkidle')
    }
  }
})
