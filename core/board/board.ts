import { HAIR } from '../measure'
import {
  box,
  carve,
  clip,
  type Convex,
  type Plane,
  planeAt,
  prismShell,
  shell,
  type ShellFace,
  vec,
  volume,
} from '../geometry'

/**
 * Board axes: x **along** from the start, y across the **depth** from the bottom edge to the top edge
 * (crown), z through the **thickness** from the near face to the far face. A blank is the uncut board: the
 * box from the origin to (length, depth, thickness), mm. A round one is the log that fills that box; its
 * depth and thickness are alike.
 */
export interface Blank {
  readonly length: number
  readonly depth: number
  readonly thickness: number
  readonly round?: true
}

/** What a cut is called on a card. */
export type CutName =
  | 'square'
  | 'plumb'
  | 'level'
  | 'heel'
  | 'seat'
  | 'birdsmouth'
  | 'mitre'
  | 'lap'
  | 'housing'
  | 'rip'
  | 'cutout'
  | 'slope'
  | 'cheek'
  | 'backing'
  | 'cove'

/** Removes all wood in front of a plane, which is given in board axes. */
export interface EndCut {
  readonly kind: 'end'
  readonly name: CutName
  readonly plane: Plane
}

/** Removes the wood that is behind every one of the planes, which are given in board axes. */
export interface Notch {
  readonly kind: 'notch'
  readonly name: CutName
  readonly sides: readonly { readonly name: CutName; readonly plane: Plane }[]
}

export type Cut = EndCut | Notch

/** Wood as a solid. */
export interface Wood {
  /** As convex parts that touch and do not overlap. */
  readonly parts: readonly Convex[]
  /**
   * Its outer faces, tagged start, end, bottom, top, near, far, or `cut:` with the number of the cut and the
   * name of the side; of a log `round` too.
   */
  readonly faces: readonly ShellFace[]
}

/**
 * A blank with its cuts made: its wood; of a log that of the square timber round it, that it is laid out and
 * measured by.
 */
export interface CutBoard extends Wood {
  readonly blank: Blank
  readonly cuts: readonly Cut[]
  /** The wood of a log. */
  readonly log?: Wood
  /** Where the wood begins and ends along the board, mm in board axes: the two long points. */
  readonly start: number
  readonly end: number
  /** mm³ */
  readonly volume: number
  /** Numbers of the cuts that took nothing away. */
  readonly missed: readonly number[]
}

/** Why no board is left, or none that can be sawn. */
export type BoardFault =
  | { code: 'no-size' }
  | { code: 'all-removed'; cut: number; name: CutName }
  | { code: 'in-two'; cut: number; name: CutName }

export type CutResult = { ok: true; board: CutBoard } | { ok: false; fault: BoardFault }

/**
 * Makes the cuts, in order. Refuses a blank without size, a cut that leaves nothing and a notch that parts
 * the board.
 */
export function cutBoard(blank: Blank, cuts: readonly Cut[]): CutResult {
  if (![blank.length, blank.depth, blank.thickness].every(size => size > 0 && Number.isFinite(size)))
    return { ok: false, fault: { code: 'no-size' } }
  const square = box(blank.length, blank.depth, blank.thickness)
  const made = partsOf(square, cuts)
  if ('fault' in made) return { ok: false, fault: made.fault }
  const log = blank.round ? partsOf(roundOf(square, blank), cuts) : null
  if (log && 'fault' in log) return { ok: false, fault: log.fault }
  return { ok: true, board: finish(blank, cuts, made, log?.parts ?? null) }
}

/** The wood of a board as a solid: a log's round. */
export const woodOf = (board: CutBoard): Wood => board.log ?? board

/** Faces about a log. Its volume is counted by its circle, not by these. */
const FACETS = 24

/** The log that fills a square timber, its faces' middles on its circle. */
const roundOf = (square: Convex, { depth, thickness }: Blank): Convex =>
  Array.from({ length: FACETS }, (_, i) => (2 * Math.PI * i) / FACETS)
    // the timber's own four faces are of them
    .filter((_, i) => i % (FACETS / 4) !== 0)
    .reduce((solid, turn) => {
      const out = vec(0, Math.cos(turn), Math.sin(turn))
      const on = vec(0, (depth / 2) * (1 + out.y), (thickness / 2) * (1 + out.z))
      const left = clip(solid, planeAt(on, out), 'round')
      return left.kind === 'gone' ? solid : left.solid
    }, square)

