import { asOfTruss, ofTruss } from '../place'
import { type Building, type BuildingTruss, hasBottomChord } from '../../design'
import { add, cross, dot, place, type Plane, scale, vec } from '../../geometry'
import {
  type Eave,
  kneesOf,
  kneeUnder,
  loweredLines,
  lowEaveOf,
  lowEaves,
  type RafterPlace,
  slopesOf,
  wallEaves,
  type RoofFace,
  type RoofLines,
  type RoofLumber,
} from '../../lines'
import type { Section } from '../../lumber'
import { IN_LINE } from '../../measure'
import type { Stretch } from '../../trade'
import { later } from '../later'
import { again, type BuildingCut, type Order } from '../member'
import { headCuts, kneeCut, rafterCuts, rafterOn, rafterReach } from '../roof/rafter'
import { roofHeaders } from '../roof/openings'
import { lyingBoard, SPARE } from '../square-board'
import type { Obstacle } from '../roof/obstacle'
import { type Bar, hullOf, outlineOf, shares, wayOf } from './flat'
import type { Bottom } from './joints'
import { parted, type Splice, type Splices, splicesOf } from './splices'
import { type VaultChord, vaultOf } from './vault'
import { endPostsOf } from './mono'
import { websOf } from './webs'
import type { Web } from './panels'
import { type Gusset, gussets, type GussetsFor, gussetsOf } from './gussets'

/** A roof's trusses as they are made, each kind of them read once. */
export interface Trusses {
  readonly truss: BuildingTruss
  readonly lines: RoofLines
  /** The lines of the end ones. */
  readonly low: RoofLines
  readonly whole: () => Made
  /** Over a gable's studs an end truss has none of its webs but an end post. */
  readonly ended: () => Made
}

/** Reads a roof's trusses; null of a roof without. */
export function readTrusses(building: Building, lumber: RoofLumber, lines: RoofLines): Trusses | null {
  const { truss } = building.roof
  if (!truss) return null
  const low = endTrussLines(building, lumber, lines)
  return {
    ...{ truss, lines, low },
    whole: later(() => madeOf(building, lumber, lines, truss, true)),
    ended: later(() => madeOf(building, lumber, low, truss, building.walls.gables === 'open')),
  }
}

/**
 * A roof's trusses, each built flat and stood up whole: its chords, cut by each other's planes; a bottom
 * chord on the plates where it has one; and gussets on its joints, on both faces, inside alone on an end
 * truss whose outside is covered.
 */
export function trussOrders(building: Building, lumber: RoofLumber, trusses: Trusses): Order[] {
  const { truss, lines, low } = trusses
  const { places } = lines.faces[0] ?? { places: [] }
  const bottom = bottomOf(lines, lumber, truss)
  const [whole, ended] = [trusses.whole(), trusses.ended()]
  const build = (at: RafterPlace, i: number): Order[] => {
    const ends = { first: i === 0, last: i === places.length - 1 }
    const atEnd = ends.first || ends.last
    const own = atEnd ? low : lines
    const { webs, vault, splices, gussets: plates } = atEnd ? ended : whole
    const made = [
      ...own.faces.flatMap(face =>
        parted(chord(building, lumber, own, face, at, bottom, lines), splices, face.id),
      ),
      ...(bottom ? parted(bottomChord(own, lumber, at, i, bottom), splices, 'bottom') : []),
      ...vault.flatMap(rising =>
        parted(vaultOrder(rising, lumber, at.at, i), splices, `bottom-${rising.side}`),
      ),
      ...webs.map(web => webOrder(web, lumber, at.at, i)),
      ...gussets(building, lumber, truss, plates, at.at, i, ends),
    ]
    return truss.kind === 'bought' ? made.map(order => ({ ...order, bought: true })) : made
  }
  // those between the end ones are one truss in their places
  const second = places[1]
  const alike = second ? build(second, 1) : []
  const made = places.flatMap((at, i): Order[] =>
    second && i > 1 && i < places.length - 1
      ? alike.map(order => again(order, asOfTruss(order.where, i + 1), at.at.from - second.at.from))
      : i === 1
        ? alike
        : build(at, i),
  )
  return [
    ...made,
    ...slopesOf(lines).flatMap(slope =>
      roofHeaders(building, lumber, lines, slope, corners =>
        whole.gussets.some(({ outline }) => shares(hullOf(corners), outline)) ? truss.gusset.thickness : 0,
      ),
    ),
  ]
}

