import { isLumber, stockLengths } from '../lumber'
import type { NestPiece } from '../nest'
import type { Whole } from './whole'

/** What of a building comes out of boards: every part's lumber, sheets and panels left out. */
export const cutPieces = ({ main, parts }: Whole): NestPiece[] =>
  [main, ...parts.map(({ plan }) => plan)]
    .flatMap(plan => plan.pieces)
    .filter(({ section }) => isLumber(section))
    .map(({ mark, section, length, count }) => ({ mark, section: section.name, length, count }))

/** Lengths that a building's yard sells, mm. */
export const yardLengths = ({ main }: Whole): readonly number[] => stockLengths[main.design.lumber.yard]
