import { expect, test } from '@jest/globals'
import { newDesign } from '../../core/design'
import { shelfFile } from '../../core/output'
import { answerReading, type FileReading, readFile, type ReadingWorker } from './file-reading'
import { sayImport } from './import-words'

const many = Array.from({ length: 60 }, (_, i) => ({ ...newDesign('Hut', 'metric'), name: `Hut ${i + 1}` }))

/** A worker that answers as one does, on its next turn, until it `fails` at one of its questions. */
function worker(fails: number): ReadingWorker {
  const answer = answerReading()
  let asked = 0
  const mine: ReadingWorker = {
    onmessage: null,
    onerror: null,
    terminate: () => undefined,
    postMessage: question =>
      void Promise.resolve().then(() =>
        asked++ === fails
          ? mine.onerror?.({ message: 'gone' } as ErrorEvent)
          : mine.onmessage?.({ data: answer(question) } as MessageEvent),
      ),
  }
  return mine
}

async function numbersOf(reading: FileReading): Promise<number[][]> {
  const out: number[][] = []
  for (let few = await reading.next(); few.length; few = await reading.next())
    out.push(few.map(({ number }) => number))
  return out
}

test.each([Infinity, 0, 1, 2])(
  'a file is read a few at a time, from its last design; its worker ends at question %s',
  async fails => {
    const reading = await readFile(shelfFile(many), () => worker(fails))
    expect(reading).toMatchObject({ several: true, count: 60 })
    const numbers = await numbersOf(reading)
    expect(numbers.flat()).toEqual(Array.from({ length: 60 }, (_, i) => 60 - i))
    expect(Math.max(...numbers.map(({ length }) => length))).toBe(25)
  },
)

const none = { imports: [], there: 0, stopped: false }
const taken = (name: string, left: string[] = []) => ({ ok: true, id: name, name, left }) as const
const refused = (name: string | null) => ({ ok: false, name, reasons: ['It is bad.', 'It is old.'] }) as const

test.each([
  [{ several: true, count: 0 }, none, 'The file has no designs'],
  [{ several: false, count: 1 }, { ...none, imports: [taken('Hut')] }, '“Hut” is on the shelf.'],
  [
    { several: true, count: 2 },
    { ...none, there: 2 },
    '0 designs are back on the shelf; 2 stood there already.',
  ],
  [
    { several: true, count: 9 },
    { ...none, imports: [taken('Hut')], stopped: true },
    'Stopped: 1 design of 9 taken in.',
  ],
  [
    { several: true, count: 3 },
    { ...none, imports: [taken('Hut'), refused('“Eel store”')] },
    '1 of 3 designs was not taken in',
  ],
  [
    { several: true, count: 9 },
    { ...none, imports: [taken('Hut'), refused('“Eel store”')], stopped: true },
    'Stopped: 1 design of 9 taken in. 1 of 9 designs was not taken in',
  ],
  [{ several: false, count: 1 }, { ...none, imports: [refused(null)] }, 'The file was not taken in'],
])('of %p with %p is said: %s', (file, imported, words) => {
  const said = sayImport(file, imported)
  expect(typeof said === 'string' ? said : said?.title).toBe(words)
})

test('the name of a design stands with each of its faults, and with what was left out of it', () => {
  expect(
    sayImport(
      { several: true, count: 3 },
      { ...none, imports: [taken('Hut', ['colour']), refused('“Eel store”'), refused('Design 3')] },
    ),
  ).toEqual({
    title: '2 of 3 designs were not taken in',
    reasons: [
      '“Eel store”: It is bad.',
      '“Eel store”: It is old.',
      'Design 3: It is bad.',
      'Design 3: It is old.',
      '“Hut”: colour was left out.',
    ],
  })
})
