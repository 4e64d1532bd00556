import fc from 'fast-check'
import { length, one, orNull, group, section, side, eave, text } from './kit'

const glazed = group(
  {
    kind: fc.constant('glazed'),
    thickness: length(3, 40, 6, 25),
    width: length(300, 2600, 600, 1300),
    longest: length(600, 15000, 1800, 4000),
    stop: section('1x1', '22x22', '1x2'),
  },
  { made: one('twin-wall', 'plastic', 'glass'), held: one('stops', 'grooves'), deep: length(5, 25, 6, 12) },
)
const siding = fc.oneof(
  group({ section: section('1x6', '1x8'), exposure: length(20, 600, 90, 160) }),
  group({
    kind: fc.constant('lapped'),
    section: section('1x6', '22x150'),
    exposure: length(20, 600, 90, 130),
  }),
  group(
    { kind: fc.constant('boards'), section: section('1x6', '1x8', '22x150') },
    {
      way: one('upright', 'level'),
      edge: one('square', 'tongue'),
      space: length(0, 100, 0, 15),
      batten: orNull(section('1x2', '22x50')),
    },
  ),
  group(
    { kind: fc.constant('panels'), cover: length(300, 1250, 600, 1100) },
    {
      profile: one('ribbed', 'corrugated', 'flat'),
      clear: one(true, false),
      lap: length(0, 500, 30, 150),
      longest: length(600, 15000, 1200, 4000),
      endLap: length(50, 500, 50, 200),
      height: length(1, 80, 5, 40),
      across: fc.integer({ min: 1, max: 12 }),
    },
  ),
  glazed,
)
const ownSiding = fc.oneof(siding, group({ kind: fc.constant('none') }))

const sides = fc.tuple(side, fc.boolean()).chain(() => {
  const eaveWall = group(
    {},
    {
      layout: one('low', 'high', 'centred'),
      height: orNull(length(300, 4300, 1500, 3000), 2),
      build: one('studs', 'studs', 'studs', 'posts', 'open'),
      cover: one('sheets', 'sheets', 'slats', 'rails', 'open'),
      entry: one('none', 'low', 'middle', 'high'),
      girts: one(false, true),
      diagonals: one(false, true),
      siding: orNull(ownSiding, 8),
      gable: orNull(ownSiding, 8),
    },
  )
  const gableWall = group(
    {},
    {
      layout: one('low', 'high', 'centred'),
      height: orNull(length(300, 4300, 1200, 2400), 2),
      step: orNull(group({ at: length(0, 60000, 300, 4000), height: length(300, 4300, 1200, 2700) }), 2),
      build: one('studs', 'studs', 'studs', 'posts', 'open'),
      cover: one('sheets', 'sheets', 'slats', 'rails', 'open'),
      entry: one('none', 'low', 'middle', 'high'),
      girts: one(false, true),
      diagonals: one(false, true),
      siding: orNull(ownSiding, 8),
      gable: orNull(ownSiding, 8),
    },
  )
  return group({}, { south: eaveWall, north: eaveWall, east: gableWall, west: gableWall })
})

const door = group(
  { boards: section('1x6', '22x100'), frame: section('1x6', '2x4', '22x150') },
  {
    kind: one('ledged', 'braced', 'framed'),
    leaves: one(1, 1, 2),
    hinge: one('low', 'high'),
    lining: orNull(section('1x6', '22x150')),
    gap: group({}, { side: length(0, 60, 2, 6), top: length(0, 60, 2, 6), foot: length(0, 60, 5, 25) }),
    edge: one('square', 'tongue'),
    space: length(0, 60, 0, 5),
    panel: group(
      {},
      { thickness: length(3, 40, 6, 15), deep: length(3, 30, 6, 15), let: one('groove', 'rebate') },
    ),
  },
)

