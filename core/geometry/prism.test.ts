import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { runs } from '../testing/designs'
import { solidOf } from '../testing/solids'
import {
  box,
  carve,
  clip,
  type Convex,
  meshOf,
  planeAt,
  polygonArea,
  prismShell,
  shell,
  type ShellFace,
  vec,
} from './index'

const number = (min: number, max: number) =>
  fc.double({ min, max, noNaN: true }).map(n => Math.round(n * 100) / 100)
const hole = fc.record({
  x: number(0, 2300),
  y: number(0, 1100),
  wide: number(20, 800),
  tall: number(20, 800),
})

/** A sheet with rectangular cut-outs, in convex parts, and an end cut aslant in its own plane. */
function sheet(
  holes: readonly { x: number; y: number; wide: number; tall: number }[],
  slope: number,
): Convex[] {
  const start = clip(box(2400, 1200, 18), planeAt(vec(2300, 0, 0), vec(1, slope, 0)), 'cut:0:slope')
  if (start.kind === 'gone') return []
  return holes.reduce<Convex[]>(
    (parts, { x, y, wide, tall }, i) =>
      parts.flatMap(part =>
        carve(
          part,
          [
            planeAt(vec(x, 0, 0), vec(-1, 0, 0)),
            planeAt(vec(x + wide, 0, 0), vec(1, 0, 0)),
            planeAt(vec(0, y, 0), vec(0, -1, 0)),
            planeAt(vec(0, y + tall, 0), vec(0, 1, 0)),
          ],
          Array.from({ length: 4 }, () => `cut:${i + 1}:cutout`),
        ),
      ),
    [start.solid],
  )
}

const area = (face: ShellFace): number =>
  polygonArea(face.loops[0] ?? []) - face.loops.slice(1).reduce((sum, loop) => sum + polygonArea(loop), 0)
/** Areas by plane; two cut-outs that share one may bear either's tag. */
const byPlane = (faces: readonly ShellFace[]): Record<string, number> => {
  const sums: Record<string, number> = {}
  for (const face of faces) {
    const { normal, offset } = face.plane
    const key = [normal.x, normal.y, normal.z, offset].map(n => (Math.round(n * 1000) + 0) / 1000).join(' ')
    sums[key] = (sums[key] ?? 0) + area(face)
  }
  return sums
}

test('the quick shell of a prism is the shell found face by face: the same areas, closed, of the same volume', () => {
  fc.assert(
    fc.property(fc.array(hole, { maxLength: 5 }), number(-0.4, 0.4), (holes, slope) => {
      const parts = sheet(holes, slope)
      if (parts.length < 2) return
      const quick = prismShell(parts, 18)
      const plain = shell(parts)
      expect(quick).not.toBeNull()
      for (const [plane, sum] of Object.entries(byPlane(plain)))
        expect(Math.abs((byPlane(quick ?? [])[plane] ?? NaN) - sum)).toBeLessThan(5)
      const [one, other] = [solidOf(meshOf(quick ?? [])), solidOf(meshOf(plain))]
      expect(Math.abs(one.volume() - other.volume())).toBeLessThan(50)
    }),
    { numRuns: runs(80) },
  )
})

test('a part cut aslant through its thickness is left to the general way', () => {
  const aslant = clip(box(500, 100, 38), planeAt(vec(400, 0, 0), vec(1, 0, 0.3)), 'cut:0:mitre')
  const [one] = aslant.kind === 'gone' ? [] : [aslant.solid]
  expect(prismShell(one ? [one, box(10, 10, 38)] : [], 38)).toBeNull()
})
