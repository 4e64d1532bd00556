import type { Role } from '../trade'
import type { CutName } from '../board'
import type { Section, Species } from '../lumber'
import { formatLength, type Units } from '../measure'

/** A section as a framer calls it: a sheet by its thickness, a panel by its width, a board by its name. */
export const saySection = (section: Section, units: Units): string =>
  section.kind === 'sheet'
    ? `Sheet ${formatLength(section.thickness, { units, denominator: 32, unit: true })}`
    : section.kind === 'panel'
      ? `Panel, ${formatLength(section.depth, { units, unit: true })} wide`
      : section.name

export const cutNames: Record<CutName, string> = {
  square: 'square cut',
  plumb: 'plumb cut',
  level: 'level cut',
  heel: 'heel',
  seat: 'seat',
  birdsmouth: "bird's mouth",
  mitre: 'mitre',
  lap: 'lap',
  housing: 'housing',
  rip: 'rip',
  cutout: 'cut-out',
  slope: 'sloped end',
  cheek: 'cheek cut',
  backing: 'backing',
  cove: 'cove',
}

export const speciesWords: Record<Species, string> = {
  'spruce-pine-fir': 'Spruce-pine-fir',
  'hem-fir': 'Hem-fir',
  'douglas-fir-larch': 'Douglas fir-larch',
  'southern-pine': 'Southern pine',
  'western-cedar': 'Western cedar',
}

/** What to mind with a piece, in a sentence or two, at the foot of its card. */
export const adviseOn = (role: Role): string => advice[role]

