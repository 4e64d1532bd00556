import { describe, expect, test } from '@jest/globals'
import { edges } from '../board'
import { type Design, newDesign, type Roof } from '../design'
import { squareView } from './index'
import { FOOT, INCH, radians } from '../measure'
import { cardOf, type Card, plan, squareLayout, type SquareLayout, type SquareMarkName } from '../plan'

const base = newDesign('a', 'imperial')
/** 14 by 10 ft, 7 in 12, 2x6 rafters, 15 in overhang. */
const shed = (roof: Partial<Roof>): Design => ({
  ...base,
  footprint: { length: 168 * INCH, width: 120 * INCH },
  roof: { ...base.roof, pitch: { rise: 7, run: 12 }, overhang: { eave: 15 * INCH, gable: 0 }, ...roof },
})
function laid(roof: Partial<Roof>, role: string): { readonly card: Card; readonly layout: SquareLayout } {
  const made = plan(shed(roof))
  const piece = made.pieces.find(each => each.role === role)
  const card = piece && cardOf(made, piece)
  const layout = card && squareLayout(card)
  if (!layout) throw new Error(`no layout of ${role}`)
  return { card, layout }
}
const at = ({ marks }: SquareLayout, name: SquareMarkName): number =>
  marks.find(mark => mark.name === name)?.at ?? NaN
const topEnd = ({ piece }: Card): number =>
  Math.max(
    ...edges(piece.board)
      .filter(each => each.edge.startsWith('top'))
      .map(each => each.to),
  )

describe('a rafter stepped off with the square comes to where its planes cut it', () => {
  // common rafter: five steps of 12 for 60 of run; deduction 3/4 in level (trade book, section 8; common
  // practice, no source)
  test('a common: run in full steps, the shortening back to the sawn head, the tail at the cut one', () => {
    const { card, layout } = laid({}, 'rafter')
    expect([layout.rise, layout.run].map(mm => mm / INCH)).toEqual([
      expect.closeTo(7, 9),
      expect.closeTo(12, 9),
    ])
    expect(layout.marks.map(mark => mark.name)).toEqual([
      'ridge-line',
      'step',
      'step',
      'step',
      'step',
      'step',
      'heel',
      'seat',
      'tail',
      'shortened',
    ])
    expect(-at(layout, 'ridge-line')).toBeCloseTo((0.75 * INCH) / Math.cos(radians(layout.angle)), 6)
    expect(at(layout, 'tail')).toBeCloseTo(topEnd(card), 6)
    expect(at(layout, 'shortened')).toBeCloseTo(0, 6)
  })

  // hip: 16.97 of run for 12, so its numbers are 7 and 16.97 (called 17), and as many steps as the common
  test("a hip is stepped with 17 for 12, and its cheeks' point lies where the planes meet", () => {
    const { card, layout } = laid({ shape: 'hip' }, 'hip')
    expect([layout.rise, layout.run].map(mm => mm / FOOT)).toEqual([
      expect.closeTo(7 / 12, 9),
      expect.closeTo(Math.SQRT2, 9),
    ])
    expect(layout.marks.filter(mark => mark.name === 'step')).toHaveLength(5)
    // the tail's point, in the middle of its thickness
    const point =
      Math.max(
        ...card.piece.board.faces
          .filter(face => face.tag === 'top')
          .flatMap(face => face.loops.flat())
          .map(p => p.x),
      ) - card.piece.board.start
    expect(at(layout, 'tail')).toBeCloseTo(point, 3)
  })

  test('a jack is stepped like the common it is, to the middle of the hip', () => {
    const { card, layout } = laid({ shape: 'hip' }, 'jack-rafter')
    expect(layout.run / INCH).toBeCloseTo(12, 9)
    expect(at(layout, 'tail')).toBeCloseTo(topEnd(card), 6)
    // half of the 1 1/2 in hip on the skew: 1.0607 level
    expect(at(layout, 'shortened') - at(layout, 'ridge-line')).toBeCloseTo(
      (0.75 * Math.SQRT2 * INCH) / Math.cos(radians(layout.angle)),
      6,
    )
  })

  test('a piece that no square is laid on has none', () => {
    const made = plan(shed({}))
    const stud = made.pieces.find(piece => piece.role === 'stud')
    expect(stud && squareLayout(cardOf(made, stud))).toBeNull()
  })
})

describe('the square laid on the board', () => {
  test.each(['framing', 'triangular'] as const)(
    '%s: each line is plumb or level once the rafter stands at its slope',
    tool => {
      const { card, layout } = laid({}, 'rafter')
      for (const mark of layout.marks) {
        const {
          line: [a, b],
          numbers,
          tool: outline,
        } = squareView(card, layout, mark, tool)
        const turned = (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI - layout.angle
        const off = (((mark.line === 'plumb' ? turned + 90 : turned) % 180) + 180) % 180
        expect(Math.min(off, 180 - off)).toBeCloseTo(0, 6)
        expect(outline.length).toBeGreaterThan(2)
        if (tool === 'triangular') {
          // the number lies on the edge, on the line from leg to fence
          const [p, [, leg, fence]] = [numbers[0]?.at ?? { x: NaN, y: NaN }, outline]
          expect(
            ((fence?.x ?? 0) - (leg?.x ?? 0)) * (p.y - (leg?.y ?? 0)) -
              ((fence?.y ?? 0) - (leg?.y ?? 0)) * (p.x - (leg?.x ?? 0)),
          ).toBeCloseTo(0, 6)
        }
        if (tool === 'framing')
          for (const { at: p } of numbers) expect(p.y).toBeCloseTo(mark.edge === 'top' ? layout.depth : 0, 6)
      }
    },
  )
})
