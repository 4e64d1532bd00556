import { ofTruss } from '../place'
import type { Building, BuildingTruss } from '../../design'
import { cross, dot, place, type Plane, scale, subtract, unit, vec } from '../../geometry'
import {
  type Eave,
  kneeUnder,
  loweredLines,
  lowEaveOf,
  lowEaves,
  type RafterPlace,
  slopesOf,
  type RoofFace,
  type RoofLines,
  type RoofLumber,
} from '../../lines'
import { type Section, sheetSection } from '../../lumber'
import { FOOT } from '../../measure'
import type { Stretch } from '../../trade'
import type { BuildingCut, Order } from '../member'
import { coverOn } from '../roof/cover'
import { headCuts, kneeCut, rafterCuts, rafterOn, rafterReach } from '../roof/rafter'
import { roofHeaders } from '../roof/openings'
import { lyingBoard, SPARE } from '../square-board'
import type { Obstacle } from '../roof/obstacle'
import { type Bottom, gussetOn, gussetReach, type Joint, jointsOf } from './joints'

/** A sheet that gussets come out of, mm: 4 by 8 ft, or its metric like. */
const sheets = {
  imperial: { width: 4 * FOOT, length: 8 * FOOT },
  metric: { width: 1220, length: 2440 },
} as const

/**
 * A roof's trusses, each built flat and stood up whole: its chords, cut by each other's planes; a bottom
 * chord on the plates where it has one; and gussets on its joints, on both faces, inside alone on an end
 * truss whose outside is covered.
 */
export function trussOrders(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  truss: BuildingTruss,
): Order[] {
  const { places } = lines.faces[0] ?? { places: [] }
  const bottom = bottomOf(lines, lumber, truss)
  const whole = { lines, joints: jointsOf(lines, bottom) }
  const low = endLines(building, lumber, lines)
  const ended = { lines: low, joints: jointsOf(low, bottom) }
  return places
    .flatMap((at, i): Order[] => {
      const ends = { first: i === 0, last: i === places.length - 1 }
      const { lines: own, joints } = ends.first || ends.last ? ended : whole
      return [
        ...own.faces.map(face => chord(building, lumber, own, face, at, bottom)),
        ...(bottom ? [bottomChord(own, lumber, at, i, bottom)] : []),
        ...joints.flatMap(joint => gussets(building, lumber, truss, joint, at.at, i, ends)),
      ]
    })
    .concat(slopesOf(lines).flatMap(slope => roofHeaders(building, lumber, lines, slope)))
}

/** How far the end trusses lie under the others, square to the faces, so that lookouts pass over them; mm. */
export const endDrop = ({ roof }: Building, { lookout }: RoofLumber): number =>
  roof.truss && roof.ends.hold === 'lookouts' ? lookout.thickness : 0

const endLines = (building: Building, lumber: RoofLumber, lines: RoofLines): RoofLines => {
  const by = endDrop(building, lumber)
  return by ? loweredLines(lines, by) : lines
}

/**
 * What gussets take on the faces of trusses, for what is put between those after them; `within` without the
 * end ones.
 */
export function gussetsTaken(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  within = false,
): Obstacle[] {
  const { truss } = building.roof
  if (!truss) return []
  const { thickness, leg } = truss.gusset
  const reach = gussetReach(lines, bottomOf(lines, lumber, truss), leg)
  const places = lines.faces[0]?.places ?? []
  return (within ? places.slice(1, -1) : places).flatMap(({ at }) =>
    reach.flatMap(({ joint: { name }, z }): Obstacle[] =>
      [
        { from: at.from - thickness, to: at.from },
        { from: at.to, to: at.to + thickness },
      ].map(s => ({ along: 'x', s, z, ...sideOf(name) })),
    ),
  )
}

const sideOf = ([, side]: readonly string[]): Pick<Obstacle, 'side'> =>
  side === 'south' || side === 'north' ? { side } : {}

/** The bottom chord's lower edge and depth; null of trusses that have none. */
export const bottomOf = (lines: RoofLines, { bottom }: RoofLumber, { kind }: BuildingTruss): Bottom | null =>
  kind === 'bottom-chord' ? { low: lowEaves(lines)[0]?.height ?? 0, depth: bottom.depth } : null

