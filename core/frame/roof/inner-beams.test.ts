import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cautionsOf } from '../../check'
import {
  type Design,
  type InnerBeam,
  type JoistBeam,
  newDesign,
  readDesign,
  type Roof,
  usualOpening,
  usualRoofOpening,
  withEdit,
  withRoofOf,
} from '../../design'
import { roofSection } from '../../drawing'
import { FOOT, INCH } from '../../measure'
import { plan, raising } from '../../plan'
import { furnishedSheds, runs } from '../../testing/designs'
import { find, inches, whole } from '../../testing/reading'
import { clashes, touching } from '../../testing/solids'
import { gambrelSheds } from '../../testing/trussed'
import { sayProblem } from '../../words'
import { boxOf, frame, type Frame, type Member } from '../index'

const base = newDesign('a beam', 'imperial')
const beam: JoistBeam = { section: '2x10', plies: 2, post: '4x4', spacing: 96 * INCH, at: null }
const purlin: InnerBeam = { section: '2x8', plies: 2, post: '4x4', spacing: 96 * INCH }
const ceiling = { section: '2x8', height: 0, every: 1 as const }

/** 20 by 16 ft, walls 83 in, ceiling joists at every rafter on a beam of two 2x10. */
const shed = (roof: Partial<Roof> = {}, walls: Partial<Design['walls']> = {}, wide = 16 * FOOT): Design => ({
  ...base,
  footprint: { length: 20 * FOOT, width: wide },
  walls: { ...base.walls, height: 83 * INCH, ...walls },
  roof: { ...base.roof, ties: { ...base.roof.ties, rafter: null, ceiling }, joistBeam: beam, ...roof },
})
/** The same by a gambrel's rafters on purlins, without joists. */
const barn = (roof: Partial<Roof> = {}, bearing: InnerBeam | null = purlin): Design => {
  const begun = withRoofOf(shed({ joistBeam: null, ties: { ...base.roof.ties, rafter: null } }), {
    shape: 'gambrel',
  })
  const gambrel = { ...begun.roof.gambrel, purlin: bearing }
  return { ...begun, roof: { ...begun.roof, carried: 'rafters', gambrel, ...roof } }
}
const ofRole = ({ members }: Frame, role: Member['role']): Member[] =>
  members.filter(member => member.role === role)
const said = (design: Design): string[] =>
  frame(design).problems.map(problem => sayProblem(problem, 'imperial'))
const codes = (design: Design): string[] => cautionsOf(plan(design)).map(({ code }) => code)
const stretch = (member: Member, axis: 'x' | 'y' | 'z'): [number, number] => {
  const { from, to } = boxOf(member)[axis]
  return [inches(from), inches(to)]
}

