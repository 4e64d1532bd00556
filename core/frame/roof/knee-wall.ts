import { nth, ofFace } from '../place'
import type { Building } from '../../design'
import { vec } from '../../geometry'
import type { RoofLines, RoofLumber } from '../../lines'
import { overlap, rowOf } from '../../trade'
import type { Order } from '../member'
import { lyingFlat, squareBoard } from '../square-board'
import { kneeSupports } from './knee-support'

/** The walls under the knees: both plates, and a stud under each rafter that stands over them. */
export function kneeWallOrders(building: Building, lumber: RoofLumber, lines: RoofLines): Order[] {
  const { plate } = lumber
  const t = plate.thickness
  const { longest } = building.walls
  return kneeSupports(building, lumber, lines)
    .filter(({ kind }) => kind === 'wall')
    .flatMap(({ knee, out, inner, outer, foot, top, along }) => {
      const { face } = knee.sides[0]
      const across = out.y > 0 ? inner : -outer
      const places = face.places.map(({ at }) => at).filter(at => overlap(along, at))
      const studs = places.filter(at => at.from > along.from && at.to < along.to)
      const rows = rowOf(
        along,
        studs.map(({ from, to }) => (from + to) / 2),
        longest,
        longest,
      )
      const plates = (
        [
          ['bottom', foot],
          ['top', top - t],
        ] as const
      ).flatMap(([name, low]) =>
        rows.map((s, i) =>
          lyingFlat({
            where: ofFace(face, `knee-wall/${name}`, ...nth(i, rows)),
            role: 'knee-plate',
            section: plate,
            along: 'x',
            from: s.from,
            to: s.to,
            across,
            low,
          }),
        ),
      )
      return [
        ...plates,
        ...studs.map((at, i) =>
          squareBoard({
            where: ofFace(face, 'knee-wall/stud', i + 1),
            role: 'knee-stud',
            section: plate,
            along: 'z',
            depth: 'y',
            from: foot + t,
            to: top - t,
            corner: vec((at.from + at.to - t) / 2, across, 0),
          }),
        ),
      ]
    })
}
