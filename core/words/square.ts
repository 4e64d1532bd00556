import { formatAngle, riseInTwelve, type Units } from '../measure'
import type { SquareLayout, SquareMark } from '../plan'
import { sayLength, sayShort } from './measures'

/** A number on a square: inches of rise or run to a sixteenth, or whole millimetres. */
export const saySquare = (mm: number, units: Units): string => sayShort(mm, units)

/** What to do with a framing square for one mark. */
export function sayFramingMark(
  { name, line, of, at }: SquareMark,
  { rise, run }: SquareLayout,
  units: Units,
): string {
  const held = `${saySquare(rise, units)} and ${saySquare(run, units)} on the ${line === 'plumb' ? 'upper' : 'lower'} edge`
  const reads = sayLength(at, units)
  switch (name) {
    case 'head':
      return `${held}: draw the upper end along the rise, at ${reads}.`
    case 'ridge-line':
      return at < 0.05
        ? `${held}, at the board's end: draw along the rise. This is the line all steps are counted from; it lies ${sayShort(-at, units)} beyond the finished board.`
        : `${held}: draw along the rise, at ${reads}. All steps are counted from this line.`
    case 'step':
      return `Mark where the ${saySquare(run, units)} lies on the edge and slide the rise's side to it: step ${of ?? 0}, at ${reads}.`
    case 'odd':
      return `A part step: mark where ${sayShort(of ?? 0, units)} of run lies on the edge and slide the rise's side there, at ${reads}.`
    case 'heel':
      return `Draw along the rise, all the way down: the heel, over the outside of the wall.`
    case 'seat':
      return `Turn the square over, ${held}, and draw along the run: the level seat, to where the heel was drawn.`
    case 'tail':
      return `Step off the overhang the same way and draw along the rise, at ${reads}: the tail.`
    case 'shortened':
      return `Back at the head: measure the shortening level, square to the first line, and draw along the rise again, at ${reads}. This is the line to saw.`
  }
}

/** What to do with a triangular rafter square for one mark; `hip` where its hip and valley scale is read. */
export function sayTriangularMark(
  { name, line, at }: SquareMark,
  { angle, rise, run }: SquareLayout,
  units: Units,
  hip: boolean,
): string {
  const rise12 = Number(riseInTwelve({ rise, run: hip ? run / Math.SQRT2 : run }).toFixed(2))
  const read =
    line === 'plumb'
      ? `read ${rise12} on the ${hip ? 'hip and valley' : 'common'} scale, or ${formatAngle(angle)}`
      : `read ${formatAngle(90 - angle)}`
  const where =
    name === 'seat' ? 'Pivot on the lower edge' : `Pivot on the upper edge at ${sayLength(at, units)}`
  return `${where}, ${read} where the edge crosses the scale, and draw along the other side.`
}

export const squareMarkNames: Record<SquareMark['name'], string> = {
  head: 'Upper end',
  'ridge-line': 'First line',
  step: 'Step',
  odd: 'Part step',
  heel: 'Heel',
  seat: 'Seat',
  tail: 'Tail',
  shortened: 'Shortened',
}
