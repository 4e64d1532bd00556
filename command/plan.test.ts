import { execFile } from 'node:child_process'
import { mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'

let folder = ''
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'early-wren-'))
})
afterAll(() => rm(folder, { recursive: true }))

interface Ran {
  code: number
  out: string
  err: string
}

/** The command as npm calls it, and without that, which takes less time. */
const byNpm = (...args: string[]) => call('npm', 'run', '--silent', 'plan', '--', ...args)
const run = (...args: string[]) => call('node', 'scripts/command.mjs', 'plan', ...args)
const call = (program: string, ...args: string[]): Promise<Ran> =>
  new Promise(resolve => {
    execFile(program, args, { env: { ...process.env, NODE_OPTIONS: '' } }, (error, out, err) =>
      resolve({ code: error ? Number(error.code) : 0, out, err: err.replace(/^npm warn.*\n/gm, '') }),
    )
  })

const demo = (name: string): Promise<string> => readFile(`demo/${name}.json`, 'utf8')

describe('npm run plan', () => {
  // the run of a gable is half the span; of a single slope the span less the high wall's plate of 89
  test.each([
    ['ringing-hut', 0.5, 0],
    ['ringing-hut-metric', 0.5, 0],
    ['reed-store', 0.5, 0],
    ['nest-box-workshop', 1, 89],
    ['reed-hide', 0.5, 0],
  ])(
    '%s goes from file to cut list, and nothing else is printed',
    async (name, share, less) => {
      const { code, out, err } = await (name === 'ringing-hut' ? byNpm : run)(`demo/${name}.json`)
      expect([code, err]).toEqual([0, ''])
      const plan = JSON.parse(out) as { roof: { angle: number; run: number }; pieces: { count: number }[] }
      const design = JSON.parse(await demo(name)) as {
        footprint: { width: number }
        roof: { pitch: { rise: number; run: number } }
      }
      expect(plan.roof.angle).toBeCloseTo(
        (Math.atan(design.roof.pitch.rise / design.roof.pitch.run) * 180) / Math.PI,
        5,
      )
      expect(plan.roof.run).toBeCloseTo(design.footprint.width * share - less, 5)
      expect(plan.pieces.length).toBeGreaterThan(5)
    },
    30_000,
  )

  test('csv, text and a folder of files', async () => {
    const work = run('demo/reed-store.json', '--format', 'text', '--order', 'work')
    const [csv, text, files] = await Promise.all([
      run('demo/reed-store.json', '--format', 'csv'),
      run('demo/reed-store.json', '--format', 'text'),
      run('demo/reed-store.json', '--out', join(folder, 'out')),
    ])
    expect(csv.out.split('\r\n')[0]).toContain('Mark,Count,Piece,Section')
    expect(text.out).toContain('Sallow Marsh reed store')
    expect(files.code).toBe(0)
    const marks = (out: string): string[] =>
      [...out.matchAll(/^([A-Z]+\d+) /gm)].map(([, mark]) => mark ?? '')
    // by steps a piece stands under each that it goes up in
    expect([...new Set(marks((await work).out))].sort()).toEqual([...marks(text.out)].sort())
    expect(marks((await work).out).indexOf('R1')).toBeGreaterThan(marks((await work).out).indexOf('S1'))
    expect(await readdir(join(folder, 'out'))).toEqual(
      expect.arrayContaining([
        'plan.json',
        'cut-list.csv',
        'cut-list.txt',
        'roof-section.svg',
        'wall-south.svg',
        'plates-west.svg',
        'board-R1.svg',
      ]),
    )
  }, 30_000)

  test("a broken file, a missing file, a wrong call and a design that can't be framed are told apart", async () => {
    const design = JSON.parse(await demo('ringing-hut')) as Record<string, Record<string, unknown>>
    const put = async (name: string, content: string): Promise<string> => {
      await writeFile(join(folder, name), content)
      return join(folder, name)
    }
    const [broken, missing, wrong, steep, odd] = await Promise.all([
      run(await put('broken.json', '{')),
      run(join(folder, 'none.json')),
      run('demo/ringing-hut.json', '--format', 'pdf'),
      run(
        await put(
          'steep.json',
          JSON.stringify({ ...design, roof: { ...design.roof, ridge: '2x12', pitch: { rise: 1, run: 12 } } }),
        ),
      ),
      run(await put('odd.json', JSON.stringify({ ...design, colour: 'red' }))),
    ])
    expect([broken.code, broken.out]).toEqual([2, ''])
    expect(broken.err).toContain('not a design')
    expect([missing.code, missing.err]).toEqual([2, expect.stringContaining('no such file')])
    expect([wrong.code, wrong.err]).toEqual([2, expect.stringContaining('json, csv or text')])
    expect(steep.code).toBe(1)
    expect(steep.err).toMatch(
      /steep\.json: The ridge board, or the ledger in its stead, reaches .* below the top of the walls\. Use .*\n/,
    )
    expect(steep.err).toMatch(/steep\.json: caution: No|steep\.json: caution: The slope/)
    expect(JSON.parse(steep.out)).toMatchObject({
      problems: expect.arrayContaining([
        expect.objectContaining({ code: 'ridge-into-wall', path: 'roof.ridge' }),
      ]),
    })
    expect([odd.code, odd.err]).toEqual([0, expect.stringContaining('colour')])
  }, 60_000)
})
