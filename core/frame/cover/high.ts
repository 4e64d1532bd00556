import type { RoofCover } from '../../design'
import type { Section } from '../../lumber'

/** How far a roof's covering reaches over its rafters, square to the slope, where it is highest; mm. */
export const coverHigh = (cover: RoofCover, section: (name: string) => Section): number =>
  Math.max(...[cover, ...cover.own].map(each => highOf(each, section)))

const highOf = (
  { deck, battens, top }: Pick<RoofCover, 'deck' | 'battens' | 'top'>,
  section: (name: string) => Section,
): number =>
  (deck?.kind === 'sheets' ? deck.thickness : deck ? section(deck.section).thickness : 0) +
  (battens ? section(battens.section).thickness : 0) +
  (top?.kind === 'panels' ? top.height : 0)
