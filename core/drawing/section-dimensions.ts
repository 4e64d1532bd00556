import { eaveOver, faceLevel, faceTo, peakAcross, stripOf } from '../lines'
import { ONE_READING } from '../measure'
import { heightField } from './height-field'
import type { Plan, RoofReading } from '../plan'
import type { Dimension, PitchTag } from './drawing'
import { overhangs, topAt, isUnequal } from './section-reach'

const foot = (x: number): { x: number; y: number } => ({ x, y: 0 })

export function dimensions(plan: Plan): Dimension[] {
  const { building, roof } = plan
  const { width } = building.footprint
  const [south, north] = [building.heights.south, building.heights.north]
  const uneven = Math.abs(north - south) > ONE_READING
  return [
    {
      name: 'span',
      from: foot(0),
      to: foot(width),
      side: 'below',
      row: 2,
      value: width,
      field: 'footprint.width',
    },
    {
      name: 'wall-height',
      from: foot(0),
      to: { x: 0, y: south },
      side: 'left',
      row: 1,
      value: south,
      field: heightField(building, 'south'),
    },
    ...(uneven
      ? [
          {
            name: 'other-height',
            from: foot(width),
            to: { x: width, y: north },
            side: 'right',
            row: 1,
            value: north,
            field: heightField(building, 'north'),
          } as const,
        ]
      : []),
    ...eaves(plan),
    ...top(plan),
    ...(roof ? ofRafters(plan, roof, uneven) : []),
  ]
}

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
  ): Dimension => ({
    name,
    from: foot(side === 'south' ? -reach.south : width),
    to: foot(side === 'south' ? 0 : width + reach.north),
    side: 'below',
    row: 1,
    value: reach[side],
    field,
  })
  const strip = stripOf(plan.frame.roof)
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
  return {
    name: 'high-eave',
    from: foot(from),
    to: foot(to),
    side: 'below',
    row: 3,
    value: over,
    field: 'roof.overhang.high',
  }
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
    {
      name: 'ridge-top',
      from: foot(left ? 0 : width),
      to: { x: at, y: roof.highest },
      side: left ? 'left' : 'right',
      row: 2,
      // a height that no pitch brings stays as it was typed
      value: plan.building.roof.peak.height ?? roof.highest,
      field: plan.building.roof.has.peak ? 'roof.peak.height' : null,
    },
    ...(strip
      ? [
          {
            name: 'strip',
            from: { x: strip.at, y: strip.clear.from },
            to: { x: strip.at, y: strip.clear.to },
            side: 'left',
            row: 3,
            value: strip.clear.to - strip.clear.from,
            field: null,
          } as const,
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
  const field = building.roof.seat.rule === 'height-above-plate' ? ('roof.seat.height' as const) : null
  return [
    {
      name: 'run',
      from: foot(Math.min(heel, far)),
      to: foot(Math.max(heel, far)),
      side: 'below',
      row: single ? 3 : 1,
      value: Math.abs(far - heel),
      field: stripOf(lines) ? 'roof.raised.at' : unequal ? 'roof.peak.at' : null,
    },
    ...(unequal
      ? [
          {
            name: 'other-run',
            from: foot(meet),
            to: foot(width),
            side: 'below',
            row: 1,
            value: width - meet,
            field: null,
          } as const,
        ]
      : []),
    {
      name: 'height-above-plate',
      from: { x: heel, y: height },
      to: { x: heel, y: height + roof.heightAbovePlate },
      side: heel === 0 ? 'left' : 'right',
      row: uneven || unequal ? 2 : 1,
      value: roof.heightAbovePlate,
      field,
    },
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
  const { width } = plan.building.footprint
  const lines = plan.frame.roof
  const meet = peakAcross(lines)
  if (isUnequal(plan))
    return [
      pitchTag(plan, meet / 2, 'south', 'roof.pitch'),
      pitchTag(plan, (meet + width) / 2, 'north', 'roof.northPitch'),
    ]
  if (lines.faces.length > 1) return [pitchTag(plan, width * 0.74, 'north', 'roof.pitch')]
  return [pitchTag(plan, width * (lines.faces[0]?.falls === 'south' ? 0.3 : 0.74), 'south', 'roof.pitch')]
}
