import { accessible, expect, saved, settled, studied, test } from './rig'

test('square, level and the axle, as they are taped', async ({ page, lock }) => {
  await lock.open('workshop')
  await page.getByRole('tab', { name: 'Square' }).click()
  const put = async (label: string, value: string) => {
    await page.getByLabel(label, { exact: true }).fill(value)
    await page.getByLabel(label, { exact: true }).press('Enter')
    await settled(page)
  }
  for (const [label, value] of [
    ['Front side', '1400'],
    ['Rear side', '1400'],
    ['Left side', '2500'],
    ['Right side', '2500'],
    ['Front left to rear right', '2872'],
    ['Front right to rear left', '2858'],
  ] as const)
    await put(label, value)
  const square = page.locator('[data-code="workshop.square"]')
  await expect(square).toHaveAttribute('data-outcome', 'tight')
  await expect(square).toContainText('rear right corner')
  await studied(page)
  await expect(page.locator('[data-view=square]')).toBeVisible()
  await accessible(page)

  await page.getByRole('tab', { name: 'Level' }).click()
  for (const [i, v] of ['812', '812', '830', '812'].entries()) {
    await page.getByLabel('Reading', { exact: true }).nth(i).fill(v)
    await page.getByLabel('Reading', { exact: true }).nth(i).press('Enter')
    await settled(page)
  }
  await expect(page.locator('[data-code="workshop.level"]')).toContainText('rear right')

  await page.getByRole('tab', { name: 'Axle' }).click()
  await put('Coupling head to the left spindle', '2630')
  await put('to the right spindle', '2615')
  await put('Those places, apart', '1500')
  await expect(page.locator('[data-code="workshop.axle"]')).toHaveAttribute('data-outcome', 'tight')
  await accessible(page)
})

test('the work in an order that is right', async ({ page, lock }) => {
  await lock.open('workshop')
  await studied(page)
  const order = page.locator('[data-order]')
  await expect(order.getByRole('status')).toContainText('turned over 2 times')
  const first = order.locator('[data-step=cut]')
  await first.getByRole('button', { name: /Not done$/ }).click()
  await first.getByText('time, note, photo, place').click()
  await first.getByLabel('Minutes it took').fill('95')
  await first.getByLabel('Note').fill('blade changed twice')
  await first.getByLabel(/^Photo of/).setInputFiles({
    name: 'cut.png',
    mimeType: 'image/png',
    buffer: Buffer.from(
      'iVBORw0KGgoAAAANSUhEUgAAAAQAAAAECAIAAAAmkwkpAAAAHklEQVR42mOwiaqAI4aAqAo4YkiJqoAjhoqoCjgCANGTEsEpCFwbAAAAAElFTkSuQmCC',
      'base64',
    ),
  })
  await first.getByRole('button', { name: /^Open the photo of/ }).click()
  await expect(page.getByRole('dialog').getByRole('img')).toBeVisible()
  await accessible(page)
  await page.keyboard.press('Escape')
  await expect(first.getByRole('button', { name: /^Open the photo of/ })).toBeFocused()
  await saved(page)
  // what was not taped waits, and goes on with a reason alone
  const align = order.locator('[data-step=align]')
  await expect(align).toContainText('First tape it')
  await align.getByRole('button', { name: 'Go on without' }).click()
  await align.getByLabel('Why').fill('taped on paper')
  await align.getByRole('button', { name: 'It is done' }).click()
  await expect(align.getByRole('button', { name: /Done$/ })).toHaveAttribute('aria-pressed', 'true')
  // a step of one's own, taken out and brought back
  await order.getByRole('button', { name: 'Another step' }).click()
  const own = order.locator('[data-step^=own]')
  await own.getByLabel('What it is').fill('Fetch the trestles')
  await expect(own).toContainText('Fetch the trestles')
  await own.getByRole('button', { name: 'Take it out' }).click()
  await expect(own).toHaveCount(0)
  await order.getByRole('button', { name: 'Bring it back' }).click()
  await expect(own).toContainText('Fetch the trestles')
  await accessible(page)
  // records are the server's: a reload shows them, the plan itself was never changed
  await saved(page)
  await page.reload()
  await expect(first.getByRole('button', { name: /Done$/ })).toHaveAttribute('aria-pressed', 'true')
  await expect(first).toContainText('took 1.6 h')
})

test('what came, what holds it together, and what was built', async ({ page, lock }) => {
  await lock.open('workshop')
  // parts: a list is pasted, a line is wrong, one part is missing and holds up its step
  await page.getByRole('tab', { name: 'Parts' }).click()
  await studied(page)
  const parts = page.locator('[data-parts]')
  await expect(parts.getByRole('status')).toContainText('4 lines')
  await parts.getByLabel('A list of parts').fill('2 x wheel 165 R13\nmudguard;two')
  await parts.getByRole('button', { name: 'Take these lines' }).click()
  await expect(parts).toContainText('Line 2: “two” is not a number of pieces.')
  const wheel = parts.locator('li', { hasText: 'wheel 165 R13' })
  await wheel.getByLabel('There', { exact: true }).fill('1')
  await expect(wheel).toContainText('1 missing')
  await expect(wheel).toContainText('It holds up the wheels.')
  await parts.getByRole('button', { name: 'All there' }).first().click()
  await expect(parts.getByRole('status')).toContainText('something is wrong on 1')
  await accessible(page)

  // joints: the order of the welds
  await page.getByRole('tab', { name: 'Joints' }).click()
  await expect(page.locator('[data-joints]').getByRole('status')).toContainText('welded places')
  await expect(page.locator('[data-view=welds]')).toBeVisible()
  await accessible(page)

  // tools: one is hired, and costs
  await page.getByRole('tab', { name: 'Tools' }).click()
  const saw = page.locator('[data-tool]', { hasText: 'Saw for metal' })
  await saw.getByRole('button').click()
  await page.getByRole('option', { name: 'hired' }).click()
  await saw.getByLabel('Cost').fill('35')
  await expect(page.locator('[data-tools]').getByRole('status')).toContainText('£35')
  await accessible(page)

  // as built: what was taped goes into the plan, what was drawn stays beside it
  await page.getByRole('tab', { name: 'As built' }).click()
  const axle = page.locator('[data-measure=axle]')
  await axle.getByRole('textbox').fill('2668')
  await expect(axle).toContainText('+8 mm')
  await page.getByRole('button', { name: 'Use them in the plan' }).click()
  await settled(page)
  await expect(axle).toContainText('in the plan')
  await expect(axle).toContainText('2660 mm')
  await accessible(page)

  // a snag that stops it locks the first drive, and is put right
  await page.getByRole('tab', { name: 'Snags' }).click()
  const snags = page.locator('[data-snags]')
  await snags.getByRole('button', { name: 'Another snag' }).click()
  await snags.getByLabel('What is wrong').fill('Left rear lamp is loose')
  await snags.getByRole('switch', { name: 'Before it is driven' }).click()
  await expect(snags.getByRole('status')).toContainText('1 before it is driven')
  await snags.getByRole('button', { name: /lamp is loose: open/ }).click()
  await expect(snags.getByRole('status')).toContainText('fixed')
  await accessible(page)
  await saved(page)
})
