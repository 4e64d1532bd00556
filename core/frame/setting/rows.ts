import { inSetting } from '../place'
import { HAIR } from '../../measure'
import { add, dot, scale, unit, vec } from '../../geometry'
import { overlap, rowOf, type Stretch, without } from '../../trade'
import { leaningBoard } from '../roof/leaning-board'
import { lyingFlat } from '../square-board'
import { faceLevel, facesAcross } from '../../lines'
import type { Order } from '../member'
import { outlineOf, wayOf } from '../truss/flat'
import { bottomOf } from '../truss/trusses'
import { type Field, fieldsOf } from '../roof/field'
import { type SetAsk, tried, type Wanted } from './ask'

/** From a face's head down to the first board on it, mm: near the joint, and clear of the other slope's. */
export const HEAD = 150

/** Between two boards side by side on a face, mm. */
export const BESIDE = 12

/** Middles of trusses, over which boards along the row are joined. */
const joints = ({ trusses }: SetAsk): number[] => trusses.map(({ from, to }) => (from + to) / 2)

/** From the first to the last truss whose chords lie in the faces: the end ones may lie lower. */
export function inFaces({ trusses, drop }: Pick<SetAsk, 'trusses' | 'drop'>): readonly Stretch[] {
  return drop > 0 ? trusses.slice(1, -1) : trusses
}

const reachOf = (trusses: readonly Stretch[]): Stretch | null => {
  const [first, last] = [trusses[0], trusses[trusses.length - 1]]
  return first && last && last.from > first.to ? { from: first.from, to: last.to } : null
}

/** A board along the row on a face, its middle `u` down the slope, in as many pieces as the yard asks for. */
function onFace(
  ask: SetAsk,
  role: 'top-row' | 'flat-purlin',
  field: Field,
  u: number,
  reach: Stretch,
  number: number,
): Order[] {
  const { lumber, longest } = ask
  const { setting: section } = lumber
  const pieces = rowOf(reach, joints(ask), longest, longest)
  return pieces.map((s, k) =>
    leaningBoard({
      where: inSetting(null, role, field.face.id, number, ...(pieces.length > 1 ? [k + 1] : [])),
      role,
      section,
      along: 'x',
      s,
      foot: add(field.on(u + section.depth / 2), scale(field.out, section.thickness)),
      up: field.up,
      out: field.out,
      cuts: [],
    }),
  )
}

/** Places down a face: `first` and `last`, and others so that none lies farther from the next than asked. */
function placesDown(first: number, apart: number, last: number): number[] {
  const n = Math.max(1, Math.ceil((last - first) / apart))
  return Array.from({ length: n + 1 }, (_, i) => first + ((last - first) * i) / n)
}

/**
 * Rows on the top chords, until the roof is covered: by each face's head, and between that and its foot no
 * farther apart than asked. None where purlins lie there for good.
 */
export function topRows(ask: SetAsk): Wanted[] {
  const { lines, lumber, setting } = ask
  const reach = reachOf(inFaces(ask))
  if (setting.purlins !== null || !reach) return []
  const { depth } = lumber.setting
  return fieldsOf(lines, lumber.rafter.depth).flatMap(field => {
    if (field.long < HEAD + depth) return []
    // the foot is held by the plate, or by the row by the head of the face under it
    return placesDown(HEAD, setting.rows.top, field.long)
      .slice(0, -1)
      .map((u, i) => ({ role: 'top-row', find: () => onFace(ask, 'top-row', field, u, reach, i + 1) }))
  })
}

