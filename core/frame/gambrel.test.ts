import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { boardLength } from '../board'
import {
  type Design,
  foundAnotherWay,
  type Gambrel,
  gambrelWays,
  newDesign,
  type Roof,
  withEdit,
  withRoofOf,
  workedOut,
} from '../design'
import { toBuilding, type Vec3 } from '../geometry'
import { cautionsOf } from '../check'
import { FOOT, INCH } from '../measure'
import { cardOf, loftOf, plan, readFaces } from '../plan'
import { runs } from '../testing/designs'
import { cornersOf, find, whole } from '../testing/reading'
import { sayProblem } from '../words'
import { boxOf, frame, type Member } from './index'

const begun = withRoofOf(newDesign('a', 'imperial'), { shape: 'gambrel' })
/** 16 by 12 ft, 2x6 chords at 24 in, an overhang of 8 in, with what a test asks of it. */
const loft = (
  gambrel: Partial<Gambrel> = {},
  roof: Partial<Roof> = {},
  more: Partial<Design> = {},
): Design => ({
  ...begun,
  footprint: { length: 16 * FOOT, width: 12 * FOOT },
  ...more,
  roof: {
    ...begun.roof,
    overhang: { eave: 8 * INCH, gable: 0 },
    spacing: 24 * INCH,
    ...roof,
    gambrel: { ...begun.roof.gambrel, ...gambrel },
  },
})
const degrees = (angle: number): number => (angle * 180) / Math.PI
const tan = (angle: number): number => Math.tan((angle * Math.PI) / 180)
/** The lengths of a board's upper and lower edges, the longer first. */
function edgesOf(member: Member): readonly [number, number] {
  const { depth } = member.section
  const along = (at: number): number => {
    const xs = member.board.faces
      .flatMap(face => face.loops.flat())
      .filter(p => Math.abs(p.y - at) < 1e-6)
      .map(p => p.x)
    return Math.max(...xs) - Math.min(...xs)
  }
  return [along(depth), along(0)]
}

describe('a half octagon, by its circle', () => {
  const framed = whole(loft())
  const radius = 6 * FOOT + 8 * INCH
  const chords = framed.members.filter(({ role }) => role === 'upper-chord' || role === 'lower-chord')

  // trade book, section 9: four equal chords on a half circle, every cut 22 1/2
  test('all four chords are 2 R sin 22.5 long outside, shorter inside by 2 d tan 22.5, both ends cut at 22.5', () => {
    const outer = 2 * radius * Math.sin(Math.PI / 8)
    expect(chords).toHaveLength(36)
    for (const chord of chords.filter(({ where }) => where.of?.kind === 'truss' && where.of.number === 3)) {
      const [top, under] = edgesOf(chord)
      expect(top).toBeCloseTo(outer, 6)
      expect(boardLength(chord.board)).toBeCloseTo(outer, 6)
      const notched = chord.role === 'lower-chord'
      expect(under).toBeCloseTo(outer - 2 * 5.5 * INCH * tan(22.5), notched ? -2 : 6)
    }
    const { pieces } = plan(loft())
    const ends = pieces.filter(({ role }) => role.endsWith('chord')).flatMap(piece => piece.ends)
    expect(ends.map(end => end.miter)).toEqual(ends.map(() => expect.closeTo(22.5, 9)))
  })

  // trade book, section 9: a 2x6 chord 48 in outside is 43 7/16 inside
  test('a 2x6 chord 48 in outside is 43 7/16 in inside', () => {
    expect(48 - 2 * 5.5 * tan(22.5)).toBeCloseTo(43 + 7 / 16, 1)
    const across = 48 / Math.sin(Math.PI / 8) - 16
    const small = whole(loft({}, {}, { footprint: { length: 8 * FOOT, width: across * INCH } }))
    const [top, under] = edgesOf(find(small, 'roof/truss/2/chord/south-high'))
    expect([top / INCH, under / INCH]).toEqual([
      expect.closeTo(48, 6),
      expect.closeTo(48 - 11 * tan(22.5), 6),
    ])
  })

  test('the knee lies on the circle at 45 degrees, the ridge at its top, the foot at its level', () => {
    const { roof, building } = framed
    const { foot, knee, peak } = building.roof.gambrel ?? {
      foot: { drop: 0 },
      knee: { in: 0, up: 0 },
      peak: 0,
    }
    expect(peak + foot.drop).toBeCloseTo(radius, 6)
    expect(knee.up + foot.drop).toBeCloseTo(radius * Math.SQRT1_2, 6)
    expect(6 * FOOT - knee.in).toBeCloseTo(radius * Math.SQRT1_2, 6)
    expect(roof.highest).toBeCloseTo(building.heights.south + peak, 9)
    const low = cornersOf(find(framed, 'roof/truss/2/chord/south-low'))
    expect(Math.min(...low.map(p => p.z))).toBeCloseTo(building.heights.south - foot.drop, 6)
    expect(Math.min(...low.map(p => p.y))).toBeCloseTo(-8 * INCH, 6)
  })

  // trade book, section 15: trusses for 16 ft at 24 o.c.
  test('nine trusses for 16 ft at 24 in on centre, three gussets on each face of those between the ends', () => {
    const numbers = new Set(chords.map(({ where }) => where.of?.kind === 'truss' && where.of.number))
    expect(numbers.size).toBe(9)
    const on = (number: number): number =>
      framed.members.filter(
        ({ role, where }) => role === 'gusset' && where.of?.kind === 'truss' && where.of.number === number,
      ).length
    expect([1, 2, 5, 9].map(on)).toEqual([6, 6, 6, 6])
    const sheathed = frame(loft({}, {}, { walls: { ...begun.walls, sheathing: sheets } })).members.filter(
      ({ role, where }) => role === 'gusset' && where.of?.kind === 'truss',
    )
    expect(
      [1, 2, 9].map(
        number =>
          sheathed.filter(({ where }) => where.of?.kind === 'truss' && where.of.number === number).length,
      ),
    ).toEqual([3, 6, 3])
  })
})

