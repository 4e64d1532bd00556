/** A rectangle seen from above, in the building, mm; x0 below x1, y0 below y1. */
export interface Rect { readonly x0: number, readonly x1: number, readonly y0: number, readonly y1: number }

const SLACK = 1e-6

/** Whether two rectangles share more than an edge. */
export const overlaps = (a: Rect, b: Rect): boolean => a.x0 < b.x1 - SLACK && b.x0 < a.x1 - SLACK && a.y0 < b.y1 - SLACK && b.y0 < a.y1 - SLACK

export const within = (inner: Rect, outer: Rect): boolean => inner.x0 >= outer.x0 - SLACK && inner.x1 <= outer.x1 + SLACK && inner.y0 >= outer.y0 - SLACK && inner.y1 <= outer.y1 + SLACK

export const grown = ({ x0, x1, y0, y1 }: Rect, by: number): Rect => ({ x0: x0 - by, x1: x1 + by, y0: y0 - by, y1: y1 + by })

export const areaOfRect = ({ x0, x1, y0, y1 }: Rect): number => (x1 - x0) * (y1 - y0)
