import { type MemberPlace, nth, ofGableOpening, ofOpening } from '../place'
import { planeAcross } from '../../geometry'
import { least, overlap, type Stretch, withLayout } from '../../trade'
import { countUp, HAIR } from '../../measure'
import type { Section } from '../../lumber'
import type { Order } from '../member'
import { upright, type WallBoard } from './board'
import { standing } from './top'
import { matesOf } from './joined'
import { packingOf } from './openings'
import {
  type Clear,
  clearOver,
  headerOver,
  type RoughOpening,
  sharesKings,
  standsOn,
  takenBy,
} from './rough-opening'
import type { Wall } from './wall'

/** What one rough opening's boards are made from. */
interface OpeningAsk {
  readonly wall: Wall
  readonly stud: Section
  readonly clear: Clear
  readonly rough: RoughOpening
  /** The wall's layout that lies over the opening, as studs would stand there. */
  readonly onLayout: readonly Stretch[]
  /** Over all that are under its header. */
  readonly overLayout: readonly Stretch[]
  /** Those, from the wall's low end. */
  readonly mates: readonly RoughOpening[]
  /** The header lies here, over the opening and its jacks. */
  readonly span: Stretch
  /** Whether the kings of the opening under it are its own. */
  readonly shared: boolean
  /** What the openings that stand on its header take of it. */
  readonly carried: readonly Stretch[]
  readonly at: (name: string, ...run: readonly number[]) => MemberPlace
}

/**
 * Kings, jacks, header plies and packing, sill and cripples of one rough opening among `all` of its wall;
 * `layout` the wall's lines.
 */
export function openingBoards(
  wall: Wall,
  stud: Section,
  clear: Clear,
  rough: RoughOpening,
  all: readonly RoughOpening[],
  layout: readonly number[],
): WallBoard[] {
  const t = stud.thickness
  const { s, number } = rough
  const under = all.find(each => each.number === rough.over)
  const within = (reach: Stretch): Stretch[] =>
    withLayout(
      [],
      layout.filter(at => at > reach.from && at < reach.to),
      t,
    ).filter(each => each.from >= reach.from - HAIR && each.to <= reach.to + HAIR)
  const ask: OpeningAsk = {
    wall,
    stud,
    clear: clearOver(clear, under),
    rough,
    span: headerOver(rough, t),
    shared: sharesKings(rough, under),
    carried: all
      .filter(each => matesOf(rough, all).some(mate => mate.number === each.over))
      .map(each => {
        return sharesKings(each, rough) ? headerOver(each, t) : takenBy(each, t)
      }),
    at: (name, ...run) =>
      (clear.under === 'rafters' ? ofGableOpening : ofOpening)(wall.name, number + 1, name, ...run),
    onLayout: within(s),
    overLayout: within(rough.whole),
    mates: matesOf(rough, all),
  }
  // one header over those that share it, told with the first of them
  const leads = ask.mates[0] === rough
  return [...sidesOf(ask), ...(leads ? [...headerOf(ask), ...cripplesOver(ask)] : []), ...sillOf(ask)]
}

/** A board on end beside an opening or under it, from the bottom plate to `to`. */
const square = (
  { stud, clear }: OpeningAsk,
  role: Order['role'],
  where: MemberPlace,
  from: number,
  to: number,
): WallBoard => upright(stud, role, where, from, { from: clear.bottom, to })

/** A board on end that runs up from `foot` to the wall's plates. */
const underPlates = (
  { stud, clear }: OpeningAsk,
  role: Order['role'],
  where: MemberPlace,
  from: number,
  foot: number,
): WallBoard => standing(stud, role, where, { from, to: from + stud.thickness }, foot, clear.top)

/**
 * Kings from plate to plate, and inside them the jacks that carry the header, the nearest to the opening
 * first; between two openings under one header a jack of each, or one of both where there is room for no
 * more.
 */
function sidesOf(ask: OpeningAsk): WallBoard[] {
  const { at, rough, stud, clear, shared, mates } = ask
  const { s, z, jacks } = rough
  const t = stud.thickness
  const kings = takenBy(rough, t)
  const place = mates.indexOf(rough)
  const [before, after] = [mates[place - 1], mates[place + 1]]
  const jack = (side: 1 | 2, k: number): WallBoard =>
    square(
      ask,
      'jack',
      at('jack', side, ...(k ? [k + 1] : [])),
      side === 1 ? s.from - (k + 1) * t : s.to + k * t,
      z.to,
    )
  const rank = Array.from({ length: jacks }, (_, k) => k)
  const one = (other: RoughOpening): boolean => s.from - other.s.to < 2 * t - HAIR
  return [
    ...(shared || before ? [] : [underPlates(ask, 'king', at('king', 1), kings.from, clear.bottom)]),
    ...(shared || after ? [] : [underPlates(ask, 'king', at('king', 2), kings.to - t, clear.bottom)]),
    ...(before ? (one(before) ? [] : [jack(1, 0)]) : rank.map(k => jack(1, k))),
    ...(after ? [jack(2, 0)] : rank.map(k => jack(2, k))),
  ]
}

