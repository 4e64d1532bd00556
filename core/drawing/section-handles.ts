import { faceLevel, lowEaves, ridgeOf, roofLevel, stripOf } from '../lines'
import { heightField } from './height-field'
import { tiePlate } from '../frame'
import type { Plan } from '../plan'
import { ring, type Handle } from './drawing'
import { gambrelHandles } from './gambrel-section'
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
      ? [ring(`roof.ties.${kind}.height`, { x, y: plate + roof.ties[kind].height }, { x: 0, y: 1 })]
      : [],
  )
}

/** The beam under the ceiling joists is dragged across the building. */
const beamHandles = ({ frame }: Plan): Handle[] =>
  frame.innerBeams
    .filter(({ role }) => role === 'joist-beam')
    .map(({ at, bottom }) => ring('roof.joistBeam.at', { x: at, y: bottom }, { x: 1, y: 0 }))

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
    ring('roof.raised.at', { x: strip.at, y: (strip.clear.from + strip.clear.to) / 2 }, { x: 1, y: 0 }),
    ring('roof.overhang.high', { x: strip.at + way * over, y: highest }, { x: way, y: 0 }),
    ring(
      'roof.overhang.eave',
      { x: -overhang.eave, y: roofLevel(plan.frame.roof, -overhang.eave) },
      { x: -1, y: 0 },
    ),
    ring('footprint.width', { x: width, y: 0 }, { x: 1, y: 0 }),
    ...wallHandles(plan, ['south', 'north']),
  ]
}

/** Level of the south tails' upper edges, or of false ones beside them, out past the wall, mm. */
function tailTop({ frame: { roof } }: Plan, y: number): number {
  const kick = lowEaves(roof).find(({ side }) => side === 'south')?.kick
  return kick ? faceLevel(kick.eave.face, y) : roofLevel(roof, y)
}

/** Of level rafters: their tails, the span, and the height of what they lie on. */
function levelHandles(plan: Plan): Handle[] {
  const { footprint, roof } = plan.building
  const reach = overhangs(plan)
  const at = { south: -reach.south, north: footprint.width + reach.north }
  const level = plan.frame.roof.highest - plan.frame.lumber.rafter.depth / 2
  return [
    ring('roof.overhang.eave', { x: at.south, y: level }, { x: -1, y: 0 }),
    ring('roof.overhang.high' as const, { x: at.north, y: level }, { x: 1, y: 0 }),
    ring('footprint.width', { x: footprint.width, y: 0 }, { x: 1, y: 0 }),
    ...wallHandles(plan, roof.has.falls.includes('south') ? ['south'] : ['north']),
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
  if (building.roof.gambrel)
    return [
      ...gambrelHandles(plan),
      ...(reach.south > 0
        ? [ring('roof.overhang.eave', { x: -reach.south, y: tailTop(plan, -reach.south) }, { x: -1, y: 0 })]
        : []),
      ...tieHandles(plan),
      ...beamHandles(plan),
      ring('footprint.width', { x: width, y: 0 }, { x: 1, y: 0 }),
      ...wallHandles(plan, ['north']),
    ]
  if (building.roof.pergola) return levelHandles(plan)
  const tail = low === 'south' ? { x: -reach.south, way: -1 } : { x: width + reach.north, way: 1 }
  const high = { x: low === 'south' ? width + reach.north : -reach.south, way: -tail.way }
  const unequal = isUnequal(plan)
  return [
    ...(unequal || building.roof.peak.height !== null
      ? [ring('roof.peak.height' as const, { x: at, y: frame.roof.highest }, { x: 0, y: 1 })]
      : [
          ring(
            'roof.pitch' as const,
            { x: at, y: frame.roof.highest },
            { x: 0, y: 1 },
            12 / Math.abs(gable ? at : high.x - (low === 'south' ? 0 : width)),
          ),
        ]),
    ...(unequal
      ? [
          ring(
            'roof.peak.at' as const,
            { x: at, y: frame.roof.highest - frame.lumber.ridge.depth },
            { x: 1, y: 0 },
          ),
        ]
      : []),
    ring('roof.overhang.eave', { x: tail.x, y: roofLevel(plan.frame.roof, tail.x) }, { x: tail.way, y: 0 }),
    ...(gable || building.roof.has.house
      ? []
      : [
          ring(
            'roof.overhang.high' as const,
            { x: high.x, y: frame.roof.highest - frame.lumber.rafter.depth },
            { x: high.way, y: 0 },
          ),
        ]),
    ...tieHandles(plan),
    ...beamHandles(plan),
    ring('footprint.width', { x: width, y: 0 }, { x: 1, y: 0 }),
    ...wallHandles(plan, gable ? ['north'] : ['south', 'north']),
  ]
}

/** Walls are dragged up and down at their plates; where both are of one height by one ring. */
function wallHandles({ building }: Plan, sides: readonly ('south' | 'north')[]): Handle[] {
  const rings = sides.map((side): Handle =>
    ring(
      heightField(building, side),
      { x: side === 'north' ? building.footprint.width : 0, y: building.heights[side] },
      { x: 0, y: 1 },
    ),
  )
  return rings.filter((ring, i) => rings.findIndex(other => other.field === ring.field) === i)
}
