import { ofGable } from '../place'
import { least, overlap, type Stretch, withLayout } from '../../trade'
import type { Building, SideName } from '../../design'
import { flip, planeAcross } from '../../geometry'
import type { Section } from '../../lumber'
import { HAIR, radians } from '../../measure'
import type { BuildingCut } from '../member'
import {
  coverLevel,
  eaveOver,
  type Problem,
  type Profile,
  type RoofLines,
  runsOver,
  stretchOf,
} from '../../lines'
import { falseTailsIn, uprightUnder } from '../roof'
import { upright, type WallBoard } from './board'
import { openingBoards } from './opening-boards'
import { liesInGable, openingsIn } from './openings'
import { type Clear, type RoughOpening, takenBy } from './rough-opening'
import { layoutOf, type StackLines } from './places'
import { endingUnder } from './ending'
import { rakedTop } from './top'
import { heightAt, levelAllRound, type Wall } from './wall'

export type NotchProblem = Extract<Problem, { readonly code: `gable-notch-${string}` }>

/**
 * Why gable studs of a wall can't be notched behind its end rafters: too little would be left of them, or
 * another rafter stands there.
 */
export function notchProblem(
  { walls, footprint: { length }, roof: { has, truss } }: Building,
  side: SideName,
  stud: Section,
  rafter: Section,
  roof: RoofLines,
): NotchProblem | null {
  if (walls.gables !== 'notched' || has.falls.includes(side)) return null
  if (truss) return { code: 'gable-notch-truss', path: 'walls.gables' }
  const left = stud.depth - rafter.thickness
  if (left < least.notchedStud)
    return {
      code: 'gable-notch-thin',
      path: 'walls.gables',
      left: Math.max(0, left),
      least: least.notchedStud,
    }
  const within =
    side === 'west'
      ? { from: rafter.thickness, to: stud.depth }
      : { from: length - stud.depth, to: length - rafter.thickness }
  return roof.faces.some(({ places }) => places.some(({ at }) => overlap(at, within)))
    ? { code: 'gable-notch-blocked', path: 'walls.gables', side }
    : null
}

/**
 * The end rafters that studs run up behind, and where along the wall blocks over the eave walls' plates leave
 * them room.
 */
export interface Behind {
  readonly rafter: Section
  readonly clear: Stretch
  /** What rows of blocks take there. */
  readonly rows: readonly Stretch[]
}

/** Where along a gable wall blocks over the eave walls' plates, and false tails there, leave room; mm. */
export function clearOfEaves(building: Building, rafter: Section, roof: RoofLines): Stretch {
  const { plate } = building.roof.blocking
  // square blocks stand across more of the plate the steeper the slope, and lean in over it at a high wall
  const room = (of: 'south' | 'north'): number => {
    const eave = eaveOver(roof, of)
    if (eave?.kick) return falseTailsIn(eave)
    if (plate === 'none' || !eave) return 0
    const slope = radians(eave.face.angle)
    return plate === 'plumb'
      ? rafter.thickness
      : rafter.thickness / Math.cos(slope) + (eave.points === 'down' ? 0 : rafter.depth * Math.sin(slope))
  }
  return { from: room('south') - HAIR, to: building.footprint.width - room('north') + HAIR }
}

/** The end rafters of a gable wall to run up behind; null where its studs are to end under them. */
export function behindOf(
  building: Building,
  side: SideName,
  stud: Section,
  rafter: Section,
  roof: RoofLines,
  rows: readonly Stretch[],
): Behind | null {
  if (building.walls.gables !== 'notched' || notchProblem(building, side, stud, rafter, roof)) return null
  return {
    rafter,
    rows,
    clear: clearOfEaves(building, rafter, roof),
  }
}

/**
 * The cuts of a stud that runs up behind the end rafter on its slope, to the level that the wall's cover
 * reaches; null of one under the ridge.
 */
