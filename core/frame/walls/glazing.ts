import { type Building, isGlazed, isSide, sidingOn } from '../../design'
import { flip, type Plane, planeAcross, planeAt, scale } from '../../geometry'
import { breaksOf, levelUnder, type Problem, type Profile } from '../../lines'
import { paneSection, type Section } from '../../lumber'
import { HAIR } from '../../measure'
import { gaps, least, type Stretch } from '../../trade'
import type { BuildingCut, Order } from '../member'
import { ofGable, ofWall } from '../place'
import { piecesAbout } from '../pieces-about'
import { grown, type Rect } from '../rect'
import type { SectionOf } from '../sections'
import { baysOf, beside, hangingIn } from './bays'
import { crosses } from './between-posts'
import { faceBoard, type WallBoard, wallPoint } from './board'
import type { CoverAsk } from './cover'
import { type Pane, slopesOver } from './pane'
import { acrossOf, slantedOrder } from './slanted-board'
import { fillers, isTight } from './tight-bays'
import { besideOf, heightAt, type Wall } from './wall'

/** Panes in a wall with the stops that hold them, the grooves in its boards, and what is wrong with them. */
export interface Glazed {
  readonly orders: readonly Order[]
  /** What is cut into boards that panes are let into. */
  readonly grooves: ReadonlyMap<WallBoard, readonly BuildingCut[]>
  readonly problems: readonly Problem[]
}

export const unglazed: Glazed = { orders: [], grooves: new Map(), problems: [] }

/**
 * Glazes the bays of a wall and its gable that ask for it: a pane in each, a stop's thickness in from the
 * outside, between stops all round or let into grooves of studs and plates; along a slope always between
 * stops.
 */
export function glazeWall(ask: CoverAsk, section: SectionOf): Glazed {
  const { building, framed, gable, stud } = ask
  const { walls } = building
  const { wall } = framed
  const { name } = wall
  if (!isSide(name)) return unglazed
  const [own, over] = [sidingOn(walls, name, 'wall'), sidingOn(walls, name, 'gable')]
  if (own?.siding.kind !== 'glazed' && over?.siding.kind !== 'glazed') return unglazed
  const refused = refusedAs(ask)
  if (refused && refused.code !== 'glazed-truss') return { ...unglazed, problems: [refused] }
  const boards = [...framed.boards, ...(gable?.studs ?? []), ...ask.posts]
  const rough = [...framed.rough, ...(gable?.rough ?? [])]
  const [low, high] = besideOf(wall).map(side => building.heights[side])
  const panes = baysOf(
    wall,
    boards,
    rough,
    gable?.line ?? null,
    {
      low: Math.max(heightAt(wall, wall.from), low ?? 0),
      high: Math.max(heightAt(wall, wall.to), high ?? 0),
    },
    wall.raked || walls.sides[name].build === 'posts' ? 0 : walls.topPlates * stud.thickness,
  )
    .filter(({ rect }) => !rough.some(each => liesIn(rect, each)))
    .flatMap((bay): Pane[] => {
      const found = bay.inGable ? (refused ? null : over) : own
      return found?.siding.kind === 'glazed'
        ? [{ ...bay, as: found.siding, path: found.path, stop: section(found.siding.stop) }]
        : []
    })
  const holes = gable ? [...hangingIn(gable.line), ...wedgesIn(building, wall, gable.line)] : []
  const grooves = new Map<WallBoard, BuildingCut[]>()
  const crossed = panes.filter(({ rect, as }) =>
    framed.braced.some(brace => crosses(brace, grown(rect, as.held === 'grooves' ? as.deep : 0))),
  )
  const laid = panes.filter(pane => pane.as.thickness < roomFor(pane, stud) + HAIR && !crossed.includes(pane))
  const orders = laid.flatMap((pane, i) =>
    isTight(pane)
      ? fillers(wall, stud, pane, i + 1, holes)
      : [
          ...paneOrders(wall, stud, pane, i + 1, holes, groove(wall, stud, pane, boards, grooves)),
          ...stopOrders(wall, stud, pane, i + 1, holes),
        ],
  )
  const [first] = crossed
  return {
    orders,
    grooves,
    problems: [
      ...(refused ? [refused] : []),
      ...(first
        ? [{ code: 'glazed-crossed', path: first.path, side: name, bays: crossed.length } as const]
        : []),
      ...problemsOf(
        panes.filter(pane => !isTight(pane)),
        stud,
      ),
    ],
  }
}

