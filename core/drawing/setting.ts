import { everyBoard, type Member, trussOf } from '../frame'
import { kneesOf, peakAcross } from '../lines'
import type { Plan } from '../plan'
import { dimension, type Drawing, drawn, type Line } from './drawing'
import { fromAbove, seen } from './view'

/** Whether a board is shown: the trusses' chords, and all that they are set with. */
const isShown = ({ where, role }: Member): boolean =>
  where.of?.kind === 'setting' ||
  (trussOf(where) !== null && (role === 'upper-chord' || role === 'lower-chord' || role === 'bottom-chord'))

/**
 * A row of trusses from above with what it is set with, south below, over the walls' outline, the ridge and
 * the knees.
 */
export function settingPlan(plan: Plan): Drawing {
  const { building, frame } = plan
  const { length, width } = building.footprint
  const across = (y: number): Line => ({ from: { x: 0, y }, to: { x: length, y }, ink: 'datum' })
  const sides = [
    across(0),
    across(width),
    { from: { x: 0, y: 0 }, to: { x: 0, y: width }, ink: 'datum' },
    { from: { x: length, y: 0 }, to: { x: length, y: width }, ink: 'datum' },
  ] as const
  const knees = kneesOf(frame.roof).map(({ side, in: inward }) =>
    across(side === 'south' ? inward : width - inward),
  )
  return drawn('truss-setting', {
    patches: seen(everyBoard(frame).filter(isShown), fromAbove),
    lines: [...sides, across(peakAcross(frame.roof)), ...knees],
    dimensions: [
      dimension('below', 1, 'length', { x: 0, y: 0 }, { x: length, y: 0 }, length, 'footprint.length'),
      dimension('left', 1, 'span', { x: 0, y: 0 }, { x: 0, y: width }, width, 'footprint.width'),
    ],
  })
}
