import fc from 'fast-check'
import { type Design, newDesign, type Seat } from '../design'

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true })

const seats: fc.Arbitrary<Seat> = fc.oneof(
  fc.constant<Seat>({ rule: 'full-bearing' }),
  fc.constantFrom<Seat>({ rule: 'third', measured: 'square' }, { rule: 'third', measured: 'plumb' }),
  between(60, 140).map((height): Seat => ({ rule: 'height-above-plate', height })),
  fc.constant<Seat>({ rule: 'none' }),
)

/** Random gable sheds within the document's limits, imperial and metric; some can't be framed, and say so. */
export const gableSheds: fc.Arbitrary<Design> = fc.record({
  imperial: fc.boolean(), length: between(1200, 7000), width: between(1200, 4800), height: between(900, 3000), rise: between(2.5, 20), eave: between(0, 450), gable: between(0, 400),
  stud: fc.constantFrom('2x4', '2x6', '38x89', '38x63'), rafter: fc.constantFrom('2x4', '2x6', '2x8', '47x125'), ridge: fc.constantFrom('2x8', '1x10', '47x200'),
  studSpacing: between(300, 620), rafterSpacing: between(300, 1000), topPlates: fc.constantFrom(1 as const, 2 as const), seat: seats,
  through: fc.constantFrom('eaves' as const, 'gables' as const), corner: fc.constantFrom('three-stud' as const, 'nailer' as const),
}).map((each) => {
  const base = newDesign('random', each.imperial ? 'imperial' : 'metric')
  return {
    ...base,
    footprint: { length: each.length, width: each.width },
    walls: { ...base.walls, stud: each.stud, spacing: each.studSpacing, height: each.height, topPlates: each.topPlates, through: each.through, corner: each.corner },
    roof: { ...base.roof, pitch: { rise: each.rise, run: 12 }, rafter: each.rafter, ridge: each.ridge, spacing: each.rafterSpacing, overhang: { eave: each.eave, gable: each.gable }, seat: each.seat },
  }
})

/** How many random cases a property runs: set EARLY_WREN_RUNS for more. */
export const runs = (usual: number): number => Number(process.env.EARLY_WREN_RUNS ?? usual)
