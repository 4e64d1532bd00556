import { inSetting } from '../place'
import { add, scale } from '../../geometry'
import type { Stretch } from '../../trade'
import { topFaces } from '../../lines'
import type { Member, Order } from '../member'
import { leaningBoard } from '../roof/leaning-board'
import { type Field, fieldOf } from '../roof/field'
import { BESIDE, HEAD, nearby } from './rows'
import { type SetAsk, tried, type Wanted } from './ask'

/** The bay before a truss, by the truss's number from 1. */
interface Bay {
  readonly number: number
  readonly before: Stretch
  readonly after: Stretch
  /** Whether one of its two trusses lies lower than the other. */
  readonly stepped: boolean
}

/**
 * What keeps each truss at its spacing from the one before it, near the ridge on either slope. Boards laid
 * over two trusses lie in two lanes in turn, since each covers both; beside an end truss that lies lower, and
 * where it is asked for, boards stand between them, with a scrap block over both where that is wanted.
 */
export function* spacersOf(ask: SetAsk): Generator<Wanted> {
  const { lines, lumber, trusses, drop, setting } = ask
  const last = trusses.length - 1
  for (let i = 1; i <= last; i++) {
    const [before, after] = [trusses[i - 1], trusses[i]]
    if (!before || !after || after.from - before.to < lumber.setting.thickness) continue
    const bay = { number: i + 1, before, after, stepped: drop > 0 && (i === 1 || i === last) }
    for (const face of topFaces(lines)) {
      const field = fieldOf(lines, face, lumber.rafter.depth)
      const between = bay.stepped || setting.spacers === 'between'
      yield {
        role: 'spacer',
        find: () => (between ? standing(ask, field, bay) : laidOver(ask, field, bay)),
      }
    }
  }
}

/** Spacers are off before diagonals go on. */
const thereBefore = ({ role }: Member): boolean => role !== 'row-diagonal' && role !== 'top-diagonal'

/** As long as the spacing and a truss's thickness, flush with both trusses' far faces. */
function laidOver(ask: SetAsk, field: Field, { number, before, after }: Bay): readonly Order[] | null {
  const { depth } = ask.lumber.setting
  const lane = HEAD + (depth + BESIDE) * (1 + (number % 2))
  return ask.firstFree(
    tried(
      nearby(lane).filter(off => lane + off < field.long - depth),
      off => [flat(ask, field, lane + off, { from: before.from, to: after.to }, 'spacer', number, 0)],
    ),
    thereBefore,
  )
}

/** Between the trusses, its upper face flush with the lower one's upper edge. */
function standing(
  ask: SetAsk,
  field: Field,
  { number, before, after, stepped }: Bay,
): readonly Order[] | null {
  const { lumber, setting, drop } = ask
  const { depth, thickness } = lumber.setting
  const s = { from: before.to, to: after.from }
  const half = (before.to - before.from) / 2
  const over = { from: s.from - half, to: s.to + half }
  const first = HEAD + depth + BESIDE
  const steps = Math.max(0, Math.floor((field.long - first - depth) / (depth / 2)))
  return ask.firstFree(
    tried(
      Array.from({ length: steps + 1 }, (_, i) => first + (i * depth) / 2),
      u => [
        flat(ask, field, u, s, stepped ? 'end-spacer' : 'spacer', number, -thickness - (stepped ? drop : 0)),
        ...(setting.scrap && !stepped ? [flat(ask, field, u, over, 'scrap', number, 0)] : []),
      ],
    ),
    thereBefore,
  )
}

/** A board flat along the building, its lower face `over` the face's plane. */
function flat(
  { lumber: { setting: section } }: SetAsk,
  { face, on, out, up }: Field,
  u: number,
  s: Stretch,
  name: 'spacer' | 'end-spacer' | 'scrap',
  number: number,
  over: number,
): Order {
  return leaningBoard({
    where: inSetting(number, name, number, face.falls),
    role: name === 'scrap' ? 'scrap-block' : 'spacer',
    section,
    along: 'x',
    s,
    foot: add(on(u + section.depth / 2), scale(out, over + section.thickness)),
    up,
    out,
    cuts: [],
  })
}
