import { whole } from '../../core/plan'
import { cardsPdf, labelSheets, labelsPdf } from '../../core/print'
import { cardsAsk, labelsOf, type PrintAnswer, type PrintQuestion } from '../logic/print-work'

/** Makes one document for the printer. */
self.addEventListener('message', ({ data }: MessageEvent<PrintQuestion>) => {
  const answer = (pdf: ArrayBuffer | null): void => {
    const said: PrintAnswer = { pdf }
    self.postMessage(said, pdf ? { transfer: [pdf] } : {})
  }
  try {
    const all = whole(data.design)
    if (data.what === 'cards') answer(cardsPdf(cardsAsk(all, data.kit), data.paper))
    else {
      const sheet = labelSheets[data.sheet]
      answer(sheet ? labelsPdf(labelsOf(all, data), sheet, data.first) : null)
    }
  } catch {
    answer(null)
  }
})
