import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cautionsOf } from '../check'
import {
  type Design,
  newDesign,
  type Posts,
  readDesign,
  type Roof,
  type Side,
  usualBase,
  usualFloors,
  starters,
  usualOpening,
  usualSite,
  withEdit,
  withRoofOf,
} from '../design'
import { boardLength } from '../board'
import { FOOT } from '../measure'
import { plan, raising, stretchOf } from '../plan'
import { runs } from '../testing/designs'
import { openedSheds } from '../testing/opened'
import { clashes, touching } from '../testing/solids'
import { sayProblem } from '../words'
import { boxOf, frame, type Frame, type Member } from './index'

const base = newDesign('open', 'metric')
const side = (build: Side['build'], cover: Side['cover'] = 'open'): Side => ({
  ...base.walls.sides.south,
  build,
  cover,
})
const of = ({ members }: Frame, role: Member['role']): Member[] => members.filter(each => each.role === role)
const codes = (design: Design): string[] => frame(design).problems.map(({ code }) => code)

interface Ask {
  readonly size: readonly [length: number, width: number]
  readonly shape: Roof['shape']
  readonly high?: Roof['high']
  readonly walls: Partial<Design['walls']>
  readonly posts: Partial<Posts>
  readonly roof: Partial<Roof>
  readonly more?: Partial<Design>
}

/** A building as its file would be read, which nothing stands against and nothing overlaps in. */
function built({ size: [length, width], shape, high, walls, posts, roof, more }: Ask): Frame {
  const begun = withRoofOf({ ...base, footprint: { length, width } }, { shape, ...(high ? { high } : {}) })
  const file = {
    ...begun,
    ...more,
    walls: {
      ...begun.walls,
      gables: 'open',
      sheathing: null,
      ...walls,
      posts: { ...begun.walls.posts, plates: false, joint: 'butt', brace: 0, ...posts },
    },
    roof: { ...begun.roof, ...roof },
  }
  const read = readDesign(JSON.parse(JSON.stringify(file)))
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  const { frame: made } = plan(read.design)
  expect(made.problems.map(problem => sayProblem(problem, 'metric'))).toEqual([])
  expect(clashes([...made.members, ...made.base.parts], 1)).toEqual([])
  return made
}

/** All of a rafter's wood that lies on a side's beam, mm². */
const bearing = (made: Frame, rafter: Member, on: string): number =>
  of(made, 'wall-beam')
    .filter(({ id }) => id.startsWith(`walls/${on}/`))
    .reduce((sum, ply) => sum + touching(rafter, ply), 0)

