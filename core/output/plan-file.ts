import { cautionsOf } from '../check'
import { depthOf, type Reach, type Told, type ToldCorner } from '../board'
import type { Units } from '../measure'
import {
  detailsOf,
  jigOf,
  type Loose,
  northSlope,
  raising,
  readFaces,
  type Piece,
  type Plan,
  type RoofReading,
  type SheetCut,
  ventsOf,
  weightOf,
  type Whole,
} from '../plan'
import { speciesWords } from '../words/fields'
import { sayCaution, sayLoose, sayProblem } from '../words'

/** Lengths in mm and angles in degrees, to six decimals: a millionth of a millimetre. */
const tidy = (value: number): number => Math.round(value * 1e6) / 1e6 || 0

/**
 * The plan as it is written to a file: format `early-wren/plan`, version 1. See docs/plan-file.md. Throws
 * RangeError on a number that is not finite.
 */
export function planFile(plan: Plan): Record<string, unknown> {
  const { design, frame } = plan
  const { units } = design
  const file = {
    format: 'early-wren/plan',
    version: 1,
    name: design.name,
    units,
    roof: roofPart(plan.roof),
    northSlope: roofPart(northSlope(plan)),
    faces: readFaces(plan).map(({ face, reading }) => ({ face: face.id, ...roofPart(reading) })),
    pieces: plan.pieces.map(piece => piecePart(plan, piece)),
    totals: totalsPart(plan),
    lumber: {
      species: speciesWords[design.lumber.species],
      moisture: design.lumber.moisture,
      density: tidy(plan.density),
    },
    raising: raising(plan).map(({ name, number, members, down }) => ({ name, truss: number, members, down })),
    sheets: plan.sheets.map(sheetPart),
    loose: plan.loose.map(item => loosePart(item, units)),
    vents: ventsPart(plan),
    jig: jigPart(plan),
    ground: {
      measured: frame.ground.measured,
      highest: tidy(frame.ground.highest.height),
      lowest: tidy(frame.ground.lowest.height),
    },
    cautions: cautionsOf(plan).map(caution => ({
      code: caution.code,
      message: sayCaution(caution, units),
      members: caution.members,
    })),
    problems: frame.problems.map(problem => ({
      code: problem.code,
      path: problem.path,
      message: sayProblem(problem, units),
    })),
  }
  refuseInfinite(file, '')
  return file
}

/** What of a plan is said once for all parts. */
const shared: readonly string[] = ['format', 'version', 'units']

/**
 * The plan of a building with all its parts: the main one's, and each other's with where its axes stand in
 * the main one's, mm and quarter turns to the left. Throws RangeError on a number that is not finite.
 */
export const wholeFile = ({ main, parts }: Whole): Record<string, unknown> => ({
  ...planFile(main),
  parts: parts.map(({ id, plan, pose: { origin, along } }) => {
    const { hang } = plan.design
    return {
      part: id,
      hangs: hang && { side: hang.side, by: hang.by },
      place: {
        x: tidy(origin.x),
        y: tidy(origin.y),
        z: tidy(origin.z),
        turns: Math.round((Math.atan2(along.y, along.x) / (Math.PI / 2) + 4) % 4),
      },
      ...Object.fromEntries(Object.entries(planFile(plan)).filter(([key]) => !shared.includes(key))),
    }
  }),
})

const piecePart = (plan: Plan, piece: Piece): Record<string, unknown> => ({
  mark: piece.mark,
  role: piece.role,
  section: piece.section.name,
  count: piece.count,
  length: tidy(piece.length),
  width: tidy(piece.width),
  ends: piece.ends.map(end => ({
    miter: tidy(end.miter),
    bevel: tidy(end.bevel),
    kind: end.kind,
    longPoint: end.longPoint,
  })),
  ...detailPart(plan, piece),
  members: piece.members,
  mirrorOf: piece.mirrorOf,
  stock: piece.stock === null ? null : tidy(piece.stock),
  weight: tidy(weightOf(piece.section, piece.volume, plan.density)),
})

const totalsPart = ({ totals }: Plan): Record<string, unknown> => ({
  pieces: totals.pieces,
  length: tidy(totals.length),
  boardFeet: tidy(totals.boardFeet),
  volume: tidy(totals.volume),
  sheets: totals.sheets,
  panels: totals.panels,
  weight: tidy(totals.weight),
  temporary: { pieces: totals.temporary.pieces, length: tidy(totals.temporary.length) },
})

