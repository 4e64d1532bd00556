import { type RoleField, roles } from '../trade'
import { limits } from '../design'
import type { Problem } from '../frame'
import { formatAngle, type Units } from '../measure'
import { cutNames } from './fields'
import { sayLength, toMark } from './measures'
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
  'beam-too-thick': 'Use larger posts.',
  'post-too-deep': 'Use deeper studs.',
  'hip-too-short': 'Make the span less, or turn the building.',
  'hip-nearly-square': 'Make the span less.',
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

function sentence(problem: Problem, units: Units): string {
  const mm = (value: number): string => sayLength(value, units)
  // rounded to the side on which what is typed then fits
  const [up, down] = [
    (value: number) => mm(toMark(value, units, 'up')),
    (value: number) => mm(toMark(value, units, 'down')),
  ]
  const besides = (
    put: string,
    { below, above }: { readonly below: number | null; readonly above: number | null },
  ): string => {
    const places = [
      ...(below === null ? [] : [`at ${down(below)} or less`]),
      ...(above === null ? [] : [`at ${up(above)} or more`]),
    ]
    return places.length
      ? `${put} ${places.join(', or ')}.`
      : 'There is no room for it beside. Put it in another wall, make it smaller, or move the partition.'
  }
  switch (problem.code) {
    case 'wall-too-low':
      return problem.path === 'walls.height'
        ? `The walls are too low for plates and studs. Make them at least ${up(problem.least)}.`
        : `The ${problem.path.split('.')[2] ?? ''} wall is too low for plates and studs. Make it at least ${up(problem.least)}.`
    case 'wall-too-short':
      return `${problem.path === 'footprint.length' ? 'The length' : 'The span'} leaves no room for the corners. Make it at least ${up(problem.least)}.`
    case 'spacing-too-tight':
      return `${{ 'walls.spacing': 'Studs', 'roof.spacing': 'Rafters', 'floor.spacing': 'Joists' }[problem.path]} this close would touch. Space them at least ${up(problem.least)}.`
    case 'rafter-no-length':
      return `Nothing is left of the rafter between plate and ridge. Make the span at least ${up(problem.least)}.`
    case 'ridge-off-span':
      return `With one eave wall this much higher the ridge leaves the span. Make it ${down(problem.most)} at most, or the roof steeper.`
    case 'peak-out-of-reach':
      return problem.path === 'roof.peak.height'
        ? `No pitch between ${formatAngle(limits.roofAngle.min)} and ${formatAngle(limits.roofAngle.max)} brings the ridge there. Put its top between ${up(problem.least)} and ${down(problem.most)} over the deck, or type a pitch.`
        : `No pitch between ${formatAngle(limits.roofAngle.min)} and ${formatAngle(limits.roofAngle.max)} brings the slopes together there. Put the peak between ${up(problem.least)} and ${down(problem.most)} from the south wall, or type a pitch.`
    case 'pitches-apart':
      return 'With pitches this far apart the ridge leaves the span. Bring the two pitches, or the two eave walls, nearer each other.'
    case 'hip-too-short':
      return `A hip roof's ridge runs along the length. Make the length at least the span, ${up(problem.least)}, or turn the building.`
    case 'hip-nearly-square':
      return `The ridge would be too short for two pairs of rafters. Make the length ${mm(problem.square)} as the span is, so that all hips meet at one point, or at least ${up(problem.least)}.`
    case 'hip-walls-uneven':
      return `A hip roof stands on four walls of one height. Give the ${problem.side} wall ${mm(problem.height)}, as another has.`
    case 'hip-off-plate':
      return `The hip rafters would hang ${up(problem.by)} over the corner of the plates. Use deeper hips, or a lower height above plate.`
    case 'ridge-post-blocked':
      return "A partition along the building stands where the ridge's posts would. Space the posts wider than the building is long, or move the partition."
    case 'strip-off-span':
      return `The strip's posts leave no room beside a wall. Put the strip between ${up(problem.least)} and ${down(problem.most)} from the south wall.`
    case 'strip-too-low':
      return problem.clear < 0
        ? `The upper slope's header would lie below the lower slope's ledger. Make the ${problem.side} wall at least ${up(problem.least)}, or move the strip.`
        : `The strip between the slopes would be only ${down(problem.clear)} high. Make the ${problem.side} wall at least ${up(problem.least)}, or move the strip.`
    case 'beam-shallow':
      return `The ridge beam ends above the rafters' lower edges, where nothing stands under it. Make it ${up(problem.least)} deep at least.`
    case 'beam-unborne':
      return 'The ridge beam has no studs under its ends. Fill both gables with studs, or rake the walls.'
    case 'tail-over-seat':
      return `The level cut would run into the wall. Leave a plumb face of ${up(problem.least)} at least.`
    case 'finish-too-thick':
      return `The eave boards would take more than half of the tails. Use boards of ${down(problem.most)} at most, or deeper rafters.`
    case 'soffit-no-room':
      return `The ${problem.side} overhang leaves no room for a soffit. Make it at least ${up(problem.least)}.`
    case 'soffit-too-high':
      return `The soffit on the ${problem.side} would lie ${up(problem.by)} too near the plate's top. Use more overhang, a steeper roof or deeper tails.`
    case 'ends-no-room':
      return `The overhang at the gables leaves no room for a fly rafter. Make it at least ${up(problem.least)}.`
    case 'lookout-too-thick':
      return `The lookouts would take more than half of the end rafters, which is customarily the most. Use lookouts of ${down(problem.most)} at most, or deeper rafters.`
    case 'roof-opening-no-slope':
      return `Opening ${problem.number} is in the ${problem.side} slope, and this roof has none there. Put it in the south or the north slope.`
    case 'roof-opening-too-big':
    case 'stair-too-big':
      return `Opening ${problem.number} leaves no room for its headers or the doubled boards beside it. Make its ${problem.path.endsWith('width') ? 'width' : 'length'} ${down(problem.most)} at most.`
    case 'roof-opening-no-room':
      return problem.path.endsWith('at')
        ? `Opening ${problem.number} leaves no room for the doubled rafters beside it. Put its middle between ${up(problem.least)} and ${down(problem.most)}.`
        : `Opening ${problem.number} leaves no room for its headers. Put its lower edge between ${up(problem.least)} and ${down(problem.most)} from the outside of the wall.`
    case 'roof-openings-meet':
      return `Opening ${problem.number} would share its trimmers with opening ${problem.other}. Move one along the slope's wall.`
    case 'stair-no-joists':
      return `Opening ${problem.number} is for a stair, and there are no ceiling joists it could open. Frame ceiling joists, or take it away.`
    case 'stair-no-room':
      return problem.path.endsWith('at')
        ? `Opening ${problem.number} leaves no joist whole on one side. Put its middle between ${up(problem.least)} and ${down(problem.most)}.`
        : `Opening ${problem.number} would run into the rafters. Put its south edge between ${up(problem.least)} and ${down(problem.most)} from the outside of the south wall.`
    case 'stair-meets-stair':
      return `Opening ${problem.number} would share its joists with another stair. Move one of them.`
    case 'stair-meets-tie':
      return `Ties cross opening ${problem.number} at the height of its ceiling joists. Move the ties up or leave them out; ceiling joists from plate to plate do their work.`
    case 'stair-not-doubled':
      return `Beside opening ${problem.number} a rafter leaves no room to double the joist. Move it a bay along, or frame it with single boards.`
    case 'gable-notch-thin':
      return `Behind the end rafters ${down(problem.left)} would be left of the notched gable studs, less than ${up(problem.least)}. Let them end under the rafters, or use deeper studs.`
    case 'gable-notch-blocked':
      return `Beside the ${problem.side} end rafter another stands within the wall's depth, where notched gable studs would run up: there they end under the rafters. Change the rafter spacing or move what it makes room for.`
    case 'ledger-out-of-reach':
      return `No pitch between ${formatAngle(limits.roofAngle.min)} and ${formatAngle(limits.roofAngle.max)} brings the rafters to a ledger there. Put its top between ${up(problem.least)} and ${down(problem.most)} over the deck, or type a pitch.`
    case 'ledger-below-deck':
      return `The ledger would reach ${up(problem.by)} below the deck. Use a shallower board, or put it higher.`
    case 'opening-in-house':
      return `Opening ${problem.number} is in the side where the house stands. Put it in another wall.`
    case 'flat-walls-uneven':
      return `A flat roof's joists lie level on two walls of one height. Give the ${problem.side} wall ${mm(problem.height)} as the other has, or choose a single slope.`
    case 'firring-shallow':
      return `The firrings would be ${up(problem.least)} deep at the high end. Rip them of a board at least as deep, or let the roof fall less.`
    case 'firring-thick':
      return `The firrings are thicker than the joists they lie on. Use boards of ${down(problem.most)} at most.`
    case 'air-too-much':
      return `So much air over the blocks would leave hardly any of them. Keep it to ${down(problem.most)} at most.`
    case 'purlin-unborne':
      return 'Purlin braces have nothing to stand on. Put a partition along the building on the Walls bench, or leave the purlins out.'
    case 'purlin-too-low':
      return `The ${problem.side} slope's purlin would hang ${up(problem.by)} below the partitions' tops. Use a shallower purlin, a steeper roof, or leave it out.`
    case 'purlin-brace-blocked':
      return `Braces of the ${problem.side} slope's purlin would run into the ledger or header along the building. Put a partition nearer the purlin, or leave it out.`
    case 'purlin-meets-tie':
      return `Ties or ceiling joists cross the ${problem.side} slope at its purlin's height. Move them, or leave the purlin out.`
    case 'purlin-meets-opening':
      return `The ${problem.side} slope's purlin, halfway up, would cross opening ${problem.number}. Move the opening up or down, or leave the purlins out.`
    case 'purlin-no-reach':
      return 'A purlin lies under the common rafters, and this roof has hardly any beside each other. Make the building longer, or leave the purlins out.'
    case 'purlin-brace-flat':
      return `Braces of the ${problem.side} slope's purlin would lie at ${formatAngle(problem.angle)} to the nearest partition, flatter than 45°. Put a partition's middle between ${up(problem.least)} and ${down(problem.most)} from the south.`
    case 'gable-over-eaves':
      return `The ${problem.side} wall would stand into the rafters. Make it no higher than the lower eave wall, ${down(problem.most)}.`
    case 'slope-falls':
      return `The ${problem.side} wall is the high one and the roof would hardly fall from it. Make it at least ${up(problem.least)}.`
    case 'slope-steep':
      return `The ${problem.side} wall is so much higher that the roof would be steeper than 70°. Make it ${down(problem.most)} at most.`
    case 'seat-wants-mouth':
      return "Rafters of this roof need a bird's mouth on every wall. Choose another seat."
    case 'ridge-into-wall':
      return `The ridge board, or the ledger in its stead, reaches ${up(problem.by)} below the top of the walls. Use a shallower board or a steeper pitch.`
    case 'fascia-no-room':
      return `The ${problem.side} overhang leaves no room for fascia beside the wall. Make it at least ${up(problem.least)}.`
    case 'fascia-below-deck':
      return `The ${problem.side} fascia would hang ${up(problem.by)} below the deck. Use a lower board, or less overhang.`
    case 'ceiling-meets-rafters':
      return `The ceiling joists' ledger would meet the rafters. Put the joists ${down(problem.most)} over the plate at most.`
    case 'ceiling-meets-opening':
      return `The ceiling joists' ledger would cross opening ${problem.number} in the ${problem.side} wall. ${clearOf([...(problem.over === null ? [] : [`${up(problem.over)} over the plate at least`]), ...(problem.under === null ? [] : [`${down(problem.under)} at most`])])}`
    case 'ceiling-unborne':
      return `Ceiling joists want a ledger on the ${problem.side} wall's studs, and that side is of posts. Build it of studs, or leave them out.`
    case 'tie-meets-ridge':
      return problem.most < 0
        ? `There is no room for ${problem.kind === 'ceiling' ? 'ceiling joists' : `${problem.kind} ties`} under the ridge board. Use shallower ties, a shallower ridge or a steeper roof.`
        : `The ${problem.kind === 'ceiling' ? 'ceiling joists' : `${problem.kind} ties`} would meet the ridge board. Put their lower edge ${down(problem.most)} over the plate at most.`
    case 'rafter-off-plate':
      return `At this height above plate the rafter does not touch the wall. Make it ${down(problem.most)} at most.`
    case 'seat-through-rafter':
      return problem.path === 'roof.seat.height'
        ? `The seat takes the whole rafter. Make the height above plate at least ${up(problem.least)}, the rafter deeper or the slope less.`
        : `The seat takes the whole rafter. Choose a height above plate of at least ${up(problem.least)}, a deeper rafter or less slope.`
    case 'seat-through-hip':
      return `The seat takes the whole of the hips at their feet. ${problem.path === 'roof.seat.height' ? 'Make the height above plate' : 'Choose a height above plate of'} at least ${up(problem.least)}, or deeper or thinner hips.`
    case 'tail-lost':
      return `Cut level along the bottom, the rafter runs out before the overhang ends. Make the overhang ${down(problem.most)} at most, or cut a bird's mouth.`
    case 'tail-below-deck':
      return problem.most === null
        ? 'Even without an overhang the rafters would reach below the deck, or into the porch. Make the walls higher, the rafters shallower or the roof less steep.'
        : `The tails would reach below the deck, or into the porch. Make the overhang ${down(problem.most)} at most.`
    case 'opening-near-corner':
      return `Opening ${problem.number} leaves no room for its jack and king beside the corner. Put its middle between ${up(problem.least)} and ${down(problem.most)} from the end the layout begins at.`
    case 'opening-too-wide':
      return `Opening ${problem.number} is too wide for this wall. Use a unit of ${down(problem.most)} at most.`
    case 'openings-meet':
      return `Opening ${problem.number} runs into opening ${problem.other}: between two rough openings stand two jacks and two kings, ${mm(problem.apart)}. Move one, or make them one opening.`
    case 'opening-at-partition':
      return `Opening ${problem.number} stands where a partition meets the wall. ${besides('Put its middle', problem)}`
    case 'opening-at-step':
      return `Opening ${problem.number} stands where the wall steps. ${besides('Put its middle', problem)}`
    case 'step-under-rafters':
      return `The ${problem.side} wall carries the rafters at one level, so it can't step. Step a gable wall, or give this one its own height.`
    case 'step-in-posts':
      return `The ${problem.side} side is of posts, whose beam lies at one level. Build it of studs to step it.`
    case 'step-under-strip':
      return `Under a raised ridge the ${problem.side} wall keeps one height: the gable over it steps at the strip. Let the wall run level.`
    case 'step-no-room':
      return problem.range
        ? `The step of the ${problem.side} wall leaves no room for its two studs. Put it between ${up(problem.range.least)} and ${down(problem.range.most)} from the south.`
        : `The ${problem.side} wall is too short for a step and the two studs at it. Let it run level.`
    case 'step-at-partition':
      return `The ${problem.side} wall would step where a partition meets it. ${besides('Put the step', problem)}`
    case 'step-too-low':
      return `North of its step the ${problem.side} wall is too low for plates and studs. Make it at least ${up(problem.least)}.`
    case 'step-into-roof':
      return `North of its step the ${problem.side} wall would stand into the rafters. Make it ${down(problem.most)} high there at most, or move the step.`
    case 'partition-no-room':
      return `Partition ${problem.number} leaves no room beside it. Put its near face between ${up(problem.least)} and ${down(problem.most)}.`
    case 'partitions-meet':
      return `Partition ${problem.number} runs into partition ${problem.other}. Move it clear, or take one away: partitions run from outside wall to outside wall.`
    case 'opening-in-posts':
      return `Opening ${problem.number} is in a side of posts, which is open between them. Put it in a wall of studs.`
    case 'post-too-deep':
      return `The posts are deeper than the walls. Use posts of ${down(problem.most)} at most, or deeper studs.`
    case 'beam-too-thick':
      return `The beam would take more than half of the posts. Use one of ${down(problem.most)} at most.`
    case 'header-no-room':
      return `The header over opening ${problem.number} would stand ${up(problem.by)} into the top plate. Use a lower unit, a shallower header or a higher wall.`
    case 'header-too-thick':
      return `The header over opening ${problem.number} is ${up(problem.by)} thicker than the wall. Use fewer plies or thinner ones.`
    case 'opening-too-low':
      return `Opening ${problem.number} is too low for jacks over the bottom plate. Make its height at least ${up(problem.least)}.`
    case 'sill-too-low':
      return `Opening ${problem.number} leaves no room for a sill over the bottom plate. Raise its lower edge to ${up(problem.least)}, or make it a door.`
    case 'door-in-low-wall':
      return `Opening ${problem.number} would stand on the slab, where the low wall is ${mm(problem.foot)} high. Make it a window or a panel, which may be raised, or leave the low wall out.`
    case 'floor-too-small':
      return `The floor is too small for rims and joists. Make ${problem.path === 'footprint.length' ? 'the length' : 'the span'} at least ${up(problem.least)}.`
    case 'joint-off-floor':
      return problem.range
        ? `The joint leaves no room for a frame on one side. Put it between ${up(problem.range.least)} and ${down(problem.range.most)} from the west end.`
        : 'The floor is too short for two frames that meet. Build it in one.'
    case 'porch-too-small':
      return `The porch is too shallow to frame. Make it at least ${up(problem.least)} deep.`
    case 'opening-off-floor':
      return problem.clash
        ? `Opening ${problem.number} runs into another. Move it clear of the doubled joists about the other.`
        : `Opening ${problem.number} leaves no room for its headers and doubled joists. Keep it ${mm(problem.clear)} clear of the floor's edges and joint.`
    case 'base-without-floor':
      return 'This base carries a floor frame, and none is framed. Frame a floor on the Floor bench, or choose a slab.'
    case 'slab-under-floor':
      return 'The walls stand on the slab, so the floor frame is not built. Choose another base to have it, or take the floor away.'
    case 'base-too-small':
      return `The base's timbers have no room. Make ${problem.path === 'footprint.length' ? 'the length' : 'the span'} at least ${up(problem.least)}.`
    case 'supports-touch':
      return `${problem.path === 'base.count' ? 'The skids' : 'Beams, or what stands under them,'} would run ${up(problem.by)} into each other. Use fewer rows, smaller ones, or move the joint.`
    case 'low-wall-too-thick':
      return `The low walls would leave no room between them. Make them ${down(problem.most)} thick at most.`
    case 'post-no-length':
      return `The beams would lie on the ground. Hold them at least ${up(problem.least)} clear of it.`
    case 'not-placed':
      return `The two corners can't be that far apart off the line. Make the right corner's offset between ${up(problem.least)} and ${down(problem.most)}.`
    case 'not-cut':
      return sayRefused(problem)
  }
}

