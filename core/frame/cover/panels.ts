import type { RoofPanels } from '../../design'
import { panelSection } from '../../lumber'
import { dot } from '../../geometry'
import { HAIR, NO_TURN } from '../../measure'
import { least, type Stretch } from '../../trade'
import type { Order } from '../member'
import { boxAbout, clipToRect, type CoverField, outlineAt } from './field'
import { lapped } from '../lapped'
import { layer } from './lay'

/** A strip of panels up a slope: where it lies along the eave; its panels, each over the one below. */
export interface PanelStrip {
  /** With the lap under the next strip. */
  readonly whole: Stretch
  readonly pieces: readonly Stretch[]
}

/** A face as its panels cover it: they reach past what they lie on at the eave. */
export const pastEave = (field: CoverField, past: number): CoverField => ({
  ...field,
  edges: field.edges.map(edge =>
    edge.at === 'eave' && !edge.shut && Math.abs(dot(edge.plane.normal, field.out)) < NO_TURN
      ? { ...edge, plane: { ...edge.plane, offset: edge.plane.offset + past } }
      : edge,
  ),
})

/** Where panels lie: from the end that the layout begins at, what the last covers ripped to what is left. */
export function panelStrips(
  field: CoverField,
  panels: RoofPanels,
  high: number,
  lines: readonly Stretch[],
  seams: boolean,
): PanelStrip[] {
  const outline = outlineAt(field, high)
  const box = boxAbout(outline)
  if (!box) return []
  const { x0: from, x1: to } = box
  const begin = firstStrip(field, panels, from, seams)
  const edges = [from]
  // what is left under the lap of the one before needs no panel
  for (let at = from + begin; at < to - Math.max(panels.lap, least.piece) - HAIR; at += panels.cover)
    edges.push(at)
  return edges.flatMap((at, i): PanelStrip[] => {
    const s = { from: at, to: edges[i + 1] ?? to }
    const slice = boxAbout(clipToRect(outline, { x0: s.from, x1: s.to, y0: -Infinity, y1: Infinity }))
    if (!slice) return []
    const whole = { from: s.from, to: Math.min(to, s.to + panels.lap) }
    return [{ whole, pieces: lapped({ from: slice.y0, to: slice.y1 }, panels, lines) }]
  })
}

/** How much the first panel covers: as asked, whole, or so that its seam falls on a rafter. */
export function firstStrip(
  { breaks }: CoverField,
  { cover, first }: RoofPanels,
  from: number,
  seams: boolean,
): number {
  const rafter = seams ? breaks[Math.floor(breaks.length / 2)] : undefined
  return Math.min(cover, first ?? (rafter === undefined ? cover : within(rafter - from, cover)))
}

/** How far a first panel reaches so that a seam falls at a place past the edge. */
const within = (at: number, cover: number): number => {
  const left = at - Math.floor(at / cover) * cover
  return left < least.piece ? cover : left
}

/** The panels of a face. */
export function panelOrders(
  field: CoverField,
  panels: RoofPanels,
  high: number,
  strips: readonly PanelStrip[],
): Order[] {
  const lay = layer({ field, role: 'roof-panel', section: panelSection(panels), high, way: 'up' })
  return strips.flatMap(({ whole, pieces }, i) =>
    pieces.flatMap((v, k) =>
      lay({ x0: whole.from, x1: whole.to, y0: v.from, y1: v.to }, part =>
        field.place(
          'panel',
          i + 1,
          ...(pieces.length > 1 || part ? [k + 1] : []),
          ...(part ? [part + 1] : []),
        ),
      ),
    ),
  )
}
