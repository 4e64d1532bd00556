import type { BearingPartition } from './obstacle'
import { fewestBoards, gaps, least, pliesOf, type Stretch } from '../../trade'
import { type Building, had, hasMouth, heightAbovePlate, lowSide } from '../../design'
import { planeAcross, meets, scale, vec, type Vec3 } from '../../geometry'
import { countUp, HAIR, pitchAngle, radians, TOUCHING } from '../../measure'
import { squareBoard } from '../between'
import type { Order } from '../member'
import type { Problem } from '../../lines'
import { dropOfCover, lookoutCuts } from './ends'
import { partedOrders, roofHeaders, type Standing } from './openings'
import { overEaveWalls, standingOn } from './rafter-places'
import { overCuts, rafterOn, tailed } from './rafter'
import { clear } from './ridge-beam'
import { seatProblems } from './seat'
import { outOf, plumbCut, slopeDatum, standingAt } from './slope'
import type { Eave, RoofDatum, RoofLumber, RoofShape, SlopeDatum } from './shape'

/**
 * Two slopes that don't meet: the lower one's rafters end at a ledger on the faces of a row of posts, the
 * upper one's run up over a header on those posts, a bird's mouth on it as on a high wall, and the strip
 * between ledger and header stays open for light and air. Posts stand on a partition that lies under them, or
 * on the deck; at the ends studs of the gables carry the header.
 */
export const raisedRidge: RoofShape = {
  frame(building, lumber, bearers) {
    const { datum, row } = raisedDatum(building, lumber)
    const problems = problemsOf(building, lumber, datum, row)
    if (problems.some(({ code }) => stops.has(code))) return { datum, problems, orders: [] }
    const standing = {
      south: standingOn(building, lumber.rafter, 'south'),
      north: standingOn(building, lumber.rafter, 'north'),
    }
    const all = [...standing.south, ...standing.north].map(each => each.at)
    const held = rowOrders(building, lumber, datum, row, bearers, all)
    return {
      datum,
      problems: [...problems, ...held.problems],
      orders: [
        ...held.orders,
        ...(['south', 'north'] as const).flatMap(side =>
          rafterOrders(building, lumber, datum, datum.slopes[side], standing[side]),
        ),
      ],
    }
  },
  places: overEaveWalls,
}

/** What leaves nothing to frame. */
const stops: ReadonlySet<Problem['code']> = new Set([
  'strip-off-span',
  'strip-too-low',
  'spacing-too-tight',
  'seat-through-rafter',
  'seat-wants-mouth',
  'ridge-into-wall',
])

/**
 * The row of posts across the building: where they, the header on them and the ledger at their face stand,
 * and the levels of the ledger's top and of the header's lower edge; mm.
 */
interface Row {
  readonly posts: Stretch
  readonly header: Stretch
  readonly ledger: Stretch
  readonly top: number
  readonly under: number
}

