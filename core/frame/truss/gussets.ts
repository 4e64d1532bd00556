import { ofTruss } from '../place'
import { type Building, type BuildingTruss, isSided } from '../../design'
import {
  add,
  cross,
  dot,
  flip,
  place,
  type Plane,
  scale,
  subtract,
  unit,
  vec,
  type Vec3,
} from '../../geometry'
import { lowEaves, type RoofLines, type RoofLumber, wallEaves } from '../../lines'
import { type Section, sheetSection } from '../../lumber'
import { FOOT, IN_LINE } from '../../measure'
import type { Stretch } from '../../trade'
import type { BuildingCut, Order } from '../member'
import { coverOn } from '../roof/cover'
import { finishEnd } from '../roof/tails'
import { SPARE } from '../square-board'
import { behind, hullOf, type Outline, planesAbout } from './flat'
import { type Bottom, cornersOf, gussetOn, insideOf, jointsOf } from './joints'
import type { VaultChord } from './vault'
import type { WebJoint } from './panels'

/** A sheet that gussets come out of, mm: 4 by 8 ft, or its metric like. */
const sheets = {
  imperial: { width: 4 * FOOT, length: 8 * FOOT },
  metric: { width: 1220, length: 2440 },
} as const

interface Ends {
  readonly first: boolean
  readonly last: boolean
}

/** A gusset's outline, what its joint is called, and where it may be cut out along its members' edges. */
export interface Gusset {
  readonly name: readonly (number | string)[]
  readonly outline: readonly Vec3[]
  readonly inside: readonly Plane[]
}

/** A truss's gussets whose legs reach so far along each member, mm; none of no length. */
export type GussetsFor = (leg: number) => Gusset[]

/** The gussets of a truss: on the joints of its chords, and of its webs. */
export function gussetsOf(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  bottom: Bottom | null,
  vault: readonly VaultChord[],
  webs: readonly WebJoint[],
): GussetsFor {
  const named = new Set(webs.map(({ name }) => name.join('/')))
  // where webs meet chords too, one gusset is on all
  const ofChords = jointsOf(lines, bottom, vault)
    .filter(({ name }) => !named.has(name.join('/')))
    .map((joint): ((leg: number) => Gusset) => {
      const planes = gussetOn(joint)
      const trims = joint.name[0] === 'knee' ? besideFinish(building, lumber, lines) : []
      const inside = insideOf(joint)
      return leg => ({
        name: joint.name,
        outline: hullOf(cornersOf([...planes(leg), ...trims])),
        inside,
      })
    })
  const around = trimsOf(lines, bottom?.low ?? 0)
  const ofWebs = webs.map(({ name, covered, inside = [], trims = [] }): ((leg: number) => Gusset) => {
    const all = [...around, ...trims]
    return leg => ({
      name,
      // trimmed near a corner it may have an edge of no length
      outline: hullOf(all.reduce<Outline>(behind, hullOf(covered(leg)))),
      inside,
    })
  })
  const all = [...ofChords, ...ofWebs]
  return leg => (leg > 0 ? all.map(gusset => gusset(leg)) : [])
}

/** What trims gussets on webs: the roof line, the bottom chord's lower edge, the walls' outsides. */
const trimsOf = (lines: RoofLines, low: number): Plane[] => [
  ...lines.faces.map(face => face.top),
  { normal: vec(0, 0, -1), offset: -low },
  ...wallEaves(lines).map(({ outside }) => outside),
]

/** What keeps gussets on a knee clear of boards let into the tails under it. */
const besideFinish = (building: Building, lumber: RoofLumber, lines: RoofLines): Plane[] => {
  const { finish } = lumber
  return finish
    ? lowEaves(lines).map(eave =>
        flip(finishEnd(eave, coverOn(building, lumber, eave.side), finish.thickness)),
      )
    : []
}

/** A truss's gussets, on each of its faces that takes them. */
export function gussets(
  building: Building,
  lumber: RoofLumber,
  { gusset }: BuildingTruss,
  all: readonly Gusset[],
  at: Stretch,
  i: number,
  { first, last }: Ends,
): Order[] {
  const { width, length } = sheets[building.lumber.yard]
  const section = sheetSection(gusset.thickness, width, length)
  const bare = (end: 'west' | 'east'): boolean =>
    coverOn(building, lumber, end) === 0 &&
    !isSided(building.walls, end) &&
    endIsFree(building) &&
    !building.roof.joined.includes(end)
  const faces = {
    west: { from: at.from - gusset.thickness, to: at.from },
    east: { from: at.to, to: at.to + gusset.thickness },
  }
  // studs of the gable stand under an end truss's chords, behind what would hang under them
  const cutOut = (first || last) && building.walls.gables !== 'open'
  return (['west', 'east'] as const)
    .filter(side => !(side === 'west' ? first : last) || bare(side))
    .flatMap(side =>
      all.map(({ name, outline, inside }) =>
        gussetOrder(
          ofTruss(i + 1, 'gusset', ...name, side),
          section,
          { outline, inside: cutOut ? inside : [] },
          faces[side],
        ),
      ),
    )
}

/** Whether nothing lies on the outer faces of the end trusses. */
const endIsFree = ({ roof: { ends } }: Building): boolean => ends.hold === 'none' && ends.barge === null

/** A gusset in its place, its longest edge along the sheet. */
function gussetOrder(
  where: Order['where'],
  section: Section,
  { outline, inside }: Pick<Gusset, 'outline' | 'inside'>,
  x: Stretch,
): Order {
  const planes = planesAbout(outline)
  const edges = outline.map((p, i) => subtract(outline[(i + 1) % outline.length] ?? p, p))
  const longest = edges.reduce((best, each, i) => (size(each) > size(edges[best] ?? each) ? i : best), 0)
  const along = unit(edges[longest] ?? vec(0, 1, 0))
  // the outline turns to the left: the sheet lies on that side of the edge
  const depth = vec(0, -along.z, along.y)
  const start = outline[longest] ?? vec(0, 0, 0)
  const reach = outline.map(p => dot(subtract(p, start), along))
  const turned = cross(along, depth).x < 0
  const origin = add(vec(turned ? x.to : x.from, start.y, start.z), scale(along, Math.min(...reach) - SPARE))
  return {
    where,
    role: 'gusset',
    section,
    placement: place(origin, along, depth),
    blankLength: Math.max(...reach) - Math.min(...reach) + 2 * SPARE,
    cuts: [
      ...planes
        .filter((_, i) => i !== longest)
        .map((plane): BuildingCut => ({ kind: 'end', name: cutName(plane, along), plane })),
      ...(inside.length
        ? [
            {
              kind: 'notch',
              name: 'cutout',
              sides: inside.map(plane => ({ name: 'cutout', plane }) as const),
            } as const,
          ]
        : []),
    ],
  }
}

const size = (p: Vec3): number => Math.hypot(p.y, p.z)

/** What a cut of a gusset is called: square to its long edge, along it, or on a slope to it. */
function cutName({ normal }: Plane, along: Vec3): 'square' | 'rip' | 'slope' {
  const turn = Math.abs(dot(normal, along))
  return turn > 1 - IN_LINE ? 'square' : turn < IN_LINE ? 'rip' : 'slope'
}
