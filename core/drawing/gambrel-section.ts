import { type GambrelLine, kickOf } from '../design'
import { ONE_READING } from '../measure'
import { type Plan, stretchOf } from '../plan'
import type { Role } from '../trade'
import { type Dimension, dimension, type Handle, type Line, type PitchTag, ring } from './drawing'

/** What a gambrel's section shows besides that of every roof; null of other roofs. */
interface At {
  readonly line: GambrelLine
  readonly width: number
  readonly plate: number
  /** Which of its numbers are typed: those of the way it is found by. */
  readonly typed: {
    readonly knee: boolean
    readonly up: boolean
    readonly lower: boolean
    readonly upper: boolean
    readonly headroom: boolean
    readonly drop: boolean
  }
}

function atOf({ design, building }: Plan): At | null {
  const line = building.roof.gambrel
  if (!line) return null
  const { by } = line
  return {
    line,
    width: building.footprint.width,
    plate: building.heights.south,
    typed: {
      knee: by === 'knee',
      up: by === 'knee' || (by === 'pitches' && design.roof.gambrel.knee.share === null),
      lower: by === 'pitches',
      upper: by !== 'half-octagon',
      headroom: by === 'headroom',
      drop: line.foot.rule === 'over-plate',
    },
  }
}

/** The knee's place, what is clear inside, and how far the line's low corner lies under the plate. */
export function gambrelDimensions(plan: Plan): Dimension[] {
  const at = atOf(plan)
  if (!at) return []
  const { line, width, plate, typed } = at
  const { knee, foot } = line
  const headroom = clearOf(plan, at)
  const floor = plate + headroom.floor
  const left = (width - headroom.width) / 2
  const point = (x: number, y = 0): { x: number; y: number } => ({ x, y })
  return [
    dimension(
      'below',
      1,
      'knee-in',
      point(width - knee.in),
      point(width),
      knee.in,
      typed.knee ? 'roof.gambrel.knee.in' : null,
    ),
    dimension(
      'left',
      1,
      'knee-up',
      point(0, plate),
      point(knee.in, plate + knee.up),
      knee.up,
      typed.up ? 'roof.gambrel.knee.up' : null,
    ),
    ...(typed.drop && foot.out > ONE_READING
      ? [
          dimension(
            'left',
            2,
            'foot-drop',
            point(-foot.out, plate - foot.drop),
            point(0, plate),
            foot.drop,
            'roof.gambrel.foot.drop',
          ),
        ]
      : []),
    dimension(
      'below',
      3,
      'headroom-width',
      point(left),
      point(width - left),
      headroom.width,
      typed.headroom ? 'roof.gambrel.headroom.width' : null,
    ),
    dimension(
      'right',
      1,
      'headroom-height',
      point(width, floor),
      point(width - left, floor + headroom.height),
      headroom.height,
      typed.headroom ? 'roof.gambrel.headroom.height' : null,
    ),
  ]
}

const underKnees: readonly Role[] = ['knee-purlin', 'knee-post', 'knee-plate', 'knee-stud']

/**
 * What is clear inside: as it is asked for, or between what carries rafters at their knees and up to their
 * lower edges there.
 */
function clearOf({ frame }: Plan, { line, width, plate, typed }: At): GambrelLine['headroom'] {
  const { headroom } = line
  const inner = frame.across
    .filter(({ role }) => underKnees.includes(role))
    .map(member => stretchOf(member, 'y'))
    .filter(({ to }) => to < width / 2)
  const upper = frame.roof.faces.find(({ id }) => id === 'south-high')
  if (typed.headroom || !inner.length || !upper) return headroom
  const from = Math.max(...inner.map(({ to }) => to))
  const { normal, offset } = upper.carrier.underside
  const top = (offset - normal.y * from) / normal.z
  return { ...headroom, width: width - 2 * from, height: top - plate - headroom.floor }
}

