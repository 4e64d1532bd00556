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

/** A face that lies back from a wall's outside: how far, and what of it is covered; mm. */
export interface BackFace {
  readonly back: number
  readonly s: Stretch
  readonly top: number
}

/**
 * What slats are laid on that lie on the faces of posts under a beam that is bolted to them: the posts, and
 * what is flush with them between.
 */
export function underBolted(
  ask: CoverAsk,
  back: number,
): { readonly ask: CoverAsk; readonly face: BackFace } | null {
  const { wall, boards } = ask.framed
  const out = wall.outside === 'low' ? -back : back
  const beams = boards.filter(({ role }) => role === 'wall-beam')
  const posts = boards.filter(({ role }) => role === 'wall-post')
  if (!beams.length || !posts.length) return null
  const flush = boards
    .filter(
      ({ role }) => role === 'wall-post' || role === 'girt' || role === 'post-diagonal' || role === 'knee',
    )
    .map(board => ({ ...board, across: board.across + out }))
  return {
    ask: { ...ask, gable: null, posts: [], framed: { ...ask.framed, boards: flush } },
    face: {
      back,
      s: {
        from: Math.min(...posts.map(({ s }) => s.from)),
        to: Math.max(...posts.map(({ s }) => s.to)),
      },
      top: Math.min(...beams.map(({ z }) => z.from)),
    },
  }
}

/**
 * Lays slats over a wall and its gable, level, a gap between; each ends on a stud, a post or an opening, no
 * longer than `longest`, joints staggered; on a `face` that lies back where there is one.
 */
export function slatWall(
  ask: CoverAsk,
  slat: Section,
  gap: number,
  longest: number,
  face: BackFace | null = null,
): Order[] {
  const {
    framed: { wall, boards },
    stud,
    gable,
  } = ask
  const rough = [...ask.framed.rough, ...(gable?.rough ?? [])]
  const wood = outerWood(wall, [...boards, ...ask.posts, ...(gable?.studs ?? [])], rough, stud.depth)
  const lower = wallReach(ask)
  const whole = gable ? peakOf(gable.line) : (postsReach(ask)?.to ?? lower.to)
  const top = face ? Math.min(whole, face.top) : whole
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
    const all = line ? gableReach(line, wall, z.from) : levelReach(wall, z.from)
    const u = face ? { from: Math.max(all.from, face.s.from), to: Math.min(all.to, face.s.to) } : all
    if (u.to - u.from < least.piece) return []
    const above = line !== null && z.to > lowestCover(line, wall.overall)
    const joints = plumbJoints(wood, z, line ? lineAt(line) : s => (wall.step ? heightAt(wall, s) : Infinity))
    const row = besideHoles(u, z, holes).flatMap(run =>
      fromLayoutEnd(wall, run, joints, (whole, breaks) => staggeredRow(whole, breaks, longest, r % 2 === 1)),
    )
    return row.flatMap((s, c) =>
      piecesAbout({ x0: s.from, x1: s.to, y0: z.from, y1: z.to }, holes).map(({ rect, notches }, k) =>
        faceBoard(
          { wall, deep: stud.depth, over: face ? -face.back : 0 },
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
