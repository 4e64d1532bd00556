import Module, { type Manifold, type Vec3 as Point } from 'manifold-3d'
import type { CutBoard } from '../board'
import { parseLength, type Units } from '../measure'

/*
 * A reader of what is told of a piece: it knows the words and numbers of a list or a plan file and the rules
 * that docs/plan-file.md gives for them, and nothing of how they came about.
 */

const kernel = await Module()
kernel.setup()

/** A point of a board: along from its start, up from its bottom edge, down from the face that lies up; mm. */
type Corner = readonly [number, number, number]

/** What is told of a piece, read back. */
export interface ReadPiece {
  readonly length: number
  readonly across: readonly [number, number]
  readonly down: readonly [number, number]
  readonly cuts: readonly { readonly off: string; readonly corners: readonly Corner[] }[]
  readonly notches: readonly (readonly Corner[])[]
}

const tidyHull = (corners: readonly Corner[]): Manifold =>
  kernel.Manifold.hull(corners.map(c => [...c] as Point))

/** The way each side of a board looks, in the axes of a told corner. */
const ways: Readonly<Record<string, Corner>> = {
  start: [-1, 0, 0],
  end: [1, 0, 0],
  bottom: [0, -1, 0],
  top: [0, 1, 0],
  up: [0, 0, -1],
  under: [0, 0, 1],
}

const dot = (a: Corner, b: Corner): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
const minus = (a: Corner, b: Corner): Corner => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]
const cross = (a: Corner, b: Corner): Corner => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
]

/** How far in front of a cut a point lies, mm; the cut's plane goes through its corners. */
function inFront(p: Corner, off: string, corners: readonly Corner[]): number {
  const [first] = corners
  if (!first) throw new Error('a cut without corners')
  // of all triangles the largest gives the way
  let normal: Corner = [0, 0, 0]
  for (const a of corners)
    for (const b of corners) {
      const n = cross(minus(a, first), minus(b, first))
      if (dot(n, n) > dot(normal, normal)) normal = n
    }
  const longest = Math.max(...corners.map(a => Math.sqrt(dot(minus(a, first), minus(a, first)))))
  const way = ways[off] ?? [0, 0, 0]
  const across = Math.sqrt(dot(normal, normal))
  // on the marks of a rule its corners may be one line, or lie on a face: it takes off less than can be
  // marked
  if (across < 1e-6 * longest || Math.abs(dot(normal, way)) < 0.02 * across) return -Infinity
  const size = across * Math.sign(dot(normal, way))
  return dot(minus(p, first), normal) / size
}

/** The solid that what is told makes: the box, less what each cut takes off, less each notch's body. */
export function rebuilt({ length, across, down, cuts, notches }: ReadPiece, mark: number): Manifold {
  const box = [0, length].flatMap(x => across.flatMap(y => down.map((z): Corner => [x, y, z])))
  const left = box.filter(p => cuts.every(({ off, corners }) => inFront(p, off, corners) < mark))
  const body = tidyHull([...left, ...cuts.flatMap(each => each.corners)])
  const taken = notches.map(tidyHull)
  return taken.length ? body.subtract(kernel.Manifold.union(taken)) : body
}

/** The board itself, in the axes of a told corner. */
export function solidOfBoard({ parts, start, blank }: CutBoard): Manifold {
  return kernel.Manifold.union(
    parts.map(part =>
      tidyHull(
        part.faces.flatMap(face =>
          face.corners.map((p): Corner => [p.x - start, p.y, blank.thickness - p.z]),
        ),
      ),
    ),
  )
}

/** How thick what only one of two solids has is anywhere, about; mm. */
export function apart(a: Manifold, b: Manifold): number {
  const thick = [a.subtract(b), b.subtract(a)].flatMap(rest =>
    rest.decompose().map(piece => {
      const area = piece.surfaceArea()
      return area > 0 ? (2 * piece.volume()) / area : 0
    }),
  )
  return Math.max(0, ...thick)
}

/** A number of a plan file. */
type Numbers = readonly number[]
interface FilePiece {
  readonly length: number
  readonly box: { readonly across: Numbers; readonly down: Numbers }
  readonly cuts: readonly { readonly off: string; readonly corners: readonly Numbers[] }[]
  readonly notches: readonly { readonly corners: readonly Numbers[] }[]
}

const pair = ([from = NaN, to = NaN]: Numbers): readonly [number, number] => [from, to]
const corner = ([x = NaN, y = NaN, z = NaN]: Numbers): Corner => [x, y, z]

/** A piece of a plan file read. */
export function fromFile(piece: unknown): ReadPiece {
  const { length, box, cuts, notches } = JSON.parse(JSON.stringify(piece)) as FilePiece
  return {
    length,
    across: pair(box.across),
    down: pair(box.down),
    cuts: cuts.map(({ off, corners }) => ({ off, corners: corners.map(corner) })),
    notches: notches.map(each => each.corners.map(corner)),
  }
}

/** A piece as a list tells it: its section's and its own sizes, mm, and what is said of it. */
export interface ToldPiece {
  readonly thickness: number
  readonly depth: number
  readonly length: number
  readonly width: number
  readonly lumber: boolean
  readonly said: readonly string[]
}

