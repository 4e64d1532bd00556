import { type RoleField, roles } from '../trade'
import type { Problem } from '../frame'
import type { Units } from '../measure'
import { cutNames } from './fields'
import { belowSentences } from './problems/below'
import { hangSentences } from './problems/hang'
import { roofSentences } from './problems/roof'
import { type Say, sayIn } from './problems/sentences'
import { wallSentences } from './problems/walls'
import { typeable } from './told'

/** What else helps where the number that would is none that its field takes. */
const instead: Partial<Record<Problem['code'], string>> = {
  'firring-shallow': 'No board is that deep: let the roof fall less.',
  'ledger-out-of-reach': 'Type a pitch.',
  'peak-out-of-reach': 'Type a pitch.',
  'strip-too-low': 'Move the strip, lower the other wall, or make the upper slope steeper.',
  'strip-off-span': 'Make the building wider, or choose another roof.',
  'step-into-roof': 'Let the wall run level.',
  'step-too-low': 'Let the wall run level.',
  'finish-too-thick': 'Use deeper rafters, or leave the eave boards out.',
  'lookout-too-thick': 'Frame a ladder over the gables.',
  'roof-opening-too-big': 'There is no room for it here. Put it elsewhere, or take it away.',
  'stair-too-big': 'There is no room for it here. Put it elsewhere, or take it away.',
  'roof-opening-no-room': 'There is no room for it here. Put it elsewhere, or make it smaller.',
  'stair-no-room': 'There is no room for it here. Put it elsewhere, or make it smaller.',
  'gable-over-eaves': 'Let it follow the eave walls.',
  'tail-over-seat': 'Cut the tails plumb, or make the overhang longer.',
  'opening-too-wide': 'There is no room for one here. Put it in another wall, or take it away.',
  'not-placed': 'Set its left corner at another distance from the line.',
  'partition-no-room': 'The building is too small for a partition this way.',
  'slope-falls': 'Lower the other wall, or type a pitch.',
  'slope-steep': 'Type a pitch.',
  'ridge-off-span': 'Type another pitch, or the same height for both eave walls.',
  'seat-through-rafter': 'Use deeper rafters, or less slope.',
  'seat-through-hip': 'Use deeper or thinner hips, or less slope.',
  'tail-lost': "Cut a bird's mouth.",
  'ceiling-meets-rafters': 'Use shallower joists, or a steeper roof.',
  'tie-meets-ridge': 'Use shallower ties, or a steeper roof.',
  'wall-too-low': 'Use smaller studs, or a lower wall under them.',
  'beam-too-thick': 'Use larger posts, fewer plies, or lay the beam on top.',
  'hip-too-short': 'Make the span less, or turn the building.',
  'hip-nearly-square': 'Make the span less.',
  'heel-out-of-reach': 'Leave the heel out, so that it follows.',
  'room-out-of-reach': 'Choose another kind of truss, or a steeper roof.',
  'knee-off-span': 'Move the knee, or change the pitches.',
  'knee-steep': 'Move the knee in or down.',
  'knee-flat': 'Make the upper pitch less, or move the knee.',
  'ridge-under-knee': 'Lower the knee, or type an upper pitch.',
  'foot-off-plate': 'Leave the drop out, so that it follows.',
  'foot-through-chord': 'Leave the drop out, so that it follows.',
  'foot-over-seat': 'Cut the tails plumb.',
  'chord-short': 'Use shallower chords, or move the knee.',
  'headroom-out-of-reach': 'Ask for less width, or a steeper upper pitch.',
  'tail-too-shaped': 'Leave the tails square, or let them reach out farther.',
  'battens-touch': 'Use narrower battens.',
  'skirt-too-deep': 'Level the ground, or leave the skirt out.',
  'girts-too-deep': 'Use larger posts.',
  'balusters-too-deep': 'Use larger posts.',
  'rails-too-thick': 'Use larger posts.',
  'diagonals-too-thick': 'Use larger posts.',
  'railing-too-high': 'Raise the beam, or make its braces shorter.',
  'holes-meet': 'Space the posts wider.',
  'knee-purlin-low': 'Put the knees higher or farther in, or the joists lower.',
  'joist-beam-low': 'Put the joists higher, or leave the beam out.',
  'hang-into-eave': 'Make the main roof higher over it, or hang the part on a side without an eave.',
  'hang-no-room': 'Type a pitch, or hang the part on a side without an eave.',
  'hang-too-long': 'Hang it on another side.',
  'gusset-too-long': 'Move the knee so that its chords are longer.',
}

