import loadHighs from 'highs'
import type { Design } from '../core/design'
import { stockLengths } from '../core/lumber'
import {
  amountOf,
  nest,
  type NestAsk,
  nestAims,
  type NestPiece,
  nestSheets,
  type NestStock,
  type SheetAsk,
} from '../core/nest'
import { cutPieces, sheetSections, whole } from '../core/plan'

/** Numbers from 0 to 1 that are the same each time, by a linear congruence. */
function random(seed: number): () => number {
  let state = (seed * 2654435761) >>> 0
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return state / 2 ** 32
  }
}

const counted = (lengths: readonly number[]): NestPiece[] =>
  [...new Set(lengths)].map(length => ({
    ...{ mark: `L${length}`, section: 'a', length },
    count: lengths.filter(each => each === length).length,
  }))

/** The published uniform class (Falkenauer 1996, from memory): lengths of 20 to 100 out of 150. */
const uniform = (n: number, seed: number): number[] => {
  const next = random(seed)
  return Array.from({ length: n }, () => 20 + Math.floor(next() * 81))
}

/** The triplet class of the same: three fill a board of 1000, one of 380 to 490, none under 250. */
const triplets = (n: number, seed: number): number[] => {
  const next = random(seed)
  return Array.from({ length: n / 3 }, () => {
    const a = 380 + Math.floor(next() * 111)
    const b = 250 + Math.floor(next() * ((1000 - a) / 2 - 249))
    return [a, b, 1000 - a - b]
  }).flat()
}

const seeds = Array.from({ length: 10 }, (_, i) => i + 1)
const at = (sorted: readonly number[], share: number): string =>
  (sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0).toFixed(0).padStart(6)

interface Tried {
  readonly ms: number
  readonly proved: boolean
  /** How far over its bound, as a share; null without one. */
  readonly gap: number | null
}

type Nester = (ask: NestAsk, seconds: number) => Tried

function tell(name: string, tried: readonly Tried[]): void {
  const ms = tried.map(each => each.ms).sort((a, b) => a - b)
  const gaps = tried.map(({ gap }) => (gap === null ? 100 : gap * 100))
  console.log(
    `${name.padEnd(34)} ${String(tried.filter(({ proved }) => proved).length).padStart(3)} of ${tried.length} ${at(ms, 0.5)} ${at(ms, 1)}   ${Math.max(...gaps).toFixed(2)} %`,
  )
}

/** The assignment of pieces to boards as whole numbers, as one would first write it; ms, in `seconds`. */
function plainly(
  highs: Awaited<ReturnType<typeof loadHighs>>,
  lengths: readonly number[],
  seconds: number,
): number {
  const boards = Math.ceil((lengths.reduce((a, b) => a + b, 0) / 150) * 1.1)
  const all = [...Array(boards).keys()]
  const lp = [
    'Minimize',
    ` obj: ${all.map(b => `y${b}`).join(' + ')}`,
    'Subject To',
    ...lengths.map((_, i) => ` p${i}: ${all.map(b => `x${i}_${b}`).join(' + ')} = 1`),
    ...all.map(b => ` b${b}: ${lengths.map((long, i) => `${long} x${i}_${b}`).join(' + ')} - 150 y${b} <= 0`),
    'Binary',
    ...all.map(b => ` y${b}`),
    ...lengths.flatMap((_, i) => all.map(b => ` x${i}_${b}`)),
    'End',
  ].join('\n')
  const start = performance.now()
  highs.solve(lp, { time_limit: seconds, mip_rel_gap: 0, output_flag: false })
  return performance.now() - start
}

/** Each lumber section of a design as a list, with the lengths sold, dearer by the foot the longer. */
function sectionsOf(design: Design): NestAsk[] {
  const pieces = cutPieces(whole(design))
  return [...new Set(pieces.map(({ section }) => section))].map(section => ({
    ...{ kerf: 3, trim: 0, aim: 'cost' },
    pieces: pieces.filter(each => each.section === section),
    stock: stockLengths[design.lumber.yard].map((length): NestStock => ({
      ...{ section, length, count: null },
      price: Math.round((length / 304.8) * (60 + length / 600)) / 100,
    })),
  }))
}

