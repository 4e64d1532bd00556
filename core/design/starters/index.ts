import { bikeStore } from './bike-store'
import { emptyFrame } from './empty-frame'
import { firewoodShelter } from './firewood-shelter'
import { gardenRoom } from './garden-room'
import { gardenShed } from './garden-shed'
import { greenhouse } from './greenhouse'
import { hide } from './hide'
import { leanTo } from './lean-to'
import { loftShed } from './loft-shed'
import { pergola } from './pergola'
import { playhouse } from './playhouse'
import { poleShelter } from './pole-shelter'
import { porchRoof } from './porch-roof'
import { woodStore } from './wood-store'
import type { Starter } from './starter'

/** The buildings to begin from, in the order they are shown in. */
export const starters: readonly Starter[] = [
  gardenShed,
  loftShed,
  bikeStore,
  firewoodShelter,
  woodStore,
  poleShelter,
  pergola,
  playhouse,
  greenhouse,
  gardenRoom,
  hide,
  leanTo,
  porchRoof,
  emptyFrame,
]
export { type PartKind, partKinds, sidesFor, withPartOf } from './new-part'
export type { Starter, StarterSize } from './starter'
