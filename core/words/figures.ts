import { formatAngle, type Units } from '../measure'
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
  'set-long': 'Set long by',
  'post-left': 'Wood left beside the beam',
  climb: 'Climbs by',
  vents: 'Holes for air',
  nails: 'Nails, a face',
  prop: 'Temporary posts',
}

/** A weight given in kilograms. */
export function sayWeight(kg: number, units: Units): string {
  const value = units === 'imperial' ? kg / 0.45359237 : kg
  return `${value < 10 ? value.toFixed(1) : Math.round(value)} ${units === 'imperial' ? 'lb' : 'kg'}`
}

/** A board's volume, given in m³: cubic feet or litres. */
export const sayLitres = (m3: number, units: Units): string =>
  units === 'imperial' ? `${(m3 / 0.3048 ** 3).toFixed(2)} ft³` : `${(m3 * 1000).toFixed(1)} litres`
export const sayDensity = (kgPerM3: number, units: Units): string =>
  units === 'imperial' ? `${(kgPerM3 / 16.018463).toFixed(1)} lb/ft³` : `${Math.round(kgPerM3)} kg/m³`

/** A figure's value with its unit. */
export function sayFigure(figure: Figure, units: Units): string {
  if (figure.kind === 'angle') return formatAngle(figure.value)
  if (figure.kind === 'count') return String(figure.value)
  return figure.kind === 'weight' ? sayWeight(figure.value, units) : sayLength(figure.value, units)
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
