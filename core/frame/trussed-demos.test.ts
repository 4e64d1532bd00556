import { describe, expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import { boardLength } from '../board'
import { parseDesign } from '../design'
import { INCH } from '../measure'
import { cardOf, jigOf, plan } from '../plan'
import { clashes } from '../testing/solids'

const planOf = (name: string): ReturnType<typeof plan> => {
  const read = parseDesign(readFileSync(`demo/${name}.json`, 'utf8'))
  if (!read.ok) throw new Error(`${name} is not valid`)
  return plan(read.design)
}

describe.each(['punt-house', 'decoy-store'])('%s', name => {
  const made = planOf(name)

  test('stands from the ground to the roof, with nothing refused and nothing that overlaps', () => {
    expect(made.frame.problems).toEqual([])
    expect(clashes(made.frame.members)).toEqual([])
    const roles = new Set<string>(made.frame.members.map(({ role }) => role))
    expect([...roles]).toEqual(
      expect.arrayContaining(['joist', 'deck-sheet', 'stud', 'upper-chord', 'gusset', 'rung', 'barge']),
    )
  })

  test('each chord, web and gusset has a card, and the first truss a jig', () => {
    const trussed = made.pieces.filter(({ role }) => /chord|web|gusset/.test(role))
    for (const piece of trussed)
      for (const mark of cardOf(made, piece).marks) expect(Number.isFinite(mark.at)).toBe(true)
    expect(jigOf(made)?.points.length).toBeGreaterThan(6)
  })
})

// trade book, section 9: the circle's radius is half the width and the overhang
test('the punt house: eleven trusses for 20 ft at 24 in, of four chords 2 R sin 22.5 long, R = 87 in', () => {
  const { frame } = planOf('punt-house')
  const chords = frame.members.filter(({ role }) => role === 'upper-chord' || role === 'lower-chord')
  expect(chords).toHaveLength(44)
  for (const { board } of chords)
    expect(boardLength(board) / INCH).toBeCloseTo(2 * 87 * Math.sin(Math.PI / 8), 6)
})

test('the decoy store: eleven trusses for 6 m at 600, four webs in each but those over studs', () => {
  const { frame } = planOf('decoy-store')
  const count = (role: string): number => frame.members.filter(each => each.role === role).length
  expect([count('bottom-chord'), count('upper-chord'), count('web')]).toEqual([11, 22, 36])
})
