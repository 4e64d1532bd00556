import { type Design, wallFoot } from '../../design'
import type { Section } from '../../lumber'
import { INCH } from '../../measure'
import { least } from '../../trade'
import { fewestBoards, type Stretch } from '../layout'
import type { WallBoard } from './board'
import { fromLayoutEnd } from './places'
import type { Wall } from './wall'

/** mm that joints in the two top plates stand apart at least: 24 in, IRC R602.3.2 (from memory). */
export const JOINTS_APART = 24 * INCH

/** A wall's plates, each of as few boards as `longest` allows, spliced over the middle of a stud that runs from plate to plate; the second top plate's joints away from the first one's. */
export function platesOf({ walls, base }: Design, wall: Wall, stud: Section, standing: readonly WallBoard[]): WallBoard[] {
  const { topPlates, longest } = walls
  const t = stud.thickness
  const breaks = standing.filter(({ role, wide }) => (role === 'stud' || role === 'king' || role === 'wall-post') && wide === 'across').map(({ s }) => (s.from + s.to) / 2).sort((a, b) => a - b)
  const laid = (name: string, role: 'bottom-plate' | 'top-plate', low: number, row: readonly Stretch[]): WallBoard[] => row.map((s, i) => ({
    id: `walls/${wall.name}/plate/${name}${row.length > 1 ? `/${i + 1}` : ''}`, role, section: stud, runs: 'along', wide: 'across', s, z: { from: low, to: low + t }, across: 0,
  }))
  // where a partition's plate laps over, the second one is parted on both sides
  const lapping = topPlates === 2 ? wall.tees.filter(tee => tee.laps) : []
  const shortest = least.plateBays * walls.spacing
  const rowFor = (whole: Stretch): readonly Stretch[] => rowApart(wall, whole, { breaks, longest, shortest, joints: lapping.flatMap(tee => [tee.from, tee.to]) })
  const row = rowFor(wall)
  const bottom = laid('bottom', 'bottom-plate', wallFoot(base), row)
  if (wall.raked) return bottom
  const runs = levelRuns(wall, wall)
  const lower = runs.map(run => runs.length > 1 ? rowFor(run) : row)
  const top = lower.flatMap((each, i) => laid('top', 'top-plate', (runs[i]?.height ?? 0) - topPlates * t, each))
  const joints = lower.flatMap(inner)
  const cap = topPlates === 1 ? [] : levelRuns(wall, wall.cap).flatMap(run => between(run, lapping).flatMap(part => laid('cap', 'top-plate', run.height - t, rowApart(wall, part, { breaks, longest, shortest, joints }))))
  return [...bottom, ...numbered(top), ...numbered(cap)]
}

/** The stretches over which a wall's top plates run level: to its step and on from there, or all along. */
function levelRuns({ height, step }: Wall, whole: Stretch): readonly (Stretch & { readonly height: number })[] {
  return step ? [{ from: whole.from, to: step.at, height }, { from: step.at, to: whole.to, height: step.height }] : [{ ...whole, height }]
}

/** Boards of one plate, numbered along the wall where there are several. */
const numbered = (plates: readonly WallBoard[]): WallBoard[] => plates.map((each, i) => ({ ...each, id: each.id.replace(/\/(top|cap)(\/\d+)?$/, plates.length > 1 ? `/$1/${i + 1}` : '/$1') }))

/** Where the boards of a row meet, mm. */
const inner = (row: readonly Stretch[]): number[] => [...row].sort((a, b) => a.from - b.from).slice(0, -1).map(each => each.to)

/** What of a run is left between stretches that are taken. */
function between(run: Stretch, taken: readonly Stretch[]): Stretch[] {
  return [...taken].sort((a, b) => a.from - b.from).reduce<Stretch[]>((parts, each) => parts.flatMap(part => each.to <= part.from || each.from >= part.to ? [part] : [{ from: part.from, to: each.from }, { from: each.to, to: part.to }]), [run])
}

/** The boards of a plate, from the wall's layout end: of as few as can be, none a stub, their joints as far from others as is asked, where the studs let it. */
const rowApart = (wall: Wall, run: Stretch, { joints, ...ask }: { readonly breaks: readonly number[], readonly longest: number, readonly shortest: number, readonly joints: readonly number[] }): readonly Stretch[] =>
  fromLayoutEnd(wall, run, ask.breaks, (whole, breaks) => fewestBoards(whole, { ...ask, breaks, joints: wall.layout === 'high' ? joints.map(at => wall.overall - at) : joints, apart: JOINTS_APART }))
