import { formatLength, type Units } from '../measure'
import type { Plan, SettingPlaces, SettingStep, SettingStepName } from '../plan'
import { roles } from '../trade'
import { sayLength } from './measures'
import { capital, saySlope } from './roofs'

/** What a step of setting is called. */
export const settingNames: Readonly<Record<SettingStepName, string>> = {
  walls: 'Brace the walls',
  first: 'Stand the first truss',
  others: 'Stand the others',
  rows: 'Nail the rows on',
  diagonals: 'Nail the diagonals on',
  covering: 'Cover the roof',
}

/** What is done in a step, in a sentence or two each. */
export function saySetting(plan: Plan, { name }: SettingStep, units: Units): string[] {
  const { setting } = plan.building.roof.truss ?? {}
  if (!setting) return []
  const mm = (value: number): string => sayLength(value, units)
  const other = setting.straight === 'south' ? 'north' : 'south'
  switch (name) {
    case 'walls':
      return [
        `Stretch a string along the ${setting.straight} wall's top, a block under it at either end and one to try it with. Nail the braces on while the wall stands to it, dead straight.`,
        `Brace the ${other} wall no farther apart than ${mm(setting.braces)}: the trusses bring it straight.`,
      ]
    case 'first':
      return [
        setting.first === 'strongbacks'
          ? "Screw the strongbacks upright to the west gable's framing, top and foot, and the truss to them, plumb and on its marks."
          : 'Stand the truss on its marks on the west gable, plumb, and nail the braces from its chord to stakes driven in the ground.',
      ]
    case 'others':
      return [
        setting.spacers === 'flush'
          ? 'On its marks, then the spacer: one end flush with the far face of the truss that stands, the other with that of the new one. Two nails in each end.'
          : `On its marks, then the spacers between the two${setting.scrap ? ', the scrap block nailed on over both chords' : ''}. Two nails in each end.`,
        ...(plan.frame.temporary.some(({ where }) => where.name === 'end-spacer')
          ? [
              'Beside an end truss that lies lower, the spacer stands between the two; it stays until the lookouts are on.',
            ]
          : []),
      ]
    case 'rows':
      return [
        setting.purlins === null
          ? 'Before anyone climbs: rows on the top chords first, pieces joined over a truss; then those on bottom chords and webs. Take the spacers and what holds the first truss off as the rows go on.'
          : 'Before anyone climbs: purlins flat over the chords, from the ridge down, joined over a truss; then the rows on bottom chords and webs. Take the spacers and what holds the first truss off as they go on.',
      ]
    case 'diagonals':
      return [
        'Plumb the row, then nail them on flat, up toward the middle from both ends, so that it can fall neither way.',
      ]
    case 'covering':
      return [
        `${setting.purlins === null ? 'What lies on the top chords comes off as the roof is sheathed. ' : ''}The walls' braces come down last.`,
        'What is under the chords, on the bottom chords and on webs stays.',
      ]
  }
}

/** Boards of a step as they are called out: their mark, how many, how long, and whether they stay. */
export const settingBoards = (
  { boards }: SettingStep,
  units: Units,
): { readonly mark: string; readonly what: string; readonly length: string; readonly stays: string }[] =>
  boards.map(({ mark, role, count, length, stays }) => ({
    mark,
    what: `${count} ${count === 1 ? roles[role].one : roles[role].many}`,
    length: formatLength(length, { units }),
    stays: `${stays ? 'stay' : 'come'}${count === 1 ? 's' : ''}${stays ? '' : ' down'}`,
  }))

/** What places are measured from. */
const fromWords: Readonly<Record<SettingPlaces['from'], string>> = {
  west: 'from the west corner',
  south: 'from the south corner',
  head: "down the slope, to the board's upper edge",
}

/** Where they go, as the tape runs; slopes on which they lie alike in one line. */
export function settingPlaces({ places }: SettingStep, units: Units): string[] {
  const alike = new Map<string, SettingPlaces[]>()
  for (const each of places) {
    const run = each.at.map(at => formatLength(at, { units })).join(', ')
    const key = `${each.role} ${each.role === 'wall-brace' ? each.of : ''} ${run}`
    alike.set(key, [...(alike.get(key) ?? []), each])
  }
  return [...alike.values()].flatMap(group => {
    const [first] = group
    if (!first) return []
    const slopes = group.flatMap(({ of }) => (of === null ? [] : [saySlope(of)]))
    const where =
      first.role === 'wall-brace'
        ? `, ${first.of} wall`
        : slopes.length
          ? `, ${slopes.join(' and ')} slope${slopes.length > 1 ? 's' : ''}`
          : ''
    const run = first.at.map(at => formatLength(at, { units })).join(', ')
    return [`${capital(roles[first.role].many)}${where}: ${run} ${fromWords[first.from]}.`]
  })
}
