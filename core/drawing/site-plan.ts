import { siteAreas } from './areas'
import { type Boundary, buriedKinds, type Site } from '../design'
import { cornersOfRect } from '../frame'
import { findsOf, type Plan, type SiteFind } from '../plan'
import { rectangle, type SiteTurn, type Spot, stakeNames, turnOf } from '../survey'
import { circle } from './base-views'
import {
  ring,
  dimension,
  type Dimension,
  type Drawing,
  drawn,
  type Handle,
  type Label,
  type Line,
  type Patch,
  type Point,
} from './drawing'

/**
 * The site from above in its own axes: the line that is measured off at the bottom, left end at the left; the
 * building, its holes, the plot's lines with their setbacks, and what was found. `sizes` writes the
 * building's own sides on it.
 */
export function sitePlan(plan: Plan, sizes = false): Drawing {
  const { site, footprint } = plan.building
  if (!site) return drawn('site-plan', {})
  const turn = turnOf(site.place, footprint.length, footprint.width)
  const finds = findsOf(plan.building)
  const lines: Line[] = [
    { from: { x: 0, y: 0 }, to: { x: site.reference.length, y: 0 }, ink: 'ground' },
    ...site.boundaries.flatMap(each => boundaryLines(each, turn, plan)),
    ...finds.flatMap(each => findLines(each)),
    ...(turn
      ? plan.frame.base.holes.flatMap(hole =>
          circle(turn.toSite({ x: hole.x, y: hole.y }), hole.diameter / 2, 'hole'),
        )
      : []),
  ]
  return drawn('site-plan', {
    patches: turn ? buildingPatches(plan, turn) : [],
    lines,
    labels: [...(sizes ? sizesOf(turn, plan) : []), ...labelsOf(site, finds, turn, plan)],
    dimensions: dimensions(site, turn, plan),
    handles: handles(site, turn, plan),
    areas: siteAreas(plan),
  })
}

function buildingPatches(
  { frame: { outline, hung }, building: { footprint } }: Plan,
  turn: SiteTurn,
): Patch[] {
  const around = (each: typeof outline): Spot[] => cornersOfRect(each).map(turn.toSite)
  const porch = around(outline)
  const walls = corners(footprint).map(turn.toSite)
  return [
    { ink: 'sheet', member: null, part: null, loops: [porch] },
    { ink: 'wood', member: null, part: null, loops: [walls] },
    ...hung.map((each): Patch => ({ ink: 'sheet', member: null, part: null, loops: [around(each)] })),
  ]
}

const corners = ({ length, width }: { length: number; width: number }): Spot[] => {
  const stakes = rectangle(length, width)
  return stakeNames.map(name => stakes[name])
}

const along = ({ along: x, out: y }: Boundary['from']): Point => ({ x, y })

/** A line of the plot, and its setback on the building's side. */
function boundaryLines(
  { from, to, setback }: Boundary,
  turn: SiteTurn | null,
  { building: { footprint } }: Plan,
): Line[] {
  const [a, b] = [along(from), along(to)]
  const long = Math.hypot(b.x - a.x, b.y - a.y)
  if (long < 1) return []
  const middle = turn ? turn.toSite({ x: footprint.length / 2, y: footprint.width / 2 }) : { x: 0, y: 0 }
  const left = (b.x - a.x) * (middle.y - a.y) - (b.y - a.y) * (middle.x - a.x) > 0 ? 1 : -1
  const [nx, ny] = [(-(b.y - a.y) / long) * left * setback, ((b.x - a.x) / long) * left * setback]
  const line: Line = { from: a, to: b, ink: 'boundary' }
  return setback > 0
    ? [line, { from: { x: a.x + nx, y: a.y + ny }, to: { x: b.x + nx, y: b.y + ny }, ink: 'setback' }]
    : [line]
}

function findLines({ find, places }: SiteFind): Line[] {
  const ink = buriedKinds.includes(find.kind) ? 'buried' : 'find'
  const [first, second] = places
  if (!first) return []
  const ring = (at: Spot): Line[] => circle(at, Math.max(80, second ? 80 : find.clear), ink)
  return second
    ? [{ from: first, to: second, ink }, ...ring(first), ...ring(second)]
    : [...circle(first, 60, ink), ...ring(first)]
}

function labelsOf(
  site: Site,
  finds: readonly SiteFind[],
  turn: SiteTurn | null,
  { building: { footprint } }: Plan,
): Label[] {
  const stakes = turn
    ? stakeNames.map((name, i): Label => ({
        at: turn.toSite(corners(footprint)[i] ?? { x: 0, y: 0 }),
        text: name.toUpperCase(),
      }))
    : []
  return [
    ...stakes,
    ...finds.flatMap(({ find, places }): Label[] => places.slice(-1).map(at => ({ at, text: find.name }))),
    ...site.boundaries.map((each): Label => ({
      at: { x: (each.from.along + each.to.along) / 2, y: (each.from.out + each.to.out) / 2 },
      text: each.name,
    })),
    { at: { x: 0, y: 0 }, text: 'A' },
    { at: { x: site.reference.length, y: 0 }, text: 'B' },
  ]
}

function sizesOf(
  turn: SiteTurn | null,
  {
    building: {
      footprint: { length, width },
    },
  }: Plan,
): Label[] {
  return turn
    ? [
        { at: turn.toSite({ x: length / 2, y: width * 0.72 }), text: '', value: length },
        { at: turn.toSite({ x: length * 0.16, y: width / 2 }), text: '', value: width },
      ]
    : []
}

/** The facing side's corners in site axes. */
function facing(site: Site, turn: SiteTurn, { building: { footprint } }: Plan): [Spot, Spot] {
  const { length, width } = footprint
  const side = site.place.faces === 'south' || site.place.faces === 'north' ? length : width
  const c = Math.cos((turn.skew * Math.PI) / 180)
  return [
    { x: site.place.along, y: site.place.near },
    { x: site.place.along + side * c, y: site.place.far },
  ]
}

function dimensions(site: Site, turn: SiteTurn | null, plan: Plan): Dimension[] {
  const reference: Dimension = dimension(
    'below',
    2,
    'reference',
    { x: 0, y: 0 },
    { x: site.reference.length, y: 0 },
    site.reference.length,
    'site.reference.length',
  )
  if (!turn) return [reference]
  const [left, right] = facing(site, turn, plan)
  return [
    reference,
    dimension('below', 1, 'along', { x: 0, y: 0 }, { x: left.x, y: 0 }, site.place.along, 'site.place.along'),
    dimension('left', 1, 'near', { x: left.x, y: 0 }, left, site.place.near, 'site.place.near'),
    dimension('right', 1, 'far', { x: right.x, y: 0 }, right, site.place.far, 'site.place.far'),
  ]
}

function handles(site: Site, turn: SiteTurn | null, plan: Plan): Handle[] {
  if (!turn) return []
  const [left, right] = facing(site, turn, plan)
  return [
    ring('site.place.near', left, { x: 0, y: 1 }),
    ring('site.place.far', right, { x: 0, y: 1 }),
    ring('site.place.along', { x: (left.x + right.x) / 2, y: (left.y + right.y) / 2 }, { x: 1, y: 0 }),
  ]
}
