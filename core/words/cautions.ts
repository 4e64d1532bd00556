import type { Caution } from '../check'
import { formatAngle, type Units } from '../measure'
import { sayLength } from './measures'

/** A caution as a sentence: what limit, how far past it, what to do. */
export function sayCaution({ code, numbers }: Caution, units: Units): string {
  const n = (name: string): number => numbers[name] ?? 0
  const mm = (name: string): string => sayLength(n(name), units)
  switch (code) {
    case 'notch-over-third': return `The bird's mouth is ${mm('notch')} deep, past a third of the rafter (${mm('limit')}). Narrow the seat, raise the height above plate or use a deeper rafter.`
    case 'notch-over-quarter': return `The bird's mouth is ${mm('notch')} deep, past the quarter of the depth (${mm('limit')}) that codes often allow at the end of a member. Ask what your building department takes.`
    case 'tail-shallow': return `${mm('left')} of rafter is left over the overhang; codes often ask for ${mm('limit')}. Narrow the seat or use a deeper rafter.`
    case 'tail-long': return `The overhang of ${mm('overhang')} is longer than the ${mm('limit')} that a notched tail customarily carries. Shorten it or have it checked.`
    case 'bearing-short': return `The rafter rests on ${mm('bearing')} of plate; ${mm('limit')} of bearing on wood is customary. Widen the seat.`
    case 'seat-past-plate': return `The seat is ${mm('seat')} long and the plate only ${mm('plate')} wide: the cut runs on past its inside. Raise the height above plate.`
    case 'no-birdsmouth': return 'With no bird\'s mouth nothing hooks over the wall. Hold every rafter with a sloped-seat tie or a hanger, by its maker\'s schedule.'
    case 'ridge-shallow': return `The ridge board (${mm('ridge')}) is shallower than the rafter's plumb cut (${mm('plumb')}), so the cut's foot hangs free. Use the next deeper board.`
    case 'low-pitch': return `The slope of ${formatAngle(n('angle'))} is below 3 in 12: a ridge board no longer holds and the ridge must be a beam on posts. Ask an engineer or the building department.`
    case 'no-ties': return 'No rafter ties are framed: under load the rafters push the walls apart. Add ties in the bottom third, or make the ridge a beam held at its ends; local code and an engineer decide.'
    case 'rafter-off-stud': return `${n('count')} rafters stand more than ${mm('limit')} from a stud, and a single top plate does not spread them. Use the same spacing for both, or two top plates.`
    case 'longer-than-stock': return `${mm('length')} is longer than any board sold by the length. Join it over a stud or a post, or order it.`
  }
}
