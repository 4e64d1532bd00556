import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { spawn } from 'node:child_process'
import { chromium, type Page } from '@playwright/test'
import { cautionsOf } from '../core/check'
import {
  type Design,
  newDesign,
  parseDesign,
  usualBase,
  usualCover,
  usualFloors,
  withValue,
} from '../core/design'
import { listDrawings } from '../core/drawing'
import { newMemory } from '../core/frame'
import { plan } from '../core/plan'
import { benchNest } from './bench-nest'

/** How long a change of pitch takes, ms, each sorted. */
interface Times {
  /** Until the roof's section is drawn: what a drag shows first. */
  readonly drawn: readonly number[]
  /** Until everything is read off it anew. */
  readonly all: readonly number[]
}

/** Replan times of a design. */
function replan(design: Design, times = 200): Times {
  const drawn: number[] = []
  const all: number[] = []
  const memory = newMemory()
  for (let i = 0; i < times + 50; i++) {
    const changed = withValue(design, 'roof.pitch', {
      rise: (12 * design.roof.pitch.rise) / design.roof.pitch.run + i / 500,
      run: 12,
    }) // never the same twice
    const start = performance.now()
    const made = plan(changed, memory)
    listDrawings(made, 'roof')
      .find(({ view }) => view === 'section')
      ?.draw()
    const seen = performance.now()
    cautionsOf(made)
    if (i < 50) continue
    drawn.push(seen - start)
    all.push(performance.now() - start)
  }
  return { drawn: drawn.sort((a, b) => a - b), all: all.sort((a, b) => a - b) }
}

const at = (sorted: readonly number[], share: number): string =>
  (sorted[Math.floor(sorted.length * share)] ?? 0).toFixed(2).padStart(7)

function line(name: string, design: Design): void {
  const { drawn, all } = replan(design)
  const figures = [drawn, all].flatMap(times => [at(times, 0), at(times, 0.5), at(times, 0.95)])
  console.log(
    `${name.padEnd(34)} ${String(plan(design).frame.members.length).padStart(5)} ${figures.join(' ')}`,
  )
}

/** The design with sheets, battens and panels on its roof. */
function covered(design: Design): Design {
  const { sheets: deck, battens, panels: top } = usualCover[design.lumber.yard]
  return { ...design, roof: { ...design.roof, cover: { ...design.roof.cover, deck, battens, top } } }
}

/** A shed of about so many boards: spacing is closed up until it has them. */
function shedOf(boards: number, withGround: boolean): Design {
  const base = newDesign('large', 'imperial')
  const below = withGround ? { floor: usualFloors.imperial, base: usualBase('posts', 'imperial') } : {}
  let design: Design = { ...base, ...below, footprint: { length: withGround ? 14000 : 17900, width: 6000 } }
  for (let spacing = 600; spacing >= 100 && plan(design).frame.members.length < boards; spacing -= 5) {
    design = { ...design, walls: { ...design.walls, spacing }, roof: { ...design.roof, spacing } }
  }
  return design
}

console.log(`${'replan, ms'.padEnd(34)} boards    drawn: least, median, p95     all: least, median, p95`)
for (const file of readdirSync('demo')) {
  const read = parseDesign(readFileSync(join('demo', file), 'utf8'))
  if (!read.ok) continue
  line(read.design.name, read.design)
  line('… covered', covered(read.design))
}
line('400 boards', shedOf(400, false))
line('400 boards, from base to ridge', shedOf(400, true))

/**
 * The largest building the limits let: everything close together, slats on all sides; `share` of its
 * spacings, 1 the closest.
 */
function largest(share: number): Design {
  const base = newDesign('largest', 'imperial')
  const spacing = 100 / share
  const side = { ...base.walls.sides.south, cover: 'slats' as const }
  return {
    ...base,
    footprint: { length: 17900, width: 11900 },
    base: usualBase('posts', 'imperial'),
    floor: {
      ...usualFloors.imperial,
      spacing,
      blocking: 3,
      deck: { kind: 'boards', section: '5/4x4', gap: 5 },
    },
    walls: {
      ...base.walls,
      spacing,
      height: 4200,
      longest: 2400,
      slats: { section: '1x4', gap: 0 },
      sides: { south: side, east: side, north: side, west: side },
    },
    roof: { ...base.roof, spacing, pitch: { rise: 12, run: 12 }, ridge: '2x12', rafter: '2x12' },
  }
}

await benchNest(
  readdirSync('demo').flatMap(file => {
    const read = parseDesign(readFileSync(join('demo', file), 'utf8'))
    return read.ok ? [read.design] : []
  }),
)

