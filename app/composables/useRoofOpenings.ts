import { lowEaves } from '../../core/lines'
import {
  limits,
  type RoofOpening,
  type RoofOpeningKind,
  usualRoofOpening,
  usualTies,
} from '../../core/design'
import { roomOn, stairRoom, tiePlate } from '../../core/frame'
import { countDown, countUp, INCH } from '../../core/measure'
import { freePlace } from '../logic/free-place'
import { useBench } from '../stores/bench'

/** What can be done to the openings of a roof; each is one edit. */
export function useRoofOpenings() {
  const bench = useBench()

  /**
   * Puts an opening of a kind where there is room for it: a roof light as wide as a bay, in the bay nearest
   * the middle that is free, no longer than the slope or the ceiling leaves. A stair brings ceiling joists,
   * where there are none.
   */
  function add(kind: RoofOpeningKind): void {
    const { plan } = bench
    if (!plan) return
    const {
      building,
      frame: { lumber, roof },
    } = plan
    const eave = lowEaves(roof)[0]
    if (!eave) return
    const { face, side } = eave
    const { whole } = face
    const usual = usualRoofOpening(kind, side, building.footprint.length / 2, 0, building.lumber.yard)
    const grid = building.lumber.yard === 'imperial' ? INCH / 2 : 5
    const down = (mm: number): number => countDown(mm / grid) * grid
    const ceiling = building.roof.ties.ceiling ?? usualTies[building.lumber.yard].ceiling
    const joist = lumber.ties.ceiling ?? lumber.rafter
    const room =
      kind === 'stair'
        ? stairRoom(
            building,
            lumber,
            roof,
            tiePlate(roof) + ceiling.height + joist.depth,
            usual.plies * joist.thickness,
          )
        : roomOn(building, lumber, roof, eave, usual.plies)
    const cos = kind === 'stair' ? 1 : face.carrier.top.normal.z
    const length = Math.max(limits.opening.min, Math.min(usual.length, down((room.to - room.from) / cos)))
    const t = lumber.rafter.thickness
    const width = kind === 'light' ? Math.max(limits.opening.min, building.roof.spacing - t) : usual.width
    const others = building.roof.openings
      .filter(each => (each.kind === 'stair') === (kind === 'stair'))
      .map(each => ({ from: each.at - each.width / 2 - 2 * t, to: each.at + each.width / 2 + 2 * t }))
    const free = freePlace({ from: whole.from + t, to: whole.to - t }, others, width + 4 * t) ?? usual.at
    // between rafters that stand on their own centres
    const { spacing } = building.roof
    const bay = whole.from + (Math.floor((free - whole.from) / spacing) + 0.5) * spacing
    const opening: RoofOpening = {
      ...usual,
      width,
      length,
      at: kind === 'light' ? bay : free,
      up: Math.max(
        room.from,
        countUp((room.from + (room.to - room.from - length * cos) / 2) / grid) * grid - grid,
      ),
    }
    bench.edit(at => ({
      ...at,
      roof: {
        ...at.roof,
        ties: kind === 'stair' ? { ...at.roof.ties, ceiling } : at.roof.ties,
        openings: [...at.roof.openings, opening].slice(0, 10),
      },
    }))
  }

  const drop = (i: number): void =>
    bench.edit(at => ({ ...at, roof: { ...at.roof, openings: at.roof.openings.filter((_, k) => k !== i) } }))

  return { add, drop }
}
