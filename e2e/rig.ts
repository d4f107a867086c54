// Each worker has its own server, port and database; each test its own copy of
// the demo plan.
import { execFileSync, spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type axe from 'axe-core'
import { test as base, expect, type Page } from '@playwright/test'

const root = join(import.meta.dirname, '..')
const axeSource = readFileSync(join(root, 'node_modules/axe-core/axe.min.js'), 'utf8')

/** The stages in their order, as the registry has them. */
export const stages = [
  ...readFileSync(join(root, 'ui/src/stages/registry.ts'), 'utf8').matchAll(
    /id: '([\w-]+)',\s+name: '[^']+',\s+icon: \w+,\s+page:/g,
  ),
].map((m) => m[1]!)

export class Server {
  private process?: ChildProcess
  private readonly dir = mkdtempSync(join(tmpdir(), 'zygonos-e2e-'))
  private asks = false
  url = ''

  /** From now on it asks for a passcode. */
  setPasscode(code: string) {
    this.asks = true
    execFileSync(join(root, 'bin/zygonos'), ['passcode', '-db', join(this.dir, 'plans.db')], {
      input: code + '\n',
    })
  }

  async start(port = '0') {
    const args = ['demo', '-addr', `127.0.0.1:${port}`, '-db', join(this.dir, 'plans.db')]
    const child = spawn(join(root, 'bin/zygonos'), this.asks ? [...args, '-ask'] : args)
    this.process = child
    this.url = await new Promise<string>((resolve, reject) => {
      child.stdout.on('data', (d: Buffer) => {
        const m = /http:\/\/\S+/.exec(String(d))
        if (m) resolve(m[0])
      })
      child.stderr.on('data', (d: Buffer) => reject(new Error(String(d))))
      child.on('exit', (code) => reject(new Error(`the server ended with ${code}`)))
    })
  }

  async stop() {
    const child = this.process
    if (!child || child.exitCode !== null) return
    const gone = new Promise((resolve) => child.on('exit', resolve))
    child.kill('SIGTERM')
    await gone
  }

  async restart() {
    const port = new URL(this.url).port
    await this.stop()
    await this.start(port)
  }

  remove() {
    rmSync(this.dir, { recursive: true, force: true })
  }
}

/** A simulated scale with 48 kg on it. */
export class Scale {
  private constructor(
    private readonly process: ChildProcess,
    readonly address: string,
  ) {}

  static async start(...more: string[]) {
    const child = spawn(join(root, 'bin/zygonos'), [
      ...['simulate', 'scale', '--addr', '127.0.0.1:0', '--settle', '200ms', '--rate', '20', ...more],
    ])
    const address = await new Promise<string>((resolve, reject) => {
      child.stdout.on('data', (d: Buffer) => {
        const m = /127\.0\.0\.1:\d+/.exec(String(d))
        if (m) resolve(m[0])
      })
      child.on('exit', (code) => reject(new Error(`the scale ended with ${code}`)))
    })
    return new Scale(child, address)
  }

  put(kg: number) {
    return fetch(`http://${this.address}/put?kg=${kg}`, { method: 'POST' })
  }

  async stop() {
    if (this.process.exitCode !== null || this.process.signalCode !== null) return
    const gone = new Promise((resolve) => this.process.on('exit', resolve))
    this.process.kill('SIGTERM')
    await gone
  }
}

export interface HutPlan {
  id: string
  open(stage?: string): Promise<void>
}

/** A demo plan, imported again for one test. */
async function imported(page: Page, server: Server, name: string): Promise<HutPlan> {
  const plan = readFileSync(join(root, `demo/${name}.zygonos.json`))
  const answer = await fetch(`${server.url}/api/plans/import`, { method: 'POST', body: plan })
  const { id } = (await answer.json()) as { id: string }
  return {
    id,
    open: async (stage = 'balance') => {
      await page.goto(`/plan/${id}/${stage}`)
      await settled(page)
    },
  }
}

