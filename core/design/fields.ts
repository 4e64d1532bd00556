import type { SideName } from './sides'

type Digit = `${number}`
/** Paths of the lengths below the walls; a number stands for an item of a list. */
export type GroundPath =
  | 'floor.spacing'
  | 'floor.deck.thickness'
  | `floor.deck.sheet.${'length' | 'width'}`
  | 'floor.deck.gap'
  | 'floor.joint'
  | 'floor.porch.depth'
  | 'floor.porch.gap'
  | `floor.openings.${Digit}.${'x' | 'y' | 'length' | 'width'}`
  | 'base.lift'
  | 'base.gravel.depth'
  | 'base.gravel.beyond'
  | 'base.spacing'
  | 'base.block.side'
  | 'base.block.height'
  | 'base.frost'
  | 'base.hole'
  | 'base.pad'
  | 'base.long'
  | `base.skirt.${'spacing' | 'into'}`
  | 'base.diameter'
  | 'base.thickness'
  | 'base.beyond'
  | 'base.lowWall.height'
  | 'base.lowWall.thickness'
  | `base.rock.${Digit}.reached`
  | 'site.reference.length'
  | 'site.place.along'
  | 'site.place.near'
  | 'site.place.far'
  | `site.boundaries.${Digit}.${'from' | 'to'}.${'along' | 'out'}`
  | `site.boundaries.${Digit}.setback`
  | `site.finds.${Digit}.clear`
  | `site.finds.${Digit}.places.${Digit}.${'toLeft' | 'toRight'}`
  | 'site.squaring.tolerance.good'
  | 'site.squaring.tolerance.fair'
  | `site.levels.points.${Digit}.${'x' | 'y' | 'reading'}`

type SidingLength =
  'exposure' | 'space' | 'cover' | 'lap' | 'longest' | 'endLap' | 'height' | 'thickness' | 'width' | 'deep'

export type WallPath =
  | 'walls.posts.spacing'
  | 'walls.posts.brace'
  | 'walls.posts.inset'
  | 'walls.posts.gap'
  | `walls.railing.${'gap' | 'height' | 'low'}`
  | 'walls.slats.gap'
  | 'walls.between.spacing'
  | `${'walls.siding' | `walls.sides.${SideName}.${'siding' | 'gable'}`}.${SidingLength}`
  | 'walls.trim.below'
  | 'walls.sheathing.grooves'
  | `walls.partitions.${Digit}.at`
  | `walls.units.${Digit}.${'width' | 'height'}`
  | 'walls.longest'
  | `walls.sides.${SideName}.${'height' | 'step.at' | 'step.height'}`
  | 'walls.sheathing.thickness'
  | `walls.sheathing.sheet.${'length' | 'width'}`
  | 'walls.sheathing.drop'

export type OpeningPath =
  | `walls.openings.${Digit}.${'at' | 'foot' | 'unit.width' | 'unit.height' | 'clearance.width' | 'clearance.height'}`
  | `walls.openings.${Digit}.door.${'gap.side' | 'gap.top' | 'gap.foot' | 'space' | 'panel.thickness' | 'panel.deep'}`

/** Lengths of what covers a roof. */
type OnFaces = 'roof.cover' | `roof.cover.own.${Digit}`
export type CoverPath =
  | `${OnFaces}.deck.${'thickness' | 'sheet.length' | 'sheet.width' | 'gap' | 'space' | 'first'}`
  | `${OnFaces}.battens.apart`
  | `${OnFaces}.top.${'cover' | 'lap' | 'longest' | 'endLap' | 'past' | 'height' | 'first'}`
  | `${OnFaces}.top.${'exposure' | 'strip' | 'width' | 'length' | 'over' | 'up'}`
  | `${OnFaces}.underlay.${'width' | 'length' | 'lap' | 'endLap'}`
  | `roof.cover.soffit.${'space' | 'vent'}`
  | `roof.cover.past.${'eave' | 'rake'}`
  | 'roof.cover.slot'

export type RoofOpeningPath = `roof.openings.${Digit}.${'at' | 'up' | 'width' | 'length'}`

/** Lengths that a gambrel is found by, and its gussets'. */
export type GambrelLengthPath =
  | 'roof.gambrel.foot.drop'
  | 'roof.gambrel.purlin.spacing'
  | `roof.gambrel.knee.${'in' | 'up'}`
  | `roof.gambrel.headroom.${'height' | 'width'}`
  | `roof.truss.gusset.${'thickness' | 'leg'}`
  | 'roof.truss.heel'
  | `roof.truss.splice.${'bottom' | 'top'}`
  | 'roof.truss.bought.span'
  | `roof.truss.room.${'width' | 'height'}`
  | `roof.truss.setting.${'braces' | 'bays' | 'purlins'}`
  | `roof.truss.setting.rows.${'top' | 'bottom' | 'webs'}`

