import fc from 'fast-check'
import { type Design, gambrelFeet, gambrelWays, gableTrusses, monoTrusses, trussKinds } from '../design'
import { furnishedSheds } from './designs'

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true })

/** What a gambrel and trusses are asked for by: lengths as shares of the span. */
const asked = fc.record({
  by: fc.constantFrom(...gambrelWays),
  foot: fc.constantFrom(...gambrelFeet),
  drop: fc.option(between(0.4, 0.6), { freq: 2 }),
  kick: fc.option(between(2, 14)),
  share: between(0.1, 0.25),
  lower: between(50, 72),
  upper: between(2.5, 9),
  clear: between(0.45, 0.7),
  carried: fc.constantFrom('trusses' as const, 'trusses' as const, 'rafters' as const),
  kind: fc.constantFrom(...trussKinds),
  webs: fc.constantFrom(...gableTrusses),
  mono: fc.constantFrom(...monoTrusses),
  high: fc.constantFrom('south' as const, 'north' as const),
  heel: fc.option(between(0.6, 1.4), { freq: 2 }),
  ceiling: fc.option(between(0.2, 0.8), { freq: 2 }),
  splice: fc.record({
    bottom: fc.option(between(0.1, 0.9), { freq: 2 }),
    top: fc.option(between(0.02, 0.48), { freq: 2 }),
  }),
  leg: fc.option(between(90, 350), { freq: 3 }),
  thickness: between(9, 18),
  purlin: fc.option(
    fc.record({
      section: fc.constantFrom('2x6', '2x8', '2x10'),
      plies: fc.constantFrom(1 as const, 2 as const, 3 as const),
      post: fc.constantFrom('4x4', '2x4'),
      spacing: between(800, 3000),
    }),
    { freq: 2 },
  ),
})

const tan = (degrees: number): number => Math.tan((degrees * Math.PI) / 180)

/** Splices as they are asked for, over a span. */
const spliced = (
  { splice }: { readonly splice: Design['roof']['truss']['splice'] },
  width: number,
): Design['roof']['truss']['splice'] => ({
  bottom: splice.bottom === null ? null : splice.bottom * width,
  top: splice.top === null ? null : splice.top * width,
})

/** Walls as they are, on all four sides of one height. */
const level = (design: Design): Design['walls'] => {
  const { sides } = design.walls
  const plain = <T extends { readonly height: number | null }>(side: T) => ({
    ...side,
    height: null,
    step: null,
  })
  return {
    ...design.walls,
    sides: {
      south: plain(sides.south),
      north: plain(sides.north),
      east: plain(sides.east),
      west: plain(sides.west),
    },
  }
}

/** Random gambrels, found every way and on both feet, of trusses or rafters. */
export const gambrelSheds: fc.Arbitrary<Design> = fc
  .record({ shed: furnishedSheds, ask: asked })
  .map(({ shed, ask }) => {
    const { width } = shed.footprint
    const into = ask.share * width
    return {
      ...shed,
      walls: level(shed),
      roof: {
        ...shed.roof,
        shape: 'gambrel',
        pitch: { rise: ask.upper, run: 12 },
        northPitch: null,
        peak: { at: null, height: null },
        beam: null,
        carried: ask.carried,
        gambrel: {
          by: ask.by,
          foot: {
            rule: ask.foot,
            drop: ask.drop === null ? null : ask.drop * shed.roof.overhang.eave,
            kick: ask.kick === null ? null : { rise: ask.kick, run: 12 },
          },
          knee: { in: into, up: into * tan(ask.lower) + 120, share: ask.share > 0.2 ? ask.share : null },
          lower: { rise: 12 * tan(ask.lower), run: 12 },
          purlin: ask.purlin,
          headroom: { width: ask.clear * width, height: ((1 - ask.clear) / 2) * width * tan(ask.lower) - 60 },
        },
        truss: {
          ...shed.roof.truss,
          kind: ask.kind,
          splice: spliced(ask, width),
          gusset: { ...shed.roof.truss.gusset, leg: ask.leg, thickness: ask.thickness },
        },
      },
    }
  })

/** Random gables carried by trusses of every kind. */
export const trussedGables: fc.Arbitrary<Design> = fc
  .record({ shed: furnishedSheds, ask: asked })
  .map(({ shed, ask }) => ({
    ...shed,
    walls: level(shed),
    roof: {
      ...shed.roof,
      shape: 'gable' as const,
      carried: 'trusses' as const,
      northPitch: null,
      peak: { at: null, height: null },
      truss: {
        ...shed.roof.truss,
        kind: ask.webs,
        ceiling:
          ask.ceiling === null
            ? null
            : { rise: ask.ceiling * shed.roof.pitch.rise, run: shed.roof.pitch.run },
        splice: spliced(ask, shed.footprint.width),
        heel: ask.heel === null ? null : ask.heel * 160,
        room: { width: 0.45 * shed.footprint.width, height: 0.2 * shed.footprint.width },
        gusset: { ...shed.roof.truss.gusset, leg: ask.leg, thickness: ask.thickness },
      },
    },
  }))

/** Random roofs of one slope, carried by trusses of every kind of theirs, high on either side. */
export const trussedSlopes: fc.Arbitrary<Design> = fc
  .record({ shed: trussedGables, ask: asked })
  .map(({ shed, ask }) => ({
    ...shed,
    roof: {
      ...shed.roof,
      shape: 'single-slope' as const,
      high: ask.high,
      truss: { ...shed.roof.truss, kind: ask.mono },
    },
  }))

/** Random roofs of trusses, and gambrels of rafters. */
export const trussed = fc.oneof(gambrelSheds, trussedGables, trussedSlopes)
