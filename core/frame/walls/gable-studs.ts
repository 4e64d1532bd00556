import type { Design } from '../../design'
import { flip, meets, type Plane, vec } from '../../geometry'
import type { Section } from '../../lumber'
import { level } from '../between'
import { type Stretch, withLayout } from '../layout'
import type { BuildingCut } from '../member'
import type { RoofDatum } from '../roof'
import { upright, type WallBoard } from './board'
import { layoutOf, type StackLines } from './places'
import { levelAllRound, type Wall } from './wall'

/** Shortest stud that is cut for a gable, at its shorter side, mm. */
export const LEAST = 50

/** A gable's upper line: the lower edges of its end rafters and of the ridge board between them; `at` gives it over the wall, mm. */
export interface GableLine {
  /** Level of the rafters' lower edges at a distance along the wall. */
  readonly under: (s: number) => number
  /** Level of the roof's planes there. */
  readonly top: (s: number) => number
  /** The ridge board's end, as it stands in the gable. */
  readonly ridge: { readonly from: number, readonly to: number, readonly bottom: number }
}

export function gableLine(roof: RoofDatum, ridge: Section): GableLine {
  const { south, north } = roof.slopes
  const lower = (planes: readonly [typeof south.roofTop, typeof south.roofTop], s: number): number => Math.min(...planes.map(plane => meets(plane, vec(0, s, 0), vec(0, 0, 1)) ?? Infinity))
  return {
    under: s => lower([south.underside, north.underside], s), top: s => lower([south.roofTop, north.roofTop], s),
    ridge: { from: roof.ridgeMiddle - ridge.thickness / 2, to: roof.ridgeMiddle + ridge.thickness / 2, bottom: roof.ridgeTop - ridge.depth },
  }
}

/** Studs of a gable, on the wall's own layout so that each stands over a stud below, from the wall's top plate up to the end rafters, each cut by their lower edges, and one under the ridge by the ridge's end. */
export function gableStuds(design: Design, wall: Wall, stud: Section, lines: StackLines, roof: RoofDatum, line: GableLine): WallBoard[] {
  const t = stud.thickness
  const ends = levelAllRound(design) ? { from: 0, to: wall.overall } : { from: wall.from, to: wall.to }
  const places = withLayout([], layoutOf(design, { ...wall, ...ends }, lines), t).filter(each => each.from > ends.from + 1e-6 && each.to < ends.to - 1e-6)
  return places.flatMap((at): WallBoard[] => {
    const ridge = ridgeCut(at, line, line.ridge.bottom < line.under(roof.ridgeMiddle))
    const most = ridge === 'level' ? line.ridge.bottom : Infinity
    const shorter = Math.min(line.under(at.from), line.under(at.to), most)
    if (shorter - wall.height < LEAST) return []
    const middle = Math.min(Math.max(roof.ridgeMiddle, at.from), at.to)
    const to = Math.min(Math.max(line.under(at.from), line.under(at.to), line.under(middle)), most)
    return [{ ...upright(stud, 'gable-stud', `walls/${wall.name}/gable/stud/${places.indexOf(at) + 1}`, at.from, { from: wall.height, to }), open: true, cuts: topCuts(at, roof, line, ridge) }]
  })
}

/** mm of a stud past its middle that must stand beside the ridge for it to be notched, so that sheets can meet on it all the way up. */
const BESIDE = 10

/** How the ridge board's end takes part of a stud under it: not at all; all across, so that it is cut level; or only one side, so that it is notched and runs on beside it. */
function ridgeCut(at: Stretch, { ridge }: GableLine, hangs: boolean): 'clear' | 'level' | 'notch-low' | 'notch-high' {
  if (!hangs || at.from >= ridge.to - 1e-6 || at.to <= ridge.from + 1e-6) return 'clear'
  const beside = (at.to - at.from) / 2 + BESIDE
  if (at.to - ridge.to >= beside) return 'notch-low'
  return ridge.from - at.from >= beside ? 'notch-high' : 'level'
}

/** Only what takes something away: a stud clear of the ridge's middle is cut by its own slope alone. */
function topCuts(at: Stretch, { slopes, ridgeMiddle }: RoofDatum, { ridge }: GableLine, cut: ReturnType<typeof ridgeCut>): BuildingCut[] {
  const slope = (side: 'south' | 'north'): BuildingCut => ({ kind: 'end', name: 'slope', plane: slopes[side].underside })
  const under = { name: 'level', plane: flip(level('z', ridge.bottom)) } as const
  const about = (face: { name: 'plumb', plane: Plane }): BuildingCut[] => [{ kind: 'notch', name: 'housing', sides: [under, face] }]
  const ends = [...(at.from < ridgeMiddle ? [slope('south')] : []), ...(at.to > ridgeMiddle ? [slope('north')] : [])]
  switch (cut) {
    case 'clear': return ends
    case 'level': return [...ends, { kind: 'end', name: 'level', plane: level('z', ridge.bottom) }]
    case 'notch-low': return [...ends, ...about({ name: 'plumb', plane: level('y', ridge.to) })]
    case 'notch-high': return [...ends, ...about({ name: 'plumb', plane: flip(level('y', ridge.from)) })]
  }
}
