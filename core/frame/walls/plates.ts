import { type Design, wallFoot } from '../../design'
import type { Section } from '../../lumber'
import { INCH } from '../../measure'
import { rowOf, type Stretch } from '../layout'
import type { WallBoard } from './board'
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
  const row = turned(wall, breaks, (breaks_, whole) => rowOf(whole, breaks_, longest, longest), wall)
  const plates = [...laid('bottom', 'bottom-plate', wallFoot(base), row), ...laid('top', 'top-plate', wall.height - topPlates * t, row)]
  return topPlates === 1 ? plates : [...plates, ...laid('cap', 'top-plate', wall.height - t, turned(wall, breaks, (breaks_, whole, joints) => capRow(whole, breaks_, longest, joints), wall.cap, inner(row)))]
}

/** Lays a row from the end the wall's layout begins at. */
function turned({ layout, overall }: Wall, breaks: readonly number[], lay: (breaks: readonly number[], whole: Stretch, joints: readonly number[]) => Stretch[], whole: Stretch, joints: readonly number[] = []): Stretch[] {
  if (layout !== 'high') return lay(breaks, whole, joints)
  const turn = (at: number): number => overall - at
  const over = ({ from, to }: Stretch): Stretch => ({ from: turn(to), to: turn(from) })
  return lay(breaks.map(turn).sort((a, b) => a - b), over(whole), joints.map(turn)).map(over).reverse()
}

const inner = (row: readonly Stretch[]): number[] => row.slice(0, -1).map(each => each.to)

/** The second top plate, its joints as far from the first one's as is asked where the studs let it; else of the fewest boards. */
function capRow(cap: Stretch, breaks: readonly number[], longest: number, joints: readonly number[]): Stretch[] {
  const clear = breaks.filter(at => joints.every(other => Math.abs(other - at) >= JOINTS_APART - 1e-6))
  const row = rowOf(cap, clear, longest, longest)
  return row.every(each => each.to - each.from <= longest + 1e-6) ? row : rowOf(cap, breaks, longest, longest)
}