describe('a beam under ceiling joists', () => {
  const framed = whole(shed())
  const joists = ofRole(framed, 'ceiling-joist')

  test('lies in the middle of the building, its top under every joist, on all of its breadth', () => {
    const plies = ofRole(framed, 'joist-beam')
    // 16 ft less nothing, halved; two plies of 1 1/2 about it; 9 1/4 under the plates
    expect([...new Set(plies.map(ply => stretch(ply, 'y').join()))].sort()).toEqual(['94.5,96', '96,97.5'])
    for (const ply of plies) expect(stretch(ply, 'z')).toEqual([73.75, 83])
    expect(joists.length).toBeGreaterThan(8)
    for (const joist of joists)
      expect(plies.reduce((sum, ply) => sum + touching(joist, ply), 0)).toBeCloseTo(
        joist.section.thickness * 3 * INCH,
        0,
      )
  })

  // 231 in between the end walls' braces, posts of 3 1/2 at either end: 227 1/2 in three spaces
  test('stands on posts from the deck, one at either end, evenly within their spacing', () => {
    const posts = ofRole(framed, 'joist-post')
    expect(posts.map(post => stretch(post, 'x')[0])).toEqual([
      4.5,
      expect.closeTo(4.5 + 227.5 / 3, 3),
      expect.closeTo(4.5 + (2 * 227.5) / 3, 3),
      232,
    ])
    for (const post of posts) expect(stretch(post, 'z')).toEqual([0, 73.75])
    expect(framed.innerBeams).toHaveLength(1)
    expect(inches(framed.innerBeams[0]?.clear ?? 0)).toBeCloseTo(227.5 / 3 - 3.5, 3)
  })

  test('is joined over posts, no two plies over the same one', () => {
    const joints = ofRole(framed, 'joist-beam')
      .filter(ply => stretch(ply, 'x')[0] > 5)
      .map(ply => stretch(ply, 'x')[0])
    const middles = ofRole(framed, 'joist-post').map(post => {
      const [from, to] = stretch(post, 'x')
      return (from + to) / 2
    })
    expect(joints).toHaveLength(2)
    expect(new Set(joints).size).toBe(2)
    for (const joint of joints) expect(middles).toContainEqual(expect.closeTo(joint, 3))
  })

  test('goes up before the joists that lie on it, and says that nobody has reckoned it', () => {
    const steps = raising(plan(shed())).map(({ name }) => name)
    expect(steps.indexOf('inner-beams')).toBeGreaterThan(steps.indexOf('west-wall'))
    expect(steps.indexOf('inner-beams')).toBe(steps.indexOf('joists') - 1)
    expect(steps.indexOf('joists')).toBeLessThan(steps.indexOf('rafters'))
    expect(codes(shed())).toContain('joist-beam-unchecked')
    expect(codes(shed({ joistBeam: null }))).not.toContain('joist-beam-unchecked')
  })

  test('before a door in the end wall no post stands: the end hangs there, and that is said', () => {
    const door = usualOpening('east', 'door', 8 * FOOT, 'imperial')
    const opened = shed({}, { height: 96 * INCH, openings: [door] })
    const made = whole(opened)
    expect(made.innerBeams[0]?.hung).toEqual(['east'])
    // 235 1/2 is the end of the beam; nothing within 900 mm of it
    const last = Math.max(...ofRole(made, 'joist-post').map(post => stretch(post, 'x')[1]))
    expect(last).toBeLessThan(235.5 - 900 / 25.4)
    const hung = cautionsOf(plan(opened)).filter(({ code }) => code === 'inner-beam-hung')
    expect(hung.map(({ names }) => names?.at)).toEqual(['the east wall'])
    // beside the door a post stands as before
    expect(
      whole({ ...opened, roof: { ...opened.roof, joistBeam: { ...beam, at: 60 * INCH } } }).innerBeams,
    ).toEqual([expect.objectContaining({ hung: [] })])
  })

  test('a partition across the building parts it, with posts on either side', () => {
    const made = whole(shed({}, { partitions: [{ runs: 'width', at: 12 * FOOT }] }))
    const wall = made.members.filter(({ id }) => id.startsWith('walls/partition-1/'))
    const x = [
      Math.min(...wall.map(each => stretch(each, 'x')[0])),
      Math.max(...wall.map(each => stretch(each, 'x')[1])),
    ]
    const posts = ofRole(made, 'joist-post').map(post => stretch(post, 'x'))
    expect(posts.some(([, to]) => Math.abs(to - (x[0] ?? 0)) < 0.01)).toBe(true)
    expect(posts.some(([from]) => Math.abs(from - (x[1] ?? 0)) < 0.01)).toBe(true)
    expect(clashes(made.members, 1)).toEqual([])
  })

  test('beside a wall along the building, or a stair, it is told where it has room, either way', () => {
    const partitioned = { partitions: [{ runs: 'length' as const, at: 94 * INCH }] }
    const found = whole(shed({}, partitioned)).innerBeams[0]?.at ?? 0
    // a post 3 1/2 in across beside a wall from 94 to 97 1/2, 5 mm clear: nearer on the far side
    expect(found).toBeCloseTo(97.5 * INCH + 1.75 * INCH + 5, 1)
    const asked = shed({ joistBeam: { ...beam, at: 96 * INCH } }, partitioned)
    const [problem] = frame(asked).problems
    expect(problem).toMatchObject({
      code: 'joist-beam-no-room',
      below: expect.closeTo(94 * INCH - 1.75 * INCH - 5, 1),
      above: expect.closeTo(97.5 * INCH + 1.75 * INCH + 5, 1),
    })
    expect(said(asked)[0]).toContain('from the south wall')
    if (problem?.code !== 'joist-beam-no-room') throw new Error('another problem')
    for (const at of [problem.below, problem.above])
      expect(frame(withEdit(asked, 'roof.joistBeam.at', at)).problems).toEqual([])

    const stair = {
      ...usualRoofOpening('stair', 'south', 10 * FOOT, 0, 'imperial'),
      up: 80 * INCH,
      length: 60 * INCH,
    }
    const opened = whole(shed({ openings: [stair] }))
    expect(opened.innerBeams[0]?.at).toBeCloseTo((80 - 1.75) * INCH - 5, 1)
    expect(said(shed({ openings: [stair], joistBeam: { ...beam, at: 96 * INCH } }))[0]).toContain('a stair')
  })

  // 24 ft is more than any stock length: two boards, butted on half of the beam's breadth each
  test('carries joists that are longer than what is sold, joined over its middle', () => {
    const made = whole(shed({}, {}, 24 * FOOT))
    const parts = ofRole(made, 'ceiling-joist')
    const plies = ofRole(made, 'joist-beam')
    expect(parts.length).toBe(
      2 * ofRole(frame(shed({ joistBeam: null }, {}, 24 * FOOT)), 'ceiling-joist').length,
    )
    for (const part of parts) {
      expect([stretch(part, 'y')[0], stretch(part, 'y')[1]]).toContainEqual(144)
      expect(plies.reduce((sum, ply) => sum + touching(part, ply), 0)).toBeCloseTo(
        part.section.thickness * 1.5 * INCH,
        0,
      )
    }
    expect(codes(shed({}, {}, 24 * FOOT))).toContain('joists-joined')
    const long = cautionsOf(plan(shed({ joistBeam: null }, {}, 24 * FOOT))).find(
      ({ code }) => code === 'longer-than-stock',
    )
    expect(long?.members.some(id => id.startsWith('roof/ceiling-joist'))).toBe(true)
    expect(codes(shed())).not.toContain('joists-joined')
  })

  test('that would come down to the deck is refused with the depth that fits', () => {
    const low = shed({}, { height: 12 * INCH })
    const [problem] = frame(low).problems.filter(({ code }) => code === 'joist-beam-low')
    expect(problem).toMatchObject({ most: expect.closeTo(12 * INCH - 100, 6) })
    expect(ofRole(frame(low), 'joist-beam')).toEqual([])
  })

  test.each([
    ['one slope', { shape: 'single-slope', pitch: { rise: 2, run: 12 } }],
    ['a lean-to', { shape: 'lean-to', pitch: { rise: 2, run: 12 } }],
    ['a hip', { shape: 'hip' }],
    ["a gambrel's trusses", { shape: 'gambrel', carried: 'trusses' }],
  ] as const)('carries the joists under %s', (_, roof) => {
    const begun = withRoofOf(shed(), { shape: roof.shape })
    const made = frame({ ...begun, roof: { ...begun.roof, ...roof } })
    expect(made.problems).toEqual([])
    const plies = ofRole(made, 'joist-beam')
    expect(plies.length).toBeGreaterThan(0)
    for (const joist of ofRole(made, 'ceiling-joist'))
      expect(plies.reduce((sum, ply) => sum + touching(joist, ply), 0)).toBeGreaterThan(1000)
    expect(clashes(made.members, 1)).toEqual([])
  })
})

