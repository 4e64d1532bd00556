import { readFileSync, writeFileSync } from 'node:fs'
import { inflateSync } from 'node:zlib'
import type { Page } from '@playwright/test'
import { cutOff } from './cut-off'
import { choose, clean, expect, openDemo, test, type } from './fixtures'

const look = (page: Page, name: string) =>
  page.getByRole('group', { name: 'View', exact: true }).getByRole('button', { name, exact: true }).click()
const state = (page: Page) => page.locator('.boards .state')
const fitsAll = async (page: Page, widths: readonly number[]): Promise<void> => {
  for (const width of widths) {
    await page.setViewportSize({ width, height: 844 })
    await page.waitForTimeout(100)
    expect([width, await page.evaluate(cutOff)]).toEqual([width, []])
  }
  await page.setViewportSize({ width: 1280, height: 800 })
}
const boardCount = async (page: Page): Promise<number> =>
  Number(/(\d+) boards/.exec(await state(page).innerText())?.[1])

test('the boards of a design are planned and proved; held, swapped, for another aim and a wider saw', async ({
  page,
}) => {
  await openDemo(page, 'Sallow Marsh reed store', 'saw')
  await look(page, 'Boards')
  await expect(state(page)).toContainText('Proved best')
  // the line at a cut lies on its piece, where the next one can't hide it
  const lines = await page
    .locator('.bar > i')
    .evaluateAll(pieces => pieces.map(piece => getComputedStyle(piece).boxShadow))
  expect(lines.length).toBeGreaterThan(10)
  expect(lines.filter(line => !line.includes('inset'))).toEqual([])
  // each section says what to carry, and its boards are as many
  const carried = await page.locator('.boards h2 .figures').allInnerTexts()
  const counts = carried
    .filter(text => !text.includes(' by '))
    .flatMap(text => [...text.matchAll(/(\d+) ×/g)].map(match => Number(match[1])))
  expect(counts.reduce((sum, count) => sum + count, 0)).toBe(await boardCount(page))
  await page.locator('.boards .cut').first().click()
  const mark = await page.locator('.boards .cut b').first().innerText()
  await expect(page.locator('.card .mark')).toHaveText(mark)
  // sheets after the boards, each with what comes out of it
  await page.locator('.boards .place').first().click()
  const sheet = (await page.locator('.boards .place b').first().innerText()).split(' + ')[0] ?? ''
  await expect(page.locator('.card .mark')).toHaveText(sheet)

  await page
    .getByRole('button', { name: /^Hold / })
    .first()
    .click()
  await expect(page.getByRole('button', { name: 'Let go of 1 held' })).toBeVisible()
  await expect(state(page)).toContainText('Proved best')
  await expect(page.locator('.hold[aria-pressed=true]')).toHaveCount(1)
  // two pieces of one board in each other's place: it is held so
  const mixed = page
    .locator('.boards li')
    .filter({ has: page.locator('.cut:nth-of-type(2)') })
    .filter({ hasNot: page.locator('.hold[aria-pressed=true]') })
    .first()
  const marks = await mixed.locator('.cut b').allInnerTexts()
  await mixed.locator('.cut').first().click()
  await page.getByRole('button', { name: 'Swap', exact: true }).click()
  await page.getByRole('button', { name: 'Swap with …' }).waitFor()
  const before = await page.locator('.boards li .cuts').allInnerTexts()
  await mixed.locator('.cut').last().click()
  await expect(page.getByRole('button', { name: 'Let go of 2 held' })).toBeVisible()
  await expect(state(page)).toContainText(/Proved best|Within/)
  await expect(page.locator('.hold[aria-pressed=true]')).toHaveCount(2)
  if (new Set(marks).size > 1)
    expect(await page.locator('.boards li .cuts').allInnerTexts()).not.toEqual(before)
  await page.getByRole('button', { name: 'Let go of 2 held' }).click()

  await choose(page, 'Aim', 'Least cost')
  await expect(page.locator('.boards .said-wrong')).toContainText('no price. Type one under Buy')
  await choose(page, 'Aim', 'Least length')
  await expect(state(page)).toContainText(/Proved best|Within/)
  const takes = page.getByLabel('Saw takes', { exact: true })
  await takes.fill('thick')
  await page.keyboard.press('Enter')
  await expect(page.locator('.boards [role=alert]')).toContainText('“thick” is not understood')
  await expect(takes).toHaveValue('thick')
  await takes.fill('1/4')
  await page.keyboard.press('Enter')
  await expect(takes).toHaveValue('1/4"')
  await expect(state(page)).toContainText(/Proved best|Within/)
  await clean(page)
  await fitsAll(page, [768, 320])
})

