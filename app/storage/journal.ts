import type { Design } from '../../core/design'
import type { DesignRow, ShelfDatabase } from './database'
import {
  addDesign,
  type Change,
  DamagedHistory,
  NoSuchDesign,
  type Opened,
  saveChange,
  setDeleted,
  step,
} from './designs'
import { Queue, type QueueState } from './queue'
import { troubleOf } from './trouble'

/**
 * Changes that are one step of undo, first to last, and when the last was made, ms since 1970. Those with the
 * same `burst` that follow each other before they are stored become one.
 */
interface Changed {
  readonly kind: 'change'
  readonly changes: readonly Change[]
  readonly burst: string | null
  readonly at: number
}

/** Something that was done to a design and is not stored yet. */
type Act = Changed | { readonly kind: 'step'; readonly by: -1 | 1 }

/** As of any queue; 'taken-off': another tab took the design off the shelf. */
export type JournalState = QueueState | 'taken-off'

/**
 * Something worth a sentence: another tab's change came between, or damaged states of the history were passed
 * over, or none could be read.
 */
export type JournalNews = 'both-kept' | 'passed-damaged' | 'all-damaged'

/** A state of the design, and when it was made, ms since 1970; null where that was not written down. */
interface Made {
  readonly design: Design
  readonly at: number | null
}

/** A design as it is shown, and whether there is something to undo and to redo. */
export interface Foreseen extends Made {
  readonly canUndo: boolean
  readonly canRedo: boolean
}

/** How many states seen in this tab are remembered, so that undo shows at once. */
const REMEMBERED = 200

/** One design's changes on their way into storage: each shows at once and is stored in turn. */
export class Journal extends Queue<Act, 'taken-off'> {
  private stored: Opened
  /** States by their place in the history, of those that this tab has seen. */
  private readonly seen = new Map<number, Made>()
  /** The oldest of what waits, while it is on its way. */
  private leaving: Act | null = null

  constructor(
    private readonly db: ShelfDatabase,
    opened: Opened,
    private readonly now: () => number,
    private readonly told: (news: JournalNews | null) => void,
    patience?: number,
  ) {
    super(() => {
      told(null)
    }, patience)
    this.stored = opened
    this.seen.set(opened.row.cursor, opened)
  }

  /** Makes a change; one of the same `burst` as the change before, if that waits still, is one with it. */
  change(change: Change, burst: string | null = null): void {
    const last = this.waiting.at(-1)
    const joins = last?.kind === 'change' && burst !== null && last.burst === burst && last !== this.leaving
    const changes = joins ? [...last.changes, change] : [change]
    if (joins) this.waiting.pop()
    this.add({ kind: 'change', changes, burst, at: this.now() })
  }

  /** Undoes with -1, redoes with 1. */
  step(by: -1 | 1): void {
    this.add({ kind: 'step', by })
  }

  get row(): DesignRow {
    return this.stored.row
  }

  /** The design with all that waits done to it. */
  foresee(): Foreseen {
    const seen = new Map(this.seen)
    const { first } = this.stored.row
    let made: Made = this.stored
    let { cursor, last } = this.stored.row
    for (const act of this.waiting) {
      if (act.kind === 'step') {
        cursor = Math.min(last, Math.max(first, cursor + act.by))
        made = seen.get(cursor) ?? made
        continue
      }
      const design = changed(act, made.design)
      if (design === made.design) continue
      last = ++cursor
      seen.set(cursor, (made = { design, at: act.at }))
    }
    return { design: made.design, at: made.at, canUndo: cursor > first, canRedo: cursor < last }
  }

  protected async storeNext(): Promise<void> {
    const [act] = this.waiting
    if (!act) return
    const { id } = this.row
    this.leaving = act
    try {
      this.done(
        act.kind === 'step'
          ? await step(this.db, id, act.by, this.now())
          : await saveChange(this.db, id, at => changed(act, at), act.at),
      )
    } finally {
      this.leaving = null
    }
  }

  protected override refused(error: unknown): JournalState | null {
    if (error instanceof DamagedHistory) {
      // a step onto states that can't be read is given up
      this.waiting.shift()
      this.told('all-damaged')
      return null
    }
    return error instanceof NoSuchDesign ? (error.takenOff ? 'taken-off' : 'gone') : troubleOf(error)
  }

  private done(result: Opened): void {
    const known = this.row.revision
    this.waiting.shift()
    const between = result.row.revision > known + 1
    this.take(result)
    if (between) this.told('both-kept')
    else this.told(result.passed ? 'passed-damaged' : null)
  }

  /** Takes over a stored state; one older than what is held came late and is passed over. */
  take(opened: Opened): void {
    const before = this.row
    if (before.revision > opened.row.revision) return
    if (opened.row.revision > before.revision + 1) this.seen.clear() // another tab's states
    this.stored = opened
    for (const index of this.seen.keys())
      if (index > opened.row.last || index < opened.row.first) this.seen.delete(index)
    if (opened.row.cursor === opened.row.last)
      for (const index of this.seen.keys()) if (index >= opened.row.cursor) this.seen.delete(index)
    this.seen.set(opened.row.cursor, opened)
    if (this.seen.size > REMEMBERED) this.seen.delete(Math.min(...this.seen.keys()))
  }

  /**
   * Puts a design that is gone from storage, or was taken off the shelf, back as it is shown; its earlier
   * states are gone with it where storage lost them.
   */
  async putBack(): Promise<void> {
    const { id } = this.row
    try {
      if (this.state === 'taken-off') await setDeleted(this.db, id, 0)
      else {
        const { design } = this.foresee()
        const at = this.now()
        this.stored = { row: await addDesign(this.db, id, design, at), design, at }
        this.waiting.length = 0
        this.seen.clear()
        this.seen.set(0, this.stored)
      }
      this.state = 'stored'
    } catch (error) {
      this.state = troubleOf(error)
    }
    this.retry()
  }
}

const changed = ({ changes }: Changed, design: Design): Design =>
  changes.reduce((at, change) => change(at), design)
