import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import Papa from 'papaparse'
import {
  type Design,
  newDesign,
  parseDesign,
  usualBase,
  usualFloors,
  usualSheathing,
  usualSite,
} from '../design'
import { drawingsOf } from '../drawing'
import { formatLength, parseLength } from '../measure'
import { inOrderOfWork, jigOf, plan, raising } from '../plan'
import { gableSheds, runs } from '../testing/designs'
import { jigTables, raisingNames } from '../words'
import { cutListCsv, cutListText, fileName, planFile } from './index'
import { drawingSvg } from './svg'

const base = newDesign('Hut', 'imperial')

describe('the plan file', () => {
  test('has what its description promises', () => {
    expect(planFile(plan(base))).toMatchObject({
      format: 'early-wren/plan',
      version: 1,
      roof: {
        angle: 26.565051,
        run: 1219.2,
        rise: 609.6,
        lineLength: expect.any(Number),
        unitLength: expect.any(Number),
        ridgeDeduction: expect.any(Number),
        heightAbovePlate: expect.any(Number),
        birdsmouth: { seat: 88.9, heel: 44.45, notch: expect.any(Number) },
      },
      pieces: expect.arrayContaining([
        expect.objectContaining({
          mark: 'R1',
          role: 'rafter',
          section: '2x6',
          count: 14,
          ends: [expect.objectContaining({ miter: 26.565051, bevel: 0, kind: 'plumb' }), expect.anything()],
          members: expect.arrayContaining(['roof/south/rafter/3']),
        }),
      ]),
      cautions: expect.arrayContaining([
        { code: 'no-ties', message: expect.any(String), members: expect.any(Array) },
      ]),
      problems: [],
    })
  })

  // 1 in 1 on the north: its angle is 45, and both runs make up the span of 8 ft
  test('gives the north slope where it has its own pitch, and the text both', () => {
    const made = plan({ ...base, roof: { ...base.roof, northPitch: { rise: 12, run: 12 } } })
    const { roof, northSlope } = planFile(made) as {
      roof: { run: number }
      northSlope: { angle: number; run: number }
    }
    expect(northSlope.angle).toBeCloseTo(45, 6)
    expect(roof.run + northSlope.run).toBeCloseTo(8 * 304.8, 4)
    expect(cutListText(made)).toMatch(/^South slope 26\.57°.*$[\s\S]*^North slope 45°/m)
    expect(planFile(plan(base)).northSlope).toBeNull()
  })

  test('holds no number that is not finite, for any shed', () => {
    fc.assert(
      fc.property(gableSheds, design => {
        const text = JSON.stringify(planFile(plan(design)))
        expect(text).not.toMatch(/NaN|Infinity|undefined/)
        expect(
          (JSON.parse(text) as { pieces: { length: number }[] }).pieces.every(piece => piece.length > 0),
        ).toBe(true)
      }),
      { numRuns: runs(60) },
    )
  })

  test("says what can't be framed, and gives the rest", () => {
    const file = planFile(
      plan({ ...base, footprint: { length: 3000, width: 600 }, walls: { ...base.walls, stud: '2x12' } }),
    )
    expect(file).toMatchObject({
      roof: null,
      pieces: [],
      problems: expect.arrayContaining([
        { code: 'rafter-no-length', path: 'footprint.width', message: expect.stringContaining('span') },
      ]),
    })
  })
})

describe('the cut list as CSV', () => {
  test.each(['imperial', 'metric'] as const)("reads back, in %s, with lengths that are the plan's", units => {
    const design: Design = newDesign('a', units)
    const made = plan(design)
    const { data } = Papa.parse<Record<string, string>>(cutListCsv(made).slice(1).trim(), { header: true })
    expect(data.map(row => row.Mark)).toEqual(made.pieces.map(piece => piece.mark))
    data.forEach((row, i) => {
      const length = made.pieces[i]?.length ?? NaN
      expect(Math.abs(Number(row['Length mm']) - length)).toBeLessThanOrEqual(0.05 + 1e-9)
      const read = parseLength(units === 'imperial' ? (row.Length ?? '') : `${row['Length m']} m`, units)
      expect(read.ok && Math.abs(read.value - length)).toBeLessThan(0.8)
    })
  })

  // 13 ft by 9 ft 6 in of deck: the last row is 9' 6" less two sheets of 4 ft, 18 in wide
  test('a ripped sheet bears its width in every list', () => {
    const made = plan({
      ...base,
      footprint: { length: 156 * 25.4, width: 114 * 25.4 },
      floor: usualFloors.imperial,
    })
    const { data } = Papa.parse<Record<string, string>>(cutListCsv(made).slice(1).trim(), { header: true })
    expect(
      data
        .filter(row => row.Piece === 'deck sheet')
        .map(row => Number(row['Width mm']))
        .sort((a, b) => a - b)
        .slice(0, 2),
    ).toEqual([457.2, 457.2])
    expect(cutListText(made)).toContain('× 1\' 6"')
    expect(planFile(made).pieces).toContainEqual(
      expect.objectContaining({ role: 'deck-sheet', width: 457.2 }),
    )
    expect(data.filter(row => row.Piece === 'stud').map(row => Number(row['Width mm']))).toEqual([88.9])
  })

  test('a name cannot become a formula', () => {
    const odd = {
      ...base,
      walls: { ...base.walls, stud: '=1+1' },
      lumber: { ...base.lumber, sections: [{ name: '=1+1', thickness: 38, depth: 89 }] },
    }
    expect(cutListCsv(plan(odd))).not.toMatch(/,=1\+1,/)
  })
})