/** What a gambrel hangs on: what a problem of it may ask to be changed. */
export type GambrelPath =
  | GambrelLengthPath
  | 'roof.gambrel.knee.share'
  | 'roof.overhang.eave'
  | 'roof.peak.height'
  | PitchPath
  | 'footprint.width'

/** Paths of the lengths and the pitch that a drawing lets one change. */
export type LengthPath =
  | `hang.${'along' | 'gap'}`
  | 'footprint.length'
  | 'footprint.width'
  | 'walls.height'
  | 'walls.spacing'
  | 'roof.spacing'
  | 'roof.taper'
  | 'roof.overhang.eave'
  | 'roof.overhang.high'
  | 'roof.overhang.gable'
  | 'roof.seat.height'
  | 'roof.peak.at'
  | 'roof.peak.height'
  | `roof.ties.${'rafter' | 'collar' | 'ceiling'}.height`
  | 'roof.tails.face'
  | 'roof.tails.wild'
  | 'roof.ends.spacing'
  | 'roof.blocking.hole'
  | 'roof.panel.cover'
  | 'roof.beam.spacing'
  | `roof.joistBeam.${'at' | 'spacing'}`
  | 'roof.purlins.spacing'
  | 'roof.blocking.air'
  | 'roof.firring.least'
  | `roof.pergola.${'notch' | 'tail.size' | 'battens.apart'}`
  | 'roof.raised.at'
  | 'roof.raised.spacing'
  | 'roof.loft.height'
  | `roof.loft.deck.${'thickness' | 'gap' | 'sheet.length' | 'sheet.width'}`
  | GambrelLengthPath
  | CoverPath
  | RoofOpeningPath
  | GroundPath
  | OpeningPath
  | WallPath
/** A weight, kg. */
export type WeightPath = 'roof.truss.bought.weight'
export type PitchPath =
  'roof.pitch' | 'roof.northPitch' | 'roof.gambrel.lower' | 'roof.gambrel.foot.kick' | 'roof.truss.ceiling'
export type FieldPath = LengthPath | PitchPath | WeightPath

export const isWeightPath = (path: string): path is WeightPath => path === 'roof.truss.bought.weight'

export const isPitchPath = (path: string): path is PitchPath =>
  path === 'roof.pitch' ||
  path === 'roof.northPitch' ||
  path === 'roof.gambrel.lower' ||
  path === 'roof.gambrel.foot.kick' ||
  path === 'roof.truss.ceiling'

/**
 * A path with a `*` for the number of an item in a list, and for the side of a wall: what all of its kind
 * share, as siding of one wall does with that of all, and the covering of one face.
 */
export const kindOfPath = (path: string): string =>
  path
    .replace(/\.(?:\d+|south|east|north|west)(?=\.|$)/g, '.*')
    .replace(/^roof\.cover\.own\.\*\./, 'roof.cover.')
    .replace(/^walls\.sides\.\*\.(?:siding|gable)\./, 'walls.siding.')

/** A path of a document, and the number of the part it is in, from 0; null of the main part. */
export function pathInPart(path: string): { readonly part: number | null; readonly path: string } {
  const found = /^parts\.(\d+)\.(.+)$/.exec(path)
  return found ? { part: Number(found[1]), path: found[2] ?? '' } : { part: null, path }
}

/** The value at a dotted path of a design or a building; undefined where there is none. */
export function valueAt(document: object, path: string): unknown {
  return path
    .split('.')
    .reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], document)
}

/**
 * A design or a building with one value changed; the same one where nothing changes. Objects on the way are
 * copied, the rest is shared.
 */
export function withValue<T extends object>(document: T, path: string, value: unknown): T {
  return Object.is(valueAt(document, path), value) ? document : (put(document, path.split('.'), value) as T)
}

function put(at: unknown, keys: readonly string[], value: unknown): unknown {
  const [key, ...rest] = keys
  if (key === undefined) return value
  const record = at as Record<string, unknown>
  const inner = put(record[key], rest, value)
  return Array.isArray(at)
    ? at.map((each: unknown, i) => (String(i) === key ? inner : each))
    : { ...record, [key]: inner }
}
