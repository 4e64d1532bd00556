import { beforeEach, describe, expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import { shallowRef } from 'vue'
import { parseDesign, withValue } from '../../core/design'
import { type Plan, plan as planOf } from '../../core/plan'
import { inHand } from './in-hand'

const read = parseDesign(readFileSync('demo/ringing-hut.json', 'utf8'))
if (!read.ok) throw new Error('the demo hut is not valid')
const { design } = read
const plan = shallowRef<Plan | null>(null)
const kinds = (at: ReturnType<typeof inHand>): string[] => at.line.value.map(({ kind }) => kind)

beforeEach(() => {
  plan.value = planOf(design)
})

describe('what is in hand', () => {
  test('is a board, or a part; one steps out of each to what it is part of, up to the building', () => {
    const at = inHand(plan)
    at.pick('roof/south/rafter/3')
    expect(at.piece.value?.role).toBe('rafter')
    expect(kinds(at)).toEqual(['building', 'roof', 'slope'])
    expect(at.stepOut()).toBe(true)
    expect(at.subject.value?.key).toBe('roof.slopes.south')
    expect(at.stepOut() && at.stepOut()).toBe(true)
    expect(at.subject.value?.kind).toBe('building')
    expect(at.stepOut()).toBe(false)
  })

  test('lights the boards that are cut alike, or those of the part', () => {
    const at = inHand(plan)
    at.pick('roof/south/rafter/3')
    expect(at.lit.value).toEqual(new Set(at.piece.value?.members))
    at.hold('walls.openings.1')
    const of = [...at.lit.value].map(id => plan.value?.frame.members.find(each => each.id === id))
    expect(of.length).toBeGreaterThan(3)
    for (const member of of) expect(member?.where.of).toMatchObject({ kind: 'opening', number: 2 })
    at.hold('walls')
    expect(at.lit.value.size).toBe(0)
  })

  test('walks the pieces both ways, and out of a part comes back to the piece', () => {
    const at = inHand(plan)
    const first = at.piece.value?.mark
    at.hold('roof.tails')
    at.nextPiece(1)
    expect(at.piece.value?.mark).toBe(first)
    at.nextPiece(1)
    expect(at.piece.value?.mark).not.toBe(first)
    at.nextPiece(-1)
    expect(at.piece.value?.mark).toBe(first)
  })

  test('what is gone leaves what it was in', () => {
    const at = inHand(plan)
    at.hold('walls.openings.1')
    plan.value = planOf(withValue(design, 'walls.openings', []))
    expect(at.subject.value?.key).toBe('walls')
    at.hold('roof.ties')
    plan.value = planOf(withValue(design, 'roof.ties', { rafter: null, collar: null, ceiling: null }))
    expect(at.subject.value?.key).toBe('roof')
  })

  test('what is touched is counted, and what is no board is the part that it is of', () => {
    plan.value = planOf({
      ...design,
      base: {
        kind: 'blocks',
        beams: { section: '2x8', plies: 2, rows: 2 },
        spacing: 1800,
        block: { side: 400, height: 200 },
        gravel: { depth: 100, beyond: 100, compaction: 20, load: 500 },
        lift: 300,
      },
    })
    const at = inHand(plan)
    at.touch({ member: plan.value.frame.base.parts[0]?.id ?? '' })
    expect(at.subject.value?.key).toBe('base.rows')
    at.touch({ subject: 'base.gravel' })
    at.touch({ member: null })
    expect(at.touched.value).toBe(2)
    expect(at.subject.value?.key).toBe('base.gravel')
  })
})