/** The jig that trusses are built in; null of a roof without any that are built. */
function jigPart(plan: Plan): Record<string, unknown> | null {
  const jig = jigOf(plan)
  if (!jig) return null
  const { truss, count, wide, tall, points, members, blocks, checks, templates, weight, people } = jig
  return {
    ...{ truss, count, people, templates, members },
    ...{ wide: tidy(wide), tall: tidy(tall), weight: tidy(weight) },
    points: points.map(({ number, x, y, marks }) => ({ number, x: tidy(x), y: tidy(y), marks })),
    blocks: blocks.map(({ mark, x, y, away }) => ({
      ...{ mark, x: tidy(x), y: tidy(y) },
      away: { x: tidy(away.x), y: tidy(away.y) },
    })),
    checks: checks.map(({ from, to, length }) => ({ from, to, length: tidy(length) })),
  }
}

const ventsPart = (plan: Plan): Record<string, number> => {
  const { area, low, high } = ventsOf(plan)
  return { area: tidy(area), low: tidy(low), high: tidy(high) }
}

const sheetPart = ({ section, pieces }: SheetCut): Record<string, unknown> => ({
  section,
  pieces: pieces.map(({ member, long, wide }) => ({ member, long: tidy(long), wide: tidy(wide) })),
})

const loosePart = (item: Loose, units: Units): Record<string, unknown> => ({
  code: item.code,
  amount: tidy(item.amount),
  unit: item.unit,
  rule: sayLoose(item, units).why,
  from: Object.fromEntries(Object.entries(item.from).map(([key, value]) => [key, tidy(value)])),
})

/** All cuts of a piece, its notches and the numbers it is made by. */
function detailPart(plan: Plan, piece: Piece): Record<string, unknown> {
  const { saw, inPlace, figures, ...told } = detailsOf(plan, piece)
  return {
    thickness: tidy(piece.section.thickness),
    depth: tidy(piece.section.depth),
    ...toldPart(told),
    inPlace: inPlace && {
      upright: inPlace.upright,
      along: reach(inPlace.along),
      ...toldPart(inPlace),
    },
    saw: saw.map(cut => ({
      kind: cut.name,
      at: tidy(cut.at),
      miter: tidy(cut.miter),
      bevel: tidy(cut.bevel),
    })),
    figures: Object.fromEntries(figures.map(figure => [figure.name, tidy(figure.value)])),
  }
}

/** The box that a board fills, and what cuts and notches take off it. */
const toldPart = ({ across, down, cuts, notches }: Told): Record<string, unknown> => ({
  box: { across: reach(across), down: reach(down) },
  cuts: cuts.map(({ name, off, miter, bevel, corners }) => ({
    ...{ kind: name, off, miter: tidy(miter), bevel: tidy(bevel) },
    corners: corners.map(cornerPart),
  })),
  notches: notches.map(notch => ({
    kind: notch.name,
    at: tidy(notch.along.from),
    depth: tidy(depthOf(notch)),
    sides: notch.sides.map(side => ({ kind: side.name, length: tidy(side.length) })),
    ...{ along: reach(notch.along), across: reach(notch.across), down: reach(notch.down) },
    open: notch.open,
    corners: notch.corners.map(cornerPart),
  })),
})

const reach = ({ from, to }: Reach): number[] => [tidy(from), tidy(to)]
const cornerPart = ({ along, across, down }: ToldCorner): number[] => [tidy(along), tidy(across), tidy(down)]

function roofPart(roof: RoofReading | null): Record<string, unknown> | null {
  if (!roof) return null
  const { birdsmouth, ridgeDeduction, ...numbers } = roof
  const flat = Object.fromEntries(Object.entries(numbers).map(([key, value]) => [key, tidy(value)]))
  return {
    ...flat,
    ridgeDeduction: ridgeDeduction && tidy(ridgeDeduction.along),
    ridgeDeductionLevel: ridgeDeduction && tidy(ridgeDeduction.level),
    birdsmouth: { seat: tidy(birdsmouth.seat), heel: tidy(birdsmouth.heel), notch: tidy(birdsmouth.notch) },
  }
}

function refuseInfinite(value: unknown, path: string): void {
  if (typeof value === 'number' && !Number.isFinite(value)) throw new RangeError(`${path} is not finite`)
  if (typeof value === 'object' && value !== null)
    for (const [key, inner] of Object.entries(value)) refuseInfinite(inner, path ? `${path}.${key}` : key)
}
