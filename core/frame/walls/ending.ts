import { flip, planeAcross } from '../../geometry'
import { hangsDown, highestBreak, levelUnder, type Profile, runsOver } from '../../lines'
import { HAIR } from '../../measure'
import { gaps, overlap, type Stretch } from '../../trade'
import type { BuildingCut } from '../member'

/**
 * How a board that stands at a place ends under a line: the levels of its shorter and longer side, and what
 * cuts it.
 */
export interface Ending {
  readonly shorter: number
  readonly longer: number
  readonly cuts: readonly BuildingCut[]
}

export function endingUnder(at: Stretch, line: Profile): Ending {
  const hung = hangsOver(at, line)
  const most = hung === 'level' ? (line.hanging?.bottom ?? Infinity) : Infinity
  const [from, to] = [levelUnder(line, at.from), levelUnder(line, at.to)]
  return {
    shorter: Math.min(from, to, most),
    longer: Math.min(Math.max(from, to, highestBreak(line, at)), most),
    cuts: topCuts(at, line, hung),
  }
}

/** The level that a board over a stretch reaches up to uncut: under the line and the ridge's end, mm. */
export function freeUnder(at: Stretch, line: Profile): number {
  const { hanging } = line
  const under = hanging && hangsDown(line) && overlap(at, hanging) ? hanging.bottom : Infinity
  return Math.min(endingUnder(at, line).shorter, under)
}

/**
 * How the ridge's end takes part of a stud under it: not at all; all across, so that it is cut level; or only
 * one side, so that it is notched and runs on beside it.
 */
function hangsOver(at: Stretch, line: Profile): 'clear' | 'level' | 'notch-low' | 'notch-high' {
  const { hanging } = line
  if (!hanging || !hangsDown(line) || at.from >= hanging.to - HAIR || at.to <= hanging.from + HAIR)
    return 'clear'
  const beside = (at.to - at.from) / 2 + gaps.besideRidge
  if (at.to - hanging.to >= beside) return 'notch-low'
  return hanging.from - at.from >= beside ? 'notch-high' : 'level'
}

/** Only what takes something away: a stud clear of a break is cut by its own face alone. */
function topCuts(at: Stretch, line: Profile, hung: ReturnType<typeof hangsOver>): BuildingCut[] {
  const ends = runsOver(line, at).map(({ under }): BuildingCut => ({
    kind: 'end',
    name: 'slope',
    plane: under,
  }))
  const { hanging } = line
  if (!hanging || hung === 'clear') return ends
  const bottom = planeAcross('z', hanging.bottom)
  if (hung === 'level') return [...ends, { kind: 'end', name: 'level', plane: bottom }]
  const face = hung === 'notch-low' ? planeAcross('y', hanging.to) : flip(planeAcross('y', hanging.from))
  const sides = [{ name: 'level', plane: flip(bottom) } as const, { name: 'plumb', plane: face } as const]
  return [...ends, { kind: 'notch', name: 'housing', sides }]
}
