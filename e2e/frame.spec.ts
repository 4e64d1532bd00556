import { readFile } from 'node:fs/promises'
import { clean, expect, openDemo, over, test } from './fixtures'

test('the frame in 3D: opened from every bench, a board picked, steps of raising, a picture saved', async ({
  page,
}) => {
  await openDemo(page, 'Sallow Marsh ringing hut')
  await page.locator('#sheet').focus()
  await page.keyboard.press('3')
  const canvas = page.locator('canvas')
  await expect(canvas).toHaveAccessibleName(/239 boards; R1 in hand/)
  await page.keyboard.press('w')
  await expect(canvas).toBeVisible()
  await page.waitForTimeout(500)

  // the middle of the view looks at a wall or the roof: a tap there takes a board in hand
  const marks = new Set<string>()
  const box = await canvas.boundingBox()
  if (!box) throw new Error('no canvas')
  for (const [x, y] of [
    [0.35, 0.6],
    [0.5, 0.35],
    [0.45, 0.7],
    [0.55, 0.62],
    [0.4, 0.45],
    [0.6, 0.5],
    [0.3, 0.5],
    [0.5, 0.5],
  ] as const) {
    await canvas.click({ position: { x: box.width * x, y: box.height * y } })
    marks.add(await page.locator('.room-card .mark').first().innerText())
  }
  expect(marks.size).toBeGreaterThan(1)

  const status = page.getByRole('group', { name: 'Order of raising' }).getByRole('status')
  await expect(status).toHaveText('All standing')
  await page.getByRole('button', { name: 'One step back' }).click()
  await expect(status).toHaveText('15 of 16: Over the gables')
  await canvas.focus()
  for (let i = 0; i < 16; i++) await page.keyboard.press('[')
  await expect(status).toHaveText('Nothing yet')
  await page.keyboard.press(']')
  await expect(status).toHaveText('1 of 16: Posts, blocks and concrete')
  for (let i = 0; i < 15; i++) await page.keyboard.press(']')

  const png = async (): Promise<Buffer> => {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save the picture as PNG' }).click(),
    ])
    return readFile(await file.path())
  }
  const before = await png()
  expect(before.subarray(1, 4).toString()).toBe('PNG')
  expect(before.length).toBeGreaterThan(8000)
  await canvas.focus()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('+')
  expect((await png()).equals(before)).toBe(false)
  await over(page, 'Roof').click()
  await page.getByLabel('Pull apart').fill('0.6')
  await clean(page)
  await page.getByRole('button', { name: 'Elevation', exact: true }).click()
  await expect(canvas).toHaveCount(0)
})

test(
  'the frame in 3D can be opened over and over without the memory growing',
  { tag: '@wide' },
  async ({ page }) => {
    test.setTimeout(300_000)
    // a small window: the pictures are painted by the processor here, and are not what is measured
    await page.setViewportSize({ width: 800, height: 420 })
    await openDemo(page, 'Sallow Marsh ringing hut')
    const heap = async (): Promise<number> => {
      const session = await page.context().newCDPSession(page)
      await session.send('HeapProfiler.collectGarbage')
      const { usedSize } = await session.send('Runtime.getHeapUsage')
      return usedSize / 1e6
    }
    const openings = async (times: number): Promise<void> => {
      for (let i = 0; i < times; i++) {
        await page.getByRole('button', { name: '3D', exact: true }).click()
        await page.locator('canvas').waitFor()
        await over(page, 'Drawing').click()
        await page.locator('canvas').waitFor({ state: 'detached' })
      }
    }
    await openings(8)
    const early = await heap()
    await openings(16)
    const late = await heap()
    console.log(`heap after 8 openings ${early.toFixed(1)} MB, after 24 ${late.toFixed(1)} MB`)
    expect(late - early).toBeLessThan(2)
  },
)
