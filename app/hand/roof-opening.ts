import { roofHas, type RoofOpeningKind } from '../../core/design'
import { isOfRoofOpening } from '../../core/frame'
import { leavesOut, trussesAbout } from '../../core/lines'
import { roofOpeningWords, sayLength, sideWords } from '../../core/words'
import { dropRoofOpening } from '../logic/changes/roof'
import { act, type At, choice, lengths, type Row, say } from './row'

/** A roof light, a flue or a stair through the ceiling. */
export function roofOpening(at: At): Row[] {
  const i = at.subject.index ?? 0
  const opening = at.design.roof.openings[i]
  if (!opening) return []
  const path = `roof.openings.${i}` as `roof.openings.${number}`
  const slopes = roofHas(at.design.roof).falls
  const framed = at.plan.frame.members.some(({ where }) => isOfRoofOpening(where, i + 1))
  const out = opening.kind === 'stair' && leavesOut(at.plan.building)
  const gap = trussesAbout(at.plan.building, at.plan.frame.lumber.rafter).left.find(
    each => each.number === i + 1,
  )?.gap
  return [
    ...(opening.kind === 'stair' || slopes.length === 1
      ? []
      : [
          choice(
            at,
            `${path}.slope`,
            slopes.map(value => ({ value, label: sideWords[value] })),
          ),
        ]),
    ...lengths(
      at,
      `${path}.at`,
      `${path}.up`,
      ...(out ? [] : ([`${path}.width`] as const)),
      `${path}.length`,
    ),
    ...(out && gap
      ? [
          say(
            `The nearest truss is left out and its neighbours doubled on their far sides: ${sayLength(gap.to - gap.from, at.units)} clear between them. Rungs carry the roof over the gap.`,
          ),
        ]
      : []),
    choice(
      at,
      `${path}.plies`,
      [
        { value: 1, label: 'One board' },
        { value: 2, label: 'Two boards' },
      ],
      { name: 'Beside it' },
    ),
    ...(framed ? [] : [say('not framed', true)]),
    act(`Take the ${roofWord(opening.kind)} away`, 'pi pi-times', dropRoofOpening(i), { then: 'roof' }),
  ]
}
const roofWord = (kind: RoofOpeningKind): string => roofOpeningWords[kind].toLowerCase()
