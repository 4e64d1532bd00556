import { hasSheets, isSide, isUpright, sidingOn } from '../../design'
import { peakOf, type Profile } from '../../lines'
import { countUp, HAIR } from '../../measure'
import { gaps, type Stretch } from '../../trade'
import { ofGable, ofWall } from '../place'
import type { WallBoard } from './board'
import type { CoverAsk } from './cover'
import { seamBlocks } from './seams'
import { heightAt } from './wall'

/**
 * Rows of blocks between the studs of a wall and its gable, for upright siding to be nailed to where no
 * sheets lie behind it; none between posts, which have girts.
 */
export function nailersBehind(ask: CoverAsk): WallBoard[] {
  const { building, framed, gable, memory } = ask
  const { wall, boards, rough } = framed
  const { name } = wall
  const { walls } = building
  if (!isSide(name) || hasSheets(walls, name) || walls.sides[name].build !== 'studs') return []
  const wants = (part: 'wall' | 'gable'): boolean => {
    const siding = sidingOn(walls, name, part)?.siding
    return siding !== undefined && isUpright(siding)
  }
  const { raked } = framed
  /** As high as the wall's own boards reach over a place. */
  const top = (at: number): number => (raked ? Infinity : heightAt(wall, at))
  const row = (z: number, all: readonly WallBoard[], up: Profile | null, i: number): WallBoard[] =>
    seamBlocks(ask, z, all, up ? [...rough, ...(gable?.rough ?? [])] : rough, up).map((block, k) => ({
      ...block,
      where: (z > Math.min(top(block.s.from + HAIR), top(block.s.to - HAIR)) ? ofGable : ofWall)(
        name,
        'nailer',
        i + 1,
        k + 1,
      ),
    }))
  return memory.last(
    `nailers/${name}`,
    [framed, gable, ask.posts, wants('wall'), wants('gable'), ask.stud],
    (): WallBoard[] => {
      const all = [...boards, ...(gable?.studs ?? []), ...ask.posts]
      // where no level plate parts a wall from what is over it the rows go on to the roof
      if (gable && (raked || wall.step))
        return between({ from: 0, to: peakOf(gable.line) }).flatMap((z, i) =>
          wants(z < wall.height ? 'wall' : 'gable') ? row(z, all, gable.line, i) : [],
        )
      const lower = wants('wall')
        ? between({ from: 0, to: wall.height }).flatMap((z, i) => row(z, boards, null, i))
        : []
      const upper =
        gable && wants('gable')
          ? between({ from: wall.height, to: peakOf(gable.line) }).flatMap((z, i) =>
              row(z, all, gable.line, i),
            )
          : []
      return [...lower, ...upper]
    },
  )
}

/** Levels that part a height evenly, no farther from each other than nailers may be. */
function between({ from, to }: Stretch): number[] {
  const bays = Math.max(1, countUp((to - from) / gaps.nailers))
  return Array.from({ length: bays - 1 }, (_, i) => from + ((to - from) * (i + 1)) / bays)
}
