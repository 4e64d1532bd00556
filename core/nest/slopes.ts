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

/**
 * A sloped end: which ends it can be cut together with, by their class, and its charge. Two ends of a class
 * are one cut where their charges are opposite; of pieces without a crown any goes with any, and all are +.
 */
interface SlopedEnd {
  readonly class: number
  readonly charge: 1 | -1
}

/** The sloped ends of a kind of piece; `open` whether it has an end that is cut together with no other. */
export interface SizeSlope {
  readonly ends: readonly SlopedEnd[]
  readonly open: boolean
}

export interface SlopeClass {
  /** Units that each end wins back that is cut together with another. */
  readonly half: number
  readonly crown: boolean
}

/**
 * What ends take that are cut alone where pieces are laid in rows, units: `add` puts in so many pieces of a
 * kind, `sum` is the least there is of it for all of them.
 *
 * Ends of a class go together two by two; what is left over is cut alone. Rows that so close to a ring are
 * one ring wherever they have a class in common, since there they can be joined; a ring has no outer ends,
 * and is opened at the cut that wins least back, unless a row with outer ends goes through one of its
 * classes.
 */
export function aloneIn(classes: readonly SlopeClass[]): {
  readonly add: (kind: SizeSlope, count: number) => void
  readonly sum: () => number
} {
  const ends = classes.map(() => ({ plus: 0, minus: 0, open: false }))
  const root = classes.map((_, i) => i)
  const rootOf = (i: number): number => {
    while (root[i] !== i) i = root[i] as number
    return i
  }
  return {
    add: ({ ends: own, open }, count) => {
      for (const { class: at, charge } of own) {
        const of = ends[at]
        if (!of) continue
        if (charge > 0) of.plus += count
        else of.minus += count
        of.open ||= open
      }
      const [one, other] = own
      if (one && other && one.class !== other.class) root[rootOf(one.class)] = rootOf(other.class)
    },
    sum: () => {
      let all = 0
      const rings = new Map<number, number>()
      ends.forEach(({ plus, minus, open }, i) => {
        const { half, crown } = classes[i] as SlopeClass
        if (plus + minus === 0) return
        const left = crown ? Math.abs(plus - minus) : (plus + minus) % 2
        all += half * left
        const at = rootOf(i)
        rings.set(at, open || left > 0 ? 0 : Math.min(rings.get(at) ?? Infinity, half))
      })
      for (const least of rings.values()) all += 2 * least
      return all
    },
  }
}

/** One end of a piece among those that share cuts. */
export interface EndClass {
  /** The same of ends that can be cut together. */
  readonly key: string
  readonly slope: number
  readonly charge: 1 | -1
  readonly crown: boolean
}

/**
 * The classes of a piece's left and right end; null of a square one.
 *
 * An end's charge is its slope where it is the right end of its piece, and the slope turned round where it is
 * the left one. Turning a piece end for end with its crown up changes no charge, and two ends are one cut
 * where their charges are opposite.
 */
export const endClasses = ({ left, right, depth, crown }: Slopes): readonly (EndClass | null)[] =>
  [-left, right].map((value): EndClass | null => {
    const slope = Math.abs(value)
    if (!isSloped(slope)) return null
    return {
      key: `${Math.round(slope / SAME)} ${Math.round(depth / SAME)} ${crown}`,
      ...{ slope, charge: crown && value < 0 ? -1 : 1, crown },
    }
  })

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

/** Pieces in an order, and as they lie, in which the ends that are cut together win back most. */
export function inRows<T>(
  pieces: readonly { readonly piece: T; readonly slopes: Slopes | undefined }[],
): { readonly piece: T; readonly lies: Lying }[] {
  const classes = pieces.flatMap(({ slopes }) => (slopes ? endClasses(slopes) : [null, null]))
  const partner = opened(paired(classes), classes)
  const done = new Set<number>()
  const out: { piece: T; lies: Lying }[] = []
  // a row begins at an end that is cut alone; an end's number is twice its piece's, and one more at the right
  for (const first of classes.keys()) {
    if (classes[first] === null && classes[first ^ 1] === null) continue
    if (partner[first] !== NONE || done.has(first >> 1)) continue
    let right = 0
    for (let end = first; end !== NONE && !done.has(end >> 1); end = partner[end ^ 1] ?? NONE) {
      done.add(end >> 1)
      const of = pieces[end >> 1]
      if (!of?.slopes) continue
      const lies = lyingAs(of.slopes, end % 2 === 1, end === first ? null : right)
      right = lies.right
      out.push({ piece: of.piece, lies })
    }
  }
  return [
    ...out,
    ...pieces
      .filter((_, i) => !done.has(i))
      .map(({ piece, slopes }) => ({ piece, lies: { left: slopes?.left ?? 0, right: slopes?.right ?? 0 } })),
  ]
}

