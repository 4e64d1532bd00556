import { least } from '../trade'
import { planeAt, vec, type Vec3 } from '../geometry'
import type { BuildingCut } from './member'
import { overlaps, type Rect, within } from './rect'

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
  return [{ rect, notches: hit }]
}

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
