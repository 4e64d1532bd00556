import fc from 'fast-check'
import {
  beamJoints,
  beamSets,
  bracings,
  type Design,
  gableHolds,
  hasMouth,
  hipEdges,
  layouts,
  newDesign,
  plateBlocks,
  roofOpeningKinds,
  type Seat,
  sheetTops,
  sheetWays,
  stacks,
  tailEnds,
  type Walls,
} from '../design'

/** A number in a range. */
export const between = (min: number, max: number) => fc.double({ min, max, noNaN: true })

/**
 * Nothing, or a length that a tape shows, mm: what is thinner than a shaving the solid kernel can't be held
 * to.
 */
const noneOr = (max: number) => between(0, max).map(each => (each < 1 ? 0 : each))

const seats: fc.Arbitrary<Seat> = fc.oneof(
  fc.constant<Seat>({ rule: 'full-bearing' }),
  fc.constantFrom<Seat>({ rule: 'third', measured: 'square' }, { rule: 'third', measured: 'plumb' }),
  between(60, 140).map((height): Seat => ({ rule: 'height-above-plate', height })),
  fc.constantFrom<Seat>({ rule: 'none' }, { rule: 'wedge' }),
)

const tie = fc.option(
  fc.record({
    section: fc.constantFrom('2x4', '2x6', '38x89'),
    height: noneOr(900),
    every: fc.constantFrom(1 as const, 2 as const, 3 as const),
  }),
)
const roofParts = fc.record({
  tail: fc.constantFrom(...tailEnds),
  tails: fc.record({
    face: between(30, 120),
    wild: fc.constantFrom(0, 0, 150),
    finish: fc.constantFrom(null, '1x6', '22x150'),
  }),
  soffit: fc.option(fc.record({ section: fc.constantFrom('2x4', '38x63') })),
  ends: fc.record({
    hold: fc.constantFrom(...gableHolds),
    spacing: between(300, 700),
    lookout: fc.constantFrom('2x4', '38x89'),
    barge: fc.constantFrom(null, '1x8', '22x150'),
  }),
  purlins: fc.option(
    fc.record({
      section: fc.constantFrom('2x4', '2x6'),
      brace: fc.constantFrom('2x4', '38x63'),
      spacing: between(700, 2000),
    }),
  ),
  blocking: fc.record({
    plate: fc.constantFrom(...plateBlocks),
    vents: fc.constantFrom(0 as const, 2 as const),
    hole: fc.constant(50),
    rows: fc.constantFrom(0 as const, 1 as const, 2 as const),
    air: fc.constantFrom(0, 0, 25),
  }),
})
/** Openings as shares of the building, some where they can't be. */
const roofOpening = fc.record({
  kind: fc.constantFrom(...roofOpeningKinds),
  slope: fc.constantFrom('south' as const, 'north' as const),
  at: between(0.1, 0.9),
  up: between(0.15, 0.4),
  width: between(160, 900),
  length: between(160, 900),
  plies: fc.constantFrom(1 as const, 2 as const),
})
const layout = fc.constantFrom(...layouts)
/** What walls may have besides; a plain wall more often than not. */
const further = () =>
  fc.record({
    lights: fc.array(roofOpening, { maxLength: 2 }),
    layouts: fc.record({ south: layout, east: layout, north: layout, west: layout }),
    uneven: fc.option(between(-700, 700)),
    gableLower: fc.option(between(0, 500)),
    stack: fc.constantFrom(...stacks),
    bracing: fc.constantFrom(...bracings),
    gables: fc.constantFrom(
      'studs' as const,
      'notched' as const,
      'raked' as const,
      'raked' as const,
      'open' as const,
    ),
    step: fc.option(fc.record({ at: between(0.1, 0.9), by: between(-500, 500) })),
    longest: fc.constantFrom(2400, 3000, 4876.8),
    built: fc.array(fc.constantFrom('studs' as const, 'studs' as const, 'posts' as const), {
      minLength: 4,
      maxLength: 4,
    }),
    covered: fc.array(
      fc.constantFrom('sheets' as const, 'sheets' as const, 'slats' as const, 'open' as const),
      { minLength: 4, maxLength: 4 },
    ),
    joint: fc.constantFrom(...beamJoints),
    open: fc.record({
      post: fc.constantFrom('4x4', '6x6'),
      beam: fc.constantFrom('2x8', '2x6'),
      plies: fc.constantFrom(1 as const, 2 as const),
      set: fc.constantFrom(...beamSets),
      plates: fc.boolean(),
    }),
    knee: fc.constantFrom(0, 600),
    shape: fc.constantFrom(
      'gable' as const,
      'gable' as const,
      'single-slope' as const,
      'lean-to' as const,
      'flat' as const,
      'raised-ridge' as const,
      'hip' as const,
    ),
    northRise: fc.option(between(2.5, 20), { freq: 2 }),
    peakAt: fc.option(between(0.3, 0.7), { freq: 2 }),
    edge: fc.constantFrom(...hipEdges),
    hip: fc.constantFrom(null, '2x8', '2x6'),
    squared: fc.boolean(),
    beam: fc.option(
      fc.record({
        plies: fc.constantFrom(1 as const, 2 as const, 3 as const),
        post: fc.constantFrom('4x4', '89x89'),
        spacing: between(900, 3000),
      }),
      { freq: 2 },
    ),
    joistBeam: fc.option(
      fc.record({
        section: fc.constantFrom('2x6', '2x8', '47x175'),
        plies: fc.constantFrom(1 as const, 2 as const, 3 as const),
        post: fc.constantFrom('4x4', '89x89', '2x4'),
        spacing: between(700, 3000),
        at: fc.option(between(500, 3000), { freq: 1 }),
      }),
      { freq: 2 },
    ),
    high: fc.constantFrom('north' as const, 'south' as const),
    over: fc.option(noneOr(450)),
    ties: fc.record({ rafter: tie, collar: tie, ceiling: tie }),
    parts: fc.option(roofParts, { freq: 3 }),
    fascia: fc.record({
      sub: fc.constantFrom(null, '2x6', '38x140'),
      face: fc.constantFrom(null, '1x6', '22x150'),
    }),
    sheathing: fc.option(
      fc.record({
        thickness: between(9, 18),
        way: fc.constantFrom(...sheetWays),
        top: fc.constantFrom(...sheetTops),
        drop: noneOr(250),
        wide: fc.constantFrom(1200, 1219.2),
      }),
    ),
  })

