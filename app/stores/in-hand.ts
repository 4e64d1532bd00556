import { computed, type Ref, ref } from 'vue'
import { lineOf, type Subject, subjectAt, subjectBy, subjectsOf } from '../../core/design'
import { everyBoard } from '../../core/frame'
import { type Piece, type Plan, subjectOf } from '../../core/plan'

/** What is in hand: a board with all that are cut alike, or a part of the building. */
export function inHand(plan: Readonly<Ref<Plan | null>>) {
  /** The board's id; it stays while a part of the building is in hand. */
  const hand = ref<string | null>(null)
  /** The key of the part of the building that is in hand; null where it is a board. */
  const held = ref<string | null>(null)
  /** Counts what was taken up from a drawing: it is shown and read where it opens. */
  const touched = ref(0)
  /** Counts what was looked for by its name: the bench goes to where it is drawn. */
  const sought = ref(0)

  const piece = computed<Piece | null>(() => pieceInHand())
  /** The very board in hand, or null where what is in hand is gone. */
  const member = computed(
    () => (plan.value && everyBoard(plan.value.frame).find(each => each.id === hand.value)) ?? null,
  )
  const subjects = computed(() => (plan.value ? subjectsOf(plan.value.design) : []))
  /** The part in hand; one that is gone is what it was in. Null where a board is in hand. */
  const subject = computed<Subject | null>(() =>
    held.value === null || !subjects.value.length
      ? null
      : (subjectBy(subjects.value, held.value) ?? subjectAt(subjects.value, held.value)),
  )
  /** What the hand is in, the building first: of a board too, that is not itself there. */
  const line = computed<readonly Subject[]>(() => {
    const board =
      member.value ??
      (plan.value && everyBoard(plan.value.frame).find(({ id }) => id === piece.value?.members[0]))
    const at = subject.value ?? (board ? partOf(board) : null)
    return at ? lineOf(subjects.value, at) : []
  })
  /** The boards in hand: those alike, or those of the part. Of what is all of a bench, none. */
  const lit = computed<ReadonlySet<string>>(() => {
    const at = subject.value
    if (!at) return new Set(piece.value?.members ?? [])
    if (!at.within || at.within === 'building') return new Set()
    const inner = new Set(
      subjects.value
        .filter(each => lineOf(subjects.value, each).some(({ key }) => key === at.key))
        .map(({ key }) => key),
    )
    return new Set(
      (plan.value ? everyBoard(plan.value.frame) : [])
        .filter(each => inner.has(partOf(each).key))
        .map(({ id }) => id),
    )
  })

  /** The part of the building that a board or another thing belongs to. */
  function partOf(of: Parameters<typeof subjectOf>[1]): Subject {
    if (!plan.value) throw new RangeError('no plan')
    return subjectOf(plan.value, of, subjects.value)
  }

  /** The piece in hand is remembered by one of its members, which outlives a new mark. */
  function pieceInHand(): Piece | null {
    const pieces = plan.value?.pieces ?? []
    return (
      pieces.find(each => hand.value !== null && each.members.includes(hand.value)) ??
      pieces.find(each => each.role === 'rafter') ??
      pieces[0] ??
      null
    )
  }

  /**
   * Takes up the piece that a member belongs to; of what is not a sawn board (a block, a pier), the part of
   * the building that it is of.
   */
  function pick(id: string | null | undefined): void {
    const known = plan.value
    if (!id || !known) return
    if (known.pieces.some(each => each.members.includes(id))) {
      hand.value = id
      held.value = null
      return
    }
    const part = known.frame.base.parts.find(each => each.id === id)
    if (part) held.value = partOf(part).key
  }

  const takeUp = (of: Piece): void => {
    hand.value = of.members[0] ?? null
    held.value = null
  }

  /** The next card or the one before; out of a part of the building, the card that was in hand last. */
  function nextPiece(by: 1 | -1): void {
    const pieces = plan.value?.pieces ?? []
    const at = pieces.findIndex(each => each.mark === piece.value?.mark)
    const next = pieces[subject.value ? at : (at + by + pieces.length) % pieces.length]
    if (next) takeUp(next)
  }

  /** Takes a part of the building up; the drawing stays. */
  const hold = (key: string): void => {
    held.value = key
  }

  /** Takes a part of the building up, and goes to where it is drawn. */
  function seek(key: string): void {
    hold(key)
    sought.value++
  }

  /** Takes up what was touched on a drawing: a board, or a part of the building. */
  function touch(what: { readonly member?: string | null; readonly subject?: string }): void {
    if (what.subject !== undefined) hold(what.subject)
    else if (what.member) pick(what.member)
    else return
    touched.value++
  }

  /** Out of what is in hand to what it is part of. Gives false at the building, that is part of nothing. */
  function stepOut(): boolean {
    const outer = subject.value ? subject.value.within : line.value.at(-1)?.key
    if (!outer) return false
    hold(outer)
    return true
  }

  function letGo(): void {
    hand.value = held.value = null
  }

  return {
    hand,
    held,
    touched,
    sought,
    piece,
    member,
    subjects,
    subject,
    line,
    lit,
    partOf,
    pick,
    takeUp,
    nextPiece,
    hold,
    seek,
    touch,
    stepOut,
    letGo,
  }
}
