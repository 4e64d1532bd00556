import type { Page } from '@playwright/test'
import { cutOff } from './cut-off'
import { demoLink, demos, expect, test } from './fixtures'
import { wordsOnWords } from './words-on-words'

/** The benches, and the choice of views on each. */
const views = {
  roof: 'Section, plan, end or covering',
  walls: 'Frame, sheets or plan',
  floor: 'Frame or deck',
  ground: 'Step on the ground',
  saw: null,
} as const

interface Size {
  readonly width: number
  readonly height: number
}
const wide: readonly Size[] = [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
  { width: 768, height: 1024 },
]
const phones: readonly Size[] = [
  { width: 390, height: 844 },
  { width: 320, height: 640 },
]
/** px: a drawing is looked at from no less than this at 1280 by 800. */
const LEAST = 520

/** In the page: clicks what a selector finds, if anything, and waits until what was asked for is drawn. */
async function press(selector: string | null): Promise<void> {
  if (selector) document.querySelector<HTMLElement>(selector)?.click()
  await new Promise<void>(resolve =>
    requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(resolve, 30))),
  )
}

/** Looks at one screen after another in windows of some sizes; where drawing and hand take turns, at both. */
class Look {
  readonly faults: string[] = []
  constructor(
    readonly page: Page,
    readonly sizes: readonly Size[],
  ) {}

  async #once(what: string): Promise<void> {
    const faults = [...(await this.page.evaluate(cutOff)), ...(await this.page.evaluate(wordsOnWords))]
    for (const fault of faults) this.faults.push(`${what}: ${fault}`)
  }

  async at(what: string): Promise<void> {
    for (const size of this.sizes) {
      const named = `${size.width} by ${size.height}, ${what}`
      if (this.sizes.length > 1) await this.page.setViewportSize(size)
      await this.page.evaluate(press, null)
      if (await this.page.locator('.room-turn').count()) {
        await this.page.evaluate(press, '.room-turn button:last-child')
        await this.#once(`${named}, in hand`)
        await this.page.evaluate(press, '.room-turn button:first-child')
      }
      await this.#once(named)
      const sheet = this.page.locator('.workbench > .sheet')
      if (size.width < 1280 || !(await sheet.count())) continue
      const high = (await sheet.boundingBox())?.height ?? 0
      if (high < LEAST) this.faults.push(`${named}: the drawing is ${Math.round(high)} px high`)
    }
  }
}

async function lookAtBenches(page: Page, look: Look): Promise<void> {
  const group = (label: string) => page.locator('#sheet').getByRole('group', { name: label, exact: true })
  const click = (label: string, name: string): Promise<void> =>
    group(label)
      .getByRole('button', { name, exact: true })
      .evaluate(button => {
        ;(button as HTMLElement).click()
      })
  const drawing = (): Promise<void> => page.evaluate(press, '.room-turn button:first-child')
  for (const [bench, choice] of Object.entries(views)) {
    await page.evaluate(press, `.pole a.bench[href$="/${bench}"]`)
    await expect(page.locator('.room')).toBeVisible()
    await drawing()
    await expect(choice ? page.locator('.workbench .strip').first() : page.locator('.list')).toBeVisible()
    if (choice && bench !== 'floor') await expect(group(choice)).toBeVisible()
    const there =
      choice && (await group(choice).count()) ? await group(choice).getByRole('button').allInnerTexts() : ['']
    const walls = bench === 'walls' ? await group('Wall').getByRole('button').allInnerTexts() : ['']
    for (const view of there)
      for (const wall of view === 'Frame' ? walls : walls.slice(0, 1)) {
        await drawing()
        if (wall) await click('Wall', wall)
        if (choice && view) await click(choice, view)
        await drawing()
        await look.at(`${bench} ${view} ${wall}`)
      }
  }
  await page.evaluate(press, '.pole a.bench[href$="/roof"]')
  await drawing()
  await page.locator('#sheet').focus()
  await page.keyboard.press('3')
  await page.locator('canvas').waitFor()
  await look.at('in 3D')
  await page.locator('#sheet').focus()
  await page.keyboard.press('3')
  await page.keyboard.press('j')
  await look.at('a card')
}

