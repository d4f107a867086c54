// Measures what docs/performance.md tells; run by make bench, never by make test.
import { spawn } from 'node:child_process'
import { mkdtempSync, readdirSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { settled, test } from './rig'

const root = join(import.meta.dirname, '..')
const at = (all: number[], p: number) => all.sort((a, b) => a - b)[Math.floor((all.length - 1) * p)]!
const tell = (what: string, all: number[]) =>
  console.log(
    `${what}: p50 ${at(all, 0.5).toFixed(1)} ms, p95 ${at(all, 0.95).toFixed(1)} ms (${all.length} times)`,
  )

test.describe.configure({ mode: 'serial' })

test('request to response over loopback', async ({ server }) => {
  const plan = JSON.parse(readFileSync(join(root, 'demo/skarrow-hut.zygonos.json'), 'utf8'))
  for (const want of ['live', 'settled']) {
    const all: number[] = []
    for (let i = 0; i < 220; i++) {
      const start = performance.now()
      const answer = await fetch(`${server.url}/api/review`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ plan, want, outing: 'boat-day' }),
      })
      await answer.arrayBuffer()
      if (i >= 20) all.push(performance.now() - start)
    }
    tell(`${want} report, request to response`, all)
  }
})

test('pointer move to repainted figure', async ({ page, hut }) => {
  await hut.open()
  const box = (await page.locator('[data-view="plan"] [data-thing="/loads/pea-gravel"]').boundingBox())!
  await page.evaluate(() => {
    const log: number[] = []
    Object.assign(window, { log })
    let moved = 0
    const made = new Map<string, number>() // sequence → when the pointer moved that made it
    const root = document.documentElement
    document.addEventListener('pointermove', () => (moved = performance.now()), { capture: true })
    new MutationObserver((all) => {
      for (const { attributeName } of all) {
        if (attributeName === 'data-sequence') made.set(root.dataset.sequence!, moved)
        const from = made.get(root.dataset.shown!)
        if (attributeName !== 'data-shown' || from === undefined) continue
        made.delete(root.dataset.shown!)
        requestAnimationFrame(() => log.push(performance.now() - from))
      }
    }).observe(root, { attributes: true, attributeFilter: ['data-sequence', 'data-shown'] })
  })
  await page.mouse.move(box.x + 60, box.y + 20)
  await page.mouse.down()
  for (let i = 1; i <= 150; i++) {
    await page.mouse.move(box.x + 60 - 60 * Math.sin(i / 12), box.y + 20)
    await page.evaluate(() => new Promise(requestAnimationFrame))
  }
  await page.mouse.up()
  await settled(page)
  tell(
    'pointer move to repainted figure',
    await page.evaluate(() => (window as unknown as { log: number[] }).log),
  )
})

test('first load and start', async ({ page, server }) => {
  const sizes = new Map<string, number>()
  page.on('response', async (r) => {
    const path = new URL(r.url()).pathname
    if (/\.(js|css)$/.test(path)) sizes.set(path, gzipSync(await r.body()).length)
  })
  await page.goto('/')
  await page.locator('[data-plans]').waitFor()
  const list = [...sizes.values()].reduce((a, b) => a + b, 0)
  await page.goto('/plan/skarrow-hut/balance')
  await settled(page)
  const rig = [...sizes.values()].reduce((a, b) => a + b, 0)
  const fonts = readdirSync(join(root, 'ui/dist/assets')).filter((f) => f.endsWith('.woff2'))
  console.log(
    `first screen ${(list / 1024).toFixed(1)} kB, with the rig ${(rig / 1024).toFixed(1)} kB, JS and CSS gzipped; ${fonts.length} font files`,
  )

  const db = join(mkdtempSync(join(tmpdir(), 'zygonos-start-')), 'plans.db')
  const all: number[] = []
  for (let i = 0; i < 8; i++) {
    const start = performance.now()
    const child = spawn(join(root, 'bin/zygonos'), [i ? 'serve' : 'demo', '-addr', '127.0.0.1:0', '-db', db])
    const url = await new Promise<string>((done) =>
      child.stdout.on('data', (d) => done(/http\S+/.exec(String(d))![0])),
    )
    await (await fetch(`${url}/api/plans`)).text()
    if (i) all.push(performance.now() - start)
    const gone = new Promise((done) => child.on('exit', done))
    child.kill()
    await gone
  }
  tell('start with an existing database to first answer', all)
  void server
})
