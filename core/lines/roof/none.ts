import type { RoofShape } from './form'

/** No faces and no edges: the building ends with its walls, or with its deck. */
export const none: RoofShape = {
  lay: ({ heights, walls }) => ({
    framed: false,
    problems: [],
    lines: {
      faces: [],
      edges: [],
      coverSetback: 0,
      highest: Math.max(
        0,
        ...(['south', 'east', 'north', 'west'] as const)
          .filter(side => walls.sides[side].build !== 'open')
          .map(side => heights[side]),
      ),
    },
  }),
  places: () => ({}),
}
