import { cutOff } from './cut-off'
import { choose, clean, expect, openDemo, test } from './fixtures'

const lists = (page: Parameters<typeof openDemo>[0]) => page.getByRole('group', { name: 'List', exact: true })

test('the boards of a design are planned, proved, planned for another aim and after an edit', async ({
  page,
}) => {
  await openDemo(page, 'Sallow Marsh reed store', 'saw')
  await lists(page).getByRole('button', { name: 'Boards', exact: true }).click()
  const state = page.locator('.boards .state')
  await expect(state).toContainText('Proved best')
  const said = await state.innerText()
  const boards = Number(/(\d+) boards/.exec(said)?.[1])
  // each section says what to buy, and its boards are as many
  const bought = await page.locator('.boards h2 .figures').allInnerTexts()
  const counts = bought.flatMap(text => [...text.matchAll(/(\d+) ×/g)].map(match => Number(match[1])))
  expect(counts.reduce((sum, count) => sum + count, 0)).toBe(boards)
  await page.locator('.boards .cut').first().click()
  const mark = await page.locator('.boards .cut b').first().innerText()
  await expect(page.locator('.card .mark')).toHaveText(mark)
  await choose(page, 'Aim', 'Least length')
  await expect(state).toContainText('Proved best')
  await expect(state).toContainText(/\d+ boards/)
  await clean(page)
  expect(await page.evaluate(cutOff)).toEqual([])
  for (const width of [768, 390, 320]) {
    await page.setViewportSize({ width, height: 844 })
    await expect(page.locator('.boards .cut').first()).toBeVisible()
    expect(await page.evaluate(cutOff)).toEqual([])
  }
})

test('a board of another part brings that part onto the bench', async ({ page }) => {
  await openDemo(page, 'Sallow Marsh osprey lookout', 'saw')
  await lists(page).getByRole('button', { name: 'Boards', exact: true }).click()
  const cut = page.locator('.boards .cut', { hasText: /^P1-/ }).first()
  await cut.click()
  await expect(page.locator('.card .mark')).toHaveText((await cut.locator('b').innerText()).trim())
  await expect(page.locator('.boards')).toBeVisible()
})
