import { type Building, isCovered, type RoofCover } from '../../design'
import type { Section } from '../../lumber'
import { HAIR } from '../../measure'
import type { Problem, RoofLines, RoofLumber } from '../../lines'
import type { Stretch } from '../../trade'
import type { Order } from '../member'
import { battenOrders, battenRows, boardOrders, sheetOrders, sheetsLaid, widestGap } from './deck'
import { type CoverAsk, type CoverField, coverFields } from './field'
import { panelOrders, panelStrips, pastEave } from './panels'
import { soffitBoards } from './soffit'

/** What covers a roof, and why some of it can't as it is asked for. */
export interface CoverFrame {
  readonly fields: readonly CoverField[]
  readonly orders: readonly Order[]
  readonly problems: readonly Problem[]
}

export const noCoverFrame: CoverFrame = { fields: [], orders: [], problems: [] }

/** Sections of what covers a roof; null of what it has not. */
export interface CoverLumber {
  readonly board: Section | null
  readonly batten: Section | null
  readonly soffit: Section | null
  /** How far siding and trim reach out over the sheets of each side, mm. */
  readonly skins: CoverAsk['skins']
}

/** Covers a framed roof's faces, layer on layer: its deck, battens on that, and panels over all. */
export function coverRoof(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  { board, batten, soffit, skins }: CoverLumber,
): CoverFrame {
  const { cover, roof, walls } = building
  if (roof.pergola) return noCoverFrame
  const fields = coverFields({ building, lumber, lines, skins })
  if (!isCovered(cover)) return { ...noCoverFrame, fields }
  // flat purlins on trusses lie where a deck or battens would
  const purlins = roof.truss?.setting?.purlins ? lumber.setting.thickness : 0
  const blocked = purlins > 0 && (cover.deck !== null || cover.battens !== null)
  const deck = blocked ? { orders: [], problems: [], high: 0 } : deckOf(building, fields, board)
  const { battens: asked } = cover
  const flat = !blocked && asked && batten ? { asked, section: batten } : null
  const battens = flat
    ? fields.flatMap(field =>
        battenOrders(field, flat.asked, flat.section, deck.high, walls.longest, roof.spacing),
      )
    : []
  return {
    fields,
    problems: [
      ...(blocked
        ? [
            {
              code: 'cover-on-purlins' as const,
              path: cover.deck ? ('roof.cover.deck' as const) : ('roof.cover.battens' as const),
            },
          ]
        : deck.problems),
      ...lapProblems(cover),
    ],
    orders: [
      ...(cover.soffit && soffit
        ? soffitBoards({ building, lumber, lines, skins }, cover.soffit, soffit)
        : []),
      ...deck.orders,
      ...battens,
      ...panelsOf(building, fields, deck.high + purlins + (flat?.section.thickness ?? 0), field =>
        flat ? battenRows(field, flat.asked, flat.section.depth, deck.high) : [],
      ),
    ],
  }
}

/** The deck, how thick it is, and whether its sheets can't be as they are. */
function deckOf(
  { cover: { deck }, roof, walls }: Building,
  fields: readonly CoverField[],
  board: Section | null,
): { readonly orders: readonly Order[]; readonly problems: readonly Problem[]; readonly high: number } {
  if (deck?.kind === 'sheets') {
    const laid = fields.map(field => ({ field, rows: sheetsLaid(field, deck, roof.spacing) }))
    const longest = Math.max(deck.sheet.length, deck.sheet.width)
    const gap = Math.max(0, ...laid.map(({ rows }) => widestGap(rows, longest) ?? 0))
    if (gap > 0)
      return {
        orders: [],
        problems: [{ code: 'roof-sheet-short', path: 'roof.cover.deck.sheet.length', least: gap }],
        high: 0,
      }
    const wide = Math.min(deck.sheet.length, deck.sheet.width)
    return {
      orders: laid.flatMap(({ field, rows }) => sheetOrders(field, deck, rows)),
      problems:
        (deck.first ?? 0) > wide + HAIR
          ? [{ code: 'first-row-wide', path: 'roof.cover.deck.first', most: wide }]
          : [],
      high: deck.thickness,
    }
  }
  if (deck?.kind === 'boards' && board)
    return {
      orders: fields.flatMap(field => boardOrders(field, deck, board, walls.longest, roof.spacing)),
      problems: [],
      high: board.thickness,
    }
  return { orders: [], problems: [], high: 0 }
}

/** Panels over all, as high over the rafters; their joints on `lines` across the slope, where it has some. */
const panelsOf = (
  { cover: { top }, seams }: Building,
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
function lapProblems({ top, underlay }: RoofCover): Problem[] {
  const whole = top?.kind === 'panels' ? top.cover : top && top.kind !== 'shingles' ? top.width : null
  return [
    ...(top?.kind === 'panels' && (top.first ?? 0) > top.cover + HAIR
      ? [{ code: 'first-panel-wide', path: 'roof.cover.top.first', most: top.cover } as const]
      : []),
    ...(top && top.kind !== 'shingles' && whole !== null && top.lap > whole / 2 + HAIR
      ? [{ code: 'lap-too-wide', path: 'roof.cover.top.lap', most: whole / 2 } as const]
      : []),
    ...(underlay && underlay.lap > underlay.width / 2 + HAIR
      ? [{ code: 'lap-too-wide', path: 'roof.cover.underlay.lap', most: underlay.width / 2 } as const]
      : []),
  ]
}
