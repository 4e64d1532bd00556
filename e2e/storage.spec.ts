import type { BrowserContext, Page } from '@playwright/test'
import { expect, field, openDemo, reportViolations, test } from './fixtures'
import { fillable } from './full-storage'

const HUT = 'Sallow Marsh ringing hut'
const span = (page: Page) => field(page, 'Span')
const saving = (page: Page) => page.getByRole('group', { name: 'Saving' })
/** The shelf comes by itself once what was entered is stored; loading it before would leave that behind. */
const onShelf = (page: Page) =>
  expect(page.getByRole('link', { name: new RegExp(`^${HUT}\\b(?!,)`) }).first()).toBeVisible()

/**
 * Holds the database in another tab, so that whatever this one stores has to wait; what is given back lets
 * go.
 */
async function hold(context: BrowserContext, url: string): Promise<() => Promise<void>> {
  const other = await context.newPage()
  await other.goto(new URL('/icon.svg', url).href) // a page of the same origin without the program
  await other.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const opening = indexedDB.open('early-wren')
        opening.onerror = () => reject(new Error('not opened'))
        opening.onsuccess = () => {
          const store = opening.result.transaction(['designs', 'edits'], 'readwrite').objectStore('designs')
          const again = (): void => {
            if (!(window as { letGo?: boolean }).letGo) store.get('nobody').onsuccess = again
          }
          again()
          resolve()
        }
      }),
  )
  return async () => {
    await other.evaluate(() => {
      ;(window as { letGo?: boolean }).letGo = true
    })
    await other.close()
  }
}

const ways = {
  'a link': async (page: Page) => {
    await page.getByRole('link', { name: 'Shelf' }).click()
  },
  Back: async (page: Page) => {
    await page.evaluate(() => history.back())
  },
}

for (const [way, leave] of Object.entries(ways)) {
  const tag = way === 'Back' ? '@wide' : []
  test(`leaving by ${way} waits for edits that are not stored yet`, { tag }, async ({ page, context }) => {
    await openDemo(page, HUT)
    await expect(saving(page)).toHaveText('Saved')
    const release = await hold(context, page.url())
    for (const text of ["10'", '10-6', "11'"]) {
      await span(page).fill(text)
      await page.keyboard.press('Enter')
    }
    await expect(saving(page)).toHaveText('Saving …')
    await leave(page)
    // a busy machine may have waited for so long that it says this already
    await expect(page.getByRole('dialog')).toContainText(
      /The last changes are being saved\.|The browser's storage does not answer\./,
    )
    await release()
    await onShelf(page)
    await openDemo(page, HUT)
    await expect(span(page)).toHaveValue('11\' 0"')
  })

  test(
    `text half typed is entered on leaving by ${way}, and asked about where it can't be`,
    { tag: '@wide' },
    async ({ page }) => {
      await openDemo(page, HUT)
      await span(page).fill('10-6')
      await leave(page)
      await onShelf(page)
      await openDemo(page, HUT)
      await expect(span(page)).toHaveValue('10\' 6"')
      await span(page).fill('banana')
      await leave(page)
      const dialog = page.getByRole('dialog')
      await expect(dialog).toContainText('Span: “banana” is not understood')
      await dialog.getByRole('button', { name: 'Stay' }).click()
      await expect(span(page)).toHaveValue('banana')
      await leave(page)
      await dialog.getByRole('button', { name: 'Leave without it' }).click()
      await onShelf(page)
      await openDemo(page, HUT)
      await expect(span(page)).toHaveValue('10\' 6"')
    },
  )
}

for (const [way, go] of [
  ['reload', (page: Page) => page.evaluate(() => location.reload())],
  [
    'another address',
    (page: Page) =>
      page.evaluate(() => {
        location.href = '/icon.svg'
      }),
  ],
] as const) {
  const tag = way === 'reload' ? [] : '@wide'
  test(
    `${way} with edits waiting or text half typed asks, and the text is entered`,
    { tag },
    async ({ page, context }) => {
      await openDemo(page, HUT)
      const release = await hold(context, page.url())
      await span(page).fill('10-6')
      let asked = 0
      page.on('dialog', dialog => {
        asked++
        void dialog.dismiss()
      })
      await go(page)
      await expect.poll(() => asked).toBe(1) // and stays
      await expect(span(page)).toHaveValue('10\' 6"')
      await release()
      await expect(saving(page)).toHaveText('Saved')
      const left = page.waitForEvent('framenavigated')
      await go(page)
      await left
      await openDemo(page, HUT)
      await expect(span(page)).toHaveValue('10\' 6"')
      expect(asked).toBe(1)
    },
  )
}

