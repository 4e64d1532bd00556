import { describe, expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import { newDesign, parseDesign, withValue } from '../design'
import { drawingSvg } from '../output'
import { plan } from '../plan'
import { jigDrawing, type LaidAsk, layOut, meet, roofPlan, roofSection } from './index'

const base = newDesign('a', 'imperial')
const sheet: LaidAsk = { width: 800, height: 600, units: 'imperial', setting: 'screen' }

describe('a drawing laid out', () => {
  test('marks the number at fault, as it was typed, and its ring', () => {
    const made = plan(withValue(base, 'roof.peak.height', 2200))
    const faults = made.frame.problems.map(problem => problem.path)
    expect(faults).toEqual(['roof.peak.height'])
    const drawing = roofSection(made)
    const { texts, rings } = layOut(drawing, { ...sheet, faults })
    expect(texts.filter(each => each.atFault).map(({ field, value }) => [field, value])).toEqual([
      ['roof.peak.height', 2200],
    ])
    expect(rings.filter(each => each.atFault).map(({ handle }) => handle.field)).toEqual(['roof.peak.height'])
    const svg = drawingSvg(drawing, 'imperial', 1000, faults)
    expect(svg.match(/<text[^>]*class="fault"[^>]*>[^<]*/g)).toEqual([expect.stringContaining("7' 2 5/8")])
  })

  test('marks nothing where nothing is at fault, nor a field whose name only begins alike', () => {
    const drawing = roofPlan(plan(base))
    for (const faults of [[], ['roof.overhang.ea', 'roof.over']]) {
      const { texts, rings } = layOut(drawing, { ...sheet, faults })
      expect([...texts, ...rings].filter(each => each.atFault)).toEqual([])
    }
    expect(layOut(drawing, { ...sheet, faults: ['roof.overhang'] }).rings.some(each => each.atFault)).toBe(
      true,
    )
  })

  test('shows each board, dimension and mark once', () => {
    const drawing = roofPlan(plan(base))
    const { patches, texts } = layOut(drawing, sheet)
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
      const { texts } = layOut(drawing, { ...sheet, width: 366, height: 330 })
      const labels = texts.filter(({ kind }) => kind === 'label')
      expect(labels).toHaveLength(drawing.labels.length)
      const onOthers = labels.filter((one, i) => labels.slice(0, i).some(other => meet(one.ink, other.ink)))
      expect(onOthers.map(({ text }) => text)).toEqual([])
    },
  )
})
