import type { ShelfCard } from './shelf-card'
import type { TalkedTo } from './talked-to'

/** A design that is to be planned, as it is stored. */
export interface CardQuestion {
  readonly number: number
  readonly document: unknown
}
/** What came of it; null where it can't be read. */
export interface CardAnswer {
  readonly number: number
  readonly card: ShelfCard | null
}

export type CardWorker = TalkedTo<CardQuestion, CardAnswer>

/** Something that was asked for; `drop` where it is no longer wanted. */
export interface Asked {
  readonly card: Promise<ShelfCard | null | undefined>
  readonly drop: () => void
}

/**
 * Works out what the shelf says of its designs, one after another in a worker that is begun when the first
 * is asked for and ended when none is left, so that the page stays quick and loads no planning of its own.
 */
export class CardWork {
  #worker: CardWorker | null = null
  #number = 0
  readonly #waiting: {
    number: number
    document: () => Promise<unknown>
    done: (card: ShelfCard | null | undefined) => void
  }[] = []

  constructor(readonly begin: () => CardWorker) {}

  /**
   * Asks for a design's card. `document` fetches the design when its turn has come. The card is null where it
   * can't be worked out, and undefined where it was dropped.
   */
  ask(document: () => Promise<unknown>): Asked {
    const number = ++this.#number
    const card = new Promise<ShelfCard | null | undefined>(done => {
      this.#waiting.push({ number, document, done })
    })
    if (this.#waiting.length === 1) void this.#next()
    return { card, drop: () => this.#answer(number, undefined) }
  }

  async #next(): Promise<void> {
    const [first] = this.#waiting
    if (!first) {
      this.#worker?.terminate()
      this.#worker = null
      return
    }
    try {
      const document = await first.document()
      if (this.#waiting[0] !== first) return
      this.#reach().postMessage({ number: first.number, document })
    } catch {
      this.#answer(first.number, null)
    }
  }

  #reach(): CardWorker {
    if (this.#worker) return this.#worker
    const worker = this.begin()
    worker.onmessage = ({ data }) => this.#answer(data.number, data.card)
    worker.onerror = () => {
      const [first] = this.#waiting
      worker.terminate()
      this.#worker = null
      if (first) this.#answer(first.number, null)
    }
    this.#worker = worker
    return worker
  }

  #answer(number: number, card: ShelfCard | null | undefined): void {
    const at = this.#waiting.findIndex(each => each.number === number)
    if (at < 0) return
    const [gone] = this.#waiting.splice(at, 1)
    gone?.done(card)
    if (at === 0) void this.#next()
  }
}
