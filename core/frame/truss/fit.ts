import type { Building, BuildingTruss } from '../../design'
import type { Problem, RoofLines, RoofLumber } from '../../lines'
import { HAIR, pitchAngle } from '../../measure'
import { least } from '../../trade'
import { shares } from './flat'
import { endTrussLines, type Gusset, madeOf } from './trusses'

const apart = (gussets: readonly Gusset[]): boolean =>
  gussets.every((one, i) => gussets.slice(i + 1).every(other => !shares(one.outline, other.outline)))

/** The trusses of a roof with gussets that fit, and what is said where those asked for don't. */
export interface FittedTruss {
  readonly truss: BuildingTruss
  readonly problems: readonly Problem[]
}

/**
 * A roof's trusses, their gussets as long as asked, or as far as lets none meet another; none where not even
 * the shortest fit.
 */
export function fitGussets(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  truss: BuildingTruss,
): FittedTruss {
  const low = endTrussLines(building, lumber, lines)
  const fits = (leg: number): boolean => {
    const of = { ...truss, gusset: { ...truss.gusset, leg } }
    return [lines, low].every(each => apart(madeOf(building, lumber, each, of, true).gussets))
  }
  const { leg, asked } = truss.gusset
  if (leg >= least.gussetLeg && fits(leg)) return { truss, problems: [] }
  const most = fits(least.gussetLeg) ? longest(fits, least.gussetLeg, leg) : 0
  const fitted = { ...truss, gusset: { ...truss.gusset, leg: most, most } }
  if (most === 0) return { truss: fitted, problems: [{ code: 'truss-too-small', path: 'roof.truss.kind' }] }
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

/** The longest that fits, by halving, from one that does to one that does not. */
function longest(fits: (leg: number) => boolean, from: number, to: number): number {
  let [yes, no] = [from, to]
  for (let i = 0; i < 24; i++) {
    const middle = (yes + no) / 2
    if (fits(middle)) yes = middle
    else no = middle
  }
  return yes
}
