import { carrierOf, type MemberPlace, ofFace } from '../place'
import { firringOn, joistReach } from './fly-joists'
import { lookoutCuts } from './lookouts'
import type { Building } from '../../design'
import { vec } from '../../geometry'
import {
  type Eave,
  eaveOfSide,
  type JackPlace,
  lowEaveOf,
  type RafterPlace,
  type RoofFace,
  type RoofLines,
  type RoofLumber,
} from '../../lines'
import { type Stretch } from '../../trade'
import { squareBoard } from '../square-board'
import type { BuildingCut, Order } from '../member'
import { kneeSeats } from './knee-support'
import { pergolaRafters } from './pergola'
import { partedOrders, roofHeaders } from './openings'
import { headCuts, kneeCut, rafterCuts, rafterOn, longestReach } from './rafter'

/**
 * What carries a face, from its low wall to its head: rafters, with the jacks on both sides of them, or level
 * joists with a firring on each; and the headers of its openings.
 */
export function faceOrders(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  face: RoofFace,
): Order[] {
  const eave = lowEaveOf(lines, face)
  if (!eave) return onKnee(building, lumber, lines, face)
  if (building.roof.pergola) return pergolaRafters(building, lumber, lines, eave)
  if (face.carrier.kind === 'joists') return joistOrders(building, lumber, lines, eave)
  const head = headCuts(building, lumber, lines, face)
  const lookouts = lookoutCuts(building, lumber, lines, face)
  const rafter = (
    where: MemberPlace,
    role: 'rafter' | 'jack-rafter',
    at: Stretch,
    cuts: readonly BuildingCut[],
    more: readonly BuildingCut[] = [],
  ): Order =>
    rafterOn({
      where,
      role,
      section: lumber.rafter,
      roofTop: face.top,
      at,
      ...longestReach(lines, face),
      ...rafterCuts(building, lumber, eave, cuts, more),
    })
  const jack = ({ number, at, cheek }: JackPlace): Order =>
    rafter(ofFace(face, 'jack', number), 'jack-rafter', at, [{ kind: 'end', name: 'cheek', plane: cheek }])
  const last = face.places.length - 1
  const whole = ({ name, run, at }: RafterPlace, i: number): Order =>
    rafter(carrierOf(face, name, ...run), 'rafter', at, head, [
      ...(i === 0 || i === last ? lookouts : []),
      ...kneeSeats(building, lumber, lines, face, at),
    ])
  return [
    ...face.jacks.low.map(jack),
    ...partedOrders(face.places, whole, { face, eave }, lumber.rafter),
    ...roofHeaders(building, lumber, lines, { face, eave }),
    ...face.jacks.high.map(jack),
  ]
}

/** The rafters of a face that stands on a knee, from there to its head. */
function onKnee(building: Building, lumber: RoofLumber, lines: RoofLines, face: RoofFace): Order[] {
  const lookouts = lookoutCuts(building, lumber, lines, face)
  const last = face.places.length - 1
  const eave = eaveOfSide(lines, face)
  if (!eave) return []
  const whole = ({ name, run, at }: RafterPlace, i: number): Order =>
    rafterOn({
      where: carrierOf(face, name, ...run),
      role: 'rafter',
      section: lumber.rafter,
      roofTop: face.top,
      at,
      ...longestReach(lines, face),
      cuts: [
        ...headCuts(building, lumber, lines, face),
        ...kneeCut(lines, face),
        ...(i === 0 || i === last ? lookouts : []),
        ...kneeSeats(building, lumber, lines, face, at),
      ],
    })
  return [
    ...partedOrders(face.places, whole, { face, eave }, lumber.rafter),
    ...roofHeaders(building, lumber, lines, { face, eave }),
  ]
}

/** Level joists from tail to tail, and on each a firring, ripped to the fall. */
function joistOrders(building: Building, lumber: RoofLumber, lines: RoofLines, low: Eave): Order[] {
  const { rafter } = lumber
  const reach = joistReach(lines)
  const joist = ({ name, run, at }: RafterPlace): Order =>
    squareBoard({
      ...{ along: 'y', depth: 'z', ...reach },
      where: carrierOf(low.face, name, ...run),
      role: 'roof-joist',
      section: rafter,
      corner: vec(at.from, 0, low.height),
    })
  const onJoist = ({ name, run, at }: RafterPlace): Order =>
    firringOn(lumber, low, reach, { where: carrierOf(low.face, `firring/${name}`, ...run), at })
  const { places } = low.face
  const slope = { face: low.face, eave: low }
  return [
    ...partedOrders(places, joist, slope, rafter),
    ...partedOrders(places, onJoist, slope, rafter, 'firring', 'firring/upper'),
    ...roofHeaders(building, lumber, lines, slope),
  ]
}