describe('what the lists say besides lengths', () => {
  const hipped = plan({
    ...base,
    footprint: { length: 192 * 25.4, width: 120 * 25.4 },
    roof: {
      ...base.roof,
      shape: 'hip',
      pitch: { rise: 6, run: 12 },
      spacing: 406.4,
      fascia: { sub: '2x6', face: null },
    },
    base: usualBase('border', 'imperial'),
    floor: usualFloors.imperial,
    walls: { ...base.walls, sheathing: usualSheathing.imperial, bracing: 'let-in' },
  })
  const text = cutListText(hipped)
  const pieces = planFile(hipped).pieces as {
    mark: string
    role: string
    section: string
    length: number
    cuts: { kind: string; at: number; miter: number; bevel: number }[]
    notches: { kind: string; at: number; depth: number; sides: { kind: string; length: number }[] }[]
    figures: Record<string, number>
    mirrorOf: string | null
  }[]
  const of = (role: string) => pieces.filter(piece => piece.role === role)

  // 6 in 12: hips at atan(6 / 16.97) = 19.47 degrees, lowered by half of 1 1/2 in times its tangent; jacks at
  // 16 in: 16 x 13.42 / 12 (trade book, section 8)
  test("hips their bird's mouth and drop, jacks their common difference, fascia its bevel", () => {
    const [hip] = of('hip')
    expect(hip?.figures.drop).toBeCloseTo((0.75 * 25.4 * 6) / Math.hypot(12, 12), 5)
    const [mouth] = hip?.notches ?? []
    const side = (name: string): number => mouth?.sides.find(each => each.kind === name)?.length ?? NaN
    expect([mouth?.kind, side('heel') / side('seat')]).toEqual([
      'birdsmouth',
      expect.closeTo(6 / Math.hypot(12, 12), 5),
    ])
    expect(of('jack-rafter')[0]?.figures['common-difference']).toBeCloseTo(
      (16 * 25.4 * Math.hypot(12, 6)) / 12,
      4,
    )
    expect(of('sub-fascia')[0]?.cuts).toContainEqual(
      expect.objectContaining({ kind: 'rip', bevel: expect.closeTo((Math.atan(0.5) * 180) / Math.PI, 5) }),
    )
    for (const each of ['drop 1/4"', "bird's mouth at", 'common difference 1\' 5 7/8"', 'bevelled 26.6°'])
      expect(text).toContain(each)
  })

  // half lap on a 4x4: 3 1/2 long, 1 3/4 deep (trade book, section 15)
  test('border timbers their half laps', () => {
    for (const { notches } of of('border'))
      expect(
        notches.map(({ kind, depth, sides }) => [kind, depth, Math.max(...sides.map(side => side.length))]),
      ).toEqual([
        ['lap', expect.closeTo(44.45, 5), expect.closeTo(88.9, 5)],
        ['lap', expect.closeTo(44.45, 5), expect.closeTo(88.9, 5)],
      ])
    expect(text).toContain('lap at 0": 3 1/2" long, 1 3/4" deep')
  })

  test('two studs of one length are told apart by what is let into them', () => {
    const studs = of('stud')
    const twins = studs.filter(one =>
      studs.some(other => other !== one && Math.abs(other.length - one.length) < 0.01),
    )
    expect(twins.length).toBeGreaterThan(1)
    expect(
      new Set(
        twins.map(({ length, notches, cuts, mirrorOf }) =>
          JSON.stringify([length.toFixed(1), notches, cuts, mirrorOf]),
        ),
      ).size,
    ).toBe(twins.length)
    expect(text).toMatch(/housing at .* deep/)
    expect(text).toMatch(/mirror image of S\d+; housing/)
  })

  test("lumber comes before sheets, sheets are named in the design's own units, and no number has noise", () => {
    const kinds = hipped.pieces.map(piece => piece.section.kind === 'sheet')
    expect(kinds.indexOf(true)).toBeGreaterThan(kinds.lastIndexOf(false))
    expect(text).toMatch(/Sheet 7\/16"/)
    const metric = { ...hipped.design, units: 'metric' as const }
    expect(cutListText(plan(metric))).toMatch(/Sheet 11 mm/)
    for (const order of ['section', 'work'] as const)
      expect(cutListCsv(plan(metric), order)).not.toMatch(/\d\.\d{5}/)
  })

  test('in the order of the work the base comes first, then the floor, the walls and the roof', () => {
    const steps = inOrderOfWork(hipped)
    expect(steps.map(({ piece }) => piece.mark).sort()).toEqual(hipped.pieces.map(piece => piece.mark).sort())
    const first = (role: string): number => steps.findIndex(({ piece }) => piece.role === role)
    const order = ['border', 'rim', 'bottom-plate', 'rafter', 'jack-rafter'].map(first)
    expect(order).toEqual([...order].sort((a, b) => a - b))
  })

  test('many boards together are told in metres', () => {
    expect(cutListText(plan({ ...hipped.design, units: 'metric' }))).toMatch(/ pieces, \d+\.\d\d m, /)
  })
})

test('a name with what XML has no place for goes into no drawing as it is', () => {
  const made = plan({
    ...base,
    name: 'Hut\u0007\uD800 <&',
    site: {
      ...usualSite(4000, 'imperial'),
      boundaries: [
        { name: 'Line\u0000', from: { along: 0, out: 9000 }, to: { along: 5000, out: 9000 }, setback: 500 },
      ],
    },
  })
  for (const { drawing } of drawingsOf(made)) {
    const svg = drawingSvg({ ...drawing, name: made.design.name }, 'imperial')
    // eslint-disable-next-line no-control-regex -- what must not be there
    expect(svg).not.toMatch(/[\u0000-\u0008\uD800]/)
    expect(svg).toContain('<title>Hut\uFFFD\uFFFD &lt;&amp;</title>')
  }
})

test('a jig is told where it can be laid out without the application: in the plan file and under its drawing', () => {
  const read = parseDesign(readFileSync('demo/punt-house.json', 'utf8'))
  if (!read.ok) throw new Error('refused')
  const made = plan(read.design)
  const jig = jigOf(made)
  if (!jig) throw new Error('no jig')
  const { units } = made.design
  const file = planFile(made).jig as {
    readonly points: readonly { readonly number: number; readonly x: number; readonly y: number }[]
    readonly checks: readonly { readonly from: number; readonly to: number; readonly length: number }[]
  }
  expect(file.points).toHaveLength(jig.points.length)
  // each length that proves it is that between its two points
  for (const { from, to, length } of file.checks) {
    const [a, b] = [from, to].map(number => file.points.find(each => each.number === number))
    expect(Math.hypot((a?.x ?? NaN) - (b?.x ?? NaN), (a?.y ?? NaN) - (b?.y ?? NaN))).toBeCloseTo(length, 2)
  }
  const drawn = drawingsOf(made).find(({ file: name }) => name === 'truss-jig')
  if (!drawn) throw new Error('not drawn')
  const svg = drawingSvg(drawn.drawing, units, 1000, [], jigTables(jig, units))
  for (const { number, x, y } of jig.points) {
    const [along, across] = [x, y].map(mm => formatLength(mm, { units }).replace(/"/g, '&quot;'))
    expect(svg).toMatch(new RegExp(`>${number} +${along} +${across} `))
  }
  // the sheet ends under the last line
  const tall = Number(/height="(\d+)"/.exec(svg)?.[1])
  const lines = [...svg.matchAll(/<text x="\d+" y="(\d+)" xml:space/g)].map(([, y]) => Number(y))
  expect(Math.max(...lines)).toBeLessThan(tall)
  expect(planFile(plan(base)).jig).toBeNull()
})

test('the plan as text tells pieces, totals, cautions and whom to ask', () => {
  const text = cutListText(plan(base))
  for (const each of ['R1', '26.57°', 'board feet', 'No rafter ties', 'Local code'])
    expect(text).toContain(each)
})

test.each([
  ['Sallow Marsh, hut!', 'sallow-marsh-hut.json'],
  ['Übung', 'u-bung.json'],
  ['///', 'design.json'],
])('a file of “%s” is called %s', (name, file) => {
  expect(fileName(name, 'json')).toBe(file)
})

describe('lists in the order of the work', () => {
  const read = parseDesign(readFileSync('demo/ringing-hut.json', 'utf8'))
  if (!read.ok) throw new Error('not valid')
  const made = plan(read.design)

  test('have a heading for each step, and under it so many of each piece as go up in it', () => {
    const rows = Papa.parse<Record<string, string>>(cutListCsv(made, 'work').slice(1).trim(), {
      header: true,
    }).data
    // counted from the steps themselves: a step's members, by the mark of the piece they are
    const markOf = new Map(made.pieces.flatMap(({ mark, members }) => members.map(id => [id, mark] as const)))
    const counts = new Map<string, number>()
    for (const { name, members } of raising(made))
      for (const id of members) {
        const key = `${raisingNames[name]} ${markOf.get(id)}`
        counts.set(key, (counts.get(key) ?? 0) + 1)
      }
    expect(Object.fromEntries(rows.map(row => [`${row.Step} ${row.Mark}`, Number(row.Count)]))).toEqual(
      Object.fromEntries(counts),
    )
    const text = cutListText(made, 'work')
    for (const step of new Set(rows.map(row => row.Step))) expect(text).toContain(`\n${step}:\n`)
    // like studs of two walls stand under both
    expect(rows.filter(row => row.Mark === 'S1').length).toBeGreaterThan(1)
  })
})
