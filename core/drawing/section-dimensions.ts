import { kickOf } from '../design'
import { eaveOver, faceLevel, faceTo, peakAcross, stripOf } from '../lines'
import { HAIR, ONE_READING } from '../measure'
import { heightField } from './height-field'
import { type Plan, readFace, type RoofReading, stretchOf } from '../plan'
import { dimension, type Dimension, type PitchTag } from './drawing'
import { gambrelDimensions, gambrelTags } from './gambrel-section'
import { sectionPlace } from './section-members'
import { overhangs, topAt, isUnequal } from './section-reach'

const foot = (x: number): { x: number; y: number } => ({ x, y: 0 })

/** The roof's numbers beside a rafter, by its number: against a house out of line each has its own. */
function readingAt(plan: Plan, at?: number): RoofReading | null {
  const { building, frame, roof } = plan
  const place = sectionPlace(plan, at)
  const [face] = frame.roof.faces
  const rafter = frame.across.find(
    member => member.role === 'rafter' && place && Math.abs(stretchOf(member, 'x').from - place.from) < HAIR,
  )
  return building.roof.taper && face && rafter ? readFace(frame, building.units, face, rafter) : roof
}

/** The dimensions of a section at a rafter, by its number. */
export function dimensions(plan: Plan, at?: number): Dimension[] {
  const { building } = plan
  const roof = readingAt(plan, at)
  const { width } = building.footprint
  const [south, north] = [building.heights.south, building.heights.north]
  const uneven = Math.abs(north - south) > ONE_READING
  return [
    dimension('below', 2, 'span', foot(0), foot(width), width, 'footprint.width'),
    dimension('left', 1, 'wall-height', foot(0), { x: 0, y: south }, south, heightField(building, 'south')),
    ...(uneven
      ? [
          dimension(
            'right',
            1,
            'other-height',
            foot(width),
            { x: width, y: north },
            north,
            heightField(building, 'north'),
          ),
        ]
      : []),
    ...eaves(plan),
    ...top(plan),
    ...underJoists(plan),
    ...(building.roof.gambrel ? gambrelDimensions(plan) : roof ? ofRafters(plan, roof, uneven) : []),
  ]
}

/** The beam under the ceiling joists, from the south wall's outside to its middle. */
const underJoists = ({ frame }: Plan): Dimension[] =>
  frame.innerBeams
    .filter(({ role }) => role === 'joist-beam')
    .map(({ at }) =>
      // a run, a headroom, or what reaches past a strip, may lie in the third row
      dimension(
        'below',
        frame.roof.faces.length !== 2 || stripOf(frame.roof) ? 4 : 3,
        'joist-beam',
        foot(0),
        foot(at),
        at,
        'roof.joistBeam.at',
      ),
    )

/** The overhang at the south, or under a single slope at both walls. */
function eaves(plan: Plan): Dimension[] {
  const {
    building: {
      roof,
      footprint: { width },
    },
  } = plan
  const reach = overhangs(plan)
  const at = (
    side: 'south' | 'north',
    field: 'roof.overhang.eave' | 'roof.overhang.high',
    name: 'eave' | 'high-eave',
  ): Dimension =>
    dimension(
      'below',
      1,
      name,
      foot(side === 'south' ? -reach.south : width),
      foot(side === 'south' ? 0 : width + reach.north),
      reach[side],
      field,
    )
  const strip = stripOf(plan.frame.roof)
  // chords cut on the plate reach nowhere without false tails
  if (roof.gambrel?.foot.rule === 'on-plate' && !kickOf(roof.gambrel)) return []
  if (strip) return [at('south', 'roof.overhang.eave', 'eave'), overStrip(plan, strip.at)]
  if (roof.has.falls.length > 1) return [at('south', 'roof.overhang.eave', 'eave')]
  const low = roof.high === 'north' ? 'south' : 'north'
  return [
    at(low, 'roof.overhang.eave', 'eave'),
    ...(roof.has.house ? [] : [at(roof.high, 'roof.overhang.high', 'high-eave')]),
  ]
}

/** How far the upper slope reaches past a strip's face. */
function overStrip(
  {
    building: {
      roof: { high, overhang },
    },
  }: Plan,
  at: number,
): Dimension {
  const over = overhang.high ?? overhang.eave
  const [from, to] = high === 'north' ? [at - over, at] : [at, at + over]
  return dimension('below', 3, 'high-eave', foot(from), foot(to), over, 'roof.overhang.high')
}