/** Purlins flat over the trusses, from one end of the roof to the other, openings left out. */
export function flatPurlins(ask: SetAsk): Wanted[] {
  const { building, lines, lumber, setting } = ask
  const { purlins } = setting
  if (purlins === null) return []
  const { depth } = lumber.setting
  const { ends } = building.roof.overhang
  const whole = { from: -ends.west, to: building.footprint.length + ends.east }
  return fieldsOf(lines, lumber.rafter.depth).flatMap(field => {
    const last = field.long - depth / 2
    if (last < HEAD) return []
    return placesDown(HEAD, purlins, last).map((u, i): Wanted => ({
      role: 'flat-purlin',
      find: () =>
        without(whole, openingsAt(ask, field, u)).flatMap((reach, k) =>
          onFace(ask, 'flat-purlin', field, u, reach, i + 1).map((order): Order =>
            k ? { ...order, where: { ...order.where, run: [...order.where.run, `part-${k + 1}`] } } : order,
          ),
        ),
    }))
  })
}

/** Stretches along the building of the openings that a board so far down a face would cross. */
function openingsAt({ building, lumber }: SetAsk, { face, on }: Field, u: number): Stretch[] {
  const { width } = building.footprint
  const half = (lumber.setting.depth / 2) * face.top.normal.z
  const y = on(u).y
  const level = face.falls === 'south' ? y : width - y
  return building.roof.openings
    .filter(
      ({ kind, slope, up, length, width: wide }) =>
        kind !== 'stair' &&
        wide > 0 &&
        slope === face.falls &&
        overlap({ from: up, to: up + length * face.top.normal.z }, { from: level - half, to: level + half }),
    )
    .map(({ at, width: wide }) => ({ from: at - wide / 2, to: at + wide / 2 }))
}

/** How far from where it is wanted a row is moved at most, and by which steps it is tried, mm. */
const STEP = 25

/** The offsets that are tried about a place, the least first. */
export const nearby = (most: number, step = STEP): number[] => {
  const steps = Math.max(0, Math.floor(most / step))
  return [0, ...Array.from({ length: steps }, (_, i) => [(i + 1) * step, -(i + 1) * step]).flat()]
}

/**
 * Rows on the bottom chords: one at least, and none of their span farther from wall to row, or from row to
 * row, than asked.
 */
export function bottomRows(ask: SetAsk): Wanted[] {
  const { building, lines, lumber, truss, setting, trusses } = ask
  const bottom = bottomOf(lines, lumber, truss)
  const { width } = building.footprint
  const whole = reachOf(trusses)
  if (truss.ceiling) return risingRows(ask)
  // a deck holds them better than any row
  if (!bottom || !whole || building.roof.loft) return []
  const n = Math.max(1, Math.ceil(width / setting.rows.bottom) - 1)
  const ends = [trusses, trusses.slice(1, -1)].flatMap(each => reachOf(each) ?? [])
  return Array.from({ length: n }, (_, i) => i + 1).map(number => {
    const wanted = (width * number) / (n + 1)
    const floor = bottom.low + bottom.depth
    const places = ends.flatMap(reach =>
      nearby(width / (n + 1) / 2 - lumber.setting.depth).map(off => ({ reach, at: wanted + off })),
    )
    const free = places.filter(({ at }) => underChords(ask, at, floor))
    return {
      role: 'bottom-row',
      find: () => ask.firstFree(tried(free, ({ reach, at }) => rowOnBottom(ask, at, floor, reach, number))),
    }
  })
}

/** Whether the top chords leave a row on the bottom chords its height. */
function underChords({ lines, lumber: { setting } }: SetAsk, at: number, floor: number): boolean {
  const clear = (y: number): number =>
    Math.min(...facesAcross(lines).map(face => faceLevel({ top: face.carrier.underside }, y)))
  return [-1, 1].every(way => clear(at + (way * setting.depth) / 2) > floor + setting.thickness)
}

