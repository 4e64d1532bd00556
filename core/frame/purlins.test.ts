import { describe, expect, test } from '@jest/globals'
import { cautionsOf } from '../check'
import { type Design, newDesign, type Roof, usualPurlins, usualTies } from '../design'
import { INCH } from '../measure'
import { plan } from '../plan'
import { find, reach } from '../testing/reading'
import { clashes, touching } from '../testing/solids'
import { frame } from './index'

const base = newDesign('a', 'imperial')
/** 12 by 12 ft, 84 in walls, 2x6 rafters at 12 in 12, with purlins and a partition along the middle. */
const shed = (roof: Partial<Roof> = {}, at: number | null = 72 - 1.75): Design => ({
  ...base,
  footprint: { length: 144 * INCH, width: 144 * INCH },
  walls: {
    ...base.walls,
    height: 84 * INCH,
    partitions: at === null ? [] : [{ runs: 'length', at: at * INCH }],
  },
  roof: {
    ...base.roof,
    pitch: { rise: 12, run: 12 },
    overhang: { eave: 12 * INCH, gable: 0 },
    purlins: usualPurlins.imperial,
    ...roof,
  },
})
const r2 = Math.SQRT2
/**
 * Full bearing at 12 in 12: 5 1/2 root 2 less 3 1/2; the rafters' lower edges over the wall's outside are 3
 * 1/2 below the plate.
 */
const under = 84 - 3.5
const middle = (72 + 3.5) / 2

