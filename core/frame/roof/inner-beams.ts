import { type Building, type InnerBeam, kneePurlinOf, type WallId } from '../../design'
import { vec } from '../../geometry'
import type { InnerLumber, Problem, RoofLines, RoofLumber } from '../../lines'
import { stockLengths } from '../../lumber'
import { HAIR } from '../../measure'
import { isCeilingJoist, least, pliesOf, type Role, type Stretch } from '../../trade'
import { boxOf, type Member, type Order } from '../member'
import { idOf, inRoof, type MemberPlace, nth, ofFace } from '../place'
import { lyingBoard, squareBoard } from '../square-board'
import {
  type Bay,
  baysOf,
  clearAcross,
  footAt,
  type Inside,
  type PostRow,
  postRow,
  takenAcross,
} from './inner-room'
import { kneeSupports } from './knee-support'
import { partsOf, stairsOf } from './stairs'
import { betweenEnds, tiePlate } from './ties'

/**
 * A beam inside the building as framed: its middle across the building, and its edges over the deck; the most
 * that is clear between what carries it, mm; and the walls that an end of it hangs on.
 */
export interface InnerBeamLine {
  readonly role: 'joist-beam' | 'knee-purlin'
  readonly at: number
  readonly bottom: number
  readonly top: number
  readonly clear: number
  readonly hung: readonly WallId[]
  /** The joists that are of two boards, joined over it. */
  readonly joined: readonly string[]
}

/** Beams inside a building with their posts, and why some can't be. */
export interface InnerFrame {
  readonly lines: readonly InnerBeamLine[]
  readonly orders: readonly Order[]
  readonly problems: readonly Problem[]
  /** Joists that are of two boards, joined over their beam: what they were called whole. */
  readonly parted: ReadonlySet<string>
}

export const noInnerBeams: InnerFrame = { lines: [], orders: [], problems: [], parted: new Set() }

/** How long each part of a joist is at least that is joined over a beam, mm. */
const PART = 600

/** A beam that is asked for: what it is made of, and where it lies. */
interface Ask {
  readonly role: InnerBeamLine['role']
  readonly post: Role
  readonly place: (name: string, ...run: readonly (number | string)[]) => MemberPlace
  readonly beam: InnerBeam
  readonly of: InnerLumber
  /** Its middle across the building, and its upper edge, mm. */
  readonly at: number
  readonly top: number
}

/**
 * The beam that ceiling joists lie on, and the purlins under a gambrel's knees, with posts under them from
 * the deck, or from a partition along the building: found among the boards that stand, after those are cut.
 * A partition across the building parts them.
 */
export function innerBeams(
  lumber: RoofLumber,
  lines: RoofLines,
  around: Omit<Inside, 'stairs'>,
  laid: readonly Order[],
): InnerFrame {
  const { building, members } = around
  const inside: Inside = { ...around, stairs: stairsOf(members) }
  const kneesAsked = kneeAsks(building, lumber, lines)
  const { ask, problems } = joistBeamAsk(building, lumber, lines, inside, kneesAsked.map(underPosts))
  const along = betweenEnds(building)
  const knees = kneesAsked.map(each => framedBeam(each, along, inside))
  if (!ask)
    return {
      parted: new Set(),
      lines: knees.flatMap(each => each.lines),
      orders: knees.flatMap(each => each.orders),
      problems: [...problems, ...knees.flatMap(each => each.problems)],
    }
  const under = framedBeam(ask, along, inside)
  const parted = tooLong(building, members, ask.at)
  const parts = laid
    .filter(({ where }) => parted.has(idOf(where)))
    .flatMap(each => partsOf(each, ask.at, ask.at))
  return {
    parted,
    lines: [
      ...under.lines.map(line => ({ ...line, joined: parts.map(({ where }) => idOf(where)) })),
      ...knees.flatMap(each => each.lines),
    ],
    orders: [...under.orders, ...knees.flatMap(each => each.orders), ...parts],
    problems: [...under.problems, ...knees.flatMap(each => each.problems)],
  }
}

/** Ceiling joists over a beam that are longer than what is sold. */
function tooLong({ lumber: { yard } }: Building, members: readonly Member[], at: number): Set<string> {
  const longest = stockLengths[yard].at(-1) ?? Infinity
  return new Set(
    members
      .filter(({ role }) => isCeilingJoist(role))
      .filter(joist => {
        const { from, to } = boxOf(joist).y
        return to - from > longest + HAIR && at - from > PART && to - at > PART
      })
      .map(({ id }) => id),
  )
}

/** Across the building, where a beam's posts stand. */
const underPosts = ({ at, of: { post } }: Ask): Stretch => ({
  from: at - post.depth / 2,
  to: at + post.depth / 2,
})

/**
 * The beam under the ceiling joists that stand, clear of the posts of others, or why it can't be; neither
 * where none is asked for.
 */
