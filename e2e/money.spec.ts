import { accessible, expect, saved, settled, studied, test } from './rig'

test('a ledger with a target, the ways side by side, a job', async ({ page, lock }) => {
  await lock.open('money')
  await studied(page)
  const ledger = page.locator('[data-ledger]')
  // what follows from the plan is planned already; paid is one tap
  await expect(ledger.locator('li', { hasText: 'Primer and enamel' })).toContainText('planned')
  await ledger.locator('li', { hasText: 'Primer and enamel' }).getByRole('button', { name: 'Paid' }).click()
  await expect(ledger.getByRole('status')).toContainText('£33 spent')
  // one more item takes it over the target before it is bought
  await ledger.getByRole('button', { name: 'Another item' }).click()
  await ledger.getByLabel('Item', { exact: true }).fill('Axle with hubs')
  await ledger.getByLabel('Planned', { exact: true }).fill('1500')
  await expect(ledger.getByRole('status')).toContainText('will be passed by')
  await expect(ledger.getByRole('status')).toHaveAttribute('data-outcome', 'fails')
  await ledger.getByLabel('Tax', { exact: true }).fill('190%')
  await expect(ledger).toContainText('between')
  await accessible(page)
  // a shop's list comes in, a line that cannot be used is named
  await ledger.getByLabel('A list of spendings').setInputFiles({
    name: 'shop.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('date,item,paid\n2026-05-02,Hand winch,129.99\n2026-05-02,Rope,"1,2,3"\n'),
  })
  await expect(ledger.locator('li', { hasText: 'Hand winch' })).toContainText('£129.99')
  await expect(ledger).toContainText('Line 3:')
  const file = page.waitForEvent('download')
  await ledger.getByRole('button', { name: 'As a table' }).click()
  expect((await file).suggestedFilename()).toBe('ledger.csv')

  await page.getByRole('tab', { name: 'Ways' }).click()
  const ways = page.locator('[data-ways-money]')
  await expect(ways.getByRole('status')).toContainText('the cheapest is “Build it”')
  await page.locator('[data-way-row=build]').getByLabel('A use', { exact: true }).fill('200')
  await settled(page)
  await expect(page.locator('[data-way-row=build]')).toContainText('never pays')
  await accessible(page)

  await page.getByRole('tab', { name: 'Earning' }).click()
  await expect(page.locator('[data-job=neighbour]')).toContainText('is left')
  await accessible(page)
  await saved(page)
})
