import type { Building, RoofHas } from '../building'
import { plainBuilding } from '../building'
import type { Design } from '../design'
import { withValue } from '../fields'
import type { Roof, RoofShapeName } from '../roof'
import { flat } from './flat'
import { gable } from './gable'
import { gambrel } from './gambrel'
import { headroomWithin, usualHeadroom } from './gambrel-line'
import { hip } from './hip'
import type { RoofAsk, RoofChoice, RoofKind } from './kind'
import { leanTo } from './lean-to'
import { none } from './none'
import { pergola } from './pergola'
import { raisedRidge } from './raised-ridge'
import { singleSlope } from './single-slope'
import { acrossFrom } from '../sides'

/** Each shape's half of the document, by its name there. */
const kinds: Readonly<Record<RoofShapeName, RoofKind>> = {
  gable,
  'single-slope': singleSlope,
  'lean-to': leanTo,
  flat,
  'raised-ridge': raisedRidge,
  hip,
  gambrel,
  pergola,
  none,
}

/** What a roof has, as it was asked for. */
export const roofHas = (roof: RoofAsk & Pick<Roof, 'shape'>): RoofHas => kinds[roof.shape].has(roof)

/** The building that a valid design asks for, with what follows from its fields worked out. */
export function workedOut(design: Design): Building {
  const { shape, ...roof } = design.roof
  const { has, workOut } = kinds[shape]
  return workOut(plainBuilding({ ...design, roof }, has(roof)), design.roof)
}

/** The roofs that can be chosen, in the order they are shown in. */
export const roofChoices: readonly RoofChoice[] = Object.entries(kinds).flatMap(([shape, { choices }]) =>
  choices.map(choice => ({ shape: shape as RoofShapeName, ...choice })),
)

const isUnequal = ({ northPitch, peak }: Roof): boolean => northPitch !== null || peak.at !== null

/** Whether a design has a roof as it is chosen. */
export const hasRoof = ({ roof }: Design, { shape, high, unequal }: RoofChoice): boolean =>
  roof.shape === shape &&
  (high === undefined || roof.high === high) &&
  (unequal === undefined || isUnequal(roof) === unequal)

/**
 * The design with another roof on it. Both eave walls begin as high as all; what the new roof can't have is
 * let go.
 */
export function withRoofOf(design: Design, choice: RoofChoice): Design {
  const { shape, high = design.roof.high } = choice
  const before = kinds[design.roof.shape].left?.(design) ?? design
  const { walls, roof } = before
  const { south, north } = walls.sides
  const level = {
    ...before,
    walls: {
      ...walls,
      sides: { ...walls.sides, south: { ...south, height: null }, north: { ...north, height: null } },
    },
    roof: { ...roof, shape, high, northPitch: null, peak: { at: null, height: null } },
  }
  return kinds[shape].begun(level, choice, before)
}

/**
 * A part that hangs under an eave or carries a slope on: a height asked for on its low side lets its pitch
 * follow, and one on its ledger's side is what it hangs at from then on.
 */
function hangEdited(before: Design, next: Design, path: string): Design {
  const { hang } = next
  const { house } = roofHas(next.roof)
  if (!hang || !house || (hang.by !== 'eave' && hang.by !== 'slope')) return next
  const ledger = `walls.sides.${house}.height`
  if (path === ledger) return withValue(next, 'hang.by', 'height')
  const low = path === 'walls.height' || path === `walls.sides.${acrossFrom[house]}.height`
  return low && next.walls.sides[house].height === null
    ? withValue(next, ledger, workedOut(before).heights[house])
    : next
}

/**
 * The design with one value changed, and what was asked for before and would stand against it let go: a pitch
 * lets go of the height that decides it, a north pitch of the peak's place, a spacing of panels that led.
 */
export function withEdit(design: Design, path: string, value: unknown): Design {
  const inNothing = path.startsWith('roof.gambrel.headroom.') && !design.roof.gambrel.headroom
  const next = inNothing ? design : hangEdited(design, withValue(design, path, value), path)
  switch (path) {
    case 'roof.pitch': {
      const free = withValue(next, 'roof.peak.height', null)
      const { falls } = roofHas(next.roof)
      return falls.length === 1 ? withValue(free, `walls.sides.${next.roof.high}.height`, null) : free
    }
    case 'roof.carried': {
      // trusses of one slope stand on walls of one height, and keep the pitch
      const { high } = design.roof
      return value === 'trusses' && roofHas(next.roof).falls.length === 1
        ? withValue(
            withValue(next, 'roof.pitch', workedOut(design).roof.pitch),
            `walls.sides.${high}.height`,
            null,
          )
        : next
    }
    case 'roof.gambrel.headroom.height':
    case 'roof.gambrel.headroom.width': {
      // what was never asked for begins as it is
      if (design.roof.gambrel.headroom) return next
      const { gambrel } = workedOut(design).roof
      if (!gambrel) return design
      const begun = gambrel.by === 'headroom' ? usualHeadroom(gambrel.ask) : gambrel.headroom
      return withValue(withValue(design, 'roof.gambrel.headroom', headroomWithin(begun)), path, value)
    }
    case 'roof.gambrel.knee.up':
      return withValue(next, 'roof.gambrel.knee.share', null)
    case 'roof.northPitch':
      return withValue(next, 'roof.peak.at', null)
    case 'roof.spacing':
      return withValue(next, 'roof.panel', null)
    default:
      return next
  }
}
