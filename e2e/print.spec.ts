// What is taken to the wall, the saw and the borrower comes on one side, on either paper.
import { expect, papers, settled, sides, test } from './rig'

test('each sheet is one side on A4 and on Letter', async ({ page, lock }) => {
  await page.addInitScript(() => (window.print = () => {}))
  const sheet = async (stage: string, tab: string, button: string, first?: () => Promise<void>) => {
    await lock.open(stage)
    if (tab) await page.getByRole('tab', { name: tab, exact: true }).click()
    await first?.()
    for (const paper of papers) {
      await page.getByRole('button', { name: button, exact: true }).click()
      expect(await sides(page, paper), `${button} on ${paper}`).toBe(1)
    }
  }
  await sheet('workshop', 'Order', 'Print for the wall')
  await sheet('frame', 'Cut list', 'Print the cut list')
  await sheet('papers', 'Plate and label', 'Print the plate')
  await sheet('papers', 'Plate and label', 'Print the label')
  await sheet('wiring', 'Find a fault', 'Print what was found', async () => {
    await page.locator('[data-faults] [data-question] .act-main').last().click()
    await settled(page)
  })
})

test('the departure card is one side on A4 and on Letter', async ({ page, hut, lock }) => {
  for (const plan of [hut, lock]) {
    await plan.open('road')
    await settled(page)
    for (const paper of papers) expect(await sides(page, paper), paper).toBe(1)
  }
})
