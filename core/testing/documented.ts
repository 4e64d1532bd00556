import fc from 'fast-check'
import { standardSections } from '../lumber'

/*
 * Design files written from docs/design-file.md alone: every field within its limits, what may be left out
 * left out at times. Buildings are mostly such as somebody might ask for, and now and then at the ends of
 * what the file allows. Nothing of the schema is used.
 */

type Json = Record<string, unknown>

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true })
/**
 * A length within a field's limits: mostly a usual one, on the marks of a tape at times, now and then any or
 * at the limit itself.
 */
function length(min: number, max: number, low = min, high = max): fc.Arbitrary<number> {
  const within = (value: number): number => Math.min(max, Math.max(min, value))
  const usual = between(Math.min(within(low), within(high)), Math.max(within(low), within(high)))
  return fc.oneof(
    { weight: 12, arbitrary: usual },
    { weight: 8, arbitrary: usual.map(each => within(Math.round(each / 12.7) * 12.7)) },
    { weight: 1, arbitrary: between(min, max) },
    { weight: 1, arbitrary: fc.constantFrom(min, max) },
  )
}
const one = <const T>(...values: T[]): fc.Arbitrary<T> => fc.constantFrom(...values)
/** Often, or now and then, something; else null. */
const orNull = <T>(value: fc.Arbitrary<T>, often = 5): fc.Arbitrary<T | null> =>
  fc.oneof({ weight: often, arbitrary: value }, { weight: 10 - often, arbitrary: fc.constant(null) })
/** Fields that are always there, and fields that have defaults and are left out more often than not. */
const group = (
  must: Record<string, fc.Arbitrary<unknown>>,
  may: Record<string, fc.Arbitrary<unknown>> = {},
): fc.Arbitrary<Json> =>
  fc
    .tuple(
      fc.record(must),
      fc.record(may),
      fc.array(fc.nat(9), { minLength: Object.keys(may).length, maxLength: Object.keys(may).length }),
      one(1, 2, 3, 6, 10),
    )
    .map(([sure, more, dice, often]) => ({
      ...sure,
      ...Object.fromEntries(Object.entries(more).filter((_, i) => (dice[i] ?? 0) < often)),
    }))

const own = [
  { name: 'rough 2x6', thickness: 51, depth: 152 },
  { name: 'slab', thickness: 38, depth: 235 },
  { name: 'square 60', thickness: 60, depth: 60 },
  { name: 'thin', thickness: 15, depth: 45 },
]
const anySection = one(...standardSections.map(each => each.name), ...own.map(each => each.name))
/** A section for a purpose: mostly one of the usual, now and then any that is known. */
const section = (...usual: string[]): fc.Arbitrary<string> =>
  fc.oneof({ weight: 9, arbitrary: one(...usual) }, { weight: 1, arbitrary: anySection })
const rafters = section('2x4', '2x6', '2x8', '47x125', '47x150', 'rough 2x6')
const side = one('south', 'east', 'north', 'west')
const eave = one('south', 'north')
const angle = fc.oneof(
  { weight: 6, arbitrary: between(14, 55) },
  { weight: 2, arbitrary: between(0.5, 70) },
  { weight: 1, arbitrary: one(0.5, 45, 69.99) },
)
const pitch = fc.oneof(
  angle.map(degrees => ({ rise: 12 * Math.tan((degrees * Math.PI) / 180), run: 12 })),
  fc.record({ rise: one(3, 4, 5, 6, 7, 8, 9, 10, 12), run: fc.constant(12) }),
)
const text = (max: number) =>
  fc.string({ minLength: 1, maxLength: max, unit: 'grapheme' }).filter(each => each.trim() !== '')

const sides = fc.tuple(side, fc.boolean()).chain(() => {
  const eaveWall = group(
    {},
    {
      layout: one('low', 'high', 'centred'),
      height: orNull(length(300, 4300, 1500, 3000), 2),
      build: one('studs', 'studs', 'studs', 'posts'),
      cover: one('sheets', 'sheets', 'slats', 'open'),
    },
  )
  const gableWall = group(
    {},
    {
      layout: one('low', 'high', 'centred'),
      height: orNull(length(300, 4300, 1200, 2400), 2),
      step: orNull(group({ at: length(0, 60000, 300, 4000), height: length(300, 4300, 1200, 2700) }), 2),
      build: one('studs', 'studs', 'studs', 'posts'),
      cover: one('sheets', 'sheets', 'slats', 'open'),
    },
  )
  return group({}, { south: eaveWall, north: eaveWall, east: gableWall, west: gableWall })
})

