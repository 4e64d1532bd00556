import { describe, expect, test } from '@jest/globals'
import { FOOT, INCH } from '../../measure'
import { raising, standTogether } from '../../plan'
import { cornersOf, find, planOfFile } from '../../testing/reading'
import { clashes } from '../../testing/solids'
import { sayProblem } from '../../words'
import { everyBoard, type Member, trussOf } from '../index'

const trussed = (width: number, rise: number, truss: object, roof: object = {}) =>
  planOfFile({
    footprint: { length: 12 * FOOT, width },
    roof: { carried: 'trusses', pitch: { rise, run: 12 }, truss, ...roof },
  })
type Made = ReturnType<typeof trussed>
const feet = ({ board }: Member): number => (board.end - board.start) / FOOT
const pieces = ({ frame }: Made, role: Member['role']): number[] =>
  frame.members.filter(each => each.role === role && trussOf(each.where) === 3).map(feet)
const said = ({ frame }: Made): string[] => frame.problems.map(each => sayProblem(each, 'imperial'))
const unstruck = (made: Made): void => {
  expect(clashes(everyBoard(made.frame), 1, standTogether(raising(made)))).toEqual([])
}

// boards are sold to 20 ft (common practice, no source)
describe('bottom chords longer than 20 ft', () => {
  test.each([
    ['w-web', 30, [20, 10]],
    ['king-post', 26, [13, 13]],
    ['queen-post', 27, [18, 9]],
    ['bottom-chord', 24, [12, 12]],
    ['w-web', 20, [20]],
    ['w-web', 36, [12, 12, 12]],
  ])('%s over %p ft: joined at panel points', (kind, span, lengths) => {
    const made = trussed(span * FOOT, 5, { kind })
    expect(said(made)).toEqual([])
    expect(pieces(made, 'bottom-chord')).toEqual(lengths.map(each => expect.closeTo(each, 6)))
    unstruck(made)
  })

  test('have a gusset of the joint over the splice, or plates of their own, a leg to either side', () => {
    const king = trussed(26 * FOOT, 5, { kind: 'king-post' })
    const plain = trussed(24 * FOOT, 5, { kind: 'bottom-chord' })
    for (const [made, id, middle] of [
      [king, 'roof/truss/3/gusset/king/west', 13],
      [plain, 'roof/truss/3/gusset/splice/bottom/1/west', 12],
    ] as const) {
      const ys = cornersOf(find(made.frame, id)).map(p => p.y)
      const { leg } = made.frame.building.roof.truss?.gusset ?? { leg: 0 }
      expect(leg).toBeGreaterThan(0)
      expect(middle * FOOT - Math.min(...ys)).toBeGreaterThan(leg - 1e-6)
      expect(Math.max(...ys) - middle * FOOT).toBeGreaterThan(leg - 1e-6)
    }
    expect(plain.frame.members.filter(({ id }) => id.includes('/3/gusset/splice/'))).toHaveLength(2)
    // an end truss over studs has no king post, so that its splice has plates of its own
    expect(
      king.frame.members.filter(({ id }) => id.includes('truss/1/gusset/splice/')).map(each => each.id),
    ).toEqual(['roof/truss/1/gusset/splice/bottom/1/west', 'roof/truss/1/gusset/splice/bottom/1/east'])
  })
})

test('top chords longer than 20 ft are joined at their panel points, square to them', () => {
  const made = trussed(30 * FOOT, 12, { kind: 'w-web' })
  expect(said(made)).toEqual([])
  const own = made.frame.members.filter(({ id }) => id.startsWith('roof/truss/3/chord/south/'))
  expect(own).toHaveLength(2)
  const [low, high] = own.map(each => cornersOf(each))
  // they meet over the middle of the top chord: a quarter of the span in, under its lower edge
  const shared = (low ?? []).filter(p => high?.some(q => Math.hypot(p.y - q.y, p.z - q.z) < 1e-6))
  expect(Math.max(...shared.map(p => p.y))).toBeCloseTo(7.5 * FOOT, 6)
  const [a, b] = [shared[0], shared.find(p => Math.abs(p.y - (shared[0]?.y ?? 0)) > 1)]
  expect(((b?.z ?? 0) - (a?.z ?? 0)) / ((b?.y ?? 0) - (a?.y ?? 0))).toBeCloseTo(-1, 6)
  unstruck(made)
})

