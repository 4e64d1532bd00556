import type { Building, RoofHas } from '../building'
import type { Design } from '../design'
import type { Roof } from '../roof'

/** What is chosen with a roof's shape: the side it is high on, and whether its slopes may differ. */
export interface RoofChoice {
  readonly shape: Roof['shape']
  readonly high?: Roof['high']
  readonly unequal?: boolean
}

/** What of a roof decides what it has, besides its shape. */
export type RoofAsk = Pick<Roof, 'high' | 'carried' | 'gambrel' | 'truss'>

/** A shape's half of the document: a newcomer adds one, and its lines under the same name in the frame. */
export interface RoofKind {
  readonly has: (roof: RoofAsk) => RoofHas
  /** The building, given one with nothing worked out, and the roof as it was asked for. */
  readonly workOut: (plain: Building, asked: Roof) => Building
  /** How it can be chosen besides its name. */
  readonly choices: readonly Omit<RoofChoice, 'shape'>[]
  /** What a design becomes that has just taken it, its eave walls level; `before` as it was until then. */
  readonly begun: (design: Design, choice: RoofChoice, before: Design) => Design
  /** What a design becomes that is about to leave it; nothing to do without. */
  readonly left?: (design: Design) => Design
}
