import { type Building, type CoverBase, isCovered, type RoofCover } from '../../design'
import type { Section } from '../../lumber'
import { HAIR } from '../../measure'
import type { Problem, RoofLines, RoofLumber } from '../../lines'
import type { Stretch } from '../../trade'
import type { Order } from '../member'
import { battenOrders, battenRows, boardOrders, sheetOrders, sheetsLaid, widestGap } from './deck'
import { type CoverAsk, type CoverField, coverFields } from './field'
import { coverGroups, type FacesAlike } from './groups'
import { panelOrders, panelStrips, pastEave } from './panels'
import { soffitBoards } from './soffit'

/** What covers a roof, and why some of it can't as it is asked for. */
export interface CoverFrame {
  readonly fields: readonly CoverField[]
  readonly orders: readonly Order[]
  readonly problems: readonly Problem[]
}

export const noCoverFrame: CoverFrame = { fields: [], orders: [], problems: [] }

/** What a roof is covered with besides what is asked of it. */
export interface CoverLumber {
  readonly section: (name: string) => Section
  /** How far siding and trim reach out over the sheets of each side, mm. */
  readonly skins: CoverAsk['skins']
}

/**
 * Covers a framed roof's faces, layer on layer: its deck, battens on that, and panels over all; and puts
 * boards under its eaves.
 */
export function coverRoof(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  { section, skins }: CoverLumber,
): CoverFrame {
  const { cover, roof } = building
  if (roof.pergola) return noCoverFrame
  const fields = coverFields({ building, lumber, lines, skins })
  if (!isCovered(cover)) return { ...noCoverFrame, fields }
  const made = coverGroups(building, fields).map(group => coverFaces(building, lumber, group, section))
  return {
    fields,
    problems: made.flatMap(({ problems }) => problems),
    orders: [
      ...(cover.soffit
        ? soffitBoards({ building, lumber, lines, skins }, cover.soffit, section(cover.soffit.section))
        : []),
      ...made.flatMap(({ orders }) => orders),
    ],
  }
}

/** Covers faces that are covered alike. */
function coverFaces(
  building: Building,
  lumber: RoofLumber,
  { path, cover, fields }: FacesAlike,
  section: CoverLumber['section'],
): Omit<CoverFrame, 'fields'> {
  const { roof, walls } = building
  // flat purlins on trusses lie where a deck or battens would
  const purlins = roof.truss?.setting?.purlins ? lumber.setting.thickness : 0
  const blocked = purlins > 0 && (cover.deck !== null || cover.battens !== null)
  const deck = blocked
    ? { orders: [], problems: [], high: 0 }
    : deckOf(building, { path, cover, fields }, section)
  const { battens: asked } = cover
  const flat = !blocked && asked ? { asked, section: section(asked.section) } : null
  const battens = flat
    ? fields.flatMap(field =>
        battenOrders(field, flat.asked, flat.section, deck.high, walls.longest, roof.spacing),
      )
    : []
  return {
    problems: [
      ...(blocked
        ? [{ code: 'cover-on-purlins', path: `${path}.${cover.deck ? 'deck' : 'battens'}` } as const]
        : deck.problems),
      ...lapProblems(path, cover),
    ],
    orders: [
      ...deck.orders,
      ...battens,
      ...panelsOf(
        building.seams,
        cover,
        fields,
        deck.high + purlins + (flat?.section.thickness ?? 0),
        field => (flat ? battenRows(field, flat.asked, flat.section.depth, deck.high) : []),
      ),
    ],
  }
}

/** The deck, how thick it is, and whether its sheets can't be as they are. */
function deckOf(
  { roof, walls }: Building,
  { path, cover: { deck }, fields }: FacesAlike,
  section: CoverLumber['section'],
): { readonly orders: readonly Order[]; readonly problems: readonly Problem[]; readonly high: number } {
  if (deck?.kind === 'sheets') {
    const laid = fields.map(field => ({ field, rows: sheetsLaid(field, deck, roof.spacing) }))
    const longest = Math.max(deck.sheet.length, deck.sheet.width)
    const gap = Math.max(0, ...laid.map(({ rows }) => widestGap(rows, longest) ?? 0))
    if (gap > 0)
      return {
        orders: [],
        problems: [{ code: 'roof-sheet-short', path: `${path}.deck.sheet.length`, least: gap }],
        high: 0,
      }
    const wide = Math.min(deck.sheet.length, deck.sheet.width)
    return {
      orders: laid.flatMap(({ field, rows }) => sheetOrders(field, deck, rows)),
      problems:
        (deck.first ?? 0) > wide + HAIR
          ? [{ code: 'first-row-wide', path: `${path}.deck.first`, most: wide }]
          : [],
      high: deck.thickness,
    }
  }
  if (deck?.kind === 'boards') {
    const board = section(deck.section)
    return {
      orders: fields.flatMap(field => boardOrders(field, deck, board, walls.longest, roof.spacing)),
      problems: [],
      high: board.thickness,
    }
  }
  return { orders: [], problems: [], high: 0 }
}

/** Panels over all, as high over the rafters; their joints on `lines` across the slope, where it has some. */
const panelsOf = (
  seams: boolean,
  { top }: RoofCover,
  fields: readonly CoverField[],
  high: number,
  lines: (field: CoverField) => readonly Stretch[],
): Order[] =>
  top?.kind === 'panels'
    ? fields.flatMap(field => {
        const over = pastEave(field, top.past)
        return panelOrders(over, top, high, panelStrips(over, top, high, lines(field), seams))
      })
    : []

/** Laps of more than half of what they are of, and a first panel wider than it is. */
function lapProblems(path: CoverBase, { top, underlay }: RoofCover): Problem[] {
  const whole = top?.kind === 'panels' ? top.cover : top && top.kind !== 'shingles' ? top.width : null
  return [
    ...(top?.kind === 'panels' && (top.first ?? 0) > top.cover + HAIR
      ? [{ code: 'first-panel-wide', path: `${path}.top.first`, most: top.cover } as const]
      : []),
    ...(top && top.kind !== 'shingles' && whole !== null && top.lap > whole / 2 + HAIR
      ? [{ code: 'lap-too-wide', path: `${path}.top.lap`, most: whole / 2 } as const]
      : []),
    ...(underlay && underlay.lap > underlay.width / 2 + HAIR
      ? [{ code: 'lap-too-wide', path: `${path}.underlay.lap`, most: underlay.width / 2 } as const]
      : []),
  ]
}
