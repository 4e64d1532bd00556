import {
  type CoverField,
  faceOf,
  type FacePoint,
  type Member,
  onField,
  outlineAt,
  seamsUp,
  sliceOf,
} from '../frame'
import { type CoverGroup, coverOfFace } from '../design'
import { cross } from '../geometry'
import { ONE_READING } from '../measure'
import { battensUp, type Plan, screwLines, valueOf } from '../plan'
import type { Role } from '../trade'
import {
  dimension,
  type Dimension,
  type Drawing,
  drawn,
  type Handle,
  type Label,
  type Line,
  type Point,
  ring,
  type RunningMark,
} from './drawing'
import { soffitUnder } from './soffit-view'
import { flatten, seen, type View } from './view'

/** The layers of a roof's covering, from under the tails out. */
export const coverLayers = ['soffit', 'deck', 'battens', 'top'] as const
export type CoverLayer = (typeof coverLayers)[number]

const layers: Partial<Record<Role, CoverLayer>> = {
  'soffit-board': 'soffit',
  'roof-sheet': 'deck',
  'roof-board': 'deck',
  'roof-batten': 'battens',
  'roof-panel': 'top',
}

/** The layer that a piece lies in; undefined of other boards. */
export const layerOf = (role: Role): CoverLayer | undefined => layers[role]

/** The layers that a roof has. */
export const layersOf = ({ frame }: Pick<Plan, 'frame'>): CoverLayer[] => {
  const there = new Set(frame.covering.map(({ role }) => layerOf(role)))
  return coverLayers.filter(layer => there.has(layer))
}

/** Square on a face from outside, its eave below. */
const viewOf = ({ up, out }: CoverField): View => ({ right: cross(up, out), up, toward: out })

/** A face of the roof as it is covered, true size: one layer of it over the rafters that it lies on. */
export function coverFace(plan: Plan, face: string, asked?: number): Drawing {
  const field = plan.frame.covered.find(each => each.face.id === face)
  if (!field) throw new RangeError(`no face ${face}`)
  const there = layersOf(plan)
  const layer = there[asked ?? there.length - 1]
  if (layer === 'soffit') return soffitUnder(plan, face)
  const members = plan.frame.covering.filter(
    member => faceOf(member.where) === face && layerOf(member.role) === layer,
  )
  const view = viewOf(field)
  const at = (p: FacePoint): Point => flatten(view, onField(field, p, 0))
  const loop = outlineAt(field, 0).map(at)
  const patches = seen(members, view)
  const low: Point = { x: Math.min(...loop.map(p => p.x)), y: Math.min(...loop.map(p => p.y)) }
  const high = Math.max(...loop.map(p => p.x))
  return drawn(`cover-${face}`, {
    patches,
    lines: [
      ...loop.map((from, i): Line => ({ from, to: loop[(i + 1) % loop.length] ?? from, ink: 'datum' })),
      ...raftersUnder(field, at),
    ],
    running: layer === 'battens' ? [] : runningOf(members, view, low),
    labels: linesUp(plan, field, layer).map((v): Label => {
      const { from, to } = sliceOf(outlineAt(field, 0), { from: v, to: v + 1 }) ?? { from: 0, to: 0 }
      const [a, b] = [at({ s: from, v }), at({ s: to, v })]
      const left = Math.min(a.x, b.x) + INSIDE * (high - low.x)
      return { at: { x: left, y: a.y }, text: '', value: a.y - low.y + pastOf(plan, field, layer) }
    }),
    dimensions: dimensionsOf(plan, field, loop, low, layer),
    handles: handlesOf(plan, field, loop, low, layer),
    areas: [{ subject: groupOf(plan, field).path, loop, over: members.length === 0 }],
  })
}

/** How far in from a face's end its level marks stand, as a share of its length; beside it they are cut. */
const INSIDE = 0.06

/** The rafters under a face, by their middles. */
const raftersUnder = (field: CoverField, at: (p: FacePoint) => Point): Line[] => {
  const outline = outlineAt(field, 0)
  return field.breaks.flatMap(s => {
    const vs = crossed(outline, s)
    return vs ? [{ from: at({ s, v: vs[0] }), to: at({ s, v: vs[1] }), ink: 'behind' as const }] : []
  })
}

