import { type Building, had, type Pergola } from '../../design'
import { flip, planeAcross, planeAt, vec } from '../../geometry'
import type { Eave, RoofLines, RoofLumber } from '../../lines'
import { eavesOf } from '../../lines'
import { HAIR } from '../../measure'
import { middleOf, rowOf, spreadRow, type Stretch } from '../../trade'
import { carrierOf, inRoof, nth } from '../place'
import type { BuildingCut, Order } from '../member'
import { squareBoard } from '../square-board'

/** Chords that a cove is drawn and cut by: no farther off its arc than a hundredth of its radius. */
const CHORDS = 6

/** A pergola's rafters, notched over what carries them on both sides, their tails shaped. */
export function pergolaRafters(
  building: Building,
  { rafter }: RoofLumber,
  lines: RoofLines,
  low: Eave,
): Order[] {
  const asked = had(building.roof.pergola)
  const eaves = eavesOf(lines)
  const tails = eaves.map(({ tail }) => tail.normal.y * tail.offset)
  const underside = low.height - asked.notch
  const cuts = eaves.flatMap(eave => [...notchesOver(building, eave), ...tailOf(asked, eave, underside)])
  return low.face.places.map(({ name, run, at }): Order => {
    const board = squareBoard({
      where: carrierOf(low.face, name, ...run),
      ...{ role: 'level-rafter', section: rafter, along: 'y', depth: 'z' },
      from: Math.min(...tails),
      to: Math.max(...tails),
      corner: vec(at.from, 0, underside),
    })
    return { ...board, cuts: [...board.cuts, ...cuts] }
  })
}

/** A notch over each beam of a side, plies that lie together in one. */
function notchesOver({ bearers, footprint, roof }: Building, { side, height }: Eave): BuildingCut[] {
  if (had(roof.pergola).notch <= HAIR) return []
  const groups = bearers[side].reduce<Stretch[]>((all, ply) => {
    const last = all.at(-1)
    return last && ply.from - last.to < HAIR
      ? [...all.slice(0, -1), { from: last.from, to: ply.to }]
      : [...all, ply]
  }, [])
  return groups.map(({ from, to }): BuildingCut => {
    const y = side === 'south' ? { from, to } : { from: footprint.width - to, to: footprint.width - from }
    return {
      kind: 'notch',
      name: 'housing',
      sides: [
        { name: 'seat', plane: planeAcross('z', height) },
        { name: 'heel', plane: flip(planeAcross('y', y.from)) },
        { name: 'heel', plane: planeAcross('y', y.to) },
      ],
    }
  })
}

/** What a tail's lower corner is cut by: a plane at half a right angle, or the chords of a quarter circle. */
function tailOf({ tail: { shape, size } }: Pergola, { tail }: Eave, underside: number): BuildingCut[] {
  const way = tail.normal.y
  const end = way * tail.offset
  if (shape === 'square') return []
  if (shape === 'angled')
    return [
      { kind: 'end', name: 'slope', plane: planeAt(vec(0, end - way * size, underside), vec(0, way, -1)) },
    ]
  const at = (i: number) => {
    const turn = (i * Math.PI) / 2 / CHORDS
    return { y: Math.cos(turn), z: Math.sin(turn) }
  }
  const sides = Array.from({ length: CHORDS }, (_, i) => {
    const [from, middle] = [at(i), at(i + 0.5)]
    const through = vec(0, end - way * size * from.y, underside + size * from.z)
    return { name: 'cove' as const, plane: planeAt(through, vec(0, -way * middle.y, middle.z)) }
  })
  return [{ kind: 'notch', name: 'cove', sides }]
}

/** Battens flat across the rafters, both outer ones at the tails' ends, none farther apart than asked. */
export function battenOrders(building: Building, { batten }: RoofLumber, lines: RoofLines): Order[] {
  const { footprint, roof, walls } = building
  const [face] = lines.faces
  if (!batten || !face || !roof.pergola?.battens || roof.pergola.battens.apart < batten.depth) return []
  const tails = eavesOf(lines).map(({ tail }) => tail.normal.y * tail.offset)
  const rows = spreadRow(
    { from: Math.min(...tails), to: Math.max(...tails) },
    batten.depth,
    roof.pergola.battens.apart,
  )
  const row = rowOf(
    // where another part's roof goes on its battens begin
    {
      from: roof.joined.includes('west') ? 0 : -roof.overhang.gable,
      to: footprint.length + (roof.joined.includes('east') ? 0 : roof.overhang.gable),
    },
    face.places.map(({ at }) => middleOf(at)),
    walls.longest,
    walls.longest,
  )
  return rows.flatMap((y, i) =>
    row.map((x, k): Order =>
      squareBoard({
        where: inRoof('batten', i + 1, ...nth(k, row)),
        ...{ role: 'batten', section: batten, along: 'x', depth: 'y' },
        ...x,
        corner: vec(0, y.from, lines.highest),
      }),
    ),
  )
}
