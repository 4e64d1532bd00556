import type { SideName } from '../../design'
import { type Placement, toBoard, toBuilding, type Vec3 } from '../../geometry'
import { HAIR, radians } from '../../measure'
import { type Frame, standingBoards } from '../frame'
import type { Member } from '../member'
import type { HungDesign } from './pose'

/** What of the main roof reaches out over a part: places on its edges, from the ledger's outer face; mm. */
export interface Over {
  readonly places: readonly { readonly out: number; readonly level: number }[]
  /** What stays clear under them, plumb. */
  readonly gap: number
  /** What lies on the part's rafters there, square to its slope. */
  readonly high: number
  /** Whether boards at its ends rise on over the ledger, to the wall behind it. */
  readonly rises: boolean
}

/**
 * The main roof's boards over the stretch that a part's roof reaches along; `thick` the ledger, `past` what
 * lies outside of its ends; mm.
 */
export function overOf(
  main: Frame,
  part: HungDesign,
  pose: Placement,
  {
    thick,
    past,
    rises,
    high,
  }: { readonly thick: number; readonly past: number; readonly rises: boolean; readonly high: number },
): Over {
  // barge boards lie outside of that, and of what covers the ends
  const ends = part.roof.overhang.gable + past
  const along = { from: -ends, to: part.footprint.length + ends }
  const house: SideName = part.roof.high
  const face = house === 'north' ? part.footprint.width - thick : thick
  const way = house === 'north' ? -1 : 1
  const reach = part.footprint.width + part.roof.overhang.eave
  const places = standingBoards(main)
    .filter(({ where }) => where.in === 'roof')
    .flatMap(member => edgesOf(member, pose))
    .flatMap(([a, b]) => {
      const [from, to] = [a, b].map(p => ({ along: p.x, out: way * (p.y - face), level: p.z }))
      if (!from || !to) return []
      if (
        Math.max(from.along, to.along) < along.from - HAIR ||
        Math.min(from.along, to.along) > along.to + HAIR
      )
        return []
      return within(from, to, -thick, reach)
    })
  return { places, gap: part.hang.gap, high, rises }
}

interface At {
  readonly out: number
  readonly level: number
}

/**
 * The ends of what of an edge lies between two distances out, and where it passes over the ledger's outer
 * face, from which the roof under it falls.
 */
function within(from: At, to: At, least: number, most: number): At[] {
  const [a, b] = from.out <= to.out ? [from, to] : [to, from]
  if (b.out < least + HAIR || a.out > most) return []
  const at = (out: number): At =>
    b.out - a.out < HAIR
      ? a
      : { out, level: a.level + ((b.level - a.level) * (out - a.out)) / (b.out - a.out) }
  const ends = [a.out < least ? at(least) : a, b.out > most ? at(most) : b]
  return a.out < 0 && b.out > 0 ? [...ends, at(0)] : ends
}

/** A member's edges in the axes of a part. */
function edgesOf({ board, placement }: Member, pose: Placement): [Vec3, Vec3][] {
  const moved = (p: Vec3): Vec3 => toBoard(pose, toBuilding(placement, p))
  return board.faces.flatMap(({ loops }) =>
    loops.flatMap(loop => {
      const points = loop.map(moved)
      return points.map((p, i): [Vec3, Vec3] => [p, points[(i + 1) % points.length] ?? p])
    }),
  )
}

/**
 * The highest level of a ledger's top, in the axes of what the places are read in, at which a slope that
 * falls away from its outer face at an angle stays clear under them all, mm; Infinity under none.
 */
export function roomUnder({ places, gap, high, rises }: Over, angle: number): number {
  const fall = Math.tan(radians(angle))
  // what covers the part's roof fits in the gap, or takes what it needs
  const clear = Math.max(gap, high / Math.cos(radians(angle)))
  return Math.min(
    Infinity,
    ...places.map(({ out, level }) => level - clear + (rises ? out : Math.max(out, 0)) * fall),
  )
}
