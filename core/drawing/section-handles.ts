import { ridgeOf, roofLevel, stripOf } from '../lines'
import { heightField } from './height-field'
import { tiePlate } from '../frame'
import type { Plan } from '../plan'
import type { Handle } from './drawing'
import { overhangs, topAt, isUnequal } from './section-reach'

/** Ties are dragged up and down beside the ridge; under one slope, its ceiling joists in the middle. */
function tieHandles({
  building: {
    roof,
    footprint: { width },
  },
  frame,
}: Plan): Handle[] {
  const plate = tiePlate(frame.roof)
  const x = ridgeOf(frame.roof)?.at ?? width / 2
  return roof.has.ties.flatMap((kind): Handle[] =>
    roof.ties[kind]
      ? [
          {
            field: `roof.ties.${kind}.height`,
            at: { x, y: plate + roof.ties[kind].height },
            along: { x: 0, y: 1 },
            gain: 1,
          },
        ]
      : [],
  )
}

/**
 * A strip is dragged across the building, its upper slope's reach over it, and the walls that the slopes rise
 * from.
 */
function stripHandles(plan: Plan): Handle[] {
  const {
    building: {
      footprint: { width },
      roof: { high, overhang },
    },
    frame: { roof: lines },
  } = plan
  const { highest } = lines
  const strip = stripOf(lines)
  if (!strip) return []
  const way = high === 'north' ? -1 : 1
  const over = overhang.high ?? overhang.eave
  return [
    {
      field: 'roof.raised.at',
      at: { x: strip.at, y: (strip.clear.from + strip.clear.to) / 2 },
      along: { x: 1, y: 0 },
      gain: 1,
    },
    {
      field: 'roof.overhang.high',
      at: { x: strip.at + way * over, y: highest },
      along: { x: way, y: 0 },
      gain: 1,
    },
    {
      field: 'roof.overhang.eave',
      at: { x: -overhang.eave, y: roofLevel(plan.frame.roof, -overhang.eave) },
      along: { x: -1, y: 0 },
      gain: 1,
    },
    { field: 'footprint.width', at: { x: width, y: 0 }, along: { x: 1, y: 0 }, gain: 1 },
    ...wallHandles(plan, ['south', 'north']),
  ]
}

export function handles(plan: Plan): Handle[] {
  const { building, frame } = plan
  const { width } = building.footprint
  const reach = overhangs(plan)
  const at = topAt(plan)
  const gable = frame.roof.faces.length > 1
  const low = !gable && building.roof.high === 'south' ? 'north' : 'south'
  if (stripOf(frame.roof)) return stripHandles(plan)
  const tail = low === 'south' ? { x: -reach.south, way: -1 } : { x: width + reach.north, way: 1 }
  const high = { x: low === 'south' ? width + reach.north : -reach.south, way: -tail.way }
  const unequal = isUnequal(plan)
  return [
    ...(unequal || building.roof.peak.height !== null
      ? [
          {
            field: 'roof.peak.height' as const,
            at: { x: at, y: frame.roof.highest },
            along: { x: 0, y: 1 },
            gain: 1,
          },
        ]
      : [
          {
            field: 'roof.pitch' as const,
            at: { x: at, y: frame.roof.highest },
            along: { x: 0, y: 1 },
            gain: 12 / Math.abs(gable ? at : high.x - (low === 'south' ? 0 : width)),
          },
        ]),
    ...(unequal
      ? [
          {
            field: 'roof.peak.at' as const,
            at: { x: at, y: frame.roof.highest - frame.lumber.ridge.depth },
            along: { x: 1, y: 0 },
            gain: 1,
          },
        ]
      : []),
    {
      field: 'roof.overhang.eave',
      at: { x: tail.x, y: roofLevel(plan.frame.roof, tail.x) },
      along: { x: tail.way, y: 0 },
      gain: 1,
    },
    ...(gable || building.roof.has.house
      ? []
      : [
          {
            field: 'roof.overhang.high' as const,
            at: { x: high.x, y: frame.roof.highest - frame.lumber.rafter.depth },
            along: { x: high.way, y: 0 },
            gain: 1,
          },
        ]),
    ...tieHandles(plan),
    { field: 'footprint.width', at: { x: width, y: 0 }, along: { x: 1, y: 0 }, gain: 1 },
    ...wallHandles(plan, gable ? ['north'] : ['south', 'north']),
  ]
}

/** Walls are dragged up and down at their plates; where both are of one height by one ring. */
function wallHandles({ building }: Plan, sides: readonly ('south' | 'north')[]): Handle[] {
  const rings = sides.map((side): Handle => ({
    field: heightField(building, side),
    at: { x: side === 'north' ? building.footprint.width : 0, y: building.heights[side] },
    along: { x: 0, y: 1 },
    gain: 1,
  }))
  return rings.filter((ring, i) => rings.findIndex(other => other.field === ring.field) === i)
}
