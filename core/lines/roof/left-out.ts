import { type Building, hasBottomChord, type RoofOpening } from '../../design'
import { HAIR } from '../../measure'
import { middleOf, overlap, type Stretch } from '../../trade'
import type { Problem } from '../problem'

/**
 * A truss that is left out for a stair: where it would stand, what is clear between its neighbours, and where
 * those are doubled, on their far sides.
 */
export interface LeftOut {
  /** Of its opening, from 1. */
  readonly number: number
  readonly asked: RoofOpening
  readonly place: Stretch
  readonly gap: Stretch
  readonly doubles: readonly Stretch[]
}

/** Trusses with stairs between them. */
export interface Stood {
  readonly places: readonly Stretch[]
  readonly left: readonly LeftOut[]
  readonly problems: readonly Problem[]
}

/** Whether a roof's stairs leave trusses out: of trusses with bottom chords. */
export const leavesOut = ({ roof: { truss } }: Building): boolean =>
  truss !== null && hasBottomChord(truss.kind)

/**
 * Trusses with those left out that stand nearest to where stairs are asked for, and their neighbours doubled
 * on their far sides, apart by the gussets of both. None of an end truss or of its neighbour is left out.
 */
export function withStairs(building: Building, stood: readonly Stretch[]): Stood {
  const { openings, truss } = building.roof
  const left: LeftOut[] = []
  const problems: Problem[] = []
  const used = new Set<number>()
  if (!truss || !leavesOut(building)) return { places: stood, left, problems }
  openings.forEach((asked, i) => {
    if (asked.kind !== 'stair' || asked.width === 0) return
    const found = leftOutFor(asked, i, stood, 2 * truss.gusset.thickness, used)
    if ('code' in found) problems.push(found)
    else left.push(found)
  })
  const without = stood.filter(at => !left.some(({ place }) => place === at))
  const places = [...without, ...left.flatMap(({ doubles }) => doubles)].sort((a, b) => a.from - b.from)
  return { places, left, problems }
}

function leftOutFor(
  asked: RoofOpening,
  i: number,
  stood: readonly Stretch[],
  off: number,
  used: Set<number>,
): LeftOut | Problem {
  const number = i + 1
  const path: `roof.openings.${number}` = `roof.openings.${i}`
  const [first, last] = [2, stood.length - 3]
  const [low, high] = [stood[first], stood[last]]
  if (!low || !high || last < first) return { code: 'stair-few-trusses', path: `${path}.kind`, number }
  const half = (at: number): number => (middleOf(stood[at] ?? low) - middleOf(stood[at - 1] ?? low)) / 2
  const [least, most] = [middleOf(low) - half(first), middleOf(high) + half(last + 1)]
  if (asked.at < least - HAIR || asked.at > most + HAIR)
    return { code: 'stair-no-room', path: `${path}.at`, number, least, most }
  let at = first
  for (let k = first; k <= last; k++)
    if (Math.abs(middleOf(stood[k] ?? low) - asked.at) < Math.abs(middleOf(stood[at] ?? low) - asked.at))
      at = k
  const [before, place, after] = [stood[at - 1], stood[at], stood[at + 1]]
  const taken = [at - 1, at, at + 1]
  if (!before || !place || !after || taken.some(each => used.has(each)))
    return { code: 'stair-meets-stair', path: `${path}.at`, number }
  const t = before.to - before.from
  const doubles =
    asked.plies === 1
      ? []
      : [
          { from: before.from - off - t, to: before.from - off },
          { from: after.to + off, to: after.to + off + t },
        ]
  const others = stood
    .filter((_, k) => !taken.includes(k))
    .map(each => ({ from: each.from - off, to: each.to + off }))
  if (doubles.some(double => others.some(other => overlap(other, double))))
    return { code: 'stair-not-doubled', path: `${path}.at`, number }
  for (const each of taken) used.add(each)
  return { number, asked, place, gap: { from: before.to, to: after.from }, doubles }
}
