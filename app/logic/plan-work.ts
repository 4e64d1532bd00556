import type { NestAsk, NestStage } from '../../core/nest'
import type { SheetSection } from '../../core/plan'
import type { NestAnswer, NestQuestion, PlanMade } from './nest-work'
import type { TalkedTo } from './talked-to'

export type PlanWorker = TalkedTo<NestQuestion, NestAnswer>

/** ms that a plan may take. */
const TIME = 8000

/**
 * Makes one plan at a time in a worker of its own, which ends with it: a solver's memory never shrinks.
 * Another question ends the one before.
 */
export class PlanWork {
  #worker: PlanWorker | null = null

  constructor(readonly begin: () => PlanWorker) {}

  /** The plan of what is asked; null where it could not be made. Never answers where it is ended before. */
  make(
    ask: NestAsk,
    sheets: readonly SheetSection[],
    told: (stage: NestStage) => void,
  ): Promise<PlanMade | null> {
    this.end()
    const mine = this.begin()
    this.#worker = mine
    return new Promise(resolve => {
      const done = (made: PlanMade | null): void => {
        if (mine !== this.#worker) return
        this.end()
        resolve(made)
      }
      mine.onmessage = ({ data }) => {
        if (mine !== this.#worker) return
        if ('stage' in data) told(data.stage)
        else done(data.made)
      }
      mine.onerror = () => done(null)
      mine.postMessage({ ask, sheets, time: TIME })
    })
  }

  end(): void {
    this.#worker?.terminate()
    this.#worker = null
  }
}
