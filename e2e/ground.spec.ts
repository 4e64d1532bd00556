import { readFile } from 'node:fs/promises'
import {
  add,
  choose,
  clean,
  dialogReady,
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

const part = over

test('a new building from the stake to the deck', async ({ page }) => {
  test.setTimeout(240_000)
  await newBuilding(page)
  await page.locator('#sheet').focus()

  // the site: off a house wall, a plot line too near, a drain by two tapes
  await page.keyboard.press('g')
  await page.getByRole('button', { name: 'Set out the site' }).click()
  await choose(page, 'Measured off', 'House wall')
  await type(page, 'Left corner, off the line', "15'")
  await type(page, 'Right corner, off the line', '15\' 6"')
  await expect(field(page, 'Right corner, off the line')).toHaveValue('15\' 6"')
  await add(page, 'Plot line')
  await type(page, 'Setback', "30'")
  await page.getByRole('button', { name: /caution/ }).click()
  await dialogReady(page)
  await expect(page.getByRole('dialog')).toContainText('the setback is 30\' 0"')
  await page.keyboard.press('Escape')
  await type(page, 'Setback', "5'")

  // levels: a rod at each corner; the east side 6 in lower
  await part(page, 'Levels').click()
  await page.getByRole('button', { name: 'Add a reading at each corner' }).click()
  const readings = page.getByLabel('Reading', { exact: true })
  await expect(readings).toHaveCount(4)
  for (const [i, text] of ["4'", '4\' 6"', '4\' 6"', "4'"].entries()) {
    await readings.nth(i).fill(text)
    await page.keyboard.press('Enter')
  }
  await expect(hand(page)).toContainText('The ground falls 6"')

  // the base: posts, which bring a floor; the low side's are half a foot longer
  await part(page, 'Base').click()
  await page.getByRole('button', { name: 'Stand it on a slab' }).click()
  await choose(page, 'Base', 'Posts in the ground')
  await expect(page.getByRole('img', { name: 'The base from above, south at the bottom' })).toBeVisible()
  await type(page, 'Frost depth', '40')
  await part(page, 'Levels').click()
  const shows = await page.locator('.supports tbody tr td:nth-child(2)').allInnerTexts()
  expect(shows).toHaveLength(6)
  expect(shows[0]).toBe(shows[3])
  expect(shows[0]).not.toBe(shows[2])

  // rock stops one hole
  await part(page, 'Base').click()
  await page.locator('path[data-member="base/post/1/1"]').first().dispatchEvent('click')
  await page.getByRole('button', { name: 'Rock stopped the hole' }).click()
  await type(page, 'Depth reached', '1\' 6"')
  await page.getByRole('button', { name: /caution/ }).click()
  await dialogReady(page)
  await expect(page.getByRole('dialog')).toContainText(
    'Rock stopped a hole at 1\' 6", above the frost depth of 3\' 4"',
  )
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'From the south' }).click()
  await expect(
    page.getByRole('img', { name: 'The base and floor from the south, with the ground' }),
  ).toBeVisible()

  // the floor: marks, an opening, two frames, hangers, a deck of sheets and a porch
  await page.locator('#sheet').focus()
  await page.keyboard.press('f')
  const marks = page.getByRole('img', { name: /marked as a pair/ })
  await expect(marks).toHaveAccessibleName(/: 0", 1' 3 1\/4", 2' 7 1\/4"/)
  await take(page, 'Floor', 'Joists')
  await choose(page, 'Joist ends', 'Hangers')
  await add(page, 'Opening')
  await type(page, 'Opening, from the west', "4'")
  await expect(marks).toHaveAccessibleName(/3' 9", 3' 10 1\/2"/)
  await type(page, 'Opening, from the west', '1')
  await expect(page.getByRole('alert').first()).toContainText('Opening 1 leaves no room for its headers')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('alert')).toHaveCount(0)
  await take(page, 'Floor')
  await choose(page, 'Floor built as', 'Two frames')
  await expect(part(page, 'East frame')).toBeVisible()
  await choose(page, 'Floor built as', 'One frame')
  await choose(page, 'Porch', 'East')
  await expect(field(page, 'Porch depth')).toHaveValue('4\' 0"')
  await page.getByRole('group', { name: 'Frame or deck' }).getByRole('button', { name: 'Deck' }).click()
  await expect(page.locator('.cuts')).toContainText('D1')
  await expect(page.locator('.tally')).toContainText('sheets')

  // all of it in the list and in a file, and all of it undone
  await page.locator('#sheet').focus()
  await page.keyboard.press('s')
  await expect(page.getByRole('region', { name: 'Loose things' })).toContainText('Joist hangers')
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the plan as JSON' }).click(),
  ])
  const plan = JSON.parse(await readFile(await file.path(), 'utf8')) as {
    pieces: { role: string; length: number }[]
    loose: { code: string; rule: string }[]
    ground: { highest: number; lowest: number }
  }
  expect(plan.ground.highest - plan.ground.lowest).toBeGreaterThan(6 * 25.4 - 1e-3)
  expect(plan.loose.map(each => each.code)).toEqual(
    expect.arrayContaining(['hole-gravel', 'spoil', 'hangers']),
  )
  expect(new Set(plan.pieces.map(piece => piece.role))).toEqual(
    new Set([
      'post',
      'beam',
      'rim',
      'joist',
      'floor-header',
      'block',
      'deck-sheet',
      'deck-board',
      'bottom-plate',
      'top-plate',
      'stud',
      'gable-stud',
      'ridge',
      'rafter',
      'rafter-tie',
    ]),
  )
  await page.reload()
  await expect(page.getByRole('region', { name: 'Loose things' })).toContainText('Joist hangers')
})