/** Where the wedges under end rafters stand in an end wall's gable: nothing is glazed there. */
function wedgesIn({ roof, heights, bearings, footprint }: Building, wall: Wall, line: Profile): Rect[] {
  if (roof.seat.rule !== 'wedge' || wall.along !== 'y') return []
  return roof.has.falls.flatMap((side): Rect[] => {
    if (side !== 'south' && side !== 'north') return []
    const inner = side === 'south' ? bearings.south : footprint.width - bearings.north
    const [x0, x1] = side === 'south' ? [0, inner] : [inner, footprint.width]
    return [{ x0, x1, y0: heights[side], y1: levelUnder(line, inner) }]
  })
}

const liesIn = ({ x0, x1, y0, y1 }: Rect, { s, z }: { readonly s: Stretch; readonly z: Stretch }): boolean =>
  x0 > s.from - HAIR && x1 < s.to + HAIR && y0 > z.from - HAIR && y1 < z.to + HAIR

/** Why a wall can't be glazed at all. */
function refusedAs(ask: CoverAsk): Problem | null {
  const {
    building,
    framed: { wall },
  } = ask
  const { walls } = building
  const { name } = wall
  if (!isSide(name)) return null
  const [own, over] = [isGlazed(walls, name, 'wall'), isGlazed(walls, name, 'gable')]
  const path = sidingOn(walls, name, own ? 'wall' : 'gable')?.path ?? 'walls.siding'
  if (walls.bracing === 'let-in' && walls.sides[name].build === 'studs')
    return { code: 'glazed-braced', path: 'walls.bracing' }
  if (wall.raked && own !== over) return { code: 'glazed-raked', path, side: name }
  const gable = sidingOn(walls, name, 'gable')
  return gable && over && ask.gable && building.roof.truss
    ? { code: 'glazed-truss', path: gable.path, side: name }
    : null
}

/** The thickest that a pane may be for a stop, or wood beside its groove, to hold it inside; mm. */
const roomFor = ({ as, stop }: Pane, stud: Section): number =>
  stud.depth - stop.thickness - (as.held === 'grooves' ? least.besideGroove : stop.thickness)

/** Why panes can't be as asked: too thick for the wall, grooves too deep, or larger than they are sold. */
function problemsOf(panes: readonly Pane[], stud: Section): Problem[] {
  return [...new Map(panes.map(pane => [pane.path, pane])).values()].flatMap(pane => {
    const { as, path } = pane
    const own = panes.filter(each => each.path === path)
    const room = roomFor(pane, stud)
    const deep = (stud.thickness - least.besideGroove) / 2
    const play = as.held === 'grooves' ? 2 * Math.max(0, as.deep - gaps.panelPlay) : -2 * gaps.panelPlay
    const wide = Math.max(...own.map(({ rect }) => rect.x1 - rect.x0)) + play
    const high = Math.max(...own.map(({ rect }) => rect.y1 - rect.y0)) + play
    return [
      ...(as.thickness > room + HAIR
        ? [{ code: 'glazed-thick', path: `${path}.thickness`, most: room } as const]
        : []),
      ...(as.held === 'grooves' && as.deep > deep + HAIR
        ? [{ code: 'glazed-deep', path: `${path}.deep`, most: deep } as const]
        : []),
      ...(wide > as.width + HAIR
        ? [{ code: 'glazed-wide', path: `${path}.width`, least: wide } as const]
        : []),
      ...(high > as.longest + HAIR
        ? [{ code: 'glazed-tall', path: `${path}.longest`, least: high } as const]
        : []),
    ]
  })
}

/** Of what several walls say of one field the one that solves all of it. */
export function oncePerField(problems: readonly Problem[]): Problem[] {
  const kept = new Map<string, Problem>()
  for (const problem of problems) {
    const key = `${problem.code} ${problem.path}`
    const known = kept.get(key)
    kept.set(key, known && asksMore(known, problem) ? known : problem)
  }
  return [...kept.values()]
}

const asksMore = (a: Problem, b: Problem): boolean =>
  'least' in a && 'least' in b
    ? (a.least ?? 0) >= (b.least ?? 0)
    : !('most' in a && 'most' in b) || (a.most ?? 0) <= (b.most ?? 0)

/** How far a pane reaches past each edge of its bay into a groove; less than nothing where it is clear. */
type Let = Readonly<Record<'low' | 'high' | 'foot' | 'top', number>>

