import { readFile } from 'node:fs/promises'
import { clean, demos, expect, field, hand, openDemo, take, test, type } from './fixtures'

test('a field changes the building as it is typed, says what it means, and what is wrong where it stands', async ({
  page,
}) => {
  await openDemo(page, 'Sallow Marsh ringing hut')
  await take(page, 'Roof')
  const pitch = hand(page).getByLabel('Pitch', { exact: true })
  const weight = await page.locator('.tally').innerText()
  await pitch.fill('11')
  await expect(page.locator('.tally')).not.toHaveText(weight.replace(/\s+/g, ' '), { useInnerText: true })
  await expect(page.locator('#sheet').getByLabel('Pitch', { exact: true })).toHaveValue('11 in 12')
  await page.keyboard.press('Escape')
  await expect(pitch).toHaveValue('7.5 in 12')
  await expect(page.locator('.tally')).toHaveText(weight.replace(/\s+/g, ' '), { useInnerText: true })
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled()

  await page.getByRole('button', { name: 'What is meant by Seat' }).click()
  await expect(hand(page).locator('.meaning')).toContainText('How deep the rafter is notched')
  await expect(hand(page).locator('.meaning svg')).toHaveCount(5)
  await clean(page)

  // what can't be read stays as typed though something else is taken up, and is asked about on leaving
  await take(page, 'Roof', 'Tails')
  await hand(page).getByLabel('Left long by', { exact: true }).fill('a bit')
  await page.keyboard.press('Enter')
  await expect(hand(page).getByRole('alert')).toContainText('“a bit” is not understood')
  await take(page, 'Roof', 'Ridge')
  await take(page, 'Roof', 'Tails')
  await expect(hand(page).getByLabel('Left long by', { exact: true })).toHaveValue('a bit')
  await page.getByRole('link', { name: 'Shelf' }).click()
  await expect(page.getByRole('dialog')).toContainText('Left long by: “a bit” is not understood')
  await page.getByRole('button', { name: 'Stay' }).click()
  await hand(page).getByLabel('Left long by', { exact: true }).focus()
  await page.keyboard.press('Escape')

  // a number that the drawing does not show is marked on it all the same, and typed there
  await take(page, 'Roof', 'Over the gables')
  await type(page, 'Overhang at the gables', '2')
  await expect(hand(page).locator('.faulty')).toContainText('no room for a fly rafter')
  const mark = page.locator('.elsewhere')
  await expect(mark).toContainText('Overhang at the gables')
  await mark.locator('input').fill("1'")
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toHaveCount(0)
})

// each kind in one of the units; a starter is sound in both by its own tests
for (const starters of [
  [
    ['Garden shed', 'R1', 'Feet and inches'],
    ['Bike store', 'R1', 'Millimetres'],
    ['Garden room', 'FJ1', 'Millimetres'],
  ],
  [
    ['Loft shed', 'UC1', 'Feet and inches'],
    ['Small greenhouse', 'R1', 'Millimetres'],
    ['Lean-to', 'R1', 'Feet and inches'],
  ],
  [
    ['Firewood shelter', 'R1', 'Feet and inches'],
    ['Empty frame', 'R1', 'Millimetres'],
    ['Hide', 'R1', 'Feet and inches'],
  ],
] as const) {
  const title = `${starters.map(([kind]) => kind.toLowerCase()).join(', ')}: from New to a card, without a dialog`
  test(title, { tag: '@wide' }, async ({ page }) => {
    await page.goto('/')
    for (const [kind, board, units] of starters) {
      await page.getByRole('link', { name: 'New', exact: true }).click()
      await page.getByRole('button', { name: units }).click()
      await page.getByRole('button', { name: kind }).click()
      await expect(page.getByRole('button', { name: kind })).toHaveAttribute('aria-pressed', 'true')
      await expect(page.locator('canvas')).toHaveAccessibleName(new RegExp(`^${kind} in 3D, \\d+ boards`))
      const tally = await page.getByLabel('Tally').innerText()
      await page.getByLabel('Length', { exact: true }).fill(units === 'Millimetres' ? '4400' : '14-6')
      await expect(page.getByLabel('Tally')).not.toHaveText(tally)
      await page.getByRole('button', { name: 'Begin' }).click()
      await page.locator('.room').waitFor()
      await expect(page.getByLabel('Name of the design')).toHaveValue(kind)
      await expect(page.getByRole('alert')).toHaveCount(0)
      await page.getByRole('link', { name: /^walls/i }).click()
      await expect(field(page, 'Length')).toHaveValue(units === 'Millimetres' ? '4400' : '14\' 6"')
      await page.getByRole('link', { name: /^saw/i }).click()
      await page.getByRole('button', { name: board, exact: true }).click()
      await expect(page.locator('.room-card .mark').first()).toHaveText(board)
      await page.getByRole('checkbox', { name: `${board} is cut`, exact: true }).click()
      await expect(page.locator('.tick.yes')).toBeVisible()
      await expect(page.getByRole('dialog')).toHaveCount(0)
      await page.getByRole('link', { name: 'Shelf' }).click()
      await expect(page.getByRole('link', { name: new RegExp(`^${kind}`) })).toHaveCount(1)
    }
  })
}

