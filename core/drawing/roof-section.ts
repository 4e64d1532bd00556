import { heightOf, tieKinds } from '../design'
import { heightField } from './height-field'
import type { Frame, Member } from '../frame'
import type { Plan, RoofReading } from '../plan'
import { type Dimension, type Drawing, drawn, type Handle, type Line, type PitchTag } from './drawing'
import { seen, sectionView } from './view'

/** Across the building at a rafter near its middle: walls, plates, the rafters and the ridge, with the roof's dimensions. */
export function roofSection(plan: Plan): Drawing {
  const { design, frame } = plan
  const reach = reachOf(plan)
  const middle = frame.roof.meet
  const lines: Line[] = [
    { from: { x: -reach.south - 150, y: 0 }, to: { x: design.footprint.width + reach.north + 150, y: 0 }, ink: 'ground' },
    ...(frame.roof.ridgeCentre ? [{ from: { x: middle, y: heightOf(design.walls, 'south') - 120 }, to: { x: middle, y: frame.roof.highest + 120 }, ink: 'datum' } as const] : []),
  ]
  return drawn('roof-section', { patches: seen(sectionMembers(frame), sectionView), lines, dimensions: dimensions(plan), pitch: pitchTag(plan), handles: handles(plan) })
}

/** How far the rafters reach past each eave wall, mm. */
function reachOf({ design: { roof } }: Plan): Readonly<Record<'south' | 'north', number>> {
  const { eave } = roof.overhang
  const high = roof.shape === 'single-slope' ? roof.overhang.high ?? eave : eave
  return { south: roof.high === 'south' ? high : eave, north: roof.high === 'north' ? high : eave }
}

/** The members that a cut beside the middle rafter shows, and the studs behind it. */
function sectionMembers(frame: Frame): Member[] {
  const rows = ['roof/south/rafter/', 'roof/north/rafter/', 'roof/rafter/'].map(slope => frame.members.filter(({ id }) => id.startsWith(slope)))
  const rafters = rows.flatMap(row => row.slice(Math.ceil(row.length / 2) - 1, Math.ceil(row.length / 2)))
  const wall = /^walls\/(south|north)\/(plate\/|stud\/2$)/
  const ties = tieKinds.flatMap((kind) => {
    const all = frame.members.filter(({ role }) => role === `${kind}-tie`)
    return all.slice(Math.floor(all.length / 2), Math.floor(all.length / 2) + 1)
  })
  const fascia = frame.members.filter(({ role }) => role === 'sub-fascia' || role === 'fascia')
  return [...ties, ...fascia, ...frame.members.filter(({ id }) => id === 'roof/ridge' || wall.test(id)), ...rafters]
}

const foot = (x: number): { x: number, y: number } => ({ x, y: 0 })

function dimensions(plan: Plan): Dimension[] {
  const { design, roof } = plan
  const { width } = design.footprint
  const [south, north] = [heightOf(design.walls, 'south'), heightOf(design.walls, 'north')]
  const uneven = Math.abs(north - south) > 0.01
  return [
    { name: 'span', from: foot(0), to: foot(width), side: 'below', row: 2, value: width, field: 'footprint.width' },
    { name: 'wall-height', from: foot(0), to: { x: 0, y: south }, side: 'left', row: 1, value: south, field: heightField(design.walls, 'south') },
    ...(uneven ? [{ name: 'other-height', from: foot(width), to: { x: width, y: north }, side: 'right', row: 1, value: north, field: heightField(design.walls, 'north') } as const] : []),
    ...eaves(plan), ...top(plan), ...(roof ? ofRafters(plan, roof, uneven) : []),
  ]
}

/** The overhang at the south, or under a single slope at both walls. */
function eaves(plan: Plan): Dimension[] {
  const { design: { roof, footprint: { width } } } = plan
  const reach = reachOf(plan)
  const at = (side: 'south' | 'north', field: 'roof.overhang.eave' | 'roof.overhang.high', name: 'eave' | 'high-eave'): Dimension =>
    ({ name, from: foot(side === 'south' ? -reach.south : width), to: foot(side === 'south' ? 0 : width + reach.north), side: 'below', row: 1, value: reach[side], field })
  if (roof.shape === 'gable') return [at('south', 'roof.overhang.eave', 'eave')]
  const low = roof.high === 'north' ? 'south' : 'north'
  return [at(low, 'roof.overhang.eave', 'eave'), at(roof.high, 'roof.overhang.high', 'high-eave')]
}

