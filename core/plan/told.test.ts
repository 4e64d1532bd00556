import { describe, expect, test } from '@jest/globals'
import { readFileSync, readdirSync } from 'node:fs'
import fc from 'fast-check'
import { type Design, readDesign } from '../design'
import { isLumber } from '../lumber'
import { planFile } from '../output'
import { runs } from '../testing/designs'
import { documentedFiles } from '../testing/documented'
import { apart, fromFile, fromWords, rebuilt, solidOfBoard } from '../testing/rebuild'
import { sayDetails } from '../words'
import { plan } from '../plan'

const design = (file: unknown): Design => {
  const found = readDesign(JSON.parse(JSON.stringify(file)))
  if (!found.ok) throw new Error(JSON.stringify(found.faults))
  return found.design
}

/** Pieces whose solid is not what is told of them, by the plan file and by the list's words. */
function misread(of: Design): unknown[] {
  const made = plan(of)
  const file = JSON.parse(JSON.stringify(planFile(made))) as { pieces: { mark: string }[] }
  const { units } = of
  const mark = units === 'imperial' ? 25.4 / 16 : 1
  return made.pieces.flatMap((piece, i) => {
    const solid = solidOfBoard(piece.board)
    const said = sayDetails(made, piece)
    const words = [...said.cuts, ...said.notches]
    try {
      const byFile = apart(rebuilt(fromFile(file.pieces[i]), 0.2), solid)
      const cove = words.some(each => each.startsWith('cove'))
      const byWords = cove ? 0 : apart(
        rebuilt(
          fromWords(
            {
              thickness: piece.section.thickness,
              depth: piece.section.depth,
              length: piece.length,
              width: piece.width,
              lumber: isLumber(piece.section),
              said: words,
            },
            units,
          ),
          mark,
        ),
        solid,
      )
      return byFile <= 0.2 && byWords <= mark
        ? []
        : [{ mark: piece.mark, role: piece.role, byFile, byWords, words }]
    } catch (error) {
      return [{ mark: piece.mark, role: piece.role, words, error: String(error) }]
    }
  })
}

describe('a board is built from what is told of it', () => {
  test.each(readdirSync('demo'))('%s', name => {
    expect(misread(design(JSON.parse(readFileSync(`demo/${name}`, 'utf8'))))).toEqual([])
  })

  test('of any documented design', () => {
    fc.assert(
      fc.property(documentedFiles, file => {
        expect(misread(design(file))).toEqual([])
      }),
      { numRuns: runs(40) },
    )
  }, 3_600_000)
})