test('every card of the hut prints on one page', { tag: '@wide' }, async ({ page }) => {
  await openDemo(page, 'Sallow Marsh ringing hut')
  for (let i = 0; i < 6; i++) {
    const pdf = (await page.pdf({ format: 'A4' })).toString('latin1')
    const mark = await page.locator('.room-card .mark').first().innerText()
    expect([mark, /\/Count (\d+)/.exec(pdf)?.[1]]).toEqual([mark, '1'])
    for (let k = 0; k < 7; k++) await page.keyboard.press('j')
  }
})

test('the whole shelf is backed up as a file and comes back; several are chosen, saved and removed', async ({
  page,
}) => {
  await page.goto('/')
  await expect(page.getByRole('link', { name: /^Sallow Marsh/ })).toHaveCount(demos.length)
  await expect(page.getByRole('link', { name: /ringing hut 13' 0" × 9' 6"/ })).toContainText(
    '239 pieces, 0 cut',
  )
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Back up all' }).click(),
  ])
  const text = await readFile(await file.path(), 'utf8')
  expect((JSON.parse(text) as { designs: unknown[] }).designs).toHaveLength(demos.length)
  await page.getByRole('button', { name: 'Choose several' }).click()
  await page.getByRole('checkbox', { name: 'Choose Sallow Marsh reed store' }).check()
  await page.getByRole('checkbox', { name: 'Choose Sallow Marsh reed hide' }).check()
  await clean(page)
  const [two] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as one file' }).click(),
  ])
  expect(
    (JSON.parse(await readFile(await two.path(), 'utf8')) as { designs: unknown[] }).designs,
  ).toHaveLength(2)
  await page.getByRole('group', { name: 'Several designs' }).getByRole('button', { name: 'Remove' }).click()
  await expect(page.getByRole('link', { name: /^Sallow Marsh/ })).toHaveCount(demos.length - 2)
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Import a file' }).click(),
  ])
  await chooser.setFiles({ name: 'shelf.json', mimeType: 'application/json', buffer: Buffer.from(text) })
  await expect(
    page.getByText(`2 designs are back on the shelf; ${demos.length - 2} stood there already.`),
  ).toBeVisible()
  await expect(page.getByRole('link', { name: /^Sallow Marsh/ })).toHaveCount(demos.length)
  // more than eight are searched and put in order
  for (let i = 0; i < 4; i++) {
    await page.getByRole('button', { name: 'More for Sallow Marsh reed store', exact: true }).click()
    await page.getByRole('menuitem', { name: 'Duplicate' }).click()
    await expect(page.getByRole('link', { name: /^Sallow Marsh/ })).toHaveCount(demos.length + 1 + i)
  }
  await page.getByLabel('Find a design').fill('store 3')
  await expect(page.getByRole('link', { name: /^Sallow Marsh/ })).toHaveCount(1)
  await page.getByLabel('Find a design').fill('no such')
  await expect(page.getByText('No design is called “no such”')).toBeVisible()
})

test.describe('a first visit', () => {
  test.use({ notes: true })
  test(
    'shows five notes in place, each put away for good; the sheet of keys brings them back',
    { tag: '@wide' },
    async ({ page }) => {
      await page.goto('/')
      await page
        .getByRole('link', { name: /^Sallow Marsh ringing hut(?!,)/ })
        .first()
        .click()
      const note = page.locator('.note')
      for (const says of [
        'Type over any number',
        'Drag a red ring',
        'The story pole',
        'What you touch',
        'The list for the saw',
      ]) {
        await expect(note).toContainText(says)
        if (says.startsWith('Drag')) await clean(page)
        await note.getByRole('button', { name: 'OK' }).click()
      }
      await expect(note).toHaveCount(0)
      await page.reload()
      await page.locator('.room').waitFor()
      await page.waitForTimeout(600)
      await expect(note).toHaveCount(0)
      await page.locator('#sheet').focus()
      await page.keyboard.press('?')
      await page.getByRole('button', { name: 'Show the notes of the first visit' }).click()
      await expect(note).toContainText('Type over any number')
      await note.getByRole('button', { name: 'Put all away' }).click()
      await expect(note).toHaveCount(0)
    },
  )
})
