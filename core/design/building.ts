import type { Pitch } from '../measure'
import type { Design } from './design'
import type { Hip, Roof, TieKind } from './roof'
import type { InnerBeam } from './inner-beams'
import type { Carrier, GambrelLine, Gussets, Truss, TrussKind } from './gambrel'
import { noCover, type RoofCover, type RoofTop } from './cover'
import type { Pergola } from './pergola'
import type { Firring, Raised } from './roof-parts'
import type { Seat } from './seat'
import type { BuildingSetting } from './setting'
import type { Hang } from './hang'
import { acrossFrom, type SideName, sideNames } from './sides'
import { findSection } from '../lumber'
import { ownSections } from './lumber'
import { type Across, postLayout } from './posts'
import { heightOf } from './walls'

/**
 * Parts that only some roofs have: a ridge board, one that may be a beam, hips, firrings over level joists,
 * battens over level rafters,
 * an open strip between two slopes, a ledger on a house, knees between two slopes that fall one way, bottom
 * chords that rise to the middle, ends over gables, and tails that lie in the slope.
 */
export type RoofPart =
  | 'ridge'
  | 'beam'
  | 'hips'
  | 'firrings'
  | 'battens'
  | 'strip'
  | 'ledger'
  | 'knees'
  | 'trusses'
  | 'vault'
  | 'ends'
  | 'sloped-tails'

/** What a roof has, as its shape and its high side make it: what is asked instead of what it is called. */
export interface RoofHas {
  /** The sides that its slopes fall to: one, two or all four. */
  readonly falls: readonly SideName[]
  /** The side where a house stands in a wall's stead; null without. */
  readonly house: 'south' | 'north' | null
  readonly parts: readonly RoofPart[]
  /** The ties it can have. */
  readonly ties: readonly TieKind[]
  /** How its rafters may bear on the plates; none where what bears is level as it is. */
  readonly seats: readonly Seat['rule'][]
  /** Whether it may be asked where its slopes meet, and how high. */
  readonly peak: readonly ('at' | 'height')[]
  /** What can carry it, the usual first. */
  readonly carriers: readonly Carrier[]
  /** Whether its end walls may run up to it under raked plates, and whether they may step. */
  readonly endWalls: { readonly rake: boolean; readonly step: boolean }
}

/** Whether a roof can have a loft: of two slopes over gables that meet. */
export const mayHaveLoft = ({ parts, falls }: RoofHas): boolean =>
  parts.includes('ends') && falls.length === 2 && !parts.includes('strip') && !parts.includes('vault')

/** A roof's trusses, their kind decided. */
export interface BuildingTruss extends Omit<
  Truss,
  'heel' | 'gusset' | 'kind' | 'bottom' | 'web' | 'setting' | 'ceiling'
> {
  readonly bottom: string
  readonly web: string
  readonly kind: TrussKind
  /** From the plate to the roof line, plumb over the wall's outside, mm. */
  readonly heel: number
  /** Of bottom chords that rise to the middle; null of others. */
  readonly ceiling: Pitch | null
  /** How far along its members gussets reach, and how far at most they can. */
  readonly gusset: Omit<Gussets, 'leg'> & {
    readonly leg: number
    readonly asked: number | null
    readonly most: number
  }
  /** How far from the end walls' outsides trusses between the end ones stand at least. */
  readonly apart: number
  readonly setting: BuildingSetting | null
}

/** A roof's part of a building: null stands for what the roof has not. */
export interface BuildingRoof extends Omit<
  Roof,
  | 'shape'
  | 'panel'
  | 'cover'
  | 'hip'
  | 'raised'
  | 'firring'
  | 'pergola'
  | 'overhang'
  | 'gambrel'
  | 'carried'
  | 'truss'
> {
  readonly has: RoofHas
  readonly pitch: Pitch
  readonly hip: Hip | null
  readonly gambrel: GambrelLine | null
  readonly carried: Carrier
  readonly truss: BuildingTruss | null
  readonly raised: (Raised & { readonly at: number }) | null
  readonly firring: Firring | null
  readonly pergola: Pergola | null
  /** As of a roof; `high` null where no tails reach out on the high side. */
  readonly overhang: {
    readonly eave: number
    readonly gable: number
    readonly high: number | null
    /** Over each gable: none where another part's roof goes on from there. */
    readonly ends: Readonly<Record<'west' | 'east', number>>
  }
  /** The sides past which the roof of another part goes on from its own. */
  readonly joined: readonly SideName[]
}

