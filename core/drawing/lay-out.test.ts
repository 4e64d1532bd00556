import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { readdirSync, readFileSync } from 'node:fs'
import { type Design, parseDesign, readDesign, withEdit } from '../design'
import { starters } from '../design/starters'
import { plan, plansOf, valueOf, whole } from '../plan'
import { runs } from '../testing/designs'
import { documentedFiles } from '../testing/documented'
import {
  type Box,
  type Drawing,
  listDrawings,
  type Laid,
  layOut,
  meet,
  NARROW,
  roofSection,
  type Setting,
} from './index'

/** Sheets as windows leave them: 1280x800, 1024x768, 768x1024, 390x844, 320x640, 640x400; and files. */
const sheets: readonly (readonly [number, number | null, Setting])[] = [
  [748, 541, 'screen'],
  [552, 394, 'screen'],
  [768, 515, 'thumb'],
  [390, 220, 'thumb'],
  [320, 220, 'thumb'],
  [640, 220, 'thumb'],
  [1000, null, 'file'],
]

/** What an eye would fault in a drawing as it lies, in words. */
function faultsOf(drawing: Drawing, laid: Laid): string[] {
  const { sheet, texts, lines } = laid
  const asked =
    drawing.dimensions.length + drawing.pitches.length + drawing.running.length + drawing.labels.length
  const pairs = texts.flatMap((one, i) => texts.slice(i + 1).map(other => [one, other] as const))
  const onEachOther = pairs.filter(
    ([one, other]) =>
      meet(one.ink, other.ink, -0.2) ||
      (one.field && meet(one.all, other.ink, -0.2)) ||
      (other.field && meet(other.all, one.ink, -0.2)),
  )
  const out = texts.filter(
    ({ all }) => all.left < 0 || all.top < 0 || all.right > sheet.width || all.bottom > sheet.height,
  )
  const onLines = lines.flatMap(line =>
    line.of === null
      ? []
      : texts.filter(({ name, ink }) => name !== line.of && meet(boxOf(line.d), ink, -0.2)),
  )
  return [
    ...(texts.length === asked ? [] : [`${asked - texts.length} not there`]),
    ...onEachOther.map(([one, other]) => `${one.name} on ${other.name}`),
    ...out.map(({ name }) => `${name} off the sheet`),
    ...onLines.map(({ name }) => `${name} on a line`),
  ]
}

/** A line's box, half a pixel to each side. */
function boxOf(d: string): Box {
  const [x1, y1, x2, y2] = (d.match(/-?[\d.]+/g) ?? []).map(Number) as [number, number, number, number]
  return {
    left: Math.min(x1, x2) - 0.5,
    right: Math.max(x1, x2) + 0.5,
    top: Math.min(y1, y2) - 0.5,
    bottom: Math.max(y1, y2) + 0.5,
  }
}

const typedAlone = (drawing: Drawing): Drawing => ({
  ...drawing,
  dimensions: drawing.dimensions.filter(({ field }) => field),
})

/** Every drawing of a building and its parts, at every sheet, with what is at fault in it. */
function faultsIn(name: string, design: Design): { faults: string[]; drawings: number } {
  const made = whole(design)
  const faulty = plansOf(made).flatMap(({ frame }) => frame.problems.map(({ path }) => path))
  let drawings = 0
  const faults = plansOf(made).flatMap((plan, part) =>
    listDrawings(plan).flatMap(({ file, view, wide, draw }) => {
      const drawing = draw()
      // boards and strips of plates stand on screens as pictures of their own
      const isFile = ['board', 'plates', 'rims'].includes(view)
      return sheets
        .filter(([, height]) => !isFile || height === null)
        .flatMap(([width, height, setting]) => {
          const { units } = design
          const shown = width < NARROW ? typedAlone(drawing) : drawing
          const ask = { width: height === null ? wide : width, height, setting, units, faults: faulty }
          drawings++
          return faultsOf(shown, layOut(shown, ask)).map(
            fault => `${name} part ${part}, ${file}, ${width} ${setting}: ${fault}`,
          )
        })
    }),
  )
  return { faults, drawings }
}

const demos = readdirSync('demo')
  .filter(file => file.endsWith('.json'))
  .map(file => {
    const read = parseDesign(readFileSync(`demo/${file}`, 'utf8'))
    if (!read.ok) throw new Error(file)
    return [file, read.design] as const
  })

/** How many more designs are looked at: few here, many where that is asked for. */
const random = runs(6)

describe('no text on another, none off its sheet, none on another’s line, none left out', () => {
  test.each(demos)('in any drawing of the demo %s', (file, design) => {
    const { faults, drawings } = faultsIn(file, design)
    expect(faults).toEqual([])
    expect(drawings).toBeGreaterThan(50)
  })
  test.each(
    starters.flatMap(starter =>
      (['imperial', 'metric'] as const).map(yard => [starter.name, yard, starter] as const),
    ),
  )('in any drawing of a new %s, %s', (name, yard, starter) => {
    expect(faultsIn(name, starter.design('Begun', yard, starter.usual[yard])).faults).toEqual([])
  })

  test('in any drawing of random designs', () => {
    fc.assert(
      fc.property(documentedFiles, file => {
        const read = readDesign(JSON.parse(JSON.stringify(file)))
        if (!read.ok) throw new Error('refused')
        expect(faultsIn('random', read.design).faults).toEqual([])
      }),
      { numRuns: random },
    )
  })
})

/** A wide sheet, on which a section is dragged and timed. */
const sheet = { width: 748, height: 541, setting: 'screen' } as const

test('while a ring is held words stay as they lie to their lines, and none comes to lie on another', () => {
  let [seen, jumped] = [0, 0]
  for (const [file, design] of demos) {
    const first = plan(design)
    const { units } = design
    for (const { field } of roofSection(first).handles) {
      const value = valueOf(first, field)
      if (typeof value !== 'number') continue
      let held: Pick<Laid, 'sheet' | 'spots'> = layOut(roofSection(first), { ...sheet, units })
      for (let step = 1; step <= 8; step++) {
        const drawing = roofSection(plan(withEdit(design, field, value + 12.7 * step)))
        const next = layOut(drawing, { ...sheet, units, held })
        const onEachOther = faultsOf(drawing, next).filter(fault => / on (?!a line)/.test(fault))
        expect([file, field, step, onEachOther]).toEqual([file, field, step, []])
        for (const [name, { row, off }] of next.spots) {
          const before = held.spots.get(name)
          if (!before) continue
          seen++
          if (row !== before.row || Math.hypot(off.x - before.off.x, off.y - before.off.y) > 14) jumped++
        }
        held = next
      }
    }
  }
  expect(seen).toBeGreaterThan(2000)
  expect(jumped / seen).toBeLessThan(0.005)
})

// a millisecond on a machine that does nothing else; this one may have other tests beside it
test('a section is laid out in a millisecond or two', () => {
  for (const [file, design] of demos) {
    const drawing = roofSection(plan(design))
    const times = Array.from({ length: 300 }, () => {
      const begun = performance.now()
      layOut(drawing, { ...sheet, units: design.units })
      return performance.now() - begun
    })
    expect([file, Math.min(...times) < 2]).toEqual([file, true])
  }
})
