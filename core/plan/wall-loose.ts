import { boardLength, type FlatPoint, outlines } from '../board'
import { type Building, isSide, isSided, type SideName, sideNames, sidingOn } from '../design'
import { type Frame, isInGable, type Member, wallOf } from '../frame'
import { countUp, INCH } from '../measure'
import { gaps, isWallSkin, type Role } from '../trade'
import { openEaves, trim } from './cover-edges'
import { count, type Loose } from './loose-item'
import { screwsAcross } from './screw-lines'

/** What covers the walls besides its pieces, and how much of it there is. */
export const wallLoose = (building: Building, frame: Frame): Loose[] => [
  ...panelScrews(building, frame),
  ...headFlashing(building, frame),
  ...paneTape(frame),
  ...meshOf(building, frame),
  ...paintOf(building, frame),
]

/** Screws of panels: so many to each in every line that crosses it. */
function panelScrews(building: Building, frame: Frame): Loose[] {
  const { walls } = building
  let [panels, lines, screws] = [0, 0, 0]
  for (const panel of frame.covering) {
    const { role, where } = panel
    const side = wallOf(where)
    if (role !== 'wall-panel' || !side || !isSide(side)) continue
    const own = sidingOn(walls, side, isInGable(where) ? 'gable' : 'wall')?.siding
    const crossed = screwsAcross({ building, frame }, panel).length
    panels += 1
    lines += crossed
    screws += crossed * (own?.kind === 'panels' ? own.across : 0)
  }
  return screws ? [count('wall-screws', screws, { panels, lines, apart: gaps.nailers })] : []
}

/** How far a head's flashing reaches past its opening on either side, mm (common practice, no source). */
const PAST_HEAD = 2 * INCH

/** Flashing over the heads of openings in walls that sheets or siding cover. */
function headFlashing({ walls, lumber }: Building, { openings }: Frame): Loose[] {
  const covered = (side: SideName): boolean =>
    isSided(walls, side) || (walls.sheathing !== null && walls.sides[side].cover === 'sheets')
  const long = sideNames
    .filter(covered)
    .flatMap(side => openings[side])
    .reduce((sum, { s }) => sum + s.to - s.from + 2 * PAST_HEAD, 0)
  return trim('wall-flashing', lumber.yard, long)
}

/** A roll of glazing tape, mm (common practice, no source: the label says). */
const TAPE = 10_000

/** Tape between panes and what holds them, round both faces of each. */
function paneTape({ covering }: Frame): Loose[] {
  const panes = covering.filter(({ role }) => role === 'pane')
  const round = panes.reduce((sum, { board }) => sum + outlines(board, 'far').reduce(around, 0), 0)
  return round > 0
    ? [count('wall-tape', countUp((2 * round) / TAPE), { panes: panes.length, round, roll: TAPE })]
    : []
}

const around = (sum: number, loop: readonly FlatPoint[]): number =>
  loop.reduce((long, { along, across }, i) => {
    const next = loop[(i + 1) % loop.length]
    return long + (next ? Math.hypot(next.along - along, next.across - across) : 0)
  }, sum)

/** Mesh over an open gap is bent over both its edges, mm (common practice, no source). */
const MESH_EDGES = 4 * INCH

/** Mesh behind what air gets through: holes and gaps of blocks over the plates, and vents in the walls. */
function meshOf({ roof, walls, cover }: Building, frame: Frame): Loose[] {
  const { members } = frame
  const { vents, hole, air } = roof.blocking
  const blocks = members.filter(({ role, where }) => role === 'roof-block' && where.name.startsWith('block'))
  const along = vents > 0 || air > 0 ? blocks.reduce((sum, { board }) => sum + boardLength(board), 0) : 0
  const strip = Math.max(hole * Math.min(1, vents), air) + MESH_EDGES
  const inWalls = walls.openings
    .filter(({ kind }) => kind === 'vent')
    .reduce((sum, { unit }) => sum + (unit.width + MESH_EDGES) * (unit.height + MESH_EDGES), 0)
  const vent = cover.soffit?.vent ?? 0
  const eaves = vent > 0 ? openEaves(frame) : 0
  const area = along * strip + eaves * (vent + MESH_EDGES) + inWalls
  return area > 0
    ? [
        {
          code: 'vent-mesh',
          unit: 'm2',
          amount: area / 1e6,
          from: {
            ...{ long: along, strip: along ? strip : 0, walls: inWalls / 1e6 },
            ...{ eaves, vent: vent + MESH_EDGES },
          },
        },
      ]
    : []
}

/** What a litre covers once, m² (common practice, no source: the tin says). */
const SPREAD = { smooth: 10, rough: 6 } as const
/** Litres of a tin: a US gallon, or 2.5 l. */
const TIN = { imperial: 3.785, metric: 2.5 } as const

/** Boards about the roof that are painted with the walls. */
const painted: readonly Role[] = ['fascia', 'barge', 'finish-board', 'soffit-board']

/** Of what covers walls, what no paint is for. */
const unpainted: readonly Role[] = ['starter', 'wall-panel', 'pane']

/** The area of a board's one face, mm². */
const faceOf = ({ board, section }: Member): number => board.volume / section.thickness

/** Paint or stain over what shows of the walls and the roof's edges, panels left out. */
function paintOf({ walls, lumber: { yard } }: Building, { members, covering }: Frame): Loose[] {
  const { paint } = walls
  if (!paint) return []
  const skins = covering.filter(({ role }) => isWallSkin(role) && !unpainted.includes(role))
  const bare = members.filter(({ role, where }) => {
    const side = wallOf(where)
    return (
      role === 'wall-sheet' &&
      side !== null &&
      isSide(side) &&
      sidingOn(walls, side, isInGable(where) ? 'gable' : 'wall') === null
    )
  })
  const edges = [...members, ...covering].filter(({ role }) => painted.includes(role))
  const sum = (list: readonly Member[]): number => list.reduce((all, each) => all + faceOf(each), 0) / 1e6
  const [wall, edge] = [sum([...skins, ...bare]), sum(edges)]
  const litres = ((wall + edge) * paint.coats) / SPREAD[paint.surface]
  return litres > 0
    ? [
        count('paint', countUp(litres / TIN[yard]), {
          ...{ wall, edge, coats: paint.coats, spread: SPREAD[paint.surface] },
          ...{ litres, tin: TIN[yard], stain: paint.kind === 'stain' ? 1 : 0 },
        }),
      ]
    : []
}
