import { isInGable, ofWall } from '../place'
import type { CoverAsk } from './cover'
import {
  type Eave,
  eaveOver,
  levelOver,
  levelUnder,
  loweredLines,
  type Problem,
  type Profile,
  type RoofLines,
} from '../../lines'
import { least, middleOf, type Stretch } from '../../trade'
import { HAIR } from '../../measure'
import { type Building, hasSheets, isSide, type SideName, sideNames, usualSheathing } from '../../design'
import { meets, vec } from '../../geometry'
import type { Section } from '../../lumber'
import type { Order } from '../member'
import { later } from '../later'
import type { Memory } from '../memory'
import { blocksOnPosts } from '../roof'
import { aboutBraces } from './between-posts'
import { upright, type WallBoard, wallOrder } from './board'
import { lineOver } from './end-line'
import { type Braced as BracedWall, braceWall } from './bracing'
import { behindOf, clearOfEaves, type EndChord, gableFrame, type GableFrame } from './gable-studs'
import type { RoughOpening } from './rough-opening'
import type { StackLines } from './places'
import { coverPosts, sheatheWall } from './sheathing'
import { coverOnBolted, postsBack } from './post-places'
import { slatWall, underBolted } from './slats'
import { glazeWall, grooved, oncePerField, unglazed } from './glazing'
import { nailersBehind } from './nailers'
import { skinBeside, type SkinLumber, skinOrders, skinProblems } from './skins'
import type { PerWall } from './wall'
import type { FramedWall } from './walls'

/** Sections and lines of the building that walls are finished with. */
export interface FinishAsk {
  readonly building: Building
  readonly section: (name: string) => Section
  readonly stud: Section
  readonly brace: Section
  readonly slat: Section
  readonly skin: SkinLumber
  readonly rafter: Section
  /** How far end trusses lie under the others, square to the faces, mm. */
  readonly endDrop: number
  /** Of trusses with bottom chords. */
  readonly bottom: { readonly low: number; readonly depth: number } | null
  /** How far in from a high wall's outside trusses' end posts reach, mm. */
  readonly postDepth: number
  readonly lines: StackLines
  readonly memory: Memory
  readonly roof: RoofLines
  /** How high a board across the inside of a high wall may reach under a ledger for ceiling joists, mm. */
  readonly underLedger: number
  /** What rows of blocks between the rafters take across the building. */
  readonly rows: readonly Stretch[]
  /** The line of the end rafters. */
  readonly line: Profile
  /** Whether the roof could be framed. */
  readonly framed: boolean
  /** How far below the deck a wall's sheets may reach, mm. */
  readonly drop: (wall: SideName) => number
}

/** The walls finished, each when something of it is first asked for. */
export interface FinishedWalls {
  /** All boards of the walls, gables and sheets; those of the walls between the gables. */
  readonly orders: () => readonly Order[]
  readonly betweenGables: () => readonly Order[]
  /** Siding and trim over the sheets. */
  readonly skins: () => readonly Order[]
  /** Openings of the gables, by their wall. */
  readonly openings: () => PerWall<readonly RoughOpening[]>
  readonly problems: () => readonly Problem[]
  /** Plumb joints of each wall's sheets with no stud behind them, and its diagonals. */
  readonly loose: () => Readonly<Record<SideName, number>>
  readonly braces: () => Readonly<Record<SideName, number>>
}

/**
 * Puts on the framed walls what needs the roof: gable studs, diagonals, sheets and the blocks behind their
 * joints.
 */
