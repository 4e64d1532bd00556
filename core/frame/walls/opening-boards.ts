import { type MemberPlace, nth, ofOpening } from '../place'
import { planeAcross } from '../../geometry'
import { least, type Stretch, withLayout } from '../../trade'
import { HAIR } from '../../measure'
import type { Section } from '../../lumber'
import type { Order } from '../member'
import { upright, type WallBoard } from './board'
import { standing } from './top'
import { type Clear, isOnDeck, packingOf, type RoughOpening } from './openings'
import type { Wall } from './wall'

/**
 * Kings, jacks, header plies and packing, sill and cripples of one rough opening; `layout` the wall's lines.
 */
export function openingBoards(
  wall: Wall,
  stud: Section,
  { bottom, top }: Clear,
  rough: RoughOpening,
  layout: readonly number[],
): WallBoard[] {
  const t = stud.thickness
  const { s, z, header, opening, number } = rough
  const at = (name: string, ...run: readonly number[]): MemberPlace =>
    ofOpening(wall.name, number + 1, name, ...run)
  const square = (role: Order['role'], where: MemberPlace, from: number, to: number): WallBoard =>
    upright(stud, role, where, from, { from: bottom, to })
  const underPlates = (role: Order['role'], where: MemberPlace, at: number, foot: number): WallBoard =>
    standing(stud, role, where, { from: at, to: at + t }, foot, top)
  const span = { from: s.from - t, to: s.to + t }
  const onEdge = (where: MemberPlace, role: Order['role'], section: Section, across: number): WallBoard => ({
    where,
    role,
    section,
    runs: 'along',
    wide: 'up',
    s: span,
    z: { from: z.to, to: z.to + header.depth },
    across,
  })
  const { plies } = opening.header
  // the first ply lies at the wall's outside, where sheets are nailed, the others at its inside, packing
  // between
  const fromOutside = (off: number, thickness: number): number =>
    wall.outside === 'low' ? off : stud.depth - off - thickness
  const across = (ply: number): number =>
    fromOutside(ply === 0 ? 0 : stud.depth - (plies - ply) * header.thickness, header.thickness)
  const plyBoards = Array.from({ length: plies }, (_, ply) =>
    onEdge(at('header', ply + 1), 'header', header, across(ply)),
  )
  const packing = packingOf(rough, stud)
  // packing is as long and as tall as the header: a board like its plies, or a strip ripped off a sheet's
  // width
  const rip = (section: Section): Pick<WallBoard, 'cuts'> =>
    section.kind === 'sheet'
      ? { cuts: [{ kind: 'end', name: 'rip', plane: planeAcross('z', z.to + header.depth) }] }
      : {}
  const packed = packing.map((section, i): WallBoard => {
    const off = packing.slice(0, i).reduce((sum, each) => sum + each.thickness, header.thickness)
    return {
      ...onEdge(at('packing', ...nth(i, packing)), 'packing', section, fromOutside(off, section.thickness)),
      ...rip(section),
    }
  })
  const onLayout = withLayout(
    [],
    layout.filter(at => at > s.from && at < s.to),
    t,
  ).filter(each => each.from >= s.from - HAIR && each.to <= s.to + HAIR)
  const head = z.to + header.depth
  const above = cripplePlaces(onLayout, span, t).flatMap((each, i) =>
    top.reach(each).shorter - head < least.cripple
      ? []
      : [underPlates('cripple', at('over', i + 1), each.from, head)],
  )
  const sill: WallBoard[] = isOnDeck(z)
    ? []
    : [
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
          square('cripple', at('under', i + 1), each.from, z.from - t),
        ),
      ]
  return [
    underPlates('king', at('king', 1), s.from - 2 * t, bottom),
    underPlates('king', at('king', 2), s.to + t, bottom),
    square('jack', at('jack', 1), s.from - t, z.to),
    square('jack', at('jack', 2), s.to, z.to),
    ...plyBoards,
    ...packed,
    ...above,
    ...sill,
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