const sheets = {
  thickness: 11.1,
  sheet: { length: 8 * FOOT, width: 4 * FOOT },
  way: 'upright',
  top: 'under-tails',
  drop: 0,
  grooves: null,
} as const

describe('joints', () => {
  /** The corners of a board's face that a cut made, in the building, in one order. */
  const cutFace = ({ board, placement }: Member, name: string): string[] =>
    board.faces
      .filter(face => face.tag.endsWith(`:${name}`))
      .flatMap(face => face.loops.flat())
      .map(p => toBuilding(placement, p))
      .map(p => `${p.x.toFixed(3)} ${p.y.toFixed(3)} ${p.z.toFixed(3)}`)
      .sort()

  test.each(gambrelWays)('found by %s, chords meet over all of both faces, at knee and ridge', by => {
    const framed = whole(foundAnotherWay(loft(), workedOut(loft()), by))
    const at = (face: string): Member => find(framed, `roof/truss/4/chord/${face}`)
    expect(cutFace(at('south-low'), 'mitre')).toHaveLength(4)
    expect(cutFace(at('south-low'), 'mitre')).toEqual(cutFace(at('south-high'), 'mitre'))
    expect(cutFace(at('north-low'), 'mitre')).toEqual(cutFace(at('north-high'), 'mitre'))
    expect(cutFace(at('south-high'), 'plumb')).toHaveLength(4)
    expect(cutFace(at('south-high'), 'plumb')).toEqual(cutFace(at('north-high'), 'plumb'))
  })

  // geometry: a plate that joins two members lies on both by as much as it is asked to along each edge
  test('a gusset covers each member it joins by its leg along both edges, and ends at the roof line', () => {
    const leg = 9 * INCH
    const framed = whole(
      loft({}, { truss: { ...begun.roof.truss, gusset: { ...begun.roof.truss.gusset, leg } } }),
    )
    const gusset = find(framed, 'roof/truss/4/gusset/knee/south/east')
    const corners = cornersOf(gusset)
    for (const face of ['south-low', 'south-high']) {
      const chord = find(framed, `roof/truss/4/chord/${face}`)
      const { along, depth, origin } = chord.placement
      const to = (p: Vec3): { x: number; y: number } => {
        const [a, b, c] = [p.x - origin.x, p.y - origin.y, p.z - origin.z]
        return {
          x: a * along.x + b * along.y + c * along.z,
          y: a * depth.x + b * depth.y + c * depth.z,
        }
      }
      const inChord = corners.map(to).filter(p => p.y > -1e-6 && p.y < chord.section.depth + 1e-6)
      // from the shorter of its edges' ends at the joint
      const joint = chord.board.faces
        .filter(each => each.tag.endsWith(':mitre'))
        .flatMap(each => each.loops.flat())
        .map(p => p.x)
      const far = face === 'south-low' ? Math.max(...inChord.map(p => p.x)) - Math.max(...joint) : 0
      const near = face === 'south-low' ? 0 : Math.min(...joint) - Math.min(...inChord.map(p => p.x))
      expect(far + near).toBeCloseTo(leg, 6)
    }
    const top = framed.roof.faces.map(({ top: plane }) => plane)
    for (const p of corners)
      expect(Math.max(...top.map(({ normal: n, offset }) => n.y * p.y + n.z * p.z - offset))).toBeLessThan(
        1e-6,
      )
  })
})