async function open(page: Page, name: string): Promise<void> {
  await page.goto('/')
  await demoLink(page, name).click()
  await page.locator('.room').waitFor()
}

/** Papers are as wide as they are printed: only words on words are looked for. */
test('no words lie on others on plate marks', async ({ page }) => {
  for (const name of [demos[0], 'Sallow Marsh reed hide', 'Sallow Marsh punt house']) {
    await open(page, name)
    const [design] = /.*\/design\/[^/]+/.exec(page.url()) ?? []
    await page.goto(`${design}/marks`)
    await page.locator('svg.line').first().waitFor()
    expect([name, await page.evaluate(wordsOnWords)]).toEqual([name, []])
  }
})

/** The largest demo is looked at in windows of every size. */
const everySize: readonly string[] = ['Sallow Marsh punt house']

const allAt = (page: Page, sizes: readonly Size[], name: string): Promise<void> =>
  test.step(name, async () => {
    const look = new Look(page, sizes)
    await open(page, name)
    await lookAtBenches(page, look)
    expect(look.faults).toEqual([])
  })

async function shelfAndNew(page: Page, sizes: readonly Size[]): Promise<void> {
  const look = new Look(page, sizes)
  await page.goto('/')
  await expect(page.getByRole('link', { name: /^Sallow Marsh/ })).toHaveCount(demos.length)
  await look.at('the shelf')
  await page.getByRole('link', { name: 'New', exact: true }).click()
  await page.getByRole('button', { name: 'Begin' }).waitFor()
  await look.at('New')
  expect(look.faults).toEqual([])
}

for (const sizes of [wide, phones])
  test.describe(sizes.map(({ width }) => width).join(', '), { tag: '@wide' }, () => {
    test.use({ viewport: sizes[0]!, hasTouch: sizes === phones })

    test('nothing is cut off or off the screen, on the shelf and on New', async ({ page }) => {
      await shelfAndNew(page, sizes)
    })

    for (const name of everySize)
      test(`${name}: nothing is cut off or off the screen, on any bench and view`, ({ page }) =>
        allAt(page, sizes, name))
  })

/** Between them they have every step that any other window takes. */
const tightest: readonly Size[] = [wide[0]!, phones[1]!]
for (const size of tightest)
  test.describe(`${size.width} alone`, size === wide[0] ? { tag: '@wide' } : {}, () => {
    test.use({ viewport: size, hasTouch: size === phones[1] })
    test('nothing is cut off or off the screen, on any screen of a demo', async ({ page }) => {
      await shelfAndNew(page, [size])
      // the largest where there is least room
      await allAt(page, [size], size === wide[0] ? demos[0] : everySize[0]!)
    })
  })

/** Of the others those whose drawings or hand are unlike the rest's, where there is least room. */
const unlike = demos.filter(each => /decoy store|osprey lookout|reed hide/.test(each))

for (const name of unlike)
  test.describe('320', { tag: '@wide' }, () => {
    test.use({ viewport: phones[1]!, hasTouch: true })
    test(`${name}: nothing is cut off or off the screen, on any bench and view`, ({ page }) =>
      allAt(page, [phones[1]!], name))
  })

test.describe('at twice the size', { tag: '@wide' }, () => {
  test.use({ viewport: { width: 640, height: 400 } })
  test('nothing is cut off on the ringing hut, nor with the longest name', async ({ page }) => {
    const look = new Look(page, [{ width: 640, height: 400 }])
    await open(page, demos[0])
    await lookAtBenches(page, look)
    await page.evaluate(press, '.room-turn button:first-child')
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
