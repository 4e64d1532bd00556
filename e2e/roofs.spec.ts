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
  take,
  takeCard,
  test,
  type,
} from './fixtures'

test('a new building gets a single slope, from a pitch and from two heights', async ({ page }) => {
  await newBuilding(page)
  await take(page, 'Roof')
  await page.getByRole('button', { name: 'Roof shape: gable' }).click()
  await clean(page)
  await page.getByRole('button', { name: 'Single slope, high on the north' }).click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  // 8 ft less a 3 1/2 in plate is 92 1/2 level; at 6 in 12 the north wall is 46 1/4 higher than 6' 11"
  await expect(field(page, 'Height of the north wall')).toHaveValue('10\' 9 1/4"')
  await type(page, 'Pitch', '3')
  await expect(field(page, 'Height of the north wall')).toHaveValue('8\' 10 1/8"')
  await type(page, 'Height of the north wall', '10\' 9 1/4"')
  await expect(field(page, 'Pitch')).toHaveValue('6 in 12')
  await type(page, 'Overhang at the high wall', '20')
  await takeCard(page)
  await expect(page.locator('.room-card .mark').first()).toHaveText('R1')
  await expect(page.locator('.room-card')).toContainText('7 common rafters')
  await expect(page.locator('.room-card')).not.toContainText('Ridge deduction')
  await clean(page)
  await type(page, 'Height of the north wall', '6\' 11"')
  await expect(page.getByRole('alert').first()).toContainText('The north wall is the high one')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('alert')).toHaveCount(0)
  // the end walls are raked, and the rafter is ticked from the frame
  await page.getByRole('link', { name: /^walls/i }).click()
  await page.getByRole('button', { name: 'West', exact: true }).click()
  await choose(page, 'Plate', 'Along the slope')
  await page.locator('path.wood[data-member="roof/rafter/1"]').click()
  await page.keyboard.press('x')
  await expect(page.locator('.room-card')).toContainText('cut')
  await page.getByRole('link', { name: /^roof/i }).click()
  await take(page, 'Roof')
  await page.getByRole('button', { name: /^Roof shape: single slope/ }).click()
  await page.getByRole('button', { name: 'Gable', exact: true }).click()
  await expect(page.getByRole('button', { name: 'Roof shape: gable' })).toBeVisible()
})

test('rafter ties, collar ties and fascia: dragged, said and cut', { tag: '@wide' }, async ({ page }) => {
  await openDemo(page, 'Sallow Marsh ringing hut')
  await take(page, 'Roof', 'Ties')
  for (const kind of ['Rafter ties', 'Collar ties']) {
    await choose(page, kind, 'Framed')
    await expect(hand(page).getByLabel(`${kind} over the plate`, { exact: true })).toBeVisible()
  }
  await type(page, 'Collar ties over the plate', "9'")
  await expect(page.getByRole('alert')).toContainText('The collar ties would meet the ridge board')
  await type(page, 'Collar ties over the plate', '20')
  await expect(page.getByRole('alert')).toHaveCount(0)
  await take(page, 'Roof', 'Tails')
  await choose(page, 'Fascia', /^1x6/)
  await clean(page)
  await page
    .locator('path.wood[data-member^="roof/collar-tie/"]')
    .first()
    .click({ position: { x: 24, y: 4 } })
  await expect(page.locator('.room-card .mark').first()).toHaveText('CT1')
  await expect(page.locator('.room-card')).toContainText('it holds the slopes together, not the walls')
  await page.locator('path[data-member="roof/north/fascia"]').first().click()
  await expect(page.locator('.room-card .mark').first()).toHaveText('FA1')
  await expect(page.locator('.room-card')).toContainText('Its upper edge ripped to the slope')
  const ring = page.getByRole('slider', { name: 'Collar ties over the plate, drag' })
  await ring.focus()
  await page.keyboard.press('ArrowUp')
  await expect(ring).toHaveAttribute('aria-valuetext', '1\' 8 1/2"')
})

test(
  'the nest-box workshop is on the shelf, and its high wall is dragged',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page, 'Sallow Marsh nest-box workshop')
    await expect(field(page, 'Height of the south wall')).toHaveValue('2720')
    const before = await field(page, 'Pitch').inputValue()
    const ring = page.getByRole('slider', { name: 'Height of the south wall, drag' })
    await ring.focus()
    await page.keyboard.press('ArrowUp')
    await expect(field(page, 'Height of the south wall')).toHaveValue('2730')
    await expect(field(page, 'Pitch')).not.toHaveValue(before)
    await clean(page)
    await take(page, 'Roof')
    await add(page, 'Ceiling joists')
    await expect(page.getByRole('alert')).toContainText('ledger would cross opening 1 in the south wall')
    await type(page, 'Ceiling joists over the plate', '420')
    await expect(page.getByRole('alert')).toHaveCount(0)
    await page.getByRole('button', { name: 'Plan', exact: true }).click()
    await page.locator('path.wood[data-member="roof/joist-ledger"]').first().dispatchEvent('click')
    await expect(page.locator('.room-card')).toContainText('on the studs of the high wall')
    await clean(page)
  },
)

