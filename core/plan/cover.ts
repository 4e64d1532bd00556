import { type Building, type DeckSheets, isCovered, ownSections, type RoofPanels } from '../design'
import {
  battenRows,
  coveredArea,
  type CoverEdge,
  type CoverField,
  type FacePoint,
  type Frame,
  firstStrip,
  outlineAt,
  panelStrips,
  pastEave,
  seamsUp,
  sliceOf,
} from '../frame'
import { countUp, INCH } from '../measure'
import { findSection } from '../lumber'
import { middleOf } from '../trade'
import { alongEdges, cappedLength, trim } from './cover-edges'
import { rolledGoods } from './cover-rolls'
import { count, type Loose } from './loose-item'

/**
 * Rafters' spacing up to which a sheet needs nothing under its long edges, and up to which clips or tongues
 * there do, by its thickness; IRC table R503.2.1.1(1) (from memory).
 */
export const deckSpans: readonly {
  readonly thickness: number
  readonly bare: number
  readonly held: number
}[] = [
  { thickness: (3 / 8) * INCH, bare: 20 * INCH, held: 24 * INCH },
  { thickness: (7 / 16) * INCH, bare: 24 * INCH, held: 24 * INCH },
  { thickness: (15 / 32) * INCH, bare: 28 * INCH, held: 32 * INCH },
  { thickness: (19 / 32) * INCH, bare: 32 * INCH, held: 40 * INCH },
  { thickness: (23 / 32) * INCH, bare: 36 * INCH, held: 48 * INCH },
]

/** A sheet a shade thinner than its name is still of it, mm. */
const SHADE = 0.6

/** What a sheet of a thickness spans; nothing where it is thinner than any. */
export const spanOf = (thickness: number): { readonly bare: number; readonly held: number } =>
  deckSpans.filter(each => each.thickness <= thickness + SHADE).at(-1) ?? { bare: 0, held: 0 }

/** How far apart lines of screws into a bare deck are at most, mm (common practice, no source). */
const SCREW_LINES = 24 * INCH

/** What covers a roof besides its pieces, and how much of it there is. */
export function coverLoose(building: Building, frame: Frame): Loose[] {
  const { covered } = frame
  const { deck, top } = building.cover
  if (!isCovered(building.cover)) return []
  const area = covered.reduce((sum, field) => sum + coveredArea(field), 0)
  return [
    {
      code: 'cover-area',
      unit: 'm2',
      amount: area / 1e6,
      from: { faces: covered.length },
    },
    ...(deck?.kind === 'sheets' ? clipsOf(building, covered, deck) : []),
    ...(top?.kind === 'panels'
      ? [...panelScrews(building, covered, top), ...trimsOf(building, covered, top)]
      : []),
    ...rolledGoods(building, covered),
    ...trim(
      'cover-flashing',
      building.lumber.yard,
      top ? alongEdges(covered, edge => edge.meets === 'wall') : 0,
    ),
  ]
}

/** A clip between two sheets in each bay, where the rafters stand too far apart for bare edges. */
function clipsOf({ roof }: Building, covered: readonly CoverField[], deck: DeckSheets): Loose[] {
  const { bare, held } = spanOf(deck.thickness)
  if (deck.edge === 'tongue' || roof.spacing <= bare || roof.spacing > held) return []
  const seams = covered.flatMap(field => seamsOf(field, deck))
  const clips = seams.reduce((sum, bays) => sum + bays, 0)
  return clips ? [count('cover-clips', clips, { seams: seams.length, bare, spacing: roof.spacing })] : []
}

/** The bays that each level joint of a face's sheets crosses. */
function seamsOf(field: CoverField, deck: DeckSheets): number[] {
  const outline = outlineAt(field, 0)
  return seamsUp(field, deck).map(v => {
    const at = sliceOf(outline, { from: v, to: v + 1 })
    return at ? Math.max(0, field.breaks.filter(each => each > at.from && each < at.to).length - 1) : 0
  })
}

/** Screws of panels: so many to each panel in every line across it. */
function panelScrews(building: Building, covered: readonly CoverField[], top: RoofPanels): Loose[] {
  const { battens } = building.cover
  const wide = battens ? (findSection(battens.section, ownSections(building.lumber))?.depth ?? 0) : 0
  const crossings = covered.flatMap(field => {
    const over = pastEave(field, top.past)
    const lines = battens
      ? battenRows(field, battens, wide, 0).map(middleOf)
      : evenLines(outlineAt(field, 0), SCREW_LINES)
    return panelStrips(over, top, 0, [], building.seams).map(({ pieces }) => {
      const [foot, head] = [pieces[0]?.from ?? 0, pieces.at(-1)?.to ?? 0]
      return lines.filter(v => v > foot && v < head).length
    })
  })
  const lines = crossings.reduce((sum, each) => sum + each, 0)
  const area = covered.reduce((sum, field) => sum + coveredArea(field), 0) / 1e6
  const screws = lines * top.screws.across
  return screws
    ? [
        count('cover-screws', screws, {
          strips: crossings.length,
          lines,
          across: top.screws.across,
          per: screws / area,
          ribs: top.screws.at === 'ribs' ? 1 : 0,
        }),
      ]
    : []
}

/** Lines up a face from its lower edge to its top, evenly, no farther apart than so much. */
function evenLines(outline: readonly FacePoint[], apart: number): number[] {
  const vs = outline.map(({ v }) => v)
  const [low, high] = [Math.min(...vs), Math.max(...vs)]
  const bays = Math.max(1, countUp((high - low) / apart))
  return Array.from({ length: bays + 1 }, (_, i) => low + ((high - low) * i) / bays).map((v, i) =>
    i === 0 ? v + 1 : i === bays ? v - 1 : v,
  )
}

/** Caps, trims and closures along the edges of what is covered, by their lengths. */
function trimsOf(building: Building, covered: readonly CoverField[], panels: RoofPanels): Loose[] {
  const { yard } = building.lumber
  const open = (at: CoverEdge['at']): number =>
    alongEdges(covered, edge => edge.at === at && edge.meets === 'air')
  const ends = alongEdges(covered, ({ at }) => at === 'eave' || at === 'head')
  return [
    ...trim('cover-caps', yard, cappedLength(covered)),
    ...trim('cover-eave-trim', yard, open('eave')),
    ...trim('cover-gable-trim', yard, open('rake')),
    ...trim('cover-head-trim', yard, open('head')),
    // strips under and over the ribs, one to a panel
    ...(panels.profile === 'flat'
      ? []
      : [count('cover-closures', countUp(ends / panels.cover), { long: ends, cover: panels.cover })]),
  ]
}

/** How wide the first row of a roof's sheets is, where nothing is asked, mm; null without sheets. */
export function firstRowOf({ cover: { deck } }: Building, { covered }: Frame): number | null {
  const [field] = covered
  if (deck?.kind !== 'sheets' || !field) return null
  const vs = outlineAt(field, 0).map(({ v }) => v)
  const low = Math.min(...vs)
  return (seamsUp(field, deck)[0] ?? Math.max(...vs)) - low
}

/** How much the first panel of a roof's first face covers, mm; null without panels. */
export function firstPanelOf({ cover: { top }, seams }: Building, { covered }: Frame): number | null {
  const [field] = covered
  if (top?.kind !== 'panels' || !field) return null
  const from = Math.min(...outlineAt(field, 0).map(({ s }) => s))
  return firstStrip(field, top, from, seams)
}
