import { describe, expect, test } from '@jest/globals'
import { readdirSync, readFileSync } from 'node:fs'
import loadHighs from 'highs'
import { woodOf } from '../board'
import { parseDesign } from '../design'
import { meshOf } from '../geometry'
import { isLumber } from '../lumber'
import { askOf, nest, newBook, readPieces, type Lying, type Slopes } from '../nest'
import { faultsOf } from '../nest/check'
import { wholeListCsv } from '../output'
import { solidOf } from '../testing/solids'
import { sayListFault } from '../words'
import { cutPieces, plansOf, slopesOf, whole, yardLengths, type Piece } from './index'

const highs = await loadHighs()

function planned(name: string) {
  const read = parseDesign(readFileSync(`demo/${name}.json`, 'utf8'))
  if (!read.ok) throw new Error(name)
  const all = whole(read.design)
  const pieces = cutPieces(all)
  const { ask } = askOf({ ...newBook, aim: 'waste' }, pieces, yardLengths(all), {
    units: read.design.units,
    held: [],
  })
  const plan = nest(highs, ask, { time: 5000, now: () => performance.now() })
  const byMark = new Map(
    [all.main, ...all.parts.map(part => part.plan)]
      .flatMap(each => each.pieces)
      .map(each => [each.mark, each]),
  )
  return { ask, plan, byMark }
}

/** A piece's wood as it lies, from its own left end. */
function lying(piece: Piece, slopes: Slopes | null, lies: Lying | undefined) {
  const { depth, thickness } = piece.board.blank
  const solid = solidOf(meshOf(woodOf(piece.board).faces)).translate([-piece.board.start, 0, 0])
  const near = (a: number, b: number): boolean => Math.abs(a - b) < 0.05
  if (!slopes || !lies || (near(lies.left, slopes.left) && near(lies.right, slopes.right))) return solid
  const { length } = piece
  // about the upright, the thickness, or the board's length
  if (near(lies.left, -slopes.right) && near(lies.right, -slopes.left))
    return solid.rotate([0, 180, 0]).translate([length, 0, thickness])
  if (near(lies.left, slopes.right) && near(lies.right, slopes.left))
    return solid.rotate([0, 0, 180]).translate([length, depth, 0])
  return solid.rotate([180, 0, 0]).translate([0, depth, thickness])
}

describe('the cut list as a file', () => {
  test.each(readdirSync('demo'))('%s: its pieces are read back for a cut plan, ends and all', name => {
    const found = parseDesign(readFileSync(`demo/${name}`, 'utf8'))
    if (!found.ok) throw new Error(name)
    const all = whole(found.design)
    const list = readPieces(wholeListCsv(all), 'metric')
    if (!list.ok) throw new Error(list.faults.map(fault => sayListFault(fault, 'metric')).join('\n'))
    const asked = cutPieces(all)
    expect(list.rows.map(({ mark, section, count, good }) => [mark, section, count, !!good])).toEqual(
      asked.map(({ mark, section, count, good }) => [mark, section, count, !!good]),
    )
    for (const [i, { length, slopes }] of list.rows.entries()) {
      const own = asked[i]
      expect(length).toBeCloseTo(own?.length ?? 0, 2)
      expect(slopes === undefined).toBe(own?.slopes === undefined)
      expect(slopes?.crown).toBe(own?.slopes?.crown)
      for (const side of ['left', 'right', 'depth'] as const)
        expect(Math.abs((slopes?.[side] ?? 0) - (own?.slopes?.[side] ?? 0))).toBeLessThan(0.01)
    }
    // sheets and panels are rows too, and come out of no board
    const other = plansOf(all)
      .flatMap(({ pieces }) => pieces)
      .filter(({ section }) => !isLumber(section))
    expect(list.noBoards).toBe(other.length)
  })
})

describe('the wood itself, laid along its boards', () => {
  test.each(['ringing-hut', 'decoy-store', 'ferry-shelter'])(
    '%s: nothing overlaps, a saw’s cut lies between any two, and some share one',
    name => {
      const { ask, plan, byMark } = planned(name)
      expect(faultsOf(ask, plan)).toEqual([])
      let shared = 0
      for (const board of plan.plans)
        board.cuts.forEach((cut, i) => {
          const next = board.cuts[i + 1]
          const [piece, other] = [byMark.get(cut.mark), next && byMark.get(next.mark)]
          if (!next || !piece || !other || !(cut.lies?.right && next.lies?.left)) return
          const isShared = next.from < cut.from + cut.length
          if (isShared) shared++
          const one = lying(piece, slopesOf(piece), cut.lies).translate([cut.from, 0, 0])
          const two = lying(other, slopesOf(other), next.lies).translate([next.from, 0, 0])
          // along the board the saw takes more of a slanted cut
          const right = isShared ? cut.lies.right : 0
          const taken = ask.kerf * Math.hypot(1, right / piece.board.blank.depth)
          const overlapAt = (by: number): number => one.intersect(two.translate([-by, 0, 0])).volume()
          expect([cut.mark, next.mark, overlapAt(taken - 0.05)]).toEqual([cut.mark, next.mark, 0])
          // and no more than that is taken
          if (isShared)
            expect([cut.mark, next.mark, overlapAt(taken + 0.1) > 0]).toEqual([cut.mark, next.mark, true])
          for (const solid of [one, two]) {
            const { min, max } = solid.boundingBox()
            const at = solid === one ? cut : next
            expect(min[0]).toBeCloseTo(at.from, 1)
            expect(max[0]).toBeCloseTo(at.from + at.length, 1)
            solid.delete()
          }
        })
      expect(shared).toBeGreaterThan(0)
    },
  )

  test('a rafter with a bird’s mouth and plumb cuts has two slopes; a stud and siding have none', () => {
    const { byMark } = planned('ringing-hut')
    const rafter = byMark.get('R1')!
    const slopes = slopesOf(rafter)!
    // 7 1/2 in 12: over a depth of 5 1/2 in the plumb cut runs 3 7/16
    const run = (rafter.section.depth * 7.5) / 12
    expect([Math.abs(slopes.left), Math.abs(slopes.right)]).toEqual([
      expect.closeTo(run, 3),
      expect.closeTo(run, 3),
    ])
    expect(slopes.left * slopes.right).toBeGreaterThan(0)
    expect(slopes.crown).toBe(true)
    expect(slopesOf(byMark.get('S1')!)).toBeNull()
    // gable studs notched at an end, and cut on the slant through their thickness
    const { byMark: store } = planned('decoy-store')
    expect(slopesOf(store.get('GS15')!)).toBeNull()
  })
})
