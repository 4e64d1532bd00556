import type { Building, SoffitBoards } from '../../design'
import {
  add,
  cross,
  dot,
  meets,
  place,
  type Plane,
  planeAt,
  scale,
  unit,
  vec,
  type Vec3,
} from '../../geometry'
import { type Eave, levelOver, type RoofLumber, tailedEave, wallEaves } from '../../lines'
import type { Section } from '../../lumber'
import { HAIR } from '../../measure'
import { boardsAcross, least, middleOf, rowOf, type Stretch } from '../../trade'
import type { BuildingCut, Order } from '../member'
import { nth, ofEave } from '../place'
import { coverOn, footOfTail, soffitJoists, tailPlane } from '../roof'
import { SPARE } from '../square-board'
import { covering } from '../tongue'
import type { CoverAsk } from './field'

/** What boards under an eave lie against: a plane, from `start` at the wall out to another that ends it. */
interface Underside {
  readonly down: Vec3
  readonly out: Vec3
  readonly start: Vec3
  readonly wall: Plane
  readonly end: Plane
  /** Middles of what they are nailed to, along the eave. */
  readonly breaks: readonly number[]
}

/** Boards along the eaves, under a boxed soffit's joists or straight on the tails. */
export const soffitBoards = (
  { building, lumber, lines, skins }: CoverAsk,
  asked: SoffitBoards,
  board: Section,
): Order[] =>
  wallEaves(lines)
    .filter(({ side }) => !building.roof.joined.includes(side))
    .map(tailedEave)
    .flatMap(eave =>
      undersides(building, lumber, eave, coverOn(building, lumber, eave.side) + skins[eave.side]).flatMap(
        (under, k, all) => boardsUnder(building, eave, under, asked, board, lumber, nth(k, all)),
      ),
    )

/** What an eave's boards lie against, from the wall's skin out. */
function undersides(building: Building, lumber: RoofLumber, eave: Eave, skin: number): Underside[] {
  const { outside, tail, face } = eave
  const slope = face.carrier.underside
  const out = outside.normal
  const joists = soffitJoists(building, lumber, eave)
  const foot = footOfTail(building, eave)
  const end = tailPlane(building, eave)
  const at = (from: number, z: number): Vec3 => add(scale(out, outside.offset + from), vec(0, 0, z))
  const plumb = (from: number): Plane => ({ normal: out, offset: outside.offset + from })
  const level = (from: number, breaks: readonly number[]): Underside => ({
    ...{ down: vec(0, 0, -1), out, breaks },
    start: at(from, foot),
    wall: plumb(from),
    end,
  })
  const down = scale(slope.normal, slope.normal.z > 0 ? -1 : 1)
  const fall = unit(add(out, scale(down, -dot(out, down))))
  const breaks = eave.rafters.map(middleOf)
  const leaning = (to: Plane): Underside => ({
    ...{ down, out: fall, breaks },
    start: at(skin, levelOver(slope, { ...outside, offset: outside.offset + skin })),
    wall: plumb(skin),
    end: to,
  })
  if (tail.offset - outside.offset - skin < least.soffitBoard) return []
  if (joists) return [level(skin, joists.map(middleOf))]
  if (building.roof.tail !== 'level' || eave.points === 'up') return [leaning(end)]
  // the level cut begins where the tails' lower edge passes it
  const near = levelOver(slope, { ...outside, offset: outside.offset + skin })
  const steep = near - levelOver(slope, { ...outside, offset: outside.offset + skin + 1 })
  const meet = steep > HAIR ? skin + (near - foot) / steep : skin
  if (meet <= skin + least.soffitBoard) return [level(skin, breaks)]
  if (meet >= tail.offset - outside.offset - least.soffitBoard) return [leaning(end)]
  return [leaning(plumb(meet)), level(meet, breaks)]
}

function boardsUnder(
  building: Building,
  eave: Eave,
  { down, out, start, wall, end, breaks }: Underside,
  { edge, space, vent }: SoffitBoards,
  sold: Section,
  { rafter }: Pick<RoofLumber, 'rafter'>,
  part: readonly number[],
): Order[] {
  const section = covering(sold, edge)
  const run = cross(out, down)
  const axis = Math.abs(eave.outside.normal.y) > 0.5 ? vec(1, 0, 0) : vec(0, 1, 0)
  const forward = dot(run, axis) > 0
  // on the farther of its two faces a board may reach on to what ends it
  const wide = Math.max(
    meets(end, start, out) ?? 0,
    meets(end, add(start, scale(down, section.thickness)), out) ?? 0,
  )
  const back = Math.min(0, meets(wall, add(start, scale(down, section.thickness)), out) ?? 0)
  const rows = withVent(boardsAcross({ from: back, to: wide }, section.depth, space), wide, vent)
  const more = eave.corners.length ? section.depth + wide : 0
  const half = eave.hip?.half ?? 0
  // an end truss that lies lower stands in the way, and what hangs outside it has its own underside
  const lower = building.roof.truss !== null && building.roof.ends.hold === 'lookouts'
  const off = lower ? rafter.thickness : -Infinity
  const long = axis.x > 0.5 ? building.footprint.length : building.footprint.width
  const corners = eave.corners.map((plane): BuildingCut => ({
    kind: 'end',
    name: 'mitre',
    plane: { ...plane, offset: plane.offset - half },
  }))
  const square = (s: number, way: 1 | -1): BuildingCut => ({
    kind: 'end',
    name: 'square',
    plane: planeAt(scale(axis, s), scale(axis, way)),
  })
  return rows.flatMap((v, r) => {
    const row = rowOf(
      {
        from: Math.max(off, eave.along.from) - more,
        to: Math.min(long - off, eave.along.to) + more,
      },
      breaks,
      building.walls.longest,
      r % 2 ? building.walls.longest / 2 : building.walls.longest,
    )
    return row.map((s, k): Order => {
      const origin = add(
        add(start, scale(out, v.from)),
        scale(axis, (forward ? s.from : s.to) - dot(start, axis)),
      )
      const rip = (plane: Plane): BuildingCut => ({ kind: 'end', name: 'rip', plane })
      return {
        where: ofEave(eave, 'soffit/board', ...part, r + 1, k + 1),
        role: 'soffit-board',
        section,
        placement: place(add(origin, scale(run, -SPARE)), run, out),
        blankLength: s.to - s.from + 2 * SPARE,
        cuts: [
          k === 0 && corners[0] ? corners[0] : square(s.from, -1),
          k === row.length - 1 && corners[1] ? corners[1] : square(s.to, 1),
          ...(r === 0 ? [rip({ normal: scale(wall.normal, -1), offset: -wall.offset })] : []),
          ...(v.to - v.from < section.depth - HAIR && r < rows.length - 1
            ? [rip(planeAt(add(start, scale(out, v.to)), out))]
            : []),
          ...(r >= rows.length - 2 ? [rip(end)] : []),
        ],
      }
    })
  })
}

/** Rows with a strip left open between the two in the middle, or before a single one, for air. */
function withVent(rows: readonly Stretch[], wide: number, vent: number): Stretch[] {
  if (vent < HAIR || !rows.length) return [...rows]
  const after = Math.floor(rows.length / 2)
  return rows
    .map((each, i) => (i < after ? each : { from: each.from + vent, to: Math.min(wide, each.to + vent) }))
    .filter(({ from, to }) => to - from > least.piece)
}
