import { abutmentOf, highEaveOf, lowEaveOf, ridgeOf, stripOf } from './read'
import { meets, type Plane, vec } from '../../geometry'
import { HAIR } from '../../measure'
import type { Stretch } from '../../trade'
import type { Box, RoofFace, RoofLines } from './form'

/** Where one face is the line over a wall across the building: `s` along the wall, mm; planes look up. */
export interface ProfileRun {
  readonly face: RoofFace
  readonly s: Stretch
  /** The rafters' lower edges, or what hangs under them: it cuts what stands there. */
  readonly under: Plane
  /** What the wall's cover reaches up to: the face, or the lookouts under it. */
  readonly top: Plane
}

/** The roof's line over any wall across the building. */
export interface Profile {
  /** In order along the wall, each ending where the next begins. */
  readonly runs: readonly ProfileRun[]
  /** What comes down in the gable, and studs stand under: the ridge's end, a header's or a ledger's. */
  readonly hanging: Box | null
  /** A ledger's end in the gable under which no stud stands. */
  readonly apart: Box | null
  /** The lines on both sides of an open strip, each by itself; null without. */
  readonly parts: readonly Profile[] | null
}

/** The line of a roof over its gables; without runs where its faces end in hips. */
export function profileOf(lines: RoofLines): Profile {
  const raked = lines.faces.filter(face =>
    lines.edges.some(edge => edge.kind === 'rake' && edge.face === face),
  )
  const order = [...raked].sort((a, b) => lowAt(lines, a) - lowAt(lines, b))
  const runs = order.map((face, i): ProfileRun => ({
    face,
    s: runOf(lines, face, order[i + 1] ?? order[i - 1] ?? null),
    under: face.carrier.underside,
    top: lines.coverSetback ? { ...face.top, offset: face.top.offset - lines.coverSetback } : face.top,
  }))
  const ledger = abutmentOf(lines)
  const strip = stripOf(lines)
  const whole: Profile = {
    runs,
    hanging: strip?.upper.header ?? ledger?.box ?? ridgeOf(lines)?.board ?? null,
    apart: strip ? (ledger?.box ?? null) : null,
    parts: null,
  }
  return strip ? { ...whole, parts: runs.map(run => partOf(whole, run)) } : whole
}

/** Across the building, where the outside of a face's low wall is. */
function lowAt(lines: RoofLines, face: RoofFace): number {
  const { normal, offset } = lowEaveOf(lines, face)?.outside ?? { normal: vec(0, 1, 0), offset: 0 }
  return normal.y * offset
}

/** From a face's low wall to where it meets another, to the strip, or to the far side of what it ends on. */
function runOf(lines: RoofLines, face: RoofFace, other: RoofFace | null): Stretch {
  const low = lowAt(lines, face)
  const far = other ? (ridgeOf(lines)?.at ?? stripOf(lines)?.at ?? low) : farSide(lines, face)
  return { from: Math.min(low, far), to: Math.max(low, far) }
}

function farSide(lines: RoofLines, face: RoofFace): number {
  const high = highEaveOf(lines, face)?.outside
  if (high) return high.normal.y * high.offset
  const box = abutmentOf(lines)?.box
  return box ? (face.falls === 'south' ? box.to : box.from) : lowAt(lines, face)
}

function partOf(whole: Profile, run: ProfileRun): Profile {
  const { hanging } = whole
  const mine = hanging && hanging.from < run.s.to - HAIR && hanging.to > run.s.from + HAIR
  return { ...whole, runs: [run], hanging: mine ? hanging : null }
}

/** Level of a plane over a distance along the wall, mm; infinite where it is plumb. */
const levelAt = (plane: Plane, s: number): number => meets(plane, vec(0, s, 0), vec(0, 0, 1)) ?? Infinity

/** The runs over a distance along the wall: both where two meet, and the nearest beyond the ends. */
function runsAt({ runs }: Profile, s: number): readonly ProfileRun[] {
  const last = runs.length - 1
  return runs.filter((run, i) => (i === 0 || s >= run.s.from) && (i === last || s <= run.s.to))
}

/** The run over a distance along the wall; of two that meet there the first. */
export const runAt = (profile: Profile, s: number): ProfileRun | undefined => runsAt(profile, s)[0]

/** The runs that what stands over a stretch ends under: those that cover more of it than an end. */
export const runsOver = ({ runs }: Profile, s: Stretch, slack = 0): readonly ProfileRun[] =>
  runs.filter(
    (run, i) =>
      (i === runs.length - 1 || s.from < run.s.to - slack) && (i === 0 || s.to > run.s.from + slack),
  )

/**
 * The level over a distance along the wall that what stands there reaches up to; of two, as where unlike
 * pitches meet, the lower.
 */
export const levelUnder = (profile: Profile, s: number): number =>
  Math.min(...runsAt(profile, s).map(run => levelAt(run.under, s)))

/** The level there that what covers the wall reaches up to. */
export const coverLevel = (profile: Profile, s: number): number =>
  Math.min(...runsAt(profile, s).map(run => levelAt(run.top, s)))

/** Where runs meet, along the wall. */
export const breaksOf = ({ runs }: Profile): number[] => runs.slice(1).map(run => run.s.from)

/** All of the wall that the profile is over. */
export const withinOf = ({ runs }: Profile): Stretch => ({
  from: runs[0]?.s.from ?? 0,
  to: runs[runs.length - 1]?.s.to ?? 0,
})

/** The highest that what covers the wall reaches. */
export function peakOf(profile: Profile): number {
  const all = (profile.parts ?? [profile]).flatMap(part =>
    part.runs.flatMap(({ s }) => [s.from, s.to]).map(s => coverLevel(part, s)),
  )
  return Math.max(...all)
}

/**
 * The higher of the levels of the runs that meet at a break within a stretch; far below everything without.
 */
export const highestBreak = (profile: Profile, { from, to }: Stretch): number =>
  Math.max(
    -Infinity,
    ...breaksOf(profile)
      .filter(at => at >= from && at <= to)
      .flatMap(at => runsAt(profile, at).map(run => levelAt(run.under, at))),
  )

/** Whether what comes down in the gable reaches below the rafters' lower edges there. */
export function hangsDown(profile: Profile): boolean {
  const { hanging } = profile
  if (!hanging) return false
  const { from, to } = withinOf(profile)
  const ends = [from, to].filter(s => s >= hanging.from && s <= hanging.to)
  const levels = [highestBreak(profile, hanging), ...ends.map(s => levelUnder(profile, s))]
  return hanging.bottom < Math.max(...levels) - HAIR
}

/** A line as much lower, square to the faces, mm: that under plates nailed to the rafters' lower edges. */
export const lowered = (profile: Profile, by: number): Profile => ({
  ...profile,
  runs: profile.runs.map(run => ({ ...run, under: { ...run.under, offset: run.under.offset - by } })),
})

/** How far a level reaches along the wall under the planes of a profile, within a stretch of it. */
export function reachAt(profile: Profile, of: 'under' | 'top', within: Stretch, z: number): Stretch {
  const { runs } = profile
  let { from, to } = within
  runs.forEach((run, i) => {
    const { y } = run[of].normal
    const at = meets(run[of], vec(0, 0, z), vec(0, 1, 0)) ?? 0
    const [first, last] = [i === 0 ? -Infinity : run.s.from, i === runs.length - 1 ? Infinity : run.s.to]
    if (y < 0) from = Math.max(from, Math.min(at, last))
    if (y > 0) to = Math.min(to, Math.max(at, first))
  })
  return { from, to }
}
