import type { Plan } from '../plan'
import { levelsAreas } from './areas'
import { heightsOf } from '../design'
import { circle } from './base-views'
import { dimension, type Drawing, drawn, type Label, type Line, type Point } from './drawing'

/**
 * The building's ground from above: each reading with its height over (under: negative) the highest ground,
 * and where supports stand.
 */
export function levelsPlan(plan: Plan): Drawing {
  const { building, frame } = plan
  const { length, width } = building.footprint
  const readings = building.site ? heightsOf(building.site.levels) : []
  const corners: readonly Point[] = [
    { x: 0, y: 0 },
    { x: length, y: 0 },
    { x: length, y: width },
    { x: 0, y: width },
  ]
  const size = Math.max(length, width) / 60
  const cross = ({ x, y }: Point): Line[] => [
    { from: { x: x - size, y }, to: { x: x + size, y }, ink: 'mark' },
    { from: { x, y: y - size }, to: { x, y: y + size }, ink: 'mark' },
  ]
  const lines: Line[] = [
    ...corners.map((from, i): Line => ({ from, to: corners[(i + 1) % 4] ?? from, ink: 'behind' })),
    ...frame.base.holes.flatMap(hole => circle({ x: hole.x, y: hole.y }, hole.diameter / 2, 'hole')),
    ...frame.base.parts
      .filter(part => part.kind === 'block')
      .flatMap(part =>
        circle(
          { x: (part.low.x + part.high.x) / 2, y: (part.low.y + part.high.y) / 2 },
          (part.high.x - part.low.x) / 2,
          'hole',
        ),
      ),
    ...readings.flatMap(cross),
  ]
  const labels = readings.map((at, i): Label => ({
    at,
    text: `${i + 1}:`,
    value: frame.ground.at(at) - frame.ground.highest.height,
  }))
  return drawn('levels', {
    lines,
    labels,
    areas: levelsAreas(plan),
    dimensions: [
      dimension('below', 1, 'length', { x: 0, y: 0 }, { x: length, y: 0 }, length, 'footprint.length'),
      dimension('left', 1, 'span', { x: 0, y: 0 }, { x: 0, y: width }, width, 'footprint.width'),
    ],
  })
}