/** Sheets: lists of 40 by chance, and the demo designs'; how many are proved, or one over the bound. */
function benchSheets(demos: readonly Design[]): void {
  const row = (name: string, asks: readonly SheetAsk[]): void => {
    const tried = asks.map(ask => {
      const start = performance.now()
      const { sheets, bound } = nestSheets(ask, { time: 1000, now: () => performance.now() })
      return { ms: performance.now() - start, over: sheets.length - bound }
    })
    const ms = tried.map(each => each.ms).sort((a, b) => a - b)
    const none = tried.filter(({ over }) => over === 0).length
    const one = tried.filter(({ over }) => over <= 1).length
    console.log(
      `${name.padEnd(34)} ${String(none).padStart(3)} of ${tried.length} ${at(ms, 0.5)} ${at(ms, 1)}   ${one} at most one sheet over`,
    )
  }
  row(
    'sheets, 40 pieces at random',
    seeds.map(seed => {
      const next = random(seed + 300)
      const items = Array.from({ length: 40 }, (_, i) => ({
        ...{ mark: `P${i}`, count: 1 },
        ...{ long: 200 + Math.floor(next() * 1400), wide: 100 + Math.floor(next() * 900) },
      }))
      return { items, long: 2440, wide: 1220, kerf: 3 }
    }),
  )
  row(
    "demos' sheets",
    demos.flatMap(design => sheetSections(whole(design), 3).map(({ ask }) => ask)),
  )
}

/** Hard lists, and those of the demo designs: how many are proved, ms (median, most), largest gap. */
export async function benchNest(demos: readonly Design[]): Promise<void> {
  const highs = await loadHighs()
  const nester: Nester = (ask, seconds) => {
    const start = performance.now()
    const made = nest(highs, ask, { time: seconds * 1000, now: () => performance.now() })
    const ms = performance.now() - start
    const got = amountOf(made)
    return {
      ms,
      proved: made.proved,
      gap: made.bound === null ? null : made.bound ? got / made.bound - 1 : 0,
    }
  }
  const plain = { kerf: 0, trim: 0, aim: 'boards' } as const
  console.log(`\n${'cut plans'.padEnd(34)} proved     median   most   largest gap`)
  for (const [name, lengths, board] of [
    ['uniform 120', (seed: number) => uniform(120, seed), 150],
    ['uniform 250', (seed: number) => uniform(250, seed), 150],
    ['triplets 60', (seed: number) => triplets(60, seed), 1000],
    ['triplets 120', (seed: number) => triplets(120, seed), 1000],
    ['triplets 249', (seed: number) => triplets(249, seed), 1000],
  ] as const) {
    const stock = [{ section: 'a', length: board, price: null, count: null }]
    tell(
      name,
      seeds.map(seed => nester({ ...plain, pieces: counted(lengths(seed)), stock }, 10)),
    )
  }
  tell(
    '300 pieces, 40 lengths, 6 of stock',
    seeds.map(seed => {
      const next = random(seed + 100)
      const kinds = Array.from({ length: 40 }, () => 300 + Math.floor(next() * 3300))
      const lengths = Array.from({ length: 300 }, () => kinds[Math.floor(next() * 40)] ?? 300)
      const stock = [8, 10, 12, 14, 16, 20].map(feet => ({
        ...{ section: 'a', length: feet * 304.8, count: null },
        price: Math.round(feet * 62 + (feet > 14 ? 150 : 0)) / 100,
      }))
      return nester({ kerf: 3, trim: 0, aim: 'cost', pieces: counted(lengths), stock }, 10)
    }),
  )
  tell(
    'the same, and 30 boards on hand',
    seeds.map(seed => {
      const next = random(seed + 200)
      const kinds = Array.from({ length: 40 }, () => 300 + Math.floor(next() * 3300))
      const lengths = Array.from({ length: 300 }, () => kinds[Math.floor(next() * 40)] ?? 300)
      const sold = [8, 10, 12, 14, 16, 20].map(feet => ({
        ...{ section: 'a', length: feet * 304.8, count: null },
        price: Math.round(feet * 62 + (feet > 14 ? 150 : 0)) / 100,
      }))
      const own = Array.from({ length: 10 }, (_, i): NestStock => ({
        ...{ section: 'a', length: 900 + Math.floor(next() * 4000), price: null, count: 3, own: true },
        ...{ name: `own ${i}`, ...(i % 3 === 0 && { defects: [{ from: 400, to: 450 }] }) },
      }))
      const stock = [...sold, ...own]
      return nester({ kerf: 3, trim: 0, aim: 'cost', pieces: counted(lengths), stock }, 10)
    }),
  )
  benchSheets(demos)
  for (const seconds of [1, 2])
    for (const aim of nestAims)
      tell(
        `demos' sections, ${aim}, ${seconds} s`,
        demos.flatMap(sectionsOf).map(ask => nester({ ...ask, aim }, seconds)),
      )
  const first = uniform(120, 1)
  const own = nester(
    { ...plain, pieces: counted(first), stock: [{ section: 'a', length: 150, price: null, count: null }] },
    10,
  )
  const limit = Math.max(20, (own.ms * 120) / 1000)
  const other = plainly(highs, first, limit)
  console.log(
    `uniform 120 as a plain assignment: ${(other / 1000).toFixed(1)} s of ${limit.toFixed(0)} allowed, ${(other / own.ms).toFixed(0)} times ${own.ms.toFixed(0)} ms`,
  )
}
