import type { RoofCover } from '../../design'
import type { Section } from '../../lumber'

/** How far a roof's covering reaches over its rafters, square to the slope, mm. */
export const coverHigh = ({ deck, battens, top }: RoofCover, section: (name: string) => Section): number =>
  (deck?.kind === 'sheets' ? deck.thickness : deck ? section(deck.section).thickness : 0) +
  (battens ? section(battens.section).thickness : 0) +
  (top?.kind === 'panels' ? top.height : 0)
