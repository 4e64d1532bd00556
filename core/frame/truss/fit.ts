import { type Building, type BuildingTruss, hasBottomChord, limits } from '../../design'
import { lowEaveOf, lowEaves, type Problem, type RoofLines, type RoofLumber } from '../../lines'
import { HAIR, INCH, type Pitch, pitchAngle, radians, TOUCHING, TYPED } from '../../measure'
import { least } from '../../trade'
import { apartBy } from './flat'
import type { Splice } from './splices'
import { endTrussLines, joinedOf } from './trusses'
import type { Gusset } from './gussets'

/** How far the two gussets that lie nearest to each other are apart, mm; under 0 how far they meet. */
function apart(gussets: readonly Gusset[]): number {
  let room = Infinity
  gussets.forEach((one, i) => {
    for (let k = i + 1; k < gussets.length; k++)
      room = Math.min(room, apartBy(one.outline, (gussets[k] as Gusset).outline))
  })
  return room
}

/** How far the plates of splices lie over the walls' plates, on which something else may stand; mm. */
function overPlates(lines: RoofLines, gussets: readonly Gusset[]): number {
  const plate = lowEaves(lines)[0]?.height ?? -Infinity
  const levels = gussets.flatMap(({ name, outline }) =>
    name[0] === 'splice' ? outline.map(({ z }) => z) : [],
  )
  return Math.min(...levels) - plate
}

/** What lies side by side is apart by nothing but rounding. */
const fits = (room: number): boolean => room > -TOUCHING

/** The trusses of a roof with gussets that fit, and what is said where those asked for don't. */
export interface FittedTruss {
  readonly truss: BuildingTruss
  readonly problems: readonly Problem[]
}

/** The shortest leg that plates of a splice leave gussets where none is asked for, mm: half a foot. */
const SHORT = 6 * INCH

/** How finely a place for a splice is looked for, and how far at most, mm. */
const STEP = 25
const FAR = 1500

/**
 * A roof's trusses, joined where they are asked to be as far as no gusset of a joint is in the way: else as
 * where nothing is asked, and the nearest places said.
 */
function fitSplices(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  truss: BuildingTruss,
): FittedTruss {
  const { top } = truss.splice
  // what was asked of a bottom chord is kept for when there is one again
  const bottom = hasBottomChord(truss.kind) ? truss.splice.bottom : null
  const plain = { ...truss, splice: { bottom: null, top: null } }
  if (bottom === null && top === null) return { truss: plain, problems: [] }
  // plates may shorten gussets that no leg was asked for, to this
  const whole = fitLegs(building, lumber, lines, plain).truss.gusset
  const leg = truss.gusset.asked ?? Math.min(whole.leg, SHORT)
  const free = (of: BuildingTruss): boolean =>
    fits(apart(joinedOf(building, lumber, lines, of, true).gussets(leg)))
  // where gussets meet without them, that is another fault
  if (whole.most === 0 || !free(plain)) return { truss: plain, problems: [] }
  return (['bottom', 'top'] as const).reduce<FittedTruss>(
    (found, chord) => {
      const at = { bottom, top }[chord]
      const joined = (to: number | null): BuildingTruss => ({
        ...found.truss,
        splice: { ...found.truss.splice, [chord]: to },
      })
      if (at === null || (joins(joined(at), chord) && free(joined(at))))
        return { ...found, truss: joined(at) }
      const holds = (to: number): boolean => to > 0 && joins(joined(to), chord) && free(joined(to))
      // a panel point alone is no place to begin from
      const towards = (way: 1 | -1): number | null => {
        for (let by = STEP; by <= FAR; by += STEP) {
          const to = Math.round((at + way * by) / STEP) * STEP
          if (holds(to) && holds(to + way * STEP)) return to
        }
        return null
      }
      return {
        truss: joined(null),
        problems: [
          ...found.problems,
          {
            code: 'splice-near-joint',
            path: `roof.truss.splice.${chord}`,
            below: towards(-1),
            above: towards(1),
          },
        ],
      }
    },
    { truss: plain, problems: [] },
  )

  /** Whether the plates on a joint end neither outside the wall nor under its plate's level. */
  function liesWhole({ chord, at: on }: Splice): boolean {
    const face = lines.faces.find(({ id }) => id === chord)
    const eave = face && lowEaveOf(lines, face)
    if (!face || !eave) return true
    const slope = radians(face.angle)
    const { normal, offset } = eave.outside
    const inside = offset - normal.y * on.y
    return (
      on.z - leg * Math.sin(slope) > eave.height - HAIR &&
      inside > leg * Math.cos(slope) + lumber.rafter.depth * Math.sin(slope) - HAIR
    )
  }

  /** Whether a chord is joined there at all. */
  function joins(of: BuildingTruss, chord: 'bottom' | 'top'): boolean {
    const at = of.splice[chord] ?? 0
    return joinedOf(building, lumber, lines, of, true).splices.some(
      each =>
        liesWhole(each) &&
        (each.chord === 'bottom') === (chord === 'bottom') &&
        Math.abs(
          (chord === 'bottom' ? each.at.y : Math.min(each.at.y, building.footprint.width - each.at.y)) - at,
        ) < TYPED,
    )
  }
}

