import { saidApart } from './measures'
import { type Role, roles } from '../trade'
import { describe, expect, test } from '@jest/globals'
import { cautionsOf } from '../check'
import { baseKinds, newDesign, usualBase, usualFloors } from '../design'
import type { Problem } from '../frame'
import { cardOf, plan } from '../plan'
import { INCH } from '../measure'
import {
  adviseOn,
  explain,
  explainCut,
  explainStepping,
  sayCaution,
  sayCorner,
  sayFigure,
  sayLoose,
  sayMark,
  sayMeasureFault,
  sayMove,
  sayProblem,
  sayShapeFault,
  sayWeight,
} from './index'

const made = plan(newDesign('a', 'imperial'))

describe('sentences', () => {
  test.each(['imperial', 'metric'] as const)(
    'explain every figure of every card in %s, with its numbers',
    units => {
      for (const piece of made.pieces) {
        for (const figure of cardOf(made, piece).figures) {
          expect(`${explain(figure, units)} ${sayFigure(figure, units)}`).not.toMatch(
            /NaN|undefined|Infinity/,
          )
          expect(explain(figure, units)).toMatch(/^[A-Z].*\.$/)
        }
      }
    },
  )

  test.each(['imperial', 'metric'] as const)('explain every saw setting and every step in %s', units => {
    for (const piece of made.pieces) {
      const card = cardOf(made, piece)
      const said = [
        ...card.cuts.map(explainCut),
        ...(['plumb', 'level', 'step', 'body', 'tail'] as const).flatMap(row =>
          card.stepping ? [explainStepping(row, card.stepping, units)] : [],
        ),
      ]
      for (const sentence of said) expect(sentence).toMatch(/^[A-Z](?!.*(NaN|undefined)).*\.$/)
    }
  })

  test('the ridge deduction tells its level half: 3/4 in for a 1 1/2 in ridge', () => {
    // trade book, section 8 (common practice, no source)
    const rafter = made.pieces.find(piece => piece.role === 'rafter')
    const figure = rafter && cardOf(made, rafter).figures.find(each => each.name === 'ridge-deduction')
    expect(figure && explain(figure, 'imperial')).toContain('3/4" level')
  })

  test('cautions never call a building safe, and say what to do', () => {
    for (const caution of cautionsOf(made)) {
      expect(sayCaution(caution, 'imperial')).toMatch(/\.$/)
      expect(sayCaution(caution, 'metric')).not.toMatch(/safe|NaN|undefined/i)
    }
  })

  test('marks are read aloud by cut, edge and long point', () => {
    const rafter = made.pieces.find(piece => piece.role === 'rafter')
    const said = rafter
      ? cardOf(made, rafter).marks.map(mark => sayMark(mark, { length: rafter.length }))
      : []
    expect(said).toEqual([
      'plumb cut, top edge, long point',
      'plumb cut, bottom edge',
      'seat, bottom edge',
      'heel and seat, on the face',
      'heel, bottom edge',
      'plumb cut, top edge',
      'plumb cut, bottom edge, long point',
    ])
  })

  test('what is not understood is quoted, short', () => {
    expect(sayMeasureFault({ code: 'not-understood', part: 'x'.repeat(99) }, "12'")).toBe(
      `“${'x'.repeat(24)}…” is not understood. Type, for example, 12'.`,
    )
    expect(sayWeight(100, 'imperial')).toBe('220 lb') // 1 lb = 0.45359237 kg exactly, 1959
    expect(sayWeight(4.25, 'metric')).toBe('4.3 kg')
  })
})

