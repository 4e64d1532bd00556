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
import { PATIENCE, type StorageTrouble, troubleOf } from './trouble'

/** Something that was done to a design and is not stored yet. */
type Act =
  { readonly kind: 'change'; readonly change: Change } | { readonly kind: 'step'; readonly by: -1 | 1 }

/**
 * stored: all is; storing: something is under way; otherwise why what waits can't be stored. 'taken-off':
 * another tab took the design off the shelf.
 */
export type JournalState = 'stored' | 'storing' | StorageTrouble | 'taken-off'

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

/**
 * One design's changes on their way into storage: each shows at once and is stored in turn; what can't be
 * stored is kept and tried again.
 */
export class Journal {
  private stored: Opened
  private readonly waiting: Act[] = []
  /** Documents by their place in the history, of those that this tab has seen. */
  private readonly seen = new Map<number, Design>()
  private running: Promise<void> | null = null
  private closed = false
  state: JournalState = 'stored'

  constructor(
    private readonly db: ShelfDatabase,
    opened: Opened,
    private readonly now: () => number,
    private readonly told: (news: JournalNews | null) => void,
    private readonly patience = PATIENCE,
  ) {
    this.stored = opened
    this.seen.set(opened.row.cursor, opened.design)
  }

  get row(): DesignRow {
    return this.stored.row
  }
  /** How many acts are not stored yet. */
  get count(): number {
    return this.waiting.length
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

  add(act: Act): void {
    this.waiting.push(act)
    this.retry()
  }

  /** Stores what waits, oldest first; does nothing while that is under way. */
  retry(): void {
    if (this.running || this.closed || !this.waiting.length) return this.told(null)
    this.running = this.run().finally(() => {
      this.running = null
      this.told(null)
    })
    this.told(null)
  }

  private async run(): Promise<void> {
    this.state = 'storing'
    for (let act = this.waiting[0]; act && !this.closed; act = this.waiting[0]) {
      const timer = setTimeout(() => this.say('silent'), this.patience)
      try {
        this.done(await this.store(act))
      } catch (error) {
        if (error instanceof DamagedHistory) this.skip()
        else
          return this.say(
            error instanceof NoSuchDesign ? (error.takenOff ? 'taken-off' : 'gone') : troubleOf(error),
          )
      } finally {
        clearTimeout(timer)
      }
      this.state = 'storing'
    }
    this.state = 'stored'
  }

  private say(state: JournalState): void {
    this.state = state
    this.told(null)
  }

  private store(act: Act): Promise<Opened> {
    const { id } = this.row
    return act.kind === 'step'
      ? step(this.db, id, act.by, this.now())
      : saveChange(this.db, id, act.change, this.now())
  }

  /** A step onto states that can't be read is given up. */
  private skip(): void {
    this.waiting.shift()
    this.told('all-damaged')
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
