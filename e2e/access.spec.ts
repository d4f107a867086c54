// Every stage and tab for thumbs, for eyes that need it twice as large, and for those that hear the page.
import type { Page } from '@playwright/test'
import { accessible, expect, settled, stages, test, visit } from './rig'

/** Opens each stage with each of its tabs. */
async function everywhere(page: Page, see: (at: string, first: boolean) => Promise<void>) {
  for (const stage of stages) {
    await visit(page, stage)
    await page.waitForLoadState('networkidle')
    const tabs = page.locator('main section [role=tab]')
    const names = await tabs.allTextContents()
    for (const [i, name] of (names.length ? names : ['']).entries()) {
      if (i) {
        await tabs.nth(i).click()
        await settled(page)
        await page.waitForLoadState('networkidle')
      }
      await see(`${stage} ${name}`.trim(), !i)
    }
  }
}

test('at 390 px what is touched is 44 px high; at 200 % nothing runs over', async ({ page, lock }) => {
  test.slow()
  await page.setViewportSize({ width: 390, height: 844 })
  const small: string[] = []
  const over: string[] = []
  await lock.open()
  await everywhere(page, async (at) => {
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
      // a chart takes its width from its panel a frame later: what stays over is over
      const within = (w: number) => innerWidth === w && document.documentElement.scrollWidth <= w
      await page.waitForFunction(within, width, { timeout: 5000 }).catch(() => over.push(`${at} at ${width}`))
    }
  })
  expect(small).toEqual([])
  expect(over).toEqual([])
})

test('every stage and tab is named and has contrast, light and dark', async ({ page, lock }) => {
  test.slow()
  let n = 0
  await lock.open()
  await everywhere(page, async (_, first) => {
    const dark = n++ % 2 === 1
    await page.evaluate((dark) => (document.documentElement.dataset.theme = dark ? 'dark' : ''), dark)
    await accessible(page, first)
  })
})

test('dialogs are named, hold the focus and give it back', async ({ page, hut }) => {
  await hut.open('balance')
  const menu = page.getByRole('button', { name: 'Plan', exact: true })
  for (const item of ['Tick on a phone', 'Earlier versions', 'Stages to show', 'Keys']) {
    await menu.click()
    await page.getByRole('menuitem', { name: item }).click()
    const dialog = page.getByRole('dialog')
    await expect(dialog, item).toHaveAccessibleName(/\S{3}/)
    await accessible(page)
    for (let i = 0; i < 12; i++) await page.keyboard.press('Tab')
    expect(await page.evaluate(() => !!document.activeElement?.closest('[role=dialog]')), item).toBe(true)
    await page.keyboard.press('Escape')
    await expect(dialog).toHaveCount(0)
    await expect(menu, item).toBeFocused()
  }
  await page.getByRole('button', { name: 'Show the working' }).first().click()
  await expect(page.getByRole('dialog')).toHaveAccessibleName(/\S{3}/)
  await accessible(page)
})

test('read as text, a stage says first what the answer is', async ({ page, hut }) => {
  await hut.open('balance')
  const tree = await page.locator('body').ariaSnapshot()
  const at = (what: RegExp) => tree.search(what)
  // the plan, its verdict in words, the stages, the figures, the checks, in this order and each by its role
  const order = [
    /heading "[^"]+" \[level=1\]/,
    /status:[\s\S]{0,80}Fails/,
    /navigation "Stages"/,
    /region "Balance"/,
    /complementary "Checks"/,
    /heading "Checks of Balance" \[level=2\]/,
  ].map(at)
  expect(
    order.every((n) => n >= 0),
    tree.slice(0, 1500),
  ).toBe(true)
  expect([...order].sort((a, b) => a - b)).toEqual(order)
  // nothing to press is without a name
  expect(tree).not.toMatch(/- (button|link|textbox|combobox|switch|slider)\s*(:|\n|\[)/)
})
