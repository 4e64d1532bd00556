import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import {
  type Design,
  type Hang,
  newDesign,
  type Part,
  partDesign,
  partKinds,
  readDesign,
  sidesFor,
  starters,
  usualBase,
  usualFloors,
  usualSides,
  withEdit,
  withoutPart,
  withPartOf,
  withValue,
} from '../../design'
import { cautionsOf } from '../../check'
import { boxOf, type Member, type Part as FramePart, standingBoards, withHung } from '../../frame'
import { toBuilding, vec, type Vec3 } from '../../geometry'
import { INCH } from '../../measure'
import { standingIn, type Whole, whole, wholeMembers } from '../../plan'
import { turnOf } from '../../survey'
import { isTried, runs } from '../../testing/designs'
import { partedFiles } from '../../testing/documented'
import { asTold, nameOf, toldNumbers } from '../../testing/remedies'
import { clashes, touching } from '../../testing/solids'
import { sayProblem } from '../../words'

/** A shed of 4 x 3 m under a gable of 6 in 12, tails out 300 mm, nothing on their ends or on its walls. */
const plain = newDesign('shed', 'metric')
const shed: Design = {
  ...plain,
  footprint: { length: 4000, width: 3000 },
  walls: { ...plain.walls, height: 2400, sheathing: null },
  roof: {
    ...plain.roof,
    ...{ pitch: { rise: 6, run: 12 }, rafter: '47x150', ridge: '47x200', tail: 'plumb' },
    overhang: { eave: 300, gable: 0 },
    fascia: { sub: null, face: null },
    seat: { rule: 'height-above-plate', height: 120 },
  },
}

/** The shed with one part, as it begins but for what is asked of it. */
function having(
  kind: 'lean-to' | 'porch',
  side: Hang['side'],
  change: (part: Part) => Part = at => at,
): Design {
  const at = withPartOf(shed, kind, side, 'Part')
  return { ...at, parts: at.parts.map(change) }
}
const lean = (side: Hang['side'], hang: Partial<Hang>, roof: Partial<Part['roof']> = {}): Design =>
  having('lean-to', side, part => ({
    ...part,
    hang: { ...part.hang, ...hang },
    footprint: { length: 3000, width: 1800 },
    walls: { ...part.walls, height: 1900 },
    roof: {
      ...part.roof,
      ...{ pitch: { rise: 3, run: 12 }, rafter: '47x125', ridge: '47x150', ...roof },
      ...{ seat: { rule: 'height-above-plate', height: 100 }, fascia: { sub: null, face: null } },
    },
  }))

const partOf = (at: Whole) => {
  const [part] = at.parts
  if (!part) throw new Error('no part')
  return part
}
const heightsOf = (design: Design) => partOf(whole(design)).plan.building.heights
const codesOf = (design: Design): string[] =>
  partOf(whole(design)).plan.frame.problems.map(({ code }) => code)
const standing = (design: Design, id: string): Member => {
  const found = standingIn(partOf(whole(design))).find(each => each.id === `part-1/${id}`)
  if (!found) throw new Error(`${id} is not there`)
  return found
}