/** A length of a sentence, mm. */
function mm(text: string, units: Units): number {
  const found = parseLength(text, units)
  if (!found.ok) throw new Error(`no length: ${text}`)
  return found.value
}

/** A piece read from the words of a list. */
export function fromWords(told: ToldPiece, units: Units): ReadPiece {
  const { depth, thickness, said, width } = told
  const read = (text: string): number => mm(text, units)
  let across: [number, number] = [0, told.lumber ? depth : width]
  let down: [number, number] = [0, thickness]
  const rest: string[] = []
  for (const each of said) {
    const rip = /^ripped to (.+), (?:(.+) of it )?off the (bottom|top) edge$/.exec(each)
    const thin = /^thinned to (.+), (?:(.+) of it )?off the face (up|under)$/.exec(each)
    if (rip) {
      const [, to = '', some, side] = rip
      const from = some ? read(some) : side === 'bottom' ? depth - read(to) : 0
      across = [from, from + read(to)]
    } else if (thin) {
      const [, to = '', some, side] = thin
      const from = some ? read(some) : side === 'up' ? thickness - read(to) : 0
      down = [from, from + read(to)]
    } else rest.push(each)
  }
  const of: Reading = { across, down, length: told.length, read }
  const cuts = rest.flatMap(each => {
    const [, side, corners] =
      / off the (start|end|bottom edge|top edge|face up|face under): (.+)$/.exec(each) ?? []
    return side && corners
      ? [{ off: side.replace('face ', '').replace(' edge', ''), corners: readCorners(corners, of) }]
      : []
  })
  const notches = rest.flatMap(each => readNotch(each, of))
  if (cuts.length + notches.length !== rest.length) throw new Error(`not understood: ${rest.join('; ')}`)
  return { length: told.length, across, down, cuts, notches }
}

interface Reading {
  readonly across: readonly [number, number]
  readonly down: readonly [number, number]
  readonly length: number
  readonly read: (text: string) => number
}

function readCorners(text: string, of: Reading): Corner[] {
  const { across, down, length, read } = of
  const height = (edge: string): number =>
    edge === 'bottom edge'
      ? across[0]
      : edge === 'top edge'
        ? across[1]
        : across[0] + read(edge.replace(/ up$/, ''))
  return text.split(' / ').flatMap(group => {
    const [, face, list = ''] = /^(?:(face up|face under|between them) )?(.+)$/.exec(group) ?? []
    const faces = face === 'face up' ? [down[0]] : face === 'face under' ? [down[1]] : down
    return list.split(', ').flatMap((each): Corner[] => {
      const line = /^at (.+)$/.exec(each)
      const all = /^(bottom edge|top edge|.+ up) all along$/.exec(each)
      const deep = /^(bottom edge|top edge|.+ up) at (.+ mm|.+?") (\S.*) down$/.exec(each)
      const one = /^(bottom edge|top edge|.+ up) at (.+)$/.exec(each)
      if (line) return faces.flatMap(z => across.map((y): Corner => [read(line[1] ?? ''), y, z]))
      if (all) return faces.flatMap(z => [0, length].map((x): Corner => [x, height(all[1] ?? ''), z]))
      if (deep) return [[read(deep[2] ?? ''), height(deep[1] ?? ''), down[0] + read(deep[3] ?? '')]]
      if (!one) throw new Error(`not understood: ${each}`)
      return faces.map((z): Corner => [read(one[2] ?? ''), height(one[1] ?? ''), z])
    })
  })
}

function readNotch(text: string, of: Reading): (readonly Corner[])[] {
  const { across, down, length, read } = of
  const [, corners] = /; corners (.+)$/.exec(text) ?? []
  if (corners) return [readCorners(corners, of)]
  const [, at, all, what] = /^\D+?(?: at (.+?)|( all along)): (.+)$/.exec(text) ?? []
  if (!what || what.startsWith('a quarter circle') || (!at && !all)) return []
  let x: [number, number] = [at ? read(at) : 0, length]
  let y: [number, number] = [...across]
  let z: [number, number] = [...down]
  for (const each of what.split(', ')) {
    const long = /^(.+) long$/.exec(each)
    const edge = /^(.+) deep from the (bottom|top) edge$/.exec(each)
    const inner = /^(.+) across from (.+) up$/.exec(each)
    const face = /^(.+) into the face (up|under)$/.exec(each)
    const mid = /^(.+) of the thickness from (.+) down$/.exec(each)
    if (long) x = [x[0], x[0] + read(long[1] ?? '')]
    else if (edge)
      y = edge[2] === 'bottom' ? [y[0], y[0] + read(edge[1] ?? '')] : [y[1] - read(edge[1] ?? ''), y[1]]
    else if (inner) {
      const from = y[0] + read(inner[2] ?? '')
      y = [from, from + read(inner[1] ?? '')]
    } else if (face)
      z = face[2] === 'up' ? [z[0], z[0] + read(face[1] ?? '')] : [z[1] - read(face[1] ?? ''), z[1]]
    else if (mid) {
      const from = z[0] + read(mid[2] ?? '')
      z = [from, from + read(mid[1] ?? '')]
    } else if (each !== 'across the board') throw new Error(`not understood: ${each}`)
  }
  return [x.flatMap(a => y.flatMap(b => z.map((c): Corner => [a, b, c])))]
}
