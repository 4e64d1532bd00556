import { type MemberPlace, ofGable, ofWall } from '../place'
import { highestCover, levelUnder, peakOf, type Profile, withinOf } from '../../lines'
import { isGlazed, isSide, type Sheathing } from '../../design'
import { countUp, HAIR } from '../../measure'
import { type Section, sheetSection } from '../../lumber'
import { piecesAbout } from '../pieces-about'
import { fewestBoards, least, rowOf, type Stretch } from '../../trade'
import type { BuildingCut, Order } from '../member'
import type { Rect } from '../rect'
import { faceBoard, type WallBoard } from './board'
import { type OuterWood, outerWood, plumbJoints } from './framing-lines'
import { fromLayoutEnd } from './places'
import { heightAt, type Wall } from './wall'
import type { FramedWall } from './walls'
import {
  type Covered,
  type CoverAsk,
  levelReach,
  overStep,
  nothing,
  postsReach,
  wallReach,
  rowsOf,
  openingHoles,
  tailHoles,
  ridgeHole,
  ledgerHole,
  roofCuts,
  gableReach,
  lineAt,
} from './cover'
import { seamsOf, seamBlocks } from './seams'

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
  const glazed = isSide(wall.name) && isGlazed(ask.building.walls, wall.name, 'gable')
  if (gable && !glazed && (raked || wall.step)) {
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
  const upper = gable ? (glazed ? nothing : coverGable(ask, gable)) : coverPosts(ask)
  return {
    sheets: [...lower.sheets, ...upper.sheets],
    blocks: [...lower.blocks, ...upper.blocks],
    loose: lower.loose + upper.loose,
  }
}

/** Covers trusses' end posts over a high wall, from its upper plate to the chords. */
export function coverPosts(ask: CoverAsk): Covered {
  const reach = postsReach(ask)
  return reach
    ? coverRows(ask, () => -Infinity, rowsOf(reach, ask.sheathing, least.gableTip), ask.posts, [], [], [])
    : nothing
}

/** Rows of a wall's sheets from the bottom; a level joint lies between two. */
const wallRows = (ask: CoverAsk): Stretch[] => rowsOf(wallReach(ask), ask.sheathing, least.sheetStrip)

function coverGable(ask: CoverAsk, { studs, line, rough }: NonNullable<CoverAsk['gable']>): Covered {
  const {
    framed: { wall },
    sheathing,
  } = ask
  const cover = (part: Profile, name: string): Covered => {
    const within = withinOf(part)
    return coverRows(
      { ...ask, gable: { studs, line: part, rough } },
      () => -Infinity,
      rowsOf({ from: wall.height, to: peakOf(part) }, sheathing, least.gableTip),
      [...studs, ...ask.posts].filter(({ s }) => s.from < within.to + HAIR && s.to > within.from - HAIR),
      rough,
      [...openingHoles({ rough }), ...ridgeHole(ask, part), ...ledgerHole(ask, part)],
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
  const at = (s: Stretch, z: number, what: string, ...run: readonly number[]): MemberPlace =>
    z > Math.min(wallTop(s.from + HAIR), wallTop(s.to - HAIR)) + HAIR
      ? ofGable(wall.name, `${name}${what}`, ...run)
      : ofWall(wall.name, what, ...run)
  const laid = rows.map((z, r) => ({ z, ...columns(ask, wood, z, r, up) }))
  const sheets = laid.flatMap(({ z, row }, r) =>
    row.flatMap((s, c) => pieces(ask, at(s, z.to, 'sheet', r + 1, c + 1), s, z, holes, slopes, up)),
  )
  // a seam close over another finds that one's blocks already there
  const blocks = seamsOf(rows, wood, sheathing).reduce<readonly WallBoard[]>(
    (found, z, i) => [
      ...found,
      ...seamBlocks(ask, z, [...boards, ...found], rough, up).map((block, k) => ({
        ...block,
        where: at(block.s, z, 'block', i + 1, k + 1),
      })),
    ],
    [],
  )
  return { sheets, blocks, loose: laid.reduce((sum, each) => sum + each.loose, 0) }
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
    const first = rowOf(whole, breaks, long, way === 'level' && r % 2 === 1 ? long / 2 : long, 0)
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

/** The sheets over a stretch of a row, about the holes in it. */
function pieces(
  { sheathing, framed: { wall }, stud }: CoverAsk,
  where: MemberPlace,
  s: Stretch,
  z: Stretch,
  holes: readonly Rect[],
  slopes: readonly BuildingCut[],
  up: Profile | null,
): Order[] {
  const high = up ? Math.min(z.to, highestCover(up, s)) : z.to
  if (high - z.from < least.piece || s.to - s.from < least.piece) return []
  return piecesAbout({ x0: s.from, x1: s.to, y0: z.from, y1: high }, holes).map(({ rect, notches }, k) =>
    sheetOrder(
      sheathing,
      wall,
      stud,
      k ? { ...where, run: [...where.run, k + 1] } : where,
      rect,
      notches,
      slopes,
    ),
  )
}

function sheetOrder(
  { thickness, sheet, way }: Sheathing,
  wall: Wall,
  stud: Section,
  where: MemberPlace,
  rect: Rect,
  notches: readonly Rect[],
  slopes: readonly BuildingCut[],
): Order {
  const section = sheetSection(
    thickness,
    Math.min(sheet.length, sheet.width),
    Math.max(sheet.length, sheet.width),
  )
  return faceBoard(
    { wall, deep: stud.depth, over: 0 },
    { where, role: 'wall-sheet', section, way, rect, notches, cuts: slopes },
  )
}
