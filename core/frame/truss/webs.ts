import type { Building, BuildingTruss } from '../../design'
import {
  add,
  downOf,
  flip,
  meets,
  type Plane,
  planeAcross,
  scale,
  unit,
  subtract,
  vec,
  type Vec3,
} from '../../geometry'
import { lowEaves, ridgeOf, type RoofFace, type RoofLines, type RoofLumber } from '../../lines'
import { type Bar, coveredAt, hullOf } from './flat'
import type { Bottom } from './joints'
import type { VaultChord } from './vault'

/** A web, or another member between the chords, by its name and number. */
export interface Web extends Bar {
  readonly name: string
  readonly run: readonly (number | string)[]
}

/**
 * Where webs meet chords: what a gusset there covers, as corners across the building; and the panel point of
 * a chord under it (`bottom`, or its face's), where that may be joined of two boards; null where it may not.
 */
export interface WebJoint {
  readonly name: readonly (number | string)[]
  readonly points: readonly Vec3[]
  readonly panel: { readonly chord: string; readonly at: Vec3 } | null
}

export interface Webs {
  readonly webs: readonly Web[]
  readonly joints: readonly WebJoint[]
}

const none: Webs = { webs: [], joints: [] }

/** The planes that webs lie between: the bottom chord's upper edge and the top chords' lower ones. */
interface Between {
  readonly floor: Plane
  readonly south: RoofFace
  readonly north: RoofFace
  readonly width: number
  readonly low: number
  readonly half: number
  readonly bottom: Bottom
  readonly leg: number
}

/**
 * The webs of a truss on a gable's roof line, and the joints they make. They meet at panel points: a king
 * post in the middle; queen posts at the thirds of the bottom chord, a beam between their heads; those of a W
 * from the thirds of the bottom chord to the halves of the top chords and to the ridge; the posts and collar
 * of an attic about its room; the king post of scissors between the heads of their bottom chords.
 */
export function websOf(
  { footprint: { width } }: Building,
  lines: RoofLines,
  { web }: RoofLumber,
  { kind, room, gusset: { leg } }: BuildingTruss,
  bottom: Bottom | null,
  vault: readonly VaultChord[] = [],
): Webs {
  const [south, north] = (ridgeOf(lines)?.sides ?? []).map(({ face }) => face)
  if (!south || !north) return none
  if (vault.length) return scissors({ south, north, width, half: web.depth / 2, leg }, vault)
  if (!bottom) return none
  const low = bottom.low + bottom.depth
  const at: Between = {
    floor: { normal: vec(0, 0, -1), offset: -low },
    south,
    north,
    width,
    low,
    half: web.depth / 2,
    bottom,
    leg,
  }
  switch (kind) {
    case 'king-post':
      return kingPost(at)
    case 'queen-post':
      return queenPosts(at)
    case 'w-web':
      return wWebs(at)
    case 'attic':
      return attic(at, room)
    default:
      return none
  }
}

const underAt = ({ south, north }: Pick<Between, 'south' | 'north'>, y: number): number =>
  Math.min(
    ...[south, north].map(({ carrier }) => meets(carrier.underside, vec(0, y, 0), vec(0, 0, 1)) ?? Infinity),
  )

/** The top chords' lower edges cut what runs up to them. */
const underBoth = ({ south, north }: Pick<Between, 'south' | 'north'>): readonly Plane[] => [
  south.carrier.underside,
  north.carrier.underside,
]

const plumb = (at: Between, name: string, run: Web['run'], y: number): Web => ({
  name,
  run,
  from: vec(0, y, at.low),
  to: vec(0, y, underAt(at, y)),
  half: at.half,
  cuts: [at.floor, ...underBoth(at)],
})

/**
 * The corners of the bottom chord about a place, as far as it is covered on either side of some bars' ends.
 */
function onBottom({ bottom, leg }: Between, ends: readonly Vec3[]): Vec3[] {
  const ys = ends.map(p => p.y)
  return [Math.min(...ys) - leg, Math.max(...ys) + leg].flatMap(y => [
    vec(0, y, bottom.low),
    vec(0, y, bottom.low + bottom.depth),
  ])
}

/** The corners of a top chord about a place, as far as it is covered on either side of some bars' ends. */
function onTop({ leg }: Between, { top, carrier }: RoofFace, ends: readonly Vec3[]): Vec3[] {
  const down = downOf(top)
  const along = ends.map(p => p.y * down.y + p.z * down.z)
  return [Math.min(...along) - leg, Math.max(...along) + leg].flatMap(at =>
    [top, carrier.underside].map(plane => {
      const on = scale(plane.normal, plane.offset)
      return add(vec(0, on.y, on.z), scale(down, at - (on.y * down.y + on.z * down.z)))
    }),
  )
}

