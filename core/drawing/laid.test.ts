import { describe, expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import { newDesign, parseDesign, withValue } from '../design'
import { drawingSvg } from '../output'
import { plan } from '../plan'
import { fit, jigDrawing, layOut, roofPlan, roofSection } from './index'

const base = newDesign('a', 'imperial')

describe('a drawing laid out', () => {
  test('marks the number at fault, as it was typed, and its ring', () => {
    const made = plan(withValue(base, 'roof.peak.height', 2200))
    const faults = made.frame.problems.map(problem => problem.path)
    expect(faults).toEqual(['roof.peak.height'])
    const drawing = roofSection(made)
    const { texts, rings } = layOut(drawing, { on: fit(drawing, 800, 600), units: 'imperial', faults })
    expect(texts.filter(each => each.atFault).map(({ field, value }) => [field, value])).toEqual([
      ['roof.peak.height', 2200],
    ])
    expect(rings.filter(each => each.atFault).map(({ handle }) => handle.field)).toEqual(['roof.peak.height'])
    const svg = drawingSvg(drawing, 'imperial', 1000, faults)
    expect(svg.match(/<text[^>]*class="fault"[^>]*>[^<]*/g)).toEqual([expect.stringContaining("7' 2 5/8")])
  })

  test('marks nothing where nothing is at fault, nor a field whose name only begins alike', () => {
    const drawing = roofPlan(plan(base))
    const ask = { on: fit(drawing, 800, 600), units: 'imperial' } as const
    for (const faults of [[], ['roof.overhang.ea', 'roof.over']]) {
      const { texts, rings } = layOut(drawing, { ...ask, faults })
      expect([...texts, ...rings].filter(each => each.atFault)).toEqual([])
    }
    expect(layOut(drawing, { ...ask, faults: ['roof.overhang'] }).rings.some(each => each.atFault)).toBe(true)
  })

  test('shows each board, dimension and mark once', () => {
    const drawing = roofPlan(plan(base))
    const { patches, texts } = layOut(drawing, { on: fit(drawing, 800, 600), units: 'imperial' })
    expect(patches).toHaveLength(drawing.patches.length)
    const of = (kind: string): number => texts.filter(each => each.kind === kind).length
    expect([of('figure'), of('running'), of('label'), of('pitch')]).toEqual([
      drawing.dimensions.length,
      drawing.running.length,
      drawing.labels.length,
      drawing.pitches.length,
    ])
  })

  test.each(['punt-house', 'decoy-store'])(
    'the points of the %s’s jig can be told apart on a phone',
    name => {
      const read = parseDesign(readFileSync(`demo/${name}.json`, 'utf8'))
      if (!read.ok) throw new Error(name)
      const drawing = jigDrawing(plan(read.design))
      const { texts } = layOut(drawing, { on: fit(drawing, 366, 330), units: 'imperial' })
      const labels = texts.filter(({ kind }) => kind === 'label')
      expect(labels).toHaveLength(drawing.labels.length)
      const onOthers = labels.filter((one, i) =>
        labels
          .slice(0, i)
          .some(
            other =>
              Math.abs(one.at.y - other.at.y) < 12 &&
              Math.abs(one.at.x - other.at.x) < 4 * (one.text.length + other.text.length),
          ),
      )
      expect(onOthers.map(({ text }) => text)).toEqual([])
    },
  )
})
