import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { cautionsOf } from '../../core/check'
import { withEdit, type Design, withValue } from '../../core/design'
import { withHung } from '../../core/frame'
import {
  atPart,
  newMemories,
  type Piece,
  plansOf,
  isCutAs,
  shapeText,
  valueOf,
  type Whole,
  whole as wholeOf,
} from '../../core/plan'
import { sayDesignFault } from '../../core/words'
import { database, type DesignRow } from '../storage/database'
import { type Stop, watchDesign } from '../storage/watch'
import { type Change, NoSuchDesign, openDesign, UnreadableDesign } from '../storage/designs'
import { Journal, type JournalNews, type JournalState } from '../storage/journal'
import { PATIENCE, troubleOf } from '../storage/trouble'
import { journalWords, sayStorage } from '../logic/storage-words'
import { inHand } from './in-hand'
import { trying } from './trying'
import { useUnderWay } from './under-way'

/** slow: storage has not answered yet; no-storage: it can't be read at all. */
export type BenchState =
  'closed' | 'opening' | 'slow' | 'open' | 'missing' | 'taken-off' | 'unreadable' | 'no-storage'

/**
 * The design on the bench: its document, plan, history and the piece in hand. Every edit is saved as it is
 * made.
 */
export const useBench = defineStore('bench', () => {
  const memories = newMemories()
  const state = ref<BenchState>('closed')
  const trouble = ref<string[]>([])
  const row = shallowRef<DesignRow | null>(null)
  const saved = shallowRef<Design | null>(null)
  const storing = ref<JournalState>('stored')
  const canUndo = ref(false)
  const canRedo = ref(false)
  /** When the state that stands was made, ms since 1970; null where that was not written down. */
  const madeAt = ref<number | null>(null)
  const notice = ref('')
  const view = ref<'drawing' | 'frame'>('drawing')
  /** How many steps of raising are shown in 3D; null for all. */
  const raised = ref<number | null>(null)
  let journal: Journal | null = null
  let watching: Stop | null = null
  let openings = 0

  /** The part that is on the bench, by its number from 0; null for the main one. */
  const part = ref<number | null>(null)
  const {
    drawn: drawnWhole,
    plan: whole,
    attempt,
    drop: dropPreview,
  } = trying(saved, at => wholeOf(at, memories))
  const planAt = (at: Whole | null) => (at ? atPart(at, part.value) : null)
  /** Of the part on the bench: as it is drawn, and as all beside the drawing shows it. */
  const drawn = computed(() => planAt(drawnWhole.value))
  const plan = computed(() => planAt(whole.value))
  const design = computed(() => plan.value?.design ?? null)
  const cautions = computed(() => (plan.value ? cautionsOf(plan.value) : []))
  const { letGo, ...inHandNow } = inHand(plan)

  async function open(id: string): Promise<void> {
    close()
    state.value = 'opening'
    const mine = ++openings
    const slow = setTimeout(() => {
      if (mine === openings) state.value = 'slow'
    }, PATIENCE)
    try {
      const opened = await openDesign(database(), id)
      if (mine !== openings) return
      journal = new Journal(database(), opened, Date.now, follow)
      show()
      state.value = 'open'
      watching = watchDesign(database(), id, seen => void meet(seen))
    } catch (error) {
      if (mine === openings) refuse(error)
    } finally {
      clearTimeout(slow)
    }
  }

  function close(): void {
    openings++
    watching?.()
    watching = null
    journal?.close()
    journal = null
    state.value = 'closed'
    storing.value = 'stored'
    dropPreview()
    row.value = saved.value = null
    canUndo.value = canRedo.value = false
    madeAt.value = null
    letGo()
    part.value = null
    notice.value = ''
  }

  function refuse(error: unknown): void {
    if (error instanceof UnreadableDesign) {
      state.value = 'unreadable'
      trouble.value = error.faults.map(sayDesignFault)
    } else if (error instanceof NoSuchDesign) state.value = error.takenOff ? 'taken-off' : 'missing'
    else {
      state.value = 'no-storage'
      trouble.value = [sayStorage(troubleOf(error))]
    }
  }

  /** Shows what the journal holds, with what is still to be stored done to it. */
  function show(): void {
    if (!journal) return
    const foreseen = journal.foresee()
    row.value = journal.row
    if (saved.value !== foreseen.design) saved.value = foreseen.design
    if (part.value !== null && !foreseen.design.parts[part.value]) part.value = null
    canUndo.value = foreseen.canUndo
    canRedo.value = foreseen.canRedo
    madeAt.value = foreseen.at
    storing.value = journal.state
  }

  function follow(news: JournalNews | null): void {
    if (news) notice.value = journalWords[news]
    show()
  }

  /**
   * Another tab has changed the design: show it, when nothing of ours is under way. What is no longer stored
   * stays on the screen while something of ours waits.
   */
  async function meet(seen: DesignRow | null): Promise<void> {
    const mine = journal
    if (
      !mine ||
      mine.count > 0 ||
      (seen && seen.id === mine.row.id && seen.deleted === 0 && seen.revision <= mine.row.revision)
    )
      return
    try {
      const opened = await openDesign(database(), mine.row.id)
      if (mine !== journal || mine.count > 0) return
      mine.take(opened)
      show()
    } catch (error) {
      if (mine !== journal) return
      if (error instanceof NoSuchDesign && !error.takenOff) storing.value = mine.state = 'gone'
      else refuse(error)
    }
  }

  /** A change of the part on the bench, as one of the whole building. */
  function inWhole(change: Change): Change {
    const at = part.value
    return at === null ? change : building => withHung(building, at, change)
  }

  /**
   * Makes a change of the part on the bench at once and saves it; undo puts back what was before. Changes of
   * one `burst`, faster than they are saved, are one.
   */
  const edit = (change: Change, burst?: string): void => editWhole(inWhole(change), burst)

  function editWhole(change: Change, burst?: string): void {
    dropPreview()
    const before = saved.value
    if (!journal || !before || change(before) === before) return
    journal.change(change, burst)
  }

  const setValue = (path: string, value: unknown): void => edit(at => withEdit(at, path, value))
  /** Shows a value while it is dragged, without keeping it. */
  const tryValue = (path: string, value: unknown): void => {
    if (saved.value) attempt(inWhole(at => withEdit(at, path, value))(saved.value))
  }
  const undo = (): void => {
    if (canUndo.value) journal?.step(-1)
  }
  const redo = (): void => {
    if (canRedo.value) journal?.step(1)
  }
  const toggleUnits = (): void =>
    edit(at => withValue(at, 'units', at.units === 'imperial' ? 'metric' : 'imperial'))

  /** Puts another part on the bench; null for the main one. What was in hand stays where it has its like. */
  function goToPart(at: number | null): void {
    dropPreview()
    part.value = at !== null && saved.value?.parts[at] ? at : null
    inHandNow.hold(inHandNow.subject.value?.key ?? 'building')
  }

  /** A piece of any part by its mark, and the part's number; null for the main one. */
  function pieceOf(mark: string): { readonly piece: Piece; readonly part: number | null } | null {
    for (const [i, { pieces }] of (whole.value ? plansOf(whole.value) : []).entries()) {
      const piece = pieces.find(each => each.mark === mark)
      if (piece) return { piece, part: i ? i - 1 : null }
    }
    return null
  }
  /** Takes a piece in hand by its mark; the part that it is of comes onto the bench. False without one. */
  function takeMark(mark: string): boolean {
    const found = pieceOf(mark)
    if (!found) return false
    goToPart(found.part)
    inHandNow.takeUp(found.piece)
    return true
  }

  /** Whether all members of a piece are ticked, and whether each still has the shape it was cut to. */
  function cutState(of: Piece): 'no' | 'yes' | 'changed' {
    const cut = new Map((design.value?.cut ?? []).map(each => [each.member, each.shape]))
    if (!of.members.every(id => cut.has(id))) return 'no'
    return of.members.every(id => isCutAs(of, cut.get(id) ?? '')) ? 'yes' : 'changed'
  }

  /** Ticks a piece's members as cut to the shape they have, or takes the ticks back. */
  function tick(of: Piece): void {
    const on = cutState(of) !== 'yes'
    const [shape, at] = [shapeText(of), new Date().toISOString()]
    edit(now => {
      const others = now.cut.filter(each => !of.members.includes(each.member))
      const mine = of.members.map(member => ({ member, shape, at }))
      return withValue(now, 'cut', on ? [...others, ...mine] : others)
    }, 'ticks')
  }

  /** When the last of a piece's members was ticked; null where that was not written down. */
  function cutAt({ members }: Piece): Date | null {
    const times = (design.value?.cut ?? []).flatMap(({ member, at }) =>
      at !== null && members.includes(member) ? [at] : [],
    )
    const last = times.sort().at(-1)
    return last === undefined ? null : new Date(last)
  }

  /** Resolves when everything is saved that was under way, or when it is plain that it can't be. */
  const settled = async (): Promise<void> => {
    await journal?.settled()
  }
  useUnderWay().add({ settled, stored: () => storing.value === 'stored' })
  /** Tries again to store what waits. */
  const retry = (): void => journal?.retry()
  /** Puts a design back on the shelf that is no longer there, as it is shown. */
  const putBack = async (): Promise<void> => {
    await journal?.putBack()
  }
  /** A field's value as it is drawn, worked out where it follows from others. */
  const value = (path: string): unknown => (drawn.value ? valueOf(drawn.value, path) : undefined)

  return {
    state,
    trouble,
    row,
    saved,
    whole,
    part,
    goToPart,
    pieceOf,
    takeMark,
    editWhole,
    design,
    drawn,
    plan,
    cautions,
    ...inHandNow,
    view,
    raised,
    notice,
    storing,
    canUndo,
    canRedo,
    madeAt,
    open,
    close,
    edit,
    setValue,
    tryValue,
    dropPreview,
    undo,
    redo,
    toggleUnits,
    cutState,
    cutAt,
    tick,
    settled,
    retry,
    putBack,
    value,
  }
})