/** From where to where up the slope a convex outline is crossed at a place along it; null where it is not. */
function crossed(outline: readonly FacePoint[], s: number): readonly [number, number] | null {
  const vs = outline.flatMap((p, i) => {
    const q = outline[(i + 1) % outline.length] ?? p
    return p.s < s === q.s < s ? [] : [p.v + ((q.v - p.v) * (s - p.s)) / (q.s - p.s)]
  })
  return vs.length > 1 ? [Math.min(...vs), Math.max(...vs)] : null
}

/** More marks than this can't be read under a drawing. */
const MOST = 24

/** Where pieces begin along the eave, running from the left end. */
function runningOf(members: readonly Member[], view: View, low: Point): RunningMark[] {
  const xs = members
    .map(({ placement, board }) => {
      const ends = board.faces.flatMap(({ loops }) =>
        loops
          .flat()
          .map(
            p =>
              flatten(view, placement.origin).x +
              p.x * flatten(view, placement.along).x +
              p.y * flatten(view, placement.depth).x,
          ),
      )
      return Math.min(...ends)
    })
    .sort((a, b) => a - b)
  const each = xs.filter((x, i) => i === 0 || x - (xs[i - 1] ?? x) > ONE_READING)
  return each.length > MOST
    ? []
    : each.map(x => ({ at: { x, y: low.y }, value: Math.max(0, x - low.x), to: null, letter: '' }))
}

/** How far panels reach past what they lie on, where lines across them are measured from their feet; mm. */
function pastOf(plan: Plan, field: CoverField, layer: CoverLayer | undefined): number {
  const { top } = groupOf(plan, field).cover
  return layer === 'top' && top?.kind === 'panels' ? top.past : 0
}

/** What covers a face, and where that is typed. */
const groupOf = ({ building }: Plan, { face }: CoverField): CoverGroup => coverOfFace(building.cover, face.id)

/** Level lines up a face that are measured from its lower edge: rows of sheets, battens, lines of screws. */
function linesUp(plan: Plan, field: CoverField, layer?: CoverLayer): number[] {
  const { cover } = groupOf(plan, field)
  const { frame } = plan
  // the first row's edge has a dimension of its own
  if (layer === 'deck') return cover.deck?.kind === 'sheets' ? seamsUp(field, cover.deck).slice(1) : []
  if (layer === 'battens') return battensUp(frame, field).map(({ from }) => from)
  return layer === 'top' ? screwLines(frame, field) : []
}

/** How long a face is along its eave and up its slope, and how wide the first row of sheets is ripped. */
function dimensionsOf(
  plan: Plan,
  field: CoverField,
  loop: readonly Point[],
  low: Point,
  layer: CoverLayer | undefined,
): Dimension[] {
  const right = Math.max(...loop.map(p => p.x))
  const top = Math.max(...loop.map(p => p.y))
  const first = layer === 'deck' ? firstOf(plan, field) : null
  return [
    dimension('below', 1, 'along-eave', low, { x: right, y: low.y }, right - low.x),
    dimension('right', 1, 'up-slope', { x: right, y: low.y }, { x: right, y: top }, top - low.y),
    ...(first === null
      ? []
      : [
          dimension(
            'left',
            1,
            'first-row',
            low,
            { x: low.x, y: low.y + first },
            first,
            `${groupOf(plan, field).path}.deck.first`,
          ),
        ]),
  ]
}

const firstOf = (plan: Plan, field: CoverField): number | null => {
  const { path, cover } = groupOf(plan, field)
  const first = cover.deck?.kind === 'sheets' ? valueOf(plan, `${path}.deck.first`) : null
  return typeof first === 'number' ? first : null
}

/** The first row is dragged by its upper edge, the first panel by its seam. */
function handlesOf(
  plan: Plan,
  field: CoverField,
  loop: readonly Point[],
  low: Point,
  layer: CoverLayer | undefined,
): Handle[] {
  const right = Math.max(...loop.map(p => p.x))
  const top = Math.max(...loop.map(p => p.y))
  const { path } = groupOf(plan, field)
  if (layer === 'deck') {
    const first = firstOf(plan, field)
    return first === null
      ? []
      : [ring(`${path}.deck.first`, { x: (low.x + right) / 2, y: low.y + first }, { x: 0, y: 1 })]
  }
  const panel = layer === 'top' ? valueOf(plan, `${path}.top.first`) : null
  if (typeof panel !== 'number') return []
  // layout begins at the west or south, on the right of a face that is seen from the north or west
  const way = flatten(viewOf(field), field.along).x > 0 ? 1 : -1
  const x = way > 0 ? low.x + panel : right - panel
  return [ring(`${path}.top.first`, { x, y: (low.y + top) / 2 }, { x: way, y: 0 })]
}
