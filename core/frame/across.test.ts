import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { type Design, isSide, parseDesign, readDesign } from '../design'
import { coveredDesigns } from '../testing/covered'
import { furnishedSheds, runs } from '../testing/designs'
import { documentedFiles } from '../testing/documented'
import { groundedSheds } from '../testing/grounded'
import { gambrelSheds, trussedGables } from '../testing/trussed'
import { type Frame, frame, type Member, newMemory } from './index'
import { boxOf } from './member'
import { loftFrame } from './roof'

const demos: readonly Design[] = readdirSync('demo').map(file => {
  const read = parseDesign(readFileSync(`demo/${file}`, 'utf8'))
  if (!read.ok) throw new Error(`${file} is not valid`)
  return read.design
})

const documented: fc.Arbitrary<Design> = documentedFiles.map(file => {
  const read = readDesign(JSON.parse(JSON.stringify(file)))
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  return read.design
})

/** The roof and the walls between the gables; of what holds trusses the purlins alone. */
const shown = ({ members, walls }: Frame): string[] => {
  const between = walls
    .filter(({ name, along }) => along === 'x' || !isSide(name))
    .map(({ name }) => `walls/${name}/`)
  return members
    .filter(({ id, role }) =>
      id.startsWith('roof/setting/')
        ? role === 'flat-purlin'
        : id.startsWith('roof/') || between.some(wall => id.startsWith(wall)),
    )
    .map(({ id }) => id)
}

/** The same asked of a frame before all else, and after. */
function isSame(design: Design): void {
  const memory = newMemory()
  const first = frame(design, memory)
  const asked = first.across
  expect(asked.map(({ id }) => id).sort()).toEqual(expect.arrayContaining(shown(frame(design)).sort()))
  const all = new Map(first.members.map(member => [member.id, member]))
  for (const member of asked) expect(all.get(member.id)?.board).toEqual(member.board)
}

describe('what a cut across a building goes through', () => {
  test.each(demos.map(design => [design.name, design] as const))('%s', (_, design) => {
    const { across, members } = frame(design)
    const ids = shown(frame(design)).sort()
    expect(across.map(({ id }) => id).sort()).toEqual(ids)
    expect(ids.length).toBeLessThan(members.length)
    isSame(design)
  })

  test('is of the boards that stand, of any building', () => {
    fc.assert(
      fc.property(fc.oneof(documented, furnishedSheds, groundedSheds, gambrelSheds, trussedGables), isSame),
      {
        numRuns: runs(100),
      },
    )
  })

  test('covering over a stretch along the building is all of it that reaches there', () => {
    let pieces = 0
    fc.assert(
      fc.property(coveredDesigns, fc.double({ min: 0, max: 1, noNaN: true }), (design, share) => {
        const made = frame(design)
        const from = share * made.building.footprint.length
        const over = made.roofingOver({ from, to: from + 38 })
        const roles = new Set(['roof-sheet', 'roof-board', 'roof-batten', 'roof-panel', 'soffit-board'])
        const there = frame(design).covering.filter(member => {
          const { x } = boxOf(member)
          return roles.has(member.role) && x.from < from + 38 && x.to > from
        })
        const found = new Map(over.map(member => [member.id, member]))
        // of two boards alike but for rounding one is cut for both
        for (const { id, board } of there) expect(found.get(id)?.board.volume).toBeCloseTo(board.volume, 3)
        pieces += there.length
      }),
      { numRuns: runs(60) },
    )
    expect(pieces).toBeGreaterThan(50)
  })

  test('a loft laid without the gable walls is the one laid among all that stands', () => {
    let lofts = 0
    fc.assert(
      fc.property(fc.oneof(gambrelSheds, trussedGables, furnishedSheds), design => {
        const deck = { kind: 'sheets', thickness: 18, sheet: { length: 2440, width: 1220 } } as const
        const lofted = { ...design, roof: { ...design.roof, loft: { deck, height: 1500 } } }
        const made = frame(lofted)
        const isDeck = ({ id, role }: Member): boolean =>
          id.startsWith('roof/loft/') && (role === 'deck-sheet' || role === 'deck-board')
        const standing = made.members.filter(
          member => !isDeck(member) && !member.id.startsWith('roof/setting/'),
        )
        const { loft, orders } = loftFrame(made.building, made.lumber, made.roof, standing)
        expect(made.loft).toEqual(loft)
        const laid = made.members.filter(isDeck)
        expect(laid.map(({ where, placement }) => ({ where, placement }))).toEqual(
          orders.map(({ where, placement }) => ({ where, placement })),
        )
        lofts += Number(loft !== null)
      }),
      { numRuns: runs(60) },
    )
    expect(lofts).toBeGreaterThan(3)
  })
})
