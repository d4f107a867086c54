import type { Page } from '@playwright/test'
import { expect, settled, test, visit } from './rig'

/** The pairs of texts of one drawing that run over each other. */
const overlaps = (page: Page) =>
  page.evaluate(() => {
    const out: string[] = []
    for (const svg of document.querySelectorAll('svg.drawing[data-view]')) {
      const texts = [...svg.querySelectorAll('text')].filter(
        (t) => !t.closest('.ghost') && t.textContent!.trim(),
      )
      const boxes = texts.map((t) => t.getBoundingClientRect())
      for (let i = 0; i < texts.length; i++)
        for (let k = i + 1; k < texts.length; k++) {
          const [a, b] = [boxes[i]!, boxes[k]!]
          const across = Math.min(a.right, b.right) - Math.max(a.left, b.left)
          const down = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top)
          if (across > 1 && down > 4)
            out.push(`${texts[i]!.textContent!.trim()} / ${texts[k]!.textContent!.trim()}`)
        }
    }
    return out
  })

/** A drawing lays its texts out by its size, which it has a frame after its panel: what overlaps then still does. */
const apart = (page: Page, at: string) =>
  expect
    .configure({ soft: true, timeout: 5000 })
    .poll(() => overlaps(page), { message: at })
    .toEqual([])

test('no two texts of a drawing run over each other', async ({ page }) => {
  const plans = ['skarrow-hut', 'heather-hives', 'ostrel-lock']
  let outings = 0
  for (const plan of plans) {
    await page.goto(`/plan/${plan}/job`)
    for (const stage of [
      'job',
      'balance',
      'racks',
      'ramps',
      'tie',
      ...(plan === 'ostrel-lock' ? ['frame'] : []),
    ]) {
      await visit(page, stage)
      await apart(page, `${plan} ${stage}`)
      if (stage !== 'balance') continue
      const choice = page
        .getByRole('banner')
        .getByRole('button', { name: /Outing/ })
        .first()
      for (let n = 0, all = 1; n < all; n++) {
        await choice.click()
        await expect(page.getByRole('option').first()).toBeVisible()
        all = await page.getByRole('option').count()
        const name = await page.getByRole('option').nth(n).textContent()
        await page.getByRole('option').nth(n).click()
        await expect(page.getByRole('option')).toHaveCount(0)
        await settled(page)
        await apart(page, `${plan} ${name}`)
        outings++
      }
    }
  }
  expect(outings).toBeGreaterThan(2)
})
