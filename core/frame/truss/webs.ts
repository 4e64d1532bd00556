import type { Building, BuildingTruss } from '../../design'
import { distance, flip, meets, type Plane, planeAcross, vec } from '../../geometry'
import { INCH } from '../../measure'
import { ridgeOf, type RoofLines, type RoofLumber } from '../../lines'
import { type Covered, coveredAt, together } from './flat'
import type { Bottom } from './joints'
import { endPostsOf, monoWebs } from './mono'
import type { VaultChord } from './vault'
import {
  type Between,
  type Web,
  type Webs,
  atRidge,
  between,
  endOf,
  meetsUnder,
  onBottom,
  onTop,
  plumb,
  underAt,
  underBoth,
} from './panels'

const none: Webs = { webs: [], joints: [] }

/**
 * The webs of a truss on a gable's roof line, or of one slope, and the joints they make. They meet at panel
 * points: a king post in the middle; queen posts at the thirds of the bottom chord, a beam between their
 * heads; those of a W from the thirds of the bottom chord to the halves of the top chords and to the ridge;
 * the posts and collar of an attic about its room; the king post of scissors between the heads of their
 * bottom chords.
 */
export function websOf(
  building: Building,
  lines: RoofLines,
  lumber: RoofLumber,
  truss: BuildingTruss,
  bottom: Bottom | null,
  vault: readonly VaultChord[] = [],
): Webs {
  const { width } = building.footprint
  const { web } = lumber
  const { kind, room } = truss
  if (!ridgeOf(lines)) return (kind === 'mono' ? monoWebs : endPostsOf)(building, lines, lumber, bottom)
  const [south, north] = (ridgeOf(lines)?.sides ?? []).map(({ face }) => face)
  if (!south || !north) return none
  if (vault.length) return scissors({ south, north, width, half: web.depth / 2 }, vault)
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

function kingPost(at: Between): Webs {
  const king = plumb(at, 'king', [], at.width / 2)
  return {
    webs: [king],
    joints: [
      {
        name: ['king'],
        covered: together(coveredAt(king, 'from'), onBottom(at, endOf(king, 'from'))),
        panel: { chord: 'bottom', at: king.from },
      },
      { name: ['ridge'], covered: together(atRidge(at), coveredAt(king, 'to')), panel: null },
    ],
  }
}

/** The king post of scissors: between its bottom chords, whose lower edges it ends level with. */
function scissors(
  at: Pick<Between, 'south' | 'north' | 'width' | 'half'>,
  vault: readonly VaultChord[],
): Webs {
  const { width, half } = at
  const level = Math.min(...vault.map(chord => levelBeside(chord, chord.lower, { y: width / 2, half })))
  const king: Web = {
    name: 'king',
    run: [],
    from: vec(0, width / 2, level),
    to: vec(0, width / 2, underAt(at, width / 2)),
    half,
    cuts: [{ normal: vec(0, 0, -1), offset: -level }, ...underBoth(at)],
  }
  const foot = endOf(king, 'from')
  return {
    webs: [king],
    joints: [
      {
        name: ['king'],
        covered: together(() => foot, ...vault.map(chord => coveredAt(chord, 'to')), aboveVault(vault, king)),
        panel: null,
      },
      { name: ['ridge'], covered: together(atRidge(at), coveredAt(king, 'to')), panel: null },
    ],
  }
}

/** The level of an edge of a bottom chord at the face of the post that it ends on: each comes to its own. */
function levelBeside(
  { side }: VaultChord,
  edge: VaultChord['upper'],
  post: { readonly y: number; readonly half: number },
): number {
  const face = post.y + (side === 'south' ? -post.half : post.half)
  return meets(edge, vec(0, face, 0), vec(0, 0, 1)) ?? 0
}

/** The corners of a king post a leg over the bottom chords beside it. */
function aboveVault(vault: readonly VaultChord[], king: Web): Covered {
  const y = king.from.y
  const top = Math.max(...vault.map(chord => levelBeside(chord, chord.upper, { y, half: king.half })))
  return leg => [-1, 1].map(way => vec(0, y + way * king.half, Math.min(top + leg, king.to.z)))
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
        covered: together(coveredAt(post, 'from'), onBottom(at, endOf(post, 'from'))),
        panel: { chord: 'bottom' as const, at: post.from },
      })),
      ...posts.map((post, i) => ({
        name: ['queen-head', sides[i] ?? 'south'],
        covered: together(
          coveredAt(post, 'to'),
          coveredAt(beam, i === 0 ? 'from' : 'to'),
          onTop(i === 0 ? at.south : at.north, endOf(post, 'to')),
        ),
        panel: { chord: (i === 0 ? at.south : at.north).id, at: post.to },
      })),
      { name: ['ridge'], covered: atRidge(at), panel: null },
    ],
  }
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
        covered: together(
          coveredAt(short, 'from'),
          coveredAt(long, 'from'),
          onBottom(at, [...endOf(short, 'from'), ...endOf(long, 'from')]),
        ),
        panel: { chord: 'bottom' as const, at: short.from },
      })),
      ...made.map(({ side, short, face }) => ({
        name: ['chord', side],
        covered: together(coveredAt(short, 'to'), onTop(face, endOf(short, 'to'))),
        panel: { chord: face.id, at: short.to },
      })),
      {
        name: ['ridge'],
        covered: together(atRidge(at), ...made.map(({ long }) => coveredAt(long, 'to'))),
        panel: null,
      },
    ],
  }
}

/**
 * mm from a post's head to a collar's end below which one gusset holds both: two of a usual foot along each
 * member would meet (common practice, no source).
 */
const ONE_GUSSET = 30 * INCH

/** Both edges of a post a leg over and under a level. */
const alongPost =
  (post: Web, level: number): Covered =>
  leg =>
    [-1, 1].flatMap(way => [-1, 1].map(up => vec(0, post.from.y + way * post.half, level + up * leg)))

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
        covered: together(coveredAt(post, 'from'), onBottom(at, endOf(post, 'from'))),
        panel: { chord: 'bottom' as const, at: post.from },
      })),
      ...cutPosts.flatMap((post, i): Webs['joints'][number][] => {
        const [side, face] = [sides[i] ?? 'south', faces[i] ?? at.south]
        const end = i === 0 ? 'from' : 'to'
        const head = { name: ['post-head', side], panel: { chord: face.id, at: post.to } }
        if (distance(post.to, collar[end]) < ONE_GUSSET)
          return [
            {
              ...head,
              covered: together(
                coveredAt(post, 'to'),
                coveredAt(collar, end),
                onTop(face, [...endOf(post, 'to'), ...endOf(collar, end)]),
              ),
            },
          ]
        return [
          { ...head, covered: together(coveredAt(post, 'to'), onTop(face, endOf(post, 'to'))) },
          {
            name: ['collar', side],
            covered: together(
              coveredAt(collar, end),
              beside ? alongPost(post, collar[end].z) : onTop(face, endOf(collar, end)),
            ),
            panel: beside ? null : { chord: face.id, at: collar[end] },
          },
        ]
      }),
      { name: ['ridge'], covered: atRidge(at), panel: null },
    ],
  }
}
