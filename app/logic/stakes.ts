import { rectangle, type Spot, spot, stakeNames, type Stakes } from '../../core/survey'

/**
 * A picture of four stakes, px: the rectangle that was meant, and the true shape with its errors drawn larger
 * so that they are seen.
 */
export interface StakePicture {
  readonly meant: readonly Spot[]
  readonly real: readonly Spot[] | null
  readonly times: number
}

/** How large the worst error is drawn, as a share of the shorter side. */
const SHOWN = 0.09

/**
 * Fits the meant rectangle into `width` by `height` px with `margin` round it; errors are drawn a whole
 * number of times larger. `real` in the building's axes.
 */
export function stakePicture(
  length: number,
  span: number,
  real: Stakes | null,
  width: number,
  height: number,
  margin: number,
): StakePicture {
  const scale = Math.max(0.001, Math.min((width - 2 * margin) / length, (height - 2 * margin) / span))
  const [left, bottom] = [(width - length * scale) / 2, (height + span * scale) / 2]
  const on = (p: Spot): Spot => spot(left + p.x * scale, bottom - p.y * scale)
  const meant = rectangle(length, span)
  const worst = real
    ? Math.max(
        ...stakeNames.map(name => Math.hypot(real[name].x - meant[name].x, real[name].y - meant[name].y)),
      )
    : 0
  const times = worst > 0.1 ? Math.max(1, Math.floor((SHOWN * Math.min(length, span)) / worst)) : 1
  const larger = (name: (typeof stakeNames)[number]): Spot =>
    real
      ? spot(
          meant[name].x + (real[name].x - meant[name].x) * times,
          meant[name].y + (real[name].y - meant[name].y) * times,
        )
      : meant[name]
  return {
    meant: stakeNames.map(name => on(meant[name])),
    real: real ? stakeNames.map(name => on(larger(name))) : null,
    times,
  }
}
