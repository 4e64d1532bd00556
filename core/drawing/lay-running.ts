import type { Drawing } from './drawing'
import type { Laying, Words } from './laying'
import { RUNNING_AT, runningApart, runningRoom } from './sheet'
import { spread } from './spread'

/** px from the edge of the sheet to the middle of the first upright line, and from its tick to its words. */
const FIRST = 6.5
const TICK = { down: 8, short: 4 } as const

/** Running marks under the drawing, upright and spread out; too many for one line stand in tiers by turns. */
export function layRunning(drawing: Drawing, words: readonly Words[], laying: Laying): void {
  const { sheet } = laying
  const { on, width, tiers, tier } = sheet
  const all = drawing.running.map((mark, i) => ({ x: on.at(mark.at).x, words: words[i] }))
  for (let k = 0; k < tiers; k++) {
    const mine = all.filter((_, i) => i % tiers === k)
    const places = spread(
      mine.map(({ x }) => x - FIRST),
      runningApart(sheet, all.length),
      runningRoom(width),
    )
    mine.forEach((each, i) => {
      const at = { x: (places[i] ?? 0) + FIRST, y: on.bottom + RUNNING_AT + k * tier }
      const tick = [on.bottom, on.bottom + TICK.down].map(y => ({ x: each.x, y }))
      const points = [...tick, { x: at.x, y: at.y - TICK.short }]
      laying.lines.push({ points, ink: 'running', of: null })
      if (each.words) laying.putUpright(each.words, at)
    })
  }
}
