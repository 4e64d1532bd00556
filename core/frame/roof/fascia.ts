import { nth, ofEave } from '../place'
import type { Under } from './roof-frame'
import { mitre } from './cuts'
import { least, rowOf } from '../../trade'
import type { Building } from '../../design'
import { add, scale, vec, type Vec3 } from '../../geometry'
import { HAIR, radians } from '../../measure'
import { squareBoard } from '../square-board'
import type { BuildingCut, Order } from '../member'
import {
  type Eave,
  eavesOf,
  levelOver,
  type Problem,
  type RoofLines,
  type RoofLumber,
  tailedEave,
} from '../../lines'
import type { Section } from '../../lumber'
import { coverOn } from './cover'
import { leaningBoard } from './leaning-board'
import { tailPlane, topAtTail } from './tails'

interface Layer {
  readonly role: 'sub-fascia' | 'fascia'
  readonly section: Section
  /** How far out from the tails it lies, mm. */
  readonly off: number
}

/**
 * Boards along the tails' plumb cuts, the sub-fascia first and the fascia on it: each with its upper edge
 * ripped to the roof's slope, or leaning along tails cut square, mitred where two eaves meet at a hip, joined
 * over the middle of a rafter where it is longer than `longest`. Left out and said where the overhang leaves
 * it no room beside the wall, or where it would hang below the deck.
 */
export function fasciaOrders(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  under: Under,
): { readonly orders: readonly Order[]; readonly problems: readonly Problem[] } {
  const layers = layersOf(lumber)
  const problems: Problem[] = []
  const orders = eavesOf(lines)
    .map(tailedEave)
    .filter(({ side }) => !building.roof.joined.includes(side))
    .flatMap((eave): Order[] => {
      const { side, tail, outside, reach } = eave
      const room = roomForFascia(building, lumber, eave)
      if (layers.length && tail.offset - outside.offset < room - HAIR) {
        problems.push({ code: 'fascia-no-room', path: reach.field, side, least: room })
        return []
      }
      return layers.flatMap((layer): Order[] => {
        if (leans(building, eave)) return leaningOrders(building, eave, layer)
        const top = topOf(eave, layer)
        const below = under[side] - (top - layer.section.depth)
        if (below <= HAIR) return layerOrders(building, eave, layer, top)
        problems.push({
          code: 'fascia-below-deck',
          path: `roof.fascia.${layer.role === 'fascia' ? 'face' : 'sub'}`,
          side,
          by: below,
        })
        return []
      })
    })
  return { orders, problems }
}

/** The boards along tails, from the tails out. */
function layersOf({ fascia }: Pick<RoofLumber, 'fascia'>): Layer[] {
  const { sub, face } = fascia
  return [
    ...(sub ? [{ role: 'sub-fascia' as const, section: sub, off: 0 }] : []),
    ...(face ? [{ role: 'fascia' as const, section: face, off: sub?.thickness ?? 0 }] : []),
  ]
}

/** Whether what is nailed along an eave's tails leans as they do. */
const leans = ({ roof }: Pick<Building, 'roof'>, { points }: Eave): boolean =>
  roof.tail === 'square' && points === 'down'

/**
 * The least overhang with which fascia has room beside a wall, mm: a board that reaches below the tails
 * passes what covers the wall, and one that leans does so with its lower edge.
 */
export function roomForFascia(building: Building, lumber: RoofLumber, eave: Eave): number {
  const { top, carrier, angle } = eave.face
  const [sin, cos] = [Math.sin(radians(angle)), Math.cos(radians(angle))]
  const leaning = leans(building, eave)
  const thick = (top.offset - carrier.underside.offset) / (leaning ? 1 : cos)
  const cover = coverOn(building, lumber, eave.side)
  return Math.max(
    least.fasciaOverhang,
    ...layersOf(lumber)
      .filter(({ section }) => section.depth > thick + HAIR)
      .map(({ section, off }) => cover + (leaning ? section.depth * sin - off * cos : 0)),
  )
}

/** The higher of the levels at which the roof's plane passes a layer's two faces. */
function topOf({ tail, face }: Eave, { section, off }: Layer): number {
  const at = (out: number): number => levelOver(face.top, { ...tail, offset: tail.offset + out })
  return Math.max(at(off), at(off + section.thickness))
}

function layerOrders(
  building: Building,
  { id, tail, face, rafters, along: reach, corners }: Eave,
  { role, section, off }: Layer,
  top: number,
): Order[] {
  const along = Math.abs(tail.normal.y) > 0.5 ? 'x' : 'y'
  const out = along === 'x' ? tail.normal.y : tail.normal.x
  const across = out * (tail.offset + off) - (out < 0 ? section.thickness : 0)
  // a mitred board reaches out to the next one's outer face
  const more = corners.length ? off + section.thickness : 0
  const row = rowOf(
    { from: reach.from - more, to: reach.to + more },
    rafters.map(each => (each.from + each.to) / 2),
    building.walls.longest,
    building.walls.longest,
  )
  const mitres = corners.map(mitre)
  const rip: BuildingCut = { kind: 'end', name: 'rip', plane: face.top }
  return row.map((s, k): Order => {
    const corner: Vec3 =
      along === 'x' ? vec(0, across, top - section.depth) : vec(across, 0, top - section.depth)
    const board = squareBoard({
      where: ofEave({ id }, role, ...nth(k, row)),
      role,
      section,
      along,
      depth: 'z',
      from: s.from,
      to: s.to,
      corner,
    })
    const [low, high] = board.cuts as [BuildingCut, BuildingCut]
    return {
      ...board,
      cuts: [k === 0 ? (mitres[0] ?? low) : low, k === row.length - 1 ? (mitres[1] ?? high) : high, rip],
    }
  })
}

/** Along tails cut square to the slope fascia leans as they do, its edges square. */
function leaningOrders(building: Building, eave: Eave, { role, section, off }: Layer): Order[] {
  const { id, tail, face, rafters, along: reach } = eave
  const corners = eave.corners.map(mitre)
  const up = face.top.normal
  const along = Math.abs(tail.normal.y) > 0.5 ? 'x' : 'y'
  const out = tailPlane(building, eave).normal
  const top = scale(tail.normal, tail.offset)
  const edge = vec(top.x, top.y, topAtTail(eave))
  const foot = add(edge, add(scale(up, -section.depth), scale(out, off + section.thickness)))
  const more = corners.length ? off + section.thickness : 0
  const row = rowOf(
    { from: reach.from - more, to: reach.to + more },
    rafters.map(each => (each.from + each.to) / 2),
    building.walls.longest,
    building.walls.longest,
  )
  return row.map((s, k): Order => {
    const [low, high] = [k === 0 ? corners[0] : undefined, k === row.length - 1 ? corners[1] : undefined]
    return leaningBoard({
      where: ofEave({ id }, role, ...nth(k, row)),
      role,
      section,
      along,
      s,
      foot,
      up,
      out,
      ends: [!low, !high],
      cuts: [...(low ? [low] : []), ...(high ? [high] : [])],
    })
  })
}
