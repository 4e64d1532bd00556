import { begin, choose, clean, expect, field, hand, over, take, test, type } from './fixtures'

test(
  'a pole shelter of logs: their diameter, its gravel held by boards, girts and diagonals',
  { tag: '@wide' },
  async ({ page }) => {
    await begin(page, 'Pole shelter')
    // another log, by its diameter
    await take(page, 'Lumber')
    await page.getByRole('group', { name: 'Shape of the new size' }).getByText('Round log').click()
    await hand(page).getByLabel('Name', { exact: true }).fill('thick log')
    await hand(page).getByLabel('Diameter', { exact: true }).fill('24')
    await hand(page).getByRole('button', { name: 'Add', exact: true }).click()
    await expect(hand(page).getByRole('alert')).toContainText('Diameter must be between')
    await hand(page).getByLabel('Diameter', { exact: true }).fill('8')
    await hand(page).getByRole('button', { name: 'Add', exact: true }).click()
    await expect(hand(page)).toContainText('round, 8"')
    await take(page, 'Walls', 'Posts, beam')
    await choose(page, 'Posts', /^thick log/)
    await choose(page, 'The beam lies', /^Bolted/)
    await expect(page.getByRole('alert').first()).toContainText('A log has no flat side')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByRole('alert')).toHaveCount(0)
    // no other board is of a log
    await take(page, 'Roof')
    await page.getByRole('combobox', { name: 'Rafters', exact: true }).click()
    await expect(page.getByRole('option', { name: /^thick log/ })).toHaveCount(0)
    await page.keyboard.press('Escape')
    // girts and diagonals on a side
    await take(page, 'Walls', 'North wall')
    await over(page, 'North').click()
    await expect(page.locator('path[data-member^="walls/north/knee/"]').first()).toBeAttached()
    await choose(page, 'Girts', 'Between the posts')
    await choose(page, 'Diagonals', 'In the end bays')
    await expect(page.locator('path[data-member^="walls/north/girt/"]').first()).toBeAttached()
    await expect(page.locator('path[data-member^="walls/north/diagonal/"]')).not.toHaveCount(0)
    await expect(page.locator('path[data-member^="walls/north/knee/"]')).toHaveCount(0)
    await clean(page)
    // the gravel's boards, and how far apart their stakes are
    await page.getByRole('link', { name: /^ground/i }).click()
    await over(page, 'Base').click()
    await over(page, 'From above').click()
    await take(page, 'Ground', "The sides' own posts", 'Gravel')
    const stakes = page.locator('path[data-member^="base/stake/south/"]')
    await expect(stakes).toHaveCount(2)
    await type(page, 'Between stakes, at most', "2'")
    await expect(stakes).toHaveCount(6)
    await choose(page, 'Skirt', 'None')
    await expect(stakes).toHaveCount(0)
    await expect(field(page, 'Gravel, beyond')).toBeVisible()
    await clean(page)
  },
)

test(
  'a porch roof on a house out of line: each rafter is cut to its own length',
  { tag: '@wide' },
  async ({ page }) => {
    await begin(page, 'Porch roof')
    const pieces = page.getByText(/^\d+ pieces$/).first()
    await expect(pieces).toBeVisible()
    await take(page, 'Roof', 'Ledger')
    await type(page, 'House out of line by', '8')
    await expect(field(page, 'House out of line by')).toHaveValue('8"')
    await over(page, 'Plan').click()
    await clean(page)
    await page.getByRole('link', { name: /^saw/i }).click()
    for (const mark of ['R1', 'R2', 'R13'])
      await expect(page.getByText(mark, { exact: true }).first()).toBeVisible()
    await page.getByText('R13', { exact: true }).first().click()
    await expect(page.locator('.room-card')).toContainText('common rafter')
    await page.getByText('LG1', { exact: true }).first().click()
    await expect(page.locator('.room-card')).toContainText('Climbs by')
    // farther out of line than the porch is wide it can't be, and what is told builds
    await page.getByRole('link', { name: /^roof/i }).click()
    await take(page, 'Roof', 'Ledger')
    await type(page, 'House out of line by', '-4\' 11"')
    await expect(page.getByRole('alert')).toHaveCount(0)
    await type(page, 'House out of line by', "6'")
    await expect(page.getByRole('alert').first()).toBeVisible()
    await page.keyboard.press('Escape')
    await type(page, 'House out of line by', '0')
    await expect(page.getByRole('alert')).toHaveCount(0)
    await page.getByRole('link', { name: /^saw/i }).click()
    await expect(page.getByText('R13', { exact: true })).toHaveCount(0)
  },
)
