import type { BelowProblem } from '../../lines'
import type { Sentences } from './sentences'

/** What is wrong with the floor, base and site, and what to change. */
export const belowSentences: Sentences<BelowProblem> = {
  'floor-too-small': (problem, { up }) =>
    `The floor is too small for rims and joists. Make ${problem.path === 'footprint.length' ? 'the length' : 'the span'} at least ${up(problem.least)}.`,
  'joint-off-floor': (problem, { up, down }) =>
    problem.range
      ? `The joint leaves no room for a frame on one side. Put it between ${up(problem.range.least)} and ${down(problem.range.most)} from the west end.`
      : 'The floor is too short for two frames that meet. Build it in one.',
  'porch-in-house': problem =>
    `The porch lies on the ${problem.side}, where the house stands. Lay it on another side, or leave it out.`,
  'skirt-too-deep': (problem, { mm, down }) =>
    `The skirt boards would hold gravel ${mm(problem.deep)} high, which takes a retaining wall. Set the level ${down(problem.most)} over the highest ground at most, or leave the skirt out.`,
  'porch-too-small': (problem, { up }) =>
    `The porch is too shallow to frame. Make it at least ${up(problem.least)} deep.`,
  'opening-off-floor': (problem, { mm }) =>
    problem.clash
      ? `Opening ${problem.number} runs into another. Move it clear of the doubled joists about the other.`
      : `Opening ${problem.number} leaves no room for its headers and doubled joists. Keep it ${mm(problem.clear)} clear of the floor's edges and joint.`,
  'poles-need-posts': problem =>
    `The ${problem.side} wall is of studs, and nothing carries it between posts in the ground. Build it of posts too, or choose another base.`,
  'holes-meet': (problem, { down }) =>
    `Posts stand nearer to each other than their holes are wide. Dig holes ${down(problem.most)} wide at most, or space the posts wider.`,
  'poles-under-floor': () =>
    "The sides' own posts in the ground carry no floor of joists. Leave the floor out, or choose another base.",
  'base-without-floor': () =>
    'This base carries a floor frame, and none is framed. Frame a floor on the Floor bench, or choose a border or a slab.',
  'slab-under-floor': () =>
    'The walls stand on the slab, so the floor frame is not built. Choose another base to have it, or take the floor away.',
  'base-too-small': (problem, { up }) =>
    `The base's timbers have no room. Make ${problem.path === 'footprint.length' ? 'the length' : 'the span'} at least ${up(problem.least)}.`,
  'supports-touch': (problem, { up }) =>
    `${problem.path === 'base.count' ? 'The skids' : 'Beams, or what stands under them,'} would run ${up(problem.by)} into each other. Use fewer rows, smaller ones, or move the joint.`,
  'low-wall-too-thick': (problem, { down }) =>
    `The low walls would leave no room between them. Make them ${down(problem.most)} thick at most.`,
  'post-no-length': (problem, { up }) =>
    `The beams would lie on the ground. Hold them at least ${up(problem.least)} clear of it.`,
  'not-placed': (problem, { up, down }) =>
    `The two corners can't be that far apart off the line. Make the right corner's offset between ${up(problem.least)} and ${down(problem.most)}.`,
}
