import { inFloor, type MemberPlace, nth } from '../place'
import { clearOfEnds, least, middleOf, onCentre, overlap, rowOf, type Stretch, withLayout } from '../../trade'
import { HAIR, type Units } from '../../measure'
import type { Floor } from '../../design'
import { longestSold, type Section } from '../../lumber'
import type { Order } from '../member'
import { grown, overlaps, type Rect, stretchesOf } from '../rect'
import { axesOf, type Bay, rimNames } from './bay'

/** An opening in a bay's axes. */
interface Hole {
  readonly u: Stretch
  readonly v: Stretch
}

/** A joist's place: across the rims, and how far it runs between them. */
export interface JoistPlace {
  readonly u: Stretch
  readonly v: Stretch
}

/**
 * Rims, joists, headers about openings and blocks of one frame, below a level (the joists' top edges). A rim
 * longer than is sold is joined on the middle of a joist.
 */
export function frameBay(
  floor: Floor,
  bay: Bay,
  openings: readonly Rect[],
  section: Section,
  yard: Units,
  top: number,
): Order[] {
  const { u, v, board } = axesOf(bay)
  const t = section.thickness
  const low = top - section.depth
  const holes = openings.filter(each => overlaps(each, bay.rect)).map(each => holeIn(bay, each))
  const places = joistPlaces(floor, bay, section, holes)
  const [first, last] = rimNames(bay)
  const longest = longestSold(section, yard)
  const rims = [
    { name: first, at: v.from, touched: places.filter(place => place.v.from < v.from + t + HAIR) },
    { name: last, at: v.to - t, touched: places.filter(place => place.v.to > v.to - t - HAIR) },
  ].map(({ name, at, touched }) => ({
    name,
    at,
    row: rowOf(
      u,
      touched.map(place => middleOf(place.u)),
      longest,
      longest,
    ),
  }))
  return [
    ...rims.flatMap(({ name, at, row }) =>
      row.map((run, i) =>
        board(inFloor(bay, 'rim', name, ...nth(i, row)), 'rim', section, 'u', run, at, low),
      ),
    ),
    ...places.map((at, i) =>
      board(inFloor(bay, 'joist', i + 1), 'joist', section, 'v', at.v, at.u.from, low),
    ),
    ...holes.flatMap((hole, i) =>
      headersOf(hole, t).map((at, k) =>
        board(inFloor(bay, 'header', i + 1, k + 1), 'floor-header', section, 'u', hole.u, at, low),
      ),
    ),
    ...blocks(floor, bay, section, places, holes).map(({ where, u: between, at }) =>
      board(where, 'block', section, 'u', between, at, low),
    ),
  ]
}

function holeIn(bay: Bay, rect: Rect): Hole {
  const { run, across } = stretchesOf(rect, bay.joists)
  return { u: across, v: run }
}

/** Two headers on either side of an opening, by their lower faces. */
const headersOf = (hole: Hole, t: number): number[] => [
  hole.v.from - 2 * t,
  hole.v.from - t,
  hole.v.to,
  hole.v.to + t,
]

/**
 * Where joists stand: at the ends, doubled beside openings and where asked, and on centre from the building's
 * corner, so that sheets break on them; cut short where an opening is.
 */
export function joistPlaces(
  floor: Floor,
  bay: Bay,
  { thickness: t }: Section,
  holes: readonly Hole[],
): JoistPlace[] {
  const { u, v } = axesOf(bay)
  const whole = { from: v.from + t, to: v.to - t }
  const one = (from: number): Stretch => ({ from, to: from + t })
  const ends = Array.from({ length: floor.ends }, (_, i) => i * t).flatMap(in_ => [
    one(u.from + in_),
    one(u.to - in_ - t),
  ])
  const trimmers = holes.flatMap(hole => [
    one(hole.u.from - 2 * t),
    one(hole.u.from - t),
    one(hole.u.to),
    one(hole.u.to + t),
  ])
  const doubles = floor.doubled
    .filter(at => at > u.from + t && at < u.to - t)
    .flatMap(at => [one(at - t), one(at)])
  const centres = clearOfEnds(
    onCentre(floor.spacing, u.to).filter(at => at > u.from && at < u.to),
    { from: u.from + (floor.ends - 0.5) * t, to: u.to - (floor.ends - 0.5) * t },
    t,
  )
  const places = withLayout(distinct([...ends, ...trimmers, ...doubles]), centres, t)
  return places.flatMap((at): JoistPlace[] => {
    const cut = holes.filter(hole => overlap(at, hole.u)).sort((a, b) => a.v.from - b.v.from)
    const edges = [whole.from, ...cut.flatMap(hole => [hole.v.from - 2 * t, hole.v.to + 2 * t]), whole.to]
    return Array.from({ length: edges.length / 2 }, (_, i) => ({
      from: edges[2 * i] ?? 0,
      to: edges[2 * i + 1] ?? 0,
    }))
      .filter(run => run.to - run.from > least.tailJoist)
      .map(run => ({ u: at, v: run }))
  })
}

/** Those that don't run into one before. */
const distinct = (places: readonly Stretch[]): Stretch[] =>
  places.filter((place, i) => !places.slice(0, i).some(other => overlap(place, other)))

interface Block {
  readonly where: MemberPlace
  readonly u: Stretch
  readonly at: number
}

/**
 * Rows of blocks evenly between the rims, every second one set over by its thickness so that it can be nailed
 * through the joist; none in an opening, and none against a tail that ends in the row.
 */
function blocks(
  floor: Floor,
  bay: Bay,
  { thickness: t }: Section,
  places: readonly JoistPlace[],
  holes: readonly Hole[],
): Block[] {
  const { v, rect } = axesOf(bay)
  const open = holes.map(hole => grown(rect(hole.u, hole.v), 2 * t))
  const rows = Array.from(
    { length: floor.blocking },
    (_, i) => v.from + ((v.to - v.from) * (i + 1)) / (floor.blocking + 1),
  )
  return rows.flatMap((y, row) => {
    const there = places
      .filter(at => at.v.from < y + t && at.v.to > y - t)
      .sort((a, b) => a.u.from - b.u.from)
    return there.slice(1).flatMap((next, i) => {
      const before = there[i] ?? next
      const u = { from: before.u.to, to: next.u.from }
      const at = i % 2 === 0 ? y : y - t
      const held = [before, next].every(each => each.v.from <= at && each.v.to >= at + t)
      if (
        !held ||
        u.to - u.from < least.tailJoist ||
        open.some(each => overlaps(each, rect(u, { from: at, to: at + t })))
      )
        return []
      return [{ where: inFloor(bay, 'block', row + 1, i + 1), u, at }]
    })
  })
}