const opening = (long: number, wide: number) =>
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
        foot: length(0, 4300, 0, 1500),
        unit: fc.record({
          width: length(100, 6000, 150, 0.4 * overall),
          height: length(100, 6000, 250, 1700),
        }),
        clearance: fc.record({ width: length(0, 200, 0, 60), height: length(0, 200, 0, 60) }),
        header: fc.record({ section: section('2x4', '2x6', '2x8', '38x140'), plies: one(1, 2, 2) }),
      }),
    )

const ties = (most: number) =>
  orNull(
    group(
      { section: section('2x4', '2x6', '47x125'), height: length(0, 4000, 0, most) },
      { every: one(1, 2, 3) },
    ),
    2,
  )

const roof = (long: number, wide: number) =>
  group(
    {
      shape: one(
        'gable',
        'gable',
        'gable',
        'single-slope',
        'single-slope',
        'lean-to',
        'lean-to',
        'flat',
        'raised-ridge',
        'hip',
        'hip',
      ),
      pitch,
      rafter: rafters,
      ridge: section('2x6', '2x8', '2x10', '1x8', '47x175'),
      spacing: length(100, 1250, 300, 800),
      overhang: group(
        { eave: length(0, 1200, 0, 500), gable: length(0, 1000, 0, 450) },
        { high: orNull(length(0, 1200, 0, 500)) },
      ),
      seat: fc.oneof(
        group({ rule: fc.constant('full-bearing') }),
        group({ rule: fc.constant('third') }, { measured: one('square', 'plumb') }),
        group({ rule: fc.constant('height-above-plate'), height: length(5, 600, 50, 200) }),
        group({ rule: one('none', 'wedge') }),
      ),
    },
    {
      high: eave,
      northPitch: orNull(pitch, 2),
      peak: group(
        {},
        {
          at: orNull(length(100, 11900, 0.3 * wide, 0.7 * wide), 2),
          height: orNull(length(300, 12000, 2000, 4500), 2),
        },
      ),
      hip: group({}, { section: orNull(section('2x8', '2x6', '2x10')), edge: one('dropped', 'backed') }),
      panel: orNull(group({ cover: length(300, 1250, 500, 1100) }, { per: one(1, 2, 3) }), 2),
      beam: orNull(
        group(
          {},
          { plies: one(1, 2, 3), post: section('4x4', '100x100'), spacing: length(300, 4000, 900, 3000) },
        ),
        2,
      ),
      purlins: orNull(
        group({
          section: section('2x4', '2x6'),
          brace: section('2x4', '38x89'),
          spacing: length(300, 4000, 800, 2000),
        }),
        2,
      ),
      tail: one('plumb', 'plumb', 'square', 'level'),
      tails: group(
        {},
        {
          face: length(15, 400, 40, 120),
          wild: one(0, 0, 0, 100, 600),
          finish: orNull(section('1x4', '1x6', '22x150'), 2),
        },
      ),
      soffit: orNull(group({ section: section('2x4', '38x63') }), 2),
      ends: group(
        {},
        {
          hold: one('none', 'ladder', 'lookouts'),
          spacing: length(100, 1250, 400, 700),
          lookout: section('2x4', '38x89', '1x4'),
          barge: orNull(section('1x6', '1x8', '22x150')),
        },
      ),
      blocking: group(
        {},
        {
          plate: one('none', 'plumb', 'square'),
          vents: one(0, 1, 2, 3),
          hole: length(10, 100, 25, 60),
          rows: one(0, 1, 2),
          air: one(0, 0, 0, 25, 75),
        },
      ),
      raised: group(
        {},
        {
          at: orNull(length(100, 11900, 0.3 * wide, 0.7 * wide)),
          plies: one(1, 2, 3),
          post: section('4x4', '100x100'),
          spacing: length(300, 4000, 900, 2500),
        },
      ),
      firring: group({}, { section: section('2x6', '2x8', '2x10', '2x4'), least: length(0, 150, 0, 40) }),
      ties: group({}, { rafter: ties(300), collar: ties(1200), ceiling: ties(400) }),
      fascia: group(
        {},
        { sub: orNull(section('2x6', '2x4', '38x140'), 2), face: orNull(section('1x6', '1x8', '22x150'), 2) },
      ),
      openings: fc.array(
        group(
          {
            kind: one('light', 'flue', 'stair'),
            at: length(0, 60000, 0.1 * long, 0.9 * long),
            up: length(0, 60000, 0.1 * wide, 0.5 * wide),
            width: length(150, 6000, 200, 900),
            length: length(150, 6000, 200, 1300),
          },
          {
            slope: fc.oneof({ weight: 5, arbitrary: eave }, { weight: 1, arbitrary: side }),
            plies: one(1, 2),
          },
        ),
        { maxLength: 1 },
      ),
    },
  )

