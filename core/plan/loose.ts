import type { Role } from '../trade'
import { countUp, CUBIC_METRES } from '../measure'
import { type Base, type Building, sideNames } from '../design'
import { sectionArea } from '../lumber'
import { areaOfRect, type Bed, type Frame, partVolume, type Hole, supportName } from '../frame'
import { earthwork } from '../survey'
import { boughtTrusses } from './bought'
import { coverLoose } from './cover'
import { doorLoose } from './doors'
import { gussetsOf } from './gussets'
import { postCaps, seatHolds } from './holds'
import { ledgerOf } from './ledger'
import { count, cubic, type Loose } from './loose-item'
import { doorSteps, stairsOf } from './stairs'
import { stripVents } from './strip-vents'
import { wallLoose } from './wall-loose'

export type { Loose, LooseCode } from './loose-item'

/** Crushed stone as it is delivered, kg/m³ (100 lb/ft³; common practice, no source). */
export const GRAVEL_DENSITY = 1600
/** A builder's barrow, m³ (3 ft³), and a bucket (common practice, no source). */
export const BARROW = 0.085
export const BUCKET = 0.015
/**
 * Concrete that a bag makes, m³, and the bag's weight, kg: an 80 lb bag 0.6 ft³, a 25 kg bag 12 l (makers'
 * usual yields under ASTM C387, from memory).
 */
export const bags = {
  imperial: { weight: 36.287, makes: 0.01699 },
  metric: { weight: 25, makes: 0.012 },
} as const
/** Nails through a rim into each joist's end: three 16d, IRC table R602.3(1) (from memory). */
export const NAILS = 3

/** All loose quantities of a frame; those that come to nothing are left out. */
export function looseOf(building: Building, frame: Frame): Loose[] {
  const { base } = building
  const beds = beddedOf(frame)
  const items: Loose[] = [
    ...joistEnds(building, frame),
    ...wrapOf(frame),
    ...boughtTrusses(building, frame),
    ...gussetsOf(building, frame),
    ...ledgerOf(building, frame),
    ...postBases(building, frame),
    ...postCaps(building, frame),
    ...seatHolds(building, frame),
    ...coverLoose(building, frame),
    ...wallLoose(building, frame),
    ...doorLoose(frame),
    ...stairsOf(frame),
    ...doorSteps(building, frame),
    ...ventsInStrip(building, frame),
    ...(base
      ? [
          ...gravelOf(base, beds),
          ...holesOf(frame),
          ...concreteOf(building, frame),
          ...blocksOf(base, frame),
          ...spoilOf(frame, beds),
        ]
      : []),
  ]
  return items.filter(item => item.amount > CUBIC_METRES)
}

/** Vents between the posts of a raised ridge, and what opens them. */
function ventsInStrip(building: Building, frame: Frame): Loose[] {
  const vents = stripVents(building, frame)
  const [first] = [...vents].sort((a, b) => b.wide - a.wide)
  if (!first) return []
  const bays = frame.members.filter(({ role }) => role === 'ridge-post').length + 1
  const { wide, tall } = first
  return [
    count('strip-vents', vents.length, { vents: vents.length, bays, wide, tall }),
    count('strip-openers', vents.length, { vents: vents.length }),
  ]
}

function joistEnds({ floor }: Building, { members }: Frame): Loose[] {
  const of = (role: Role): number => members.filter(member => member.role === role).length
  const [joists, plies] = [of('joist'), of('floor-header')]
  if (!floor || !joists) return []
  // headers are doubled: a hanger takes both plies, nails go into each
  return floor.hold === 'hangers'
    ? [count('hangers', 2 * joists + plies, { joists, headers: plies / 2 })]
    : [count('nails', 2 * (joists + plies) * NAILS, { joists, plies, each: NAILS })]
}

/** Bases of metal that posts on a deck or a slab stand in. */
function postBases({ walls, base }: Building, { members }: Frame): Loose[] {
  const posts = members.filter(({ role }) => role === 'wall-post').length
  const { gap } = walls.posts
  return gap > 0 && posts > 0 && base?.kind !== 'poles' ? [count('post-bases', posts, { posts, gap })] : []
}

/**
 * Wind-proof paper over the outside: each wall with its sheets' reach and its gable, openings not taken out
 * since it is wrapped over them and cut afterwards (common practice, no source).
 */
function wrapOf({ members, openings }: Frame): Loose[] {
  const sheets = members
    .filter(member => member.role === 'wall-sheet')
    .reduce((sum, { board, section }) => sum + board.volume / section.thickness, 0)
  if (sheets === 0) return []
  const holes = sideNames
    .flatMap(side => openings[side])
    .reduce((sum, { s, z }) => sum + (s.to - s.from) * (z.to - z.from), 0)
  return [
    {
      code: 'wrap',
      unit: 'm2',
      amount: (sheets + holes) / 1e6,
      from: { sheets: sheets / 1e6, openings: holes / 1e6 },
    },
  ]
}

/** What is dug and filled at one bed, mm³. */
interface Bedded {
  readonly bed: Bed
  readonly dug: number
  readonly filled: number
}

