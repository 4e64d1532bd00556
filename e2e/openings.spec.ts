import type { Page } from '@playwright/test'
import { add, choose, clean, expect, hand, newBuilding, openDemo, take, test, type } from './fixtures'

const inHand = (page: Page, name: string) => hand(page).getByLabel(name, { exact: true })

/** Drags a handle by px. */
async function drag(page: Page, handle: string, dx: number, dy = 0): Promise<void> {
  const box = await page.locator(`[data-handle="${handle}"]`).boundingBox()
  if (!box) throw new Error(`no handle ${handle}`)
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x + dx / 2, y + dy / 2, { steps: 4 })
  await page.mouse.move(x + dx, y + dy, { steps: 4 })
  await page.mouse.up()
}

test("a new building gets a door and a window, dragged where they go and where they can't", async ({
  page,
}) => {
  test.setTimeout(240_000)
  await newBuilding(page)
  await take(page, 'Walls', 'South wall')
  await expect(hand(page)).toContainText('people at 51 lb each')
  await add(page, 'Door')
  await expect(hand(page).getByRole('heading', { name: 'Door 1' })).toBeVisible()
  await expect(hand(page)).toContainText('2\' 8"')
  await expect(page.getByRole('alert')).toHaveCount(0)
  await add(page, 'Window')
  await expect(hand(page).getByRole('heading', { name: 'Window 2' })).toBeVisible()
  await expect(hand(page)).toContainText('2\' 1" × 2\' 7"')
  await expect(page.getByRole('alert')).toHaveCount(0)
  const marks = page.getByRole('img', { name: /marked as a pair/ })
  const before = await marks.getAttribute('aria-label')

  // sizes are typed as people type them, and change the wall as they are typed
  await inHand(page, 'Unit, width').fill('1\' 10 1/2"')
  await expect(hand(page)).toContainText('1\' 11 1/2"')
  await page.keyboard.press('Enter')
  await type(page, 'Wider by', '3/4')
  await expect(hand(page)).toContainText('1\' 11 1/4"')
  expect(await marks.getAttribute('aria-label')).not.toBe(before)

  // through the corner: it is not framed, why is said, and the wall stands
  const at = await inHand(page, 'Middle').inputValue()
  const way = Number(at.split("'")[0]) > 5 ? 1 : -1
  await drag(page, 'walls.openings.1.at', way * 400)
  await expect(page.getByRole('alert')).toContainText(
    'Opening 2 leaves no room for its jack and king beside the corner',
  )
  await expect(hand(page).getByText('not framed')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(inHand(page, 'Middle')).toHaveValue(at)
  await expect(page.getByRole('alert')).toHaveCount(0)

  // into the door
  await drag(page, 'walls.openings.1.at', -way * 110)
  await expect(page.getByRole('alert')).toContainText(
    /Opening \d runs into opening \d: between two rough openings stand the jacks and kings of both, 6"/,
  )
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('alert')).toHaveCount(0)

  // too tall for its header; then its pieces are in the list
  await page.locator('path.area[data-subject="walls.openings.0"]').click()
  await type(page, 'Unit, height', '6\' 6"')
  await expect(page.getByRole('alert')).toContainText('The header over opening 1 would stand')
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.locator('#sheet').focus()
  await page.keyboard.press('s')
  for (const name of ['king studs', 'jack studs', 'header plies', 'sill', 'cripples'])
    await expect(page.getByRole('cell', { name, exact: true }).first()).toBeVisible()
  await page.reload()
  await expect(page.getByRole('cell', { name: 'king studs', exact: true })).toBeVisible()
})

test(
  'openings of the demo are clean to axe, by rows and rings, and a kind changes what goes with it',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page, 'Sallow Marsh ringing hut', 'walls')
    await page.getByRole('button', { name: 'East', exact: true }).click()
    await page.locator('path.area[data-subject="walls.openings.1"]').click()
    await expect(hand(page).getByRole('heading', { name: 'Window 2' })).toBeFocused()
    await expect(hand(page)).toContainText('1\' 11" × 2\' 3"')
    await expect(inHand(page, 'Lower edge')).toHaveValue('3\' 4"')
    await clean(page)
    await page.getByRole('slider', { name: 'Lower edge, drag' }).focus()
    await page.keyboard.press('ArrowUp')
    await expect(inHand(page, 'Lower edge')).toHaveValue('3\' 4 1/2"')
    await choose(page, 'Kind', 'Vent')
    await expect(inHand(page, 'Wider by')).toHaveValue('1/2"')
    await page.getByRole('button', { name: 'Take the vent away' }).click()
    await expect(hand(page).getByRole('heading', { name: 'East wall' })).toBeVisible()
    await expect(page.locator('path.area[data-subject="walls.openings.1"]')).toHaveCount(0)
  },
)
