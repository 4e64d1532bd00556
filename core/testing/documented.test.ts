import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cautionsOf } from '../check'
import { type Design, readDesign, withValue } from '../design'
import { drawingsOf } from '../drawing'
import { everyBoard, frame, type Member } from '../frame'
import { cutListCsv, cutListText, drawingSvg, planFile } from '../output'
import { plan, raising, standTogether } from '../plan'
import { sayCaution, sayProblem } from '../words'
import { documentedFiles } from './documented'
import { runs } from './designs'
import { clashes } from './solids'
import { asTold, nameOf, toldNumbers } from './remedies'

/** A documented file as it is read from its text; nothing of it may be refused or left out. */
function read(file: unknown): Design {
  const found = readDesign(JSON.parse(JSON.stringify(file)))
  expect(found.ok ? found.dropped : found.faults).toEqual([])
  if (!found.ok) throw new Error('refused')
  return found.design
}

const odd = /NaN|undefined|Infinity|null|\[object/

/* eslint-disable no-control-regex -- these are what is looked for */
/** Characters that have no place in an XML 1.0 text. */
const foreign =
  /[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]|[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/
/* eslint-enable no-control-regex */

/**
 * Why a text is no XML 1.0: characters that have no place in it, elements that don't close, or bare
 * ampersands.
 */
function xmlFaults(text: string): string[] {
  const faults: string[] = foreign.test(text) ? ['a character'] : []
  if (/&(?!(amp|lt|gt|quot);)/.test(text)) faults.push('an ampersand')
  const open: string[] = []
  for (const [, close, name, own] of text.matchAll(/<(\/?)([a-z]+)[^<>]*?(\/?)>/g)) {
    if (close) {
      if (open.pop() !== name) faults.push(`</${name}>`)
    } else if (!own) open.push(name ?? '')
  }
  return [...faults, ...open]
}

const shapeOf = ({ id, section, board }: Member): string =>
  `${id} ${section.name} ${board.start.toFixed(4)} ${board.end.toFixed(4)} ${board.volume.toFixed(1)}`

describe('any documented design file', () => {
  test('is framed or told why with a field and a remedy; each number told, typed into its field, solves what it is told of', () => {
    let told = 0
    fc.assert(
      fc.property(documentedFiles, file => {
        const design = read(file)
        for (const problem of frame(design).problems) {
          const said = sayProblem(problem, design.units)
          expect(said).toMatch(/^[A-Z\d].*\. .*\.$/s)
          expect(said).not.toMatch(odd)
          expect(said).not.toMatch(/(^|\s)-\d/)
          expect(problem.path).not.toBe('')
          expect(problem.code === 'not-cut' ? said : '').toBe('')
          for (const [limit, mm] of toldNumbers(problem, design)) {
            const next = asTold(design, problem, mm)
            if (!next) continue
            told++
            const after = frame(read(next)).problems.filter(
              other => nameOf(other) === nameOf(problem) && other.path === problem.path,
            )
            expect([limit, mm, said, ...after.map(other => sayProblem(other, design.units))]).toEqual([
              limit,
              mm,
              said,
            ])
          }
        }
      }),
      { numRuns: runs(80) },
    )
    expect(told).toBeGreaterThan(runs(80) / 4)
  }, 3_600_000)

  test('holds no two boards in one place', () => {
    fc.assert(
      fc.property(documentedFiles, file => {
        const whole = plan(read(file))
        const { base, problems } = whole.frame
        // a ridge that reaches into the walls is drawn where it is asked for, and said
        if (!problems.some(({ code }) => code === 'ridge-into-wall'))
          expect(
            clashes([...everyBoard(whole.frame), ...base.parts], 1, standTogether(raising(whole))),
          ).toEqual([])
      }),
      { numRuns: runs(28) },
    )
  }, 3_600_000)

  test('is drawn and listed in files that are well formed, every caution a sentence', () => {
    fc.assert(
      fc.property(documentedFiles, file => {
        const design = read(file)
        const made = plan(design)
        for (const { file: name, drawing, wide } of drawingsOf(made)) {
          const svg = drawingSvg(drawing, design.units, wide)
          expect([name, ...xmlFaults(svg)]).toEqual([name])
          expect(svg.replace(/<title>[^<]*<\/title>|<text[^>]*>[^<]*<\/text>/g, '')).not.toMatch(
            /NaN|undefined|Infinity/,
          )
        }
        for (const caution of cautionsOf(made))
          expect(sayCaution(caution, design.units).replaceAll(design.name, '')).toMatch(/^\S.*\.$/s)
        expect(JSON.parse(JSON.stringify(planFile(made)))).toMatchObject({
          format: 'early-wren/plan',
          pieces: made.pieces.map(piece => ({ mark: piece.mark })),
        })
        const named = plan(withValue(design, 'name', 'Shed')) // a name may be any text, figures too
        for (const text of [
          cutListCsv(named),
          cutListCsv(named, 'work'),
          cutListText(named),
          cutListText(named, 'work'),
        ])
          expect(text).not.toMatch(/NaN|undefined|Infinity|\.\d{5,}/)
      }),
      { numRuns: runs(28) },
    )
  }, 3_600_000)

  test('is the same building in feet and in millimetres: units only show', () => {
    fc.assert(
      fc.property(documentedFiles, file => {
        const design = read(file)
        const other = withValue(design, 'units', design.units === 'imperial' ? 'metric' : 'imperial')
        const [a, b] = [frame(design), frame(read(other))]
        expect(b.members.map(shapeOf)).toEqual(a.members.map(shapeOf))
        expect(b.problems.map(problem => problem.code)).toEqual(a.problems.map(problem => problem.code))
        expect(plan(other).pieces.map(piece => [piece.mark, piece.count, piece.stock])).toEqual(
          plan(design).pieces.map(piece => [piece.mark, piece.count, piece.stock]),
        )
      }),
      { numRuns: runs(32) },
    )
  }, 3_600_000)

  test('the comparer of XML finds what is wrong', () => {
    expect(xmlFaults('<a><b/></a>')).toEqual([])
    expect(xmlFaults('<a>\u0007</a>')).toEqual(['a character'])
    expect(xmlFaults('<a>\uD800</a>')).toEqual(['a character'])
    expect(xmlFaults('<a>a & b</a>')).toEqual(['an ampersand'])
    expect(xmlFaults('<a><b></a>')).toEqual(['</a>', 'a'])
  })
})
