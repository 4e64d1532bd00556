import type { Sayings } from './sayings'

/** What is said of site, base and floor. */
export const groundSayings = {
  'near-buried': ({ n, mm, named }) =>
    `${mm('distance')} from “${named('find')}” to where ${n('count') === 1 ? 'a hole or post goes' : `${n('count')} holes or posts go`}; ${mm('clear')} is asked. Have the service marked by its owner, dig by hand there, or move the building.`,
  'near-find': ({ n, mm, named }) =>
    `${mm('distance')} from “${named('find')}” to where ${n('count') === 1 ? 'a hole, post or block goes' : `${n('count')} holes, posts or blocks go`}; ${mm('clear')} is asked. Move the building or the supports.`,
  'tapes-short': ({ mm, named }) =>
    `The two tapes to “${named('find')}” don't reach each other: ${mm('by')} is missing. Measure it again.`,
  'tapes-long': ({ mm, named }) =>
    `The two tapes to “${named('find')}” can't both be right: one is ${mm('by')} too long for the other. Measure it again.`,
  'setback-passed': ({ n, mm, named }) =>
    n('distance') < 0
      ? `The building crosses “${named('boundary')}”. Move it.`
      : `The building stands ${mm('distance')} off “${named('boundary')}”; the setback is ${mm('setback')}. Move it, or ask the permit office.`,
  'paint-first': ({ mm, named }) =>
    `The ${named('wall')} wall stands ${mm('distance')} from “${named('find')}”, closer than the ${mm('reach')} one works in. Cover and paint it before it is stood up, and its other side last.`,
  'stakes-off': ({ mm }) =>
    `The diagonals between the stakes differ by ${mm('by')}, more than the ${mm('fair')} you live with. Square them before anything stands on them: every error in the ground comes out at the ridge.`,
  'rock-above-frost': ({ n, mm }) =>
    `Rock stopped ${n('count') === 1 ? 'a hole' : `${n('count')} holes`} at ${mm('reached')}, above the frost depth of ${mm('frost')}. Move the post, drill and pin it to the rock, or ask the building department; don't leave it on loose stone.`,
  'stack-tall': ({ n, mm }) =>
    `${n('count') === 1 ? 'A stack' : `${n('count')} stacks`} of blocks ${n('count') === 1 ? 'is' : 'are'} up to ${mm('height')} tall; more than ${n('limit')} without mortar tip. Use piers or posts there, or dig the high side down.`,
  'skirt-tall': ({ mm }) =>
    `The skirt boards hold gravel up to ${mm('height')} high; past ${mm('limit')} that is a retaining wall, and stakes alone don't hold it. Cut the high side of the ground down, or have a wall designed.`,
  'floor-wedge': ({ mm }) =>
    `The floor ends square where the house stands nearest. By the other end a wedge up to ${mm('wide')} wide is left along the house: fill it there, by measure.`,
  'before-digging': () =>
    'Before anything is dug, have buried cables and pipes located and marked; a spade finds them the hard way.',
  'ground-contact': () =>
    "Timber on or in the ground must be treated for ground contact, cut ends too. Wear a mask where it is sawn, and don't burn the offcuts.",
  'not-anchored': () =>
    "Nothing holds this base down: wind can lift a light building off it. Use earth anchors, by their maker's sheet and local code.",
  'ground-not-measured': () =>
    'No levels are taken, so the ground is drawn level. Take a reading at each corner before you cut a post.',
  'joists-along-skids': () =>
    'The joists run the same way as the skids, so that only the rims at their ends rest on them. Turn the joists or the skids, or have the rims checked as beams.',
  'joint-unborne': ({ mm }) =>
    `The two floor frames meet at ${mm('joint')} with nothing under the joint. Put a skid, beam or border timber there, with ${mm('bearing')} for each.`,
  'holes-as-one': ({ n, mm }) =>
    `${n('count') === 1 ? 'A hole' : `${n('count')} holes`} of this part ${n('count') === 1 ? 'comes' : 'come'} as near as ${mm('apart')} to another part's, and two of them take ${mm('wide')}. Dig those as one, wide enough for both posts, with one footing under them; or space the posts otherwise.`,
} satisfies Sayings
