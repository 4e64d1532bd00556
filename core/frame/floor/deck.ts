import { type MemberPlace } from '../place'
import { HAIR } from '../../measure'
import type { Deck, Floor } from '../../design'
import { flip, planeAcross, place, vec } from '../../geometry'
import { type Section, sheetSection } from '../../lumber'
import { least, rowOf, type Stretch } from '../../trade'
import { piecesAbout, cutOut } from '../pieces-about'
import { SPARE } from '../square-board'
import type { BuildingCut, Order } from '../member'
import type { Rect } from '../rect'
import { axesOf, type Bay } from './bay'

/** Where a deck lies: its outline, which way its joists run, and what its pieces are called. */
export interface DeckBay extends Pick<Bay, 'rect' | 'joists'> {
  readonly place: (name: string, ...run: (number | string)[]) => MemberPlace
}

/**
 * Lays a deck on a bay: `breaks` are where its ends may meet along the rims (the middle of each joist), `top`
 * the deck's surface.
 */
export function layDeck(
  deck: Deck | { kind: 'boards'; section: string; gap: number },
  board: Section | null,
  bay: DeckBay,
  joists: readonly Stretch[],
  openings: readonly Rect[],
  top: number,
  stock: number,
): Order[] {
  if (deck.kind === 'sheets') return laySheets(deck, bay, joists, openings, top)
  return board ? layBoards(deck.gap, board, bay, joists, openings, top, stock) : []
}

/** Where pieces laid along the rims may end: on the middle of a joist, or of a pair side by side. */
export function breaksOf(joists: readonly Stretch[]): number[] {
  const sorted = [...joists].sort((a, b) => a.from - b.from)
  const pairs: Stretch[] = []
  for (const each of sorted) {
    const last = pairs[pairs.length - 1]
    if (last && each.from - last.to < HAIR)
      pairs[pairs.length - 1] = { from: last.from, to: Math.max(last.to, each.to) }
    else pairs.push(each)
  }
  return pairs.map(each => (each.from + each.to) / 2)
}

const inner = (row: readonly Stretch[]): number[] => row.slice(0, -1).map(each => each.to)
const shares = (a: readonly number[], b: readonly number[]): number =>
  a.filter(at => b.some(other => Math.abs(other - at) < 1)).length

/**
 * Rows laid one after another, none ending where the row before it ends, as far as the joists allow; then of
 * the fewest pieces.
 */
export function staggered(u: Stretch, rows: number, breaks: readonly number[], longest: number): Stretch[][] {
  const out: Stretch[][] = []
  for (let i = 0; i < rows; i++) {
    const before = inner(out[i - 1] ?? [])
    const starts = (i % 2 === 0 ? [1, 0.5, 0.75, 0.25] : [0.5, 1, 0.25, 0.75]).map(share =>
      rowOf(u, breaks, longest, share * longest),
    )
    const whole = starts.filter(row => row.every(each => each.to - each.from <= longest + HAIR))
    const cost = (row: readonly Stretch[]): number => 100 * shares(inner(row), before) + row.length
    const best = (whole.length ? whole : starts).reduce((a, b) => (cost(b) < cost(a) ? b : a))
    out.push(best)
  }
  return out
}

/**
 * Rows across a bay, `wide` each with a gap between; where the last would be narrower than `narrowest` it and
 * the one before are ripped alike; mm.
 */
function coursesOf(v: Stretch, wide: number, asked: number, narrowest: number): Stretch[] {
  const whole = Math.max(1, Math.ceil((v.to - v.from - least.piece) / (wide + asked)))
  const over = v.to - v.from - whole * wide - (whole - 1) * asked
  // what is hardly more than whole boards goes into their gaps; whole sheets leave it bare
  const gap = asked > 0 && whole > 1 && over > 0 && over < least.piece ? asked + over / (whole - 1) : asked
  const step = wide + gap
  const count = whole
  const out = Array.from({ length: count }, (_, r): Stretch => ({
    from: v.from + r * step,
    to: Math.min(v.to, v.from + r * step + wide),
  }))
  const [last, before] = [out[count - 1], out[count - 2]]
  if (!last || !before || last.to - last.from >= narrowest) return out
  const each = (v.to - before.from - gap) / 2
  return [...out.slice(0, -2), { from: before.from, to: before.from + each }, { from: v.to - each, to: v.to }]
}

