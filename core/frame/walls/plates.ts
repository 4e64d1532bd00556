import { nth, ofWall } from '../place'
import { type Building, wallFoot } from '../../design'
import type { Section } from '../../lumber'
import { HAIR } from '../../measure'
import { fewestBoards, gaps, least, type RowAsk, rowCost, type Stretch } from '../../trade'
import type { WallBoard } from './board'
import { fromLayoutEnd } from './places'
import type { Wall } from './wall'

/**
 * A wall's plates, each of as few boards as `longest` allows, spliced over the middle of a stud that runs
 * from plate to plate; the second top plate's joints away from the first one's.
 */
export function platesOf(
  { walls, base }: Building,
  wall: Wall,
  stud: Section,
  standing: readonly WallBoard[],
): WallBoard[] {
  const { topPlates, longest } = walls
  const t = stud.thickness
  const breaks = standing
    .filter(
      ({ role, wide }) => (role === 'stud' || role === 'king' || role === 'wall-post') && wide === 'across',
    )
    .map(({ s }) => (s.from + s.to) / 2)
    .sort((a, b) => a - b)
  const laid = (
    name: string,
    role: 'bottom-plate' | 'top-plate',
    low: number,
    row: readonly Stretch[],
  ): WallBoard[] =>
    row.map((s, i) => ({
      where: ofWall(wall.name, `plate/${name}`, ...nth(i, row)),
      role,
      section: stud,
      runs: 'along',
      wide: 'across',
      s,
      z: { from: low, to: low + t },
      across: 0,
    }))
  // where a partition's plate laps over, the second one is parted on both sides
  const lapping = topPlates === 2 ? wall.tees.filter(tee => tee.laps) : []
  const ask = { breaks, longest, shortest: least.plateBays * walls.spacing }
  const parted = lapping.flatMap(tee => [tee.from, tee.to])
  if (wall.raked)
    return laid('bottom', 'bottom-plate', wallFoot(base), rowApart(wall, wall, { ...ask, joints: parted }))
  const runs = levelRuns(wall, wall)
  const caps =
    topPlates === 1
      ? []
      : levelRuns(wall, wall.cap).flatMap(run =>
          between(run, lapping).map(part => ({ ...part, height: run.height })),
        )
  const { lower, upper } = rowsApart(wall, runs, caps, ask, parted)
  const bottom = laid(
    'bottom',
    'bottom-plate',
    wallFoot(base),
    runs.length > 1 ? rowApart(wall, wall, { ...ask, joints: parted }) : (lower[0] ?? [wall]),
  )
  const top = lower.flatMap((each, i) =>
    laid('top', 'top-plate', (runs[i]?.height ?? 0) - topPlates * t, each),
  )
  const cap = upper.flatMap((each, i) => laid('cap', 'top-plate', (caps[i]?.height ?? 0) - t, each))
  return [...bottom, ...numbered(top), ...numbered(cap)]
}

/** The stretches over which a wall's top plates run level: to its step and on from there, or all along. */
function levelRuns(
  { height, step }: Wall,
  whole: Stretch,
): readonly (Stretch & { readonly height: number })[] {
  return step
    ? [
        { from: whole.from, to: step.at, height },
        { from: step.at, to: whole.to, height: step.height },
      ]
    : [{ ...whole, height }]
}

/** Boards of one plate, numbered along the wall where there are several. */
const numbered = (plates: readonly WallBoard[]): WallBoard[] =>
  plates.map((each, i) => ({
    ...each,
    where: { ...each.where, run: nth(i, plates) },
  }))

/** Where the boards of a row meet, mm. */
const inner = (row: readonly Stretch[]): number[] =>
  [...row]
    .sort((a, b) => a.from - b.from)
    .slice(0, -1)
    .map(each => each.to)

/** What of a run is left between stretches that are taken. */
function between(run: Stretch, taken: readonly Stretch[]): Stretch[] {
  return [...taken]
    .sort((a, b) => a.from - b.from)
    .reduce<Stretch[]>(
      (parts, each) =>
        parts.flatMap(part =>
          each.to <= part.from || each.from >= part.to
            ? [part]
            : [
                { from: part.from, to: each.from },
                { from: each.to, to: part.to },
              ],
        ),
      [run],
    )
}

type RowsAsk = Pick<RowAsk, 'breaks' | 'longest' | 'shortest'>

/**
 * The boards of both top plates, in each of their runs: the lower's first and the upper's joints away from
 * its, or the other way about, whichever is laid the better. `parted` are joints of the upper that are given.
 */
function rowsApart(
  wall: Wall,
  lowers: readonly Stretch[],
  uppers: readonly Stretch[],
  ask: RowsAsk,
  parted: readonly number[],
): { readonly lower: readonly (readonly Stretch[])[]; readonly upper: readonly (readonly Stretch[])[] } {
  const lay = (runs: readonly Stretch[], joints: readonly number[]) =>
    runs.map(run => rowApart(wall, run, { ...ask, joints }))
  const joined = (rows: readonly (readonly Stretch[])[]): number[] => rows.flatMap(inner)
  const lower = lay(lowers, parted)
  const upper = lay(uppers, joined(lower))
  const first = { lower, upper }
  if (!uppers.length) return first
  const over = lay(uppers, [])
  const other = { upper: over, lower: lay(lowers, [...parted, ...joined(over)]) }
  const cost = (rows: typeof first): number =>
    [
      ...rows.lower.map(row =>
        rowCost(row, { ...ask, joints: [...parted, ...joined(rows.upper)], apart: gaps.platesJoints }),
      ),
      ...rows.upper.map(row => rowCost(row, ask)),
    ].reduce((sum, each) => sum + each, 0)
  return cost(other) < cost(first) - HAIR ? other : first
}

/**
 * The boards of a plate, from the wall's layout end: of as few as can be, none a stub, their joints as far
 * from others as is asked, where the studs let it.
 */
const rowApart = (
  wall: Wall,
  run: Stretch,
  {
    joints,
    ...ask
  }: {
    readonly breaks: readonly number[]
    readonly longest: number
    readonly shortest: number
    readonly joints: readonly number[]
  },
): readonly Stretch[] =>
  fromLayoutEnd(wall, run, ask.breaks, (whole, breaks) =>
    fewestBoards(whole, {
      ...ask,
      breaks,
      joints: wall.layout === 'high' ? joints.map(at => wall.overall - at) : joints,
      apart: gaps.platesJoints,
    }),
  )