function notched(
  { footprint }: Building,
  wall: Wall,
  at: Stretch,
  line: Profile,
  { thickness }: Section,
): { readonly top: number; readonly cuts: readonly BuildingCut[] } | null {
  const { hanging } = line
  const [run, ...more] = runsOver(line, at)
  if (!run || more.length || (hanging && at.from < hanging.to && at.to > hanging.from)) return null
  const face =
    wall.outside === 'low'
      ? planeAcross('x', thickness)
      : flip(planeAcross('x', footprint.length - thickness))
  return {
    top: Math.max(coverLevel(line, at.from), coverLevel(line, at.to)),
    cuts: [
      // beside a knee the slopes meet elsewhere than their rafters' lower edges
      ...line.runs
        .filter((each, i) => each === run || overlap(stretchOf(line, i, 'top'), at))
        .map(each => ({ kind: 'end' as const, name: 'slope' as const, plane: each.top })),
      {
        kind: 'notch',
        name: 'housing',
        sides: [
          { name: 'slope', plane: flip(run.under) },
          { name: 'plumb', plane: face },
        ],
      },
    ],
  }
}

/** What fills a gable: its studs and the boards of its openings, and what of those can't be. */
export interface GableFrame {
  readonly boards: readonly WallBoard[]
  readonly rough: readonly RoughOpening[]
  readonly problems: readonly Problem[]
}

/** A gable wall, and what its studs run up to and stand on. */
export interface GableAsk {
  readonly building: Building
  readonly wall: Wall
  readonly stud: Section
  readonly section: (name: string) => Section
  readonly lines: StackLines
  readonly line: Profile
  readonly behind: Behind | null
  readonly chord: EndChord | null
  /** Where along the wall they are clear of what stands over the eave walls beside the end rafters. */
  readonly clear: Stretch
}

/**
 * Studs of a gable, on the wall's own layout so that each stands over a stud below, from the wall's top plate
 * up to the end rafters, each cut by their lower edges, and one under the ridge by the ridge's end; notched
 * ones run on behind the end rafters, where those are given, beside the ridge. Openings over the plate are
 * framed among them as in any wall.
 */
export function gableFrame(ask: GableAsk): GableFrame {
  const { building, wall, stud, lines, line, behind, chord, section } = ask
  const t = stud.thickness
  const clear: Clear = {
    bottom: wall.height,
    floor: chord?.top ?? wall.height,
    under: 'rafters',
    top: rakedTop({ rafters: line, studs: line, gap: null }),
  }
  const { rough, problems } = openingsIn(building, { ...wall, tees: [] }, stud, clear, [], section, opening =>
    liesInGable(building, wall, opening),
  )
  const taken = [
    ...rough.map(each => takenBy(each, t)),
    ...(chord?.post ? [chord.post] : []),
    { from: -Infinity, to: ask.clear.from },
    { from: ask.clear.to, to: Infinity },
  ]
  const studs = gablePlaces(building, wall, stud, lines, line).flatMap((at, i): WallBoard[] => {
    const foot = heightAt(wall, (at.from + at.to) / 2)
    const { shorter, longer, cuts } = endingUnder(at, line)
    if (!hasFoot(building, wall, at) || shorter - foot < least.gableStud) return []
    if (taken.some(each => overlap(each, at))) return []
    const tongue = behind && runsBehind(behind, at) ? notched(building, wall, at, line, behind.rafter) : null
    const made: WallBoard = {
      ...upright(stud, 'gable-stud', ofGable(wall.name, 'stud', i + 1), at.from, {
        from: foot,
        to: tongue ? tongue.top : longer,
      }),
      open: true,
      cuts: tongue ? tongue.cuts : cuts,
    }
    return aboutChord(ask, made).filter(({ open, z }) => !open || shorter - z.from >= least.gableStud)
  })
  const layout = layoutOf(building, wall, lines)
  return {
    rough,
    problems,
    boards: [
      ...studs,
      ...rough
        .flatMap(each => openingBoards(wall, stud, clear, each, rough, layout))
        .flatMap(each => aboutChord(ask, each)),
    ],
  }
}

