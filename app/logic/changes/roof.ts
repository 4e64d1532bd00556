import { leavesOut, lowEaves } from '../../../core/lines'
import {
  type Design,
  hasBottomChord,
  limits,
  LOFT_HEIGHT,
  type RoofOpening,
  type RoofOpeningKind,
  type Seat,
  type TieKind,
  usualBeam,
  usualPurlins,
  usualRoofOpening,
  usualSheets,
  usualTies,
  withValue,
} from '../../../core/design'
import { roomOn, stairRoom, tiePlate } from '../../../core/frame'
import { countDown, countUp, INCH } from '../../../core/measure'
import type { Plan } from '../../../core/plan'
import type { Change } from '../../storage/designs'
import { freePlace } from '../free-place'

/**
 * A loft's deck on ceiling joists, framed with it where there are none and the trusses have no bottom chords.
 */
export const addLoft =
  ({ building }: Plan): Change =>
  design => {
    const { yard } = design.lumber
    const { ties } = design.roof
    const { truss } = building.roof
    const ceiling =
      truss && hasBottomChord(truss.kind) ? ties.ceiling : (ties.ceiling ?? usualTies[yard].ceiling)
    const loft = { deck: usualSheets[yard], height: LOFT_HEIGHT }
    return { ...design, roof: { ...design.roof, ties: { ...ties, ceiling }, loft } }
  }

/** What can be done to a design's roof; each is one edit, undone as one. */

/** More than this a roof can't have. */
export const MOST_ROOF_OPENINGS = 10

/**
 * Puts an opening of a kind where there is room for it: a roof light as wide as a bay, in the bay nearest the
 * middle that is free, no longer than the slope or the ceiling leaves. A stair brings ceiling joists, where
 * there is nothing that it could open.
 */
export function addRoofOpening(plan: Plan, kind: RoofOpeningKind): Change {
  const {
    building,
    frame: { lumber, roof },
  } = plan
  const eave = lowEaves(roof)[0]
  if (!eave) return at => at
  const { face, side } = eave
  const { whole } = face
  const usual = usualRoofOpening(kind, side, building.footprint.length / 2, 0, building.lumber.yard)
  const grid = building.lumber.yard === 'imperial' ? INCH / 2 : 5
  const down = (mm: number): number => countDown(mm / grid) * grid
  // trusses with bottom chords leave one out for it, between two that are doubled
  const chords = leavesOut(building)
  const ceiling = building.roof.ties.ceiling ?? usualTies[building.lumber.yard].ceiling
  const joist = chords ? lumber.bottom : (lumber.ties.ceiling ?? lumber.rafter)
  const low = tiePlate(roof) + (chords ? 0 : ceiling.height)
  const room =
    kind === 'stair'
      ? stairRoom(building, lumber, roof, { from: low, to: low + joist.depth }, usual.plies * joist.thickness)
      : roomOn(building, lumber, roof, { face: eave.face, eave }, usual.plies)
  const cos = kind === 'stair' ? 1 : face.carrier.top.normal.z
  const length = Math.max(limits.opening.min, Math.min(usual.length, down((room.to - room.from) / cos)))
  const t = lumber.rafter.thickness
  const width = kind === 'light' ? Math.max(limits.opening.min, building.roof.spacing - t) : usual.width
  const others = building.roof.openings
    .filter(each => (each.kind === 'stair') === (kind === 'stair'))
    .map(each => ({ from: each.at - each.width / 2 - 2 * t, to: each.at + each.width / 2 + 2 * t }))
  const free = freePlace({ from: whole.from + t, to: whole.to - t }, others, width + 4 * t) ?? usual.at
  // between rafters that stand on their own centres
  const { spacing } = building.roof
  const bay = whole.from + (Math.floor((free - whole.from) / spacing) + 0.5) * spacing
  const opening: RoofOpening = {
    ...usual,
    width,
    length,
    at: kind === 'light' ? bay : free,
    up: Math.max(
      room.from,
      countUp((room.from + (room.to - room.from - length * cos) / 2) / grid) * grid - grid,
    ),
  }
  return at => ({
    ...at,
    roof: {
      ...at.roof,
      ties: kind === 'stair' && !chords ? { ...at.roof.ties, ceiling } : at.roof.ties,
      openings: [...at.roof.openings, opening].slice(0, MOST_ROOF_OPENINGS),
    },
  })
}

export const dropRoofOpening =
  (i: number): Change =>
  at => ({ ...at, roof: { ...at.roof, openings: at.roof.openings.filter((_, k) => k !== i) } })

/** Ties of a kind, as is usual; or none. */
export const withTies =
  (kind: TieKind, on: boolean): Change =>
  at =>
    withValue(at, `roof.ties.${kind}`, on ? usualTies[at.lumber.yard][kind] : null)

/** A gambrel's knee at a part of the span, or at the height it has. */
export const withKneeShare = (plan: Plan, design: Design, share: number | null): Design => {
  const { gambrel } = plan.building.roof
  const at = withValue(design, 'roof.gambrel.knee.share', share)
  return share === null && gambrel ? withValue(at, 'roof.gambrel.knee.up', gambrel.knee.up) : at
}

/** Purlins of a section under the rafters; null without. */
export const withPurlins =
  (section: string | null): Change =>
  at =>
    withValue(
      at,
      'roof.purlins',
      section ? { ...usualPurlins[at.lumber.yard], ...at.roof.purlins, section } : null,
    )
export const addPurlins: Change = at => withValue(at, 'roof.purlins', usualPurlins[at.lumber.yard])

/** A ridge that carries, on posts; or a board. */
export const ridgeCarries =
  (beam: boolean): Change =>
  at =>
    withValue(at, 'roof.beam', beam ? usualBeam[at.lumber.yard] : null)

/** Rafters where the seams of panels fall; or where they are asked for. */
export const panelsLead =
  (lead: boolean): Change =>
  at =>
    withValue(
      at,
      'roof.panel',
      lead ? { cover: at.lumber.yard === 'metric' ? 1000 : 24 * INCH, per: 1 } : null,
    )

export const seatChoices = [
  'full-bearing',
  'third',
  'third-plumb',
  'height-above-plate',
  'none',
  'wedge',
] as const
export type SeatChoice = (typeof seatChoices)[number]
export const chosenSeat = (seat: Seat): SeatChoice =>
  seat.rule === 'third' && seat.measured === 'plumb' ? 'third-plumb' : seat.rule

/** A height above plate starts from the one the roof has, so that choosing the school moves nothing. */
export function chooseSeat(plan: Plan, choice: SeatChoice): Change {
  const height = plan.roof?.heightAbovePlate ?? 100
  const seat = ((): Seat => {
    switch (choice) {
      case 'third-plumb':
        return { rule: 'third', measured: 'plumb' }
      case 'third':
        return { rule: 'third', measured: 'square' }
      case 'height-above-plate':
        return { rule: choice, height }
      default:
        return { rule: choice }
    }
  })()
  return at => withValue(at, 'roof.seat', seat)
}
