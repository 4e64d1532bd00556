import { describe, expect, test } from '@jest/globals'
import { newDesign, withValue } from '../../core/design'
import { type Card, cardOf, plan } from '../../core/plan'
import { tell } from '../../core/board'
import { sayTold } from '../../core/words'
import { figureRows, markRows, sawRows, steppingRows, toldRows } from './card-rows'

function card(role: string, design = newDesign('a', 'imperial')): Card {
  const made = plan(design)
  const piece = made.pieces.find(each => each.role === role)
  if (!piece) throw new Error(role)
  return cardOf(made, piece)
}

describe('the rows of a card', () => {
  // 6 in 12: atan(1/2) = 26.565, so plumb 26.6 and level 63.4; a step is 12 x sqrt(1.25) = 13.416, 13 7/16 to
  // the sixteenth (closed form)
  test('of a rafter at 6 in 12', () => {
    const rafter = card('rafter')
    expect(sawRows(rafter, 'imperial').map(row => row.value.split(' · ')[0])).toEqual([
      '26.6°',
      '63.4°',
      '26.6°',
      '26.6°',
    ])
    expect(steppingRows(rafter, 'imperial').map(row => [row.name, row.value])).toEqual([
      ['Plumb cuts', '6" and 12", mark the rise'],
      ['Level cuts', '12" and 6", mark the run'],
      ['One step', '13 7/16"'],
      ['To the ridge', '4 full'],
      ['Tail', '1 full'],
    ])
    expect(markRows(rafter, 'imperial')).toHaveLength(7)
    expect(markRows(rafter, 'imperial').find(row => row.what.startsWith('heel and seat'))?.what).toBe(
      'heel and seat, on the face, 1 9/16" from the bottom edge',
    )
  })

  test('a tail of nothing has no steps, and a stud no square', () => {
    const base = newDesign('a', 'metric')
    expect(
      steppingRows(card('rafter', withValue(base, 'roof.overhang.eave', 0)), 'metric').map(row => row.name),
    ).not.toContain('Tail')
    expect(steppingRows(card('stud', base), 'metric')).toEqual([])
  })

  test('a square cut is marked once across the board', () => {
    expect(markRows(card('stud'), 'imperial')).toEqual([
      { at: '0"', what: 'square cut, across the board' },
      { at: '6\' 6 1/2"', what: 'square cut, across the board' },
    ])
  })

  test('every figure says where it comes from', () => {
    for (const row of figureRows(card('rafter'), 'metric')) expect(row.why.length).toBeGreaterThan(20)
  })
})

describe('what a card tells of cuts', () => {
  test('is the list’s own words, lengths kept on one line', () => {
    const { piece } = card('rafter')
    const told = toldRows(piece, 'imperial')
    expect(told).toHaveLength(3)
    // what the text list says of it, read back with a plain space
    const said = sayTold(piece, tell(piece.board), 'imperial')
    expect(told.map(each => each.replaceAll('\u00a0', ' '))).toEqual([...said.cuts, ...said.notches])
    expect(told.join()).not.toMatch(/\d['"]? \d/)
  })
})
