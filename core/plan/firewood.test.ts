import { expect, test } from '@jest/globals'
import { starters, workedOut } from '../design'
import { FOOT, INCH } from '../measure'
import { firewoodIn } from './firewood'

const begun = (name: string) => {
  const starter = starters.find(each => each.name === name)
  if (!starter) throw new Error(name)
  return workedOut(starter.design(name, 'imperial', starter.usual.imperial))
}

test('a wood store of 22 by 11 ft, 7 ft to its low plate, inside posts of 4 in: 12.06 cords', () => {
  const found = firewoodIn(begun('wood-store'))
  // by hand: (264 - 8) x (132 - 8) x 84 in, in cords of 4 x 4 x 8 ft
  expect(found?.long).toBeCloseTo(256 * INCH, 6)
  expect(found?.wide).toBeCloseTo(124 * INCH, 6)
  expect(found?.cords).toBeCloseTo((256 * 124 * 84) / 12 ** 3 / 128, 9)
  expect(found?.high).toBeCloseTo(7 * FOOT, 6)
})

test('what is no store says nothing of firewood', () => {
  expect(firewoodIn(begun('garden-shed'))).toBeNull()
})
