import type { HangProblem, PartKind } from '../../lines'
import { type Role, roles } from '../../trade'
import type { Sentences } from './sentences'

const partNames: Readonly<Record<PartKind, string>> = {
  block: 'stack of blocks',
  pier: 'pier',
  slab: 'slab',
  'low-wall': 'low wall',
}

const thingName = (thing: Role | PartKind): string =>
  (roles as Partial<Record<string, { readonly one: string }>>)[thing]?.one ?? partNames[thing as PartKind]

/** Why a part can't hang on the main one, and what to change. */
export const hangSentences: Sentences<HangProblem> = {
  'hang-into-eave': (problem, { down }) =>
    `The part's roof would run into the main roof over it. Put the ledger's top at ${down(problem.most)} at most, or let it hang under the eave.`,
  'hang-no-room': (problem, { down }) =>
    `From a wall this high no roof rises to what it hangs under. Make the wall ${down(problem.most)} high at most, or type a pitch.`,
  'hang-no-eave': problem =>
    `The main roof has no slope that ends over the ${problem.side} wall, to be carried on from there. Hang the part on a ledger at a height.`,
  'hang-no-end': problem =>
    `The main roof falls to the ${problem.side}: it runs on past a gable alone. Hang the part on a ledger.`,
  'hang-end-built': problem =>
    `The ${problem.side} end of the part stands against the main part's wall. Leave it open.`,
  'hang-too-long': (problem, { down }) =>
    `The ledger is longer than the wall it hangs on. Make the part ${down(problem.most)} long at most.`,
  'hang-past-wall': (problem, { up, down }) =>
    `The ledger reaches past the wall it hangs on. Begin the part between ${up(problem.least)} and ${down(problem.most)} from the wall's low end.`,
  'hang-no-wall': problem =>
    `On the ${problem.side} the main part has no wall to hang a ledger on. Hang the part on another side.`,
  'ledger-over-opening': (problem, { besides }) =>
    `The ledger crosses opening ${problem.number} of the main part: move the part along the wall. ${besides('Or put the top of the ledger', problem)}`,
  'hang-on-porch': problem =>
    `The main part's porch lies on the ${problem.side}, where the part stands. Let the part stand on it: without a floor and a base of its own.`,
  'hang-too-low': (problem, { mm }) =>
    `Falling from what it hangs under, the roof comes down to ${problem.comes > 0 ? `${mm(problem.comes)} over` : 'under'} the part's floor. Type a lower pitch, or make the span less.`,
  'part-too-high': (problem, { mm }) =>
    `On this base the part's floor lies ${problem.comes > 0 ? `only ${mm(problem.comes)} under` : 'over'} the plates that the roof runs on from. Choose a lower base.`,
  'part-porch-inside': problem =>
    `The part's own porch is on its ${problem.side}, where it hangs on the main part. Put it on another side.`,
  'part-on-nothing': problem =>
    `Under the part nothing is planned that it stands on. Give it a base, or the main part a porch on the ${problem.side}.`,
  'part-past-porch': (problem, { down }) =>
    `The part's posts stand past the main part's porch. Make the part ${down(problem.most)} ${problem.path === 'footprint.width' ? 'wide' : 'long'} at most, or the porch deeper.`,
  'part-meets-base': (problem, { up }) => {
    const whose = problem.other === null ? "the main part's" : `part ${problem.other}'s`
    const what = `The ${thingName(problem.mine)} of this part would stand in ${whose} ${thingName(problem.theirs)}.`
    return problem.least === null
      ? `${what} Move the part, or give one of them another base or other rows of supports.`
      : `${what} Hold its floor ${up(problem.least)} over the ground at least, or move it.`
  },
  'parts-meet': problem =>
    `This part runs into part ${problem.other}. Move one of them along its wall, or make it smaller.`,
}
