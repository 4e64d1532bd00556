import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { type Design, newDesign, readDesign, usualOpening } from '../../design'
import { INCH } from '../../measure'
import { liftingOf, plan, platePair, raising, stretchOf } from '../../plan'
import { runs } from '../../testing/designs'
import { openedSheds } from '../../testing/opened'
import { clashes } from '../../testing/solids'
import { sayProblem } from '../../words'
import { frame, type Frame } from '../index'
import { inches } from '../../testing/reading'

const base = newDesign('a', 'imperial')
/** 12 by 8 ft, walls 83 in, 2x4 at 16 in. */
const inside = (partitions: Design['walls']['partitions'], walls: Partial<Design['walls']> = {}): Design => ({
  ...base,
  footprint: { length: 144 * INCH, width: 96 * INCH },
  walls: { ...base.walls, height: 83 * INCH, partitions, ...walls },
})
const marks = (made: Frame, wall: 'south' | 'partition-1'): string[] =>
  platePair(made, wall).marks.map(mark => `${mark.letter}${inches(mark.from)}`)

describe('a partition', () => {
  // under a roof that can't be framed the walls asked to be raked are level, and lap: the gables run through,
  // and the eave walls' end studs stand inside them
  test('near a corner is held against the walls as they are framed', () => {
    const design = inside([{ runs: 'width', at: 5.7 * INCH }], {
      gables: 'raked',
      through: 'gables',
      sides: { ...base.walls.sides, north: { ...base.walls.sides.north, height: 83 * INCH } },
    })
    const made = frame({ ...design, roof: { ...design.roof, shape: 'single-slope' } })
    expect(made.problems.map(problem => problem.code)).toEqual(
      expect.arrayContaining(['slope-falls', 'partition-no-room']),
    )
    expect(clashes(made.members)).toEqual([])
  })

  // Across, its west face at 70: plates 3 1/2 to 92 1/2 between the eave walls (89 in); studs on the layout
  // of the corner: 15 1/4 - 3 1/2 = 11 3/4 …; end studs at 0 and 87 1/2. South wall: its two studs show an
  // inch past its faces: 69 and 70 + 3 1/2 + 1 - 1 1/2 = 73; the layout stud at 79 1/4 stands, that at 63 1/4
  // too.
  test('across: its own plates and studs, and the two studs where it meets the outside walls', () => {
    const made = frame(inside([{ runs: 'width', at: 70 * INCH }]))
    expect(made.problems).toEqual([])
    expect(marks(made, 'partition-1')).toEqual([
      'X0',
      'X11.75',
      'X27.75',
      'X43.75',
      'X59.75',
      'X75.75',
      'X87.5',
    ])
    expect(platePair(made, 'partition-1').length / INCH).toBeCloseTo(89, 6)
    expect(marks(made, 'south')).toEqual([
      'X0',
      'X3',
      'X15.25',
      'X31.25',
      'X47.25',
      'X63.25',
      'X69',
      'X73',
      'X79.25',
      'X95.25',
      'X111.25',
      'X127.25',
      'X139.5',
      'X142.5',
    ])
    const cap = made.members.find(member => member.id === 'walls/partition-1/plate/cap')
    // its second plate laps over both eave walls, whose own are parted there
    expect(cap && Object.values(stretchOf(cap, 'y')).map(inches)).toEqual([0, 96])
    const caps = (wall: string): number[][] =>
      made.members
        .filter(member => member.id.startsWith(`walls/${wall}/plate/cap`))
        .map(member => Object.values(stretchOf(member, 'x')).map(inches))
    expect(caps('south')).toEqual([
      [3.5, 70],
      [73.5, 140.5],
    ])
    expect(
      raising(plan(inside([{ runs: 'width', at: 70 * INCH }]))).find(step =>
        step.members.includes('walls/partition-1/plate/cap'),
      )?.name,
    ).toBe('caps')
    expect(clashes(made.members)).toEqual([])
  })

  test('its second plate ends at the outside walls where they are not as high all round', () => {
    const made = frame(inside([{ runs: 'width', at: 70 * INCH }], { gables: 'raked' }))
    const cap = made.members.find(member => member.id === 'walls/partition-1/plate/cap')
    expect(cap && Object.values(stretchOf(cap, 'y')).map(inches)).toEqual([3.5, 92.5])
    expect(made.members.some(member => member.id === 'walls/south/plate/cap')).toBe(true)
  })

  test('takes a door like any wall, is raised after the outside walls, and has room to be tilted on its wider side', () => {
    const door = {
      ...usualOpening('partition-1', 'door', 48 * INCH, 'imperial'),
      unit: { width: 28 * INCH, height: 70 * INCH },
    }
    const made = plan(inside([{ runs: 'width', at: 40 * INCH }], { openings: [door] }))
    expect(made.frame.problems).toEqual([])
    expect(made.frame.openings['partition-1']).toHaveLength(1)
    const steps = raising(made).map(step => step.name)
    expect(steps.indexOf('partitions')).toBe(steps.indexOf('west-wall') + 1)
    // from its east face at 43 1/2 to the east wall's inside at 140 1/2, lying over itself: 140 1/2 - 40
    expect(inches(liftingOf(made, 'partition-1').room)).toBe(100.5)
  })

  test.each<[string, Design, string, string]>([
    [
      "on the corner's studs",
      inside([{ runs: 'width', at: 4 * INCH }]),
      'partition-no-room',
      'walls.partitions.0.at',
    ],
    [
      'past the far wall',
      inside([{ runs: 'length', at: 95 * INCH }]),
      'partition-no-room',
      'walls.partitions.0.at',
    ],
    [
      'across another',
      inside([
        { runs: 'width', at: 70 * INCH },
        { runs: 'length', at: 40 * INCH },
      ]),
      'partitions-meet',
      'walls.partitions.1.at',
    ],
    [
      'beside another',
      inside([
        { runs: 'width', at: 70 * INCH },
        { runs: 'width', at: 73 * INCH },
      ]),
      'partitions-meet',
      'walls.partitions.1.at',
    ],
    [
      'at an opening',
      inside([{ runs: 'width', at: 70 * INCH }], {
        openings: [usualOpening('south', 'window', 70 * INCH, 'imperial')],
      }),
      'opening-at-partition',
      'walls.openings.0.at',
    ],
  ])('%s is left out or refused, and said with the remedy', (_, design, code, path) => {
    const { problems, members } = frame(design)
    expect(problems.map(problem => [problem.code, problem.path])).toEqual([[code, path]])
    for (const problem of problems)
      expect(sayProblem(problem, 'imperial')).toMatch(/^[A-Z](?!.*(NaN|undefined)).*\.$/)
    expect(members.length).toBeGreaterThan(20)
  })

  test('the remedies hold: moved to where the messages say, all stands', () => {
    const [room] = frame(inside([{ runs: 'width', at: 0 }])).problems
    if (room?.code !== 'partition-no-room') throw new Error('not said')
    for (const at of [room.least, room.most])
      expect(frame(inside([{ runs: 'width', at }])).problems).toEqual([])
    const window = {
      ...usualOpening('south', 'window', 70 * INCH, 'imperial'),
      unit: { width: 20 * INCH, height: 20 * INCH },
    }
    const [hit] = frame(inside([{ runs: 'width', at: 70 * INCH }], { openings: [window] })).problems
    if (hit?.code !== 'opening-at-partition') throw new Error('not said')
    for (const at of [hit.below ?? NaN, hit.above ?? NaN])
      expect(
        frame(inside([{ runs: 'width', at: 70 * INCH }], { openings: [{ ...window, at }] })).problems,
      ).toEqual([])
  })

  test('an opening in a wall that is not there is refused as the file is read', () => {
    const design = inside([], {
      openings: [{ ...usualOpening('south', 'vent', 1000, 'metric'), wall: 'partition-1' }],
    })
    expect(readDesign(JSON.parse(JSON.stringify(design)))).toMatchObject({
      ok: false,
      faults: [{ path: 'walls.openings.0.wall', code: 'not-one-of' }],
    })
    expect(
      readDesign(
        JSON.parse(
          JSON.stringify({
            ...design,
            walls: { ...design.walls, partitions: [{ runs: 'width', at: 1800 }] },
          }),
        ),
      ),
    ).toMatchObject({ ok: true })
    expect(readDesign(JSON.parse(JSON.stringify(design).replace('partition-1', 'upstairs')))).toMatchObject({
      ok: false,
      faults: [{ path: 'walls.openings.0.wall', code: 'not-one-of' }],
    })
  })

  test('random: each asked for stands or is said', () => {
    fc.assert(
      fc.property(openedSheds, design => {
        const made = frame(design)
        if (
          !made.walls.some(wall =>
            made.members.some(member => member.id.startsWith(`walls/${wall.name}/plate`)),
          )
        )
          return
        const standing = made.walls.filter(wall => wall.name.startsWith('partition')).length
        const said = made.problems.filter(problem => problem.path.startsWith('walls.partitions.')).length
        expect(standing + said).toBe(design.walls.partitions.length)
      }),
      { numRuns: runs(60), endOnFailure: true },
    )
  })
})
