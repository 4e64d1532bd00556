import {
  type FlatPoint,
  type Mark,
  marks,
  outlines,
  type SawSetting,
  sawSetting,
  sawWay,
  type SawWay,
  cutOfFace,
  type CutName,
} from '../board'
import { everyBoard, chordFace, type Member, faceOf } from '../frame'
import { kneesOf, lowEaveOf } from '../lines'
import { ONE_READING } from '../measure'
import { readHip, readJack } from './hips'
import { NAIL_EDGE, nailingOf } from './nailing'
import type { Piece } from './piece'
import type { Plan } from './plan'
import { screwsAcross } from './screw-lines'
import { bladeOf, type Stepping, stepping } from './stepping'
import { readFace, readRoof, type RoofReading } from './roof'
import {
  type Figure,
  climb,
  postLeft,
  props,
  studs,
  tapers,
  vents,
  figure,
  hipFigures,
  jackFigures,
  common,
  rafterFigures,
} from './figures'

/** One cut as the saw is set for it. */
export interface SawCut extends SawSetting, SawWay {
  readonly name: CutName
  /** Where it begins, running from the start. */
  readonly at: number
}

/** What a framer would nail to the saw horse. */
export interface Card {
  readonly piece: Piece
  /** Outline of the face that lies up on the bench, bottom edge down; and of the face under it. */
  readonly outline: readonly (readonly FlatPoint[])[]
  readonly under: readonly (readonly FlatPoint[])[]
  readonly marks: readonly Mark[]
  readonly cuts: readonly SawCut[]
  readonly stepping: Stepping | null
  readonly figures: readonly Figure[]
  /** Where a gusset's nails go, along and across from its start; none of other boards. */
  readonly nails: readonly FlatPoint[]
  /** Where lines of screws cross a panel, from its start; none of other boards. */
  readonly screws: readonly number[]
}

/** The card of a piece of the plan. */
export function cardOf(plan: Plan, piece: Piece): Card {
  const { frame, building } = plan
  const first = everyBoard(frame).find(member => member.id === piece.members[0])
  const laid = first ? layout(plan, first) : null
  const nailing = first?.role === 'gusset' ? nailingOf(plan, first) : null
  return {
    piece,
    nails: nailing?.spots ?? [],
    screws: screwsOf(plan, piece),
    outline: outlines(piece.board, 'far'),
    under: outlines(piece.board, 'near'),
    marks: marks(piece.board),
    cuts: sawCuts(piece),
    stepping: laid && stepping(laid.reading, laid.tail, laid.blade ?? bladeOf(building.units)),
    figures: [
      ...common(plan, piece),
      ...(laid?.figures ?? []),
      ...inPlace(plan, first),
      ...vents(plan, piece),
      ...tapers(piece),
      ...props(plan, piece),
      ...postLeft(plan, piece),
      ...climb(plan, piece, first),
      ...(first ? studs(plan, first) : []),
      ...(nailing
        ? [figure('nails', nailing.spots.length, { ends: nailing.ends, edge: NAIL_EDGE }, 'count')]
        : []),
    ],
  }
}

/** Lines of screws that cross every one of a piece's panels alike. */
function screwsOf(plan: Plan, { section, members }: Piece): number[] {
  if (section.kind !== 'panel') return []
  const all = everyBoard(plan.frame).filter(({ id }) => members.includes(id))
  const [first, ...others] = all.map(each => screwsAcross(plan, each))
  const like = (a: readonly number[]): boolean =>
    a.length === first?.length && a.every((at, i) => Math.abs(at - (first[i] ?? at)) < ONE_READING)
  return first && others.every(like) ? first : []
}

/** How much of a tail that runs wild, or of a post in the ground, is cut off in place. */
const inPlace = ({ building }: Plan, member?: Member): Figure[] =>
  !member?.sawn
    ? []
    : building.base?.kind === 'poles' && member.role === 'wall-post'
      ? [figure('set-long', building.base.long, {})]
      : [figure('wild', building.roof.tails.wild, {})]

/**
 * What a rafter is laid out by: its runs, the tail's, and the square's blade where it is not the usual one;
 * and its figures.
 */
interface Layout {
  readonly reading: Pick<RoofReading, 'run' | 'rise' | 'lineLength'>
  readonly tail: number
  readonly blade?: number
  readonly figures: readonly Figure[]
}

function layout(plan: Plan, member: Member): Layout | null {
  const { frame, building } = plan
  const { eave } = building.roof.overhang
  const onFace = member.role === 'rafter' ? faceOf(member.where) : chordFace(member.where)
  const face = frame.roof.faces.find(each => each.id === onFace)
  if (face && kneesOf(frame.roof).length > 0) {
    const reading = readFace(frame, building.units, face)
    const tail = lowEaveOf(frame.roof, face) ? eave : 0
    return reading && { reading, tail, figures: rafterFigures(plan, reading) }
  }
  if (member.role === 'rafter') {
    // against a house out of line each has a run of its own
    const roof =
      face && building.roof.taper !== 0
        ? readFace(frame, building.units, face, member)
        : readRoof(frame, building.units, onFace === 'north' ? 'north' : 'south')
    return roof && { reading: roof, tail: eave, figures: rafterFigures(plan, roof) }
  }
  const hip = readHip(frame, member)
  if (hip)
    return {
      reading: hip,
      tail: eave * Math.SQRT2,
      blade: bladeOf(building.units) * Math.SQRT2,
      figures: hipFigures(plan, member, hip),
    }
  const jack = readJack(frame, member)
  return jack && { reading: jack, tail: eave, figures: jackFigures(plan, member, jack) }
}

/** Each cut face of the board, by where it begins. */
function sawCuts({ board }: Piece): SawCut[] {
  const seen = new Set<string>()
  return board.faces
    .flatMap(face => {
      const cut = cutOfFace(face)
      if (!cut || seen.has(face.tag)) return []
      seen.add(face.tag)
      const at = Math.min(...face.loops.flat().map(p => p.x)) - board.start
      return [
        {
          order: cut.cut,
          cut: { name: cut.name, at, ...sawSetting(face.plane.normal), ...sawWay(face.plane.normal) },
        },
      ]
      // cuts that begin at one place in the order they are made, whatever rounding says
    })
    .sort((a, b) => Math.round((a.cut.at - b.cut.at) * 1000) || a.order - b.order)
    .map(each => each.cut)
}
