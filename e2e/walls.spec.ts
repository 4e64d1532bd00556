import { readFile } from 'node:fs/promises'
import type { Page } from '@playwright/test'
import {
  add,
  choose,
  clean,
  expect,
  field,
  hand,
  newBuilding,
  openDemo,
  over,
  take,
  test,
  type,
} from './fixtures'

const marks = (page: Page) => page.getByRole('img', { name: /marked as a pair/ })

test(
  'salvaged units size a wall, and its openings can be given others',
  { tag: '@wide' },
  async ({ page }) => {
    await newBuilding(page)
    await page.getByRole('link', { name: /^walls/i }).click()
    await expect(marks(page)).toBeVisible()
    await take(page, 'Walls', 'Windows you have')
    const dialog = hand(page)
    await expect(dialog).toContainText('Add what you have')
    await expect(dialog.getByRole('button', { name: 'Size the south wall from them' })).toBeDisabled()
    await dialog.getByLabel('Name').fill('chapel sash')
    await dialog.getByLabel('Width').fill('wide')
    await dialog.getByRole('button', { name: 'Add', exact: true }).click()
    await expect(dialog.getByRole('alert')).toContainText('Width: “wide” is not understood')
    for (const [name, width, height, many] of [
      ['chapel sash', '2\' 4"', '3\' 4"', '2'],
      ['scullery light', '20', '30', '1'],
    ] as const) {
      await dialog.getByLabel('Name').fill(name)
      await dialog.getByLabel('Width').fill(width)
      await dialog.getByLabel('Height').fill(height)
      await dialog.getByLabel('How many').fill(many)
      await dialog.getByRole('button', { name: 'Add', exact: true }).click()
    }
    await clean(page)
    // 4.5 + (6 + 29) x 2 + (6 + 21) + 4.5 = 106 in: corners, jacks and kings, rough openings (worked by hand)
    await expect(dialog.getByRole('status')).toContainText('8\' 10"')
    await dialog.getByRole('button', { name: 'Size the south wall from them' }).click()
    await expect(page.getByRole('dialog')).toHaveCount(0)
    await expect(field(page, 'Length')).toHaveValue('8\' 10"')
    await expect(page.locator('path.area[data-subject^="walls.openings."]')).toHaveCount(3)
    await expect(page.getByRole('alert')).toHaveCount(0)
    await page.locator('path.area[data-subject="walls.openings.2"]').click()
    await choose(page, 'Unit', /^chapel sash/)
    await expect(page.getByRole('alert')).toContainText('Opening 3')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByRole('alert')).toHaveCount(0)
  },
)

test('plate marks on paper, at any length and to read aloud', { tag: '@wide' }, async ({ page }) => {
  await openDemo(page, 'Sallow Marsh ringing hut', 'walls')
  await take(page, 'Walls', 'South wall')
  await page.getByRole('link', { name: 'Plate marks on paper' }).click()
  const east = page.getByRole('region', { name: 'East wall' })
  await expect(east).toContainText('tape hooked on the south end')
  await expect(
    east.getByRole('listitem').filter({ hasText: 'the bottom plate is cut out here' }),
  ).toHaveCount(1)
  await expect(east.getByRole('img')).toHaveCount(1)
  await clean(page)
  // full size: 8' 11" of plate in lines of 180 mm of paper: 2717.8 / 180, 16 lines, each as wide as its plate
  await page.getByRole('button', { name: 'Full size' }).click()
  await expect(east.getByRole('img')).toHaveCount(16)
  const wide = await east
    .getByRole('img')
    .first()
    .evaluate(each => each.getBoundingClientRect().width)
  expect(Math.abs(wide - (184 / 25.4) * 96)).toBeLessThan(1)
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden()
  await expect(east.getByRole('img').first()).toBeVisible()
  expect((await page.pdf({ format: 'A4' })).subarray(0, 5).toString()).toBe('%PDF-')
  await page.emulateMedia({ media: 'screen' })
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the list to read aloud as text' }).click(),
  ])
  const text = await readFile(await file.path(), 'utf8')
  expect(text).toMatch(
    /^South wall: both plates 13' 0", tape hooked on the west end\n0": stud, X ahead\n3": stud, X ahead\n1' 3 1\/4": stud, X ahead\n/,
  )
  await page.getByRole('link', { name: 'Walls' }).click()
  await expect(marks(page)).toBeVisible()
})

