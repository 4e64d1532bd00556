import { kindOfPath } from '../design'
import type { Role } from '../frame'
import type { CutName } from '../board'
import type { Section, Species } from '../lumber'
import { formatLength, type Units } from '../measure'

/** What a framer calls a place of the document. */
export const fieldNames: Record<string, string> = {
  footprint: 'Footprint',
  'footprint.length': 'Length',
  'footprint.width': 'Span',
  walls: 'Walls',
  'walls.stud': 'Studs and plates',
  'walls.spacing': 'Stud spacing',
  'walls.height': 'Wall height',
  'walls.topPlates': 'Top plates',
  'walls.through': 'Through walls',
  'walls.stack': 'Stand over',
  'walls.longest': 'Longest plate',
  'walls.bracing': 'Bracing',
  'walls.units': 'Units on hand',
  'walls.partitions': 'Partitions',
  'walls.partitions.*.at': 'Partition, near face',
  'walls.partitions.*.runs': 'Partition runs',
  'walls.units.*.width': 'Width',
  'walls.units.*.height': 'Height',
  'walls.units.*.name': 'Name of a unit',
  'walls.units.*.count': 'How many',
  'walls.gables': 'Gables',
  'walls.posts': 'Posts and beam',
  'walls.posts.post': 'Posts',
  'walls.posts.beam': 'Beam',
  'walls.posts.spacing': 'Post spacing, at most',
  'walls.posts.joint': 'Beams meet',
  'walls.posts.brace': 'Knee brace reaches',
  'walls.slats': 'Slats',
  'walls.slats.section': 'Slats',
  'walls.slats.gap': 'Gap between slats',
  'walls.siding': 'Siding',
  'walls.siding.section': 'Siding',
  'walls.siding.exposure': 'Shows',
  'walls.sides': 'Walls one by one',
  'walls.sides.south.height': 'Height of the south wall',
  'walls.sides.east.height': 'Height of the east wall',
  'walls.sides.north.height': 'Height of the north wall',
  'walls.sides.west.height': 'Height of the west wall',
  'walls.sides.*.layout': 'Layout',
  'walls.sides.*.step': 'Step',
  'walls.sides.*.step.at': 'Steps at',
  'walls.sides.*.step.height': 'From there on',
  'walls.sheathing': 'Sheets on the walls',
  'walls.sheathing.thickness': 'Sheet thickness',
  'walls.sheathing.drop': 'Over the rim',
  'walls.sheathing.way': 'Sheets stand',
  'walls.sheathing.top': 'Sheets end',
  'walls.sheathing.sheet': 'Sheet',
  'walls.sheathing.sheet.length': 'Sheet, long side',
  'walls.sheathing.sheet.width': 'Sheet, short side',
  'walls.corner': 'Corners',
  'walls.openings': 'Openings',
  'walls.openings.*.at': 'Middle',
  'walls.openings.*.foot': 'Lower edge',
  'walls.openings.*.unit.width': 'Unit, width',
  'walls.openings.*.unit.height': 'Unit, height',
  'walls.openings.*.clearance.width': 'Wider by',
  'walls.openings.*.clearance.height': 'Taller by',
  roof: 'Roof',
  'roof.shape': 'Roof shape',
  'roof.pitch': 'Pitch',
  'roof.pitch.rise': 'Pitch, rise',
  'roof.pitch.run': 'Pitch, run',
  'roof.northPitch': 'North pitch',
  'roof.peak': 'Peak',
  'roof.peak.at': 'Peak from the south wall',
  'roof.peak.height': 'Ridge, over the deck',
  'roof.hip': 'Hips',
  'roof.beam': 'Ridge beam',
  'roof.beam.plies': 'Plies',
  'roof.beam.post': 'Ridge posts',
  'roof.beam.spacing': 'Ridge posts, at most',
  'roof.hip.section': 'Hips',
  'roof.hip.edge': 'Hip edges',
  'roof.rafter': 'Rafters',
  'roof.spacing': 'Rafter spacing',
  'roof.panel': 'Panels',
  'roof.panel.cover': 'A panel covers',
  'roof.panel.per': 'Rafters to a panel',
  'roof.ridge': 'Ridge',
  'roof.overhang': 'Overhang',
  'roof.overhang.eave': 'Overhang at the eaves',
  'roof.overhang.gable': 'Overhang at the gables',
  'roof.overhang.high': 'Overhang at the high wall',
  'roof.high': 'High wall',
  'roof.seat': 'Seat',
  'roof.seat.rule': 'Seat',
  'roof.seat.height': 'Height above plate',
  'roof.seat.measured': 'Third measured',
  'roof.tail': 'Tail',
  'roof.tails': 'Tails',
  'roof.tails.face': 'Plumb face left',
  'roof.tails.wild': 'Left long by',
  'roof.tails.finish': 'Eave boards',
  'roof.soffit': 'Soffit',
  'roof.soffit.section': 'Soffit joists',
  'roof.ends': 'Ends',
  'roof.ends.hold': 'Gable overhang',
  'roof.ends.spacing': 'Rungs or lookouts, at most',
  'roof.ends.lookout': 'Lookouts',
  'roof.ends.barge': 'Barge boards',
  'roof.blocking': 'Blocking',
  'roof.blocking.plate': 'Blocks over the plate',
  'roof.blocking.vents': 'Vent holes in a block',
  'roof.blocking.hole': 'Vent hole',
  'roof.blocking.rows': 'Rows of blocks',
  'roof.ties.ceiling': 'Ceiling joists',
  'roof.ties.ceiling.section': 'Ceiling joists',
  'roof.ties.ceiling.height': 'Ceiling joists over the plate',
  'roof.ties.ceiling.every': 'Ceiling joists',
  'roof.blocking.air': 'Clear over the blocks',
  'roof.raised': 'Raised ridge',
  'roof.raised.at': 'Strip from the south wall',
  'roof.raised.plies': 'Plies',
  'roof.raised.post': 'Posts',
  'roof.raised.spacing': 'Posts apart, at most',
  'roof.firring': 'Firrings',
  'roof.firring.section': 'Firrings, ripped of',
  'roof.firring.least': 'Firrings, at the low end',
  'roof.purlins': 'Purlins',
  'roof.purlins.section': 'Purlins',
  'roof.purlins.brace': 'Purlin braces',
  'roof.purlins.spacing': 'Braces, at most',
  'roof.openings': 'Openings in the roof',
  'roof.openings.*.kind': 'Opening',
  'roof.openings.*.slope': 'Slope',
  'roof.openings.*.at': 'Middle',
  'roof.openings.*.up': 'Up from the wall',
  'roof.openings.*.width': 'Clear width',
  'roof.openings.*.length': 'Clear length',
  'roof.openings.*.plies': 'Boards side by side',
  'roof.fascia': 'Fascia',
  'roof.fascia.sub': 'Sub-fascia',
  'roof.fascia.face': 'Fascia',
  'roof.ties': 'Ties',
  'roof.ties.rafter': 'Rafter ties',
  'roof.ties.collar': 'Collar ties',
  'roof.ties.rafter.section': 'Rafter ties',
  'roof.ties.collar.section': 'Collar ties',
  'roof.ties.rafter.height': 'Rafter ties over the plate',
  'roof.ties.collar.height': 'Collar ties over the plate',
  'roof.ties.rafter.every': 'Rafter ties',
  'roof.ties.collar.every': 'Collar ties',
  floor: 'Floor',
  'floor.joist': 'Rims and joists',
  'floor.spacing': 'Joist spacing',
  'floor.runs': 'Joists run',
  'floor.ends': 'End joists',
  'floor.blocking': 'Blocks',
  'floor.hold': 'Joist ends',
  'floor.joint': 'Joint from the west',
  'floor.doubled': 'Doubled joists',
  'floor.deck': 'Deck',
  'floor.deck.kind': 'Deck',
  'floor.deck.thickness': 'Sheet thickness',
  'floor.deck.section': 'Deck boards',
  'floor.deck.gap': 'Gap',
  'floor.porch': 'Porch',
  'floor.porch.depth': 'Porch depth',
  'floor.porch.gap': 'Gap on the porch',
  'floor.porch.board': 'Porch boards',
  'floor.openings': 'Openings in the floor',
  'floor.openings.*.x': 'Opening, from the west',
  'floor.openings.*.y': 'Opening, from the south',
  'floor.openings.*.length': 'Opening, length',
  'floor.openings.*.width': 'Opening, width',
  base: 'Base',
  'base.kind': 'Base',
  'base.lift': 'Clear of the ground',
  'base.timber': 'Timber',
  'base.count': 'Skids',
  'base.runs': 'Skids run',
  'base.gravel.depth': 'Gravel, depth',
  'base.gravel.beyond': 'Gravel, beyond',
  'base.gravel.compaction': 'Settles, %',
  'base.gravel.load': 'One delivery',
  'base.beams': 'Beams',
  'base.beams.section': 'Beams',
  'base.beams.rows': 'Rows of beams',
  'base.beams.plies': 'Plies',
  'base.spacing': 'Supports, at most',
  'base.block.side': 'Block, side',
  'base.block.height': 'Block, height',
  'base.post': 'Posts',
  'base.frost': 'Frost depth',
  'base.hole': 'Hole, diameter',
  'base.fill': 'Holes filled with',
  'base.diameter': 'Pier, diameter',
  'base.thickness': 'Slab thickness',
  'base.beyond': 'Slab, beyond the walls',
  'base.lowWall': 'Low wall',
  'base.lowWall.height': 'Low wall, height',
  'base.lowWall.thickness': 'Low wall, thickness',
  'base.rock.*.reached': 'Depth reached',
  site: 'Site',
  'site.reference.length': 'Length of the line',
  'site.place.along': 'Along the line',
  'site.place.near': 'Left corner, off the line',
  'site.place.far': 'Right corner, off the line',
  'site.place.faces': 'Side that faces it',
  'site.boundaries.*.from.along': 'From, along',
  'site.boundaries.*.from.out': 'From, out',
  'site.boundaries.*.to.along': 'To, along',
  'site.boundaries.*.to.out': 'To, out',
  'site.boundaries.*.setback': 'Setback',
  'site.finds.*.clear': 'Keep clear by',
  'site.finds.*.places.*.toLeft': 'Left tape',
  'site.finds.*.places.*.toRight': 'Right tape',
  'site.squaring.tolerance.good': 'Good within',
  'site.squaring.tolerance.fair': 'Lived with, to',
  'site.levels.points.*.x': 'From the west',
  'site.levels.points.*.y': 'From the south',
  'site.levels.points.*.reading': 'Reading',
  lumber: 'Lumber',
  'lumber.species': 'Species',
  'lumber.moisture': 'Moisture',
  'lumber.sections': 'Own sizes',
  name: 'Name',
  units: 'Units',
  cut: 'Pieces cut',
  format: 'Kind of file',
  version: 'Version',
}

