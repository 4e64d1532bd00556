import { demoLink, demos, expect, field, openDemo, reportViolations, test, watch } from './fixtures'

test('a design is duplicated, renamed, taken away and put back', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'More for Sallow Marsh reed store' }).click()
  await page.getByRole('menuitem', { name: 'Duplicate' }).click()
  const copy = page.getByRole('link', { name: /^Sallow Marsh reed store 2/ })
  await expect(copy).toBeVisible()
  await page.getByRole('button', { name: 'More for Sallow Marsh reed store 2' }).click()
  await page.getByRole('menuitem', { name: 'Rename' }).click()
  await page.getByRole('textbox', { name: 'Name' }).fill("Warden's wood store")
  await page.keyboard.press('Enter')
  await expect(page.getByRole('link', { name: /^Warden's wood store/ })).toBeVisible()
  await page.getByRole('button', { name: "More for Warden's wood store" }).click()
  await page.getByRole('menuitem', { name: 'Remove' }).click()
  await expect(page.getByRole('link', { name: /^Warden's wood store/ })).toHaveCount(0)
  await page.getByRole('button', { name: 'Put it back' }).click()
  await expect(page.getByRole('link', { name: /^Warden's wood store/ })).toBeVisible()
})

test('the same design in two tabs: each follows the other, and no edit is lost', async ({
  page,
  context,
  problems,
}) => {
  await openDemo(page, 'Sallow Marsh ringing hut')
  const other = await context.newPage()
  watch(other, problems)
  await reportViolations(context)
  await other.goto(page.url())
  await field(other, 'Span').fill("10'")
  await other.keyboard.press('Enter')
  await expect(field(page, 'Span')).toHaveValue('10\' 0"')
  await field(page, 'Wall height').fill("8'")
  await page.keyboard.press('Enter')
  await expect(field(other, 'Wall height')).toHaveValue('8\' 0"')
  await page.close()
  await other.reload()
  await expect(field(other, 'Span')).toHaveValue('10\' 0"')
  await expect(field(other, 'Wall height')).toHaveValue('8\' 0"')
})

test('the first screen is script of no more than 300 KB, and what a row says is worked out once', async ({
  page,
}) => {
  /** Script that is fetched, bytes as they travel. */
  const fetched: Record<'page' | 'worker', number> = { page: 0, worker: 0 }
  page.on('response', response => {
    const { pathname } = new URL(response.url())
    if (pathname.endsWith('.js'))
      fetched[pathname.includes('shelf-cards') ? 'worker' : 'page'] += Number(
        response.headers()['content-length'],
      )
  })
  const shown = page.getByText(/\d+ pieces, \d+ cut/)
  /** What a row says is worked out once it is seen. */
  const seeAll = async (): Promise<void> => {
    await demoLink(page, demos[0]).scrollIntoViewIfNeeded()
    for (const name of demos) await demoLink(page, name).scrollIntoViewIfNeeded()
    await expect(shown).toHaveCount(demos.length)
  }
  await page.goto('/')
  await seeAll()
  expect(fetched.page).toBeGreaterThan(100_000)
  expect(fetched.page).toBeLessThanOrEqual(300_000)
  expect(fetched.worker).toBeGreaterThan(20_000)

  // come again, it is known
  Object.assign(fetched, { page: 0, worker: 0 })
  await page.reload()
  await seeAll()
  expect(fetched.worker).toBe(0)
  expect(fetched.page).toBeLessThanOrEqual(300_000)
})

test.describe('with its service worker', () => {
  test.use({ serviceWorkers: 'allow' })
  test('after the first visit it works with no network', async ({ page, context }) => {
    await page.goto('/')
    await page.evaluate(() => navigator.serviceWorker.ready)
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null)
    await context.setOffline(true)
    await page.reload()
    await openDemo(page, 'Sallow Marsh ringing hut', 'saw')
    await expect(page.getByText('0 of 239 cut')).toBeVisible()
    await page.reload()
    await expect(page.getByText('0 of 239 cut')).toBeVisible()
  })
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
  test('drawing and card take turns, pieces come one card at a time, and targets are large', async ({
    page,
  }) => {
    await openDemo(page, 'Sallow Marsh ringing hut')
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390)
    await field(page, 'Span').fill('10-6')
    await page.keyboard.press('Enter')
    await expect(field(page, 'Span')).toHaveValue('10\' 6"')
    await expect(page.locator('.room-card')).toBeHidden()
    await page.getByRole('button', { name: 'Hand', exact: true }).tap()
    await expect(page.locator('.room-card')).toBeVisible()
    await page.getByRole('link', { name: 'Saw' }).tap()
    await page.getByRole('button', { name: 'Pieces', exact: true }).tap()
    await page.getByRole('button', { name: 'One card at a time' }).tap()
    await page.getByRole('button', { name: 'Next', exact: true }).tap()
    await expect(page.locator('#sheet .mark').first()).toHaveText('H1')
    const small = await page.locator('button:visible, a:visible').evaluateAll(list =>
      list
        .map(each => ({
          name: each.textContent?.trim() || each.getAttribute('aria-label'),
          box: each.getBoundingClientRect(),
        }))
        .filter(each => each.box.width > 0 && each.box.bottom > 0 && each.box.height < 43.5)
        .map(each => each.name),
    )
    expect(small).toEqual([])
  })
})
