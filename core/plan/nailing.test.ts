import { describe, expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import { outlines } from '../board'
import { parseDesign } from '../design'
import { cardOf, plan } from './index'
import { NAIL_EDGE } from './nailing'

const planOf = (name: string): ReturnType<typeof plan> => {
  const read = parseDesign(readFileSync(`demo/${name}.json`, 'utf8'))
  if (!read.ok) throw new Error(`${name} is not valid`)
  return plan(read.design)
}

const hundredths = Array.from({ length: 101 }, (_, i) => i / 100)

describe.each([
  // eleven trusses: two chords at each of three joints, both faces, inside alone on the two sheathed ends
  ['punt-house', 60, 120],
  // heels 2, feet 4, chord joints 3, the ridge 4 in nine trusses; heels and the ridge 2 in the ends
  ['decoy-store', 9 * 2 * 7 + 2 * 3, 9 * 2 * (2 * 2 + 2 * 4 + 2 * 3 + 4) + 2 * 3 * 2],
])('%s', (name, gussets, ends) => {
  const made = planOf(name)
  const loose = made.loose.find(({ code }) => code === 'gusset-nails')

  test('has as many nails as each end of a member is asked to have', () => {
    expect(loose?.from).toMatchObject({ gussets, ends, each: 6 })
    expect(loose?.amount).toBe(ends * 6)
  })

  test('each nail lies in its gusset, no nearer to an edge than half an inch, and none on another', () => {
    const pieces = made.pieces.filter(({ role }) => role === 'gusset')
    expect(pieces.length).toBeGreaterThan(1)
    for (const piece of pieces) {
      const { nails, figures } = cardOf(made, piece)
      expect(nails.length).toBe(figures.find(figure => figure.name === 'nails')?.value)
      const [outline = []] = outlines(piece.board, 'far')
      for (const [i, nail] of nails.entries()) {
        const sides = outline.map((a, k) => [a, outline[(k + 1) % outline.length] ?? a] as const)
        // a ray to the right leaves an outline, convex or not, an odd number of times
        const crossed = sides.filter(
          ([a, b]) =>
            a.across > nail.across !== b.across > nail.across &&
            nail.along < a.along + ((nail.across - a.across) / (b.across - a.across)) * (b.along - a.along),
        )
        expect(crossed.length % 2).toBe(1)
        const edges = sides.flatMap(([a, b]) =>
          hundredths.map(t =>
            Math.hypot(
              a.along + (b.along - a.along) * t - nail.along,
              a.across + (b.across - a.across) * t - nail.across,
            ),
          ),
        )
        expect(Math.min(...edges)).toBeGreaterThan(NAIL_EDGE - 0.01)
        const others = nails
          .slice(i + 1)
          .map(other => Math.hypot(other.along - nail.along, other.across - nail.across))
        expect(Math.min(...others, Infinity)).toBeGreaterThan(10)
      }
    }
  })

  test('no other board has nails on its card', () => {
    const chord = made.pieces.find(({ role }) => role === 'upper-chord')
    expect(chord && cardOf(made, chord).nails).toEqual([])
  })
})
