import { readFile } from 'node:fs/promises'
import type { Page } from '@playwright/test'
import { add, begin, choose, clean, expect, field, hand, openDemo, over, take, test, type } from './fixtures'

const parts = (page: Page) => page.getByRole('navigation', { name: 'Parts', exact: true })
/** Takes all of the part that is on the bench in hand. */
async function takeAll(page: Page): Promise<void> {
  const all = page
    .getByRole('navigation', { name: 'Parts of the building' })
    .getByRole('button', { name: /^(Building|Part)$/ })
  if (await all.count()) await all.click()
  await expect(hand(page).getByRole('heading', { level: 2, name: /^(Building|Part)$/ })).toBeVisible()
}

test(
  'a pergola: its tails, rafters and battens, each counted and cut',
  { tag: '@wide' },
  async ({ page }) => {
    await begin(page, 'Pergola')
    await take(page, 'Roof', 'Tails')
    await expect(hand(page)).toContainText('Cove')
    await choose(page, 'Tails end', 'Corner sawn off')
    await type(page, 'From the end', '11')
    await expect(page.getByRole('alert').first()).toContainText('leave no room for that shape')
    await type(page, 'From the end', '3')
    await expect(page.getByRole('alert')).toHaveCount(0)
    await over(page, 'Plan').click()
    await take(page, 'Roof', 'Battens')
    await expect(hand(page)).toContainText('10 rafters and 15 battens')
    await type(page, 'Battens, at most apart', '6')
    await expect(hand(page)).toContainText('10 rafters and 29 battens')
    await clean(page)
    // farther out at the tails, by its ring, and the battens follow
    const ring = page.getByRole('slider', { name: /^Overhang at the eaves/ }).first()
    await ring.focus()
    for (let i = 0; i < 8; i++) await page.keyboard.press('Shift+ArrowUp')
    await expect(hand(page)).not.toContainText('and 29 battens')
    await page.getByRole('link', { name: /^saw/i }).click()
    await page.getByText('LV1', { exact: true }).first().click()
    await expect(page.locator('.room-card')).toContainText('level rafters')
  },
)

test(
  'a wood store says how much it holds, in slats on posts; in another size more',
  { tag: '@wide' },
  async ({ page }) => {
    await begin(page, 'Wood store')
    await takeAll(page)
    await expect(hand(page)).toContainText('12.1 cords')
    await type(page, 'Length', "16'")
    await expect(hand(page)).toContainText('8.7 cords')
    await page.getByRole('link', { name: /^walls/i }).click()
    await over(page, 'North').click()
    await over(page, 'Sheets').click()
    await expect(page.locator('path[data-member^="walls/north/slat/"]').first()).toBeAttached()
    await clean(page)
  },
)

test(
  'a lean-to hangs under the eave, is changed on its drawing, and taken away',
  { tag: '@wide' },
  async ({ page }) => {
    await begin(page, 'Garden shed')
    await takeAll(page)
    await expect(parts(page)).toHaveCount(0)
    await add(page, 'Lean-to, north')
    await expect(parts(page).getByRole('button')).toHaveText(['Garden shed', 'Lean-to'])
    await expect(hand(page).getByRole('heading', { level: 2, name: 'Part' })).toBeVisible()
    await expect(hand(page)).toContainText('A ledger under the eave')
    const height = field(page, 'Wall height')
    const before = await height.inputValue()
    // a steeper slope under the same eave lets the posts come down
    await take(page, 'Roof')
    await type(page, 'Pitch', '5')
    await takeAll(page)
    await expect(height).not.toHaveValue(before)
    // a height typed lets the pitch follow; the ledger stays
    await type(page, 'Wall height', before)
    await expect(height).toHaveValue(before)
    await take(page, 'Roof')
    await expect(field(page, 'Pitch')).toHaveValue(/^3/)
    // the main part carries its slope on: it has no tails on that side
    await takeAll(page)
    await choose(page, 'Hangs by', 'The slope, carried on')
    await expect(page.getByRole('alert')).toHaveCount(0)
    await clean(page)
    // where it can't be, it says so, and the part is marked from the main one too
    await choose(page, 'Hangs on the', 'East')
    await expect(page.getByRole('alert').first()).toContainText('no slope that ends over the east wall')
    await parts(page).getByRole('button', { name: 'Garden shed', exact: true }).click()
    await expect(page.getByRole('alert')).toHaveCount(0)
    await expect(parts(page).getByRole('button', { name: /^Lean-to, \d+ problem/ })).toBeVisible()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(parts(page).getByRole('button', { name: 'Lean-to', exact: true })).toBeVisible()
    // another name, kept over a reload with what is on the bench
    await parts(page).getByRole('button', { name: 'Lean-to', exact: true }).click()
    await page.getByLabel('Name of the design').fill('Log store')
    await page.keyboard.press('Enter')
    await expect(parts(page).getByRole('button', { name: 'Log store' })).toBeVisible()
    await expect(page.getByRole('group', { name: 'Saving' })).toHaveText('Saved')
    await page.reload()
    await expect(parts(page).getByRole('button', { name: 'Log store' })).toHaveAttribute(
      'aria-current',
      'true',
    )
    await takeAll(page)
    await hand(page).getByRole('button', { name: 'Take the part away' }).click()
    await expect(parts(page)).toHaveCount(0)
    await expect(page.getByLabel('Name of the design')).toHaveValue('Garden shed')
  },
)

