import { type Design, hasRoof, type RoofChoice, roofChoices, withRoofOf } from '../../core/design'
import { sayRoof } from '../../core/words'

/** A roof that can be had, and what a framer calls it. */
export interface ShapeChoice extends RoofChoice {
  readonly label: string
  readonly short: string
}

export const shapeChoices: readonly ShapeChoice[] = roofChoices.map(choice => ({
  ...choice,
  ...sayRoof(choice),
}))

/** What the design's roof is called. */
export const shapeOf = (design: Design): ShapeChoice =>
  shapeChoices.find(choice => hasRoof(design, choice)) ?? (shapeChoices[0] as ShapeChoice)

export { hasRoof as isShape, withRoofOf as withShape }