describe('what is built every day of posts and beams', () => {
  test('a firewood shelter, 1.4 by 0.5 m, from few boards: slats behind, its ends open', () => {
    const made = built({
      size: [1400, 500],
      shape: 'single-slope',
      walls: {
        stud: '38x63',
        height: 1200,
        topPlates: 1,
        sides: {
          south: side('posts'),
          east: side('open'),
          north: side('posts', 'slats'),
          west: side('open'),
        },
      },
      posts: { post: '38x89', beam: '38x89', set: 'on-top' },
      roof: {
        rafter: '38x89',
        pitch: { rise: 2, run: 12 },
        spacing: 600,
        overhang: { eave: 100, gable: 50, high: 100 },
      },
    })
    expect(of(made, 'wall-post')).toHaveLength(4)
    expect(made.walls.map(({ name }) => name)).toEqual(['south', 'north'])
    expect(of(made, 'slat').every(({ id }) => id.startsWith('walls/north/'))).toBe(true)
    // 1,200 to the beam's top, 89 of beam
    for (const post of of(made, 'wall-post').filter(({ id }) => id.startsWith('walls/south/')))
      expect(stretchOf(post, 'z').to).toBeCloseTo(1111, 6)
  })

  test('a wood store, 6.6 by 3.3 m: two floor frames on skids, half-lapped beams in shoulders, slats', () => {
    const made = built({
      size: [6600, 3300],
      shape: 'single-slope',
      walls: {
        height: 2100,
        slats: { section: '22x100', gap: 25 },
        sides: {
          south: side('posts'),
          east: side('posts', 'slats'),
          north: side('posts', 'slats'),
          west: side('posts', 'slats'),
        },
      },
      posts: {
        post: '100x100',
        beam: '47x150',
        set: 'shoulder',
        joint: 'half-lap',
        brace: 500,
        spacing: 2200,
      },
      roof: { rafter: '47x150', pitch: { rise: 2, run: 12 } },
      more: { floor: { ...usualFloors.metric, joint: 3300 }, base: usualBase('skids', 'metric') },
    })
    // 6.5 m between the end posts' middles in bays of 2.2 at most: three
    expect(of(made, 'wall-post').filter(({ id }) => id.startsWith('walls/south/'))).toHaveLength(4)
    expect(of(made, 'slat').length).toBeGreaterThan(40)
  })

  test('a pole shelter, 5.1 by 3.9 m of round logs on ground falling 0.5 m: gravel held by skirt boards', () => {
    const points = [
      { x: 0, y: 0, reading: 0 },
      { x: 5100, y: 0, reading: -300 },
      { x: 5100, y: 3900, reading: -500 },
      { x: 0, y: 3900, reading: -200 },
    ]
    const begun = starters
      .find(({ name }) => name === 'pole-shelter')
      ?.design('Shelter', 'metric', { length: 5100, width: 3900, height: 2300 })
    const read = readDesign(
      JSON.parse(
        JSON.stringify({
          ...begun,
          site: { ...usualSite(5100, 'metric'), levels: { method: 'height', points } },
        }),
      ),
    )
    if (!read.ok) throw new Error(JSON.stringify(read.faults))
    const made = plan(read.design)
    const { frame: stood } = made
    expect(stood.problems).toEqual([])
    expect(clashes([...stood.members, ...stood.base.parts], 1)).toEqual([])
    const posts = of(stood, 'wall-post')
    const drop = (post: Member): number => {
      const { x, y } = boxOf(post)
      // the ground is a plane: 300 along, 200 across
      return (300 * (x.from + x.to)) / 2 / 5100 + (200 * (y.from + y.to)) / 2 / 3900
    }
    // 2,300 less a beam of 200 over the level, 100 and the fall down to the ground, 900 of frost less the pad
    for (const post of posts) {
      expect(post.board.blank.round).toBe(true)
      expect(boardLength(post.board)).toBeCloseTo(2300 - 200 + 100 + drop(post) + 900 - 150, 6)
      expect(boardLength(post.sawn ?? post.board)).toBeCloseTo(boardLength(post.board) + 150, 6)
    }
    expect(of(stood, 'skirt').length).toBeGreaterThan(8)
    // two bays a side, no wider than 2.4 m clear: a stake in each at 1.2 m
    expect(of(stood, 'stake')).toHaveLength(8)
    // gravel 100 deep, and what fills the fall under it, as a plane's middle is: (300 + 200) / 2
    const gravel = made.loose.find(({ code }) => code === 'gravel')
    expect(gravel?.from['fill']).toBeCloseTo((5.1 * 3.9 * 250) / 1000, 2)
    // each rafter bears on a beam of two boards that lies over the logs' middles
    for (const rafter of of(stood, 'rafter'))
      for (const on of ['south', 'north'])
        if (rafter.id.includes(`/${on}/`)) expect(bearing(stood, rafter, on) / (47 * 94)).toBeCloseTo(1, 2)
  })

  test('a porch roof, 5.2 by 2.1 m on a ledger: posts of 140, two plies, rafters at 400, blocks, wild tails', () => {
    const made = built({
      size: [5200, 2100],
      shape: 'lean-to',
      high: 'north',
      walls: {
        height: 2300,
        sides: { south: side('posts'), east: side('open'), north: side('studs'), west: side('open') },
      },
      posts: { post: '6x6', beam: '38x140', plies: 2, set: 'shoulder', spacing: 2600 },
      roof: {
        rafter: '38x89',
        spacing: 400,
        pitch: { rise: 3, run: 12 },
        ridge: '38x140',
        overhang: { eave: 300, gable: 0 },
        blocking: { ...base.roof.blocking, rows: 2 },
        tails: { ...base.roof.tails, wild: 100 },
      },
    })
    // 5.2 m at 400: 13 spaces
    const rafters = of(made, 'rafter')
    expect(rafters).toHaveLength(14)
    for (const rafter of rafters) {
      expect(bearing(made, rafter, 'south') / (38 * 76)).toBeCloseTo(1, 2)
      expect(rafter.sawn).toBeDefined()
    }
    expect(of(made, 'roof-block')).toHaveLength(26)
  })

  test('a lean-to at 3.5 in 12 on a built-up beam 89 wide: rafters of 4.7 m', () => {
    const made = built({
      size: [6000, 4220],
      shape: 'lean-to',
      high: 'north',
      walls: {
        height: 2200,
        sides: { south: side('posts'), east: side('open'), north: side('studs'), west: side('open') },
      },
      posts: { post: '6x6', beam: 'ply', plies: 2, set: 'on-top', spacing: 3000 },
      roof: {
        rafter: '47x200',
        spacing: 600,
        pitch: { rise: 3.5, run: 12 },
        ridge: '47x220',
        overhang: { eave: 400, gable: 0 },
      },
      more: { lumber: { ...base.lumber, sections: [{ name: 'ply', thickness: 44.5, depth: 235 }] } },
    })
    const [rafter] = of(made, 'rafter')
    // level 4,220 + 400 less the ledger of 47, over the slope's cosine; and the plumb cuts' own slant
    const slope = Math.atan(3.5 / 12)
    const long = (4220 + 400 - 47) / Math.cos(slope) + 200 * Math.tan(slope)
    expect((rafter?.board.end ?? 0) - (rafter?.board.start ?? 0)).toBeCloseTo(long, 3)
    expect(long).toBeGreaterThan(4700)
    for (const each of of(made, 'rafter')) expect(bearing(made, each, 'south') / (47 * 89)).toBeCloseTo(1, 2)
  })
})

