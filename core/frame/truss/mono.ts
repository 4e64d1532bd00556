import type { Building } from '../../design'
import { flip, meets, type Plane, planeAcross, vec, type Vec3 } from '../../geometry'
import { highEaveOf, type RoofFace, type RoofLines, type RoofLumber } from '../../lines'
import { coverOn } from '../roof/cover'
import { finishEnd } from '../roof/tails'
import { coveredAt, together } from './flat'
import type { Bottom } from './joints'
import { between, endOf, onBottom, onTop, type Web, type Webs } from './panels'

/** A truss of one slope: `turned` takes a place in from the low wall's outside to one across the building. */
interface Mono {
  readonly width: number
  readonly turned: (from: number) => number
  readonly face: RoofFace
  /** The bottom chord's upper edge, looking down from what stands on it; and the top chord's lower one. */
  readonly floor: Plane
  readonly under: Plane
  readonly low: number
  readonly half: number
  readonly bottom: Bottom
  /** Where boards let into the tails over the high wall begin, looking out to them; none without. */
  readonly finish: readonly Plane[]
}

/**
 * What stands over the high wall of one slope's trusses, of every kind: null of roofs that meet at a ridge.
 */
function monoOf(
  building: Building,
  lines: RoofLines,
  lumber: RoofLumber,
  bottom: Bottom | null,
): Mono | null {
  const [face] = lines.faces
  const high = face && highEaveOf(lines, face)
  if (!face || !high?.onPosts || !bottom) return null
  const low = bottom.low + bottom.depth
  const { width } = building.footprint
  const { web, finish } = lumber
  return {
    width,
    turned: from => (high.side === 'north' ? from : width - from),
    face,
    floor: { normal: vec(0, 0, -1), offset: -low },
    under: face.carrier.underside,
    low,
    half: web.depth / 2,
    bottom,
    finish: finish ? [flip(finishEnd(high, coverOn(building, lumber, high.side), finish.thickness))] : [],
  }
}

/** On the top chord's lower edge, so far in from the low wall's outside. */
function underAt({ turned, under }: Mono, from: number): Vec3 {
  const y = turned(from)
  return vec(0, y, meets(under, vec(0, y, 0), vec(0, 0, 1)) ?? 0)
}

/** The end post, on the bottom chord over the high wall, flush with the wall's outside. */
function endPost(at: Mono): Web {
  const head = underAt(at, at.width - at.half)
  return {
    name: 'end-post',
    run: [],
    from: vec(0, head.y, at.low),
    to: head,
    half: at.half,
    cuts: [at.floor, at.under],
  }
}

/** The end post's inner face: what looks out of the truss's triangle there. */
function innerFace({ turned, width, half }: Mono): Plane {
  const plane = planeAcross('y', turned(width - 2 * half))
  return turned(0) === 0 ? plane : flip(plane)
}

/** Its two joints; `long` the web that comes up to its head, null without. */
const postJoints = (at: Mono, post: Web, long: Web | null): Webs['joints'] => [
  {
    name: ['post'],
    covered: together(coveredAt(post, 'from'), onBottom(at, endOf(post, 'from'))),
    panel: null,
    inside: [at.floor, innerFace(at)],
  },
  {
    name: ['post-head'],
    covered: together(
      coveredAt(post, 'to'),
      ...(long ? [coveredAt(long, 'to')] : []),
      onTop(at.face, [...endOf(post, 'to'), ...(long ? endOf(long, 'to') : [])]),
    ),
    panel: null,
    inside: [at.under, innerFace(at)],
    trims: at.finish,
  },
]

/**
 * The end posts that carry one slope's trusses over its high wall, with their joints; nothing of other roofs.
 */
export function endPostsOf(...ask: Parameters<typeof monoOf>): Webs {
  const at = monoOf(...ask)
  if (!at) return { webs: [], joints: [] }
  const post = endPost(at)
  return { webs: [post], joints: postJoints(at, post, null) }
}

/**
 * The end post and the two webs of a mono truss: from two thirds of the bottom chord, in from the low wall,
 * to the half of the top chord and to the head of the end post; nothing of other roofs.
 */
export function monoWebs(...ask: Parameters<typeof monoOf>): Webs {
  const at = monoOf(...ask)
  if (!at) return { webs: [], joints: [] }
  const { width, turned, low, half, floor, under, face } = at
  const post = endPost(at)
  const foot = vec(0, turned((2 * width) / 3), low)
  const chord = underAt(at, width / 2)
  const inner = width - 2 * half
  const head = underAt(at, inner)
  const parting = between(foot, chord, head)
  const web = (number: number, to: Vec3, cuts: readonly Plane[]): Web => ({
    name: 'web',
    run: [number],
    from: foot,
    to,
    half,
    cuts: [floor, ...cuts, under],
  })
  const short = web(1, chord, [parting])
  const long = web(2, head, [flip(parting), innerFace(at)])
  return {
    webs: [short, long, post],
    joints: [
      {
        name: ['foot'],
        covered: together(
          coveredAt(short, 'from'),
          coveredAt(long, 'from'),
          onBottom(at, [...endOf(short, 'from'), ...endOf(long, 'from')]),
        ),
        panel: { chord: 'bottom', at: foot },
      },
      {
        name: ['chord'],
        covered: together(coveredAt(short, 'to'), onTop(face, endOf(short, 'to'))),
        panel: { chord: face.id, at: chord },
      },
      ...postJoints(at, post, long),
    ],
  }
}
