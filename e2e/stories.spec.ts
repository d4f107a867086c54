// Five stories, each from an empty plan to its end, with what they ask of a hand: clicks and fields, held against what was aimed at
// before they were first walked.
import type { Locator, Page } from '@playwright/test'
import { accessible, expect, papers, saved, settled, sides, studied, test, toStage } from './rig'

// KEYS=1 walks the stories by the keyboard alone: by Tab to each thing, by arrows within lists and tabs.
// DARK=1 walks them in the dark, each stage held against what eyes need; WIDE=390 on a screen so wide; OTHER=1 in the
// units that their region does not begin with. PRINT=1 holds each story's departure card to one side.
const keys = !!process.env.KEYS
const dark = !!process.env.DARK
const wide = Number(process.env.WIDE)
const printed = !!process.env.PRINT
test.beforeEach(async ({ page }) => {
  if (wide) await page.setViewportSize({ width: wide, height: 844 })
  if (dark) await page.addInitScript(() => localStorage.setItem('theme', 'dark'))
})

/** A hand that counts what it does. */
class Hand {
  clicks = 0
  fields = 0
  presses = 0
  typed = 0 // characters
  words = 0 // of all lines that were on a page, each line once
  private readonly seen = new Set<string>()
  constructor(readonly page: Page) {}

  /** Reads what is on the page and was not there before, numbers left out. */
  private async read() {
    for (const line of (await this.page.evaluate(() => document.body.innerText)).split('\n')) {
      const words = line.match(/\p{L}{2,}/gu) ?? []
      const key = words.join(' ')
      if (this.seen.has(key)) continue
      this.seen.add(key)
      this.words += words.length
    }
  }

  async click(what: Locator) {
    await this.read()
    this.clicks++
    if (!keys) return what.click()
    await this.reach(what)
    await this.press('Enter')
  }
  private async press(key: string) {
    this.presses++
    await this.page.keyboard.press(key)
  }
  /** Goes by keys to a thing, forward from where one is; it must be reached before everything was passed twice. */
  private async reach(what: Locator) {
    await what.waitFor()
    // of a link of the text, what takes the focus is around it
    const at = () =>
      what.evaluate((e) => {
        const own =
          e.closest('summary, a[href], button, [role=option], [role=tab], input, select, textarea') ?? e
        const now = document.activeElement
        if (own === now) return 'here'
        const list = own.getAttribute('role') === 'tab' && own.closest('[role=tablist]')
        if (list && now && list.contains(now)) return 'list'
        if (own.getAttribute('role') === 'option')
          return own.matches('[data-headlessui-state~=active]') ? 'here' : 'list'
        return ''
      })
    for (let i = 0; i < 400; i++) {
      const where = await at()
      if (where === 'here') return
      const tab = where === 'list' && (await what.evaluate((e) => e.getAttribute('role') === 'tab'))
      await this.press(where === 'list' ? (tab ? 'ArrowRight' : 'ArrowDown') : 'Tab')
    }
    throw new Error(`no key leads to ${what}`)
  }
  button(name: string | RegExp, within: Locator | Page = this.page) {
    return this.click(within.getByRole('button', { name, exact: typeof name === 'string' }).first())
  }
  async fill(label: string | RegExp, text: string, within: Locator | Page = this.page) {
    await this.read()
    this.fields++
    this.typed += text.length
    const field = within.getByLabel(label, { exact: typeof label === 'string' }).first()
    if (keys) {
      await this.reach(field)
      await this.press('Control+a')
      await this.page.keyboard.type(text)
    } else await field.fill(text)
    await field.press('Tab')
  }
  /** Opens a choice and takes one of it: one field. */
  async choose(field: string | RegExp, option: string | RegExp, within: Locator | Page = this.page) {
    await this.read()
    this.fields++
    const [button, of] = [
      within.getByRole('button', { name: field }).first(),
      this.page.getByRole('option', { name: option }).first(),
    ]
    if (!keys) {
      await button.click()
      return of.click()
    }
    await this.reach(button)
    await this.press('Enter')
    await this.reach(of)
    await this.press('Enter')
  }
  async stage(group: string, name: string) {
    await this.read()
    this.clicks++
    const rail = this.page.getByRole('navigation', { name: 'Stages' })
    const link = rail.getByRole('link', { name: new RegExp(name) })
    if (!keys) await toStage(this.page, group, name)
    else {
      if (!(await link.isVisible())) {
        await this.reach(rail.getByRole('button', { name: new RegExp(`^${group}`) }))
        await this.press('Enter')
      }
      await this.reach(link)
      await this.press('Enter')
    }
    await settled(this.page)
    if (dark) await accessible(this.page)
  }
  async tab(name: string) {
    await this.click(this.page.getByRole('tab', { name, exact: true }))
  }
  next() {
    return this.button('Next')
  }
  /**
   * Minutes of a hand that knows the way, by the keystroke-level model (Card, Moran and Newell 1983): a thought
   * 1.35 s, pointing 1.1 s, a click 0.2 s, from mouse to keys and back 0.8 s, a key 0.28 s. Taping and
   * weighing are not in it, nor is reading.
   */
  private minutes() {
    const [think, point, press, reach, key] = [1.35, 1.1, 0.2, 0.8, 0.28]
    return (
      ((this.clicks + this.fields) * (think + point + press) + this.fields * reach + this.typed * key) / 60
    )
  }
  /** Minutes of one who reads every line that the pages show once, at 238 words a minute (Brysbaert 2019). */
  private reading() {
    return this.words / 238
  }
  /** It took no more than was aimed at, five minutes of a hand and fifteen of reading everything at most. */
  async within(clicks: number, fields: number) {
    const over = () => document.documentElement.scrollWidth - innerWidth
    await expect.poll(() => this.page.evaluate(over), 'nothing runs over').toBeLessThanOrEqual(0)
    await this.read()
    const [minutes, reading] = [this.minutes(), this.reading()]
    const description =
      `${this.clicks} of ${clicks} clicks, ${this.fields} of ${fields} fields, ` +
      `${minutes.toFixed(1)} of 5 minutes, ${reading.toFixed(1)} of 15 for all ${this.words} words`
    test.info().annotations.push({ type: 'hand', description })
    if (keys)
      test.info().annotations.push({ type: 'keys', description: `${this.presses} keys beside what is typed` })
    expect(this.clicks, 'clicks').toBeLessThanOrEqual(clicks)
    expect(this.fields, 'fields').toBeLessThanOrEqual(fields)
    expect(minutes, 'minutes').toBeLessThanOrEqual(5)
    expect(reading, 'minutes of reading').toBeLessThanOrEqual(15)
    if (printed) await this.prints()
  }
  /** The departure card that the story comes to is one side. */
  private async prints() {
    await saved(this.page)
    await this.page.goto(this.page.url().replace(/\/[^/]*$/, '/road'))
    await settled(this.page)
    for (const paper of papers) expect.soft(await sides(this.page, paper), paper).toBe(1)
    if (!process.env.PICTURES) return
    await this.page.emulateMedia({ media: 'print' })
    await this.page.setViewportSize({ width: 794, height: 1123 })
    const path = `${process.env.PICTURES}/${test.info().title.slice(0, 12).replace(/\W/g, '-')}.png`
    await this.page.screenshot({ path, fullPage: true })
    await this.page.emulateMedia({ media: null })
  }
}

