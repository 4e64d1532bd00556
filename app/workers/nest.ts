import loadHighs from 'highs'
import wasm from 'highs/runtime?url'
import { nest, type NestStage } from '../../core/nest'
import type { NestAnswer, NestQuestion } from '../logic/nest-work'

const say = (answer: NestAnswer): void => self.postMessage(answer)

/** Makes one cut plan and says how far it is; another takes another worker: memory never shrinks. */
self.addEventListener('message', ({ data }: MessageEvent<NestQuestion>) => {
  void (async () => {
    try {
      const highs = await loadHighs({ locateFile: () => wasm })
      const told = (stage: NestStage): void => say({ stage })
      say({ plan: nest(highs, data.ask, { time: data.time, now: () => performance.now(), told }) })
    } catch {
      say({ plan: null })
    }
  })()
})