export function finishWalls(ask: FinishAsk, framed: readonly FramedWall[]): FinishedWalls {
  const walls = framed.map(each => ({
    wall: each.wall,
    made: later(() =>
      ask.memory.last(`finished/${each.wall.name}`, argumentsOf(ask, each), () => finishWall(ask, each)),
    ),
  }))
  const bySide = <T>(of: (made: FinishedWall) => T, without: T): Record<SideName, T> => {
    const found = { south: without, east: without, north: without, west: without }
    for (const { wall, made } of walls) if (isSide(wall.name)) found[wall.name] = of(made())
    return found
  }
  return {
    orders: () => walls.flatMap(({ made }) => made().orders),
    betweenGables: () =>
      walls
        .filter(({ wall }) => wall.along === 'x' || !isSide(wall.name))
        .flatMap(({ made }) => made().orders),
    skins: () => walls.flatMap(({ made }) => made().skin()),
    openings: () => bySide(({ rough }) => rough, []),
    problems: () => [
      ...letInProblem(ask),
      ...skinProblems(ask.building, ask.skin),
      ...walls.flatMap(({ made }) => made().problems),
      ...oncePerField(walls.flatMap(({ made }) => made().glazing)),
    ],
    loose: () => bySide(({ loose }) => loose, 0),
    braces: () => bySide(({ braces }) => braces, 0),
  }
}

/** What is put on one wall, its loose joints and its diagonals, and the openings over it. */
interface FinishedWall extends Pick<GableFrame, 'rough' | 'problems'> {
  /** What is wrong with its panes, which may be asked for with others'. */
  readonly glazing: readonly Problem[]
  readonly orders: readonly Order[]
  readonly skin: () => readonly Order[]
  readonly loose: number
  readonly braces: number
}

/** All that a wall is finished by: what is the same as the last time is the same object. */
function argumentsOf(ask: FinishAsk, framed: FramedWall): readonly unknown[] {
  const { building } = ask
  const { walls, roof } = building
  const { name, along } = framed.wall
  if (!isSide(name)) return [framed]
  const { sheathing, slats, gables, bracing, longest, spacing, stack, topPlates, corner, stud, posts } = walls
  const over = along === 'y' ? [ask.roof, ask.line, ask.rows] : []
  return [
    framed,
    walls.sides[name],
    ...skinBeside(building, framed.wall),
    ...[walls.siding, walls.trim, roof.ends, roof.soffit, roof.tail, roof.tails],
    ...[sheathing, slats, gables, bracing, longest, spacing, stack, topPlates, corner, stud, posts],
    ...[building.footprint, building.heights, building.base, building.lumber, building.depths],
    ...[roof.overhang, roof.seat, roof.blocking, roof.beam, roof.raised, roof.has],
    ...[
      ask.endDrop,
      ask.bottom,
      ask.postDepth,
      roof.truss,
      ask.framed,
      ask.underLedger,
      ask.drop(name),
      roof.rafter,
    ],
    eaveOf(ask, name),
    along === 'y' ? walls.openings : null,
    ...over,
    ask.lines,
  ]
}

