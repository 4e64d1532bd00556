import { type Design, type FieldPath, isPitchPath, kindOfPath, limits, type LengthPath } from '../../core/design'
import { formatLength, formatPitch, INCH, parseLength, parsePitch, type Pitch, pitchAngle, radians, riseInTwelve, roundTo, type Units } from '../../core/measure'
import { fieldName, lengthExample, pitchExample, sayLength, sayMeasureFault } from '../../core/words'

/** What became of something typed: the value for the document, or what to say beside the field. */
export type Entry = { ok: true, value: number | Pitch } | { ok: false, message: string }

interface Limit { readonly min: number, readonly max: number }

/** Limits of the fields by their paths, a `*` standing for the number of an item in a list, or a side. */
const limitOf: Record<string, Limit> = {
  'footprint.length': limits.footprintLength, 'footprint.width': limits.footprintWidth, 'walls.height': limits.wallHeight, 'walls.spacing': limits.spacing, 'walls.longest': limits.stock, 'walls.posts.spacing': limits.supports, 'walls.posts.brace': limits.knee, 'walls.slats.gap': limits.slatGap, 'walls.siding.exposure': limits.exposure, 'walls.partitions.*.at': limits.onSite, 'walls.units.*.width': limits.unit, 'walls.units.*.height': limits.unit, 'walls.sheathing.thickness': limits.sheet, 'walls.sheathing.drop': limits.drop,
  'walls.sides.*.height': limits.wallHeight, 'walls.sides.*.step.at': limits.onSite, 'walls.sides.*.step.height': limits.wallHeight,
  'roof.spacing': limits.spacing, 'roof.overhang.eave': limits.eaveOverhang, 'roof.overhang.gable': limits.gableOverhang, 'roof.overhang.high': limits.eaveOverhang, 'roof.seat.height': limits.seatHeight, 'roof.panel.cover': limits.panel, 'roof.beam.spacing': limits.supports, 'roof.purlins.spacing': limits.supports, 'roof.blocking.air': limits.air, 'roof.firring.least': limits.firring, 'roof.raised.at': limits.peakAt, 'roof.raised.spacing': limits.supports, 'roof.peak.at': limits.peakAt, 'roof.peak.height': limits.peakHeight, 'roof.ties.rafter.height': limits.tieHeight, 'roof.ties.collar.height': limits.tieHeight, 'roof.ties.ceiling.height': limits.tieHeight, 'roof.tails.face': limits.tailFace, 'roof.tails.wild': limits.wild, 'roof.ends.spacing': limits.spacing, 'roof.blocking.hole': limits.vent,
  'roof.openings.*.at': limits.onSite, 'roof.openings.*.up': limits.onSite, 'roof.openings.*.width': limits.opening, 'roof.openings.*.length': limits.opening,
  'walls.openings.*.at': limits.onSite, 'walls.openings.*.foot': limits.wallHeight0, 'walls.openings.*.unit.width': limits.unit, 'walls.openings.*.unit.height': limits.unit, 'walls.openings.*.clearance.width': limits.clearance, 'walls.openings.*.clearance.height': limits.clearance,
  'floor.spacing': limits.spacing, 'floor.deck.thickness': limits.sheet, 'floor.deck.gap': limits.gap, 'floor.joint': limits.footprintLength, 'floor.porch.depth': limits.porch, 'floor.porch.gap': limits.gap,
  'floor.openings.*.x': limits.onSite, 'floor.openings.*.y': limits.onSite, 'floor.openings.*.length': limits.opening, 'floor.openings.*.width': limits.opening,
  'base.lift': limits.lift, 'base.gravel.depth': limits.gravelDepth, 'base.gravel.beyond': limits.beyond, 'base.spacing': limits.supports, 'base.block.side': limits.block, 'base.block.height': limits.block, 'base.frost': limits.frost,
  'base.hole': limits.hole, 'base.diameter': limits.hole, 'base.thickness': limits.slab, 'base.beyond': limits.beyond, 'base.lowWall.height': limits.lowWall, 'base.lowWall.thickness': limits.block, 'base.rock.*.reached': limits.frost,
  'site.reference.length': limits.tape, 'site.place.along': limits.across, 'site.place.near': limits.onSite, 'site.place.far': limits.onSite,
  'site.boundaries.*.from.along': limits.across, 'site.boundaries.*.from.out': limits.across, 'site.boundaries.*.to.along': limits.across, 'site.boundaries.*.to.out': limits.across, 'site.boundaries.*.setback': limits.onSite,
  'site.finds.*.clear': limits.clear, 'site.finds.*.places.*.toLeft': limits.tape, 'site.finds.*.places.*.toRight': limits.tape, 'site.squaring.tolerance.good': limits.tolerance, 'site.squaring.tolerance.fair': limits.tolerance,
  'site.levels.points.*.x': limits.across, 'site.levels.points.*.y': limits.across, 'site.levels.points.*.reading': limits.height,
}