/** A field's name with its path where the name alone would not find it. */
export const fieldName = (path: string): string =>
  fieldNames[path] ?? fieldNames[kindOfPath(path)] ?? (path || 'The file')

/** A section as a framer calls it: a sheet by its thickness, a board by its name. */
export const saySection = (section: Section, units: Units): string =>
  section.kind === 'sheet'
    ? `Sheet ${formatLength(section.thickness, { units, denominator: 32, unit: true })}`
    : section.name

export const roleNames: Record<Role, { one: string; many: string }> = {
  rafter: { one: 'common rafter', many: 'common rafters' },
  hip: { one: 'hip rafter', many: 'hip rafters' },
  'jack-rafter': { one: 'jack rafter', many: 'jack rafters' },
  'fly-rafter': { one: 'fly rafter', many: 'fly rafters' },
  rung: { one: 'ladder rung', many: 'ladder rungs' },
  lookout: { one: 'lookout', many: 'lookouts' },
  barge: { one: 'barge board', many: 'barge boards' },
  ledger: { one: 'ledger', many: 'ledgers' },
  'roof-joist': { one: 'roof joist', many: 'roof joists' },
  firring: { one: 'firring', many: 'firrings' },
  'upper-header': { one: 'upper header', many: 'upper headers' },
  wedge: { one: 'wedge', many: 'wedges' },
  purlin: { one: 'purlin', many: 'purlins' },
  'purlin-brace': { one: 'purlin brace', many: 'purlin braces' },
  'cripple-rafter': { one: 'cripple rafter', many: 'cripple rafters' },
  'roof-header': { one: 'roof header', many: 'roof headers' },
  'stair-header': { one: 'ceiling header', many: 'ceiling headers' },
  'roof-block': { one: 'block between rafters', many: 'blocks between rafters' },
  'finish-board': { one: 'eave board', many: 'eave boards' },
  'soffit-ledger': { one: 'soffit ledger', many: 'soffit ledgers' },
  'soffit-joist': { one: 'soffit joist', many: 'soffit joists' },
  'ceiling-joist': { one: 'ceiling joist', many: 'ceiling joists' },
  'joist-ledger': { one: 'joist ledger', many: 'joist ledgers' },
  'ridge-beam': { one: 'ridge beam ply', many: 'ridge beam plies' },
  'ridge-post': { one: 'ridge post', many: 'ridge posts' },
  ridge: { one: 'ridge board', many: 'ridge boards' },
  'rafter-tie': { one: 'rafter tie', many: 'rafter ties' },
  'collar-tie': { one: 'collar tie', many: 'collar ties' },
  'sub-fascia': { one: 'sub-fascia', many: 'sub-fascias' },
  fascia: { one: 'fascia board', many: 'fascia boards' },
  'bottom-plate': { one: 'bottom plate', many: 'bottom plates' },
  'top-plate': { one: 'top plate', many: 'top plates' },
  stud: { one: 'stud', many: 'studs' },
  king: { one: 'king stud', many: 'king studs' },
  jack: { one: 'jack stud', many: 'jack studs' },
  cripple: { one: 'cripple', many: 'cripples' },
  header: { one: 'header ply', many: 'header plies' },
  packing: { one: 'header packing', many: 'header packings' },
  sill: { one: 'sill', many: 'sills' },
  'gable-stud': { one: 'gable stud', many: 'gable studs' },
  'wall-sheet': { one: 'wall sheet', many: 'wall sheets' },
  brace: { one: 'diagonal brace', many: 'diagonal braces' },
  'wall-post': { one: 'wall post', many: 'wall posts' },
  'wall-beam': { one: 'wall beam', many: 'wall beams' },
  knee: { one: 'knee brace', many: 'knee braces' },
  slat: { one: 'slat', many: 'slats' },
  rim: { one: 'rim', many: 'rims' },
  joist: { one: 'joist', many: 'joists' },
  'floor-header': { one: 'floor header', many: 'floor headers' },
  block: { one: 'block', many: 'blocks' },
  'deck-sheet': { one: 'deck sheet', many: 'deck sheets' },
  'deck-board': { one: 'deck board', many: 'deck boards' },
  border: { one: 'border timber', many: 'border timbers' },
  skid: { one: 'skid', many: 'skids' },
  beam: { one: 'beam ply', many: 'beam plies' },
  post: { one: 'post', many: 'posts' },
}

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
}