describe('what a lean-to hangs at', () => {
  // closed form: the slope passes under the tail's lower corner, plumb under the roof line at its end
  const cos = Math.cos(Math.atan(0.5))
  const tailFoot = 2400 + 120 - 300 * 0.5 - 150 / cos

  test('under an eave: as high as its slope goes under the lowest corner of the tails, less what stays clear', () => {
    const [gap, thick] = [50, 47]
    const { north, south } = heightsOf(lean('south', { by: 'eave', gap }))
    expect(north).toBeCloseTo(tailFoot - gap + (300 - thick) * 0.25, 6)
    // and its posts are as high as the slope leaves them: run from the wall to the ledger's face
    expect(south).toBeCloseTo(north - 100 - (1800 - thick) * 0.25, 6)
    expect(codesOf(lean('south', { by: 'eave', gap }))).toEqual([])
  })

  test('a height typed for its low side lets the pitch follow, and the ledger stays under the eave', () => {
    const asked = lean('south', { by: 'eave', gap: 50 })
    const typed = withHung(asked, 0, part => withEdit(part, 'walls.height', 1700))
    const { plan } = partOf(whole(typed))
    const { north, south } = plan.building.heights
    const slope = plan.building.roof.pitch.rise / plan.building.roof.pitch.run
    expect(south).toBe(1700)
    expect(north).toBeCloseTo(1700 + 100 + (1800 - 47) * slope, 6)
    expect(north).toBeCloseTo(tailFoot - 50 + (300 - 47) * slope, 6)
    // a pitch typed again lets the posts follow
    const again = withHung(typed, 0, part => withEdit(part, 'roof.pitch', { rise: 3, run: 12 }))
    expect(heightsOf(again).north).toBeCloseTo(heightsOf(asked).north, 6)
    expect(heightsOf(again).south).toBeCloseTo(heightsOf(asked).south, 6)
  })

  test('a height typed for the ledger is what it hangs at, and nothing else moves', () => {
    const asked = lean('south', { by: 'eave', gap: 50 })
    const before = heightsOf(asked)
    const typed = withHung(asked, 0, part => withEdit(part, 'walls.sides.north.height', 2200))
    expect(typed.parts[0]?.hang.by).toBe('height')
    expect(heightsOf(typed)).toMatchObject({ north: 2200 })
    expect(heightsOf(typed).south).toBeCloseTo(before.south, 6)
  })

  test('a slope carried on begins where the main one ends at the wall, and the tails there are gone', () => {
    const design = lean('south', { by: 'slope' })
    const at = whole(design)
    // the main roof line at the ledger's outer face
    expect(heightsOf(design).north).toBeCloseTo(2400 + 120 - 47 * 0.5, 6)
    const tail = at.main.frame.members.find(({ id }) => id === 'roof/south/rafter/1')
    const other = at.main.frame.members.find(({ id }) => id === 'roof/north/rafter/1')
    expect(tail && boxOf(tail).y.from).toBeCloseTo(0, 6)
    expect(other && boxOf(other).y.to).toBeCloseTo(3300, 6)
    expect(codesOf(design)).toEqual([])
  })

  test('only a wall without an eave has no slope to carry on', () => {
    expect(codesOf(lean('east', { by: 'slope' }))).toContain('hang-no-eave')
    const hipped = withValue(lean('south', { by: 'slope' }), 'roof.shape', 'hip')
    expect(codesOf(hipped)).toContain('hang-no-eave')
  })

  test('each rafter bears on its beam over the full width of the beam', () => {
    const at = whole(lean('north', { by: 'eave' }))
    const { members } = partOf(at).plan.frame
    const beams = members.filter(({ role }) => role === 'wall-beam')
    const rafters = members.filter(({ role }) => role === 'rafter')
    expect(rafters.length).toBeGreaterThan(5)
    for (const rafter of rafters) {
      const area = beams.reduce((sum, beam) => sum + touching(rafter, beam), 0)
      // 47 mm of rafter on two plies of 47 mm
      expect(area).toBeCloseTo(47 * 94, 0)
    }
  })
})