const clearOf = (heights: readonly string[]): string =>
  heights.length
    ? `Put the joists ${heights.join(', or ')}, or change the opening.`
    : 'Change the opening, or use shallower joists.'

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
  'roof.firring.section': 'Use deeper firrings, or let the roof fall less.',
  'walls.stud': 'Use another stud, or another wall height.',
  'walls.posts.post': 'Use larger posts.',
  'walls.posts.beam': 'Use a thinner or shallower beam.',
  'walls.slats.section': 'Use narrower slats.',
  'walls.bracing': 'Nail diagonals across the inside, or use thicker studs.',
  'walls.sheathing': 'Use other sheets, or leave them out.',
  'walls.openings': 'Move the openings beside it, or make them smaller.',
  'floor.joist': 'Use deeper joists.',
  'floor.deck': "Use another deck, or move the floor's openings.",
  'base.kind': 'Use a smaller timber, or another base.',
  'base.lift': 'Hold the floor higher over the ground.',
}

function sayRefused({ role, member, fault, path }: Extract<Problem, { readonly code: 'not-cut' }>): string {
  const what = `The ${roles[role].one} ${member} can't be cut as asked`
  switch (fault.code) {
    case 'no-size':
      return `${what}: the board has no size. ${refusedWords[path]}`
    case 'all-removed':
      return `${what}: the ${cutNames[fault.name].toLowerCase()} leaves nothing of it. ${refusedWords[path]}`
    case 'in-two':
      return `${what}: the ${cutNames[fault.name].toLowerCase()} parts it in two. ${refusedWords[path]}`
  }
}