describe('a splice where it is asked for', () => {
  test('cuts both top chords and the bottom chord there', () => {
    const made = trussed(16 * FOOT, 5, { kind: 'king-post', splice: { bottom: 5 * FOOT, top: 3.5 * FOOT } })
    expect(said(made)).toEqual([])
    expect(pieces(made, 'bottom-chord')).toEqual([expect.closeTo(5, 6), expect.closeTo(11, 6)])
    expect(pieces(made, 'upper-chord')).toHaveLength(4)
    unstruck(made)
  })

  test('under a joint’s gusset is as where nothing is asked; the places told do, and so does a panel point typed to a sixteenth', () => {
    const at = (bottom: number) => trussed(17 * FOOT, 6, { kind: 'w-web', splice: { bottom, top: null } })
    const near = at(6 * FOOT)
    expect(pieces(near, 'bottom-chord')).toHaveLength(1)
    const told = near.frame.problems.flatMap(each =>
      each.code === 'splice-near-joint' ? [each.below, each.above] : [],
    )
    expect(told).toEqual([expect.any(Number), expect.any(Number)])
    for (const place of told) {
      const made = at(Math.round((place ?? 0) / (INCH / 16)) * (INCH / 16))
      expect(said(made)).toEqual([])
      expect(pieces(made, 'bottom-chord')).toHaveLength(2)
    }
    // 68 in and a sixteenth of 204 in
    expect(pieces(at(68.0625 * INCH), 'bottom-chord')).toEqual([
      expect.closeTo(68 / 12, 6),
      expect.closeTo(136 / 12, 6),
    ])
  })

  test('past the chord’s end is left out', () => {
    const made = trussed(12 * FOOT, 6, { kind: 'king-post', splice: { bottom: null, top: 15 * FOOT } })
    expect(said(made)).toEqual([expect.stringContaining('Leave it out, so that it follows.')])
    expect(pieces(made, 'upper-chord')).toHaveLength(2)
  })

  test('of a bottom chord is kept, and asks nothing of trusses that have none', () => {
    const splice = { bottom: 5 * FOOT, top: null }
    for (const kind of ['scissors', 'bought'])
      expect(said(trussed(14 * FOOT, 8, { kind, splice }))).toEqual([])
  })

  // 22 ft of chord, more than half of it past the wall: its middle lies over the eaves
  test('of a chord that reaches far past its wall lies inside that, whole under its plates', () => {
    const made = planOfFile({
      footprint: { length: 12 * FOOT, width: 12 * FOOT },
      walls: { height: 14 * FOOT },
      roof: {
        shape: 'gambrel',
        carried: 'trusses',
        overhang: { eave: 47 * INCH, gable: 0 },
        gambrel: {
          by: 'pitches',
          foot: { rule: 'over-plate', drop: null, kick: null },
          knee: { in: null, up: 10 * FOOT, share: null },
          lower: { rise: 40, run: 12 },
        },
      },
    })
    expect(made.frame.problems.filter(({ code }) => code === 'not-cut')).toEqual([])
    const plates = made.frame.members.filter(({ id }) => /truss\/2\/gusset\/splice\/south-low/.test(id))
    expect(plates).toHaveLength(2)
    for (const plate of plates) for (const { y } of cornersOf(plate)) expect(y).toBeGreaterThan(-1e-3)
    unstruck(made)
  })

  test('of a gambrel lies in the chord that it falls in', () => {
    const made = trussed(
      12 * FOOT,
      5,
      { kind: 'open', splice: { bottom: null, top: 3.5 * FOOT } },
      { shape: 'gambrel', overhang: { eave: 6 * INCH, gable: 0 } },
    )
    expect(said(made)).toEqual([])
    expect([pieces(made, 'lower-chord').length, pieces(made, 'upper-chord').length]).toEqual([2, 4])
    unstruck(made)
  })
})