/** The limits of a field. Throws RangeError for a path that is no length. */
export function limitFor(path: string): Limit {
  const found = limitOf[path] ?? limitOf[kindOfPath(path)]
  if (!found) throw new RangeError(`no limits for ${path}`)
  return found
}

/** Reads what is typed into a field of the design. */
export function readEntry(path: FieldPath, text: string, units: Units): Entry {
  return isPitchPath(path) ? readPitch(text, units) : readLength(path, text, units)
}

function readLength(path: LengthPath, text: string, units: Units): Entry {
  return readTape(text, units, fieldName(path), limitFor(path))
}

/** Reads a length typed beside a name, within limits; a sign is understood where it may be negative. */
export function readTape(text: string, units: Units, name: string, { min, max }: Limit): { ok: true, value: number } | { ok: false, message: string } {
  const read = parseLength(text, units, min < 0)
  if (!read.ok) return { ok: false, message: sayMeasureFault(read.fault, lengthExample(units)) }
  if (read.value < min) return { ok: false, message: `${name} must be at least ${sayLength(min, units)}.` }
  return read.value > max ? { ok: false, message: `${name} must be at most ${sayLength(max, units)}.` } : { ok: true, value: read.value }
}

function readPitch(text: string, units: Units): Entry {
  const read = parsePitch(text, units)
  if (!read.ok) return { ok: false, message: sayMeasureFault(read.fault, pitchExample(units)) }
  const angle = pitchAngle(read.value)
  const { min, max } = limits.roofAngle
  return angle < min || angle > max ? { ok: false, message: `Pitch must be between ${min}° and ${max}°.` } : { ok: true, value: read.value }
}

/** mm. Thinner than this it is a sheet or a gap, which come in thirty-seconds of an inch. */
const SHEET = 1.25 * INCH

/** A field's value as it is typed. */
export function showEntry(value: number | Pitch, units: Units): string {
  if (typeof value === 'number') return formatLength(value, { units, denominator: value < SHEET ? 32 : 16 })
  return formatPitch(value, units === 'imperial' ? 'twelve' : 'degrees')
}

/** Steps that a drag or an arrow key moves a value by, so that it falls on marks of a tape: mm, or rise in 12. */
function gridOf(path: FieldPath, units: Units): number {
  if (isPitchPath(path)) return 0.25
  if (limitFor(path).max <= limits.tolerance.max) return units === 'imperial' ? INCH / 32 : 1
  return units === 'imperial' ? INCH / 2 : 10
}

/** A field's value moved by `by` (mm, or rise in 12), on the grid and within its limits. A metric pitch moves by half degrees. */
export function movedValue(design: Design, path: FieldPath, from: number | Pitch, by: number): number | Pitch {
  if (typeof from !== 'number') return movedPitch(from, by, design.units)
  const { min, max } = limitFor(path)
  return Math.min(max, Math.max(min, roundTo(from + by, gridOf(path, design.units))))
}

function movedPitch(from: Pitch, by: number, units: Units): Pitch {
  const rise = riseInTwelve(from) + by
  const { min, max } = limits.roofAngle
  if (units === 'metric') {
    const angle = Math.min(max, Math.max(min, roundTo(pitchAngle({ rise: Math.max(rise, 0.1), run: 12 }), 0.5)))
    return { rise: 12 * Math.tan(radians(angle)), run: 12 }
  }
  return { rise: Math.min(24, Math.max(0.5, roundTo(rise, 0.25))), run: 12 }
}

/** One press of an arrow key. */
export function nudged(design: Design, path: FieldPath, from: number | Pitch, way: 1 | -1): number | Pitch {
  if (typeof from !== 'number' && design.units === 'metric') {
    const angle = roundTo(pitchAngle(from), 0.5) + way * 0.5
    return movedPitch({ rise: 12 * Math.tan(radians(angle)), run: 12 }, 0, 'metric')
  }
  return movedValue(design, path, from, way * gridOf(path, design.units))
}