describe('squaring and loose things, said', () => {
  test.each([
    ['south', { along: 30, out: -12.7, by: 32 }, '1 3/16" east, 1/2" south'],
    ['east', { along: 25.4, out: 25.4, by: 36 }, '1" north, 1" west'],
    ['north', { along: 25.4, out: 25.4, by: 36 }, '1" west, 1" south'],
    ['west', { along: 25.4, out: 25.4, by: 36 }, '1" south, 1" east'],
    ['south', { along: 0.2, out: 0.1, by: 0.3 }, 'leave it'],
  ] as const)('a move off the %s string', (held, move, said) => {
    expect(sayMove(move, held, 'imperial')).toBe(said)
  })

  test('why stakes have no shape, and what a corner reads', () => {
    expect(sayShapeFault({ code: 'too-few', more: 2, missing: ['swNe', 'seNw'] }, 'metric')).toBe(
      'Tape 2 more to fix the shape: the diagonal SW to NE, the diagonal SE to NW, or a 3-4-5.',
    )
    expect(
      sayShapeFault({ code: 'no-triangle', tapes: ['south', 'east', 'swNe'], by: 100 }, 'metric'),
    ).toContain('South side, East side, Diagonal SW to NE')
    expect(sayCorner({ angle: 89.2, slide: 'out', by: 40 }, 'metric')).toBe(
      'The corner is too tight, 89.2°: slide the far end of the second side 40 mm outward.',
    )
    expect(sayCorner({ angle: 90, slide: 'none', by: 0 }, 'metric')).toBe('The corner is square: 90°.')
  })

  test.each(['imperial', 'metric'] as const)(
    'every loose thing of every base tells its rule in %s',
    units => {
      for (const kind of baseKinds) {
        const design = {
          ...newDesign('a', units),
          base: usualBase(kind, units),
          floor: kind === 'slab' ? null : usualFloors[units],
        }
        const { loose } = plan(design)
        expect(loose.length).toBeGreaterThan(0)
        for (const item of loose) {
          const { name, value, why } = sayLoose(item, units)
          expect(`${name} ${value} ${why}`).not.toMatch(/NaN|undefined|Infinity/)
          expect(why).toMatch(/^[A-Z0-9].*\.$/)
        }
      }
    },
  )

  test('every role has a sentence at the foot of its card; a post is cut where it stands', () => {
    for (const role of Object.keys(roles) as Role[]) expect(adviseOn(role)).toMatch(/^[A-Z].*\.$/)
    expect(adviseOn('post')).toContain('where it stands')
  })

  test('a limit is said on the side on which what is then typed fits', () => {
    const problem = (least: number, most: number): Problem => ({
      code: 'joint-off-floor',
      path: 'floor.joint',
      range: { least, most },
    })
    expect(sayProblem(problem(44.2, 3000.8), 'metric')).toContain('between 45 mm and 3000 mm')
    expect(sayProblem(problem(44 + 1e-9, 3000 - 1e-9), 'metric')).toContain('between 44 mm and 3000 mm')
    expect(sayProblem(problem(10.01 * INCH, 9.99 * 12 * INCH), 'imperial')).toContain(
      'between 10 1/16" and 9\' 11 7/8"',
    )
  })

  test('every problem below the walls is said with its remedy', () => {
    const problems: Problem[] = [
      { code: 'joint-off-floor', path: 'floor.joint', range: { least: 700, most: 3000 } },
      { code: 'joint-off-floor', path: 'floor.joint', range: null },
      { code: 'opening-off-floor', path: 'floor.openings.0.x', number: 1, clear: 190, clash: false },
      { code: 'opening-off-floor', path: 'floor.openings.1.x', number: 2, clear: 190, clash: true },
      { code: 'supports-touch', path: 'base.beams.rows', by: 40 },
      { code: 'supports-touch', path: 'base.count', by: 40 },
      { code: 'not-placed', path: 'site.place.far', least: 100, most: 9000 },
      { code: 'base-without-floor', path: 'base.kind' },
      { code: 'slab-under-floor', path: 'base.kind' },
      { code: 'post-no-length', path: 'base.lift', least: 50 },
      { code: 'porch-too-small', path: 'floor.porch.depth', least: 200 },
      { code: 'floor-too-small', path: 'footprint.width', least: 700 },
    ]
    for (const problem of problems)
      expect(sayProblem(problem, 'imperial')).toMatch(/^[A-Z](?!.*(NaN|undefined)).*\.$/)
  })
})

test('lengths that are the same but for noise need not be told apart, unlike ones are', () => {
  const noisy = saidApart([69.85, 69.85 + 1e-9, 46.57], 'imperial')
  expect([69.85, 46.57].map(noisy)).toEqual(['2 3/4"', '1 13/16"'])
  // less than half a sixteenth apart: told on the 32nds
  const close = [25.4, 25.4 * 1.0225]
  expect(close.map(saidApart(close, 'imperial'))).toEqual(['1"', '1 1/32"'])
})
