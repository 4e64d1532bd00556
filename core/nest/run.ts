import { z } from '../design/zod'
import {
  type NestAsk,
  type NestBoard,
  type NestCut,
  type NestPiece,
  type NestPlan,
  type NestStock,
  type Stretch,
  type Traits,
  traitsOf,
  traitText,
} from './ask'
import type { Buying } from './buy'
import { isCut, marksOf, type RunSheet, runSheetSchema, type SheetKind, sheetToCut } from './sheet-run'
import type { SheetPlan } from './sheets'

/** One board at the saw: `done` of its cuts are made, from the left. */
export interface RunBoard extends Traits {
  readonly section: string
  readonly stock: number
  readonly price: number | null
  readonly cuts: readonly NestCut[]
  readonly done: number
  /** Needed beyond what was bought. */
  readonly more?: boolean
}

/** What lies at the saw: the boards in the order they are cut, and those kept whole. */
interface Lying {
  readonly boards: readonly RunBoard[]
  readonly spare: readonly RunBoard[]
  readonly sheets: readonly RunSheet[]
}

type Step =
  | { readonly kind: 'sawn'; readonly board: number }
  | { readonly kind: 'stroke'; readonly sheet: number }
  | ({ readonly kind: 'again' } & Lying)

/** A plan as it is sawn; `log` what was done, so that it can be undone. */
export interface SawRun extends Lying {
  readonly log: readonly Step[]
}

/** Of plans made again so many can be undone. */
const PLANS_KEPT = 5

/** What was done, with what lay there before some of it was planned again. */
export function replanned({ boards, spare, sheets, log }: SawRun): readonly Step[] {
  const again = log.filter(({ kind }) => kind === 'again').length
  return [...(again < PLANS_KEPT ? log : []), { kind: 'again', boards, spare, sheets }]
}

const whole = (board: NestBoard | RunBoard): RunBoard => {
  const { section, stock, price, cuts } = board
  return { ...{ section, stock, price, cuts, done: 0 }, ...traitsOf(board) }
}

/** A plan's boards one by one, section after section, the spare ones that were bought, and its sheets. */
export function beginRun(
  { plans }: NestPlan,
  { sections }: Buying,
  sheets: readonly (SheetKind & { readonly sheets: readonly SheetPlan[] })[] = [],
): SawRun {
  const order = [...new Set(plans.map(({ section }) => section))]
  const boards = order.flatMap(section =>
    plans
      .filter(each => each.section === section)
      .flatMap(board => Array.from({ length: board.count }, () => whole(board))),
  )
  const spare = sections.flatMap(({ section, rows }) =>
    rows.flatMap(({ length, price, spare: more }) =>
      Array.from({ length: more }, (): RunBoard => ({ section, stock: length, price, cuts: [], done: 0 })),
    ),
  )
  return {
    boards,
    spare,
    sheets: sheets.flatMap(kind => kind.sheets.map(each => sheetToCut(kind, each))),
    log: [],
  }
}

/** Cuts of one length that follow each other on a board: what one card says. */
export interface RunCard {
  readonly board: number
  /** The first of them, and how many. */
  readonly first: number
  readonly count: number
  readonly done: number
  readonly mark: string
  readonly length: number
  /** From the board's left end. */
  readonly from: number
  /** How many cuts of this length follow from here on in a row, these with them; 0 where one came before. */
  readonly stop: number
}

export function cardsOf({ boards }: SawRun): RunCard[] {
  const cards: Omit<RunCard, 'stop'>[] = []
  boards.forEach((board, b) => {
    board.cuts.forEach(({ mark, length, from }, i) => {
      const last = cards.at(-1)
      if (last?.board === b && last.mark === mark) {
        cards[cards.length - 1] = {
          ...last,
          count: last.count + 1,
          done: Math.min(last.count + 1, Math.max(0, board.done - last.first)),
        }
        return
      }
      cards.push({
        ...{ board: b, first: i, count: 1, mark, length, from },
        done: Math.min(1, Math.max(0, board.done - i)),
      })
    })
  })
  const alike = (a: number, b: number): boolean => {
    const [one, other] = [cards[a], cards[b]]
    return (
      !!one &&
      !!other &&
      Math.abs(one.length - other.length) < SAME &&
      boards[one.board]?.section === boards[other.board]?.section
    )
  }
  return cards.map((card, i) => {
    if (alike(i - 1, i)) return { ...card, stop: 0 }
    let stop = card.count
    for (let k = i + 1; alike(i, k); k++) stop += cards[k]?.count ?? 0
    return { ...card, stop }
  })
}

/** mm: a stop is not set again for less. */
const SAME = 0.05

/** The next cut of a board is made. */
export function sawn(run: SawRun, board: number): SawRun {
  const at = run.boards[board]
  if (!at || at.done >= at.cuts.length) return run
  const boards = run.boards.map((each, i) => (i === board ? { ...each, done: each.done + 1 } : each))
  return { ...run, boards, log: [...run.log, { kind: 'sawn', board }] }
}