/** The root of a rising function, by halving alone. */
function halved(f: (x: number) => number, low: number, high: number): number {
  for (let i = 0; i < 200; i++) {
    const middle = (low + high) / 2
    if (f(middle) < 0) low = middle
    else high = middle
  }
  return low
}

describe('the line, against a search of its own', () => {
  const d = 5.5 * INCH
  const plate = 3.5 * INCH
  /** Over the wall, plumb: a notch as deep as the wall, or half the chord. */
  const over = (angle: number): number => {
    const plumb = d / Math.cos((angle * Math.PI) / 180)
    return plumb - Math.min(plate * tan(angle), plumb / 2)
  }
  const line = (design: Design) => {
    const { gambrel } = workedOut(design).roof
    if (!gambrel) throw new Error('no gambrel')
    return gambrel
  }

  test('from the wall to a knee, notched over it or on the plate, with a drop or the one that follows', () => {
    const knee = { in: 20 * INCH, up: 52 * INCH, share: null }
    const free = line(loft({ by: 'knee', knee }))
    expect(free.lower).toBeCloseTo(
      halved(angle => over(angle) + knee.in * tan(angle) - knee.up, 20, 80),
      8,
    )
    const on = line(loft({ by: 'knee', knee, foot: { rule: 'on-plate', drop: null, kick: null } }))
    expect(on.lower).toBeCloseTo(degrees(Math.atan2(knee.up, knee.in)), 8)
    // through its low corner, 8 in out and as far down as asked, and the knee
    const drop = line(loft({ by: 'knee', knee, foot: { rule: 'over-plate', drop: 14 * INCH, kick: null } }))
    expect(drop.lower).toBeCloseTo(degrees(Math.atan2(52 + 14, 20 + 8)), 8)
    expect(drop.foot.drop).toBeCloseTo(14 * INCH, 6)
  })

  test('from two pitches and the height of the knee, or its part of the span', () => {
    const lower = { rise: 24, run: 12 }
    const pitch = { rise: 6, run: 12 }
    const by = line(loft({ by: 'pitches', lower, knee: { in: null, up: 50 * INCH, share: null } }, { pitch }))
    const theta = degrees(Math.atan(2))
    expect([by.lower, by.upper]).toEqual([
      expect.closeTo(theta, 9),
      expect.closeTo(degrees(Math.atan(0.5)), 9),
    ])
    expect(over(theta) + by.knee.in * 2).toBeCloseTo(50 * INCH, 6)
    expect(by.peak).toBeCloseTo(50 * INCH + (72 * INCH - by.knee.in) / 2, 6)
    const share = line(loft({ by: 'pitches', lower, knee: { in: null, up: null, share: 0.2 } }, { pitch }))
    expect(share.knee.in).toBeCloseTo(0.2 * 144 * INCH, 6)
  })

  // on bottom chords a loft's deck lies as deep as they are and as it is thick over the plate: 5 1/2 and 3/4
  test('from a headroom over a loft in trusses: measured from its deck', () => {
    const headroom = { height: 50 * INCH, width: 60 * INCH }
    const deck = {
      kind: 'sheets',
      thickness: 0.75 * INCH,
      sheet: { length: 96 * INCH, width: 48 * INCH },
    } as const
    const design = loft(
      { by: 'headroom', headroom },
      {
        pitch: { rise: 5, run: 12 },
        carried: 'trusses',
        truss: { ...begun.roof.truss, kind: 'bottom-chord' },
        ties: { ...begun.roof.ties, ceiling: null },
        loft: { deck, height: 50 * INCH },
      },
    )
    const made = plan(design)
    expect(made.frame.problems).toEqual([])
    const surface = made.frame.building.heights.south + 6.25 * INCH
    expect(made.frame.loft?.surface).toBeCloseTo(surface, 6)
    // the clear corner lies on both chords' lower edges, and that wide it is read to be
    const corner = { y: (144 - 60) * 0.5 * INCH, z: surface + headroom.height }
    for (const face of ['south-low', 'south-high'])
      expect(
        cornersOf(find(made.frame, `roof/truss/4/chord/${face}`)).some(
          p => Math.hypot(p.y - corner.y, p.z - corner.z) < 0.01,
        ),
      ).toBe(true)
    expect(loftOf(made)?.wide).toBeCloseTo(headroom.width, 1)
  })

  test('from a headroom: the clear corners touch the chords, and the upper slopes are as shallow as asked', () => {
    const headroom = { height: 50 * INCH, width: 96 * INCH }
    const design = loft({ by: 'headroom', headroom }, { pitch: { rise: 5, run: 12 } })
    const framed = whole(design)
    const by = line(design)
    expect(by.upper).toBeCloseTo(degrees(Math.atan2(5, 12)), 9)
    const at = 24 * INCH
    expect(by.lower).toBeCloseTo(
      halved(
        angle => over(angle) - d / Math.cos((angle * Math.PI) / 180) + at * tan(angle) - headroom.height,
        20,
        80,
      ),
      8,
    )
    // the corner lies on the lower edge of both chords, read off their boards
    const corner = { y: at, z: framed.building.heights.south + headroom.height }
    for (const face of ['south-low', 'south-high'])
      expect(
        cornersOf(find(framed, `roof/truss/4/chord/${face}`)).some(
          p => Math.hypot(p.y - corner.y, p.z - corner.z) < 0.01,
        ),
      ).toBe(true)
  })

  test('another way begins where the line lies: nothing moves until a number is changed', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...gambrelWays),
        fc.constantFrom('knee' as const, 'pitches' as const, 'headroom' as const),
        fc.constantFrom('on-plate' as const, 'over-plate' as const),
        fc.double({ min: 0.1, max: 0.25, noNaN: true }),
        fc.double({ min: 48, max: 70, noNaN: true }),
        (from, to, rule, share, angle) => {
          const design = loft(
            {
              by: from,
              foot: { rule, drop: null, kick: null },
              knee: { in: share * 144 * INCH, up: share * 144 * INCH * tan(angle) + 150, share: null },
              lower: { rise: 12 * tan(angle), run: 12 },
            },
            { pitch: { rise: 5, run: 12 } },
          )
          const before = line(design)
          const after = line(foundAnotherWay(design, workedOut(design), to))
          expect(after.by).toBe(to)
          expect([after.lower, after.upper, after.knee.in, after.knee.up, after.peak]).toEqual(
            [before.lower, before.upper, before.knee.in, before.knee.up, before.peak].map(value =>
              expect.closeTo(value, 5),
            ),
          )
        },
      ),
      { numRuns: runs(40) },
    )
  })
})