test('between benches text half typed is entered too', { tag: '@wide' }, async ({ page }) => {
  await openDemo(page, HUT, 'walls')
  await field(page, 'Stud spacing').fill('12')
  await page.evaluate(() => history.back())
  await expect(span(page)).toBeVisible()
  await page.getByRole('link', { name: /^walls/i }).click()
  await expect(field(page, 'Stud spacing')).toHaveValue('1\' 0"')
})

test('with storage full a bench says so, keeps what was done, lets it be saved as a file and saves it when there is room', async ({
  page,
}) => {
  const fill = await fillable(page, 'design')
  await openDemo(page, HUT)
  await expect(saving(page)).toHaveText('Saved')
  await fill(true)
  await span(page).fill('10-6')
  await page.keyboard.press('Enter')
  const alert = page.getByRole('alert').filter({ hasText: 'Not saved' })
  await expect(alert).toContainText("The browser's storage is full")
  await expect(saving(page)).toHaveText('Not saved')
  await span(page).fill("11'")
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(span(page)).toHaveValue('10\' 6"') // undone while both wait
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    alert.getByRole('button', { name: 'Save as a file' }).click(),
  ])
  expect(file.suggestedFilename()).toMatch(/\.json$/)
  await page.getByRole('link', { name: 'Shelf' }).click()
  await expect(page.getByRole('dialog')).toContainText('storage is full')
  await page.getByRole('dialog').getByRole('button', { name: 'Stay' }).click()
  await fill(false)
  await alert.getByRole('button', { name: 'Try again' }).click()
  await expect(saving(page)).toHaveText('Saved')
  await page.reload()
  await expect(span(page)).toHaveValue('10\' 6"')
  await page.getByRole('button', { name: 'Redo' }).click()
  await expect(span(page)).toHaveValue('11\' 0"')
})

test('with storage full the shelf says what was not done, and why', { tag: '@wide' }, async ({ page }) => {
  const fill = await fillable(page, 'design')
  await page.goto('/')
  await page
    .getByRole('link', { name: new RegExp(`^${HUT}\\b(?!,)`) })
    .first()
    .waitFor()
  await fill(true)
  const alert = page.getByRole('alert').filter({ hasText: 'storage is full' })
  const pick = async (item: string): Promise<void> => {
    await page.getByRole('button', { name: `More for ${HUT}`, exact: true }).click()
    await page.getByRole('menuitem', { name: item }).click()
  }
  const said = async (title: string): Promise<void> => {
    await expect(alert).toContainText(title)
    await alert.getByRole('button', { name: 'OK' }).click()
    await expect(alert).toHaveCount(0)
  }
  await pick('Duplicate')
  await said(`“${HUT}” was not duplicated`)
  await pick('Remove')
  await said(`“${HUT}” was not taken off the shelf`)
  await pick('Rename')
  await page.getByRole('textbox', { name: 'Name' }).fill('Another name')
  await page.keyboard.press('Enter')
  await said(`“${HUT}” was not renamed`)
  const [file] = await Promise.all([page.waitForEvent('download'), pick('Save as a file')]) // always works
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Import a file' }).click(),
  ])
  await chooser.setFiles(await file.path())
  await said(`“${HUT} 2” was not taken in`)
  await fill(false)
  await pick('Duplicate')
  await expect(page.getByRole('link', { name: new RegExp(`^${HUT} 2`) })).toBeVisible()
})

