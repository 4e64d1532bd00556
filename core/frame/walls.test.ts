import { onCentre } from '../trade'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { type Design, newDesign } from '../design'
import { INCH } from '../measure'
import { plan, platePair, stretchOf } from '../plan'
import { gableSheds, runs } from '../testing/designs'
import { frame, wallNames } from './index'

const base = newDesign('a', 'imperial')
const sized = (length: number, width: number, walls: Partial<Design['walls']> = {}): Design => ({
  ...base,
  footprint: { length: length * INCH, width: width * INCH },
  walls: { ...base.walls, ...walls },
})
const inches = (design: Design, wall: 'south' | 'west' | 'north' | 'east'): number[] =>
  platePair(frame(design), wall).marks.map(mark => Number((mark.from / INCH).toFixed(4)))

describe('layouts worked by hand', () => {
  // 10 ft wall, 16 in on centre: the first layout stud is set back to 15 1/4 (trade book, section 3; common
  // practice, no source), then every 16; end studs at 0 and 118 1/2; corner studs whose far face shows 1 in
  // past a 3 1/2 in wall: 4 1/2 - 1 1/2 = 3 and 120 - 4 1/2 = 115 1/2.
  test('a through wall of 10 ft at 16 in', () => {
    expect(inches(sized(120, 96), 'south')).toEqual([
      0, 3, 15.25, 31.25, 47.25, 63.25, 79.25, 95.25, 111.25, 115.5, 118.5,
    ])
  })

  // 8 ft butt wall: its plates begin 3 1/2 in; layout counts from the building's corner: 15 1/4 - 3 1/2 = 11
  // 3/4; last stud 89 - 1 1/2 = 87 1/2.
  test('a butt wall of 8 ft at 16 in keeps the layout of the corner', () => {
    expect(inches(sized(120, 96), 'west')).toEqual([0, 11.75, 27.75, 43.75, 59.75, 75.75, 87.5])
  })

  test('both walls of a pair have the same marks, and gables can run through instead', () => {
    expect(inches(sized(120, 96), 'north')).toEqual(inches(sized(120, 96), 'south'))
    expect(inches(sized(120, 96, { through: 'gables' }), 'west')).toEqual([
      0, 3, 15.25, 31.25, 47.25, 63.25, 79.25, 91.5, 94.5,
    ])
  })

  test("a nailer is laid flat beside the end stud, and shows a stud's thickness past the wall", () => {
    const marks = platePair(frame(sized(120, 96, { corner: 'nailer' })), 'south').marks.filter(
      mark => mark.letter === 'N',
    )
    expect(
      marks.map(mark => [mark.from / INCH, mark.to / INCH].map(each => Number(each.toFixed(4)))),
    ).toEqual([
      [1.5, 5],
      [115, 118.5],
    ])
  })

  test('on-centre marks stop before the end', () => {
    expect(onCentre(16, 48)).toEqual([16, 32])
    expect(onCentre(16, 10)).toEqual([])
  })
})

describe('plates', () => {
  // Wall height less three plates of 1 1/2: 83 - 4 1/2 = 78 1/2 (closed form); caps lap over the corners the
  // other way.
  test("through plates are the building's length, butt plates less two wall widths, caps lapped", () => {
    const { members } = frame(sized(120, 96))
    const along = (id: string): [number, number] => {
      const member = members.find(each => each.id === id)
      const { from, to } = member
        ? stretchOf(member, id.includes('south') ? 'x' : 'y')
        : { from: NaN, to: NaN }
      return [Number((from / INCH).toFixed(6)) + 0, Number((to / INCH).toFixed(6))]
    }
    expect(along('walls/south/plate/bottom')).toEqual([0, 120])
    expect(along('walls/south/plate/top')).toEqual([0, 120])
    expect(along('walls/south/plate/cap')).toEqual([3.5, 116.5])
    expect(along('walls/west/plate/bottom')).toEqual([3.5, 92.5])
    expect(along('walls/west/plate/cap')).toEqual([0, 96])
  })

  test('studs fill what the plates leave, whatever the walls', () => {
    fc.assert(
      fc.property(gableSheds, design => {
        const { members, lumber } = frame(design)
        const plates = (1 + design.walls.topPlates) * lumber.plate.thickness
        for (const stud of members.filter(member => member.role === 'stud'))
          expect(stud.board.end - stud.board.start).toBeCloseTo(design.walls.height - plates, 6)
      }),
      { numRuns: runs(60) },
    )
  })

  test('the plates at each level add up to the ring of the walls', () => {
    fc.assert(
      fc.property(gableSheds, design => {
        const { members, lumber, problems } = frame(design)
        fc.pre(
          !problems.some(
            problem =>
              (problem.path !== 'roof.ridge' && problem.path.startsWith('walls')) ||
              problem.path.startsWith('footprint'),
          ),
        )
        const ring = 2 * (design.footprint.length + design.footprint.width) - 4 * lumber.plate.depth
        for (const level of design.walls.topPlates === 2 ? ['bottom', 'top', 'cap'] : ['bottom', 'top']) {
          const lengths = members
            .filter(member => member.id.includes(`/plate/${level}`))
            .map(member => member.board.end - member.board.start)
          expect(lengths.reduce((sum, each) => sum + each, 0)).toBeCloseTo(ring, 6)
        }
      }),
      { numRuns: runs(60) },
    )
  })
})

test('sheets of three bays, laid from the corner, break on studs wherever the wall goes on', () => {
  fc.assert(
    fc.property(gableSheds, design => {
      const made = frame(design)
      fc.pre(made.members.some(member => member.role === 'stud'))
      for (const name of wallNames) {
        const wall = made.walls.find(each => each.name === name)
        const marks = platePair(made, name).marks
        const sheet = 3 * design.walls.spacing
        for (let edge = sheet; edge < (wall?.overall ?? 0) - made.lumber.plate.depth; edge += sheet) {
          const at = edge - (wall?.from ?? 0)
          expect(marks.some(mark => at > mark.from - 1e-6 && at < mark.to + 1e-6)).toBe(true)
        }
      }
    }),
    { numRuns: runs(60) },
  )
})

test('member ids outlive an edit elsewhere, and none is there twice', () => {
  const ids = (design: Design): string[] => frame(design).members.map(member => member.id)
  const before = ids(base)
  expect(new Set(before).size).toBe(before.length)
  expect(ids({ ...base, roof: { ...base.roof, pitch: { rise: 9, run: 12 } } })).toEqual(before)
  expect(
    plan(base)
      .pieces.flatMap(piece => piece.members)
      .sort(),
  ).toEqual([...before].sort())
})