describe('purlins under the knees of rafters', () => {
  const framed = whole(barn())
  const plies = ofRole(framed, 'knee-purlin')

  test('lie about the corner under the rafters, on posts from the deck, without ceiling joists', () => {
    // the inner corner of a half octagon of 2x6: on the bisector, 5 1/2 / cos 22.5 from the knee
    const line = framed.building.roof.gambrel
    if (!line) throw new Error('no gambrel')
    const off = (5.5 * INCH) / Math.cos(Math.PI / 8)
    const corner = line.knee.in + off * Math.sin(Math.PI / 4)
    const at = framed.innerBeams.map(each => each.at).sort((a, b) => a - b)
    expect(at[0]).toBeCloseTo(corner, 6)
    expect(at[1]).toBeCloseTo(framed.building.footprint.width - corner, 6)
    // their top: the upper rafters' lower edges over the purlins' inner faces
    const level = framed.building.heights.south + line.knee.up - off * Math.cos(Math.PI / 4)
    const top = level + 1.5 * INCH * Math.tan(Math.PI / 8)
    for (const ply of plies) expect(boxOf(ply).z.to).toBeCloseTo(top, 6)
    for (const post of ofRole(framed, 'knee-post')) {
      expect(boxOf(post).z.from).toBe(0)
      expect(boxOf(post).z.to).toBeCloseTo(top - 7.25 * INCH, 6)
    }
    expect(ofRole(framed, 'knee-plate')).toEqual([])
  })

  test('bear both rafters of a pair on all of their breadth', () => {
    for (const side of ['south', 'north'])
      for (const number of [2, 4, 7]) {
        const pair = ['low', 'high'].map(part => find(framed, `roof/${side}-${part}/rafter/${number}`))
        const area = pair.flatMap(rafter => plies.map(ply => touching(rafter, ply)))
        expect(area.reduce((sum, each) => sum + each, 0)).toBeCloseTo(1.5 * INCH * 3 * INCH, 0)
      }
  })

  // between the posts, 3 1/2 about the purlins' middles, up to the upper rafters' lower edges there
  test('leave clear inside what the section draws: between their posts', () => {
    const drawn = roofSection(plan(barn()))
    const size = (name: string): number => drawn.dimensions.find(each => each.name === name)?.value ?? 0
    const [at = 0] = framed.innerBeams.map(each => each.at).sort((a, b) => a - b)
    const inner = at + 1.75 * INCH
    expect(size('headroom-width')).toBeCloseTo(16 * FOOT - 2 * inner, 6)
    const line = framed.building.roof.gambrel
    if (!line) throw new Error('no gambrel')
    const under = line.knee.up - (5.5 * INCH) / Math.cos(Math.PI / 8)
    expect(size('headroom-height')).toBeCloseTo(under + (inner - line.knee.in) * Math.tan(Math.PI / 8), 6)
  })

  test('stand in place of walls on the joists, and of a roof that nothing carries', () => {
    expect(codes(barn())).toContain('knee-purlins-unchecked')
    expect(codes(barn())).not.toContain('knees-unborne')
    expect(codes(barn({}, null))).toContain('knees-unborne')
    const both = frame(barn({ ties: { ...base.roof.ties, rafter: null, ceiling } }))
    expect(both.problems).toEqual([])
    expect(ofRole(both, 'knee-plate')).toEqual([])
    // posts pass between the joists
    expect(clashes(both.members, 1)).toEqual([])
    expect(frame({ ...barn(), roof: { ...barn().roof, carried: 'trusses' } }).innerBeams).toEqual([])
  })

  // half of a rafter at most is cut away over a purlin: a thicker one lies farther in
  test('lie farther in where their mouths would take more than half of the lower rafters', () => {
    const wide = whole(barn({}, { ...purlin, plies: 3 }))
    const mouths = (made: Frame, face: string): number => {
      const rafter = find(made, `roof/${face}/rafter/4`)
      return Math.max(
        ...rafter.board.faces
          .filter(each => each.tag.endsWith(':seat'))
          .flatMap(each => each.loops.flat())
          .map(p => p.y),
      )
    }
    expect(mouths(wide, 'south-high')).toBeLessThan(2.75 * INCH + 0.001)
    const three = barn({ rafter: '2x4' }, { ...purlin, plies: 3 })
    const [steep, shallow] = [Math.tan((3 * Math.PI) / 8), Math.tan(Math.PI / 8)]
    const made = whole(three)
    const line = made.building.roof.gambrel
    if (!line) throw new Error('no gambrel')
    const corner = line.knee.in + ((3.5 * INCH) / Math.cos(Math.PI / 8)) * Math.sin(Math.PI / 4)
    // outside the corner: half the depth, plumb, less the level seat, over the difference of the slopes
    const out = ((1.75 * INCH) / Math.cos((3 * Math.PI) / 8) - 4.5 * INCH * shallow) / (steep - shallow)
    const at = Math.min(...made.innerBeams.map(each => each.at))
    expect(out).toBeLessThan(2.25 * INCH)
    expect(at).toBeCloseTo(corner - out + 2.25 * INCH, 3)
  })

  test('under rafters too shallow for their mouths are refused with the depth that does', () => {
    const thick = barn({ rafter: '2x2' })
    const foot = { ...thick.roof.gambrel.foot, rule: 'on-plate' as const }
    const thin = { ...thick, roof: { ...thick.roof, gambrel: { ...thick.roof.gambrel, foot } } }
    const [problem] = frame(thin).problems
    // 2 b sin U tan L / (tan L - tan U + sin U / cos L), of a half octagon 2 b sin 22.5 tan 67.5 / 3
    const least = (2 * 3 * INCH * Math.sin(Math.PI / 8) * Math.tan((3 * Math.PI) / 8)) / 3
    expect(problem).toMatchObject({ code: 'knee-mouth-deep', least: expect.closeTo(least, 3) })
    expect(ofRole(frame(thin), 'knee-purlin')).toEqual([])
  })

  test('that would come down on the joists are refused with the depth that fits', () => {
    const low = barn({ ties: { ...base.roof.ties, rafter: null, ceiling: { ...ceiling, height: 1250 } } })
    const [problem] = frame(low).problems.filter(({ code }) => code === 'knee-purlin-low')
    if (problem?.code !== 'knee-purlin-low') throw new Error('not refused')
    const sections = [{ name: 'fits', thickness: 1.5 * INCH, depth: Math.floor(problem.most) }]
    const fits = withEdit(
      { ...low, lumber: { ...low.lumber, sections } },
      'roof.gambrel.purlin.section',
      'fits',
    )
    expect(frame(fits).problems).toEqual([])
  })
})