describe('where a part stands', () => {
  // by hand: the ledger against the wall, the beam's outside a span away from it
  test.each([
    ['south', { x: [500, 3500], y: [-47, 0] }, { y: [-1800, -1706] }],
    ['north', { x: [500, 3500], y: [3000, 3047] }, { y: [4706, 4800] }],
    ['east', { x: [4000, 4047], y: [0, 3000] }, { x: [5706, 5800] }],
    ['west', { x: [-47, 0], y: [0, 3000] }, { x: [-1800, -1706] }],
  ] as const)('on the %s', (side, ledger, beam) => {
    const along = side === 'south' || side === 'north' ? 500 : 0
    const design = lean(side, { by: 'height', along })
    const found = boxOf(standing(design, 'roof/ledger'))
    for (const [axis, [from, to]] of Object.entries(ledger)) {
      expect(found[axis as 'x' | 'y'].from).toBeCloseTo(from, 6)
      expect(found[axis as 'x' | 'y'].to).toBeCloseTo(to, 6)
    }
    const plies = standingIn(partOf(whole(design))).filter(({ role }) => role === 'wall-beam')
    for (const [axis, [from, to]] of Object.entries(beam)) {
      expect(Math.min(...plies.map(each => boxOf(each)[axis as 'x' | 'y'].from))).toBeCloseTo(from, 6)
      expect(Math.max(...plies.map(each => boxOf(each)[axis as 'x' | 'y'].to))).toBeCloseTo(to, 6)
    }
  })

  test('outside of the sheets on the wall, and it goes where the main part goes', () => {
    const sheathed = withValue(lean('east', { by: 'height' }), 'walls.sheathing', {
      ...{ thickness: 12, sheet: { length: 2440, width: 1220 }, way: 'upright' },
      ...{ top: 'under-tails', drop: 0 },
    })
    expect(boxOf(standing(sheathed, 'roof/ledger')).x.from).toBeCloseTo(4012, 6)
    const longer = withValue(sheathed, 'footprint.length', 5000)
    expect(boxOf(standing(longer, 'roof/ledger')).x.from).toBeCloseTo(5012, 6)
    expect(heightsOf(longer)).toEqual(heightsOf(sheathed))
  })

  test('a ledger past its wall, across an opening, or too long is told, with where it has room', () => {
    expect(codesOf(lean('south', { along: 1100 }))).toContain('hang-past-wall')
    expect(codesOf(lean('south', { along: 1000 }))).not.toContain('hang-past-wall')
    const long = withValue(lean('east', {}), 'parts.0.footprint.length', 3100)
    expect(codesOf(long)).toContain('hang-too-long')
    const door = withValue(lean('south', { by: 'height' }), 'walls.openings', [
      {
        ...{ wall: 'south', kind: 'door', at: 1500, foot: 0, clearance: { width: 20, height: 20 } },
        ...{ unit: { width: 800, height: 2080 }, header: { section: '38x140', plies: 2 } },
      },
    ])
    const low = withHung(withValue(door, 'parts.0.walls.height', 1500), 0, part =>
      withEdit(part, 'walls.sides.north.height', 2000),
    )
    expect(codesOf(low)).toContain('ledger-over-opening')
    expect(codesOf(withHung(low, 0, part => withEdit(part, 'walls.sides.north.height', 2270)))).not.toContain(
      'ledger-over-opening',
    )
  })

  test('on a slope it stands on the same ground: its posts are as long as their own ground asks', () => {
    // the ground falls 1 in 10 to the south
    const levels = [
      { x: 0, y: 0, reading: 1300 },
      { x: 4000, y: 0, reading: 1300 },
      { x: 0, y: 3000, reading: 1000 },
      { x: 4000, y: 3000, reading: 1000 },
    ]
    const base = starters.find(({ name }) => name === 'garden-shed')
    const begun = base?.design('on a slope', 'metric', base.usual.metric)
    if (!begun) throw new Error('no shed')
    const sited: Design = {
      ...begun,
      footprint: { length: 4000, width: 3000 },
      site: {
        ...{ reference: { kind: 'line', length: 4000 }, boundaries: [], finds: [] },
        place: { faces: 'south', along: 0, near: 3000, far: 3000 },
        squaring: { held: 'south', tapes: {}, triangle: null, tolerance: { good: 3, fair: 6 } },
        levels: { method: 'rod', points: levels },
      },
    }
    const at = whole(withPartOf(sited, 'lean-to', 'south', 'Part'))
    const { plan, pose } = partOf(at)
    const spot = { x: 2000, y: -900 }
    const inPart = { x: spot.x - pose.origin.x, y: spot.y - pose.origin.y }
    expect(plan.frame.ground.at(inPart) + pose.origin.z).toBeCloseTo(at.main.frame.ground.at(spot), 6)
    const feet = Object.values(plan.frame.base.feet)
    expect(feet.length).toBeGreaterThan(1)
    // a frost depth under the ground at the posts, that lies on one level along the slope
    for (const foot of feet) expect(foot).toBeCloseTo(feet[0] ?? 0, 6)
  })
})

