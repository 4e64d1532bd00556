import { describe, expect, test } from '@jest/globals'
import { readdirSync, readFileSync } from 'node:fs'
import fc from 'fast-check'
import { cautionsOf } from '../../core/check'
import {
  type Design,
  kindOfPath,
  lineOf,
  newDesign,
  usualBase,
  usualSkirt,
  type Base,
  parseDesign,
  readDesign,
  subjectAt,
  subjectBy,
  subjectsOf,
  usualBeam,
  usualCover,
  usualSiding,
  valueAt,
} from '../../core/design'
import { listDrawings } from '../../core/drawing'
import { newMemory } from '../../core/frame'
import { plan as planOf, subjectOf, whole } from '../../core/plan'
import { isTried, runs } from '../../core/testing/designs'
import { documentedFiles, partedFiles } from '../../core/testing/documented'
import { gambrelSheds, trussedGables } from '../../core/testing/trussed'
import { explainField, saySubject } from '../../core/words'
import { offersOf } from './offers'
import type { Row } from './row'
import { rowsOf } from './rows'
import { sketchesOf } from './sketches'

const read = (text: string): Design => {
  const told = parseDesign(text)
  if (!told.ok) throw new Error(`a design that should be valid is not: ${JSON.stringify(told.faults)}`)
  return told.design
}
const demos: readonly Design[] = readdirSync('demo')
  .filter(name => name.endsWith('.json'))
  .map(name => read(readFileSync(`demo/${name}`, 'utf8')))
const lightest = [...demos].sort((a, b) => JSON.stringify(a).length - JSON.stringify(b).length)
/** Any design that the file format has. */
const designs: fc.Arbitrary<Design> = documentedFiles.map(file => read(JSON.stringify(file)))
/** What hangs on others, each as a design of its own. */
const partDesigns: fc.Arbitrary<Design[]> = partedFiles.map(file =>
  whole(read(JSON.stringify(file))).parts.map(({ plan }) => plan.design),
)
const valid = (design: Design): boolean => readDesign(JSON.parse(JSON.stringify(design))).ok
const allRows = (design: Design): Row[] => {
  const plan = planOf(design)
  return subjectsOf(design).flatMap(subject => rowsOf(plan, subject))
}

describe('what can be taken in hand', () => {
  test('every part has a key of its own, a name, and stands in what it is part of', () => {
    fc.assert(
      fc.property(designs, design => {
        const all = subjectsOf(design)
        expect(new Set(all.map(({ key }) => key)).size).toBe(all.length)
        for (const each of all) {
          expect(saySubject(design, each).trim()).not.toBe('')
          const line = lineOf(all, each)
          expect(line[0]?.kind).toBe('building')
          expect(line.at(-1)).toBe(each)
          if (each.within && each.within !== 'building') expect(line.at(-2)?.bench).toBe(each.bench)
        }
      }),
      { numRuns: runs(12) },
    )
  })

  test('every board, and everything that is said, belongs to a part that stands', () => {
    fc.assert(
      fc.property(designs, design => {
        const plan = planOf(design)
        const all = subjectsOf(design)
        for (const thing of [...plan.frame.members, ...plan.frame.base.parts]) {
          const subject = subjectOf(plan, thing, all)
          expect(all).toContain(subject)
          expect(subject.kind).not.toBe('building')
        }
        for (const { path } of plan.frame.problems) expect(all).toContain(subjectAt(all, path))
        expect(cautionsOf(plan).length).toBeGreaterThanOrEqual(0)
      }),
      { numRuns: runs(12) },
    )
  })

  test('what is touched on a drawing is a part of the design, and lies on the sheet', () => {
    fc.assert(
      fc.property(designs, design => {
        const plan = planOf(design)
        const all = subjectsOf(design)
        for (const { draw } of listDrawings(plan))
          for (const { subject, loop } of draw().areas) {
            expect([subject, subjectBy(all, subject)?.key]).toEqual([subject, subject])
            expect(loop.length).toBeGreaterThan(2)
            for (const { x, y } of loop) expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true)
          }
      }),
      { numRuns: runs(12) },
    )
  })

  test('each part of the demo designs is a board, an area of a drawing, or holds one that is', () => {
    for (const design of demos) {
      const plan = planOf(design)
      const all = subjectsOf(design)
      const touched = new Set([
        ...listDrawings(plan).flatMap(({ draw }) => draw().areas.map(({ subject }) => subject)),
        ...plan.frame.members.map(member => subjectOf(plan, member, all).key),
      ])
      const reached = new Set(
        [...touched].flatMap(key => lineOf(all, subjectBy(all, key) ?? all[0]!).map(each => each.key)),
      )
      const missing = all
        .filter(({ key }) => !reached.has(key) && valueAt(design, key) !== null)
        .map(({ key }) => key)
      // what nothing is drawn of is picked from the tree: the lumber, units on hand, what is not there yet
      const undrawn = ['walls.sheathing', 'walls.units', 'lumber', 'ground']
      expect(missing.filter(key => !undrawn.includes(key))).toEqual([])
    }
  })
})

