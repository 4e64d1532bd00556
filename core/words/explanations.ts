import { formatAngle, riseInTwelve, type Units } from '../measure'
import type { Figure, FigureName } from '../plan'
import { sayDensity, sayLitres } from './figures'
import { sayLength } from './measures'

/** What a sentence on a figure is made of: what it comes from, as it is or as lengths; its roof's angle. */
interface Explaining {
  readonly figure: Figure
  readonly n: (name: string) => number
  readonly mm: (name: string) => string
  readonly angle: string
  readonly units: Units
}

/** One sentence on how a figure comes about. */
export function explain(figure: Figure, units: Units): string {
  const n = (name: string): number => figure.from[name] ?? 0
  const mm = (name: string): string => sayLength(n(name), units)
  return explanations[figure.name]({ figure, n, mm, angle: formatAngle(n('angle')), units })
}

const explanations: Readonly<Record<FigureName, (say: Explaining) => string>> = {
  length: () => 'Read off the cut board: from the first long point to the last, along its edge.',
  stock: ({ mm }) => `The shortest board sold that ${mm('length')} comes out of.`,
  angle: ({ n }) =>
    `The slope that rises ${Number(riseInTwelve({ rise: n('rise'), run: n('run') }).toFixed(2))} in 12, from level.`,
  run: ({ figure, ...say }) =>
    figure.from.ledger !== undefined
      ? runToLedger(say)
      : figure.from.plate !== undefined
        ? runBetweenHeels(say)
        : runToRidge(say),
  rise: ({ mm, angle }) => `How far the line climbs at ${angle} over the run of ${mm('run')}.`,
  'line-length': ({ mm, angle }) =>
    `The slope at ${angle} over the run of ${mm('run')}, between the two lines it is measured from; with a ridge its deduction comes off.`,
  'unit-length': ({ mm, angle }) =>
    `The slope at ${angle} over ${mm('unitRun')} of run: one step of the square.`,
  'ridge-deduction': ({ n, mm, angle }) =>
    Math.abs(n('level') - n('ridge') / 2) > 0.05
      ? `From where the slopes meet to the ridge's side, ${mm('level')} level, along the slope at ${angle}: the ${mm('ridge')} ridge stands off that line, so that both its corners lie in slopes of unlike pitch.`
      : `Half of the ${mm('ridge')} ridge, ${mm('level')} level, along the slope at ${angle}.`,
  seat: ({ mm, angle }) =>
    `Level, where the plate's top cuts the rafter: the heel of ${mm('heel')} at ${angle}.`,
  heel: ({ mm, angle }) =>
    `Plumb, where the wall's outside cuts the rafter: it rises with the seat of ${mm('seat')} at ${angle}.`,
  notch: ({ mm, angle }) =>
    `The corner of seat and heel, square to the bottom edge: seat ${mm('seat')} at ${angle}, in ${mm('depth')} of rafter.`,
  'height-above-plate': ({ n, mm }) =>
    n('heel') < 0.05
      ? `The whole plumb cut of ${mm('plumb')}: nothing is taken off it over the wall.`
      : `The plumb cut of ${mm('plumb')} less the ${mm('heel')} that the seat takes off it.`,
  bearing: ({ mm }) => `The part of the level cut that lies on the ${mm('plate')} plate.`,
  'hip-run': ({ mm }) =>
    `Level, from the corner of the walls to where the hips meet: 1.414 times the commons' run of ${mm('run')}, since it runs across at 45°.`,
  'jack-run': () =>
    "Level, from the outside of the wall to the middle of the hip, along the jack's own middle.",
  shortening: ({ n, mm, angle }) =>
    n('hip')
      ? `From where the hips meet to the point of the cheeks, ${mm('level')} level: half of a ${mm('thickness')} common on the skew, along the slope at ${angle}.`
      : `From the hip's middle to its side, ${mm('level')} level: half of the ${mm('thickness')} hip on the skew, along the slope at ${angle}.`,
  drop: ({ mm, angle }) =>
    `How far the hip is lowered, plumb, so that its two upper edges lie in the slopes: half its ${mm('thickness')} at ${angle}. Take it off at the seat.`,
  backing: () =>
    `The bevel of each half of the upper edge, from square, so that both halves lie in the slopes.`,
  'common-difference': ({ mm, angle }) =>
    `How much longer or shorter the next one is: a spacing of ${mm('spacing')} along, under a slope of ${angle}.`,
  prop: ({ mm }) =>
    `From the deck to the ridge's lower edge: its top at ${mm('highest')} less its depth of ${mm('depth')}. Stand posts of that height under it, braced, until the rafters hold it.`,
  wild: () =>
    'Sawn square and left long, to be cut in place: snap a line over all tails once they stand, at the overhang asked for, plumb each down from it and cut along that.',
  'set-long': () =>
    'Bought and set longer by this. Once all posts stand plumb carry one level round them from the one on the highest ground, and cut them, and their notches, to it.',
  'post-left': ({ mm }) =>
    `Across the side: ${mm('depth')} of post less the ${mm('taken')} that the beam takes where it lies.`,
  climb: ({ mm }) =>
    `Over ${mm('length')} along the building the house comes ${mm('inward')} nearer, and the roof lies so much lower there: the ledger's ends are not level with each other.`,
  'thin-end': () => 'Its depth at the low end. Draw a line from it to the thick end and cut along that.',
  'thick-end': ({ mm }) =>
    `Its depth at the high end: ${mm('by')} more than at the thin one, over ${mm('length')}.`,
  nails: ({ n, mm }) =>
    `In each of the ${n('ends')} ends of members under it, in two rows a quarter of their depth off their middles, no nearer than ${mm('edge')} to an edge of either: the crosses.`,
  vents: ({ n, mm, units }) =>
    `Drill them ${mm('hole')} wide in the middle of the height, evenly along the block; a block's holes leave ${units === 'imperial' ? `${(n('area') / 645.16).toFixed(1)} in²` : `${Math.round(n('area') / 100)} cm²`} free. Cover them with mesh.`,
  weight: ({ n, units }) =>
    n('panel')
      ? 'By its area, at what such panels usually weigh.'
      : `The wood left, ${sayLitres(n('volume'), units)}, at ${sayDensity(n('density'), units)} ${n('sheet') ? 'as sheets usually weigh' : 'for the species and moisture chosen'}.`,
}

type Said = Omit<Explaining, 'figure'>

const runToLedger = ({ n, mm }: Said): string =>
  `Level from the low wall's outside to the ledger's face: the span of ${mm('width')} less the ledger's ${mm('ledger')}${n('inward') ? `, and ${mm('inward')} that the house stands nearer here` : ''}.`

const runBetweenHeels = ({ mm }: Said): string =>
  `Level from heel to heel: the span of ${mm('width')} less the high wall's plate of ${mm('plate')}, since the rafter's upper bird's mouth stands against that wall's inside.`

function runToRidge({ n, mm, units }: Said): string {
  const off = n('off')
  if (Math.abs(off) <= 0.05)
    return `Half of the span of ${mm('width')}: level, from the outside of the wall to the middle of the ridge.`
  const stands = `${sayLength(Math.abs(off), units)} ${off > 0 ? 'past' : 'short of'}`
  return `Level, from the outside of the wall to the middle of the ridge, which stands ${stands} the middle of the span of ${mm('width')} as the eave walls or the pitches are not alike.`
}
