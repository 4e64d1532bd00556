export {
  box,
  carve,
  clip,
  type Clip,
  type Convex,
  type Face,
  INSIDE,
  polygonArea,
  validateConvex,
  volume,
} from './convex'
export { type Mesh, meshOf, meshVolume } from './mesh'
export { place, type Placement, planeToBoard, toBoard, toBuilding } from './placement'
export { distanceTo, downOf, fallOf, flip, meets, type Plane, planeAcross, planeAt, sideOf } from './plane'
export { outlineOf, shell, type ShellFace } from './shell'
export {
  add,
  between,
  cross,
  distance,
  dot,
  isFiniteVec,
  length,
  scale,
  subtract,
  unit,
  type Vec3,
  vec,
} from './vector'
export { prismShell } from './prism'