const beddedOf = (frame: Frame): Bedded[] =>
  frame.base.beds.map(bed =>
    bed.over ? { bed, dug: 0, filled: 0 } : { bed, ...earthwork(frame.ground.at, bed.rect, bed.low) },
  )

/**
 * Gravel of the beds, compacted: area times depth, what lies over that, and what fills low ground under it;
 * mm³.
 */
function compacted(beds: readonly Bedded[]) {
  const sum = (value: (each: Bedded) => number, over = false): number =>
    beds.filter(({ bed }) => (bed.over ?? false) === over).reduce((total, each) => total + value(each), 0)
  const volume = ({ bed }: Bedded): number => areaOfRect(bed.rect) * (bed.high - bed.low)
  return {
    area: sum(({ bed }) => areaOfRect(bed.rect)),
    bed: sum(volume),
    inside: sum(volume, true),
    fill: sum(each => each.filled),
  }
}

function gravelOf(base: Base, beds: readonly Bedded[]): Loose[] {
  if (!('gravel' in base)) return []
  const { bed, fill, inside, area } = compacted(beds)
  const loose = (bed + inside + fill) * (1 + base.gravel.compaction / 100)
  const weight = loose * CUBIC_METRES * GRAVEL_DENSITY
  return [
    cubic('gravel', loose, {
      area: area / 1e6,
      depth: base.gravel.depth,
      fill: fill * CUBIC_METRES,
      inside: inside * CUBIC_METRES,
      compaction: base.gravel.compaction,
      weight,
      barrows: Math.ceil((loose * CUBIC_METRES) / BARROW),
      buckets: Math.ceil((loose * CUBIC_METRES) / BUCKET),
      load: base.gravel.load,
      loads: countUp(weight / base.gravel.load),
    }),
  ]
}

/** What a hole holds below the ground, less the post that stands in it; mm³. */
function holesOf(frame: Frame): Loose[] {
  const filled = frame.base.holes.filter(hole => hole.fill !== 'pier').map(hole => fillOf(frame, hole))
  const tamped = filled.reduce((sum, each) => sum + each.gravel, 0)
  return [
    cubic('hole-gravel', tamped, {
      holes: filled.filter(each => each.gravel > 0).length,
      weight: tamped * CUBIC_METRES * GRAVEL_DENSITY,
      barrows: Math.ceil((tamped * CUBIC_METRES) / BARROW),
    }),
  ]
}

function fillOf(frame: Frame, hole: Hole): { gravel: number; concrete: number } {
  const posts = frame.members.filter(
    ({ role, where }) => (role === 'post' || role === 'wall-post') && hole.posts.includes(supportName(where)),
  )
  const [post] = posts
  if (!post) return { gravel: 0, concrete: 0 }
  const round = (Math.PI * hole.diameter ** 2) / 4
  const foot = post.placement.origin.z + post.board.start
  // a footing is counted by itself
  const footing = frame.base.parts
    .filter(({ where }) => where.name === 'pad' && hole.posts.includes(supportName(where)))
    .reduce((sum, part) => sum + partVolume(part), 0)
  const drain = Math.max(0, round * Math.max(0, foot - hole.low) - footing)
  const wood = posts.reduce((sum, { section }) => sum + sectionArea(section), 0)
  const about = Math.max(0, round - wood) * Math.max(0, hole.high - Math.max(hole.low, foot))
  return hole.fill === 'concrete'
    ? { gravel: drain, concrete: about }
    : { gravel: drain + about, concrete: 0 }
}

function concreteOf({ lumber: { yard } }: Building, frame: Frame): Loose[] {
  const cast = frame.base.parts
    .filter(part => part.kind === 'slab' || part.kind === 'pier')
    .reduce((sum, part) => sum + partVolume(part), 0)
  const about = frame.base.holes.reduce((sum, hole) => sum + fillOf(frame, hole).concrete, 0)
  const { weight, makes } = bags[yard]
  const volume = (cast + about) * CUBIC_METRES
  return [cubic('concrete', cast + about, { bags: countUp(volume / makes), bag: weight, makes })]
}

function blocksOf(base: Base, frame: Frame): Loose[] {
  const stacks = frame.base.parts.filter(part => part.kind === 'block')
  const height = base.kind === 'blocks' ? base.block.height : 1
  const low = frame.base.parts
    .filter(part => part.kind === 'low-wall')
    .reduce((sum, part) => sum + partVolume(part), 0)
  return [
    count(
      'blocks',
      stacks.reduce((sum, part) => sum + Math.round((part.high.z - part.low.z) / height), 0),
      { stacks: stacks.length, height },
    ),
    cubic('low-wall', low, {}),
  ]
}

function spoilOf(frame: Frame, bedded: readonly Bedded[]): Loose[] {
  const beds = bedded.reduce((sum, each) => sum + each.dug, 0)
  const holes = frame.base.holes.reduce(
    (sum, hole) => sum + ((Math.PI * hole.diameter ** 2) / 4) * (hole.high - hole.low),
    0,
  )
  return [
    cubic('spoil', beds + holes, {
      beds: beds * CUBIC_METRES,
      holes: holes * CUBIC_METRES,
      barrows: Math.ceil(((beds + holes) * CUBIC_METRES) / BARROW),
    }),
  ]
}
