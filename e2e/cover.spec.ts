import type { Page } from '@playwright/test'
import { choose, clean, demos, expect, field, hand, openDemo, over, take, test, type } from './fixtures'

const pieces = (page: Page, what: string) => page.locator(`.picture path[data-member*="/${what}/"]`)
/** A number of the tally, by what stands after it. */
const tally = async (page: Page, what: RegExp): Promise<number> =>
  Number((await page.locator('.tally span').filter({ hasText: what }).first().innerText()).split(' ')[0])

test('a roof is sheathed and roofed: rows dragged, joints staggered, each piece with its card', async ({
  page,
}) => {
  await openDemo(page, 'Sallow Marsh ringing hut')
  const before = await tally(page, /sheet/)
  await take(page, 'Roof', 'Covering')
  await expect(over(page, 'Cover')).toHaveAttribute('aria-pressed', 'true')
  await expect(pieces(page, 'deck')).toHaveCount(0)
  await choose(page, 'On the rafters', 'Sheets')
  await expect(pieces(page, 'deck')).not.toHaveCount(0)
  await expect.poll(() => tally(page, /sheet/)).toBeGreaterThan(before)
  // the ways to begin are told with what each costs
  await page.getByRole('combobox', { name: 'First row', exact: true }).click()
  await expect(page.getByRole('option')).toHaveText([
    /^As it works out: \d+ sheets$/,
    /^Whole: \d+/,
    /^2' 0": \d+/,
  ])
  await page.keyboard.press('Escape')
  // the first row is dragged by its edge, and typed
  const ring = page.getByRole('slider', { name: 'First row ripped to, drag' })
  await ring.focus()
  await page.keyboard.press('ArrowDown')
  await expect(field(page, 'First row ripped to')).not.toHaveValue('4\' 0"')
  await type(page, 'First row ripped to', "5'")
  await expect(page.getByRole('alert').first()).toContainText('Rip it to 4\' 0" at most')
  await type(page, 'First row ripped to', "3'")
  await expect(page.getByRole('alert')).toHaveCount(0)
  // a sheet that spans no bay is said, and nothing is lost
  await type(page, 'Sheet, short side', "1' 11 3/4")
  await type(page, 'Sheet, long side', "1' 11 3/4")
  await expect(page.getByRole('alert').first()).toContainText('spans from one rafter to another')
  await expect(pieces(page, 'deck')).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('alert')).toHaveCount(0)
  await expect(pieces(page, 'deck')).not.toHaveCount(0)
  await clean(page)
  // panels over battens, from a first one that is dragged
  await choose(page, 'Across', 'Across the rafters')
  await choose(page, 'Roofing', 'Panels')
  await expect(over(page, 'Roofing')).toHaveAttribute('aria-pressed', 'true')
  await expect(pieces(page, 'panel')).not.toHaveCount(0)
  await expect.poll(() => tally(page, /panel/)).toBeGreaterThan(3)
  await expect(hand(page)).toContainText('Screws for the panels')
  await type(page, 'Lap at the side', "1' 7")
  await expect(page.getByRole('alert').first()).toContainText('1\' 6" at most')
  await page.getByRole('button', { name: 'Undo' }).click()
  await over(page, 'Battens').click()
  await expect(pieces(page, 'batten')).not.toHaveCount(0)
  // a piece is taken up by its card, seen on its face
  await over(page, 'Deck').click()
  await pieces(page, 'deck').first().click()
  await expect(page.locator('.card .mark')).toHaveText(/^RS\d+/)
  await expect(page.locator('.card')).toContainText('Long way across the rafters')
  await page.getByRole('button', { name: '3D', exact: true }).first().click()
  await page.getByRole('group', { name: 'Parts shown solid' }).getByText('Roofing').click()
  await clean(page)
})