describe('what lies in the ground about a part', () => {
  // a cable found beside a post of the part, seen from the line by two tapes: as far from the hole's edge as
  // from its middle, less half the hole
  test.each([
    ['south', 'south', 3000, 3000],
    ['north', 'south', 3000, 3600],
    ['east', 'east', 2500, 3300],
    ['west', 'north', 4000, 3500],
  ] as const)('is told at its holes: on the %s, the %s facing the line', (side, faces, near, far) => {
    const offered = starters.find(({ name }) => name === 'garden-shed')
    const begun = offered?.design('placed', 'metric', offered.usual.metric)
    if (!begun) throw new Error('no shed')
    const length = 6000
    const sited = (find: { readonly x: number; readonly y: number } | null): Design => ({
      ...begun,
      site: {
        reference: { kind: 'line', length },
        boundaries: [],
        place: { faces, along: 1200, near, far },
        squaring: { held: 'south', tapes: {}, triangle: null, tolerance: { good: 3, fair: 6 } },
        levels: { method: 'rod', points: [] },
        finds: find
          ? [
              {
                name: 'Cable',
                kind: 'electric',
                clear: 1000,
                places: [
                  {
                    from: 'line',
                    toLeft: Math.hypot(find.x, find.y),
                    toRight: Math.hypot(find.x - length, find.y),
                    lies: 'ahead',
                  },
                ],
              },
            ]
          : [],
      },
    })
    const having = (find: { readonly x: number; readonly y: number } | null) =>
      whole(withPartOf(sited(find), 'lean-to', side, 'Part'))
    const { pose, plan: bare } = partOf(having(null))
    const [hole] = bare.frame.base.holes
    const turn = turnOf({ faces, along: 1200, near, far }, begun.footprint.length, begun.footprint.width)
    if (!hole || !turn) throw new Error('no hole')
    const middle = turn.toSite(toBuilding(pose, { x: hole.x, y: hole.y, z: 0 }))
    const at = having({ x: middle.x + 300, y: middle.y + 400 })
    const told = cautionsOf(partOf(at).plan).find(({ code }) => code === 'near-buried')
    expect(told?.numbers['distance']).toBeCloseTo(500 - hole.diameter / 2, 3)
    expect(told?.names?.['find']).toBe('Cable')
    expect(cautionsOf(partOf(having(null)).plan).map(({ code }) => code)).not.toContain('near-buried')
  })
})

