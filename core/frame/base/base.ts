import { type Placed } from '../place'
import type { Base, Building } from '../../design'
import type { Section } from '../../lumber'
import type { Ground } from '../ground'
import type { Order } from '../member'
import type { Hole, Part } from '../part'
import type { Problem } from '../../lines'
import type { Rect } from '../rect'

/** Gravel laid level: where, from which level to which, mm. `under` is what it carries. */
export interface Bed extends Placed {
  readonly rect: Rect
  readonly low: number
  readonly high: number
  /** Whether it lies on another bed: nothing is dug or filled for it. */
  readonly over?: true
}

/**
 * Wood or concrete that the floor's frame rests on: seen from above, mm, and the way it runs; null for a
 * single support.
 */
export interface Bearing {
  readonly rect: Rect
  readonly along: 'x' | 'y'
}

/** A base as boards, parts, holes and beds. */
export interface BaseFrame {
  readonly orders: readonly Order[]
  readonly parts: readonly Part[]
  readonly holes: readonly Hole[]
  readonly beds: readonly Bed[]
  readonly bearings: readonly Bearing[]
  /** Level of the foot of each of the sides' own posts in the ground, by what it is called; mm. */
  readonly feet: Readonly<Record<string, number>>
  readonly problems: readonly Problem[]
}

export const emptyBase: BaseFrame = {
  orders: [],
  parts: [],
  holes: [],
  beds: [],
  bearings: [],
  feet: {},
  problems: [],
}

/**
 * What a kind of base is framed from: `rect` and `top` are what stands on it, the outline and the level of
 * its underside; mm.
 */
export interface BaseAsk<K extends Base = Base> {
  readonly building: Building
  readonly base: K
  readonly rect: Rect
  readonly top: number
  /** Way the floor's joists run. */
  readonly joists: 'x' | 'y'
  /** Levels of x and of y at which two floor frames meet; a row that runs along one is laid under it. */
  readonly seams: Readonly<Record<'x' | 'y', readonly number[]>>
  readonly section: (name: string) => Section
  /** Outlines of the parts that hang on it. */
  readonly taken: readonly Rect[]
}

/**
 * One kind of base. `foot` gives the level of its lowest timber's underside, from which the ground is set
 * out; then it is framed on that ground.
 */
export interface BaseShape<K extends Base> {
  foot(ask: BaseAsk<K>): number
  frame(ask: BaseAsk<K>, ground: Ground): BaseFrame
}
