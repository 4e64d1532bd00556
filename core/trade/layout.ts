import { countUp, HAIR } from '../measure'
import { least, MARK } from './least'
import { overlap, type Stretch } from './stretch'

/** Centres on the layout from 0, strictly within a length: spacing, twice spacing, … mm. */
export function onCentre(spacing: number, length: number): number[] {
  const count = countUp(length / spacing) - 1
  return Array.from({ length: Math.max(0, count) }, (_, i) => (i + 1) * spacing)
}

/**
 * Where members stand, in order: those given at fixed places, and one on each layout centre. One that would
 * run into a fixed member is left out when its centre is on that member, and else stands against it, so that
 * a sheet edge on the layout still lands on wood.
 */
export function withLayout(
  fixed: readonly Stretch[],
  centres: readonly number[],
  thickness: number,
): Stretch[] {
  const out = [...fixed]
  for (const centre of centres) {
    const wanted = { from: centre - thickness / 2, to: centre + thickness / 2 }
    const place = clearOf(wanted, centre, out, thickness)
    if (place) out.push(place)
  }
  return out.sort((a, b) => a.from - b.from)
}

/**
 * Centres on a layout between members at two ends, given by their middles: one that would leave no room to
 * nail beside an end is shared with its neighbour, so that the two bays there are alike. `thickness` of the
 * members, mm.
 */
export function clearOfEnds(centres: readonly number[], { from, to }: Stretch, thickness: number): number[] {
  const tight = (a: number, b: number): boolean => b - a - thickness > HAIR && b - a - thickness < least.clear
  const out = [...centres]
  const [last, before] = [out.at(-1), out.at(-2) ?? from]
  if (last !== undefined && tight(last, to)) out[out.length - 1] = (before + to) / 2
  const [first, next] = [out[0], out[1] ?? to]
  if (first !== undefined && tight(from, first)) out[0] = (from + next) / 2
  return out
}

/**
 * The places nearest to one that lies in a stretch that is taken, below and above, clear of all that is taken
 * and within a range; null where there is none that way. A place on the edge of what is taken is clear.
 */
export function clearPlaces(
  at: number,
  taken: readonly Stretch[],
  within: Stretch,
): { readonly below: number | null; readonly above: number | null } {
  const free = (place: number): boolean =>
    place > within.from - HAIR &&
    place < within.to + HAIR &&
    taken.every(({ from, to }) => place < from + HAIR || place > to - HAIR)
  // an edge that a mark of the tape, rounded away from it, still clears
  const room = (place: number, way: 1 | -1): boolean => free(place) && free(place + way * MARK)
  const edges = [within.from, within.to, ...taken.flatMap(({ from, to }) => [from, to])]
  const best = (way: 1 | -1): number | null =>
    edges.filter(edge => way * (edge - at) > 0 && room(edge, way)).sort((a, b) => way * (a - b))[0] ?? null
  return { below: best(-1), above: best(1) }
}

/** Where a member goes that is wanted at a place: there, against one in its way, or nowhere. */
export function clearOf(
  wanted: Stretch,
  centre: number,
  taken: readonly Stretch[],
  thickness: number,
): Stretch | null {
  const hit = taken.find(each => overlap(each, wanted))
  if (!hit) return wanted
  if (centre > hit.from - HAIR && centre < hit.to + HAIR) return null
  const beside =
    centre > hit.to ? { from: hit.to, to: hit.to + thickness } : { from: hit.from - thickness, to: hit.from }
  return taken.some(each => overlap(each, beside)) ? null : beside
}

/**
 * What a row of boards is laid by: where it may break, the longest board, the shortest that is laid where
 * there is another way, and joints to stay `apart` from by so much; mm.
 */
export interface RowAsk {
  readonly breaks: readonly number[]
  readonly longest: number
  readonly shortest: number
  readonly joints?: readonly number[]
  readonly apart?: number
}

/**
 * How ill a board of a row is laid: one for itself; far more for what it is too long; and for what it is
 * short, by its square, so that two are a little short rather than one a stub.
 */
function costOf(long: number, { longest, shortest }: RowAsk): number {
  const over = long > longest + HAIR ? TOO_LONG * (1 + ((long - longest) / longest) ** 2) : 0
  const stub = long < shortest - HAIR ? 1e3 * ((shortest - long) / shortest) ** 2 : 0
  return 1 + over + stub
}

/** What a board costs at least that is longer than what is sold. */
const TOO_LONG = 1e6

/** What a joint costs more that is near another's: most right over it, and the less the farther off it is. */
const jointCost = (at: number, { joints = [], apart = 0 }: RowAsk): number =>
  joints.reduce((most, other) => {
    const off = Math.abs(other - at)
    return off < apart - HAIR ? Math.max(most, 1e3 * ((apart - off) / apart) ** 2) : most
  }, 0)

/** How ill a row is laid, to choose between two. */
export const rowCost = (row: readonly Stretch[], ask: RowAsk): number =>
  row.reduce(
    (sum, { from, to }, i) => sum + costOf(to - from, ask) + (i < row.length - 1 ? jointCost(to, ask) : 0),
    0,
  )

/**
 * The boards that a run is laid of: of those within `longest` that end on a break, the fewest; before that
 * none shorter than `shortest` and no joint near another's, where there is a way; of equals the longest
 * first. A stretch that no break parts runs on in one piece.
 */
