import fc from 'fast-check'
import { type Design, readDesign, type RoofCover } from '../design'
import { documentedFiles } from './documented'
import type { Json } from './documented/kit'

const shapes = ['gable', 'hip', 'single-slope', 'lean-to', 'flat', 'raised-ridge', 'gambrel'] as const

/** A deck of sheets of a usual size. */
const sheets = fc.record({
  kind: fc.constant('sheets'),
  thickness: fc.constantFrom(9.5, 11, 15, 18),
  sheet: fc.record({ length: fc.integer({ min: 2400, max: 2800 }), width: fc.constant(1200) }),
  edge: fc.constantFrom('square', 'tongue'),
  gap: fc.constantFrom(0, 0, 3),
  first: fc.option(fc.integer({ min: 300, max: 1200 }), { freq: 3 }),
  stagger: fc.constantFrom('half', 'third', 'bay'),
})
const boards = fc.record({
  kind: fc.constant('boards'),
  section: fc.constantFrom('1x6', '22x150'),
  edge: fc.constantFrom('square', 'tongue'),
  space: fc.constantFrom(0, 5, 60),
})
const battens = fc.record({
  section: fc.constantFrom('2x4', '38x63'),
  apart: fc.integer({ min: 300, max: 800 }),
})
const panels = fc.record({
  kind: fc.constant('panels'),
  cover: fc.integer({ min: 500, max: 1100 }),
  lap: fc.integer({ min: 0, max: 80 }),
  longest: fc.integer({ min: 1500, max: 6000 }),
  past: fc.integer({ min: 0, max: 60 }),
  height: fc.integer({ min: 5, max: 35 }),
})

const covers = fc.record({
  deck: fc.oneof(
    { weight: 3, arbitrary: sheets },
    { weight: 1, arbitrary: boards },
    { weight: 1, arbitrary: fc.constant(null) },
  ),
  battens: fc.option(battens),
  top: fc.option(panels),
  soffit: fc.option(
    fc.record({
      section: fc.constantFrom('1x6', '22x100'),
      edge: fc.constantFrom('square', 'tongue'),
      space: fc.constantFrom(0, 4),
      vent: fc.constantFrom(0, 0, 40),
    }),
  ),
  past: fc.record({ eave: fc.constantFrom(0, 10, 25), rake: fc.constantFrom(0, 6, 40) }),
  slot: fc.constantFrom(0, 20, 50),
})

/** Documented designs of every roof that has faces, each of them covered; walls mostly of one height. */
export const coveredDesigns: fc.Arbitrary<Design> = fc
  .tuple(documentedFiles, fc.constantFrom(...shapes), covers, fc.nat(3))
  .map(([file, shape, cover, dice]) => {
    const walls = file.walls as Json
    const sides = (walls.sides ?? {}) as Record<string, Json>
    const even = Object.fromEntries(
      Object.entries(sides).map(([side, each]) => [side, { ...each, height: null, step: null }]),
    )
    const read = readDesign({
      ...file,
      parts: [],
      walls: { ...walls, sides: dice ? even : sides },
      roof: { ...(file.roof as Json), shape, cover },
    })
    if (!read.ok) throw new Error(`a covered design is refused: ${JSON.stringify(read.faults)}`)
    return read.design
  })

/** A design with a covering. */
export const withCover = (design: Design, cover: Partial<RoofCover>): Design => ({
  ...design,
  roof: { ...design.roof, cover: { ...design.roof.cover, ...cover } },
})
