import { readdirSync, readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { type Place, walk, type Way, ways } from '../app/logic/walk'
import { kindOfPath, parseDesign, type Subject, subjectsOf, valueAt } from '../core/design'
import { type DrawingView, listDrawings } from '../core/drawing'
import { type Plan, plan as planOf, subjectOf } from '../core/plan'
import { saySubject } from '../core/words'
import { demoLink, expect, hand, test } from './fixtures'

/** The demo designs; the one that is another in millimetres has the same parts. */
const plans: readonly Plan[] = readdirSync('demo')
  .filter(name => name.endsWith('.json') && !name.endsWith('-metric.json'))
  // the plainest first: all of it is walked
  .sort((a, b) => Number(b === 'ringing-hut.json') - Number(a === 'ringing-hut.json'))
  .map(name => {
    const told = parseDesign(readFileSync(`demo/${name}`, 'utf8'))
    if (!told.ok) throw new Error(`${name} is refused`)
    return planOf(told.design)
  })

/** What is pressed over the drawing to see each view. */
const shown: Readonly<Partial<Record<DrawingView, readonly string[]>>> = {
  section: ['Section'],
  plan: ['Plan'],
  cover: ['Cover'],
  east: ['East'],
  west: ['West'],
  frame: ['Frame'],
  sheets: ['Sheets'],
  deck: ['Deck'],
  site: ['Place'],
  levels: ['Levels'],
  'base-plan': ['Base', 'From above'],
  'base-elevation': ['Base', 'From the south'],
}

/** A view of a bench, and what of the building is touched on it: an area by its key, or a board of it. */
interface Shown {
  readonly bench: string
  readonly press: readonly string[]
  readonly parts: ReadonlyMap<string, { readonly area: true } | { readonly members: readonly string[] }>
}

function viewsOf(plan: Plan): Shown[] {
  const all = subjectsOf(plan.design)
  const memberKeys = new Map(
    plan.frame.members.map(member => [member.id, subjectOf(plan, member, all).key] as const),
  )
  return listDrawings(plan).flatMap(({ bench, view, of, draw }) => {
    const words = shown[view]
    if (!words) return []
    const drawing = draw()
    const parts = new Map<string, { area: true } | { members: string[] }>()
    for (const { member } of drawing.patches) {
      const key = member ? memberKeys.get(member) : undefined
      if (!key || !member) continue
      const known = parts.get(key)
      if (known && 'members' in known) known.members.push(member)
      else parts.set(key, { members: [member] })
    }
    for (const { subject } of drawing.areas) parts.set(subject, { area: true })
    const wall = of && bench === 'walls' ? [/^\d+$/.test(of) ? `P${of}` : of] : []
    return [{ bench, press: [...wall, ...words], parts }]
  })
}

/** In the page: a place, px, where one of some shapes lies on top; null where none does. */
function onTop(selector: string): { x: number; y: number; member: string | null } | null {
  const near = (a: number): number => (a % 2 ? -1 : 1) * Math.ceil(a / 2)
  for (const path of document.querySelectorAll<SVGElement>(selector)) {
    const box = path.getBoundingClientRect()
    for (let i = 0; i < 31; i++)
      for (let k = 0; k < 31; k++) {
        const x = box.left + box.width * (0.5 + near(i) / 32)
        const y = box.top + box.height * (0.5 + near(k) / 32)
        // a click lands on whole px: just off a ring's edge is on it
        if ([0, -1, 1].every(by => document.elementFromPoint(x, y + by) === path))
          return { x, y, member: path.getAttribute('data-member') }
      }
  }
  return null
}

/** In the page: the middle of every board, as arrows go from one to the next. */
function middles(): Place[] {
  const boxes = new Map<string, { x0: number; x1: number; y0: number; y1: number }>()
  for (const path of document.querySelectorAll<SVGGraphicsElement>('.picture path[data-member]')) {
    const { x, y, width, height } = path.getBBox()
    const id = path.getAttribute('data-member') ?? ''
    const box = boxes.get(id) ?? { x0: x, x1: x, y0: y, y1: y }
    boxes.set(id, {
      x0: Math.min(box.x0, x),
      x1: Math.max(box.x1, x + width),
      y0: Math.min(box.y0, y),
      y1: Math.max(box.y1, y + height),
    })
  }
  return [...boxes].map(([id, { x0, x1, y0, y1 }]) => ({ id, x: (x0 + x1) / 2, y: (y0 + y1) / 2 }))
}

/** Where arrows go, learnt on the way: of two boards that lie as near, the page knows better. */
type Known = Map<string, string | null>

/** The first of the fewest arrows from a board to one of some; null where none is reached. */
function arrowTo(
  places: readonly Place[],
  start: string | null,
  members: readonly string[],
  known: Known,
): Way | null {
  const first = new Map<string | null, Way | null>([[start, null]])
  for (const [at, by] of first)
    for (const way of Object.keys(ways) as Way[]) {
      const learnt = known.get(`${at ?? ''} ${way}`)
      const to = learnt === undefined ? walk(places, at, way) : learnt
      if (to === null || first.has(to)) continue
      if (members.includes(to)) return by ?? way
      first.set(to, by ?? way)
    }
  return null
}

/** A view of a bench, as it is chosen over the drawing; one that is shown stays. */
async function lookAt(page: Page, bench: string, words: readonly string[]): Promise<void> {
  if (!new URL(page.url()).pathname.endsWith(bench)) {
    await page.locator('#sheet').focus()
    await page.keyboard.press(bench[0] ?? '')
  }
  for (const word of words) {
    const button = page.locator('#sheet .strip').getByRole('button', { name: new RegExp(`^${word}$`, 'i') })
    if ((await button.getAttribute('aria-pressed')) !== 'true') await button.click()
  }
}

const heading = (page: Page) => hand(page).getByRole('heading', { level: 2 })

/** Takes a part up by the pointer, from the drawing that is shown; false where it lies on top nowhere. */
async function byPointer(page: Page, key: string, of: { area: true } | { members: readonly string[] }) {
  const selector =
    'area' in of
      ? `path.area[data-subject="${key}"]`
      : of.members.map(id => `.picture path[data-member="${id}"]`).join()
  // where it lies is clicked once the drawing has come to rest: a caution that comes or goes moves it
  let place = await page.evaluate(onTop, selector)
  await expect
    .poll(async () => {
      const before = place
      await page.evaluate(() => new Promise(then => requestAnimationFrame(() => setTimeout(then, 50))))
      place = await page.evaluate(onTop, selector)
      return JSON.stringify(place) === JSON.stringify(before)
    })
    .toBe(true)
  if (!place) return false
  await page.mouse.click(place.x, place.y)
  return true
}

/** The same by keys alone: an area is one of the things that are tabbed to, boards are walked by arrows. */
async function byKeys(page: Page, key: string, of: { area: true } | { members: readonly string[] }) {
  if ('area' in of) {
    await page.locator(`path.area[data-subject="${key}"]`).first().focus()
    await page.keyboard.press('Enter')
    return
  }
  await page.keyboard.press('d')
  await expect(page.locator('svg.picture')).toBeFocused()
  // what is walked to is on the drawing once that has changed to the view asked for
  let places: Place[] = []
  await expect
    .poll(async () => {
      places = await page.evaluate(middles)
      return places.some(({ id }) => of.members.includes(id))
    })
    .toBe(true)
  const known: Known = new Map()
  let again = true
  const at = (): Promise<string | null> => page.locator('svg.picture').getAttribute('data-at')
  for (let here = await at(); here === null || !of.members.includes(here);) {
    let way = arrowTo(places, here, of.members, known)
    if (way === null && again) {
      // a drawing that was still being changed is read once more
      again = false
      known.clear()
      places = await page.evaluate(middles)
      way = arrowTo(places, here, of.members, known)
    }
    expect([key, here, way]).toEqual([key, here, expect.any(String)])
    await page.keyboard.press(way ?? '')
    const next = await at()
    known.set(`${here ?? ''} ${way ?? ''}`, next)
    here = next
  }
}

/** Changes the first field of what is in hand by keys, and takes it back. */
async function changes(page: Page, name: string): Promise<void> {
  const number = hand(page).locator('.field .measure input').first()
  const list = hand(page).locator('.field [role=combobox]').first()
  const undo = page.getByRole('button', { name: 'Undo' })
  if (await number.count()) {
    const before = await number.inputValue()
    await number.focus()
    await page.keyboard.press('ArrowUp')
    await expect.poll(async () => [name, await number.inputValue()]).not.toEqual([name, before])
  } else if (await list.count()) {
    const before = await list.innerText()
    await list.focus()
    await page.keyboard.press('Enter')
    await expect(page.getByRole('listbox')).toBeVisible()
    const options = page.getByRole('option')
    const last = (await options.last().innerText()).trim() === before.trim()
    await page.keyboard.press(last ? 'Home' : 'End')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('listbox')).toHaveCount(0)
  } else {
    expect([name, 'has a field']).toEqual([name, ''])
  }
  await expect(undo).toBeEnabled()
  await page.locator('#sheet').focus()
  await page.keyboard.press('Control+z')
  await expect(undo).toBeDisabled()
}