/**
 * A roof's trusses, their gussets as long as asked, or as far as lets none meet another; none where not even
 * the shortest fit.
 */
export function fitGussets(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  asked: BuildingTruss,
): FittedTruss {
  // what is bought has its own plates
  if (asked.kind === 'bought') return { truss: asked, problems: [] }
  const { truss, problems } = fitSplices(building, lumber, lines, asked)
  const fitted = fitLegs(building, lumber, lines, truss)
  return { truss: fitted.truss, problems: [...problems, ...fitted.problems] }
}

function fitLegs(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  truss: BuildingTruss,
): FittedTruss {
  // the end trusses' lines are mostly the others' too
  const each = [...new Set([lines, endTrussLines(building, lumber, lines)])]
  const roomOf = (of: BuildingTruss): Room[] =>
    each.map(on => {
      const { gussets } = joinedOf(building, lumber, on, of, true)
      return leg => {
        const plates = gussets(leg)
        return Math.min(apart(plates), overPlates(on, plates))
      }
    })
  const all = roomOf(truss)
  const free = (leg: number, on = all): boolean => on.every(room => fits(room(leg)))
  // what fits on one is mostly what fits on the other
  const longestOn = (to: number): number =>
    all.reduce((most, room) => longest(room, least.gussetLeg, most), to)
  const { leg, asked } = truss.gusset
  if (leg >= least.gussetLeg && free(leg)) return { truss, problems: [] }
  const most = free(least.gussetLeg) ? longestOn(leg) : 0
  const fitted = { ...truss, gusset: { ...truss.gusset, leg: most, most } }
  if (most === 0) {
    const flat =
      truss.ceiling &&
      flatEnough(truss.ceiling, ceiling => free(least.gussetLeg, roomOf({ ...truss, ceiling })))
    return {
      truss: fitted,
      problems: [
        flat
          ? { code: 'ceiling-too-steep', path: 'roof.truss.ceiling', angle: flat }
          : { code: 'truss-too-small', path: 'roof.truss.kind' },
      ],
    }
  }
  return {
    truss: fitted,
    problems:
      asked !== null && asked > most + HAIR
        ? [
            {
              code: 'gusset-too-long',
              path: 'roof.truss.gusset.leg',
              least: null,
              most,
              angle: pitchAngle(building.roof.pitch),
              plumb: 0,
            },
          ]
        : [],
  }
}

/**
 * The steepest ceiling under one that leaves scissors room for their gussets, degrees; null where none does.
 */
function flatEnough(ceiling: Pitch, free: (ceiling: Pitch) => boolean): number | null {
  const of = (angle: number): Pitch => ({ rise: Math.tan(radians(angle)), run: 1 })
  const { min } = limits.roofAngle
  if (!free(of(min))) return null
  let [yes, no]: [number, number] = [min, pitchAngle(ceiling)]
  for (let i = 0; i < 20; i++) {
    const middle = (yes + no) / 2
    if (free(of(middle))) yes = middle
    else no = middle
  }
  return yes
}

/** How far gussets whose legs are so long lie from what they must not meet, mm; under 0 how far they meet. */
type Room = (leg: number) => number

/** How near to the longest leg that fits one is found, mm. */
const NEAR = 0.01

/**
 * The longest leg that fits, from one that does to one that may not: where a line between what both leave
 * free says that nothing is left; in the middle where that gets nowhere.
 */
function longest(room: Room, from: number, to: number): number {
  let [yes, no, left, short] = [from, to, room(from), room(to)]
  if (fits(short)) return to
  for (let i = 1; no - yes > NEAR && left > NEAR; i++) {
    const share = i % 3 && Number.isFinite(left) ? left / (left - short) : 1 / 2
    const at = yes + (no - yes) * share
    const free = room(at)
    if (fits(free)) [yes, left] = [at, free]
    else [no, short] = [at, free]
  }
  return yes
}
