import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { type Design, isSide, parseDesign } from '../design'
import { furnishedSheds, runs } from '../testing/designs'
import { groundedSheds } from '../testing/grounded'
import { gambrelSheds, trussedGables } from '../testing/trussed'
import { type Frame, frame, newMemory } from './index'

const demos: readonly Design[] = readdirSync('demo').map(file => {
  const read = parseDesign(readFileSync(`demo/${file}`, 'utf8'))
  if (!read.ok) throw new Error(`${file} is not valid`)
  return read.design
})

/** The roof and the walls between the gables; of what holds trusses the purlins alone. */
const shown = ({ members, walls }: Frame): string[] => {
  const between = walls
    .filter(({ name, along }) => along === 'x' || !isSide(name))
    .map(({ name }) => `walls/${name}/`)
  return members
    .filter(({ id, role }) =>
      id.startsWith('roof/setting/')
        ? role === 'flat-purlin'
        : id.startsWith('roof/') || between.some(wall => id.startsWith(wall)),
    )
    .map(({ id }) => id)
}

/** The same asked of a frame before all else, and after. */
function isSame(design: Design): void {
  const memory = newMemory()
  const first = frame(design, memory)
  const asked = first.across
  expect(asked.map(({ id }) => id).sort()).toEqual(expect.arrayContaining(shown(frame(design)).sort()))
  const all = new Map(first.members.map(member => [member.id, member]))
  for (const member of asked) expect(all.get(member.id)?.board).toEqual(member.board)
}

describe('what a cut across a building goes through', () => {
  test.each(demos.map(design => [design.name, design] as const))('%s', (_, design) => {
    const { across, members } = frame(design)
    const ids = shown(frame(design)).sort()
    expect(across.map(({ id }) => id).sort()).toEqual(ids)
    expect(ids.length).toBeLessThan(members.length)
    isSame(design)
  })

  test('is of the boards that stand, of any building', () => {
    fc.assert(fc.property(fc.oneof(furnishedSheds, groundedSheds, gambrelSheds, trussedGables), isSame), {
      numRuns: runs(100),
    })
  })
})
