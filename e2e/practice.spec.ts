import { accessible, expect, settled, test } from './rig'

test('cases are judged, and what is wrong comes again', async ({ page, hut }) => {
  await hut.open('practice')
  const judge = page.locator('[data-judge]')
  await expect(judge.locator('[data-choice]').first()).toBeVisible()
  await accessible(page)
  for (let i = 0; i < 3; i++) {
    await judge.locator('[data-choice="0"]').click()
    await expect(judge.locator('[data-truth]')).toBeFocused()
    if (i === 0) await accessible(page)
    await judge.getByRole('button', { name: 'Next' }).click()
    await expect(judge.locator('[data-truth]')).toHaveCount(0)
  }
  await page.getByRole('tab', { name: 'Getting better' }).click()
  await expect(page.locator('[data-progress]').getByRole('status')).toContainText('of 3 right so far')
  await page.reload()
  await settled(page)
  await page.getByRole('tab', { name: 'Getting better' }).click()
  await expect(page.locator('[data-progress]').getByRole('status')).toContainText('of 3 right so far')
  await accessible(page)
})

test('the rig is reversed by keys to its end, and the best run is a ghost', async ({ page, hut }) => {
  await hut.open('practice')
  await page.getByRole('tab', { name: 'Reverse it' }).click()
  const drive = page.locator('[data-drive]')
  await expect(drive.getByRole('status')).toContainText('30 m straight back')
  await accessible(page)
  await drive.getByRole('button', { name: 'Drive', exact: true }).click()
  await expect(drive.getByRole('application')).toBeFocused()
  await page.keyboard.down('Shift')
  await page.keyboard.down('ArrowDown')
  await page.waitForFunction(
    () => Number(document.querySelector('[data-drive] svg[data-x]')?.getAttribute('data-x')) < -29.4,
    null,
    {
      timeout: 40_000,
    },
  )
  await page.keyboard.up('ArrowDown')
  await page.keyboard.up('Shift')
  await expect(drive.getByRole('status')).toHaveAttribute('data-done', 'true')
  await expect(drive.getByRole('status')).toContainText('points')
  await expect(drive).toContainText('Your best')
  await drive.getByRole('button', { name: 'Drive', exact: true }).click()
  await expect(drive.locator('.ghost')).toHaveCount(1)
  await drive.getByRole('button', { name: 'End it' }).click()
  await expect(drive.getByRole('status')).toContainText('Not there yet')
})
