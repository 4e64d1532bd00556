import { type Building, type SideName, sideNames } from '../../design'
import {
  breakOver,
  breaksOf,
  eavesOf,
  hangsDown,
  hipsOf,
  levelUnder,
  loweredLines,
  type Problem,
  type Profile,
  type RoofLines,
  type RoofLumber,
} from '../../lines'
import { radians } from '../../measure'
import { notchProblem } from './gable-studs'
import { isOfPosts } from './wall'
import type { RoofOver } from './walls'

/** Whether any wall is framed to the roof's planes, so that it is framed anew with them. */
export const wallsReachRoof = ({ roof, walls }: Building): boolean =>
  !roof.has.falls.includes('east') &&
  roof.pergola === null &&
  (roof.beam !== null ||
    roof.raised !== null ||
    (walls.gables === 'raked' && roof.firring === null) ||
    sideNames.some(side => walls.sides[side].step))

/**
 * The lower edges of rafters that run up over a side of posts: what stands inside of it ends under them. And
 * of those, and of hips, that come down over a beam between the horns of its posts: the outer horns end under
 * them. End trusses may lie lower by `drop`, mm: all posts of a side are cut to those.
 */
export const undersidesOver = (
  building: Building,
  lumber: RoofLumber,
  roof: RoofLines,
  drop: number,
): RoofOver['undersides'] =>
  Object.fromEntries(
    eavesOf(drop ? loweredLines(roof, drop) : roof)
      .filter(
        ({ points, header, onPosts, side }) =>
          // level rafters are notched over the beams on both sides, and lie lower than those
          (building.roof.pergola !== null ||
            points === 'up' ||
            (building.walls.posts.set === 'fork' && building.heels[side] > 0)) &&
          !header &&
          !onPosts &&
          (building.roof.pergola !== null || isOfPosts(building, side)),
      )
      .map(({ side, face }) => [side, { rafters: face.carrier.underside, hip: hipOver(lumber, roof, side) }]),
  )

/** How low hips come down over a side's corners, mm; null where none do. */
function hipOver(lumber: RoofLumber, roof: RoofLines, side: SideName): number | null {
  const over = hipsOf(roof).filter(({ sides }) => sides.some(each => each.side === side))
  const low = over.map(
    ({ sides: [{ height, heightAbovePlate }], drop, angle }) =>
      height + heightAbovePlate - drop - lumber.hip.depth / Math.cos(radians(angle)),
  )
  return low.length ? Math.min(...low) : null
}

/** What the end walls can't be to the roof over them. */
export const endWallProblems = (
  building: Building,
  lumber: RoofLumber,
  roof: RoofLines,
  line: Profile,
): Problem[] => [...beamProblems(building, line, lumber.ply.depth), ...notchProblems(building, lumber, roof)]

/**
 * Why a ridge beam would not bear on the gable walls: they have no studs under it, or it ends above what they
 * reach to.
 */
function beamProblems({ roof, walls }: Building, line: Profile, depth: number): Problem[] {
  if (!roof.beam) return []
  const open = (['east', 'west'] as const).find(side => walls.sides[side].build !== 'studs')
  if (open) return [{ code: 'beam-unborne', path: `walls.sides.${open}.build` }]
  if (walls.gables === 'open') return [{ code: 'beam-unborne', path: 'walls.gables' }]
  if (!line.hanging || hangsDown(line)) return []
  const peak = breakOver(breaksOf(line), line.hanging)
  const least = depth + line.hanging.bottom - levelUnder(line, peak)
  return [{ code: 'beam-shallow', path: 'roof.ridge', least }]
}

/**
 * Why gable studs end under the rafters that are asked to be notched behind them; what holds for both ends is
 * said once.
 */
function notchProblems(building: Building, { plate, rafter }: RoofLumber, roof: RoofLines): Problem[] {
  const [west, east] = [
    notchProblem(building, 'west', plate, rafter, roof),
    notchProblem(building, 'east', plate, rafter, roof),
  ]
  return [west, west?.code === 'gable-notch-thin' || west?.code === 'gable-notch-truss' ? null : east].filter(
    each => each !== null,
  )
}
