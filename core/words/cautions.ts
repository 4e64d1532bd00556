import type { Caution } from '../check'
import { formatAngle, type Units } from '../measure'
import { saidApart, sayLength } from './measures'

/** Numbers that a caution sets beside each other, mm. */
const compared: readonly string[] = [
  'notch',
  'limit',
  'left',
  'overhang',
  'bearing',
  'seat',
  'plate',
  'ridge',
  'plumb',
  'ledger',
  'length',
  'apart',
  'air',
  'width',
  'height',
  'needs',
  'room',
  'distance',
  'clear',
  'setback',
  'by',
  'fair',
  'reached',
  'frost',
]

/** A caution as a sentence: what limit, how far past it, what to do. */
export function sayCaution({ code, numbers, names }: Caution, units: Units): string {
  const n = (name: string): number => numbers[name] ?? 0
  // a limit and what passes it are told apart
  const apart = saidApart(
    compared.flatMap(name => (numbers[name] === undefined ? [] : [n(name)])),
    units,
  )
  const mm = (name: string): string => (compared.includes(name) ? apart(n(name)) : sayLength(n(name), units))
  const named = (name: string): string => names?.[name] ?? ''
  switch (code) {
    case 'notch-over-third':
      return `The bird's mouth is ${mm('notch')} deep, past a third of the rafter (${mm('limit')}). Narrow the seat, raise the height above plate or use a deeper rafter.`
    case 'notch-over-quarter':
      return `The bird's mouth is ${mm('notch')} deep, past the quarter of the depth (${mm('limit')}) that codes often allow at the end of a member. Ask what your building department takes.`
    case 'tail-shallow':
      return `${mm('left')} of rafter is left over the overhang; codes often ask for ${mm('limit')}. Narrow the seat or use a deeper rafter.`
    case 'tail-long':
      return `The overhang of ${mm('overhang')} is longer than the ${mm('limit')} that a notched tail customarily carries. Shorten it or have it checked.`
    case 'bearing-short':
      return `The rafter rests on ${mm('bearing')} of plate; ${mm('limit')} of bearing on wood is customary. Widen the seat.`
    case 'seat-past-plate':
      return `The seat is ${mm('seat')} long and the plate only ${mm('plate')} wide: the cut runs on past its inside. Raise the height above plate.`
    case 'no-birdsmouth':
      return "With no bird's mouth nothing hooks over the wall. Hold every rafter with a sloped-seat tie or a hanger, by its maker's schedule."
    case 'lookouts-deep':
      return `The lookouts take ${mm('notch')} out of end rafters with no studs under them; a quarter of the depth (${mm('limit')}) is what codes often allow. Fill the gables with studs, or frame a ladder.`
    case 'ridge-shallow':
      return `The ridge board (${mm('ridge')}) is shallower than the rafter's plumb cut (${mm('plumb')}), so the cut's foot hangs free. Use the next deeper board.`
    case 'low-pitch':
      return `The slope of ${formatAngle(n('angle'))} is below 3 in 12: a ridge board no longer holds and the ridge must be a beam on posts. Ask an engineer or the building department.`
    case 'beam-unchecked':
      return `The ridge is a beam: with posts up to ${mm('spacing')} apart it carries half of the roof. Have its depth and plies, its posts and what they stand on checked by an engineer or the building department.`
    case 'beam-on-header':
      return `The ridge beam comes down over an opening in the ${named('wall')} wall: a point load on its header. Move the opening from under the ridge, or have the header checked for it.`
    case 'strip-unchecked':
      return `Header and ledger carry half of both slopes over posts up to ${mm('spacing')} apart. Have their depth and plies, the posts and what they stand on checked by an engineer or the building department.`
    case 'joist-ledger-fixing':
      return "The ledger carries half of what the ceiling joists bear. Fasten it to each stud, or to the house's frame, and hold the joists to it, by the schedule of local code."
    case 'ledger-fixing':
      return "The ledger carries half of the roof. Fasten it to the house's frame, not to its siding or facing brick, by the schedule of local code, flash it, and ask whether the house may carry it."
    case 'ledger-shallow':
      return `The ledger (${mm('ledger')}) is shallower than the rafters' plumb cut (${mm('plumb')}), so the cuts' feet hang free. Use the next deeper board.`
    case 'purlin-shallow':
      return `The purlins are ${mm('depth')} deep; customarily they are no shallower than the rafters they hold, ${mm('limit')}. Use a deeper board.`
    case 'purlin-brace-long':
      return `A purlin brace is ${mm('length')} long; past ${mm('limit')} it customarily needs a second board nailed along it, or a shorter reach.`
    case 'purlin-braces-far':
      return `The purlin's braces stand up to ${mm('apart')} apart; ${mm('limit')} is customary. Space them closer.`
    case 'fall-low':
      return `The roof falls ${formatAngle(n('angle'))}; less than 1/4 in 12 (${formatAngle(n('limit'))}) holds puddles once the joists sag. Let it fall more.`
    case 'air-low':
      return `${mm('air')} of air passes over the blocks; ${mm('limit')} clear above the insulation is customary. Lower the blocks.`
    case 'opening-single':
      return `Opening ${n('number')} is ${mm('width')} wide: past ${mm('limit')} its headers and the rafters beside it are customarily doubled. Frame it with two boards.`
    case 'opening-hangers':
      return `The headers of opening ${n('number')} span ${mm('width')}: past ${mm('limit')} they customarily hang in metal hangers, and their size is yours to have checked.`
    case 'flue-clear':
      return `Opening ${n('number')} is for a flue: keep all wood as far from it as its maker and local code say, with a firestop where it passes the ceiling.`
    case 'no-ties':
      return 'No rafter ties are framed: under load the rafters push the walls apart. Add ties in the bottom third, or make the ridge a beam held at its ends; local code and an engineer decide.'
    case 'ties-high':
      return `The rafter ties lie ${mm('height')} over the plate, above the lower third (${mm('limit')}) where they customarily hold the walls. Lower them, or have the rafters checked.`
    case 'collars-low':
      return `The collar ties lie ${mm('height')} over the plate, below the upper third (${mm('limit')}). Down there they are neither collar ties nor rafter ties; raise them.`
    case 'ties-far':
      return `The ${named('kind')} ties stand ${mm('apart')} apart; ${mm('limit')} is customary. Tie more of the rafters.`
    case 'rafter-off-stud':
      return `${n('count')} rafters stand more than ${mm('limit')} from a stud, and a single top plate does not spread them. Use the same spacing for both, or two top plates.`
    case 'rafter-far-from-stud':
      return `${n('count')} rafters stand more than ${mm('limit')} from a stud, and the studs are ${mm('spacing')} apart: two top plates customarily spread no more. Stand the studs under the rafters.`
    case 'single-plate-joint':
      return 'A single top plate is spliced: it holds only with a metal plate across the joint, at least 3 by 6 in, nailed to both sides as local code says.'
    case 'corners-unlapped':
      return 'No top plate laps over the corners, since the walls there are raked, step or differ in height. Tie each corner with a metal strap or plate, as local code says.'
    case 'wall-unbraced':
      return `The ${named('wall')} wall has no room for a diagonal between 45° and 60°. Sheathe it before it is raised, or brace it from the ground.`
    case 'sheet-edge-loose':
      return `${n('count')} joints of the wall sheets have no stud behind them. Space the studs at a third or half of a sheet, begin the layout at an end, or nail blocks in.`
    case 'wall-no-room':
      return `The ${named('wall')} wall lies ${mm('needs')} deep and ${mm('room')} of deck is free when its turn comes: it can't be tilted up where it lies. Frame it beside the building and carry it, in two parts if it is heavy, or frame it standing.`
    case 'near-buried':
      return `${mm('distance')} from “${named('find')}” to where ${n('count') === 1 ? 'a hole or post goes' : `${n('count')} holes or posts go`}; ${mm('clear')} is asked. Have the service marked by its owner, dig by hand there, or move the building.`
    case 'near-find':
      return `${mm('distance')} from “${named('find')}” to where ${n('count') === 1 ? 'a hole, post or block goes' : `${n('count')} holes, posts or blocks go`}; ${mm('clear')} is asked. Move the building or the supports.`
    case 'tapes-short':
      return `The two tapes to “${named('find')}” don't reach each other: ${mm('by')} is missing. Measure it again.`
    case 'tapes-long':
      return `The two tapes to “${named('find')}” can't both be right: one is ${mm('by')} too long for the other. Measure it again.`
    case 'setback-passed':
      return n('distance') < 0
        ? `The building crosses “${named('boundary')}”. Move it.`
        : `The building stands ${mm('distance')} off “${named('boundary')}”; the setback is ${mm('setback')}. Move it, or ask the permit office.`
    case 'stakes-off':
      return `The diagonals between the stakes differ by ${mm('by')}, more than the ${mm('fair')} you live with. Square them before anything stands on them: every error in the ground comes out at the ridge.`
    case 'rock-above-frost':
      return `Rock stopped ${n('count') === 1 ? 'a hole' : `${n('count')} holes`} at ${mm('reached')}, above the frost depth of ${mm('frost')}. Move the post, drill and pin it to the rock, or ask the building department; don't leave it on loose stone.`
    case 'stack-tall':
      return `${n('count') === 1 ? 'A stack' : `${n('count')} stacks`} of blocks ${n('count') === 1 ? 'is' : 'are'} up to ${mm('height')} tall; more than ${n('limit')} without mortar tip. Use piers or posts there, or dig the high side down.`
    case 'before-digging':
      return 'Before anything is dug, have buried cables and pipes located and marked; a spade finds them the hard way.'
    case 'ground-contact':
      return "Timber on or in the ground must be treated for ground contact, cut ends too. Wear a mask where it is sawn, and don't burn the offcuts."
    case 'not-anchored':
      return "Nothing holds this base down: wind can lift a light building off it. Use earth anchors, by their maker's sheet and local code."
    case 'ground-not-measured':
      return 'No levels are taken, so the ground is drawn level. Take a reading at each corner before you cut a post.'
    case 'joists-along-skids':
      return 'The joists run the same way as the skids, so that only the rims at their ends rest on them. Turn the joists or the skids, or have the rims checked as beams.'
    case 'joint-unborne':
      return `The two floor frames meet at ${mm('joint')} with nothing under the joint. Put a skid, beam or border timber there, with ${mm('bearing')} for each.`
    case 'longer-than-stock':
      return `${mm('length')} is longer than any board sold by the length. Join it over a stud or a post, or order it.`
  }
}
