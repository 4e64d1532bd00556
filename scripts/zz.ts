import { readFileSync } from 'node:fs'
import { cautionsOf } from '../core/check'
import { parseDesign, withValue } from '../core/design'
import { frame, newMemory } from '../core/frame'
import { plan } from '../core/plan'
const read = parseDesign(readFileSync(process.argv[2] ?? 'demo/ringing-hut-metric.json', 'utf8'))
if (!read.ok) throw 1
const memory = newMemory()
const m2 = newMemory()
const all: number[][] = [[], [], []]
for (let i = 0; i < 700; i++) {
  const d = withValue(read.design, 'roof.pitch', { rise: 7 + i / 1000, run: 12 })
  let s = performance.now(); frame(d, m2); all[0]!.push(performance.now() - s)
  s = performance.now(); const p = plan(d, memory); all[1]!.push(performance.now() - s)
  s = performance.now(); cautionsOf(p); all[2]!.push(performance.now() - s)
}
for (const [k, a] of all.entries()) { const b = a.slice(100).sort((x, y) => x - y); console.log(['frame', 'plan', 'cautions'][k], 'min', b[0]!.toFixed(2), 'p25', b[150]!.toFixed(2), 'median', b[300]!.toFixed(2)) }