export function fewestBoards(run: Stretch, ask: RowAsk): Stretch[] {
  const { breaks } = ask
  const places = [
    run.from,
    ...[...new Set(breaks)]
      .filter(at => at > run.from + least.piece && at < run.to - least.piece)
      .sort((a, b) => a - b),
    run.to,
  ]
  const last = places.length - 1
  const nearby = places.map((at, k) => (k < last ? jointCost(at, ask) : 0))
  // from each place on: what the best costs, and where its first board ends
  const costs = new Array<number>(last + 1).fill(0)
  const next = new Array<number>(last + 1).fill(last)
  for (let i = last - 1; i >= 0; i--) {
    let found = Infinity
    for (let k = i + 1; k <= last; k++) {
      const long = (places[k] ?? 0) - (places[i] ?? 0)
      const cost = costOf(long, ask) + (nearby[k] ?? 0) + (costs[k] ?? 0)
      if (cost <= found) {
        found = cost
        next[i] = k
      }
      // those after it are longer still
      else if (long > ask.longest + HAIR && found < TOO_LONG) break
    }
    costs[i] = found
  }
  const out: Stretch[] = []
  for (let i = 0; i < last;) {
    const k = next[i] ?? last
    out.push({ from: places[i] ?? run.from, to: places[k] ?? run.to })
    i = k
  }
  return out
}

/**
 * The boards of plies side by side, each of as few as can be over `breaks`; no two joined at the same one
 * where it can be helped.
 */
export function pliesOf(
  run: Stretch,
  plies: number,
  breaks: readonly number[],
  longest: number,
): Stretch[][] {
  const out: Stretch[][] = []
  for (let p = 0; p < plies; p++)
    out.push(
      fewestBoards(run, {
        breaks,
        longest,
        shortest: 0,
        joints: out.flatMap(row => row.slice(1).map(each => each.from)),
        apart: 1,
      }),
    )
  return out
}

/**
 * The pieces that a row is laid of end to end: each as long as `longest` lets it be and ending on one of
 * `breaks`, the first no longer than `first`; mm. One piece where it reaches, and one that no break shortens
 * runs on. Where that leaves a piece shorter than `shortest`, two bays where nothing is asked, the row begins
 * otherwise.
 */
export function rowOf(
  u: Stretch,
  breaks: readonly number[],
  longest: number,
  first: number,
  shortest = Math.min(2 * bayOf(breaks), longest / 2),
): Stretch[] {
  if (u.to - u.from <= longest + HAIR) return [u]
  const row = longestFirst(u, breaks, longest, first)
  const ask = { breaks, longest, shortest }
  const ill = (some: readonly Stretch[]): boolean =>
    some.some(({ from, to }) => to - from > longest + HAIR || to - from < shortest - HAIR)
  if (!ill(row)) return row
  const begun = (at: number): Stretch[] => [
    { from: u.from, to: at },
    ...fewestBoards({ from: at, to: u.to }, ask),
  ]
  const starts = [...breaks]
    .filter(at => at > u.from + least.piece && at < Math.min(u.to - least.piece, u.from + longest + HAIR))
    .sort((a, b) => b - a)
  // a start as short as asked first, so that joints keep their stagger
  const within = starts.filter(at => at <= u.from + first + HAIR)
  return [...within, ...starts.filter(at => !within.includes(at))]
    .map(begun)
    .reduce((best, each) => (rowCost(each, ask) < rowCost(best, ask) - HAIR ? each : best), row)
}

/** How far apart the places that a row may break at mostly stand, mm; 0 of fewer than two. */
function bayOf(breaks: readonly number[]): number {
  const sorted = [...new Set(breaks)].sort((a, b) => a - b)
  const bays = sorted.slice(1).map((at, i) => at - (sorted[i] ?? at))
  return bays.sort((a, b) => a - b)[bays.length >> 1] ?? 0
}

function longestFirst(u: Stretch, breaks: readonly number[], longest: number, first: number): Stretch[] {
  const out: Stretch[] = []
  let from = u.from
  let reach = first
  while (u.to - from > reach + HAIR) {
    const end = Math.max(...breaks.filter(at => at <= from + reach + HAIR && at > from + least.piece))
    if (!Number.isFinite(end)) break
    out.push({ from, to: end })
    from = end
    reach = longest
  }
  return [...out, { from, to: u.to }]
}

/**
 * Boards side by side across a stretch, `space` between them, the last ripped to what is left; where that
 * would be a strip it and the one before are ripped alike; mm.
 */
export function boardsAcross({ from, to }: Stretch, wide: number, space: number): Stretch[] {
  const step = wide + space
  const count = Math.max(0, countUp((to - from - least.piece + space) / step))
  const rows = Array.from({ length: count }, (_, i): Stretch => ({
    from: from + i * step,
    to: Math.min(to, from + i * step + wide),
  }))
  const [before, last] = [rows.at(-2), rows.at(-1)]
  if (!before || !last || last.to - last.from >= Math.min(least.deckBoard, wide / 2) - HAIR) return rows
  const each = (to - before.from - space) / 2
  return [...rows.slice(0, -2), { from: before.from, to: before.from + each }, { from: to - each, to }]
}

/**
 * Places of one width over a stretch, the outer ones at its ends and the others evenly between, no farther
 * apart on centre than `most`, but for places that would touch; mm. None where it is narrower than one.
 */
export function spreadRow(over: Stretch, wide: number, most: number): Stretch[] {
  const room = over.to - over.from - wide
  if (room < 0) return []
  const bays = room > HAIR ? Math.max(1, Math.min(countUp(room / most), Math.floor(room / wide + HAIR))) : 0
  return Array.from({ length: bays + 1 }, (_, i) => {
    const from = over.from + (bays ? (room * i) / bays : 0)
    return { from, to: from + wide }
  })
}
