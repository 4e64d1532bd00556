import fc from 'fast-check'
import { type Json, between, length, one, orNull, group, own, text } from './kit'
import { base, floor, site } from './below'
import { roof } from './roof'
import { part } from './parts'
import { opening, walls } from './walls'

/** A footprint as `along the ridge, across it`, mm; square at times. */
const footprint = fc
  .tuple(length(300, 30000, 1500, 7000), length(300, 12000, 1200, 4500), fc.nat(9))
  .map(([long, wide, square]) => ({
    length: square ? long : Math.min(12000, long),
    width: square ? wide : Math.min(12000, long),
  }))

/** Design files over every field that is documented; some of the buildings can't be framed, and say so. */
export const documentedFiles: fc.Arbitrary<Json> = footprint.chain(({ length: long, width: wide }) =>
  group(
    {
      format: fc.constant('early-wren/design'),
      version: fc.constant(3),
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
      cut: fc.array(
        group(
          { member: one('roof/south/rafter/1', 'gone'), shape: one('', 'x', '2x6 96 #1a') },
          { at: one(null, '2026-05-01T09:30:00.000Z') },
        ),
        {
          maxLength: 2,
        },
      ),
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

/** Documented files of buildings with one part or two that hang on them. */
export const partedFiles: fc.Arbitrary<Json> = documentedFiles.chain(file => {
  const { length: long, width: wide } = file.footprint as { length: number; width: number }
  return fc.array(part(long, wide), { minLength: 1, maxLength: 2 }).map(parts => ({ ...file, parts }))
})