const headline = (page: Page) => page.locator('[data-headline]')
const check = (page: Page, code: string) => page.locator(`[data-code="${code}"]`).first()

/** What is stated at the first run; what is left out is skipped. */
interface Told {
  region: string
  load: [name: string, kind: RegExp | undefined, count: string, weight: string]
  label?: string
  counts?: RegExp
  kind?: RegExp
  lengths: Record<string, string>
  car?: Record<string, string>
  brakes?: string
  scale?: string
}
async function begin(hand: Hand, told: Told) {
  const { page } = hand
  await page.goto('/new')
  await hand.button(told.region)
  await hand.next()
  const [name, kind, count, weight] = told.load
  hand.fields++
  hand.typed += name.length
  await page.getByLabel('Name').fill(name)
  if (kind) {
    await hand.click(page.getByRole('option', { name: kind }).first())
    await expect(page.getByLabel('Name')).toBeFocused() // the list gives the focus back a moment later
  }
  if (count !== '1') await hand.fill('How many', count)
  await hand.fill('Weight of each', weight)
  await hand.next()
  if (told.label) await hand.fill('The label’s number', told.label)
  if (told.counts) await hand.choose(/This number is/, told.counts)
  if (told.kind) await hand.choose(/Kind of trailer/, told.kind)
  await hand.next()
  for (const [label, value] of Object.entries(told.lengths)) await hand.fill(label, value)
  await hand.next()
  for (const [label, value] of Object.entries(told.car ?? {})) await hand.fill(label, value)
  if (told.brakes) await hand.choose(/Brakes on your trailer/, told.brakes)
  await hand.next()
  if (told.scale) await hand.fill('The scale reads', told.scale)
  await hand.button('Show the rig')
  await settled(page)
  if (process.env.OTHER) {
    await page.getByRole('button', { name: /^Units:/ }).click()
    await settled(page)
  }
}
/** Rings, straps with their limit, and the plan of how they run. */
async function tieDown(hand: Hand, limit: string, length: string, count = '4') {
  const { page } = hand
  await hand.stage('Load', 'Tie-down')
  await hand.button('Six rings, three a side')
  await settled(page)
  await hand.button('Straps', page.locator('[data-straps]'))
  await settled(page)
  if (count !== '4') await hand.fill('How many', count, page.locator('[data-straps]'))
  await hand.fill('Working limit (LC) on its tag', limit)
  await hand.fill('Its length', length)
  await hand.button('Plan straps for me')
  await hand.button('Do it', page.locator('[data-tie-sets]'))
  await settled(page)
  await expect(page.locator('[data-tie-answer]')).toContainText(/stay/)
  await expect(check(page, 'tie.rule')).not.toHaveAttribute('data-outcome', 'fails')
}
/** The departure card, on one side. */
async function card(hand: Hand) {
  const { page } = hand
  await hand.stage('Use', 'Road')
  await expect(page.getByRole('button', { name: 'Print' })).toBeVisible()
  for (const paper of papers) expect(await sides(page, paper), paper).toBe(1)
}

