import { readFile } from 'node:fs/promises'
import type { Download, Page } from '@playwright/test'
import { choose, dialogReady, expect, field, hand, openDemo, take, takeCard, test, type } from './fixtures'

const read = async (download: Download): Promise<string> => readFile(await download.path(), 'utf8')

async function download(page: Page, button: string): Promise<string> {
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: button, exact: true }).click(),
  ])
  return read(file)
}

const figure = (page: Page, name: string) => page.locator(`[data-figure="${name}"] .value`)

test('from a demo design to a cut list, a saved file and a new design', async ({ page }) => {
  await openDemo(page, 'Sallow Marsh ringing hut')
  await expect(figure(page, 'angle')).toHaveText('32°')

  // drag the pitch: up a foot on the drawing's ridge
  const ridge = page.locator('[data-handle="roof.pitch"]')
  const at = await ridge.boundingBox()
  if (!at) throw new Error('no handle')
  const [x, y] = [at.x + at.width / 2, at.y + at.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x, y - 20, { steps: 5 })
  await page.mouse.move(x, y - 40, { steps: 5 })
  await page.mouse.up()
  const pitch = await field(page, 'Pitch').inputValue()
  const rise = Number(pitch.replace(' in 12', ''))
  expect(rise).toBeGreaterThan(8)
  expect(rise * 4).toBe(Math.round(rise * 4))
  const angle = (Math.atan(rise / 12) * 180) / Math.PI
  await expect(figure(page, 'angle')).toHaveText(`${Number(angle.toFixed(1))}°`)

  // type an overhang as people do
  await field(page, 'Overhang at the eaves').fill('1\' 2 1/2"')
  await page.keyboard.press('Enter')
  await expect(field(page, 'Overhang at the eaves')).toHaveValue('1\' 2 1/2"')

  // read the card: line length is run over the cosine, 4' 9" of run
  const line = 57 / Math.cos((angle * Math.PI) / 180)
  const shown = await figure(page, 'line-length').innerText()
  const [feet = '0', rest = '0'] = shown.replace('"', '').split("' ")
  const inches = rest
    .split(' ')
    .reduce(
      (sum, part) =>
        sum + (part.includes('/') ? Number(part.split('/')[0]) / Number(part.split('/')[1]) : Number(part)),
      0,
    )
  expect(Math.abs(Number(feet) * 12 + inches - line)).toBeLessThan(1 / 32 + 1e-6)
  await page.locator('[data-figure="ridge-deduction"]').click()
  await expect(page.locator('[data-figure="ridge-deduction"]')).toContainText('3/4" level')

  // tick it
  await page.getByRole('button', { name: 'Tick as cut' }).click()
  await expect(page.getByRole('button', { name: 'Cut', exact: true })).toBeVisible()

  // take files away
  await page.keyboard.press('s')
  await expect(page.getByText('16 of 239 cut')).toBeVisible()
  const csv = await download(page, 'Save the cut list as CSV')
  expect(csv).toContain('R1,16,common rafter,2x6')
  const json = await download(page, 'Save the design as a file')
  const saved = JSON.parse(json) as { roof: { overhang: { eave: number } }; cut: unknown[] }
  expect(saved.roof.overhang.eave).toBeCloseTo(14.5 * 25.4, 9)
  expect(saved.cut).toHaveLength(16)

  // it is all there after a reload
  await page.reload()
  await expect(page.getByText('16 of 239 cut')).toBeVisible()
  await page.keyboard.press('r')
  await expect(field(page, 'Pitch')).toHaveValue(pitch)

  // the file comes in as a new design
  await page.getByRole('link', { name: 'Shelf' }).click()
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Import a file' }).click(),
  ])
  await chooser.setFiles({ name: 'hut.json', mimeType: 'application/json', buffer: Buffer.from(json) })
  await page.getByRole('link', { name: /^Sallow Marsh ringing hut 2/ }).click()
  await expect(field(page, 'Pitch')).toHaveValue(pitch)
  await takeCard(page)

  // units change, geometry does not
  await page.locator('#sheet').focus()
  await page.keyboard.press('u')
  await expect(field(page, 'Overhang at the eaves')).toHaveValue('368')
  await expect(figure(page, 'line-length')).toHaveText(`${Math.round(line * 25.4)} mm`)
  await page.keyboard.press('u')
  await expect(field(page, 'Overhang at the eaves')).toHaveValue('1\' 2 1/2"')

  // undo to the start of the first design, whose history outlived the reload
  await page.getByRole('link', { name: 'Shelf' }).click()
  await page.getByRole('link', { name: /^Sallow Marsh ringing hut(?! 2)(?!,)/ }).click()
  await page.locator('.room').waitFor()
  await takeCard(page)
  const undo = page.getByRole('button', { name: 'Undo' })
  for (let i = 0; i < 10 && (await undo.isEnabled()); i++) {
    const before =
      (await page.locator('.tally').innerText()) +
      (await field(page, 'Pitch').inputValue()) +
      (await page.getByRole('button', { name: /^(Tick as cut|Cut)$/ }).innerText())
    await page.keyboard.press('Control+z')
    await expect
      .poll(
        async () =>
          (await page.locator('.tally').innerText()) +
          (await field(page, 'Pitch').inputValue()) +
          (await page.getByRole('button', { name: /^(Tick as cut|Cut)$/ }).innerText()),
      )
      .not.toBe(before)
  }
  await expect(undo).toBeDisabled()
  await expect(field(page, 'Pitch')).toHaveValue('7.5 in 12')
  await expect(field(page, 'Overhang at the eaves')).toHaveValue('1\' 2"')
  await page.keyboard.press('Control+Shift+z')
  await expect(field(page, 'Pitch')).toHaveValue(pitch)
})

