import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { cautionsOf } from '../../core/check'
import { changed, type Design, withValue } from '../../core/design'
import { newMemory } from '../../core/frame'
import { type Piece, plan as planOf, shapeText, valueOf } from '../../core/plan'
import { sayDesignFault } from '../../core/words'
import { database, type DesignRow } from '../storage/database'
import { type Stop, watchDesign } from '../storage/watch'
import { type Change, NoSuchDesign, openDesign, type Opened, saveChange, step, UnreadableDesign } from '../storage/designs'

export type BenchState = 'closed' | 'opening' | 'open' | 'missing' | 'unreadable'

/** The design on the bench: its document, plan, history and the piece in hand. Every edit is saved as it is made. */
export const useBench = defineStore('bench', () => {
  const memory = newMemory()
  const state = ref<BenchState>('closed')
  const trouble = ref<string[]>([])
  const row = shallowRef<DesignRow | null>(null)
  const saved = shallowRef<Design | null>(null)
  const preview = shallowRef<Design | null>(null)
  const waiting = ref(0)
  const unsaved = ref(false)
  const notice = ref('')
  const hand = ref<string | null>(null)
  const view = ref<'drawing' | 'frame'>('drawing')
  const pending: Change[] = []
  let queue: Promise<void> = Promise.resolve()
  let watching: Stop | null = null
  let openings = 0

  const design = computed(() => preview.value ?? saved.value)
  const plan = computed(() => design.value ? planOf(design.value, memory) : null)
  const cautions = computed(() => plan.value ? cautionsOf(plan.value) : [])
  const piece = computed<Piece | null>(() => pieceInHand())
  const canUndo = computed(() => row.value !== null && row.value.cursor > row.value.first)
  const canRedo = computed(() => row.value !== null && row.value.cursor < row.value.last)

  /** The piece in hand is remembered by one of its members, which outlives a new mark. */
  function pieceInHand(): Piece | null {
    const pieces = plan.value?.pieces ?? []
    return pieces.find(each => hand.value !== null && each.members.includes(hand.value)) ?? pieces.find(each => each.role === 'rafter') ?? pieces[0] ?? null
  }

  async function open(id: string): Promise<void> {
    close()
    state.value = 'opening'
    const mine = ++openings
    try {
      const opened = await openDesign(database(), id)
      if (mine !== openings) return
      take(opened)
    }
    catch (error) { return mine === openings ? refuse(error) : undefined }
    state.value = 'open'
    watching = watchDesign(database(), id, seen => void follow(seen))
  }

  function close(): void {
    openings++
    watching?.()
    watching = null
    state.value = 'closed'
    row.value = saved.value = preview.value = null
    hand.value = null
    notice.value = ''
    unsaved.value = false
    pending.length = 0
  }

  function refuse(error: unknown): void {
    if (error instanceof UnreadableDesign) {
      state.value = 'unreadable'
      trouble.value = error.faults.map(sayDesignFault)
    }
    else if (error instanceof NoSuchDesign) state.value = 'missing'
    else {
      state.value = 'unreadable'
      trouble.value = ['The browser\'s storage can\'t be read. Allow this page to store data, then load it again.']
    }
  }

  /** Shows a stored state with what is still to be saved on top; a state older than the one shown came late and is passed over. */
  function take(opened: Opened): void {
    if (row.value && row.value.id === opened.row.id && row.value.revision > opened.row.revision) return
    row.value = opened.row
    saved.value = pending.reduce((at, change) => change(at), opened.design)
  }

  /** Another tab has changed the design: show it, when nothing of ours is under way. */
  async function follow(seen: DesignRow | null): Promise<void> {
    const mine = row.value
    if (!mine || waiting.value > 0 || (seen && seen.id === mine.id && seen.revision <= mine.revision)) return
    try { take(await openDesign(database(), mine.id)) }
    catch (error) { refuse(error) }
  }

  /** Makes a change at once and saves it; undo puts back what was before. */
  function edit(change: Change): void {
    preview.value = null
    const before = saved.value
    if (!before) return
    const next = change(before)
    if (next === before) return
    saved.value = next
    pending.push(change)
    enqueue(savePending)
  }

  /** Saves what is pending, oldest first; what could not be saved before is tried again. */
  async function savePending(id: string): Promise<void> {
    for (let change = pending[0]; change; change = pending[0]) {
      const known = row.value?.revision ?? 0
      const result = await saveChange(database(), id, change, Date.now())
      pending.shift()
      if (result.row.revision > known + 1) notice.value = 'Another tab changed this design too. Both changes are kept; undo goes back through them.'
      take(result)
    }
  }

  function enqueue(work: (id: string) => Promise<void>): void {
    const id = row.value?.id
    if (!id) return
    waiting.value++
    queue = queue.then(() => work(id)).then(() => { unsaved.value = false }, () => { unsaved.value = true }).finally(() => { waiting.value-- })
  }

  const setValue = (path: string, value: unknown): void => edit(at => changed(at, path, value))
  /** Shows a value while it is dragged, without keeping it. */
  const tryValue = (path: string, value: unknown): void => { if (saved.value) preview.value = changed(saved.value, path, value) }
  const dropPreview = (): void => { preview.value = null }
  const undo = (): void => enqueue(async id => take(await step(database(), id, -1, Date.now())))
  const redo = (): void => enqueue(async id => take(await step(database(), id, 1, Date.now())))
  const toggleUnits = (): void => edit(at => withValue(at, 'units', at.units === 'imperial' ? 'metric' : 'imperial'))

  /** Whether all members of a piece are ticked, and whether each still has the shape it was cut to. */
  function cutState(of: Piece): 'no' | 'yes' | 'changed' {
    const cut = new Map((design.value?.cut ?? []).map(each => [each.member, each.shape]))
    if (!of.members.every(id => cut.has(id))) return 'no'
    return of.members.every(id => cut.get(id) === shapeText(of)) ? 'yes' : 'changed'
  }

  /** Ticks a piece's members as cut to the shape they have, or takes the ticks back. */
  function tick(of: Piece): void {
    const on = cutState(of) !== 'yes'
    const shape = shapeText(of)
    edit((at) => {
      const others = at.cut.filter(each => !of.members.includes(each.member))
      return withValue(at, 'cut', on ? [...others, ...of.members.map(member => ({ member, shape }))] : others)
    })
  }

  /** Takes up the piece that a member belongs to; what is not a sawn board (a block, a pier) leaves the hand as it is. */
  function pick(member: string | null | undefined): void {
    if (member && plan.value?.pieces.some(each => each.members.includes(member))) hand.value = member
  }

  const takeUp = (of: Piece): void => { hand.value = of.members[0] ?? null }

  function nextPiece(by: 1 | -1): void {
    const pieces = plan.value?.pieces ?? []
    const at = pieces.findIndex(each => each.mark === piece.value?.mark)
    const next = pieces[(at + by + pieces.length) % pieces.length]
    if (next) takeUp(next)
  }

  /** Resolves when everything is saved that was under way. */
  const settled = async (): Promise<void> => { await queue }
  /** A field's value, worked out where it follows from others. */
  const value = (path: string): unknown => plan.value ? valueOf(plan.value, path) : undefined

  return {
    state, trouble, row, design, plan, cautions, piece, hand, view, notice, unsaved, waiting, canUndo, canRedo,
    open, close, edit, setValue, tryValue, dropPreview, undo, redo, toggleUnits, cutState, tick, takeUp, pick, nextPiece, settled, value,
  }
})
