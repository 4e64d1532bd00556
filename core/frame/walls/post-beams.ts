import type { Building } from '../../design'
import { flip, planeAcross, planeAt } from '../../geometry'
import type { Section } from '../../lumber'
import { pliesOf, rowOf, type Stretch } from '../../trade'
import type { BuildingCut } from '../member'
import { ofWall } from '../place'
import { type WallBoard, wallPoint } from './board'
import type { PostPlace } from './post-places'
import type { Wall } from './wall'

/**
 * Where the beam of a side of posts lies: its stretch along the side, its levels, and from where across each
 * of its plies lies, from the wall's low face; mm.
 */
export interface BeamRoom {
  readonly building: Building
  readonly wall: Wall
  readonly post: Section
  readonly beam: Section
  readonly places: readonly PostPlace[]
  readonly s: Stretch
  readonly z: Stretch
  readonly across: readonly number[]
}

/** The boards of a beam, joined over posts. */
export const beamBoards = (room: BeamRoom): WallBoard[] =>
  room.across.length === 1 ? single(room) : plied(room)

/** A beam of one ply, its lengths joined over posts' middles. */
function single(room: BeamRoom): WallBoard[] {
  const { building, wall, post, across, places, s, z } = room
  const { longest, posts } = building.walls
  const lap = posts.joint === 'butt' ? 0 : post.thickness
  const middles = places.map(s => (s.from + s.to) / 2)
  const row = rowOf(s, middles.slice(1, -1), longest - lap, longest - lap)
  return row.map((each, i): WallBoard => {
    const [first, last] = [i === 0, i === row.length - 1]
    return {
      ...beamBoard(room, across[0] ?? 0, {
        from: first ? each.from : each.from - lap / 2,
        to: last ? each.to : each.to + lap / 2,
      }),
      where: ofWall(wall.name, 'beam', i + 1),
      cuts: [
        ...(lap && !first ? [beamEnd(building, wall, each.from, lap, z, 'after')] : []),
        ...(lap && !last ? [beamEnd(building, wall, each.to, lap, z, 'before')] : []),
      ],
    }
  })
}

/** A beam of plies side by side, each of boards that butt over posts, no two plies over the same one. */
function plied(room: BeamRoom): WallBoard[] {
  const { building, wall, across, places, s: whole } = room
  const middles = places.slice(1, -1).map(s => (s.from + s.to) / 2)
  const rows = pliesOf(whole, across.length, middles, building.walls.longest)
  return rows.flatMap((row, k) =>
    row.map((s, i) => ({
      ...beamBoard(room, across[k] ?? 0, s),
      where: ofWall(wall.name, 'beam', k + 1, ...(row.length > 1 ? [i + 1] : [])),
    })),
  )
}

const beamBoard = ({ beam, z }: BeamRoom, across: number, s: Stretch): Omit<WallBoard, 'where'> => ({
  role: 'wall-beam',
  section: beam,
  runs: 'along',
  wide: 'up',
  s,
  z,
  across,
})

/** The end of a beam over a post's middle: halved, the one before on top; or cut along one slope. */
function beamEnd(
  { walls }: Building,
  wall: Wall,
  at: number,
  lap: number,
  z: Stretch,
  piece: 'before' | 'after',
): BuildingCut {
  const [a, b] = [at - lap / 2, at + lap / 2]
  if (walls.posts.joint === 'scarf') {
    const down = planeAt(
      wallPoint(wall, a, 0, z.from),
      wall.along === 'x' ? { x: z.to - z.from, y: 0, z: -lap } : { x: 0, y: z.to - z.from, z: -lap },
    )
    return { kind: 'end', name: 'slope', plane: piece === 'before' ? down : flip(down) }
  }
  const middle = planeAcross('z', (z.from + z.to) / 2)
  const sides =
    piece === 'before'
      ? ([flip(planeAcross(wall.along, a)), middle] as const)
      : ([planeAcross(wall.along, b), flip(middle)] as const)
  return { kind: 'notch', name: 'lap', sides: sides.map(plane => ({ name: 'lap' as const, plane })) }
}