/** Rows on the upper edges of bottom chords that rise to the middle: one at least on each. */
function risingRows(ask: SetAsk): Wanted[] {
  const { building, lumber, setting, trusses } = ask
  const { setting: section } = lumber
  const { longest } = ask
  const chorded = building.walls.gables === 'open' ? trusses : trusses.slice(1, -1)
  const reach = reachOf(chorded)
  if (!reach) return []
  return ask.made(true).vault.flatMap(chord => {
    const along = wayOf(chord)
    const long = Math.hypot(chord.to.y - chord.from.y, chord.to.z - chord.from.z)
    const n = Math.max(1, Math.ceil(long / setting.rows.bottom) - 1)
    const out = chord.upper.normal
    const pieces = rowOf(reach, joints(ask), longest, longest)
    return Array.from({ length: n }, (_, i) => i + 1).map((number): Wanted => {
      const wanted = (long * number) / (n + 1)
      const make = (off: number): Order[] => {
        const on = add(chord.from, scale(along, wanted + off - section.depth / 2))
        return pieces.map((s, k) =>
          leaningBoard({
            where: inSetting(null, 'bottom-row', chord.side, number, ...(pieces.length > 1 ? [k + 1] : [])),
            role: 'bottom-row',
            section,
            along: 'x',
            s,
            foot: add(on, scale(out, chord.half + section.thickness)),
            up: along,
            out,
            cuts: [],
          }),
        )
      }
      return {
        role: 'bottom-row',
        find: () => ask.firstFree(tried(nearby(long / (n + 1) / 2 - section.depth), make)),
      }
    })
  })
}

function rowOnBottom(ask: SetAsk, at: number, low: number, reach: Stretch, number: number): Order[] {
  const { lumber, longest } = ask
  const pieces = rowOf(reach, joints(ask), longest, longest)
  return pieces.map(({ from, to }, k) =>
    lyingFlat({
      where: inSetting(null, 'bottom-row', number, ...(pieces.length > 1 ? [k + 1] : [])),
      role: 'bottom-row',
      section: lumber.setting,
      along: 'x',
      from,
      to,
      across: at - lumber.setting.depth / 2,
      low,
    }),
  )
}

/** Rows on the edges of webs longer than is asked, about their middles. */
export function webRows(ask: SetAsk): Wanted[] {
  const { building, lumber, setting, trusses } = ask
  const { webs } = ask.made(true)
  const webbed = building.walls.gables === 'open' ? trusses : trusses.slice(1, -1)
  const reach = reachOf(webbed)
  if (!reach) return []
  const { longest } = ask
  return webs.flatMap(web => {
    const along = wayOf(web)
    const reaches = outlineOf(web).map(p => dot(p, along))
    const long = Math.max(...reaches) - Math.min(...reaches)
    if (long <= setting.rows.webs) return []
    const middle = (Math.max(...reaches) + Math.min(...reaches)) / 2
    const across = unit(vec(0, -along.z, along.y))
    const pieces = rowOf(reach, joints(ask), longest, longest)
    const beside = (side: number): number =>
      dot(web.from, vec(0, 1, 0)) + across.y * side * (web.half + lumber.setting.thickness)
    // never out over the walls, where sheets and siding run up to the roof
    const places = [1, -1]
      .filter(side => beside(side) > -HAIR && beside(side) < building.footprint.width + HAIR)
      .flatMap(side => nearby(long / 4).map(off => ({ side, off })))
    const make = ({ side, off }: (typeof places)[number]): Order[] => {
      const out = scale(across, side)
      const centre = add(web.from, scale(along, middle + off - dot(web.from, along)))
      const edge = add(centre, scale(out, web.half + lumber.setting.thickness))
      return pieces.map((s, k) =>
        leaningBoard({
          where: inSetting(null, 'web-row', web.name, ...web.run, ...(pieces.length > 1 ? [k + 1] : [])),
          role: 'web-row',
          section: lumber.setting,
          along: 'x',
          s,
          foot: add(edge, scale(along, -lumber.setting.depth / 2)),
          up: along,
          out,
          cuts: [],
        }),
      )
    }
    return [{ role: 'web-row', find: () => ask.firstFree(tried(places, make)) }]
  })
}
