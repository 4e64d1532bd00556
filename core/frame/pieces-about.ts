import { HAIR } from '../measure'
import { least } from '../trade'
import { planeAt, vec, type Vec3 } from '../geometry'
import type { BuildingCut } from './member'
import { areaOfRect, overlaps, type Rect, within } from './rect'

/**
 * What of a rectangle is left about holes: whole pieces where a hole runs across it, else the piece with what
 * is to be cut out of it.
 */
export function piecesAbout(
  rect: Rect,
  holes: readonly Rect[],
): { readonly rect: Rect; readonly notches: readonly Rect[] }[] {
  const hit = holes.filter(each => overlaps(each, rect))
  if (hit.some(hole => within(rect, hole))) return []
  for (const hole of hit) {
    const acrossY = hole.y0 <= rect.y0 + least.piece && hole.y1 >= rect.y1 - least.piece
    const acrossX = hole.x0 <= rect.x0 + least.piece && hole.x1 >= rect.x1 - least.piece
    if (!acrossY && !acrossX) continue
    const sides = acrossY
      ? [
          { ...rect, x1: hole.x0 },
          { ...rect, x0: hole.x1 },
        ]
      : [
          { ...rect, y1: hole.y0 },
          { ...rect, y0: hole.y1 },
        ]
    return sides
      .filter(({ x0, x1, y0, y1 }) => x1 - x0 > least.piece && y1 - y0 > least.piece)
      .flatMap(side => piecesAbout(side, holes))
  }
  if (isOnePiece(rect, hit)) return [{ rect, notches: hit }]
  // holes beside each other that would part it: it is cut along the edges of the largest
  const hole = hit.reduce((a, b) => (areaOfRect(b) > areaOfRect(a) ? b : a))
  return [
    { ...rect, x1: hole.x0 },
    { ...rect, x0: hole.x0, x1: hole.x1 },
    { ...rect, x0: hole.x1 },
  ]
    .map(({ x0, x1, ...across }) => ({ ...across, x0: Math.max(rect.x0, x0), x1: Math.min(rect.x1, x1) }))
    .filter(({ x0, x1 }) => x1 - x0 > least.piece)
    .flatMap(part => piecesAbout(part, holes))
}

/** Whether what holes leave of a rectangle hangs together, by the fields between all their edges. */
function isOnePiece(rect: Rect, holes: readonly Rect[]): boolean {
  if (holes.length < 2) return true
  const inside = (at: number, from: number, to: number): boolean => at > from && at < to
  const xs = edges(
    [rect.x0, rect.x1, ...holes.flatMap(({ x0, x1 }) => [x0, x1])].filter(
      at => at === rect.x0 || at === rect.x1 || inside(at, rect.x0, rect.x1),
    ),
  )
  const ys = edges(
    [rect.y0, rect.y1, ...holes.flatMap(({ y0, y1 }) => [y0, y1])].filter(
      at => at === rect.y0 || at === rect.y1 || inside(at, rect.y0, rect.y1),
    ),
  )
  const free = xs.slice(1).map((x, i) =>
    ys.slice(1).map((y, k) => {
      const [mx, my] = [(x + (xs[i] ?? x)) / 2, (y + (ys[k] ?? y)) / 2]
      return !holes.some(({ x0, x1, y0, y1 }) => inside(mx, x0, x1) && inside(my, y0, y1))
    }),
  )
  const all = free.flatMap((column, i) => column.flatMap((is, k) => (is ? [`${i} ${k}`] : [])))
  const seen = new Set<string>()
  const next = all.slice(0, 1)
  for (let at = next.pop(); at !== undefined; at = next.pop()) {
    if (seen.has(at)) continue
    seen.add(at)
    const [i = 0, k = 0] = at.split(' ').map(Number)
    for (const [a, b] of [
      [i + 1, k],
      [i - 1, k],
      [i, k + 1],
      [i, k - 1],
    ] as const)
      if (free[a]?.[b]) next.push(`${a} ${b}`)
  }
  return seen.size === all.length
}

/** Edges in order, each once. */
const edges = (all: readonly number[]): number[] =>
  [...all].sort((a, b) => a - b).filter((at, i, sorted) => i === 0 || at - (sorted[i - 1] ?? at) > HAIR)

/**
 * What a hole takes out of a board that lies over it. `x` and `y` are the directions of the rectangle's own
 * axes in the building, through the origin.
 */
export function cutOut(
  { x0, x1, y0, y1 }: Rect,
  x: Vec3 = vec(1, 0, 0),
  y: Vec3 = vec(0, 1, 0),
): BuildingCut {
  const side = (
    along: Vec3,
    at: number,
    way: 1 | -1,
  ): { name: 'cutout'; plane: ReturnType<typeof planeAt> } => ({
    name: 'cutout',
    plane: planeAt(
      vec(along.x * at, along.y * at, along.z * at),
      vec(along.x * way, along.y * way, along.z * way),
    ),
  })
  return {
    kind: 'notch',
    name: 'cutout',
    sides: [side(x, x0, -1), side(x, x1, 1), side(y, y0, -1), side(y, y1, 1)],
  }
}
