import type { Page } from '@playwright/test'
import { openDemo, take, test } from '../e2e/fixtures'

const folder = process.env.SHOTS ?? 'docs/screenshots'
const hut = 'Sallow Marsh ringing hut'

async function shoot(page: Page, name: string): Promise<void> {
  await page.evaluate(() => document.fonts.ready)
  await page.waitForTimeout(300)
  await page.screenshot({ path: `${folder}/${name}.png` })
}

test('shelf', async ({ page }) => {
  await page.goto('/')
  await page
    .getByText(/\d+ pieces, \d+ cut/)
    .nth(6)
    .waitFor()
  await shoot(page, 'shelf')
})

test('new', async ({ page }) => {
  await page.goto('/new')
  await page.getByRole('button', { name: 'Firewood shelter' }).click()
  await page.locator('canvas').waitFor()
  await page.waitForTimeout(1200)
  await shoot(page, 'new')
})

for (const bench of ['roof', 'walls', 'floor', 'saw']) {
  test(bench, async ({ page }) => {
    await openDemo(page, hut, bench)
    if (bench === 'roof') await take(page, 'Roof')
    if (bench === 'walls') {
      await page.getByRole('button', { name: 'East', exact: true }).click()
      await take(page, 'Walls', 'East wall', 'Window 2')
    }
    if (bench === 'floor') await take(page, 'Floor', 'Joists')
    await page.waitForTimeout(200)
    await shoot(page, bench)
  })
}

test('siding on a wall', async ({ page }) => {
  await openDemo(page, 'Sallow Marsh punt house', 'walls')
  await page.getByRole('button', { name: 'East', exact: true }).click()
  await page.locator('#sheet').getByRole('button', { name: 'Siding', exact: true }).click()
  await page.waitForTimeout(200)
  await shoot(page, 'walls-siding')
})

test('plate marks', async ({ page }) => {
  await openDemo(page, hut, 'walls')
  await take(page, 'Walls', 'South wall')
  await page.getByRole('link', { name: 'Plate marks on paper' }).click()
  await page.getByRole('heading', { name: 'South wall', exact: true }).waitFor()
  await shoot(page, 'marks')
})

for (const part of ['Square', 'Base']) {
  test(`ground, ${part}`, async ({ page }) => {
    await openDemo(page, hut, 'ground')
    await page.locator('#sheet').getByRole('button', { name: part, exact: true }).click()
    await page.waitForTimeout(400)
    await shoot(page, `ground-${part.toLowerCase()}`)
  })
}

test('a covered building in 3D', async ({ page }) => {
  await openDemo(page, 'Sallow Marsh punt house', 'roof')
  // nothing is lit
  await page
    .getByRole('navigation', { name: 'Parts of the building' })
    .getByRole('button', { name: 'Building', exact: true })
    .click()
  await page.getByRole('button', { name: '3D', exact: true }).click()
  await page.locator('canvas').waitFor()
  await page.waitForTimeout(1500)
  await shoot(page, 'covered')
})

test('a face of the roof, covered', async ({ page }) => {
  await openDemo(page, 'Sallow Marsh punt house', 'roof')
  await page.getByRole('button', { name: 'Cover', exact: true }).click()
  await page.getByRole('button', { name: 'Deck', exact: true }).click()
  await page.waitForTimeout(300)
  await shoot(page, 'roof-cover')
})

test('frame in 3D, a part on the bench', async ({ page }) => {
  await openDemo(page, 'Sallow Marsh osprey lookout', 'roof')
  await page
    .getByRole('navigation', { name: 'Parts', exact: true })
    .getByRole('button', { name: 'Store' })
    .click()
  await page.getByRole('button', { name: '3D', exact: true }).click()
  await page.locator('canvas').waitFor()
  await page.waitForTimeout(1000)
  await shoot(page, 'frame')
})

test('the setting of a row of trusses, at dusk', async ({ page }) => {
  await openDemo(page, 'Sallow Marsh decoy store', 'roof')
  await page.getByRole('button', { name: 'Setting', exact: true }).click()
  await page.getByRole('button', { name: 'Dusk' }).click()
  await page.waitForTimeout(300)
  await shoot(page, 'roof-setting')
})

test('the jig of a gambrel', async ({ page }) => {
  await openDemo(page, 'Sallow Marsh punt house', 'roof')
  await page.getByRole('button', { name: 'Jig', exact: true }).click()
  await page.waitForTimeout(300)
  await shoot(page, 'roof-jig')
})

for (const [name, view] of [
  ['saw-boards', 'Boards'],
  ['saw-buy', 'Buy'],
] as const)
  test(view, async ({ page }) => {
    await openDemo(page, hut, 'saw')
    await page.getByRole('button', { name: view, exact: true }).click()
    await page.locator('.boards .cut, .buy .total b').first().waitFor()
    await page.waitForTimeout(600)
    await shoot(page, name)
  })

test.describe('phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
  test('roof', async ({ page }) => {
    await openDemo(page, hut, 'roof')
    await shoot(page, 'phone-roof')
  })
  test('at the saw', async ({ page }) => {
    await openDemo(page, hut, 'saw')
    await page.getByRole('button', { name: 'Pieces', exact: true }).click()
    await page.getByRole('button', { name: 'Boards', exact: true }).click()
    await page.locator('.boards .cut').first().waitFor()
    await page.getByRole('link', { name: 'At the saw' }).click()
    await page.getByRole('button', { name: 'Begin', exact: true }).click()
    for (let i = 0; i < 7; i++) await page.keyboard.press('x')
    await shoot(page, 'at-saw')
  })
})