/** Where the section's highest point is, across the building. */
const topAt = (plan: Plan): number => {
  const { frame: { roof: { meet } }, design: { footprint: { width } } } = plan
  const reach = reachOf(plan)
  return Math.min(Math.max(meet, -reach.south), width + reach.north)
}

function top(plan: Plan): Dimension[] {
  const { frame: { roof: { highest, ridgeCentre } }, design: { footprint: { width } } } = plan
  const at = topAt(plan)
  const left = !ridgeCentre && at < 0
  return [{ name: 'ridge-top', from: foot(left ? 0 : width), to: { x: at, y: highest }, side: left ? 'left' : 'right', row: 2, value: highest, field: null }]
}

/** The run, and the height above plate at the wall it is read at. */
function ofRafters({ design, frame }: Plan, roof: RoofReading, uneven: boolean): Dimension[] {
  const { width } = design.footprint
  const { meet, ridgeCentre, slopes } = frame.roof
  const single = ridgeCentre === null
  const heel = single ? (meet > 0 ? 0 : width) : uneven ? 0 : width
  const far = single ? heel + (meet > 0 ? roof.run : -roof.run) : meet
  const height = (heel === 0 ? slopes.south : slopes.north).height
  const field = design.roof.seat.rule === 'height-above-plate' ? 'roof.seat.height' as const : null
  return [
    { name: 'run', from: foot(Math.min(heel, far)), to: foot(Math.max(heel, far)), side: 'below', row: single ? 3 : 1, value: roof.run, field: null },
    { name: 'height-above-plate', from: { x: heel, y: height }, to: { x: heel, y: height + roof.heightAbovePlate }, side: heel === 0 ? 'left' : 'right', row: uneven ? 2 : 1, value: roof.heightAbovePlate, field },
  ]
}

/** Level of the roof's plane over a place across the building. */
function planeLevel({ frame: { roof: { highest, meet, ridgeCentre } }, design: { roof: { pitch } } }: Plan, x: number, at: number): number {
  const slope = pitch.rise / pitch.run
  return highest - (ridgeCentre === null || x > meet ? Math.abs(x - at) : at - x) * slope
}

function pitchTag(plan: Plan): PitchTag {
  const { design, frame } = plan
  const { width } = design.footprint
  const rising = frame.roof.meet === Infinity
  const x = width * (rising ? 0.3 : 0.74)
  return { at: { x, y: planeLevel(plan, x, topAt(plan)) }, angle: frame.roof.angle, pitch: design.roof.pitch, field: 'roof.pitch' }
}

/** Ties are dragged up and down beside the ridge. */
function tieHandles({ design: { roof }, frame }: Plan): Handle[] {
  const plate = Math.max(frame.roof.slopes.south.height, frame.roof.slopes.north.height)
  return frame.roof.ridgeCentre ? tieKinds.flatMap((kind): Handle[] => roof.ties[kind] ? [{ field: `roof.ties.${kind}.height`, at: { x: frame.roof.meet, y: plate + roof.ties[kind].height }, along: { x: 0, y: 1 }, gain: 1 }] : []) : []
}

function handles(plan: Plan): Handle[] {
  const { design, frame } = plan
  const { width } = design.footprint
  const reach = reachOf(plan)
  const at = topAt(plan)
  const gable = frame.roof.ridgeCentre !== null
  const low = !gable && design.roof.high === 'south' ? 'north' : 'south'
  const tail = low === 'south' ? { x: -reach.south, way: -1 } : { x: width + reach.north, way: 1 }
  const high = { x: low === 'south' ? width + reach.north : -reach.south, way: -tail.way }
  return [
    { field: 'roof.pitch', at: { x: at, y: frame.roof.highest }, along: { x: 0, y: 1 }, gain: 12 / Math.abs(gable ? at : high.x - (low === 'south' ? 0 : width)) },
    { field: 'roof.overhang.eave', at: { x: tail.x, y: planeLevel(plan, tail.x, at) }, along: { x: tail.way, y: 0 }, gain: 1 },
    ...(gable ? [] : [{ field: 'roof.overhang.high' as const, at: { x: high.x, y: frame.roof.highest - frame.lumber.rafter.depth }, along: { x: high.way, y: 0 }, gain: 1 }]),
    ...tieHandles(plan),
    { field: 'footprint.width', at: { x: width, y: 0 }, along: { x: 1, y: 0 }, gain: 1 },
    ...(gable ? ['north' as const] : ['south' as const, 'north' as const]).map((side): Handle => ({ field: heightField(design.walls, side), at: { x: side === 'north' ? width : 0, y: heightOf(design.walls, side) }, along: { x: 0, y: 1 }, gain: 1 })),
  ]
}