/** What a truss has besides the chords in the roof's faces, and where those are joined. */
export interface Made {
  readonly webs: readonly Web[]
  readonly vault: readonly VaultChord[]
  readonly splices: readonly Splice[]
  readonly gussets: readonly Gusset[]
}

/** A truss as far as it does not hang on how long its gussets are. */
export interface Joined extends Omit<Made, 'gussets'> {
  readonly gussets: GussetsFor
}

/** A truss's webs and rising bottom chords, where it takes them, and its splices and gussets. */
export function madeOf(...ask: Parameters<typeof joinedOf>): Made {
  const [, , , { gusset }] = ask
  const { gussets, ...joined } = joinedOf(...ask)
  return { ...joined, gussets: gussets(gusset.leg) }
}

/** What a truss is made of, whatever its gussets' legs. */
export function joinedOf(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  truss: BuildingTruss,
  webbed: boolean,
): Joined {
  const bottom = bottomOf(lines, lumber, truss)
  const rising = vaultOf(building, lines, lumber, truss)
  const whole = websOf(building, lines, lumber, truss, bottom, rising)
  const { webs, joints } = webbed ? whole : endPostsOf(building, lines, lumber, bottom)
  const vault = webbed ? rising : []
  const spliced: Splices =
    truss.kind === 'bought'
      ? { splices: [], joints: [] }
      : splicesOf({
          ...{ building, lines, lumber, truss, bottom, vault },
          panels: whole.joints,
          present: joints,
        })
  return {
    webs,
    vault,
    splices: spliced.splices,
    gussets: gussetsOf(building, lumber, lines, bottom, vault, [...joints, ...spliced.joints]),
  }
}

/** A member of a truss in its place, cut by the members it runs between. */
function barOrder(bar: Bar, section: Section, { from, to }: Stretch): Omit<Order, 'where' | 'role'> {
  const along = wayOf(bar)
  const depth = vec(0, -along.z, along.y)
  const turned = cross(along, depth).x < 0
  const reach = outlineOf(bar).map(p => dot(p, along))
  const [low, high] = [Math.min(...reach), Math.max(...reach)]
  const foot = add(bar.from, scale(along, low - dot(bar.from, along) - SPARE))
  const corner = add(foot, scale(depth, -bar.half))
  return {
    section,
    placement: place(vec(turned ? to : from, corner.y, corner.z), along, depth),
    blankLength: high - low + 2 * SPARE,
    cuts: bar.cuts.map((plane): BuildingCut => ({ kind: 'end', name: endName(plane), plane })),
  }
}

/** A bottom chord that rises to the middle. */
const vaultOrder = (chord: VaultChord, { bottom }: RoofLumber, at: Stretch, i: number): Order => ({
  where: ofTruss(i + 1, 'bottom-chord', chord.side),
  role: 'bottom-chord',
  ...barOrder(chord, bottom, at),
})

/** A web in its place, cut by the members it runs between. */
function webOrder(web: Web, { web: section }: RoofLumber, at: Stretch, i: number): Order {
  return { where: ofTruss(i + 1, web.name, ...web.run), role: 'web', ...barOrder(web, section, at) }
}

const endName = ({ normal }: Plane): 'plumb' | 'level' | 'slope' =>
  Math.abs(normal.z) < IN_LINE ? 'plumb' : Math.abs(normal.y) < IN_LINE ? 'level' : 'slope'

/** How far the end trusses lie under the others, square to the faces, so that lookouts pass over them; mm. */
export const endDrop = ({ roof }: Building, { lookout }: RoofLumber): number =>
  roof.truss && roof.ends.hold === 'lookouts' ? lookout.thickness : 0

