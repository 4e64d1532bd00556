import { readDesign } from '../../core/design'
import { shelfCard } from '../logic/shelf-card'
import type { CardAnswer, CardQuestion } from '../logic/card-work'

/** Plans one design after another and says what the shelf shows of each; null of what can't be read. */
self.addEventListener('message', ({ data }: MessageEvent<CardQuestion>) => {
  const answer = (card: CardAnswer['card']): void => {
    const said: CardAnswer = { number: data.number, card }
    self.postMessage(said)
  }
  try {
    const read = readDesign(data.document)
    answer(read.ok ? shelfCard(read.design) : null)
  } catch {
    answer(null)
  }
})
