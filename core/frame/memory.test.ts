import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { type Design, newDesign, readDesign, roofChoices, withRoofOf, withValue } from '../design'
import { furnishedSheds, isTried, runs } from '../testing/designs'
import { groundedSheds } from '../testing/grounded'
import { openedSheds } from '../testing/opened'
import { differences } from '../testing/differences'
import { documentedFiles } from '../testing/documented'
import { type Frame, frame, newMemory, boxOf } from './index'

/** A memory only ever saves work: what is framed with it is what is framed without. */
const read = (file: unknown): Design => {
  const result = readDesign(JSON.parse(JSON.stringify(file)))
  if (!result.ok) throw new Error('not a valid design')
  return result.design
}
const isValid = (design: Design): boolean => readDesign(JSON.parse(JSON.stringify(design))).ok
const any: fc.Arbitrary<Design> = fc
  .oneof(documentedFiles.map(read), furnishedSheds, groundedSheds, openedSheds)
  .filter(isValid)
/** A frame without what the order of a board's corners says. */
const told = ({ members, roofingOver, ...rest }: Frame): unknown => [
  rest,
  roofingOver({ from: 0, to: rest.building.footprint.length }).map(({ id, placement }) => [id, placement]),
  members.map(member => {
    const { id, role, section, placement, board, sawn } = member
    const cut = [board, sawn].map(each => each && [each.start, each.end, each.volume, each.faces.length])
    return [id, role, section, placement, cut, boxOf(member)]
  }),
]
const warmIsCold = (...designs: readonly Design[]): void => {
  const memory = newMemory()
  for (const design of designs)
    expect(differences(told(frame(design, memory)), told(frame(design)))).toEqual([])
}

describe('a frame that knows the one before', () => {
  test('is the frame without, over pairs of unlike buildings, there and back', () => {
    fc.assert(
      fc.property(any, any, (one, other) => warmIsCold(one, other, one)),
      { numRuns: runs(8) },
    )
  }, 3_600_000)

  test('is the frame without, over a building that takes every roof in turn', () => {
    fc.assert(
      fc.property(
        any,
        fc.shuffledSubarray([...roofChoices], { minLength: 4, maxLength: 4 }),
        (design, choices) => warmIsCold(design, ...choices.map(choice => read(withRoofOf(design, choice)))),
      ),
      { numRuns: runs(3) },
    )
  }, 3_600_000)

  test('is the frame without, over a building that takes each part of another in turn', () => {
    const part = <T extends object>(a: T, b: T): T[] =>
      (Object.keys(a) as (keyof T)[]).map(key => ({ ...a, [key]: b[key] }))
    const taken = (one: Design, other: Design): Design[] =>
      [
        ...part(one, other),
        ...part(one.walls, other.walls).map(walls => ({ ...one, walls })),
        ...part(one.roof, other.roof).map(roof => ({ ...one, roof })),
      ]
        .filter(isValid)
        .filter((_, i) => isTried(i))
    fc.assert(
      fc.property(any, any, (one, other) => warmIsCold(one, ...taken(one, other).map(read))),
      { numRuns: runs(2) },
    )
  }, 3_600_000)

  // a house to the north and then to the south, the ledger and the wall each of a height of its own
  test('a lean-to turned over keeps no wall of the house side', () => {
    const heights = (design: Design): Design =>
      withValue(withValue(design, 'walls.sides.north.height', 2700), 'walls.sides.south.height', 2700)
    const [north, south] = (['north', 'south'] as const).map(high =>
      heights(withRoofOf(newDesign('a', 'metric'), { shape: 'lean-to', high })),
    ) as [Design, Design]
    warmIsCold(north, south, north)
    const memory = newMemory()
    frame(north, memory)
    expect(frame(south, memory).walls.map(wall => wall.name)).toEqual(['east', 'north', 'west'])
  })
})
