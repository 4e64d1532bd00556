import type { BaseKind, FindKind, OpeningKind, RoofOpeningKind } from '../design'
import { FOOT, type Units } from '../measure'

export const baseWords: Record<BaseKind, string> = {
  border: 'Timber border',
  skids: 'Skids',
  blocks: 'Concrete blocks',
  posts: 'Posts in the ground',
  piers: 'Piers',
  poles: "The sides' own posts",
  slab: 'Slab',
}

/** What a building stands on, after `on`. */
export const standsOnWords: Record<BaseKind, string> = {
  border: 'a timber border',
  skids: 'skids',
  blocks: 'concrete blocks',
  posts: 'posts in the ground',
  piers: 'piers',
  poles: 'its own posts in the ground',
  slab: 'a slab',
}

export const findWords: Record<FindKind, string> = {
  tree: 'Tree',
  rock: 'Rock',
  well: 'Well',
  wall: 'Wall',
  drain: 'Drain',
  water: 'Water pipe',
  gas: 'Gas pipe',
  electric: 'Power cable',
  telephone: 'Telephone cable',
  other: 'Other',
}

/** An area given in m²: square feet, or square metres. */
export const sayArea = (m2: number, units: Units): string =>
  units === 'imperial' ? `${(m2 / (FOOT / 1000) ** 2).toFixed(0)} ft²` : `${m2.toFixed(1)} m²`

/** A small area given in m²: square inches or square centimetres. */
export const saySmallArea = (m2: number, units: Units): string =>
  units === 'imperial' ? `${(m2 * 1550.0031).toFixed(0)} in²` : `${(m2 * 1e4).toFixed(0)} cm²`

export const roofOpeningWords: Record<RoofOpeningKind, string> = {
  light: 'Roof light',
  flue: 'Flue',
  stair: 'Stair',
}
export const openingWords: Record<OpeningKind, string> = {
  door: 'Door',
  window: 'Window',
  'garage-door': 'Garage door',
  panel: 'Fixed panel',
  vent: 'Vent',
  salvaged: 'Salvaged unit',
}
