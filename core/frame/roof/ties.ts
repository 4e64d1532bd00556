import { inRoof, type MemberPlace } from '../place'
import type { Obstacle } from './obstacle'
import { gaps, overlap, type Role, type Stretch } from '../../trade'
import { type Building, type TieKind, tieKinds } from '../../design'
import { vec } from '../../geometry'
import type { Section } from '../../lumber'
import { HAIR } from '../../measure'
import { squareBoard } from '../square-board'
import type { BuildingCut, Order } from '../member'
import { facesAcross, lowEaves, type Problem, ridgeOf, type RoofLines, type RoofLumber } from '../../lines'
import { type Joist, openStairs } from './stairs'

/** The face of its rafter that a tie is nailed to: apart, so that both kinds pass each other. */
const faceOf: Record<TieKind, 'east' | 'west'> = { rafter: 'east', collar: 'west', ceiling: 'east' }

/** What a joist in the roof is: a loft's under its deck, else a ceiling's. */
export const joistRole = ({ roof }: Pick<Building, 'roof'>): Role =>
  roof.loft ? 'loft-joist' : 'ceiling-joist'

/** What a tie is called in its place. */
const nameOf = { rafter: 'rafter-tie', collar: 'collar-tie', ceiling: 'ceiling-joist' } as const

/** Where the end walls of a gable leave room for ties, along the ridge. */
export const betweenEnds = ({ footprint: { length }, depths }: Building): Stretch => ({
  from: depths.west + gaps.endBraces,
  to: length - depths.east - gaps.endBraces,
})

/**
 * Two rafters that meet over a ridge: their number, where they stand along it, and the level that both reach
 * up to whole, mm.
 */
export interface Pair {
  readonly number: number
  readonly at: Stretch
  readonly top: number
}

/** The boards of ties, and where headers between them lie that posts keep clear of. */
export interface TieFrame {
  readonly orders: readonly Order[]
  readonly problems: readonly Problem[]
  readonly taken: readonly Obstacle[]
  readonly crossing: readonly { readonly x: Stretch; readonly y: Stretch }[]
}

/**
 * Level ties beside rafters that meet over a ridge, `standing` where any rafter stands along it: from wall to
 * wall, their ends cut by the roof's planes; on the other face of a rafter where its own is taken. Those that
 * would not lie within `inside` are left out, and one that would meet the ridge board is said.
 */
export function tieOrders(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  pairs: readonly Pair[],
  standing: readonly Stretch[],
  inside: Stretch,
): TieFrame {
  const plate = tiePlate(lines)
  const most = lines.highest - (ridgeOf(lines)?.board ? lumber.ridge.depth : 0) - plate
  let laid: TieFrame = { orders: [], problems: [], taken: [], crossing: [] }
  for (const kind of tieKinds) {
    const asked = building.roof.ties[kind]
    const section = lumber.ties[kind]
    if (!asked || !section) continue
    if (asked.height + section.depth > most + HAIR) {
      const path = `roof.ties.${kind}.height` as const
      laid = added(laid, {
        problems: [{ code: 'tie-meets-ridge', path, kind, most: most - section.depth }],
      })
      continue
    }
    const z = { from: plate + asked.height, to: plate + asked.height + section.depth }
    const { thickness } = section
    const made = besideRafters(pairs, kind, {
      every: asked.every,
      thickness,
      z,
      inside,
      standing,
      taken: laid.taken,
    }).map(({ number, x }): Joist => ({
      x,
      order: tieOrder(building, lines, kind, section, inRoof(nameOf[kind], number), x.from, z.from),
    }))
    laid = added(laid, { taken: made.map(({ x }): Obstacle => ({ along: 'x', s: x, z })) })
    laid = added(
      laid,
      kind === 'ceiling'
        ? ceilingOpened(building, lumber, lines, { section, z, joists: made, inside, standing }, laid.taken)
        : { orders: made.map(each => each.order) },
    )
  }
  if (building.roof.ties.ceiling) return laid
  // stairs want ceiling joists, and there are none
  const none = { section: lumber.rafter, z: { from: plate, to: plate }, joists: [], inside, standing: [] }
  const { problems } = ceilingOpened(building, lumber, lines, none, [])
  return added(laid, { problems })
}

