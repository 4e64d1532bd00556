import { computed, type Ref } from 'vue'
import {
  heightOf,
  isSide,
  type LayoutFrom,
  type Side,
  type SideName,
  usualSheathing,
  usualSiding,
  type WallId,
} from '../../core/design'
import { useBench } from '../stores/bench'

/** What can be chosen of one wall, and of the sheets on all. */
export function useWalls(wall: Ref<WallId>) {
  const bench = useBench()
  const walls = computed(() => bench.design?.walls ?? null)
  const layout = computed<LayoutFrom>({
    get: () => (isSide(wall.value) ? (walls.value?.sides[wall.value].layout ?? 'low') : 'low'),
    set: value => {
      if (isSide(wall.value)) bench.setValue(`walls.sides.${wall.value}.layout`, value)
    },
  })
  const heightNow = (side: SideName): number =>
    bench.plan?.building.heights[side] ?? (walls.value ? heightOf(walls.value, side) : 0)
  /** A wall that gets its own height begins with the one it has. */
  const ownHeight = computed<'all' | 'own'>({
    get: () => (!isSide(wall.value) || walls.value?.sides[wall.value].height === null ? 'all' : 'own'),
    set: value => {
      if (walls.value && isSide(wall.value))
        bench.setValue(`walls.sides.${wall.value}.height`, value === 'own' ? heightNow(wall.value) : null)
    },
  })
  const step = computed(() => (isSide(wall.value) ? (walls.value?.sides[wall.value].step ?? null) : null))
  /** A wall that is to step begins to at its middle, to the north as high as the north wall. */
  const steps = computed<'no' | 'yes'>({
    get: () => (step.value ? 'yes' : 'no'),
    set: value => {
      if (bench.design && walls.value && isSide(wall.value))
        bench.setValue(
          `walls.sides.${wall.value}.step`,
          value === 'yes'
            ? {
                at: Math.round(bench.design.footprint.width / 2),
                height: heightNow('north'),
              }
            : null,
        )
    },
  })
  const own = <K extends 'build' | 'cover'>(key: K, usual: Side[K]) =>
    computed<Side[K]>({
      get: () => (isSide(wall.value) ? (walls.value?.sides[wall.value][key] ?? usual) : usual),
      set: value => {
        if (isSide(wall.value)) bench.setValue(`walls.sides.${wall.value}.${key}`, value)
      },
    })
  const build = own('build', 'studs')
  const cover = own('cover', 'sheets')
  const covered = computed<'none' | 'sheets'>({
    get: () => (walls.value?.sheathing ? 'sheets' : 'none'),
    set: value =>
      bench.setValue(
        'walls.sheathing',
        value === 'sheets' ? usualSheathing[bench.design?.lumber.yard ?? 'imperial'] : null,
      ),
  })
  const siding = computed<'none' | 'lapped'>({
    get: () => (walls.value?.siding ? 'lapped' : 'none'),
    set: value =>
      bench.setValue(
        'walls.siding',
        value === 'lapped' ? usualSiding[bench.design?.lumber.yard ?? 'imperial'] : null,
      ),
  })
  return { walls, siding, layout, ownHeight, step, steps, build, cover, covered }
}
