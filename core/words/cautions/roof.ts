import { formatAngle } from '../../measure'
import type { CautionSay, Sayings } from './sayings'

/** What a notch leaves over an overhang, where that is little. */
const leaving = ({ mm, n }: CautionSay): string =>
  n('tail') ? `, and leaves ${mm('rest')} over the overhang, where codes often ask for ${mm('tail')}` : ''

/** What is said of the roof. */
export const roofSayings = {
  'notch-over-third': saying =>
    `The bird's mouth is ${saying.mm('notch')} deep, past a third of the rafter (${saying.mm('limit')})${leaving(saying)}. Narrow the seat, raise the height above plate or use a deeper rafter.`,
  'notch-over-quarter': saying =>
    `The bird's mouth is ${saying.mm('notch')} deep, past the quarter of the depth (${saying.mm('limit')}) that codes often allow at the end of a member${leaving(saying)}. Ask what your building department takes.`,
  'hip-notch-over-third': ({ mm }) =>
    `The hips' bird's mouths are ${mm('notch')} deep, past a third of their depth (${mm('limit')}). Raise the height above plate, or use hips no deeper than the rafters' plumb cuts ask for.`,
  'hip-notch-over-quarter': ({ mm }) =>
    `The hips' bird's mouths are ${mm('notch')} deep, past the quarter of their depth (${mm('limit')}) that codes often allow at the end of a member. Ask what your building department takes.`,
  'tail-shallow': ({ mm }) =>
    `${mm('left')} of rafter is left over the overhang; codes often ask for ${mm('limit')}. Narrow the seat or use a deeper rafter.`,
  'tail-long': ({ mm }) =>
    `The overhang of ${mm('overhang')} is longer than the ${mm('limit')} that a notched tail customarily carries. Shorten it or have it checked.`,
  'bearing-short': ({ mm }) =>
    `The rafter rests on ${mm('bearing')} of plate; ${mm('limit')} of bearing on wood is customary. Widen the seat.`,
  'seat-past-plate': ({ mm }) =>
    `The seat is ${mm('seat')} long and the plate only ${mm('plate')} wide: the cut runs on past its inside. Raise the height above plate.`,
  'no-birdsmouth': () =>
    "With no bird's mouth nothing hooks over the wall. Hold every rafter with a sloped-seat tie or a hanger, by its maker's schedule.",
  'lookouts-deep': ({ mm }) =>
    `The lookouts take ${mm('notch')} out of end rafters with no studs under them; a quarter of the depth (${mm('limit')}) is what codes often allow. Fill the gables with studs, or frame a ladder.`,
  'ridge-shallow': ({ mm }) =>
    `The ridge board (${mm('ridge')}) is shallower than the rafter's plumb cut (${mm('plumb')}), so the cut's foot hangs free. Use the next deeper board.`,
  'low-pitch': ({ n }) =>
    `The slope of ${formatAngle(n('angle'))} is below 3 in 12: a ridge board no longer holds and the ridge must be a beam on posts. Ask an engineer or the building department.`,
  'beam-unchecked': ({ mm }) =>
    `The ridge is a beam: with posts up to ${mm('spacing')} apart it carries half of the roof. Have its depth and plies, its posts and what they stand on checked by an engineer or the building department.`,
  'beam-on-header': ({ named }) =>
    `The ridge beam comes down over an opening in the ${named('wall')} wall: a point load on its header. Move the opening from under the ridge, or have the header checked for it.`,
  'strip-unchecked': ({ mm }) =>
    `Header and ledger carry half of both slopes over posts up to ${mm('spacing')} apart. Have their depth and plies, the posts and what they stand on checked by an engineer or the building department.`,
  'joist-ledger-fixing': () =>
    'The ledger carries half of what the ceiling joists bear. Fasten it to each stud, or to the frame of the house behind it, and hold the joists to it, by the schedule of local code.',
  'ledger-fixing': () =>
    'The ledger carries half of the roof. Fasten it to the frame of the house or wall behind it, not to siding or facing brick, by the schedule of local code, flash it, and ask whether that may carry it.',
  'ledger-shallow': ({ mm }) =>
    `The ledger (${mm('ledger')}) is shallower than the rafters' plumb cut (${mm('plumb')}), so the cuts' feet hang free. Use the next deeper board.`,
  'deck-thin': ({ mm }) =>
    `Rafters stand ${mm('spacing')} apart; sheets of this thickness customarily span ${mm('span')}, their edges held. Use thicker sheets, or set the rafters nearer each other.`,
  'roofing-flat': ({ n }) =>
    `At ${formatAngle(n('angle'))} this roofing is customarily not laid: not below ${formatAngle(n('least'))}. Use another, or seal it as its maker says.`,
  'roofing-no-deck': () =>
    'This roofing lies on a deck, and there is none. Put sheets or boards on the rafters.',
  'battens-far': ({ mm }) =>
    `Battens ${mm('apart')} apart are more than the ${mm('limit')} that light panels are customarily laid over. Its maker's sheet decides for your snow and wind.`,
  'purlin-shallow': ({ mm }) =>
    `The purlins are ${mm('depth')} deep; customarily they are no shallower than the rafters they hold, ${mm('limit')}. Use a deeper board.`,
  'purlin-brace-long': ({ mm }) =>
    `A purlin brace is ${mm('length')} long; past ${mm('limit')} it customarily needs a second board nailed along it, or a shorter reach.`,
  'purlin-braces-far': ({ mm }) =>
    `The purlin's braces stand up to ${mm('apart')} apart; ${mm('limit')} is customary. Space them closer.`,
  'fall-low': ({ n }) =>
    `The roof falls ${formatAngle(n('angle'))}; less than 1/4 in 12 (${formatAngle(n('limit'))}) holds puddles once the joists sag. Let it fall more.`,
  'air-low': ({ mm }) =>
    `${mm('air')} of air passes over the blocks; ${mm('limit')} clear above the insulation is customary. Lower the blocks.`,
  'opening-single': ({ n, mm }) =>
    `Opening ${n('number')} is ${mm('width')} wide: past ${mm('limit')} its headers and the rafters beside it are customarily doubled. Frame it with two boards.`,
  'opening-hangers': ({ n, mm }) =>
    `The headers of opening ${n('number')} span ${mm('width')}: past ${mm('limit')} they customarily hang in metal hangers, and their size is yours to have checked.`,
  'flue-clear': ({ n }) =>
    `Opening ${n('number')} is for a flue: keep all wood as far from it as its maker and local code say, with a firestop where it passes the ceiling.`,
  'truss-unchecked': ({ mm }) =>
    `Chords of this size with glued and nailed gussets are customary for small sheds and light snow; nothing here has reckoned what these carry over ${mm('span')}. Have them checked by a table or an engineer for your snow and wind.`,
  'trusses-bought': () =>
    "Bought trusses carry what their maker's sheet says, at the spacing and on the bearing it says; nothing here has reckoned them. Never cut, notch or drill one, order those beside a stair as the maker asks, and follow the maker's sheet for lifting and bracing before this plan.",
  'posts-unbraced': ({ named }) =>
    `Nothing holds the trusses' end posts upright along the ${named('wall')} wall: they stand on its plate as on a hinge. Sheathe that wall up to the roof, or nail diagonals across the posts.`,
  'knees-unborne': () =>
    'Nothing carries the rafters at their knees. Put purlins under them, frame ceiling joists for a wall to stand on, or choose trusses.',
  'knees-unchecked': () =>
    'The walls under the knees bring half of the roof down on the ceiling joists. Have those, and what they stand on, checked by an engineer or the building department.',
  'knee-purlins-unchecked': ({ mm }) =>
    `The purlins under the knees carry more than half of the roof, up to ${mm('clear')} clear between what they stand on. Have their depth and plies, the posts and what those stand on checked by an engineer or the building department.`,
  'joist-beam-unchecked': ({ mm }) =>
    `The beam under the joists carries half of all that lies on them, up to ${mm('clear')} clear between what it stands on. Have its depth and plies, the posts and what those stand on checked by an engineer or the building department.`,
  'joists-joined': () =>
    'The joists are longer than what is sold, and joined over their beam: on half of its breadth each. Where they hold the walls together, nail boards across the joints or strap them, by the schedule of local code.',
  'inner-beam-hung': ({ named }) =>
    `No post has room under the end of the ${named('beam')} at ${named('at')}: it hangs there. Use a hanger made for the beam, on solid wood that carries it on past the opening, and have both checked.`,
  'trusses-far': ({ mm }) =>
    `The trusses stand ${mm('apart')} apart; chords ${mm('depth')} deep are customarily no farther than ${mm('limit')}. Space them closer, or use deeper chords.`,
  'truss-left-out': ({ n, mm }) =>
    `For opening ${n('number')} a truss is left out, and the roof spans ${mm('clear')} there on rungs: its neighbours carry half as much again, doubled or not. Have them, and the headers, checked with the trusses.`,
  'setting-danger': () =>
    "A truss bends sideways while it is lifted, and a row without its rows and diagonals can go over all at once. Lift by two points with enough people, let nobody stand under or climb on before it is braced, and stop in wind. Where trusses are bought, their maker's bracing sheet goes first.",
  'setting-unplanned': () =>
    'A row of trusses stands only by its bracing, and none is planned here. Plan how it is set, or follow the bracing sheet of who made them.',
  'setting-left-out': ({ n, named }) =>
    `There is no room for ${n('count')} ${named('what')} where ${n('count') === 1 ? 'it belongs' : 'they belong'}. Nail on what fits there, before what holds the row comes off.`,
  'no-ties': () =>
    'No rafter ties are framed: under load the rafters push the walls apart. Add ties in the bottom third, or make the ridge a beam held at its ends; local code and an engineer decide.',
  'ties-high': ({ mm }) =>
    `The rafter ties lie ${mm('height')} over the plate, above the lower third (${mm('limit')}) where they customarily hold the walls. Lower them, or have the rafters checked.`,
  'collars-low': ({ mm }) =>
    `The collar ties lie ${mm('height')} over the plate, below the upper third (${mm('limit')}). Down there they are neither collar ties nor rafter ties; raise them.`,
  'ties-far': ({ mm, named }) =>
    `The ${named('kind')} ties stand ${mm('apart')} apart; ${mm('limit')} is customary. Tie more of the rafters.`,
} satisfies Sayings
