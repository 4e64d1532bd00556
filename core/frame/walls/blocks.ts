import { HAIR } from '../../measure'
import type { Section } from '../../lumber'
import { least, type Stretch } from '../../trade'
import type { BuildingCut } from '../member'
import { acrossOfBoard, type WallBoard } from './board'
import type { RoughOpening } from './rough-opening'
import type { Wall } from './wall'

/**
 * What blocks are put between: the boards that stand there, the openings they stay out of, what else is in
 * their way, and how far a level reaches.
 */
export interface BlockAsk {
  readonly wall: Wall
  readonly stud: Section
  readonly boards: readonly WallBoard[]
  readonly rough: readonly RoughOpening[]
  readonly taken: readonly Stretch[]
  readonly reach: Stretch
  readonly cuts: (s: Stretch, z: Stretch) => readonly BuildingCut[]
}

/** A block without its name. */
export type Block = Omit<WallBoard, 'where'>

/**
 * Blocks behind a level joint of sheets: on edge against the sheets between what stands there, flat where
 * there is no height for that; none where a plate, sill or header lies behind the joint already.
 */
export function blocksAt(ask: BlockAsk, z: number): Block[] {
  const { wall, stud, boards, rough, reach, taken, cuts } = ask
  const outer = wall.outside === 'low' ? 0 : stud.depth - stud.thickness
  const shapes = [
    { wide: 'up', tall: stud.depth, across: outer, thick: stud.thickness },
    { wide: 'across', tall: stud.thickness, across: 0, thick: stud.depth },
  ] as const
  const shown = boards.filter(board => reaches(board, outer, outer + stud.thickness))
  const lying = shown
    .filter(board => board.runs === 'along' && board.z.from < z - HAIR && board.z.to > z + HAIR)
    .map(board => board.s)
  const standing = shown
    .filter(
      board => board.runs === 'up' && board.z.from < z + stud.depth / 2 && board.z.to > z - stud.depth / 2,
    )
    .map(board => board.s)
  const openings = rough.filter(each => each.z.from < z + HAIR && each.z.to > z - HAIR).map(each => each.s)
  return gaps(reach, [...standing, ...lying, ...openings, ...taken]).flatMap((s): Block[] => {
    for (const { wide, tall, across, thick } of shapes) {
      const at = bandAt(shown, s, z, tall)
      if (
        at.from > z - 5 ||
        at.to < z + 5 ||
        boards.some(board => meetsOn(board, s, at) && reaches(board, across, across + thick))
      )
        continue
      return [{ role: 'block', section: stud, runs: 'along', wide, s, z: at, across, cuts: cuts(s, at) }]
    }
    return []
  })
}

/** Half below the joint and half above, or against a lying board that is closer than that. */
function bandAt(boards: readonly WallBoard[], s: Stretch, z: number, tall: number): Stretch {
  const near = boards.filter(
    board => board.runs === 'along' && board.s.from < s.to - HAIR && board.s.to > s.from + HAIR,
  )
  const under = Math.max(-Infinity, ...near.filter(board => board.z.to <= z + HAIR).map(board => board.z.to))
  const over = Math.min(
    Infinity,
    ...near.filter(board => board.z.from >= z - HAIR).map(board => board.z.from),
  )
  const low = Math.min(Math.max(z - tall / 2, under), over - tall)
  return { from: low, to: low + tall }
}

const meetsOn = (board: WallBoard, s: Stretch, z: Stretch): boolean =>
  board.s.from < s.to - HAIR &&
  board.s.to > s.from + HAIR &&
  board.z.from < z.to - HAIR &&
  board.z.to > z.from + HAIR

const reaches = (board: WallBoard, from: number, to: number): boolean =>
  board.across < to - HAIR && board.across + acrossOfBoard(board) > from + HAIR

/** What of a stretch none of the others takes. */
export function gaps(whole: Stretch, taken: readonly Stretch[]): Stretch[] {
  const out: Stretch[] = []
  let from = whole.from
  for (const each of [...taken].sort((a, b) => a.from - b.from)) {
    if (each.from - from > least.nogging) out.push({ from, to: Math.min(each.from, whole.to) })
    from = Math.max(from, each.to)
    if (from >= whole.to) return out
  }
  return whole.to - from > least.nogging ? [...out, { from, to: whole.to }] : out
}