/** The last step taken back; the same where there is none. */
export function undone(run: SawRun): SawRun {
  const step = run.log.at(-1)
  if (!step) return run
  const log = run.log.slice(0, -1)
  if (step.kind === 'again') return { boards: step.boards, spare: step.spare, sheets: step.sheets, log }
  if (step.kind === 'stroke') {
    const sheets = run.sheets.map((each, i) =>
      i === step.sheet ? { ...each, done: Math.max(0, each.done - 1) } : each,
    )
    return { ...run, sheets, log }
  }
  const boards = run.boards.map((each, i) =>
    i === step.board ? { ...each, done: Math.max(0, each.done - 1) } : each,
  )
  return { ...run, boards, log }
}

/** The next cut of a sheet is made. */
export function stroked(run: SawRun, sheet: number): SawRun {
  const at = run.sheets[sheet]
  if (!at || isCut(at)) return run
  const sheets = run.sheets.map((each, i) => (i === sheet ? { ...each, done: each.done + 1 } : each))
  return { ...run, sheets, log: [...run.log, { kind: 'stroke', sheet }] }
}

/** How many of each mark are sawn: of a sheet once all of its cuts are made. */
export function sawnOf({ boards, sheets }: Lying): Map<string, number> {
  const out = new Map<string, number>()
  const add = (mark: string): void => void out.set(mark, (out.get(mark) ?? 0) + 1)
  for (const { cuts, done } of boards) for (const { mark } of cuts.slice(0, done)) add(mark)
  for (const sheet of sheets.filter(isCut)) for (const { mark } of sheet.places) marksOf(mark).forEach(add)
  return out
}

/** A run with other sheets in the place of those of some sections that nothing is cut of yet. */
export function withSheets(
  run: SawRun,
  made: readonly (SheetKind & { readonly sheets: readonly SheetPlan[] })[],
  sections: readonly string[],
): SawRun {
  const kept = run.sheets.filter(({ section, done }) => done > 0 || !sections.includes(section))
  const more = made.flatMap(kind => kind.sheets.map(each => sheetToCut(kind, each)))
  return {
    ...run,
    sheets: [...kept, ...more],
    log: replanned(run),
  }
}

/**
 * What went wrong at a board: its next piece is spoilt, `good` mm of it still sound; or it has a bad stretch,
 * mm from the left end as it lies now, after the last cut.
 */
export type Mishap =
  | { readonly kind: 'wrong'; readonly board: number; readonly good: number }
  | { readonly kind: 'bad'; readonly board: number; readonly bad: Stretch }

/** Where the wood begins that is not cut yet, mm from a board's left end. */
export function restFrom({ cuts, done }: RunBoard, kerf: number): number {
  const last = cuts[done - 1]
  return last ? last.from + last.length + kerf : 0
}

/** What is left of boards of a section at the saw, as boards on hand. */
function leftOf(run: SawRun, section: string, kerf: number, mishap: Mishap | null): NestStock[] {
  const out: NestStock[] = []
  const add = (length: number, defects: readonly Stretch[], from: RunBoard): void => {
    if (length < LEAST) return
    out.push({
      ...{ section, length, price: from.price, count: 1 },
      ...traitsOf({ ...from, own: true, name: from.name ?? '', defects }),
    })
  }
  run.boards.forEach((board, i) => {
    const { stock, defects = [], cuts, done } = board
    if (board.section !== section) return
    let from = restFrom(board, kerf)
    const extra: Stretch[] = []
    if (mishap?.board === i && mishap.kind === 'wrong') {
      const next = cuts[done]
      const length = next?.length ?? 0
      // the wood up to the spoilt piece's own beginning is lost with it
      from = (next?.from ?? from) + length + kerf
      add(Math.min(mishap.good, length), [], board)
    }
    if (mishap?.board === i && mishap.kind === 'bad') extra.push(mishap.bad)
    const shifted = defects
      .map(bad => ({ from: Math.max(0, bad.from - from), to: bad.to - from }))
      .filter(({ to }) => to > 0)
    add(stock - from, [...shifted, ...extra], board)
  })
  for (const board of run.spare) if (board.section === section) add(board.stock, board.defects ?? [], board)
  return out
}

/** mm: what is shorter is no board. */
const LEAST = 100

/** What is still to be cut of a design's pieces: those as long are counted off that are sawn. */
function wantedOf(run: SawRun, section: string, pieces: readonly NestPiece[]): NestPiece[] {
  const made = run.boards
    .filter(board => board.section === section)
    .flatMap(({ cuts, done }) => cuts.slice(0, done))
  return pieces
    .filter(piece => piece.section === section)
    .map(piece => {
      const sawnYet = made.filter(
        ({ mark, length }) => mark === piece.mark && Math.abs(length - piece.length) < SAME,
      ).length
      return { ...piece, count: Math.max(0, piece.count - sawnYet) }
    })
    .filter(({ count }) => count > 0)
}

