import type { Rect } from '../rect'
import { gaps, least, onCentre, rowOf, type Stretch, withLayout } from '../../trade'
import { countUp, HAIR } from '../../measure'
import type { Building } from '../../design'
import type { Section } from '../../lumber'
import { showing } from './openings'
import { matesOf } from './joined'
import { type RoughOpening, takenBy } from './rough-opening'
import type { Wall } from './wall'

/**
 * Middles of what studs may be asked to stand over or under: both by the axis they are laid out along; mm.
 */
export interface StackLines {
  readonly joists: { readonly x: readonly number[]; readonly y: readonly number[] }
  readonly rafters: { readonly x: readonly number[]; readonly y: readonly number[] }
}

/**
 * The lines of a wall's layout, rising. Stacked studs stand on the joists' or rafters' lines, gaps wider than
 * the spacing shared out evenly; a wall that has none of them over or under it keeps its own.
 */
export function layoutOf({ walls }: Building, wall: Wall, lines: StackLines): number[] {
  const asked =
    walls.stack === 'own' ? [] : (walls.stack === 'rafters' ? lines.rafters : lines.joists)[wall.along]
  const centres = asked.length
    ? shared([0, ...asked, wall.overall], walls.spacing)
    : ownLayout(walls.spacing, wall)
  return centres.filter(at => at > wall.from && at < wall.to)
}

function ownLayout(spacing: number, { layout, overall }: Wall): number[] {
  switch (layout) {
    case 'low':
      return onCentre(spacing, overall)
    case 'high':
      return onCentre(spacing, overall)
        .map(at => overall - at)
        .reverse()
    case 'centred':
      return centred(spacing, overall)
  }
}

/**
 * On centre about the middle: a stud on the middle, or a bay, whichever leaves the wider bays at the ends.
 */
export function centred(spacing: number, overall: number): number[] {
  const half = overall / 2
  const rest = (start: number): number => (half - start) % spacing
  const start = rest(0) >= rest(spacing / 2) - HAIR || half < spacing / 2 ? 0 : spacing / 2
  const out: number[] = []
  for (let off = start; off < half - HAIR; off += spacing)
    out.push(...(off === 0 ? [half] : [half - off, half + off]))
  return out.sort((a, b) => a - b)
}

/** Lines, with as many between two of them as keep their gaps within the spacing. */
function shared(lines: readonly number[], spacing: number): number[] {
  const sorted = [...new Set(lines)].sort((a, b) => a - b)
  return sorted.flatMap((at, i) => {
    const next = sorted[i + 1]
    if (next === undefined) return [at]
    const parts = Math.max(1, Math.ceil((next - at) / spacing - HAIR))
    return Array.from({ length: parts }, (_, k) => at + ((next - at) * k) / parts)
  })
}

/**
 * Near face of a corner's third stud: its far face shows past the butting wall, and it clears the end stud.
 */
const thirdStud = (stud: Section): number =>
  Math.max(stud.thickness, stud.depth + gaps.nailing - stud.thickness)

/** The two studs that a partition is nailed to, each showing past its face. */
export const teePlaces = ({ tees }: Wall, stud: Section): Stretch[] =>
  tees.flatMap(({ from, to }) => [
    { from: from - showing(stud), to: from - showing(stud) + stud.thickness },
    { from: to + showing(stud) - stud.thickness, to: to + showing(stud) },
  ])

/** Places that a wall's ends and corners take. */
export function cornerPlaces(building: Building, wall: Wall, stud: Section): Stretch[] {
  const t = stud.thickness
  const end = (from: number): Stretch => ({ from, to: from + t })
  const thirds =
    wall.through && building.walls.corner === 'three-stud'
      ? [end(thirdStud(stud)), end(wall.overall - thirdStud(stud) - t)]
      : []
  return [end(wall.from), end(wall.to - t), ...thirds, ...nailerPlaces(building, wall, stud)]
}

