import type { BaseKind, Design } from '../../core/design'

/** mm². To here a shed is customarily moved or stood on skids; a larger one on blocks. */
const SKIDS = 12e6

/**
 * The base that is customary for a building: a slab where it has no framed floor, skids under a small one,
 * concrete blocks under a larger; posts in the ground where a porch is on the same base (common practice, no
 * source).
 */
export function usualBaseFor({ floor, footprint }: Design): BaseKind {
  if (!floor) return 'slab'
  if (floor.porch) return 'posts'
  return footprint.length * footprint.width <= SKIDS ? 'skids' : 'blocks'
}