/**
 * The header's plies and packing: the first ply at the wall's outside, where sheets are nailed, the others at
 * its inside, packing between.
 */
function headerOf({ wall, stud, rough, span, at }: OpeningAsk): WallBoard[] {
  const { z, header, opening } = rough
  const { plies } = opening.header
  const fromOutside = (off: number, thickness: number): number =>
    wall.outside === 'low' ? off : stud.depth - off - thickness
  const onEdge = (where: MemberPlace, role: Order['role'], section: Section, off: number): WallBoard => ({
    where,
    role,
    section,
    runs: 'along',
    wide: 'up',
    s: span,
    z: { from: z.to, to: z.to + header.depth },
    across: fromOutside(off, section.thickness),
  })
  const plyBoards = Array.from({ length: plies }, (_, ply) =>
    onEdge(
      at('header', ply + 1),
      'header',
      header,
      ply === 0 ? 0 : stud.depth - (plies - ply) * header.thickness,
    ),
  )
  const packing = packingOf(rough, stud)
  const packed = packing.flatMap((section, i): WallBoard[] => {
    const off = packing.slice(0, i).reduce((sum, each) => sum + each.thickness, header.thickness)
    // a strip of sheet is no longer than the sheet: it goes on wherever that ends
    const parts = section.kind === 'sheet' ? evenly(span, section.sold ?? Infinity) : [span]
    return parts.map((s, k) => ({
      ...onEdge(at('packing', ...nth(i, packing), ...nth(k, parts)), 'packing', section, off),
      ...ripped(section, z.to + header.depth),
      s,
    }))
  })
  return [...plyBoards, ...packed]
}

/** A stretch in as few parts as are no longer than `longest`, all alike. */
function evenly({ from, to }: Stretch, longest: number): Stretch[] {
  const count = Math.max(1, countUp((to - from) / longest))
  const each = (to - from) / count
  return Array.from({ length: count }, (_, i) => ({ from: from + i * each, to: from + (i + 1) * each }))
}

/**
 * Packing is as long and as tall as the header: a board like its plies, or a strip ripped off a sheet's
 * width.
 */
const ripped = (section: Section, top: number): Pick<WallBoard, 'cuts'> =>
  section.kind === 'sheet' ? { cuts: [{ kind: 'end', name: 'rip', plane: planeAcross('z', top) }] } : {}

/** Cripples between the header and the plates, where there is height for them. */
function cripplesOver(ask: OpeningAsk): WallBoard[] {
  const { rough, clear, overLayout, span, stud, at, carried } = ask
  const head = rough.z.to + rough.header.depth
  return cripplePlaces(overLayout, span, stud.thickness).flatMap((each, i) =>
    clear.top.reach(each).shorter - head < least.cripple || carried.some(other => overlap(other, each))
      ? []
      : [underPlates(ask, 'cripple', at('over', i + 1), each.from, head)],
  )
}

/** The sill and the cripples under it; none under an opening that stands on the deck. */
function sillOf(ask: OpeningAsk): WallBoard[] {
  const { rough, onLayout, stud, at, clear } = ask
  const { s, z } = rough
  if (standsOn(z, clear.floor)) return []
  const t = stud.thickness
  return [
    {
      where: at('sill'),
      role: 'sill',
      section: stud,
      runs: 'along',
      wide: 'across',
      s,
      z: { from: z.from - t, to: z.from },
      across: 0,
    },
    ...cripplePlaces(onLayout, s, t).map((each, i) =>
      square(ask, 'cripple', at('under', i + 1), each.from, z.from - t),
    ),
  ]
}

/** Cripples keep the wall's layout, with one at each end of what they carry or stand on. */
function cripplePlaces(onLayout: readonly Stretch[], span: Stretch, t: number): Stretch[] {
  const ends =
    span.to - span.from < 2 * t
      ? [{ from: span.from, to: span.from + t }]
      : [
          { from: span.from, to: span.from + t },
          { from: span.to - t, to: span.to },
        ]
  return [
    ...ends,
    ...onLayout.filter(each => !ends.some(end => end.from < each.to - HAIR && each.from < end.to - HAIR)),
  ].sort((a, b) => a.from - b.from)
}
