import { ownSections, postLayout } from '../design'
import type { Member } from '../frame'
import { findSection } from '../lumber'
import { CUBIC_METRES, degrees, FOOT, METRE, TOUCHING } from '../measure'
import { backingOf, commonDifference, hipDrop, type SkewReading, studDifference } from './hips'
import type { Piece } from './piece'
import type { Plan } from './plan'
import type { RoofReading } from './roof'
import { densityOf, weightOf } from './weight'

/**
 * A number a card shows, and the numbers it comes from; `core/words` says it in a sentence. Lengths mm,
 * angles degrees.
 */
export interface Figure {
  readonly name: FigureName
  readonly kind: 'length' | 'angle' | 'weight' | 'count'
  readonly value: number
  readonly from: Readonly<Record<string, number>>
}

export type FigureName =
  | 'length'
  | 'stock'
  | 'angle'
  | 'run'
  | 'rise'
  | 'line-length'
  | 'unit-length'
  | 'ridge-deduction'
  | 'seat'
  | 'heel'
  | 'notch'
  | 'height-above-plate'
  | 'bearing'
  | 'weight'
  | 'hip-run'
  | 'jack-run'
  | 'shortening'
  | 'drop'
  | 'backing'
  | 'common-difference'
  | 'wild'
  | 'set-long'
  | 'post-left'
  | 'climb'
  | 'vents'
  | 'nails'
  | 'prop'
  | 'thin-end'
  | 'thick-end'

/**
 * How high the posts are cut that hold a ridge board until its rafters do: from the deck to its lower edge.
 */
export function props({ frame }: Plan, { role, section }: Piece): Figure[] {
  const { highest } = frame.roof
  return role === 'ridge' ? [figure('prop', highest - section.depth, { highest, depth: section.depth })] : []
}

/** How much higher a ledger on a house out of line lies at its end by the wide end of the building. */
export function climb({ building: { roof } }: Plan, { role }: Piece, member: Member | undefined): Figure[] {
  if (role !== 'ledger' || roof.taper === 0 || !member) return []
  const {
    board,
    placement: { along },
  } = member
  const over = (way: number): number => Math.abs(way) * (board.end - board.start)
  return [figure('climb', over(along.z), { inward: over(along.y), length: over(along.x) })]
}

/** What a beam let into a post leaves of it, across the side. */
export function postLeft({ building: { walls, lumber } }: Plan, { role, section, board }: Piece): Figure[] {
  if (role !== 'wall-post' || !board.cuts.some(({ kind }) => kind === 'notch')) return []
  const beam = findSection(walls.posts.beam, ownSections(lumber))
  if (!beam) return []
  const { left } = postLayout(walls.posts, section, beam)
  return [figure('post-left', left, { depth: section.depth, taken: section.depth - left })]
}

/** How much longer the next stud is, where studs end at the slope. */
export function studs(
  {
    building: {
      walls: { spacing },
    },
    frame,
  }: Plan,
  member: Member,
): Figure[] {
  const difference = studDifference(frame, member, spacing)
  return difference === null
    ? []
    : [figure('common-difference', difference, { spacing, angle: degrees(Math.atan(difference / spacing)) })]
}

/** A firring's or a wedge's depth at both ends, read off its board. */
export function tapers({ role, board }: Piece): Figure[] {
  if (role !== 'firring' && role !== 'wedge') return []
  const depthAt = (x: number): number => {
    const ys = board.faces
      .flatMap(face => face.loops.flat())
      .filter(p => Math.abs(p.x - x) < TOUCHING)
      .map(p => p.y)
    return Math.max(...ys) - Math.min(...ys)
  }
  const [one, other] = [depthAt(board.start), depthAt(board.end)]
  return [
    figure('thin-end', Math.min(one, other), {}),
    figure('thick-end', Math.max(one, other), { length: board.end - board.start, by: Math.abs(one - other) }),
  ]
}

/** Holes for air in a block over the plate, and what they leave free, m². */
export function vents(
  {
    building: {
      roof: { blocking },
    },
  }: Plan,
  { role, members }: Piece,
): Figure[] {
  if (role !== 'roof-block' || blocking.vents === 0 || !members[0]?.includes('/block/')) return []
  return [
    figure(
      'vents',
      blocking.vents,
      { hole: blocking.hole, area: (blocking.vents * Math.PI * blocking.hole ** 2) / 4 },
      'count',
    ),
  ]
}

export const figure = (
  name: FigureName,
  value: number,
  from: Record<string, number>,
  kind: Figure['kind'] = 'length',
): Figure => ({ name, value, from, kind })

