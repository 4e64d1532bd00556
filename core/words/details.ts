import { formatAngle, formatLength, type Units } from '../measure'
import { detailsOf, furtherCuts, type NotchDetail, type Piece, type Plan } from '../plan'
import type { SawCut } from '../plan'
import { cutNames } from './fields'
import { figureNames, sayFigure } from './figures'
import { sayShort } from './measures'

/**
 * What a list says of a piece besides its length and its ends' first cuts: further cuts, notches, and the
 * numbers it is made by; each a few words.
 */
export function sayDetails(
  plan: Plan,
  piece: Piece,
): { readonly cuts: string[]; readonly notches: string[]; readonly figures: string[] } {
  const { units } = plan.design
  const details = detailsOf(plan, piece)
  return {
    cuts: furtherCuts(piece, details).map(cut => sayCut(cut, piece, units)),
    notches: details.notches.map(notch => sayNotch(notch, units)),
    figures: details.figures.map(
      figure => `${figureNames[figure.name].toLowerCase()} ${sayFigure(figure, units)}`,
    ),
  }
}

function sayCut({ name, at, miter, bevel }: SawCut, { width, section }: Piece, units: Units): string {
  const tilt = bevel ? `, bevel ${formatAngle(bevel)}` : ''
  if (name === 'rip')
    return miter > 89.99
      ? `ripped to ${sayShort(width, units)}${tilt}`
      : `ripped on the slant, ${formatAngle(90 - miter)} to the edge${tilt}`
  if (name === 'backing') return `backed${tilt || ` over ${sayShort(section.thickness, units)}`}`
  return `${cutNames[name]} ${formatAngle(miter)}${tilt} at ${formatLength(at, { units, unit: true })}`
}

function sayNotch({ name, at, depth, sides }: NotchDetail, units: Units): string {
  // marked from a template, and its depth is the radius
  if (name === 'cove')
    return `${cutNames[name]} at ${formatLength(at, { units, unit: true })}: a quarter circle of ${sayShort(depth, units)}`
  const of = sides
    .filter(side => side.length > 0.05 && side.name !== name)
    .map(side => `${cutNames[side.name]} ${sayShort(side.length, units)}`)
  const long = sides.filter(side => side.length > 0.05).map(side => side.length)
  return `${cutNames[name]} at ${formatLength(at, { units, unit: true })}: ${of.length ? `${of.join(', ')}, ` : long.length ? `${sayShort(Math.max(...long), units)} long, ` : ''}${sayShort(depth, units)} deep`
}