const advice: Record<Role, string> = {
  post: 'Set it long, and cut it where it stands, to the level line carried from the highest ground. The length is from the ground as it was measured.',
  'deck-sheet': 'Long way across the joists, ends on a joist.',
  'deck-board': 'Ends on a joist; the last row is ripped to what is left.',
  'wall-post': 'Its notch outward, the beam bearing on the whole seat; screws or bolts by local code.',
  rail: 'On edge between two posts, its ends screwed to them from under.',
  girt: 'Lies on its flat between two posts, its outer edge flush with theirs; screw it from both sides.',
  'post-diagonal': 'Fits into the corner at either end; screw it to post and beam.',
  baluster: 'Cut one story stick for the gap and set each by it; the gaps of a bay are alike.',
  'wall-beam': 'Crown up, joined over a post; its depth is yours to have checked.',
  knee: 'Tight at both ends before it is fastened; cut one, try it.',
  slat: 'Ends on a stud or post; a spacer keeps the gap.',
  'soffit-board': 'Each end on a tail or a joist; nail it from under, the tongue toward the wall.',
  'roof-sheet':
    'Long way across the rafters, each end on the middle of one; an eighth of an inch (3 mm) from the next. Work from below and tie on: a sheet takes the wind.',
  'roof-board': 'Good face down where it is seen from inside; each end on a rafter, two nails to each.',
  'roof-batten':
    'Flat, screwed or nailed at every rafter; each end on one. Its middle is where the panel screws go.',
  'roof-panel':
    'Cut with the good face down, file the edge and brush the filings off. Never walk on a clear panel, nor between battens.',
  siding: 'Each end on a stud; prime the cut ends. Nail it just over the board below, not through that.',
  'siding-batten': 'Over the joint, nailed between the boards and not through them, so that both can move.',
  starter: 'Along the foot, so that the first board leans as the others do.',
  'corner-board': 'Plumb, its edge flush with the next wall’s; the siding butts against it.',
  'wall-panel':
    'Plumb the first one; each laps the next away from the wind that brings the rain. File the edge and brush the filings off.',
  pane: 'Set dry on tape, clear of the wood all round; the printed face out. Seal the open ends of twin-walled ones. Glass near a door or the floor is safety glass.',
  'pane-stop': 'Nail the outer ones, set the pane, then the inner ones, so that it can be taken out again.',
  frieze: 'Under the eave, over the top of the siding or against it; prime its ends.',
  'skirt-board': 'Level along the foot; flash its top before the siding stands on it.',
  casing: 'About the opening, flush with its rough edge; flash the head one before the siding goes on.',
  'wall-sheet':
    'Edges on studs, plates or blocks, an eighth of an inch (3 mm) from the next; its opening cut to the rough size.',
  'gable-stud': 'Over the stud below it; its top cut at the slope. Cut one, try it under the end rafter.',
  'door-lining':
    'Flush with the wall inside and with its sheets outside; plumb both sides before they are nailed.',
  'door-board': 'All of one width: rip one, try so many side by side, then the rest.',
  ledge: 'Screwed through every board; its ends clear of the stops.',
  'door-brace':
    'From the hinges’ end of the lower ledge up: it pushes, and keeps the far edge from sagging. Cut one, try it.',
  stile: 'Groove it before it is glued; hinges go in this one’s edge, or over it.',
  'door-rail': 'Between the stiles, square: both diagonals alike before the glue takes.',
  'door-panel': 'Loose in its groove, without glue, so that it can move.',
  brace: 'From plate to plate once the two diagonals are alike; leave it until the wall is sheathed.',
  'bottom-plate': 'It runs through under a door; cut it out there once the wall stands.',
  border: 'Half its height at a lap, as long as the other is wide; treat the cut ends.',
  skirt: 'Timber treated for the ground, nailed to the posts and the stakes; treat the cut ends.',
  stake: 'Sharpen its foot, drive it outside the board and saw what splits off its head.',
  skid: 'Treat the cut ends.',
  header: 'On edge, crown up, its plies packed out to the wall; its depth is yours to have checked.',
  packing: 'Between the plies, nailed and glued with them.',
  'sub-fascia':
    'Its upper edge ripped to the slope before it is cut to length; snap a line over the tails first, and plane what stands proud.',
  fascia:
    'Its upper edge ripped to the slope before it is cut to length; snap a line over the tails first, and plane what stands proud.',
  'rafter-tie':
    'Nailed to both rafters over the plates; its splice, if it has one, and its nails by local code.',
  'collar-tie': 'Up under the ridge, nailed to both rafters: it holds the slopes together, not the walls.',
  'ridge-beam':
    "It carries half of both slopes: its depth, its plies' nails and the rafters' hangers are yours to have checked. Crown up, joined over a post.",
  'ridge-post':
    'From the deck to the beam, with solid wood under it down to the ground; strapped at both ends by local code.',
  'knee-purlin':
    'Crown up, joined over a post; the rafters’ mouths sit on all of it. It carries most of the roof: its size is yours to have checked.',
  'knee-post':
    'From the deck to the purlin, with solid wood under it down to the ground; fastened at both ends by local code.',
  'joist-beam':
    'Crown up, joined over a post; set it before the joists, which are nailed down on it. Its size is yours to have checked.',
  'joist-post':
    'From the deck to the beam, with solid wood under it down to the ground; fastened at both ends by local code.',
  'false-tail':
    'Nailed flat to the side of its chord, its seat on the plate, so that the eave kicks out; sight along the tails before the fascia goes on.',
  'fly-rafter':
    "The common rafter without its bird's mouth; sight along the fascia before it is nailed. Crown up.",
  rung: 'Square to the slope, flush on top; nail it through the fly rafter, and through the end rafter from inside.',
  lookout:
    "On its flat in the end rafter's housing, flush on top; it carries the fly rafter, so nail it well into the rafter behind.",
  barge: 'Plumb at both ends, its upper edge in the slope; the pair meets over the middle of the ridge.',
  ledger:
    "Level on the house's frame, flashed, never on siding or facing brick; bolts or structural screws by the schedule of local code. The rafters hang on it in hangers or on a strip.",
  'level-rafter':
    'Crown up. Cut one, try it over both beams, then mark the others from it; a cove is marked from a template.',
  batten: 'Screwed to each rafter it crosses, pre-drilled near its ends; ends meet over a rafter.',
  'roof-joist':
    'Level from wall to wall, nailed to both plates. Crown up; its depth is yours to have checked.',
  firring:
    'Ripped to the fall, two out of one board where it is deep enough; screwed down on its joist, thick end to the high side.',
  'upper-header':
    "On the posts over the strip; the upper rafters' bird's mouths stand on it. Its depth and plies are yours to have checked. Crown up.",
  wedge:
    "Thick end in, its blunt tip a quarter of an inch (6 mm) from the wall's outside. Cut from a long offcut, turned over after each, and keep your hands off the blade.",
  purlin: "Up against every rafter's lower edge, joined over a brace; its depth is yours to have checked.",
  'purlin-brace':
    "Tight under the purlin and on the partition's plate, never flatter than 45°; the partition needs solid wood under it down to the ground.",
  'cripple-rafter': 'A common rafter stopped at a header; mark it from the whole one. Crown up.',
  'roof-header':
    "Square to the slope between the trimmers, hung or nailed by local code; fasten the trimmers' plies to each other first.",
  'stair-header': 'Between the doubled joists, hung or nailed by local code. Crown up.',
  'roof-block': 'Between the rafters, flush on top; cut it to what is there if the rafters wander.',
  'finish-board': 'Good face down, from the wall out; the last is ripped at the tails.',
  'soffit-ledger': 'To a level line carried from the tails; its upper edge ripped where the rafters ask it.',
  'soffit-joist': "Level from the ledger to the tail, nailed to the rafter's side.",
  'ceiling-joist':
    'Level beside its rafter, from plate to plate, or to a ledger under one slope. Crown up; its depth is yours to have checked.',
  'loft-joist':
    'Level from plate to plate, or to a ledger under one slope; the loft stands on it. Crown up; its depth is yours to have checked.',
  'joist-ledger':
    "To a level line on the studs of the high wall, or on the house's frame; nailed to each, the joists against it.",
  hip: 'Both cheeks at its head and tail are cut plumb, the saw tilted 45°; try it in its corner before the others are traced. Crown up.',
  'jack-rafter':
    'Jacks are cut in pairs, one for each side of the hip, and set in pairs, so that the hip stays straight. Crown up.',
  'upper-chord':
    'Cut the first pair, lay them in the jig, and trace the rest from what fits: half the turn at both ends.',
  'lower-chord': 'Cut one, lay it over the wall it is notched for, and trace the rest. Crown to the roof.',
  'bottom-chord': 'Crown up, from plate to plate; its depth under a loft is yours to have checked.',
  'knee-plate':
    'Flat, to a line snapped on the joists; the top one under the rafters once their seats are cut.',
  'knee-stud': 'Under each rafter, plumb; cut one, try it under the knee.',
  'wall-brace':
    'Nailed to the side of its stud and to a cleat on the deck once the wall stands to the string; it comes down when the roof is covered.',
  strongback:
    'Two boards nailed at right angles, screwed upright to the framing of the gable wall, top and foot; the first truss is screwed to them, plumb.',
  'truss-brace':
    'From the chord to a stake driven in the ground, once the truss stands plumb; it comes down when the rows are on.',
  spacer:
    'Cut all of them with one stop: their length is the spacing. They come off as the rows are nailed on.',
  'scrap-block': 'Over the spacer, so that it hangs on both chords while you nail.',
  'top-row':
    'Nailed to every chord it crosses, pieces joined over a truss; it comes off as the roof is covered.',
  'bottom-row': 'Nailed to every bottom chord it crosses, pieces joined over a truss; it stays.',
  'web-row': 'Nailed to the edge of every web it crosses, so that none bows sideways; it stays.',
  'row-diagonal': 'Flat under the chords, two nails at each it crosses, once the row is plumb; it stays.',
  'top-diagonal':
    'Flat on the chords, two nails at each it crosses, once the row is plumb; it comes off as the roof is covered.',
  'flat-purlin': 'Flat over the chords, joined over a truss, from one end of the roof to the other.',
  web: 'Cut one of each, lay it in the jig, and trace the rest; tight at both ends before the gusset goes on.',
  gusset:
    'Glued and nailed on both faces of the joint, inside alone on an end truss that is sheathed; face grain along its long edge.',
  rafter: 'Cut one, try it on the building, then trace it. Crown up.',
  ridge: 'Cut one, try it on the building, then trace it. Crown up.',
  joist: 'Cut one, try it on the building, then trace it. Crown up.',
  rim: 'Cut one, try it on the building, then trace it. Crown up.',
  beam: 'Cut one, try it on the building, then trace it. Crown up.',
  'floor-header': 'Cut one, try it on the building, then trace it. Crown up.',
  stud: 'Cut one, try it on the building, then trace it.',
  king: 'Cut one, try it on the building, then trace it.',
  jack: 'Cut one, try it on the building, then trace it.',
  cripple: 'Cut one, try it on the building, then trace it.',
  sill: 'Cut one, try it on the building, then trace it.',
  block: 'Cut one, try it on the building, then trace it.',
  'top-plate': 'Cut one, try it on the building, then trace it.',
}