export const endTrussLines = (building: Building, lumber: RoofLumber, lines: RoofLines): RoofLines => {
  const by = endDrop(building, lumber)
  return by ? loweredLines(lines, by) : lines
}

/**
 * What gussets take on the faces of trusses, for what is put between those after them; `within` without the
 * end ones.
 */
export function gussetsTaken({ truss, lines, whole }: Trusses, within = false): Obstacle[] {
  const { thickness } = truss.gusset
  const plates = whole().gussets
  const places = lines.faces[0]?.places ?? []
  return (within ? places.slice(1, -1) : places).flatMap(({ at }) =>
    plates.flatMap(({ name, outline }): Obstacle[] => {
      const levels = outline.map(p => p.z)
      const z = { from: Math.min(...levels), to: Math.max(...levels) }
      return [
        { from: at.from - thickness, to: at.from },
        { from: at.to, to: at.to + thickness },
      ].map(s => ({ along: 'x', s, z, ...sideOf(name) }))
    }),
  )
}

const sideOf = ([, side]: readonly (number | string)[]): Pick<Obstacle, 'side'> =>
  side === 'south' || side === 'north' ? { side } : {}

/** The level bottom chord's lower edge and depth; null of trusses that have none. */
export const bottomOf = (lines: RoofLines, { bottom }: RoofLumber, { kind }: BuildingTruss): Bottom | null =>
  hasBottomChord(kind) ? { low: lowEaves(lines)[0]?.height ?? 0, depth: bottom.depth } : null

/**
 * A chord in one of the roof's faces, from its foot or its knee to its head; `others` the lines of the
 * trusses between the end ones.
 */
function chord(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  face: RoofFace,
  { at, number }: RafterPlace,
  bottom: Bottom | null,
  others: RoofLines,
): Order {
  const eave = lowEaveOf(lines, face)
  // tails of end trusses that lie lower end as the others' do
  const tails = lines === others ? eave : lowEaves(others).find(each => each.id === eave?.id)
  const head = headCuts(building, lumber, lines, face)
  const cuts = eave
    ? rafterCuts(building, lumber, eave, head, onBottom(building, bottom), tails)
    : { cuts: [...head, ...kneeCut(lines, face)] }
  return rafterOn({
    where: ofTruss(number ?? 0, 'chord', face.id),
    role: kneeUnder(lines, face) || !kneesOf(lines).length ? 'upper-chord' : 'lower-chord',
    section: lumber.rafter,
    roofTop: face.top,
    at,
    ...rafterReach(lines, face),
    ...cuts,
  })
}

/** Lower chords cut level on a bottom chord stand on it. */
const onBottom = ({ roof: { seat } }: Building, bottom: Bottom | null): BuildingCut[] =>
  bottom && seat.rule === 'none'
    ? [{ kind: 'end', name: 'level', plane: { normal: vec(0, 0, -1), offset: -bottom.low - bottom.depth } }]
    : []

/**
 * The bottom chord, from plate to plate: under chords that stand on it, ended by the roof's planes; between
 * chords that run past it, ended by their lower edges; square under an end post.
 */
function bottomChord(
  lines: RoofLines,
  { bottom: section }: RoofLumber,
  { at }: RafterPlace,
  i: number,
  { low }: Bottom,
): Order {
  const [south, north] = wallEaves(lines)
  const order = lyingBoard({
    where: ofTruss(i + 1, 'bottom-chord'),
    role: 'bottom-chord',
    section,
    along: 'y',
    from: -(south?.outside.offset ?? 0),
    to: north?.outside.offset ?? 0,
    across: at.from,
    low,
  })
  const end = ({ face, heightAbovePlate }: Eave): BuildingCut => ({
    kind: 'end',
    name: 'slope',
    plane: heightAbovePlate > 0 ? face.carrier.underside : face.top,
  })
  return { ...order, cuts: [...order.cuts, ...lowEaves(lines).map(end)] }
}
