/** The part of a worker that is talked to. */
export interface TalkedTo<Question, Answer> {
  postMessage: (question: Question) => void
  onmessage: ((event: MessageEvent<Answer>) => void) | null
  onerror: ((event: ErrorEvent) => void) | null
  terminate: () => void
}