function raisedDatum(
  building: Building,
  lumber: RoofLumber,
): { readonly datum: RoofDatum; readonly row: Row } {
  const { rafter, ridge, ply, post, plate } = lumber
  const {
    footprint: { width, length },
    heights,
    roof,
  } = building
  const [lower, upper] = [lowSide(building.roof), roof.high]
  const angles = { south: pitchAngle(roof.pitch), north: pitchAngle(roof.northPitch ?? roof.pitch) }
  const lift = (side: 'south' | 'north'): number =>
    heightAbovePlate(roof.seat, angles[side], rafter.depth, plate.depth)
  const at = had(roof.raised).at
  // level along the way out of the upper slope
  const way = upper === 'north' ? 1 : -1
  const from = (near: number, thick: number): Stretch =>
    way > 0 ? { from: at + near, to: at + near + thick } : { from: at - near - thick, to: at - near }
  const [posts, header, ledger] = [
    from(0, post.depth),
    from(0, ridge.thickness),
    from(-ply.thickness, ply.thickness),
  ]
  const outside = (side: 'south' | 'north'): number => (side === 'south' ? 0 : width)
  const runLow = Math.abs(at - outside(lower)) - ply.thickness
  const runHigh = Math.abs(outside(upper) - at) - ridge.thickness
  const rise = (run: number, side: 'south' | 'north'): number => run * Math.tan(radians(angles[side]))
  const top = heights[lower] + lift(lower) + rise(runLow, lower)
  const seat = heights[upper] + rise(runHigh, upper)
  const over = roof.overhang.high ?? roof.overhang.eave
  const common = (side: 'south' | 'north') => ({
    side,
    angle: angles[side],
    height: heights[side],
    lift: lift(side),
    outside: outside(side),
    reach: roof.overhang.eave,
    depth: rafter.depth,
  })
  const low = slopeDatum({
    ...common(lower),
    ridgeFace: standingAt(scale(outOf[lower], -1), way * at - ply.thickness),
    run: runLow,
  })
  const up = outOf[upper]
  const high: SlopeDatum = {
    ...slopeDatum({ ...common(upper), ridgeFace: null, run: runHigh }),
    over: {
      heel: standingAt(up, way * at + ridge.thickness),
      tail: standingAt(scale(up, -1), over - way * at),
      height: seat,
    },
  }
  const slopes = upper === 'north' ? { south: low, north: high } : { south: high, north: low }
  const reach = { from: -roof.overhang.gable, to: length + roof.overhang.gable }
  const eave = (slope: SlopeDatum): Eave => ({
    slope,
    rafters: standingOn(building, rafter, slope.side).map(each => each.at),
    whole: { from: 0, to: length },
    reach,
    corners: [],
    hip: null,
  })
  const under = seat - ridge.depth
  const highest = meets(high.roofTop, vec(0, at - way * over, 0), vec(0, 0, 1)) ?? seat
  return {
    row: { posts, header, ledger, top, under },
    datum: {
      angle: angles.south,
      slopes,
      eaves: [
        eave(slopes.south),
        eave(slopes.north),
        { ...eave(overStrip(high, scale(up, -1), -way * at)), name: 'strip' },
      ],
      ridgeCentre: planeAcross('y', (header.from + header.to) / 2),
      headEnd: { ...header, bottom: under },
      strip: { at, ledger: { ...ledger, bottom: top - ridge.depth }, clear: { from: top, to: under } },
      meet: at,
      coverDrop: dropOfCover(building, lumber),
      highest,
    },
  }
}

/**
 * The upper slope at its head: its tails over the strip, as those over a high wall, with the header for a
 * plate. `outside` of the strip's face along the way out, mm.
 */
function overStrip(slope: SlopeDatum, out: Vec3, outside: number): SlopeDatum {
  const { over, roofTop } = slope
  if (!over) return slope
  const face = standingAt(out, outside)
  const lift = (meets(roofTop, scale(face.normal, face.offset), vec(0, 0, 1)) ?? 0) - over.height
  const { over: _over, ...rest } = slope
  return {
    ...rest,
    height: over.height,
    plateTop: planeAcross('z', over.height),
    lift,
    wallOutside: face,
    heel: over.heel,
    overhang: 'high',
    tail: over.tail,
  }
}

function problemsOf(
  building: Building,
  { rafter, ridge, ply, plate, post }: RoofLumber,
  { slopes }: RoofDatum,
  { posts, ledger, top, under }: Row,
): Problem[] {
  const {
    roof,
    footprint: { width },
    walls,
    heights,
  } = building
  const problems: Problem[] = []
  const side = plate.depth + 10
  const [near, far] =
    roof.high === 'north'
      ? [side + ply.thickness, side + Math.max(post.depth, ridge.thickness)]
      : [side + Math.max(post.depth, ridge.thickness), side + ply.thickness]
  if (Math.min(posts.from, ledger.from) < side || Math.max(posts.to, ledger.to) > width - side)
    problems.push({ code: 'strip-off-span', path: 'roof.raised.at', least: near, most: width - far })
  else if (under - top < least.strip)
    problems.push({
      code: 'strip-too-low',
      path: `walls.sides.${roof.high}.height`,
      side: roof.high,
      clear: under - top,
      least: heights[roof.high] + least.strip - (under - top),
    })
  if (roof.spacing < 2 * rafter.thickness - HAIR)
    problems.push({ code: 'spacing-too-tight', path: 'roof.spacing', least: 2 * rafter.thickness })
  if (!hasMouth(roof.seat)) return [...problems, { code: 'seat-wants-mouth', path: 'roof.seat.rule' }]
  const into = Math.max(walls.height, heights.east, heights.west) - (top - ridge.depth)
  if (into > HAIR) problems.push({ code: 'ridge-into-wall', path: 'roof.ridge', by: into })
  const seats = [slopes.south, slopes.north].map(slope => seatProblems(building, slope, rafter.depth))
  return [...problems, ...seats.flat()]
}

