import { eaveOver, eavesOf } from '../lines'
import { countUp, HAIR, ONE_READING } from '../measure'
import { footOf, isSide, roughSize, standsOnDeck } from '../design'
import {
  centred,
  type Member,
  type Wall,
  type WallName,
  chordFace,
  faceOf,
  isEndPost,
  isOfWall,
} from '../frame'
import { vec } from '../geometry'
import { wallAreas } from './areas'
import { type Plan, STACKED, type Stacked, stackingOf, stretchOf } from '../plan'
import { isOfDoor, isWallSkin, overlap } from '../trade'
import {
  ring,
  dimension,
  type Dimension,
  type Drawing,
  drawn,
  type Handle,
  type Label,
  type Line,
  type Point,
} from './drawing'
import { heightField } from './height-field'
import { seen, type View } from './view'

/** A wall with its layout end at the left, as `wall.seenFrom` says. */
function viewOf(wall: Wall): View {
  return wall.along === 'x'
    ? { right: vec(1, 0, 0), up: vec(0, 0, 1), toward: vec(0, -1, 0) }
    : { right: vec(0, 1, 0), up: vec(0, 0, 1), toward: vec(1, 0, 0) }
}

const lengthField = (wall: Wall): 'footprint.length' | 'footprint.width' =>
  wall.along === 'x' ? 'footprint.length' : 'footprint.width'

/** What of a wall is looked at: its frame, the sheets on it, or the siding and trim on those. */
export type WallLayer = 'frame' | 'sheets' | 'siding'

/**
 * One wall with its gable: its frame, or its sheets; overall length, height and spacing, and joists under and
 * rafters over it by whether a stud stands there. Its marks are on the plates.
 */
export function wallElevation(plan: Plan, name: WallName, layer: WallLayer = 'frame'): Drawing {
  const wall = plan.frame.walls.find(each => each.name === name)
  if (!wall) throw new RangeError(`no wall ${name}`)
  const shown =
    layer === 'siding'
      ? skinOf(plan, name)
      : plan.frame.members.filter(
          member =>
            isOfWall(member.where, name) &&
            (member.role === 'wall-sheet' || member.role === 'slat') === (layer === 'sheets'),
        )
  const over = onPosts(plan, wall) ? (layer === 'frame' ? postsOver(plan) : []) : endRafters(plan, wall)
  const corners = layer === 'frame' ? cornerPosts(plan, wall) : []
  const patches = seen([...corners, ...shown, ...over], viewOf(wall))
  const openings = openingsOf(plan, name)
  const lines: Line[] = [
    { from: { x: 0, y: 0 }, to: { x: wall.overall, y: 0 }, ink: 'ground' },
    ...openings.flatMap(each => each.lines),
    ...(layer === 'sheets' ? grooveLines(plan, shown, viewOf(wall)) : []),
    ...(layer === 'frame' ? stackLines(plan, wall) : shown.length ? [] : bareOutline(plan, wall)),
  ]
  return drawn(`wall-${name}-${layer}`, {
    patches,
    lines,
    dimensions: dimensions(plan, wall),
    handles: [...handles(plan, wall), ...openings.flatMap(each => each.handles)],
    labels: openings.map(each => each.label),
    areas: wallAreas(plan, wall, layer),
  })
}

/** What lies on a wall; of one with panes between its boards those too. */
function skinOf({ frame }: Plan, name: WallName): Member[] {
  const skin = frame.covering.filter(
    ({ where, role }) => (isWallSkin(role) || isOfDoor(role)) && isOfWall(where, name),
  )
  const behind = skin.some(({ role }) => role === 'pane')
    ? frame.members.filter(({ where, role }) => isOfWall(where, name) && role !== 'brace')
    : []
  return [...behind, ...skin]
}

/** The grooves of siding sheets, from each sheet's own edge at the layout end. */
function grooveLines({ building }: Plan, sheets: readonly Member[], view: View): Line[] {
  const apart = building.walls.sheathing?.grooves ?? null
  if (apart === null) return []
  return sheets
    .filter(({ role }) => role === 'wall-sheet')
    .flatMap(sheet => {
      const loops = seen([sheet], view).flatMap(patch => patch.loops)
      const xs = loops.flat().map(p => p.x)
      const [left, right] = [Math.min(...xs), Math.max(...xs)]
      const count = Math.max(0, countUp((right - left) / apart) - 1)
      return Array.from({ length: count }, (_, i) => left + (i + 1) * apart).flatMap(x =>
        plumbThrough(loops, x).map(([a, b]): Line => ({ from: { x, y: a }, to: { x, y: b }, ink: 'behind' })),
      )
    })
}

