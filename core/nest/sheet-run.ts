import { z } from '../design/zod'
import { fitsSheet, type SheetAsk, type SheetItem, type SheetPlan } from './sheets'

/** Corners of what comes out of a rectangle that is no rectangle itself, from its corner; mm. */
type Outlines = readonly (readonly { readonly along: number; readonly across: number }[])[]

/** Sheets of one kind as they are planned. */
export interface SheetKind {
  readonly section: string
  /** Of a whole sheet, mm. */
  readonly long: number
  readonly wide: number
  readonly outlines?: ReadonlyMap<string, Outlines>
}

/** A sheet at the saw: `done` of its cuts are made, in their order. */
export interface RunSheet extends SheetPlan {
  readonly section: string
  readonly long: number
  readonly wide: number
  readonly done: number
  readonly outlines: Readonly<Record<string, Outlines>>
}

/** One sheet of a plan, nothing of it cut yet. */
export function sheetToCut(kind: SheetKind, sheet: SheetPlan): RunSheet {
  const { section, long, wide, outlines } = kind
  const own = sheet.places.flatMap(({ mark }) => {
    const of = outlines?.get(mark)
    return of ? [[mark, of] as const] : []
  })
  return { ...sheet, section, long, wide, done: 0, outlines: Object.fromEntries(own) }
}

/** What is ticked of a sheet: its cuts, or of one that is used as it is bought that it is marked. */
export const stepsOf = ({ strokes }: Pick<SheetPlan, 'strokes'>): number => Math.max(1, strokes.length)

export const isCut = (sheet: RunSheet): boolean => sheet.done >= stepsOf(sheet)

/** Marks of a rectangle: of two pieces that come out of it together both. */
export const marksOf = (mark: string): readonly string[] => mark.split(' + ')

/** Items that are one: as they are called, and as large, along or across. */
const keyOf = ({ mark, long, wide }: Pick<SheetItem, 'mark' | 'long' | 'wide'>): string =>
  `${mark} ${Math.round(Math.max(long, wide) / SAME)} ${Math.round(Math.min(long, wide) / SAME)}`
/** mm: a piece of another size is another. */
const SAME = 0.05

function counted(items: readonly (Parameters<typeof keyOf>[0] & { readonly count?: number })[]) {
  const out = new Map<string, number>()
  for (const item of items) out.set(keyOf(item), (out.get(keyOf(item)) ?? 0) + (item.count ?? 1))
  return out
}

const placesOf = (sheets: readonly RunSheet[]) => sheets.flatMap(({ places }) => places)

/** What is still to come out of sheets of a section, but for what some sheets at the saw are for. */
export function restOfSheets(sheets: readonly RunSheet[], section: string, ask: SheetAsk): SheetAsk {
  const made = counted(placesOf(sheets.filter(each => each.section === section)))
  const items = ask.items.flatMap((item): SheetItem[] => {
    const taken = Math.min(item.count, made.get(keyOf(item)) ?? 0)
    made.set(keyOf(item), (made.get(keyOf(item)) ?? 0) - taken)
    return item.count > taken ? [{ ...item, count: item.count - taken }] : []
  })
  return { ...ask, items }
}

/**
 * Sections whose sheets at the saw are no longer for what is asked: something is in none of them, or one that
 * is not begun is for something else.
 */
export function staleSheets(
  sheets: readonly RunSheet[],
  asked: readonly { readonly section: string; readonly ask: SheetAsk }[],
): string[] {
  const sections = new Set([...sheets, ...asked].map(({ section }) => section))
  return [...sections].filter(section => {
    const own = sheets.filter(each => each.section === section)
    const ask = asked.find(each => each.section === section)?.ask
    const wanted = counted((ask?.items ?? []).filter(item => ask && fitsSheet(item, ask)))
    // what a sheet is begun for comes out of it, wanted or not
    const cut = counted(placesOf(own.filter(({ done }) => done > 0)))
    const open = counted(placesOf(own.filter(({ done }) => done === 0)))
    return [...new Set([...wanted.keys(), ...open.keys()])].some(key => {
      const left = Math.max(0, (wanted.get(key) ?? 0) - (cut.get(key) ?? 0))
      return (open.get(key) ?? 0) !== left
    })
  })
}

const figure = z.number().min(0)
const place = { mark: z.string(), along: figure, across: figure, long: figure, wide: figure }
/** A sheet at the saw as it is kept. */
export const runSheetSchema = z.object({
  ...{ section: z.string(), long: figure, wide: figure, done: figure.int() },
  places: z.array(z.object(place)),
  strokes: z.array(z.object({ way: z.enum(['across', 'along']), at: figure, from: figure, to: figure })),
  rest: z.object({ long: figure, wide: figure }).nullable(),
  outlines: z.record(z.string(), z.array(z.array(z.object({ along: z.number(), across: z.number() })))),
})
