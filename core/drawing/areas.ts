import { roofHas, roughSize, footOf, isSide, type SideName, wallSubject } from '../design'
import {
  faceLevel,
  facesAcross,
  kneesOf,
  coverOfPosts,
  eaveOver,
  lowEaves,
  peakAcross,
  reachOf,
  ridgeOf,
  roofLevel,
  slopeUnder,
} from '../lines'
import { isOfRoofOpening, type Wall, type WallName } from '../frame'
import { findsOf, type Plan } from '../plan'
import { stakeNames, rectangle } from '../survey'
import type { Area, Point } from './drawing'
import { overhangs } from './section-reach'
import { turnOf } from '../survey'

type Corner = readonly [x: number, y: number]

/** What is touched between two corners; `over` the boards that are drawn there, or under them. */
const rect = (subject: string, [x0, y0]: Corner, [x1, y1]: Corner, over = false): Area => ({
  subject,
  over,
  loop: [
    { x: x0, y: y0 },
    { x: x1, y: y0 },
    { x: x1, y: y1 },
    { x: x0, y: y1 },
  ],
})

const shape = (subject: string, loop: readonly Point[], over = false): Area => ({ subject, over, loop })

/** mm. Half as wide as a line is touched. */
const FINGER = 220

/** About a line, as wide as a finger. */
function band(subject: string, a: Point, b: Point, over = false): Area {
  const long = Math.max(Math.hypot(b.x - a.x, b.y - a.y), 1)
  const [nx, ny] = [(-(b.y - a.y) / long) * FINGER, ((b.x - a.x) / long) * FINGER]
  return shape(
    subject,
    [
      { x: a.x + nx, y: a.y + ny },
      { x: b.x + nx, y: b.y + ny },
      { x: b.x - nx, y: b.y - ny },
      { x: a.x - nx, y: a.y - ny },
    ],
    over,
  )
}

/** Of a section: the room, the walls, the slopes over them, and the tails, that lie over the boards. */
export function sectionAreas(plan: Plan): Area[] {
  const { building, frame } = plan
  const { width } = building.footprint
  const t = frame.lumber.plate.depth
  const { heights } = building
  const room = Math.min(heights.south, heights.north)
  const reach = overhangs(plan)
  const house = roofHas(plan.design.roof).house
  const slopes = (building.roof.pergola ? [] : facesAcross(frame.roof)).flatMap((face): Area[] => {
    const { from, to } = reachOf(frame.roof, face)
    const inward = (by: number): number => (face.falls === 'south' ? by : width - by)
    const low = inward(Math.max(0, from))
    const high = Number.isFinite(to) ? inward(to) : highOf(plan, face.falls)
    const foot = Math.min(heights[face.falls], faceLevel(face, low))
    return [
      shape(`roof.slopes.${face.falls}`, [
        { x: low, y: foot },
        { x: high, y: foot },
        { x: high, y: faceLevel(face, high) },
        { x: low, y: faceLevel(face, low) },
      ]),
    ]
  })
  const tail = (side: 'south' | 'north'): Area[] => {
    const out = reach[side]
    const kick = lowEaves(frame.roof).find(each => each.side === side)?.kick
    const face = kick?.eave.face ?? facesAcross(frame.roof).find(({ falls }) => falls === side)
    if (!face || out < 30) return []
    const [wall, end] = side === 'south' ? [0, -out] : [width, width + out]
    const deep = (2 * frame.lumber.rafter.depth) / Math.cos((face.angle * Math.PI) / 180)
    return [
      shape(
        'roof.tails',
        [
          { x: wall, y: faceLevel(face, wall) },
          { x: end, y: faceLevel(face, end) },
          { x: end, y: faceLevel(face, end) - deep },
          { x: wall, y: faceLevel(face, wall) - deep },
        ],
        true,
      ),
    ]
  }
  const knees = kneesOf(frame.roof).map(({ side, in: at, level }) =>
    around('roof.knees', { x: side === 'south' ? at : width - at, y: level }, frame.lumber.rafter.depth),
  )
  return [
    rect('building', [t, 0], [width - t, room]),
    ...(house === 'south' ? [] : [rect('walls.south', [0, 0], [t, heights.south])]),
    ...(house === 'north' ? [] : [rect('walls.north', [width - t, 0], [width, heights.north])]),
    ...slopes,
    ...tail('south'),
    ...tail('north'),
    ...knees,
  ]
}

