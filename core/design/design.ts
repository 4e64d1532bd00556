import type { Units } from '../measure'
import { type Base, baseSchema } from './base'
import { type CutMember, cutSchema, defaultCut } from './cut'
import { type Floor, floorSchema } from './floor'
import { defaultFootprint, type Footprint, footprintSchema } from './footprint'
import { defaultLumber, type Lumber, lumberSchema } from './lumber'
import { usualPosts, usualSlats } from './posts'
import { defaultRoof, type Roof, roofSchema } from './roof'
import { type Site, siteSchema } from './site'
import { defaultWalls, usualLongest, type Walls, wallsSchema } from './walls'
import { z } from './zod'

export const FORMAT = 'early-wren/design'
export const VERSION = 2

/** One building: the whole document. Lengths in mm; `units` says only how they are shown and typed. */
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
}

export const designSchema = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(VERSION),
  name: z.string().trim().min(1).max(80),
  units: z.enum(['imperial', 'metric']),
  footprint: footprintSchema,
  site: siteSchema.nullable().default(null),
  base: baseSchema.nullable().default(null),
  floor: floorSchema.nullable().default(null),
  walls: wallsSchema,
  roof: roofSchema,
  lumber: lumberSchema,
  cut: cutSchema.default([...defaultCut]),
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
