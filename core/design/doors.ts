import { type DeckEdge, deckEdges } from './cover'
import { lengthField } from './length-field'
import { limits } from './limits'
import { INCH, type Units } from '../measure'
import { z } from './zod'

/** Boards on ledges; with braces between those; or a frame of stiles and rails with panels. */
export const doorKinds = ['ledged', 'braced', 'framed'] as const
export type DoorKind = (typeof doorKinds)[number]

/**
 * A door made on site, in a door's opening less its `lining` and the gaps about each leaf. `hinge`: the end
 * of the wall that a single leaf hangs at, the west or south (`low`), or the other. `boards` are ripped to
 * one width, `space` apart; of `frame` are ledges and braces, or stiles and rails; a framed door's `panel`,
 * so thick, is let `deep` into a groove, or a rebate from inside; mm.
 */
export interface OwnDoor {
  readonly kind: DoorKind
  readonly leaves: 1 | 2
  readonly hinge: 'low' | 'high'
  readonly lining: string | null
  readonly gap: { readonly side: number; readonly top: number; readonly foot: number }
  readonly boards: string
  readonly edge: DeckEdge
  readonly space: number
  readonly frame: string
  readonly panel: {
    readonly thickness: number
    readonly deep: number
    readonly let: 'groove' | 'rebate'
  }
}

/** What a door of one's own begins with (common practice, no source). */
export const usualDoor: Readonly<Record<Units, OwnDoor>> = {
  imperial: {
    kind: 'braced',
    leaves: 1,
    hinge: 'low',
    lining: '1x6',
    gap: { side: INCH / 8, top: INCH / 8, foot: INCH / 2 },
    boards: '1x6',
    edge: 'tongue',
    space: 0,
    frame: '1x6',
    panel: { thickness: INCH / 2, deep: INCH / 2, let: 'groove' },
  },
  metric: {
    kind: 'braced',
    leaves: 1,
    hinge: 'low',
    lining: '22x150',
    gap: { side: 3, top: 3, foot: 12 },
    boards: '22x100',
    edge: 'tongue',
    space: 0,
    frame: '22x150',
    panel: { thickness: 12, deep: 12, let: 'groove' },
  },
}

/** Of what stiles and rails are, where boards for ledges would be too thin to be grooved. */
export const usualDoorFrame = { imperial: '2x4', metric: '38x89' } as const

const section = z.string().min(1).max(40)
const gaps = usualDoor.metric.gap

export const doorSchema = z
  .strictObject({
    kind: z.enum(doorKinds).default('braced'),
    leaves: z.union([z.literal(1), z.literal(2)]).default(1),
    hinge: z.enum(['low', 'high']).default('low'),
    lining: section.nullable().default(null),
    gap: z
      .strictObject({
        side: lengthField(limits.doorGap).default(gaps.side),
        top: lengthField(limits.doorGap).default(gaps.top),
        foot: lengthField(limits.doorGap).default(gaps.foot),
      })
      .default(gaps),
    boards: section,
    edge: z.enum(deckEdges).default('tongue'),
    space: lengthField(limits.doorGap).default(0),
    frame: section,
    panel: z
      .strictObject({
        thickness: lengthField(limits.doorPanel).default(12),
        deep: lengthField(limits.doorLetIn).default(12),
        let: z.enum(['groove', 'rebate']).default('groove'),
      })
      .default(usualDoor.metric.panel),
  })
  .nullable()
  .default(null)
