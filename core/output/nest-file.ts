import type { NestPlan } from '../nest'

const FORMAT = 'early-wren/nest'
const VERSION = 1

/** Millimetres and shares as they stand in a file: to a ten-thousandth. */
const exact = (value: number): number => Math.round(value * 1e4) / 1e4

/** A cut plan as a file: see docs/nest-file.md. */
export const nestFile = ({ aim, proved, boards, cost, bound, waste, plans, unplaced }: NestPlan): object => ({
  format: FORMAT,
  version: VERSION,
  ...{ aim, proved, boards, cost },
  bound: bound === null ? null : exact(bound),
  waste: exact(waste),
  plans: plans.map(({ section, stock, count, cuts, left }) => ({
    ...{ section, stock: exact(stock), count },
    cuts: cuts.map(({ mark, from, length }) => ({ mark, from: exact(from), length: exact(length) })),
    left: exact(left),
  })),
  unplaced: unplaced.map(({ mark, section, length, count, why }) => ({
    ...{ mark, section, length: exact(length), count, why },
  })),
})
