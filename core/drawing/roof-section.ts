import { houseIn } from '../design'
import { peakAcross, ridgeOf } from '../lines'
import { middleOf } from '../trade'
import type { Plan } from '../plan'
import { sectionAreas } from './areas'
import { type Drawing, drawn, type Line } from './drawing'
import { baseElevation } from './base-views'
import { fromSouth, seen, sectionView } from './view'
import { sectionGround } from './section-ground'
import { sectionMembers, sectionPlace } from './section-members'
import { dimensions, pitchTags } from './section-dimensions'
import { handles } from './section-handles'
import { gambrelLines } from './gambrel-section'

/**
 * Across the building at a rafter, `at` its number from the west, or near the middle: walls, plates, the
 * rafters and the ridge, with the roof's dimensions.
 */
export function roofSection(plan: Plan, at?: number): Drawing {
  const { building, frame } = plan
  if (!frame.roof.faces.length) return withoutRoof(plan)
  const middle = peakAcross(frame.roof)
  const members = sectionMembers(plan, at)
  const below = sectionGround(plan, members, at)
  const lines: Line[] = [
    ...below.lines,
    ...(ridgeOf(frame.roof)
      ? [
          {
            from: { x: middle, y: building.heights.south - 120 },
            to: { x: middle, y: frame.roof.highest + 120 },
            ink: 'datum',
          } as const,
        ]
      : []),
    ...houseLine(plan, at),
    ...gambrelLines(plan),
  ]
  return drawn('roof-section', {
    patches: [...below.patches, ...seen(members, sectionView)],
    lines,
    dimensions: dimensions(plan, at),
    pitches: pitchTags(plan),
    handles: handles(plan),
    areas: sectionAreas(plan),
  })
}

/** A building without a roof as it stands on its base, from the south. */
function withoutRoof(plan: Plan): Drawing {
  const below = baseElevation(plan)
  return drawn('roof-section', {
    ...below,
    patches: [
      ...below.patches,
      ...seen(
        plan.frame.members.filter(({ where }) => where.in === 'walls'),
        fromSouth,
      ),
    ],
  })
}

/** The face of the house that a lean-to stands against. */
function houseLine(plan: Plan, at?: number): Line[] {
  const { building, frame } = plan
  const { roof, footprint } = building
  if (!roof.has.house) return []
  const place = sectionPlace(plan, at)
  const inward = place ? houseIn(building, middleOf(place)) : 0
  const x = roof.high === 'north' ? footprint.width - inward : inward
  return [{ from: { x, y: -150 }, to: { x, y: frame.roof.highest + 400 }, ink: 'ground' }]
}