describe('purlins and their braces, worked by hand', () => {
  const framed = frame(shed())
  test('a purlin lies halfway up each slope, square to it, against every rafter between the gable walls', () => {
    expect(framed.problems).toEqual([])
    expect(clashes(framed.members)).toEqual([])
    const purlin = find(framed, 'roof/south/purlin')
    expect(reach(purlin, 'x')).toEqual([4.5, 139.5])
    // its middle stands at the rafters' lower edges halfway up; 5 1/2 square to the slope below that, 1 1/2
    // along it
    const [low, high] = [middle - 0.75 / r2, middle + (5.5 + 0.75) / r2]
    expect(reach(purlin, 'y').map((at, i) => at - (i ? high : low))).toEqual([
      expect.closeTo(0, 3),
      expect.closeTo(0, 3),
    ])
    expect(reach(purlin, 'z')[0]).toBeCloseTo(under + middle - (5.5 + 0.75) / r2, 3)
    // each 2x rafter bears over its thickness, 1 1/2 along the slope
    expect(touching(find(framed, 'roof/south/rafter/3'), purlin) / INCH ** 2).toBeCloseTo((1.5 * 1.5) / r2, 2)
  })

  // from the plate's middle at 72, 84 up to the purlin's lower edge
  test("braces no farther apart than 4 ft stand on the partition's plate and end square under the purlin", () => {
    const braces = framed.members.filter(member => member.id.startsWith('roof/south/purlin-brace/'))
    expect(braces).toHaveLength(3)
    const [one] = braces
    const [y, z] = [middle + 5.5 / r2, under + middle - 5.5 / r2]
    const { along } = one?.placement ?? { along: { x: 0, y: 0, z: 0 } }
    expect([along.x, along.y / along.z]).toEqual([
      expect.closeTo(0, 9),
      expect.closeTo((y - 72) / (z - 84), 6),
    ])
    expect(reach(one, 'z')[0]).toBeCloseTo(84, 4)
    // 3 1/2 deep, the foot is level: its share of the plate, as far as that is wide
    expect(
      touching(one as NonNullable<typeof one>, find(framed, 'walls/partition-1/plate/cap')) / INCH ** 2,
    ).toBeGreaterThan(1.5 * 3)
    // those of the two slopes pass each other
    expect(reach(find(framed, 'roof/north/purlin-brace/1'), 'x')[0]).not.toBeCloseTo(
      reach(one, 'x')[0] ?? 0,
      3,
    )
  })

  test.each<[string, Design, string[], number]>([
    ['no partition', shed({}, null), ['purlin-unborne'], 0],
    ['a partition too far south for the north one', shed({}, 30), ['purlin-brace-flat'], 1],
    [
      'ties at its height',
      shed({ ties: { ...base.roof.ties, collar: { ...usualTies.imperial.collar, height: 30 * INCH } } }),
      ['purlin-meets-tie', 'purlin-meets-tie'],
      0,
    ],
    [
      'a roof light in its way',
      shed({
        openings: [
          {
            kind: 'light',
            slope: 'south',
            at: 72 * INCH,
            up: 30 * INCH,
            width: 22 * INCH,
            length: 24 * INCH,
            plies: 1,
          },
        ],
      }),
      ['purlin-meets-opening'],
      1,
    ],
    ['a hip over a square, with a common a side', shed({ shape: 'hip' }), ['purlin-no-reach'], 0],
    [
      'a purlin that hangs below the plates',
      shed({ pitch: { rise: 2, run: 12 } }),
      ['purlin-too-low', 'purlin-too-low'],
      0,
    ],
  ])("%s: what can't be is said and left out", (_, design, codes, left) => {
    const made = frame(design)
    expect(made.problems.map(problem => problem.code)).toEqual(codes)
    expect(
      new Set(made.members.filter(member => member.role === 'purlin').map(member => member.id)).size,
    ).toBe(left)
    expect(clashes(made.members)).toEqual([])
  })

  test('the remedy for a flat brace brings it to 45 degrees', () => {
    const [problem] = frame(shed({}, 30)).problems
    if (problem?.code !== 'purlin-brace-flat') throw new Error('not flat')
    expect(problem.angle).toBeLessThan(45)
    expect(
      frame(shed({}, problem.least / INCH - 1.75 + 1e-6)).problems.filter(
        each => each.code === 'purlin-brace-flat' && each.side === 'north',
      ),
    ).toEqual([])
  })

  test('a single slope takes one', () => {
    const made = frame(shed({ shape: 'single-slope', pitch: { rise: 6, run: 12 } }))
    expect(made.problems).toEqual([])
    expect(made.members.filter(member => member.role === 'purlin').map(member => member.id)).toEqual([
      'roof/slope/purlin',
    ])
    expect(clashes(made.members)).toEqual([])
  })

  // 18 ft by 12 ft: a hip's first and last commons have their middles 72 in from the ends
  test('under a hip roof purlins lie under the commons, on braces at both their ends', () => {
    const long = shed({ shape: 'hip' })
    const made = frame({ ...long, footprint: { ...long.footprint, length: 216 * INCH } })
    expect(made.problems).toEqual([])
    expect(made.members.filter(member => member.role === 'purlin').map(member => reach(member, 'x'))).toEqual(
      [
        [71.25, 144.75],
        [71.25, 144.75],
      ],
    )
    expect(
      made.members
        .filter(member => member.id.startsWith('roof/south/purlin-brace/'))
        .map(member => reach(member, 'x')[0]),
    ).toEqual([71.25, 107.25, 143.25])
    expect(clashes(made.members)).toEqual([])
  })

  test('under a raised ridge a brace that would run into the ledger is said', () => {
    const { sides } = base.walls
    for (const at of [40, 50, 60, 70, 80]) {
      const design = shed({ shape: 'raised-ridge', pitch: { rise: 6, run: 12 } }, at)
      const made = frame({
        ...design,
        walls: { ...design.walls, sides: { ...sides, north: { ...sides.north, height: 110 * INCH } } },
      })
      expect(made.members.some(member => member.role === 'ledger')).toBe(true)
      expect(clashes(made.members)).toEqual([])
    }
  })

  test('braces pass beside the posts of a ridge beam', () => {
    for (const at of [90, 94, 98, 102])
      expect(
        clashes(frame(shed({ beam: { plies: 2, post: '6x6', spacing: (at / 2) * INCH } })).members),
      ).toEqual([])
  })

  test('customary limits', () => {
    const codes = (purlins: Partial<NonNullable<Roof['purlins']>>): string[] =>
      cautionsOf(plan(shed({ purlins: { ...usualPurlins.imperial, ...purlins } })))
        .map(each => each.code)
        .filter(code => code.startsWith('purlin'))
    expect(codes({})).toEqual([])
    expect(codes({ section: '2x4' })).toEqual(['purlin-shallow'])
    expect(codes({ spacing: 60 * INCH })).toEqual(['purlin-braces-far'])
  })
})
