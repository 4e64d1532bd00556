import { inBase, named, nth } from '../place'
import { HAIR } from '../../measure'
import type { Base } from '../../design'
import { planeAt, vec } from '../../geometry'
import type { BuildingCut, Order } from '../member'
import { grown, overlaps, type Rect, rectAlong, stretchesOf } from '../rect'
import { type BaseShape, type Bearing, emptyBase } from './base'
import { lappedRow } from './lapped-row'
import { evenRows } from './rows'

type Skids = Extract<Base, { kind: 'skids' }>

/**
 * Timbers laid on gravel that the building can be drawn away on; their ends square, or sloped up from below
 * at 45 degrees. Longer ones than are sold are half-lapped, no two side by side at the same place.
 */
export const skids: BaseShape<Skids> = {
  foot: ({ base, top, section }) => top - section(base.timber).depth,
  frame({ building, base, rect, top, section, seams }) {
    const timber = section(base.timber)
    const low = top - timber.depth
    const along = base.runs === 'length' ? 'x' : 'y'
    const { run, across } = stretchesOf(rect, along)
    const least = base.count * timber.thickness + 100
    if (across.to - across.from < least)
      return {
        ...emptyBase,
        problems: [
          { code: 'base-too-small', path: along === 'x' ? 'footprint.width' : 'footprint.length', least },
        ],
      }
    const rows = evenRows(across, base.count, timber.thickness, seams[along === 'y' ? 'x' : 'y'])
    const tight = Math.max(...rows.slice(1).map((row, i) => (rows[i]?.to ?? 0) - row.from))
    if (tight > HAIR)
      return { ...emptyBase, problems: [{ code: 'supports-touch', path: 'base.count', by: tight }] }
    const sloped = (at: number, way: 1 | -1): BuildingCut[] =>
      base.ends === 'sloped' ? [slope(along, at, way, low + timber.depth / 2)] : []
    const orders = rows.flatMap((row, k): Order[] =>
      lappedRow(
        {
          where: (i, of) => inBase('skid', k + 1, ...nth(i, of)),
          role: 'skid',
          section: timber,
          along,
          run,
          across: row.from,
          low,
          back: k % 2 === 1,
        },
        building.lumber.yard,
        { from: sloped(run.from, -1), to: sloped(run.to, 1) },
      ),
    )
    const bearings = rows.map((row): Bearing => ({ along, rect: rectAlong(along, run, row) }))
    const bedUnder = ({ rect: at }: Bearing): Rect => grown(at, base.gravel.beyond)
    return {
      feet: {},
      orders,
      parts: [],
      holes: [],
      bearings,
      problems: [],
      beds: merge(bearings.map(bedUnder), rect, base.gravel.beyond).map((at, i) => ({
        ...named(inBase('gravel', i + 1)),
        rect: at,
        low: low - base.gravel.depth,
        high: low,
      })),
    }
  },
}

/** Takes the lower corner off an end, from half the height down. */
function slope(along: 'x' | 'y', at: number, way: 1 | -1, half: number): BuildingCut {
  const [place, out] =
    along === 'x' ? [vec(at, 0, half), vec(way, 0, -1)] : [vec(0, at, half), vec(0, way, -1)]
  return { kind: 'end', name: 'slope', plane: planeAt(place, out) }
}

/** One strip under each skid; one bed under all where the strips would run together. */
function merge(strips: readonly Rect[], whole: Rect, beyond: number): Rect[] {
  const meet = strips.some((strip, i) => strips.slice(i + 1).some(other => overlaps(strip, other)))
  return meet ? [grown(whole, beyond)] : [...strips]
}