/** What lies within a reach of a point, over the boards there. */
const around = (subject: string, { x, y }: Point, reach: number): Area =>
  shape(
    subject,
    [
      { x: x - reach, y },
      { x, y: y - reach },
      { x: x + reach, y },
      { x, y: y + reach },
    ],
    true,
  )

/** How far across a slope rises to: the ridge, or the other wall. */
function highOf({ building, frame: { roof } }: Plan, falls: SideName): number {
  const ridge = ridgeOf(roof)?.at ?? building.roof.raised?.at
  return ridge ?? (falls === 'south' ? building.footprint.width : 0)
}

/** Of the roof from above: each slope, what reaches over gables and eaves, and openings over the boards. */
export function roofPlanAreas(plan: Plan): Area[] {
  const { building } = plan
  const { length, width } = building.footprint
  const { overhang, joined } = building.roof
  const falls = roofHas(plan.design.roof).falls
  if (!falls.length) return []
  const ends = roofHas(plan.design.roof).parts.includes('ends')
  const inner = falls.length > 2 ? hipSlopes(length, width) : []
  const reach = overhangs(plan)
  const gable = Math.max(overhang.gable, FINGER)
  return [
    ...(ends
      ? [
          ...(joined.includes('west')
            ? []
            : [rect('roof.ends', [-gable, -reach.south], [0, width + reach.north])]),
          ...(joined.includes('east')
            ? []
            : [rect('roof.ends', [length, -reach.south], [length + gable, width + reach.north])]),
        ]
      : []),
    rect('roof.tails', [0, -reach.south], [length, 0]),
    rect('roof.tails', [0, width], [length, width + reach.north]),
    ...(inner.length
      ? inner
      : (building.roof.pergola ? [] : falls).map(side => {
          const high = highOf(plan, side)
          return rect(
            `roof.slopes.${side}`,
            [0, side === 'south' ? 0 : high],
            [length, side === 'south' ? high : width],
          )
        })),
    ...building.roof.openings.flatMap((_, i) => roofOpening(plan, i)),
  ].filter(({ loop }) => Math.abs(areaOf(loop)) > 100)
}

const areaOf = (loop: readonly Point[]): number =>
  loop.reduce((sum, p, i) => {
    const q = loop[(i + 1) % loop.length] ?? p
    return sum + (p.x * q.y - q.x * p.y) / 2
  }, 0)

/** Four slopes that meet on lines at half a right angle. */
function hipSlopes(length: number, width: number): Area[] {
  const d = Math.min(length, width) / 2
  const along = length >= width
  const [a, b] = along
    ? [
        { x: d, y: d },
        { x: length - d, y: d },
      ]
    : [
        { x: d, y: d },
        { x: d, y: width - d },
      ]
  const corner = (x: number, y: number): Point => ({ x, y })
  const [sw, se, ne, nw] = [corner(0, 0), corner(length, 0), corner(length, width), corner(0, width)]
  return along
    ? [
        shape('roof.slopes.south', [sw, se, b, a]),
        shape('roof.slopes.north', [ne, nw, a, b]),
        shape('roof.slopes.west', [nw, sw, a]),
        shape('roof.slopes.east', [se, ne, b]),
      ]
    : [
        shape('roof.slopes.south', [sw, se, a]),
        shape('roof.slopes.north', [ne, nw, b]),
        shape('roof.slopes.west', [nw, sw, a, b]),
        shape('roof.slopes.east', [se, ne, b, a]),
      ]
}

