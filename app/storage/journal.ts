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

/** Something that was done to a design and is not stored yet. */
type Act =
  { readonly kind: 'change'; readonly change: Change } | { readonly kind: 'step'; readonly by: -1 | 1 }

/** As of any queue; 'taken-off': another tab took the design off the shelf. */
export type JournalState = QueueState | 'taken-off'

/**
 * Something worth a sentence: another tab's change came between, or damaged states of the history were passed
 * over, or none could be read.
 */
export type JournalNews = 'both-kept' | 'passed-damaged' | 'all-damaged'

/** A design as it is shown, and whether there is something to undo and to redo. */
export interface Foreseen {
  readonly design: Design
  readonly canUndo: boolean
  readonly canRedo: boolean
}

/** How many states seen in this tab are remembered, so that undo shows at once. */
const REMEMBERED = 200

/** One design's changes on their way into storage: each shows at once and is stored in turn. */
export class Journal extends Queue<Act, 'taken-off'> {
  private stored: Opened
  /** Documents by their place in the history, of those that this tab has seen. */
  private readonly seen = new Map<number, Design>()

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
    this.seen.set(opened.row.cursor, opened.design)
  }

  get row(): DesignRow {
    return this.stored.row
  }

  /** The design with all that waits done to it. */
  foresee(): Foreseen {
    const seen = new Map(this.seen)
    const { first } = this.stored.row
    let {
      design,
      row: { cursor, last },
    } = this.stored
    for (const act of this.waiting) {
      if (act.kind === 'step') {
        cursor = Math.min(last, Math.max(first, cursor + act.by))
        design = seen.get(cursor) ?? design
        continue
      }
      const next = act.change(design)
      if (next === design) continue
      last = ++cursor
      seen.set(cursor, (design = next))
    }
    return { design, canUndo: cursor > first, canRedo: cursor < last }
  }

  protected async storeNext(): Promise<void> {
    const [act] = this.waiting
    if (!act) return
    const { id } = this.row
    this.done(
      act.kind === 'step'
        ? await step(this.db, id, act.by, this.now())
        : await saveChange(this.db, id, act.change, this.now()),
    )
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
    this.seen.set(opened.row.cursor, opened.design)
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
        this.stored = { row: await addDesign(this.db, id, design, this.now()), design }
        this.waiting.length = 0
        this.seen.clear()
        this.seen.set(0, design)
      }
      this.state = 'stored'
    } catch (error) {
      this.state = troubleOf(error)
    }
    this.retry()
  }
}
