// Every stage and tab for thumbs, for eyes that need it twice as large, and for those that hear the page.
import type { Page } from '@playwright/test'
import { accessible, expect, settled, stages, test } from './rig'

/** Opens each stage with each of its tabs. */
async function everywhere(
  page: Page,
  open: (stage: string) => Promise<void>,
  see: (at: string) => Promise<void>,
) {
  for (const stage of stages) {
    await open(stage)
    const tabs = page.locator('main section [role=tab]')
    const names = await tabs.allTextContents()
    for (const [i, name] of (names.length ? names : ['']).entries()) {
      if (i) {
        await tabs.nth(i).click()
        await settled(page)
        await page.waitForLoadState('networkidle')
      }
      await see(`${stage} ${name}`.trim())
    }
  }
}

test('at 390 px what is touched is 44 px high; at 200 % nothing runs over', async ({ page, lock }) => {
  test.slow()
  await page.setViewportSize({ width: 390, height: 844 })
  const small: string[] = []
  const over: string[] = []
  await everywhere(page, lock.open, async (at) => {
    small.push(
      ...(await page.evaluate((at) => {
        const all = document.querySelectorAll<HTMLElement>('button, a[href], input, summary, select')
        return [...all]
          .filter((e) => {
            // a switch or tick goes with its label, a link in a sentence with the sentence
            if (e.matches('[role=switch], [type=checkbox], .sr-only, p a, li a') || e.closest('.sr-only'))
              return false
            const { width, height } = e.getBoundingClientRect()
            return width > 0 && height > 0 && height < 43.5
          })
          .map((e) => `${at}: ${e.getAttribute('aria-label') ?? e.textContent}`)
      }, at)),
    )
    // 1280 px at 200 % are 640
    for (const width of [640, 390]) {
      await page.setViewportSize({ width, height: width === 640 ? 400 : 844 })
      if ((await page.evaluate(() => document.documentElement.scrollWidth)) > width)
        over.push(`${at} at ${width}`)
    }
  })
  expect(small).toEqual([])
  expect(over).toEqual([])
})

test('every stage and tab is named and has contrast, light and dark', async ({ page, lock }) => {
  test.slow()
  let n = 0
  await everywhere(page, lock.open, async () => {
    const dark = n++ % 2 === 1
    await page.evaluate((dark) => (document.documentElement.dataset.theme = dark ? 'dark' : ''), dark)
    await accessible(page)
  })
})
