import fc from 'fast-check'
import { type Design, openingKinds, standsOnDeck, usualOpening, type WallOpening } from '../design'
import { between, furnishedSheds } from './designs'

/** Random openings, in any wall, some where they can't be. */
const wallOpenings: fc.Arbitrary<WallOpening[]> = fc
  .array(
    fc.record({
      wall: fc.constantFrom('south' as const, 'east' as const, 'north' as const, 'west' as const),
      kind: fc.constantFrom(...openingKinds),
      at: between(200, 6500),
      foot: between(0, 1500),
      width: between(250, 1600),
      height: between(250, 2100),
      section: fc.constantFrom('2x4', '2x6', '38x140', '2x10'),
      plies: fc.constantFrom(1 as const, 2 as const, 3 as const),
      over: fc.option(fc.record({ share: fc.constantFrom(1, 1, 0.7, 0.4), up: between(-20, 260) }), {
        freq: 4,
      }),
    }),
    { maxLength: 6 },
  )
  .map(list =>
    list.flatMap(({ wall, kind, at, foot, width, height, section, plies, over }): WallOpening[] => {
      const usual = usualOpening(wall, kind, at, 'imperial')
      const one: WallOpening = {
        ...usual,
        foot: standsOnDeck(kind) ? 0 : foot,
        unit: { width, height },
        header: { section, plies },
      }
      if (!over) return [one]
      // another over it, as wide as it or narrower
      const head = one.foot + height + one.clearance.height + 140
      const wide = width + one.clearance.width
      return [
        one,
        {
          ...one,
          kind: 'window',
          foot: Math.max(0, head + over.up),
          unit: { width: wide * over.share - one.clearance.width, height: Math.max(100, height / 3) },
        },
      ]
    }),
  )

/** Random partitions, some where they can't be. */
const partitions = fc.array(
  fc.record({ runs: fc.constantFrom('length' as const, 'width' as const), at: between(100, 4000) }),
  { maxLength: 2 },
)

/** Random sheds with random openings in their walls, and partitions inside. */
export const openedSheds: fc.Arbitrary<Design> = fc
  .record({ shed: furnishedSheds, openings: wallOpenings, inside: partitions, door: fc.boolean() })
  .map(({ shed, openings, inside, door }) => ({
    ...shed,
    walls: {
      ...shed.walls,
      partitions: inside,
      openings:
        door && inside.length
          ? [
              ...openings,
              {
                ...usualOpening('partition-1', 'door', shed.footprint.width / 2, 'imperial'),
                unit: { width: 600, height: 1200 },
              },
            ]
          : openings,
    },
  }))
