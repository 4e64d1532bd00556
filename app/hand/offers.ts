import {
  type Design,
  lineOf,
  MOST_PARTITIONS,
  MOST_PARTS,
  openingKinds,
  partKinds,
  mayHaveLoft,
  roofHas,
  roofOpeningKinds,
  sideNames,
  sidesFor,
  type Subject,
  subjectsOf,
  usualBattens,
  withPartOf,
  withValue,
} from '../../core/design'
import { leavesOut } from '../../core/lines'
import type { Plan } from '../../core/plan'
import { openingWords, partWords, roofOpeningWords, sayNewPart } from '../../core/words'
import {
  addBoundary,
  addFind,
  addFloorOpening,
  chooseBase,
  choosePorch,
  frameFloor,
  setOutSite,
} from '../logic/changes/below'
import { addLoft, addPurlins, addRoofOpening, MOST_ROOF_OPENINGS, withTies } from '../logic/changes/roof'
import { addOpening, addPartition, sheathe } from '../logic/changes/walls'
import type { Change } from '../storage/designs'
import { tieTitle } from './ties'
import { kickOut } from './trusses'
import { standing, wallOf } from './walls'

/** Something that a building has not and can be given. */
export interface Offer {
  readonly name: string
  readonly change: Change
  /** What is in hand after it. */
  readonly then: string
  /** The part of the building that it adds, by its number from 0. */
  readonly part?: number
}

const offer = (name: string, then: string, change: Change): Offer => ({ name, then, change })
const set =
  (path: string, value: unknown): Change =>
  at =>
    withValue(at, path, value)

/** What can be added where a subject is in hand, or anything that it is part of on its bench. */
export function offersOf(plan: Plan, subject: Subject): Offer[] {
  switch (subject.bench) {
    case 'roof':
      return roofOffers(plan)
    case 'walls':
      return wallOffers(plan, subject)
    case 'floor':
      return floorOffers(plan.design)
    case 'ground':
      return groundOffers(plan.design)
    case null:
      return partOffers(plan.design)
  }
}

/** What can be hung on the main part, on each side that takes it. */
const partOffers = (design: Design): Offer[] =>
  design.hang || design.parts.length >= MOST_PARTS
    ? []
    : partKinds.flatMap(kind =>
        sidesFor(design, kind).map(side => ({
          ...offer(sayNewPart(kind, side), 'building', at => withPartOf(at, kind, side, partWords[kind])),
          part: design.parts.length,
        })),
      )

function roofOffers(plan: Plan): Offer[] {
  const { roof, lumber } = plan.design
  const { parts, ties, falls } = roofHas(roof)
  if (!falls.length) return []
  const metric = lumber.yard === 'metric'
  const board = metric ? '22x150' : '1x6'
  if (parts.includes('battens'))
    return roof.pergola.battens
      ? []
      : [offer('Battens', 'roof.pergola', set('roof.pergola.battens', usualBattens[lumber.yard]))]
  const next = `roof.openings.${roof.openings.length}`
  const sloped = parts.includes('sloped-tails')
  // chords cut on the plate have none but false ones
  const tailless = plan.building.roof.gambrel?.foot.rule === 'on-plate' && !plan.design.roof.gambrel.foot.kick
  return [
    ...ties
      .filter(kind => !roof.ties[kind])
      .map(kind => offer(tieTitle(kind), 'roof.ties', withTies(kind, true))),
    ...(!roof.loft && mayHaveLoft(roofHas(roof)) ? [offer('Loft', 'roof.loft', addLoft(plan))] : []),
    ...(parts.includes('ends') && roof.ends.hold === 'none'
      ? [
          offer('Ladder over the gables', 'roof.ends', set('roof.ends.hold', 'ladder')),
          offer('Lookouts', 'roof.ends', set('roof.ends.hold', 'lookouts')),
        ]
      : []),
    ...(parts.includes('ends') && !roof.ends.barge
      ? [offer('Barge boards', 'roof.ends', set('roof.ends.barge', board))]
      : []),
    ...(roof.fascia.face || tailless ? [] : [offer('Fascia', 'roof.tails', set('roof.fascia.face', board))]),
    ...(tailless ? [offer('False tails', 'roof.tails', kickOut)] : []),
    ...(sloped && !roof.soffit && !tailless
      ? [offer('Boxed soffit', 'roof.tails', set('roof.soffit', { section: metric ? '38x63' : '2x3' }))]
      : []),
    ...(roof.blocking.plate === 'none' && roof.blocking.rows === 0
      ? [
          offer(
            'Blocks',
            'roof.blocking',
            // where what carries the roof is cut level on the plate none stand on that
            plan.building.roof.seat.rule === 'none'
              ? set('roof.blocking.rows', 1)
              : set('roof.blocking.plate', 'plumb'),
          ),
        ]
      : []),
    ...(sloped && !roof.purlins && !parts.includes('knees')
      ? [offer('Purlins', 'roof.purlins', addPurlins)]
      : []),
    ...(plan.roof && roof.openings.length < MOST_ROOF_OPENINGS
      ? roofOpeningKinds
          .filter(kind => kind !== 'stair' || ties.includes('ceiling') || leavesOut(plan.building))
          .map(kind => offer(roofOpeningWords[kind], next, addRoofOpening(plan, kind)))
      : []),
  ]
}

function wallOffers(plan: Plan, subject: Subject): Offer[] {
  const { design } = plan
  const { walls } = design
  const line = lineOf(subjectsOf(design), subject)
  const wall =
    line.map(each => wallOf({ design, subject: each })).find(each => each !== null) ?? standing({ design })[0]
  const next = `walls.openings.${walls.openings.length}`
  const studs = wall !== undefined && !isOfPosts(design, wall)
  return [
    ...(wall && studs && walls.openings.length < MOST_OPENINGS
      ? openingKinds.map(kind => offer(openingWords[kind], next, addOpening(plan, wall, kind)))
      : []),
    ...(walls.partitions.length < MOST_PARTITIONS
      ? [offer('Partition', `walls.partitions.${walls.partitions.length}`, addPartition)]
      : []),
    ...(walls.sheathing ? [] : [offer('Sheets on the walls', 'walls.sheathing', sheathe(true))]),
  ]
}
const MOST_OPENINGS = 40
const isOfPosts = ({ walls }: Design, wall: string): boolean =>
  sideNames.some(side => side === wall && walls.sides[side].build === 'posts')

const floorOffers = ({ floor }: Design): Offer[] =>
  floor
    ? [
        ...(floor.porch ? [] : [offer('Porch', 'floor.porch', choosePorch('south'))]),
        ...(floor.openings.length < 10
          ? [offer('Opening', `floor.openings.${floor.openings.length}`, addFloorOpening)]
          : []),
      ]
    : [offer('Floor of joists', 'floor', frameFloor)]

function groundOffers(design: Design): Offer[] {
  const { site, base } = design
  return [
    ...(site
      ? [
          ...(site.boundaries.length < 12
            ? [offer('Plot line', `site.boundaries.${site.boundaries.length}`, addBoundary)]
            : []),
          ...(site.finds.length < 40
            ? [
                offer('Find', `site.finds.${site.finds.length}`, addFind(false)),
                offer('Service', `site.finds.${site.finds.length}`, addFind(true)),
              ]
            : []),
        ]
      : [offer('Set out the site', 'site', setOutSite)]),
    ...(base ? [] : [offer('Base', 'base', chooseBase(design.floor ? 'skids' : 'slab'))]),
  ]
}
