import { expect, test } from '@jest/globals'
import { type Design, newDesign, usualOpening, type WallOpening } from '../../../core/design'
import { frame } from '../../../core/frame'
import { INCH } from '../../../core/measure'
import { joinOpening } from './walls'

const stud = 1.5 * INCH
const walled = (openings: readonly WallOpening[]): Design => {
  const base = newDesign('a', 'imperial')
  return {
    ...base,
    footprint: { length: 240 * INCH, width: 120 * INCH },
    walls: { ...base.walls, height: 96 * INCH, openings },
  }
}
const opening = (kind: WallOpening['kind'], at: number): WallOpening =>
  usualOpening('south', kind, at * INCH, 'imperial')

test.each([
  ['a window beside a door', [opening('door', 60), opening('window', 86)]],
  ['a door before a window', [opening('window', 90), opening('door', 60)]],
  ['two that lie in one another', [opening('window', 90), opening('window', 95)]],
  ['two with room for two studs', [opening('window', 90), opening('window', 119)]],
] as const)('%s that run into each other go under one header, and back', (_, openings) => {
  const before = walled(openings)
  expect(frame(before).problems).toMatchObject([{ code: 'openings-meet', number: 2, other: 1 }])
  const after = joinOpening(1, 0, stud)(before)
  const made = frame(after)
  expect(made.problems).toEqual([])
  const of = (role: string) => made.members.filter(member => member.role === role)
  expect([of('king').length, of('header').length]).toEqual([2, 2])
  expect(frame(joinOpening(1, null, stud)(after)).problems).toMatchObject([{ code: 'openings-meet' }])
})