/** Lets a pane into the boards about its bay, and adds their grooves to what is cut into them. */
function groove(
  wall: Wall,
  stud: Section,
  { as, rect, line, stop }: Pane,
  boards: readonly WallBoard[],
  grooves: Map<WallBoard, BuildingCut[]>,
): Let {
  const clear = -gaps.panelPlay
  if (as.held === 'stops') return { low: clear, high: clear, foot: clear, top: clear }
  const floors = {
    low: flip(planeAcross(wall.along, rect.x0 - as.deep)),
    high: planeAcross(wall.along, rect.x1 + as.deep),
    foot: flip(planeAcross('z', rect.y0 - as.deep)),
    top: planeAcross('z', rect.y1 + as.deep),
  }
  const faces = facesOf(wall, stud, stop.thickness, as.thickness)
  const into = (edge: keyof Let): number => {
    const found = edge === 'top' && line ? [] : beside(boards, rect, edge)
    for (const board of found) {
      const cuts = grooves.get(board) ?? []
      const sides = [floors[edge], ...faces]
      const same = cuts.some(
        each => each.kind === 'notch' && each.sides[0] && samePlane(each.sides[0].plane, sides[0]),
      )
      if (!same)
        grooves.set(board, [
          ...cuts,
          {
            kind: 'notch',
            name: 'housing',
            sides: sides.map(plane => ({ name: 'housing' as const, plane })),
          },
        ])
    }
    return found.length ? as.deep - Math.min(gaps.panelPlay, as.deep / 2) : clear
  }
  return { low: into('low'), high: into('high'), foot: into('foot'), top: into('top') }
}

const samePlane = (a: Plane, b: Plane | undefined): boolean =>
  b !== undefined &&
  Math.abs(a.offset - b.offset) < HAIR &&
  a.normal.x === b.normal.x &&
  a.normal.y === b.normal.y &&
  a.normal.z === b.normal.z

/** The planes that a groove lies between, `over` in from a wall's outside and so wide. */
function facesOf(wall: Wall, stud: Section, over: number, wide: number): Plane[] {
  const out = scale(acrossOf(wall), wall.outside === 'low' ? -1 : 1)
  const at = (deep: number) => wallPoint(wall, 0, wall.outside === 'low' ? deep : stud.depth - deep, 0)
  return [planeAt(at(over), out), planeAt(at(over + wide), scale(out, -1))]
}

/** The pane of a bay, in as many pieces as what comes down into it leaves. */
function paneOrders(
  wall: Wall,
  stud: Section,
  { as, rect, line, inGable, stop }: Pane,
  number: number,
  holes: readonly Rect[],
  let_: Let,
): Order[] {
  const whole = {
    x0: rect.x0 - let_.low,
    x1: rect.x1 + let_.high,
    y0: rect.y0 - let_.foot,
    y1: rect.y1 + (line ? 0 : let_.top),
  }
  return piecesAbout(whole, holes).map((piece, i) =>
    faceBoard(
      { wall, deep: stud.depth, over: -(stop.thickness + as.thickness) },
      {
        where: (inGable ? ofGable : ofWall)(wall.name, 'pane', number, ...(i ? [i + 1] : [])),
        role: 'pane',
        section: paneSection(as),
        way: 'upright',
        cuts: line ? slopesOver(line, rect, gaps.panelPlay) : [],
        ...piece,
      },
    ),
  )
}

/** The stops of a bay outside and inside its pane: all round, or where that is in grooves along a slope. */
function stopOrders(wall: Wall, stud: Section, pane: Pane, number: number, holes: readonly Rect[]): Order[] {
  const { as, stop } = pane
  const place = (name: string, ...run: number[]) =>
    (pane.inGable ? ofGable : ofWall)(wall.name, name, number, ...run)
  return (['outer', 'inner'] as const).flatMap(name => {
    const over = name === 'outer' ? 0 : stop.thickness + as.thickness
    return [
      ...(as.held === 'stops' ? squareStops(wall, stud, pane, over, place, name, holes) : []),
      ...(pane.line ? slopeStops(wall, stud, pane, pane.line, over, place, name, holes) : []),
    ]
  })
}

type PlaceOf = (name: string, ...run: number[]) => Order['where']

