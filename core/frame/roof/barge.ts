import { ofFace } from '../place'
import { mitre, plumbCut } from './cuts'
import type { Building } from '../../design'
import { flip, type Plane, planeAcross } from '../../geometry'
import type { Section } from '../../lumber'
import type { Stretch } from '../../trade'
import type { BuildingCut, Order } from '../member'
import {
  abutmentOf,
  alongFace,
  type Eave,
  headPlane,
  highEaveOf,
  kneesOf,
  kneeUnder,
  lowEaveOf,
  ridgeOf,
  type RoofFace,
  type RoofLines,
  type RoofLumber,
} from '../../lines'
import { coverOn } from './cover'
import { rafterOn } from './rafter'
import { tailCuts } from './tails'
import { type End, type Flank, onPlate, outermost } from './flank'

/**
 * A board on the outermost rafter's face, its upper edge in the slope; where two slopes meet, to the middle
 * of the ridge, or to half the turn of a knee, and past the tails by what is nailed to them.
 */
export function barge(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  flank: Flank,
  end: End,
): Order[] {
  const { barge: section } = lumber
  if (!section) return []
  const x = bargeAt(building, lumber, end, section)
  const layers = fasciaThickness(lumber)
  const past = (plane: Plane): Plane => ({ ...plane, offset: plane.offset + layers })
  const low = lowEaveOf(lines, flank.face)
  const knee = kneeUnder(lines, flank.face)
  const cut = (plane: Plane) => (plane.normal.z === 0 ? plumbCut(plane) : mitre(plane))
  const head = bargeHead(lines, flank.face, past)
  // past a ledger out of line to the house
  const start = abutmentOf(lines)?.skew
    ? flank.from - 2 * lumber.ridge.thickness
    : head
      ? alongFace(flank.face, head)
      : flank.from
  return [
    rafterOn({
      where: ofFace(flank.face, 'barge', end),
      role: 'barge',
      section,
      roofTop: flank.roofTop,
      at: x,
      from: start - layers - section.depth,
      to: flank.to + layers,
      cuts: [
        ...(head ? [cut(head)] : []),
        ...(knee
          ? [mitre(knee.sides[1].end)]
          : low?.kick
            ? [mitre(flip(low.kick.middle))]
            : low
              ? [
                  plumbCut(past(low.tail)),
                  ...levelled(building, lines, low),
                  ...onPlate(building, lines, low),
                ]
              : []),
      ],
    }),
  ]
}

/** How thick what is nailed along the tails' ends is, mm. */
export const fasciaThickness = ({ fascia }: Pick<RoofLumber, 'fascia'>): number =>
  (fascia.sub?.thickness ?? 0) + (fascia.face?.thickness ?? 0)

/** Where a barge board lies along the ridge: with less overhang than cover it lies on the cover; mm. */
export const bargeAt = (building: Building, lumber: RoofLumber, end: End, { thickness }: Section): Stretch =>
  outermost(
    building,
    end,
    -thickness - Math.max(0, coverOn(building, lumber, end) - building.roof.overhang.ends[end]),
    thickness,
  )

/** Below a knee a board on tails that end level ends as they do: plumb, it would hang far below them. */
const levelled = (building: Building, lines: RoofLines, low: Eave): BuildingCut[] =>
  kneesOf(lines).length > 0 && building.roof.tail === 'level'
    ? tailCuts(building, low).filter(({ name }) => name === 'level')
    : []

/**
 * Where a barge board ends at its head: where two slopes meet at the ridge; on a ledger's face, or past that
 * to the house; or past the tails of what the rafters run up over.
 */
function bargeHead(lines: RoofLines, face: RoofFace, past: (plane: Plane) => Plane): Plane | null {
  const under = kneesOf(lines).find(({ sides }) => sides[0].face === face)
  if (under) return under.sides[0].end
  const ridge = ridgeOf(lines)
  if (ridge) {
    const peak = planeAcross('y', ridge.at)
    return ridge.sides[0].face === face ? peak : flip(peak)
  }
  const high = highEaveOf(lines, face)
  if (high) return past(high.tail)
  const ledger = abutmentOf(lines)
  if (!ledger || ledger.against === 'posts') return headPlane(lines, face)
  if (ledger.skew) return ledger.skew.house
  const { normal } = ledger.end
  return { normal, offset: normal.y > 0 ? ledger.box.to : 0 - ledger.box.from }
}