/** Of an end that is cut with no other. */
const NONE = -1

/** A piece with its right end at the left or not; its left end cut with one before that slopes so. */
function lyingAs(slopes: Slopes, turned: boolean, before: number | null): Lying {
  const ways = waysOf(slopes).filter((way, i) =>
    slopes.crown
      ? (i === 1) === turned
      : Math.abs(Math.abs(way.left) - Math.abs(turned ? slopes.right : slopes.left)) <= SAME &&
        Math.abs(Math.abs(way.right) - Math.abs(turned ? slopes.left : slopes.right)) <= SAME,
  )
  const goesOn = ways.find(way => before !== null && Math.abs(way.left - before) <= SAME)
  return goesOn ?? ways[0] ?? { left: slopes.left, right: slopes.right }
}

/** Ends of each class two by two: the number of each one's partner. */
function paired(classes: readonly (EndClass | null)[]): number[] {
  const partner = classes.map(() => NONE)
  const byKey = new Map<string, number[]>()
  // the first piece's left end last, so that pieces follow one another
  for (const end of [...classes.keys()].map((_, i, all) => (i + 1) % all.length)) {
    const key = classes[end]?.key
    if (key !== undefined) byKey.set(key, [...(byKey.get(key) ?? []), end])
  }
  for (const ends of byKey.values()) {
    const crown = classes[ends[0] ?? 0]?.crown === true
    const plus = crown ? ends.filter(end => classes[end]?.charge === 1) : ends.filter((_, i) => i % 2 === 0)
    const minus = ends.filter(end => !plus.includes(end))
    for (const [i, one] of plus.entries()) {
      const other = minus[i]
      if (other === undefined) break
      partner[one] = other
      partner[other] = one
    }
  }
  return partner
}

/** Rings joined with what has a class in common with them, and opened where nothing has. */
function opened(given: readonly number[], classes: readonly (EndClass | null)[]): number[] {
  const partner = [...given]
  const join = (one: number, other: number): void => {
    if (one !== NONE) partner[one] = other
    if (other !== NONE) partner[other] = one
  }
  const slope = (end: number): number => classes[end]?.slope ?? 0
  for (let ring = ringOf(partner); ring.length > 0; ring = ringOf(partner)) {
    const inRing = new Set(ring)
    const meets = (end: number, other: number): boolean =>
      !inRing.has(other) &&
      classes[other]?.key === classes[end]?.key &&
      classes[other]?.charge === classes[end]?.charge
    const from = ring.find(end => classes.some((_, other) => meets(end, other)))
    if (from === undefined) {
      const least = ring.reduce((best, end) => (slope(end) < slope(best) ? end : best))
      const other = partner[least] ?? NONE
      partner[least] = NONE
      partner[other] = NONE
      continue
    }
    const mate = classes.findIndex((_, other) => meets(from, other))
    const [a, b] = [partner[from] ?? NONE, partner[mate] ?? NONE]
    join(mate, a)
    if (b === NONE) partner[from] = NONE
    else join(from, b)
  }
  return partner
}

/** The ends, by their numbers, of a ring that pieces close; none where there is no ring. */
function ringOf(partner: readonly number[]): number[] {
  const seen = new Set<number>()
  for (const start of partner.keys()) {
    if (seen.has(start)) continue
    const ring: number[] = []
    let end = start
    for (;;) {
      seen.add(end)
      seen.add(end ^ 1)
      ring.push(end, end ^ 1)
      const next = partner[end ^ 1] ?? NONE
      if (next === NONE) break
      if (next === start) return ring.sort((a, b) => a - b)
      if (seen.has(next)) break
      end = next
    }
  }
  return []
}

/** Units that a slope's saving is: whole ones, two of half of it. */
export const halfOf = (slope: number, depth: number, kerf: number): number =>
  Math.max(0, Math.floor((savingOf(slope, depth, kerf) * nesting.units) / 2 - 1))
