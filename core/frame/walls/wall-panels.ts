import type { WallPanels } from '../../design'
import { panelSection } from '../../lumber'
import { HAIR } from '../../measure'
import { least, type Stretch } from '../../trade'
import { lapped } from '../lapped'
import type { Order } from '../member'
import { piecesAbout } from '../pieces-about'
import { faceBoard } from './board'
import { panelsFrom } from './places'
import type { Skin } from './skin'

/**
 * Panels upright over a wall, from its layout end: each over the next by its lap, the last ripped to what is
 * left; one over another, joined on what lies level behind them, where a wall is higher than they are sold.
 */
export function wallPanels(skin: Skin, panels: WallPanels): Order[] {
  const section = panelSection(panels)
  const { levels, holes, wall, reach } = skin
  const lines = levels.map((z): Stretch => ({ from: z, to: z }))
  return panelsFrom(wall, reach, panels.cover, panels.lap).flatMap((s, i) =>
    skin.column(s).flatMap(({ s: own, z, cuts }, c) =>
      lapped(z, panels, lines).flatMap((each, k) =>
        each.to - each.from < least.piece + HAIR
          ? []
          : piecesAbout({ x0: own.from, x1: own.to, y0: each.from, y1: each.to }, holes).map((piece, part) =>
              faceBoard(skin, {
                where: skin.place('panel', i + 1, ...(c ? [c + 1] : []), k + 1, ...(part ? [part + 1] : [])),
                role: 'wall-panel',
                section,
                way: 'upright',
                cuts,
                ...piece,
              }),
            ),
      ),
    ),
  )
}
