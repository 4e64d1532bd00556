import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect, openDemo, test } from './fixtures'

async function clean(page: Page): Promise<void> {
  await page.mouse.move(0, 0)
  await page.waitForTimeout(400)
  const { violations } = await new AxeBuilder({ page }).analyze()
  expect(violations.map(each => `${each.id}: ${each.nodes.map(node => `${node.target.join(' ')} ${node.failureSummary ?? ''}`).join(' | ')}`)).toEqual([])
}

async function type(page: Page, field: string, value: string): Promise<void> {
  await page.getByLabel(field, { exact: true }).fill(value)
  await page.keyboard.press('Enter')
}

test('a new building gets a single slope, from a pitch and from two heights', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'New, feet and inches' }).click()
  await page.locator('.room').waitFor()
  await page.getByRole('button', { name: 'Roof shape: gable' }).click()
  await clean(page)
  await page.getByRole('button', { name: 'Single slope, high on the north' }).click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  // 8 ft less a 3 1/2 in plate is 92 1/2 level; at 6 in 12 the north wall is 46 1/4 higher than 6' 11"
  await expect(page.getByLabel('Height of the north wall', { exact: true })).toHaveValue('10\' 9 1/4"')
  await type(page, 'Pitch', '3')
  await expect(page.getByLabel('Height of the north wall', { exact: true })).toHaveValue('8\' 10 1/8"')
  await type(page, 'Height of the north wall', '10\' 9 1/4"')
  await expect(page.getByLabel('Pitch', { exact: true })).toHaveValue('6 in 12')
  await type(page, 'Overhang at the high wall', '20')
  await expect(page.locator('.room-card .mark').first()).toHaveText('R1')
  await expect(page.locator('.room-card')).toContainText('7 common rafters')
  await expect(page.locator('.room-card')).not.toContainText('Ridge deduction')
  await clean(page)
  await type(page, 'Height of the north wall', '6\' 11"')
  await expect(page.getByRole('alert')).toContainText('The north wall is the high one')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('alert')).toHaveCount(0)
  // the end walls are raked, and the rafter is ticked from the frame
  await page.getByRole('link', { name: /^walls/i }).click()
  await page.getByRole('button', { name: 'West', exact: true }).click()
  await expect(page.getByRole('button', { name: 'Along the slope' })).toBeVisible()
  await page.locator('path.wood[data-member="roof/rafter/1"]').click()
  await page.keyboard.press('x')
  await expect(page.locator('.room-card')).toContainText('cut')
  await page.getByRole('link', { name: /^roof/i }).click()
  await page.getByRole('button', { name: 'Roof shape: single slope' }).click()
  await page.getByRole('button', { name: 'Gable', exact: true }).click()
  await expect(page.getByRole('button', { name: 'Roof shape: gable' })).toBeVisible()
  await expect(page.getByLabel('Ridge', { exact: true })).toBeVisible()
})

test('rafter ties and collar ties, dragged, said and cut', async ({ page }) => {
  await openDemo(page, 'Sallow Marsh ringing hut')
  await page.getByRole('button', { name: 'Ties', exact: true }).click()
  const dialog = page.getByRole('dialog')
  for (const kind of ['Rafter ties', 'Collar ties']) {
    await dialog.getByRole('combobox', { name: kind, exact: true }).click()
    await page.getByRole('option', { name: 'Framed', exact: true }).click()
    await expect(page.getByRole('listbox')).toHaveCount(0)
    await expect(dialog.getByLabel(`${kind} over the plate`, { exact: true })).toBeVisible()
  }
  await type(page, 'Collar ties over the plate', '9\'')
  await expect(page.getByRole('alert')).toContainText('The collar ties would meet the ridge board')
  await type(page, 'Collar ties over the plate', '20')
  await expect(page.getByRole('alert')).toHaveCount(0)
  await clean(page)
  await dialog.getByRole('button', { name: 'Close' }).last().click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await page.locator('path.wood[data-member^="roof/collar-tie/"]').first().click({ position: { x: 24, y: 4 } })
  await expect(page.locator('.room-card .mark').first()).toHaveText('CT1')
  await expect(page.locator('.room-card')).toContainText('it holds the slopes together, not the walls')
  const ring = page.getByRole('slider', { name: 'Collar ties over the plate, drag' })
  await ring.focus()
  await page.keyboard.press('ArrowUp')
  await expect(ring).toHaveAttribute('aria-valuetext', '1\' 8 1/2"')
})

test('the nest-box workshop is on the shelf, and its high wall is dragged', async ({ page }) => {
  await openDemo(page, 'Sallow Marsh nest-box workshop')
  await expect(page.getByLabel('Height of the south wall', { exact: true })).toHaveValue('2720')
  const before = await page.getByLabel('Pitch', { exact: true }).inputValue()
  const ring = page.getByRole('slider', { name: 'Height of the south wall, drag' })
  await ring.focus()
  await page.keyboard.press('ArrowUp')
  await expect(page.getByLabel('Height of the south wall', { exact: true })).toHaveValue('2730')
  await expect(page.getByLabel('Pitch', { exact: true })).not.toHaveValue(before)
  await clean(page)
})
