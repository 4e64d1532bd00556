import { least } from '../../trade'
import { HAIR } from '../../measure'
import {
  type Design,
  heightOf,
  jacksOf,
  limits,
  type SideName,
  usualOpening,
  wallFoot,
  type WallOpening,
  withValue,
  workedOut,
} from '../../design'
import type { Section } from '../../lumber'
import { sideOf } from './rough-opening'
import { cornerPlaces } from './places'
import { wallLines } from './wall'

/**
 * A wall sized by the units it is to hold: out to out, its height, and where each opening goes; or why it
 * can't be, with what it would need, mm.
 */
export type UnitsFit =
  | {
      readonly ok: true
      readonly overall: number
      readonly height: number
      readonly openings: readonly WallOpening[]
    }
  | { readonly ok: false; readonly code: 'no-units' }
  | {
      readonly ok: false
      readonly code: 'too-long' | 'too-high'
      readonly needs: number
      readonly most: number
    }

/**
 * The shortest wall that holds every unit on hand side by side, in the order they are listed: a corner at
 * each end, a jack and a king on both sides of each, the heads of all in one line (common practice, no
 * source). The wall is made higher only where the tallest unit asks for it.
 */
export function fitUnits(
  design: Design,
  side: SideName,
  stud: Section,
  section: (name: string) => Section,
): UnitsFit {
  const {
    walls,
    lumber: { yard },
  } = design
  const building = workedOut(design)
  const wanted = walls.units.flatMap(unit => Array.from({ length: unit.count }, () => unit))
  if (!wanted.length) return { ok: false, code: 'no-units' }
  const t = stud.thickness
  const usual = usualOpening(side, 'salvaged', 0, yard)
  const header = section(usual.header.section)
  const tallest = Math.max(...wanted.map(unit => unit.height)) + usual.clearance.height
  const top = walls.topPlates * t + header.depth
  const foot = wallFoot(design.base) + t + least.cripple + t
  const height = Math.max(building.heights[side], foot + tallest + top)
  const line = wallLines(building, stud).find(wall => wall.name === side)
  const corner = line
    ? Math.max(
        ...cornerPlaces(building, line, stud)
          .filter(each => each.from < line.overall / 2)
          .map(each => each.to),
      )
    : 0
  const openings: WallOpening[] = []
  let reach = corner
  for (const unit of wanted) {
    const rough = unit.width + usual.clearance.width
    const opening = {
      ...usual,
      foot: height - top - unit.height - usual.clearance.height,
      unit: { width: unit.width, height: unit.height },
    }
    const side = sideOf({ jacks: jacksOf(opening) }, t)
    openings.push({ ...opening, at: reach + side + rough / 2 })
    reach += rough + 2 * side
  }
  const overall = reach + corner
  const limit = line?.along === 'y' ? limits.footprintWidth : limits.footprintLength
  if (overall > limit.max) return { ok: false, code: 'too-long', needs: overall, most: limit.max }
  if (height > limits.wallHeight.max)
    return { ok: false, code: 'too-high', needs: height, most: limits.wallHeight.max }
  return { ok: true, overall, height, openings }
}

/**
 * The design with one wall sized by the units on hand; what else was in that wall is taken out. The same
 * design where they can't be had.
 */
export function withUnits(design: Design, side: SideName, fit: UnitsFit): Design {
  if (!fit.ok) return design
  const { walls } = design
  const own = walls.sides[side].height !== null
  const raised =
    fit.height > heightOf(walls, side) + HAIR
      ? withValue(design, own ? `walls.sides.${side}.height` : 'walls.height', fit.height)
      : design
  const sized = withValue(
    raised,
    side === 'south' || side === 'north' ? 'footprint.length' : 'footprint.width',
    fit.overall,
  )
  return withValue(sized, 'walls.openings', [
    ...walls.openings.filter(opening => opening.wall !== side),
    ...fit.openings,
  ])
}
