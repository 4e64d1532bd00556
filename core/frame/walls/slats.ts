import { type SideName } from '../../design'
import { ofWall } from '../place'
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
import { least, type Stretch } from '../../trade'
import { HAIR } from '../../measure'
import type { Section } from '../../lumber'
import { piecesAbout } from '../pieces-about'
import type { Order } from '../member'
import { faceBoard } from './board'
import { outerWood, plumbJoints } from './framing-lines'
import { besideHoles, fromLayoutEnd, staggeredRow } from './places'
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
    const joints = plumbJoints(wood, z, line ? lineAt(line) : s => (wall.step ? heightAt(wall, s) : Infinity))
    const row = besideHoles(u, z, holes).flatMap(run =>
      fromLayoutEnd(wall, run, joints, (whole, breaks) => staggeredRow(whole, breaks, longest, r % 2 === 1)),
    )
    return row.flatMap((s, c) =>
      piecesAbout({ x0: s.from, x1: s.to, y0: z.from, y1: z.to }, holes).map(({ rect, notches }, k) =>
        faceBoard(
          { wall, deep: stud.depth, over: 0 },
          {
            where: ofWall(wall.name, 'slat', r + 1, ...part, c + 1, ...(k ? [k + 1] : [])),
            role: 'slat',
            section: slat,
            way: 'level',
            rect,
            notches,
            cuts: line && above ? roofCuts(line) : [],
          },
        ),
      ),
    )
  }
}

/** The level that the cover reaches at the lower end of a line over a wall, mm. */
function lowestCover(line: Profile, overall: number): number {
  const { from, to } = withinOf(line)
  return Math.min(coverLevel(line, Math.max(0, from)), coverLevel(line, Math.min(overall, to)))
}
