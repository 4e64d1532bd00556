import { faceTo } from '../../lines'
import { describe, expect, test } from '@jest/globals'
import hide from '../../../demo/reed-hide.json'
import { roofPlan, roofSection } from '../../drawing'
import { plan } from '../../plan'
import {
  type Design,
  newDesign,
  parseDesign,
  type Roof,
  roofChoices,
  roofHas,
  usualBeam,
  withRoofOf,
  workedOut,
} from '..'

const base = newDesign('a', 'imperial')
const with_ = (design: Design, roof: Partial<Roof>): Design => ({
  ...design,
  roof: { ...design.roof, ...roof },
})
/** What may be left in a document from a roof that stood there before. */
const leftOver: Partial<Roof> = {
  beam: usualBeam.metric,
  northPitch: { rise: 10, run: 12 },
  peak: { at: 900, height: 3700 },
  raised: { ...base.roof.raised, at: 700, plies: 3 },
  firring: { section: '2x4', least: 40 },
  hip: { section: '2x10', edge: 'backed' },
}
const own: Readonly<Record<Roof['shape'], readonly (keyof Roof)[]>> = {
  gable: ['beam', 'northPitch', 'peak'],
  'single-slope': [],
  'lean-to': [],
  flat: ['firring'],
  'raised-ridge': ['raised', 'northPitch'],
  hip: ['hip'],
  gambrel: [],
  none: [],
  pergola: ['pergola'],
}
const taken = roofChoices.map(choice => [choice.shape, choice.high ?? '', withRoofOf(base, choice)] as const)

describe('what each roof has', () => {
  test.each(taken)('%s %s: what another roof left in the document changes nothing', (shape, _, design) => {
    const others = Object.fromEntries(
      Object.entries(leftOver).filter(([key]) => !own[shape].includes(key as keyof Roof)),
    )
    const [without, left] = [plan(design), plan(with_(design, others))]
    expect(left.frame.problems).toEqual(without.frame.problems)
    expect(left.frame.members).toEqual(without.frame.members)
    expect(left.roof).toEqual(without.roof)
    expect([roofSection(left), roofPlan(left)]).toEqual([roofSection(without), roofPlan(without)])
  })

  test('under a hip an opening is as long as without the beam that a gable left: 1,031 mm', () => {
    const read = parseDesign(JSON.stringify(hide))
    if (!read.ok) throw new Error('the demo is not valid')
    const light = { kind: 'light', slope: 'south', up: 600, width: 400, length: 5000, plies: 1 } as const
    const at = read.design.footprint.length / 2
    for (const beam of [null, usualBeam.imperial, usualBeam.metric])
      expect(plan(with_(read.design, { beam, openings: [{ ...light, at }] })).frame.problems).toMatchObject([
        { code: 'roof-opening-too-big', most: expect.closeTo(1031, 0) },
      ])
  })

  test.each(taken)('%s %s: the building does not say what its roof is called', (_, __, design) => {
    const building = workedOut(design)
    // many a choice is none
    const { shape } = design.roof
    if (shape !== 'none') expect(JSON.stringify(building)).not.toContain(`:"${shape}"`)
    expect('shape' in building.roof).toBe(false)
  })

  test.each(taken)('%s %s: a house stands, and slopes fall, where its numbers say', (shape, high, design) => {
    const { falls, house } = roofHas(design.roof)
    const low = high === 'north' ? 'south' : 'north'
    expect(house).toBe(shape === 'lean-to' ? high : null)
    expect(falls).toEqual(
      shape === 'none'
        ? []
        : shape === 'hip'
          ? ['south', 'east', 'north', 'west']
          : shape === 'gable' || shape === 'raised-ridge' || shape === 'gambrel'
            ? ['south', 'north']
            : [shape === 'pergola' ? 'south' : low],
    )
    // each slope is steepest toward the side it falls to
    for (const side of falls) {
      const top = faceTo(plan(design).frame.roof, side)?.top.normal
      const falls = side === 'south' || side === 'west' ? -1 : 1
      // level rafters fall nowhere
      expect(Math.sign(top ? top.x + top.y : 0) + 0).toBe(shape === 'pergola' ? 0 : falls)
    }
  })
})
