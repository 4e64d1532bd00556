import { wallNames } from '../frame'
import { cardOf, type Plan, platePair, rakeStrips, rimPair } from '../plan'
import { baseElevation, basePlan } from './base-views'
import { boardOnBench } from './bench'
import type { Drawing } from './drawing'
import { floorPlan } from './floor-plan'
import { levelsPlan } from './levels-plan'
import { pairStrip } from './pair-strip'
import { roofEnd, roofPlan } from './roof-views'
import { roofSection } from './roof-section'
import { sitePlan } from './site-plan'
import { wallElevation } from './wall-elevation'
import { wallsPlan } from './walls-plan'

/** A drawing with the name of its file, and how wide it is written, px. */
export interface NamedDrawing {
  readonly file: string
  readonly drawing: Drawing
  readonly wide: number
}

const named = (file: string, drawing: Drawing, wide = 1000): NamedDrawing => ({ file, drawing, wide })

/** Every drawing there is of a plan, in the order of the work. */
export function drawingsOf(plan: Plan): NamedDrawing[] {
  const { building, frame, pieces } = plan
  const { plate } = frame.lumber
  const site = building.site ? [named('site-plan', sitePlan(plan)), named('levels', levelsPlan(plan))] : []
  const base = building.base
    ? [named('base-plan', basePlan(plan)), named('base-elevation', baseElevation(plan))]
    : []
  const floor = frame.floor
    ? [
        named('floor-frame', floorPlan(plan, 'frame')),
        named('floor-deck', floorPlan(plan, 'deck')),
        ...frame.floor.bays.map(bay =>
          named(
            `rims-${bay.in}${bay.frame ? `-${bay.frame}` : ''}`,
            pairStrip(`rims-${bay.id}`, rimPair(frame, bay), 60),
            2000,
          ),
        ),
      ]
    : []
  const standing = [...new Set([...wallNames, ...frame.walls.map(wall => wall.name)])].filter(name =>
    frame.walls.some(wall => wall.name === name),
  )
  const walls = standing.flatMap(wall => [
    named(`wall-${wall}`, wallElevation(plan, wall)),
    named(`sheets-${wall}`, wallElevation(plan, wall, 'sheets')),
    named(`plates-${wall}`, pairStrip(`plates-${wall}`, platePair(frame, wall), plate.depth), 2000),
    ...rakeStrips(frame, wall).map(strip =>
      named(
        `plates-${wall}-${strip.side}-slope`,
        pairStrip(`plates-${wall}-${strip.side}-slope`, strip, plate.depth),
        2000,
      ),
    ),
  ])
  const roof = [
    named('roof-section', roofSection(plan)),
    named('roof-plan', roofPlan(plan)),
    named('roof-east', roofEnd(plan, 'east')),
    named('roof-west', roofEnd(plan, 'west')),
  ]
  const boards = pieces.map(piece => named(`board-${piece.mark}`, boardOnBench(cardOf(plan, piece)), 1600))
  return [...site, ...base, ...floor, named('walls-plan', wallsPlan(plan)), ...walls, ...roof, ...boards]
}
