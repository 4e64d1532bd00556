import type { Building, SideName } from '../../design'
import { type Plane, scale, subtract } from '../../geometry'
import type { Section } from '../../lumber'
import { HAIR } from '../../measure'
import { least, onCentre, type Stretch, withLayout } from '../../trade'
import type { RoofLumber } from './form'
import { outOf, plumbPlaneAt } from './planes'

/** A corner of the building by the two walls that meet there, the eave wall first. */
export interface Corner {
  readonly name: string
  readonly sides: readonly ['south' | 'north', 'east' | 'west']
}

export const corners: readonly Corner[] = [
  { name: 'south-west', sides: ['south', 'west'] },
  { name: 'south-east', sides: ['south', 'east'] },
  { name: 'north-east', sides: ['north', 'east'] },
  { name: 'north-west', sides: ['north', 'west'] },
]

export const cornerAt = (
  { footprint: { length, width } }: Building,
  { sides: [eave, end] }: Corner,
): { x: number; y: number } => ({
  x: end === 'east' ? length : 0,
  y: eave === 'north' ? width : 0,
})

export const isSquare = ({ footprint: { length, width } }: Building): boolean =>
  Math.abs(length - width) < HAIR

interface Places {
  readonly low: readonly Stretch[]
  readonly commons: readonly Stretch[]
  readonly high: readonly Stretch[]
}

export const all = ({ low, commons, high }: Places): Stretch[] => [...low, ...commons, ...high]

/**
 * Where commons and jacks stand along each wall: commons over the ridge, jacks from the outermost common
 * toward either corner.
 */
export function placesOf(
  { footprint: { length, width }, roof: { spacing } }: Building,
  { thickness: t }: Section,
): Readonly<Record<SideName, Places>> {
  const half = width / 2
  const about = (at: number): Stretch => ({ from: at - t / 2, to: at + t / 2 })
  const steps = Math.max(0, Math.floor((half - least.jack) / spacing))
  const jacks = (from: number, way: 1 | -1): Stretch[] =>
    Array.from({ length: steps }, (_, i) => about(from + way * (i + 1) * spacing))
  const along = (first: number, last: number): Places => {
    const ends = last - first < t ? [about(first)] : [about(first), about(last)]
    return {
      low: jacks(first, -1).reverse(),
      high: jacks(last, 1),
      commons: withLayout(
        ends,
        onCentre(spacing, last - first).map(at => first + at),
        t,
      ),
    }
  }
  const [eave, end] = [along(half, Math.max(half, length - half)), along(half, half)]
  return { south: eave, north: eave, east: end, west: end }
}

/** From the first common to the last. */
export const wholeOf = ({ commons }: Places): Stretch => ({
  from: commons[0]?.from ?? 0,
  to: commons[commons.length - 1]?.to ?? 0,
})

export const overallOf = ({ footprint: { length, width } }: Building, side: SideName): number =>
  side === 'south' || side === 'north' ? length : width

/** Jacks that reach inside their plate; one nearer its corner is left out. */
export function jacksThatFit(
  places: readonly Stretch[],
  building: Building,
  { hip: section, plate }: RoofLumber,
  side: SideName,
): readonly Stretch[] {
  const overall = overallOf(building, side)
  return places.filter(
    ({ from, to }) =>
      Math.min(from, overall - to) - section.thickness / Math.SQRT2 > plate.depth + least.jack,
  )
}

/**
 * The plumb plane along a hip, `off` mm toward a side from its middle, that looks away from what lies on that
 * side.
 */
export function hipPlane(building: Building, corner: Corner, side: SideName, off: number): Plane {
  const other = corner.sides.find(each => each !== side) ?? side
  const out = scale(subtract(outOf[other], outOf[side]), Math.SQRT1_2)
  const at = cornerAt(building, corner)
  return plumbPlaneAt(out, out.x * at.x + out.y * at.y - off)
}

/** The corners at a wall's low and high end. */
export function cornersOf(side: SideName): readonly [Corner, Corner] {
  const ends = side === 'south' || side === 'north' ? ['west', 'east'] : ['south', 'north']
  return ends.map(end =>
    corners.find(
      corner => corner.sides.some(each => each === end) && corner.sides.some(each => each === side),
    ),
  ) as [Corner, Corner]
}