export const test = base.extend<{ hut: HutPlan; heather: HutPlan; lock: HutPlan }, { server: Server }>({
  server: [
    async ({}, use) => {
      const server = new Server()
      await server.start()
      await use(server)
      await server.stop()
      server.remove()
    },
    { scope: 'worker' },
  ],
  baseURL: async ({ server }, use) => use(server.url),
  page: async ({ page }, use, info) => {
    const errors: string[] = []
    page.on('pageerror', (e) => errors.push(e.message))
    page.on('console', (m) => {
      if (m.type() === 'error' && !m.text().includes('Failed to load resource')) errors.push(m.text())
    })
    page.on('response', (r) => {
      // a test of what is damaged says so
      const asked = info.annotations.some((a) => a.type === 'damaged')
      if (r.status() >= 500 && r.status() !== 503 && !asked) errors.push(`${r.status()} ${r.url()}`)
    })
    await use(page)
    expect(errors, 'errors in the page').toEqual([])
  },
  hut: async ({ page, server }, use) => use(await imported(page, server, 'skarrow-hut')),
  heather: async ({ page, server }, use) => use(await imported(page, server, 'heather-hives')),
  lock: async ({ page, server }, use) => use(await imported(page, server, 'ostrel-lock')),
})

/** Waits until the page shows the settled report of its latest change. */
export async function settled(page: Page) {
  await page.waitForFunction(() => {
    const d = document.documentElement.dataset
    return d.settled === 'true' && d.sequence === d.shown
  })
}

/** Waits until the study on screen belongs to the latest change. */
export async function studied(page: Page) {
  await page.waitForFunction(() => {
    const d = document.documentElement.dataset
    return d.study !== undefined && d.study === d.sequence
  })
}

/** Waits until the server has all that was changed. */
export async function saved(page: Page) {
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved')
}

/** Holds what is in hand, a dialog or the stage, against WCAG; all of the page where it is asked for or has neither. */
export async function accessible(page: Page, whole = false) {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axeSource)
  // what follows until the next rest is dimmed
  const rests = () => document.documentElement.dataset.settled !== 'false'
  await page.waitForFunction(rests, null, { timeout: 5000 }).catch(() => {})
  const violations = await page.evaluate(async (whole) => {
    const part = ['[role=dialog]', 'main section'].find((p) => !whole && document.querySelector(p))
    // one document, violations alone: a third of the time of the full report
    const found = await (window as unknown as { axe: typeof axe }).axe.run(part ?? document, {
      runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'],
      resultTypes: ['violations'],
      iframes: false,
      preload: false,
    })
    return found.violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(' | ')}`)
  }, whole)
  expect(violations).toEqual([])
}

export const papers = ['A4', 'Letter'] as const
/** How many sides a page prints on. */
export async function sides(page: Page, format: (typeof papers)[number]) {
  const pdf = await page.pdf({ format })
  return (pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g) ?? []).length
}

export const ball = (page: Page) => page.locator('[data-ball]').innerText()

export { expect }

/** Goes to a stage of the open plan by the rail, whose groups are opened until it stands there; one that the
 * rail hides is opened by its address. */
export async function visit(page: Page, stage: string) {
  const rail = page.getByRole('navigation', { name: 'Stages' })
  const link = rail.locator(`a[href$="/${stage}"]`)
  const groups = rail.locator('[data-group]')
  for (let g = 0, n = await groups.count(); !(await link.count()) && g < n; g++) await groups.nth(g).click()
  if (await link.count()) await link.click()
  else await page.goto(page.url().replace(/(\/plan\/[^/]+)\/.*/, `$1/${stage}`))
  await expect(page).toHaveURL(new RegExp(`/${stage}`))
  await settled(page)
}

/** Goes to a stage by the rail, opening its group first. */
export async function toStage(page: Page, group: string, name: string) {
  const rail = page.getByRole('navigation', { name: 'Stages' })
  const link = rail.getByRole('link', { name: new RegExp(name) })
  if (!(await link.isVisible())) await rail.getByRole('button', { name: new RegExp(`^${group}`) }).click()
  await link.click()
}
