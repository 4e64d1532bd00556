import { abutmentOf, highEaveOf, kneesOf, lowEaveOf, ridgeOf, stripOf } from './read'
import { meets, type Plane, planeAcross, vec } from '../../geometry'
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
  /** What parts each run from the next, looking along the wall: plumb, or half the turn of a knee. */
  readonly breaks: readonly Plane[]
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
  const breaks = order.slice(1).map((face, i) => breakBetween(lines, order[i] ?? face, face))
  const whole = {
    from: lowAt(lines, order[0]),
    to: order.length > 1 ? lowAt(lines, order[order.length - 1]) : farSide(lines, order[0]),
  }
  const ends = { from: Math.min(whole.from, whole.to), to: Math.max(whole.from, whole.to) }
  const runs = order.map((face, i): ProfileRun => ({
    face,
    s: between(face.top, ends, breaks[i - 1], breaks[i]),
    under: face.carrier.underside,
    top: lines.coverSetback ? { ...face.top, offset: face.top.offset - lines.coverSetback } : face.top,
  }))
  const ledger = abutmentOf(lines)
  const strip = stripOf(lines)
  const profile: Profile = {
    runs,
    breaks,
    hanging: strip?.upper.header ?? ledger?.box ?? ridgeOf(lines)?.board ?? null,
    apart: strip ? (ledger?.box ?? null) : null,
    parts: null,
  }
  return strip ? { ...profile, parts: runs.map(run => partOf(profile, run)) } : profile
}

/** What parts two faces side by side: half the turn of the knee they meet at, or a plumb plane. */
function breakBetween(lines: RoofLines, one: RoofFace, other: RoofFace): Plane {
  const knee = kneesOf(lines).find(({ sides }) => sides.every(({ face }) => face === one || face === other))
  if (!knee) return planeAcross('y', ridgeOf(lines)?.at ?? stripOf(lines)?.at ?? lowAt(lines, one))
  const { normal, offset } = knee.middle
  return normal.y > 0 ? knee.middle : { normal: vec(0, -normal.y, -normal.z), offset: -offset }
}

/** Across the building, where a plane across it meets one along it, mm. */
function meetAt({ normal: a, offset: p }: Plane, { normal: b, offset: q }: Plane): number {
  return a.z === 0 ? p / a.y : (p * b.z - q * a.z) / (a.y * b.z - b.y * a.z)
}

/** The stretch of a plane between two breaks, or from an end of the whole. */
const between = (plane: Plane, ends: Stretch, low?: Plane, high?: Plane): Stretch => ({
  from: low ? meetAt(low, plane) : ends.from,
  to: high ? meetAt(high, plane) : ends.to,
})

type Line = 'under' | 'top'

/**
 * From where to where one of a run's lines reaches: where faces meet at a knee, their lower edges do farther
 * in.
 */
export const stretchOf = (profile: Profile, i: number, line: Line): Stretch => {
  const run = profile.runs[i]
  return run ? between(run[line], run.s, profile.breaks[i - 1], profile.breaks[i]) : { from: 0, to: 0 }
}

/** Across the building, where the outside of a face's low wall is. */
function lowAt(lines: RoofLines, face?: RoofFace): number {
  const knee = face && kneesOf(lines).find(each => each.sides[1].face === face)
  const outside = face && lowEaveOf(lines, knee ? knee.sides[0].face : face)?.outside
  if (!outside) return 0
  return outside.normal.y * (outside.offset - (knee?.in ?? 0))
}

/** The far side of what a building's only face ends on. */
function farSide(lines: RoofLines, face?: RoofFace): number {
  if (!face) return 0
  const high = highEaveOf(lines, face)?.outside
  if (high) return high.normal.y * high.offset
  const box = abutmentOf(lines)?.box
  return box ? (face.falls === 'south' ? box.to : box.from) : lowAt(lines, face)
}

function partOf(whole: Profile, run: ProfileRun): Profile {
  const { hanging } = whole
  const mine = hanging && hanging.from < run.s.to - HAIR && hanging.to > run.s.from + HAIR
  return { ...whole, runs: [run], breaks: [], hanging: mine ? hanging : null }
}

/** Level of a plane over a distance along the wall, mm; infinite where it is plumb. */
const levelAt = (plane: Plane, s: number): number => meets(plane, vec(0, s, 0), vec(0, 0, 1)) ?? Infinity

