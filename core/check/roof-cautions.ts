import { idsOf } from './ids-of'
import { ridgeOf } from '../lines'
import { hasMouth, type TieKind, tieKinds } from '../design'
import { type Member, tiePlate } from '../frame'
import { HAIR, INCH, pitchAngle } from '../measure'
import { isCeilingJoist } from '../trade'
import { type Plan, readHip, type RoofReading } from '../plan'
import { type Caution, cautionIf } from './caution'

/** The customary limits held against; each names where it comes from. */
export const customary = {
  /** Share of the depth a bird's mouth may take (common practice, no source). */
  third: 1 / 3,
  /** Share of the depth a notch at the end of a member may take: IRC R502.8.1, R802.7.1 (from memory). */
  quarter: 1 / 4,
  /** mm of rafter, square to the edge, left over the overhang: IRC R802.7.1.1, 4 in nominal (from memory). */
  tailDepth: 3.5 * INCH,
  /** mm of overhang with a notched tail: IRC R802.7.1.1 (from memory). */
  tailReach: 24 * INCH,
  /** mm of bearing on wood: IRC R802.6 (from memory). */
  bearing: 1.5 * INCH,
  /** Degrees below which a ridge is held up as a beam, 3 in 12: IRC R802.3 (from memory). */
  ridgeBoardAngle: pitchAngle({ rise: 3, run: 12 }),
  /** mm between rafter ties, and between collar ties: 4 ft, IRC R802.5.2.2 and R802.4.6 (from memory). */
  tiesApart: 48 * INCH,
  /**
   * Degrees of fall: 1/4 in 12, IRC R905 (from memory); mm of air over insulation: 1 in, IRC R806.3 (from
   * memory).
   */
  fall: pitchAngle({ rise: 0.25, run: 12 }),
  air: INCH,
  /** mm between a purlin's braces, and of a brace unheld: IRC R802.4.5 (from memory). */
  purlinBraces: 48 * INCH,
  braceLength: 96 * INCH,
  /** mm that a header spans singly, and without hangers: IRC R802.9 (from memory). */
  singleHeader: 48 * INCH,
  hungHeader: 72 * INCH,
  /** mm from a rafter's middle to a stud's under a single top plate: IRC R602.3.2 (from memory). */
  offStud: INCH,
} as const

/** What is customarily held to of one slope, read off its rafters, `members`. */
export const roofCautions = (plan: Plan, roof: RoofReading, members: string[]): Caution[] => [
  ...seatCautions(plan, roof, members),
  ...ledgerCautions(plan, roof),
  ...hungCeiling(plan),
  ...stripCautions(plan, roof),
  ...ridgeCautions(plan, roof),
]

/** What a rafter's seat and tail take of it, and what they leave. */
function seatCautions(
  { building: { roof: asked }, frame: { lumber } }: Plan,
  { birdsmouth: { notch, seat }, bearing, plate, angle }: RoofReading,
  members: string[],
): Caution[] {
  const { depth } = lumber.rafter
  const left = Math.max(0, depth - notch - (lumber.finish?.thickness ?? 0))
  const { eave } = asked.overhang
  const shallow = notch > 0 && eave > 0 && left < customary.tailDepth - HAIR
  const deep = pastOf(notch, depth)
  // one cut, one caution: what it leaves over the overhang is told with it
  const tail: Caution['numbers'] = shallow ? { rest: left, tail: customary.tailDepth } : {}
  return [
    ...(deep ? cautionIf(true, `notch-over-${deep.part}`, members, { ...deep.numbers, ...tail }) : []),
    ...cautionIf(shallow && !deep, 'tail-shallow', members, { left, limit: customary.tailDepth }),
    ...cautionIf(notch > 0 && eave > customary.tailReach + HAIR, 'tail-long', members, {
      overhang: eave,
      limit: customary.tailReach,
    }),
    ...cautionIf(bearing < customary.bearing - HAIR, 'bearing-short', members, {
      bearing,
      limit: customary.bearing,
    }),
    ...cautionIf(seat > plate + HAIR, 'seat-past-plate', members, { seat, plate }),
    ...cautionIf(!hasMouth(asked.seat) && asked.has.seats.length > 0, 'no-birdsmouth', members, { angle }),
  ]
}

