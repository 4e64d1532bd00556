import { heightOf } from '../design'
import { heightField } from './height-field'
import type { Frame, Member } from '../frame'
import type { Plan, RoofReading } from '../plan'
import { type Dimension, type Drawing, drawn, type Handle, type Line, type PitchTag } from './drawing'
import { seen, sectionView } from './view'

/** Across the building at a rafter near its middle: walls, plates, the two rafters and the ridge, with the roof's dimensions. */
export function roofSection(plan: Plan): Drawing {
  const { design, frame, roof } = plan
  const patches = seen(sectionMembers(frame), sectionView)
  const { width } = design.footprint
  const eave = design.roof.overhang.eave
  const middle = frame.roof.ridgeMiddle
  const lines: Line[] = [
    { from: { x: -eave - 150, y: 0 }, to: { x: width + eave + 150, y: 0 }, ink: 'ground' },
    { from: { x: middle, y: heightOf(design.walls, 'south') - 120 }, to: { x: middle, y: frame.roof.ridgeTop + 120 }, ink: 'datum' },
  ]
  return drawn('roof-section', { patches, lines, dimensions: dimensions(plan, roof), pitch: pitchTag(plan), handles: handles(plan) })
}

/** The members that a cut beside the middle rafter shows, and the studs behind it. */
function sectionMembers(frame: Frame): Member[] {
  const number = Math.ceil(frame.members.filter(member => member.id.startsWith('roof/south/rafter/')).length / 2)
  const wall = /^walls\/(south|north)\/(plate\/|stud\/2$)/
  return frame.members.filter(({ id }) => id === 'roof/ridge' || id === `roof/south/rafter/${number}` || id === `roof/north/rafter/${number}` || wall.test(id))
}

function dimensions({ design, frame }: Plan, roof: RoofReading | null): Dimension[] {
  const { width } = design.footprint
  const [south, north] = [heightOf(design.walls, 'south'), heightOf(design.walls, 'north')]
  const middle = frame.roof.ridgeMiddle
  const eave = design.roof.overhang.eave
  const foot = (x: number): { x: number, y: number } => ({ x, y: 0 })
  const ridgeTop = frame.roof.ridgeTop
  const chosen = design.roof.seat.rule === 'height-above-plate'
  const always: Dimension[] = [
    { name: 'span', from: foot(0), to: foot(width), side: 'below', row: 2, value: width, field: 'footprint.width' },
    { name: 'eave', from: foot(-eave), to: foot(0), side: 'below', row: 1, value: eave, field: 'roof.overhang.eave' },
    { name: 'wall-height', from: foot(0), to: { x: 0, y: south }, side: 'left', row: 1, value: south, field: heightField(design.walls, 'south') },
    ...(Math.abs(north - south) > 0.01 ? [{ name: 'other-height', from: foot(width), to: { x: width, y: north }, side: 'right', row: 1, value: north, field: heightField(design.walls, 'north') } as const] : []),
    { name: 'ridge-top', from: foot(width), to: { x: middle, y: ridgeTop }, side: 'right', row: 2, value: ridgeTop, field: null },
  ]
  if (!roof) return always
  const uneven = Math.abs(north - south) > 0.01
  const over = uneven ? { x: 0, y: south } : { x: width, y: north }
  return [
    ...always,
    { name: 'run', from: foot(uneven ? 0 : middle), to: foot(uneven ? middle : width), side: 'below', row: 1, value: roof.run, field: null },
    { name: 'height-above-plate', from: over, to: { x: over.x, y: over.y + roof.heightAbovePlate }, side: uneven ? 'left' : 'right', row: uneven ? 2 : 1, value: roof.heightAbovePlate, field: chosen ? 'roof.seat.height' : null },
  ]
}

function pitchTag({ design, frame }: Plan): PitchTag {
  const { width } = design.footprint
  const { pitch } = design.roof
  const x = width * 0.74
  const y = frame.roof.ridgeTop - (x - frame.roof.ridgeMiddle) * pitch.rise / pitch.run
  return { at: { x, y }, angle: frame.roof.angle, pitch, field: 'roof.pitch' }
}

function handles({ design, frame }: Plan): Handle[] {
  const { width } = design.footprint
  const middle = frame.roof.ridgeMiddle
  const eave = design.roof.overhang.eave
  const slope = design.roof.pitch.rise / design.roof.pitch.run
  const tailTop = frame.roof.ridgeTop - (middle + eave) * slope
  return [
    { field: 'roof.pitch', at: { x: middle, y: frame.roof.ridgeTop }, along: { x: 0, y: 1 }, gain: 12 / middle },
    { field: 'roof.overhang.eave', at: { x: -eave, y: tailTop }, along: { x: -1, y: 0 }, gain: 1 },
    { field: 'footprint.width', at: { x: width, y: 0 }, along: { x: 1, y: 0 }, gain: 1 },
    { field: heightField(design.walls, 'north'), at: { x: width, y: heightOf(design.walls, 'north') }, along: { x: 0, y: 1 }, gain: 1 },
  ]
}

