// The whole way from Job to Road by keyboard alone: on a phone's width, and on a plan that
// knows nothing yet.
import { expect, settled, stages, test, visit } from './rig'

test('the story walked by keys at 390 px: nothing runs over, all is named', async ({ page, hut }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await hut.open('job')
  for (const [i, stage] of stages.entries()) {
    if (i < 9) await page.keyboard.press(String(i + 1))
    else await visit(page, stage)
    await expect(page).toHaveURL(new RegExp(`/${stage}`))
    await settled(page)
    await expect
      .poll(() => page.evaluate(() => document.documentElement.scrollWidth))
      .toBeLessThanOrEqual(390)
    // Tab comes into the stage itself, past the strip above it.
    let inside = false
    for (let n = 0; n < 40 && !inside; n++) {
      await page.keyboard.press('Tab')
      inside = await page.evaluate(() => !!document.activeElement?.closest('main section'))
    }
    expect(inside, stage).toBe(true)
    // what gives an answer is not asked what it takes
    if (['job', 'balance', 'road'].includes(stage)) await expect(page.locator('[data-least]')).toHaveCount(0)
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
  }
})

test('the shell stays put: only its columns scroll', async ({ page, hut }) => {
  await page.setViewportSize({ width: 1280, height: 800 })
  await page.addInitScript(() => {
    const seen = { moved: 0 }
    Object.assign(window, { seen })
    const shift = (e: PerformanceEntry) => (seen.moved += (e as unknown as { value: number }).value)
    new PerformanceObserver((l) => l.getEntries().forEach(shift)).observe({
      type: 'layout-shift',
      buffered: true,
    })
  })
  await hut.open('balance')
  const moved = () => page.evaluate(() => (window as unknown as { seen: { moved: number } }).seen.moved)
  expect(await moved()).toBeLessThan(0.15) // nothing jumps while it opens
  for (const [i, stage] of stages.entries()) {
    if (i < 9) await page.keyboard.press(String(i + 1))
    else await visit(page, stage)
    await expect(page).toHaveURL(new RegExp(`/${stage}`))
    await settled(page)
    expect(await page.evaluate(() => document.documentElement.scrollHeight), stage).toBe(800)
  }
})

test('no stage needs another to be filled first', async ({ page, server }) => {
  const bare = { format: 'zygonos-plan', version: 1, name: 'Bare' }
  const answer = await fetch(`${server.url}/api/plans/import`, { method: 'POST', body: JSON.stringify(bare) })
  const { id } = (await answer.json()) as { id: string }
  await page.goto(`/plan/${id}/job`)
  for (const stage of stages) {
    await visit(page, stage)
    await expect(page.locator('main section').first()).toHaveText(/\S{4}/)
    await expect(page.locator('[data-headline]')).not.toHaveAttribute('data-outcome', 'holds')
    // each but Practice says what it takes at least
    await expect(page.locator('[data-least]')).toHaveCount(stage === 'practice' ? 0 : 1)
  }
  // what the plan has is offered at one click, where another stage could use it
  const loaded = {
    ...{
      ...bare,
      trailers: { t: { order: 1, name: 'T', empty: {} } },
      outings: { o: { order: 1, name: 'O', layouts: {} } },
    },
    loads: Object.fromEntries(['a', 'b'].map((l, order) => [l, { order, name: l, size: {}, centre: {} }])),
  }
  const third = await fetch(`${server.url}/api/plans/import`, {
    method: 'POST',
    body: JSON.stringify(loaded),
  })
  await page.goto(`/plan/${((await third.json()) as { id: string }).id}/tie`)
  await settled(page)
  await page.getByRole('button', { name: 'Take all 2 loads along' }).click()
  await settled(page)
  await expect(page.getByRole('button', { name: 'Take all 2 loads along' })).toHaveCount(0)

  // with a trailer of which nothing is known every tab opens too
  const named = {
    ...{ ...bare, trailers: { t: { order: 1, name: 'T', empty: {} } } },
    outings: { o: { order: 1, name: 'O', layouts: { t: { placements: {} } } } },
  }
  const second = await fetch(`${server.url}/api/plans/import`, {
    method: 'POST',
    body: JSON.stringify(named),
  })
  const own = ((await second.json()) as { id: string }).id
  await page.goto(`/plan/${own}/job`)
  for (const stage of [
    'trailer',
    'frame',
    'wiring',
    'body',
    'workshop',
    'finish',
    'log',
    'papers',
    'money',
  ]) {
    await visit(page, stage)
    const tabs = page.locator('main section [role=tab]')
    for (let i = 1; i < (await tabs.count()); i++) {
      await tabs.nth(i).click()
      await expect(page.locator('main section').first()).toHaveText(/\S{4}/)
      await page.waitForLoadState('networkidle')
    }
  }
})
