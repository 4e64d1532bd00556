import { eaveOver, eavesOf, lowEaves, slopeUnder, tailedEave } from '../lines'
import { ONE_READING } from '../measure'
import { type SideName } from '../design'
import { type Member, isOfRoofOpening, isOfWall } from '../frame'
import { vec } from '../geometry'
import { type Plan, stretchOf } from '../plan'
import { roofEndAreas, roofPlanAreas } from './areas'
import {
  ring,
  dimension,
  type Dimension,
  type Drawing,
  drawn,
  type Handle,
  type Label,
  type Line,
  type Point,
  type RunningMark,
} from './drawing'
import { fromAbove, seen, sectionView, type View } from './view'

const ofRoof = ({ where }: Member): boolean => where.in === 'roof'

/**
 * The roof's frame from above, south below: every rafter in its place, running from the end that the layout
 * begins at, over the outline of the walls.
 */
export function roofPlan(plan: Plan): Drawing {
  const {
    building: {
      footprint: { length, width },
    },
    frame,
  } = plan
  const corners = [
    { x: 0, y: 0 },
    { x: length, y: 0 },
    { x: length, y: width },
    { x: 0, y: width },
  ] as const
  const outline = corners.map((from, i): Line => ({ from, to: corners[(i + 1) % 4] ?? from, ink: 'datum' }))
  const openings = openingsDrawn(plan)
  const running = (eavesOf(frame.roof)[0]?.rafters ?? []).map(({ from, to }): RunningMark => ({
    at: { x: from, y: 0 },
    value: from,
    to: { x: to, y: 0 },
    letter: 'X',
  }))
  return drawn('roof-plan', {
    patches: seen(frame.members.filter(ofRoof), fromAbove),
    lines: outline,
    running: running.length > MOST ? [] : running,
    dimensions: planDimensions(plan),
    handles: [...gableHandles(plan), ...overhangHandles(plan), ...openings.flatMap(each => each.handles)],
    labels: openings.map(each => each.label),
    areas: roofPlanAreas(plan),
  })
}

/** The openings as framed, with rings that move them along the slope's wall and up from it. */
function openingsDrawn({
  building,
  frame,
}: Plan): { readonly handles: readonly Handle[]; readonly label: Label }[] {
  return building.roof.openings.flatMap((opening, i) => {
    const { kind, at, up, width, length } = opening
    const slope = slopeUnder(frame.roof, opening)
    if (!slope || !frame.members.some(({ where }) => isOfRoofOpening(where, i + 1))) return []
    const { normal, offset } = slope.eave.outside
    const level = kind === 'stair' ? length : length * slope.face.top.normal.z
    const place = (along: number, inward: number): Point =>
      Math.abs(normal.y) > 0.5
        ? { x: along, y: normal.y * (offset - inward) }
        : { x: normal.x * (offset - inward), y: along }
    const inward: Point = { x: -normal.x + 0, y: -normal.y + 0 }
    return [
      {
        label: { at: place(at - width / 4, up + level / 2), text: `${i + 1}` },
        handles: [
          ring(
            `roof.openings.${i}.at` as const,
            place(at, up + level * 0.4),
            Math.abs(normal.y) > 0.5 ? { x: 1, y: 0 } : { x: 0, y: 1 },
          ),
          ring(`roof.openings.${i}.up` as const, place(at + width / 4, up), inward),
        ],
      },
    ]
  })
}

/** More marks than this can't be read under a drawing; they are on the plates. */
const MOST = 20

function planDimensions({ building, frame }: Plan): Dimension[] {
  const {
    footprint: { length, width },
    roof: { overhang, hip, spacing },
  } = building
  const gable = gableReach(building)
  const at = (x: number, y = 0): { x: number; y: number } => ({ x, y })
  const [eave] = eavesOf(frame.roof)
  const rafters = eave?.rafters ?? []
  const [a, b] = [rafters[1], rafters[2]].map(each => each && (each.from + each.to) / 2)
  const apart = a !== undefined && b !== undefined && Math.abs(b - a - spacing) < 0.5
  const tailed = eave && tailedEave(eave)
  const tail = tailed ? tailed.tail.offset - tailed.outside.offset : overhang.eave
  return [
    dimension('below', 2, 'length', at(0), at(length), length, 'footprint.length'),
    ...(apart ? [dimension('below', 1, 'rafter-spacing', at(a), at(b), spacing, 'roof.spacing')] : []),
    dimension('left', 1, 'span', at(0), at(0, width), width, 'footprint.width'),
    ...(tail > 1
      ? [dimension('left', 1, 'eave', at(0, -tail), at(0), tail, eave?.reach.field ?? 'roof.overhang.eave')]
      : []),
    ...(hip || gable === null
      ? []
      : [
          dimension(
            'below',
            1,
            'gable-overhang',
            at(gable.from),
            at(gable.to),
            overhang.gable,
            'roof.overhang.gable',
          ),
        ]),
  ]
}