/** What of a plumb line lies in an outline with holes. */
function plumbThrough(loops: readonly (readonly Point[])[], x: number): [number, number][] {
  const ys = loops
    .flatMap(loop =>
      loop.flatMap((p, i) => {
        const q = loop[(i + 1) % loop.length] ?? p
        return p.x < x === q.x < x ? [] : [p.y + ((q.y - p.y) * (x - p.x)) / (q.x - p.x)]
      }),
    )
    .sort((a, b) => a - b)
  return ys.flatMap((y, i): [number, number][] =>
    i % 2 === 0 && ys[i + 1] !== undefined ? [[y, ys[i + 1] ?? y]] : [],
  )
}

/** A wall that nothing covers, in outline: its height and length are seen and typed all the same. */
function bareOutline({ building }: Plan, { name, overall, height }: Wall): Line[] {
  const top = isSide(name) ? building.heights[name] : height
  const corners = [
    { x: 0, y: 0 },
    { x: 0, y: top },
    { x: overall, y: top },
    { x: overall, y: 0 },
  ]
  return corners.slice(1).map((to, i): Line => ({ from: corners[i] ?? to, to, ink: 'datum' }))
}

/** Posts of the sides that a side of posts meets, that its beam lies on at the corners. */
function cornerPosts({ frame, building }: Plan, wall: Wall): Member[] {
  const { name } = wall
  if (!isSide(name) || building.walls.sides[name].build !== 'posts') return []
  const across = wall.along === 'x' ? 'y' : 'x'
  const { length, width } = building.footprint
  const far = wall.along === 'x' ? width : length
  const deep = building.depths[name]
  const band = wall.outside === 'low' ? { from: 0, to: deep } : { from: far - deep, to: far }
  return frame.members.filter(
    member =>
      member.role === 'wall-post' &&
      !isOfWall(member.where, name) &&
      overlap(stretchOf(member, across), band) &&
      frame.walls.some(each => each.along !== wall.along && isOfWall(member.where, each.name)),
  )
}

/** Whether trusses' end posts stand over a wall. */
const onPosts = ({ frame }: Plan, { name }: Wall): boolean =>
  isSide(name) && eaveOver(frame.roof, name)?.onPosts === true

const postsOver = ({ frame }: Plan): Member[] => frame.members.filter(({ where }) => isEndPost(where))

/** The rafters that close a gable wall. */
function endRafters({ frame }: Plan, wall: Wall): Member[] {
  if (wall.along === 'x' || eavesOf(frame.roof).some(eave => eave.side === wall.name)) return []
  const across = frame.roof.faces.filter(({ falls }) => falls === 'south' || falls === 'north')
  const slopes = across.map(({ id }) =>
    frame.members.filter(
      ({ where }) => (faceOf(where) === id && where.name === 'rafter') || chordFace(where) === id,
    ),
  )
  return slopes.flatMap(rafters => rafters.slice(...(wall.name === 'west' ? [0, 1] : [-1])))
}

/** How far a tick at a joist or rafter reaches off the wall, mm. */
const TICK = 90

/** A tick under the wall at each joist, and over it at each rafter: in red where no stud stands there. */
function stackLines(plan: Plan, wall: Wall): Line[] {
  const { joists, rafters } = stackingOf(plan, wall)
  const tick = ({ at, off }: Stacked, from: number, to: number): Line => ({
    from: { x: at, y: from },
    to: { x: at, y: to },
    ink: off > STACKED + HAIR ? 'mark' : 'datum',
  })
  return [
    ...joists.map(each => tick(each, -TICK, -10)),
    ...rafters.map(each => tick(each, wall.height + 10, wall.height + TICK)),
  ]
}

function dimensions({ building }: Plan, wall: Wall): Dimension[] {
  const { height } = wall
  const { spacing } = building.walls
  const foot = (x: number): { x: number; y: number } => ({ x, y: 0 })
  const two = 2 * spacing < wall.overall
  const from =
    wall.layout === 'centred'
      ? (centred(spacing, wall.overall)[0] ?? 0)
      : wall.layout === 'high'
        ? wall.overall - (two ? 2 : 1) * spacing
        : two
          ? spacing
          : 0
  return [
    dimension(
      'below',
      wall.step ? 3 : 2,
      'wall-length',
      foot(0),
      foot(wall.overall),
      wall.overall,
      lengthField(wall),
    ),
    ...(isSide(wall.name) && building.walls.sides[wall.name].build === 'posts'
      ? []
      : [dimension('below', 1, 'stud-spacing', foot(from), foot(from + spacing), spacing, 'walls.spacing')]),
    dimension(
      'left',
      1,
      'wall-height',
      foot(0),
      { x: 0, y: height },
      height,
      heightField(building, wall.raked ? 'south' : wall.name),
    ),
    ...stepDimensions(wall),
    ...otherShoulder(building, wall),
  ]
}

