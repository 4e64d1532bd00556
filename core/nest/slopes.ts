import { nesting } from '../measure'

/**
 * How a piece's ends are cut across a board of a depth: how far the upper corner of each lies right of the
 * lower one as the piece lies, mm; 0 of a square end. A piece with a `crown` keeps the same edge up.
 */
export interface Slopes {
  readonly left: number
  readonly right: number
  readonly depth: number
  readonly crown: boolean
}

const SAME = nesting.slope

const isSloped = (slope: number): boolean => Math.abs(slope) > SAME

/** mm along a board that a slanted cut takes. */
const slantedKerf = (slope: number, depth: number, kerf: number): number =>
  kerf * Math.hypot(1, slope / depth)

/** mm that two ends win back that are cut by one slanted cut, against a square one between them. */
export function savingOf(slope: number, depth: number, kerf: number): number {
  const saved = Math.abs(slope) + kerf - slantedKerf(slope, depth, kerf)
  return isSloped(slope) ? Math.max(0, saved - SAME) : 0
}

/** mm from a piece's long point to the next one's: the saw's cut, or less where one cut makes both ends. */
export function jointOf(right: number, left: number, depth: number, kerf: number): number {
  const shared = isSloped(right) && isSloped(left) && Math.abs(right - left) <= SAME
  return shared ? kerf - savingOf(Math.max(Math.abs(right), Math.abs(left)), depth, kerf) : kerf
}

/** A class of ends that can be cut together, and how a kind of piece counts in it. */
export interface SizeSlope {
  readonly class: number
  /** Ends whose charge is + and −: of pieces without a crown any goes with any, and all are +. */
  readonly plus: number
  readonly minus: number
  /** Whether it has an end that is not of the class. */
  readonly open: boolean
}

export interface SlopeClass {
  /** Units that each end wins back that is cut together with another. */
  readonly half: number
  readonly crown: boolean
}

/**
 * Of ends of one class laid in rows, how many are cut alone: all that no other is there for, and the two
 * outer ones where none of the pieces has another end to stand outside with.
 */
export function alone(plus: number, minus: number, open: boolean, crown: boolean): number {
  const all = plus + minus
  if (all === 0) return 0
  const joints = crown ? Math.min(plus, minus) : Math.floor(all / 2)
  const closed = !open && 2 * joints === all
  return all - 2 * (joints - (closed ? 1 : 0))
}

/** The class of a piece's ends: by how far they slope, across which depth, with a crown or without. */
export interface ClassOf {
  readonly key: string
  readonly slope: number
  readonly plus: number
  readonly minus: number
  readonly open: boolean
  readonly crown: boolean
}

/**
 * What a piece counts for among the pieces that share cuts; null where both its ends are square. Of two
 * slopes that differ the longer is shared, the other is cut alone.
 *
 * An end's charge is its slope where it is the right end of its piece, and the slope turned round where it is
 * the left one. Turning a piece end for end with its crown up changes no charge, and two ends are one cut
 * where their charges are opposite.
 */
export function classOf({ left, right, depth, crown }: Slopes): ClassOf | null {
  const slope = Math.max(Math.abs(left), Math.abs(right))
  if (!isSloped(slope)) return null
  const charges = [-left, right].filter(each => Math.abs(Math.abs(each) - slope) <= SAME)
  const plus = crown ? charges.filter(each => each > 0).length : charges.length
  return {
    key: `${Math.round(slope / SAME)} ${Math.round(depth / SAME)} ${crown}`,
    slope,
    ...{ plus, minus: charges.length - plus, open: charges.length < 2, crown },
  }
}

/** A piece as it lies: its slopes at the left and the right end. */
export interface Lying {
  readonly left: number
  readonly right: number
}

/** The ways that a piece can lie. */
export function waysOf({ left, right, crown }: Slopes): Lying[] {
  const kept = [
    { left, right },
    { left: -right, right: -left },
  ]
  return crown ? kept : [...kept, { left: right, right: left }, { left: -left, right: -right }]
}

