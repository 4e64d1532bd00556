import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { readDesign } from '../design'
import { furnishedSheds, runs } from '../testing/designs'
import { groundedSheds } from '../testing/grounded'
import { openedSheds } from '../testing/opened'
import { documentedFiles } from '../testing/documented'
import { type Frame, frame, idOf, type MemberPlace } from './index'
import { isOfFrame, isOfPartition, ofEave, ofGable, ofOpening, wallOf } from './place'

const placed = ({ members, temporary, base }: Frame) => [
  ...members,
  ...temporary,
  ...base.parts,
  ...base.holes,
  ...base.beds,
]

/** Whether what a place is of stands in the building. */
function stands({ in: within, of, run }: MemberPlace, { walls, roof, floor, openings }: Frame): boolean {
  const names = walls.map(({ name }) => name)
  switch (of?.kind) {
    case undefined:
      return within !== 'walls'
    case 'wall':
    case 'gable':
      return within === 'walls' && names.includes(of.id)
    case 'opening':
    case 'gable-opening':
      return within === 'walls' && !!openings[of.id]?.some(({ number }) => number === of.number - 1)
    case 'floor-frame':
      return within === 'floor' && !!floor?.bays.some(({ frame }) => frame === of.id)
    case 'face':
      return within === 'roof' && roof.faces.some(({ id }) => id === of.id)
    case 'edge':
      return within === 'roof' && roof.edges.some(edge => edge.id === of.id)
    case 'truss':
      return within === 'roof' && of.number > 0 && of.number <= (roof.faces[0]?.places.length ?? 0)
    case 'setting':
      return within === 'roof' && (of.truss === null || (roof.faces[0]?.places.length ?? 0) >= of.truss)
    case 'roof-opening':
      return within === 'roof' && run.length > 0
  }
}

test('everything in a building is placed, is of something that stands there, and is called by its place alone', () => {
  const designs = fc.oneof(
    furnishedSheds,
    groundedSheds,
    openedSheds,
    documentedFiles.map(file => {
      const result = readDesign(JSON.parse(JSON.stringify(file)))
      if (!result.ok) throw new Error('not a valid design')
      return result.design
    }),
  )
  fc.assert(
    fc.property(designs, design => {
      const made = frame(design)
      const all = placed(made)
      expect(all.filter(({ id, where }) => id !== idOf(where))).toEqual([])
      expect(new Set(all.map(({ id }) => id)).size).toBe(all.length)
      expect(all.filter(({ where }) => !stands(where, made)).map(({ id }) => id)).toEqual([])
    }),
    { numRuns: runs(60) },
  )
}, 3_600_000)

test('a place is spelled as in the plans that stand', () => {
  // as members were called before they had a place: plans in the open file format name them so
  expect(idOf(ofOpening('partition-2', 3, 'king', 1))).toBe('walls/partition-2/opening/3/king/1')
  expect(idOf(ofGable('east', 'south/sheet', 2, 1))).toBe('walls/east/gable/south/sheet/2/1')
  expect(idOf(ofEave({ id: 'south' }, 'soffit/ledger'))).toBe('roof/south/soffit/ledger')
})

test('what a thing is of is asked of its place', () => {
  const jack = ofOpening('partition-2', 3, 'jack', 1)
  expect(wallOf(jack)).toBe('partition-2')
  expect(isOfPartition(jack)).toBe(true)
  expect(isOfPartition(ofGable('east', 'stud', 1))).toBe(false)
  const joist: MemberPlace = { in: 'floor', of: { kind: 'floor-frame', id: 'west' }, name: 'joist', run: [1] }
  expect(isOfFrame(joist, { in: 'floor', frame: 'west' })).toBe(true)
  expect(isOfFrame(joist, { in: 'floor', frame: 'east' })).toBe(false)
  expect(isOfFrame(joist, { in: 'porch', frame: null })).toBe(false)
})
