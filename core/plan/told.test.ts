import { describe, expect, test } from '@jest/globals'
import { readdirSync, readFileSync } from 'node:fs'
import fc from 'fast-check'
import Papa from 'papaparse'
import { type Design, readDesign, starters } from '../design'
import { isLumber } from '../lumber'
import { cutListCsv, cutListText, planFile } from '../output'
import { runs } from '../testing/designs'
import { documentedFiles } from '../testing/documented'
import { apart, fromFile, fromWords, rebuilt, type ReadPiece, solidOfBoard } from '../testing/rebuild'
import { figureNames } from '../words'
import type { Piece } from './piece'
import { plan } from './plan'

const read = (file: unknown): Design => {
  const found = readDesign(JSON.parse(JSON.stringify(file)))
  if (!found.ok) throw new Error(JSON.stringify(found.faults))
  return found.design
}

/** What a list's words tell of a piece: a cove's curve is cut by a template and not by corners. */
const isTold = (said: readonly string[]): boolean => !said.some(each => each.startsWith('cove'))

/** A piece as the words that are said of it tell it, on the rule's marks. */
const byWords = (piece: Piece, said: readonly string[], units: Design['units']): ReadPiece =>
  fromWords(
    {
      thickness: piece.section.thickness,
      depth: piece.section.depth,
      length: piece.length,
      width: piece.width,
      lumber: isLumber(piece.section),
      said,
    },
    units,
  )

/** Words of a list that tell no cut: figures, and whose mirror image a piece is. */
const noCut = (words: string): boolean =>
  ['mirror image of', ...Object.values(figureNames)].some(name => words.startsWith(name.toLowerCase()))

/** The words under each row of the text list, by mark. */
function textLines(text: string): Map<string, string[]> {
  const said = new Map<string, string[]>()
  let mark = ''
  for (const line of text.split('\n')) {
    const row = /^(\S+) +\d+ {2}\S/.exec(line)
    if (row?.[1]) said.set((mark = row[1]), [])
    // what is cut in place is told of another board, in a line of its own
    else if (/^ {6}\S/.test(line) && !/^ {6}where it stands/.test(line))
      said.get(mark)?.push(
        ...line
          .trim()
          .split('; ')
          .filter(each => !noCut(each)),
      )
  }
  return said
}

/** Corners of a notch stand behind a semicolon of their own. */
const joined = (said: readonly string[]): string[] =>
  said.reduce<string[]>(
    (all, each) =>
      each.startsWith('corners ') ? [...all.slice(0, -1), `${all.at(-1) ?? ''}; ${each}`] : [...all, each],
    [],
  )

/** How far a piece that is cut again in place is off what is told of it there; 0 of others. */
function inPlaceOff({ standing }: Piece, file: unknown): number {
  const { inPlace } = file as { inPlace: { along: [number, number] } | null }
  if (!standing || !inPlace) return standing || inPlace ? Infinity : 0
  const { from, length } = { from: inPlace.along[0], length: inPlace.along[1] - inPlace.along[0] }
  const { cuts, notches, ...rest } = fromFile({ ...inPlace, length })
  const down = (corners: ReadPiece['notches'][number]): ReadPiece['notches'][number] =>
    corners.map(([x, y, z]) => [x - from, y, z] as const)
  const told = {
    ...rest,
    cuts: cuts.map(cut => ({ ...cut, corners: down(cut.corners) })),
    notches: notches.map(down),
  }
  return apart(rebuilt(told, 0.2), solidOfBoard(standing.board))
}

/** Pieces whose solid is not what is told of them: by the plan file, the text list and the CSV. */
function misread(design: Design): unknown[] {
  const made = plan(design)
  const { units } = design
  const file = planFile(made).pieces as unknown[]
  const text = textLines(cutListText(made))
  const rows = Papa.parse<Record<string, string>>(cutListCsv(made).slice(1).trim(), { header: true }).data
  // words are on the rule's marks
  const mark = units === 'imperial' ? 25.4 / 16 : 1
  return made.pieces.flatMap((piece, i) => {
    const solid = solidOfBoard(piece.board)
    const row = rows[i] ?? {}
    const cells = [row['Cut lines'], row.Notches].filter(Boolean).join('; ')
    const lists = [text.get(piece.mark) ?? ['none'], cells ? cells.split('; ') : []].map(joined)
    const off = (told: ReadPiece, within: number): number => apart(rebuilt(told, within), solid)
    const exact = Math.max(off(fromFile(file[i]), 0.2), inPlaceOff(piece, file[i]))
    const said = lists.map(words => (isTold(words) ? off(byWords(piece, words, units), mark) : 0))
    return exact <= 0.2 && said.every(each => each <= mark)
      ? []
      : [{ mark: piece.mark, role: piece.role, exact, said, lists }]
  })
}

describe('a board is built anew from what is told of it alone: plan file, text list and CSV', () => {
  test.each(readdirSync('demo'))('%s', name => {
    expect(misread(read(JSON.parse(readFileSync(`demo/${name}`, 'utf8'))))).toEqual([])
  })

  test('of any documented design', () => {
    fc.assert(
      fc.property(documentedFiles, file => {
        expect(misread(read(file))).toEqual([])
      }),
      // by the whole building: what one lacks tells more than the least that does
      { numRuns: runs(40), endOnFailure: true },
    )
  }, 3_600_000)

  // of what lies in front of a rip from corner to corner the edge falls off, and not the end
  test.each([2000, 2100, 2200, 2300, 2400, 2500, 2600])(
    'a firring that runs out to nothing in %d mm',
    width => {
      const room = starters.find(({ name }) => name === 'garden-room')
      if (!room) throw new Error('no garden room')
      const flat = room.design('room', 'metric', { ...room.usual.metric, width })
      const design: Design = {
        ...flat,
        roof: { ...flat.roof, firring: { section: flat.roof.rafter, least: 0 } },
      }
      const made = plan(design)
      const at = made.pieces.findIndex(({ role }) => role === 'firring')
      const told = (planFile(made).pieces as { cuts: { kind: string; off: string }[] }[])[at]
      expect(told?.cuts.map(({ kind, off }) => [kind, off])).toEqual([['rip', 'top']])
      expect(misread(design)).toEqual([])
    },
  )

  test('a number told a mark too long, and a side left out, are found', () => {
    const made = plan(read(JSON.parse(readFileSync('demo/ringing-hut.json', 'utf8'))))
    const at = made.pieces.findIndex(({ role }) => role === 'rafter')
    const piece = made.pieces[at]
    if (!piece) throw new Error('no rafter')
    const solid = solidOfBoard(piece.board)
    const told = fromFile((planFile(made).pieces as unknown[])[at])
    expect(apart(rebuilt(told, 0.2), solid)).toBeLessThan(0.01)
    const longer: ReadPiece = {
      ...told,
      notches: told.notches.map(corners => corners.map(([x, y, z]) => [x + 1, y, z] as const)),
    }
    expect(apart(rebuilt(longer, 0.2), solid)).toBeGreaterThan(0.2)
    expect(apart(rebuilt({ ...told, cuts: told.cuts.slice(1) }, 0.2), solid)).toBeGreaterThan(0.2)
  })
})