/** The corners of both top chords about the ridge. */
function atRidge({ south, north, leg, width }: Pick<Between, 'south' | 'north' | 'leg' | 'width'>): Vec3[] {
  const middle = planeAcross('y', width / 2)
  return [south, north].flatMap(({ top, carrier }) => {
    const down = downOf(top)
    const corners = [top, carrier.underside].map(plane => {
      const on = scale(plane.normal, plane.offset)
      return add(vec(0, on.y, on.z), scale(down, meets(middle, on, down) ?? 0))
    })
    const far = Math.max(...corners.map(p => p.y * down.y + p.z * down.z)) + leg
    return corners.flatMap(p => [p, add(p, scale(down, far - (p.y * down.y + p.z * down.z)))])
  })
}

/** The end of a bar alone, without what is covered of it. */
const endOf = (bar: Bar, at: 'from' | 'to'): Vec3[] => coveredAt(bar, at, 0)

function kingPost(at: Between): Webs {
  const king = plumb(at, 'king', [], at.width / 2)
  return {
    webs: [king],
    joints: [
      {
        name: ['king'],
        points: [...coveredAt(king, 'from', at.leg), ...onBottom(at, endOf(king, 'from'))],
        panel: { chord: 'bottom', at: king.from },
      },
      { name: ['ridge'], points: [...atRidge(at), ...coveredAt(king, 'to', at.leg)], panel: null },
    ],
  }
}

/** The king post of scissors: between its bottom chords, whose lower edges it ends level with. */
function scissors(
  at: Pick<Between, 'south' | 'north' | 'width' | 'half' | 'leg'>,
  vault: readonly VaultChord[],
): Webs {
  const { width, half, leg } = at
  const level = Math.min(
    ...vault.map(({ lower }) => meets(lower, vec(0, width / 2 - half, 0), vec(0, 0, 1)) ?? 0),
  )
  const king: Web = {
    name: 'king',
    run: [],
    from: vec(0, width / 2, level),
    to: vec(0, width / 2, underAt(at, width / 2)),
    half,
    cuts: [{ normal: vec(0, 0, -1), offset: -level }, ...underBoth(at)],
  }
  return {
    webs: [king],
    joints: [
      {
        name: ['king'],
        points: [
          ...endOf(king, 'from'),
          ...vault.flatMap(chord => coveredAt(chord, 'to', leg)),
          ...aboveVault(vault, king, leg),
        ],
        panel: null,
      },
      { name: ['ridge'], points: [...atRidge(at), ...coveredAt(king, 'to', leg)], panel: null },
    ],
  }
}

/** The corners of a king post a leg over the bottom chords beside it. */
function aboveVault(vault: readonly VaultChord[], king: Web, leg: number): Vec3[] {
  const y = king.from.y
  const top = Math.max(
    ...vault.map(({ upper }) => meets(upper, vec(0, y - king.half, 0), vec(0, 0, 1)) ?? 0),
    ...vault.map(({ upper }) => meets(upper, vec(0, y + king.half, 0), vec(0, 0, 1)) ?? 0),
  )
  return [-1, 1].map(way => vec(0, y + way * king.half, Math.min(top + leg, king.to.z)))
}

const sides = ['south', 'north'] as const

function queenPosts(at: Between): Webs {
  const posts = [
    plumb(at, 'queen', ['south'], at.width / 3),
    plumb(at, 'queen', ['north'], (2 * at.width) / 3),
  ]
  const [a, b] = posts
  if (!a || !b) return none
  const inner = { from: a.from.y + at.half, to: b.from.y - at.half }
  const middle = underAt(at, inner.from) - at.half
  const beam: Web = {
    name: 'straining-beam',
    run: [],
    from: vec(0, inner.from, middle),
    to: vec(0, inner.to, middle),
    half: at.half,
    cuts: [flip(planeAcross('y', inner.from)), planeAcross('y', inner.to)],
  }
  return {
    webs: [...posts, beam],
    joints: [
      ...posts.map((post, i) => ({
        name: ['queen', sides[i] ?? 'south'],
        points: [...coveredAt(post, 'from', at.leg), ...onBottom(at, endOf(post, 'from'))],
        panel: { chord: 'bottom' as const, at: post.from },
      })),
      ...posts.map((post, i) => ({
        name: ['queen-head', sides[i] ?? 'south'],
        points: [
          ...coveredAt(post, 'to', at.leg),
          ...coveredAt(beam, i === 0 ? 'from' : 'to', at.leg),
          ...onTop(at, i === 0 ? at.south : at.north, endOf(post, 'to')),
        ],
        panel: { chord: (i === 0 ? at.south : at.north).id, at: post.to },
      })),
      { name: ['ridge'], points: atRidge(at), panel: null },
    ],
  }
}

/** The plane halfway between two bars that leave one point, looking to the second. */
function between(at: Vec3, a: Vec3, b: Vec3): Plane {
  const normal = unit(subtract(unit(subtract(b, at)), unit(subtract(a, at))))
  return { normal, offset: normal.y * at.y + normal.z * at.z }
}

