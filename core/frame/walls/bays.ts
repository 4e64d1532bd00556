import { hangsDown, highestBreak, levelUnder, peakOf, type Profile, reachAt, withinOf } from '../../lines'
import { HAIR } from '../../measure'
import { least, overlap, type Stretch, without } from '../../trade'
import type { Rect } from '../rect'
import type { WallBoard } from './board'
import { heightAt, type Wall } from './wall'

/** What is clear between the boards of a wall: a rectangle, or what a roof's line leaves of one. */
export interface Bay {
  readonly rect: Rect
  /** The line it ends under; null where a board lies over it. */
  readonly line: Profile | null
  /** Whether it is over the wall's plates; of a raked one, whose studs run on, never. */
  readonly inGable: boolean
}

/** What of a wall is not clear, on its face. */
export type Taken = Pick<WallBoard, 's' | 'z'>

/** A strip of a wall between two plumb edges, clear from one level to another. */
interface Clear {
  readonly s: Stretch
  readonly z: Stretch
  readonly line: Profile | null
}

/**
 * The bays of a wall and of the gable over it, from its low end, each from below up: what its boards and the
 * `rough` openings leave clear over its lowest board, between two plumb edges. `ends` is how high the walls
 * at its ends are, `plates` how much its top plates take, its own or those lapped over it; mm. What is too
 * narrow or too low for a pane is left out.
 */
export function baysOf(
  wall: Wall,
  boards: readonly Taken[],
  rough: readonly Taken[],
  gable: Profile | null,
  ends: { readonly low: number; readonly high: number },
  plates: number,
): Bay[] {
  // a door's opening may go on down through a low wall
  const foot = Math.max(0, Math.min(...boards.map(({ z }) => z.from)))
  // at its ends the walls that run through
  const taken: readonly Taken[] = [
    ...boards,
    ...rough,
    { s: { from: 0, to: wall.from }, z: { from: 0, to: ends.low } },
    { s: { from: wall.to, to: wall.overall }, z: { from: 0, to: ends.high } },
    ...(plates > 0 ? levelsOf(wall) : []).map(({ s, z }) => ({ s, z: { from: z - plates, to: z } })),
  ]
  const over = gable !== null && !wall.raked
  const lines = gable ? (gable.parts ?? [gable]) : []
  const edges = [
    ...[0, wall.overall, ...(wall.step ? [wall.step.at] : [])],
    ...taken.flatMap(({ s }) => [s.from, s.to]),
    ...lines.map(withinOf).flatMap(({ from, to }) => [from, to]),
  ]
  const at = [...new Set(edges)].filter(s => s >= 0 && s <= wall.overall).sort((a, b) => a - b)
  const strips = at.slice(1).flatMap((to, i): Clear[] => {
    const s = { from: at[i] ?? 0, to }
    if (to - s.from < HAIR) return []
    const middle = (s.from + to) / 2
    const line = lines.find(each => middle > withinOf(each).from && middle < withinOf(each).to) ?? null
    const top = line ? highestOver(line, s) : heightAt(wall, middle)
    // over the plate of another wall, butted against or lapped over its own, nothing holds a pane: it is
    // behind the corner boards
    const bare = (z: Stretch): boolean =>
      over &&
      z.from > heightAt(wall, middle) - HAIR &&
      ![...boards, ...rough].some(each => overlap(each.s, s) && Math.abs(each.z.to - z.from) < HAIR)
    return without(
      { from: foot, to: top },
      taken.filter(each => overlap(each.s, s)).map(({ z }) => z),
    )
      .filter(z => !bare(z))
      .map(z => ({ s, z, line: z.to > top - HAIR ? line : null }))
  })
  return merged(strips)
    .map(({ s, z, line }): Bay => {
      const own = line ? reachAt(line, 'under', s, z.from) : s
      return {
        rect: { x0: own.from, x1: own.to, y0: z.from, y1: line ? highestOver(line, own) : z.to },
        line,
        inGable: over && z.from > heightAt(wall, (s.from + s.to) / 2) - HAIR,
      }
    })
    .filter(({ rect }) => rect.x1 - rect.x0 > least.pane - HAIR && rect.y1 - rect.y0 > least.pane - HAIR)
}

/** The levels that a wall's plates lie at, and along which of it. */
const levelsOf = ({ height, step, overall }: Wall): readonly { readonly s: Stretch; readonly z: number }[] =>
  step
    ? [
        { s: { from: 0, to: step.at }, z: height },
        { s: { from: step.at, to: overall }, z: step.height },
      ]
    : [{ s: { from: 0, to: overall }, z: height }]

/** What comes down in a gable, and is cut out of panes. */
export const hangingIn = (line: Profile): Rect[] =>
  [hangsDown(line) ? line.hanging : null, line.apart].flatMap(box =>
    box ? [{ x0: box.from, x1: box.to, y0: box.bottom, y1: peakOf(line) + 1 }] : [],
  )

/** The highest that a line leaves clear over a stretch. */
const highestOver = (line: Profile, { from, to }: Stretch): number =>
  Math.max(levelUnder(line, from), levelUnder(line, to), highestBreak(line, { from, to }))

/** Strips beside each other with no board between them, and alike at foot and top, as one. */
function merged(strips: readonly Clear[]): Clear[] {
  const out: Clear[] = []
  for (const strip of strips) {
    const i = out.findIndex(
      each =>
        Math.abs(each.s.to - strip.s.from) < HAIR &&
        Math.abs(each.z.from - strip.z.from) < HAIR &&
        each.line === strip.line &&
        (each.line !== null || Math.abs(each.z.to - strip.z.to) < HAIR),
    )
    const last = out[i]
    if (last)
      out[i] = {
        ...last,
        s: { from: last.s.from, to: strip.s.to },
        z: { from: last.z.from, to: Math.max(last.z.to, strip.z.to) },
      }
    else out.push(strip)
  }
  return out
}

/** The boards that a bay's edge lies along, all the way or part of it. */
export const beside = (
  boards: readonly WallBoard[],
  { x0, x1, y0, y1 }: Rect,
  edge: 'low' | 'high' | 'foot' | 'top',
): WallBoard[] =>
  boards.filter(({ runs, s, z }) =>
    edge === 'low' || edge === 'high'
      ? runs === 'up' &&
        Math.abs(edge === 'low' ? s.to - x0 : s.from - x1) < HAIR &&
        overlap(z, { from: y0, to: y1 })
      : runs === 'along' &&
        Math.abs(edge === 'foot' ? z.to - y0 : z.from - y1) < HAIR &&
        overlap(s, { from: x0, to: x1 }),
  )