function furtherOf(
  more: ReturnType<typeof further> extends fc.Arbitrary<infer T> ? T : never,
  { height, width }: { readonly height: number; readonly width: number },
): Partial<Walls> {
  const {
    layouts: from,
    uneven,
    gableLower,
    step,
    sheathing,
    shape: _shape,
    high: _high,
    northRise: _northRise,
    peakAt: _peakAt,
    edge: _edge,
    hip: _hip,
    squared: _squared,
    beam: _beam,
    joistBeam: _joistBeam,
    lights: _lights,
    parts: _parts,
    over: _over,
    ties: _ties,
    fascia: _fascia,
    built,
    covered,
    joint,
    open,
    knee,
    ...rest
  } = more
  const side = (i: number, name: keyof typeof from, own: number | null) => ({
    layout: from[name],
    height: own,
    step: name === 'east' && step ? { at: step.at * width, height: Math.max(400, height + step.by) } : null,
    entry: 'none' as const,
    girts: false,
    diagonals: false,
    siding: null,
    gable: null,
    build: built[i] ?? 'studs',
    cover: covered[i] ?? 'sheets',
  })
  const north = uneven === null ? null : Math.max(400, height + uneven)
  const west = gableLower === null ? null : Math.max(400, Math.min(height, north ?? height) - gableLower)
  return {
    ...rest,
    sides: {
      south: side(0, 'south', null),
      east: side(1, 'east', null),
      north: side(2, 'north', north),
      west: side(3, 'west', west),
    },
    posts: { ...open, spacing: 1800, joint, brace: knee, inset: 0, gap: 0, cap: false },
    slats: { section: '1x4', gap: 15 },
    sheathing: sheathing && {
      thickness: sheathing.thickness,
      way: sheathing.way,
      top: sheathing.top,
      drop: sheathing.drop,
      grooves: null,
      sheet: { length: 2 * sheathing.wide, width: sheathing.wide },
    },
  }
}

/** Random gable sheds within the document's limits, imperial and metric; some can't be framed, and say so. */
export const gableSheds: fc.Arbitrary<Design> = fc
  .record({
    imperial: fc.boolean(),
    length: between(1200, 7000),
    width: between(1200, 4800),
    height: between(900, 3000),
    rise: between(2.5, 20),
    eave: noneOr(450),
    gable: noneOr(400),
    stud: fc.constantFrom('2x4', '2x6', '38x89', '38x63'),
    rafter: fc.constantFrom('2x4', '2x6', '2x8', '47x125'),
    ridge: fc.constantFrom('2x8', '1x10', '47x200'),
    studSpacing: between(300, 620),
    rafterSpacing: between(300, 1000),
    topPlates: fc.constantFrom(1 as const, 2 as const),
    seat: seats,
    through: fc.constantFrom('eaves' as const, 'gables' as const),
    corner: fc.constantFrom('three-stud' as const, 'nailer' as const),
  })
  .map(each => {
    const base = newDesign('random', each.imperial ? 'imperial' : 'metric')
    return {
      ...base,
      footprint: { length: each.length, width: each.width },
      walls: {
        ...base.walls,
        stud: each.stud,
        spacing: each.studSpacing,
        height: each.height,
        topPlates: each.topPlates,
        through: each.through,
        corner: each.corner,
      },
      roof: {
        ...base.roof,
        pitch: { rise: each.rise, run: 12 },
        rafter: each.rafter,
        ridge: each.ridge,
        spacing: each.rafterSpacing,
        overhang: { eave: each.eave, gable: each.gable },
        seat: each.seat,
      },
    }
  })

