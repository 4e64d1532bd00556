import { defaultSetting, STRAIGHT_BRACES, usualFlatPurlins, withEdit } from '../../core/design'
import { sayLength } from '../../core/words'
import { act, type At, boardOrNone, choice, head, length, lengths, onOff, type Row, say } from './row'

/** Whether it is planned here how they are set. */
const plannedHere = (at: At, planned: boolean): Row =>
  choice(at, 'roof.truss.setting', onOff('By a bracing sheet', 'Planned here'), {
    value: planned ? 'yes' : 'no',
    change: to => design => withEdit(design, 'roof.truss.setting', to === 'yes' ? defaultSetting : null),
  })

/** How a row of trusses is set and braced. */
export function setting(at: At): Row[] {
  const planned = at.design.roof.truss.setting
  const worked = at.plan.building.roof.truss?.setting
  if (!planned || !worked)
    return [
      plannedHere(at, false),
      say('Whoever sets the trusses follows the bracing sheet of who made them.'),
    ]
  const other = planned.straight === 'south' ? 'north' : 'south'
  const bottom = at.plan.frame.members.some(({ role }) => role === 'bottom-chord')
  const webs = at.plan.frame.members.some(({ role }) => role === 'web')
  return [
    plannedHere(at, true),
    boardOrNone(at, 'roof.truss.setting.section', { none: `As usual: ${worked.section}` }),
    head('Walls'),
    choice(at, 'roof.truss.setting.straight', [
      { value: 'south', label: 'The south wall' },
      { value: 'north', label: 'The north wall' },
    ]),
    ...length(at, 'roof.truss.setting.braces'),
    say(
      `The straight wall has a brace every ${sayLength(STRAIGHT_BRACES, at.units)}; the ${other} wall as typed.`,
    ),
    head('Trusses'),
    choice(at, 'roof.truss.setting.first', [
      { value: 'strongbacks', label: 'Strongbacks on the gable' },
      { value: 'ground', label: 'Braces to the ground' },
    ]),
    choice(at, 'roof.truss.setting.spacers', [
      { value: 'flush', label: 'Laid over two, flush' },
      { value: 'between', label: 'Set between two' },
    ]),
    ...(planned.spacers === 'between'
      ? [
          choice(at, 'roof.truss.setting.scrap', onOff('None', 'Over each spacer'), {
            value: planned.scrap ? 'yes' : 'no',
            change: to => design => withEdit(design, 'roof.truss.setting.scrap', to === 'yes'),
          }),
        ]
      : []),
    head('Rows'),
    choice(at, 'roof.truss.setting.purlins', onOff('Rows until it is covered', 'Purlins flat, for good'), {
      name: 'On the top chords',
      value: planned.purlins === null ? 'no' : 'yes',
      change: to => design =>
        withEdit(
          design,
          'roof.truss.setting.purlins',
          to === 'yes' ? usualFlatPurlins[design.lumber.yard] : null,
        ),
    }),
    ...(planned.purlins === null
      ? length(at, 'roof.truss.setting.rows.top')
      : length(at, 'roof.truss.setting.purlins')),
    ...(bottom ? length(at, 'roof.truss.setting.rows.bottom') : []),
    ...(webs ? length(at, 'roof.truss.setting.rows.webs') : []),
    ...(planned.rows.top !== null || planned.rows.bottom !== null
      ? [
          act('Let the rows follow the span', 'pi pi-undo', design =>
            withEdit(
              withEdit(design, 'roof.truss.setting.rows.top', null),
              'roof.truss.setting.rows.bottom',
              null,
            ),
          ),
        ]
      : []),
    ...lengths(at, 'roof.truss.setting.bays'),
  ]
}
