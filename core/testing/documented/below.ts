import fc from 'fast-check'
import { between, length, one, orNull, group, section, side, text } from './kit'

/** What lies on joists. */
export const deck = fc.oneof(
  group({
    kind: fc.constant('sheets'),
    thickness: length(9, 40, 15, 22),
    sheet: one(
      { length: 2438.4, width: 1219.2 },
      { length: 2440, width: 1220 },
      { length: 700, width: 3000 },
    ),
  }),
  group({
    kind: fc.constant('boards'),
    section: section('5/4x6', '28x120', '1x6'),
    gap: length(0, 30, 2, 8),
  }),
)

/** A floor under a building so long and wide, mm. */
export const floor = (long: number, wide: number) =>
  group(
    {
      joist: section('2x4', '2x6', '2x8', '47x150'),
      spacing: length(100, 1250, 300, 620),
      deck,
    },
    {
      runs: one('width', 'length'),
      ends: one(1, 2),
      doubled: fc.array(length(0, 60000, 0, long), { maxLength: 2 }),
      blocking: one(0, 1, 2, 3),
      hold: one('nails', 'hangers'),
      joint: orNull(length(600, 30000, 0.3 * long, 0.7 * long), 2),
      openings: fc.array(
        group({
          x: length(0, 60000, 0.1 * long, 0.8 * long),
          y: length(0, 60000, 0.1 * wide, 0.8 * wide),
          length: length(150, 6000, 300, 900),
          width: length(150, 6000, 300, 900),
        }),
        { maxLength: 2 },
      ),
      porch: orNull(
        group({
          side,
          depth: length(300, 4000, 600, 1800),
          board: section('5/4x6', '28x120'),
          gap: length(0, 30, 2, 8),
        }),
        2,
      ),
    },
  )

const gravel = group({
  depth: length(0, 600, 50, 150),
  beyond: length(0, 1500, 0, 400),
  compaction: between(0, 60),
  load: between(50, 30000),
})
const beams = group({
  section: section('2x8', '2x10', '47x200'),
  plies: one(1, 2, 3),
  rows: fc.integer({ min: 2, max: 8 }),
})
const lift = length(0, 2500, 0, 500)
const supports = length(300, 4000, 900, 2200)
const frost = length(0, 2500, 300, 1200)
/** What a building stands on. */
export const base = fc.oneof(
  group({ kind: fc.constant('border'), timber: section('4x4', '100x100'), gravel, lift }),
  group({
    kind: fc.constant('skids'),
    timber: section('4x6', '4x4', '100x150'),
    count: fc.integer({ min: 2, max: 8 }),
    runs: one('length', 'width'),
    ends: one('square', 'sloped'),
    gravel,
    lift,
  }),
  group({
    kind: fc.constant('blocks'),
    beams,
    spacing: supports,
    block: fc.record({ side: length(90, 800, 200, 400), height: length(90, 800, 100, 200) }),
    gravel,
    lift,
  }),
  group({
    kind: fc.constant('posts'),
    beams,
    spacing: supports,
    post: section('4x4', '6x6', '100x100'),
    frost,
    hole: length(150, 900, 200, 400),
    fill: one('concrete', 'gravel'),
    rock: fc.array(group({ post: one('1/1', '2/1', '9/9', 'x'), reached: length(0, 2500, 0, 800) }), {
      maxLength: 2,
    }),
    lift,
  }),
  group({
    kind: fc.constant('piers'),
    beams,
    spacing: supports,
    diameter: length(150, 900, 200, 400),
    frost,
    lift,
  }),
  group({
    kind: fc.constant('poles'),
    frost,
    hole: length(150, 900, 200, 500),
    fill: one('concrete', 'gravel'),
    pad: length(0, 400, 0, 200),
    long: length(0, 600, 0, 200),
    rock: fc.array(group({ post: one('south/1', 'north/2', 'x'), reached: length(0, 2500, 0, 800) }), {
      maxLength: 2,
    }),
    gravel,
    skirt: orNull(
      group({
        board: section('2x8', '47x200'),
        stake: section('2x4', '38x89'),
        spacing: length(300, 3000, 600, 2000),
        into: length(100, 1200, 200, 600),
      }),
      2,
    ),
    lift,
  }),
  group({
    kind: fc.constant('slab'),
    thickness: length(75, 400, 90, 150),
    beyond: length(0, 1500, 0, 300),
    gravel,
    lowWall: orNull(group({ height: length(100, 1200, 150, 600), thickness: length(90, 800, 100, 250) }), 2),
    lift,
  }),
)

const across = length(-60000, 60000, -9000, 9000)
const tape = length(50, 60000, 1000, 12000)
const spot = fc.record({ along: across, out: across })
/** Where it stands, how square and how level. */
export const site = group(
  {
    reference: group({ kind: one('house', 'fence', 'line'), length: tape }),
    place: group({
      faces: side,
      along: across,
      near: length(0, 60000, 500, 9000),
      far: length(0, 60000, 500, 9000),
    }),
    squaring: group({
      held: side,
      tapes: fc.record(
        { south: tape, east: tape, north: tape, west: tape, swNe: tape, seNw: tape },
        { requiredKeys: [] },
      ),
      triangle: orNull(
        group({ corner: one('sw', 'se', 'ne', 'nw'), first: tape, second: tape, hypotenuse: tape }),
      ),
      tolerance: fc.record({ good: length(0, 100, 1, 8), fair: length(0, 100, 5, 15) }),
    }),
    levels: group({
      method: one('rod', 'height'),
      points: fc.array(fc.record({ x: across, y: across, reading: length(-20000, 20000, -600, 600) }), {
        maxLength: 5,
      }),
    }),
  },
  {
    boundaries: fc.array(
      group({ name: text(40), from: spot, to: spot, setback: length(0, 60000, 500, 3000) }),
      { maxLength: 2 },
    ),
    finds: fc.array(
      group({
        name: text(40),
        kind: one('tree', 'rock', 'well', 'wall', 'drain', 'water', 'gas', 'electric', 'telephone', 'other'),
        places: fc.array(
          group(
            { from: one('line', 'south', 'east', 'north', 'west'), toLeft: tape, toRight: tape },
            { lies: one('ahead', 'behind') },
          ),
          { minLength: 1, maxLength: 2 },
        ),
        clear: length(0, 10000, 0, 2000),
      }),
      { maxLength: 2 },
    ),
  },
)
