import { type Building, type CoverBase, type DeckSheets, isCovered, type RoofPanels } from '../design'
import {
  coveredArea,
  coveredAs,
  coverGroups,
  type FacesAlike,
  type CoverEdge,
  type CoverField,
  faceOf,
  firstStrip,
  type Frame,
  type Member,
  outlineAt,
  seamsUp,
  sliceOf,
} from '../frame'
import { countUp, INCH } from '../measure'
import { dot, toBuilding } from '../geometry'
import { gaps, middleOf, type Stretch } from '../trade'
import { alongEdges, cappedLength, shareOfCaps, trim } from './cover-edges'
import { rolledGoods } from './cover-rolls'
import { count, type Loose } from './loose-item'

/**
 * Rafters' spacing up to which a sheet needs nothing under its long edges, and up to which clips or tongues
 * there do, by its thickness; IRC table R503.2.1.1(1) (from memory).
 */
const deckSpans: readonly {
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
  if (!isCovered(building.cover)) return []
  const area = covered.reduce((sum, field) => sum + coveredArea(field), 0)
  const groups = coverGroups(building, covered)
  return [
    {
      code: 'cover-area',
      unit: 'm2',
      amount: area / 1e6,
      from: { faces: covered.length },
    },
    ...openingFlashing(building, frame),
    ...groups.flatMap(group => {
      const items = facesLoose(building, frame, groups, group)
      const faces = group.fields.map(({ face }) => face.id)
      return group.path === 'roof.cover' ? items : items.map(item => ({ ...item, faces }))
    }),
  ]
}

/** Flashing round each light and flue in what is roofed. */
function openingFlashing({ cover }: Building, { building, covered }: Frame): Loose[] {
  if (![cover, ...cover.own].some(({ top }) => top)) return []
  const holes = covered.reduce((sum, { holes: each }) => sum + each.length, 0)
  const of = (kind: 'light' | 'flue'): number =>
    building.roof.openings.filter(each => each.kind === kind && each.width > 0).length
  const [lights, flues] = [of('light'), of('flue')]
  const made = Math.min(holes, lights + flues)
  return made ? [count('cover-openings', made, { lights, flues })] : []
}

/** What covers faces that are covered alike. */
function facesLoose(
  whole: Building,
  frame: Frame,
  groups: readonly FacesAlike[],
  group: FacesAlike,
): Loose[] {
  const building = coveredAs(whole, group)
  const { fields } = group
  const { deck, top } = group.cover
  const caps = cappedLength(fields, shareOfCaps(groups, group))
  return [
    ...(deck?.kind === 'sheets' ? clipsOf(building, fields, deck) : []),
    ...(top?.kind === 'panels'
      ? [...panelScrews({ ...frame, covered: fields }, top), ...trimsOf(building, fields, top, caps)]
      : []),
    ...rolledGoods(building, fields, caps),
    ...trim(
      'cover-flashing',
      building.lumber.yard,
      top ? alongEdges(fields, edge => edge.meets === 'wall') : 0,
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

/** How far a piece of a covering reaches up its face, mm; read off its board. */
export const reachUp = ({ board, placement }: Member, { up }: CoverField): Stretch => {
  const at = board.faces.flatMap(({ loops }) => loops.flat().map(p => dot(toBuilding(placement, p), up)))
  return { from: Math.min(...at), to: Math.max(...at) }
}

/** The rows that a face's battens lie in, from the eave up, mm. */
export function battensUp({ covering }: Pick<Frame, 'covering'>, field: CoverField): Stretch[] {
  const rows = new Map<string, Stretch>()
  for (const batten of covering)
    if (batten.role === 'roof-batten' && faceOf(batten.where) === field.face.id)
      rows.set(String(batten.where.run[0]), reachUp(batten, field))
  return [...rows.values()]
}

/** Lines across a face that panels are screwed in: its battens' middles, or evenly over its deck; mm. */
export function screwLines(frame: Pick<Frame, 'covering'>, field: CoverField): number[] {
  const battens = battensUp(frame, field)
  if (battens.length) return battens.map(middleOf)
  const vs = outlineAt(field, 0).map(({ v }) => v)
  const [low, high] = [Math.min(...vs) + gaps.screwEnd, Math.max(...vs) - gaps.screwEnd]
  const bays = Math.max(1, countUp((high - low) / SCREW_LINES))
  return high > low ? Array.from({ length: bays + 1 }, (_, i) => low + ((high - low) * i) / bays) : []
}

/** Screws of panels: so many to each strip of them in every line that it crosses. */
function panelScrews(frame: Frame, top: RoofPanels): Loose[] {
  const { covered, covering } = frame
  const crossings = covered.flatMap(field => {
    const lines = screwLines(frame, field)
    const strips = new Map<string, Stretch>()
    for (const panel of covering) {
      if (panel.role !== 'roof-panel' || faceOf(panel.where) !== field.face.id) continue
      const key = String(panel.where.run[0])
      const { from, to } = reachUp(panel, field)
      const known = strips.get(key) ?? { from, to }
      strips.set(key, { from: Math.min(known.from, from), to: Math.max(known.to, to) })
    }
    return [...strips.values()].map(({ from, to }) => lines.filter(v => v > from && v < to).length)
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

/** Caps, trims and closures along the edges of what is covered, by their lengths. */
function trimsOf(
  building: Building,
  covered: readonly CoverField[],
  panels: RoofPanels,
  caps: number,
): Loose[] {
  const { yard } = building.lumber
  const open = (at: CoverEdge['at']): number =>
    alongEdges(covered, edge => edge.at === at && edge.meets === 'air')
  const ends = alongEdges(covered, ({ at }) => at === 'eave' || at === 'head')
  return [
    ...trim('cover-caps', yard, caps),
    ...trim('cover-eave-trim', yard, open('eave')),
    ...trim('cover-gable-trim', yard, open('rake')),
    ...trim('cover-head-trim', yard, open('head')),
    // strips under and over the ribs, one to a panel
    ...(panels.profile === 'flat'
      ? []
      : [count('cover-closures', countUp(ends / panels.cover), { long: ends, cover: panels.cover })]),
  ]
}

/** How wide the first row of sheets on faces is, where nothing is asked, mm; null without sheets. */
export function firstRowOf(building: Building, { covered }: Frame, path: CoverBase): number | null {
  const group = coverGroups(building, covered).find(each => each.path === path)
  const [field] = group?.fields ?? []
  const deck = group?.cover.deck
  if (deck?.kind !== 'sheets' || !field) return null
  const vs = outlineAt(field, 0).map(({ v }) => v)
  const low = Math.min(...vs)
  return (seamsUp(field, deck)[0] ?? Math.max(...vs)) - low
}

/** How much the first panel of the first of those covers, mm; null without panels. */
export function firstPanelOf(building: Building, { covered }: Frame, path: CoverBase): number | null {
  const group = coverGroups(building, covered).find(each => each.path === path)
  const [field] = group?.fields ?? []
  const top = group?.cover.top
  if (top?.kind !== 'panels' || !field) return null
  const from = Math.min(...outlineAt(field, 0).map(({ s }) => s))
  return firstStrip(field, top, from, building.seams)
}
