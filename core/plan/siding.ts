import { coverOfPosts, eaveOver, eavesOf, facesAcross, peakAcross, roofLevel } from '../lines'
import { countUp } from '../measure'
import { type Building, hasSheets, isSide } from '../design'
import { type Frame, type Wall, isInGable, isOfWall } from '../frame'
import { meets, type Plane, vec } from '../geometry'
import { stretchOf } from './marked-pair'

/**
 * Lapped boards over the walls' sheets: rows from the bottom of each wall to the roof, the whole of them end
 * to end, mm, openings left out; and the boards they come out of.
 */
export interface SidingCount {
  readonly rows: number
  readonly length: number
  readonly boards: number
  readonly stock: number
}

/** What is bought over what is laid, for ends and splits (common practice, no source). */
export const WASTE = 0.1

/**
 * Counts siding; null where there is none to count. Each row is as long as its wall at the middle of what
 * shows of it.
 */
export function sidingOf({ walls }: Pick<Building, 'walls'>, frame: Frame): SidingCount | null {
  const { siding, sheathing, longest } = walls
  if (!siding || !sheathing) return null
  const rows = frame.walls
    .filter(wall => isSide(wall.name) && hasSheets(walls, wall.name))
    .flatMap(wall =>
      rowsOn(
        walls.gables !== 'open' &&
          frame.building.roof.firring === null &&
          !eavesOf(frame.roof).some(eave => eave.side === wall.name),
        frame,
        wall,
        siding.exposure,
      ),
    )
  const length = rows.reduce((sum, each) => sum + each, 0)
  return rows.length
    ? {
        rows: rows.length,
        length,
        boards: countUp((length * (1 + WASTE)) / longest),
        stock: longest,
      }
    : null
}

/** Lengths of the rows on one wall and its gable, from its lowest sheet's edge, mm. */
function rowsOn(gables: boolean, frame: Frame, wall: Wall, exposure: number): number[] {
  const eave = isSide(wall.name) ? eaveOver(frame.roof, wall.name) : undefined
  const top =
    wall.along === 'y' && gables
      ? roofLevel(frame.roof, Math.min(Math.max(peakAcross(frame.roof), 0), wall.overall))
      : eave?.onPosts
        ? coverOfPosts(eave)
        : wall.height
  const foot = Math.min(
    ...frame.members
      .filter(
        ({ where, role }) =>
          role === 'wall-sheet' &&
          isOfWall(where, wall.name) &&
          (!isInGable(where) || (wall.step !== null && where.name === 'sheet')),
      )
      .map(sheet => stretchOf(sheet, 'z').from),
  )
  const count = Number.isFinite(foot) ? countUp((top - foot) / exposure) : 0
  return Array.from({ length: Math.max(0, count) }, (_, i) => foot + i * exposure)
    .map(low => {
      const middle = Math.min(low + exposure / 2, (low + top) / 2)
      const whole = wall.along === 'y' && gables ? gableWidth(frame, wall, middle) : wall.overall
      const open = (frame.openings[wall.name] ?? [])
        .filter(({ z }) => z.from < middle && z.to > middle)
        .reduce((sum, { s }) => sum + s.to - s.from, 0)
      return Math.max(0, whole - open)
    })
    .filter(length => length > 0)
}

/** How wide a gable is at a level, mm. */
function gableWidth({ roof }: Frame, wall: Wall, z: number): number {
  const at = (plane: Plane): number => meets(plane, vec(0, 0, z), vec(0, 1, 0)) ?? 0
  const planes = facesAcross(roof).map(face => face.top)
  return Math.max(
    0,
    Math.min(wall.overall, ...planes.filter(plane => plane.normal.y > 0).map(at)) -
      Math.max(0, ...planes.filter(plane => plane.normal.y < 0).map(at)),
  )
}
