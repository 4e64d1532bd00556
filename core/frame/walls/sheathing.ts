import {
  coverLevel,
  type Eave,
  levelOver,
  levelUnder,
  peakOf,
  type Profile,
  reachAt,
  runsOver,
  withinOf,
} from '../../lines'
import type { Building, Sheathing } from '../../design'
import { planeAcross, type Plane, vec } from '../../geometry'
import { countUp, HAIR, radians } from '../../measure'
import { type Section, sheetSection } from '../../lumber'
import { around, cutOut } from '../around'
import { squareBoard } from '../between'
import { fewestBoards, least, middleOf, rowOf, type Stretch } from '../../trade'
import type { BuildingCut, Order } from '../member'
import type { Memory } from '../memory'
import type { Rect } from '../rect'
import { type Block, blocksAt } from './blocks'
import { type WallBoard, wallPoint } from './board'
import { type OuterWood, outerWood, plumbJoints } from './framing-lines'
import { fromLayoutEnd } from './places'
import { heightAt, levelAllRound, lowestOf, type Wall } from './wall'
import type { FramedWall } from './walls'

/**
 * Sheets of one wall, the blocks behind their level joints, and how many plumb joints have no wood behind
 * them.
 */
export interface Covered {
  readonly sheets: readonly Order[]
  readonly blocks: readonly WallBoard[]
  readonly loose: number
}

/** What the sheets of a wall meet: its own boards and openings, the gable's studs over it, and the roof. */
export interface CoverAsk {
  readonly building: Building
  readonly memory: Memory
  readonly sheathing: Sheathing
  readonly framed: FramedWall
  readonly stud: Section
  /** The tails over it; null without. */
  readonly eave: Eave | null
  /** Lowest the sheets may begin below the deck, mm. */
  readonly drop: number
  readonly gable: { readonly studs: readonly WallBoard[]; readonly line: Profile } | null
}

/**
 * Lays a wall's sheets from its layout end, broken on studs, openings cut out; those of a gable from its
 * plate to the roof's planes, cut round the ridge. Where no level plate parts a wall from what is over it,
 * since it is raked or steps, the rows run on from the foot to the roof.
 */
export function sheatheWall(ask: CoverAsk): Covered {
  const {
    framed: { wall, boards, rough, raked },
    gable,
  } = ask
  if (gable && (raked || wall.step)) {
    const rows = rowsOf({ from: wallReach(ask).from, to: peakOf(gable.line) }, ask.sheathing, least.gableTip)
    return coverRows(
      ask,
      s => (raked ? Infinity : heightAt(wall, s)),
      rows,
      [...boards, ...gable.studs],
      rough,
      [...openingHoles(ask.framed), ...ridgeHole(ask, gable.line)],
      roofCuts(gable.line),
    )
  }
  const lower = coverRows(
    ask,
    () => Infinity,
    wallRows(ask),
    boards,
    rough,
    [...openingHoles(ask.framed), ...tailHoles(ask), ...overStep(ask)],
    [],
  )
  const upper = gable ? coverGable(ask, gable) : nothing
  return {
    sheets: [...lower.sheets, ...upper.sheets],
    blocks: [...lower.blocks, ...upper.blocks],
    loose: lower.loose + upper.loose,
  }
}

/** How far a row reaches along a wall of level plates: above the lower of two, over the higher part alone. */
export function levelReach({ step, height, overall }: Wall, z: number): Stretch {
  if (!step || z < Math.min(height, step.height) - HAIR) return { from: 0, to: overall }
  return height > step.height ? { from: 0, to: step.at } : { from: step.at, to: overall }
}

/** What is over the lower part of a wall that steps, where nothing stands on it. */
export function overStep({ framed: { wall }, gable }: CoverAsk): Rect[] {
  if (!wall.step || gable) return []
  const { at, height } = wall.step
  const [x0, x1] = height > wall.height ? [-1, at] : [at, wall.overall + 1]
  return [{ x0, x1, y0: lowestOf(wall), y1: Math.max(height, wall.height) + 1 }]
}

const nothing: Covered = { sheets: [], blocks: [], loose: 0 }

