import type { Plan } from '../../core/plan'
import type { Bench } from './benches'

/** The story pole's real heights above the deck, mm: where it is ticked, and by what name. */
export interface PoleHeights {
  readonly ground: number
  readonly base: number
  readonly plate: number
  readonly ridge: number
  /** What there is at the level that all is measured from, and what rafters bear on. */
  readonly deck?: 'Deck' | 'Slab' | 'Level'
  readonly bearing?: 'Plate' | 'Beam'
  /** What the highest tick is. */
  readonly top?: 'Ridge' | 'Top'
}

/** A tick of the story pole and where each bench hangs on it, in px from its top. */
export interface Pole {
  readonly ground: number
  readonly ticks: readonly { readonly name: string; readonly height: number; readonly y: number }[]
  readonly benches: readonly { readonly bench: Bench; readonly label: string; readonly y: number }[]
  readonly small: readonly number[]
}

/** Room above the ridge and below the ground, px. */
const ABOVE = 104
const BELOW = 156
/**
 * Least distance between two ticks, so that their words can be read, and between two with a bench between
 * them; px.
 */
const WORDS = 36
const BENCH = 78

/**
 * The story pole to scale, `tall` px from top to bottom: the roof hangs between plate and ridge, the walls
 * between deck and plate, the floor under the deck, the ground and the saw below. Where heights lie too close
 * to be read they are drawn apart. `every` is the spacing of the stick's small marks, mm.
 */
export function storyPole(asked: PoleHeights, tall: number, every: number): Pole {
  // a floor alone has nothing over its deck to be measured: its benches hang where they would
  const bare = asked.plate === 0 && asked.ridge === 0
  const heights = bare ? { ...asked, plate: 2400, ridge: 3000 } : asked
  const earth = tall - BELOW
  const raised = heights.ground < -1
  const scale = (earth - ABOVE) / Math.max(heights.ridge - heights.ground, 1)
  const y = (height: number): number => earth - (height - heights.ground) * scale
  const [deck, bearing] = [heights.deck ?? 'Deck', heights.bearing ?? 'Plate']
  const wanted = [
    ...(raised ? [{ name: 'Ground', height: heights.ground, above: 0 }] : []),
    ...(raised && heights.base > heights.ground + 1 && heights.base < -1
      ? [{ name: 'Base', height: heights.base, above: WORDS }]
      : []),
    { name: deck, height: 0, above: raised ? BENCH : 0 },
    { name: bearing, height: heights.plate, above: BENCH },
    { name: heights.top ?? 'Ridge', height: heights.ridge, above: BENCH },
  ]
  let last = Infinity
  const ticks = wanted.map(({ name, height, above }) => {
    last = Math.min(y(height), last - above)
    return { name, height, y: last }
  })
  const at = (name: string): number => ticks.find(each => each.name === name)?.y ?? earth
  const low = raised
    ? [
        { bench: 'floor' as const, label: 'Floor', y: at(deck) + BENCH / 2 - 1 },
        { bench: 'ground' as const, label: 'Ground', y: earth + 44 },
        { bench: 'saw' as const, label: 'Saw', y: earth + 92 },
      ]
    : [
        { bench: 'floor' as const, label: 'Floor', y: earth + 42 },
        { bench: 'ground' as const, label: 'Ground', y: earth + 84 },
        { bench: 'saw' as const, label: 'Saw', y: earth + 126 },
      ]
  return {
    ground: earth,
    ticks: bare ? ticks.filter(({ name }) => name !== bearing && name !== (heights.top ?? 'Ridge')) : ticks,
    benches: [
      {
        bench: 'roof',
        label: 'Roof',
        y: Math.min((at(bearing) + at(heights.top ?? 'Ridge')) / 2, at(bearing) - 38),
      },
      { bench: 'walls', label: 'Walls', y: (at(deck) + at(bearing)) / 2 },
      ...low,
    ],
    small: Array.from({ length: Math.floor((heights.ridge - heights.ground) / every) }, (_, i) =>
      y(heights.ground + (i + 1) * every),
    ).filter(mark => !bare || mark > at(deck)),
  }
}

/** What a building is measured from: its deck, a slab, or the level of its posts' marks. */
export function deckName(plan: Plan | null | undefined): PoleHeights['deck'] {
  if (!plan || plan.building.floor) return 'Deck'
  return plan.building.base?.kind === 'slab' ? 'Slab' : plan.building.base ? 'Level' : 'Deck'
}

/** What rafters bear on: plates, or the beams of a building that has none on any side. */
export const plateName = (plan: Plan | null | undefined): PoleHeights['bearing'] =>
  plan?.frame.members.some(({ role }) => role === 'top-plate') || !plan ? 'Plate' : 'Beam'
