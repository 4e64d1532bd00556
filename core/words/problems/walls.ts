import type { WallProblem } from '../../lines'
import type { Sentences } from './sentences'

/** What is wrong with the walls and what is in them, and what to change. */
export const wallSentences: Sentences<WallProblem> = {
  'wall-too-low': (problem, { up }) =>
    problem.path === 'walls.height'
      ? `The walls are too low for plates and studs. Make them at least ${up(problem.least)}.`
      : `The ${problem.path.split('.')[2] ?? ''} wall is too low for plates and studs. Make it at least ${up(problem.least)}.`,
  'wall-too-short': (problem, { up }) =>
    `${problem.path === 'footprint.length' ? 'The length' : 'The span'} leaves no room for the corners. Make it at least ${up(problem.least)}.`,
  'spacing-too-tight': (problem, { up }) =>
    `${{ 'walls.spacing': 'Studs', 'roof.spacing': 'Rafters', 'floor.spacing': 'Joists' }[problem.path]} this close would touch. Space them at least ${up(problem.least)}.`,
  'gable-notch-thin': (problem, { up, down }) =>
    `Behind the end rafters ${down(problem.left)} would be left of the notched gable studs, less than ${up(problem.least)}. Let them end under the rafters, or use deeper studs.`,
  'door-no-room': (problem, { up }) =>
    problem.path.endsWith('width')
      ? `Opening ${problem.number} leaves no room for the leaves of its door. Make the unit ${up(problem.least)} wide at least, or let one leaf do.`
      : `Opening ${problem.number} leaves no room for its door. Make the unit ${up(problem.least)} high at least.`,
  'door-panel-thick': (problem, { down }) =>
    `A panel so thick leaves too little of what it is let into. Use one ${down(problem.most)} thick at most, or thicker stiles.`,
  'door-panel-deep': (problem, { down }) =>
    `So deep a groove leaves too little of stiles and rails. Let the panel in by ${down(problem.most)} at most, or use wider ones.`,
  'siding-narrow': (problem, { up }) =>
    `These boards are too narrow for their thickness to be lapped. Use boards ${up(problem.least)} wide at least, or flat ones.`,
  'siding-shows': (problem, { up, down }) =>
    `Each board lies over the one below by an inch (25 mm) at least, and shows twice its thickness at least: it is laid so. Let ${up(problem.least)} to ${down(problem.most)} show.`,
  'glazed-thick': (problem, { down }) =>
    `A pane so thick leaves no room in the wall for what holds it. Use one ${down(problem.most)} thick at most, thinner stops or deeper studs.`,
  'glazed-deep': (problem, { down }) =>
    `A stud grooved so deep on both faces is too thin between them. Make the grooves ${down(problem.most)} deep at most, or use stops.`,
  'glazed-wide': (problem, { up }) =>
    `The widest bay takes a pane wider than it is sold. Type a width of ${up(problem.least)} or more, or space the studs closer.`,
  'glazed-tall': (problem, { up }) =>
    `The highest bay takes a pane longer than it is sold. Type a length of ${up(problem.least)} or more.`,
  'brace-let-in': (problem, { up, down }) =>
    `Boards let into these studs would leave ${down(problem.left)} of them. Use studs ${up(problem.least)} deep at least, or brace for a while only.`,
  'glazed-braced': () =>
    'Boards let into the studs would pass in front of the panes. Brace the walls for a while only, or not at all, and let sheets on the other walls hold them square.',
  'glazed-crossed': problem =>
    `Braces between the posts of the ${problem.side} side cross ${problem.bays === 1 ? 'a bay, which stays' : `${problem.bays} bays, which stay`} open. Leave the braces out there, or choose another siding.`,
  'glazed-raked': problem =>
    `The studs of the raked ${problem.side} wall run on into its gable with no plate between, so both are glazed or neither. Choose the same for both, or studs on level walls.`,
  'glazed-truss': problem =>
    `In the ${problem.side} gable stand the webs of a truss, not studs. Choose another siding there, or frame the roof with rafters.`,
  'gable-notch-truss': () =>
    "Gable studs can't run up behind end trusses, whose gussets are on their inner faces: they end under the chords. Choose studs that end there, or raked walls.",
  'gable-notch-blocked': problem =>
    `Beside the ${problem.side} end rafter another stands within the wall's depth, where notched gable studs would run up: there they end under the rafters. Change the rafter spacing or move what it makes room for.`,
  'opening-in-house': problem =>
    `Opening ${problem.number} is in the side where the house stands. Put it in another wall.`,
  'gable-over-eaves': (problem, { down }) =>
    `The ${problem.side} wall would stand into the rafters. Make it no higher than the lower eave wall, ${down(problem.most)}.`,
  'opening-near-corner': (problem, { up, down }) =>
    `Opening ${problem.number} leaves no room for its jack and king beside the corner. Put its middle between ${up(problem.least)} and ${down(problem.most)} from the end the layout begins at.`,
  'opening-too-wide': (problem, { down }) =>
    `Opening ${problem.number} is too wide for this wall. Use a unit of ${down(problem.most)} at most.`,
  'joined-heads': (problem, { mm }) =>
    `Opening ${problem.number} is under one header with opening ${problem.other}, and their heads are not on one level. Make its unit ${mm(problem.height)} high.`,
  'joined-apart': (problem, { besides }) =>
    `Between openings ${problem.number} and ${problem.other}, under one header, stands one stud, or two or more. ${besides('Put its middle', problem)}`,
  'openings-meet': (problem, { mm }) =>
    `Opening ${problem.number} runs into opening ${problem.other}: between two rough openings stand the jacks and kings of both, ${mm(problem.apart)}. Move one, or put both under one header.`,
  'opening-over-wider': (problem, { mm, up }) => {
    const [upper, lower] = problem.above ? [problem.number, problem.other] : [problem.other, problem.number]
    const middle = problem.middle === null ? '' : ` Put both middles at ${mm(problem.middle)}.`
    return `Opening ${upper} stands over opening ${lower}, and its studs on that one's header.${middle} Make both as wide as each other, or the upper one ${up(2 * problem.by)} narrower or more.`
  },
  'opening-at-partition': (problem, { besides }) =>
    `Opening ${problem.number} stands where a partition meets the wall. ${besides('Put its middle', problem)}`,
  'opening-at-step': (problem, { besides }) =>
    `Opening ${problem.number} stands where the wall steps. ${besides('Put its middle', problem)}`,
  'step-under-rafters': problem =>
    `The ${problem.side} wall carries the rafters at one level, so it can't step. Step a gable wall, or give this one its own height.`,
  'step-in-posts': problem =>
    `The ${problem.side} side is of posts, whose beam lies at one level. Build it of studs to step it.`,
  'step-under-strip': problem =>
    `Under a raised ridge the ${problem.side} wall keeps one height: the gable over it steps at the strip. Let the wall run level.`,
  'step-no-room': (problem, { up, down }) =>
    problem.range
      ? `The step of the ${problem.side} wall leaves no room for its two studs. Put it between ${up(problem.range.least)} and ${down(problem.range.most)} from the south.`
      : `The ${problem.side} wall is too short for a step and the two studs at it. Let it run level.`,
  'step-at-partition': (problem, { besides }) =>
    `The ${problem.side} wall would step where a partition meets it. ${besides('Put the step', problem)}`,
  'step-too-low': (problem, { up }) =>
    `North of its step the ${problem.side} wall is too low for plates and studs. Make it at least ${up(problem.least)}.`,
  'step-into-roof': (problem, { down }) =>
    `North of its step the ${problem.side} wall would stand into the rafters. Make it ${down(problem.most)} high there at most, or move the step.`,
  'partition-no-room': (problem, { up, down }) =>
    `Partition ${problem.number} leaves no room beside it. Put its near face between ${up(problem.least)} and ${down(problem.most)}.`,
  'partitions-meet': problem =>
    `Partition ${problem.number} runs into partition ${problem.other}. Move it clear, or take one away: partitions run from outside wall to outside wall.`,
  'opening-in-posts': problem =>
    `Opening ${problem.number} is in a side of posts, which is open between them. Put it in a wall of studs.`,
  'open-under-eave': problem =>
    `The roof bears on the ${problem.side} side, which can't be open: it is framed of studs. Build it of posts and a beam.`,
  'opening-in-open': problem =>
    `Opening ${problem.number} is in an end that is left open. Put it in another wall.`,
  'posts-too-far-in': (problem, { down }) =>
    `So far in from the open ends the end posts would meet. Let the beam reach past them by ${down(problem.most)} at most.`,
  'bolted-on-log': () =>
    'A log has no flat side for a beam to be bolted to. Let the beam into shoulders cut in the posts, or lay it on top.',
  'balusters-too-deep': (problem, { down }) =>
    `The balusters are deeper than the posts they stand between. Use boards ${down(problem.most)} wide at most.`,
  'rails-too-thick': (problem, { down }) =>
    `The rails are thicker than the posts they run to. Use boards ${down(problem.most)} thick at most.`,
  'girts-too-deep': (problem, { down }) =>
    `The girts are deeper than the posts and would stand into those of the next side. Use boards ${down(problem.most)} wide at most.`,
  'diagonals-too-thick': (problem, { down }) =>
    `The diagonals are thicker than the posts are deep. Use boards ${down(problem.most)} thick at most.`,
  'railing-too-low': (problem, { up }) =>
    `Between the rails no balusters have room. Make the railing at least ${up(problem.least)} high.`,
  'railing-too-high': (problem, { down }) =>
    `The railing would reach into the beam or its braces. Make it ${down(problem.most)} high at most.`,
  'rails-need-posts': problem =>
    `A railing stands between posts, and the ${problem.side} side is of studs. Build it of posts, or cover it otherwise.`,
  'cover-on-bolted': () =>
    'Behind a beam bolted to their outside the posts stand back, and sheets or siding find nothing to nail to. Let the beam into the posts, or lay it on top.',
  'beam-into-rafters': () =>
    "Under its plates the beam's inner boards would stand in the rafters of the high side. Lay the rafters on the beam itself, or let the beam into the outside of the posts.",
  'beam-too-thick': (problem, { down }) =>
    `Let into the posts the beam would leave too little of them. Use boards ${down(problem.most)} thick at most, larger posts, or lay the beam on top.`,
  'header-no-room': (problem, { up }) =>
    problem.under === 'plates'
      ? `The header over opening ${problem.number} would stand ${up(problem.by)} into the top plate. Use a lower unit, a shallower header or a higher wall.`
      : `The header over opening ${problem.number} would stand ${up(problem.by)} into the roof over the gable. Use a lower unit, a shallower header, or a place nearer the ridge.`,
  'header-too-thick': (problem, { up }) =>
    `The header over opening ${problem.number} is ${up(problem.by)} thicker than the wall. Use fewer plies or thinner ones.`,
  'opening-too-low': (problem, { up }) =>
    `Opening ${problem.number} is too low for jacks over the bottom plate. Make its height at least ${up(problem.least)}.`,
  'sill-too-low': (problem, { up, mm }) =>
    problem.floor !== null
      ? `Opening ${problem.number} leaves no room for a sill and what stands under it. Put its lower edge at ${mm(problem.floor)}, on what is there, or raise it to ${up(problem.least)} or more.`
      : `Opening ${problem.number} leaves no room for a sill over the bottom plate. Raise its lower edge to ${up(problem.least)}, or make it a door.`,
}
