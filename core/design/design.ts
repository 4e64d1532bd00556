import type { Units } from '../measure'
import { type Base, baseSchema } from './base'
import { type CutMember, cutSchema, defaultCut } from './cut'
import { type Floor, floorSchema } from './floor'
import { defaultFootprint, type Footprint, footprintSchema } from './footprint'
import { type Hang, hangSchema, MOST_PARTS } from './hang'
import { defaultLumber, type Lumber, lumberSchema } from './lumber'
import { usualPosts, usualSlats } from './posts'
import { usualBetween } from './between-posts'
import { usualRailing } from './railing'
import { defaultRoof, type Roof, roofSchema } from './roof'
import { type Site, siteSchema } from './site'
import { defaultWalls, usualLongest, type Walls, wallsSchema } from './walls'
import { z } from './zod'

export const FORMAT = 'early-wren/design'
export const VERSION = 3

/** One building: the whole document. Lengths in mm; `units` says only how they are shown and typed. */
/** The most characters of a design's name. */
export const MAX_NAME = 80

export interface Design {
  readonly format: typeof FORMAT
  readonly version: typeof VERSION
  readonly name: string
  readonly units: Units
  readonly footprint: Footprint
  /** Null where nothing is known of the ground. */
  readonly site: Site | null
  /** Null where what the floor or the walls stand on is not part of the work. */
  readonly base: Base | null
  /** Null where the walls stand on a slab or an old floor. */
  readonly floor: Floor | null
  readonly walls: Walls
  readonly roof: Roof
  readonly lumber: Lumber
  /** Members ticked as cut. */
  readonly cut: readonly CutMember[]
  /** Where a part hangs on the main one; null of the main part itself. */
  readonly hang: Hang | null
  /** What hangs on the main part. */
  readonly parts: readonly Part[]
}

/** What each part of a building has of its own; the units, the ground and the lumber are the building's. */
type OwnOfPart = 'name' | 'footprint' | 'base' | 'floor' | 'walls' | 'roof' | 'cut'

/** A further part of a building: a porch, a lean-to. */
export interface Part extends Pick<Design, OwnOfPart> {
  readonly hang: Hang
}

const own = {
  name: z.string().trim().min(1).max(MAX_NAME),
  footprint: footprintSchema,
  base: baseSchema.nullable().default(null),
  floor: floorSchema.nullable().default(null),
  walls: wallsSchema,
  roof: roofSchema,
  cut: cutSchema.default([...defaultCut]),
}

const partSchema = z.strictObject({ ...own, hang: hangSchema })

export const designSchema = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(VERSION),
  ...own,
  units: z.enum(['imperial', 'metric']),
  site: siteSchema.nullable().default(null),
  lumber: lumberSchema,
  hang: z.null().default(null),
  parts: z.array(partSchema).max(MOST_PARTS).default([]),
})

/** A new design: a plain 8 x 12 ft shed, or its nearest metric like. */
export function newDesign(name: string, units: Units): Design {
  const imperial: Design = {
    format: FORMAT,
    version: VERSION,
    name,
    units,
    footprint: defaultFootprint,
    site: null,
    base: null,
    floor: null,
    walls: defaultWalls,
    roof: defaultRoof,
    lumber: defaultLumber,
    cut: defaultCut,
    hang: null,
    parts: [],
  }
  if (units === 'imperial') return imperial
  return {
    ...imperial,
    lumber: { ...defaultLumber, yard: 'metric' },
    footprint: { length: 3600, width: 2400 },
    walls: {
      ...defaultWalls,
      stud: '38x89',
      spacing: 400,
      height: 2100,
      longest: usualLongest.metric,
      posts: usualPosts.metric,
      slats: usualSlats.metric,
      railing: usualRailing.metric,
      between: usualBetween.metric,
    },
    roof: {
      ...defaultRoof,
      rafter: '47x125',
      ridge: '47x150',
      spacing: 600,
      pitch: { rise: 1, run: 2 },
      overhang: { eave: 300, gable: 200 },
    },
  }
}
