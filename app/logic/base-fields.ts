import type { Base, GroundPath } from '../../core/design'

const gravel: readonly GroundPath[] = ['base.gravel.depth', 'base.gravel.beyond']

/**
 * The lengths of a base that are typed above its drawing, in the order they are thought of; its height over
 * the ground and its frost depth stand on the drawing too.
 */
export function baseLengths(base: Base | null): readonly GroundPath[] {
  switch (base?.kind) {
    case undefined:
      return []
    case 'border':
    case 'skids':
      return ['base.lift', ...gravel]
    case 'blocks':
      return ['base.lift', 'base.spacing', 'base.block.side', 'base.block.height', ...gravel]
    case 'posts':
      return ['base.lift', 'base.spacing', 'base.frost', 'base.hole']
    case 'poles':
      return [
        ...(['base.lift', 'base.frost', 'base.hole', 'base.pad', 'base.long'] as const),
        ...(base.skirt ? (['base.gravel.depth', 'base.skirt.spacing', 'base.skirt.into'] as const) : gravel),
      ]
    case 'piers':
      return ['base.lift', 'base.spacing', 'base.frost', 'base.diameter']
    case 'slab':
      return [
        'base.lift',
        'base.thickness',
        'base.beyond',
        ...gravel,
        ...(base.lowWall ? (['base.lowWall.height', 'base.lowWall.thickness'] as const) : []),
      ]
  }
}