console.log('\nframed and planned from nothing, and a change of pitch, ms')
for (const share of [0.1, 0.2, 0.4, 0.7, 1]) {
  const design = largest(share)
  const boards = plan(design).frame.members.length
  const fresh =
    Array.from({ length: 5 }, () => {
      const start = performance.now()
      plan(design)
      return performance.now() - start
    }).sort((a, b) => a - b)[2] ?? 0
  const median = replan(design, 20).all[10] ?? 0
  console.log(
    `${String(boards).padStart(6)} boards ${fresh.toFixed(0).padStart(6)} from nothing (${((1000 * fresh) / boards).toFixed(0)} µs a board) ${median.toFixed(1).padStart(7)} a change (${((1000 * median) / boards).toFixed(1)} µs a board)`,
  )
}

/** What the shelf and a bench ask the built application for in Chromium, gzipped as it comes. */
async function firstScreens(): Promise<void> {
  if (!existsSync('.output/server/index.mjs')) return console.log('\nfirst screen: run npm run build first')
  const port = '4179'
  const server = spawn(process.execPath, ['.output/server/index.mjs'], {
    env: { ...process.env, PORT: port, HOST: 'localhost', NUXT_PUBLIC_DEMO: 'true' },
    stdio: 'ignore',
  })
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  })
  try {
    const page = await (await browser.newContext({ serviceWorkers: 'block' })).newPage()
    for (let tries = 0; tries < 50; tries++) {
      if (await page.goto(`http://localhost:${port}/`).catch(() => null)) break
      await new Promise(resolve => setTimeout(resolve, 100))
    }
    await page.evaluate(() =>
      localStorage.setItem('early-wren-notes-away', JSON.stringify(['type', 'drag', 'pole', 'hand', 'saw'])),
    )
    const hut = page.getByRole('link', { name: /^Sallow Marsh ringing hut(?!,)/ })
    await hut.waitFor()
    await page
      .getByText(/\d+ pieces, \d+ cut/)
      .nth(4)
      .waitFor()
    console.log(`\nscripts, gzipped: shelf ${await scripts(page)}`)
    await hut.click()
    await page.locator('.room').waitFor()
    await page.waitForTimeout(1500)
    console.log(`scripts, gzipped: shelf and roof bench ${await scripts(page)}`)
    console.log(`a drag's move to the drawing changed, ms: ${await dragged(page)}`)
    console.log(`3D view turned, frames a second: ${await framesPerSecond(page)}`)
  } finally {
    await browser.close()
    server.kill()
  }
}

/**
 * Frames a second of the 3D view while it is turned by its key, over two seconds, as Chromium draws it here
 * without a graphics card.
 */
async function framesPerSecond(page: Page): Promise<string> {
  await page.getByRole('button', { name: '3D', exact: true }).click()
  await page.locator('canvas').waitFor()
  await page.waitForTimeout(1000)
  // as text: the transpiler would put helpers into a function that the page does not know
  const frames = await page.evaluate<number>(`new Promise((resolve) => {
    const canvas = document.querySelector('canvas')
    const start = performance.now()
    let count = 0
    requestAnimationFrame(function step() {
      canvas.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true }))
      count++
      const gone = performance.now() - start
      if (gone < 2000) requestAnimationFrame(step)
      else resolve(count / (gone / 1000))
    })
  })`)
  return frames.toFixed(1)
}

/**
 * From a move of a dragged ring, as its event was made, to the drawing changed in the page: median and p95 of
 * 120 moves of the pitch on the section.
 */
async function dragged(page: Page): Promise<string> {
  await page.evaluate(`{
    window.moves = []
    let moved = 0
    addEventListener('pointermove', event => {
      if (moved) return
      const mine = moved = event.timeStamp
      // a move that changes no number draws nothing
      requestAnimationFrame(() => requestAnimationFrame(() => { if (moved === mine) moved = 0 }))
    }, true)
    new MutationObserver(() => {
      if (moved) window.moves.push(performance.now() - moved)
      moved = 0
    }).observe(document.querySelector('svg.picture'), { attributes: true, subtree: true, childList: true })
  }`)
  const ring = await page.locator('[data-handle="roof.pitch"]').boundingBox()
  if (!ring) return 'no ring'
  const [x, y] = [ring.x + ring.width / 2, ring.y + ring.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  for (let i = 0; i < 120; i++) {
    await page.mouse.move(x, y - 30 - 40 * Math.sin(i / 6))
    await page.waitForTimeout(25)
  }
  await page.mouse.up()
  const moves = (await page.evaluate<number[]>('window.moves')).sort((a, b) => a - b)
  return `median ${at(moves, 0.5).trim()}, p95 ${at(moves, 0.95).trim()} of ${moves.length}`
}

/** Count and size of the scripts a page has loaded so far. */
async function scripts(page: Page): Promise<string> {
  const sizes = await page.evaluate(() =>
    performance
      .getEntriesByType('resource')
      .filter(each => each.name.endsWith('.js'))
      .map(each => (each as PerformanceResourceTiming).encodedBodySize),
  )
  return `${(sizes.reduce((sum, each) => sum + each, 0) / 1024).toFixed(0)} KB in ${sizes.length} files`
}

await firstScreens()