test('a service under a post is said, with how near', { tag: '@wide' }, async ({ page }) => {
  await openDemo(page, 'Sallow Marsh ringing hut', 'ground')
  await page.locator('path.area[aria-label="Old drain"]').focus()
  await page.keyboard.press('Enter')
  const drain = hand(page)
  await expect(drain.getByRole('heading', { name: 'Old drain' })).toBeFocused()
  // the drain is found to run right under the south row of posts: 8 ft off the fence
  const tapes = [
    [0, Math.hypot(5, 8)],
    [1, Math.hypot(27, 8)],
    [2, Math.hypot(27, 8)],
    [3, Math.hypot(5, 8)],
  ] as const
  for (const [i, feet] of tapes) {
    const input = drain.locator('input[data-field*=".places."]').nth(i)
    await input.fill(`${feet.toFixed(3)} ft`)
    await page.keyboard.press('Enter')
  }
  await page.getByRole('button', { name: /caution/ }).click()
  await dialogReady(page)
  await expect(page.getByRole('dialog')).toContainText(
    /0" from “Old drain” to where 3 holes or posts go; 2' 0" is asked/,
  )
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Old drain' })
    .getByRole('button', { name: 'Show the piece' })
    .click()
  await expect(page.locator('.room-card')).toContainText('post')
  await take(page, 'Ground', 'Site', 'Old drain')
  // tapes that can't meet
  await drain.locator('input[data-field*=".places."]').first().fill('1 ft')
  await page.keyboard.press('Enter')
  await expect(drain).toContainText("These tapes can't meet")
  await clean(page)
  await page.getByRole('link', { name: 'Permit sketch' }).click()
  await expect(page.getByRole('cell', { name: 'Reed bank' })).toBeVisible()
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the drawing as SVG' }).click(),
  ])
  expect(await readFile(await file.path(), 'utf8')).toContain('Reed bank')
  await clean(page)
})

const eachStep = 'every step on the ground and the floor is clean to axe, and refuses rubbish where it stands'
test(eachStep, { tag: '@wide' }, async ({ page }) => {
  test.setTimeout(240_000)
  await openDemo(page, 'Sallow Marsh ringing hut', 'ground')
  for (const name of ['Square', 'Levels', 'Base']) {
    await part(page, name).click()
    await page.waitForTimeout(300)
    await clean(page)
  }
  for (const [name, text, says] of [
    ['Frost depth', 'deep', '“deep” is not understood'],
    ['Hole, diameter', '1', 'must be at least'],
    ['Supports, at most', '-3', 'below zero'],
  ] as const) {
    await take(page, 'Ground', 'Posts in the ground', ...(name === 'Frost depth' ? [] : ['Posts, beams']))
    await type(page, name, text)
    await expect(page.getByRole('alert')).toContainText(says)
    await expect(field(page, name)).toHaveValue(text)
    await page.keyboard.press('Escape')
  }
  await part(page, 'Square').click()
  await field(page, 'South side').fill('thirteen')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toContainText('“thirteen” is not understood')
  await page.keyboard.press('Escape')
  await expect(field(page, 'South side')).toHaveValue('13\' 0"')
  for (const kind of ['Timber border', 'Skids', 'Concrete blocks', 'Piers', 'Slab']) {
    await part(page, 'Base').click()
    await choose(page, 'Base', kind)
    await expect(page.locator('.room-sheet svg.picture')).toBeVisible()
    await expect(page.getByRole('alert')).toHaveCount(0)
  }
  await choose(page, 'Low wall', 'Round the slab')
  await expect(field(page, 'Low wall, height').first()).toHaveValue('1\' 0"')
  await page.locator('#sheet').focus()
  await page.keyboard.press('f')
  await expect(page.getByRole('button', { name: /^Frame a floor/ })).toBeVisible()
  await clean(page)
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
  test('stakes that are off are squared, reading by reading', async ({ page }) => {
    await openDemo(page, 'Sallow Marsh ringing hut', 'ground')
    await part(page, 'Square').tap()
    const status = page.locator('.says .verdict, .says .fault')
    const turn = (to: string) => page.getByRole('button', { name: to, exact: true }).last().tap()
    await turn('Hand')
    await expect(status).toContainText('Out of square by up to 1 1/8"')
    await expect(page.getByRole('list', { name: 'What to move' })).toContainText('13/16" west')
    // misread by a foot: refused, and the reading kept
    await turn('Drawing')
    await type(page, 'Diagonal SW to NE', '17\' 1 3/4"')
    await expect(status).toContainText('contradict each other')
    // taken again after the stakes were moved
    await type(page, 'Diagonal SW to NE', '16\' 1 3/16"')
    await type(page, 'Diagonal SE to NW', '16\' 1 3/16"')
    await type(page, 'North side', "13'")
    await type(page, 'West side', '9\' 6"')
    await expect(status).toContainText('Square: nothing is more than')
    // a 3-4-5 that is short says which way to slide
    await turn('Hand')
    await field(page, 'the tape reads').fill('14\' 11 1/2"')
    await page.keyboard.press('Enter')
    await expect(page.locator('.says')).toContainText('too tight')
    // with a tape taken back, and the 3-4-5 too, one more is asked for
    await field(page, 'the tape reads').fill('')
    await page.keyboard.press('Enter')
    await turn('Drawing')
    for (const name of ['Diagonal SW to NE', 'Diagonal SE to NW']) await type(page, name, '')
    await expect(status).toContainText('Tape one more to fix the shape')
    await clean(page)
    const small = await page
      .locator('.ground input:visible, .ground button:visible')
      .evaluateAll(list =>
        list.map(each => each.getBoundingClientRect().height).filter(height => height < 43.5),
      )
    expect(small).toEqual([])
  })
})