test('what to buy: prices typed and wrong, a list read and saved, what lies there, what can be carried', async ({
  page,
}, info) => {
  await openDemo(page, 'Sallow Marsh ringing hut', 'saw')
  await look(page, 'Buy')
  const total = page.locator('.buy .total')
  await expect(total).toContainText('No prices yet')
  await expect(total).toContainText('20 sheets, 1 fewer than laid one by one')
  const wide = page.getByRole('region', { name: '2x8', exact: true })
  // 16 ft: one is cut, one to spare; at 17.45 they are 34.90
  const price = page.getByLabel('Price of 2x8, 16\' 0"', { exact: true })
  await price.fill('seventeen')
  await page.keyboard.press('Enter')
  await expect(wide.getByRole('alert')).toContainText('must be a number, like 4.50, without a currency.')
  await price.fill('17,45')
  await page.keyboard.press('Enter')
  await expect(price).toHaveValue('17.45')
  await expect(total).toContainText('34.90')
  await expect(wide.getByRole('row', { name: /^16' 0"/ })).toContainText('21 to spare')

  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save stock and prices as CSV' }).click(),
  ])
  const csv = readFileSync(await saved.path(), 'utf8')
  expect(csv).toMatch(/^section,length mm,price,count,own,bad,name,poor\r\n/)
  expect(csv).toContain('2x8,4876.8,17.45,,,,,')
  // every length priced by the foot, and a cull
  const priced = csv
    .trim()
    .split('\r\n')
    .map((line, i) => {
      const [section, length, ...rest] = line.split(',')
      return i ? [section, length, (Number(length) / 304.8).toFixed(2), ...rest.slice(1)].join(',') : line
    })
  const put = async (lines: readonly string[]): Promise<void> => {
    const path = info.outputPath('stock.csv')
    writeFileSync(path, lines.join('\n'))
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Read stock and prices from CSV' }).click(),
    ])
    await chooser.setFiles(path)
  }
  await put([...priced, '2x8,3000,cheap,1,,,,'])
  await expect(page.locator('.buy .said-wrong')).toContainText('the price “cheap” is not a number')
  await expect(price).toHaveValue('17.45')
  await put([...priced, '2x8,4000,2,1,,100..200 | 3900..4000,cull,'])
  await expect(price).toHaveValue('16.00')
  await expect(page.locator('.buy .said-wrong')).toHaveCount(0)
  await expect(total).not.toContainText('no price')
  await expect(page.getByRole('region', { name: 'On hand' })).toContainText(
    '1 × 13\' 1 1/2" 2x8, 2.00 each, bad from 3 15/16" to 7 7/8"',
  )
  await look(page, 'Boards')
  await choose(page, 'Aim', 'Least cost')
  await expect(state(page)).toContainText(/Proved best|Within/)
  await expect(page.locator('.boards .said-wrong')).toHaveCount(0)

  // what lies there is cut first
  await look(page, 'Buy')
  await choose(page, 'Section', '2x8')
  await page.getByLabel('Board length', { exact: true }).fill("20'")
  await page.getByLabel('Bad from', { exact: true }).fill("19'")
  await page.getByRole('button', { name: 'Add board' }).click()
  await expect(page.getByRole('region', { name: 'On hand' })).toContainText(
    'on hand, bad from 19\' 0" to 20\' 0"',
  )
  await look(page, 'Boards')
  await expect(state(page)).toContainText('1 on hand')
  // a crooked one gives nothing that is laid with its crown up, and no template
  await look(page, 'Buy')
  await choose(page, 'Section', '2x4')
  await page.getByLabel('Board length', { exact: true }).fill("24'")
  await page.getByLabel(/Crooked/).check()
  await page.getByRole('button', { name: 'Add board' }).click()
  await expect(page.getByRole('region', { name: 'On hand' })).toContainText('on hand, crooked')
  await look(page, 'Boards')
  await expect(state(page)).toContainText('2 on hand')
  const crooked = page
    .getByRole('region', { name: '2x4', exact: true })
    .getByRole('listitem')
    .filter({ hasText: '24\' 0"' })
  await expect(crooked).toHaveCount(1)
  await crooked.locator('.cut').first().click()
  const mark = (await crooked.locator('.cut b').first().innerText()).trim()
  const template = page.getByRole('button', { name: new RegExp(`^${mark}.* a template`) })
  await template.click()
  await expect(template).toHaveAttribute('aria-pressed', 'true')
  await expect(crooked.getByText(mark, { exact: true })).toHaveCount(0)
  await template.click()
  // and what can't be carried is not bought
  await look(page, 'Buy')
  await type(page, 'Longest to carry', "12'")
  await look(page, 'Boards')
  await expect(page.locator('.boards .said-wrong')).toContainText('No board is there for')
  await look(page, 'Buy')
  await clean(page)
  await fitsAll(page, [768, 390, 320])
})

