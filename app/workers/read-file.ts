import { answerReading, type ReadingQuestion } from '../logic/file-reading'

/** Reads the designs of a file, a few whenever they are asked for. */
const answer = answerReading()
self.addEventListener('message', ({ data }: MessageEvent<ReadingQuestion>) => self.postMessage(answer(data)))
