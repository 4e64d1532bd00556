import { ofEave } from '../place'
import type { Building } from '../../design'
import { flip } from '../../geometry'
import { alongFace, type Eave, faceLevel, lowEaves, type RoofLines, type RoofLumber } from '../../lines'
import { HAIR } from '../../measure'
import { overlap, type Stretch } from '../../trade'
import type { Order } from '../member'
import { birdsmouth, mitre, plumbCut } from './cuts'
import { bargeAt, fasciaThickness } from './barge'
import { type End, outermost } from './flank'
import type { Obstacle } from './obstacle'
import { rafterOn } from './rafter'
import { tailCuts } from './tails'

/** The most that stands between a chord and its false tail, mm: a joist and a gusset. */
const BESIDE = 120

/**
 * The lines of a roof whose false tails have their places: each beside a rafter or a truss, on its west face
 * or, where that is taken or is the building's end, on its east one; past joists and gussets that are there.
 */
export function withFalseTails(
  { footprint: { length } }: Building,
  { rafter }: RoofLumber,
  lines: RoofLines,
  inWay: () => readonly Obstacle[],
): RoofLines {
  if (lowEaves(lines).every(({ kick }) => !kick)) return lines
  const taken = inWay()
  const placed = (eave: Eave): Eave => {
    if (!eave.kick) return eave
    const z = insideOf(eave)
    const own = eave.face.places.map(({ at }) => at)
    const blocked = taken
      .filter(
        each =>
          each.along === 'x' && (each.side === undefined || each.side === eave.side) && overlap(each.z, z),
      )
      .map(({ s }) => s)
    const found: Stretch[] = []
    for (const at of own) {
      const [best] = ([-1, 1] as const)
        .flatMap(way => freeBeside(at, way, rafter.thickness, [...blocked, ...own, ...found]) ?? [])
        .filter(({ from, to }) => from > -HAIR && to < length + HAIR)
        .sort((a, b) => gapTo(a, at) - gapTo(b, at))
      if (best) found.push(best)
    }
    const rafters = found.sort((a, b) => a.from - b.from)
    return { ...eave, kick: { ...eave.kick, eave: { ...eave.kick.eave, rafters } } }
  }
  return { ...lines, edges: lines.edges.map(edge => (edge.kind === 'eave' ? placed(edge) : edge)) }
}

/** The nearest place on one side of a board that nothing takes, as thick; null where none is near. */
function freeBeside(at: Stretch, way: 1 | -1, thick: number, taken: readonly Stretch[]): Stretch | null {
  let from = way < 0 ? at.from - thick : at.to
  for (;;) {
    const here = { from, to: from + thick }
    if (gapTo(here, at) > BESIDE) return null
    const other = taken.find(each => overlap(each, here))
    if (!other) return here
    from = way < 0 ? other.from - thick : other.to
  }
}

const gapTo = (a: Stretch, b: Stretch): number => Math.max(a.from - b.to, b.from - a.to)

/** What false tails take of the height over the plate inside the wall, up to the chords' inner edges; mm. */
function insideOf({ kick, face, height, outside }: Eave): Stretch {
  if (!kick) return { from: height, to: height }
  const y = outside.normal.y * alongFace(kick.eave.face, face.carrier.underside)
  return { from: height, to: faceLevel(kick.eave.face, y) }
}

/** How far in from the wall's outside false tails reach, mm. */
export const falseTailsIn = ({ kick, face, outside }: Eave): number =>
  kick ? outside.offset - alongFace(kick.eave.face, face.carrier.underside) : 0

/** What false tails take, for what is put between chords after them. */
export const falseTailsTaken = (lines: RoofLines): Obstacle[] =>
  lowEaves(lines).flatMap(eave =>
    (eave.kick?.eave.rafters ?? []).map((s): Obstacle => ({
      along: 'x',
      s,
      z: insideOf(eave),
      side: eave.side,
    })),
  )

/**
 * False tails: seated on the plate by a third of their depth at most, cut flush with the chords' inner edges;
 * `drop` how far the end trusses' chords lie lower, square to their faces, mm.
 */
export function falseTailOrders(
  building: Building,
  { rafter }: RoofLumber,
  lines: RoofLines,
  drop: number,
): Order[] {
  return lowEaves(lines).flatMap(({ kick, face }) => {
    if (!kick) return []
    const { eave } = kick
    const own = face.places.map(({ at }) => at)
    const ends = [own[0], own[own.length - 1]]
    return eave.rafters.map((at, i) => {
      const beside = [...own].sort((a, b) => gapTo(a, at) - gapTo(b, at))[0]
      const { underside } = face.carrier
      const inner = ends.includes(beside) ? { ...underside, offset: underside.offset - drop } : underside
      return rafterOn({
        where: ofEave(eave, 'false-tail', i + 1),
        role: 'false-tail',
        section: rafter,
        roofTop: eave.face.top,
        at,
        from: alongFace(eave.face, underside),
        to: alongFace(eave.face, eave.tail),
        cuts: [
          { kind: 'end', name: 'slope', plane: flip(inner) },
          ...tailCuts(building, eave),
          birdsmouth(eave.heel, eave.seat),
        ],
      })
    })
  })
}

/** Over the gables: the outermost false tails, on the fly rafters' upper edges, and their barge boards. */
export function kickEnds(building: Building, lumber: RoofLumber, lines: RoofLines, end: End): Order[] {
  const { rafter, barge } = lumber
  const layers = fasciaThickness(lumber)
  return lowEaves(lines).flatMap(({ kick, face }) => {
    if (!kick) return []
    const { eave, middle } = kick
    const reach = { from: alongFace(eave.face, face.top), to: alongFace(eave.face, eave.tail) }
    const past = { ...eave.tail, offset: eave.tail.offset + layers }
    const fly =
      building.roof.ends.hold === 'none'
        ? []
        : [
            rafterOn({
              where: ofEave(eave, 'fly', end),
              role: 'fly-rafter' as const,
              section: rafter,
              roofTop: eave.face.top,
              at: outermost(building, end, 0, rafter.thickness),
              ...reach,
              cuts: [{ kind: 'end', name: 'slope', plane: flip(face.top) }, ...tailCuts(building, eave)],
            }),
          ]
    return barge
      ? [
          ...fly,
          rafterOn({
            where: ofEave(eave, 'barge', end),
            role: 'barge',
            section: barge,
            roofTop: eave.face.top,
            at: bargeAt(building, lumber, end, barge),
            from: reach.from - barge.depth,
            to: reach.to + layers,
            cuts: [
              mitre(middle),
              plumbCut(past),
              ...tailCuts(building, eave).filter(({ name }) => name === 'level'),
            ],
          }),
        ]
      : fly
  })
}