const walls = (long: number, wide: number) =>
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
          post: section('4x4', '89x89'),
          beam: section('2x8', '2x6', '38x140'),
          spacing: length(300, 4000, 1200, 2500),
          brace: length(0, 1500, 0, 700),
        },
        { joint: one('half-lap', 'scarf') },
      ),
      slats: group({ section: section('1x4', '22x100'), gap: length(0, 300, 5, 40) }),
      siding: orNull(group({ section: section('1x6', '1x8'), exposure: length(20, 600, 90, 160) }), 2),
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

const floor = (long: number, wide: number) =>
  group(
    {
      joist: section('2x4', '2x6', '2x8', '47x150'),
      spacing: length(100, 1250, 300, 620),
      deck: fc.oneof(
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
      ),
    },
    {
      runs: one('width', 'length'),
      ends: one(1, 2),
      doubled: fc.array(length(0, 60000, 0, long), { maxLength: 2 }),
      blocking: one(0, 1, 2, 3),
      hold: one('nails', 'hangers'),
      joint: orNull(length(600, 18000, 0.3 * long, 0.7 * long), 2),
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
const base = fc.oneof(
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
const site = group(
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

/** A footprint as `along the ridge, across it`, mm; square at times. */
const footprint = fc
  .tuple(length(600, 18000, 1500, 7000), length(600, 12000, 1200, 4500), fc.nat(9))
  .map(([long, wide, square]) => ({
    length: square ? long : Math.min(12000, long),
    width: square ? wide : Math.min(12000, long),
  }))

/** Design files over every field that is documented; some of the buildings can't be framed, and say so. */
export const documentedFiles: fc.Arbitrary<Json> = footprint.chain(({ length: long, width: wide }) =>
  group(
    {
      format: fc.constant('early-wren/design'),
      version: fc.constant(2),
      name: text(80),
      units: one('imperial', 'metric'),
      footprint: fc.constant({ length: long, width: wide }),
      walls: walls(long, wide),
      roof: roof(long, wide),
      lumber: group({
        species: one('spruce-pine-fir', 'hem-fir', 'douglas-fir-larch', 'southern-pine', 'western-cedar'),
        moisture: between(0, 120),
        sections: fc.constant(own),
      }),
    },
    {
      site: orNull(site, 2),
      base: orNull(base),
      floor: orNull(floor(long, wide), 9),
      cut: fc.array(fc.record({ member: one('roof/south/rafter/1', 'gone'), shape: one('', 'x') }), {
        maxLength: 2,
      }),
    },
  ).chain(file =>
    fc
      .array(
        opening((file.footprint as { length: number }).length, (file.footprint as { width: number }).width),
        { maxLength: 3 },
      )
      .map(openings => {
        const around = file.walls as Json
        const inside = Array.isArray(around.partitions) && around.partitions.length > 0
        return {
          ...file,
          walls: { ...around, openings: openings.filter(each => inside || each.wall !== 'partition-1') },
        }
      }),
  ),
)