/** What nothing stands for on a drawing is taken from the tree; a bench has its key. */
const undrawn = /^(roof|walls|floor|ground|lumber|walls\.units)$/

/**
 * What is walked on each design: all of the first; of the others what no design before has a kind of, the
 * parts of four walls being of one kind.
 */
const walked: readonly (readonly Subject[])[] = (() => {
  const known = new Set<string>()
  return plans.map(({ design }, i) => {
    const all = subjectsOf(design)
    const left = all.filter(({ key }) => i === 0 || !known.has(kindOfPath(key)))
    for (const { key } of all) known.add(kindOfPath(key))
    return left
  })
})()

for (const [i, plan] of plans.entries()) {
  const title = `${plan.design.name}: each part is reached from the drawing, by pointer and by keys, and changed`
  test(title, { tag: /reed store/.test(plan.design.name) ? [] : '@wide' }, async ({ page }) => {
    test.setTimeout(300_000)
    const { design } = plan
    const steppedTo = new Set<string>()
    const left = new Map<string, Subject>((walked[i] ?? []).map(each => [each.key, each]))
    await page.goto('/')
    await demoLink(page, design.name).click()
    await page.locator('.room').waitFor()
    for (const { bench, press, parts } of viewsOf(plan)) {
      const here = [...parts].filter(([key]) => left.has(key))
      if (here.length) await lookAt(page, bench, press)
      for (const [key, of] of here) {
        const subject = left.get(key)
        if (!subject || !(await byPointer(page, key, of))) continue
        const name = saySubject(design, subject)
        const isThere = async (): Promise<void> => {
          if (!('area' in of)) {
            await expect(hand(page).locator('.mark').first()).toBeVisible()
            await page.keyboard.press('Escape')
          }
          await expect(heading(page)).toHaveText(name)
          // what is touched takes the keys
          if ('area' in of) await expect(heading(page)).toBeFocused()
        }
        await isThere()
        // out of it, and in again
        await page.keyboard.press('Escape')
        if (subject.within) {
          await expect(heading(page)).not.toHaveText(name)
          steppedTo.add(await heading(page).innerText())
        }
        await lookAt(page, bench, press)
        await byKeys(page, key, of)
        await isThere()
        await changes(page, name)
        await lookAt(page, bench, press)
        left.delete(key)
      }
    }
    const missing = [...left.values()].filter(
      each =>
        valueAt(design, each.key) !== null &&
        !undrawn.test(each.key) &&
        !steppedTo.has(saySubject(design, each)),
    )
    expect(missing.map(({ key }) => key)).toEqual([])
  })
}