describe('what is refused, and what it says', () => {
  const said = (design: Design): string[] => frame(design).problems.map(each => sayProblem(each, 'imperial'))

  // at 67.5 degrees a 2x6 bears within its plumb depth: 5 1/2 / cos 67.5 = 14 3/8 in, 365 mm (geometry)
  test('a foot off the plate, or one whose notch takes more than half the chord: from where to where the drop may be', () => {
    expect(5.5 / Math.cos((67.5 * Math.PI) / 180)).toBeCloseTo(14.372, 3)
    const [high] = said(loft({ foot: { rule: 'over-plate', drop: 2 * INCH, kick: null } }))
    expect(high).toMatch(
      /^The lower chord would not bear on the wall: at 67.5° it reaches over the plate within 1' 2 5\/16" plumb\. Put foot under the plate between 7 3\/8" and 1' 0 1\/8"\.$/,
    )
    const [deep] = said(loft({ foot: { rule: 'over-plate', drop: 16 * INCH, kick: null } }))
    expect(deep).toMatch(
      /^The notch over the wall would take more than half the lower chord, .* between 7 3\/8" and 1' 0 1\/8"\.$/,
    )
  })

  test.each(['half-octagon', 'knee', 'pitches', 'headroom'] as const)(
    'tails that would reach below the deck, found by %s: the foot that is told does, and no farther one',
    by => {
      for (const drop of [null, 30 * INCH]) {
        const foot = { rule: 'over-plate', drop, kick: null } as const
        const low = loft(
          { by, foot },
          { overhang: { eave: 24 * INCH, gable: 0 } },
          { walls: { ...begun.walls, height: 24 * INCH } },
        )
        const [path, now] = drop === null ? ['roof.overhang.eave', 24] : ['roof.gambrel.foot.drop', 30]
        const below = (design: Design) =>
          frame(design).problems.find(({ code }) => code === 'tail-below-deck')
        const problem = below(low)
        if (problem?.code !== 'tail-below-deck' || problem.most === null) throw new Error('stands')
        expect(problem.path).toBe(path)
        expect(problem.most).toBeLessThan(now * INCH)
        expect(below(withEdit(low, path ?? '', problem.most - 1e-3))).toBeUndefined()
        expect(below(withEdit(low, path ?? '', problem.most + 1))).toBeDefined()
      }
    },
  )

  test('a knee past the ridge, a ridge under the knee, a knee that turns inward, a headroom that can not be', () => {
    const knee = (into: number, up: number): Partial<Gambrel> => ({
      by: 'knee',
      knee: { in: into * INCH, up: up * INCH, share: null },
    })
    expect(said(loft(knee(80, 60)))[0]).toMatch(
      /^The knee would lie outside the wall, or past the ridge\. Make knee in from the wall .* at most\.$/,
    )
    expect(
      said(loft(knee(20, 50), { peak: { at: null, height: begun.walls.height + 40 * INCH } }))[0],
    ).toMatch(/^The ridge would lie no higher than the knee\. Make ridge, over the deck at least .*\.$/)
    expect(said(loft(knee(40, 20)))[0]).toMatch(
      /hardly steeper than the upper one, so that the roof has no knee\./,
    )
    const high = loft({ by: 'headroom', headroom: { height: 150 * INCH, width: 120 * INCH } })
    expect(said(high)[0]).toMatch(/^So much headroom can't be had .* Make headroom, height .* at most\.$/)
    // the nearest that can be had is framed
    expect(frame(high).members.filter(({ role }) => role === 'upper-chord').length).toBeGreaterThan(0)
  })

  test('gussets longer than the chords let them be, chords of unlike thickness, walls of unlike heights', () => {
    const { truss } = begun.roof
    const leg = (mm: number) => ({ truss: { ...truss, gusset: { ...truss.gusset, leg: mm } } })
    expect(said(loft({}, leg(800)))[0]).toMatch(
      /^The chords are too short for their gussets\. Make gusset along each member .* at most\.$/,
    )
    expect(said(loft({}, { truss: { ...truss, kind: 'bottom-chord', bottom: '4x6' } }))[0]).toMatch(
      /^A truss is built flat, of boards as thick as each other\./,
    )
    const uneven = withEdit(loft(), 'walls.sides.north.height', begun.walls.height + 200)
    expect(said(uneven)[0]).toMatch(/^A gambrel, and a row of trusses, stand on two walls of one height\./)
  })
})

describe('what stands under and beside it', () => {
  test('by rafters: to a ridge board, cut plumb at it and on half the turn at the knee', () => {
    const framed = whole(loft({}, { carried: 'rafters' }))
    expect(framed.members.some(({ role }) => role === 'gusset')).toBe(false)
    const ridge = boxOf(find(framed, 'roof/ridge'))
    const upper = boxOf(find(framed, 'roof/south-high/rafter/3'))
    expect(upper.y.to).toBeCloseTo(ridge.y.from, 6)
    expect(upper.z.to).toBeCloseTo(ridge.z.to, 6)
  })

  // a wall under the knee carries rafters: a stud under each, its top plate level under both seats
  test('rafters bear on a wall under the knee, that stands on the ceiling joists', () => {
    const ceiling = { section: '2x6', height: 0, every: 1 } as const
    const framed = whole(loft({}, { carried: 'rafters', ties: { ...begun.roof.ties, ceiling } }))
    const plate = boxOf(find(framed, 'roof/south-low/knee-wall/top'))
    const rafters = framed.members.filter(({ id }) => /^roof\/south-high\/rafter\/\d+$/.test(id)).slice(1, -1)
    const studs = framed.members.filter(({ id }) => id.startsWith('roof/south-low/knee-wall/stud/'))
    expect(studs).toHaveLength(rafters.length)
    for (const [i, stud] of studs.entries()) {
      const [one, other] = [boxOf(stud).x, boxOf(rafters[i] ?? stud).x]
      expect(one.from + one.to).toBeCloseTo(other.from + other.to, 6)
    }
    // level seats of both rafters of a pair lie on the plate
    for (const id of ['roof/south-low/rafter/3', 'roof/south-high/rafter/3'])
      expect(
        find(framed, id)
          .board.faces.filter(face => face.tag.endsWith(':seat'))
          .flatMap(face => face.loops.flat())
          .map(p => toBuilding(find(framed, id).placement, p).z)
          .filter(z => Math.abs(z - plate.z.to) < 1e-6).length,
      ).toBeGreaterThanOrEqual(4)
    const foot = boxOf(find(framed, 'roof/south-low/knee-wall/bottom'))
    expect(foot.z.from).toBeCloseTo(framed.building.heights.south + 5.5 * INCH, 6)
    expect(cautionsOf(plan(loft({}, { carried: 'rafters' }))).map(({ code }) => code)).toContain(
      'knees-unborne',
    )
  })

  // about twelve nails a gusset: trade book, section 9; 30 ft of bead from a tube (common practice)
  test('nails and adhesive: six in each of two ends on every gusset, two beads along each', () => {
    const { loose } = plan(loft())
    expect(loose.find(({ code }) => code === 'gusset-nails')?.amount).toBe(9 * 6 * 2 * 6)
    expect(loose.find(({ code }) => code === 'gusset-glue')?.amount).toBe(
      Math.ceil((9 * 6 * 2 * 2 * FOOT) / (30 * FOOT)),
    )
  })

  test.each(['studs', 'raked'] as const)(
    'gable walls of %s end under the chords on both sides of the knees',
    gables => {
      const framed = whole(loft({}, {}, { walls: { ...begun.walls, gables } }))
      const studs = framed.members.filter(
        ({ where, role }) =>
          (role === 'gable-stud' || role === 'stud') &&
          where.of &&
          'id' in where.of &&
          where.of.id === 'east',
      )
      expect(studs.length).toBeGreaterThan(5)
      if (gables === 'raked') {
        const plates = framed.members
          .filter(({ id }) => /^walls\/east\/plate\/top\//.test(id))
          .map(({ id }) => id)
        expect(plates).toEqual(
          ['south-low', 'south-high', 'north-high', 'north-low'].map(face => `walls/east/plate/top/${face}`),
        )
      }
    },
  )

  test('a bottom chord lies on the plates between the lower chords, and end studs stand over it', () => {
    const framed = whole(loft({}, { truss: { ...begun.roof.truss, kind: 'bottom-chord' } }))
    const chord = boxOf(find(framed, 'roof/truss/4/bottom-chord'))
    expect(chord.z.from).toBeCloseTo(framed.building.heights.south, 9)
    // from the lower edge of one lower chord to that of the other, at the plate
    const { lower, heightAbovePlate } = framed.building.roof.gambrel ?? { lower: 0, heightAbovePlate: 0 }
    const inward = (5.5 * INCH) / Math.sin((lower * Math.PI) / 180) - heightAbovePlate / tan(lower)
    expect(chord.y.from).toBeCloseTo(inward, 6)
    expect(chord.y.to).toBeCloseTo(144 * INCH - inward, 6)
  })

  test('under lookouts the end trusses lie lower by their thickness', () => {
    const framed = whole(
      loft(
        {},
        { overhang: { eave: 8 * INCH, gable: 12 * INCH }, ends: { ...begun.roof.ends, hold: 'lookouts' } },
      ),
    )
    const ridge = (number: number): number =>
      boxOf(find(framed, `roof/truss/${number}/chord/south-high`)).z.to
    expect(ridge(2) - ridge(1)).toBeCloseTo((1.5 * INCH) / Math.cos(Math.PI / 8), 6)
  })

  test('rungs are kept clear of the knee along the slope: a ladder of some on the steep slope too', () => {
    const framed = whole(
      loft(
        {},
        {
          overhang: { eave: 8 * INCH, gable: 12 * INCH },
          ends: { ...begun.roof.ends, hold: 'ladder', barge: '1x6' },
          fascia: { sub: '2x4', face: '1x6' },
        },
      ),
    )
    const rungs = (face: string): number =>
      framed.members.filter(({ id }) => id.startsWith(`roof/${face}/rung/east/`)).length
    expect([rungs('south-low'), rungs('south-high')]).toEqual([4, 4])
    // barge boards meet on half the turn
    expect(
      find(framed, 'roof/south-high/barge/east').board.faces.some(face => face.tag.endsWith(':mitre')),
    ).toBe(true)
  })

  test('an opening in the roof lies in the slope its lower edge is on, between two trusses', () => {
    const opening = {
      kind: 'light',
      slope: 'south',
      at: 84 * INCH,
      width: 22.5 * INCH,
      length: 12 * INCH,
      plies: 1,
    } as const
    const framed = whole(loft({}, { openings: [{ ...opening, up: 38 * INCH }] }))
    const header = boxOf(find(framed, 'roof/opening/1/header/low/1'))
    expect([header.x.from, header.x.to]).toEqual([
      expect.closeTo(72.75 * INCH, 6),
      expect.closeTo(95.25 * INCH, 6),
    ])
    const cut = frame(loft({}, { openings: [{ ...opening, up: 38 * INCH, at: 96 * INCH }] }))
    expect(cut.problems.map(each => sayProblem(each, 'imperial'))).toEqual([
      `Opening 1 would cut a truss, or the lookouts beside an end one. Put its middle between 7' 0" and 7' 0".`,
    ])
    expect(cut.members.filter(({ role }) => role === 'upper-chord')).toHaveLength(18)
  })
})

test('each slope is read by itself, and its chords have their figures', () => {
  const design = loft()
  const both = readFaces(plan(design))
  const { gambrel } = workedOut(design).roof
  expect(both.map(({ face, reading }) => [face.id, reading.angle])).toEqual([
    ['south-low', expect.closeTo(67.5, 9)],
    ['south-high', expect.closeTo(22.5, 9)],
  ])
  expect(both[0]?.reading.run).toBeCloseTo(gambrel?.knee.in ?? 0, 6)
  expect(both[1]?.reading.run).toBeCloseTo(72 * INCH - (gambrel?.knee.in ?? 0), 6)
  expect((both[0]?.reading.rise ?? 0) + (both[1]?.reading.rise ?? 0)).toBeCloseTo(
    (gambrel?.peak ?? 0) - (gambrel?.heightAbovePlate ?? 0),
    6,
  )
  const shed = plan(design)
  for (const piece of shed.pieces.filter(({ role }) => role.endsWith('chord')))
    expect(cardOf(shed, piece).figures.find(({ name }) => name === 'angle')?.value).toBeCloseTo(
      piece.role === 'lower-chord' ? 67.5 : 22.5,
      6,
    )
})
