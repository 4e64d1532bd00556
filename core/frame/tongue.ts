import type { DeckEdge } from '../design'
import type { Section } from '../lumber'
import { gaps } from '../trade'

/** A board as wide as it covers: one with a tongue less that. */
export const covering = (section: Section, edge: DeckEdge): Section =>
  edge === 'tongue'
    ? { ...section, depth: Math.max(section.depth - gaps.tongue, section.depth / 2) }
    : section
