import { gaps, type Stretch } from '../../trade'
import { HAIR } from '../../measure'
import { flip, planeAcross, meets, type Plane, vec } from '../../geometry'
import type { Section } from '../../lumber'
import type { BuildingCut } from '../member'
import type { RoofDatum } from '../roof'

type Slope = 'south' | 'north'
const slopes: readonly Slope[] = ['south', 'north']

/**
 * What a gable wall and what stands on it reach up to: the lower edges of its end rafters, or of the plates
 * under them, and the ridge board's end; distances along the wall, mm.
 */
export interface RoofLine {
  /** The planes that cut what stands under them, looking up. */
  readonly undersides: Readonly<Record<Slope, Plane>>
  /** Their level at a distance along the wall: each slope's on its side of the middle. */
  readonly under: (s: number) => number
  /**
   * Level there that what covers the wall reaches up to: of the roof's planes, or of the lookouts under them.
   */
  readonly top: (s: number) => number
  /** The planes that end the cover, looking up. */
  readonly tops: Readonly<Record<Slope, Plane>>
  /** Where the slopes meet; infinitely far to the side that one slope rises to. */
  readonly middle: number
  /** The highest of the roof's planes over the wall. */
  readonly peak: number
  /**
   * Along the wall, what of it the line is of: all of it, or one side of a strip between slopes that don't
   * meet.
   */
  readonly within: Stretch
  /**
   * Where no stud stands under the slopes, but what lies across there: a ledger's end and its lower edge;
   * null without.
   */
  readonly apart: (Stretch & { readonly bottom: number }) | null
  /** The lines of both sides of a strip; null without. */
  readonly parts: readonly [RoofLine, RoofLine] | null
  /**
   * The ridge board's or the ledger's end, as it stands in the gable; infinitely high where there is none.
   */
  readonly ridge: { readonly from: number; readonly to: number; readonly bottom: number }
}

const levelAt = (plane: Plane, s: number): number => meets(plane, vec(0, s, 0), vec(0, 0, 1)) ?? Infinity

/**
 * The level along the wall of planes that give way to each other at the middle; where they differ there, as
 * under unlike pitches, the lower.
 */
const sided =
  (planes: Readonly<Record<Slope, Plane>>, middle: number) =>
  (s: number): number =>
    s < middle
      ? levelAt(planes.south, s)
      : s > middle
        ? levelAt(planes.north, s)
        : Math.min(levelAt(planes.south, s), levelAt(planes.north, s))

/** The line of the end rafters. */
export function rafterLine(
  { slopes: { south, north }, meet, highest, ridgeCentre, headEnd, strip, coverDrop }: RoofDatum,
  ridge: Section,
): RoofLine {
  const undersides = { south: south.underside, north: north.underside }
  const under = (plane: Plane): Plane => (coverDrop ? { ...plane, offset: plane.offset - coverDrop } : plane)
  const tops = { south: under(south.roofTop), north: under(north.roofTop) }
  const top = sided(tops, meet)
  const [low, high] = [-south.wallOutside.offset, north.wallOutside.offset]
  const line: RoofLine = {
    within: { from: low, to: high },
    apart: strip?.ledger ?? null,
    parts: null,
    undersides,
    tops,
    top,
    under: sided(undersides, meet),
    middle: meet,
    peak: top(Math.min(Math.max(meet, low), high)),
    ridge:
      headEnd ??
      (ridgeCentre
        ? {
            from: ridgeCentre.offset - ridge.thickness / 2,
            to: ridgeCentre.offset + ridge.thickness / 2,
            bottom: highest - ridge.depth,
          }
        : { from: Infinity, to: Infinity, bottom: Infinity }),
  }
  if (!strip) return line
  const parts = [
    partOf(line, 'south', { from: low, to: strip.at }),
    partOf(line, 'north', { from: strip.at, to: high }),
  ] as const
  return { ...line, parts, peak: Math.max(parts[0].peak, parts[1].peak) }
}

/**
 * What a line is on one side of a strip: one slope, that rises to the strip; the header's end on its side
 * alone.
 */
function partOf(line: RoofLine, side: Slope, within: Stretch): RoofLine {
  const one = (plane: Plane): Readonly<Record<Slope, Plane>> => ({ south: plane, north: plane })
  const [undersides, tops] = [one(line.undersides[side]), one(line.tops[side])]
  const middle = side === 'south' ? Infinity : -Infinity
  const mine = line.ridge.from < within.to - HAIR && line.ridge.to > within.from + HAIR
  return {
    ...line,
    within,
    undersides,
    tops,
    middle,
    top: sided(tops, middle),
    under: sided(undersides, middle),
    peak: levelAt(line.tops[side], side === 'south' ? within.to : within.from),
    ridge: mine ? line.ridge : { from: Infinity, to: Infinity, bottom: Infinity },
  }
}

