import type { Building, SideName } from '../../design'
import type { Section } from '../../lumber'
import { HAIR } from '../../measure'
import { clearOf, clearOfEnds, least, onCentre, overlap, type Stretch, withLayout } from '../../trade'
import type { Parting, RafterPlace, RoofShape } from './form'
import { type Stood, withStairs } from './left-out'

/**
 * Where the rafters or trusses of a roof with gables stand along it: at both ends, and on centre from the
 * west; trusses no nearer an end one than its gussets and theirs let them.
 */
export const rafterPlaces = (building: Building, rafter: Section): readonly Stretch[] =>
  trussesAbout(building, rafter).places

/** The same, with what of trusses is left out for stairs, and why some can't be. */
export const trussesAbout = (building: Building, rafter: Section): Stood =>
  withStairs(building, layoutOf(building, rafter))

/** At both ends, and on centre from the west. */
function layoutOf({ footprint, roof }: Building, rafter: Section): Stretch[] {
  const t = rafter.thickness
  const apart = Math.max(t + least.clear, roof.truss?.apart ?? 0)
  const off = ({ from, to }: Stretch): boolean =>
    !roof.truss || (from > apart - HAIR && to < footprint.length - apart + HAIR)
  const ends = [
    { from: 0, to: t },
    { from: footprint.length - t, to: footprint.length },
  ]
  const stood = withLayout(
    ends,
    clearOfEnds(onCentre(roof.spacing, footprint.length), { from: t / 2, to: footprint.length - t / 2 }, t),
    t,
  )
  return stood.filter((at, i) => i === 0 || i === stood.length - 1 || off(at))
}

/** Where those of the face that falls to a side stand, those beside and in its openings among them. */
export const placesTo = (
  building: Building,
  rafter: Section,
  side: SideName,
  within?: Stretch,
): RafterPlace[] =>
  placesAbout(
    rafterPlaces(building, rafter),
    building.roof.truss ? [] : partingsIn(building, side, rafter, within),
    rafter,
  )

/** Rafters over both eave walls. */
export const overEaveWalls: RoofShape['places'] = (building, rafter) => {
  const along = rafterPlaces(building, rafter)
  return { south: along, north: along }
}

/**
 * The openings of the face that falls to a side, in the order asked, of two that do so those whose lower edge
 * lies within it; those of no width are not framed.
 */
export function partingsIn(
  { roof: { openings } }: Building,
  side: SideName,
  { thickness: t }: Section,
  within: Stretch = { from: -Infinity, to: Infinity },
): Parting[] {
  return openings.flatMap((asked, i): Parting[] => {
    if (asked.kind === 'stair' || asked.width === 0 || asked.slope !== side) return []
    if (asked.up < within.from || asked.up >= within.to) return []
    const s = { from: asked.at - asked.width / 2, to: asked.at + asked.width / 2 }
    return [{ number: i + 1, asked, s, wide: { from: s.from - asked.plies * t, to: s.to + asked.plies * t } }]
  })
}

/**
 * Rafters by their places, numbered as without openings: trimmers stand beside each opening; a rafter one of
 * them takes the place of is left out, one that would run into one stands against it.
 */
export function placesAbout(
  base: readonly Stretch[],
  partings: readonly Parting[],
  { thickness: t }: Section,
): RafterPlace[] {
  const named = (i: number, at: Stretch): RafterPlace => ({
    name: 'rafter',
    run: [i + 1],
    number: i + 1,
    at,
    parting: partings.find(each => overlap(each.s, at)) ?? null,
  })
  if (!partings.length) return base.map((at, i) => named(i, at))
  const out = partings.flatMap(parting => trimmers(parting, t))
  const stand = (i: number): void => {
    const wanted = base[i]
    const at =
      wanted &&
      clearOf(
        wanted,
        (wanted.from + wanted.to) / 2,
        out.map(each => each.at),
        t,
      )
    if (at) out.push(named(i, at))
  }
  // the end rafters stand where they are: those between give way to them
  const ends = new Set([0, base.length - 1])
  for (const i of ends) stand(i)
  base.forEach((_, i) => ends.has(i) || stand(i))
  return out.sort((a, b) => a.at.from - b.at.from)
}

/** The doubled rafters on both sides of an opening. */
const trimmers = ({ number, s, asked: { plies } }: Parting, t: number): RafterPlace[] =>
  Array.from({ length: plies }, (_, k) => k).flatMap((k): RafterPlace[] => [
    {
      name: 'trimmer',
      run: [number, 'low', k + 1],
      number: null,
      at: { from: s.from - (k + 1) * t, to: s.from - k * t },
      parting: null,
    },
    {
      name: 'trimmer',
      run: [number, 'high', k + 1],
      number: null,
      at: { from: s.to + k * t, to: s.to + (k + 1) * t },
      parting: null,
    },
  ])
