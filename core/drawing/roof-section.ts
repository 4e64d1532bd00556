import { eaveOver, eavesOf, faceLevel, faceTo, peakAcross, ridgeOf, roofLevel, stripOf } from '../lines'
import { type InSection, roles, type Stretch } from '../trade'
import { HAIR, ONE_READING, TOUCHING } from '../measure'
import { heightField } from './height-field'
import { type Member, tiePlate } from '../frame'
import { type Plan, type RoofReading, stretchOf } from '../plan'
import { type Dimension, type Drawing, drawn, type Handle, type Line, type PitchTag } from './drawing'
import { seen, sectionView } from './view'

/** Where the building can be cut across at a rafter, along the length; mm. */
export const sectionPlaces = ({ frame }: Plan): readonly Stretch[] => eavesOf(frame.roof)[0]?.rafters ?? []

/**
 * Across the building at a rafter, `at` its number from the west, or near the middle: walls, plates, the
 * rafters and the ridge, with the roof's dimensions.
 */
export function roofSection(plan: Plan, at?: number): Drawing {
  const { building, frame } = plan
  const reach = reachOf(plan)
  const middle = peakAcross(frame.roof)
  const lines: Line[] = [
    {
      from: { x: -reach.south - 150, y: 0 },
      to: { x: building.footprint.width + reach.north + 150, y: 0 },
      ink: 'ground',
    },
    ...(ridgeOf(frame.roof)
      ? [
          {
            from: { x: middle, y: building.heights.south - 120 },
            to: { x: middle, y: frame.roof.highest + 120 },
            ink: 'datum',
          } as const,
        ]
      : []),
    ...houseLine(plan),
  ]
  return drawn('roof-section', {
    patches: seen(sectionMembers(plan, at), sectionView),
    lines,
    dimensions: dimensions(plan),
    pitches: pitchTags(plan),
    handles: handles(plan),
  })
}

/** The face of the house that a lean-to stands against. */
function houseLine({
  building: {
    roof,
    footprint: { width },
  },
  frame,
}: Plan): Line[] {
  if (!roof.has.house) return []
  const x = roof.high === 'north' ? width : 0
  return [{ from: { x, y: -150 }, to: { x, y: frame.roof.highest + 400 }, ink: 'ground' }]
}

/** How far the rafters reach past each eave wall, mm. */
function reachOf({ building: { roof } }: Plan): Readonly<Record<'south' | 'north', number>> {
  const { eave } = roof.overhang
  if (roof.raised) return { south: eave, north: eave }
  const high = roof.has.house ? 0 : (roof.overhang.high ?? eave)
  return { south: roof.high === 'south' ? high : eave, north: roof.high === 'north' ? high : eave }
}

/** Whether it is nailed to a rafter's face or end. */
const isNailed = ({ role }: Member): boolean => ['nailed', 'tie'].includes(roles[role].section)

/** Whether the nearest is shown near the middle, where none is cut. */
const isNearest = (how: InSection): boolean => how === 'tie' || how === 'strut'

/**
 * The members that a cut beside a rafter shows: those that stand there, what runs past, the ties nailed to it
 * or, near the middle, the nearest, and studs behind, those of partitions along the building too.
 */
function sectionMembers(plan: Plan, at?: number): Member[] {
  const { frame } = plan
  const places = sectionPlaces(plan)
  const place = places[at ?? Math.ceil(places.length / 2) - 1]
  const wall = new RegExp(
    `^walls/(${frame.walls
      .filter(({ along }) => along === 'x')
      .map(({ name }) => name)
      .join('|')})/(plate/|stud/2$)`,
  )
  const walls = frame.members.filter(({ id }) => wall.test(id))
  if (!place) return walls
  const roof = frame.members
    .filter(({ id, role }) => id.startsWith('roof/') && role !== 'hip' && !/^roof\/(east|west)\//.test(id))
    .map(member => ({ member, x: stretchOf(member, 'x') }))
  const gap = (x: Stretch): number => Math.max(0, x.from - place.to, place.from - x.to)
  const there = roof.filter(
    ({ member, x }) =>
      !isNailed(member) && gap(x) < HAIR && x.from < place.to - HAIR && x.to > place.from + HAIR,
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
    const { id, role } = each.member
    const row = role === 'purlin-brace' ? id.slice(0, id.lastIndexOf('/')) : role
    const known = nearest.get(row)
    if (!known || gap(each.x) < gap(known.x)) nearest.set(row, each)
  }
  const ties = [...nailed, ...nearest.values()]
  return [
    ...ties,
    ...there.filter(({ member }) => roles[member.role].section !== 'rafter'),
    ...there.filter(({ member }) => roles[member.role].section === 'rafter'),
  ]
    .map(({ member }) => member)
    .concat(walls)
}

const foot = (x: number): { x: number; y: number } => ({ x, y: 0 })

function dimensions(plan: Plan): Dimension[] {
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
  const reach = reachOf(plan)
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

/** Where the section's highest point is, across the building. */
const topAt = (plan: Plan): number => {
  const { width } = plan.building.footprint
  const reach = reachOf(plan)
  return Math.min(Math.max(peakAcross(plan.frame.roof), -reach.south), width + reach.north)
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

/** Whether a gable's slopes are asked to differ, or to meet at a place. */
const isUnequal = ({ building: { roof } }: Plan): boolean =>
  roof.raised !== null || roof.northPitch !== null || roof.peak.at !== null

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

function pitchTags(plan: Plan): PitchTag[] {
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

function handles(plan: Plan): Handle[] {
  const { building, frame } = plan
  const { width } = building.footprint
  const reach = reachOf(plan)
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