test(
  'a storage emptied while a design is open is said; the design is put back as it is on the screen',
  { tag: '@wide' },
  async ({ page, problems }) => {
    await openDemo(page, HUT)
    await expect(saving(page)).toHaveText('Saved')
    await page.evaluate(
      () =>
        new Promise<void>(resolve => {
          indexedDB.deleteDatabase('early-wren').onsuccess = () => resolve()
        }),
    )
    await span(page).fill('10-6')
    await page.keyboard.press('Enter')
    const alert = page.getByRole('alert').filter({ hasText: 'emptied or deleted elsewhere' })
    await expect(alert).toBeVisible()
    await span(page).fill("11'")
    await page.keyboard.press('Enter')
    await alert.getByRole('button', { name: 'Put it back' }).click()
    await expect(saving(page)).toHaveText('Saved')
    await page.reload()
    await expect(span(page)).toHaveValue('11\' 0"')
    for (const [i, each] of [...problems.entries()].reverse())
      // the library says what was done to it
      if (each.includes('wants to delete database')) problems.splice(i, 1)
  },
)

test(
  'a design taken off the shelf in another tab is said and put back',
  { tag: '@wide' },
  async ({ page, context }) => {
    await openDemo(page, HUT)
    const other = await context.newPage()
    await reportViolations(context)
    await other.goto('/')
    await other.getByRole('button', { name: `More for ${HUT}`, exact: true }).click()
    await other.getByRole('menuitem', { name: 'Remove' }).click()
    await expect(page.getByRole('heading', { name: 'This design was taken off the shelf' })).toBeVisible()
    await page.getByRole('button', { name: 'Put it back' }).click()
    await expect(span(page)).toBeVisible()
  },
)

const opening = {
  silent: () => {
    IDBFactory.prototype.open = () => new EventTarget() as IDBOpenDBRequest
  },
  refused: () => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('not here', 'SecurityError')
    }
  },
}
for (const [what, script, title] of [
  ['never answers', opening.silent, 'The shelf does not answer'],
  ['is refused to the page', opening.refused, "The shelf can't be opened"],
] as const) {
  const tag = script === opening.silent ? [] : '@wide'
  test(`a database that ${what} is said, on the shelf and on a bench`, { tag }, async ({ page }) => {
    await page.addInitScript(script)
    await page.goto('/')
    await expect(page.getByRole('alert')).toContainText(title)
    await page.goto('/design/anything/roof')
    await expect(page.getByRole('heading', { name: title })).toBeVisible()
    await page.goto('/new')
    await page.getByRole('button', { name: 'Begin' }).click()
    await expect(page.getByRole('alert').filter({ hasText: 'No new building was begun' })).toBeVisible()
  })
}

test(
  'a damaged row and a damaged step are each said for what they are',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page, HUT)
    for (const text of ['10-6', "11'"]) {
      await span(page).fill(text)
      await page.keyboard.press('Enter')
    }
    await expect(saving(page)).toHaveText('Saved')
    const id = new URL(page.url()).pathname.split('/')[2] ?? ''
    const damage = (id: string, what: 'step' | 'row' | 'design') =>
      page.evaluate(
        ([id, what]) =>
          new Promise<void>((resolve, reject) => {
            const opening = indexedDB.open('early-wren')
            opening.onerror = () => reject(new Error('not opened'))
            opening.onsuccess = () => {
              const work = opening.result.transaction(['designs', 'edits'], 'readwrite')
              const designs = work.objectStore('designs')
              if (what === 'step')
                work.objectStore('edits').put({ design: id, index: 1, document: { broken: true } })
              if (what === 'design')
                work.objectStore('edits').put({ design: id, index: 0, document: 'broken' })
              if (what === 'row')
                designs.get(id).onsuccess = event => {
                  designs.put({
                    ...(event.target as IDBRequest<object>).result,
                    updated: 'yesterday',
                    name: 7,
                  })
                }
              work.oncomplete = () => {
                opening.result.close()
                resolve()
              }
            }
          }),
        [id, what] as const,
      )
    await damage(id, 'step')
    await page.reload()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByRole('status').filter({ hasText: 'damaged and was passed over' })).toBeVisible()
    await expect(span(page)).not.toHaveValue('11\' 0"')
    await damage(id, 'row')
    await page.goto('/')
    await expect(page.getByRole('link', { name: /^Without a name/ })).toContainText('unknown time')
    await damage(id, 'design')
    for (const [place, says] of [
      ['roof', 'damaged'],
      ['marks', 'damaged'],
      ['sketch', 'damaged'],
    ] as const) {
      await page.goto(`/design/${id}/${place}`)
      await expect(page.getByRole('heading', { name: "This design can't be read" })).toBeVisible()
      await expect(page.locator('main')).toContainText(says)
    }
  },
)