describe('the rows of the hand', () => {
  test('show a value that can be chosen and lengths that are numbers, in any design', () => {
    fc.assert(
      fc.property(designs, design => {
        for (const row of allRows(design)) {
          if (row.kind === 'choice')
            expect([row.path, row.options.map(({ value }) => value)]).toEqual([
              row.path,
              expect.arrayContaining([row.value]),
            ])
          if (row.kind === 'length' && typeof row.value === 'number')
            expect([row.path, Number.isFinite(row.value)]).toEqual([row.path, true])
        }
      }),
      { numRuns: runs(12) },
    )
  })

  test('each choice of the demo designs makes a design that can be read, and shows what was chosen', () => {
    const seen = new Set<string>()
    const memory = newMemory()
    let turn = 0
    // the lighter ones first: a choice is tried on the first design that has it
    for (const design of lightest) {
      const plan = planOf(design, memory)
      for (const subject of subjectsOf(design))
        for (const row of rowsOf(plan, subject)) {
          if (row.kind !== 'choice') continue
          const key = kindOfPath(row.path)
          if (seen.has(key)) continue
          seen.add(key)
          if (!isTried(turn++)) continue
          // of the sections a few; each is read, and the first ones are shown
          for (const [i, { value }] of row.options.slice(0, row.options.length > 12 ? 3 : 12).entries()) {
            const next = row.change(value)(design)
            expect([row.path, value, valid(next)]).toEqual([row.path, value, true])
            if (i > 0) continue
            const same = subjectBy(subjectsOf(next), subject.key)
            const shown =
              same &&
              rowsOf(planOf(next, memory), same).find(
                each => each.kind === 'choice' && each.name === row.name && each.path === row.path,
              )
            if (shown?.kind === 'choice' && !(row.path.endsWith('.unit') && value === -1))
              expect([row.path, shown.value]).toEqual([row.path, value])
          }
        }
    }
  })

  test('every place of a design is set somewhere in the hand', () => {
    // set on a drawing, by typing over the name, with X, by a block of its own, or by what is added
    const elsewhere =
      /^(format|version|name|hang|parts\b.*|cut\b.*|site\.squaring\.(tapes|triangle)\b.*|lumber\.(sections|moisture)\b.*|walls\.units\b.*|base\.rock\.\*\.post|floor\.doubled\b.*|walls\.openings\.\*\.wall|roof\.(shape|high|gambrel\.headroom)|roof\.openings\.\*\.kind|roof\.seat\.measured|base|floor|site|roof\.cover\.(face|own)|roof\.purlins|roof\.loft|site\.squaring\.triangle|base\.rock|floor\.openings|.*\.(openings|partitions|boundaries|finds|points|places))$/
    const leaves = (at: unknown, path: string): string[] =>
      Array.isArray(at)
        ? at.length
          ? at.flatMap((each, i) => leaves(each, `${path}.${i}`))
          : [path]
        : at !== null && typeof at === 'object'
          ? Object.entries(at).flatMap(([key, each]) => leaves(each, path ? `${path}.${key}` : key))
          : [path]
    const gabled = newDesign('a beam', 'imperial')
    const trussed = (truss: Partial<Design['roof']['truss']>): Design => ({
      ...gabled,
      roof: { ...gabled.roof, carried: 'trusses', truss: { ...gabled.roof.truss, ...truss } },
    })
    const set = new Set<string>()
    const asked = new Set<string>()
    const open = (path: string): boolean => !set.has(path) && !elsewhere.test(path)
    const look = (design: Design): void => {
      const own = leaves(design, '').map(kindOfPath)
      for (const path of own) asked.add(path)
      // what all stands in the hand already is not laid out again
      if (!own.some(open)) return
      for (const row of allRows(design))
        if (row.kind === 'length' || row.kind === 'choice') {
          set.add(kindOfPath(row.path))
          for (const leaf of leaves(valueAt(design, row.path), row.path))
            if (row.kind === 'choice' || leaf.startsWith(`${row.path}.`)) set.add(kindOfPath(leaf))
        } else if (row.kind === 'name') set.add('name')
    }
    for (const design of [
      ...demos,
      { ...gabled, roof: { ...gabled.roof, beam: usualBeam.imperial } },
      { ...gabled, roof: { ...gabled.roof, northPitch: { rise: 4, run: 12 } } },
      {
        ...gabled,
        walls: {
          ...gabled.walls,
          sides: {
            ...gabled.walls.sides,
            south: { ...gabled.walls.sides.south, build: 'posts', cover: 'rails' },
            north: {
              ...gabled.walls.sides.north,
              build: 'posts',
              cover: 'open',
              girts: true,
              diagonals: true,
            },
          },
        },
      } as Design,
      { ...gabled, base: { ...usualBase('poles', 'imperial'), skirt: usualSkirt.imperial } as Base },
      ...(['panels', 'shingles', 'roll', 'membrane'] as const).map((top): Design => ({
        ...gabled,
        roof: { ...gabled.roof, cover: { ...gabled.roof.cover, top: usualCover.imperial[top] } },
      })),
      ...(['lapped', 'battened', 'panels'] as const).map((kind): Design => ({
        ...gabled,
        walls: { ...gabled.walls, siding: usualSiding.imperial[kind] },
      })),
      trussed({ kind: 'scissors', ceiling: { rise: 2, run: 12 } }),
      trussed({ kind: 'bought', bought: { span: gabled.footprint.width, weight: 40 } }),
      trussed({ kind: 'king-post', splice: { bottom: 1200, top: 900 } }),
      ...fc.sample(designs, { numRuns: 70, seed: 11 }),
      ...fc.sample(gambrelSheds, { numRuns: 20, seed: 11 }),
      ...fc.sample(trussedGables, { numRuns: 20, seed: 11 }),
      ...fc.sample(partDesigns, { numRuns: 15, seed: 11 }).flat(),
    ])
      look(design)
    const named = /^site\.(boundaries|finds)\.\*\.name$/
    // of another shape than these have, and so not asked of this roof
    const missing = [...asked].filter(path => open(path) && !named.test(path))
    expect(missing.sort()).toEqual([])
  })

  test('every length can say what it means', () => {
    const without = new Set<string>()
    for (const design of [
      ...demos,
      ...fc.sample(designs, { numRuns: runs(40), seed: 12 }),
      ...fc.sample(partDesigns, { numRuns: 10, seed: 12 }).flat(),
    ])
      for (const row of allRows(design))
        if (row.kind === 'length' && !explainField(row.path)) without.add(kindOfPath(row.path))
    expect([...without].sort()).toEqual([])
  })

  test('choices that words are not enough for are drawn, each as an option says', () => {
    for (const path of [
      'roof.seat.rule',
      'roof.tail',
      'walls.corner',
      'roof.hip.edge',
      'walls.gables',
      'walls.siding',
      'walls.sides.east.gable',
      'roof.cover.own.0.top',
      'roof.cover.deck',
      'roof.cover.battens',
      'roof.cover.soffit',
      'walls.openings.3.door',
    ]) {
      const drawn = sketchesOf(path)
      expect([path, drawn.length > 1]).toEqual([path, true])
      for (const each of drawn)
        for (const d of [...each.wood, ...each.other, ...each.mark]) expect(d).toMatch(/^M[-\d. MLHVhvlz]+$/)
    }
  })
})

describe('what can be added', () => {
  test('makes a design that can be read, and is then in hand', () => {
    const memory = newMemory()
    const tried = new Set<string>()
    for (const design of lightest) {
      const plan = planOf(design, memory)
      for (const subject of subjectsOf(design).filter(each => each.within === 'building'))
        for (const offer of offersOf(plan, subject)) {
          // each on two designs
          const key = `${tried.has(offer.name) ? 'again ' : ''}${offer.name}`
          if (tried.has(key)) continue
          tried.add(key)
          const next = offer.change(design)
          expect([offer.name, valid(next)]).toEqual([offer.name, true])
          expect([offer.name, subjectBy(subjectsOf(next), offer.then)?.key]).toEqual([offer.name, offer.then])
          const names = offersOf(
            planOf(next, memory),
            subjectBy(subjectsOf(next), subject.key) ?? subject,
          ).map(each => each.name)
          if (/^(Rafter|Collar|Ceiling|Ladder|Barge|Fascia|Boxed|Blocks|Purlins|Porch$)/.test(offer.name))
            expect(names).not.toContain(offer.name)
        }
    }
  })
})
