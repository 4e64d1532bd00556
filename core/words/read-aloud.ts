import type { MarkedPair, PairMark } from '../plan'
import { formatLength, type Units } from '../measure'

/** What a letter on a plate stands for. */
export const letterWords: Record<PairMark['letter'], string> = {
  X: 'stud',
  N: 'nailer, flat',
  T: 'tail joist',
  K: 'king',
  J: 'jack',
  C: 'cripple',
  P: 'post',
  R: 'rafter',
  TR: 'truss',
}

/** One mark, or stretch, as it is called out: where the tape says, and what to write. */
export interface Called {
  readonly at: number
  readonly say: string
}

/**
 * The marks of two plates in the order the tape runs, to be read out to the one with the pencil: near sides,
 * the letter ahead; joints and what is cut out later where they come.
 */
export function readAloud({ boards, marks, cutOuts, joints, step }: MarkedPair, units: Units): Called[] {
  const mm = (value: number): string => formatLength(value, { units })
  const calls: Called[] = [
    ...marks.map(mark => ({
      at: mark.from,
      say: `${mm(mark.from)}: ${letterWords[mark.letter]}, ${mark.letter} ahead`,
    })),
    ...cutOuts.map(({ from, to }) => ({
      at: from,
      say: `${mm(from)} to ${mm(to)}: door; the bottom plate is cut out here once the wall stands`,
    })),
    ...joints.map(at => ({
      at,
      say: `${mm(at)}: ${boards === 1 ? 'plate' : 'plates'} joined, over the middle of the stud`,
    })),
    ...(step === null
      ? []
      : [{ at: step, say: `${mm(step)}: the wall steps; the top plates go on at the other level` }]),
  ]
  return calls.sort((a, b) => a.at - b.at)
}
