import { describe, expect, test } from '@jest/globals'
import { INCH } from '../measure'
import { sayListFault } from '../words'
import { readPieces, readStock } from './lists'

const pieces = (text: string, units: 'metric' | 'imperial' = 'metric') => {
  const read = readPieces(text, units)
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  return read.rows
}
const faults = (text: string) => {
  const read = readPieces(text, 'metric')
  return read.ok ? [] : read.faults
}

describe('a list of pieces', () => {
  test.each([
    ['commas', 'mark,section,length,count\nA,2x4,1200,4\n'],
    ['a byte order mark, lines of another system', '\uFEFFmark,section,length,count\r\nA,2x4,1200,4\r\n'],
    ['semicolons and a decimal comma', 'mark;section;length;count\nA;2x4;1200,0;4'],
    ['tabs', 'mark\tsection\tlength\tcount\nA\t2x4\t1200\t4'],
    [
      'columns in another order, in capitals, quoted',
      '"Count","LENGTH","Mark","Section"\n"4","1200","A","2x4"',
    ],
    ['a unit in the header', 'mark,section,length (cm),count\nA,2x4,120,4'],
    ['a unit in the cell', 'mark,section,length,count\nA,2x4,120 cm,4'],
    ['its x written otherwise', 'mark,section,length,count\nA,2 × 4,1200,4'],
    ['empty rows between', 'mark,section,length,count\n\nA,2x4,1200,4\n,,,\n'],
  ])('%s', (_, text) => {
    expect(pieces(text)).toEqual([{ mark: 'A', section: '2x4', length: 1200, count: 4 }])
  })

  test('feet and inches, in quotes and without, and of the unit asked for', () => {
    const long = (98 + 1 / 2) * INCH
    const text = 'mark,section,length,count\nA,2x4,8\' 2 1/2",1\nB,2x4,"8\' 2 1/2""",1\nC,2x4,98.5,1\n'
    for (const { length } of pieces(text, 'imperial')) expect(length).toBeCloseTo(long, 9)
    expect(pieces('mark,section,length in,count\nA,2x4,98 1/2,1')[0]?.length).toBeCloseTo(long, 9)
    expect(pieces('mark,section,length ft,count\nA,2x4,8,1')[0]?.length).toBeCloseTo(96 * INCH, 9)
  })

  test('columns that are not known are passed over, and named', () => {
    expect(readPieces('mark,section,length,count,wall\nA,2x4,900,1,south\n', 'metric')).toMatchObject({
      ok: true,
      passedOver: ['wall'],
    })
  })

  // each could be read in two ways, and was read in one
  test.each([
    ['more cells than names', 'mark,section,length,count\na,2x4,1,200,3', 'row-long'],
    ['an apostrophe of thousands', "mark,section,length mm,count\na,2x4,1'200,3", 'which-apostrophe'],
    [
      'an apostrophe of thousands below 12 in',
      "mark,section,length mm,count\na,2x4,1'008,3",
      'which-apostrophe',
    ],
    ['inches past a foot', 'mark,section,length,count\na,2x4,1\' 14",3', 'not-a-length'],
    ['a point of thousands', 'mark;section;length;count\na;2x4;1.200;3', 'which-point'],
    ['a comma of thousands', 'mark,section,length,count\na,2x4,"1,200",3', 'which-comma'],
    ['a fraction without its inches', 'mark,section,length,count\na,2x4,40 1/2,3', 'fraction-of-what'],
    ['an angle of a machine', 'mark,section,length,count,left,depth\na,2x4,1200,3,0x10,90', 'not-an-angle'],
    ['an angle with a power', 'mark,section,length,count,left,depth\na,2x4,1200,3,1e1,90', 'not-an-angle'],
    ['a kind of its own', 'mark,section,length,count,kind\na,2x4,1200,3,log', 'not-a-kind'],
  ])('%s is refused with its row', (_, text, code) => {
    expect(faults(text)).toMatchObject([{ code, row: 2 }])
    for (const fault of faults(text)) expect(sayListFault(fault, 'metric')).toMatch(/^Row 2.*\. .*\.$/)
  })

  test('a price with a mark between thousands is refused, with a comma and with a point', () => {
    const codes = (text: string): string[] => {
      const read = readStock(text, 'metric')
      return read.ok ? [] : read.faults.map(({ code }) => code)
    }
    expect(codes('section,length mm,price,count\n2x4,2440,1,200,')).toEqual(['row-long'])
    expect(codes('section;length mm;price\n2x4;2440;1.200')).toEqual(['which-point'])
    expect(codes('section;length mm;price\n2x4;2440;1,20')).toEqual([])
    // metres with three decimals are no thousands
    expect(codes('section;length m;price\n2x4;2.440;3')).toEqual([])
  })

  test('a unit in the name of any length, a comma before decimals of a bad stretch, and rows of sheets', () => {
    expect(
      pieces('mark,section,length mm,count,left,depth mm\na,2x4,1200,3,45,89')[0]?.slopes?.left,
    ).toBeCloseTo(89, 9)
    const stock = readStock('section,length mm,count,bad\n2x4,2440,1,"1200,5..1300"', 'metric')
    expect(stock.ok && stock.rows[0]?.defects).toEqual([{ from: 1200.5, to: 1300 }])
    const inches = readStock('section,length mm,count,bad in\n2x4,2440,1,10..11 1/2', 'metric')
    expect(inches.ok && inches.rows[0]?.defects).toEqual([{ from: 254, to: 11.5 * INCH }])
    expect(
      readPieces('mark,section,length,count,kind\na,2x4,1200,3,\nb,Sheet,2440,1,sheet', 'metric'),
    ).toMatchObject({ ok: true, noBoards: 1, rows: [{ mark: 'a' }] })
  })

  test('of two lengths the one in mm is taken, and a length twice in one unit refused', () => {
    const head = 'mark,section,Length,Length mm,count'
    expect(readPieces(`${head}\na,2x4,8' 0",2438.4,3`, 'imperial')).toMatchObject({
      ok: true,
      rows: [{ length: 2438.4 }],
      passedOver: ['Length'],
    })
    expect(readPieces('mark,section,length mm,length m,count\na,2x4,900,0.9,3', 'metric')).toMatchObject({
      ok: true,
      rows: [{ length: 900 }],
      passedOver: ['length m'],
    })
    expect(faults('mark,section,length mm,length mm,count\na,2x4,900,900,3')).toMatchObject([
      { code: 'column-twice' },
    ])
  })

  test('the same mark twice is one piece of one length', () => {
    expect(pieces('mark,section,length,count\nA,2x4,900,1\nA,2x4,900,2\nA,1x6,700,1')).toHaveLength(3)
    expect(faults('mark,section,length,count\nA,2x4,900,1\nA,2x4,901,2')).toMatchObject([
      { code: 'mark-twice', row: 3 },
    ])
  })

  // each by its row, all at once, none read wrongly
  test('what is wrong is told by row, with what would do', () => {
    const told = faults(
      [
        'mark,section,length,count',
        'A,2x4,,1',
        ',2x4,900,1',
        'C,2x4,long,1',
        'D,2x4,0,1',
        'E,2x4,-5,1',
        'F,2x4,900,1.5',
        'G,2x4,900,-1',
        'H,2x4,"1,200",1',
        'I,2x4,900,many',
        'J,,900,1',
        'K,2x4,1e9,1',
      ].join('\n'),
    )
    expect(told.map(fault => ('row' in fault ? [fault.row, fault.code] : fault.code))).toEqual([
      [2, 'cell-empty'],
      [3, 'cell-empty'],
      [4, 'not-a-length'],
      [5, 'no-length'],
      [6, 'not-a-length'],
      [7, 'not-a-count'],
      [8, 'not-a-count'],
      [9, 'which-comma'],
      [10, 'not-a-count'],
      [11, 'cell-empty'],
      [12, 'not-a-length'],
    ])
    for (const fault of told) {
      const said = sayListFault(fault, 'metric')
      expect(said).toMatch(/^Row \d+/)
      expect(said).toMatch(/\.$/)
    }
  })

  test.each([
    ['', 'list-empty'],
    ['mark,section,length,count\n', 'list-empty'],
    ['mark,section,count\nA,2x4,1', 'no-column'],
    ['mark,section,length,length,count\nA,2x4,1,1,1', 'column-twice'],
    ['mark,section,length,count\nA,"2x4,900,1\nB,2x4,900,1', 'not-quoted'],
  ])('%j is no list', (text, code) => {
    const [fault] = faults(text)
    expect(fault?.code).toBe(code)
    expect(fault && sayListFault(fault, 'imperial')).toMatch(/\.( \S+)?$|"\.$/)
  })
})

describe('a list of stock', () => {
  test('an empty count is no limit, an empty price none known; both columns may be missing', () => {
    expect(readStock('section;length;price;count\n2x4;2400;6,35;\n2x4;3000;;7', 'metric')).toMatchObject({
      rows: [
        { section: '2x4', length: 2400, price: 6.35, count: null },
        { section: '2x4', length: 3000, price: null, count: 7 },
      ],
    })
    expect(readStock('section,length\n2x4,2400', 'metric')).toMatchObject({
      rows: [{ section: '2x4', length: 2400, price: null, count: null }],
    })
  })

  test.each(['$6', '6.12345', 'six', '-1', '1,000'])('%s is no price', price => {
    const read = readStock(`section,length,price\n2x4,2400,"${price}"`, 'metric')
    expect(read.ok ? [] : read.faults).toMatchObject([{ row: 2, column: 'price' }])
  })

  test('boards on hand, what is bad of them, and their names', () => {
    expect(
      readStock(
        'section,length mm,count,own,bad,name\n2x4,2400,2,yes,900..1000 | 2000..2040,b1\n2x4,3000,,,,',
        'imperial',
      ),
    ).toMatchObject({
      rows: [
        {
          ...{ section: '2x4', length: 2400, count: 2, own: true, name: 'b1' },
          defects: [
            { from: 900, to: 1000 },
            { from: 2000, to: 2040 },
          ],
        },
        { section: '2x4', length: 3000, count: null },
      ],
    })
    // in feet and inches too
    expect(readStock("section,length,count,bad\n2x4,8',1,3' .. 3' 4\"", 'imperial')).toMatchObject({
      rows: [{ defects: [{ from: expect.closeTo(914.4, 6), to: expect.closeTo(1016, 6) }] }],
    })
  })
  test.each([
    ['1,maybe,', 'not-yes-or-no'],
    ['1,,900', 'not-a-stretch'],
    ['1,,1000..900', 'not-a-stretch'],
    ['1,,2500..2600', 'not-a-stretch'],
    [',,100..200', 'bad-without-count'],
  ])('count, own and bad %p are told as %s', (cells, code) => {
    const read = readStock(`section,length,count,own,bad\n2x4,2400,${cells}`, 'metric')
    const [fault] = read.ok ? [] : read.faults
    expect(fault).toMatchObject({ code, row: 2 })
    expect(fault && sayListFault(fault, 'metric')).toMatch(/^Row 2/)
  })
})

describe('sloped ends in a list', () => {
  const of = (cells: string) =>
    readPieces(`mark,section,length mm,count,depth,left,right\nA,2x4,1000,1,${cells}`, 'metric')

  // 89 across at 45 degrees run 89
  test('are angles from square across a depth', () => {
    expect(of('89,45,-30')).toMatchObject({
      rows: [
        { slopes: { left: expect.closeTo(89, 9), right: expect.closeTo(-89 / Math.sqrt(3), 9), depth: 89 } },
      ],
    })
    expect(of('89,0,').ok && of('89,0,')).toMatchObject({ rows: [{ mark: 'A' }] })
    expect(JSON.stringify(of('89,,0'))).not.toContain('slopes')
  })
  test.each([
    ['89,steep,', 'not-an-angle'],
    ['89,86,', 'not-an-angle'],
    [',45,', 'slope-without-depth'],
    ['900,45,-45', 'slopes-cross'],
  ])('depth, left and right %p are told as %s', (cells, code) => {
    const read = of(cells)
    const [fault] = read.ok ? [] : read.faults
    expect(fault).toMatchObject({ code, row: 2 })
    expect(fault && sayListFault(fault, 'metric')).toMatch(/^Row 2.*\.$/)
  })
})