test('siding: courses, corner boards and casings, seen on their wall', { tag: '@wide' }, async ({ page }) => {
  await openDemo(page, 'Sallow Marsh ringing hut', 'walls')
  await take(page, 'Walls', 'Sheets')
  await choose(page, 'Siding', 'Lapped boards')
  await over(page, 'East').click()
  await over(page, 'Siding').click()
  await expect(pieces(page, 'siding')).not.toHaveCount(0)
  await expect(pieces(page, 'casing')).not.toHaveCount(0)
  await expect(pieces(page, 'corner')).toHaveCount(2)
  const lapped = await pieces(page, 'siding').count()
  await type(page, 'Shows at most', '3')
  await expect.poll(() => pieces(page, 'siding').count()).toBeGreaterThan(lapped)
  await type(page, 'Shows at most', '0')
  await expect(page.getByRole('alert').first()).toContainText('Shows at most')
  await page.keyboard.press('Escape')
  await choose(page, 'Siding', 'Boards and battens')
  await expect(pieces(page, 'batten')).not.toHaveCount(0)
  await choose(page, 'Corner boards', 'None')
  await expect(pieces(page, 'corner')).toHaveCount(0)
  await clean(page)
})

test(
  'siding of one wall and its gable, straight on the frame: blocks behind, panels, none',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page, 'Sallow Marsh ringing hut', 'walls')
    await take(page, 'Walls', 'Sheets')
    await choose(page, 'Walls', 'Bare')
    await choose(page, 'Siding', 'Boards and battens')
    await over(page, 'Frame').click()
    await expect(pieces(page, 'nailer')).not.toHaveCount(0)
    await take(page, 'Walls', 'East wall')
    await over(page, 'East').click()
    await over(page, 'Siding').click()
    await expect(pieces(page, 'batten')).not.toHaveCount(0)
    await take(page, 'Walls', 'East wall')
    await choose(page, 'Siding of the gable', 'Lapped boards')
    await over(page, 'Siding').click()
    await expect(pieces(page, 'gable/siding')).not.toHaveCount(0)
    await take(page, 'Walls', 'East wall')
    await choose(page, 'Siding', 'Panels')
    await over(page, 'Siding').click()
    await expect(pieces(page, 'panel')).not.toHaveCount(0)
    await expect(pieces(page, 'batten')).toHaveCount(0)
    await take(page, 'Walls', 'East wall')
    await type(page, 'A panel covers', '0')
    await expect(page.getByRole('alert').first()).toContainText('A panel covers')
    await page.keyboard.press('Escape')
    await over(page, 'Siding').click()
    await page
      .locator('.picture path[data-member$="/panel/1/1"]')
      .last()
      .click({ position: { x: 6, y: 90 } })
    await expect(page.locator('.card .mark')).toHaveText(/^WN\d+/)
    await take(page, 'Walls', 'East wall')
    await choose(page, 'Siding', 'Panes between studs')
    await expect(pieces(page, 'pane')).not.toHaveCount(0)
    await choose(page, 'Held by', 'Grooves')
    await type(page, 'Groove depth', '3/4"')
    await expect(page.getByRole('alert').first()).toContainText('too thin between them')
    // as told
    await type(page, 'Groove depth', '5/8"')
    await expect(page.getByText(/too thin between them/)).toHaveCount(0)
    await type(page, 'Widest sold', '12"')
    await expect(page.getByText(/The widest bay takes a pane wider than it is sold/).first()).toBeVisible()
    await type(page, 'Widest sold', "4'")
    await expect(page.getByText(/The widest bay takes a pane/)).toHaveCount(0)
    await choose(page, 'Siding', 'None')
    await choose(page, 'Siding of the gable', 'As the wall')
    await expect(over(page, 'Siding')).toHaveCount(0)
    await clean(page)
  },
)

test('one face is covered by itself, and again as the others', { tag: '@wide' }, async ({ page }) => {
  await openDemo(page, 'Sallow Marsh ringing hut')
  await take(page, 'Roof', 'Covering')
  await choose(page, 'On the rafters', 'Sheets')
  await hand(page).getByRole('button', { name: 'Cover the north slope by itself' }).click()
  await expect(hand(page).getByRole('heading', { level: 2 })).toHaveText('Covering, north slope')
  await expect(over(page, 'North')).toHaveAttribute('aria-pressed', 'true')
  await choose(page, 'Roofing', 'Panels')
  await choose(page, 'Made of', 'Clear')
  await expect(pieces(page, 'panel')).not.toHaveCount(0)
  await expect(hand(page)).toContainText('Screws for the panels, north slope')
  await over(page, 'South').click()
  await expect(hand(page).getByRole('heading', { level: 2 })).toHaveText('Covering')
  await over(page, 'Deck').click()
  await expect(pieces(page, 'deck')).not.toHaveCount(0)
  await over(page, 'Roofing').click()
  await expect(pieces(page, 'panel')).toHaveCount(0)
  await over(page, 'North').click()
  await hand(page).getByRole('button', { name: 'Cover it as the others' }).click()
  await expect(hand(page).getByRole('heading', { level: 2 })).toHaveText('Covering')
  await expect(pieces(page, 'panel')).toHaveCount(0)
  await clean(page)
})

