import { nth, ofEave } from '../place'
import { mitre } from './cuts'
import { type Eave, eavesOf, type RoofLines, type RoofLumber } from '../../lines'
import { least, rowOf } from '../../trade'
import type { Building } from '../../design'
import { add, cross, meets, place, planeAt, scale, vec } from '../../geometry'
import { SPARE } from '../square-board'
import type { BuildingCut, Order } from '../member'
import { coverOn } from './cover'
import { finishEnd, finishFoot, tailPlane } from './tails'

/**
 * Boards let into the tails' upper edges, from the wall out, flush with the rafters; the last is ripped at
 * the tails.
 */
export function finishBoardOrders(building: Building, lumber: RoofLumber, lines: RoofLines): Order[] {
  return lumber.finish
    ? eavesOf(lines)
        .filter(eave => !eave.header)
        .flatMap(eave => boardsOf(building, lumber, eave))
    : []
}

function boardsOf(building: Building, lumber: RoofLumber, eave: Eave): Order[] {
  const { finish } = lumber
  const { rafters, along: reach, face } = eave
  const corners = eave.corners.map(mitre)
  if (!finish) return []
  const cover = coverOn(building, lumber, eave.side)
  const end = finishEnd(eave, cover, finish.thickness)
  const up = face.top.normal
  const out = scale(end.normal, -1)
  const axis = Math.abs(eave.outside.normal.y) > 0.5 ? vec(1, 0, 0) : vec(0, 1, 0)
  // where the notch ends in the slope, over the axis' origin
  const foot = finishFoot(eave, cover, finish.thickness)
  const start = vec(foot.x, foot.y, meets(face.top, foot, vec(0, 0, 1)) ?? 0)
  const tail = tailPlane(building, eave)
  const wide = meets(tail, start, out) ?? 0
  const count = Math.max(0, Math.ceil((wide - least.finishBoard) / finish.depth))
  const breaks = rafters.map(({ from, to }) => (from + to) / 2)
  const turned = cross(axis, out)
  const facesUp = turned.x * up.x + turned.y * up.y + turned.z * up.z > 0
  return Array.from({ length: count }, (_, r) => r).flatMap(r => {
    const more = corners.length ? finish.depth : 0
    const row = rowOf(
      { from: reach.from - more, to: reach.to + more },
      breaks,
      building.walls.longest,
      building.walls.longest,
    )
    return row.map((s, k): Order => {
      const level = (at: number, way: 1 | -1): BuildingCut => ({
        kind: 'end',
        name: 'square',
        plane: planeAt(scale(axis, at), scale(axis, way)),
      })
      const low = add(
        add(start, scale(axis, s.from - SPARE)),
        add(scale(out, r * finish.depth), scale(up, facesUp ? -finish.thickness : 0)),
      )
      return {
        where: ofEave(eave, 'finish', r + 1, ...nth(k, row)),
        role: 'finish-board',
        section: finish,
        placement: place(low, axis, out),
        blankLength: s.to - s.from + 2 * SPARE,
        cuts: [
          k === 0 && corners[0] ? corners[0] : level(s.from, -1),
          k === row.length - 1 && corners[1] ? corners[1] : level(s.to, 1),
          ...(r >= count - 2 ? [{ kind: 'end', name: 'rip', plane: tail } as const] : []),
        ],
      }
    })
  })
}
