import type { Drawing, Point } from './drawing'
import type { Laying, Words } from './laying'

/** Names at their places; one that has no room there stands off it, on a leader. */
export function layLabels(drawing: Drawing, words: readonly Words[], laying: Laying, above: number): void {
  drawing.labels.forEach((label, i) => {
    const each = words[i]
    if (!each) return
    const own = laying.sheet.on.at(label.at)
    const { wide, tall } = each.extent.clear
    const tries = AROUND.map(({ x, y, reach }) => ({
      x: own.x + x * (reach ? wide / 2 + 6 * reach : 0),
      y: own.y - above + 1.2 * y * tall * reach,
    }))
    layLoose(each, own, tries, 1, laying)
  })
}

/** Pitches off their slope, on the side to which it falls. */
export function layPitches(drawing: Drawing, words: readonly Words[], laying: Laying): void {
  drawing.pitches.forEach((tag, i) => {
    const each = words[i]
    if (!each) return
    const own = laying.sheet.on.at(tag.at)
    const way = tag.falls === 'left' ? -1 : 1
    const tries = [1, 1.4, 1.9, 2.5].flatMap(by =>
      BESIDE_SLOPE.map(({ x, y }) => ({ x: own.x + way * x * by, y: own.y + y * by })),
    )
    layLoose(each, own, tries, 30, laying)
  })
}

/** Where a pitch is tried beside its slope, px; the first is its usual place. */
const BESIDE_SLOPE: readonly Point[] = [
  { x: 46, y: -34 },
  { x: 60, y: -14 },
  { x: 20, y: -40 },
  { x: -46, y: 34 },
]

/** Eight ways off a place, the nearest first. */
const AROUND = [
  { x: 0, y: 0, reach: 0 },
  ...[1, 1.6, 2.3, 3, 4, 5.5].flatMap(reach =>
    [
      { x: 0, y: -1 },
      { x: 0, y: 1 },
      { x: 1, y: 0 },
      { x: -1, y: 0 },
      { x: 1, y: -0.7 },
      { x: -1, y: -0.7 },
      { x: -1, y: 0.7 },
      { x: 1, y: 0.7 },
    ].map(way => ({ ...way, reach })),
  ),
]

/**
 * Puts words of a point at the first free place of those that are tried, else at the nearest; on a leader
 * where they are more than `tied` px off the first.
 */
function layLoose(words: Words, own: Point, tries: readonly Point[], tied: number, laying: Laying): void {
  const spotAt = (at: Point) => ({ row: 0, off: { x: at.x - own.x, y: at.y - own.y } })
  const before = laying.stood(words)
  const stays = before && { x: own.x + before.off.x, y: own.y + before.off.y }
  const pushed = tries.map(at => laying.room.inside(at, words.extent))
  const at =
    stays && laying.isFree(stays, words, 'nothing')
      ? stays
      : (pushed.find(each => laying.isFree(each, words, 'rings and lines')) ??
        pushed.find(each => laying.isFree(each, words, 'lines')))
  if (!at) return laying.putFar(words, own, own, 0)
  const first = tries[0] ?? own
  if (Math.hypot(at.x - first.x, at.y - first.y) > tied) {
    laying.far++
    laying.lead(own, at, words)
  }
  laying.put(words, at, spotAt(at))
}
