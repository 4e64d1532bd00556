import { cutBoard } from '../board'
import { flip, planeAcross, planeToBoard } from '../geometry'
import { eavesOf } from '../lines'
import { type InSection, isPlate, isRoofCover, middleOf, roles, type Stretch } from '../trade'
import { HAIR, TOUCHING } from '../measure'
import { type Member, type MemberPlace, type WallName, faceOf, isOfWall } from '../frame'
import { type Plan, stretchOf } from '../plan'

/** Where the building can be cut across at a rafter, along the length; mm. */
export const sectionPlaces = ({ frame }: Plan): readonly Stretch[] => eavesOf(frame.roof)[0]?.rafters ?? []

/** The place of a rafter by its number, or of the one near the middle; undefined without any. */
export function sectionPlace(plan: Plan, at?: number): Stretch | undefined {
  const places = sectionPlaces(plan)
  return places[at ?? Math.ceil(places.length / 2) - 1]
}

/** Whether it is nailed to a rafter's face or end. */
const isNailed = ({ role }: Member): boolean => ['nailed', 'tie'].includes(roles[role].section)

/** Whether the nearest is shown near the middle, where none is cut. */
const isNearest = (how: InSection): boolean => how === 'tie' || how === 'strut'

/** Whether it is of a face or an edge that lies over a wall at an end of the building. */
const isOverEnd = ({ of }: MemberPlace): boolean =>
  (of?.kind === 'face' || of?.kind === 'edge') && (of.id === 'east' || of.id === 'west')

/**
 * The members that a cut beside a rafter shows: those that stand there, what runs past, the ties nailed to it
 * or, near the middle, the nearest, and studs behind, those of partitions along the building too.
 */
export function sectionMembers(plan: Plan, at?: number): Member[] {
  const { frame } = plan
  const place = sectionPlace(plan, at)
  const lengthwise = frame.walls.filter(({ along }) => along === 'x')
  const walls = frame.across.filter(
    ({ where, role }) =>
      lengthwise.some(({ name }) => isOfWall(where, name)) &&
      (isPlate(role) || (where.of?.kind === 'wall' && where.name === 'stud' && where.run[0] === 2)),
  )
  const posts = lengthwise.flatMap(({ name }) => sideOfPosts(plan, name, place ?? { from: 0, to: 0 }))
  if (!place) return [...posts, ...walls]
  const roof = [...frame.across, ...frame.roofingOver(place)]
    .filter(({ where, role }) => where.in === 'roof' && role !== 'hip' && !isOverEnd(where))
    .map(member => ({ member, x: stretchOf(member, 'x') }))
  const gap = (x: Stretch): number => Math.max(0, x.from - place.to, place.from - x.to)
  const there = roof.filter(
    ({ member, x }) =>
      !isNailed(member) &&
      gap(x) < HAIR &&
      x.from < place.to - HAIR &&
      x.to > place.from + HAIR &&
      // of two sheets that meet over the rafter one
      (!isRoofCover(member.role) || (x.from < middleOf(place) + HAIR && x.to > middleOf(place) + HAIR)),
  )
  const nailed = roof.filter(
    ({ member, x }) =>
      isNailed(member) && gap(x) < TOUCHING && (member.role !== 'roof-block' || x.from > place.from),
  )
  // near the middle a tie that stands a bay away is shown too
  const nearest = new Map<string, (typeof roof)[number]>()
  for (const each of at === undefined
    ? roof.filter(
        ({ member: { role } }) =>
          isNearest(roles[role].section) && !nailed.some(({ member }) => member.role === role),
      )
    : []) {
    // one of each kind of tie, and of each slope's braces
    const { where, role } = each.member
    const row = role === 'purlin-brace' ? `${role} ${faceOf(where)}` : role
    const known = nearest.get(row)
    if (!known || gap(each.x) < gap(known.x)) nearest.set(row, each)
  }
  const ties = [...nailed, ...nearest.values()]
  return [
    ...ties,
    ...there.filter(({ member }) => roles[member.role].section !== 'rafter'),
    ...there.filter(({ member }) => roles[member.role].section === 'rafter'),
  ]
    .map(({ member }) =>
      plan.building.roof.taper && member.role === 'ledger' ? cutAt(member, place) : member,
    )
    .concat(posts, walls)
}

/** A ledger out of line as far as it lies beside a rafter. */
function cutAt(member: Member, { from, to }: Stretch): Member {
  const { board, placement } = member
  const cut = cutBoard(board.blank, [
    ...board.cuts,
    ...[flip(planeAcross('x', from)), planeAcross('x', to)].map(plane => ({
      ...{ kind: 'end' as const, name: 'plumb' as const },
      plane: planeToBoard(placement, plane),
    })),
  ])
  return cut.ok ? { ...member, board: cut.board } : member
}

/** The post of a side nearest to a place along it, and the beam there, seen along the side. */
function sideOfPosts({ frame }: Plan, name: WallName, place: Stretch): Member[] {
  const of = (role: Member['role']): Member[] =>
    frame.across.filter(member => member.role === role && isOfWall(member.where, name))
  const off = (member: Member): number => {
    const { from, to } = stretchOf(member, 'x')
    return Math.max(0, from - place.to, place.from - to)
  }
  const nearest = of('wall-post')
    .sort((a, b) => off(a) - off(b))
    .slice(0, 1)
  return [...nearest, ...of('wall-beam').filter(beam => off(beam) === 0)]
}
