import { type Member, type MemberPlace } from '../frame'
import { cross, dot, scale, toBuilding, vec } from '../geometry'
import { type Eave, eavesOf, tailedEave } from '../lines'
import { ONE_READING } from '../measure'
import type { Plan } from '../plan'
import { dimension, type Drawing, drawn, type Line, type Point, type RunningMark } from './drawing'
import { flatten, seen, type View } from './view'

const isOf = ({ of }: MemberPlace, { id }: Eave): boolean => of?.kind === 'edge' && of.id === id

/** The eaves of a face, at its low end and its high one. */
const eavesUnder = (plan: Pick<Plan, 'frame'>, face: string): Eave[] =>
  eavesOf(plan.frame.roof).filter(eave => eave.face.id === face || tailedEave(eave).face.id === face)

/** The face that a soffit board is looked at with. */
export const faceOfSoffit = ({ frame }: Pick<Plan, 'frame'>, where: MemberPlace): string | null =>
  eavesOf(frame.roof).find(eave => isOf(where, eave))?.face.id ?? null

/** The boards under a face's low eave, or its high one where it has no other, true size from below. */
export function soffitUnder(plan: Plan, face: string): Drawing {
  const boards = plan.frame.covering.filter(({ role }) => role === 'soffit-board')
  const [eave] = eavesUnder(plan, face).filter(each => boards.some(({ where }) => isOf(where, each)))
  const members = eave ? boards.filter(({ where }) => isOf(where, eave)) : []
  const view = viewOf(members)
  const corners = (member: Member): Point[] =>
    member.board.faces.flatMap(({ loops }) =>
      loops.flat().map(p => flatten(view, toBuilding(member.placement, p))),
    )
  const points = members.flatMap(corners)
  const tails = eave ? tailsOver(tailedEave(eave), view, points) : []
  const low: Point = { x: Math.min(0, ...points.map(p => p.x)), y: Math.min(0, ...points.map(p => p.y)) }
  const from: Point = points.length
    ? { x: Math.min(...points.map(p => p.x)), y: Math.min(...points.map(p => p.y)) }
    : low
  const to: Point = points.length
    ? { x: Math.max(...points.map(p => p.x)), y: Math.max(...points.map(p => p.y)) }
    : low
  return drawn(`soffit-${face}`, {
    patches: seen(members, view),
    lines: tails,
    running: runningOf(members.map(corners), from, to.x),
    dimensions: members.length
      ? [
          dimension('below', 1, 'along-eave', from, { x: to.x, y: from.y }, to.x - from.x),
          dimension('right', 1, 'soffit-wide', { x: to.x, y: from.y }, to, to.y - from.y),
        ]
      : [],
    areas: [
      {
        subject: 'roof.cover',
        loop: [from, { x: to.x, y: from.y }, to, { x: from.x, y: to.y }],
        over: members.length === 0,
      },
    ],
  })
}

/** Square on the boards from below, the wall above. */
function viewOf([first]: readonly Member[]): View {
  const up = first ? scale(first.placement.depth, -1) : vec(0, 1, 0)
  const toward = first ? first.placement.thickness : vec(0, 0, -1)
  return { right: cross(up, toward), up, toward }
}

/** The middles of the tails that boards end on. */
function tailsOver({ rafters, outside }: Eave, view: View, points: readonly Point[]): Line[] {
  if (!points.length) return []
  const axis = Math.abs(outside.normal.y) > 0.5 ? vec(1, 0, 0) : vec(0, 1, 0)
  const way = dot(view.right, axis)
  const ys = points.map(p => p.y)
  return rafters.map(({ from, to }): Line => {
    const x = ((from + to) / 2) * way
    return { from: { x, y: Math.min(...ys) }, to: { x, y: Math.max(...ys) }, ink: 'behind' }
  })
}

/** More marks than this can't be read under a drawing. */
const MOST = 24

/** Where boards meet, running from the left. */
function runningOf(
  boards: readonly (readonly Point[])[],
  { x: left, y }: Point,
  right: number,
): RunningMark[] {
  const ends = [...new Set(boards.map(points => Math.round(Math.max(...points.map(p => p.x)) * 10) / 10))]
  const joints = ends.filter(x => x < right - ONE_READING)
  return joints.length > MOST
    ? []
    : joints
        .sort((a, b) => a - b)
        .map(x => ({ at: { x, y }, value: Math.max(0, x - left), to: null, letter: '' }))
}
