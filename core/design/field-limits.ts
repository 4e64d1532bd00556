import { kindOfPath } from './fields'
import { limits } from './limits'

/** The least and the most of a field, mm. */
export interface Limit {
  readonly min: number
  readonly max: number
}

/** Limits of the fields by their paths, a `*` standing for the number of an item in a list, or a side. */
const limitOf: Record<string, Limit> = {
  'footprint.length': limits.footprintLength,
  'footprint.width': limits.footprintWidth,
  'walls.height': limits.wallHeight,
  'walls.spacing': limits.spacing,
  'walls.longest': limits.stock,
  'walls.posts.spacing': limits.supports,
  'walls.posts.brace': limits.knee,
  'walls.slats.gap': limits.slatGap,
  'walls.siding.exposure': limits.exposure,
  'walls.partitions.*.at': limits.onSite,
  'walls.units.*.width': limits.unit,
  'walls.units.*.height': limits.unit,
  'walls.sheathing.thickness': limits.sheet,
  'walls.sheathing.drop': limits.drop,
  'walls.sides.*.height': limits.wallHeight,
  'walls.sides.*.step.at': limits.onSite,
  'walls.sides.*.step.height': limits.wallHeight,
  'roof.spacing': limits.spacing,
  'roof.overhang.eave': limits.eaveOverhang,
  'roof.overhang.gable': limits.gableOverhang,
  'roof.overhang.high': limits.eaveOverhang,
  'roof.seat.height': limits.seatHeight,
  'roof.panel.cover': limits.panel,
  'roof.beam.spacing': limits.supports,
  'roof.purlins.spacing': limits.supports,
  'roof.blocking.air': limits.air,
  'roof.firring.least': limits.firring,
  'roof.raised.at': limits.peakAt,
  'roof.raised.spacing': limits.supports,
  'roof.peak.at': limits.peakAt,
  'roof.peak.height': limits.peakHeight,
  'roof.ties.rafter.height': limits.tieHeight,
  'roof.ties.collar.height': limits.tieHeight,
  'roof.ties.ceiling.height': limits.tieHeight,
  'roof.tails.face': limits.tailFace,
  'roof.tails.wild': limits.wild,
  'roof.ends.spacing': limits.spacing,
  'roof.blocking.hole': limits.vent,
  'roof.openings.*.at': limits.onSite,
  'roof.openings.*.up': limits.onSite,
  'roof.openings.*.width': limits.opening,
  'roof.openings.*.length': limits.opening,
  'walls.openings.*.at': limits.onSite,
  'walls.openings.*.foot': limits.wallHeight0,
  'walls.openings.*.unit.width': limits.unit,
  'walls.openings.*.unit.height': limits.unit,
  'walls.openings.*.clearance.width': limits.clearance,
  'walls.openings.*.clearance.height': limits.clearance,
  'floor.spacing': limits.spacing,
  'floor.deck.thickness': limits.sheet,
  'floor.deck.gap': limits.gap,
  'floor.joint': limits.footprintLength,
  'floor.porch.depth': limits.porch,
  'floor.porch.gap': limits.gap,
  'floor.openings.*.x': limits.onSite,
  'floor.openings.*.y': limits.onSite,
  'floor.openings.*.length': limits.opening,
  'floor.openings.*.width': limits.opening,
  'base.lift': limits.lift,
  'base.gravel.depth': limits.gravelDepth,
  'base.gravel.beyond': limits.beyond,
  'base.spacing': limits.supports,
  'base.block.side': limits.block,
  'base.block.height': limits.block,
  'base.frost': limits.frost,
  'base.hole': limits.hole,
  'base.diameter': limits.hole,
  'base.thickness': limits.slab,
  'base.beyond': limits.beyond,
  'base.lowWall.height': limits.lowWall,
  'base.lowWall.thickness': limits.block,
  'base.rock.*.reached': limits.frost,
  'site.reference.length': limits.tape,
  'site.place.along': limits.across,
  'site.place.near': limits.onSite,
  'site.place.far': limits.onSite,
  'site.boundaries.*.from.along': limits.across,
  'site.boundaries.*.from.out': limits.across,
  'site.boundaries.*.to.along': limits.across,
  'site.boundaries.*.to.out': limits.across,
  'site.boundaries.*.setback': limits.onSite,
  'site.finds.*.clear': limits.clear,
  'site.finds.*.places.*.toLeft': limits.tape,
  'site.finds.*.places.*.toRight': limits.tape,
  'site.squaring.tolerance.good': limits.tolerance,
  'site.squaring.tolerance.fair': limits.tolerance,
  'site.levels.points.*.x': limits.across,
  'site.levels.points.*.y': limits.across,
  'site.levels.points.*.reading': limits.height,
}

/** The limits of a field, mm; null for a path that is no length. */
export const findLimit = (path: string): Limit | null => limitOf[path] ?? limitOf[kindOfPath(path)] ?? null

/** The limits of a field. Throws RangeError for a path that is no length. */
export function limitFor(path: string): Limit {
  const found = findLimit(path)
  if (!found) throw new RangeError(`no limits for ${path}`)
  return found
}
