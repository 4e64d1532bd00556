import type { Building, BuildingTruss } from '../../design'
import {
  add,
  downOf,
  flip,
  meets,
  type Plane,
  planeAcross,
  planeAt,
  scale,
  vec,
  type Vec3,
} from '../../geometry'
import { HAIR, radians, TYPED } from '../../measure'
import type { RoofFace, RoofLines, RoofLumber } from '../../lines'
import { stockLengths } from '../../lumber'
import { fewestBoards, least } from '../../trade'
import type { BuildingCut, Order } from '../member'
import { rafterReach } from '../roof/rafter'
import { type Covered, wayOf } from './flat'
import type { Bottom } from './joints'
import type { VaultChord } from './vault'
import type { WebJoint } from './panels'

/**
 * A chord of a truss: `bottom` its level one, `bottom-south` one that rises from a side; or that of a face,
 * by its id.
 */
export type ChordOf = string

/** Where a chord is joined of two boards: the plane between them, looking from the first to the second. */
export interface Splice {
  readonly chord: ChordOf
  readonly plane: Plane
  /** A corner of the chord on either edge, at the joint. */
  readonly at: Vec3
}

/** A truss's splices, and the plates on those that lie under no other gusset. */
export interface Splices {
  readonly splices: readonly Splice[]
  readonly joints: readonly WebJoint[]
}

/** What a truss is, as far as its splices hang on it. */
interface Ask {
  readonly building: Building
  readonly lines: RoofLines
  readonly lumber: RoofLumber
  readonly truss: BuildingTruss
  readonly bottom: Bottom | null
  readonly vault: readonly VaultChord[]
  /** The joints of its webs, that its chords may be joined at; and those that are there. */
  readonly panels: readonly WebJoint[]
  readonly present: readonly WebJoint[]
}

/**
 * Where chords longer than what is sold are joined: at as few panel points as can be, or in their middle
 * where a chord has none; and where it is asked for.
 */
export function splicesOf(ask: Ask): Splices {
  const splices = [
    ...bottomSplices(ask),
    ...vaultSplices(ask),
    ...ask.lines.faces.flatMap(face => topSplices(ask, face)),
  ]
  return {
    splices,
    joints: splices.flatMap(({ chord, at, plane }, i): WebJoint[] => {
      const covered = ask.present.some(({ panel }) => panel?.chord === chord && near(panel.at, at, plane))
      return covered
        ? []
        : [
            {
              name: ['splice', chord, i + 1],
              covered: aboutSplice(ask, chord, at),
              panel: null,
            },
          ]
    }),
  }
}

const near = (a: Vec3, b: Vec3, { normal }: Plane): boolean =>
  Math.abs((a.y - b.y) * normal.y + (a.z - b.z) * normal.z) < HAIR

/** The longest board that a yard sells, mm. */
const longestOf = ({ lumber }: Building): number => Math.max(...stockLengths[lumber.yard])

/** Where a chord is joined: where it is asked, and so that no board is longer than what is sold. */
function joinedAt(
  run: { readonly from: number; readonly to: number },
  asked: number | null,
  panels: readonly number[],
  longest: number,
): number[] {
  const at = panels.find(each => asked !== null && Math.abs(each - asked) < TYPED) ?? asked
  const stated = at !== null && at > run.from + least.piece && at < run.to - least.piece ? [at] : []
  const ends = [run.from, ...stated, run.to]
  const breaks = panels.length ? panels : [(run.from + run.to) / 2]
  const parts = ends
    .slice(1)
    .flatMap((to, i) => fewestBoards({ from: ends[i] ?? run.from, to }, { breaks, longest, shortest: 0 }))
  return parts.slice(0, -1).map(each => each.to)
}

function bottomSplices({ building, truss, bottom, panels }: Ask): Splice[] {
  if (!bottom) return []
  const { width } = building.footprint
  const own = panels.flatMap(({ panel }) => (panel?.chord === 'bottom' ? [panel.at.y] : []))
  return joinedAt({ from: 0, to: width }, truss.splice.bottom, own, longestOf(building)).map(y => ({
    chord: 'bottom',
    plane: planeAcross('y', y),
    at: vec(0, y, bottom.low + bottom.depth),
  }))
}