/** The far eave wall's height, where a raked wall ends at another one than it begins at. */
function otherShoulder(building: Plan['building'], { raked, overall, height }: Wall): Dimension[] {
  const { north } = building.heights
  return raked && Math.abs(north - height) > ONE_READING
    ? [
        dimension(
          'right',
          1,
          'other-height',
          { x: overall, y: 0 },
          { x: overall, y: north },
          north,
          heightField(building, 'north'),
        ),
      ]
    : []
}

function stepDimensions({ name, step, overall }: Wall): Dimension[] {
  if (!step || !isSide(name)) return []
  return [
    dimension(
      'right',
      1,
      'step-height',
      { x: overall, y: 0 },
      { x: overall, y: step.height },
      step.height,
      `walls.sides.${name}.step.height`,
    ),
    dimension(
      'below',
      2,
      'step-at',
      { x: 0, y: 0 },
      { x: step.at, y: 0 },
      step.at,
      `walls.sides.${name}.step.at`,
    ),
  ]
}

function handles({ building }: Plan, wall: Wall): Handle[] {
  return [
    ring(lengthField(wall), { x: wall.overall, y: wall.height / 2 }, { x: 1, y: 0 }),
    ring(
      heightField(building, wall.raked ? 'south' : wall.name),
      { x: wall.raked ? 0 : wall.step ? wall.step.at / 2 : wall.overall / 2, y: wall.height },
      { x: 0, y: 1 },
    ),
    ...stepHandles(wall),
  ]
}

/** A step is dragged along the wall, and the part beyond it higher and lower. */
function stepHandles({ name, step, overall, height }: Wall): Handle[] {
  if (!step || !isSide(name)) return []
  return [
    ring(`walls.sides.${name}.step.at`, { x: step.at, y: (height + step.height) / 2 }, { x: 1, y: 0 }),
    ring(`walls.sides.${name}.step.height`, { x: (step.at + overall) / 2, y: step.height }, { x: 0, y: 1 }),
  ]
}

interface OpeningDrawn {
  readonly lines: readonly Line[]
  readonly handles: readonly Handle[]
  readonly label: Label
}

/**
 * Each opening asked for in a wall, framed or not: its rough size, its number, and where it is dragged by:
 * along the wall from under it, wider at its side, taller at its top, up and down at its lower edge.
 */
function openingsOf({ building }: Plan, name: WallName): OpeningDrawn[] {
  return building.walls.openings.flatMap((opening, i): OpeningDrawn[] => {
    if (opening.wall !== name) return []
    const { width, height } = roughSize(opening)
    const [x0, x1, y0, y1] = [
      opening.at - width / 2,
      opening.at + width / 2,
      footOf(opening),
      footOf(opening) + height,
    ]
    const corners = [
      { x: x0, y: y0 },
      { x: x1, y: y0 },
      { x: x1, y: y1 },
      { x: x0, y: y1 },
    ] as const
    const line = (from: Line['from'], to: Line['to']): Line => ({ from, to, ink: 'datum' })
    const field = `walls.openings.${i}` as const
    const middle = { x: opening.at, y: (y0 + y1) / 2 }
    return [
      {
        lines: corners.map((from, k) => line(from, corners[(k + 1) % 4] ?? from)),
        handles: [
          ring(`${field}.at`, { x: opening.at, y: 0 }, { x: 1, y: 0 }),
          ring(`${field}.unit.width`, { x: x1, y: middle.y }, { x: 1, y: 0 }, 2),
          ring(`${field}.unit.height`, { x: opening.at, y: y1 }, { x: 0, y: 1 }),
          ...(standsOnDeck(opening.kind)
            ? []
            : [ring(`${field}.foot` as const, { x: opening.at, y: y0 }, { x: 0, y: 1 })]),
        ],
        label: { at: { x: x0 + width / 4, y: middle.y }, text: String(i + 1) },
      },
    ]
  })
}
