import { newDesign } from '../core/design'
import { shelfFile } from '../core/output'
import { choose, demos, expect, field, hand, openDemo, take, takeCard, test, type } from './fixtures'

const rubbish = ['banana', '-4', '1/0', '1,5', '', '999999 ft', '12 6', '<b>', 'NaN']

test('rubbish in every field says what is wrong, keeps what was typed, and loses nothing', async ({
  page,
}) => {
  await openDemo(page, 'Sallow Marsh ringing hut')
  await take(page, 'Roof')
  await choose(page, 'Seat', 'Chosen height above plate')
  await takeCard(page)
  for (const bench of ['roof', 'walls']) {
    await page.getByRole('link', { name: new RegExp(bench, 'i') }).click()
    // a bench comes when it is asked for; until then the one before stands, with heights of walls on it too
    await expect(
      page.locator(`[data-field="${bench === 'roof' ? 'roof.pitch' : 'walls.spacing'}"]`).first(),
    ).toBeVisible()
    const paths = await page
      .locator('[data-field]')
      .evaluateAll(list => list.map(each => each.getAttribute('data-field')))
    expect(paths.length).toBeGreaterThanOrEqual(3)
    for (const [at, path] of paths.entries()) {
      const input = page.locator(`[data-field="${path}"]`)
      const before = await input.inputValue()
      const tally = await page.locator('.tally').innerText()
      // fields read alike: each meets some of it, and all of it is met; 12 6 is a pitch
      for (const text of rubbish.filter((each, i) =>
        path === 'roof.pitch' ? each !== '12 6' : i % 3 === at % 3,
      )) {
        await input.fill(text)
        await input.press('Enter')
        await expect(input).toHaveAttribute('aria-invalid', 'true')
        await expect(page.getByRole('alert')).toHaveText(/[A-Za-z“].*\.$/)
        await expect(input).toHaveValue(text)
      }
      await input.press('Escape')
      await expect(input).toHaveValue(before)
      await expect(page.locator('.tally')).toHaveText(tally.replace(/\s+/g, ' '), { useInnerText: true })
      await expect(page.getByRole('alert')).toHaveCount(0)
    }
  }
  await expect(page.locator('body')).not.toContainText('NaN')
})

test(
  'rubbish in the name, the moisture and an own size is refused where it stands',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page, 'Sallow Marsh ringing hut')
    const name = page.getByLabel('Name of the design')
    await name.fill('   ')
    await name.press('Enter')
    await expect(name).toHaveValue('Sallow Marsh ringing hut')
    await take(page, 'Lumber')
    const dialog = hand(page)
    for (const text of ['wet', '-1', '900', '']) {
      await page.getByLabel('Moisture').fill(text)
      await page.keyboard.press('Enter')
      await expect(dialog.getByRole('alert')).toContainText('Moisture must be a number from 0 to 120')
    }
    await page.getByLabel('Moisture').fill('25 %')
    await page.keyboard.press('Enter')
    await expect(dialog.getByRole('alert')).toHaveCount(0)
    for (const [field, text, says] of [
      ['Name', '', 'Give the size a name'],
      ['Name', '2x6', 'already'],
      ['Name', 'oak', 'Nothing is entered'],
      ['Thickness', 'thick', '“thick” is not understood'],
      ['Thickness', "90'", 'must be between'],
      ['Thickness', '2', 'Depth: Nothing is entered'],
    ] as const) {
      await dialog.getByLabel(field, { exact: true }).fill(text)
      await dialog.getByRole('button', { name: 'Add', exact: true }).click()
      await expect(dialog.getByRole('alert')).toContainText(says)
    }
    await expect(dialog).toContainText('None yet')
  },
)

