import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import {
  type Design,
  newDesign,
  usualBase,
  usualFloors,
  usualOpening,
  usualSite,
  valueAt,
  withValue,
} from '../design'
import { drawingSvg } from '../output'
import { plan, raising } from '../plan'
import { runs } from '../testing/designs'
import { groundedSheds } from '../testing/grounded'
import {
  baseElevation,
  basePlan,
  type Drawing,
  floorPlan,
  levelsPlan,
  modelOf,
  sitePlan,
  wallElevation,
} from './index'

const base = newDesign('a', 'imperial')
const whole: Design = {
  ...base,
  floor: {
    ...usualFloors.imperial,
    joint: 1800,
    porch: { side: 'east', depth: 1200, board: '5/4x6', gap: 3 },
    openings: [{ x: 700, y: 900, length: 500, width: 600 }],
  },
  base: usualBase('posts', 'imperial'),
  site: {
    ...usualSite(3657.6, 'imperial'),
    boundaries: [{ name: 'a', from: { along: 0, out: 9000 }, to: { along: 5000, out: 9500 }, setback: 1500 }],
    finds: [
      {
        name: 'b',
        kind: 'gas',
        places: [
          { from: 'line', toLeft: 3000, toRight: 3000, lies: 'ahead' },
          { from: 'south', toLeft: 3000, toRight: 3000, lies: 'behind' },
        ],
        clear: 300,
      },
    ],
  },
}
const drawings = (design: Design): Drawing[] => {
  const made = plan(design)
  return [
    sitePlan(made),
    levelsPlan(made),
    basePlan(made),
    baseElevation(made),
    floorPlan(made, 'frame'),
    floorPlan(made, 'deck'),
  ]
}

describe('drawings below the walls', () => {
  test('of any building are finite, within their extent, and make a clean picture', () => {
    fc.assert(
      fc.property(groundedSheds, design => {
        for (const drawing of drawings(design)) {
          const points = [
            ...drawing.patches.flatMap(patch => patch.loops.flat()),
            ...drawing.lines.flatMap(line => [line.from, line.to]),
          ]
          expect(
            points.every(
              p =>
                p.x >= drawing.low.x - 1e-6 &&
                p.x <= drawing.high.x + 1e-6 &&
                p.y >= drawing.low.y - 1e-6 &&
                p.y <= drawing.high.y + 1e-6,
            ),
          ).toBe(true)
          expect(drawingSvg(drawing, design.units)).not.toMatch(/NaN|undefined|Infinity/)
        }
      }),
      { numRuns: runs(30) },
    )
  })

  test('a dimension says what its points are apart, and every field is there in the design', () => {
    for (const drawing of drawings(whole)) {
      for (const { from, to, side, value, field } of drawing.dimensions) {
        expect(Math.abs(side === 'below' ? to.x - from.x : to.y - from.y)).toBeCloseTo(value, 6)
        if (field) expect(valueAt(whole, field)).toBeCloseTo(value, 9)
      }
      for (const { field } of drawing.handles) expect(valueAt(whole, field)).toBeDefined()
    }
  })

  // Two roads: where a handle goes when its field is changed, and where it was dragged to. The base's ring
  // stays and the ground sinks under it.
  test.each([
    'site.place.near',
    'site.place.along',
    'footprint.length',
    'footprint.width',
    'floor.joint',
    'floor.openings.0.x',
    'floor.openings.0.y',
  ])('a handle of %s follows the pointer', field => {
    const at = (design: Design) =>
      drawings(design)
        .map(drawing => drawing.handles.find(handle => handle.field === field))
        .find(Boolean)
    const [a, b] = [at(whole), at(withValue(whole, field, Number(valueAt(whole, field)) + 40))]
    if (!a || !b) throw new Error('no handle')
    expect((b.at.x - a.at.x) * a.along.x + (b.at.y - a.at.y) * a.along.y).toBeCloseTo(40 / a.gain, 6)
  })

  // the rings of an opening: along from under it, twice the drag at its side (its middle stays), its top and
  // its lower edge
  test.each(['at', 'foot', 'unit.width', 'unit.height'])(
    "a ring of an opening's %s follows the pointer",
    name => {
      const field = `walls.openings.0.${name}`
      const design: Design = {
        ...whole,
        walls: {
          ...whole.walls,
          openings: [{ ...usualOpening('south', 'window', 1800, 'imperial'), foot: 800 }],
        },
      }
      const at = (each: Design) =>
        wallElevation(plan(each), 'south').handles.find(handle => handle.field === field)
      const handle = at(design)
      const moved = at(withValue(design, field, Number(valueAt(design, field)) + 40))
      if (!handle || !moved) throw new Error('no handle')
      expect(
        (moved.at.x - handle.at.x) * handle.along.x + (moved.at.y - handle.at.y) * handle.along.y,
      ).toBeCloseTo(40 / handle.gain, 6)
    },
  )

  test("names are shown where things are: finds, plot lines, stakes and the line's ends", () => {
    expect(
      sitePlan(plan(whole))
        .labels.map(label => label.text)
        .filter(Boolean)
        .sort(),
    ).toEqual(['A', 'B', 'NE', 'NW', 'SE', 'SW', 'a', 'b'])
    expect(
      drawings(base)
        .slice(0, 1)
        .map(drawing => drawing.patches),
    ).toEqual([[]])
  })
})

describe('the model and the order of raising', () => {
  test('have every board and part once, posts before beams, floor before deck before walls', () => {
    for (const kind of ['posts', 'blocks', 'piers', 'border', 'skids', 'slab'] as const) {
      const made = plan({
        ...whole,
        base: usualBase(kind, 'imperial'),
        floor: kind === 'slab' ? null : whole.floor,
      })
      const { frame } = made
      const ids = [...frame.members, ...frame.base.parts].map(each => each.id).sort()
      expect(
        modelOf(frame)
          .members.map(member => member.id)
          .sort(),
      ).toEqual(ids)
      const steps = raising(made)
      expect(steps.flatMap(step => step.members).sort()).toEqual(ids)
      const place = (id: RegExp): number =>
        steps.findIndex(step => step.members.some(member => id.test(member)))
      const order = [
        place(/base\/(post|block|pier|slab)/),
        place(/base\/(beam|border|skid)/),
        place(/floor\/.*joist/),
        place(/sheet/),
        place(/walls\//),
      ].filter(each => each >= 0)
      expect(order).toEqual([...order].sort((a, b) => a - b))
    }
  })
})

test('gravel is seen from the south as deep as it lies, once where beds stand behind one another', () => {
  const made = plan({ ...whole, floor: usualFloors.imperial, base: usualBase('skids', 'imperial') })
  const { beds } = made.frame.base
  const gravel = baseElevation(made).patches.filter(({ ink }) => ink === 'gravel')
  const seen = new Set(beds.map(({ rect, low, high }) => `${rect.x0} ${rect.x1} ${low} ${high}`))
  expect(beds.length).toBeGreaterThan(0)
  expect(gravel).toHaveLength(seen.size)
  for (const { loops } of gravel) {
    const ys = loops.flat().map(({ y }) => y)
    expect(beds.map(({ low, high }) => [low, high])).toContainEqual([Math.min(...ys), Math.max(...ys)])
  }
})
