import { type Building, hasSheets, isSide } from '../design'
import { boxOf, faceOf, type Frame, isOfWall, type Member, wallOf } from '../frame'
import { countUp } from '../measure'
import { gaps, overlap, type Stretch } from '../trade'
import { reachUp, screwLines } from './cover'

/** Lines across a panel closer than this are one, mm. */
const ONE_LINE = 100

/**
 * Where lines of screws cross a panel, from its lower end, mm: over battens, girts, blocks and plates, or
 * evenly over a deck or sheets.
 */
export function screwsAcross(
  { building, frame }: { readonly building: Building; readonly frame: Frame },
  panel: Member,
): number[] {
  if (panel.role === 'roof-panel') {
    const field = frame.covered.find(({ face }) => face.id === faceOf(panel.where))
    if (!field) return []
    const { from, to } = reachUp(panel, field)
    return screwLines(frame, field)
      .filter(v => v > from && v < to)
      .map(v => v - from)
  }
  const side = wallOf(panel.where)
  if (panel.role !== 'wall-panel' || !side || !isSide(side)) return []
  const { x, y, z } = boxOf(panel)
  const along = side === 'south' || side === 'north' ? x : y
  const levels = hasSheets(building.walls, side) ? [] : levelsBehind(frame, side, along, z)
  const lines = levels.length > 1 ? levels : evenly(z)
  return lines.map(each => each - z.from)
}

/** Middles of what lies level behind a stretch of a wall, from its foot up. */
function levelsBehind({ members }: Frame, side: 'south' | 'north' | 'east' | 'west', s: Stretch, z: Stretch) {
  const axis = side === 'south' || side === 'north' ? 'x' : 'y'
  return members
    .filter(
      ({ role, where, placement }) =>
        isOfWall(where, side) &&
        (role === 'girt' || role === 'bottom-plate' || role === 'top-plate' || role === 'block') &&
        Math.abs(placement.along.z) < 0.01,
    )
    .map(boxOf)
    .filter(box => overlap(box[axis], s))
    .map(box => (box.z.from + box.z.to) / 2)
    .filter(level => level > z.from && level < z.to)
    .sort((a, b) => a - b)
    .reduce<number[]>((all, level) => {
      const last = all.at(-1)
      return last !== undefined && level - last < ONE_LINE ? all : [...all, level]
    }, [])
}

/** Lines no farther apart than nailers may be, the outer ones in from the panel's ends. */
function evenly({ from, to }: Stretch): number[] {
  const [low, high] = [from + gaps.screwEnd, to - gaps.screwEnd]
  const bays = Math.max(1, countUp((high - low) / gaps.nailers))
  return high > low ? Array.from({ length: bays + 1 }, (_, i) => low + ((high - low) * i) / bays) : []
}
