import type { NestPlan } from '../nest'

const FORMAT = 'early-wren/nest'
const VERSION = 1

/** Millimetres and shares as they stand in a file: to a ten-thousandth. */
const exact = (value: number): number => Math.round(value * 1e4) / 1e4

/** A cut plan as a file: see docs/nest-file.md. */
export const nestFile = ({
  aim,
  proved,
  boards,
  own,
  cost,
  bound,
  waste,
  plans,
  unplaced,
}: NestPlan): object => ({
  format: FORMAT,
  version: VERSION,
  ...{ aim, proved, boards, own, cost },
  bound: bound === null ? null : exact(bound),
  waste: exact(waste),
  plans: plans.map(({ section, stock, count, cuts, left, own, name, defects, poor }) => ({
    ...{ section, stock: exact(stock), count },
    ...(own && { own }),
    ...(name !== undefined && { name }),
    ...(poor && { poor }),
    ...(defects && { bad: defects.map(({ from, to }) => [exact(from), exact(to)]) }),
    cuts: cuts.map(({ mark, from, length, lies }) => ({
      ...{ mark, from: exact(from), length: exact(length) },
      ...(lies && { lies: [exact(lies.left), exact(lies.right)] }),
    })),
    left: exact(left),
  })),
  unplaced: unplaced.map(({ mark, section, length, count, why }) => ({
    ...{ mark, section, length: exact(length), count, why },
  })),
})