test(
  'a new building gets two pitches, and the ridge is typed to its place',
  { tag: '@wide' },
  async ({ page }) => {
    await newBuilding(page, 'Gable, two pitches')
    await expect(field(page, 'North pitch')).toHaveValue('9 in 12')
    await type(page, 'Peak from the south wall', "3' 6")
    await expect(field(page, 'Peak from the south wall')).toHaveValue('3\' 6"')
    await expect(field(page, 'North pitch')).not.toHaveValue('9 in 12')
    await type(page, 'Ridge, over the deck', "10'")
    await expect(field(page, 'Ridge, over the deck')).toHaveValue('10\' 0"')
    await clean(page)
    await type(page, 'Ridge, over the deck', "5'")
    await expect(page.getByRole('alert')).toContainText(
      'No pitch between 0.5° and 70° brings the ridge there',
    )
    await expect(page.locator('path.wood').first()).toBeVisible()
    await type(page, 'Pitch', '6')
    await expect(page.getByRole('alert')).toHaveCount(0)
  },
)

test(
  'a new building gets a hip roof: its jacks are sawn on the skew, laid out with the square, and picked in 3D',
  { tag: '@wide' },
  async ({ page }) => {
    await newBuilding(page, 'Hip')
    await page.getByRole('button', { name: 'Plan', exact: true }).click()
    await page.locator('path.wood[data-member="roof/hip/south-west"]').first().click()
    const card = page.locator('.room-card')
    await expect(card.locator('.mark').first()).toHaveText('HR1')
    await expect(card).toContainText('Run, on the skew')
    await page.locator('path.wood[data-member="roof/south/jack/1"]').first().click()
    await expect(card).toContainText('26.6°, bevel 45°')
    await expect(
      card.getByRole('img', { name: /^cheek cut: line 26.6° from square, blade 45° from upright/ }),
    ).toBeVisible()
    await clean(page)
    await page.getByRole('button', { name: 'Show the square on the board' }).click()
    await dialogReady(page)
    const dialog = page.getByRole('dialog')
    await expect(dialog).toContainText('First line')
    await dialog.getByRole('button', { name: 'Next mark' }).click()
    await expect(dialog).toContainText('Step 1')
    await dialog.getByRole('button', { name: 'Triangular rafter square' }).click()
    await expect(dialog).toContainText('read 6 on the common scale, or 26.6°')
    await clean(page)
    await page.keyboard.press('Escape')
    await expect(page.getByRole('dialog')).toHaveCount(0)
    await page.keyboard.press('x')
    await expect(page.locator('.tick.yes')).toBeVisible()
    await type(page, 'Length', "7'")
    await expect(page.getByRole('alert')).toContainText('Make the length at least the span')
    // the last good roof stays, dashed
    await expect(page.locator('.drawing path.behind')).not.toHaveCount(0)
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByRole('alert')).toHaveCount(0)
  },
)

test(
  'parts of a gabled roof: beam, soffit, ladder, barge boards and blocks, each with its card',
  { tag: '@wide' },
  async ({ page }) => {
    await newBuilding(page)
    const pick = (name: string, option: RegExp): Promise<void> => choose(page, name, option)
    await take(page, 'Roof', 'Ridge')
    await pick('The ridge is', /^A beam/)
    await expect(hand(page).getByLabel('Ridge posts, at most', { exact: true })).toBeVisible()
    await take(page, 'Roof', 'Tails')
    await pick('Boxed soffit, of', /^2x4/)
    await add(page, 'Blocks')
    await pick('Holes for air in each', /^2/)
    await add(page, 'Ladder over the gables')
    await pick('Barge boards', /^1x8/)
    await type(page, 'Overhang at the gables', '2')
    await expect(page.getByRole('alert')).toContainText('no room for a fly rafter')
    await type(page, 'Overhang at the gables', '12')
    await expect(page.getByRole('alert')).toHaveCount(0)
    await clean(page)
    const card = page.locator('.room-card')
    await page.getByRole('button', { name: 'Plan', exact: true }).click()
    await page.locator('path[data-member^="roof/south/block/"]').first().click()
    await expect(card).toContainText('Holes for air')
    await page.locator('path[data-member="roof/ridge/1"]').first().click()
    await expect(card).toContainText('It carries half of both slopes')
    await page.getByRole('button', { name: 'East', exact: true }).click()
    await page.locator('path.wood[data-member="roof/south/barge/east"]').first().click()
    await expect(card.locator('.mark').first()).toHaveText(/^BB/)
    await clean(page)
    await page.getByRole('button', { name: 'Section', exact: true }).click()
    await page.getByRole('button', { name: 'Rafter after' }).click()
    await expect(page.getByText('Rafter 5 of 7')).toBeVisible()
  },
)

