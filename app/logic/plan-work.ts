import type { NestAsk, NestPlan, NestStage } from '../../core/nest'
import type { NestAnswer, NestQuestion } from './nest-work'

/** The part of a worker that is talked to. */
export interface PlanWorker {
  postMessage: (question: NestQuestion) => void
  onmessage: ((event: MessageEvent<NestAnswer>) => void) | null
  onerror: ((event: ErrorEvent) => void) | null
  terminate: () => void
}

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
  make(ask: NestAsk, told: (stage: NestStage) => void): Promise<NestPlan | null> {
    this.end()
    const mine = this.begin()
    this.#worker = mine
    return new Promise(resolve => {
      const done = (plan: NestPlan | null): void => {
        if (mine !== this.#worker) return
        this.end()
        resolve(plan)
      }
      mine.onmessage = ({ data }) => {
        if (mine !== this.#worker) return
        if ('stage' in data) told(data.stage)
        else done(data.plan)
      }
      mine.onerror = () => done(null)
      mine.postMessage({ ask, time: TIME })
    })
  }

  end(): void {
    this.#worker?.terminate()
    this.#worker = null
  }
}