function finishWall(all: FinishAsk, each: FramedWall): FinishedWall {
  const ask = { ...all, line: lineOver(all.building, all.line, each.wall) }
  const { name } = each.wall
  const orderOf = (board: WallBoard): Order =>
    ask.memory.of('order', board, () => wallOrder(each.wall, board))
  if (!isSide(name))
    return {
      orders: each.boards.map(orderOf),
      skin: () => [],
      loose: 0,
      braces: 0,
      rough: [],
      problems: [],
      glazing: [],
    }
  const gable = gableOf(ask, each)
  const { build, cover } = ask.building.walls.sides[name]
  const toCover: CoverAsk = {
    ...ask,
    sheathing: ask.building.walls.sheathing ?? {
      ...usualSheathing.imperial,
      thickness: ask.slat.thickness,
    },
    framed: each,
    drop: ask.drop(name),
    gable,
    posts: postsOver(ask, each),
    eave: eaveOf({ ...ask, roof: ask.endDrop ? loweredLines(ask.roof, ask.endDrop) : ask.roof }, name),
  }
  // over a side of posts the end posts of trusses are covered alone
  const covered =
    cover === 'sheets' && ask.building.walls.sheathing && !coverOnBolted(ask.building, each.wall)
      ? (hasSheets(ask.building.walls, name) ? sheatheWall : coverPosts)(toCover)
      : { sheets: [], blocks: [], loose: 0 }
  const slats = cover === 'slats' ? slatsOn(ask, toCover) : []
  const inGable = ({ where }: WallBoard): boolean => isInGable(where)
  const glazed = coverOnBolted(ask.building, each.wall) ? unglazed : glazeWall(toCover, ask.section)
  const blocks = covered.blocks
    .filter(block => !inGable(block))
    .flatMap(block => aboutBraces(each.wall, block, each.braced))
  const nailers = coverOnBolted(ask.building, each.wall) ? [] : nailersBehind(toCover)
  const behind = nailers
    .filter(block => !inGable(block))
    .flatMap(block => aboutBraces(each.wall, block, each.braced))
  const boards = grooved(glazed, [...each.boards, ...blocks, ...behind])
  const { bracing } = ask.building.walls
  const braced: BracedWall =
    bracing === 'none' || build === 'posts' || letInProblem(ask).length
      ? { orders: [], boards, plates: each.raked?.plates ?? [] }
      : braceWall({ ...each, boards }, ask.stud, ask.brace, bracing, insideLimit(ask, name))
  const above: readonly WallBoard[] = [
    ...grooved(glazed, gable?.studs ?? []),
    ...[...covered.blocks, ...nailers].filter(inGable),
  ]
  return {
    rough: gable?.rough ?? [],
    problems: gable?.problems ?? [],
    glazing: glazed.problems,
    loose: covered.loose,
    braces: braced.orders.length,
    skin: later(() =>
      cover === 'sheets' && !coverOnBolted(ask.building, each.wall)
        ? [
            ...skinOrders(toCover, ask.skin, ask.framed && !eaveOf(ask, name) ? ask.line : null),
            ...glazed.orders,
          ]
        : [],
    ),
    orders: [
      ...[...braced.boards, ...above].map(orderOf),
      ...each.braced.map(({ order }) => order),
      ...braced.plates.map(plate => plate.order),
      ...braced.orders,
      ...covered.sheets,
      ...slats,
    ],
  }
}

/** Slats over a wall: on the posts' own faces where their beam is bolted to them. */
function slatsOn(ask: FinishAsk, all: CoverAsk): Order[] {
  const { building, slat } = ask
  const { wall } = all.framed
  const cover = { ...all, sheathing: { ...all.sheathing, thickness: slat.thickness } }
  const { gap } = building.walls.slats
  const { longest } = building.walls
  if (!coverOnBolted(building, wall)) return slatWall(cover, slat, gap, longest)
  const under = underBolted(cover, postsBack(building, ask.skin.section))
  return under ? slatWall(under.ask, slat, gap, longest, under.face) : []
}

/** Why boards can't be let into the studs: too little would be left of them. */
function letInProblem({ building: { walls }, stud, brace }: FinishAsk): Problem[] {
  const deep = brace.thickness + least.notchedStud
  const studs = sideNames.some(side => walls.sides[side].build === 'studs')
  return walls.bracing === 'let-in' && studs && stud.depth < deep - HAIR
    ? [
        {
          code: 'brace-let-in',
          path: 'walls.stud',
          least: deep,
          left: Math.max(0, stud.depth - brace.thickness),
        },
      ]
    : []
}

const EVERYWHERE: Stretch = { from: -Infinity, to: Infinity }

/** The bottom chord of the end trusses over the gables; null where they have none. */
function endChord({ building, roof, rafter, stud, bottom, postDepth }: FinishAsk): EndChord | null {
  const { truss } = building.roof
  const { width } = building.footprint
  // blocks behind what covers the high wall lie beside it too
  const deep = Math.max(postDepth, stud.thickness)
  const high = (['south', 'north'] as const).find(side => eaveOver(roof, side)?.onPosts)
  return bottom && truss
    ? {
        in: rafter.thickness + truss.gusset.thickness,
        low: bottom.low,
        top: bottom.low + bottom.depth,
        post:
          high === undefined
            ? null
            : high === 'south'
              ? { from: 0, to: deep }
              : { from: width - deep, to: width },
      }
    : null
}

/**
 * What of trusses a wall's cover is nailed to, gussets on their faces and all: their end posts over a high
 * wall; over a gable the end truss's bottom chord and its end post.
 */
