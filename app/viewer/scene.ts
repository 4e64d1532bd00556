import {
  AmbientLight,
  Box3,
  BufferGeometry,
  Color,
  DirectionalLight,
  EdgesGeometry,
  Float32BufferAttribute,
  LineBasicMaterial,
  LineSegments,
  Matrix4,
  Mesh,
  MeshLambertMaterial,
  PerspectiveCamera,
  Raycaster,
  Scene,
  Sphere,
  Vector2,
  Vector3,
  WebGLRenderer,
} from 'three'
import { OrbitControls } from 'three/addons/controls/OrbitControls.js'
import type { Model, ModelMember } from '../../core/drawing'

/** Degrees between two faces about a round solid, and more: no edge of it. */
const ROUND = 30

/** Colours of the scene, as CSS. */
export interface Paints {
  readonly ground: string
  readonly wood: string
  readonly sheet: string
  readonly metal: string
  readonly ink: string
  readonly hand: string
}

/**
 * How a model is shown: members in hand, members faded, those not raised yet, and how far it is pulled apart
 * (0 to 1).
 */
export interface Showing {
  readonly hand: ReadonlySet<string>
  readonly faded: ReadonlySet<string>
  readonly hidden: ReadonlySet<string>
  readonly apart: number
}

export interface Viewer {
  setModel(model: Model, fitToo: boolean): void
  show(showing: Showing): void
  paint(paints: Paints): void
  resize(width: number, height: number): void
  fit(): void
  /** Turns the view by degrees, level and up. */
  turn(level: number, up: number): void
  /** Comes nearer (below 1) or goes back (above 1). */
  zoom(by: number): void
  /** The member at a point of the canvas in px; null where there is none. */
  pick(x: number, y: number): string | null
  /** The view as a PNG. */
  picture(): Promise<Blob | null>
  dispose(): void
}

interface Standing {
  readonly member: ModelMember
  readonly body: Mesh
  readonly edges: LineSegments
  readonly away: Vector3
}

/**
 * Shows a model on a canvas; draws when something changes, never by itself. Throws where the browser has no
 * WebGL.
 */