/** A finger drawn over the card, px to the right. */
const swipe = (page: Page, by: number): Promise<void> =>
  page.locator('.cut-now .face').evaluate((face, far) => {
    const box = face.getBoundingClientRect()
    const fire = (type: string, x: number): void => {
      const touch = new Touch({
        ...{ identifier: 1, target: face },
        ...{ clientX: box.left + box.width / 2 + x, clientY: box.top + 40 },
      })
      const touches = type === 'touchend' ? [] : [touch]
      face.dispatchEvent(
        new TouchEvent(type, { bubbles: true, cancelable: true, touches, changedTouches: [touch] }),
      )
    }
    fire('touchstart', -far / 2)
    fire('touchmove', 0)
    fire('touchmove', far / 2)
    fire('touchend', far / 2)
  }, by)

test('labels and cards are printed, and what a label’s code asks for is opened', async ({ page }) => {
  await openDemo(page, 'Sallow Marsh osprey lookout', 'saw')
  await choose(page, 'Section', 'Kits to carry')
  await expect(page.locator('.saw-table .group').first()).toBeVisible()
  await look(page, 'Paper')
  await choose(page, 'Of', 'South wall')
  await choose(page, 'Sheet', /^A4, 14/)
  const print = async (what: string): Promise<string> => {
    const [saved] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: `${what} as PDF` }).click(),
    ])
    expect(saved.suggestedFilename()).toMatch(new RegExp(`${what.toLowerCase()}.*\\.pdf$`, 'i'))
    const bytes = readFileSync(await saved.path())
    const text = bytes.toString('latin1')
    return [...text.matchAll(/\/FlateDecode\s*>>\s*stream\r?\n/g)]
      .map(match => {
        const from = match.index + match[0].length
        return inflateSync(bytes.subarray(from, text.indexOf('endstream', from))).toString('latin1')
      })
      .join('\n')
  }
  const field = page.getByLabel('First label', { exact: true })
  await field.fill('15')
  await page.keyboard.press('Enter')
  await expect(page.locator('.paper [role=alert]')).toContainText('First label must be at most 14.')
  await field.fill('3')
  await page.keyboard.press('Enter')
  const labels = await print('Labels')
  expect(labels).toMatch(/\(P1-WB1\) Tj/)
  expect(labels).toContain('South wall')
  expect(labels).not.toMatch(/NaN|undefined/)
  expect(await print('Cards')).toMatch(/\(P1-WB1\) Tj/)
  await clean(page)
  await fitsAll(page, [768, 320])
  const at = new URL(page.url())
  await page.goto(`${at.pathname}?card=P1-R1`)
  await expect(page.locator('.card .mark')).toHaveText('P1-R1')
  await page.goto(`${at.pathname}?card=X99`)
  await expect(page.locator('.room-notice')).toContainText('There is no piece X99')
})

test('a board of another part brings that part onto the bench', { tag: '@wide' }, async ({ page }) => {
  await openDemo(page, 'Sallow Marsh osprey lookout', 'saw')
  await look(page, 'Boards')
  const cut = page.locator('.boards .cut', { hasText: /^P1-/ }).first()
  await cut.click()
  await expect(page.locator('.card .mark')).toHaveText((await cut.locator('b').innerText()).trim())
  await expect(page.locator('.boards')).toBeVisible()
})

