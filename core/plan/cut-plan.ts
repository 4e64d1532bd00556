import { isLumber, stockLengths } from '../lumber'
import type { NestAim, NestAsk, NestStock } from '../nest'
import type { Whole } from './whole'

/**
 * What of a building comes out of boards, from the lengths its yard sells: every part's lumber, sheets and
 * panels left out. `kerf` is what each cut takes, mm.
 */
export function cutAskOf({ main, parts }: Whole, aim: Exclude<NestAim, 'cost'>, kerf: number): NestAsk {
  const pieces = [main, ...parts.map(({ plan }) => plan)]
    .flatMap(plan => plan.pieces)
    .filter(({ section }) => isLumber(section))
  const sections = [...new Set(pieces.map(({ section }) => section.name))]
  const lengths = stockLengths[main.design.lumber.yard]
  return {
    pieces: pieces.map(({ mark, section, length, count }) => ({
      mark,
      section: section.name,
      length,
      count,
    })),
    stock: sections.flatMap(section =>
      lengths.map((length): NestStock => ({ section, length, price: null, count: null })),
    ),
    ...{ kerf, trim: 0, aim },
  }
}