test(
  'impossible buildings are said, and what can be framed still is drawn',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page, 'Sallow Marsh ringing hut')
    await take(page, 'Roof', 'Ridge')
    await choose(page, 'Ridge', /^2x12/)
    await type(page, 'Pitch', '1')
    await expect(page.getByRole('alert').first()).toContainText('below the top of the walls')
    await expect(page.locator('path.wood').first()).toBeVisible()
    await type(page, 'Pitch', '20')
    await type(page, 'Overhang at the eaves', '3\' 9"')
    await type(page, 'Wall height', "3'")
    await expect(
      page.getByRole('alert').filter({ hasText: 'The tails would reach below the deck' }),
    ).toHaveCount(1)
    await expect(page.getByRole('alert').filter({ hasText: 'The header over opening 1' })).toHaveCount(1)
    await page.locator('#sheet').focus()
    for (let i = 0; i < 6; i++) await page.keyboard.press('Control+z')
    await expect(field(page, 'Pitch')).toHaveValue('7.5 in 12')
    await expect(page.getByRole('alert')).toHaveCount(0)
  },
)

test('a broken file, a newer one and one with faults are refused with reasons; unknown fields are named', async ({
  page,
}) => {
  await page.goto('/')
  await page
    .getByRole('link', { name: /Sallow Marsh/ })
    .first()
    .waitFor()
  const give = async (content: string): Promise<void> => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Import a file' }).click(),
    ])
    await chooser.setFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from(content) })
  }
  const note = page.getByRole('alert')
  await give('{"format": "early-wren/design"')
  await expect(note).toContainText('cannot be read')
  await give('{"format":"early-wren/design","version":99}')
  await expect(note).toContainText('version 99')
  await give(
    '{"format":"early-wren/design","version":1,"name":"x","units":"imperial","footprint":{"length":"long","width":2400}}',
  )
  await expect(note).toContainText('Length (footprint.length) must be a number')
  await expect(note).toContainText('Walls (walls) is missing')
  await expect(page.getByRole('link', { name: /Sallow Marsh/ })).toHaveCount(demos.length)
  await give(JSON.stringify({ format: 'early-wren/shelf', version: 1, designs: [] }))
  await expect(note).toContainText('The file has no designs')
  const hut = newDesign('Otter hut', 'imperial')
  await give(shelfFile([hut, { ...hut, name: 'Crooked hut', roof: 7 } as never, { ...hut, name: 'Eel hut' }]))
  await expect(note).toContainText('1 of 3 designs was not taken in')
  await expect(note).toContainText('“Crooked hut”: Roof (roof) must be a group of fields.')
  await expect(page.getByRole('link', { name: /^(Otter|Eel) hut/ })).toHaveCount(2)
  const text = await page.evaluate(async () => {
    const transfer = new DataTransfer()
    transfer.items.add(new File(['{"format":"early-wren/plan"}'], 'plan.json'))
    document
      .querySelector('main')
      ?.dispatchEvent(new DragEvent('drop', { dataTransfer: transfer, bubbles: true, cancelable: true }))
    return transfer.files.length
  })
  expect(text).toBe(1)
  await expect(note).toContainText('not a design of this program')
  await page.goto('/design/nobody/roof')
  await expect(page.getByRole('heading', { name: 'This design is not on the shelf' })).toBeVisible()
})

test(
  'a size that a new building can not have is not begun in another: it is said, and stays as typed',
  { tag: '@wide' },
  async ({ page }) => {
    await page.goto('/new')
    await page.getByRole('button', { name: 'Hide', exact: true }).click()
    const length = page.getByLabel('Length', { exact: true })
    for (const [text, said] of [
      ['15', /^Length must be at least \d+' /],
      ['banana', /^“banana” is not understood\. Type, for example, /],
    ] as const) {
      await length.fill(text)
      await page.getByRole('button', { name: 'Begin' }).click()
      await expect(page.getByRole('alert')).toHaveText(said)
      await expect(length).toBeFocused()
      await expect(length).toHaveValue(text)
      expect(new URL(page.url()).pathname).toBe('/new')
    }
    await length.fill("15'")
    await page.getByRole('button', { name: 'Begin' }).click()
    await page.locator('.room').waitFor()
  },
)