function roofOpening({ building, frame }: Plan, i: number): Area[] {
  const of = building.roof.openings[i]
  if (!of || !frame.across.some(({ where }) => isOfRoofOpening(where, i + 1))) return []
  const slope = slopeUnder(frame.roof, of)
  if (!slope) return []
  const { normal, offset } = slope.eave.outside
  const level = of.kind === 'stair' ? of.length : of.length * slope.face.top.normal.z
  const place = (along: number, inward: number): Corner =>
    Math.abs(normal.y) > 0.5 ? [along, normal.y * (offset - inward)] : [normal.x * (offset - inward), along]
  return [
    rect(
      `roof.openings.${i}`,
      place(of.at - of.width / 2, of.up),
      place(of.at + of.width / 2, of.up + level),
      true,
    ),
  ]
}

/** Of an end: its wall, and the roof over it. */
export function roofEndAreas(plan: Plan, side: 'east' | 'west'): Area[] {
  const { building, frame } = plan
  const { width } = building.footprint
  const [left, right] = side === 'east' ? [0, width] : [-width, 0]
  const has = roofHas(plan.design.roof)
  const height = building.heights[side]
  const slope = has.parts.includes('ends')
    ? 'roof.ends'
    : building.roof.pergola
      ? 'roof.pergola'
      : `roof.slopes.${has.falls.includes(side) ? side : (has.falls[0] ?? 'south')}`
  return [
    rect(`walls.${side}`, [left, 0], [right, height]),
    ...(has.falls.length ? [rect(slope, [left, height], [right, frame.roof.highest])] : []),
  ]
}

/** Of a wall: the wall, or the sheets on it, and its openings. */
export function wallAreas(
  { building, frame }: Plan,
  wall: Wall,
  layer: 'frame' | 'sheets' | 'siding',
): Area[] {
  const subject = layer === 'sheets' ? 'walls.sheathing' : wallSubject(wall.name)
  const { overall, height } = wall
  // with the gable over it, as the roof leaves it
  const roofed = frame.roof.faces.length > 0
  const over = (s: number): number => (roofed ? Math.max(height, roofLevel(frame.roof, s)) : height)
  const peak = Math.min(Math.max(peakAcross(frame.roof), 0), overall)
  const knees = kneesOf(frame.roof).map(({ side, in: inward }) =>
    side === 'south' ? inward : overall - inward,
  )
  const tops = [peak, ...knees].sort((a, b) => b - a)
  const eave = isSide(wall.name) ? eaveOver(frame.roof, wall.name) : undefined
  return [
    wall.along === 'y' && isSide(wall.name)
      ? shape(subject, [
          { x: 0, y: 0 },
          { x: overall, y: 0 },
          { x: overall, y: over(overall) },
          ...tops.map(x => ({ x, y: over(x) })),
          { x: 0, y: over(0) },
        ])
      : rect(subject, [0, 0], [overall, eave?.onPosts ? coverOfPosts(eave) : height]),
    ...openings({ building }, wall.name).map(({ i, a, b, low, high }) =>
      rect(`walls.openings.${i}`, [a, low], [b, high], true),
    ),
  ]
}

const openings = ({ building }: Pick<Plan, 'building'>, wall: WallName) =>
  building.walls.openings.flatMap((opening, i) => {
    if (opening.wall !== wall) return []
    const { width, height } = roughSize(opening)
    return [
      {
        i,
        a: opening.at - width / 2,
        b: opening.at + width / 2,
        low: footOf(opening),
        high: footOf(opening) + height,
      },
    ]
  })