function postsOver(ask: FinishAsk, { wall }: FramedWall): readonly WallBoard[] {
  const { building, stud, line } = ask
  const { truss } = building.roof
  if (!truss || !isSide(wall.name)) return []
  const post = (number: number, section: Section, s: Stretch, z: Stretch, across: number): WallBoard => ({
    ...upright(section, 'stud', ofWall(wall.name, 'post', number), s.from, z),
    s,
    across,
  })
  const eave = eaveOf(ask, wall.name)
  const { thickness: plate } = truss.gusset
  if (eave?.onPosts) {
    const z = { from: wall.height - stud.thickness, to: levelOver(eave.face.top, eave.outside) }
    const posts = eave.rafters.map(({ from, to }, i) =>
      post(i + 1, stud, { from: from - plate, to: to + plate }, z, 0),
    )
    const over = blocksOnPosts(building, ask.rafter, eave)
    // blocks under the roof lie behind the sheets as a plate does
    return over
      ? [
          ...posts,
          { ...post(0, stud, { from: 0, to: wall.overall }, over, 0), runs: 'along', wide: 'across' },
        ]
      : posts
  }
  const chord = eave ? null : endChord(ask)
  if (!chord) return []
  const across = wall.outside === 'low' ? 0 : stud.depth - chord.in
  const lying: WallBoard = {
    where: ofWall(wall.name, 'chord'),
    role: 'bottom-chord',
    section: { ...stud, thickness: chord.in, depth: chord.top - chord.low },
    runs: 'along',
    wide: 'up',
    s: { from: 0, to: wall.overall },
    z: { from: chord.low, to: chord.top },
    across,
  }
  if (!chord.post) return [lying]
  const z = { from: chord.top, to: levelUnder(line, middleOf(chord.post)) }
  const upended = { ...stud, thickness: chord.post.to - chord.post.from, depth: chord.in }
  return [lying, post(1, upended, chord.post, z, across)]
}

/** The tails over a wall; null where none are, or the roof could not be framed. */
const eaveOf = ({ roof, framed }: FinishAsk, name: SideName): Eave | null =>
  framed ? (eaveOver(roof, name) ?? null) : null

/**
 * How high a board across a wall's inside may reach: under a rafter that runs up over a high wall, its lower
 * edge there, and under a ledger for ceiling joists; mm.
 */
function insideLimit(ask: FinishAsk, name: SideName): number {
  const eave = eaveOf(ask, name)
  if (!eave) return Infinity
  const { heel, outside, face, height } = eave
  const { brace, building } = ask
  if (building.roof.pergola) return height - building.roof.pergola.notch
  const inside = heel.normal.y * heel.offset
  if (heel.normal.x !== 0 || Math.abs(inside - outside.normal.y * outside.offset) < HAIR) return Infinity
  return Math.min(
    ask.underLedger,
    meets(face.carrier.underside, vec(0, inside - outside.normal.y * brace.thickness, 0), vec(0, 0, 1)) ??
      Infinity,
  )
}

/**
 * What stands on a gable wall, and the line it reaches up to; nothing over a raked wall, whose own studs
 * reach there.
 */
function gableOf(
  ask: FinishAsk,
  { wall, raked }: FramedWall,
): (NonNullable<CoverAsk['gable']> & Pick<GableFrame, 'problems'>) | null {
  const { building, stud, section, lines, framed, line } = ask
  if (raked) return { line: raked.rake.studs, studs: [], rough: [], problems: [] }
  if (!isSide(wall.name) || !framed || eaveOf(ask, wall.name) || building.walls.gables === 'open') return null
  const { boards, rough, problems } = gableFrame({
    building,
    wall,
    stud,
    section,
    lines,
    line,
    behind: behindOf(building, wall.name, stud, ask.rafter, ask.roof, ask.rows),
    chord: endChord(ask),
    clear:
      stud.depth > ask.rafter.thickness + HAIR ? clearOfEaves(building, ask.rafter, ask.roof) : EVERYWHERE,
  })
  return boards.length || problems.length ? { line, studs: boards, rough, problems } : null
}