function joistBeamAsk(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  inside: Inside,
  posts: readonly Stretch[],
): { readonly ask: Ask | null; readonly problems: readonly Problem[] } {
  const { joistBeam: beam, ties } = building.roof
  const of = lumber.joistBeam
  const joists = inside.members.filter(({ role }) => isCeilingJoist(role)).map(joist => boxOf(joist).y)
  if (!beam || !of || !ties.ceiling || !joists.length) return { ask: null, problems: [] }
  const refused = (problem: Problem) => ({ ask: null, problems: [problem] })
  const top = tiePlate(lines) + ties.ceiling.height
  const most = top - least.post
  if (of.ply.depth > most + HAIR)
    return refused({ code: 'joist-beam-low', path: 'roof.joistBeam.section', most })
  const { width } = building.footprint
  const breadth = Math.max(of.ply.thickness * beam.plies, of.post.depth)
  const asked = beam.at ?? width / 2
  const { below, above } = clearAcross(
    asked,
    breadth,
    [...posts, ...takenAcross(inside, betweenEnds(building), { from: top - of.ply.depth, to: top })],
    // up in a roof joists end short of the walls
    {
      from: Math.max(building.depths.south, Math.min(...joists.map(({ from }) => from))),
      to: Math.min(width - building.depths.north, Math.max(...joists.map(({ to }) => to))),
    },
  )
  const nearest = above === null || (below !== null && asked - below <= above - asked) ? below : above
  if (nearest === null || (beam.at !== null && Math.abs(nearest - asked) > HAIR))
    return refused({ code: 'joist-beam-no-room', path: 'roof.joistBeam.at', below, above })
  return {
    ask: { role: 'joist-beam', post: 'joist-post', place: inRoof, beam, of, at: nearest, top },
    problems: [],
  }
}

/** Whether a beam under ceiling joists or purlins under knees are asked for at all. */
export const asksInnerBeams = ({ roof }: Building, { joistBeam, kneePurlin }: RoofLumber): boolean =>
  !!(roof.joistBeam && joistBeam && roof.ties.ceiling) || !!(kneePurlinOf(roof) && kneePurlin)

/** The purlins under the knees of a gambrel's rafters, where they find room. */
function kneeAsks(building: Building, lumber: RoofLumber, lines: RoofLines): Ask[] {
  const beam = kneePurlinOf(building.roof)
  const of = lumber.kneePurlin
  if (!beam || !of) return []
  return kneeSupports(building, lumber, lines).map(({ knee, out, inner, outer, top }): Ask => ({
    role: 'knee-purlin',
    post: 'knee-post',
    place: (name, ...run) => ofFace(knee.sides[0].face, name, ...run),
    beam,
    of,
    at: (out.y * (inner + outer)) / 2,
    top,
  }))
}

/** A beam's plies, bay by bay, joined over posts; and the posts. */
function framedBeam(ask: Ask, along: Stretch, inside: Inside): Omit<InnerFrame, 'parted'> {
  const { role, beam, of, at, top } = ask
  const { ply, post } = of
  const half = (ply.thickness * beam.plies) / 2
  const across = { from: at - half, to: at + half }
  const under = underPosts(ask)
  const bottom = top - ply.depth
  const z = { from: footAt(inside, under), to: bottom }
  const bays = baysOf(inside, along, across, { from: bottom, to: top })
    .filter(({ from, to }) => to - from > least.purlin)
    .map(bay => ({
      bay,
      row: postRow(inside, bay, under, z, { thick: post.thickness, spacing: beam.spacing }),
    }))
  const plies = bays.map(({ bay, row }) =>
    pliesOf(bay, beam.plies, row.places, inside.building.walls.longest),
  )
  const posts = bays.flatMap(({ row }) => row.places)
  return {
    lines: [
      {
        role,
        at,
        bottom,
        top,
        clear: Math.max(0, ...bays.map(({ bay, row }) => clearOf(bay, row, post.thickness))),
        hung: bays.flatMap(({ bay, row }) => bay.walls.filter((_, i) => row.hung[i])),
        joined: [],
      },
    ],
    orders: [
      ...plies.flatMap((rows, i) =>
        rows.flatMap((row, k) =>
          row.map((s, j): Order =>
            lyingBoard({
              where: ask.place(role, ...nth(i, bays), k + 1, ...nth(j, row)),
              role,
              section: ply,
              along: 'x',
              ...s,
              across: across.from + k * ply.thickness,
              low: bottom,
            }),
          ),
        ),
      ),
      ...posts.map((x, i): Order =>
        squareBoard({
          where: ask.place(ask.post, i + 1),
          role: ask.post,
          section: post,
          along: 'z',
          depth: 'y',
          ...z,
          corner: vec(x - post.thickness / 2, under.from, 0),
        }),
      ),
    ],
    problems: bays.some(({ row }) => row.blocked)
      ? [
          role === 'joist-beam'
            ? { code: 'joist-post-blocked', path: 'roof.joistBeam.spacing' }
            : { code: 'knee-post-blocked', path: 'roof.gambrel.purlin.spacing' },
        ]
      : [],
  }
}

/** The most that is clear between what carries a beam in a bay: posts, and walls that it hangs on; mm. */
function clearOf({ from, to }: Bay, { places, hung }: PostRow, thick: number): number {
  const faces = [
    ...(hung[0] ? [from] : []),
    ...places.flatMap(at => [at - thick / 2, at + thick / 2]),
    ...(hung[1] ? [to] : []),
  ].sort((a, b) => a - b)
  return Math.max(
    0,
    ...faces
      .slice(1)
      .map((face, i) => face - (faces[i] ?? face))
      .filter(gap => gap > thick + HAIR),
  )
}