/** Studs on both sides of a wall's step: under the lower plates, and beside it under the higher. */
export const stepPlaces = ({ step }: Wall, stud: Section): Stretch[] =>
  step
    ? [
        { from: step.at - stud.thickness, to: step.at },
        { from: step.at, to: step.at + stud.thickness },
      ]
    : []

/** Where a through wall's studs lie flat as nailers. */
export function nailerPlaces(building: Building, wall: Wall, stud: Section): Stretch[] {
  const t = stud.thickness
  return wall.through && building.walls.corner === 'nailer'
    ? [
        { from: t, to: t + stud.depth },
        { from: wall.overall - t - stud.depth, to: wall.overall - t },
      ]
    : []
}

/**
 * Where the studs that run from plate to plate stand, along the wall; none in an opening or where its jacks
 * and kings are. `middle` has one beside the layout, where the roof's slopes meet.
 */
export function studPlaces(
  building: Building,
  wall: Wall,
  stud: Section,
  rough: readonly RoughOpening[],
  lines: StackLines,
  middle: readonly number[],
): Stretch[] {
  const t = stud.thickness
  // those under one header take one stretch
  const openings = rough.filter(each => matesOf(each, rough)[0] === each).map(each => takenBy(each, t))
  const left = [...nailerPlaces(building, wall, stud), ...openings]
  const layout = layoutOf(building, wall, lines)
  // a layout from the high end, mirrored, is the layout from the low end
  return withLayout(
    [...cornerPlaces(building, wall, stud), ...teePlaces(wall, stud), ...stepPlaces(wall, stud), ...openings],
    [...middle, ...(wall.layout === 'high' ? [...layout].reverse() : layout)],
    t,
  ).filter(each => !left.some(other => other.from === each.from && other.to === each.to))
}

/**
 * Lays a row from the end the wall's layout begins at: a row from the high end is laid mirrored, and turned
 * back.
 */
export function fromLayoutEnd(
  { layout, overall }: Wall,
  whole: Stretch,
  breaks: readonly number[],
  lay: (whole: Stretch, breaks: readonly number[]) => readonly Stretch[],
): readonly Stretch[] {
  if (layout !== 'high') return lay(whole, breaks)
  const turn = ({ from, to }: Stretch): Stretch => ({ from: overall - to, to: overall - from })
  return lay(
    turn(whole),
    breaks.map(at => overall - at).sort((a, b) => a - b),
  ).map(turn)
}

/**
 * What openings as high as a row, or higher, leave of it: boards are joined between those, not beside them.
 */
export function besideHoles(whole: Stretch, z: Stretch, holes: readonly Rect[]): Stretch[] {
  const through = holes
    .filter(({ y0, y1 }) => y0 < z.from + HAIR && y1 > z.to - HAIR)
    .sort((a, b) => a.x0 - b.x0)
  const out: Stretch[] = []
  let { from } = whole
  for (const { x0, x1 } of through) {
    if (Math.min(x0, whole.to) > from + HAIR) out.push({ from, to: Math.min(x0, whole.to) })
    from = Math.max(from, x1)
  }
  if (whole.to > from + HAIR) out.push({ from, to: whole.to })
  return out
}

/** A row of boards; a staggered one begins with half a length, where a stud lets it. */
export function staggeredRow(
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

/**
 * Panels along a wall, each as wide as it covers with the `lap` under the next, the last ripped to what is
 * left; from the end the wall's layout begins at.
 */
export const panelsFrom = (wall: Wall, whole: Stretch, cover: number, lap: number): readonly Stretch[] =>
  fromLayoutEnd(wall, whole, [], reach => {
    // what is left under the lap of the one before needs no panel
    const count = Math.max(1, countUp((reach.to - reach.from - Math.max(lap, least.piece)) / cover))
    return Array.from({ length: count }, (_, i) => ({
      from: reach.from + i * cover,
      to: i === count - 1 ? reach.to : Math.min(reach.to, reach.from + (i + 1) * cover + lap),
    }))
  })