describe('an open end', () => {
  const shed: Design = {
    ...base,
    footprint: { length: 16 * FOOT, width: 8 * FOOT },
    walls: { ...base.walls, sides: { ...base.walls.sides, east: side('open') } },
  }

  test('has no wall, no gable and no step of raising; what it meets runs through', () => {
    const made = frame(shed)
    expect(made.problems).toEqual([])
    expect(made.members.some(({ id }) => id.startsWith('walls/east/'))).toBe(false)
    expect(raising(plan(shed)).map(({ name }) => name)).not.toContain('east-wall')
    const plates = made.members.filter(({ id }) => /^walls\/south\/plate\/(bottom|cap)/.test(id))
    expect(Math.max(...plates.map(each => stretchOf(each, 'x').to))).toBeCloseTo(16 * FOOT, 6)
    expect(clashes(made.members, 1)).toEqual([])
    expect(cautionsOf(plan(shed)).every(({ names }) => names?.wall !== 'east')).toBe(true)
  })

  test('holds no opening, carries no roof, and no ridge beam: each is told', () => {
    const opened = { ...shed.walls, openings: [usualOpening('east', 'door', 1200, 'metric')] }
    expect(codes({ ...shed, walls: opened })).toEqual(['opening-in-open'])
    expect(codes(withEdit(shed, 'walls.sides.south.build', 'open'))).toEqual(['open-under-eave'])
    expect(codes(withRoofOf(shed, { shape: 'hip' }))).toEqual(['open-under-eave'])
    const beam = { plies: 2, post: '100x100', spacing: 2400 } as const
    expect(codes({ ...shed, roof: { ...shed.roof, beam } })).toContain('beam-unborne')
  })

  // two ends open, the beam 300 past each end post: 5,200 less 600 less a post, in two bays
  test('lets the beam reach past its end posts, as far as leaves a bay between them', () => {
    const porch = withRoofOf(
      { ...base, footprint: { length: 5200, width: 2100 } },
      { shape: 'lean-to', high: 'north' },
    )
    const design: Design = {
      ...porch,
      walls: {
        ...porch.walls,
        gables: 'open',
        posts: { ...porch.walls.posts, post: '100x100', spacing: 2600, inset: 300, brace: 0, joint: 'butt' },
        sides: { south: side('posts'), east: side('open'), north: side('studs'), west: side('open') },
      },
    }
    const made = frame(design)
    expect(made.problems).toEqual([])
    const at = of(made, 'wall-post').map(post => stretchOf(post, 'x').from)
    expect(at).toEqual([300, 2550, 4800])
    const beams = of(made, 'wall-beam').map(ply => stretchOf(ply, 'x'))
    expect(Math.min(...beams.map(({ from }) => from))).toBe(0)
    expect(Math.max(...beams.map(({ to }) => to))).toBeCloseTo(5200, 6)
    expect(clashes(made.members, 1)).toEqual([])
    // a closed end has its post in the corner
    const closed = withEdit(design, 'walls.sides.east.build', 'studs')
    expect(stretchOf(of(frame(closed), 'wall-post').at(-1) as Member, 'x').to).toBeCloseTo(5200, 6)
    const short = { ...design, footprint: { length: 800, width: 2100 } }
    const [problem] = frame(short).problems
    if (problem?.code !== 'posts-too-far-in') throw new Error('not refused')
    // 800 less two posts and 100 of bay, halved
    expect(problem.most).toBeCloseTo((800 - 300) / 2, 6)
    expect(codes(withEdit(short, 'walls.posts.inset', problem.most))).toEqual([])
  })

  test('random buildings with open ends share no wood', () => {
    fc.assert(
      fc.property(openedSheds, fc.boolean(), fc.boolean(), (design, both, posts) => {
        const ends = { east: side('open'), ...(both ? { west: side('open') } : {}) }
        const eave = posts ? { south: { ...design.walls.sides.south, build: 'posts' as const } } : {}
        const sides = { ...design.walls.sides, ...ends, ...eave }
        const made = frame({ ...design, walls: { ...design.walls, sides } })
        // a ridge that comes down into a wall is told, and framed as asked
        if (made.problems.some(({ code }) => code === 'ridge-into-wall')) return
        expect(clashes([...made.members, ...made.base.parts], 1)).toEqual([])
      }),
      { numRuns: runs(8) },
    )
  }, 3_600_000)
})
