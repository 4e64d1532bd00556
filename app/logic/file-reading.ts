import { type NamedRead, openShelf } from '../../core/design'
import type { TalkedTo } from './talked-to'

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

export type ReadingWorker = TalkedTo<ReadingQuestion, ReadingAnswer>

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

/** Reads a file in a worker, or here where none can be had or it ends by itself. */
export function readFile(text: string, begin: () => ReadingWorker): Promise<FileReading> {
  let here: Asked | null = null
  const instead = async (question: ReadingQuestion): Promise<ReadingAnswer> => {
    if (!here) await (here = askHere()).ask({ text })
    return here.ask(question)
  }
  let worker: Asked | null
  try {
    worker = inWorker(begin())
  } catch {
    worker = null
  }
  return reading(text, {
    ask: question =>
      here || !worker ? instead(question) : worker.ask(question).catch(() => instead(question)),
    end: () => worker?.end(),
  })
}

/** The same without a worker. */
export const readHere = (text: string): Promise<FileReading> => reading(text, askHere())

function askHere(): Asked {
  const answer = answerReading()
  return { ask: question => Promise.resolve(answer(question)), end: () => undefined }
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