test('a folding kit for two hulls: from the label to the departure card', async ({ page }) => {
  const hand = new Hand(page)
  await begin(hand, {
    region: 'North America',
    load: ['paddle hulls', /touring/i, '2', '62 lb'],
    label: '1175',
    kind: /folding kit/,
    lengths: {
      'Coupler to axle': "7' 10",
      'Coupler to deck front': '40 in',
      'Deck length': "8'",
      'Deck width': "4'",
    },
    scale: '60',
  })
  await expect(headline(page)).toContainText('tongue weight')
  await hand.stage('Load', 'Racks')
  await hand.button('Plan racks')
  const plans = page.locator('[data-rack-plans]')
  await expect(plans).toContainText(/2 hulls, \d ways?/)
  await hand.button('Do it', plans.getByRole('listitem').first())
  await settled(page)
  await expect(page.locator('[data-rack]')).toHaveCount(1)
  await tieDown(hand, '330 lb', "15'", '8')
  await card(hand)
  await saved(page)
  await hand.within(25, 20)
})

test('an old camper frame becomes a flat trailer on a budget, on a phone', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const hand = new Hand(page)
  await begin(hand, {
    region: 'United Kingdom',
    load: ['Shed panels', /board|sheet|panel/i, '1', '220 kg'],
    kind: /frame/,
    lengths: {
      'Coupling head to axle': '3.1 m',
      'Coupling head to deck front': '1.3 m',
      'Deck length': '3.4 m',
      'Deck width': '1.7 m',
    },
    car: { 'Towing limit': '1500', 'Noseweight limit': '75' },
    brakes: 'with brakes',
  })
  await hand.stage('Build', 'Frame')
  await hand.button('rails that run to it, as under a camper')
  await settled(page)
  await expect(page.locator('[data-strength]')).toContainText('Load cases')
  await hand.tab('Cut list')
  await studied(page)
  await expect(page.locator('[data-cut]')).toContainText('Buy')
  await hand.stage('Use', 'Money')
  await hand.fill('It may cost, at most', '600')
  for (const [item, sum] of [
    ['Old camper', '150'],
    ['Floor', '180'],
    ['Lamps and cable', '70'],
  ] as const) {
    await hand.button('Another item')
    await hand.fill('Item', item)
    await hand.fill('Planned', sum)
  }
  await expect(page.locator('[data-ledger]').getByRole('status')).toContainText('£400 to come')
  await hand.stage('Use', 'Papers')
  await hand.choose(/The trailer is/, /[Cc]hanged/)
  await studied(page)
  await expect(page.locator('[data-papers=rows]').getByRole('status')).toContainText('papers are there')
  await saved(page)
  await hand.within(30, 18)
})