function top(plan: Plan): Dimension[] {
  // a lean-to is as high as its ledger, whose height is shown
  if (plan.building.roof.has.house) return []
  const {
    frame: { roof },
    building: {
      footprint: { width },
    },
  } = plan
  const at = topAt(plan)
  const left = roof.faces.length === 1 && at < 0
  const strip = stripOf(plan.frame.roof)
  return [
    dimension(
      left ? 'left' : 'right',
      2,
      'ridge-top',
      foot(left ? 0 : width),
      { x: at, y: roof.highest },
      plan.building.roof.peak.height ?? roof.highest,
      plan.building.roof.has.peak.includes('height') ? 'roof.peak.height' : null,
    ),
    ...(strip
      ? [
          dimension(
            'left',
            3,
            'strip',
            { x: strip.at, y: strip.clear.from },
            { x: strip.at, y: strip.clear.to },
            strip.clear.to - strip.clear.from,
          ),
        ]
      : []),
  ]
}

/**
 * The run, and the height above plate at the wall it is read at; where the slopes differ both runs, the first
 * of which is typed over to move the peak.
 */
function ofRafters(plan: Plan, roof: RoofReading, uneven: boolean): Dimension[] {
  const { building, frame } = plan
  const { width } = building.footprint
  const lines = frame.roof
  const meet = peakAcross(lines)
  const single = lines.faces.length === 1
  const rising = lines.faces[0]?.falls === 'south'
  const unequal = isUnequal(plan)
  const heel = single ? (rising ? 0 : width) : uneven || unequal ? 0 : width
  const far = single ? heel + (rising ? roof.run : -roof.run) : meet
  const height = eaveOver(lines, heel === 0 ? 'south' : 'north')?.height ?? 0
  const field = building.roof.truss
    ? ('roof.truss.heel' as const)
    : building.roof.seat.rule === 'height-above-plate'
      ? ('roof.seat.height' as const)
      : null
  const run = Math.abs(far - heel)
  const moves = stripOf(lines) ? ('roof.raised.at' as const) : unequal ? ('roof.peak.at' as const) : null
  return [
    // a run over all of the span is written there
    ...(moves || Math.abs(run - width) > ONE_READING
      ? [
          dimension(
            'below',
            single ? 3 : 1,
            'run',
            foot(Math.min(heel, far)),
            foot(Math.max(heel, far)),
            run,
            moves,
          ),
        ]
      : []),
    ...(unequal ? [dimension('below', 1, 'other-run', foot(meet), foot(width), width - meet)] : []),
    dimension(
      heel === 0 ? 'left' : 'right',
      uneven || unequal ? 2 : 1,
      'height-above-plate',
      { x: heel, y: height },
      { x: heel, y: height + roof.heightAbovePlate },
      roof.heightAbovePlate,
      field,
    ),
  ]
}

/** The pitch of a slope over its own plane. */
function pitchTag(
  { building: { roof }, frame }: Plan,
  x: number,
  side: 'south' | 'north',
  field: PitchTag['field'],
): PitchTag {
  const face = faceTo(frame.roof, side) ?? frame.roof.faces[0]
  return {
    at: { x, y: face ? faceLevel(face, x) : 0 },
    falls: face?.falls === 'north' ? 'right' : 'left',
    angle: face?.angle ?? 0,
    pitch: field === 'roof.pitch' ? roof.pitch : (roof.northPitch ?? roof.pitch),
    field,
  }
}

export function pitchTags(plan: Plan): PitchTag[] {
  if (plan.building.roof.gambrel) return gambrelTags(plan)
  const { width } = plan.building.footprint
  const lines = plan.frame.roof
  const meet = peakAcross(lines)
  if (isUnequal(plan))
    return [
      pitchTag(plan, meet / 2, 'south', 'roof.pitch'),
      pitchTag(plan, (meet + width) / 2, 'north', 'roof.northPitch'),
    ]
  // level rafters have no pitch
  if (lines.faces.every(({ angle }) => angle === 0)) return []
  if (lines.faces.length > 1) return [pitchTag(plan, width * 0.74, 'north', 'roof.pitch')]
  return [pitchTag(plan, width * (lines.faces[0]?.falls === 'south' ? 0.3 : 0.74), 'south', 'roof.pitch')]
}
