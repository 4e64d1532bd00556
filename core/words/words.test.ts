import { describe, expect, test } from '@jest/globals'
import { cautionsOf } from '../check'
import { newDesign } from '../design'
import { cardOf, plan } from '../plan'
import { explain, explainCut, explainStepping, sayCaution, sayFigure, sayMark, sayMeasureFault, sayWeight } from './index'

const made = plan(newDesign('a', 'imperial'))

describe('sentences', () => {
  test.each(['imperial', 'metric'] as const)('explain every figure of every card in %s, with its numbers', (units) => {
    for (const piece of made.pieces) {
      for (const figure of cardOf(made, piece).figures) {
        expect(`${explain(figure, units)} ${sayFigure(figure, units)}`).not.toMatch(/NaN|undefined|Infinity/)
        expect(explain(figure, units)).toMatch(/^[A-Z].*\.$/)
      }
    }
  })

  test.each(['imperial', 'metric'] as const)('explain every saw setting and every step in %s', (units) => {
    for (const piece of made.pieces) {
      const card = cardOf(made, piece)
      const said = [...card.cuts.map(explainCut), ...(['plumb', 'level', 'step', 'body', 'tail'] as const).flatMap(row => card.stepping ? [explainStepping(row, card.stepping, units)] : [])]
      for (const sentence of said) expect(sentence).toMatch(/^[A-Z](?!.*(NaN|undefined)).*\.$/)
    }
  })

  test('the ridge deduction tells its level half: 3/4 in for a 1 1/2 in ridge', () => { // trade book, section 8 (common practice, no source)
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
    const said = rafter ? cardOf(made, rafter).marks.map(mark => sayMark(mark, { length: rafter.length })) : []
    expect(said).toEqual(['plumb cut, top edge, long point', 'plumb cut, bottom edge', 'seat, bottom edge', 'heel and seat, on the face', 'heel, bottom edge', 'plumb cut, top edge', 'plumb cut, bottom edge, long point'])
  })

  test('what is not understood is quoted, short', () => {
    expect(sayMeasureFault({ code: 'not-understood', part: 'x'.repeat(99) }, '12\'')).toBe(`“${'x'.repeat(24)}…” is not understood. Type, for example, 12'.`)
    expect(sayWeight(100, 'imperial')).toBe('220 lb') // 1 lb = 0.45359237 kg exactly, 1959
    expect(sayWeight(4.25, 'metric')).toBe('4.3 kg')
  })
})