describe('a porch under the same roof', () => {
  const porch = having('porch', 'east')
  test('has rafters and ridge in line with the main ones, and neither has an overhang between them', () => {
    const design = withValue(porch, 'roof.overhang.gable', 250)
    const at = whole(design)
    const parts = standingIn(partOf(at))
    const main = at.main.frame.members
    const of = (all: readonly Member[], role: string) => all.filter(each => each.role === role)
    const [ridge] = of(main, 'ridge')
    const [on] = of(parts, 'ridge')
    if (!ridge || !on) throw new Error('no ridge')
    expect(boxOf(on).z.to).toBeCloseTo(boxOf(ridge).z.to, 6)
    expect(boxOf(on).y.from).toBeCloseTo(boxOf(ridge).y.from, 6)
    expect(boxOf(ridge).x.to).toBeCloseTo(4000, 6)
    expect(boxOf(on).x.from).toBeCloseTo(4000, 6)
    expect(boxOf(on).x.to).toBeCloseTo(5500 + 250, 6)
    const [rafter] = of(main, 'rafter')
    for (const each of of(parts, 'rafter')) {
      expect(boxOf(each).z.to).toBeCloseTo(rafter ? boxOf(rafter).z.to : 0, 6)
      expect(boxOf(each).z.from).toBeCloseTo(rafter ? boxOf(rafter).z.from : 0, 6)
    }
    expect(codesOf(design)).toEqual([])
    expect(clashes([...wholeMembers(at)])).toEqual([])
  })

  test('what is changed of its roof is changed of the main one, its own openings alone are its own', () => {
    const steep = withHung(porch, 0, part => withEdit(part, 'roof.pitch', { rise: 9, run: 12 }))
    expect(steep.roof.pitch).toEqual({ rise: 9, run: 12 })
    const high = withHung(porch, 0, part => withEdit(part, 'walls.height', 2500))
    expect(high.walls.height).toBe(2500)
    const deep = withHung(porch, 0, part => withEdit(part, 'footprint.length', 2000))
    expect([deep.footprint.length, deep.parts[0]?.footprint.length]).toEqual([4000, 2000])
    const lit = withHung(porch, 0, part => ({
      ...part,
      roof: {
        ...part.roof,
        openings: [{ kind: 'light', slope: 'south', at: 700, up: 900, width: 300, length: 400, plies: 1 }],
      },
    }))
    expect([lit.roof.openings.length, lit.parts[0]?.roof.openings.length]).toEqual([0, 1])
  })

  test('stands on the porch of the floor, and says where that is too short', () => {
    const shedOnFloor = starters.find(({ name }) => name === 'garden-shed')
    const begun = shedOnFloor?.design('shed', 'metric', shedOnFloor.usual.metric)
    if (!begun) throw new Error('no shed')
    const built = withPartOf(begun, 'porch', 'east', 'Porch')
    expect(codesOf(built)).toEqual([])
    const post = boxOf(standing(built, 'walls/south/post/1'))
    const deck = whole(built).main.frame.members.filter(({ where }) => where.in === 'porch')
    expect(post.z.from).toBeCloseTo(Math.max(...deck.map(each => boxOf(each).z.to)), 6)
    expect(codesOf(withHung(built, 0, part => withEdit(part, 'footprint.length', 2000)))).toContain(
      'part-past-porch',
    )
    // as deep as its porch: the last posts stand flush with the porch's edge, whatever covers the wall
    const depth = built.floor?.porch?.depth ?? NaN
    const flush = withHung(built, 0, part => withEdit(part, 'footprint.length', depth))
    expect(codesOf(flush)).toEqual([])
    const porch = whole(flush).main.frame.members.filter(({ where }) => where.in === 'porch')
    const edge = Math.max(...porch.map(each => boxOf(each).x.to))
    const posts = standingIn(partOf(whole(flush))).filter(({ role }) => role === 'wall-post')
    expect(Math.max(...posts.map(each => boxOf(each).x.to))).toBeCloseTo(edge, 6)
    expect(clashes([...wholeMembers(whole(flush))])).toEqual([])
    expect(codesOf(withHung(built, 0, part => withEdit(part, 'footprint.length', depth + 1)))).toContain(
      'part-past-porch',
    )
    expect(codesOf({ ...built, floor: begun.floor })).toContain('part-on-nothing')
  })

  test('runs on past a gable alone', () => {
    expect(codesOf(withValue(porch, 'roof.shape', 'hip'))).toContain('hang-no-end')
    expect(readDesign(withValue(porch, 'parts.0.hang.side', 'south'))).toMatchObject({
      ok: false,
      faults: [{ path: 'parts.0.hang.side', code: 'not-one-of' }],
    })
  })
})

