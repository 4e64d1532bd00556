import { HAIR, ONE_READING } from '../measure'
import { boardLength, type CutBoard, type FlatPoint, outlines } from '../board'
import { type Frame, type Member, standingBoards } from '../frame'
import { headToTail } from './head-to-tail'
import { widthOf } from './piece'

/**
 * A piece of a sheet: its longest way along the sheet and its width across it, mm; `slant` how far its only
 * sloped end runs along it over that width, less than 0 where it leans the other way.
 */
export interface SheetPiece {
  readonly member: string
  readonly long: number
  readonly wide: number
  readonly slant?: number
  /** Of what has no side to be laid by: its outline, the same object of those that are alike. */
  readonly outline?: readonly FlatPoint[]
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
    members.map(({ id, board }) => ({
      ...{ member: id, long: boardLength(board), wide: widthOf(board) },
      ...shapeOf(board),
    })),
    { long: sold ?? 0, wide: depth },
  ).map(pieces => ({ section: name, pieces }))
}

/** The corners of a piece's underside; none of one with a hole in it. */
export function outerOf(board: CutBoard): readonly FlatPoint[] {
  const [outline, hole] = outlines(board, 'near')
  return hole ? [] : (outline ?? [])
}

/** How a piece leans at its only sloped end; nothing of one cut otherwise. */
export function slantOf(outline: readonly FlatPoint[]): { readonly slant?: number } {
  if (outline.length < 3 || outline.length > 4) return {}
  const across = outline.map(each => each.across)
  const reach = (at: number): readonly [number, number] => {
    const on = outline.filter(each => Math.abs(each.across - at) < ONE_READING).map(each => each.along)
    return [Math.min(...on), Math.max(...on)]
  }
  const [low, high] = [reach(Math.min(...across)), reach(Math.max(...across))]
  const [first, last] = [high[0] - low[0], high[1] - low[1]]
  const slanted = [first, last].filter(run => Math.abs(run) > ONE_READING)
  return slanted.length === 1 && slanted[0] !== undefined ? { slant: slanted[0] } : {}
}

const shapes = new WeakMap<CutBoard, Pick<SheetPiece, 'slant' | 'outline'>>()

/** How a piece leans, or its outline where that is no rectangle; read once for each shape. */
export function shapeOf(board: CutBoard): Pick<SheetPiece, 'slant' | 'outline'> {
  const known = shapes.get(board)
  if (known) return known
  const outline = outerOf(board)
  const lean = slantOf(outline)
  const full = boardLength(board) * widthOf(board)
  const odd = lean.slant === undefined && outline.length > 2 && areaOf(outline) < full * ODD
  const shape = odd ? { outline } : lean
  shapes.set(board, shape)
  return shape
}

/** A piece that fills less of its rectangle has an outline of its own. */
const ODD = 0.9

const areaOf = (outline: readonly FlatPoint[]): number =>
  Math.abs(
    outline.reduce((sum, p, i) => {
      const q = outline[(i + 1) % outline.length] ?? p
      return sum + p.along * q.across - q.along * p.across
    }, 0),
  ) / 2

/**
 * Pieces that are cut out of a rectangle together: two that lean alike, or are alike, one turned end for end;
 * `outlines` how those lie in it.
 */
interface Block {
  readonly long: number
  readonly wide: number
  readonly pieces: readonly SheetPiece[]
  readonly outlines?: readonly (readonly FlatPoint[])[]
}

/**
 * Pieces that are put together in pairs: those that lean alike and are as wide, the longest with the shortest
 * that fits, and of one outline any two; `full` a whole sheet, and `kerf` what a cut takes, mm.
 */
export function paired(
  pieces: readonly SheetPiece[],
  full: { readonly long: number; readonly wide: number },
  kerf = 0,
): Block[] {
  return [
    ...leaning(
      pieces.filter(({ outline }) => !outline),
      full.long,
      kerf,
    ),
    ...twins(
      pieces.filter(({ outline }) => outline),
      full,
      kerf,
    ),
  ]
}

/** Pieces of one outline two by two, where that takes less of a sheet. */
function twins(
  pieces: readonly SheetPiece[],
  full: { readonly long: number; readonly wide: number },
  kerf: number,
): Block[] {
  const alike = new Map<readonly FlatPoint[], SheetPiece[]>()
  for (const piece of pieces) {
    const outline = piece.outline ?? []
    alike.set(outline, [...(alike.get(outline) ?? []), piece])
  }
  return [...alike].flatMap(([outline, own]) => {
    const pair = own.length > 1 ? headToTail(outline, kerf, full) : null
    const many = pair ? Math.floor(own.length / 2) : 0
    const { long = 0, wide = 0, outlines } = pair ?? {}
    return [
      ...Array.from({ length: many }, (_, i): Block => ({
        ...{ long, wide, pieces: own.slice(2 * i, 2 * i + 2) },
        ...(outlines && { outlines }),
      })),
      ...own.slice(2 * many).map((piece): Block => ({ long: piece.long, wide: piece.wide, pieces: [piece] })),
    ]
  })
}

function leaning(pieces: readonly SheetPiece[], most: number, kerf: number): Block[] {
  const left = [...pieces].sort((a, b) => b.long - a.long)
  const out: Block[] = []
  for (let piece = left.shift(); piece; piece = left.shift()) {
    const { slant = 0, wide, long } = piece
    const whole = (other: SheetPiece): number =>
      long + other.long - Math.abs(slant) + kerf * Math.hypot(1, slant / wide)
    const other = left.findLastIndex(
      each =>
        slant !== 0 &&
        Math.abs((each.slant ?? 0) - slant) < ONE_READING &&
        Math.abs(each.wide - wide) < ONE_READING &&
        whole(each) < most + HAIR,
    )
    const [twin] = other < 0 ? [] : left.splice(other, 1)
    out.push({ wide, long: twin ? whole(twin) : long, pieces: twin ? [piece, twin] : [piece] })
  }
  return out
}

/** What comes out of each sheet, of pieces that are cut from whole ones; mm. */
export function sheetsFor(
  asked: readonly SheetPiece[],
  full: { readonly long: number; readonly wide: number },
): readonly (readonly SheetPiece[])[] {
  const blocks = paired(asked, full).sort(
    (a, b) => micrometres(b.wide) - micrometres(a.wide) || micrometres(b.long) - micrometres(a.long),
  )
  const cuts: SheetPiece[][] = []
  let rests: Rest[] = []
  for (const block of blocks) {
    const fits = rests
      .filter(rest => rest.long >= block.long - HAIR && rest.wide >= block.wide - HAIR)
      .sort((a, b) => Math.round(a.long * a.wide) - Math.round(b.long * b.wide))
    const from = fits[0] ?? { sheet: cuts.push([]) - 1, ...full }
    cuts[from.sheet]?.push(...block.pieces)
    rests = [...rests.filter(rest => rest !== from), ...remnants(from, block)]
  }
  return cuts
}

/** Sizes that differ by rounding alone are one size in the order of a list. */
const micrometres = (mm: number): number => Math.round(mm * 1000)

/**
 * What is left of a rectangle when a piece is cut off its corner: right across first along the side that
 * leaves the larger rest.
 */
function remnants(from: Rest, piece: Pick<Block, 'long' | 'wide'>): Rest[] {
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
