import type { Roof } from '../../design'
import { flat } from './flat'
import type { RoofShape } from './form'
import { gable } from './gable'
import { gambrel } from './gambrel'
import { hip } from './hip'
import { leanTo } from './lean-to'
import { none } from './none'
import { pergola } from './pergola'
import { raisedRidge } from './raised-ridge'
import { singleSlope } from './single-slope'

/** Each shape's lines, by its name in the document. */
const shapes: Readonly<Record<Roof['shape'], RoofShape>> = {
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

export const shapeFor = ({ shape }: Pick<Roof, 'shape'>): RoofShape => shapes[shape]