describe('a building of parts', () => {
  test('nothing changed is the same building, and a part changed leaves the others as they were', () => {
    const design = lean('south', { by: 'eave' })
    expect(withHung(design, 0, part => part)).toBe(design)
    expect(withHung(design, 3, part => withValue(part, 'walls.height', 1))).toBe(design)
    const named = withHung(design, 0, part => ({ ...part, name: 'Store' }))
    expect([named.name, named.parts[0]?.name]).toEqual(['shed', 'Store'])
    expect(named.walls).toBe(design.walls)
    const units = withHung(design, 0, part => ({ ...part, units: 'imperial' }))
    expect(units.units).toBe('imperial')
    expect(withoutPart(design, 0).parts).toEqual([])
    expect(partDesign(design, 0)).toMatchObject({ units: 'metric', site: null, parts: [] })
    expect(() => partDesign(design, 1)).toThrow(RangeError)
  })

  test('parts whose frames stand flush run into each other by what covers one of them', () => {
    const [first] = lean('south', {}).parts
    if (!first) throw new Error('no part')
    const told = (siding: Part['walls']['siding']) => {
      const parts = [0, 1500].map((along, i): Part => ({
        ...first,
        hang: { ...first.hang, along },
        footprint: { length: 1500, width: 1800 },
        walls: {
          ...first.walls,
          siding: i === 0 ? siding : null,
          sides: { ...usualSides, east: { ...usualSides.east, build: 'studs' } },
        },
      }))
      const at = whole({ ...shed, parts })
      const codes = at.parts.flatMap(({ plan }) => plan.frame.problems.map(({ code }) => code))
      return [codes, clashes(wholeMembers(at)).length > 0]
    }
    expect(told(null)).toEqual([[], false])
    expect(told({ kind: 'lapped', section: '22x150', exposure: 120 })).toEqual([['parts-meet'], true])
  })

  test('parts that run into each other are told', () => {
    const one = withPartOf(shed, 'lean-to', 'south', 'One')
    const two = whole(withPartOf(one, 'lean-to', 'south', 'Two'))
    expect(two.parts.map(({ plan }) => plan.frame.problems.map(({ code }) => code))).toEqual([
      [],
      ['parts-meet'],
    ])
  })

  test('faults of a part are told with its path', () => {
    const at = (path: string, value: unknown) => readDesign(withValue(lean('south', {}), path, value))
    for (const [path, value, code] of [
      ['parts.0.roof.rafter', 'no such', 'no-section'],
      ['parts.0.hang.by', 'nails', 'not-one-of'],
      ['parts.0.hang.gap', 9000, 'too-large'],
      ['parts.0.roof.shape', 'gable', 'not-one-of'],
      ['parts.0.walls.height', 'high', 'wrong-type'],
      ['hang', { side: 'south', by: 'eave', along: 0, gap: 0 }, 'wrong-type'],
    ] as const)
      expect([path, at(path, value)]).toMatchObject([path, { ok: false, faults: [{ path, code }] }])
  })

  test('a file of the version before is a building of one part, its boards as they were', () => {
    for (const file of ['nest-box-workshop', 'punt-house']) {
      const read = readDesign(JSON.parse(readFileSync(`core/design/fixtures/version-2-${file}.json`, 'utf8')))
      if (!read.ok) throw new Error('refused')
      const at = whole(read.design)
      expect([at.parts, at.design.parts]).toEqual([[], []])
      expect(wholeMembers(at)).toEqual(standingBoards(at.main.frame))
    }
  })

  test('every kind of part begins on every side of every building with no overlap; what is told is an opening', () => {
    let turn = 0
    for (const starter of starters)
      for (const yard of ['imperial', 'metric'] as const) {
        const begun = starter.design(starter.name, yard, starter.usual[yard])
        for (const kind of partKinds)
          for (const side of sidesFor(begun, kind)) {
            if (!isTried(turn++)) continue
            const at = whole(withPartOf(begun, kind, side, 'Part'))
            const codes = partOf(at).plan.frame.problems.map(({ code }) => code)
            expect([starter.name, kind, side, codes.filter(code => code !== 'ledger-over-opening')]).toEqual([
              ...[starter.name, kind, side],
              [],
            ])
          }
      }
  })
})

/** What the parts of a building stand on that is not sawn, each where it is in the whole. */
const basesOf = ({ main, parts }: Whole): FramePart[] => [
  ...main.frame.base.parts,
  ...parts.flatMap(({ id, plan, pose }) =>
    plan.frame.base.parts.map(part => {
      const [a, b] = [part.low, part.high].map(p => toBuilding(pose, p)) as [Vec3, Vec3]
      const ends = (pick: (...two: number[]) => number): Vec3 =>
        vec(pick(a.x, b.x), pick(a.y, b.y), pick(a.z, b.z))
      return { ...part, id: `${id}/${part.id}`, low: ends(Math.min), high: ends(Math.max) }
    }),
  ),
]

/** Concrete is cast about what stands in it: a slab about piers and posts, a footing about a post. */
const isCast = new RegExp(
  String.raw`base/(slab|pier|pad)\S* and (part-\d/)?(base/(pier|pad|post|block)|walls/\S*post)|` +
    String.raw`(base/(pier|pad|post|block)|walls/\S*post)\S* and (part-\d/)?base/(slab|pier|pad)`,
)