/**
 * The level that a slope's rafters reach down to at the sheets' outer face, mm; null where no tail passes
 * outside the wall.
 */
function tailLevel({
  building: {
    roof: { seat },
  },
  sheathing,
  eave,
}: CoverAsk): number | null {
  if (!eave || seat.rule === 'none') return null
  const { face, outside, tail } = eave
  const reach = tail.offset - outside.offset
  if (reach < HAIR) return null
  const at = (out: number): number =>
    levelOver(face.carrier.underside, { ...outside, offset: outside.offset + out })
  return Math.min(at(0), at(Math.min(sheathing.thickness, reach)))
}

/** The level that hips reach down to over a wall's ends, outside it, mm; null without. */
function hipLevel({ sheathing, eave }: CoverAsk): number | null {
  if (!eave?.hip) return null
  const { level: at, angle, half } = eave.hip
  return at - (Math.SQRT2 * sheathing.thickness + half) * Math.tan(radians(angle))
}

/** Rows of a wall's sheets from the bottom; a level joint lies between two. */
const wallRows = (ask: CoverAsk): Stretch[] => rowsOf(wallReach(ask), ask.sheathing, least.sheetStrip)

/** From where to where a wall is covered below its gable. */
export function wallReach(ask: CoverAsk): Stretch {
  const {
    sheathing,
    framed: { wall, boards },
  } = ask
  const foot = Math.min(...boards.map(board => board.z.from))
  const tail = tailLevel(ask)
  const top =
    tail !== null && sheathing.top === 'under-tails'
      ? Math.min(wall.height, tail, hipLevel(ask) ?? Infinity)
      : Math.max(wall.height, wall.step?.height ?? 0)
  return { from: foot > 0 ? foot : 0 - ask.drop, to: top }
}

function rowsOf({ from, to }: Stretch, { sheet, way }: Sheathing, lowest: number): Stretch[] {
  const tall = way === 'upright' ? Math.max(sheet.length, sheet.width) : Math.min(sheet.length, sheet.width)
  const count = Math.max(0, Math.ceil((to - from - least.piece) / tall))
  const rest = to - from - (count - 1) * tall
  // a strip too low to nail takes some of the row under it
  const short = count > 1 && rest < lowest ? lowest - rest : 0
  // what is hardly more than whole sheets is left bare at the top
  const level = (i: number): number =>
    i >= count ? Math.min(to, from + count * tall) : from + i * tall - (i === count - 1 && i > 0 ? short : 0)
  return Array.from({ length: count }, (_, i) => ({ from: level(i), to: level(i + 1) }))
}

export const openingHoles = ({ rough }: FramedWall): Rect[] =>
  rough.map(({ s, z }) => ({ x0: s.from, x1: s.to, y0: z.from, y1: z.to }))

/** What the tails take out of sheets that reach to the plate's top. */
export function tailHoles(ask: CoverAsk): Rect[] {
  const at = tailLevel(ask)
  if (at === null || ask.sheathing.top === 'under-tails' || !ask.eave) return []
  const { height, overall } = ask.framed.wall
  const holes = (stretches: readonly Stretch[], y0: number): Rect[] =>
    y0 >= height ? [] : stretches.map(({ from, to }) => ({ x0: from, x1: to, y0, y1: height + 1 }))
  const hip = ask.eave.hip
  const wide = Math.SQRT2 * (hip?.half ?? 0)
  return [
    ...holes(ask.eave.rafters, at),
    ...(hip
      ? holes(
          [
            { from: -1, to: wide },
            { from: overall - wide, to: overall + 1 },
          ],
          hipLevel(ask) ?? height,
        )
      : []),
  ]
}

