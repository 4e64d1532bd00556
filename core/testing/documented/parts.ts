import fc from 'fast-check'
import { base, floor } from './below'
import { between, type Json, length, one, orNull, group, side, text } from './kit'
import { roof } from './roof'
import { walls } from './walls'

const across: Record<string, string> = { south: 'north', north: 'south', east: 'west', west: 'east' }

/** The walls of a part that is mostly open: posts where the roof falls to, the end at the main part open. */
const opened = (around: Json, turned: string, often: boolean): Json => ({
  ...around,
  sides: {
    ...((around.sides as Json | undefined) ?? {}),
    ...(often
      ? { south: { build: 'posts', cover: 'open' }, east: { build: 'open' }, west: { build: 'open' } }
      : {}),
    ...(turned ? { [turned]: { build: 'open' } } : {}),
  },
})

/** A part that hangs on a building so long and wide, mm. */
export const part = (long: number, wide: number): fc.Arbitrary<Json> =>
  fc
    .record({
      under: fc.nat(3).map(each => each === 0),
      on: side,
      share: between(0.3, 1.03),
      depth: length(300, 12000, 700, 3000),
      at: between(0, 1),
    })
    .chain(({ under, on, share, depth, at }) => {
      const end = on === 'east' || on === 'west'
      const room = end ? wide : long
      const reach = Math.min(30000, Math.max(300, room * Math.min(1, share)))
      const by = under && end ? fc.constant('roof') : one('height', 'eave', 'eave', 'slope')
      return by.chain(way => {
        const [length_, width] = way === 'roof' ? [depth, wide] : [reach, depth]
        const hung = group(
          { side: fc.constant(on), by: fc.constant(way) },
          { along: fc.constant(Math.max(0, room - reach) * at), gap: length(0, 600, 0, 120) },
        )
        return group(
          {
            name: text(80),
            hang: hung,
            footprint: fc.constant({ length: length_, width }),
            walls: fc
              .tuple(walls(length_, width), fc.nat(3))
              .map(([around, dice]) => opened(around, way === 'roof' ? (across[on] ?? '') : '', dice > 0)),
            roof: roof(length_, width).map(each =>
              way === 'roof' ? each : { ...each, shape: 'lean-to', high: 'north' },
            ),
          },
          { base: orNull(base, 3), floor: orNull(floor(length_, width), 2) },
        )
      })
    })
