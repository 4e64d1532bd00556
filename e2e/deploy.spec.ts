import { createServer, request, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import type { Page } from '@playwright/test'
import { expect, test, field } from './fixtures'

/**
 * The built application behind a front that can be deployed anew: with another service worker, and with the
 * parts of the pages that were not fetched yet gone.
 */
interface Front {
  readonly url: string
  deploy: () => void
  close: () => Promise<void>
}

async function front(upstream: string): Promise<Front> {
  let deployed = false
  const fetched = new Set<string>()
  const server: Server = createServer((asked, answer) => {
    const path = new URL(asked.url ?? '/', upstream).pathname
    if (path.startsWith('/_nuxt/') && path.endsWith('.js')) {
      if (deployed && !fetched.has(path)) return void answer.writeHead(404).end()
      fetched.add(path)
    }
    const on = request(
      new URL(asked.url ?? '/', upstream),
      { method: asked.method, headers: { host: new URL(upstream).host } },
      came => {
        const anew = deployed && path === '/sw.js'
        const { 'content-length': length, ...headers } = came.headers
        answer.writeHead(
          came.statusCode ?? 500,
          anew || length === undefined ? headers : { ...headers, 'content-length': length },
        )
        if (anew) {
          came.on('end', () => answer.end('\n// deployed anew\n')).pipe(answer, { end: false })
        } else came.pipe(answer)
      },
    )
    on.on('error', () => answer.writeHead(502).end())
    asked.pipe(on)
  })
  await new Promise<void>(resolve => server.listen(0, 'localhost', resolve))
  return {
    url: `http://localhost:${(server.address() as AddressInfo).port}`,
    deploy: () => {
      deployed = true
    },
    close: () =>
      new Promise(resolve => {
        server.close(() => resolve())
        server.closeAllConnections()
      }),
  }
}

const span = (page: Page) => field(page, 'Span')
const deployTest = test.extend<{ site: Front }>({
  site: async ({ baseURL }, use) => {
    const site = await front(baseURL ?? '')
    await use(site)
    await site.close()
  },
})

async function openOn(page: Page, site: Front): Promise<void> {
  await page.goto(site.url)
  await page
    .getByRole('link', { name: /^Sallow Marsh ringing hut\b(?!,)/ })
    .first()
    .click()
  await page.locator('.room').waitFor()
}

deployTest.use({ serviceWorkers: 'allow' })

deployTest(
  'a new deploy is offered, never loaded by itself, and a half-typed dimension is entered before it is',
  async ({ page, site }) => {
    await page.goto(site.url)
    await page.evaluate(() => navigator.serviceWorker.ready)
    await page.waitForFunction(
      () =>
        navigator.serviceWorker.controller !== null ||
        navigator.serviceWorker.getRegistration().then(found => found?.active?.state === 'activated'),
    )
    await page.reload()
    await openOn(page, site)
    await page.getByRole('button', { name: 'Plan', exact: true }).click()
    await page.getByRole('button', { name: 'Section', exact: true }).click()
    let loads = 0
    page.on('load', () => {
      loads++
    })
    await span(page).fill('10-6')
    site.deploy()
    await page.evaluate(async () => {
      await (await navigator.serviceWorker.getRegistration())?.update()
    })
    const note = page.getByRole('status').filter({ hasText: 'A newer version of Early Wren is ready' })
    await expect(note).toBeVisible()
    await expect(span(page)).toHaveValue('10-6') // as it was left
    expect(loads).toBe(0)
    await span(page).fill('banana')
    await note.getByRole('button', { name: 'Load it' }).click()
    await expect(note).toContainText('“banana” is not understood')
    expect(loads).toBe(0)
    await span(page).fill('10-6')
    await note.getByRole('button', { name: 'Load it' }).click()
    await expect.poll(() => loads).toBe(1)
    await expect(span(page)).toHaveValue('10\' 6"')
    await expect(note).toHaveCount(0)
  },
)

deployTest.describe('without a service worker', () => {
  deployTest.use({ serviceWorkers: 'block' })
  deployTest(
    'a view whose parts are gone loads the page again at its place, once; where that does not help it is said',
    async ({ page, site, problems }) => {
      await openOn(page, site)
      await page.getByRole('button', { name: 'Plan', exact: true }).click()
      await expect(page.getByRole('button', { name: 'Plan', exact: true })).toHaveAttribute(
        'aria-pressed',
        'true',
      )
      let loads = 0
      page.on('load', () => {
        loads++
      })
      site.deploy()
      await page.getByRole('link', { name: /^walls/i }).click()
      await expect.poll(() => loads).toBe(1)
      await expect(page).toHaveURL(/\/walls$/) // where it was going
      // this deploy never brings it
      await expect(page.getByRole('status').filter({ hasText: 'could not be fetched' })).toBeVisible()
      expect(loads).toBe(1)
      await page.getByRole('link', { name: /^roof/i }).click()
      await expect(page.getByRole('button', { name: 'Plan', exact: true })).toHaveAttribute(
        'aria-pressed',
        'true',
      )
      problems.splice(0) // the browser reports each part that is not there
    },
  )
})
