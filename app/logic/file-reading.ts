import { type NamedRead, openShelf } from '../../core/design'

/** A file of designs that is being read, a few at a time from its last: what changed last comes first. */
export interface FileReading {
  /** Whether it is a shelf's, and of how many designs. */
  readonly several: boolean
  readonly count: number
  /** The next few with their numbers from 1; none when all were read. */
  readonly next: () => Promise<readonly NumberedRead[]>
  readonly end: () => void
}
export type NumberedRead = NamedRead & { readonly number: number }

/** What a worker that reads a file is asked: first its text, then which of its designs. */
export type ReadingQuestion = { readonly text: string } | { readonly from: number; readonly to: number }
export type ReadingAnswer =
  { readonly several: boolean; readonly count: number } | { readonly reads: readonly NumberedRead[] }

/** The part of a worker that is talked to. */
export interface ReadingWorker {
  postMessage: (question: ReadingQuestion) => void
  onmessage: ((event: MessageEvent<ReadingAnswer>) => void) | null
  onerror: ((event: ErrorEvent) => void) | null
  terminate: () => void
}

/** Designs that are read at a time. */
const STEP = 25

/** Answers what is asked of one file after its text. */
export function answerReading(): (question: ReadingQuestion) => ReadingAnswer {
  let shelf = openShelf('')
  return question => {
    if ('text' in question) {
      shelf = openShelf(question.text)
      return { several: shelf.several, count: shelf.count }
    }
    const reads: NumberedRead[] = []
    for (let i = question.to - 1; i >= question.from; i--) reads.push({ ...shelf.at(i), number: i + 1 })
    return { reads }
  }
}

/** Reads a file in a worker, or here where none can be had. */
export async function readFile(text: string, begin: () => ReadingWorker): Promise<FileReading> {
  try {
    return await reading(text, inWorker(begin()))
  } catch {
    return readHere(text)
  }
}

/** The same without a worker. */
export function readHere(text: string): Promise<FileReading> {
  const answer = answerReading()
  return reading(text, { ask: question => Promise.resolve(answer(question)), end: () => undefined })
}

interface Asked {
  readonly ask: (question: ReadingQuestion) => Promise<ReadingAnswer>
  readonly end: () => void
}

async function reading(text: string, { ask, end }: Asked): Promise<FileReading> {
  const opened = await ask({ text })
  if ('reads' in opened) throw new TypeError('a file was not opened')
  let left = opened.count
  return {
    ...opened,
    end,
    next: async () => {
      if (left === 0) return []
      const to = left
      left = Math.max(0, left - STEP)
      const answer = await ask({ from: left, to })
      return 'reads' in answer ? answer.reads : []
    },
  }
}

const inWorker = (worker: ReadingWorker): Asked => ({
  ask: question =>
    new Promise((resolve, reject) => {
      worker.onmessage = ({ data }) => resolve(data)
      worker.onerror = event => {
        worker.terminate()
        reject(new Error(event.message))
      }
      worker.postMessage(question)
    }),
  end: () => worker.terminate(),
})