/** Posts, ledger and header. */
function rowOrders(
  building: Building,
  lumber: RoofLumber,
  { slopes }: RoofDatum,
  row: Row,
  bearers: readonly BearingPartition[],
  rafters: readonly Stretch[],
): { readonly orders: readonly Order[]; readonly problems: readonly Problem[] } {
  const {
    footprint: { length },
    roof: { overhang, high },
    walls,
  } = building
  const raised = had(building.roof.raised)
  const { post, ply, plate, ridge } = lumber
  const inside = { from: plate.depth, to: length - plate.depth }
  const bays = Math.max(1, countUp((inside.to - inside.from) / raised.spacing))
  const lengthwise = bearers.filter(
    ({ y }) => y.from < row.posts.to + gaps.besidePost && y.to > row.posts.from - gaps.besidePost,
  )
  const bearer = lengthwise.find(
    ({ y }) => y.from < row.posts.from + TOUCHING && y.to > row.posts.to - TOUCHING,
  )
  const foot = bearer?.top ?? 0
  const blocked = bays > 1 && ((lengthwise.length > 0 && !bearer) || foot > row.top - ridge.depth)
  // upper rafters that come down below the header beside it leave a wider post no room under them
  const outer = high === 'north' ? row.posts.to : row.posts.from
  const low = (meets(slopes[high].underside, vec(0, outer, 0), vec(0, 0, 1)) ?? Infinity) < row.under - HAIR
  const partitions = bearer
    ? []
    : walls.partitions
        .filter(({ runs }) => runs === 'width')
        .map(({ at }): Stretch => ({ from: at - 50, to: at + plate.depth + 50 }))
  const places = blocked
    ? []
    : Array.from({ length: bays - 1 }, (_, i) =>
        clear(inside.from + ((inside.to - inside.from) * (i + 1)) / bays, post.thickness, [
          ...partitions,
          ...(low ? rafters : []),
        ]),
      )
  const whole = { from: -overhang.gable, to: length + overhang.gable }
  const pieces = fewestBoards(whole, { breaks: places, longest: walls.longest, shortest: 0 })
  const board = (id: string, role: Order['role'], s: Stretch, y: number, z: number): Order =>
    squareBoard({
      id,
      role,
      section: ply,
      along: 'x',
      depth: 'z',
      from: s.from,
      to: s.to,
      corner: vec(0, y, z),
    })
  const named = (id: string, i: number, row: readonly Stretch[] = pieces): string =>
    `${id}${row.length > 1 ? `/${i + 1}` : ''}`
  return {
    problems: blocked ? [{ code: 'ridge-post-blocked', path: 'roof.raised.spacing' }] : [],
    orders: [
      ...places.map((x, i): Order =>
        squareBoard({
          id: `roof/ridge-post/${i + 1}`,
          role: 'ridge-post',
          section: post,
          along: 'z',
          depth: 'y',
          from: foot,
          to: row.under,
          corner: vec(x - post.thickness / 2, row.posts.from, 0),
        }),
      ),
      ...pieces.map((s, i) =>
        board(named('roof/ledger', i), 'ledger', s, row.ledger.from, row.top - ridge.depth),
      ),
      ...pliesOf(whole, raised.plies, places, walls.longest).flatMap((laid, k) =>
        laid.map((s, i) =>
          board(
            named(`roof/upper-header/${k + 1}`, i, laid),
            'upper-header',
            s,
            row.header.from + k * ply.thickness,
            row.under,
          ),
        ),
      ),
    ],
  }
}

function rafterOrders(
  building: Building,
  lumber: RoofLumber,
  datum: RoofDatum,
  slope: SlopeDatum,
  standing: readonly Standing[],
): Order[] {
  const { over, ridgeFace, tail, roofTop, side } = slope
  const lookouts = lookoutCuts(building, lumber, datum, side)
  const head = over ? overCuts(building, slope) : ridgeFace ? [plumbCut(ridgeFace)] : []
  const whole = ({ name, at }: Standing, i: number): Order =>
    rafterOn({
      id: `roof/${side}/${name}`,
      role: 'rafter',
      section: lumber.rafter,
      roofTop,
      at,
      from: -((over?.tail ?? ridgeFace)?.offset ?? 0),
      to: tail.offset,
      ...tailed(building, lumber, slope, head, i === 0 || i === standing.length - 1 ? lookouts : []),
    })
  return [...partedOrders(standing, whole, slope, lumber.rafter), ...roofHeaders(building, lumber, slope)]
}
