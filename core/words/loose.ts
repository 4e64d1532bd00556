import { FOOT, formatAngle, type Units } from '../measure'
import type { Loose, LooseCode } from '../plan'
import { sayWeight } from './figures'
import { sayArea } from './ground'
import { counted, sayLength } from './measures'
import { saySlope } from './roofs'

export const looseNames: Record<LooseCode, string> = {
  gravel: 'Gravel, loose',
  'hole-gravel': 'Gravel in the holes',
  concrete: 'Concrete',
  blocks: 'Concrete blocks',
  'low-wall': 'Masonry of the low wall',
  spoil: 'Earth to move',
  hangers: 'Joist hangers',
  nails: 'Nails, 16d or 90 mm, at the rims',
  wrap: 'House wrap',
  'bought-trusses': 'Bought trusses',
  'gusset-nails': 'Nails for gussets, 8d or 65 mm',
  'gusset-glue': 'Adhesive for gussets, tubes',
  'post-bases': 'Post bases',
  'post-caps': 'Post caps',
  'seat-ties': 'Metal ties at the seats',
  'seat-screws': 'Structural screws at the seats',
  'ledger-screws': 'Lag screws for the ledger, 1/2 in or 12 mm',
  'ledger-flashing': 'Flashing over the ledger, lengths',
  'cover-area': 'Roof, along the slopes',
  'cover-clips': 'Edge clips',
  'cover-screws': 'Screws for the panels',
  'cover-caps': 'Caps for ridge, hips and knees, lengths',
  'cover-eave-trim': 'Eave trim, lengths',
  'cover-gable-trim': 'Gable trim, lengths',
  'cover-head-trim': 'Trim along the high edge, lengths',
  'cover-flashing': 'Flashing along the wall, lengths',
  'cover-closures': 'Closure strips',
  'cover-openings': 'Flashings round lights and flues',
  'cover-drip': 'Drip edge, lengths',
  'cover-underlay': 'Underlay, rolls',
  'cover-ice': 'Strip against ice, rolls',
  'cover-rolls': 'Roll roofing, rolls',
  'cover-bundles': 'Shingles, bundles',
  'cover-shingle-nails': 'Roofing nails',
  'cover-membrane': 'Membrane',
  'cover-glue': 'Contact adhesive, tins',
  'wall-screws': 'Screws for the wall panels',
  'wall-flashing': 'Flashing over openings, lengths',
  'wall-tape': 'Glazing tape, rolls',
  'vent-mesh': 'Insect mesh',
  paint: 'Paint or stain, tins',
  'door-hinges': 'Hinges for the doors',
  'door-latches': 'Latches for the doors',
  'door-bolts': 'Bolts for double doors',
  'door-screws': 'Screws for the doors’ boards',
  stairs: 'Stairs or ladders to the loft',
  'door-steps': 'Steps at doors',
  'strip-vents': 'Vents in the strip',
  'strip-openers': 'Openers for the vents',
}

const YARD3 = ((3 * FOOT) / 1000) ** 3

/** A volume given in m³: cubic yards, or cubic metres. */
export const sayVolume = (m3: number, units: Units): string =>
  units === 'imperial' ? `${(m3 / YARD3).toFixed(2)} yd³` : `${m3.toFixed(2)} m³`

/** What a sentence on a loose quantity is made of: what it comes from, as it is or as lengths; how much. */
interface LooseSay {
  readonly n: (name: string) => number
  readonly mm: (name: string) => string
  readonly volume: string
  readonly amount: number
  readonly units: Units
}

/** How much, where that is not its volume alone. */
const amounts: Partial<Record<LooseCode, (say: LooseSay) => string>> = {
  gravel: ({ n, volume, units }) => `${volume}, ${sayWeight(n('weight'), units)}`,
  concrete: ({ n, volume }) => `${volume}, ${counted(n('bags'), 'bag')}`,
  wrap: ({ amount, units }) => sayArea(amount, units),
  'cover-area': ({ amount, units }) => sayArea(amount, units),
  'cover-membrane': ({ amount, units }) => sayArea(amount, units),
  'vent-mesh': ({ amount, units }) => sayArea(amount, units),
}

