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

test(
  'a new building gets a gambrel: found four ways, its knee dragged, its headroom typed, and what can not be said',
  { tag: '@wide' },
  async ({ page }) => {
    test.setTimeout(300_000)
    await newBuilding(page, 'Gambrel')
    await expect(page.getByText('Truss 4 of 7')).toBeVisible()
    await take(page, 'Roof', 'Knees')
    const value = (name: string): Promise<string> =>
      hand(page).getByLabel(name, { exact: true }).first().inputValue()

    // another way begins where the roof line lies
    await choose(page, 'Roof line by', 'The knee')
    const [into, up, top] = [
      await value('Knee in from the wall'),
      await value('Knee over the plate'),
      await value('Ridge, over the deck'),
    ]
    await choose(page, 'Roof line by', 'Two pitches')
    expect(await value('Knee over the plate')).toBe(up)
    await choose(page, 'Roof line by', 'Headroom')
    await choose(page, 'Roof line by', 'The knee')
    expect([
      await value('Knee in from the wall'),
      await value('Knee over the plate'),
      await value('Ridge, over the deck'),
    ]).toEqual([into, up, top])
    await clean(page)

    // the knee is dragged
    const ring = page.getByRole('slider', { name: 'Knee over the plate, drag' })
    const box = await ring.boundingBox()
    if (!box) throw new Error('no ring')
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
    await page.mouse.down()
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 - 12, { steps: 4 })
    await page.mouse.up()
    await expect(hand(page).getByLabel('Knee over the plate', { exact: true })).not.toHaveValue(up)
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(hand(page).getByLabel('Knee over the plate', { exact: true })).toHaveValue(up)

    // a ridge under the knee: the last good drawing stays, dashed
    await type(page, 'Ridge, over the deck', "8'")
    await expect(page.getByRole('alert')).toContainText('The ridge would lie no higher than the knee.')
    await expect(page.locator('.drawing path.behind')).not.toHaveCount(0)
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByRole('alert')).toHaveCount(0)

    // a headroom, and one that can't be had
    await choose(page, 'Roof line by', 'Headroom')
    await type(page, 'Headroom, width', "4'")
    await type(page, 'Headroom, height', "3'")
    await expect(page.getByRole('alert')).toHaveCount(0)
    await expect(field(page, 'Headroom, height')).toHaveValue('3\' 0"')
    await type(page, 'Headroom, height', "12'")
    await expect(page.getByRole('alert')).toContainText("So much headroom can't be had")
    await page.getByRole('button', { name: 'Undo' }).click()

    // a foot that would part the chord, with the range that does not
    await type(page, 'Foot under the plate', "2'")
    await expect(page.getByRole('alert')).toContainText('more than half the lower chord')
    await hand(page).getByRole('button', { name: 'Let the drop follow' }).click()
    await expect(page.getByRole('alert')).toHaveCount(0)

    // chords too short for their gussets
    await take(page, 'Roof', 'Trusses')
    await type(page, 'Gusset along each member', "2' 6")
    await expect(page.getByRole('alert')).toContainText('The chords are too short for their gussets.')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByRole('alert')).toHaveCount(0)
    await page
      .locator('path.sheet[data-member="roof/truss/4/gusset/ridge/east"]')
      .first()
      .dispatchEvent('click')
    await expect(page.locator('.room-card .mark').first()).toHaveText(/^GT/)
  },
)

test(
  'trusses on a gable are chosen, and their jig is read, on a phone too',
  { tag: '@wide' },
  async ({ page }) => {
    await newBuilding(page)
    await take(page, 'Roof')
    await choose(page, 'Carried by', 'Trusses')
    await take(page, 'Roof', 'Trusses')
    await choose(page, 'Trusses', 'King post')
    await expect(page.locator('path.wood[data-member="roof/truss/4/king"]').first()).toBeAttached()
    await type(page, 'Heel', '1\' 8"')
    await expect(page.getByRole('alert')).toContainText('At this heel')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByRole('alert')).toHaveCount(0)
    await page.getByRole('button', { name: 'Jig', exact: true }).click()
    const list = page.getByRole('region', { name: 'Jig' })
    await expect(list.getByRole('row').filter({ hasText: 'UC1' }).first()).toBeVisible()
    await expect(list).toContainText('7 trusses come out of it')
    await clean(page)
    await page.setViewportSize({ width: 390, height: 844 })
    await expect(list.getByText('What proves it')).toBeVisible()
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  },
)