/** What a building of parts is told that leaves its boards where they can't be. */
const misplaced = /^hang-|^parts-|^part-|^ledger-over|^ridge-into-wall/

describe('any documented building of parts', () => {
  const read = (file: unknown): Design => {
    const found = readDesign(JSON.parse(JSON.stringify(file)))
    expect(found.ok ? found.dropped : found.faults).toEqual([])
    if (!found.ok) throw new Error('refused')
    return found.design
  }

  test('holds no two boards in one place: no overlap over 1 mm³, where its parts can hang as asked', () => {
    let hung = 0
    fc.assert(
      fc.property(partedFiles, file => {
        const at = whole(read(file))
        const plans = [at.main, ...at.parts.map(({ plan }) => plan)]
        if (plans.some(({ frame }) => frame.problems.some(({ code }) => misplaced.test(code)))) return
        hung++
        expect(clashes([...wholeMembers(at), ...basesOf(at)]).filter(each => !isCast.test(each))).toEqual([])
      }),
      { numRuns: runs(60), endOnFailure: true },
    )
    expect(hung).toBeGreaterThan(runs(60) / 8)
  }, 3_600_000)

  test('is told why a part can’t be with a remedy; each number told, typed, solves what it is told of', () => {
    fc.assert(
      fc.property(partedFiles, file => {
        const design = read(file)
        for (const [k, { plan }] of whole(design).parts.entries())
          for (const problem of plan.frame.problems) {
            const said = sayProblem(problem, design.units)
            expect(said).toMatch(/^[A-Z].*\. .*\.$/s)
            expect(said).not.toMatch(/NaN|undefined|Infinity|null/)
            if (!misplaced.test(problem.code)) continue
            for (const [, mm] of toldNumbers(problem, plan.design)) {
              const next = read(withHung(design, k, part => asTold(part, problem, mm) ?? part))
              const after = whole(next).parts[k]?.plan.frame.problems ?? []
              expect([said, mm, after.filter(other => nameOf(other) === nameOf(problem))]).toEqual([
                said,
                mm,
                [],
              ])
            }
          }
      }),
      { numRuns: runs(60), endOnFailure: true },
    )
  }, 3_600_000)
})

