import type { Sayings } from './sayings'

/** What is said of walls and boards. */
export const wallsSayings = {
  'rafter-off-stud': ({ n, mm }) =>
    `${n('count') === 1 ? '1 rafter or truss stands' : `${n('count')} rafters or trusses stand`} more than ${mm('limit')} from a stud, and a single top plate does not spread them. Use the same spacing for both, or two top plates.`,
  'rafter-far-from-stud': ({ n, mm }) =>
    `${n('count') === 1 ? '1 rafter or truss stands' : `${n('count')} rafters or trusses stand`} more than ${mm('limit')} from a stud, and the studs are ${mm('spacing')} apart: two top plates customarily spread no more. Stand the studs under them.`,
  'single-plate-joint': () =>
    'A single top plate is spliced: it holds only with a metal plate across the joint, at least 3 by 6 in, nailed to both sides as local code says.',
  'corners-unlapped': () =>
    'No top plate laps over the corners, since the walls there are raked, step or differ in height. Tie each corner with a metal strap or plate, as local code says.',
  'balusters-wide': ({ mm }) =>
    `The balusters leave ${mm('gap')}, more than the ${mm('limit')} that codes let a guard have, so that no child slips through.`,
  'railing-low': ({ mm }) =>
    `The deck lies ${mm('drop')} over the ground, and the railing is ${mm('height')} high: over ${mm('over')} codes ask a guard of ${mm('limit')}.`,
  'wall-unbraced': ({ named }) =>
    `The ${named('wall')} wall has no room for a diagonal between 45° and 60°. Sheathe it before it is raised, or brace it from the ground.`,
  'sheet-edge-loose': ({ n }) =>
    `${n('count') === 1 ? '1 joint of the wall sheets has' : `${n('count')} joints of the wall sheets have`} no stud behind them. Space the studs at a third or half of a sheet, begin the layout at an end, or nail blocks in.`,
  'wall-no-room': ({ mm, named }) =>
    `The ${named('wall')} wall lies ${mm('needs')} deep and ${mm('room')} of deck is free when its turn comes: it can't be tilted up where it lies. Frame it beside the building and carry it, in two parts if it is heavy, or frame it standing.`,
  'door-brace-flat': ({ n }) =>
    `The braces of a door rise at ${n('angle').toFixed(0)}°: flatter than 45° they hold its far edge poorly. Hang two leaves, or make the opening narrower.`,
  'longer-than-stock': ({ mm }) =>
    `${mm('length')} is longer than any board sold by the length. Have it ordered as long, or make what it spans shorter; a joint in it is for an engineer.`,
  'units-short': ({ n, mm, named }) =>
    `${n('used')} openings take a “${named('unit')}” of ${mm('wide')} by ${mm('high')}, and ${n('on')} ${n('on') === 1 ? 'is' : 'are'} on hand. Find more, or give an opening another size.`,
} satisfies Sayings