/** Whether a piece can lie so. */
export const canLie = (slopes: Slopes | undefined, { left, right }: Lying): boolean =>
  waysOf(slopes ?? { left: 0, right: 0, depth: 1, crown: true }).some(
    way => Math.abs(way.left - left) <= SAME && Math.abs(way.right - right) <= SAME,
  )

/** A row of pieces: the charges at its outer ends, 0 where one is not of the class. */
interface Row<T> {
  readonly pieces: readonly { readonly piece: T; readonly turned: boolean }[]
  readonly first: number
  readonly last: number
}

const turnedRow = <T>({ pieces, first, last }: Row<T>): Row<T> => ({
  pieces: [...pieces].reverse().map(({ piece, turned }) => ({ piece, turned: !turned })),
  first: last,
  last: first,
})

/** Pieces in an order, and as they lie, in which as many ends as can be are cut together. */
export function inRows<T>(
  pieces: readonly { readonly piece: T; readonly slopes: Slopes | undefined }[],
): { readonly piece: T; readonly lies: Lying }[] {
  const byClass = new Map<string, { piece: T; slopes: Slopes; of: ClassOf }[]>()
  const square: { piece: T; lies: Lying }[] = []
  for (const { piece, slopes } of pieces) {
    const of = slopes ? classOf(slopes) : null
    if (!slopes || !of) {
      square.push({ piece, lies: { left: slopes?.left ?? 0, right: slopes?.right ?? 0 } })
      continue
    }
    byClass.set(of.key, [...(byClass.get(of.key) ?? []), { piece, slopes, of }])
  }
  return [...[...byClass.values()].flatMap(group => rowsOf(group)), ...square]
}

function rowsOf<T>(
  group: readonly { readonly piece: T; readonly slopes: Slopes; readonly of: ClassOf }[],
): { readonly piece: T; readonly lies: Lying }[] {
  type Each = (typeof group)[number]
  const charge = (value: number, { slope }: ClassOf): number =>
    Math.abs(Math.abs(value) - slope) <= SAME ? Math.sign(value) : 0
  let rows: Row<Each>[] = group.map(each => ({
    pieces: [{ piece: each, turned: false }],
    first: charge(-each.slopes.left, each.of),
    last: charge(each.slopes.right, each.of),
  }))
  const crown = group[0]?.slopes.crown === true
  const meet = (a: number, b: number): boolean => a !== 0 && b !== 0 && (!crown || a + b === 0)
  const open = ({ first, last }: Row<Each>): number => Number(first !== 0) + Number(last !== 0)
  // rows that can go on at both ends first: one would else be left over, with no row to go on from
  for (let joined = true; joined;) {
    joined = false
    rows = [...rows].sort((a, b) => open(b) - open(a))
    search: for (const [i, row] of rows.entries())
      for (const [k, other] of rows.entries()) {
        if (k <= i) continue
        for (const a of [row, turnedRow(row)])
          for (const b of [other, turnedRow(other)]) {
            if (!meet(a.last, b.first)) continue
            rows = rows.filter((_, at) => at !== i && at !== k)
            rows.push({ pieces: [...a.pieces, ...b.pieces], first: a.first, last: b.last })
            joined = true
            break search
          }
      }
  }
  return rows.flatMap(({ pieces }) => {
    let right = 0
    return pieces.map(({ piece: { piece, slopes }, turned }) => {
      const ways = waysOf(slopes).filter((way, i) =>
        slopes.crown
          ? (i === 1) === turned
          : Math.abs(Math.abs(way.left) - Math.abs(turned ? slopes.right : slopes.left)) <= SAME,
      )
      // the next end is cut with the last one
      const lies = ways.find(way => isSloped(right) && Math.abs(way.left - right) <= SAME) ?? ways[0]
      right = lies?.right ?? 0
      return { piece, lies: lies ?? { left: slopes.left, right: slopes.right } }
    })
  })
}

/** Units that a slope's saving is: whole ones, two of half of it. */
export const halfOf = (slope: number, depth: number, kerf: number): number =>
  Math.max(0, Math.floor((savingOf(slope, depth, kerf) * nesting.units) / 2 - 1))
