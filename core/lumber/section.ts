import { FOOT, INCH } from '../measure'

/** Where a section's size comes from. */
export type SectionKind = 'dimension' | 'post' | 'metric' | 'decking' | 'own' | 'sheet' | 'panel'

/** A board's cross-section; sizes actual, in millimetres. `depth` is the wide way, `thickness` the narrow. */
export interface Section {
  readonly name: string
  readonly kind: SectionKind
  readonly thickness: number
  readonly depth: number
  /**
   * Thickness by width in inches that board feet are counted by: the name for surfaced lumber, the actual
   * size for rough.
   */
  readonly counted: { readonly thickness: number; readonly width: number }
  /** Length it is sold in, mm, for what is not sold by the stock lengths of boards. */
  readonly sold?: number
  /** Weight of what is not wood, kg/m³. */
  readonly density?: number
  /** A round log, of which thickness and depth are the diameter. */
  readonly round?: true
}

/** The area of a section, mm². */
export const sectionArea = ({ thickness, depth, round }: Section): number =>
  (round ? Math.PI / 4 : 1) * thickness * depth

/**
 * Nominal inch to actual inch of surfaced dry lumber, PS 20 American Softwood Lumber Standard (from memory).
 */
const dressed: Record<number, number> = {
  1: 0.75,
  2: 1.5,
  3: 2.5,
  4: 3.5,
  6: 5.5,
  8: 7.25,
  10: 9.25,
  12: 11.25,
}

function surfaced(thickness: number, width: number, kind: SectionKind): Section {
  return {
    name: `${thickness}x${width}`,
    kind,
    counted: { thickness, width },
    thickness: (dressed[thickness] ?? 0) * INCH,
    depth: dressedWidth(thickness, width) * INCH,
  }
}

/** Timbers 5 in and thicker are dressed 1/2 in off at every width (PS 20, from memory). */
function dressedWidth(thickness: number, width: number): number {
  return thickness >= 5 ? width - 0.5 : (dressed[width] ?? 0)
}

function metric(thickness: number, depth: number): Section {
  return {
    name: `${thickness}x${depth}`,
    kind: 'metric',
    thickness,
    depth,
    counted: { thickness: thickness / INCH, width: depth / INCH },
  }
}

/** A section of the user's own: rough-sawn or engineered, sizes in millimetres, both greater than 0. */
export function ownSection(name: string, thickness: number, depth: number): Section {
  return {
    name,
    kind: 'own',
    thickness: Math.min(thickness, depth),
    depth: Math.max(thickness, depth),
    counted: { thickness: Math.min(thickness, depth) / INCH, width: Math.max(thickness, depth) / INCH },
  }
}

/** A round log of the user's own, by its diameter in mm, greater than 0; not counted in board feet. */
export const logSection = (name: string, diameter: number): Section => ({
  ...ownSection(name, diameter, diameter),
  counted: { thickness: 0, width: 0 },
  round: true,
})

/**
 * Decking boards laid flat: 5/4 is dressed to 1 in thick, its width as dimension lumber's (trade book,
 * section 3); metric as named.
 */
const decking: readonly Section[] = [
  {
    name: '5/4x4',
    kind: 'decking',
    thickness: INCH,
    depth: 3.5 * INCH,
    counted: { thickness: 1.25, width: 4 },
  },
  {
    name: '5/4x6',
    kind: 'decking',
    thickness: INCH,
    depth: 5.5 * INCH,
    counted: { thickness: 1.25, width: 6 },
  },
  { ...metric(28, 120), kind: 'decking' },
  { ...metric(32, 145), kind: 'decking' },
]

/** A sheet as a section: `width` across it, sold in `length`; mm, no board feet. */
export function sheetSection(thickness: number, width: number, length: number): Section {
  return {
    name: `${SHEET} ${Math.round(thickness * 100) / 100}`,
    kind: 'sheet',
    thickness,
    depth: width,
    counted: { thickness: 0, width: 0 },
    sold: length,
  }
}

const SHEET = 'sheet'

/** kg/m² of metal panels half a millimetre thick, and of clear ones (common practice, no source). */
const PANEL_WEIGHT = { metal: 5, clear: 1.5 } as const

/** A panel as a section: as wide as it is with its side lap; mm, no board feet. */
export function panelSection({
  cover,
  lap,
  longest,
  height,
  clear,
}: {
  readonly cover: number
  readonly lap: number
  readonly longest: number
  readonly height: number
  readonly clear: boolean
}): Section {
  return {
    name: `panel ${Math.round(cover * 10) / 10}`,
    kind: 'panel',
    thickness: height,
    depth: cover + lap,
    counted: { thickness: 0, width: 0 },
    sold: longest,
    density: ((clear ? PANEL_WEIGHT.clear : PANEL_WEIGHT.metal) * 1000) / height,
  }
}

/** kg/m³ of twin-walled sheets, of solid plastic ones, and of glass (from memory). */
const PANE_DENSITY = { 'twin-wall': 170, plastic: 1200, glass: 2500 } as const

/** A pane as a section: as wide and as long as it is sold; mm, no board feet. */
export const paneSection = ({
  made,
  thickness,
  width,
  longest,
}: {
  readonly made: keyof typeof PANE_DENSITY
  readonly thickness: number
  readonly width: number
  readonly longest: number
}): Section => ({
  name: `pane ${Math.round(thickness * 100) / 100}`,
  kind: 'panel',
  thickness,
  depth: width,
  counted: { thickness: 0, width: 0 },
  sold: longest,
  density: PANE_DENSITY[made],
})

/** Whether a section is lumber: neither a sheet nor a panel. */
export const isLumber = ({ kind }: Pick<Section, 'kind'>): boolean => kind !== 'sheet' && kind !== 'panel'

/**
 * US dimension lumber and posts, then metric carcassing: CLS, and regularised 47 mm (sizes: common practice,
 * no source).
 */
export const standardSections: readonly Section[] = [
  ...[2, 3, 4, 6, 8, 10, 12].map(width => surfaced(2, width, 'dimension')),
  ...[2, 3, 4, 6, 8, 10, 12].map(width => surfaced(1, width, 'dimension')),
  surfaced(1, 1, 'dimension'),
  surfaced(4, 4, 'post'),
  surfaced(4, 6, 'post'),
  surfaced(6, 6, 'post'),
  metric(22, 22),
  metric(22, 50),
  metric(22, 100),
  metric(22, 150),
  metric(89, 89),
  ...[63, 89, 140].map(depth => metric(38, depth)),
  ...[100, 125, 150, 175, 200, 220].map(depth => metric(47, depth)),
  ...[100, 150].map(depth => metric(100, depth)),
  metric(150, 150),
  ...decking,
]

const byName = new Map(standardSections.map(section => [section.name, section]))

/** A section by name, the user's own before the standard ones; null where there is none. */
export function findSection(name: string, own: readonly Section[] = []): Section | null {
  return own.find(section => section.name === name) ?? byName.get(name) ?? null
}

/**
 * Board feet in a length (millimetres) of a section: thickness x width in inches, as counted, over 12, a
 * foot.
 */
export function boardFeet(section: Section, length: number): number {
  return ((section.counted.thickness * section.counted.width) / 12) * (length / FOOT)
}
