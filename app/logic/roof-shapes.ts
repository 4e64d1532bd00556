import type { Design, RoofShapeName } from '../../core/design'

/** A roof that can be had, and what a framer calls it. */
export interface ShapeChoice { readonly shape: RoofShapeName, readonly high: 'south' | 'north', readonly label: string }

export const shapeChoices: readonly ShapeChoice[] = [
  { shape: 'gable', high: 'north', label: 'Gable' },
  { shape: 'single-slope', high: 'north', label: 'Single slope, high on the north' },
  { shape: 'single-slope', high: 'south', label: 'Single slope, high on the south' },
]

export const isShape = ({ roof }: Design, { shape, high }: ShapeChoice): boolean => roof.shape === shape && (shape === 'gable' || roof.high === high)

/**
 * The design with another roof on it. Both eave walls begin as high as all: a single slope's high wall then follows the pitch, and what its two bird's mouths can't be is let go;
 * its end walls are raked, as they are under one slope.
 */
export function withShape(design: Design, { shape, high }: ShapeChoice): Design {
  const { walls, roof } = design
  const eaves = { south: { ...walls.sides.south, height: null }, north: { ...walls.sides.north, height: null } }
  const single = shape === 'single-slope'
  return {
    ...design,
    walls: { ...walls, sides: { ...walls.sides, ...eaves }, gables: single && walls.gables === 'studs' ? 'raked' : walls.gables },
    roof: { ...roof, shape, high, seat: single && roof.seat.rule === 'none' ? { rule: 'full-bearing' } : roof.seat },
  }
}