/**
 * What of an end truss lies on a gable wall's plates: how far in from the wall's outside its bottom chord and
 * what is on its face reach, its lower edge and its top above the deck, and where its end post stands along
 * the wall; mm.
 */
export interface EndChord {
  readonly in: number
  readonly low: number
  readonly top: number
  readonly post: Stretch | null
}

/**
 * A board that stands on a gable wall's plates, about the bottom chord of its end truss: notched over it at
 * its foot, or where it passes it on a wall lower than the chord. About one nearly as thick as itself it is
 * parted: what stands on the chord, and what stands under it.
 */
function aboutChord({ building, wall, stud, chord }: GableAsk, board: WallBoard): WallBoard[] {
  if (!chord || board.runs !== 'up' || board.z.from > chord.top - HAIR) return [board]
  const { where, z } = board
  const passes = chord.low - z.from >= least.gableStud
  if (chord.in <= stud.depth - least.notchedStud)
    return [{ ...board, cuts: [...(board.cuts ?? []), overChord(building, wall, chord, passes)] }]
  const under: WallBoard = {
    ...board,
    where: { ...where, run: [...where.run, 'low'] },
    z: { from: z.from, to: chord.low },
    cuts: [],
    open: false,
  }
  return [...(passes ? [under] : []), { ...board, z: { from: chord.top, to: z.to } }]
}

/** The notch at a stud's foot over the bottom chord of an end truss; or where the stud `passes` that. */
function overChord({ footprint }: Building, wall: Wall, chord: EndChord, passes: boolean): BuildingCut {
  const face =
    wall.outside === 'low' ? planeAcross('x', chord.in) : flip(planeAcross('x', footprint.length - chord.in))
  return {
    kind: 'notch',
    name: 'housing',
    sides: [
      { name: 'level', plane: planeAcross('z', chord.top) },
      ...(passes ? [{ name: 'level' as const, plane: flip(planeAcross('z', chord.low)) }] : []),
      { name: 'plumb', plane: face },
    ],
  }
}

/** Where studs of a gable may stand: the layout's places clear of its ends and of what parts it. */
function gablePlaces(
  building: Building,
  wall: Wall,
  stud: Section,
  lines: StackLines,
  line: Profile,
): Stretch[] {
  const t = stud.thickness
  const { roof } = building
  const ends =
    levelAllRound(building) && !wall.step ? { from: 0, to: wall.overall } : { from: wall.from, to: wall.to }
  const house = (['south', 'north'] as const)
    .filter(side => roof.has.house === side)
    .map((side): Stretch =>
      side === 'south' ? { from: 0, to: t } : { from: wall.overall - t, to: wall.overall },
    )
  const posts = (roof.beam || roof.raised) && line.hanging ? uprightUnder(line.hanging, t) : []
  return withLayout([...house, ...posts], layoutOf(building, { ...wall, ...ends }, lines), t).filter(
    each =>
      (house.includes(each) || (each.from > ends.from + HAIR && each.to < ends.to - HAIR)) &&
      !(line.apart && each.from < line.apart.to - HAIR && each.to > line.apart.from + HAIR),
  )
}

/**
 * Whether a stud has a level foot: none stands where a wedge lies on the eave wall's plate, or across a step,
 * where one runs up beside it.
 */
function hasFoot({ roof, footprint, bearings }: Building, wall: Wall, at: Stretch): boolean {
  const { south, north } = bearings
  if (roof.seat.rule === 'wedge' && (at.from < south || at.to > footprint.width - north)) return false
  const foot = heightAt(wall, (at.from + at.to) / 2)
  return foot === heightAt(wall, at.from) && foot === heightAt(wall, at.to)
}

/**
 * Whether a stud may run up behind the end rafter: clear of blocks over the plates and between the rafters.
 */
const runsBehind = ({ clear, rows }: Behind, at: Stretch): boolean =>
  at.from > clear.from &&
  at.to < clear.to &&
  !rows.some(row => row.from < at.to - HAIR && row.to > at.from + HAIR)