test(
  'a wall laid out from its far end, made higher, sheathed, braced and parted inside',
  { tag: '@wide' },
  async ({ page }) => {
    test.setTimeout(240_000)
    await newBuilding(page)
    await page.getByRole('link', { name: /^walls/i }).click()
    await expect(marks(page)).toBeVisible()
    const tally = page.locator('.tally')
    await take(page, 'Walls', 'South wall')
    await choose(page, 'Layout from', 'East end')
    await expect(page.locator('.caption').first()).toContainText('Mark from the east end')
    await choose(page, 'Layout from', 'The middle')
    await expect(page.getByRole('alert')).toHaveCount(0)

    // one wall's own height: the roof follows, and what can't be is said
    await choose(page, 'Height', 'Its own')
    await expect(hand(page).getByLabel('Height of the south wall', { exact: true })).toBeVisible()
    const height = field(page, 'Height of the south wall')
    await height.fill("8'")
    await page.keyboard.press('Enter')
    await expect(height).toHaveValue('8\' 0"')
    await expect(page.getByRole('alert')).toHaveCount(0)
    await height.fill("13'")
    await page.keyboard.press('Enter')
    await expect(page.getByRole('alert').first()).toContainText('the ridge leaves the span')
    await page.getByRole('button', { name: 'Undo' }).click()
    await page.getByRole('link', { name: /^roof/i }).click()
    await expect(field(page, 'Height of the south wall')).toHaveValue('8\' 0"')
    await expect(field(page, 'Wall height')).toBeVisible()
    await page.getByRole('link', { name: /^walls/i }).click()

    await take(page, 'Walls')
    await choose(page, 'Diagonals', 'Let in, outside')
    await choose(page, 'Studs stand', 'Under the rafters')
    await clean(page)
    await take(page, 'Walls', 'South wall')
    await expect(hand(page)).toContainText('Off the studs, in red: none of 7 rafters')

    await over(page, 'Sheets').click()
    await expect(hand(page).getByRole('heading', { name: 'Sheets', exact: true })).toBeVisible()
    await choose(page, 'Walls', 'Sheets')
    await expect(hand(page).getByText('Out of each sheet')).toBeVisible()
    await expect(hand(page).getByText('House wrap')).toBeVisible()
    const before = await tally.innerText()
    await choose(page, 'Sheets stand', 'Level')
    await expect(tally).not.toHaveText(before.replace(/\s+/g, ' '), { useInnerText: true })
    await page.locator('path.sheet[data-member^="walls/south/sheet"]').first().click()
    await expect(page.locator('.room-card .mark').first()).toHaveText(/^W\d+$/)
    await clean(page)

    await page.getByRole('button', { name: 'Plan', exact: true }).click()
    await take(page, 'Walls')
    await add(page, 'Partition')
    await expect(page.getByRole('button', { name: 'P1', exact: true })).toBeVisible()
    await clean(page)
    const face = hand(page).getByLabel('Partition, near face', { exact: true })
    await face.fill('2"')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('alert')).toContainText('Partition 1 leaves no room beside it')
    await face.fill("5'")
    await page.keyboard.press('Enter')
    await expect(page.getByRole('alert')).toHaveCount(0)
    await page.getByRole('button', { name: 'Frame', exact: true }).click()
    await page.getByRole('button', { name: 'P1', exact: true }).click()
    await expect(page.getByRole('img', { name: 'Partition 1, seen from the east' })).toBeVisible()
    await add(page, 'Door')
    await expect(hand(page).getByRole('heading', { name: 'Door 1' })).toBeVisible()
    await page.keyboard.press('Escape')
    await page.getByRole('button', { name: 'Plan', exact: true }).click()
    await page.getByRole('button', { name: 'Take the partition away' }).click()
    await expect(page.getByRole('button', { name: 'P1', exact: true })).toHaveCount(0)
    await page.reload()
    // where it was
    await expect(page.getByRole('img', { name: 'The walls from above, south at the bottom' })).toBeVisible()
    await page.getByRole('button', { name: 'Frame', exact: true }).click()
    await expect(page.getByRole('img', { name: 'The south wall, seen from outside' })).toBeVisible()
  },
)

