import type { Problem } from '../../lines'
import type { Units } from '../../measure'
import { sayLength, toMark } from '../measures'

/** How a problem's numbers are said: as they are, or rounded to the side on which what is typed then fits. */
export interface Say {
  readonly mm: (value: number) => string
  readonly up: (value: number) => string
  readonly down: (value: number) => string
  /** Where something fits on either side of what is in its way. */
  readonly besides: (
    put: string,
    room: { readonly below: number | null; readonly above: number | null },
  ) => string
}

/** The problem with a code, of those that a union holds. */
type Coded<P, Code> = P extends { readonly code: infer C } ? (Code extends C ? P : never) : never

/** A sentence, or two, for each code: what is wrong, and what to change. */
export type Sentences<P extends Problem> = {
  readonly [Code in P['code']]: (problem: Coded<P, Code>, say: Say) => string
}

export function sayIn(units: Units): Say {
  const mm = (value: number): string => sayLength(value, units)
  const up = (value: number): string => mm(toMark(value, units, 'up'))
  const down = (value: number): string => mm(toMark(value, units, 'down'))
  return {
    mm,
    up,
    down,
    besides: (put, { below, above }) => {
      const places = [
        ...(below === null ? [] : [`at ${down(below)} or less`]),
        ...(above === null ? [] : [`at ${up(above)} or more`]),
      ]
      return places.length
        ? `${put} ${places.join(', or ')}.`
        : 'There is no room for it beside. Put it in another wall, make it smaller, or move the partition.'
    },
  }
}
