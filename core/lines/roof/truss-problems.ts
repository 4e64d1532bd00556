import { type Building, isWebbed, limits, type TrussKind } from '../../design'
import { HAIR, pitchAngle, radians, TYPED } from '../../measure'
import { least } from '../../trade'
import type { Problem } from '../problem'
import { tightSpacing } from './common'
import type { RoofLumber } from './form'

/** What of trusses leaves nothing to frame. */
export const trussStops: readonly Problem['code'][] = [
  'chords-unlike',
  'truss-walls-uneven',
  'heel-out-of-reach',
  'truss-too-small',
  'room-out-of-reach',
  'ceiling-too-steep',
]

/** What stands against the trusses of a gable, or of one slope. */
export const trussProblems = (building: Building, lumber: RoofLumber): Problem[] => [
  ...unevenWalls(building),
  ...unlikeChords(building, lumber),
  ...heelProblems(building, lumber),
  ...roomProblems(building, lumber),
  ...heightProblems(building, lumber),
  ...ceilingProblems(building, lumber),
  ...spanProblems(building),
  ...tightSpacing(building, lumber.rafter),
]

/** Eave walls of unlike heights: the one that has its own is to be as the other. */
export function unevenWalls({ heights, walls }: Building): Problem[] {
  if (Math.abs(heights.south - heights.north) < HAIR) return []
  const side = walls.sides.north.height === null ? 'south' : 'north'
  const height = heights[side === 'south' ? 'north' : 'south']
  return [{ code: 'truss-walls-uneven', path: `walls.sides.${side}.height`, side, height }]
}

/** Members of a truss that are not as thick as its top chords. */
export function unlikeChords(
  { roof: { truss, has } }: Building,
  { rafter, bottom, web }: RoofLumber,
): Problem[] {
  if (!truss) return []
  const { thickness } = rafter
  const unlike = (section: { readonly thickness: number }): boolean =>
    Math.abs(section.thickness - thickness) > HAIR
  // of one slope every kind has an end post
  const webbed = isWebbed(truss.kind) || has.falls.length === 1
  return [
    ...(truss.kind !== 'open' && unlike(bottom)
      ? [{ code: 'chords-unlike', path: 'roof.truss.bottom', thickness } as const]
      : []),
    ...(webbed && unlike(web) ? [{ code: 'chords-unlike', path: 'roof.truss.web', thickness } as const] : []),
  ]
}

/**
 * A heel that would notch the top chords by more than half, or leave them over the bottom chord's end with
 * nothing to stand on.
 */
function heelProblems(
  { roof: { truss, pitch, peak }, bearings }: Building,
  { rafter, bottom }: RoofLumber,
): Problem[] {
  if (!truss) return []
  const plumb = rafter.depth / Math.cos(radians(pitchAngle(pitch)))
  const rises = truss.ceiling ? radians(pitchAngle(truss.ceiling)) : 0
  // the upper edge of a rising bottom chord over the plate's outer edge
  const upper = bottom.depth / Math.cos(rises) - Math.min(bearings.south, bearings.north) * Math.tan(rises)
  const [low, most] = [plumb / 2, plumb + upper - least.chordSeat]
  return truss.heel < low - HAIR || truss.heel > most + HAIR
    ? [
        // a ridge's height that is asked for leaves the pitch, and so these, to the heel
        {
          code: 'heel-out-of-reach',
          path: 'roof.truss.heel',
          ...(peak.height === null ? { least: low, most } : { least: null, most: null }),
        },
      ]
    : []
}

/** Webs that the top chords leave no height for where they stand. */
function heightProblems(
  { roof: { truss, pitch, has }, footprint: { width } }: Building,
  { rafter, bottom, web }: RoofLumber,
): Problem[] {
  if (!truss) return []
  const angle = radians(pitchAngle(pitch))
  const clear = (at: number): number =>
    truss.heel - rafter.depth / Math.cos(angle) + at * Math.tan(angle) - bottom.depth
  const wanted: Partial<Record<TrussKind, number>> = {
    'king-post': clear(width / 2),
    'queen-post': clear(width / 3) - 2 * web.depth,
    'w-web': clear(width / 4),
    mono: clear(width / 2),
  }
  // of one slope every kind has an end post
  const room = wanted[truss.kind] ?? (has.falls.length === 1 ? clear(width - web.depth) : undefined)
  return room !== undefined && room < least.web ? [{ code: 'truss-too-small', path: 'roof.truss.kind' }] : []
}

/** Bought trusses that are made for another span than the building's. */
function spanProblems({ roof: { truss }, footprint: { width } }: Building): Problem[] {
  const span = truss?.kind === 'bought' ? truss.bought.span : null
  return span !== null && Math.abs(span - width) > TYPED
    ? [{ code: 'truss-span-unlike', path: 'roof.truss.bought.span', span, width }]
    : []
}

/** Bottom chords of scissors so steep that the top chords leave no height for the king post over them. */
function ceilingProblems(
  { roof: { truss, pitch }, footprint: { width }, bearings }: Building,
  { rafter, bottom }: RoofLumber,
): Problem[] {
  if (!truss?.ceiling) return []
  const angle = radians(pitchAngle(pitch))
  const under = truss.heel - rafter.depth / Math.cos(angle) + (width / 2) * Math.tan(angle)
  // of two walls unlike the narrower one's chord passes the middle higher
  const plate = Math.min(bearings.south, bearings.north)
  const post = (slope: number): number =>
    under - bottom.depth / Math.cos(radians(slope)) - (width / 2 - plate) * Math.tan(radians(slope))
  if (post(pitchAngle(truss.ceiling)) > least.web - HAIR) return []
  const { min } = limits.roofAngle
  if (post(min) < least.web) return [{ code: 'ceiling-too-steep', path: 'roof.truss.ceiling', angle: null }]
  let [fits, no]: [number, number] = [min, pitchAngle(truss.ceiling)]
  for (let i = 0; i < 40; i++) {
    const middle = (fits + no) / 2
    if (post(middle) < least.web) no = middle
    else fits = middle
  }
  return [{ code: 'ceiling-too-steep', path: 'roof.truss.ceiling', angle: fits }]
}

/** An attic's room that the top chords leave no place for. */
function roomProblems(
  { roof: { truss, pitch }, footprint: { width } }: Building,
  { rafter, bottom, web }: RoofLumber,
): Problem[] {
  if (truss?.kind !== 'attic') return []
  const tan = Math.tan(radians(pitchAngle(pitch)))
  const plumb = rafter.depth / Math.cos(radians(pitchAngle(pitch)))
  // the top chords' lower edge over the bottom chord's upper one
  const clear = (at: number): number => truss.heel - plumb + at * tan - bottom.depth
  const post = clear((width - truss.room.width) / 2 - web.depth)
  if (post < least.chord) {
    const most = width - 2 * ((least.chord + plumb + bottom.depth - truss.heel) / tan + web.depth)
    return [{ code: 'room-out-of-reach', path: 'roof.truss.room.width', most: Math.max(0, most) }]
  }
  const most = clear(width / 2) - 2 * web.depth - least.chord
  return truss.room.height > most + HAIR
    ? [{ code: 'room-out-of-reach', path: 'roof.truss.room.height', most: Math.max(0, most) }]
    : []
}