describe('what parts stand on', () => {
  /** The shed on a base with a closed part on a slab that lies so much lower, on its north side. */
  const annexed = (base: object, lift: number): Design => {
    const begun = withPartOf(
      { ...shed, base: base as Design['base'], floor: usualFloors.metric },
      'lean-to',
      'north',
      'Annex',
    )
    const side = { ...usualSides.south, build: 'studs' as const }
    const slab = { ...usualBase('slab', 'metric'), lift } as Design['base']
    return {
      ...begun,
      parts: begun.parts.map(part => ({
        ...part,
        base: slab,
        floor: null,
        walls: { ...part.walls, sides: { south: side, east: side, north: side, west: side } },
      })),
    }
  }
  const told = (at: Whole) => partOf(at).plan.frame.problems.filter(({ code }) => code === 'part-meets-base')
  const shared = (at: Whole): string[] =>
    clashes([...wholeMembers(at), ...basesOf(at)]).filter(each => !isCast.test(each))

  // a pier 300 mm wide under a beam at the wall's outside reaches 130 mm past it
  test('a wall of a part that comes down on the main part’s pier is told how high to hold its floor', () => {
    const piers = { ...usualBase('piers', 'metric'), lift: 200, diameter: 350 }
    const low = annexed(piers, 60)
    expect(shared(whole(low)).length).toBeGreaterThan(0)
    const [problem] = told(whole(low))
    if (problem?.code !== 'part-meets-base' || problem.least === null) throw new Error('nothing told')
    expect(problem).toMatchObject({ path: 'base.lift', theirs: 'pier', other: null })
    const raised = annexed(piers, problem.least)
    expect(told(whole(raised))).toEqual([])
    expect(shared(whole(raised))).toEqual([])
    expect(told(whole(annexed(piers, problem.least - 5)))).toHaveLength(1)
  })

  test('what lies under the main part’s slab has to pass it too: the height told clears both', () => {
    // a slab of 100, its top 300 over the ground, 200 past the walls; the part's plates lie under it, its
    // studs stand in it
    const slab = { ...usualBase('slab', 'metric'), lift: 300, beyond: 200, thickness: 100 }
    for (const lift of [152, 190, 250]) {
      const low = annexed(slab, lift)
      const [problem] = told(whole(low))
      if (problem?.code !== 'part-meets-base' || problem.least === null) continue
      expect(problem.least).toBeCloseTo(300, 6)
      expect(told(whole(annexed(slab, problem.least)))).toEqual([])
    }
    expect(told(whole(annexed(slab, 152)))).toHaveLength(1)
  })

  test('a slab lies up to the wall it hangs on, and up to a slab that reaches out from under that', () => {
    const slabOf = (main: Design['base'], lift: number) => {
      const begun = withPartOf({ ...shed, base: main }, 'lean-to', 'north', 'Annex')
      const base = { ...usualBase('slab', 'metric'), beyond: 80, lift } as Design['base']
      const at = whole({ ...begun, parts: begun.parts.map(part => ({ ...part, base, floor: null })) })
      const slab = basesOf(at).find(({ id }) => id === 'part-1/base/slab')
      if (!slab) throw new Error('no slab')
      return { south: slab.low.y, north: slab.high.y, east: slab.high.x }
    }
    const alone = slabOf(null, 100)
    expect(alone.south).toBeCloseTo(3000, 6)
    const main = { ...usualBase('slab', 'metric'), beyond: 100, lift: 100 } as Design['base']
    expect(slabOf(main, 100)).toMatchObject({ south: expect.closeTo(3100, 6) })
    // on the other sides it reaches out as asked
    expect(slabOf(main, 100).north).toBeCloseTo(alone.north, 6)
  })

  // posts of 150 mm side by side, each in a hole of 400
  test('holes that run into each other are dug as one, and that is said', () => {
    const pole = starters.find(({ name }) => name === 'pole-shelter')
    if (!pole) throw new Error('no pole shelter')
    const at = whole(withPartOf(pole.design('a', 'metric', pole.usual.metric), 'porch', 'east', 'Porch'))
    const { plan } = partOf(at)
    expect(plan.frame.problems).toEqual([])
    const said = cautionsOf(plan).find(({ code }) => code === 'holes-as-one')
    expect(said?.numbers).toMatchObject({ count: 2, apart: expect.closeTo(150, 6), wide: 400 })
    expect(cautionsOf(at.main).some(({ code }) => code === 'holes-as-one')).toBe(false)
  })
})

test('a lean-to of 4.7 m rafters at 3.5 in 12 on a beam 89 mm wide hangs on a shed', () => {
  const pitch = { rise: 3.5, run: 12 }
  const slope = 3.5 / 12
  // rafters of 4.7 m long point to long point, tails of 300 mm: the span between
  const width = 4700 / Math.hypot(1, slope) - 300
  const tall = { ...shed, walls: { ...shed.walls, height: 3600 } }
  const begun = withPartOf({ ...tall, footprint: { length: 6000, width: 3000 } }, 'lean-to', 'south', 'Store')
  const design: Design = {
    ...begun,
    parts: begun.parts.map(part => ({
      ...part,
      footprint: { length: 6000, width },
      walls: { ...part.walls, posts: { ...part.walls.posts, beam: '38x235', plies: 2, post: '150x150' } },
      roof: { ...part.roof, pitch, rafter: '47x220', ridge: '47x220', overhang: { eave: 300, gable: 0 } },
    })),
    lumber: { ...begun.lumber, sections: [{ name: '38x235', thickness: 44.5, depth: 235 }] },
  }
  const at = whole(design)
  const plan = partOf(at).plan
  expect(plan.frame.problems).toEqual([])
  const piece = plan.pieces.find(({ role }) => role === 'rafter')
  expect(Math.abs((piece?.length ?? 0) - 4700)).toBeLessThan(2.5 * INCH)
})