/** The larger part of a depth that a notch goes past: a third, or the quarter of a member's end. */
function pastOf(
  notch: number,
  depth: number,
): { readonly part: 'third' | 'quarter'; readonly numbers: Caution['numbers'] } | null {
  for (const part of ['third', 'quarter'] as const)
    if (notch > depth * customary[part] + HAIR)
      return { part, numbers: { notch, limit: depth * customary[part], depth } }
  return null
}

/** Hips whose bird's mouths go past the same parts of their depth; all four are cut alike. */
export function hipCautions({ frame }: Plan): Caution[] {
  const hips = frame.members.filter(({ role }) => role === 'hip')
  const [first] = hips
  const reading = first && readHip(frame, first)
  const deep = first && reading ? pastOf(reading.birdsmouth.notch, first.section.depth) : null
  return deep
    ? cautionIf(
        true,
        `hip-notch-over-${deep.part}`,
        hips.map(({ id }) => id),
        deep.numbers,
      )
    : []
}

/** A board at the rafters' heads that is shallower than their plumb cuts. */
const shallow = ({ frame }: Plan, { plumbFace: plumb }: RoofReading, role: 'ledger' | 'ridge'): Caution[] => {
  const { depth } = frame.lumber.ridge
  return cautionIf(depth < plumb - HAIR, `${role}-shallow`, idsOf(frame, role), { [role]: depth, plumb })
}

const ledgerCautions = (plan: Plan, roof: RoofReading): Caution[] =>
  plan.building.roof.has.house
    ? [...cautionIf(true, 'ledger-fixing', idsOf(plan.frame, 'ledger')), ...shallow(plan, roof, 'ledger')]
    : []

function stripCautions(plan: Plan, roof: RoofReading): Caution[] {
  const { raised } = plan.building.roof
  if (!raised) return []
  const members = idsOf(plan.frame, 'upper-header', 'ledger')
  return [
    ...cautionIf(true, 'strip-unchecked', members, { spacing: raised.spacing }),
    ...shallow(plan, roof, 'ledger'),
  ]
}

function ridgeCautions(plan: Plan, roof: RoofReading): Caution[] {
  const { frame, building } = plan
  if (
    !ridgeOf(frame.roof)?.board &&
    frame.roof.faces.every(face => face.places.length > 0) &&
    building.roof.truss
  )
    return []
  if (!ridgeOf(frame.roof)) return []
  if (building.roof.beam) return beamCautions(plan)
  const low = roof.angle < customary.ridgeBoardAngle - HAIR
  return [
    ...shallow(plan, roof, 'ridge'),
    ...cautionIf(low, 'low-pitch', idsOf(frame, 'ridge'), {
      angle: roof.angle,
      limit: customary.ridgeBoardAngle,
    }),
    ...tieCautions(plan),
  ]
}

/** Joists under one slope hang on a ledger. */
function hungCeiling({ frame }: Plan): Caution[] {
  const members = idsOf(frame, 'joist-ledger')
  return members.length ? [{ code: 'joist-ledger-fixing', members, numbers: {} }] : []
}

/**
 * A ridge that carries is a beam that someone must check, at its ends most of all; its ties may be left out.
 */
function beamCautions({ building: { roof }, frame }: Plan): Caution[] {
  const beam = idsOf(frame, 'ridge-beam')
  const { offset = 0 } = ridgeOf(frame.roof)?.middle ?? {}
  const half = frame.lumber.ridge.thickness / 2
  const over = (['east', 'west'] as const).filter(wall =>
    frame.openings[wall].some(({ s }) => s.from < offset + half && s.to > offset - half),
  )
  return beam.length
    ? [
        { code: 'beam-unchecked', members: beam, numbers: { spacing: roof.beam?.spacing ?? 0 } },
        ...over.map((wall): Caution => ({
          code: 'beam-on-header',
          members: beam,
          numbers: {},
          names: { wall },
        })),
      ]
    : []
}