function coverGable(ask: CoverAsk, { studs, line }: NonNullable<CoverAsk['gable']>): Covered {
  const {
    framed: { wall },
    sheathing,
  } = ask
  const cover = (part: Profile, name: string): Covered => {
    const within = withinOf(part)
    return coverRows(
      { ...ask, gable: { studs, line: part } },
      () => -Infinity,
      rowsOf({ from: wall.height, to: peakOf(part) }, sheathing, least.gableTip),
      studs.filter(({ s }) => s.from < within.to + HAIR && s.to > within.from - HAIR),
      [],
      [...ridgeHole(ask, part), ...ledgerHole(ask, part)],
      roofCuts(part),
      name,
    )
  }
  // on both sides of a strip by itself
  return (line.parts ?? [line])
    .map(part => cover(part, line.parts ? `${part.runs[0]?.face.falls}/` : ''))
    .reduce(
      (all, each) => ({
        sheets: [...all.sheets, ...each.sheets],
        blocks: [...all.blocks, ...each.blocks],
        loose: all.loose + each.loose,
      }),
      nothing,
    )
}

/** What the ridge takes out of a gable's cover where it runs on outside. */
export const ridgeHole = ({ building }: CoverAsk, line: Profile): Rect[] =>
  line.hanging && building.roof.overhang.gable > HAIR
    ? [{ x0: line.hanging.from, x1: line.hanging.to, y0: line.hanging.bottom, y1: peakOf(line) + 1 }]
    : []

/** What a strip's ledger takes out of it there. */
export const ledgerHole = ({ building }: CoverAsk, line: Profile): Rect[] =>
  line.apart && building.roof.overhang.gable > HAIR
    ? [{ x0: line.apart.from, x1: line.apart.to, y0: line.apart.bottom, y1: peakOf(line) + 1 }]
    : []

/** What a gable's cover ends at. */
export const roofCuts = ({ runs }: Profile): BuildingCut[] =>
  runs.map(({ top }): BuildingCut => ({ kind: 'end', name: 'slope', plane: top }))

/**
 * Covers rows; what reaches over `wallTop`, along the wall, is of the gable, and goes on when that stands.
 * `slopes` cut what reaches to the roof.
 */
function coverRows(
  ask: CoverAsk,
  wallTop: (s: number) => number,
  rows: readonly Stretch[],
  boards: readonly WallBoard[],
  rough: FramedWall['rough'],
  holes: readonly Rect[],
  slopes: readonly BuildingCut[],
  name = '',
): Covered {
  const {
    sheathing,
    framed: { wall },
    stud,
    gable,
  } = ask
  const find = (): OuterWood => outerWood(wall, boards, rough, stud.depth)
  // a wall's own wood is known as long as its boards are
  const wood =
    boards === ask.framed.boards ? ask.memory.last(`wood/${wall.name}`, [boards, rough], find) : find()
  const up = slopes.length > 0 && gable ? gable.line : null
  const part = (s: Stretch, z: number): string =>
    `walls/${wall.name}/${z > Math.min(wallTop(s.from + HAIR), wallTop(s.to - HAIR)) + HAIR ? `gable/${name}` : ''}`
  const laid = rows.map((z, r) => ({ z, ...columns(ask, wood, z, r, up) }))
  const sheets = laid.flatMap(({ z, row }, r) =>
    row.flatMap((s, c) => pieces(ask, `${part(s, z.to)}sheet/${r + 1}/${c + 1}`, s, z, holes, slopes, up)),
  )
  // a seam close over another finds that one's blocks already there
  const blocks = seamsOf(rows, wood, sheathing).reduce<readonly WallBoard[]>(
    (found, z, i) => [
      ...found,
      ...seamBlocks(ask, z, [...boards, ...found], rough, up).map((block, k) => ({
        ...block,
        id: `${part(block.s, z)}block/${i + 1}/${k + 1}`,
      })),
    ],
    [],
  )
  return { sheets, blocks, loose: laid.reduce((sum, each) => sum + each.loose, 0) }
}

/** Level joints that want blocks: between rows, and the top edge where no plate lies behind it. */
function seamsOf(rows: readonly Stretch[], wood: OuterWood, sheathing: Sheathing): number[] {
  const between = rows.slice(0, -1).map(each => each.to)
  const top = rows[rows.length - 1]?.to
  const plates = wood.boards.filter(board => board.role === 'top-plate')
  const bare =
    top !== undefined &&
    plates.length > 0 &&
    sheathing.top === 'under-tails' &&
    top < Math.min(...plates.map(board => board.z.from)) + 5
  return bare ? [...between, top] : between
}