test.describe('on a phone without a network', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, serviceWorkers: 'allow' })
  test('cards at the saw are ticked, one is cut wrong, a board has a knot, all outlives a reload', async ({
    page,
    context,
  }) => {
    test.setTimeout(240_000)
    await openDemo(page, 'Sallow Marsh reed store', 'saw')
    await page.getByRole('button', { name: 'Pieces', exact: true }).click()
    await look(page, 'Boards')
    await expect(state(page)).toContainText('Proved best')
    await page.evaluate(() => navigator.serviceWorker.ready)
    await page.getByRole('link', { name: 'At the saw' }).click()
    await page.getByRole('button', { name: 'Begin', exact: true }).click()
    const done = page.locator('.at-saw header .figures')
    await expect(done).toHaveText(/^0 of \d+$/)
    const all = Number(/of (\d+)/.exec(await done.innerText())?.[1])
    await context.setOffline(true)
    await page.reload()
    await expect(done).toHaveText(`0 of ${all}`)
    const tick = page.getByRole('button', { name: /^Tick / })
    for (let i = 1; i <= 3; i++) {
      await tick.tap()
      await expect(done).toHaveText(`${i} of ${all}`)
    }
    await page.getByRole('button', { name: 'Undo the last cut' }).tap()
    await expect(done).toHaveText(`2 of ${all}`)
    // on and back by a tap on either half, and by keys
    const what = page.locator('.cut-now .what')
    const here = await page.locator('.cut-now').innerText()
    const box = (await page.locator('.cut-now .face').boundingBox())!
    await page.touchscreen.tap(box.x + box.width - 30, box.y + box.height - 20)
    await expect(page.locator('.cut-now')).not.toHaveText(here, { useInnerText: true })
    await page.touchscreen.tap(box.x + 30, box.y + box.height - 20)
    await expect(page.locator('.cut-now')).toHaveText(here, { useInnerText: true })
    await page.keyboard.press('j')
    await page.keyboard.press('k')
    await expect(page.locator('.cut-now')).toHaveText(here, { useInnerText: true })
    await swipe(page, -150)
    await expect(page.locator('.cut-now')).not.toHaveText(here, { useInnerText: true })
    await swipe(page, 150)
    await expect(page.locator('.cut-now')).toHaveText(here, { useInnerText: true })

    await page.getByRole('button', { name: 'Cut one wrong' }).tap()
    await page.getByLabel('Still good of it', { exact: true }).fill('99 ft')
    await page.getByRole('button', { name: 'Plan the rest again' }).tap()
    await expect(page.locator('.mishap [role=alert]')).toContainText('must be at most')
    await page.getByLabel('Still good of it', { exact: true }).fill('')
    await page.getByRole('button', { name: 'Plan the rest again' }).tap()
    await expect(page.locator('.note')).toContainText(/is enough|needed/)
    await expect(done).toHaveText(`2 of ${all}`)
    await page.getByRole('button', { name: 'Board has a knot' }).tap()
    await page.getByRole('button', { name: 'Plan the rest again' }).tap()
    await expect(page.locator('.mishap .fault')).toContainText('Type where the bad stretch begins')
    await page.getByLabel('Bad from', { exact: true }).fill('2')
    await page.getByLabel('Bad to', { exact: true }).fill('5')
    await page.getByRole('button', { name: 'Plan the rest again' }).tap()
    await expect(page.locator('.note')).toContainText(/is enough|needed/)
    await expect(done).toHaveText(`2 of ${all}`)
    await expect(what).toBeVisible()
    await page.reload()
    await expect(done).toHaveText(`2 of ${all}`)
    await page.getByRole('button', { name: 'Black on white, for the sun' }).tap()
    await clean(page)
    expect(await page.evaluate(cutOff)).toEqual([])

    // boards first, then sheets, a stroke at a time
    const sheet = page.locator('.sheet-now')
    let i = 3
    for (; i <= all && !(await sheet.count()); i++) await page.keyboard.press('x')
    await expect(sheet).toContainText('sheet 1 of')
    // some are used whole
    for (; i < all && !(await sheet.locator('line.now').count()); i++) await page.keyboard.press('x')
    await expect(sheet.locator('line.now')).toHaveCount(1)
    await clean(page)
    expect(await page.evaluate(cutOff)).toEqual([])
    await tick.tap()
    await page.getByRole('button', { name: 'Undo the last cut' }).tap()
    await expect(done).toHaveText(`${i - 1} of ${all}`)
    for (; i <= all; i++) await page.keyboard.press('x')
    await expect(done).toHaveText(`${all} of ${all}`)
    await expect(page.getByRole('heading', { name: `All ${all} cuts are made.` })).toBeVisible()
    // what is sawn is ticked in the list
    await page.getByRole('link', { name: 'Saw bench' }).tap()
    await page.getByRole('button', { name: 'Pieces', exact: true }).tap()
    await look(page, 'Cut list')
    await expect(page.locator('.strip .done')).toContainText(/^(\d+) of \1\b/)
    await context.setOffline(false)
  })
})
