import { trussOf } from '../frame'
import { JIG_EDGE, type Jig, jigOf, type Plan, type Spot } from '../plan'
import { type Drawing, drawn, type Label, type Line, type Patch, type Point } from './drawing'
import { seen, sectionView } from './view'

/** How large a stop block is drawn: a foot of 2x4 on its flat, mm. */
const BLOCK = { long: 300, wide: 89 } as const

/**
 * A truss laid flat with its jig: the members, the points by their numbers, the blocks to screw down, and the
 * lengths that prove it dashed. Along and across from one corner of the place.
 */
export function jigDrawing(plan: Plan): Drawing {
  const jig = jigOf(plan)
  if (!jig) return drawn('truss-jig', {})
  const { shift } = jig
  const move = (p: Point): Point => ({ x: p.x + shift.x, y: p.y + shift.y })
  const members = plan.frame.members.filter(
    ({ where, role }) => trussOf(where) === jig.truss && role !== 'gusset',
  )
  return drawn('truss-jig', {
    patches: [
      ...seen(members, sectionView).map((patch): Patch => ({
        ...patch,
        loops: patch.loops.map(loop => loop.map(move)),
      })),
      ...jig.blocks.map(blockPatch),
    ],
    lines: [...frameOf(jig), ...proofs(jig)],
    labels: labelsOf(jig),
  })
}

/** The two edges of the place that all is measured from. */
const frameOf = ({ wide, tall }: Jig): Line[] => [
  { from: { x: 0, y: 0 }, to: { x: wide, y: 0 }, ink: 'ground' },
  { from: { x: 0, y: 0 }, to: { x: 0, y: tall }, ink: 'ground' },
]

const proofs = ({ checks, points }: Jig): Line[] =>
  checks.flatMap(({ from, to }): Line[] => {
    const [a, b] = [points.find(each => each.number === from), points.find(each => each.number === to)]
    return a && b ? [{ from: a, to: b, ink: 'datum' }] : []
  })

function blockPatch({ x, y, away }: Jig['blocks'][number]): Patch {
  const along = { x: -away.y, y: away.x }
  const at = (a: number, b: number): Spot => ({
    x: x + along.x * a + away.x * b,
    y: y + along.y * a + away.y * b,
  })
  const half = BLOCK.long / 2
  return {
    ink: 'behind',
    member: null,
    part: null,
    loops: [[at(-half, 0), at(half, 0), at(half, BLOCK.wide), at(-half, BLOCK.wide)]],
  }
}

/** The points' numbers, each off the middles of the members that have a corner there. */
function labelsOf({ points, members }: Jig): Label[] {
  const spot = (number: number): Spot => points[number - 1] ?? { x: 0, y: 0 }
  const middle = (spots: readonly Spot[]): Spot => ({
    x: spots.reduce((sum, p) => sum + p.x, 0) / spots.length,
    y: spots.reduce((sum, p) => sum + p.y, 0) / spots.length,
  })
  const middles = members.map(({ corners }) => ({ corners, at: middle(corners.map(spot)) }))
  return points.map(({ x, y, number }) => {
    const { x: mx, y: my } = middle(
      middles.filter(({ corners }) => corners.includes(number)).map(each => each.at),
    )
    const far = Math.max(Math.hypot(x - mx, y - my), 1)
    const off = JIG_EDGE / 2
    return { at: { x: x + ((x - mx) / far) * off, y: y + ((y - my) / far) * off }, text: `${number}` }
  })
}