/** How much of the solid with `FACETS` faces about it a log's circle is. */
const ROUNDED = Math.PI / (FACETS * Math.tan(Math.PI / FACETS))

/** The parts that cuts leave of a blank, and the numbers of those that took nothing away. */
function partsOf(
  whole: Convex,
  cuts: readonly Cut[],
): { readonly parts: Convex[]; readonly missed: number[] } | { readonly fault: BoardFault } {
  let parts: Convex[] = [whole]
  const missed: number[] = []
  for (const [i, cut] of cuts.entries()) {
    const next =
      cut.kind === 'end'
        ? parts.flatMap(part => afterEndCut(part, cut, i))
        : parts.flatMap(part => afterNotch(part, cut, i))
    if (next.length === 0) return { fault: { code: 'all-removed', cut: i, name: cut.name } }
    if (next.length === parts.length && next.every((part, k) => part === parts[k])) missed.push(i)
    if (cut.kind === 'notch' && parted(next)) return { fault: { code: 'in-two', cut: i, name: cut.name } }
    parts = next
  }
  return { parts, missed }
}

export const cutTag = (cut: number, name: CutName): string => `cut:${cut}:${name}`

function afterEndCut(part: Convex, cut: EndCut, i: number): Convex[] {
  const left = clip(part, cut.plane, cutTag(i, cut.name))
  return left.kind === 'gone' ? [] : [left.solid]
}

function afterNotch(part: Convex, cut: Notch, i: number): Convex[] {
  return carve(
    part,
    cut.sides.map(side => side.plane),
    cut.sides.map(side => cutTag(i, side.name)),
  )
}

/** Whether a gap runs across the whole board between parts. */
function parted(parts: readonly Convex[]): boolean {
  const spans = parts.map(part => span([part])).sort((a, b) => a[0] - b[0])
  let reach = spans[0]?.[1] ?? 0
  for (const [from, to] of spans) {
    if (from > reach + HAIR) return true
    reach = Math.max(reach, to)
  }
  return false
}

function span(parts: readonly Convex[]): [number, number] {
  let from = Infinity
  let to = -Infinity
  for (const part of parts) {
    for (const face of part.faces) {
      for (const corner of face.corners) {
        from = Math.min(from, corner.x)
        to = Math.max(to, corner.x)
      }
    }
  }
  return [from, to]
}

function finish(
  blank: Blank,
  cuts: readonly Cut[],
  { parts, missed }: { readonly parts: readonly Convex[]; readonly missed: readonly number[] },
  log: readonly Convex[] | null,
): CutBoard {
  const [start, end] = span(parts)
  return {
    blank,
    cuts,
    parts,
    missed,
    start,
    end,
    faces: (parts.length > 1 ? prismShell(parts, blank.thickness) : null) ?? shell(parts),
    ...(log ? { log: { parts: log, faces: shell(log) } } : {}),
    volume: (log ? ROUNDED : 1) * (log ?? parts).reduce((sum, part) => sum + volume(part), 0),
  }
}

/** Length of the cut board, long point to long point along it, mm. */
export const boardLength = (board: CutBoard): number => board.end - board.start

/** A text that two boards share when the same cuts are asked of the same blank, to HAIR mm. */
export function cutKey(blank: Blank, cuts: readonly Cut[]): string {
  let key = `${round(blank.length)} ${round(blank.depth)} ${round(blank.thickness)}${blank.round ? ' round' : ''}`
  for (const cut of cuts) {
    key += `|${cut.kind} ${cut.name}`
    if (cut.kind === 'end') key += planeKey(cut.plane)
    else for (const side of cut.sides) key += ` ${side.name}${planeKey(side.plane)}`
  }
  return key
}

const round = (n: number): number => Math.round(n * 1e6)
const planeKey = (plane: Plane): string =>
  ` ${Math.round(plane.normal.x * 1e9)} ${Math.round(plane.normal.y * 1e9)} ${Math.round(plane.normal.z * 1e9)} ${round(plane.offset)}`