test("a side of posts and beam, slatted, and what it can't have", { tag: '@wide' }, async ({ page }) => {
  await openDemo(page, 'Sallow Marsh ringing hut', 'walls')
  await take(page, 'Walls', 'South wall')
  await choose(page, 'Built of', 'Posts, beam')
  await expect(page.getByRole('img', { name: /^Top plate and deck, side by side/ })).toHaveAccessibleName(
    /: 0", 6' 4 1\/4", 12' 8 1\/2"$/,
  )
  await page.locator('path.wood[data-member="walls/south/post/2"]').first().click()
  await expect(page.locator('.room-card .mark').first()).toHaveText('WP1')
  await expect(page.locator('.room-card')).toContainText('3 wall posts')
  await page.keyboard.press('Escape')
  await expect(hand(page).getByRole('heading', { name: 'Posts, beam' })).toBeVisible()
  await choose(page, 'Beam, plies', '2')
  await expect(page.getByRole('alert')).toContainText('too little of them')
  await expect(hand(page).locator('.faulty')).toContainText('too little of them')
  await expect(page.locator('.elsewhere')).toContainText('Beam')
  await clean(page)
  // posts deeper than the walls have wood enough left
  await choose(page, 'Posts', /^6x6 /)
  await expect(page.getByRole('alert')).toHaveCount(0)
  await expect(page.locator('path.wood[data-member="walls/south/beam/2"]').first()).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('alert')).toHaveCount(0)
  await take(page, 'Walls', 'South wall')
  await choose(page, 'On it', 'Slats')
  await page
    .getByRole('group', { name: 'Frame, sheets or plan' })
    .getByRole('button', { name: 'Sheets' })
    .click()
  await type(page, 'Gap between slats', '1')
  await expect(page.locator('path.wood[data-member^="walls/south/slat/"]').first()).toBeVisible()
  await clean(page)
})

