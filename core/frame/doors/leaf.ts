import type { Stretch } from '../../trade'
import type { MemberPlace } from '../place'
import type { Wall } from '../walls/wall'

/** The wall that a door hangs in, how deep it is, and how far out over it the sheets lie; mm. */
export interface InWall {
  readonly wall: Wall
  readonly deep: number
  readonly over: number
}

/** What a leaf covers of its wall's face, and the end of the wall that it hangs at; mm. */
export interface Leaf {
  readonly s: Stretch
  readonly z: Stretch
  readonly hinge: 'low' | 'high'
}

export type DoorPlace = (name: string, ...run: (number | string)[]) => MemberPlace