test(
  'scissors, a splice where it is asked for, and bought trusses by their sheet',
  { tag: '@wide' },
  async ({ page }) => {
    await newBuilding(page)
    await take(page, 'Roof')
    await choose(page, 'Carried by', 'Trusses')
    await take(page, 'Roof', 'Trusses')
    await choose(page, 'Trusses', 'Scissors: a ceiling that rises')
    await type(page, 'Pitch', '8')
    await expect(
      page.locator('path.wood[data-member="roof/truss/4/bottom-chord/south"]').first(),
    ).toBeAttached()
    await type(page, 'Ceiling pitch', '7.5')
    await expect(page.getByRole('alert')).toContainText('no room for their king post')
    await type(page, 'Ceiling pitch', '3')
    await expect(page.getByRole('alert')).toHaveCount(0)

    // joined where it is asked, and not under a gusset
    await choose(page, 'Trusses', 'King post')
    await hand(page).getByRole('button', { name: 'Splice the bottom chords' }).click()
    await expect(page.locator('path.wood[data-member="roof/truss/4/bottom-chord/2"]').first()).toBeAttached()
    await type(page, 'Bottom chords spliced', '8"')
    await expect(page.getByRole('alert')).toContainText('joined under the gusset of another joint')
    await hand(page)
      .getByRole('button', { name: /splice follow/ })
      .click()
    await expect(page.getByRole('alert')).toHaveCount(0)

    // bought: no cards of their members, their weight in the sums
    await choose(page, 'Trusses', 'Bought: by their sheet')
    await type(page, 'Weight of each', '100 lb')
    await expect(hand(page).getByLabel('Weight of each', { exact: true })).toHaveValue('100 lb')
    await type(page, 'Weight of each', 'heavy')
    await expect(hand(page)).toContainText('Type a weight, like 120 lb.')
    await page.keyboard.press('Escape')
    await type(page, 'Made for a span of', '11\' 3"')
    await expect(page.getByRole('alert')).toContainText('These trusses are made for a span of 11\' 3"')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByRole('alert')).toHaveCount(0)
    await expect(over(page, 'Jig')).toHaveCount(0)
    await clean(page)
  },
)

test(
  'a loft door goes in the gable over a ground door, where the message says',
  { tag: '@wide' },
  async ({ page }) => {
    await newBuilding(page, 'Gambrel')
    await take(page, 'Walls', 'East wall')
    await add(page, 'Door')
    await take(page, 'Walls', 'East wall')
    await add(page, 'Window')
    await type(page, 'Unit, height', '15')
    await expect(hand(page).getByRole('heading', { name: 'Window 2' })).toBeVisible()
    const middle = await hand(page).getByLabel('Middle', { exact: true }).first().inputValue()
    expect(middle).not.toBe('')
    await type(page, 'Lower edge', "7'")
    await expect(page.getByRole('alert')).toContainText('leaves no room for a sill')
    const told = /Put its lower edge at ([^,]+), on what is there/.exec(
      (await page.getByRole('alert').first().textContent()) ?? '',
    )?.[1]
    await type(page, 'Lower edge', told ?? '')
    await expect(page.getByRole('alert')).toHaveCount(0)
    await expect(page.locator('path.wood[data-member="walls/east/opening/2/king/1"]').first()).toBeAttached()
    await clean(page)
  },
)