test('a new building by keyboard alone', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'New', exact: true }).focus()
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Millimetres' }).focus()
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Empty frame' }).focus()
  await page.keyboard.press('Enter')
  await page.getByLabel('Length', { exact: true }).focus()
  await page.keyboard.type('banana')
  await expect(page.getByRole('alert').filter({ hasText: '“banana” is not understood' })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByLabel('Length', { exact: true }).fill('3.6 m')
  await page.getByRole('button', { name: 'Begin' }).focus()
  await page.keyboard.press('Enter')
  await page.locator('.room').waitFor()
  await field(page, 'Span').focus()
  await page.keyboard.type('3.2 m')
  await page.keyboard.press('Enter')
  await expect(field(page, 'Span')).toHaveValue('3200')
  await field(page, 'Wall height').focus()
  await page.keyboard.press('ArrowUp')
  await expect(field(page, 'Wall height')).toHaveValue('2110')
  await page.getByRole('slider', { name: 'Pitch, drag' }).focus()
  await page.keyboard.press('ArrowUp')
  await expect(field(page, 'Pitch')).toHaveValue('27°')
  await page.locator('#sheet').focus()
  await page.keyboard.press('w')
  await expect(page).toHaveURL(/walls$/)
  // boards of the drawing by arrows, out of them to the wall and on, and the cards by J and K
  await expect(page.getByRole('img', { name: 'The south wall, seen from outside' })).toBeVisible()
  await page.keyboard.press('d')
  await page.keyboard.press('ArrowLeft')
  await page.keyboard.press('ArrowRight')
  await expect(page.locator('.room-card .mark').first()).toHaveText(/^(S|TP|BP)\d/)
  await page.keyboard.press('Escape')
  await expect(hand(page).getByRole('heading', { name: 'South wall' })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(hand(page).getByRole('heading', { name: 'Walls', level: 2 })).toBeVisible()
  await page.keyboard.press('h')
  await expect(hand(page).getByRole('heading', { name: 'Walls', level: 2 })).toBeFocused()
  await page.keyboard.press('j')
  const mark = await page.locator('.room-card .mark').first().innerText()
  await page.keyboard.press('j')
  await expect(page.locator('.room-card .mark').first()).not.toHaveText(mark)
  await page.keyboard.press('k')
  await expect(page.locator('.room-card .mark').first()).toHaveText(mark)
  await page.keyboard.press('/')
  await expect(page.locator('#find-piece')).toBeFocused()
  await page.keyboard.type('tp2')
  await page.keyboard.press('Enter')
  await expect(page.locator('.room-card .mark').first()).toHaveText('TP2')
  await page.keyboard.press('Escape')
  await page.keyboard.press('x')
  await expect(page.getByRole('checkbox', { name: 'TP2 is cut', exact: true })).toBeChecked()
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('Ctrl+Shift+Z')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
})

