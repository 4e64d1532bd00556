import { type SideName } from '../../design'
import { type MemberPlace, ofWall } from '../place'
import {
  type CoverAsk,
  gableReach,
  ledgerHole,
  levelReach,
  lineAt,
  openingHoles,
  overStep,
  ridgeHole,
  roofCuts,
  tailHoles,
  postsReach,
  wallReach,
} from './cover'
import { coverLevel, peakOf, type Profile, withinOf } from '../../lines'
import { least, rowOf, type Stretch } from '../../trade'
import { HAIR } from '../../measure'
import { planeAcross, vec } from '../../geometry'
import type { Section } from '../../lumber'
import { piecesAbout, cutOut } from '../pieces-about'
import { squareBoard } from '../square-board'
import type { BuildingCut, Order } from '../member'
import type { Rect } from '../rect'
import { wallPoint } from './board'
import { outerWood, plumbJoints } from './framing-lines'
import { fromLayoutEnd } from './places'
import { heightAt } from './wall'

/**
 * Lays slats over a wall and its gable, level, a gap between; each ends on a stud, a post or an opening, no
 * longer than `longest`, joints staggered.
 */
export function slatWall(ask: CoverAsk, slat: Section, gap: number, longest: number): Order[] {
  const {
    framed: { wall, boards },
    stud,
    gable,
  } = ask
  const rough = [...ask.framed.rough, ...(gable?.rough ?? [])]
  const wood = outerWood(wall, [...boards, ...ask.posts, ...(gable?.studs ?? [])], rough, stud.depth)
  const lower = wallReach(ask)
  const top = gable ? peakOf(gable.line) : (postsReach(ask)?.to ?? lower.to)
  const holes = [
    ...openingHoles({ rough }),
    ...tailHoles(ask),
    ...overStep(ask),
    ...(gable ? [...ridgeHole(ask, gable.line), ...ledgerHole(ask, gable.line)] : []),
  ]
  const step = slat.depth + gap
  const count = Math.max(0, Math.ceil((top - lower.from - least.piece) / step))
  return Array.from({ length: count }, (_, r): Stretch => ({
    from: lower.from + r * step,
    to: Math.min(top, lower.from + r * step + slat.depth),
  })).flatMap((z, r) => {
    // over the wall each side of a strip has its own slope
    const parts = gable?.line.parts && z.to > wall.height + HAIR ? gable.line.parts : [gable?.line ?? null]
    return parts.flatMap(line =>
      rowUnder(line, r, parts.length > 1 && line?.runs[0] ? [line.runs[0].face.falls] : [], z),
    )
  })

  function rowUnder(line: Profile | null, r: number, part: readonly SideName[], z: Stretch): Order[] {
    const u = line ? gableReach(line, wall, z.from) : levelReach(wall, z.from)
    if (u.to - u.from < least.piece) return []
    const above = line !== null && z.to > lowestCover(line, wall.overall)
    const row = fromLayoutEnd(
      wall,
      u,
      plumbJoints(wood, z, line ? lineAt(line) : s => (wall.step ? heightAt(wall, s) : Infinity)),
      (whole, breaks) => staggeredRow(whole, breaks, longest, r % 2 === 1),
    )
    return row.flatMap((s, c) =>
      piecesAbout({ x0: s.from, x1: s.to, y0: z.from, y1: z.to }, holes).map(({ rect, notches }, k) =>
        slatOrder(
          ask,
          slat,
          ofWall(wall.name, 'slat', r + 1, ...part, c + 1, ...(k ? [k + 1] : [])),
          rect,
          notches,
          line && above ? roofCuts(line) : [],
        ),
      ),
    )
  }
}

/** A row of boards; a staggered one begins with half a length, where a stud lets it. */
function staggeredRow(
  whole: Stretch,
  breaks: readonly number[],
  longest: number,
  half: boolean,
): readonly Stretch[] {
  const row = rowOf(whole, breaks, longest, half ? longest / 2 : longest)
  return half && row.some(each => each.to - each.from > longest + HAIR)
    ? rowOf(whole, breaks, longest, longest)
    : row
}

function slatOrder(
  { framed: { wall }, stud }: CoverAsk,
  slat: Section,
  where: MemberPlace,
  { x0, x1, y0, y1 }: Rect,
  notches: readonly Rect[],
  slopes: readonly BuildingCut[],
): Order {
  const across = wall.outside === 'low' ? -slat.thickness : stud.depth
  const order = squareBoard({
    where,
    role: 'slat',
    section: slat,
    along: wall.along,
    depth: 'z',
    from: x0,
    to: x1,
    corner: wallPoint(wall, x0, across, y0),
  })
  const rip: BuildingCut[] =
    y1 - y0 < slat.depth - HAIR ? [{ kind: 'end', name: 'rip', plane: planeAcross('z', y1) }] : []
  const along = wall.along === 'x' ? vec(1, 0, 0) : vec(0, 1, 0)
  return {
    ...order,
    cuts: [...order.cuts, ...rip, ...notches.map(each => cutOut(each, along, vec(0, 0, 1))), ...slopes],
  }
}

/** The level that the cover reaches at the lower end of a line over a wall, mm. */
function lowestCover(line: Profile, overall: number): number {
  const { from, to } = withinOf(line)
  return Math.min(coverLevel(line, Math.max(0, from)), coverLevel(line, Math.min(overall, to)))
}