test('a boat from the water on a second-hand trailer with two axles', async ({ page }) => {
  const hand = new Hand(page)
  await begin(hand, {
    region: 'Australia',
    load: ['Tinnie', /boat|skiff|tender/i, '1', '310 kg'],
    label: '1400',
    counts: /Trailer and load together/,
    kind: /two axles|tandem/i,
    lengths: {
      'Coupling to axle': '3.4 m',
      'Coupling to deck front': '1.2 m',
      'Deck length': '3.6 m',
      'Deck width': '1.8 m',
    },
    car: { 'Towing capacity': '1600', 'Ball weight limit': '120' },
    brakes: 'with brakes',
    scale: '45',
  })
  await hand.stage('Load', 'Racks')
  await hand.button('Cradle for a boat')
  await settled(page)
  await expect(check(page, 'launch.support')).toHaveAttribute('data-outcome', 'holds')
  const water = page.locator('[data-cradle]')
  await hand.fill('The slip falls by', '8', water)
  await hand.fill(/draft astern/, '180 mm', water)
  await settled(page)
  await expect(check(page, 'launch.hubs')).toBeVisible()
  await tieDown(hand, '500 kg', '5 m')
  await card(hand)
  await saved(page)
  await hand.within(30, 22)
})

test('a machine on ramps with a winch', async ({ page }) => {
  const hand = new Hand(page)
  await begin(hand, {
    region: 'EU, typical',
    load: ['Quad', /^Quad/, '1', '330 kg'],
    label: '750',
    counts: /Trailer and load together/,
    lengths: {
      'Coupling head to axle': '2.5 m',
      'Coupling head to deck front': '1.2 m',
      'Deck length': '2.5 m',
      'Deck width': '1.3 m',
    },
    car: { 'Towed mass limit': '1500', 'Noseweight limit': '75' },
    scale: '30',
  })
  await hand.stage('Load', 'Ramps')
  await hand.button('A machine gets on')
  await hand.button('Add ramps')
  await settled(page)
  await hand.fill('Length along it', '1.9 m')
  await hand.fill('Wheelbase', '1.25 m')
  await hand.fill('Ground clearance', '250 mm')
  await hand.choose(/^It is/, 'pulled by a winch')
  await hand.button('Describe the winch')
  await hand.fill('Rated pull, first layer', '900 kg')
  await settled(page)
  // what is still missing is asked where the drive will be shown
  const drive = page.locator('[data-drive]')
  await expect(drive).toContainText("enter the deck's height")
  await hand.fill("The deck's height", '520 mm', drive)
  await settled(page)
  await expect(drive.locator('svg')).not.toHaveCount(0)
  await expect(check(page, 'ramp.winch')).not.toHaveAttribute('data-outcome', 'unknown')
  await expect(page.locator('[data-loading-card]')).toContainText('Only then release')
  await tieDown(hand, '500 kg', '4 m')
  await card(hand)
  await saved(page)
  await hand.within(25, 20)
})

test('an own frame with a tipping bed: from bars to plate to the first slip', async ({ page }) => {
  const hand = new Hand(page)
  await begin(hand, {
    region: 'United Kingdom',
    load: ['gravel', /Loose material/, '1', '400 kg'],
    lengths: {
      'Coupling head to axle': '2.6 m',
      'Coupling head to deck front': '1.2 m',
      'Deck length': '2.4 m',
      'Deck width': '1.4 m',
    },
    car: { 'Towing limit': '1500', 'Noseweight limit': '75' },
  })
  await hand.stage('Build', 'Frame')
  await hand.button('The lightest')
  const found = page.locator('[data-design] article').first()
  await expect(found).toContainText('cross members')
  await hand.button('Take it', found)
  await settled(page)
  await expect(check(page, 'frame.strength')).not.toHaveAttribute('data-outcome', 'fails')
  await hand.tab('Cut list')
  await studied(page)
  await hand.stage('Build', 'Body')
  await hand.choose(/It is raised by/, 'A cylinder under the bed')
  await hand.button('Lay it out')
  await studied(page)
  await expect(page.locator('[data-tip]')).toContainText('on the cylinder')
  await hand.stage('Build', 'Workshop')
  await studied(page)
  await expect(page.locator('[data-order]').getByRole('status')).toContainText('steps')
  await hand.tab('As built')
  await hand.stage('Use', 'Papers')
  await hand.choose(/The trailer is/, /[Bb]uilt/)
  await hand.tab('Plate and label')
  await hand.fill('Identity number', 'HB-2026-1')
  await expect(page.locator('[data-plate]').getByRole('status')).toContainText('draft')
  await hand.stage('Use', 'Log')
  await hand.button(/driven today$/)
  await hand.tab('Slips')
  await hand.button('A slip')
  await hand.fill('Loaded, on the slip', '720')
  await hand.fill('Empty, on the slip', '310')
  await hand.fill('It filled', '0.25')
  await expect(page.locator('[data-slips]').getByRole('status')).toContainText('by 1 slip')
  await saved(page)
  await hand.within(40, 24)
})
