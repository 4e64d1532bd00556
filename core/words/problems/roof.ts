import { counted } from '../measures'
import { limits } from '../../design'
import type { RoofProblem } from '../../lines'
import { formatAngle, HAIR } from '../../measure'
import { gambrelSentences } from './gambrel'
import type { Sentences } from './sentences'

/** Whether a height may be typed as a wall's own. */
const isTyped = (height: number): boolean =>
  height > limits.wallHeight.min - HAIR && height < limits.wallHeight.max + HAIR

/** What is wrong with the roof, and what to change. */
export const roofSentences: Sentences<RoofProblem> = {
  ...gambrelSentences,
  'rafter-no-length': (problem, { up }) =>
    `Nothing is left of the rafter between plate and ridge. Make the span at least ${up(problem.least)}.`,
  'ridge-off-span': (problem, { down }) =>
    `With one eave wall this much higher the ridge leaves the span. Make it ${down(problem.most)} at most, or the roof steeper.`,
  'peak-out-of-reach': (problem, { up, down }) =>
    problem.path === 'roof.peak.height'
      ? `No pitch between ${formatAngle(limits.roofAngle.min)} and ${formatAngle(limits.roofAngle.max)} brings the ridge there. Put its top between ${up(problem.least)} and ${down(problem.most)} over the deck, or type a pitch.`
      : `No pitch between ${formatAngle(limits.roofAngle.min)} and ${formatAngle(limits.roofAngle.max)} brings the slopes together there. Put the peak between ${up(problem.least)} and ${down(problem.most)} from the south wall, or type a pitch.`,
  'roof-sheet-short': (problem, { up }) =>
    `A sheet on the roof spans from one rafter to another at least, and ends on their middles. Use sheets ${up(problem.least)} long at least, or set the rafters nearer each other.`,
  'lap-too-wide': (problem, { down }) =>
    `So wide a lap leaves less than half of each ${problem.path === 'roof.cover.underlay.lap' ? 'strip' : 'row'} to cover anything. Make it ${down(problem.most)} at most.`,
  'first-row-wide': (problem, { down }) =>
    `The first row is ripped from a sheet, and is whole at most. Rip it to ${down(problem.most)} at most, or leave it out so that it follows.`,
  'first-panel-wide': (problem, { down }) =>
    `The first panel is ripped from a whole one. Let it cover ${down(problem.most)} at most, or leave it out so that it follows.`,
  'cover-on-purlins': ({ path }) =>
    `Purlins lie flat on these trusses, and the ${path === 'roof.cover.deck' ? 'deck' : 'battens'} would lie in the same place. Leave one of the two out.`,
  'pitches-apart': () =>
    'With pitches this far apart the ridge leaves the span. Bring the two pitches, or the two eave walls, nearer each other.',
  'truss-walls-uneven': (problem, { mm }) =>
    `A gambrel, and a row of trusses, stand on two walls of one height. Give the ${problem.side} wall ${mm(problem.height)}, as the other has.`,
  'chords-unlike': (problem, { mm }) =>
    `A truss is built flat, of boards as thick as each other. Choose ${problem.path === 'roof.truss.web' ? 'webs' : 'bottom chords'} that are ${mm(problem.thickness)} thick, as the upper chords.`,
  'truss-too-small': () =>
    'The joints of this truss lie too near each other for gussets. Choose a truss of fewer webs, a steeper roof, or shallower boards.',
  'truss-span-unlike': (problem, { mm }) =>
    `These trusses are made for a span of ${mm(problem.span)}, and the building is ${mm(problem.width)} wide over its framing: they are drawn at that. Give the building the trusses' span, or type the span of others here.`,
  'kick-no-reach': (problem, { up }) =>
    `False tails need something to reach past the walls by. Make the overhang at least ${up(problem.least)}, or leave them out.`,
  'kick-too-steep': problem =>
    problem.angle === null
      ? 'Under this knee no false tails fit beside the lower chords. Leave them out, or put the knee higher.'
      : `False tails this steep would run up past half of the lower chords, or along them. Make their pitch ${formatAngle(Math.floor(problem.angle * 10) / 10)} at most.`,
  'ceiling-too-steep': problem =>
    problem.angle === null
      ? 'Under this roof no ceiling leaves the scissors room for their king post. Choose other trusses, or a steeper roof.'
      : `So steep a ceiling leaves the scissors no room for their king post. Make its pitch ${formatAngle(Math.floor(problem.angle * 10) / 10)} at most.`,
  'splice-near-joint': (problem, { besides }) =>
    `The ${problem.path === 'roof.truss.splice.bottom' ? 'bottom' : 'top'} chords would be joined under the gusset of another joint, or past their ends: the splice is as where nothing is typed. ${problem.below === null && problem.above === null ? 'Leave it out, so that it follows.' : besides('Put it', problem)}`,
  'heel-out-of-reach': (problem, { up, down }) =>
    `At this heel the top chords would lose more than half over the plate, or stand on nothing over the bottom chord's end. ${problem.least === null || problem.most === null ? 'Leave it out, so that it follows.' : `Make it between ${up(problem.least)} and ${down(problem.most)}.`}`,
  'room-out-of-reach': (problem, { down }) =>
    `The top chords leave no place for such a room. Make its ${problem.path.endsWith('width') ? 'width' : 'height'} ${down(problem.most)} at most, or the roof steeper.`,
  'hip-too-short': (problem, { up }) =>
    `A hip roof's ridge runs along the length. Make the length at least the span, ${up(problem.least)}, or turn the building.`,
  'hip-nearly-square': (problem, { mm, up }) =>
    `The ridge would be too short for two pairs of rafters. Make the length ${mm(problem.square)} as the span is, so that all hips meet at one point, or at least ${up(problem.least)}.`,
  'hip-walls-uneven': (problem, { mm }) =>
    `A hip roof stands on four walls of one height. ${
      isTyped(problem.height)
        ? `Give the ${problem.side} wall ${mm(problem.height)}, as another has.`
        : 'Type one height for all four.'
    }`,
  'hip-off-plate': (problem, { up }) =>
    `The hip rafters would hang ${up(problem.by)} over the corner of the plates. Use deeper hips, or a lower height above plate.`,
  'ridge-post-blocked': () =>
    "A wall or partition along the building, or what crosses it close together, leaves the ridge's posts no room. Space the posts wider than the building is long, or move what is in their way.",
  'knee-purlin-low': (problem, { down }) =>
    `The purlins would come down on what lies under the knees. Use purlins ${down(problem.most)} deep at most, or put the knees higher.`,
  'knee-mouth-deep': (problem, { up }) =>
    `Mouths over the ${problem.kind === 'wall' ? 'walls' : 'purlins'} under the knees would take more than half of the rafters. Use rafters ${up(problem.least)} deep at least, or a ${problem.kind === 'wall' ? 'narrower stud' : 'purlin of fewer plies'}.`,
  'knee-post-blocked': () =>
    'What stands inside leaves a post under the purlins no room. Let the posts stand farther apart, or move what is in their way.',
  'joist-post-blocked': () =>
    "What stands inside leaves a post under the joists' beam no room. Let the posts stand farther apart, put the beam elsewhere, or move what is in their way.",
  'joist-beam-low': (problem, { down }) =>
    `The joists lie so low that their beam would come down to the deck. Use a beam ${down(problem.most)} deep at most, or put the joists higher.`,
  'joist-beam-no-room': (problem, { down, up }) =>
    problem.below === null && problem.above === null
      ? 'Nothing across the building leaves the beam under the joists room. Take it away, or move what stands there.'
      : `Something stands where the beam under the joists would lie, or a stair comes up there. Put its middle ${[
          ...(problem.below === null ? [] : [`at ${down(problem.below)}`]),
          ...(problem.above === null ? [] : [`at ${up(problem.above)}`]),
        ].join(', or ')} from the south wall.`,
  'strip-off-span': (problem, { up, down }) =>
    `The strip's posts leave no room beside a wall. Put the strip between ${up(problem.least)} and ${down(problem.most)} from the south wall.`,
  'strip-too-low': (problem, { up, down }) =>
    problem.clear < 0
      ? `The upper slope's header would lie below the lower slope's ledger. Make the ${problem.side} wall at least ${up(problem.least)}, or move the strip.`
      : `The strip between the slopes would be only ${down(problem.clear)} high. Make the ${problem.side} wall at least ${up(problem.least)}, or move the strip.`,
  'beam-shallow': (problem, { up }) =>
    `The ridge beam ends above the rafters' lower edges, where nothing stands under it. Make it ${up(problem.least)} deep at least.`,
  'beam-unborne': () =>
    'The ridge beam has no studs under its ends. Fill both gables with studs, or rake the walls.',
  'tail-over-seat': (problem, { up }) =>
    `The level cut would run into the wall. Leave a plumb face of ${up(problem.least)} at least.`,
  'finish-too-thick': (problem, { down }) =>
    `The eave boards would take more than half of the tails. Use boards of ${down(problem.most)} at most, or deeper rafters.`,
  'soffit-no-room': (problem, { up }) =>
    `The ${problem.side} overhang leaves no room for a soffit. Make it at least ${up(problem.least)}.`,
  'soffit-too-high': (problem, { up }) =>
    `The soffit on the ${problem.side} would lie ${up(problem.by)} too near the plate's top. Use more overhang, a steeper roof or deeper tails.`,
  'ends-no-room': (problem, { up }) =>
    `The overhang at the gables leaves no room for a fly rafter. Make it at least ${up(problem.least)}.`,
  'lookout-too-thick': (problem, { down }) =>
    `The lookouts would take more than half of the end rafters, which is customarily the most. Use lookouts of ${down(problem.most)} at most, or deeper rafters.`,
  'roof-opening-no-slope': problem =>
    `Opening ${problem.number} is in the ${problem.side} slope, and this roof has none there. Put it in the south or the north slope.`,
  'roof-opening-too-big': (problem, { down }) =>
    `Opening ${problem.number} leaves no room for its headers or the doubled boards beside it. Make its ${problem.path.endsWith('width') ? 'width' : 'length'} ${down(problem.most)} at most.`,
  'stair-too-big': (problem, { down }) =>
    `Opening ${problem.number} leaves no room for its headers or the doubled boards beside it. Make its ${problem.path.endsWith('width') ? 'width' : 'length'} ${down(problem.most)} at most.`,
  'roof-opening-no-room': (problem, { up, down }) =>
    problem.path.endsWith('at')
      ? `Opening ${problem.number} leaves no room for the doubled rafters beside it. Put its middle between ${up(problem.least)} and ${down(problem.most)}.`
      : `Opening ${problem.number} leaves no room for its headers. Put its lower edge between ${up(problem.least)} and ${down(problem.most)} from the outside of the wall.`,
  'roof-opening-cuts-truss': (problem, { up, down }) =>
    problem.path.endsWith('width')
      ? `Opening ${problem.number} is wider than the trusses stand apart, and a truss is never cut. Make its width ${down(problem.most ?? 0)} at most, or carry the roof by rafters.`
      : problem.least === null || problem.most === null
        ? `Opening ${problem.number} would cut a truss, or the lookouts beside an end one. Make it narrower, hold the ends without lookouts, or carry the roof by rafters.`
        : `Opening ${problem.number} would cut a truss, or the lookouts beside an end one. Put its middle between ${up(problem.least)} and ${down(problem.most)}.`,
  'roof-openings-meet': problem =>
    problem.trussed
      ? `Opening ${problem.number} lies between the same two trusses as opening ${problem.other}, and their headers would meet. Move one into another bay, or farther up.`
      : `Opening ${problem.number} would share its trimmers with opening ${problem.other}. Move one along the slope's wall.`,
  'loft-no-joists': () =>
    'There is nothing for a loft to lie on. Frame ceiling joists, choose trusses with a bottom chord, or leave the loft out.',
  'loft-no-room': () =>
    'Webs or chords stand where the loft would lie. Choose attic trusses, or open ones over joists, or leave the loft out.',
  'stair-no-joists': problem =>
    `Opening ${problem.number} is for a stair, and there are no ceiling joists it could open. Frame ceiling joists, or take it away.`,
  'stair-few-trusses': problem =>
    `Opening ${problem.number} is for a stair, and there are too few trusses for one to be left out between doubled ones. Space them closer, or take it away.`,
  'stair-no-room': (problem, { up, down }) =>
    problem.path.endsWith('at')
      ? `Opening ${problem.number} leaves no joist whole on one side. Put its middle between ${up(problem.least)} and ${down(problem.most)}.`
      : `Opening ${problem.number} would run into the rafters. Put its south edge between ${up(problem.least)} and ${down(problem.most)} from the outside of the south wall.`,
  'stair-meets-stair': problem =>
    `Opening ${problem.number} would share its joists with another stair. Move one of them.`,
  'stair-meets-tie': problem =>
    `Ties cross opening ${problem.number} at the height of its ceiling joists. Move the ties up or leave them out; ceiling joists from plate to plate do their work.`,
  'stair-not-doubled': problem =>
    `Beside opening ${problem.number} a rafter leaves no room to double the joist. Move it a bay along, or frame it with single boards.`,
  'taper-south': () =>
    'Ends and floors are laid out from the south, where a house out of line stands. Let the house stand on the north, or leave the ends open and the floor out.',
  'ledger-out-of-reach': (problem, { up, down }) =>
    `No pitch between ${formatAngle(limits.roofAngle.min)} and ${formatAngle(limits.roofAngle.max)} brings the rafters to a ledger there. Put its top between ${up(problem.least)} and ${down(problem.most)} over the deck, or type a pitch.`,
  'ledger-below-deck': (problem, { up }) =>
    `The ledger would reach ${up(problem.by)} below the deck. Use a shallower board, or put it higher.`,
  'flat-walls-uneven': (problem, { mm }) =>
    `A flat roof's joists lie level on two walls of one height. ${
      isTyped(problem.height)
        ? `Give the ${problem.side} wall ${mm(problem.height)} as the other has`
        : 'Type one height for both'
    }, or choose a single slope.`,
  'notch-too-deep': (problem, { down }) =>
    `The rafters would be notched past their middle. Notch them ${down(problem.most)} at most, or use deeper ones.`,
  'tail-too-shaped': (problem, { down }) =>
    `The tails leave no room for that shape. Make it ${down(problem.most)} at most.`,
  'battens-touch': (problem, { up }) =>
    `Battens this close would touch. Space them at least ${up(problem.least)}.`,
  'firring-shallow': (problem, { up }) =>
    `The firrings would be ${up(problem.least)} deep at the high end. Rip them of a board at least as deep, or let the roof fall less.`,
  'firring-thick': (problem, { down }) =>
    `The firrings are thicker than the joists they lie on. Use boards of ${down(problem.most)} at most.`,
  'air-too-much': (problem, { down }) =>
    problem.most < 1
      ? 'The blocks are too low for air over them. Leave none, or use deeper rafters.'
      : `So much air over the blocks would leave hardly any of them. Keep it to ${down(problem.most)} at most.`,
  'purlin-unborne': () =>
    'Purlin braces have nothing to stand on. Put a partition along the building on the Walls bench, or leave the purlins out.',
  'purlin-too-low': (problem, { up }) =>
    `The ${problem.side} slope's purlin would hang ${up(problem.by)} below the partitions' tops. Use a shallower purlin, a steeper roof, or leave it out.`,
  'purlin-brace-blocked': problem =>
    `Braces of the ${problem.side} slope's purlin would run into the ledger or header along the building. Put a partition nearer the purlin, or leave it out.`,
  'purlin-meets-tie': problem =>
    `Ties or ceiling joists cross the ${problem.side} slope at its purlin's height. Move them, or leave the purlin out.`,
  'purlin-meets-post': problem =>
    `The ${problem.side} slope's purlin would run into the posts under the ridge. Leave the purlins out, or the ridge's posts.`,
  'purlin-braces-no-room': problem =>
    `Ties and posts leave the braces of the ${problem.side} slope's purlin no room beside each other. Space the braces farther apart, or leave the purlins out.`,
  'purlin-meets-opening': problem =>
    `The ${problem.side} slope's purlin, halfway up, would cross opening ${problem.number}. Move the opening up or down, or leave the purlins out.`,
  'purlin-no-reach': () =>
    'A purlin lies under the common rafters, and this roof has hardly any beside each other. Make the building longer, or leave the purlins out.',
  'purlin-brace-flat': (problem, { up, down }) =>
    `Braces of the ${problem.side} slope's purlin would lie at ${formatAngle(problem.angle)} to the nearest partition, flatter than 45°. Put a partition's middle between ${up(problem.least)} and ${down(problem.most)} from the south.`,
  'slope-falls': (problem, { up }) =>
    `The ${problem.side} wall is the high one and the roof would hardly fall from it. Make it at least ${up(problem.least)}.`,
  'slope-steep': (problem, { down }) =>
    `The ${problem.side} wall is so much higher that the roof would be steeper than 70°. Make it ${down(problem.most)} at most.`,
  'seat-wants-mouth': () => "Rafters of this roof need a bird's mouth on every wall. Choose another seat.",
  'ridge-into-wall': (problem, { up }) =>
    `The ridge board, or the ledger in its stead, reaches ${up(problem.by)} below the top of the walls. Use a shallower board or a steeper pitch.`,
  'fascia-no-room': (problem, { up }) =>
    `The ${problem.side} overhang leaves no room for fascia beside the wall. Make it at least ${up(problem.least)}.`,
  'fascia-below-deck': (problem, { up }) =>
    `The ${problem.side} fascia would hang ${up(problem.by)} below the deck. Use a lower board, or less overhang.`,
  'ceiling-meets-rafters': (problem, { down }) =>
    `The ceiling joists' ledger would meet the rafters. Put the joists ${down(problem.most)} over the plate at most.`,
  'ceiling-meets-opening': (problem, { up, down }) =>
    `The ceiling joists' ledger would cross opening ${problem.number} in the ${problem.side} wall. ${clearOf([...(problem.over === null ? [] : [`${up(problem.over)} over the plate at least`]), ...(problem.under === null ? [] : [`${down(problem.under)} at most`])])}`,
  'ceiling-unborne': problem =>
    `Ceiling joists want a ledger on the ${problem.side} wall's studs, and that side is of posts. Build it of studs, or leave them out.`,
  'tie-meets-ridge': (problem, { down }) =>
    problem.most < 0
      ? `There is no room for ${problem.kind === 'ceiling' ? 'ceiling joists' : `${problem.kind} ties`} under the ridge board. Use shallower ties, a shallower ridge or a steeper roof.`
      : `The ${problem.kind === 'ceiling' ? 'ceiling joists' : `${problem.kind} ties`} would meet the ridge board. Put their lower edge ${down(problem.most)} over the plate at most.`,
  'rafter-off-plate': (problem, { down }) =>
    `At this height above plate the rafter does not touch the wall. Make it ${down(problem.most)} at most.`,
  'seat-through-rafter': (problem, { up }) =>
    problem.path === 'roof.seat.height'
      ? `The seat takes the whole rafter. Make the height above plate at least ${up(problem.least)}, the rafter deeper or the slope less.`
      : `The seat takes the whole rafter. Choose a height above plate of at least ${up(problem.least)}, a deeper rafter or less slope.`,
  'seat-through-hip': (problem, { up }) =>
    `The seat takes the whole of the hips at their feet. ${problem.path === 'roof.seat.height' ? 'Make the height above plate' : 'Choose a height above plate of'} at least ${up(problem.least)}, or deeper or thinner hips.`,
  'strip-vents-many': problem =>
    `The strip has ${counted(problem.bays, 'bay')} between posts for a vent each. Ask for ${problem.bays} at most, or space the posts closer.`,
  'tail-lost': (problem, { down }) =>
    `Cut level along the bottom, the rafter runs out before the overhang ends. Make the overhang ${down(problem.most)} at most, or cut a bird's mouth.`,
  'tail-below-deck': (problem, { down }) =>
    problem.most === null
      ? 'Even without an overhang the rafters would reach below the deck, or into the porch. Make the walls higher, the rafters shallower or the roof less steep.'
      : `The tails would reach below the deck, or into the porch. ${problem.path === 'roof.overhang.eave' ? 'Make the overhang' : 'Put the foot under the plate by'} ${down(problem.most)} at most.`,
}

const clearOf = (heights: readonly string[]): string =>
  heights.length
    ? `Put the joists ${heights.join(', or ')}, or change the opening.`
    : 'Change the opening, or use shallower joists.'