test('raked gable walls, and one that steps', { tag: '@wide' }, async ({ page }) => {
  await openDemo(page, 'Sallow Marsh reed store', 'walls')
  await page.getByRole('button', { name: 'West', exact: true }).click()
  // along the lower face from the eave wall: a corner stud, then the layout, 24 in less half of 2 in from the
  // wall's end, / cos of 15 in 12
  await choose(page, 'Plate', 'South slope')
  await expect(
    page.getByRole('img', { name: /^Top plate along the south slope, marked: 0", / }),
  ).toBeVisible()
  await page.locator('path.wood[data-member="walls/west/plate/top/south"]').click()
  await expect(page.locator('.room-card')).toContainText('top plate')
  await expect(page.locator('.room-card')).toContainText('plumb cut')
  await clean(page)
  await take(page, 'Walls', 'West wall')
  await page.getByRole('link', { name: 'Plate marks on paper' }).click()
  await expect(page.getByRole('heading', { name: 'West wall, north slope' })).toBeVisible()
  await expect(page.getByRole('region', { name: 'West wall', exact: true })).toContainText('Bottom plate')
  await clean(page)

  await page.goBack()
  await take(page, 'Walls')
  await choose(page, 'Gables', 'Studs')
  await take(page, 'Walls', 'West wall')
  await choose(page, 'Its top', 'Steps')
  const from = hand(page).getByLabel('From there on', { exact: true })
  await from.fill("9'")
  await page.keyboard.press('Enter')
  const said = (text: string) => page.getByRole('alert').filter({ hasText: text })
  await expect(said('North of its step the west wall would stand into the rafters')).toHaveCount(1)
  await from.fill('5\' 6"')
  await page.keyboard.press('Enter')
  await expect(said('would stand into the rafters')).toHaveCount(0)
  await clean(page)
  await expect(page.locator('path.wood[data-member="walls/west/plate/top/2"]')).toBeVisible()
  const at = page.getByRole('slider', { name: 'Steps at, drag' })
  await expect(at).toBeVisible()
  for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.locator('path.wood[data-member="walls/west/plate/top/south"]')).toBeVisible()
})

test(
  'a shelter on its own posts: in the ground, beams of two boards, rafters on the beam',
  { tag: '@wide' },
  async ({ page }) => {
    test.setTimeout(240_000)
    await newBuilding(page)
    await page.getByRole('link', { name: /^ground/i }).click()
    await take(page, 'Ground', 'Base')
    await choose(page, 'Base', "The sides' own posts")
    await take(page, 'Ground', "The sides' own posts", 'Posts in the ground')
    await expect(page.locator('.supports tbody tr')).toHaveCount(6)
    await expect(page.locator('.supports')).toContainText('south 1')
    await expect(page.getByRole('alert')).toHaveCount(0)
    await clean(page)

    // posts nearer than their holes are wide: told with what fits, and that is typed
    await page.getByRole('link', { name: /^walls/i }).click()
    await take(page, 'Walls', 'Posts, beam')
    await type(page, 'Post spacing, at most', '15"')
    const said = page.getByRole('alert').filter({ hasText: 'nearer to each other than their holes are wide' })
    await expect(said).toHaveCount(1)
    await type(page, 'Post spacing, at most', "6'")
    await expect(said).toHaveCount(0)

    // a beam that would leave too little of the posts goes on top
    await choose(page, 'Beam, plies', '2')
    await expect(page.getByRole('alert').filter({ hasText: 'too little of them' })).toHaveCount(1)
    await choose(page, 'The beam lies', 'On top')
    await expect(page.getByRole('alert')).toHaveCount(0)
    await choose(page, 'Over the beam', 'Rafters')
    await expect(page.getByRole('alert')).toHaveCount(0)
    await take(page, 'Walls', 'East wall')
    await expect(page.locator('path.wood[data-member="walls/south/post/3"]').first()).toBeVisible()
    await clean(page)
    await page.getByRole('link', { name: /^roof/i }).click()
    await expect(page.locator('path[data-member^="walls/south/beam/"]').first()).toBeVisible()
  },
)

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

  test('walls and their marks are there, with targets large enough', async ({ page }) => {
    await openDemo(page, 'Sallow Marsh ringing hut', 'walls')
    const sheets = page
      .getByRole('group', { name: 'Frame, sheets or plan' })
      .getByRole('button', { name: 'Sheets' })
    await sheets.tap()
    await page.getByRole('button', { name: 'Hand', exact: true }).tap()
    await expect(hand(page).getByText('Out of each sheet')).toBeVisible()
    await clean(page)
    // what is touched on the drawing opens in the hand
    await page.getByRole('button', { name: 'Drawing', exact: true }).first().tap()
    await page.getByRole('button', { name: 'Frame', exact: true }).tap()
    await page.getByRole('button', { name: 'East', exact: true }).tap()
    await page.locator('path.area[data-subject="walls.openings.0"]').tap({ position: { x: 8, y: 60 } })
    await expect(hand(page).getByRole('heading', { name: 'Door 1' })).toBeVisible()
    await page.getByRole('button', { name: 'East wall', exact: true }).first().tap()
    await page.getByRole('link', { name: 'Plate marks on paper' }).tap()
    await expect(page.getByRole('heading', { name: 'South wall', exact: true })).toBeVisible()
    await clean(page)
    const small = await page
      .locator('button:visible, a:visible')
      .evaluateAll(list =>
        list
          .map(each => ({ name: each.textContent?.trim(), tall: each.getBoundingClientRect().height }))
          .filter(each => each.tall > 0 && each.tall < 43.5),
      )
    expect(small).toEqual([])
  })
})
