import { type Building, type BuildingTruss, hasBottomChord, limits } from '../../design'
import { lowEaveOf, lowEaves, type Problem, type RoofLines, type RoofLumber } from '../../lines'
import { HAIR, INCH, type Pitch, pitchAngle, radians, TYPED } from '../../measure'
import { least } from '../../trade'
import { shares } from './flat'
import type { Splice } from './splices'
import { endTrussLines, madeOf } from './trusses'
import type { Gusset } from './gussets'

const apart = (gussets: readonly Gusset[]): boolean =>
  gussets.every((one, i) => gussets.slice(i + 1).every(other => !shares(one.outline, other.outline)))

/** Whether the plates of splices lie over the walls' plates, on which something else may stand. */
const overPlates = (lines: RoofLines, gussets: readonly Gusset[]): boolean => {
  const plate = lowEaves(lines)[0]?.height ?? -Infinity
  return gussets.every(
    ({ name, outline }) => name[0] !== 'splice' || outline.every(({ z }) => z > plate - HAIR),
  )
}

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
  const fits = (of: BuildingTruss): boolean =>
    apart(madeOf(building, lumber, lines, { ...of, gusset: { ...of.gusset, leg } }, true).gussets)
  // where gussets meet without them, that is another fault
  if (whole.most === 0 || !fits(plain)) return { truss: plain, problems: [] }
  return (['bottom', 'top'] as const).reduce<FittedTruss>(
    (found, chord) => {
      const at = { bottom, top }[chord]
      const joined = (to: number | null): BuildingTruss => ({
        ...found.truss,
        splice: { ...found.truss.splice, [chord]: to },
      })
      if (at === null || (joins(joined(at), chord) && fits(joined(at))))
        return { ...found, truss: joined(at) }
      const holds = (to: number): boolean => to > 0 && joins(joined(to), chord) && fits(joined(to))
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
    return madeOf(building, lumber, lines, of, true).splices.some(
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
  const low = endTrussLines(building, lumber, lines)
  const fitsOn = (each: RoofLines, leg: number, more: Partial<BuildingTruss> = {}): boolean => {
    const of = { ...truss, ...more, gusset: { ...truss.gusset, leg } }
    const { gussets } = madeOf(building, lumber, each, of, true)
    return apart(gussets) && overPlates(each, gussets)
  }
  const all = [...new Set([lines, low])]
  const fits = (leg: number, more: Partial<BuildingTruss> = {}): boolean =>
    all.every(each => fitsOn(each, leg, more))
  // what fits on one is mostly what fits on the other
  const longestOn = (to: number): number =>
    all.reduce(
      (most, each) => (fitsOn(each, most) ? most : longest(leg => fitsOn(each, leg), least.gussetLeg, most)),
      to,
    )
  const { leg, asked } = truss.gusset
  if (leg >= least.gussetLeg && fits(leg)) return { truss, problems: [] }
  const most = fits(least.gussetLeg) ? longestOn(leg) : 0
  const fitted = { ...truss, gusset: { ...truss.gusset, leg: most, most } }
  if (most === 0) {
    const flat = truss.ceiling && flatEnough(truss.ceiling, ceiling => fits(least.gussetLeg, { ceiling }))
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
function flatEnough(ceiling: Pitch, fits: (ceiling: Pitch) => boolean): number | null {
  const of = (angle: number): Pitch => ({ rise: Math.tan(radians(angle)), run: 1 })
  const { min } = limits.roofAngle
  if (!fits(of(min))) return null
  let [yes, no]: [number, number] = [min, pitchAngle(ceiling)]
  for (let i = 0; i < 20; i++) {
    const middle = (yes + no) / 2
    if (fits(of(middle))) yes = middle
    else no = middle
  }
  return yes
}

/** The longest that fits, by halving, from one that does to one that does not. */
function longest(fits: (leg: number) => boolean, from: number, to: number): number {
  let [yes, no] = [from, to]
  // to a hundredth of a millimetre: no gusset is over a metre long
  for (let i = 0; i < 17; i++) {
    const middle = (yes + no) / 2
    if (fits(middle)) yes = middle
    else no = middle
  }
  return yes
}
