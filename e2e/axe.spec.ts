import { clean, expect, field, openDemo, test } from './fixtures'

for (const dusk of [false, true]) {
  const title = `no screen has a fault that axe finds, ${dusk ? 'at dusk' : 'by day'}`
  test(title, { tag: dusk ? '@wide' : [] }, async ({ page }) => {
    test.setTimeout(240_000)
    await page.goto('/')
    await page
      .getByRole('link', { name: /Sallow Marsh/ })
      .first()
      .waitFor()
    if (dusk) await page.getByRole('button', { name: 'Dusk' }).click()
    await page.mouse.move(0, 0)
    await page.waitForTimeout(300)
    await clean(page)
    await openDemo(page, 'Sallow Marsh ringing hut')
    for (const bench of dusk ? ['roof', 'saw'] : ['roof', 'walls', 'floor', 'ground', 'saw']) {
      await page.getByRole('link', { name: new RegExp(`^${bench}`, 'i') }).click()
      if (bench === 'saw') await page.getByRole('checkbox', { name: 'R1 is cut', exact: true }).click()
      await page.mouse.move(0, 0)
      await page.waitForTimeout(300)
      await clean(page)
    }
    // colours alone differ at dusk, and they are the same on all benches
    if (dusk) return
    await page.keyboard.press('r')
    await field(page, 'Span').fill('x')
    await page.keyboard.press('Enter')
    await clean(page)
    await page.keyboard.press('Escape')
    await page.locator('#sheet').focus()
    for (const [open, name] of [
      ['?', 'Keys'],
      ['', 'Cautions'],
    ] as const) {
      if (open) await page.keyboard.press(open)
      else
        await page
          .getByRole('button', { name: new RegExp(name, 'i') })
          .first()
          .click()
      await page.getByRole('dialog').waitFor()
      await page.waitForTimeout(400)
      await clean(page)
      await page.keyboard.press('Escape')
      await expect(page.getByRole('dialog')).toHaveCount(0)
    }
  })
}

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
  test('no screen has a fault that axe finds', { tag: '@wide' }, async ({ page }) => {
    test.setTimeout(240_000)
    await openDemo(page, 'Sallow Marsh ringing hut', 'roof')
    await clean(page)
    await page.getByRole('button', { name: 'Hand', exact: true }).tap()
    await clean(page)
    await page.getByRole('link', { name: 'Saw' }).tap()
    await page.getByRole('button', { name: 'Pieces', exact: true }).tap()
    await clean(page)
  })
})
