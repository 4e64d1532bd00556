import { type Design, type TieKind, tieKinds } from '../../design'
import { vec } from '../../geometry'
import type { Section } from '../../lumber'
import { INCH } from '../../measure'
import { squareBoard } from '../between'
import type { Stretch } from '../layout'
import type { Order } from '../member'
import type { Problem } from '../problem'
import type { RoofDatum, RoofLumber } from './shape'

/** Room along the inside of an end wall, for diagonals nailed across it, mm. */
const BRACES = INCH

/** The face of its rafter that a tie is nailed to: apart, so that both kinds pass each other. */
const faceOf: Record<TieKind, 'east' | 'west'> = { rafter: 'east', collar: 'west' }

/**
 * Level ties beside the rafters of a gable, `rafters` where those stand along the ridge: from wall to wall, their ends cut by the roof's planes. The end walls hold their own rafters, and
 * what stands in them is passed. A tie that would meet the ridge board is left out and said.
 */
export function tieOrders(design: Design, lumber: RoofLumber, datum: RoofDatum, rafters: readonly Stretch[]): { readonly orders: readonly Order[], readonly problems: readonly Problem[] } {
  const problems: Problem[] = []
  const plate = Math.max(datum.slopes.south.height, datum.slopes.north.height)
  const under = datum.highest - lumber.ridge.depth
  const inside = { from: lumber.plate.depth + BRACES, to: design.footprint.length - lumber.plate.depth - BRACES }
  const taken: { readonly x: Stretch, readonly z: Stretch }[] = []
  const orders = tieKinds.flatMap((kind): Order[] => {
    const asked = design.roof.ties[kind]
    const section = lumber.ties[kind]
    if (!asked || !section) return []
    const z = { from: plate + asked.height, to: plate + asked.height + section.depth }
    if (z.to > under + 1e-6) {
      problems.push({ code: 'tie-meets-ridge', path: `roof.ties.${kind}.height`, kind, most: under - section.depth - plate })
      return []
    }
    return rafters.flatMap((rafter, i): Order[] => {
      const x = faceOf[kind] === 'east' ? { from: rafter.to, to: rafter.to + section.thickness } : { from: rafter.from - section.thickness, to: rafter.from }
      const free = x.from > inside.from - 1e-6 && x.to < inside.to + 1e-6 && !rafters.some(other => meet(other, x)) && !taken.some(other => meet(other.x, x) && meet(other.z, z))
      if (i % asked.every !== 0 || !free) return []
      taken.push({ x, z })
      return [tieOrder(design, datum, kind, section, `roof/${kind}-tie/${i + 1}`, x.from, z.from)]
    })
  })
  return { orders, problems }
}

const meet = (a: Stretch, b: Stretch): boolean => a.from < b.to - 1e-6 && b.from < a.to - 1e-6

function tieOrder({ footprint: { width } }: Design, { slopes }: RoofDatum, kind: TieKind, section: Section, id: string, x: number, z: number): Order {
  const order = squareBoard({ id, role: `${kind}-tie`, section, along: 'y', depth: 'z', from: 0, to: width, corner: vec(x, 0, z) })
  return { ...order, cuts: [...order.cuts, { kind: 'end', name: 'slope', plane: slopes.south.roofTop }, { kind: 'end', name: 'slope', plane: slopes.north.roofTop }] }
}
