import { type MemberPlace } from '../place'
import type { Role, Stretch } from '../../trade'
import { HAIR } from '../../measure'
import type { Section } from '../../lumber'
import type { BuildingCut } from '../member'
import { upright, type WallBoard } from './board'
import type { Profile } from '../../lines'
import { endingUnder, freeUnder } from './ending'

/** What stands in a wall ends under its top plates: at a level, or along the roof's slopes. */
export interface WallTop {
  /** Levels that a board at a place reaches up to on its shorter and its longer side, mm. */
  readonly reach: (s: Stretch) => { readonly shorter: number; readonly longer: number }
  /** The level that a board over a stretch reaches up to where nothing is cut off it, mm. */
  readonly free: (s: Stretch) => number
  /** What cuts it there; nothing where it ends square. */
  readonly cuts: (s: Stretch) => readonly BuildingCut[]
}

/** Under level plates; `at` gives their underside along the wall. */
export function levelTop(at: (s: number) => number): WallTop {
  const reach = (s: Stretch) => {
    const [a, b] = [at(s.from + HAIR), at(s.to - HAIR)]
    return { shorter: Math.min(a, b), longer: Math.max(a, b) }
  }
  return { reach, free: s => reach(s).shorter, cuts: () => [] }
}

/**
 * The lines of a raked wall: of the rafters, of the studs under the plates, and where the plates leave the
 * ridge's end free.
 */
export interface Rake {
  readonly rafters: Profile
  readonly studs: Profile
  readonly gap: Stretch | null
}

/** Under raked plates; between them, where the ridge's end comes down, under the ridge. */
export function rakedTop({ rafters, studs, gap }: Rake): WallTop {
  const ending = (s: Stretch) =>
    endingUnder(s, gap && s.from > gap.from - HAIR && s.to < gap.to + HAIR ? rafters : studs)
  return {
    reach: ending,
    free: s => Math.min(ending(s).shorter, freeUnder(s, rafters)),
    cuts: s => ending(s).cuts,
  }
}

/** A board that stands on `bottom` and ends under a wall's plates. */
export function standing(
  section: Section,
  role: Role,
  where: MemberPlace,
  s: Stretch,
  bottom: number,
  top: WallTop,
): WallBoard {
  const cuts = top.cuts(s)
  const { shorter, longer } = top.reach(s)
  const board = upright(section, role, where, s.from, { from: bottom, to: cuts.length ? longer : shorter })
  return cuts.length ? { ...board, cuts, open: true } : board
}
