import { formatAngle, riseInTwelve, type Units } from '../measure'
import type { CutName } from '../board'
import type { Figure, FigureName, SawCut, Stepping, Steps } from '../plan'
import { cutNames } from './fields'
import { sayLength, sayShort } from './measures'

export const figureNames: Record<FigureName, string> = {
  length: 'Length, long points',
  stock: 'Cut from',
  angle: 'Roof angle',
  run: 'Run',
  rise: 'Rise',
  'line-length': 'Line length',
  'unit-length': 'Unit length',
  'thin-end': 'Thin end',
  'thick-end': 'Thick end',
  'ridge-deduction': 'Ridge deduction',
  seat: 'Seat',
  heel: 'Heel',
  notch: 'Notch, square',
  'height-above-plate': 'Height above plate',
  bearing: 'Bearing',
  weight: 'Weight',
  'hip-run': 'Run, on the skew',
  'jack-run': 'Run',
  shortening: 'Shortening',
  drop: 'Drop',
  backing: 'Backing',
  'common-difference': 'Common difference',
  wild: 'Left long by',
  vents: 'Holes for air',
  prop: 'Temporary posts',
}

/** A weight given in kilograms. */
export function sayWeight(kg: number, units: Units): string {
  const value = units === 'imperial' ? kg / 0.45359237 : kg
  return `${value < 10 ? value.toFixed(1) : Math.round(value)} ${units === 'imperial' ? 'lb' : 'kg'}`
}

const sayVolume = (m3: number, units: Units): string =>
  units === 'imperial' ? `${(m3 / 0.3048 ** 3).toFixed(2)} ft³` : `${(m3 * 1000).toFixed(1)} litres`
const sayDensity = (kgPerM3: number, units: Units): string =>
  units === 'imperial' ? `${(kgPerM3 / 16.018463).toFixed(1)} lb/ft³` : `${Math.round(kgPerM3)} kg/m³`

/** A figure's value with its unit. */
export function sayFigure(figure: Figure, units: Units): string {
  if (figure.kind === 'angle') return formatAngle(figure.value)
  if (figure.kind === 'count') return String(figure.value)
  return figure.kind === 'weight' ? sayWeight(figure.value, units) : sayLength(figure.value, units)
}

/** One sentence on how a figure comes about. */
export function explain(figure: Figure, units: Units): string {
  const n = (name: string): number => figure.from[name] ?? 0
  const mm = (name: string): string => sayLength(n(name), units)
  const angle = formatAngle(n('angle'))
  switch (figure.name) {
    case 'length':
      return 'Read off the cut board: from the first long point to the last, along its edge.'
    case 'stock':
      return `The shortest board sold that ${mm('length')} comes out of.`
    case 'angle':
      return `The slope that rises ${Number(riseInTwelve({ rise: n('rise'), run: n('run') }).toFixed(2))} in 12, from level.`
    case 'run':
      if (figure.from.ledger !== undefined)
        return `Level from the low wall's outside to the ledger's face: the span of ${mm('width')} less the ledger's ${mm('ledger')}.`
      return figure.from.plate !== undefined
        ? `Level from heel to heel: the span of ${mm('width')} less the high wall's plate of ${mm('plate')}, since the rafter's upper bird's mouth stands against that wall's inside.`
        : Math.abs(n('off')) > 0.05
          ? `Level, from the outside of the wall to the middle of the ridge, which stands ${mm('off')} past the middle of the span of ${mm('width')} as the eave walls or the pitches are not alike.`.replace(
              /which stands [-−](.*?) past/,
              'which stands $1 short of',
            )
          : `Half of the span of ${mm('width')}: level, from the outside of the wall to the middle of the ridge.`
    case 'rise':
      return `How far the line climbs at ${angle} over the run of ${mm('run')}.`
    case 'line-length':
      return `The slope at ${angle} over the run of ${mm('run')}, between the two lines it is measured from; with a ridge its deduction comes off.`
    case 'unit-length':
      return `The slope at ${angle} over ${mm('unitRun')} of run: one step of the square.`
    case 'ridge-deduction':
      return Math.abs(n('level') - n('ridge') / 2) > 0.05
        ? `From where the slopes meet to the ridge's side, ${mm('level')} level, along the slope at ${angle}: the ${mm('ridge')} ridge stands off that line, so that both its corners lie in slopes of unlike pitch.`
        : `Half of the ${mm('ridge')} ridge, ${mm('level')} level, along the slope at ${angle}.`
    case 'seat':
      return `Level, where the plate's top cuts the rafter: the heel of ${mm('heel')} at ${angle}.`
    case 'heel':
      return `Plumb, where the wall's outside cuts the rafter: it rises with the seat of ${mm('seat')} at ${angle}.`
    case 'notch':
      return `The corner of seat and heel, square to the bottom edge: seat ${mm('seat')} at ${angle}, in ${mm('depth')} of rafter.`
    case 'height-above-plate':
      return n('heel') < 0.05
        ? `The whole plumb cut of ${mm('plumb')}: nothing is taken off it over the wall.`
        : `The plumb cut of ${mm('plumb')} less the ${mm('heel')} that the seat takes off it.`
    case 'bearing':
      return `The part of the level cut that lies on the ${mm('plate')} plate.`
    case 'hip-run':
      return `Level, from the corner of the walls to where the hips meet: 1.414 times the commons' run of ${mm('run')}, since it runs across at 45°.`
    case 'jack-run':
      return "Level, from the outside of the wall to the middle of the hip, along the jack's own middle."
    case 'shortening':
      return n('hip')
        ? `From where the hips meet to the point of the cheeks, ${mm('level')} level: half of a ${mm('thickness')} common on the skew, along the slope at ${angle}.`
        : `From the hip's middle to its side, ${mm('level')} level: half of the ${mm('thickness')} hip on the skew, along the slope at ${angle}.`
    case 'drop':
      return `How far the hip is lowered, plumb, so that its two upper edges lie in the slopes: half its ${mm('thickness')} at ${angle}. Take it off at the seat.`
    case 'backing':
      return `The bevel of each half of the upper edge, from square, so that both halves lie in the slopes.`
    case 'common-difference':
      return `How much longer or shorter the next one is: a spacing of ${mm('spacing')} along, under a slope of ${angle}.`
    case 'prop':
      return `From the deck to the ridge's lower edge: its top at ${mm('highest')} less its depth of ${mm('depth')}. Stand posts of that height under it, braced, until the rafters hold it.`
    case 'wild':
      return 'Sawn square and left long, to be cut in place: snap a line over all tails once they stand, at the overhang asked for, plumb each down from it and cut along that.'
    case 'thin-end':
      return 'Its depth at the low end. Draw a line from it to the thick end and cut along that.'
    case 'thick-end':
      return `Its depth at the high end: ${mm('by')} more than at the thin one, over ${mm('length')}.`
    case 'vents':
      return `Drill them ${mm('hole')} wide in the middle of the height, evenly along the block; a block's holes leave ${units === 'imperial' ? `${(n('area') / 645.16).toFixed(1)} in²` : `${Math.round(n('area') / 100)} cm²`} free. Cover them with mesh.`
    case 'weight':
      return `The wood left, ${sayVolume(n('volume'), units)}, at ${sayDensity(n('density'), units)} ${n('sheet') ? 'as sheets usually weigh' : 'for the species and moisture chosen'}.`
  }
}

