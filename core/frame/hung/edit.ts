import { type Design, withPart } from '../../design'
import { frame } from '../frame'
import { type Hung, hungOn } from './hung'

const known = new WeakMap<Design, Map<number, Hung>>()

/** A part of a building as it hangs there; worked out once for a building. */
function worked(whole: Design, index: number): Hung {
  const parts = known.get(whole) ?? new Map<number, Hung>()
  known.set(whole, parts)
  const hung = parts.get(index) ?? hungOn(whole, index, frame(whole))
  parts.set(index, hung)
  return hung
}

/**
 * The building with one of its parts changed, as a design of its own, with what follows from the main part
 * worked out: so a number that is typed moves no other. What it shares with the main part is changed there.
 * The same building where nothing is changed, or where it has no such part.
 */
export function withHung(whole: Design, index: number, change: (part: Design) => Design): Design {
  if (!whole.parts[index]) return whole
  const { design, pose } = worked(whole, index)
  return withPart(whole, index, design, change(design), pose.origin.z)
}
