import { execFile } from 'node:child_process'
import { mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'

let folder = ''
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'early-wren-'))
})
afterAll(() => rm(folder, { recursive: true }))

/** The command as npm calls it, and without that, which takes less time. */
const byNpm = (...args: string[]) => call('npm', 'run', '--silent', 'nest', '--', ...args)
const run = (...args: string[]) => call('node', 'scripts/command.mjs', 'nest', ...args)
const call = (program: string, ...args: string[]): Promise<{ code: number; out: string; err: string }> =>
  new Promise(resolve => {
    execFile(program, args, { env: { ...process.env, NODE_OPTIONS: '' } }, (error, out, err) =>
      resolve({ code: error ? Number(error.code) : 0, out, err: err.replace(/^npm warn.*\n/gm, '') }),
    )
  })
const file = async (name: string, text: string): Promise<string> => {
  const path = join(folder, name)
  await writeFile(path, text)
  return path
}

describe('npm run nest', () => {
  // three of 1500 and the saw's 3 mm between are 4506, three of 900 2706: of 4800 at 10 and 3000 at 6 one
  // each, and no other two boards hold them
  test('a list and its stock give a plan, and nothing else is printed', async () => {
    const pieces = await file('pieces.csv', 'mark,section,length mm,count\nA,2x4,1500,3\nB,2x4,900,3\n')
    const stock = await file('stock.csv', 'section,length,price,count\n2x4,4800,10,\n2x4,3000,6,\n')
    const { code, out, err } = await byNpm(pieces, '--stock', stock)
    expect([code, err]).toEqual([0, ''])
    expect(JSON.parse(out)).toMatchObject({
      ...{ format: 'early-wren/nest', version: 1, aim: 'cost', proved: true, boards: 2, cost: 16, bound: 16 },
      plans: [
        { section: '2x4', stock: 4800, count: 1, left: 291 },
        {
          stock: 3000,
          cuts: [
            { mark: 'B', from: 0, length: 900 },
            { mark: 'B', from: 903, length: 900 },
            { mark: 'B', from: 1806, length: 900 },
          ],
          left: 291,
        },
      ],
      unplaced: [],
    })
  }, 30_000)

  // 2000 with 100 bad in its middle gives two of 900, which cost nothing; ends at 45° across 100 share three
  // cuts of four pieces: 4 × 1000 + 9 less 3 × 98.8
  test('boards on hand, what is bad of them, and ends that share a cut', async () => {
    const pieces = await file(
      'sloped.csv',
      'mark,section,length mm,count,depth,left,right\nA,2x4,900,2,,,\nB,2x6,1000,4,100,45,45\n',
    )
    const stock = await file(
      'own.csv',
      'section,length mm,price,count,own,bad,name\n2x4,2400,5,,,,\n2x4,2000,,1,yes,900..1000,old\n2x6,3713,10,,,,\n',
    )
    const { code, out, err } = await run(pieces, '--stock', stock)
    expect([code, err]).toEqual([0, ''])
    expect(JSON.parse(out)).toMatchObject({
      ...{ aim: 'cost', boards: 2, own: 1, cost: 10, bound: 10, proved: true },
      plans: [
        { stock: 2000, own: true, name: 'old', bad: [[900, 1000]], cuts: [{ from: 0 }, { from: 1000 }] },
        { stock: 3713, cuts: [{ from: 0, lies: [100, 100] }, {}, {}, {}], left: 0 },
      ],
    })
  }, 30_000)

  test('what has no board is said, and ends it with 1', async () => {
    const pieces = await file('long.csv', 'mark,section,length,count\nA,2x4,5 m,1\nB,2x4,1 m,3\n')
    const stock = await file('few.csv', 'section,length,price,count\n2x4,2400,,1\n')
    const { code, out, err } = await run(pieces, '--stock', stock, '--kerf', '1/8"')
    expect(code).toBe(1)
    expect(JSON.parse(out)).toMatchObject({
      ...{ aim: 'boards', cost: null, bound: null, proved: false },
      unplaced: [
        { mark: 'A', count: 1, why: 'too-long' },
        { mark: 'B', count: 1, why: 'run-out' },
      ],
    })
    expect(err).toBe('A, 2x4: 1 longer than any board\nB, 2x4: 1 with no board left\n')
  }, 30_000)

  test('lists and calls that are not understood are told with a remedy, and end it with 2', async () => {
    const pieces = await file('bad.csv', 'mark,section,length,count\nA,2x4,12x,1\nB,2x4,900,0.5\n')
    const stock = await file('unpriced.csv', 'section,length\n2x4,2400\n')
    const good = await file('good.csv', 'mark,section,length,count\nA,2x4,900,1\n')
    const said = async (...args: string[]): Promise<string> => {
      const { code, out, err } = await run(...args)
      expect([code, out]).toEqual([2, ''])
      return err
    }
    const rows = await said(pieces, '--stock', stock)
    expect(rows).toMatch(/bad\.csv: Row 2, length: /)
    expect(rows).toMatch(/bad\.csv: Row 3: the count “0\.5”/)
    expect(await said(good, '--stock', stock, '--aim', 'cost')).toMatch(/has no price/)
    expect(await said(good, '--stock', stock, '--aim', 'best')).toMatch(/--aim is cost, boards or waste/)
    expect(await said(good, '--stock', stock, '--kerf', 'wide')).toMatch(/^--kerf: /)
    expect(await said(good, '--stock', join(folder, 'none.csv'))).toMatch(/there is no such file/)
    expect(await said(good)).toMatch(/^usage: /)
  }, 30_000)
})
