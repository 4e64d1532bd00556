import { expect } from '@jest/globals'
import fc from 'fast-check'
import { type Design } from '../design'
import { everyBoard, trussOf } from '../frame'
import { cutListText } from '../output'
import { plan, raising, standTogether } from '../plan'
import { unmet } from './contact'
import { runs } from './designs'
import { clashes } from './solids'

/**
 * Random roofs of trusses, as many as `usual` in a run: no two boards of one that ever stand together overlap
 * by over 1 mm³, the ends of each truss's members meet others over their area, and each piece is listed, as
 * many as there are. At least a quarter of them can be built.
 */
export function stand(designs: fc.Arbitrary<Design>, usual: number): void {
  let built = 0
  fc.assert(
    fc.property(designs, design => {
      const made = plan(design)
      const all = everyBoard(made.frame)
      expect(clashes([...all, ...made.frame.base.parts], 1, standTogether(raising(made)))).toEqual([])
      const trussed = made.frame.members.filter(({ where }) => trussOf(where) !== null)
      const trusses = [...new Set(trussed.map(({ where }) => trussOf(where)))]
      if (trusses.length) built++
      for (const number of trusses)
        expect(
          unmet(
            trussed.filter(({ where }) => trussOf(where) === number),
            design.footprint.width,
          )
            // the king post of scissors ends level with their bottom chords' lower edges
            .filter(end => !made.building.roof.truss?.ceiling || !/\/king .*:level$/.test(end)),
        ).toEqual([])
      const chords = trussed.filter(({ role }) => role.endsWith('-chord') && role !== 'bottom-chord')
      if (trusses.length) expect(chords.length % trusses.length).toBe(0)
      expect(made.pieces.reduce((sum, piece) => sum + piece.count, 0)).toBe(
        all.filter(({ bought }) => !bought).length,
      )
      expect(cutListText(made)).not.toMatch(/NaN|undefined|Infinity/)
    }),
    { numRuns: runs(usual), endOnFailure: true },
  )
  expect(built).toBeGreaterThan(runs(usual) / 5)
}