function seamBlocks(
  { building, framed: { wall, raked }, stud }: CoverAsk,
  z: number,
  boards: readonly WallBoard[],
  rough: FramedWall['rough'],
  up: Profile | null,
): Block[] {
  // between the plates alone: higher up their own plates, or the next wall's lapped over, lie behind the
  // joint
  if (!up)
    return underPlates(wall, boards, z).flatMap(reach =>
      blocksAt({ wall, stud, boards, rough, taken: [], reach, cuts: () => [] }, z),
    )
  // where an eave wall is higher than the gable wall its end stands in the gable
  const own = levelAllRound(building) && !raked && !wall.step ? { from: 0, to: wall.overall } : wall
  const free = clearOfLedger(up)
  const between = { from: Math.max(own.from, free.from), to: Math.min(own.to, free.to) }
  // in a gable a row reaches from rafter to rafter, its outermost blocks cut by them
  const reach = reachAt(up, 'under', between, z - stud.depth / 2)
  // each face cuts what stands under it
  const over = (s: Stretch): Plane[] => runsOver(up, s, HAIR).map(run => run.under)
  const cuts = (s: Stretch, at: Stretch): BuildingCut[] =>
    over(s)
      .filter(plane => levelUnder(up, plane.normal.y < 0 ? s.from : s.to) < at.to - HAIR)
      .map(plane => ({ kind: 'end', name: 'slope', plane }))
  const ridge: Stretch = up.hanging ?? { from: Infinity, to: Infinity }
  const laid = (taken: readonly Stretch[]): Block[] =>
    blocksAt({ wall, stud, boards, rough, taken, reach, cuts }, z)
  // a block is parted by the ridge where it would reach up to it
  const whole = laid([])
  const parted = whole.some(
    ({ s, z }) =>
      z.to > (up.hanging?.bottom ?? Infinity) + HAIR && s.from < ridge.to - HAIR && s.to > ridge.from + HAIR,
  )
  return (parted ? laid([ridge]) : whole).filter(
    ({ s }) => Math.max(levelUnder(up, s.from), levelUnder(up, s.to)) > z + 5,
  )
}

/** What of a line boards between studs may take: beside a strip, up to the ledger on its face. */
function clearOfLedger(line: Profile): Stretch {
  const { apart } = line
  const within = withinOf(line)
  if (!apart || apart.from > within.to - HAIR || apart.to < within.from + HAIR) return within
  return apart.from - within.from > within.to - apart.to
    ? { from: within.from, to: apart.from }
    : { from: apart.to, to: within.to }
}

/** The stretches of a wall whose top plates lie over a level. */
function underPlates({ from, to, step }: Wall, boards: readonly WallBoard[], z: number): Stretch[] {
  const runs = step
    ? [
        { from, to: step.at },
        { from: step.at, to },
      ]
    : [{ from, to }]
  return runs.filter(
    run =>
      z <
      Math.min(
        ...boards
          .filter(
            board =>
              board.role === 'top-plate' && board.s.from < run.to - HAIR && board.s.to > run.from + HAIR,
          )
          .map(board => board.z.from),
      ) +
        HAIR,
  )
}

/**
 * The pieces of a row, from the wall's layout end, each as long as its sheet lets it be and ending on wood.
 */
function columns(
  { sheathing: { sheet, way }, framed: { wall } }: CoverAsk,
  wood: OuterWood,
  z: Stretch,
  r: number,
  up: Profile | null,
): { row: readonly Stretch[]; loose: number } {
  const long = way === 'upright' ? Math.min(sheet.length, sheet.width) : Math.max(sheet.length, sheet.width)
  const reach = up ? gableReach(up, wall, z.from) : levelReach(wall, z.from)
  // where a gable is too low for a stud a joint lies on the rafter
  const low = up
    ? [reach.from + long, reach.to - long].filter(
        s => s > reach.from && s < reach.to && levelUnder(up, s) - z.from < least.gableStud,
      )
    : []
  const joints = up
    ? [...plumbJoints(wood, z, lineAt(up)), ...low]
    : plumbJoints(wood, z, s => (wall.step ? heightAt(wall, s) : Infinity))
  let loose = 0
  const row = fromLayoutEnd(wall, reach, joints, (whole, breaks) => {
    const first = rowOf(whole, breaks, long, way === 'level' && r % 2 === 1 ? long / 2 : long)
    const last = first[first.length - 1]
    // a sliver at the end is shared with the sheet before it, where a stud lets it
    const laid =
      first.length > 1 && last && last.to - last.from < least.wallSheet
        ? fewestBoards(whole, { breaks, longest: long, shortest: least.wallSheet })
        : first
    const split = laid.flatMap(piece => splitAt(piece, long))
    loose = split.length - laid.length
    return split
  })
  return { row, loose }
}

