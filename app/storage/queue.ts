import { PATIENCE, type StorageTrouble, troubleOf } from './trouble'

/** stored: all is; storing: something is under way; otherwise why what waits can't be stored. */
export type QueueState = 'stored' | 'storing' | StorageTrouble

/**
 * What was done to something kept, on its way into storage: stored oldest first; what can't be stored is kept
 * and tried again. `More` names further states of a queue of its own.
 */
export abstract class Queue<Act, More extends string = never> {
  protected readonly waiting: Act[] = []
  private running: Promise<void> | null = null
  private closed = false
  state: QueueState | More = 'stored'

  /** Calls `changed` back whenever there is another state, or less waits; waits `patience` ms for storage. */
  constructor(
    protected readonly changed: () => void,
    private readonly patience = PATIENCE,
  ) {}

  /** How many acts are not stored yet. */
  get count(): number {
    return this.waiting.length
  }

  add(act: Act): void {
    this.waiting.push(act)
    this.retry()
  }

  /** Stores what waits, oldest first; does nothing while that is under way. */
  retry(): void {
    if (!this.running && !this.closed && this.waiting.length)
      this.running = this.run().finally(() => {
        this.running = null
        this.changed()
      })
    this.changed()
  }

  private async run(): Promise<void> {
    this.state = 'storing'
    while (this.waiting.length && !this.closed) {
      const timer = setTimeout(() => this.say('silent'), this.patience)
      try {
        await this.storeNext()
      } catch (error) {
        const state = this.refused(error)
        if (state) return this.say(state)
      } finally {
        clearTimeout(timer)
      }
      this.state = 'storing'
    }
    this.state = 'stored'
  }

  private say(state: QueueState | More): void {
    this.state = state
    this.changed()
  }

  /** Stores the oldest of what waits, one or more, and takes it off the queue. */
  protected abstract storeNext(): Promise<void>

  /** What an error of that makes of the state; null where what waited is given up, and the rest goes on. */
  protected refused(error: unknown): QueueState | More | null {
    return troubleOf(error)
  }

  /** Resolves when all is stored, or when it is plain that it can't be. */
  async settled(): Promise<void> {
    while (this.running) await this.running
  }

  /** Lets go of what waits. */
  close(): void {
    this.closed = true
    this.waiting.length = 0
  }
}

/**
 * Changes of one thing that is kept whole: each shows at once, and all that wait are stored together, done to
 * it as it then stands.
 */
export class Changes<T> extends Queue<(at: T) => T> {
  private now: T

  /** `work` makes a change of what is stored, and gives that back. */
  constructor(
    stored: T,
    private readonly work: (change: (at: T) => T) => Promise<T>,
    changed: () => void,
    patience?: number,
  ) {
    super(changed, patience)
    this.now = stored
  }

  /** As it is with all that waits done to it. */
  get shown(): T {
    return this.now
  }

  override add(change: (at: T) => T): void {
    this.now = change(this.now)
    super.add(change)
  }

  /** Takes over what is stored; what waits is done to that. */
  take(stored: T): void {
    this.now = all(this.waiting)(stored)
  }

  protected async storeNext(): Promise<void> {
    const together = [...this.waiting]
    const stored = await this.work(all(together))
    this.waiting.splice(0, together.length)
    this.take(stored)
    this.changed()
  }
}

const all =
  <T>(changes: readonly ((at: T) => T)[]) =>
  (from: T): T =>
    changes.reduce((at, change) => change(at), from)