/** Figures of a rafter that stands at its own angle: its lines and its bird's mouth. */
function skewFigures(
  { building }: Plan,
  { section }: Member,
  { angle, run, rise, lineLength, birdsmouth }: SkewReading,
  unit: number,
): Figure[] {
  return [
    figure('angle', angle, { rise, run }, 'angle'),
    figure('rise', rise, { run, angle }),
    figure('line-length', lineLength, { run, angle }),
    figure('unit-length', (unit * (building.units === 'imperial' ? FOOT : METRE) * lineLength) / run, {
      unitRun: unit * (building.units === 'imperial' ? FOOT : METRE),
      angle,
    }),
    figure('seat', birdsmouth.seat, { angle, heel: birdsmouth.heel }),
    figure('heel', birdsmouth.heel, { angle, seat: birdsmouth.seat }),
    figure('notch', birdsmouth.notch, { angle, seat: birdsmouth.seat, depth: section.depth }),
  ]
}

export function hipFigures(plan: Plan, member: Member, reading: SkewReading): Figure[] {
  const {
    frame: { lumber },
  } = plan
  const backing = backingOf(member)
  return [
    figure('hip-run', reading.run, { run: reading.run / Math.SQRT2 }),
    ...skewFigures(plan, member, reading, Math.SQRT2),
    figure('shortening', reading.deduction.along, {
      level: reading.deduction.level,
      thickness: lumber.rafter.thickness,
      angle: reading.angle,
      hip: 1,
    }),
    backing === null
      ? figure('drop', hipDrop(plan.frame, member), {
          thickness: member.section.thickness,
          angle: reading.angle,
        })
      : figure('backing', backing, { thickness: member.section.thickness, angle: reading.angle }, 'angle'),
  ]
}

export function jackFigures(plan: Plan, member: Member, reading: SkewReading): Figure[] {
  const {
    frame,
    building: {
      roof: { spacing },
    },
  } = plan
  const difference = commonDifference(frame, member, spacing)
  return [
    figure('jack-run', reading.run, {}),
    ...skewFigures(plan, member, reading, 1),
    figure('shortening', reading.deduction.along, {
      level: reading.deduction.level,
      thickness: frame.lumber.hip.thickness,
      angle: reading.angle,
    }),
    ...(difference === null
      ? []
      : [figure('common-difference', difference, { spacing, angle: reading.angle })]),
  ]
}

export function common({ density }: Plan, piece: Piece): Figure[] {
  const length: Figure = {
    name: 'length',
    kind: 'length',
    value: piece.length,
    from: { depth: piece.section.depth },
  }
  const stock: Figure[] =
    piece.stock === null
      ? []
      : [{ name: 'stock', kind: 'length', value: piece.stock, from: { length: piece.length } }]
  return [
    length,
    ...stock,
    {
      name: 'weight',
      kind: 'weight',
      value: weightOf(piece.section, piece.volume, density),
      from: {
        volume: piece.volume * CUBIC_METRES,
        density: densityOf(piece.section, density),
        sheet: piece.section.kind === 'sheet' ? 1 : 0,
        panel: piece.section.kind === 'panel' ? 1 : 0,
      },
    },
  ]
}

/**
 * What a rafter's height above plate comes of: its plumb depth at the slope, and what the seat takes off
 * that; mm. On a flat roof the firring lies over the joist.
 */
function plumbOver(
  { lumber: { rafter } }: Plan['frame'],
  { angle, heightAbovePlate }: RoofReading,
): { plumb: number; heel: number } {
  const plumb = Math.max(heightAbovePlate, rafter.depth / Math.cos((angle * Math.PI) / 180))
  return { plumb, heel: plumb - heightAbovePlate }
}

export function rafterFigures({ building, frame }: Plan, roof: RoofReading): Figure[] {
  const { angle, run, rise, birdsmouth } = roof
  const notched: Figure[] =
    birdsmouth.notch > 0
      ? [
          figure('seat', birdsmouth.seat, { angle, heel: birdsmouth.heel }),
          figure('heel', birdsmouth.heel, { angle, seat: birdsmouth.seat }),
          figure('notch', birdsmouth.notch, {
            angle,
            seat: birdsmouth.seat,
            depth: frame.lumber.rafter.depth,
          }),
        ]
      : []
  return [
    figure('angle', angle, { rise, run }, 'angle'),
    figure(
      'run',
      run,
      frame.roof.faces.length > 1
        ? { width: building.footprint.width, off: run - building.footprint.width / 2 }
        : building.roof.has.house
          ? {
              width: building.footprint.width,
              ledger: frame.lumber.ridge.thickness,
              ...(building.roof.taper
                ? { inward: building.footprint.width - frame.lumber.ridge.thickness - run }
                : {}),
            }
          : { width: building.footprint.width, plate: building.bearings[building.roof.high] },
    ),
    figure('rise', rise, { run, angle }),
    figure('line-length', roof.lineLength, { run, angle }),
    figure('unit-length', roof.unitLength, { unitRun: roof.unitRun, angle }),
    ...(roof.ridgeDeduction
      ? [
          figure('ridge-deduction', roof.ridgeDeduction.along, {
            level: roof.ridgeDeduction.level,
            ridge: frame.lumber.ridge.thickness,
            angle,
          }),
        ]
      : []),
    ...notched,
    figure('height-above-plate', roof.heightAbovePlate, plumbOver(frame, roof)),
    figure('bearing', roof.bearing, { plate: roof.plate }),
  ]
}
