import type { Base } from '../../design'
import type { Ground } from '../ground'
import type { BaseAsk, BaseFrame, BaseShape } from './base'
import { border } from './border'
import { poles } from './poles'
import { skids } from './skids'
import { slab } from './slab'
import { blocks, piers, posts } from './supports'

/** Every kind of base by its name in the document. */
const baseShapes: { readonly [K in Base['kind']]: BaseShape<Extract<Base, { kind: K }>> } = {
  border,
  skids,
  blocks,
  posts,
  piers,
  poles,
  slab,
}

const shapeOf = (base: Base): BaseShape<Base> => baseShapes[base.kind]

/** Level of the underside of a base's lowest timber, or of a slab's top; mm. */
export const baseFoot = (ask: BaseAsk): number => shapeOf(ask.base).foot(ask)

export const frameBase = (ask: BaseAsk, ground: Ground): BaseFrame => shapeOf(ask.base).frame(ask, ground)

export { type BaseAsk, type BaseFrame, type Bearing, type Bed, emptyBase } from './base'