export function createViewer(canvas: HTMLCanvasElement): Viewer {
  const renderer = new WebGLRenderer({ canvas, antialias: true, preserveDrawingBuffer: false })
  renderer.setPixelRatio(Math.min(2, devicePixelRatio))
  const scene = new Scene()
  const camera = new PerspectiveCamera(35, 1, 50, 200_000)
  camera.up.set(0, 0, 1)
  const controls = new OrbitControls(camera, canvas)
  const sun = new DirectionalLight(0xffffff, 2)
  const solid = (): MeshLambertMaterial =>
    new MeshLambertMaterial({
      flatShading: true,
      polygonOffset: true,
      polygonOffsetFactor: 0.12,
      polygonOffsetUnits: 1,
    })
  const materials = {
    wood: solid(),
    sheet: solid(),
    metal: solid(),
    clear: new MeshLambertMaterial({
      flatShading: true,
      transparent: true,
      opacity: 0.45,
      depthWrite: false,
    }),
    hand: solid(),
    faded: new MeshLambertMaterial({
      flatShading: true,
      transparent: true,
      opacity: 0.12,
      depthWrite: false,
    }),
    line: new LineBasicMaterial(),
    fadedLine: new LineBasicMaterial({ transparent: true, opacity: 0.2 }),
  }
  scene.add(new AmbientLight(0xffffff, 1.3), sun)
  let standing: Standing[] = []
  let geometries: BufferGeometry[] = []
  let bounds = new Sphere(new Vector3(), 1000)
  let waiting = 0

  function draw(): void {
    if (!waiting) waiting = requestAnimationFrame(now)
  }

  function now(): void {
    waiting = 0
    sun.position.copy(camera.position).add(new Vector3(0, 0, bounds.radius))
    renderer.render(scene, camera)
  }

  function clear(): void {
    for (const { body, edges } of standing) scene.remove(body, edges)
    for (const geometry of geometries) geometry.dispose()
    standing = []
    geometries = []
  }

  function setModel(model: Model, fitToo: boolean): void {
    clear()
    const middle = new Vector3(
      (model.low.x + model.high.x) / 2,
      (model.low.y + model.high.y) / 2,
      model.low.z,
    )
    const bodies = model.shapes.map(shape => {
      const geometry = new BufferGeometry()
      geometry.setAttribute('position', new Float32BufferAttribute(shape.positions as number[], 3))
      geometry.setIndex(shape.indices as number[])
      return { geometry, edges: new EdgesGeometry(geometry, shape.round ? ROUND : 1) }
    })
    geometries = bodies.flatMap(each => [each.geometry, each.edges])
    standing = model.members.flatMap(member => {
      const shape = bodies[member.shape]
      if (!shape) return []
      const body = new Mesh(shape.geometry, materials[member.tone])
      const edges = new LineSegments(shape.edges, materials.line)
      body.name = member.id
      const away = new Vector3(member.middle.x, member.middle.y, member.middle.z).sub(middle)
      scene.add(body, edges)
      return [{ member, body, edges, away }]
    })
    bounds = new Box3(
      new Vector3(model.low.x, model.low.y, model.low.z),
      new Vector3(model.high.x, model.high.y, model.high.z),
    ).getBoundingSphere(new Sphere())
    camera.near = Math.max(20, bounds.radius * 0.05)
    camera.far = bounds.radius * 40
    camera.updateProjectionMatrix()
    if (fitToo) fit()
    draw()
  }

  function show({ hand, faded, hidden, apart }: Showing): void {
    for (const { member, body, edges, away } of standing) {
      const ghost = faded.has(member.id) && !hand.has(member.id)
      body.material = hand.has(member.id) ? materials.hand : ghost ? materials.faded : materials[member.tone]
      edges.material = ghost ? materials.fadedLine : materials.line
      body.visible = edges.visible = !hidden.has(member.id)
      const at = matrixOf(member, away.clone().multiplyScalar(apart * 0.8))
      for (const part of [body, edges]) {
        part.matrixAutoUpdate = false
        part.matrix.copy(at)
        part.updateMatrixWorld(true)
      }
    }
    draw()
  }

  function fit(): void {
    const distance =
      (1.05 * bounds.radius) / Math.sin((Math.min(camera.fov, camera.fov * camera.aspect) * Math.PI) / 360)
    camera.position
      .copy(bounds.center)
      .add(new Vector3(0.55, -0.72, 0.42).normalize().multiplyScalar(distance))
    controls.target.copy(bounds.center)
    controls.update()
    draw()
  }

  function turn(level: number, up: number): void {
    const from = camera.position.clone().sub(controls.target)
    const radius = from.length()
    const azimuth = Math.atan2(from.y, from.x) + (level * Math.PI) / 180
    const height = Math.min(1.5, Math.max(-0.3, Math.asin(from.z / radius) + (up * Math.PI) / 180))
    camera.position
      .copy(controls.target)
      .add(
        new Vector3(
          Math.cos(height) * Math.cos(azimuth),
          Math.cos(height) * Math.sin(azimuth),
          Math.sin(height),
        ).multiplyScalar(radius),
      )
    controls.update()
    draw()
  }

  function zoom(by: number): void {
    camera.position.sub(controls.target).multiplyScalar(by).add(controls.target)
    controls.update()
    draw()
  }

  function pick(x: number, y: number): string | null {
    const size = renderer.getSize(new Vector2())
    const ray = new Raycaster()
    ray.setFromCamera(new Vector2((2 * x) / size.x - 1, 1 - (2 * y) / size.y), camera)
    const hits = ray.intersectObjects(
      standing.filter(each => each.body.visible).map(each => each.body),
      false,
    )
    return (
      (hits.find(hit => (hit.object as Mesh).material !== materials.faded) ?? hits[0])?.object.name ?? null
    )
  }

  controls.addEventListener('change', draw)
  return {
    setModel,
    show,
    fit,
    turn,
    zoom,
    pick,
    paint(paints) {
      scene.background = new Color(paints.ground)
      materials.wood.color.set(paints.wood)
      materials.sheet.color.set(paints.sheet)
      materials.metal.color.set(paints.metal)
      materials.clear.color.set(paints.metal)
      materials.faded.color.set(paints.wood)
      materials.hand.color.set(paints.hand)
      materials.line.color.set(paints.ink)
      materials.fadedLine.color.set(paints.ink)
      draw()
    },
    resize(width, height) {
      renderer.setSize(width, height, false)
      camera.aspect = width / Math.max(1, height)
      camera.updateProjectionMatrix()
      draw()
    },
    picture() {
      now()
      return new Promise(resolve => canvas.toBlob(resolve, 'image/png'))
    },
    dispose() {
      cancelAnimationFrame(waiting)
      clear()
      controls.dispose()
      for (const material of Object.values(materials)) material.dispose()
      renderer.dispose()
      renderer.forceContextLoss()
    },
  }
}

/** Board axes to the building, moved by `away`. */
function matrixOf({ placement: { origin, along, depth, thickness } }: ModelMember, away: Vector3): Matrix4 {
  return new Matrix4().set(
    along.x,
    depth.x,
    thickness.x,
    origin.x + away.x,
    along.y,
    depth.y,
    thickness.y,
    origin.y + away.y,
    along.z,
    depth.z,
    thickness.z,
    origin.z + away.z,
    0,
    0,
    0,
    1,
  )
}