/** A piece that no wood breaks within a sheet's reach is broken there all the same. */
function splitAt({ from, to }: Stretch, long: number): Stretch[] {
  const parts = countUp((to - from) / long)
  return Array.from({ length: parts }, (_, i) => ({
    from: from + i * long,
    to: Math.min(to, from + (i + 1) * long),
  }))
}

/** How far the roof's planes let a gable's row reach at its lower edge. */
export function gableReach(up: Profile, wall: Wall, z: number): Stretch {
  const { from, to } = withinOf(up)
  return reachAt(up, 'top', { from: Math.max(0, from), to: Math.min(wall.overall, to) }, z)
}

/** In a gable a joint runs up a stud to the rafter, or to the ridge's end. */
export const lineAt =
  (up: Profile) =>
  (s: number): number =>
    up.hanging && s > up.hanging.from && s < up.hanging.to
      ? Math.min(levelUnder(up, s), up.hanging.bottom)
      : levelUnder(up, s)

/** The sheets over a stretch of a row, about the holes in it. */
function pieces(
  { sheathing, framed: { wall }, stud }: CoverAsk,
  id: string,
  s: Stretch,
  z: Stretch,
  holes: readonly Rect[],
  slopes: readonly BuildingCut[],
  up: Profile | null,
): Order[] {
  const high = up
    ? Math.min(
        z.to,
        Math.max(
          coverLevel(up, s.from),
          coverLevel(up, s.to),
          up.hanging && s.from < up.hanging.to && s.to > up.hanging.from
            ? coverLevel(up, middleOf(up.hanging))
            : 0,
        ),
      )
    : z.to
  if (high - z.from < least.piece || s.to - s.from < least.piece) return []
  return around({ x0: s.from, x1: s.to, y0: z.from, y1: high }, holes).map(({ rect, notches }, k) =>
    sheetOrder(sheathing, wall, stud, `${id}${k ? `/${k + 1}` : ''}`, rect, notches, slopes),
  )
}

function sheetOrder(
  { thickness, sheet, way }: Sheathing,
  wall: Wall,
  stud: Section,
  id: string,
  { x0, x1, y0, y1 }: Rect,
  notches: readonly Rect[],
  slopes: readonly BuildingCut[],
): Order {
  const section = sheetSection(
    thickness,
    Math.min(sheet.length, sheet.width),
    Math.max(sheet.length, sheet.width),
  )
  const upright = way === 'upright'
  const across = wall.outside === 'low' ? -thickness : stud.depth
  const order = squareBoard({
    id,
    role: 'wall-sheet',
    section,
    along: upright ? 'z' : wall.along,
    depth: upright ? wall.along : 'z',
    from: upright ? y0 : x0,
    to: upright ? y1 : x1,
    corner: wallPoint(wall, x0, across, y0),
  })
  const [low, high] = upright ? [x0, x1] : [y0, y1]
  const rip: BuildingCut[] =
    high - low < section.depth - HAIR
      ? [{ kind: 'end', name: 'rip', plane: planeAcross(upright ? wall.along : 'z', high) }]
      : []
  const along = wall.along === 'x' ? vec(1, 0, 0) : vec(0, 1, 0)
  return {
    ...order,
    cuts: [...order.cuts, ...rip, ...notches.map(each => cutOut(each, along, vec(0, 0, 1))), ...slopes],
  }
}