function laySheets(
  deck: Extract<Deck, { kind: 'sheets' }>,
  bay: DeckBay,
  joists: readonly Stretch[],
  openings: readonly Rect[],
  top: number,
): Order[] {
  const axes = axesOf(bay)
  const long = Math.max(deck.sheet.length, deck.sheet.width)
  const wide = Math.min(deck.sheet.length, deck.sheet.width)
  const section = sheetSection(deck.thickness, wide, long)
  const courses = coursesOf(axes.v, wide, 0, Math.min(least.deckStrip, wide / 2))
  const rows = staggered(axes.u, courses.length, breaksOf(joists), long)
  return rows.flatMap((row, r) => {
    const v = courses[r] ?? axes.v
    return row.flatMap((u, i) =>
      piecesAbout(axes.rect(u, v), openings).map(({ rect, notches }, k) =>
        flatBoard(
          bay.place('sheet', r + 1, i + 1, ...(k ? [k + 1] : [])),
          'deck-sheet',
          section,
          bay,
          rect,
          notches,
          top,
        ),
      ),
    )
  })
}

function layBoards(
  gap: number,
  section: Section,
  bay: DeckBay,
  joists: readonly Stretch[],
  openings: readonly Rect[],
  top: number,
  stock: number,
): Order[] {
  const axes = axesOf(bay)
  const courses = coursesOf(axes.v, section.depth, gap, Math.min(least.deckBoard, section.depth / 2))
  const rows = staggered(axes.u, courses.length, breaksOf(joists), stock)
  return rows.flatMap((row, r) => {
    const v = courses[r] ?? axes.v
    return row.flatMap((u, i) =>
      piecesAbout(axes.rect(u, v), openings).map(({ rect, notches }, k) =>
        flatBoard(
          bay.place('board', r + 1, i + 1, ...(k ? [k + 1] : [])),
          'deck-board',
          section,
          bay,
          rect,
          notches,
          top,
        ),
      ),
    )
  })
}

/**
 * A board or sheet laid flat, good face up, as wide as its section or ripped to what the rectangle leaves; it
 * runs along the bay's rims.
 */
function flatBoard(
  where: MemberPlace,
  role: 'deck-sheet' | 'deck-board',
  section: Section,
  bay: DeckBay,
  rect: Rect,
  notches: readonly Rect[],
  top: number,
): Order {
  const along = bay.joists === 'y' ? 'x' : 'y'
  const across = along === 'x' ? 'y' : 'x'
  const [from, to] = along === 'x' ? [rect.x0, rect.x1] : [rect.y0, rect.y1]
  const [low, high] = along === 'x' ? [rect.y0, rect.y1] : [rect.x0, rect.x1]
  const at =
    along === 'x'
      ? place(vec(from - SPARE, low, top - section.thickness), vec(1, 0, 0), vec(0, 1, 0))
      : place(vec(low, from - SPARE, top), vec(0, 1, 0), vec(1, 0, 0))
  const rip: BuildingCut[] =
    high - low < section.depth - HAIR ? [{ kind: 'end', name: 'rip', plane: planeAcross(across, high) }] : []
  return {
    where,
    role,
    section,
    placement: at,
    blankLength: to - from + 2 * SPARE,
    cuts: [
      { kind: 'end', name: 'square', plane: flip(planeAcross(along, from)) },
      { kind: 'end', name: 'square', plane: planeAcross(along, to) },
      ...rip,
      ...notches.map(each => cutOut(each)),
    ],
  }
}

/** Thickness of a floor's deck, mm. */
export const deckThickness = (floor: Floor, board: Section | null): number =>
  floor.deck.kind === 'sheets' ? floor.deck.thickness : (board?.thickness ?? 0)