test(
  'a playhouse: the roof runs on over its porch, changed for both; its list and file hold both',
  { tag: '@wide' },
  async ({ page }) => {
    await begin(page, 'Playhouse')
    await expect(parts(page).getByRole('button')).toHaveText(['Playhouse', 'Porch'])
    await parts(page).getByRole('button', { name: 'Porch' }).click()
    await takeAll(page)
    await expect(hand(page)).toContainText('The main roof runs on over it')
    await type(page, 'Length', "6'")
    await expect(page.getByRole('alert').first()).toContainText("stand past the main part's porch")
    await type(page, 'Length', "4'")
    await expect(page.getByRole('alert')).toHaveCount(0)
    await take(page, 'Roof')
    await type(page, 'Pitch', '10')
    await parts(page).getByRole('button', { name: 'Playhouse' }).click()
    await take(page, 'Roof')
    await expect(field(page, 'Pitch')).toHaveValue(/^10/)
    await clean(page)
    await page.getByRole('link', { name: /^saw/i }).click()
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save the cut list as CSV' }).click(),
    ])
    const csv = await readFile(await download.path(), 'utf8')
    expect(csv.split('\r\n')[0]).toMatch(/^\uFEFFPart,Mark,/)
    expect(csv).toMatch(/\r\nPlayhouse,UC1,/)
    expect(csv).toMatch(/\r\nPorch,P1-UC1,/)
  },
)

test(
  'the osprey lookout in 3D: its store is picked there and is then on the bench',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page, 'Sallow Marsh osprey lookout')
    await page.locator('#sheet').focus()
    await page.keyboard.press('3')
    await page.locator('canvas').waitFor()
    await expect(page.getByRole('group', { name: 'Parts shown solid' })).toContainText('Other parts')
    await parts(page).getByRole('button', { name: 'Store' }).click()
    await expect(page.locator('canvas')).toHaveAttribute('aria-label', /33 boards/)
    const order = page.getByRole('group', { name: 'Order of raising' })
    await order.getByRole('button', { name: 'One step back' }).click()
    await expect(order.getByRole('status')).toContainText(' of ')
    await clean(page)
  },
)

test(
  'the ferry shelter: the porch is drawn in its own walls, and the ground is the main part’s',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page, 'Sallow Marsh ferry shelter')
    await parts(page).getByRole('button', { name: 'Landing porch' }).click()
    await page.getByRole('link', { name: /^walls/i }).click()
    await over(page, 'West').click()
    await over(page, 'Sheets').click()
    await expect(page.locator('path[data-member^="walls/west/slat/"]').first()).toBeAttached()
    await page.getByRole('link', { name: /^ground/i }).click()
    await expect(page.getByRole('group', { name: 'Step on the ground' }).getByRole('button')).toHaveText([
      'Base',
    ])
    await clean(page)
  },
)

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })
  test('the parts are there, with targets large enough', async ({ page }) => {
    await openDemo(page, 'Sallow Marsh osprey lookout')
    const store = parts(page).getByRole('button', { name: 'Store' })
    await store.click()
    expect((await store.boundingBox())?.height).toBeGreaterThanOrEqual(44)
    await expect(store).toHaveAttribute('aria-current', 'true')
    await clean(page)
  })
})