const leans: Partial<Record<CutName, string>> = {
  plumb: 'A plumb face, upright once the board stands at its slope',
  level: 'A level face, flat once the board stands at its slope',
  seat: "The plate's level top, on a board at its slope",
  heel: "The wall's plumb outside, on a board at its slope",
  square: "Square to the board's length and face",
  cheek: 'A plumb face that lies flat against the side it meets, on the skew',
  backing: 'Ripped along the upper edge into the slope',
  cutout: 'A side of the opening that the board lies over',
  lap: 'A side of the half lap, half the height deep and as long as the other is wide',
  slope: 'The lower corner taken off at 45°',
}

/** One sentence on how a saw setting comes about. */
export function explainCut(cut: SawCut): string {
  if (cut.name === 'rip')
    return `Along the board, parallel to its edge; the width is what is kept, from the bottom edge${cut.bevel ? `, on the higher face, the blade tilted ${formatAngle(cut.bevel)} to the slope` : ''}.`
  if (cut.name === 'backing')
    return `Along the middle of the upper edge, the blade tilted ${formatAngle(cut.bevel)} from square to the face, so that this half lies in its slope.`
  const lean = leans[cut.name] ?? `The ${cutNames[cut.name]}'s face`
  const bevel = cut.bevel
    ? `, the blade tilted ${formatAngle(cut.bevel)} so that more is left on the ${cut.long === 'under' ? 'side under' : 'face up'}`
    : ''
  return `${lean}: the line turns ${formatAngle(cut.miter)} from square across the face${bevel}, read off the cut board.`
}

export type StepRow = 'plumb' | 'level' | 'step' | 'body' | 'tail'

/** Steps of the square as they are counted out. */
export function saySteps(steps: Steps, units: Units): string {
  const full = `${steps.full} full`
  return steps.oddRun < 0.1
    ? full
    : `${full}, then ${sayShort(steps.oddRun, units)} level (${sayShort(steps.oddLength, units)} along)`
}

/** One sentence on how a row of the square and step-off comes about. */
export function explainStepping(row: StepRow, stepping: Stepping, units: Units): string {
  const mm = (value: number): string => sayShort(value, units)
  const { square } = stepping
  switch (row) {
    case 'plumb':
      return `Hold ${mm(square.rise)} and ${mm(square.run)} of the square on the board's edge: the side that holds the rise lies plumb.`
    case 'level':
      return `The same square the other way: the side that holds the ${mm(square.run)} of run lies level.`
    case 'step':
      return `The slope over ${mm(square.run)} of run and ${mm(square.rise)} of rise.`
    case 'body':
      return `From the outside of the wall to the middle of the ridge in steps of ${mm(square.run)} of run; then mark the ridge deduction back.`
    case 'tail':
      return `From the outside of the wall to the tail's plumb cut, in the same steps.`
  }
}