/** Of the walls from above: the room, each wall, and its openings. */
export function wallsPlanAreas(plan: Plan): Area[] {
  const {
    building: { footprint },
    frame,
  } = plan
  const thick = frame.lumber.plate.depth
  const on = ({ along, low }: Wall, s: number, across: number): Corner =>
    along === 'x' ? [s, low + across] : [low + across, s]
  return [
    rect('walls', [0, 0], [footprint.length, footprint.width]),
    ...frame.walls.flatMap(wall => [
      rect(wallSubject(wall.name), on(wall, wall.from, -40), on(wall, wall.to, thick + 40)),
      ...openings(plan, wall.name).map(({ i, a, b }) =>
        rect(`walls.openings.${i}`, on(wall, a, -60), on(wall, b, thick + 60), true),
      ),
    ]),
  ]
}

/** Of a floor: its joists or its deck, the porch, and openings. */
export function floorAreas({ building: { floor }, frame }: Plan, layer: 'frame' | 'deck'): Area[] {
  if (!floor) return []
  return [
    ...(frame.floor?.bays ?? []).map(({ in: within, rect: { x0, x1, y0, y1 } }) =>
      rect(
        within === 'porch' ? 'floor.porch' : layer === 'deck' ? 'floor.deck' : 'floor.joists',
        [x0, y0],
        [x1, y1],
      ),
    ),
    ...floor.openings.map(({ x, y, length, width }, i) =>
      rect(`floor.openings.${i}`, [x, y], [x + length, y + width], true),
    ),
  ]
}

/** Of the base from above: its gravel, what stands on it, its holes. */
export function basePlanAreas({ building: { footprint, base }, frame }: Plan): Area[] {
  if (!base) return []
  const rows = 'beams' in base || base.kind === 'poles'
  return [
    ...frame.base.beds.map(({ rect: { x0, x1, y0, y1 } }) => rect('base.gravel', [x0, y0], [x1, y1])),
    rect('base', [0, 0], [footprint.length, footprint.width]),
    ...frame.base.holes.map(({ x, y, diameter }) =>
      rect(
        rows ? 'base.rows' : 'base',
        [x - diameter / 2, y - diameter / 2],
        [x + diameter / 2, y + diameter / 2],
      ),
    ),
  ]
}

/** Of the base from the south: all that stands under the deck, and its gravel. */
export function baseElevationAreas({
  building: { base },
  frame: { outline, ground, base: made },
}: Plan): Area[] {
  if (!base) return []
  return [
    rect('base', [outline.x0, Math.min(ground.lowest.height, -FINGER)], [outline.x1, 0]),
    ...made.beds.map(({ rect: { x0, x1 }, low, high }) => rect('base.gravel', [x0, low], [x1, high])),
  ]
}

/** Of the site: the line, the building, the plot's lines, and what was found. */
export function siteAreas(plan: Plan): Area[] {
  const { site, footprint } = plan.building
  if (!site) return []
  const turn = turnOf(site.place, footprint.length, footprint.width)
  const stakes = rectangle(footprint.length, footprint.width)
  return [
    band('site', { x: 0, y: 0 }, { x: site.reference.length, y: 0 }),
    ...site.boundaries.map(({ from, to }, i) =>
      band(`site.boundaries.${i}`, { x: from.along, y: from.out }, { x: to.along, y: to.out }),
    ),
    ...(turn
      ? [
          shape(
            'site',
            stakeNames.map(name => turn.toSite(stakes[name])),
            true,
          ),
          ...stakeNames.map(name => {
            const { x, y } = turn.toSite(stakes[name])
            return rect('site.squaring', [x - FINGER, y - FINGER], [x + FINGER, y + FINGER], true)
          }),
        ]
      : []),
    ...findsOf(plan.building).flatMap(({ find, places: [a, b] }, i): Area[] => {
      if (!a) return []
      if (b) return [band(`site.finds.${i}`, a, b, true)]
      const r = Math.max(FINGER, find.clear)
      return [rect(`site.finds.${i}`, [a.x - r, a.y - r], [a.x + r, a.y + r], true)]
    }),
  ]
}

export const levelsAreas = ({ building: { footprint } }: Plan): Area[] => [
  rect('site.levels', [0, 0], [footprint.length, footprint.width]),
]
