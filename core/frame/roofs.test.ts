import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { likeness } from '../board'
import { hasMouth, lowSide, roofShapeNames } from '../design'
import { meshOf } from '../geometry'
import { everyBoard } from './index'
import { radians } from '../measure'
import { plan } from '../plan'
import { furnishedSheds, runs } from '../testing/designs'
import { solidOf, touching } from '../testing/solids'
import { gambrelSheds } from '../testing/trussed'

const shaped = (shape: (typeof roofShapeNames)[number]) =>
  shape === 'gambrel' ? gambrelSheds : furnishedSheds.filter(design => design.roof.shape === shape)

// a pergola has no slope, and random ones of its own; without a roof there is none to look at
const shapes = roofShapeNames.filter(shape => shape !== 'pergola' && shape !== 'none')

describe('random roofs of every shape', () => {
  test.each(shapes)(
    '%s: its pieces close, are told apart and add up, and mirrored ones are mirrored',
    shape => {
      let framed = 0
      fc.assert(
        fc.property(shaped(shape), design => {
          const { pieces, frame } = plan(design)
          const members = new Map(everyBoard(frame).map(member => [member.id, member]))
          if (frame.members.some(member => member.id.startsWith('roof/'))) framed++
          expect(pieces.flatMap(piece => piece.members).sort()).toEqual([...members.keys()].sort())
          const roof = pieces.filter(piece => piece.members.some(id => id.startsWith('roof/')))
          for (const piece of roof) {
            // the kernel takes closed meshes alone, and measures the same wood
            const solid = solidOf(meshOf(piece.board.faces))
            expect(solid.status()).toBe('NoError')
            expect(Math.abs(solid.volume() - piece.volume)).toBeLessThan(1e-3 * piece.volume + 1)
            solid.delete()
            const other = roof.find(each => each.mark === piece.mirrorOf)
            if (!other) continue
            expect(likeness(piece.board, other.board)).toBe('mirrored')
            expect(Math.abs(piece.volume - other.volume)).toBeLessThan(1e-3 * piece.volume + 1)
          }
          roof.forEach((piece, i) =>
            roof
              .slice(i + 1)
              .filter(each => each.role === piece.role && each.section.name === piece.section.name)
              .forEach(each => expect(likeness(piece.board, each.board)).not.toBe('same')),
          )
        }),
        { numRuns: runs(15) },
      )
      expect(framed).toBeGreaterThan(0)
    },
    240_000,
  )

  test.each(shapes)(
    '%s: a rafter between the end ones bears on the plates over its thickness by what is said',
    shape => {
      let held = 0
      fc.assert(
        fc.property(shaped(shape), design => {
          const { roof, frame } = plan(design)
          // read at the low wall, and at the south one of two: slopes may be unlike, and where tails are cut
          // square, so may their seats
          const low = shape === 'single-slope' || shape === 'lean-to' ? lowSide(design.roof) : 'south'
          const rafter = frame.members
            .filter(
              ({ id, role }) =>
                new RegExp(`^roof/((${low}(-low)?/)?rafter/\\d+|truss/\\d+/chord/${low}-low)$`).test(id) &&
                (role === 'rafter' || role === 'roof-joist' || role === 'lower-chord'),
            )
            .slice(1, -1)[0]
          if (
            !roof ||
            !rafter ||
            (shape === 'gambrel'
              ? design.roof.gambrel.foot.rule === 'on-plate'
              : !hasMouth(design.roof.seat) || design.roof.seat.rule === 'height-above-plate') ||
            !frame.members.some(({ role }) => role === 'top-plate' || role === 'wall-beam')
          )
            return
          const walls = shape === 'flat' ? ['south', 'north'] : [low]
          const area = frame.members
            .filter(
              member =>
                (member.role === 'top-plate' || member.role === 'wall-beam') &&
                walls.some(wall => member.id.startsWith(`walls/${wall}/`)),
            )
            .reduce((sum, plate) => sum + touching(rafter, plate, 0.1), 0)
          // a level joist lies on both walls, that may be of unlike breadth
          const breadth = (wall: string): number =>
            frame.building.bearers[wall === 'north' ? 'north' : 'south'].reduce(
              (sum, { from, to }) => sum + to - from,
              0,
            )
          const bears =
            shape === 'flat'
              ? walls.reduce((sum, wall) => sum + breadth(wall), 0)
              : walls.length * roof.bearing
          const stated = bears * rafter.section.thickness
          if (stated < 1) return // hardly cut: it stands on an edge
          held++
          expect(area).toBeGreaterThan(0.96 * stated)
          // sinking it by a tenth of a millimetre sinks the slope beside the seat too
          expect(area).toBeLessThan(
            1.02 * stated +
              walls.length * rafter.section.thickness * (0.1 / Math.tan(radians(roof.angle)) + 0.2),
          )
        }),
        // of some shapes few have what is looked at
        { numRuns: Math.max(15, runs(15)) },
      )
      expect(held).toBeGreaterThan(0)
    },
    240_000,
  )
})
