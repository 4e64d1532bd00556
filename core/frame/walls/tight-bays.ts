import type { Section } from '../../lumber'
import { countUp } from '../../measure'
import { least } from '../../trade'
import type { Order } from '../member'
import { ofGable, ofWall } from '../place'
import { piecesAbout } from '../pieces-about'
import type { Rect } from '../rect'
import { faceBoard } from './board'
import { type Pane, slopesOver } from './pane'
import type { Wall } from './wall'

/** Whether the stops of a bay would leave no pane to see between them. */
export const isTight = ({ as, rect: { x0, x1, y0, y1 }, stop }: Pane): boolean =>
  as.held === 'stops' && Math.min(x1 - x0, y1 - y0) < 2 * stop.depth + least.piece

/** A bay with no room for a pane between stops is closed by those alone, side by side, outside and inside. */
export function fillers(
  wall: Wall,
  stud: Section,
  pane: Pane,
  number: number,
  holes: readonly Rect[],
): Order[] {
  const { rect, stop, as, line, inGable } = pane
  const way = rect.x1 - rect.x0 < rect.y1 - rect.y0 ? 'upright' : 'level'
  const long = way === 'upright' ? rect.x1 - rect.x0 : rect.y1 - rect.y0
  if (long < least.piece) return []
  const count = countUp(long / stop.depth)
  const each = long / count
  return (['outer', 'inner'] as const).flatMap(name => {
    const over = (name === 'outer' ? 0 : stop.thickness + as.thickness) + stop.thickness
    return Array.from({ length: count }, (_, k) => k * each).flatMap((from, k) => {
      const own =
        way === 'upright'
          ? { ...rect, x0: rect.x0 + from, x1: rect.x0 + from + each }
          : { ...rect, y0: rect.y0 + from, y1: rect.y0 + from + each }
      return piecesAbout(own, holes).map((piece, i) =>
        faceBoard(
          { wall, deep: stud.depth, over: -over },
          {
            where: (inGable ? ofGable : ofWall)(
              wall.name,
              `${name}-filler`,
              number,
              k + 1,
              ...(i ? [i + 1] : []),
            ),
            role: 'pane-stop',
            section: stop,
            way,
            cuts: line ? slopesOver(line, own, 0) : [],
            ...piece,
          },
        ),
      )
    })
  })
}