function vaultSplices({ building, vault }: Ask): Splice[] {
  return vault.flatMap(chord => {
    const along = wayOf(chord)
    const long = Math.hypot(chord.to.y - chord.from.y, chord.to.z - chord.from.z)
    return joinedAt({ from: 0, to: long }, null, [], longestOf(building)).map((u): Splice => {
      const at = add(chord.from, scale(along, u))
      return { chord: `bottom-${chord.side}`, plane: planeAt(at, along), at }
    })
  })
}

/** Splices of the chord in a face, from its foot up: level places in from the wall's outside. */
function topSplices({ building, lines, lumber, truss, panels }: Ask, face: RoofFace): Splice[] {
  const { from: head, to: foot } = rafterReach(lines, face)
  const cos = face.top.normal.z
  const outside = face.falls === 'south' ? 0 : building.footprint.width
  const way = face.falls === 'south' ? 1 : -1
  // along the fall it is -y on a south face, and y on a north one
  const inward = (fall: number): number => (way > 0 ? -fall : outside - fall)
  const run = { from: inward(foot), to: inward(head) }
  const own = panels.flatMap(({ panel }) => (panel?.chord === face.id ? [way * (panel.at.y - outside)] : []))
  const slack = lumber.rafter.depth * Math.tan(radians(face.angle))
  const longest = (longestOf(building) - slack) * cos
  const down = downOf(face.top)
  // nearest the chord's middle where the plates lie inside the wall whole, and both boards are sold
  const middle = Math.max((run.from + run.to) / 2, truss.gusset.leg)
  const breaks = own.length
    ? own
    : [Math.max(run.to - longest, Math.min(run.from + longest, Math.max(run.from, middle)))]
  return joinedAt(run, truss.splice.top, breaks, longest).map(u => {
    const y = outside + way * u
    const at = vec(0, y, meets(face.carrier.underside, vec(0, y, 0), vec(0, 0, 1)) ?? 0)
    return { chord: face.id, plane: planeAt(at, scale(down, -1)), at }
  })
}

/** The corners of a chord about a joint in it, a leg to either side. */
function aboutSplice({ lines, bottom, vault }: Ask, chord: ChordOf, at: Vec3): Covered {
  const rising = vault.find(({ side }) => chord === `bottom-${side}`)
  const face = lines.faces.find(({ id }) => id === chord)
  const edges: readonly [Plane, Plane] | null = rising
    ? [rising.upper, rising.lower]
    : face
      ? [face.top, flip(face.carrier.underside)]
      : bottom
        ? [
            { normal: vec(0, 0, 1), offset: bottom.low + bottom.depth },
            { normal: vec(0, 0, -1), offset: -bottom.low },
          ]
        : null
  if (!edges) return () => []
  const [upper, lower] = edges
  const along = vec(0, upper.normal.z, -upper.normal.y)
  return leg =>
    [-leg, leg].flatMap(by => {
      const on = add(at, scale(along, by))
      return [upper, lower].map(({ normal, offset }) => {
        const off = offset - (normal.y * on.y + normal.z * on.z)
        return add(on, scale(normal, off))
      })
    })
}

/** A chord's order in as many pieces as it is joined of, numbered from its start. */
export function parted(order: Order, splices: readonly Splice[], chord: ChordOf): Order[] {
  const own = splices.filter(each => each.chord === chord)
  if (!own.length) return [order]
  const cut = (plane: Plane): BuildingCut => ({ kind: 'end', name: 'square', plane })
  return [...own, null].map((next, i): Order => {
    const before = own[i - 1]
    return {
      ...order,
      where: { ...order.where, run: [...order.where.run, i + 1] },
      cuts: [...order.cuts, ...(before ? [cut(flip(before.plane))] : []), ...(next ? [cut(next.plane)] : [])],
    }
  })
}