/** Level stops along foot and top, and upright ones between them or under a slope's. */
function squareStops(
  wall: Wall,
  stud: Section,
  { rect, line, stop }: Pane,
  over: number,
  place: PlaceOf,
  name: 'outer' | 'inner',
  holes: readonly Rect[],
): Order[] {
  const face = { wall, deep: stud.depth, over: -(over + stop.thickness) }
  const wide = stop.depth
  const order = (number: number, way: 'level' | 'upright', own: Rect, cuts: readonly BuildingCut[]) =>
    own.x1 - own.x0 < least.piece || own.y1 - own.y0 < least.piece
      ? []
      : piecesAbout(own, holes).map((piece, i) =>
          faceBoard(face, {
            where: place(`${name}-stop`, number, ...(i ? [i + 1] : [])),
            role: 'pane-stop',
            section: stop,
            ...{ way, cuts },
            ...piece,
          }),
        )
  const top = line ? rect.y1 : rect.y1 - wide
  const upright = (number: number, x0: number): Order[] => {
    const high = line ? Math.max(levelUnder(line, x0), levelUnder(line, x0 + wide)) : top
    return order(
      number,
      'upright',
      { x0, x1: x0 + wide, y0: rect.y0 + wide, y1: Math.min(top, high) },
      line ? slopesOver(line, rect, wide) : [],
    )
  }
  // under a point of a slope no stop stands
  const tall = (at: number): boolean => !line || levelUnder(line, at) - rect.y0 > 2.5 * wide + least.piece
  return [
    ...order(1, 'level', { ...rect, y1: rect.y0 + wide }, line ? slopesOver(line, rect, 0) : []),
    ...(line ? [] : order(2, 'level', { ...rect, y0: top }, [])),
    ...(tall(rect.x0 + wide / 2) ? upright(3, rect.x0) : []),
    ...(tall(rect.x1 - wide / 2) ? upright(4, rect.x1 - wide) : []),
  ]
}

/** Stops along the slopes over a bay, from edge to edge of it and plumb where two slopes meet. */
function slopeStops(
  wall: Wall,
  stud: Section,
  { rect, stop, as }: Pane,
  line: Profile,
  over: number,
  place: PlaceOf,
  name: 'outer' | 'inner',
  holes: readonly Rect[],
): Order[] {
  const breaks = [
    rect.x0,
    ...breaksOf(line).filter(at => at > rect.x0 + HAIR && at < rect.x1 - HAIR),
    rect.x1,
  ]
  const across = wall.outside === 'low' ? over : stud.depth - over - stop.thickness
  const foot = rect.y0 + (as.held === 'stops' ? stop.depth : 0)
  return breaks.slice(1).flatMap((to, i): Order[] => {
    const s = sideOf({ from: breaks[i] ?? rect.x0, to }, holes)
    const z = { from: levelUnder(line, s.from + HAIR), to: levelUnder(line, s.to - HAIR) }
    if (s.to - s.from < least.piece || Math.max(z.from, z.to) - foot < stop.depth) return []
    const long = Math.hypot(s.to - s.from, z.to - z.from)
    const down = {
      s: ((z.to - z.from) / long) * (stop.depth / 2),
      z: -((s.to - s.from) / long) * (stop.depth / 2),
    }
    return [
      slantedOrder(
        wall,
        {
          from: { s: s.from + down.s, z: z.from + down.z },
          to: { s: s.to + down.s, z: z.to + down.z },
        },
        stop,
        across,
        place(`${name}-slope-stop`, i + 1),
        'pane-stop',
        [
          { kind: 'end', name: 'plumb', plane: flip(planeAcross(wall.along, s.from)) },
          { kind: 'end', name: 'plumb', plane: planeAcross(wall.along, s.to) },
          ...(Math.min(z.from, z.to) - stop.depth * 2 < foot
            ? [{ kind: 'end', name: 'level', plane: flip(planeAcross('z', foot)) } as const]
            : []),
        ],
      ),
    ]
  })
}

/** What of a stretch is beside what comes down into a gable. */
function sideOf({ from, to }: Stretch, holes: readonly Rect[]): Stretch {
  const hole = holes.find(({ x0, x1 }) => x0 < to - HAIR && x1 > from + HAIR)
  if (!hole) return { from, to }
  return hole.x0 - from > to - hole.x1 ? { from, to: hole.x0 } : { from: hole.x1, to }
}

/** Boards with the grooves that panes are let into. */
export const grooved = ({ grooves }: Glazed, boards: readonly WallBoard[]): WallBoard[] =>
  boards.map(board => {
    const own = grooves.get(board)
    return own ? { ...board, cuts: [...(board.cuts ?? []), ...own] } : board
  })