/** Random sheds of every roof shape, whose walls have layouts, heights, diagonals and sheets of their own. */
export const furnishedSheds: fc.Arbitrary<Design> = fc
  .record({ shed: gableSheds, more: further() })
  .map(({ shed, more }) => {
    const {
      shape,
      high,
      ties,
      fascia,
      northRise,
      peakAt,
      edge,
      hip,
      squared,
      beam,
      joistBeam,
      parts,
      lights,
    } = more
    const walls = {
      ...shed.walls,
      ...furtherOf(more, { height: shed.walls.height, width: shed.footprint.width }),
    }
    // a hip roof stands on four walls of one height, and its length is its span or more
    const level = Object.fromEntries(
      Object.entries(walls.sides).map(([name, side]) => [name, { ...side, height: null, step: null }]),
    ) as Walls['sides']
    // rafters over two bearings, and down a hip, want a mouth; a raised ridge's upper wall stands higher
    const seat: Seat =
      !hasMouth(shed.roof.seat) && (shape === 'single-slope' || shape === 'hip' || shape === 'raised-ridge')
        ? { rule: 'full-bearing' }
        : shed.roof.seat
    const raisedSides = {
      ...walls.sides,
      east: { ...walls.sides.east, step: null },
      [high === 'north' ? 'south' : 'north']: {
        ...walls.sides[high === 'north' ? 'south' : 'north'],
        height: null,
      },
      [high]: {
        ...walls.sides[high],
        height: Math.min(4300, shed.walls.height + 450 + (more.uneven ?? 0) / 2),
      },
    }
    const [short, long] = [
      Math.min(shed.footprint.length, shed.footprint.width),
      Math.max(shed.footprint.length, shed.footprint.width),
    ]
    return {
      ...shed,
      footprint: shape === 'hip' ? { width: short, length: squared ? short : long + 100 } : shed.footprint,
      walls:
        shape === 'hip' || shape === 'flat'
          ? { ...walls, sides: level }
          : shape === 'raised-ridge'
            ? { ...walls, sides: raisedSides }
            : walls,
      // a flat roof falls a little
      roof: {
        ...shed.roof,
        seat,
        pitch: shape === 'flat' ? { rise: shed.roof.pitch.rise / 10, run: 12 } : shed.roof.pitch,
        shape,
        high,
        raised: { ...shed.roof.raised, at: peakAt === null ? null : peakAt * shed.footprint.width },
        ties,
        fascia,
        overhang: { ...shed.roof.overhang, high: more.over },
        northPitch: northRise === null ? null : { rise: northRise, run: 12 },
        peak: { at: peakAt === null ? null : peakAt * shed.footprint.width, height: null },
        hip: { edge, section: hip },
        beam: parts ? beam : null,
        joistBeam,
        openings: lights.map(each => ({
          ...each,
          at: each.at * shed.footprint.length,
          up: each.up * shed.footprint.width,
        })),
        ...parts,
      },
    }
  })

// the same designs each time; EARLY_WREN_SEED gives others, and a failure names its own
fc.configureGlobal({ seed: Number(process.env.EARLY_WREN_SEED ?? 1) })

/**
 * How many random cases a property runs: EARLY_WREN_RUNS where that is set, or EARLY_WREN_SHARE of the usual
 * number, few enough cases whole.
 */
export const runs = (usual: number): number =>
  Number(
    process.env.EARLY_WREN_RUNS ??
      Math.max(Math.min(usual, FEW), Math.ceil(usual * Number(process.env.EARLY_WREN_SHARE ?? 1))),
  )
const FEW = 10

/** Whether one of many cases is tried that are worked through in turn: of a share every so-manyth. */
export const isTried = (turn: number): boolean => turn % EVERY === 0
const EVERY = Math.max(1, Math.round(1 / Number(process.env.EARLY_WREN_SHARE ?? 1)))