/**
 * A design worked out: what follows from its fields stands in them, what the roof has not is null, and the
 * walls are as they were asked for, their heights beside them. It does not say what the roof is called.
 */
export interface Building extends Pick<
  Design,
  'units' | 'footprint' | 'site' | 'base' | 'floor' | 'walls' | 'lumber'
> {
  /**
   * Of a part: its side that lies against what it hangs on, and how far out of that a slab reaches under it,
   * mm.
   */
  readonly hung: { readonly side: SideName; readonly clear: number } | null
  /** What covers its roof: nothing on one that is open. */
  readonly cover: RoofCover
  /** Whether its rafters follow its panels, whose seams fall on them. */
  readonly seams: boolean
  /** Deck to the top of each side's top plate, mm; where a house stands, to the top of the ledger on it. */
  readonly heights: Readonly<Record<SideName, number>>
  /**
   * How deep what stands on each side is, from its outside in: studs, or posts with their beam and plates;
   * and how far in the roof bears on it; mm. 0 where a house stands.
   */
  readonly depths: Readonly<Record<SideName, number>>
  readonly bearings: Readonly<Record<SideName, number>>
  /** How far in from a side's outside what carries the rafters begins, mm: where they hook over it. */
  readonly heels: Readonly<Record<SideName, number>>
  /** What it bears on there, from the outside in: a plate, or the plies of a beam. */
  readonly bearers: Readonly<Record<SideName, readonly Across[]>>
  readonly roof: BuildingRoof
}

/** A building with nothing worked out but its walls' heights: what all roofs begin from. */
export function plainBuilding(
  {
    units,
    footprint,
    site,
    base,
    floor,
    walls,
    lumber,
    roof,
    hang,
    parts,
  }: Omit<Design, 'roof'> & { readonly roof: Omit<Roof, 'shape'> },
  has: RoofHas,
): Building {
  const { panel, overhang, ties, cover, ...rest } = roof
  // of one slope it is not asked which
  const only = has.falls.length === 1 ? has.falls[0] : undefined
  const joined = joinedSides(hang, parts)
  const end = (side: SideName): number => (joined.includes(side) ? 0 : overhang.gable)
  const kept = (kind: TieKind) => (has.ties.includes(kind) ? ties[kind] : null)
  return {
    units,
    footprint,
    site,
    base,
    floor,
    walls,
    lumber,
    hung: hang ? { side: sideAgainst(hang, has), clear: (hang as HangBeside).clear ?? 0 } : null,
    cover: coverOf(cover, panel, has),
    seams: panel !== null,
    heights: heightsOf(walls),
    ...sidesOf(walls, lumber, has),
    roof: {
      ...rest,
      has,
      spacing: panel ? panel.cover / panel.per : roof.spacing,
      openings: only ? roof.openings.map(each => ({ ...each, slope: only })) : roof.openings,
      ties: { rafter: kept('rafter'), collar: kept('collar'), ceiling: kept('ceiling') },
      joistBeam: kept('ceiling') ? roof.joistBeam : null,
      loft: mayHaveLoft(has) ? roof.loft : null,
      northPitch: null,
      peak: { at: null, height: null },
      beam: null,
      hip: null,
      gambrel: null,
      carried: 'rafters',
      truss: null,
      raised: null,
      firring: null,
      pergola: null,
      // what a part hangs on stands square to it
      taper: has.house && !hang ? roof.taper : 0,
      overhang: {
        eave: overhang.eave,
        gable: overhang.gable,
        high: null,
        ends: { west: end('west'), east: end('east') },
      },
      joined,
    },
  }
}

/** A roof's covering: none on one that is open; of panels that the rafters follow as they are. */
function coverOf(cover: RoofCover, panel: Roof['panel'], has: RoofHas): RoofCover {
  if (has.parts.includes('battens')) return noCover
  if (!panel) return cover
  const followed = <C extends { readonly top: RoofTop | null }>(one: C): C =>
    one.top?.kind === 'panels' ? { ...one, top: { ...one.top, cover: panel.cover } } : one
  return { ...followed(cover), own: cover.own.map(followed) }
}

/** Where a part hangs, and how far out of the main part's wall that one's slab reaches under it, mm. */
export type HangBeside = Hang & { readonly clear?: number }

/** The side of a part that lies against what it hangs on. */
export const sideAgainst = ({ by, side }: Hang, { house }: RoofHas): SideName =>
  by === 'roof' ? acrossFrom[side] : (house ?? 'north')

