import loadHighs from 'highs'
import wasm from 'highs/runtime?url'
import { nest, nestSheets, type NestStage } from '../../core/nest'
import type { NestAnswer, NestQuestion } from '../logic/nest-work'

/** ms that the sheets of one kind may take. */
const SHEETS = 1000
const say = (answer: NestAnswer): void => self.postMessage(answer)

/** Makes one cut plan and says how far it is; another takes another worker: memory never shrinks. */
self.addEventListener('message', ({ data }: MessageEvent<NestQuestion>) => {
  void (async () => {
    try {
      const highs = await loadHighs({ locateFile: () => wasm })
      const told = (stage: NestStage): void => say({ stage })
      const now = (): number => performance.now()
      const plan = nest(highs, data.ask, { time: data.time, now, told })
      const sheets = data.sheets.map(({ section, outlines, ask }) => ({
        ...nestSheets(ask, { time: SHEETS, now }),
        ...{ section, outlines, long: ask.long, wide: ask.wide },
      }))
      say({ made: { plan, sheets } })
    } catch {
      say({ made: null })
    }
  })()
})