/** A line as much lower, square to the slopes, mm: that under plates nailed to the rafters' lower edges. */
export function lowered(line: RoofLine, by: number): RoofLine {
  const down = (plane: Plane): Plane => ({ ...plane, offset: plane.offset - by })
  const south = down(line.undersides.south)
  const undersides = {
    south,
    north: line.undersides.north === line.undersides.south ? south : down(line.undersides.north),
  }
  return { ...line, undersides, under: sided(undersides, line.middle) }
}

/** The higher of the two slopes' levels in the middle. */
const highInMiddle = ({ undersides, middle }: RoofLine): number =>
  Number.isFinite(middle) ? Math.max(...slopes.map(side => levelAt(undersides[side], middle))) : -Infinity

/**
 * How far planes of slopes, looking up, that give way to each other at `middle`, let a level reach along the
 * wall within a stretch of it.
 */
export function reachUnder(
  planes: Readonly<Record<Slope, Plane>>,
  middle: number,
  within: Stretch,
  z: number,
): Stretch {
  const at = (plane: Plane): number => meets(plane, vec(0, 0, z), vec(0, 1, 0)) ?? 0
  const all = Object.values(planes)
  return {
    from: Math.max(
      within.from,
      ...all.filter(plane => plane.normal.y < 0).map(plane => Math.min(at(plane), middle)),
    ),
    to: Math.min(
      within.to,
      ...all.filter(plane => plane.normal.y > 0).map(plane => Math.max(at(plane), middle)),
    ),
  }
}

/**
 * Whether the ridge board reaches below the line's peak; of one side of a strip, the header that hangs there.
 */
export const ridgeHangs = (line: RoofLine): boolean =>
  Number.isFinite(line.ridge.bottom) &&
  line.ridge.bottom < (Number.isFinite(line.middle) ? highInMiddle(line) : Infinity) - HAIR

/**
 * How a board that stands at a place ends under a line: the levels of its shorter and longer side, and what
 * cuts it.
 */
export interface Ending {
  readonly shorter: number
  readonly longer: number
  readonly cuts: readonly BuildingCut[]
}

export function endingUnder(at: Stretch, line: RoofLine): Ending {
  const ridge = ridgeCut(at, line)
  const most = ridge === 'level' ? line.ridge.bottom : Infinity
  const over = line.middle >= at.from && line.middle <= at.to ? highInMiddle(line) : -Infinity
  return {
    shorter: Math.min(line.under(at.from), line.under(at.to), most),
    longer: Math.min(Math.max(line.under(at.from), line.under(at.to), over), most),
    cuts: topCuts(at, line, ridge),
  }
}

/**
 * How the ridge board's end takes part of a stud under it: not at all; all across, so that it is cut level;
 * or only one side, so that it is notched and runs on beside it.
 */
function ridgeCut(at: Stretch, line: RoofLine): 'clear' | 'level' | 'notch-low' | 'notch-high' {
  const { ridge } = line
  if (!ridgeHangs(line) || at.from >= ridge.to - HAIR || at.to <= ridge.from + HAIR) return 'clear'
  const beside = (at.to - at.from) / 2 + gaps.besideRidge
  if (at.to - ridge.to >= beside) return 'notch-low'
  return ridge.from - at.from >= beside ? 'notch-high' : 'level'
}

/** Only what takes something away: a stud clear of the ridge's middle is cut by its own slope alone. */
function topCuts(
  at: Stretch,
  { undersides, middle, ridge }: RoofLine,
  cut: ReturnType<typeof ridgeCut>,
): BuildingCut[] {
  const slope = (side: Slope): BuildingCut => ({ kind: 'end', name: 'slope', plane: undersides[side] })
  const under = { name: 'level', plane: flip(planeAcross('z', ridge.bottom)) } as const
  const about = (face: { name: 'plumb'; plane: Plane }): BuildingCut[] => [
    { kind: 'notch', name: 'housing', sides: [under, face] },
  ]
  const ends = [...(at.from < middle ? [slope('south')] : []), ...(at.to > middle ? [slope('north')] : [])]
  switch (cut) {
    case 'clear':
      return ends
    case 'level':
      return [...ends, { kind: 'end', name: 'level', plane: planeAcross('z', ridge.bottom) }]
    case 'notch-low':
      return [...ends, ...about({ name: 'plumb', plane: planeAcross('y', ridge.to) })]
    case 'notch-high':
      return [...ends, ...about({ name: 'plumb', plane: flip(planeAcross('y', ridge.from)) })]
  }
}
