import { levelUnder, type Profile, reachAt, runsOver } from '../../lines'
import type { Sheathing } from '../../design'
import type { Plane } from '../../geometry'
import { HAIR } from '../../measure'
import type { Stretch } from '../../trade'
import type { BuildingCut } from '../member'
import { type Block, blocksAt } from './blocks'
import type { WallBoard } from './board'
import type { OuterWood } from './framing-lines'
import { levelAllRound, type Wall } from './wall'
import type { FramedWall } from './walls'
import { type CoverAsk, clearOfLedger } from './cover'

/** Level joints that want blocks: between rows, and the top edge where no plate lies behind it. */
export function seamsOf(rows: readonly Stretch[], wood: OuterWood, sheathing: Sheathing): number[] {
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

export function seamBlocks(
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
