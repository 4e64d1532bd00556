import { expect, test } from '@jest/globals'
import { newDesign, usualFloors, withValue } from '../../core/design'
import { type DrawingBench, drawingsOf, listDrawings } from '../../core/drawing'
import { plan } from '../../core/plan'
import { viewChoices } from './view-words'

const made = plan(withValue(newDesign('a', 'imperial'), 'floor', usualFloors.imperial))
const offered = (bench: DrawingBench, of: string | null = null): string[] =>
  viewChoices([
    ...new Set(
      listDrawings(made)
        .filter(each => each.bench === bench && (each.of === null || each.of === of))
        .map(each => each.view),
    ),
  ]).map(each => each.label)

test('a bench offers the views that its drawings are listed with', () => {
  expect(offered('roof')).toEqual(['Section', 'Plan', 'East', 'West'])
  expect(offered('walls', 'south')).toEqual(['Frame', 'Sheets', 'Plan'])
  expect(offered('floor')).toEqual(['Frame', 'Deck'])
  expect(offered('saw', 'R1')).toEqual([])
})

test('what is written to files is what is listed, each under a name of its own', () => {
  const listed = listDrawings(made)
  const drawn = drawingsOf(made)
  expect(drawn.map(({ file, wide }) => [file, wide])).toEqual(listed.map(({ file, wide }) => [file, wide]))
  expect(new Set(listed.map(({ file }) => file)).size).toBe(listed.length)
  const section = listed.find(({ view }) => view === 'section')
  expect(section?.draw()).toEqual(drawn.find(({ file }) => file === 'roof-section')?.drawing)
  expect(section?.draw(0)).not.toEqual(section?.draw())
})