test(
  'each wall is shown, and a choice of section, corner and plates changes its boards',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page, 'Sallow Marsh ringing hut', 'walls')
    await expect(page.getByRole('img', { name: 'The south wall, seen from outside' })).toBeVisible()
    const marks = page.getByRole('img', { name: /marked as a pair/ })
    await expect(marks).toHaveAccessibleName(/: 0", 3", 1' 3 1\/4", 2' 7 1\/4"/)
    for (const [wall, from] of [
      ['East', 'outside'],
      ['North', 'inside'],
      ['West', 'inside'],
    ] as const) {
      await page.getByRole('button', { name: wall, exact: true }).click()
      await expect(
        page.getByRole('img', { name: `The ${wall.toLowerCase()} wall, seen from ${from}` }),
      ).toBeVisible()
    }
    await page.getByRole('button', { name: 'South', exact: true }).click()
    await take(page, 'Walls')
    await choose(page, 'Corners', 'Nailer laid flat')
    await expect(marks).toHaveAccessibleName(/: 0", 1 1\/2", 1' 3 1\/4"/)
    await choose(page, 'Top plates', 'One')
    await page.locator('path.wood[data-member="walls/south/plate/bottom"]').first().click()
    await expect(page.locator('.room-card .mark').first()).toHaveText('BP1')
    await page.getByRole('button', { name: /cautions/ }).click()
    await dialogReady(page)
    await expect(page.getByRole('dialog')).toContainText('single top plate')
  },
)

test(
  "every school of the bird's mouth is there, and own sizes can be added",
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page, 'Sallow Marsh ringing hut')
    const school = async (name: string): Promise<void> => {
      await take(page, 'Roof')
      await choose(page, 'Seat', name)
      await takeCard(page)
    }
    await school('Full bearing')
    await expect(figure(page, 'seat')).toHaveText('3 1/2"')
    await school('Third of the depth, plumb')
    await expect(figure(page, 'heel')).toHaveText('1 13/16"')
    const before = await figure(page, 'length').innerText()
    await school('Chosen height above plate')
    await expect(figure(page, 'length')).toHaveText(before)
    await take(page, 'Roof')
    await type(page, 'Height above plate', '5')
    await takeCard(page)
    await expect(figure(page, 'height-above-plate')).toHaveText('5"')
    await school('None: level cut')
    await expect(page.getByRole('alert')).toContainText('runs out before the overhang ends')
    await take(page, 'Lumber')
    await field(page, 'Name').fill('barn 3x12')
    await page.getByLabel('Thickness').fill('3')
    await page.getByLabel('Depth').fill('oak')
    await page.getByRole('button', { name: 'Add', exact: true }).click()
    await expect(hand(page).getByRole('alert')).toContainText('“oak” is not understood')
    await page.getByLabel('Depth').fill('12')
    await page.getByRole('button', { name: 'Add', exact: true }).click()
    await expect(hand(page)).toContainText('barn 3x12')
    await take(page, 'Roof')
    await choose(page, 'Rafters', /^barn 3x12/)
    await takeCard(page)
    await expect(page.locator('.room-card')).toContainText('barn 3x12 · 3" × 12"')
    await expect(page.getByRole('alert')).toHaveCount(0)
  },
)
