import type { Page } from '@playwright/test'
import { cutOff } from './cut-off'
import { expect, test } from './fixtures'

const demos = [
  'Sallow Marsh ringing hut',
  'Sallow Marsh ringing hut, metric',
  'Sallow Marsh reed store',
  'Sallow Marsh nest-box workshop',
  'Sallow Marsh reed hide',
]
/** The benches, and the choice of views on each. */
const views = {
  roof: 'Section, plan or end',
  walls: 'Frame, sheets or plan',
  floor: 'Frame or deck',
  ground: 'Step on the ground',
  saw: null,
} as const

/** Until what was asked for is drawn. */
const drawn = (page: Page): Promise<void> =>
  page.evaluate(
    () =>
      new Promise<void>(resolve =>
        requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(resolve, 30))),
      ),
  )

/** mm by eye: a drawing is looked at from no less than this at 1280 by 800, px. */
const LEAST = 520

class Look {
  readonly faults: string[] = []
  constructor(
    readonly page: Page,
    readonly large: boolean,
  ) {}

  async at(what: string): Promise<void> {
    await drawn(this.page)
    for (const fault of await this.page.evaluate(cutOff)) this.faults.push(`${what}: ${fault}`)
    const sheet = this.page.locator('.workbench > .sheet')
    if (this.large && (await sheet.count())) {
      const height = (await sheet.boundingBox())?.height ?? 0
      if (height < LEAST) this.faults.push(`${what}: the drawing is ${Math.round(height)} px high`)
    }
  }
}

async function lookAtBenches(page: Page, look: Look, name: string, turns: boolean): Promise<void> {
  const turn = async (to: 'Drawing' | 'Hand'): Promise<void> => {
    if (turns) await page.locator('.room-turn button')[to === 'Drawing' ? 'first' : 'last']().click()
  }
  const group = (label: string) => page.locator('#sheet').getByRole('group', { name: label, exact: true })
  for (const [bench, choice] of Object.entries(views)) {
    await page.locator(`.pole a.bench[href$="/${bench}"]`).click()
    await expect(page.locator('.room')).toBeVisible()
    await turn('Drawing')
    await expect(choice ? page.locator('.workbench .strip').first() : page.locator('.list')).toBeVisible()
    if (choice && bench !== 'floor') await expect(group(choice)).toBeVisible()
    const there =
      choice && (await group(choice).count()) ? await group(choice).getByRole('button').allInnerTexts() : ['']
    const walls = bench === 'walls' ? await group('Wall').getByRole('button').allInnerTexts() : ['']
    for (const view of there)
      for (const wall of view === 'Plan' ? walls.slice(0, 1) : walls) {
        await turn('Drawing')
        if (wall) await group('Wall').getByRole('button', { name: wall, exact: true }).click()
        if (choice && view) await group(choice).getByRole('button', { name: view, exact: true }).click()
        await turn('Drawing')
        await look.at(`${name}, ${bench} ${view} ${wall}`)
        if (turns) {
          await turn('Hand')
          await look.at(`${name}, ${bench} ${view} ${wall}, in hand`)
        }
      }
  }
  await page.locator('.pole a.bench[href$="/roof"]').click()
  await turn('Drawing')
  await page.locator('#sheet').focus()
  await page.keyboard.press('3')
  await page.locator('canvas').waitFor()
  await look.at(`${name}, in 3D`)
  await page.keyboard.press('3')
  await page.keyboard.press('j')
  await turn('Hand')
  await look.at(`${name}, a card`)
}

for (const [width, height] of [
  [1280, 800],
  [1024, 768],
  [768, 1024],
  [390, 844],
  [320, 640],
] as const) {
  test.describe(`${width} by ${height}`, () => {
    test.use({ viewport: { width, height }, hasTouch: width < 700 })
    test('nothing is cut off or off the screen, on any bench and view of the demo designs', async ({
      page,
    }) => {
      test.setTimeout(300_000)
      const look = new Look(page, width >= 1280)
      await page.goto('/')
      await expect(page.getByRole('link', { name: /^Sallow Marsh/ })).toHaveCount(5)
      await look.at('the shelf')
      await page.getByRole('link', { name: 'New', exact: true }).click()
      await page.getByRole('button', { name: 'Begin' }).waitFor()
      await look.at('New')
      for (const name of demos) {
        await page.goto('/')
        await page
          .getByRole('link', { name: new RegExp(`^${name}${name.includes(',') ? '' : '(?!,)'}`) })
          .first()
          .click()
        await page.locator('.room').waitFor()
        await lookAtBenches(page, look, name, width <= 900)
      }
      expect(look.faults).toEqual([])
    })
  })
}

test.describe('at twice the size', () => {
  test.use({ viewport: { width: 640, height: 400 } })
  test('nothing is cut off on the ringing hut, nor with the longest name', async ({ page }) => {
    const look = new Look(page, false)
    await page.goto('/')
    await page
      .getByRole('link', { name: /^Sallow Marsh ringing hut(?!,)/ })
      .first()
      .click()
    await page.locator('.room').waitFor()
    await lookAtBenches(page, look, 'hut', true)
    await page.getByLabel('Name of the design').fill('Reeds and sedges, '.repeat(5).slice(0, 80))
    await page.keyboard.press('Enter')
    await page.getByRole('link', { name: 'Shelf' }).click()
    await expect(page.getByRole('link', { name: /^Reeds and sedges/ })).toBeVisible()
    await look.at('the shelf with a long name')
    expect(look.faults).toEqual([])
  })
})

test('the look itself finds what is cut off', async ({ page }) => {
  await page.goto('/')
  await page
    .getByRole('link', { name: /^Sallow Marsh/ })
    .first()
    .waitFor()
  expect(await page.evaluate(cutOff)).toEqual([])
  await page.evaluate(() => {
    const box = document.createElement('div')
    box.style.cssText = 'width:80px;overflow:hidden;white-space:nowrap'
    box.textContent = 'a text that is far too long for its box'
    document.querySelector('main')?.append(box)
    const off = document.createElement('button')
    off.textContent = 'off'
    off.style.cssText = 'position:absolute;left:-40px;top:10px'
    document.querySelector('main')?.append(off)
  })
  const faults = await page.evaluate(cutOff)
  expect(faults.some(each => each.includes('shortened'))).toBe(true)
  expect(faults.some(each => each.includes('off the side'))).toBe(true)
})
