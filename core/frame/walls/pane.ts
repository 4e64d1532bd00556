import type { Glazing, SidingPath } from '../../design'
import { type Profile, stretchOf } from '../../lines'
import type { Section } from '../../lumber'
import { HAIR } from '../../measure'
import type { BuildingCut } from '../member'
import type { Rect } from '../rect'
import type { Bay } from './bays'

/** A bay and what it is glazed with. */
export interface Pane extends Bay {
  readonly as: Glazing
  readonly path: SidingPath
  readonly stop: Section
}

/** What a line cuts off over a bay, so much lower. */
export const slopesOver = (line: Profile, { x0, x1 }: Rect, by: number): BuildingCut[] =>
  line.runs
    .filter((_, i) => {
      const { from, to } = stretchOf(line, i, 'under')
      return (i === 0 || x1 > from + HAIR) && (i === line.runs.length - 1 || x0 < to - HAIR)
    })
    .map(({ under }): BuildingCut => ({
      kind: 'end',
      name: 'slope',
      plane: { ...under, offset: under.offset - by },
    }))
