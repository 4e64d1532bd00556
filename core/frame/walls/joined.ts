import { jacksOver, limits, roughSize } from '../../design'
import type { Problem } from '../../lines'
import { HAIR, TYPED } from '../../measure'
import type { Stretch } from '../../trade'
import { apartOf, type RoughOpening } from './rough-opening'

/** Openings of a wall that share one header with an opening, itself among them, from the wall's low end. */
export const matesOf = ({ group }: RoughOpening, all: readonly RoughOpening[]): RoughOpening[] =>
  all.filter(each => each.group === group).sort((a, b) => a.s.from - b.s.from)

/** Whether two openings that stand beside each other are asked to be under one header. */
export const asksJoin = (a: RoughOpening, b: RoughOpening): boolean =>
  a.opening.join === true || b.opening.join === true

/** An opening under the header of those it joins: that of the first of them, over all, at its level. */
export function joinedTo(each: RoughOpening, mates: readonly RoughOpening[]): RoughOpening[] {
  const all = [...mates, each]
  const [first = each] = [...all].sort((a, b) => a.number - b.number)
  const whole: Stretch = {
    from: Math.min(...all.map(({ s }) => s.from)),
    to: Math.max(...all.map(({ s }) => s.to)),
  }
  const { header } = first.opening
  const jacks = jacksOver(header, whole.to - whole.from)
  return all.map(mate => ({
    ...mate,
    group: first.number,
    whole,
    z: { from: mate.z.from, to: first.z.to },
    jacks,
    header: first.header,
    opening: { ...mate.opening, header },
  }))
}

/**
 * Why two openings can't be under one header: their heads are not on one level, or between them stands not
 * one stud, nor two or more.
 */
export function joinProblem(
  each: RoughOpening,
  other: RoughOpening,
  t: number,
  overall: number,
): Problem | null {
  const { number, s, z, opening } = each
  const path = `walls.openings.${number}` as const
  const off = other.z.to - z.to
  const height = opening.unit.height + off
  if (Math.abs(off) > TYPED)
    return height < limits.unit.min || height > limits.unit.max
      ? apartOf(each, other, t)
      : {
          code: 'joined-heads',
          path: `${path}.unit.height`,
          number: number + 1,
          other: other.number + 1,
          height,
        }
  const gap = s.from > other.s.from ? s.from - other.s.to : other.s.from - s.to
  if (Math.abs(gap - t) < TYPED || gap > 2 * t - HAIR) return null
  const half = roughSize(opening).width / 2 + t
  return {
    code: 'joined-apart',
    path: `${path}.at`,
    number: number + 1,
    other: other.number + 1,
    below: other.s.from - half > half ? other.s.from - half : null,
    above: other.s.to + half < overall - half ? other.s.to + half : null,
  }
}