describe('beams inside of random buildings', () => {
  const tied = furnishedSheds
    .map(design => ({
      ...design,
      roof: {
        ...design.roof,
        joistBeam: design.roof.joistBeam ?? beam,
        ties: { rafter: null, collar: null, ceiling: design.roof.ties.ceiling ?? ceiling },
      },
    }))
    .filter(design => readDesign(JSON.parse(JSON.stringify(design))).ok)

  test('share no wood with anything, and lie under every joist that crosses them', () => {
    let stood = 0
    fc.assert(
      fc.property(tied, design => {
        const made = frame(design)
        const plies = ofRole(made, 'joist-beam')
        if (!plies.length) return
        stood += 1
        expect(clashes([...made.members, ...made.base.parts], 1)).toEqual([])
        const { at, top } = made.innerBeams[0] ?? { at: 0, top: 0 }
        for (const joist of ofRole(made, 'ceiling-joist')) {
          const { x, y, z } = boxOf(joist)
          expect(z.from).toBeCloseTo(top, 6)
          const over = plies.some(ply => boxOf(ply).x.from < x.from && boxOf(ply).x.to > x.to)
          if (!over || y.from > at - 1 || y.to < at + 1) continue
          expect(Math.max(...plies.map(ply => touching(joist, ply)))).toBeGreaterThan(1)
        }
      }),
      { numRuns: runs(8) },
    )
    expect(stood).toBeGreaterThan(0)
  }, 3_600_000)

  test('purlins carry every rafter over them', () => {
    fc.assert(
      fc.property(gambrelSheds, design => {
        const gambrel = { ...design.roof.gambrel, purlin: design.roof.gambrel.purlin ?? purlin }
        const made = frame({ ...design, roof: { ...design.roof, carried: 'rafters', gambrel } })
        const plies = ofRole(made, 'knee-purlin')
        if (!plies.length) return
        expect(clashes([...made.members, ...made.base.parts], 1)).toEqual([])
        for (const rafter of ofRole(made, 'rafter')) {
          const { x, y, z } = boxOf(rafter)
          const under = plies.filter(ply => {
            const box = boxOf(ply)
            const along = box.x.from < x.from + 1 && box.x.to > x.to - 1
            return along && box.y.from > y.from && box.y.to < y.to && box.z.to > z.from && box.z.to < z.to
          })
          if (under.length) expect(Math.max(...under.map(ply => touching(rafter, ply)))).toBeGreaterThan(1)
        }
      }),
      { numRuns: runs(8) },
    )
  }, 3_600_000)
})