/** Where the overhang over the gables is drawn: on the east where the roof ends there; null over neither. */
function gableReach({
  footprint: { length },
  roof: {
    joined,
    overhang: { gable },
  },
}: Plan['building']): { readonly from: number; readonly to: number; readonly out: 1 | -1 } | null {
  if (!joined.includes('east')) return { from: length, to: length + gable, out: 1 }
  return joined.includes('west') ? null : { from: -gable, to: 0, out: -1 }
}

function gableHandles({ building }: Plan): Handle[] {
  const reach = gableReach(building)
  if (building.roof.hip || !reach) return []
  const { from, to, out } = reach
  const at = { x: out > 0 ? to : from, y: building.footprint.width / 2 }
  return [ring('roof.overhang.gable', at, { x: out, y: 0 })]
}

/** A ring to each overhang, at the end of tails that reach out by it: on the north where there are some. */
function overhangHandles({ frame: { roof } }: Plan): Handle[] {
  const eaves = [...eavesOf(roof)].sort((a, b) => Number(b.side === 'north') - Number(a.side === 'north'))
  const first = eaves.filter(
    (eave, i) => eaves.findIndex(other => other.reach.field === eave.reach.field) === i,
  )
  return first.map(({ tail, along, reach }): Handle => {
    const middle = (along.from + along.to) / 2
    const out = { x: tail.normal.x, y: tail.normal.y }
    const at = {
      x: out.x * tail.offset + Math.abs(out.y) * middle,
      y: out.y * tail.offset + Math.abs(out.x) * middle,
    }
    return ring(reach.field, at, out)
  })
}

const views: Record<'east' | 'west', View> = {
  east: sectionView,
  west: { right: vec(0, -1, 0), up: vec(0, 0, 1), toward: vec(-1, 0, 0) },
}

/**
 * An end of the building as it is seen from outside: its wall's frame, and the roof over it; south at the
 * left from the east, at the right from the west.
 */
export function roofEnd(plan: Plan, side: 'east' | 'west'): Drawing {
  const {
    footprint: { width },
  } = plan.building
  const x = side === 'east' ? { left: 0, right: width } : { left: -width, right: 0 }
  const ground: Line = { from: { x: x.left, y: 0 }, to: { x: x.right, y: 0 }, ink: 'ground' }
  return drawn(`roof-${side}`, {
    patches: seen(
      plan.frame.members.filter(member => isAtEnd(plan, member, side)),
      views[side],
    ),
    lines: [ground],
    dimensions: endDimensions(plan, side, ground),
    areas: roofEndAreas(plan, side),
  })
}

/**
 * Whether a board shows at an end: the wall's frame there, and the roof over it; of a hip, its whole half.
 */
function isAtEnd({ building, frame }: Plan, member: Member, side: 'east' | 'west'): boolean {
  if (!ofRoof(member))
    return isOfWall(member.where, side) && member.role !== 'wall-sheet' && member.role !== 'slat'
  const { length } = building.footprint
  const deep = building.roof.hip ? length / 2 : frame.lumber.rafter.thickness
  const { from, to } = stretchOf(member, 'x')
  return side === 'east' ? to > length - deep : from < deep
}

/** The span, the heights of both eave walls where they differ, and the roof's highest line. */
function endDimensions(
  { building: { footprint, roof, heights }, frame }: Plan,
  side: 'east' | 'west',
  ground: Line,
): Dimension[] {
  const [left, right] = side === 'east' ? (['south', 'north'] as const) : (['north', 'south'] as const)
  const plate = (of: SideName): number =>
    (eaveOver(frame.roof, of) ?? lowEaves(frame.roof)[0])?.height ?? heights[of]
  const up = (foot: Point, by: number): readonly [Point, Point] => [foot, { ...foot, y: by }]
  const { width } = footprint
  const span = side === 'east' ? width : -width
  const { highest } = frame.roof
  return [
    dimension('below', 1, 'span', { x: 0, y: 0 }, { x: span, y: 0 }, width, 'footprint.width'),
    dimension('left', 1, 'wall-height', ...up(ground.from, plate(left)), plate(left)),
    ...(Math.abs(plate(left) - plate(right)) > ONE_READING
      ? [dimension('right', 1, 'other-height', ...up(ground.to, plate(right)), plate(right))]
      : []),
    dimension(
      'right',
      2,
      'ridge-top',
      ...up(ground.to, highest),
      roof.peak.height ?? highest,
      roof.has.peak.includes('height') ? 'roof.peak.height' : null,
    ),
  ]
}
