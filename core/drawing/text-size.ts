import type { Point } from './drawing'
import { FIGURES, OTHER, WORDS } from './font-widths'

/** How words are set: on a screen, on one that is touched or narrow, or in a file that stands alone. */
export type Setting = 'screen' | 'thumb' | 'file'

/** What a text is; it has its font and size by that. */
export type TextKind = 'label' | 'running' | 'figure' | 'pitch'

/** A box on a sheet, px, y down. */
export interface Box {
  readonly left: number
  readonly top: number
  readonly right: number
  readonly bottom: number
}

/** px */
export interface Size {
  readonly wide: number
  readonly tall: number
}

/** How large a text is, lying level: its letters, all that it covers, and what must be clear of others. */
export interface Extent {
  readonly ink: Size
  readonly all: Size
  readonly clear: Size
}

/** Sizes of letters, px: as the styles of the drawing on the screen and of its file have them. */
export const LETTERS: Readonly<Record<'screen' | 'file', Readonly<Record<TextKind, number>>>> = {
  screen: { label: 14, running: 13, figure: 15.2, pitch: 15.2 },
  file: { label: 13, running: 13, figure: 13, pitch: 13 },
}

/** A field over a drawing, px: its least width and height, and what it has beside its letters. */
export const FIELD = {
  screen: { wide: 5 * FIGURES * LETTERS.screen.figure, tall: 28, beside: 14 },
  thumb: { wide: 60, tall: 44, beside: 14 },
} as const

/** A number that is only read, px: its height, and what it has beside its letters. */
export const READ = { beside: 12, tall: 25 } as const

/** What stands about a number at fault, px: its ring all round, and its sign at the left. */
export const FAULT = { ring: 5, sign: 22 } as const

/** px of their height that must be clear: fields as high as a thumb may reach over each other's edges. */
const CLEAR = { typed: 24, read: 18 } as const

const ofWords = (text: string): number =>
  [...text].reduce((sum, c) => sum + (WORDS[(c.codePointAt(0) ?? 0) - 32] ?? OTHER) / 1000, 0)

/** What is asked of a text: its kind and letters, whether it is typed over, and whether it is at fault. */
export interface TextAsk {
  readonly kind: TextKind
  readonly text: string
  readonly typed: boolean
  readonly atFault: boolean
}

/** How much room a text takes. */
export function extentOf({ kind, text, typed, atFault }: TextAsk, setting: Setting): Extent {
  const size = LETTERS[setting === 'file' ? 'file' : 'screen'][kind]
  const inFigures = setting === 'file' || kind !== 'label'
  const ink = { wide: (inFigures ? [...text].length * FIGURES : ofWords(text)) * size, tall: size }
  if (setting === 'file' || kind === 'label' || kind === 'running') return { ink, all: ink, clear: ink }
  const field = FIELD[setting]
  const own = typed
    ? { wide: Math.max(field.wide, ink.wide + field.beside), tall: field.tall }
    : { wide: ink.wide + READ.beside, tall: READ.tall }
  // the sign stands at one side, and as much is kept clear at the other
  const about = atFault ? { wide: 2 * FAULT.sign, tall: 2 * FAULT.ring } : { wide: 0, tall: 0 }
  const all = { wide: own.wide + about.wide, tall: own.tall + about.tall }
  const clear = Math.min(own.tall, typed ? CLEAR.typed : CLEAR.read) + about.tall
  return { ink, all, clear: { wide: all.wide, tall: clear } }
}

/** px of letters at which figures are no longer than `room` px, `most` at most. */
export const figureSize = (text: string, room: number, most: number): number =>
  Math.min(most, room / ([...text].length * FIGURES))

/** The box of a size around its middle. */
export const boxAt = ({ x, y }: Point, { wide, tall }: Size): Box => ({
  left: x - wide / 2,
  right: x + wide / 2,
  top: y - tall / 2,
  bottom: y + tall / 2,
})

/** Whether two boxes meet, or come nearer than `gap` px both ways. */
export const meet = (a: Box, b: Box, gap = 0): boolean =>
  a.left < b.right + gap && b.left < a.right + gap && a.top < b.bottom + gap && b.top < a.bottom + gap
