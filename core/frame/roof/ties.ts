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
const faceOf: Record<TieKind, 'east' | 'west'> = { rafter: 'east', collar: 'west', ceiling: 'east' }

const roleOf = { rafter: 'rafter-tie', collar: 'collar-tie', ceiling: 'ceiling-joist' } as const

/** What others must keep clear of: where it stands along the wall, and from where to where up; mm. */
export interface Taken { readonly along: 'x' | 'y', readonly s: Stretch, readonly z: Stretch }

/** Where the end walls of a gable leave room for ties, along the ridge. */
export const betweenEnds = ({ footprint: { length } }: Design, { plate }: RoofLumber): Stretch => ({ from: plate.depth + BRACES, to: length - plate.depth - BRACES })

/**
 * Level ties beside rafters that meet over a ridge, `rafters` where those stand along it: from wall to wall, their ends cut by the roof's planes; on the other face of a rafter where its own
 * is taken. Those that would not lie within `inside` are left out, and one that would meet the ridge board is said.
 */
export function tieOrders(design: Design, lumber: RoofLumber, datum: RoofDatum, rafters: readonly Stretch[], inside: Stretch): { readonly orders: readonly Order[], readonly problems: readonly Problem[], readonly taken: readonly Taken[] } {
  const problems: Problem[] = []
  const plate = Math.max(datum.slopes.south.height, datum.slopes.north.height)
  const under = datum.highest - lumber.ridge.depth
  const taken: Taken[] = []
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
      if (i % asked.every !== 0) return []
      const faces = { east: { from: rafter.to, to: rafter.to + section.thickness }, west: { from: rafter.from - section.thickness, to: rafter.from } }
      const free = (x: Stretch): boolean => x.from > inside.from - 1e-6 && x.to < inside.to + 1e-6 && !rafters.some(other => meet(other, x)) && !taken.some(other => meet(other.s, x) && meet(other.z, z))
      const x = [faces[faceOf[kind]], faces[faceOf[kind] === 'east' ? 'west' : 'east']].find(free)
      if (!x) return []
      taken.push({ along: 'x', s: x, z })
      return [tieOrder(design, datum, kind, section, `roof/${roleOf[kind]}/${i + 1}`, x.from, z.from)]
    })
  })
  return { orders, problems, taken }
}

const meet = (a: Stretch, b: Stretch): boolean => a.from < b.to - 1e-6 && b.from < a.to - 1e-6

function tieOrder({ footprint: { width } }: Design, { slopes }: RoofDatum, kind: TieKind, section: Section, id: string, x: number, z: number): Order {
  const order = squareBoard({ id, role: roleOf[kind], section, along: 'y', depth: 'z', from: 0, to: width, corner: vec(x, 0, z) })
  return { ...order, cuts: [...order.cuts, { kind: 'end', name: 'slope', plane: slopes.south.roofTop }, { kind: 'end', name: 'slope', plane: slopes.north.roofTop }] }
}