/** The runs over a distance along the wall: both where two meet, and the nearest beyond the ends. */
function runsAt(profile: Profile, s: number, line: Line = 'under'): readonly ProfileRun[] {
  const last = profile.runs.length - 1
  return profile.runs.filter((_, i) => {
    const { from, to } = stretchOf(profile, i, line)
    return (i === 0 || s >= from) && (i === last || s <= to)
  })
}

/** The run over a distance along the wall; of two that meet there the first. */
export const runAt = (profile: Profile, s: number): ProfileRun | undefined => runsAt(profile, s)[0]

/** The runs that what stands over a stretch ends under: those that cover more of it than an end. */
export const runsOver = (profile: Profile, s: Stretch, slack = 0): readonly ProfileRun[] =>
  profile.runs.filter((_, i) => {
    const { from, to } = stretchOf(profile, i, 'under')
    return (i === profile.runs.length - 1 || s.from < to - slack) && (i === 0 || s.to > from + slack)
  })

/**
 * The level over a distance along the wall that what stands there reaches up to; of two, as where unlike
 * pitches meet, the lower.
 */
export const levelUnder = (profile: Profile, s: number): number =>
  Math.min(...runsAt(profile, s, 'under').map(run => levelAt(run.under, s)))

/** The level there that what covers the wall reaches up to. */
export const coverLevel = (profile: Profile, s: number): number =>
  Math.min(...runsAt(profile, s, 'top').map(run => levelAt(run.top, s)))

/**
 * The highest level over a stretch of the wall that what covers it reaches up to: at an end, or a peak
 * within.
 */
export const highestCover = (profile: Profile, { from, to }: Stretch): number =>
  Math.max(
    -Infinity,
    ...profile.runs.flatMap((run, i) => {
      const own = stretchOf(profile, i, 'top')
      const low = i === 0 ? from : Math.max(own.from, from)
      const high = i === profile.runs.length - 1 ? to : Math.min(own.to, to)
      return low > high ? [] : [levelAt(run.top, low), levelAt(run.top, high)]
    }),
  )

/** Where the lines that boards end under meet, along the wall. */
export const breaksOf = (profile: Profile): number[] =>
  profile.breaks.map((at, i) => {
    const run = profile.runs[i]
    return run ? meetAt(at, run.under) : 0
  })

/** The break that lies over a stretch of the wall; the first without. */
export const breakOver = (breaks: readonly number[], over: Stretch | null): number =>
  breaks.find(at => over !== null && at >= over.from && at <= over.to) ?? breaks[0] ?? 0

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
    ...breaksOf(profile).flatMap((at, i) =>
      at >= from && at <= to
        ? [profile.runs[i], profile.runs[i + 1]].flatMap(run => (run ? [levelAt(run.under, at)] : []))
        : [],
    ),
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

/**
 * The line over a wall at whose far side what a roof of one slope ends on stands farther out, `out` mm, on a
 * slope that rises `rise` in 1.
 */
export function movedOut(profile: Profile, out: number, rise: number): Profile {
  const way = profile.runs[0]?.face.falls === 'north' ? -1 : 1
  return {
    ...profile,
    runs: profile.runs.map(run => ({
      ...run,
      s: way > 0 ? { from: run.s.from, to: run.s.to + out } : { from: run.s.from - out, to: run.s.to },
    })),
    hanging: profile.hanging && {
      from: profile.hanging.from + way * out,
      to: profile.hanging.to + way * out,
      bottom: profile.hanging.bottom + out * rise,
      top: profile.hanging.top + out * rise,
    },
  }
}

/** How far a level reaches along the wall under the planes of a profile, within a stretch of it. */
export function reachAt(profile: Profile, of: Line, within: Stretch, z: number): Stretch {
  const { runs } = profile
  let { from, to } = within
  runs.forEach((run, i) => {
    const { y } = run[of].normal
    const at = meets(run[of], vec(0, 0, z), vec(0, 1, 0)) ?? 0
    const own = stretchOf(profile, i, of)
    const [first, last] = [i === 0 ? -Infinity : own.from, i === runs.length - 1 ? Infinity : own.to]
    if (y < 0) from = Math.max(from, Math.min(at, last))
    if (y > 0) to = Math.min(to, Math.max(at, first))
  })
  return { from, to }
}