/**
 * What is still to be cut of a section of what a cut plan was asked for, from what is left of its boards, and
 * from more where those run out.
 */
export function restAsk(run: SawRun, section: string, ask: NestAsk, mishap: Mishap | null): NestAsk {
  const sold = ask.stock.filter(each => each.section === section && !each.own)
  return {
    ...{ kerf: ask.kerf, trim: ask.trim, aim: ask.aim },
    pieces: wantedOf(run, section, ask.pieces),
    stock: [...alike(leftOf(run, section, ask.kerf, mishap)), ...sold],
  }
}

/** Sections in which a run no longer cuts what is asked for: the design was changed since it was begun. */
export function staleIn(run: SawRun, pieces: readonly NestPiece[]): string[] {
  const sections = new Set([...run.boards, ...pieces].map(({ section }) => section))
  return [...sections].filter(section => {
    const toDo = new Map<string, number>()
    const add = (mark: string, length: number, count: number): void => {
      const key = `${mark} ${Math.round(length / SAME)}`
      toDo.set(key, (toDo.get(key) ?? 0) + count)
    }
    for (const { mark, length, count } of wantedOf(run, section, pieces)) add(mark, length, count)
    for (const board of run.boards)
      if (board.section === section)
        for (const { mark, length } of board.cuts.slice(board.done)) add(mark, length, -1)
    return [...toDo.values()].some(count => count !== 0)
  })
}

/** Boards that are one kind counted together. */
function alike(stock: readonly NestStock[]): NestStock[] {
  const out = new Map<string, NestStock>()
  for (const each of stock) {
    const { count, ...rest } = each
    const text = JSON.stringify(rest)
    const known = out.get(text)
    out.set(text, known ? { ...known, count: (known.count ?? 0) + (count ?? 0) } : each)
  }
  return [...out.values()]
}

const keyOf = (traits: Traits, length: number): string => `${length} ${traitText(traits)}`

/** A run with the rest of a section cut as a new plan has it. */
export function withRest(run: SawRun, section: string, ask: NestAsk, plan: NestPlan): SawRun {
  const cutAlready = run.boards
    .filter(board => board.section === section && board.done > 0)
    // what is over of them is counted among the rest
    .map(board => {
      const last = board.cuts[board.done - 1]
      const end = last ? last.from + last.length : board.stock
      return { ...board, stock: end, cuts: board.cuts.slice(0, board.done) }
    })
  const rest = plan.plans.flatMap(board =>
    Array.from({ length: board.count }, (): RunBoard => ({
      ...whole(board),
      ...(!board.own && { more: true }),
    })),
  )
  // what is used of the boards on hand is no longer spare
  const used = new Map<string, number>()
  for (const board of plan.plans)
    if (board.own) {
      const key = keyOf(board, board.stock)
      used.set(key, (used.get(key) ?? 0) + board.count)
    }
  const spare = ask.stock.flatMap(each => {
    if (!each.own) return []
    const left = (each.count ?? 0) - (used.get(keyOf(each, each.length)) ?? 0)
    const { length, price, name, ...traits } = each
    return Array.from({ length: left }, (): RunBoard => ({
      ...{ section, stock: length, price, cuts: [], done: 0 },
      ...traitsOf({ ...traits, ...(name && { name }) }),
    }))
  })
  const at = run.boards.findIndex(board => board.section === section)
  const others = (part: readonly RunBoard[]): RunBoard[] => part.filter(board => board.section !== section)
  const before = run.boards.slice(0, Math.max(0, at))
  const boards = [...others(before), ...cutAlready, ...rest, ...others(run.boards.slice(Math.max(0, at)))]
  return {
    boards,
    spare: [...others(run.spare), ...spare],
    sheets: run.sheets,
    log: replanned(run),
  }
}

const figure = z.number().min(0)
const boardSchema = z.object({
  section: z.string(),
  stock: figure,
  price: figure.nullable(),
  own: z.boolean().optional(),
  defects: z.array(z.object({ from: figure, to: figure })).optional(),
  name: z.string().optional(),
  poor: z.boolean().optional(),
  cuts: z.array(
    z.object({
      ...{ mark: z.string(), from: figure, length: figure },
      lies: z.object({ left: z.number(), right: z.number() }).optional(),
    }),
  ),
  done: figure.int(),
  more: z.boolean().optional(),
})
const lying = {
  ...{ boards: z.array(boardSchema), spare: z.array(boardSchema) },
  sheets: z.array(runSheetSchema).default([]),
}
const runSchema = z.object({
  ...lying,
  log: z.array(
    z.union([
      z.object({ kind: z.literal('sawn'), board: figure.int() }),
      z.object({ kind: z.literal('stroke'), sheet: figure.int() }),
      z.object({ kind: z.literal('again'), ...lying }),
    ]),
  ),
})

/** A run as it was kept; null where it can't be read as one. */
export function readRun(kept: unknown): SawRun | null {
  const read = runSchema.safeParse(kept)
  return read.success ? read.data : null
}