test(
  'a row of trusses is set step by step, its boards taken up, and stepped through in 3D',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page, 'Sallow Marsh decoy store')
    await over(page, 'Setting').click()
    const steps = page.getByRole('list', { name: 'Setting, step by step' })
    await expect(steps.getByRole('listitem')).toHaveCount(6)
    await expect(steps).toContainText('Stretch a string along the south wall')
    await clean(page)
    // a board of a step is a card
    await steps.getByRole('button', { name: 'XP1', exact: true }).click()
    await expect(page.locator('.room-card .mark').first()).toHaveText('XP1')

    // spacers between the trusses, laid from the hand
    await take(page, 'Roof', 'Setting the trusses')
    await choose(page, 'Spacers', 'Set between two')
    await expect(steps).toContainText('the spacers between the two')
    await choose(page, 'On the top chords', 'Purlins flat, for good')
    await expect(steps).toContainText('purlins flat over the chords')

    // in 3D: the second truss, the third, and at the end what came down is gone
    await steps.getByRole('button', { name: 'Stand the others, in 3D' }).click()
    await page.locator('canvas').waitFor()
    const order = page.getByRole('group', { name: 'Order of raising' })
    await expect(order.getByRole('status')).toContainText('Truss 2')
    await order.getByRole('button', { name: 'One step on' }).click()
    await expect(order.getByRole('status')).toContainText('Truss 3')
    await order.getByRole('button', { name: 'One step back' }).click()
    await order.getByRole('button', { name: 'One step back' }).click()
    await expect(order.getByRole('status')).toContainText('First truss')
  },
)

test(
  'a loft is laid on attic trusses, a stair leaves one out, and a loft that can not be says so',
  { tag: '@wide' },
  async ({ page }) => {
    await newBuilding(page)
    await take(page, 'Roof')
    await type(page, 'Pitch', '14')
    await choose(page, 'Carried by', 'Trusses')
    await take(page, 'Roof', 'Trusses')
    await choose(page, 'Trusses', 'Attic: a room inside')
    await type(page, 'Room, width', "3'")
    await type(page, 'Room, height', "2' 6")
    await expect(page.getByRole('alert')).toHaveCount(0)
    await take(page, 'Roof')
    await add(page, 'Loft')
    await expect(page.getByRole('alert')).toHaveCount(0)
    await expect(hand(page)).toContainText('Clear in the middle')
    await take(page, 'Roof')
    await add(page, 'Stair')
    await expect(page.getByRole('alert')).toHaveCount(0)
    await expect(hand(page)).toContainText('3\' 10 1/2" clear between them')
    await clean(page)

    await take(page, 'Roof', 'Trusses')
    await choose(page, 'Trusses', 'King post')
    await expect(page.getByRole('alert')).toContainText('Webs or chords stand where the loft would lie.')
  },
)

test(
  'one slope stands on mono trusses: end posts over the high wall, its sheets, its jig, and what is told',
  { tag: '@wide' },
  async ({ page }) => {
    test.setTimeout(120_000)
    await newBuilding(page, 'Single slope, high on the north')
    await take(page, 'Roof')
    await choose(page, 'Carried by', 'Trusses')
    await expect(page.locator('path.wood[data-member="roof/truss/4/end-post"]').first()).toBeAttached()
    await page.getByRole('button', { name: /cautions?$/ }).click()
    await expect(page.getByRole('dialog')).toContainText('end posts upright along the north wall')
    await page.keyboard.press('Escape')

    // sheets go on up the posts, and hold them
    await page.getByRole('link', { name: /^walls/i }).click()
    await take(page, 'Walls')
    await add(page, 'Sheets on the walls')
    await page.getByRole('button', { name: 'North', exact: true }).click()
    await expect(page.locator('path[data-member="walls/north/gable/sheet/1/1"]').first()).toBeAttached()
    await page.getByRole('button', { name: /cautions?$/ }).click()
    await expect(page.getByRole('dialog')).not.toContainText('end posts')
    await page.keyboard.press('Escape')

    // a wall that is no longer as high as the other says so, with the height that is
    await take(page, 'Walls', 'North wall')
    await choose(page, 'Height', 'Its own')
    await type(page, 'Height of the north wall', '7\' 6"')
    const told = page.getByRole('alert').filter({ hasText: 'stand on two walls of one height' })
    await expect(told).toContainText('6\' 11"')
    await type(page, 'Height of the north wall', '6\' 11"')
    await expect(told).toHaveCount(0)

    await page.getByRole('link', { name: /^roof/i }).click()
    await take(page, 'Roof', 'Trusses')
    await choose(page, 'Trusses', 'With a bottom chord')
    await expect(page.locator('path.wood[data-member="roof/truss/4/web/1"]')).toHaveCount(0)
    await choose(page, 'Trusses', 'Mono: webs to an end post')
    await over(page, 'Jig').click()
    await expect(page.getByText('What proves it')).toBeVisible()
    await clean(page)
  },
)