/** The sides of a part past which another's roof goes on: of the main part, or of one that hangs on it. */
const joinedSides = (hang: Design['hang'], parts: Design['parts']): SideName[] =>
  hang
    ? hang.by === 'roof'
      ? [acrossFrom[hang.side]]
      : []
    : parts.flatMap(part => (part.hang.by === 'roof' || part.hang.by === 'slope' ? [part.hang.side] : []))

const heightsOf = (walls: Design['walls']): Building['heights'] =>
  Object.fromEntries(sideNames.map(side => [side, heightOf(walls, side)])) as Building['heights']

/** The purlin under each knee of a gambrel's rafters; null without. */
export const kneePurlinOf = ({
  gambrel,
  truss,
}: Pick<BuildingRoof, 'gambrel' | 'truss'>): InnerBeam | null =>
  truss ? null : (gambrel?.ask.gambrel.purlin ?? null)

/**
 * Whether nothing stands at a side: an end that is asked to be open, with no eave over it; or any, under no
 * roof.
 */
export const isOpenEnd = (
  sides: Design['walls']['sides'],
  { falls }: Pick<RoofHas, 'falls'>,
  side: SideName,
): boolean =>
  sides[side].build === 'open' &&
  (falls.length === 0 || ((side === 'east' || side === 'west') && !falls.includes(side)))

/** How deep each side is, and how much of it bears; of sections that are not known, nothing. */
function sidesOf(
  walls: Design['walls'],
  lumber: Design['lumber'],
  has: RoofHas,
): Pick<Building, 'depths' | 'bearings' | 'heels' | 'bearers'> {
  const own = ownSections(lumber)
  const known = (name: string) => findSection(name, own)
  const [stud, post, beam] = [known(walls.stud), known(walls.posts.post), known(walls.posts.beam)]
  const plate = stud?.depth ?? 0
  const { plates } = walls.posts
  const onPlate: readonly Across[] = [{ from: 0, to: plate }]
  const layout =
    post && beam ? postLayout(walls.posts, post, beam) : { depth: plate, bearing: plate, plies: onPlate }
  const each = <T>(posts: T, studs: T, none: T): Record<SideName, T> => {
    const of = (side: SideName): T =>
      side === has.house || isOpenEnd(walls.sides, has, side)
        ? none
        : walls.sides[side].build === 'posts'
          ? posts
          : studs
    return { south: of('south'), east: of('east'), north: of('north'), west: of('west') }
  }
  const deep = each(plates ? Math.max(plate, layout.depth) : layout.depth, plate, 0)
  const end = (side: 'east' | 'west'): number =>
    walls.sides[side].build === 'posts' ? Math.max(plate, deep[side]) : deep[side]
  return {
    // studs of a gable stand on an end side's beam
    depths: { ...deep, east: end('east'), west: end('west') },
    bearings: each(plates ? plate : layout.bearing, plate, 0),
    heels: each(plates ? 0 : (layout.plies[0]?.from ?? 0), 0, 0),
    bearers: each(plates ? onPlate : layout.plies, onPlate, []),
  }
}

/** From where to where in from an eave wall's outside rafters bear, mm. */
export const bearingOf = ({ heels, bearings }: Building, side: SideName): Across => ({
  from: heels[side],
  to: bearings[side],
})

/**
 * A building whose trusses lie on their bottom chords, from outside to outside: their roof line is told
 * there, and nothing of them hooks over a beam that stands in.
 */
export const onChords = (building: Building): Building => ({
  ...building,
  heels: { south: 0, east: 0, north: 0, west: 0 },
})

/** A building whose roof is another in part. */
export const withRoof = (building: Building, roof: Partial<BuildingRoof>): Building => ({
  ...building,
  roof: { ...building.roof, ...roof },
})

/**
 * A building one of whose walls is as high, mm; end walls without a height of their own follow the eaves'.
 */
export function withHeight(building: Building, side: SideName, height: number): Building {
  const sides = building.walls.sides
  const heights = { ...building.heights, [side]: height }
  const low = Math.min(heights.south, heights.north)
  const end = (name: 'east' | 'west'): number =>
    name !== side && sides[name].height === null ? low : heights[name]
  return { ...building, heights: { ...heights, east: end('east'), west: end('west') } }
}

/**
 * A part of a roof that only some roofs have, asked for where the roof has it. Throws RangeError where not.
 */
export function had<T>(part: T | null): T {
  if (part === null) throw new RangeError('the roof has no such part')
  return part
}
