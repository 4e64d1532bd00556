import { inBase, nth } from '../place'
import { pliesOf, type Stretch } from '../../trade'
import { HAIR } from '../../measure'
import type { Beams } from '../../design'
import { stockLengths } from '../../lumber'
import type { Spot } from '../../survey'
import { lyingBoard } from '../square-board'
import type { Order } from '../member'
import type { Problem } from '../../lines'
import { rectAlong, stretchesOf } from '../rect'
import type { BaseAsk, Bearing } from './base'
import { evenRows, evenSupports } from './rows'

/**
 * Beams across the joists, and where their supports stand under them: `place` the middle, `run` row and
 * number.
 */
export interface Carried {
  readonly orders: readonly Order[]
  readonly bearings: readonly Bearing[]
  readonly supports: readonly { readonly run: readonly [number, number]; readonly place: Spot }[]
  readonly low: number
  readonly along: 'x' | 'y'
  readonly problems: readonly Problem[]
}

/** Level of the beams' underside. */
export const beamFoot = ({ top, section }: BaseAsk, beams: Beams): number =>
  top - section(beams.section).depth

/**
 * Rows of beams, each of one to three plies side by side, whole where a board is sold that long; longer ones
 * are joined over supports, no two plies at the same one where it can be helped.
 */
export function layBeams(ask: BaseAsk, beams: Beams, spacing: number, half: number): Carried {
  const { rect, joists, building, section, seams } = ask
  const ply = section(beams.section)
  const low = beamFoot(ask, beams)
  const along = joists === 'y' ? 'x' : 'y'
  const { run, across } = stretchesOf(rect, along)
  const wide = beams.plies * ply.thickness
  const rows = evenRows(
    besideHouse(ask, across, along, half - wide / 2),
    beams.rows,
    wide,
    seams[along === 'y' ? 'x' : 'y'],
  )
  const supports = evenSupports(run, Math.min(half, (run.to - run.from) / 4), spacing)
  const longest = stockLengths[building.lumber.yard].at(-1) ?? Infinity
  const laid = pliesOf(run, beams.plies, supports.slice(1, -1), longest)
  const orders = rows.flatMap((row, r) =>
    laid.flatMap((pieces, p) => {
      return pieces.map((piece, i) => {
        return lyingBoard({
          where: inBase('beam', r + 1, p + 1, ...nth(i, pieces)),
          role: 'beam',
          section: ply,
          along,
          from: piece.from,
          to: piece.to,
          across: row.from + p * ply.thickness,
          low,
        })
      })
    }),
  )
  const problems = crowded(rows, supports, 2 * half)
  return {
    orders,
    low,
    along,
    problems,
    bearings: rows.map((row): Bearing => ({ along, rect: rectAlong(along, run, row) })),
    supports: rows.flatMap((row, r) =>
      supports.map((at, i) => {
        const middle = (row.from + row.to) / 2
        return {
          run: [r + 1, i + 1] as const,
          place: along === 'x' ? { x: at, y: middle } : { x: middle, y: at },
        }
      }),
    ),
  }
}

/** Where rows lie across the floor: what is wider than the beams on it stays out of a house beside it. */
function besideHouse({ building }: BaseAsk, across: Stretch, along: 'x' | 'y', past: number): Stretch {
  const { house } = building.roof.has
  if (!house || along === 'y' || past <= 0) return across
  return house === 'north'
    ? { from: across.from, to: across.to - past }
    : { from: across.from + past, to: across.to }
}

/** Whether beams or what stands under them would run into each other; `wide` is a support's width, mm. */
function crowded(rows: readonly Stretch[], supports: readonly number[], wide: number): Problem[] {
  const middles = rows.map(row => (row.from + row.to) / 2)
  const apart = (at: readonly number[]): number =>
    Math.min(...at.slice(1).map((each, i) => each - (at[i] ?? 0)))
  const beam = (rows[0]?.to ?? 0) - (rows[0]?.from ?? 0)
  const least = Math.max(beam, wide)
  const closest = Math.min(apart(middles) - least, apart(supports) - wide)
  return closest < -HAIR ? [{ code: 'supports-touch', path: 'base.beams.rows', by: -closest }] : []
}
