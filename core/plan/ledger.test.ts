import { describe, expect, test } from '@jest/globals'
import { newDesign, starters, withPartOf, withRoofOf, withValue } from '../design'
import { FOOT, INCH } from '../measure'
import { sayLoose } from '../words'
import { screwsApart } from './ledger'
import { plan } from './plan'
import { whole } from './whole'

describe('what holds a ledger', () => {
  // International Residential Code 2018, table R507.9.1.3(1), 1/2 in lag screws (from memory)
  test.each([
    [5, 30],
    [6, 30],
    [6.01, 23],
    [8, 23],
    [10, 18],
    [12, 15],
    [14, 13],
    [16, 11],
    [18, 10],
  ])('%d ft of span: %d in apart', (span, apart) => {
    expect(screwsApart(span * FOOT)).toBeCloseTo(apart * INCH, 9)
  })
  test('past 18 ft the schedule ends', () => expect(screwsApart(18.1 * FOOT)).toBeNull())

  test('screws and flashing of a lean-to on a house, by hand', () => {
    const base = newDesign('a', 'imperial')
    const design = withValue(
      withRoofOf(
        { ...base, footprint: { length: 12 * FOOT, width: 6 * FOOT } },
        { shape: 'lean-to', high: 'north' },
      ),
      'roof.overhang.gable',
      0,
    )
    const { loose } = plan(design)
    // 144 in less 2 in at each end in gaps of 30 in at most: five, and one screw more
    expect(loose).toContainEqual(expect.objectContaining({ code: 'ledger-screws', amount: 6 }))
    // 12 ft in lengths of 10 ft
    expect(loose).toContainEqual(expect.objectContaining({ code: 'ledger-flashing', amount: 2 }))
    const said = loose
      .filter(({ code }) => code.startsWith('ledger'))
      .map(each => sayLoose(each, 'imperial').why)
    expect(said.join(' ')).toMatch(/2' 6" apart.*from memory/)
  })

  test('a part on another has its own; a building without a ledger none', () => {
    const shed = starters[0]
    if (!shed) throw new Error('no starter')
    const begun = shed.design('shed', 'metric', shed.usual.metric)
    const at = whole(withPartOf(begun, 'lean-to', 'south', 'Store'))
    const of = (loose: readonly { readonly code: string }[]): string[] =>
      loose.map(({ code }) => code).filter(code => code.startsWith('ledger'))
    expect(of(at.main.loose)).toEqual([])
    expect(of(at.parts[0]?.plan.loose ?? [])).toEqual(['ledger-screws', 'ledger-flashing'])
  })
})
