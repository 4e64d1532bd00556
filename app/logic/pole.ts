/** A bench's place on the story pole. */
export interface PoleBench { readonly bench: string, readonly label: string, readonly y: number }
export interface PoleTick { readonly name: string, readonly height: number, readonly y: number }

export interface Pole { readonly ground: number, readonly scale: number, readonly ticks: readonly PoleTick[], readonly benches: readonly PoleBench[], readonly small: readonly number[] }

/** Room above the ridge and below the ground, px. */
const ABOVE = 104
const BELOW = 150
/** Least distance between a bench and the next words, px. */
const CLEAR = 44

/**
 * The story pole to scale: heights above the deck in mm, `tall` px from top to bottom. The roof hangs between plate and ridge,
 * the walls between deck and plate, the saw below ground. `every` is the spacing of the stick's small marks, mm.
 */
export function storyPole(heights: { readonly plate: number, readonly ridge: number }, tall: number, every: number): Pole {
  const ground = tall - BELOW
  const scale = Math.max(40, ground - ABOVE) / heights.ridge
  const y = (height: number): number => ground - height * scale
  const plate = y(heights.plate)
  const ridge = y(heights.ridge)
  const count = Math.floor(heights.ridge / every)
  return {
    ground, scale,
    ticks: [{ name: 'Deck', height: 0, y: ground }, { name: 'Plate', height: heights.plate, y: plate }, { name: 'Ridge', height: heights.ridge, y: Math.min(ridge, plate - CLEAR * 1.4) }],
    benches: [
      { bench: 'roof', label: 'Roof', y: Math.min((plate + ridge) / 2, plate - CLEAR * 0.7) }, { bench: 'walls', label: 'Walls', y: (plate + ground) / 2 }, { bench: 'saw', label: 'Saw', y: ground + CLEAR * 1.5 },
    ],
    small: Array.from({ length: count }, (_, i) => y((i + 1) * every)),
  }
}