/**
 * Rafter ties belong in the lower third of the height from plate to ridge, collar ties in the upper; each no
 * farther apart than 4 ft.
 */
function tieCautions({ building: { roof }, frame }: Plan): Caution[] {
  const of = (kind: TieKind): string[] =>
    frame.members
      .filter(member => (kind === 'ceiling' ? isCeilingJoist(member.role) : member.role === `${kind}-tie`))
      .map(member => member.id)
  const plate = tiePlate(frame.roof)
  const third = (frame.roof.highest - plate) / 3
  const out: Caution[] =
    of('rafter').length || of('ceiling').length
      ? []
      : [
          {
            code: 'no-ties',
            members: idsOf(frame, 'rafter'),
            numbers: {},
          },
        ]
  for (const kind of tieKinds) {
    const asked = roof.ties[kind]
    const members = of(kind)
    if (!asked || !members.length) continue
    const apart = asked.every * roof.spacing
    if ((kind === 'rafter' || (kind === 'ceiling' && !of('rafter').length)) && asked.height > third + HAIR)
      out.push({ code: 'ties-high', members, numbers: { height: asked.height, limit: third } })
    if (kind === 'collar' && asked.height < 2 * third - HAIR)
      out.push({ code: 'collars-low', members, numbers: { height: asked.height, limit: 2 * third } })
    if (apart > customary.tiesApart + HAIR)
      out.push({ code: 'ties-far', members, numbers: { apart, limit: customary.tiesApart }, names: { kind } })
  }
  return out
}

/**
 * Lookouts let into end rafters that no gable studs carry: those are then rafters like others, held to what
 * may be notched out of one.
 */
export function lookoutCautions({ building: { walls }, frame }: Plan): Caution[] {
  const members = idsOf(frame, 'lookout')
  const { lookout, rafter } = frame.lumber
  const limit = rafter.depth * customary.quarter
  return members.length && walls.gables === 'open' && lookout.thickness > limit + HAIR
    ? [{ code: 'lookouts-deep', members, numbers: { notch: lookout.thickness, limit } }]
    : []
}

/** A roof must fall, and air over its blocks pass. */
export function flatCautions({
  building: {
    roof: { blocking },
  },
  frame,
}: Plan): Caution[] {
  const joists = idsOf(frame, 'roof-joist')
  const blocks = idsOf(frame, 'roof-block')
  const angle = frame.roof.faces[0]?.angle ?? 0
  return [
    ...(joists.length && angle < customary.fall - HAIR
      ? [
          {
            code: 'fall-low',
            members: joists,
            numbers: { angle, limit: customary.fall },
          } as const,
        ]
      : []),
    ...(blocks.length && blocking.air > 0 && blocking.air < customary.air - HAIR
      ? [{ code: 'air-low', members: blocks, numbers: { air: blocking.air, limit: customary.air } } as const]
      : []),
  ]
}

/** Purlins as deep as the rafters, on braces near each other and not too long. */
export function purlinCautions({ building: { roof }, frame, pieces }: Plan): Caution[] {
  const of = (role: Member['role']): string[] => idsOf(frame, role)
  const [purlins, braces] = [of('purlin'), of('purlin-brace')]
  const { purlin, rafter } = frame.lumber
  if (!purlins.length || !purlin || !roof.purlins) return []
  const length = Math.max(...pieces.filter(piece => piece.role === 'purlin-brace').map(piece => piece.length))
  return [
    ...(purlin.depth < rafter.depth - HAIR
      ? [
          {
            code: 'purlin-shallow',
            members: purlins,
            numbers: { depth: purlin.depth, limit: rafter.depth },
          } as const,
        ]
      : []),
    ...(roof.purlins.spacing > customary.purlinBraces + HAIR
      ? [
          {
            code: 'purlin-braces-far',
            members: braces,
            numbers: { apart: roof.purlins.spacing, limit: customary.purlinBraces },
          } as const,
        ]
      : []),
    ...(length > customary.braceLength + HAIR
      ? [
          {
            code: 'purlin-brace-long',
            members: braces,
            numbers: { length, limit: customary.braceLength },
          } as const,
        ]
      : []),
  ]
}