test(
  'a gambrel cut on the plate kicks its eaves out on false tails, as steep as it is told',
  { tag: '@wide' },
  async ({ page }) => {
    await newBuilding(page, 'Gambrel')
    await take(page, 'Roof', 'Knees')
    await choose(page, 'Foot', 'Cut level on the plate')
    await take(page, 'Roof', 'Tails')
    await expect(hand(page)).toContainText('no tails of their own')
    await expect(hand(page).getByLabel('Fascia', { exact: true })).toHaveCount(0)
    await add(page, 'False tails')
    const tail = page.locator('path.wood[data-member="roof/south/false-tail/4"]')
    await expect(tail.first()).toBeAttached()
    await type(page, 'Pitch of the kick', '20')
    const told = page.getByRole('alert').filter({ hasText: 'False tails this steep' })
    await expect(told).toBeVisible()
    await expect(tail).toHaveCount(0)
    const angle = /Make their pitch ([\d.]+°) at most/.exec((await told.textContent()) ?? '')?.[1] ?? ''
    await type(page, 'Pitch of the kick', angle)
    await expect(told).toHaveCount(0)
    await expect(tail.first()).toBeAttached()

    // the overhang is dragged by the tail
    const ring = page.getByRole('slider', { name: 'Overhang at the eaves, drag' })
    const value = (): Promise<string> =>
      hand(page).getByLabel('Overhang at the eaves', { exact: true }).first().inputValue()
    const before = await value()
    await ring.focus()
    await page.keyboard.press('ArrowLeft')
    await expect.poll(value).not.toBe(before)
    await add(page, 'Fascia')
    await expect(page.locator('path[data-member="roof/south/fascia"]').first()).toBeAttached()
    await hand(page).getByRole('button', { name: 'Take the false tails away' }).click()
    await expect(tail).toHaveCount(0)
    await clean(page)
  },
)

test(
  "joists lie on a beam where it is dragged and told, and rafters' knees on purlins",
  { tag: '@wide' },
  async ({ page }) => {
    test.setTimeout(240_000)
    await newBuilding(page)
    await take(page, 'Roof')
    await add(page, 'Ceiling joists')
    await choose(page, 'They lie on', 'The walls and a beam')
    const at = hand(page).getByLabel('Beam from the south wall', { exact: true }).first()
    await expect(at).toHaveValue('4\' 0"')
    await clean(page)

    // dragged across the building, and taken back
    const ring = page.getByRole('slider', { name: 'Beam from the south wall, drag' })
    const box = await ring.boundingBox()
    if (!box) throw new Error('no ring')
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
    await page.mouse.down()
    await page.mouse.move(box.x + box.width / 2 - 40, box.y + box.height / 2, { steps: 4 })
    await page.mouse.up()
    await expect(at).not.toHaveValue('4\' 0"')
    await hand(page).getByRole('button', { name: 'Let the beam lie in the middle' }).click()
    await expect(at).toHaveValue('4\' 0"')

    // in a wall it has no room, and is told where it has
    await type(page, 'Beam from the south wall', '4"')
    await expect(page.getByRole('alert')).toContainText('Something stands where the beam under the joists')
    await type(page, 'Beam from the south wall', '5 1/2"')
    await expect(page.getByRole('alert')).toHaveCount(0)
    await expect(hand(page).getByText('The beam under the joists carries half')).toBeVisible()

    // a gambrel's rafters have nothing under their knees until purlins are asked for
    await newBuilding(page, 'Gambrel')
    await take(page, 'Roof')
    await choose(page, 'Carried by', 'Rafters')
    await expect(hand(page).getByText('Nothing carries the rafters at their knees')).toBeVisible()
    await take(page, 'Roof', 'Knees')
    await choose(page, 'Under the knees', 'A purlin on posts')
    await expect(hand(page).getByText('The purlins under the knees carry more than half')).toBeVisible()
    await take(page, 'Roof')
    await expect(hand(page).getByText('Nothing carries the rafters at their knees')).toHaveCount(0)
    await expect(page.getByRole('alert')).toHaveCount(0)
    await clean(page)
  },
)
