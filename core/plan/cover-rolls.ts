import type { Building, RoofMembrane, RoofRoll, RoofShingles, RoofUnderlay } from '../design'
import { type CoverField, outlineAt, sliceOf } from '../frame'
import { countUp, INCH } from '../measure'
import type { Stretch } from '../trade'
import { alongEdges, trim } from './cover-edges'
import { count, type Loose } from './loose-item'

/** Shingles, roll roofing, membrane and underlay: what is bought by the bundle, the roll and the metre. */
export function rolledGoods(building: Building, covered: readonly CoverField[], capped: number): Loose[] {
  const { top, underlay } = building.cover
  const { yard } = building.lumber
  const soft = top?.kind === 'shingles' || top?.kind === 'roll'
  return [
    ...(underlay ? underlayOf(building, covered, underlay) : []),
    ...(top?.kind === 'shingles' ? shinglesOf(covered, top, capped) : []),
    ...(top?.kind === 'roll' ? rollsOf(covered, top) : []),
    ...(top?.kind === 'membrane' ? membraneOf(building, covered, top) : []),
    ...(soft || top?.kind === 'membrane'
      ? trim(
          'cover-drip',
          yard,
          alongEdges(covered, ({ meets }) => meets === 'air'),
        )
      : []),
  ]
}

/** From where to where up the slope a face is covered, mm. */
function upOf(field: CoverField): Stretch {
  const vs = outlineAt(field, 0).map(({ v }) => v)
  return { from: Math.min(...vs), to: Math.max(...vs) }
}

/** How long the rows of something as wide are, each over the one below by a lap, from the eave up; mm. */
function rowsUp(field: CoverField, wide: number, lap: number, most = Infinity): number[] {
  const outline = outlineAt(field, 0)
  const { from, to } = upOf(field)
  const step = wide - Math.min(lap, wide / 2)
  const top = Math.min(to, from + most)
  const rows = Math.max(1, countUp((top - from - (wide - step)) / step))
  return Array.from({ length: rows }, (_, i) => {
    const at = sliceOf(outline, { from: from + i * step, to: Math.min(to, from + i * step + wide) })
    return at ? at.to - at.from : 0
  })
}

const sum = (all: readonly number[]): number => all.reduce((total, each) => total + each, 0)

/** Rolls for rows end to end, each roll's end over the next. */
const rollsFor = (long: number, length: number, endLap: number, waste = 0): number =>
  countUp((long * (1 + waste / 100)) / (length - endLap))

function rollsOf(covered: readonly CoverField[], { width, length, lap, endLap, waste }: RoofRoll): Loose[] {
  const rows = covered.flatMap(field => rowsUp(field, width, lap))
  const long = sum(rows)
  return [
    count('cover-rolls', rollsFor(long, length, endLap, waste), {
      rows: rows.length,
      ...{ long, width, length, lap, waste },
    }),
  ]
}

/** How far inside the wall's outside a strip against ice reaches, level, mm: IRC R905.1.2 (from memory). */
const ICE = 24 * INCH
/** What such a strip is sold in, mm (common practice, no source). */
const ICE_ROLL = 66 * 12 * INCH

function underlayOf(
  { footprint }: Building,
  covered: readonly CoverField[],
  { width, length, lap, endLap, ice }: RoofUnderlay,
): Loose[] {
  const rows = covered.flatMap(field => rowsUp(field, width, lap))
  const long = sum(rows)
  const iced = ice
    ? covered
        .filter(({ edges }) => edges.some(({ at, meets }) => at === 'eave' && meets === 'air'))
        .flatMap(field => {
          // from the edge, past tails, fascia and all, to so far inside the wall
          const { from } = upOf(field)
          const inside = Math.min(ICE, footprint.width / 2) / field.out.z
          return field.wall === null ? [] : rowsUp(field, width, lap, field.wall + inside - from)
        })
    : []
  return [
    count('cover-underlay', rollsFor(long, length, endLap), { rows: rows.length, long, width, length, lap }),
    ...(iced.length
      ? [
          count('cover-ice', rollsFor(sum(iced), ICE_ROLL, endLap), {
            rows: iced.length,
            ...{ long: sum(iced), width, length: ICE_ROLL, inside: ICE },
          }),
        ]
      : []),
  ]
}

/** Tabs that a strip is cut into for caps over ridge and hips (common practice, no source). */
const TABS = 3

/** Strips by the courses, a starter course along the eaves, caps cut from strips; and their nails. */
function shinglesOf(
  covered: readonly CoverField[],
  { exposure, strip, bundle, nails, waste }: RoofShingles,
  capped: number,
): Loose[] {
  const courses = covered.map(field => {
    const { from, to } = upOf(field)
    const outline = outlineAt(field, 0)
    const rows = countUp((to - from) / exposure)
    return Array.from({ length: rows }, (_, i) => {
      // as long as it is at the middle of what shows
      const low = from + i * exposure
      const middle = (low + Math.min(to, low + exposure)) / 2
      const at = sliceOf(outline, { from: middle, to: middle + 1 })
      return at ? at.to - at.from : 0
    })
  })
  const field = sum(courses.flat()) / strip
  const starter = alongEdges(covered, ({ at, meets }) => at === 'eave' && meets === 'air') / strip
  const caps = capped / exposure
  const strips = (field + starter + caps / TABS) * (1 + waste / 100)
  const laid = countUp(field + starter)
  return [
    count('cover-bundles', countUp(strips / bundle), {
      courses: courses.reduce((total, each) => total + each.length, 0),
      field: countUp(field),
      starter: countUp(starter),
      caps: countUp(caps),
      ...{ exposure, strip, bundle, waste },
    }),
    count('cover-shingle-nails', laid * nails + 2 * countUp(caps), {
      strips: laid,
      nails,
      caps: countUp(caps),
    }),
  ]
}

/**
 * What a tin of contact adhesive covers, both faces, m²: a US gallon, or 5 l (common practice, no source).
 */
const TIN = { imperial: 5.6, metric: 7.4 } as const

/** One piece to a face where it is sold as wide, else strips along the eave; and the glue. */
function membraneOf(
  building: Building,
  covered: readonly CoverField[],
  { width, lap, over, up }: RoofMembrane,
): Loose[] {
  const pieces = covered.map(field => {
    const outline = outlineAt(field, 0)
    const ss = outline.map(({ s }) => s)
    const { from, to } = upOf(field)
    const turn = (at: 'eave' | 'head' | 'rake'): number =>
      sum(
        field.edges
          .filter(edge => edge.at === at)
          .map(({ meets }) => (meets === 'wall' ? up : meets === 'air' ? over : lap)),
      )
    const long = Math.max(...ss) - Math.min(...ss) + turn('rake')
    const high = to - from + turn('eave') + turn('head')
    const strips = high <= width ? 1 : countUp((high - lap) / (width - Math.min(lap, width / 2)))
    return { long, strips, area: (long * (strips === 1 ? high : strips * width)) / 1e6 }
  })
  const area = sum(pieces.map(each => each.area))
  const strips = sum(pieces.map(each => each.strips))
  const tin = TIN[building.lumber.yard]
  return [
    {
      code: 'cover-membrane',
      unit: 'm2',
      amount: area,
      from: {
        strips,
        faces: pieces.length,
        long: Math.max(...pieces.map(each => each.long)),
        width,
        lap,
        over,
        up,
      },
    },
    count('cover-glue', countUp(area / tin), { area, tin }),
  ]
}