/** What is clear inside, over the loft or the plate. */
export function gambrelLines(plan: Plan): Line[] {
  const at = atOf(plan)
  if (!at) return []
  const { width, height, floor } = clearOf(plan, at)
  const [x0, x1] = [(at.width - width) / 2, (at.width + width) / 2]
  const [y0, y1] = [at.plate + floor, at.plate + floor + height]
  const corners = [
    { x: x0, y: y0 },
    { x: x1, y: y0 },
    { x: x1, y: y1 },
    { x: x0, y: y1 },
  ]
  return corners.map((from, i): Line => ({ from, to: corners[(i + 1) % 4] ?? from, ink: 'datum' }))
}

/** The knee dragged up on the south and in on the north, pitches, the clear space's corner, and the foot. */
export function gambrelHandles(plan: Plan): Handle[] {
  const at = atOf(plan)
  if (!at) return []
  const { line, width, plate, typed } = at
  const { knee, headroom, foot, peak } = line
  const level = plate + knee.up
  return [
    ...(typed.up ? [ring('roof.gambrel.knee.up', { x: knee.in, y: level }, { x: 0, y: 1 })] : []),
    ...(typed.knee ? [ring('roof.gambrel.knee.in', { x: width - knee.in, y: level }, { x: -1, y: 0 })] : []),
    ...(typed.lower
      ? [
          ring(
            'roof.gambrel.lower',
            { x: width - knee.in, y: level },
            { x: 1, y: 0 },
            (12 * (knee.up - line.heightAbovePlate)) / knee.in ** 2,
          ),
        ]
      : []),
    ...(typed.upper && plan.building.roof.peak.height === null
      ? [ring('roof.pitch', { x: width / 2, y: plate + peak }, { x: 0, y: 1 }, 12 / (width / 2 - knee.in))]
      : []),
    ...(plan.building.roof.peak.height === null
      ? []
      : [ring('roof.peak.height', { x: width / 2, y: plate + peak }, { x: 0, y: 1 })]),
    ...(typed.headroom
      ? [
          ring(
            'roof.gambrel.headroom.height',
            { x: width / 2, y: plate + headroom.floor + headroom.height },
            { x: 0, y: 1 },
          ),
          ring(
            'roof.gambrel.headroom.width',
            { x: (width + headroom.width) / 2, y: plate + headroom.floor + headroom.height / 2 },
            { x: 1, y: 0 },
            2,
          ),
        ]
      : []),
    ...(typed.drop && foot.out > ONE_READING
      ? [ring('roof.gambrel.foot.drop', { x: width + foot.out, y: plate - foot.drop }, { x: 0, y: -1 })]
      : []),
  ]
}

/** How far under the plate the pitch of false tails is written, mm. */
const UNDER_TAIL = 420

/** Both pitches of the north side, each over its own slope. */
export function gambrelTags(plan: Plan): PitchTag[] {
  const at = atOf(plan)
  if (!at) return []
  const { line, width, plate, typed } = at
  const kick = kickOf(line)
  const { knee, peak, lower, upper, heightAbovePlate } = line
  const pitch = (angle: number) => ({ rise: 12 * Math.tan((angle * Math.PI) / 180), run: 12 })
  return [
    {
      at: { x: width - knee.in / 2, y: plate + (knee.up + heightAbovePlate) / 2 },
      falls: 'right',
      angle: lower,
      pitch: pitch(lower),
      field: typed.lower ? 'roof.gambrel.lower' : null,
    },
    {
      at: { x: width - (knee.in + width / 2) / 2, y: plate + (knee.up + peak) / 2 },
      falls: 'right',
      angle: upper,
      pitch: pitch(upper),
      field: typed.upper ? 'roof.pitch' : null,
    },
    ...(kick
      ? [
          {
            at: { x: -plan.building.roof.overhang.eave, y: plate - UNDER_TAIL },
            falls: 'left' as const,
            angle: kick.angle,
            pitch: pitch(kick.angle),
            field: 'roof.gambrel.foot.kick' as const,
          },
        ]
      : []),
  ]
}
