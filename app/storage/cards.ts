import Dexie, { type EntityTable } from 'dexie'
import type { ShelfCard } from '../logic/shelf-card'

/** What the shelf said of a design at a revision, as a build of the program worked it out. */
export interface CardRow {
  readonly id: string
  readonly revision: number
  readonly build: string
  readonly card: ShelfCard
}

/** Only ever saves work: what is missing here, or of another build, is worked out again. */
export class CardDatabase extends Dexie {
  cards!: EntityTable<CardRow, 'id'>

  constructor(name = 'early-wren-cards') {
    super(name)
    this.version(1).stores({ cards: 'id' })
  }
}

/** A design's card as it was worked out before; null where it was not, or where storage does not answer. */
export async function knownCard(
  db: CardDatabase,
  id: string,
  revision: number,
  build: string,
): Promise<ShelfCard | null> {
  try {
    const row = await db.cards.get(id)
    return row?.revision === revision && row.build === build ? row.card : null
  } catch {
    return null
  }
}

/** Keeps a card, if there is room. */
export const keepCard = (db: CardDatabase, row: CardRow): Promise<void> =>
  db.cards.put(row).then(
    () => undefined,
    () => undefined,
  )

/** Forgets the cards of designs that are not on the shelf. */
export const forgetCards = (db: CardDatabase, standing: readonly string[]): Promise<void> =>
  db.cards
    .where('id')
    .noneOf([...standing])
    .delete()
    .then(
      () => undefined,
      () => undefined,
    )

let opened: CardDatabase | null = null

/** The browser's one database of cards, opened at the first call. */
export const cardDatabase = (): CardDatabase => (opened ??= new CardDatabase())