/**
 * Why the building can't be framed as drawn, and what to change: a number that is said is one that its field
 * takes, and that solves it.
 */
export function sayProblem(problem: Problem, units: Units): string {
  const said = typeable(problem, units)
  if (said) return sentence(said, units)
  const fact = sentence(problem, units).split(/(?<=[.]) (?=[A-Z])/)[0] ?? ''
  return `${fact} ${instead[problem.code] ?? 'No value of this field does it: change what stands beside it.'}`
}

/** The sentence for each code, whatever room its problem is of. */
const sentences = {
  ...roofSentences,
  ...wallSentences,
  ...belowSentences,
  ...hangSentences,
  'not-cut': sayRefused,
}

function sentence(problem: Problem, units: Units): string {
  const say = sentences[problem.code] as (problem: Problem, say: Say) => string
  return say(problem, sayIn(units))
}

/** What there is to change where a board can't be cut as asked. */
const refusedWords: Record<RoleField, string> = {
  'roof.rafter': 'Use deeper rafters, or less of a seat or overhang.',
  'roof.ridge': 'Use another section for the ridge or ledger, or another pitch.',
  'roof.hip.section': 'Use deeper or thinner hips, or more height above plate.',
  'roof.spacing': 'Use another rafter spacing.',
  'roof.purlins': 'Leave the purlins out, or use smaller ones.',
  'roof.ends.lookout': 'Use thinner lookouts, or a ladder.',
  'roof.ends.barge': 'Use narrower barge boards, or leave them out.',
  'roof.tails.finish': 'Use thinner boards over the eaves, or leave them out.',
  'roof.soffit': 'Leave the soffit out, or use thinner joists.',
  'roof.fascia': 'Use another fascia board, or leave it out.',
  'roof.ties': 'Put the ties or ceiling joists at another height, or use shallower ones.',
  'roof.joistBeam': 'Use another section for the beam under the joists, or leave it out.',
  'roof.gambrel.purlin': 'Use another section for the purlins under the knees, or leave them out.',
  'roof.truss.web': 'Use another section for the webs.',
  'roof.truss.bottom': 'Use another section for the bottom chords.',
  'roof.truss.setting': 'Use another section for the boards that trusses are set with.',
  'roof.truss.gusset': 'Use smaller gussets, or another knee.',
  'roof.pergola.battens': 'Use other battens, or leave them out.',
  'roof.firring.section': 'Use deeper firrings, or let the roof fall less.',
  'walls.stud': 'Use another stud, or another wall height.',
  'walls.posts.post': 'Use larger posts.',
  'walls.posts.beam': 'Use a thinner or shallower beam.',
  'walls.railing': 'Use smaller rails or balusters, or leave the railing out.',
  'walls.between': 'Use smaller girts or diagonals, or leave them out.',
  'walls.slats.section': 'Use narrower slats.',
  'walls.bracing': 'Nail diagonals across the inside, or use thicker studs.',
  'walls.sheathing': 'Use other sheets, or leave them out.',
  'walls.openings': 'Move the openings beside it, or make them smaller.',
  'floor.joist': 'Use deeper joists.',
  'floor.deck': "Use another deck, or move the floor's openings.",
  'walls.siding': 'Use other siding, or leave it out.',
  'walls.trim': 'Use other trim boards, or leave them out.',
  'roof.cover.deck': 'Use another deck, or leave it out.',
  'roof.cover.soffit': 'Use other soffit boards, or leave them out.',
  'roof.cover.battens': 'Use other battens, or leave them out.',
  'roof.cover.top': 'Use other panels, or leave them out.',
  'base.skirt': 'Use other skirt boards and stakes, or leave them out.',
  'base.kind': 'Use a smaller timber, or another base.',
  'base.lift': 'Hold the floor higher over the ground.',
}

function sayRefused({
  role,
  member,
  count,
  fault,
  path,
}: Extract<Problem, { readonly code: 'not-cut' }>): string {
  const [what, it, has] =
    count === 1
      ? [`The ${roles[role].one} ${member} can't be cut as asked`, 'it', 'the board has']
      : [`${count} ${roles[role].many}, ${member} the first, can't be cut as asked`, 'them', 'they have']
  switch (fault.code) {
    case 'no-size':
      return `${what}: ${has} no size. ${refusedWords[path]}`
    case 'all-removed':
      return `${what}: the ${cutNames[fault.name].toLowerCase()} leaves nothing of ${it}. ${refusedWords[path]}`
    case 'in-two':
      return `${what}: the ${cutNames[fault.name].toLowerCase()} parts ${it} in two. ${refusedWords[path]}`
  }
}
