import { HAIR } from '../measure'
import { boardLength } from '../board'
import { type Frame, type Member, standingBoards } from '../frame'
import { widthOf } from './piece'

/** A piece of a sheet: its longest way along the sheet and its width across it, mm. */
export interface SheetPiece {
  readonly member: string
  readonly long: number
  readonly wide: number
}

/** What comes out of one sheet, in the order it is cut. */
export interface SheetCut {
  readonly section: string
  readonly pieces: readonly SheetPiece[]
}

/** A remnant narrower than this is not kept, mm. */
const SCRAP = 60

interface Rest {
  readonly sheet: number
  readonly long: number
  readonly wide: number
}

/**
 * The sheets a deck is cut from, offcuts used again: largest piece first, each from the smallest remnant it
 * fits with the face grain the same way, else from a new sheet; cut right across each time (guillotine). The
 * saw's cut is not taken off: sheets are laid an eighth of an inch apart, which is what it takes (common
 * practice, no source).
 */
export function sheetsOf(frame: Frame): SheetCut[] {
  const bySection = new Map<string, Member[]>()
  for (const member of standingBoards(frame)) {
    const { kind, name, depth, sold } = member.section
    if (kind !== 'sheet') continue
    const of = `${name} ${depth} ${sold}`
    const known = bySection.get(of)
    if (known) known.push(member)
    else bySection.set(of, [member])
  }
  return [...bySection.values()].flatMap(cutFrom)
}

function cutFrom(members: readonly Member[]): SheetCut[] {
  const [first] = members
  if (!first) return []
  const { name, sold, depth } = first.section
  return sheetsFor(
    members.map(({ id, board }) => ({ member: id, long: boardLength(board), wide: widthOf(board) })),
    { long: sold ?? 0, wide: depth },
  ).map(pieces => ({ section: name, pieces }))
}

/** What comes out of each sheet, of pieces that are cut from whole ones; mm. */
export function sheetsFor(
  asked: readonly SheetPiece[],
  full: { readonly long: number; readonly wide: number },
): readonly (readonly SheetPiece[])[] {
  const pieces = [...asked].sort(
    (a, b) => micrometres(b.wide) - micrometres(a.wide) || micrometres(b.long) - micrometres(a.long),
  )
  const cuts: SheetPiece[][] = []
  let rests: Rest[] = []
  for (const piece of pieces) {
    const fits = rests
      .filter(rest => rest.long >= piece.long - HAIR && rest.wide >= piece.wide - HAIR)
      .sort((a, b) => Math.round(a.long * a.wide) - Math.round(b.long * b.wide))
    const from = fits[0] ?? { sheet: cuts.push([]) - 1, ...full }
    cuts[from.sheet]?.push(piece)
    rests = [...rests.filter(rest => rest !== from), ...remnants(from, piece)]
  }
  return cuts
}

/** Sizes that differ by rounding alone are one size in the order of a list. */
const micrometres = (mm: number): number => Math.round(mm * 1000)

/**
 * What is left of a rectangle when a piece is cut off its corner: right across first along the side that
 * leaves the larger rest.
 */
function remnants(from: Rest, piece: SheetPiece): Rest[] {
  const end = { sheet: from.sheet, long: from.long - piece.long, wide: from.wide }
  const side = { sheet: from.sheet, long: piece.long, wide: from.wide - piece.wide }
  return [end, side].filter(rest => rest.long > SCRAP && rest.wide > SCRAP)
}

/** The sheets that something of the walls, the floor or the roof comes out of. */
export function sheetsIn(
  { frame, sheets }: { readonly frame: Frame; readonly sheets: readonly SheetCut[] },
  part: 'walls' | 'floor' | 'roof',
): SheetCut[] {
  const there = new Set(
    standingBoards(frame)
      .filter(({ where }) => where.in === part)
      .map(({ id }) => id),
  )
  return sheets.filter(sheet => sheet.pieces.some(({ member }) => there.has(member)))
}