/** What ties are laid so far, and more of them. */
const added = (laid: TieFrame, more: Partial<TieFrame>): TieFrame => ({
  orders: [...laid.orders, ...(more.orders ?? [])],
  problems: [...laid.problems, ...(more.problems ?? [])],
  taken: [...laid.taken, ...(more.taken ?? [])],
  crossing: [...laid.crossing, ...(more.crossing ?? [])],
})

/** Ceiling joists opened for stairs, clear of rafters and of other ties of their height. */
function ceilingOpened(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  {
    section,
    z,
    joists,
    inside,
    standing,
  }: {
    readonly section: Section
    readonly z: Stretch
    readonly joists: readonly Joist[]
    readonly inside: Stretch
    readonly standing: readonly Stretch[]
  },
  taken: readonly Obstacle[],
): TieFrame {
  const ties = taken
    .filter(each => overlap(each.z, z) && !joists.some(joist => joist.x === each.s))
    .map(each => each.s)
  const opened = openStairs(building, lumber, lines, {
    section,
    z,
    joists: [...joists].sort((a, b) => a.x.from - b.x.from),
    inside,
    ties,
    blocked: [...standing, ...ties],
  })
  return { ...opened, taken: opened.doubles.map((s): Obstacle => ({ along: 'x', s, z })) }
}

/**
 * The level that ties' heights are measured from, mm: the plate's at the rafters' low ends, the higher of
 * two.
 */
export const tiePlate = (lines: RoofLines): number =>
  Math.max(
    ...['south', 'north']
      .flatMap(side => lowEaves(lines).filter(eave => eave.side === side))
      .map(eave => eave.height),
  )

/** What ties beside rafters keep clear of, and how many of the rafters have one. */
interface Beside {
  readonly every: number
  readonly thickness: number
  readonly z: Stretch
  readonly inside: Stretch
  readonly standing: readonly Stretch[]
  readonly taken: readonly Obstacle[]
}

/**
 * Where boards nailed to rafters' faces stand along the roof: on their own face, or on the other where that
 * is taken. One that neither leaves room for, or that reaches past its rafter, is left out.
 */
export function besideRafters(
  pairs: readonly Pair[],
  kind: TieKind,
  { every, thickness, z, inside, standing, taken }: Beside,
): { readonly number: number; readonly x: Stretch }[] {
  const found: { number: number; x: Stretch }[] = []
  for (const { number, at, top } of pairs) {
    if ((number - 1) % every !== 0 || z.to > top + HAIR) continue
    const faces = {
      east: { from: at.to, to: at.to + thickness },
      west: { from: at.from - thickness, to: at.from },
    }
    const free = (x: Stretch): boolean =>
      x.from > inside.from - HAIR &&
      x.to < inside.to + HAIR &&
      ![...standing, ...found.map(each => each.x)].some(other => overlap(other, x)) &&
      !taken.some(other => overlap(other.s, x) && overlap(other.z, z))
    const x = [faces[faceOf[kind]], faces[faceOf[kind] === 'east' ? 'west' : 'east']].find(free)
    if (x) found.push({ number, x })
  }
  return found
}

function tieOrder(
  building: Building,
  lines: RoofLines,
  kind: TieKind,
  section: Section,
  where: MemberPlace,
  x: number,
  z: number,
): Order {
  const order = squareBoard({
    where,
    role: kind === 'ceiling' ? joistRole(building) : nameOf[kind],
    section,
    along: 'y',
    depth: 'z',
    from: 0,
    to: building.footprint.width,
    corner: vec(x, 0, z),
  })
  return {
    ...order,
    cuts: [
      ...order.cuts,
      ...facesAcross(lines).map((face): BuildingCut => ({
        kind: 'end',
        name: 'slope',
        plane: face.top,
      })),
    ],
  }
}