test(
  'boards under the eaves: seen from below, a strip left open for air',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page, 'Sallow Marsh reed hide')
    await take(page, 'Roof', 'Covering')
    await choose(page, 'Under the eaves', 'Boards')
    await expect(page.locator('.picture path[data-member*="/soffit/board/"]')).not.toHaveCount(0)
    const air = hand(page).locator('[data-figure="air-low"] .value')
    const before = await air.innerText()
    await type(page, 'Strip open for air', '2')
    await expect(air).not.toHaveText(before)
    await expect(hand(page)).toContainText('Soffit')
    await page.locator('.picture path[data-member*="/soffit/board/"]').first().click()
    await expect(page.locator('.card .mark')).toHaveText(/^SZ\d+/)
    await clean(page)
  },
)

test(
  "a door of one's own: ledges and braces, two leaves, framed, and what leaves no room",
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page, 'Sallow Marsh ringing hut', 'walls')
    await take(page, 'Walls', 'East wall', 'Door 1')
    await choose(page, 'Made as', 'Ledges and braces')
    await over(page, 'Doors').click()
    await expect(pieces(page, 'door/brace')).not.toHaveCount(0)
    await choose(page, 'Leaves', 'Two')
    await expect(pieces(page, 'door/brace')).toHaveCount(4)
    await expect(hand(page)).toContainText('Bolts for double doors')
    await choose(page, 'Made as', 'Framed, with panels')
    await choose(page, 'Leaves', 'One')
    for (const part of ['stile/1', 'stile/2', 'rail/3', 'panel/2'])
      await expect(page.locator(`.picture path[data-member$="/door/${part}"]`)).not.toHaveCount(0)
    await expect(page.locator('.picture path[data-member$="/door/panel/3"]')).toHaveCount(0)
    await type(page, 'Panel thickness', '1 1/2')
    await expect(page.getByRole('alert').first()).toContainText('leaves too little')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByRole('alert')).toHaveCount(0)
    await pieces(page, 'door/stile').last().click()
    await expect(page.locator('.card .mark')).toHaveText(/^SE\d+/)
    await take(page, 'Walls', 'East wall', 'Door 1')
    await choose(page, 'Made as', 'Bought')
    await expect(over(page, 'Doors')).toHaveCount(0)
    await clean(page)
  },
)

/** A hip and trusses; the others are roofed by the same faces and edges. */
const unlike = demos.filter(name => /reed hide|decoy store/.test(name))
const others = demos.filter(name => !unlike.includes(name))
for (const some of [unlike, others]) {
  const title = `${some.map(name => name.replace('Sallow Marsh ', '')).join(', ')}: roofed, and counts follow the pitch`
  test(title, { tag: '@wide' }, async ({ page }) => {
    test.setTimeout(240_000)
    for (const name of some) {
      await openDemo(page, name)
      await take(page, 'Roof', 'Covering')
      await choose(page, 'On the rafters', 'Sheets')
      await choose(page, 'Roofing', 'Shingles')
      await expect(pieces(page, 'deck')).not.toHaveCount(0)
      const area = hand(page).locator('[data-figure="loose-cover-area"] .value')
      const nails = hand(page).locator('[data-figure="loose-cover-shingle-nails"] .value')
      const before = [await area.innerText(), await nails.innerText()]
      await take(page, 'Roof')
      const pitch = field(page, 'Pitch')
      if (!(await pitch.count())) continue
      await pitch.focus()
      for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowUp')
      await take(page, 'Roof', 'Covering')
      await expect.poll(async () => [await area.innerText(), await nails.innerText()]).not.toEqual(before)
    }
  })
}