const sayVolumeOfPaint = (litres: number, units: Units): string =>
  units === 'imperial' ? `${(litres / 3.785).toFixed(1)} gal` : `${litres.toFixed(1)} l`

/** The rule of what is sold by lengths. */
const sayTrim = (mm: LooseSay['mm']): string =>
  `${mm('long')} in lengths of ${mm('sold')}, each over the next by ${mm('lap')}.`

/** By which rule. */
const rules: Readonly<Record<LooseCode, (say: LooseSay) => string>> = {
  gravel: ({ n, mm, units }) =>
    `${sayArea(n('area'), units)} at ${mm('depth')}${n('inside') > 0.005 ? `, ${sayVolume(n('inside'), units)} between the timbers` : ''}${n('fill') > 0.005 ? ` and ${sayVolume(n('fill'), units)} to fill low ground` : ''}, and ${n('compaction')} % more for what it settles: ${counted(n('barrows'), 'barrow')} or ${n('buckets')} buckets, ${n('loads')} ${n('loads') === 1 ? 'delivery' : 'deliveries'} of ${sayWeight(n('load'), units)}.`,
  'hole-gravel': ({ n, units }) =>
    `Under and about the posts of ${counted(n('holes'), 'hole')}, less the posts: ${counted(n('barrows'), 'barrow')}, ${sayWeight(n('weight'), units)}.`,
  concrete: ({ n, units }) =>
    `What is cast, at ${units === 'imperial' ? `${(n('makes') / (FOOT / 1000) ** 3).toFixed(2)} ft³` : `${(n('makes') * 1000).toFixed(0)} l`} from a bag of ${sayWeight(n('bag'), units)}. Buy one more.`,
  blocks: ({ n, mm }) =>
    `${n('stacks')} stacks, each as high as its ground asks, in blocks of ${mm('height')}.`,
  'low-wall': () => 'The volume of the low walls, gaps at doors left out.',
  spoil: ({ n, units }) =>
    `Above the beds' undersides ${sayVolume(n('beds'), units)}, out of the holes ${sayVolume(n('holes'), units)}, as it lies: ${counted(n('barrows'), 'barrow')} and a third more once loose.`,
  hangers: ({ n }) =>
    `Two for each of ${n('joists')} joists${n('headers') ? `, and two as wide for each of ${n('headers')} doubled headers` : ''}.`,
  wrap: ({ n, units }) =>
    `The sheets' ${sayArea(n('sheets'), units)} and ${sayArea(n('openings'), units)} of openings, which are wrapped over and cut afterwards; laps come on top, a tenth or more.`,
  'bought-trusses': ({ n, mm, units }) =>
    `Made for a span of ${mm('span')} at ${formatAngle(n('angle'))}, heel ${mm('heel')}, tails ${mm('tail')} level, chords ${mm('chord')} and ${mm('bottom')} deep; ${n('weight') > 0 ? `${sayWeight(n('weight'), units)} each, ${n('people')} people to lift one by hand at 51 lb (23 kg) each` : 'their weight is not typed'}. No lengths of their members are promised.`,
  'gusset-nails': ({ n }) =>
    `${n('each')} in each of the ${n('ends')} ends of members that ${n('gussets')} gussets lie on, in two rows, no nearer an edge than half an inch (12 mm); each gusset's card shows where.`,
  'gusset-glue': ({ n, mm }) =>
    `${n('beads')} beads along each of those ends, ${mm('leg')} long, at ${mm('tube')} from a tube of 10 oz or 300 ml.`,
  'post-bases': ({ n, mm }) =>
    `One under each of ${counted(n('posts'), 'post')}, that holds its foot ${mm('gap')} clear; fixed by its maker's sheet.`,
  'post-caps': ({ n }) =>
    `One on each of ${counted(n('posts'), 'post')}, as wide as post and beam; fixed by its maker's sheet.`,
  'seat-ties': ({ n }) =>
    `One at each of ${n('seats')} places where the roof bears on a wall or a beam; what each must hold depends on the wind where you build: by local code and its maker's sheet.`,
  'seat-screws': ({ n }) =>
    `One up into each of ${n('seats')} places where the roof bears on a wall or a beam, as long as its maker's sheet asks for what it goes through; what each must hold depends on the wind where you build.`,
  'ledger-screws': ({ mm }) =>
    `Into the frame behind it, no more than 1/2 in (12 mm) of sheets between: ${mm('apart')} apart, high and low in turn, the first ${mm('end')} from each end, for a span up to ${mm('span')} (a deck ledger's schedule, IRC table R507.9.1.3(1), from memory). Local code decides, and a house that may carry it.`,
  'ledger-flashing': ({ mm }) =>
    `Up behind the wall's cover and down over the roofing, ${mm('long')} of ledger in lengths of ${mm('sold')}, each over the next by ${mm('lap')}.`,
  'cover-area': ({ n }) =>
    `${n('faces')} ${n('faces') === 1 ? 'face' : 'faces'} as far as a deck reaches over eaves and gables, openings left out.`,
  'cover-clips': ({ n, mm }) =>
    `One in every bay of ${n('seams')} level joints: sheets this thick want their edges held where rafters stand more than ${mm('bare')} apart, and these stand at ${mm('spacing')} (IRC table R503.2.1.1(1), from memory).`,
  'cover-screws': ({ n, units }) =>
    `${n('across')} ${n('ribs') ? 'on the ribs' : 'in the flats'} of each of ${counted(n('strips'), 'strip')} in each line across them, ${counted(n('lines'), 'crossing')}: ${units === 'imperial' ? `${(n('per') * 9.290304).toFixed(0)} to 100 ft²` : `${n('per').toFixed(1)} to a m²`}. The panels' maker says how many.`,
  'cover-caps': ({ mm }) => sayTrim(mm),
  'cover-eave-trim': ({ mm }) => sayTrim(mm),
  'cover-gable-trim': ({ mm }) => sayTrim(mm),
  'cover-head-trim': ({ mm }) => sayTrim(mm),
  'cover-flashing': ({ mm }) => `${sayTrim(mm)} Up behind the wall's cover, down over the roofing.`,
  'cover-closures': ({ mm }) =>
    `One to each panel's ${mm('cover')} along ${mm('long')} of eaves and heads, cut to the shape of its ribs.`,
  'cover-openings': ({ n }) =>
    `One about each of ${n('lights')} ${n('lights') === 1 ? 'light' : 'lights'} and ${n('flues')} ${n('flues') === 1 ? 'flue' : 'flues'}, under the roofing above and over it below, made for the roofing's shape.`,
  'cover-drip': ({ mm }) => `Along eaves, gables and open heads: ${sayTrim(mm)}`,
  'cover-underlay': ({ n, mm }) =>
    `${counted(n('rows'), 'row')} from the eave up, ${mm('long')} end to end, each ${mm('lap')} over the one below, in rolls of ${mm('width')} by ${mm('length')}.`,
  'cover-ice': ({ n, mm }) =>
    `${counted(n('rows'), 'row')} along the eaves, ${mm('long')}, from the edge to ${mm('inside')} inside the wall (IRC R905.1.2, from memory), in rolls of ${mm('width')} by ${mm('length')}.`,
  'cover-rolls': ({ n, mm }) =>
    `${counted(n('rows'), 'row')} from the eave up, ${mm('long')} end to end, each ${mm('lap')} over the one below, in rolls of ${mm('width')} by ${mm('length')}, and ${n('waste')} % for ends.`,
  'cover-bundles': ({ n, mm }) =>
    `${counted(n('field'), 'strip')} of ${mm('strip')} in ${counted(n('courses'), 'course')} of which ${mm('exposure')} shows, ${n('starter')} for the starter course${n('caps') ? `, ${counted(n('caps'), 'cap')}, three cut from a strip` : ''}, and ${n('waste')} % for ends; ${counted(n('bundle'), 'strip')} to a bundle.`,
  'cover-shingle-nails': ({ n }) =>
    `${n('nails')} to each of ${counted(n('strips'), 'strip')}${n('caps') ? `, two to each of ${counted(n('caps'), 'cap')}` : ''}.`,
  'cover-membrane': ({ n, mm }) =>
    `${n('strips') === n('faces') ? `In one piece${n('faces') > 1 ? ' to a face' : ''}, ${mm('long')} along the eave` : `In ${counted(n('strips'), 'strip')} of ${mm('width')}, each ${mm('lap')} over the next`}, turned ${mm('over')} over the edges and ${mm('up')} up a wall.`,
  'wall-screws': ({ n, mm }) =>
    `In each of ${counted(n('panels'), 'panel')} across every line, ${counted(n('lines'), 'crossing')}, the lines ${mm('apart')} apart at most but for girts that are farther. The panels' maker says how many.`,
  'wall-tape': ({ n, mm }) =>
    `Round both faces of ${n('panes')} panes, ${mm('round')} round them in all, from rolls of ${mm('roll')}.`,
  'wall-flashing': ({ mm }) => `Over each head and 2 in (50 mm) past it: ${sayTrim(mm)}`,
  'vent-mesh': ({ n, mm, units }) =>
    [
      ...(n('long') ? [`${mm('long')} of blocks in strips of ${mm('strip')}`] : []),
      ...(n('eaves') ? [`${mm('eaves')} of open strips under the eaves at ${mm('vent')}`] : []),
      ...(n('walls') ? [`${sayArea(n('walls'), units)} over vents in the walls`] : []),
    ].join(' and ') + ', bent over every edge.',
  paint: ({ n, units }) =>
    `${n('coats')} ${n('coats') === 1 ? 'coat' : 'coats'} ${n('stain') ? 'of stain' : 'of paint'} over ${sayArea(n('wall'), units)} of walls, laps with them, and ${sayArea(n('edge'), units)} of the roof's edges: ${sayVolumeOfPaint(n('litres'), units)} at ${sayArea(n('spread') * (units === 'imperial' ? 3.785 : 1), units)} to a ${units === 'imperial' ? 'gallon' : 'litre'}, in tins of ${n('tin') > 3 ? 'a gallon' : '2.5 l'}. The tin says what it covers.`,
  'door-hinges': ({ n }) =>
    `One at each ledge or rail of ${n('leaves')} ${n('leaves') === 1 ? 'leaf' : 'leaves'}; how large by what a leaf weighs.`,
  'door-latches': ({ n }) => `One on each of ${n('doors')} ${n('doors') === 1 ? 'door' : 'doors'}.`,
  'door-bolts': ({ n }) =>
    `At head and foot of the leaf that stands still, on ${n('pairs')} double ${n('pairs') === 1 ? 'door' : 'doors'}.`,
  'door-screws': ({ n }) => `Two in each of ${n('crossings')} places where a board crosses a ledge.`,
  stairs: ({ mm }) =>
    `Not among the pieces: ${mm('rise')} from the deck to what is walked on above. Local code says how steep.`,
  'door-steps': ({ n, mm }) =>
    `Not among the pieces: the deck lies ${mm('rise')} over the ground${n('doors') > 1 ? ' at the highest of them' : ''}, and more than ${mm('step')} is no step.`,
  'strip-vents': ({ n, mm }) =>
    `One in each of ${counted(n('vents'), 'bay')} of ${n('bays')} between the posts, hinged at the header; clear ${mm('wide')} by ${mm('tall')}, the widest: measure each.`,
  'strip-openers': ({ n }) =>
    `One at each of ${counted(n('vents'), 'vent')}, by its reach and what the vent weighs; some open by the warmth of the air alone.`,
  'cover-glue': ({ n, units }) =>
    `Both faces brushed, at ${sayArea(n('tin'), units)} from a tin of ${units === 'imperial' ? 'a gallon' : '5 l'}; the tin says what it covers.`,
  nails: ({ n }) =>
    `${n('each')} through the rim into each end of ${n('joists')} joists${n('plies') ? `, and through the joists beside openings into each end of ${n('plies')} header plies` : ''}.`,
}

/** A loose quantity: its name, how much, and in one sentence by which rule. */
export function sayLoose(
  { code, amount, unit, from, faces }: Loose,
  units: Units,
): { name: string; value: string; why: string } {
  const n = (name: string): number => from[name] ?? 0
  const volume = sayVolume(amount, units)
  const say: LooseSay = { n, mm: name => sayLength(n(name), units), volume, amount, units }
  const value = unit === 'count' ? String(amount) : (amounts[code]?.(say) ?? volume)
  const of = faces ? `, ${faces.map(face => `${saySlope(face)} slope`).join(', ')}` : ''
  return { name: `${looseNames[code]}${of}`, value, why: rules[code](say) }
}