export const speciesWords: Record<Species, string> = {
  'spruce-pine-fir': 'Spruce-pine-fir',
  'hem-fir': 'Hem-fir',
  'douglas-fir-larch': 'Douglas fir-larch',
  'southern-pine': 'Southern pine',
  'western-cedar': 'Western cedar',
}

/** What to mind with a piece, in a sentence or two, at the foot of its card. */
export function adviseOn(role: Role): string {
  switch (role) {
    case 'post':
      return 'Set it long, and cut it where it stands, to the level line carried from the highest ground. The length is from the ground as it was measured.'
    case 'deck-sheet':
      return 'Long way across the joists, ends on a joist.'
    case 'deck-board':
      return 'Ends on a joist; the last row is ripped to what is left.'
    case 'wall-post':
      return 'Its notch outward, the beam bearing on the whole seat; screws or bolts by local code.'
    case 'wall-beam':
      return 'Crown up, joined over a post; its depth is yours to have checked.'
    case 'knee':
      return 'Tight at both ends before it is fastened; cut one, try it.'
    case 'slat':
      return 'Ends on a stud or post; a spacer keeps the gap.'
    case 'wall-sheet':
      return 'Edges on studs, plates or blocks, an eighth of an inch (3 mm) from the next; its opening cut to the rough size.'
    case 'gable-stud':
      return 'Over the stud below it; its top cut at the slope. Cut one, try it under the end rafter.'
    case 'brace':
      return 'From plate to plate once the two diagonals are alike; leave it until the wall is sheathed.'
    case 'bottom-plate':
      return 'It runs through under a door; cut it out there once the wall stands.'
    case 'border':
      return 'Half its height at a lap, as long as the other is wide; treat the cut ends.'
    case 'skid':
      return 'Treat the cut ends.'
    case 'header':
      return 'On edge, crown up, its plies packed out to the wall; its depth is yours to have checked.'
    case 'packing':
      return 'Between the plies, nailed and glued with them.'
    case 'sub-fascia':
    case 'fascia':
      return 'Its upper edge ripped to the slope before it is cut to length; snap a line over the tails first, and plane what stands proud.'
    case 'rafter-tie':
      return 'Nailed to both rafters over the plates; its splice, if it has one, and its nails by local code.'
    case 'collar-tie':
      return 'Up under the ridge, nailed to both rafters: it holds the slopes together, not the walls.'
    case 'ridge-beam':
      return "It carries half of both slopes: its depth, its plies' nails and the rafters' hangers are yours to have checked. Crown up, joined over a post."
    case 'ridge-post':
      return 'From the deck to the beam, with solid wood under it down to the ground; strapped at both ends by local code.'
    case 'fly-rafter':
      return "The common rafter without its bird's mouth; sight along the fascia before it is nailed. Crown up."
    case 'rung':
      return 'Square to the slope, flush on top; nail it through the fly rafter, and through the end rafter from inside.'
    case 'lookout':
      return "On its flat in the end rafter's housing, flush on top; it carries the fly rafter, so nail it well into the rafter behind."
    case 'barge':
      return 'Plumb at both ends, its upper edge in the slope; the pair meets over the middle of the ridge.'
    case 'ledger':
      return "Level on the house's frame, flashed, never on siding or facing brick; bolts or structural screws by the schedule of local code. The rafters hang on it in hangers or on a strip."
    case 'roof-joist':
      return 'Level from wall to wall, nailed to both plates. Crown up; its depth is yours to have checked.'
    case 'firring':
      return 'Ripped to the fall, two out of one board where it is deep enough; screwed down on its joist, thick end to the high side.'
    case 'upper-header':
      return "On the posts over the strip; the upper rafters' bird's mouths stand on it. Its depth and plies are yours to have checked. Crown up."
    case 'wedge':
      return "Thick end in, its blunt tip a quarter of an inch (6 mm) from the wall's outside. Cut from a long offcut, turned over after each, and keep your hands off the blade."
    case 'purlin':
      return "Up against every rafter's lower edge, joined over a brace; its depth is yours to have checked."
    case 'purlin-brace':
      return "Tight under the purlin and on the partition's plate, never flatter than 45°; the partition needs solid wood under it down to the ground."
    case 'cripple-rafter':
      return 'A common rafter stopped at a header; mark it from the whole one. Crown up.'
    case 'roof-header':
      return "Square to the slope between the trimmers, hung or nailed by local code; fasten the trimmers' plies to each other first."
    case 'stair-header':
      return 'Between the doubled joists, hung or nailed by local code. Crown up.'
    case 'roof-block':
      return 'Between the rafters, flush on top; cut it to what is there if the rafters wander.'
    case 'finish-board':
      return 'Good face down, from the wall out; the last is ripped at the tails.'
    case 'soffit-ledger':
      return 'To a level line carried from the tails; its upper edge ripped where the rafters ask it.'
    case 'soffit-joist':
      return "Level from the ledger to the tail, nailed to the rafter's side."
    case 'ceiling-joist':
      return 'Level beside its rafter, from plate to plate, or to a ledger under one slope. Crown up; its depth is yours to have checked.'
    case 'joist-ledger':
      return "To a level line on the studs of the high wall, or on the house's frame; nailed to each, the joists against it."
    case 'hip':
      return 'Both cheeks at its head and tail are cut plumb, the saw tilted 45°; try it in its corner before the others are traced. Crown up.'
    case 'jack-rafter':
      return 'Jacks are cut in pairs, one for each side of the hip, and set in pairs, so that the hip stays straight. Crown up.'
    case 'rafter':
    case 'ridge':
    case 'joist':
    case 'rim':
    case 'beam':
    case 'floor-header':
      return 'Cut one, try it on the building, then trace it. Crown up.'
    case 'stud':
    case 'king':
    case 'jack':
    case 'cripple':
    case 'sill':
    case 'block':
    case 'top-plate':
      return 'Cut one, try it on the building, then trace it.'
  }
}
