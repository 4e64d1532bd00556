import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
import type { Page } from '@playwright/test'
import { expect, hand, openDemo, over, take, test } from './fixtures'

/** What stands on the paper that a page is printed to, page by page. */
async function printed(page: Page): Promise<string[]> {
  const data = new Uint8Array(await page.pdf({ format: 'A4', preferCSSPageSize: true }))
  const paper = await getDocument({ data, verbosity: 0 }).promise
  return Promise.all(
    Array.from({ length: paper.numPages }, async (_, i) => {
      const { items } = await (await paper.getPage(i + 1)).getTextContent()
      return items.map(item => ('str' in item ? item.str : '')).join(' ')
    }),
  )
}

/** The words of what is asked for, in the order of the page. */
const wordsOf = async (page: Page, selector: string): Promise<string[]> =>
  (await page.locator(selector).allInnerTexts()).map(text => text.trim()).filter(Boolean)

const bare = (text: string): string => text.replace(/\s+/g, '')

/** Holds every one of some words to be on the paper, and the buttons of the room not to be. */
async function holds(page: Page, words: readonly string[]): Promise<void> {
  expect(words.length).toBeGreaterThan(3)
  const paper = bare((await printed(page)).join(' '))
  expect(words.filter(each => !paper.includes(bare(each)))).toEqual([])
  for (const button of ['Add:', 'Tick as cut', 'Print']) expect(paper).not.toContain(bare(button))
}

test('what has a Print is what is on the paper: a jig, a setting, a card, plate marks, a sketch', async ({
  page,
}) => {
  test.setTimeout(240_000)
  await openDemo(page, 'Sallow Marsh punt house')
  await over(page, 'Jig').click()
  const jig = page.getByRole('region', { name: 'Jig' })
  await expect(jig.getByText('What proves it')).toBeVisible()
  await holds(page, await wordsOf(page, '.jig :is(caption, th, td), .jig .steps li'))

  await over(page, 'Setting').click()
  await expect(page.locator('.setting .steps h2').first()).toBeVisible()
  await holds(page, await wordsOf(page, '.setting :is(h2, p, th, td)'))

  // the card, where the view beside it has a Print of its own
  const words = await wordsOf(page, '.room-card .card :is(h2, h3, .told li)')
  await page.evaluate(() => {
    window.print = () => undefined
  })
  await hand(page).getByRole('button', { name: 'Print the card' }).click()
  const card = bare((await printed(page)).join(' '))
  expect(words.filter(each => !card.includes(bare(each)))).toEqual([])
  expect(card).not.toContain(bare('Boards to set with'))
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')))
  await over(page, 'Section').click()
  await expect(page.locator('.setting')).toHaveCount(0)
  await holds(page, words)

  await page.getByRole('link', { name: /^walls/i }).click()
  await take(page, 'Walls', 'South wall')
  await page.getByRole('link', { name: 'Plate marks on paper' }).click()
  await expect(page.getByRole('region', { name: 'East wall', exact: true })).toBeVisible()
  await holds(page, await wordsOf(page, '.wall :is(h2, h3, li)'))

  await openDemo(page, 'Sallow Marsh ringing hut', 'ground')
  await page.getByRole('link', { name: 'Permit sketch' }).click()
  await expect(page.getByRole('img', { name: 'The site from above with its dimensions' })).toBeVisible()
  await holds(page, await wordsOf(page, '.page :is(h1, p, dt, dd, th, td:not(:has(span)), td span)'))
})