interface Ends {
  readonly first: boolean
  readonly last: boolean
}

/** A chord in one of the roof's faces, from its foot or its knee to its head. */
function chord(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  face: RoofFace,
  { at, number }: RafterPlace,
  bottom: Bottom | null,
): Order {
  const eave = lowEaveOf(lines, face)
  const head = headCuts(building, lumber, lines, face)
  const cuts = eave
    ? rafterCuts(building, lumber, eave, head, onBottom(building, bottom))
    : { cuts: [...head, ...kneeCut(lines, face)] }
  return rafterOn({
    where: ofTruss(number ?? 0, 'chord', face.id),
    role: kneeUnder(lines, face) ? 'upper-chord' : 'lower-chord',
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
 * chords that run past it, ended by their lower edges.
 */
function bottomChord(
  lines: RoofLines,
  { bottom: section }: RoofLumber,
  { at }: RafterPlace,
  i: number,
  { low }: Bottom,
): Order {
  const [south, north] = lowEaves(lines)
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
  return { ...order, cuts: [...order.cuts, ...[south, north].flatMap(eave => (eave ? [end(eave)] : []))] }
}

/** The gussets on a joint, on each face of a truss that takes one. */
function gussets(
  building: Building,
  lumber: RoofLumber,
  { gusset }: BuildingTruss,
  joint: Joint,
  at: Stretch,
  i: number,
  { first, last }: Ends,
): Order[] {
  const section = sheetSection(
    gusset.thickness,
    sheets[building.lumber.yard].width,
    sheets[building.lumber.yard].length,
  )
  const bare = (end: 'west' | 'east'): boolean => coverOn(building, lumber, end) === 0 && endIsFree(building)
  const faces = {
    west: { from: at.from - gusset.thickness, to: at.from },
    east: { from: at.to, to: at.to + gusset.thickness },
  }
  return (['west', 'east'] as const)
    .filter(side => !(side === 'west' ? first : last) || bare(side))
    .map((side): Order => {
      // studs of the gable stand under an end truss's chords, behind what would hang under them
      const inside = (first || last) && building.walls.gables !== 'open'
      return gussetOrder({ section, joint, leg: gusset.leg, x: faces[side], number: i + 1, side, inside })
    })
}

/** Whether nothing lies on the outer faces of the end trusses. */
const endIsFree = ({ roof: { ends } }: Building): boolean => ends.hold === 'none' && ends.barge === null

interface GussetAsk {
  readonly section: Section
  readonly joint: Joint
  readonly leg: number
  readonly x: Stretch
  readonly number: number
  readonly side: 'west' | 'east'
  /** Whether it is cut out along its members' inner edges. */
  readonly inside: boolean
}

/** A gusset in its place, its straight inner edge along the sheet. */
function gussetOrder({ section, joint, leg, x, number, side, inside }: GussetAsk): Order {
  const { planes, inner, inside: edges } = gussetOn(joint, leg)
  const [p, q] = inner
  const along = unit(subtract(q, p))
  const out = subtract(joint.at, p)
  const depth = unit(subtract(out, scale(along, dot(out, along))))
  const turned = cross(along, depth).x < 0
  // the square ends and the members' edges reach past the inner corners
  const room = SPARE + leg
  const origin = subtract(vec(turned ? x.to : x.from, p.y, p.z), scale(along, room))
  const names = ['slope', 'slope', 'square', 'square', 'rip'] as const
  const cuts = planes.map((plane: Plane, k): BuildingCut => ({ kind: 'end', name: names[k] ?? 'rip', plane }))
  return {
    where: ofTruss(number, 'gusset', ...joint.name, side),
    role: 'gusset',
    section,
    placement: place(origin, along, depth),
    blankLength: dot(subtract(q, p), along) + 2 * room,
    cuts: [
      ...cuts,
      ...(inside
        ? [
            {
              kind: 'notch',
              name: 'cutout',
              sides: edges.map(plane => ({ name: 'cutout', plane }) as const),
            } as const,
          ]
        : []),
    ],
  }
}
