import type { Building, BuildingSetting, BuildingTruss } from '../../design'
import type { RoofLines, RoofLumber } from '../../lines'
import type { Role, Stretch } from '../../trade'
import type { Made } from '../truss/trusses'
import type { Ground } from '../ground'
import type { Member, Order } from '../member'

/** What a row of trusses is set by: what stands, and where the trusses do. */
export interface SetAsk {
  readonly building: Building
  readonly lumber: RoofLumber
  readonly lines: RoofLines
  readonly truss: BuildingTruss
  readonly setting: BuildingSetting
  readonly ground: Ground
  readonly trusses: readonly Stretch[]
  /** How far the end trusses lie under the others, mm. */
  readonly drop: number
  /** What a truss has besides its chords: of all its webs, or as over a framed gable. */
  readonly made: (webbed: boolean) => Made
  readonly longest: number
  /** All that stands once the building does. */
  readonly standing: readonly Member[]
  /** The first order, or set of orders, that strikes nothing; null where each does. */
  readonly firstFree: <T extends readonly Order[]>(
    tries: Iterable<T>,
    among?: (member: Member) => boolean,
  ) => T | null
}

/** Boards of one kind in one place: what they are for, and where they can be; null where there is no room. */
export interface Wanted {
  readonly role: Role
  readonly find: () => readonly Order[] | null
}

/** What is made of each of some places, one at a time as it is tried. */
export function* tried<T, O>(places: Iterable<T>, make: (place: T) => O): Generator<O> {
  for (const place of places) yield make(place)
}

/** What a row wants of one kind, in the order that places are found in. */
export type Wanting = (ask: SetAsk) => Iterable<Wanted>
