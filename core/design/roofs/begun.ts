import type { Design } from '../design'
import { hasMouth } from '../seat'

/** Rafters that need a bird's mouth begin with one. */
export const bearingOnPlates = (design: Design): Design =>
  hasMouth(design.roof.seat)
    ? design
    : { ...design, roof: { ...design.roof, seat: { rule: 'full-bearing' } } }

/** Under one slope end walls of studs begin raked. */
export const raked = (design: Design): Design =>
  design.walls.gables === 'studs' ? { ...design, walls: { ...design.walls, gables: 'raked' } } : design
