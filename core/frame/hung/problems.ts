import { type Design, hungBy, lengthOfSide, reachAlong, type SideName } from '../../design'
import type { Problem } from '../../lines'
import { HAIR } from '../../measure'
import { overlap } from '../../trade'
import type { Frame } from '../frame'
import type { HungDesign } from './pose'

/** A ledger's top and underside over the main part's deck, mm. */
interface Ledger {
  readonly top: number
  readonly bottom: number
}

/** Why a part can't hang as asked; it stands `off` from the main frame, its deck at `level`; mm. */
export const hangProblems = (
  whole: Design,
  part: HungDesign,
  main: Frame,
  ledger: Ledger | null,
  { off, level }: { readonly off: number; readonly level: number },
): Problem[] => [
  ...(part.hang.by === 'roof'
    ? endProblems(part, main)
    : [
        ...alongProblems(whole, part),
        ...wallProblems(part, main),
        ...openingProblems(part, main, ledger, level),
      ]),
  ...standProblems(part, main, off),
]

/** A roof runs on past a gable alone, and the end there has no wall of the part. */
function endProblems(part: HungDesign, main: Frame): Problem[] {
  const { side } = part.hang
  if (main.building.roof.has.falls.includes(side)) return [{ code: 'hang-no-end', path: 'hang.by', side }]
  const open: SideName = side === 'east' ? 'west' : 'east'
  return part.walls.sides[open].build === 'open'
    ? []
    : [{ code: 'hang-end-built', path: `walls.sides.${open}.build`, side: open }]
}

/** A ledger that reaches past the wall it hangs on. */
function alongProblems(whole: Design, part: HungDesign): Problem[] {
  const long = reachAlong(part)
  const most = lengthOfSide(whole, part.hang.side) - long
  if (most < -HAIR) return [{ code: 'hang-too-long', path: 'footprint.length', most: most + long }]
  return part.hang.along < -HAIR || part.hang.along > most + HAIR
    ? [{ code: 'hang-past-wall', path: 'hang.along', least: 0, most: Math.max(0, most) }]
    : []
}

/** No wall to hang a ledger on. */
function wallProblems({ hang: { side } }: HungDesign, { building }: Frame): Problem[] {
  const { build } = building.walls.sides[side]
  return side === building.roof.has.house || build === 'open'
    ? [{ code: 'hang-no-wall', path: 'hang.side', side }]
    : []
}

/** A ledger across an opening of the main part. */
function openingProblems(
  { hang, footprint, roof }: HungDesign,
  { openings }: Frame,
  ledger: Ledger | null,
  level: number,
): Problem[] {
  if (!ledger) return []
  const { side, along } = hang
  const reach = { from: along, to: along + footprint.length }
  return openings[side].flatMap(({ number, s, z }): Problem[] =>
    overlap(reach, s) && overlap({ from: ledger.bottom, to: ledger.top }, z)
      ? [
          {
            code: 'ledger-over-opening',
            path: `walls.sides.${hungBy({ hang, roof })}.height`,
            number: number + 1,
            below: z.from > HAIR ? z.from - level : null,
            above: z.to + ledger.top - ledger.bottom - level,
          },
        ]
      : [],
  )
}

/**
 * A part that stands on nothing, or with a floor or base of its own where the main part's porch lies, or that
 * reaches past that; `off` how far off the main part's frame it stands.
 */
function standProblems(part: HungDesign, { building }: Frame, off: number): Problem[] {
  const { side } = part.hang
  const porch = building.floor?.porch?.side === side ? building.floor.porch : null
  const own = part.floor !== null || part.base !== null
  const inside = part.floor?.porch?.side === hungBy(part)
  if (inside) return [{ code: 'part-porch-inside', path: 'floor.porch.depth', side: hungBy(part) }]
  if (porch && own) return [{ code: 'hang-on-porch', path: part.floor ? 'floor.joist' : 'base.kind', side }]
  if (!porch) return building.base && !own ? [{ code: 'part-on-nothing', path: 'base.kind', side }] : []
  const out = part.hang.by === 'roof' ? part.footprint.length : part.footprint.width
  return out + off > porch.depth + HAIR
    ? [
        {
          code: 'part-past-porch',
          path: part.hang.by === 'roof' ? 'footprint.length' : 'footprint.width',
          most: porch.depth,
        },
      ]
    : []
}
