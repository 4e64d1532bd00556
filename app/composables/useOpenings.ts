import {
  limits,
  type OpeningKind,
  roughSize,
  standsOnDeck,
  usualClearance,
  usualOpening,
  type WallOpening,
} from '../../core/design'
import type { WallName } from '../../core/frame'
import { findSection } from '../../core/lumber'
import { countDown, INCH } from '../../core/measure'
import { freePlace } from '../logic/free-place'
import { useBench } from '../stores/bench'

/** What can be done to the openings in a wall; each is one edit. */
export function useOpenings() {
  const bench = useBench()
  const withOpenings = (change: (openings: readonly WallOpening[]) => readonly WallOpening[]): void =>
    bench.edit(design => ({ ...design, walls: { ...design.walls, openings: change(design.walls.openings) } }))

  /**
   * Puts an opening of a kind where the wall has room for it, nearest its middle, no taller than the wall and
   * its header leave; in the middle where it has none.
   */
  function add(wall: WallName, kind: OpeningKind): void {
    const { design, plan } = bench
    const line = plan?.frame.walls.find(each => each.name === wall)
    if (!design || !plan || !line) return
    const t = plan.frame.lumber.plate.thickness
    const usual = usualOpening(wall, kind, line.overall / 2, design.lumber.yard)
    const header = findSection(usual.header.section)?.depth ?? 0
    const room =
      design.walls.height - design.walls.topPlates * t - header - usual.clearance.height - usual.foot
    const grid = design.lumber.yard === 'imperial' ? INCH / 2 : 5
    const opening: WallOpening = {
      ...usual,
      unit: {
        ...usual.unit,
        height: Math.max(limits.unit.min, Math.min(usual.unit.height, countDown(room / grid) * grid)),
      },
    }
    const others = design.walls.openings
      .filter(each => each.wall === wall)
      .map(each => ({
        from: each.at - roughSize(each).width / 2 - 2 * t,
        to: each.at + roughSize(each).width / 2 + 2 * t,
      }))
    const at = freePlace(
      {
        from: line.from + 4 * t + plan.frame.lumber.plate.depth,
        to: line.to - 4 * t - plan.frame.lumber.plate.depth,
      },
      others,
      roughSize(opening).width + 4 * t,
    )
    withOpenings(openings => [...openings, { ...opening, at: at ?? opening.at }])
  }

  const drop = (i: number): void => withOpenings(openings => openings.filter((_, k) => k !== i))

  /**
   * Another kind brings its usual clearance; one that stands on the deck comes down to it, one that does not
   * is lifted off.
   */
  function setKind(i: number, kind: OpeningKind): void {
    withOpenings(openings =>
      openings.map((each, k) =>
        k !== i
          ? each
          : {
              ...each,
              kind,
              clearance: usualClearance[kind],
              foot: standsOnDeck(kind)
                ? 0
                : each.foot || usualOpening(each.wall, kind, 0, bench.design?.units ?? 'imperial').foot,
            },
      ),
    )
  }

  return { add, drop, setKind }
}
