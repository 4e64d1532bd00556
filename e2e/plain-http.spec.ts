import { expect, test, field } from './fixtures'

test.use({
  launchOptions: {
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--host-resolver-rules=MAP shed.test localhost',
    ],
  },
})

test('over plain http on another name designs are made, kept and taken out; what is missing is said once', async ({
  page,
  baseURL,
  problems,
}) => {
  const url = `http://shed.test:${new URL(baseURL ?? '').port}/`
  await page.goto(url)
  expect(await page.evaluate(() => [window.isSecureContext, typeof crypto.randomUUID])).toEqual([
    false,
    'undefined',
  ])
  const note = page.getByRole('status').filter({ hasText: 'plain http' })
  await expect(note).toBeVisible()
  await note.getByRole('button', { name: 'OK' }).click()
  await expect(note).toHaveCount(0)
  await page.getByRole('link', { name: 'New', exact: true }).click()
  await page.getByRole('button', { name: 'Begin' }).click()
  await page.locator('.room').waitFor()
  await field(page, 'Span').fill('10-6')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('group', { name: 'Saving' })).toHaveText('Saved')
  await page.reload()
  await expect(field(page, 'Span')).toHaveValue('10\' 6"')
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the design as a file' }).click(),
  ])
  expect(file.suggestedFilename()).toBe('garden-shed.json')
  await page.goto(url)
  await expect(page.getByRole('link', { name: /^Garden shed/ })).toBeVisible()
  await expect(note).toHaveCount(0)
  for (const [i, each] of [...problems.entries()].reverse())
    if (
      each.includes('Cross-Origin-Opener-Policy') ||
      each.includes('net::ERR_BLOCKED') ||
      each.includes('Permissions-Policy')
    )
      problems.splice(i, 1)
})