function wWebs(at: Between): Webs {
  const { width, low, half } = at
  const ridge = vec(0, width / 2, underAt(at, width / 2))
  const made = sides.map((side, i) => {
    const turned = (y: number): number => (i === 0 ? y : width - y)
    const foot = vec(0, turned(width / 3), low)
    const chord = vec(0, turned(width / 4), underAt(at, turned(width / 4)))
    const parting = between(foot, chord, ridge)
    const short: Web = {
      name: 'web',
      run: [side, 1],
      from: foot,
      to: chord,
      half,
      cuts: [at.floor, parting, ...underBoth(at)],
    }
    const middle = planeAcross('y', width / 2)
    const long: Web = {
      name: 'web',
      run: [side, 2],
      from: foot,
      to: ridge,
      half,
      cuts: [at.floor, flip(parting), ...underBoth(at), i === 0 ? middle : flip(middle)],
    }
    return { side, short, long, face: i === 0 ? at.south : at.north }
  })
  return {
    webs: made.flatMap(({ short, long }) => [short, long]),
    joints: [
      ...made.map(({ side, short, long }) => ({
        name: ['foot', side],
        points: [
          ...coveredAt(short, 'from', at.leg),
          ...coveredAt(long, 'from', at.leg),
          ...onBottom(at, [...endOf(short, 'from'), ...endOf(long, 'from')]),
        ],
        panel: { chord: 'bottom' as const, at: short.from },
      })),
      ...made.map(({ side, short, face }) => ({
        name: ['chord', side],
        points: [...coveredAt(short, 'to', at.leg), ...onTop(at, face, endOf(short, 'to'))],
        panel: { chord: face.id, at: short.to },
      })),
      {
        name: ['ridge'],
        points: [...atRidge(at), ...made.flatMap(({ long }) => coveredAt(long, 'to', at.leg))],
        panel: null,
      },
    ],
  }
}

function attic(at: Between, room: BuildingTruss['room']): Webs {
  const { width, low, half } = at
  const inner = { from: (width - room.width) / 2, to: (width + room.width) / 2 }
  const posts = [
    plumb(at, 'post', ['south'], inner.from - half),
    plumb(at, 'post', ['north'], inner.to + half),
  ]
  const level = low + room.height
  // where the posts reach up past the collar it ends between them
  const beside = underAt(at, inner.from) > level + 2 * half
  const collar: Web = {
    name: 'collar',
    run: [],
    from: vec(0, beside ? inner.from : meetsUnder(at.south, level + half), level + half),
    to: vec(0, beside ? inner.to : meetsUnder(at.north, level + half), level + half),
    half,
    cuts: beside ? [flip(planeAcross('y', inner.from)), planeAcross('y', inner.to)] : underBoth(at),
  }
  const under: Plane = { normal: vec(0, 0, 1), offset: level }
  // under the collar, where the chords leave the posts' inner edges as high
  const reaches = [inner.from, inner.to].map(y => underAt(at, y) > level)
  const cutPosts = posts.map((post, i) =>
    !beside && reaches[i] ? { ...post, cuts: [...post.cuts, under] } : post,
  )
  const faces = [at.south, at.north]
  return {
    webs: [...cutPosts, collar],
    joints: [
      ...cutPosts.map((post, i) => ({
        name: ['post', sides[i] ?? 'south'],
        points: [...coveredAt(post, 'from', at.leg), ...onBottom(at, endOf(post, 'from'))],
        panel: { chord: 'bottom' as const, at: post.from },
      })),
      ...cutPosts.map((post, i) => ({
        name: ['post-head', sides[i] ?? 'south'],
        points: [
          ...coveredAt(post, 'to', at.leg),
          ...coveredAt(collar, i === 0 ? 'from' : 'to', at.leg),
          ...onTop(at, faces[i] ?? at.south, [
            ...endOf(post, 'to'),
            ...endOf(collar, i === 0 ? 'from' : 'to'),
          ]),
        ],
        panel: { chord: (faces[i] ?? at.south).id, at: post.to },
      })),
      { name: ['ridge'], points: atRidge(at), panel: null },
    ],
  }
}

const meetsUnder = ({ carrier }: RoofFace, level: number): number =>
  meets(carrier.underside, vec(0, 0, level), vec(0, 1, 0)) ?? 0

/**
 * A web joint's gusset, trimmed to the roof line, to the bottom chord's lower edge and to the walls'
 * outsides.
 */
export function hullOn(
  lines: RoofLines,
  { points }: WebJoint,
  bottom: Bottom,
): { readonly hull: Vec3[]; readonly trims: Plane[] } {
  return {
    hull: hullOf(points),
    trims: [
      ...lines.faces.map(face => face.top),
      { normal: vec(0, 0, -1), offset: -bottom.low },
      ...lowEaves(lines).map(({ outside }) => outside),
    ],
  }
}
