/** The notes of a first visit, in the order they are shown in: where each stands, and what it says. */
export interface Note {
  readonly id: string
  /** What it stands at, as a selector; the first that is on the screen. */
  readonly at: readonly string[]
  readonly says: string
}

export const notes: readonly Note[] = [
  {
    id: 'type',
    at: ['.on.figure .entry'],
    says: 'Type over any number, as you say it: 12\' 6 1/2", 12-6, 3.81 m.',
  },
  { id: 'drag', at: ['.handle'], says: 'Drag a red ring. The building follows, every board cut anew.' },
  {
    id: 'pole',
    at: ['.pole'],
    says: 'The story pole stands to scale. The benches hang on it, from the ground to the roof.',
  },
  {
    id: 'hand',
    at: ['.room-card', '.room-turn'],
    says: 'What you touch is in hand here: a part of the building with its fields, or a board with its cut card.',
  },
  {
    id: 'saw',
    at: ['.bench[href$="/saw"]'],
    says: 'The list for the saw: every piece, cut, with a box to tick.',
  },
]

/** The first note that was not put away. */
export const nextNote = (away: readonly string[]): Note | null =>
  notes.find(({ id }) => !away.includes(id)) ?? null