/** An opening in a wall of a building so long and wide, mm. */
export const opening = (long: number, wide: number) =>
  fc
    .oneof(
      { weight: 4, arbitrary: fc.tuple(eave, fc.constant(long)) },
      { weight: 3, arbitrary: fc.tuple(one('east', 'west'), fc.constant(wide)) },
      { weight: 1, arbitrary: fc.constant(['partition-1', wide] as [string, number]) },
    )
    .chain(([wall, overall]) =>
      group({
        wall: fc.constant(wall),
        kind: one('door', 'window', 'garage-door', 'panel', 'vent', 'salvaged'),
        at: length(0, 60000, 0.25 * overall, 0.75 * overall),
        foot: fc.oneof(
          { weight: 3, arbitrary: length(0, 4300, 0, 1500) },
          { weight: 1, arbitrary: length(0, 4300, 1900, 3400) },
        ),
        unit: fc.record({
          width: length(100, 6000, 150, 0.4 * overall),
          height: length(100, 6000, 250, 1700),
        }),
        clearance: fc.record({ width: length(0, 200, 0, 60), height: length(0, 200, 0, 60) }),
        header: group(
          { section: section('2x4', '2x6', '2x8', '38x140'), plies: one(1, 2, 2) },
          { jacks: one(null, 1, 2, 3) },
        ),
        join: fc.boolean(),
        door: fc.option(door, { freq: 1 }),
      }),
    )

/** The walls of a building so long and wide, mm, without their openings. */
export const walls = (long: number, wide: number) =>
  group(
    {
      stud: section('2x4', '2x4', '2x6', '38x89', '38x63', '38x140'),
      spacing: length(100, 1250, 300, 620),
      height: length(300, 4300, 1500, 2700),
      topPlates: one(1, 2),
    },
    {
      through: one('eaves', 'gables'),
      corner: one('three-stud', 'nailer'),
      stack: one('own', 'joists', 'rafters'),
      longest: length(1200, 6100, 2400, 4900),
      bracing: one('none', 'temporary', 'let-in'),
      gables: one('studs', 'notched', 'raked', 'open'),
      sides,
      posts: group(
        {
          post: section('4x4', '89x89', '6x6', '6x6', 'log 150'),
          beam: section('2x8', '2x6', '38x140'),
          spacing: length(300, 6000, 1200, 4500),
          brace: length(0, 1500, 0, 700),
        },
        {
          gap: one(0, 0, 25, 50),
          cap: one(true, false),
          joint: one('half-lap', 'scarf', 'butt'),
          plies: one(1, 2, 2, 3),
          set: one('shoulder', 'shoulders', 'fork', 'on-top', 'bolted'),
          plates: one(true, false),
          inset: length(0, 1500, 0, 500),
        },
      ),
      slats: group({ section: section('1x4', '22x100'), gap: length(0, 300, 5, 40) }),
      railing: group(
        {},
        {
          rail: section('2x4', '38x89'),
          baluster: section('2x2', '38x63'),
          gap: length(20, 300, 60, 110),
          height: length(300, 1400, 700, 1100),
          low: length(0, 300, 40, 120),
        },
      ),
      between: group(
        {},
        {
          girt: section('2x4', '2x6', '38x89'),
          spacing: length(150, 2500, 300, 900),
          diagonal: section('2x4', '2x6', '38x89', '1x6'),
        },
      ),
      siding: orNull(siding, 2),
      paint: orNull(
        group({}, { kind: one('paint', 'stain'), coats: one(1, 2, 3), surface: one('smooth', 'rough') }),
        2,
      ),
      trim: group(
        {},
        {
          corner: orNull(section('1x4', '22x100')),
          casing: orNull(section('1x4', '22x100')),
          frieze: orNull(section('1x4', '22x150'), 3),
          skirt: orNull(section('1x6', '22x100'), 3),
          below: length(0, 400, 0, 60),
        },
      ),
      sheathing: orNull(
        group(
          {
            thickness: length(9, 40, 9, 18),
            sheet: fc.constantFrom(
              { length: 2438.4, width: 1219.2 },
              { length: 2400, width: 1200 },
              { length: 2440, width: 1220 },
              { length: 600, width: 600 },
              { length: 3700, width: 1250 },
            ),
          },
          {
            way: one('upright', 'level'),
            top: one('under-tails', 'round-tails'),
            drop: length(0, 400, 0, 250),
            grooves: orNull(length(40, 600, 100, 305), 3),
          },
        ),
      ),
      partitions: fc.array(
        fc.oneof(
          group({ runs: fc.constant('length'), at: length(0, 60000, 0.2 * wide, 0.8 * wide) }),
          group({ runs: fc.constant('width'), at: length(0, 60000, 0.2 * long, 0.8 * long) }),
        ),
        { maxLength: 2 },
      ),
      units: fc.array(
        group({
          name: text(40),
          width: length(100, 6000),
          height: length(100, 6000),
          count: fc.integer({ min: 1, max: 20 }),
        }),
        { maxLength: 2 },
      ),
    },
  )