test(
  "a new building leans on a house: its ledger is typed, and the house's side has no wall",
  { tag: '@wide' },
  async ({ page }) => {
    await newBuilding(page, 'Lean-to, house on the north')
    await type(page, 'Height of the north wall', "10'")
    await expect(field(page, 'Height of the north wall')).toHaveValue('10\' 0"')
    await page.getByRole('button', { name: 'Plan', exact: true }).click()
    await page.locator('path.wood[data-member="roof/ledger"]').click()
    await expect(page.locator('.room-card')).toContainText('Level on the house')
    await clean(page)
    await page.keyboard.press('w')
    await expect(page.getByRole('button', { name: 'South', exact: true })).toBeVisible()
    await expect(page.getByRole('button', { name: 'North', exact: true })).toHaveCount(0)
    await page.keyboard.press('r')
    await page.getByRole('button', { name: 'Section', exact: true }).click() // the bench is as it was left
    await type(page, 'Height of the north wall', "6' 6")
    await expect(page.getByRole('alert')).toContainText('brings the rafters to a ledger there')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByRole('alert')).toHaveCount(0)
  },
)

test(
  'a roof light, a flue and a stair are let into the ringing hut, moved and refused',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page, 'Sallow Marsh ringing hut')
    await page.getByRole('button', { name: 'Plan', exact: true }).click()
    await take(page, 'Roof')
    await add(page, 'Roof light')
    await expect(hand(page).getByRole('heading', { name: 'Roof light 1' })).toBeVisible()
    await expect(hand(page).getByText('not framed')).toHaveCount(0)
    const up = hand(page).getByLabel('Up from the wall', { exact: true })
    const before = await up.inputValue()
    const ring = page.getByRole('slider', { name: 'Up from the wall, drag' })
    await ring.focus()
    await page.keyboard.press('ArrowUp')
    await expect(up).not.toHaveValue(before)
    await page.locator('path.wood[data-member="roof/opening/1/header/high/1"]').first().click()
    await expect(page.locator('.room-card .mark').first()).toHaveText('RH1')
    await page.keyboard.press('Escape')
    await expect(hand(page).getByRole('heading', { name: 'Roof light 1' })).toBeVisible()
    await add(page, 'Stair')
    await expect(hand(page).getByRole('heading', { name: 'Stair 2' })).toBeVisible()
    await expect(page.locator('path.wood[data-member^="roof/opening/2/header/"]')).not.toHaveCount(0)
    await add(page, 'Flue')
    await expect(hand(page).getByRole('heading', { name: 'Flue 3' })).toBeVisible()
    await clean(page)
    await type(page, 'Up from the wall', '1"')
    await expect(page.getByRole('alert')).toContainText('Opening 3 leaves no room for its headers')
    await expect(hand(page)).toContainText('Opening 3 leaves no room for its headers')
    await expect(hand(page).getByText('not framed')).toBeVisible()
    await page.getByRole('button', { name: 'Take the flue away' }).click()
    await expect(page.getByRole('alert')).toHaveCount(0)
  },
)

test(
  'a new building gets a flat roof on firrings, whose blocks leave air over them',
  { tag: '@wide' },
  async ({ page }) => {
    await newBuilding(page, 'Flat, falls to the south')
    await take(page, 'Roof')
    await add(page, 'Blocks')
    await type(page, 'Clear over the blocks', '1"')
    await clean(page)
    await page.getByRole('button', { name: 'Plan', exact: true }).click()
    await page.locator('path.wood[data-member="roof/firring/rafter/2"]').first().click()
    await expect(page.locator('[data-figure="thin-end"] .value')).toHaveText('1/2"')
    await expect(page.locator('[data-figure="thick-end"] .value')).toHaveText('3"')
    await page.getByRole('button', { name: 'Section', exact: true }).click()
    await type(page, 'Pitch', '2')
    await expect(page.getByRole('alert')).toContainText('The firrings would be')
    await expect(page.locator('.drawing path.behind')).not.toHaveCount(0)
  },
)

test(
  'a new building gets a raised ridge: its strip is moved, and a strip too low is said with the remedy',
  { tag: '@wide' },
  async ({ page }) => {
    await newBuilding(page, 'Raised ridge, strip to the south')
    await type(page, 'Strip from the south wall', "3' 9")
    await expect(field(page, 'Strip from the south wall')).toHaveValue('3\' 9"')
    await type(page, 'North pitch', '4')
    await expect(field(page, 'North pitch')).toHaveValue('4 in 12')
    await clean(page)
    await page.getByRole('button', { name: 'Plan', exact: true }).click()
    await page.locator('path.wood[data-member="roof/upper-header/1"]').first().dispatchEvent('click')
    await expect(page.locator('.room-card .mark').first()).toHaveText('UH1')
    await page.getByRole('button', { name: 'Section', exact: true }).click()
    await type(page, 'Height of the north wall', "7'")
    await expect(page.getByRole('alert')).toContainText('Make the north wall at least')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByRole('alert')).toHaveCount(0)
  },
)
