import type { Page } from '@playwright/test'
import { expect, openDemo, test } from './fixtures'
import { fillable } from './full-storage'

/** How many states of the design are stored. */
const statesOf = (page: Page): Promise<number> =>
  page.evaluate(async () => {
    const open = indexedDB.open('early-wren')
    await new Promise(resolve => open.addEventListener('success', resolve))
    const { pathname } = location
    const all = open.result.transaction('edits').objectStore('edits').getAll()
    await new Promise(resolve => all.addEventListener('success', resolve))
    return all.result.filter((each: { design: string }) => pathname.includes(each.design)).length
  })

/** Begins at the saw with a small demo, and gives back how many are made and what is pressed to leave. */
async function begin(page: Page) {
  await openDemo(page, 'Sallow Marsh reed store', 'saw')
  await page
    .getByRole('group', { name: 'View', exact: true })
    .getByRole('button', { name: 'Boards', exact: true })
    .click()
  await expect(page.locator('.boards .state')).toContainText('Proved best')
  await page.getByRole('link', { name: 'At the saw' }).click()
  await page.getByRole('button', { name: 'Begin', exact: true }).click()
  const made = page.locator('.at-saw header .figures')
  await expect(made).toHaveText(/^0 of \d+$/)
  const shows = (n: number) => expect(made).toHaveText(new RegExp(`^${n} of`))
  const tick = async (from: number, to: number): Promise<void> => {
    for (let n = from; n <= to; n++) {
      await page.keyboard.press('x')
      await shows(n)
    }
  }
  const saved = () => expect(page.getByRole('group', { name: 'Saving' })).toHaveText('Saved')
  return { shows, tick, saved, note: page.getByRole('alert').filter({ hasText: 'not stored' }) }
}

test('ticks made while storage is full stay, and are stored with the next one that finds room', async ({
  page,
}) => {
  const fill = await fillable(page, 'saw')
  const { shows, tick, saved, note } = await begin(page)
  await tick(1, 2)
  await fill(true)
  await tick(3, 6)
  await expect(note).toContainText("The browser's storage is full.")
  await expect(page.getByRole('group', { name: 'Saving' })).toHaveText('Not saved')
  await fill(false)
  await tick(7, 7)
  await expect(note).toHaveCount(0)
  await saved()
  await page.reload()
  await shows(7)
})

test('room made stores what waits; leaving before is asked about, and staying loses nothing', async ({
  page,
}) => {
  const fill = await fillable(page, 'saw')
  const { shows, tick, note } = await begin(page)
  await fill(true)
  await tick(1, 3)
  await page.getByRole('link', { name: 'Saw bench' }).click()
  const asked = page.getByRole('dialog', { name: 'Not saved' })
  await expect(asked).toContainText("The browser's storage is full.")
  await asked.getByRole('button', { name: 'Stay' }).click()
  await shows(3)
  await fill(false)
  await note.getByRole('button', { name: 'Make room' }).click()
  await expect(note).toHaveCount(0)
  await page.getByRole('link', { name: 'Saw bench' }).click()
  await expect(page.locator('.boards .state')).toBeVisible()
  await page.getByRole('link', { name: 'At the saw' }).click()
  await shows(3)
})

test('prices typed while storage is full stay, and are stored once there is room', async ({ page }) => {
  const fill = await fillable(page, 'saw')
  await openDemo(page, 'Sallow Marsh ringing hut', 'saw')
  await page
    .getByRole('group', { name: 'View', exact: true })
    .getByRole('button', { name: 'Buy', exact: true })
    .click()
  const price = page.getByLabel('Price of 2x8, 16\' 0"', { exact: true })
  await expect(price).toBeVisible()
  await fill(true)
  await price.fill('17.45')
  await page.keyboard.press('Enter')
  const note = page.getByRole('alert').filter({ hasText: 'not stored' })
  await expect(note).toBeVisible()
  await expect(price).toHaveValue('17.45')
  await fill(false)
  await note.getByRole('button', { name: 'Make room' }).click()
  await expect(note).toHaveCount(0)
  await page.reload()
  await expect(price).toHaveValue('17.45')
})

test('a burst of ticks is stored in a moment, one step of undo or two, and no storage is called silent', async ({
  page,
}) => {
  const { tick, saved } = await begin(page)
  const made = page.locator('.at-saw header .figures')
  const all = Number(/of (\d+)/.exec(await made.innerText())?.[1])
  const count = Math.min(300, all)
  const before = await statesOf(page)
  const began = Date.now()
  await page.evaluate(count => {
    for (let i = 0; i < count; i++)
      document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'x', bubbles: true }))
  }, count - 1)
  await expect(made).toHaveText(new RegExp(`^${count - 1} of`))
  await saved()
  expect(Date.now() - began).toBeLessThan(10_000)
  expect(await statesOf(page)).toBeLessThanOrEqual(before + 2)
  await tick(count, count)
  await expect(page.getByText('does not answer')).toHaveCount(0)
  await saved()
  await page.reload()
  await expect(made).toHaveText(new RegExp(`^${count} of`))
})
