/** The steps in which a building goes up, in their order. */
export const raisingSteps = [
  'ledger',
  'supports',
  'base',
  'floor',
  'porch',
  'deck',
  'south-wall',
  'north-wall',
  'east-wall',
  'west-wall',
  'partitions',
  'caps',
  'braces',
  'wall-braces',
  'inner-beams',
  'joists',
  'ridge',
  'rafters',
  'trusses',
  'rows',
  'diagonals',
  'hips',
  'jacks',
  'ties',
  'loft',
  'blocks',
  'gables',
  'ends',
  'fascia',
  'sheets',
  'clearing',
  'roof-deck',
  'roof-battens',
  'roofing',
  'soffit',
  'siding',
  'rails',
  'doors',
] as const
export type RaisingName = (typeof raisingSteps)[number]

/**
 * How a section beside a rafter shows a board: one of the rafters; nailed to a rafter's face or end; a tie
 * nailed there, of which the nearest is shown near the middle; a strut, of which the nearest is shown; or as
 * it is cut.
 */
export type InSection = 'rafter' | 'nailed' | 'tie' | 'strut' | 'cut'

/** What there is to know of a role. */
interface Row<Field extends string> {
  /** The letters that its marks begin with. */
  readonly mark: string
  readonly one: string
  readonly many: string
  /** The step in which it goes up; of its place where that decides: its wall, its gable, floor or base. */
  readonly step: RaisingName | 'place'
  /** The field that its boards hang on first. */
  readonly field: Field
  readonly section: InSection
}

/** `name` alone where an s makes many of one. */
function row<const Field extends string>(
  mark: string,
  name: string | readonly [string, string],
  step: Row<Field>['step'],
  field: Field,
  section: InSection = 'cut',
): Row<Field> {
  const [one, many] = typeof name === 'string' ? [name, `${name}s`] : name
  return { mark, one, many, step, field, section }
}

/** What boards are for, a row each; in the order in which they are put up within a step. */
export const roles = {
  rafter: row('R', 'common rafter', 'rafters', 'roof.rafter', 'rafter'),
  'cripple-rafter': row('CR', 'cripple rafter', 'rafters', 'roof.rafter', 'rafter'),
  'roof-header': row('RH', 'roof header', 'rafters', 'roof.rafter'),
  'joist-ledger': row('JL', 'joist ledger', 'ties', 'roof.ties'),
  'ceiling-joist': row('CJ', 'ceiling joist', 'ties', 'roof.ties', 'tie'),
  'loft-joist': row('LJ', 'loft joist', 'ties', 'roof.ties', 'tie'),
  'stair-header': row('CH', 'stair header', 'ties', 'roof.ties'),
  ledger: row('LG', 'ledger', 'ledger', 'roof.ridge'),
  'roof-joist': row('FJ', 'roof joist', 'rafters', 'roof.rafter', 'rafter'),
  'level-rafter': row('LV', ['level rafter', 'level rafters'], 'rafters', 'roof.rafter', 'rafter'),
  batten: row('BN', 'batten', 'blocks', 'roof.pergola.battens'),
  firring: row('FI', 'firring', 'rafters', 'roof.firring.section'),
  wedge: row('WE', 'wedge', 'rafters', 'roof.rafter'),
  'upper-header': row('UH', 'upper header', 'ridge', 'roof.ridge'),
  purlin: row('PN', 'purlin', 'ties', 'roof.purlins'),
  'purlin-brace': row('PB', 'purlin brace', 'ties', 'roof.purlins', 'strut'),
  hip: row('HR', 'hip rafter', 'hips', 'roof.hip.section'),
  'jack-rafter': row('JR', 'jack rafter', 'jacks', 'roof.spacing', 'rafter'),
  'upper-chord': row('UC', 'upper chord', 'trusses', 'roof.rafter', 'rafter'),
  'lower-chord': row('LC', 'lower chord', 'trusses', 'roof.rafter', 'rafter'),
  'bottom-chord': row('BC', 'bottom chord', 'trusses', 'roof.truss.bottom', 'rafter'),
  web: row('TW', 'web', 'trusses', 'roof.truss.web', 'rafter'),
  gusset: row('GT', 'gusset', 'trusses', 'roof.truss.gusset', 'nailed'),
  'wall-brace': row('XB', 'wall brace', 'wall-braces', 'roof.truss.setting'),
  strongback: row('XS', 'strongback', 'trusses', 'roof.truss.setting'),
  'truss-brace': row('XG', 'truss brace', 'trusses', 'roof.truss.setting'),
  spacer: row('XP', 'spacer', 'trusses', 'roof.truss.setting'),
  'scrap-block': row('XC', 'scrap block', 'trusses', 'roof.truss.setting'),
  'top-row': row('XR', ['row on the top chords', 'rows on the top chords'], 'rows', 'roof.truss.setting'),
  'bottom-row': row(
    'TN',
    ['row on the bottom chords', 'rows on the bottom chords'],
    'rows',
    'roof.truss.setting',
  ),
  'web-row': row('TV', ['row on the webs', 'rows on the webs'], 'rows', 'roof.truss.setting'),
  'row-diagonal': row(
    'TD',
    ['diagonal under the chords', 'diagonals under the chords'],
    'diagonals',
    'roof.truss.setting',
  ),
  'top-diagonal': row(
    'XD',
    ['diagonal on the chords', 'diagonals on the chords'],
    'diagonals',
    'roof.truss.setting',
  ),
  'flat-purlin': row('TF', 'flat purlin', 'rows', 'roof.truss.setting'),
  'knee-plate': row('KP', 'knee wall plate', 'joists', 'walls.stud'),
  'knee-stud': row('KN', 'knee wall stud', 'joists', 'walls.stud'),
  'knee-purlin': row('NP', ['knee purlin ply', 'knee purlin plies'], 'inner-beams', 'roof.gambrel.purlin'),
  'knee-post': row('NO', 'knee post', 'inner-beams', 'roof.gambrel.purlin'),
  'joist-beam': row('JB', ['joist beam ply', 'joist beam plies'], 'inner-beams', 'roof.joistBeam'),
  'joist-post': row('JP', 'joist post', 'inner-beams', 'roof.joistBeam'),
  'false-tail': row('FT', 'false tail', 'ends', 'roof.rafter', 'nailed'),
  'fly-rafter': row('FR', 'fly rafter', 'ends', 'roof.rafter'),
  rung: row('LR', 'ladder rung', 'ends', 'roof.rafter'),
  lookout: row('LO', 'lookout', 'ends', 'roof.ends.lookout'),
  'sub-fascia': row('SF', 'sub-fascia', 'fascia', 'roof.fascia'),
  'soffit-ledger': row('SG', 'soffit ledger', 'fascia', 'roof.soffit'),
  'soffit-joist': row('SJ', 'soffit joist', 'fascia', 'roof.soffit', 'nailed'),
  fascia: row('FA', 'fascia board', 'fascia', 'roof.fascia'),
  barge: row('BB', 'barge board', 'fascia', 'roof.ends.barge'),
  'roof-block': row(
    'RK',
    ['block between rafters', 'blocks between rafters'],
    'blocks',
    'roof.rafter',
    'nailed',
  ),
  'finish-board': row('FB', 'eave board', 'fascia', 'roof.tails.finish'),
  ridge: row('RB', 'ridge board', 'ridge', 'roof.ridge'),
  'ridge-beam': row('GB', ['ridge beam ply', 'ridge beam plies'], 'ridge', 'roof.ridge'),
  'ridge-post': row('GP', 'ridge post', 'ridge', 'roof.ridge'),
  'rafter-tie': row('RT', 'rafter tie', 'ties', 'roof.ties', 'tie'),
  'collar-tie': row('CT', 'collar tie', 'ties', 'roof.ties', 'tie'),
  'soffit-board': row('SZ', 'soffit board', 'soffit', 'roof.cover.soffit'),
  'roof-sheet': row('RS', 'roof sheet', 'roof-deck', 'roof.cover.deck'),
  'roof-board': row('RD', 'roof board', 'roof-deck', 'roof.cover.deck'),
  'roof-batten': row('RN', 'roof batten', 'roof-battens', 'roof.cover.battens'),
  'roof-panel': row('PA', 'roof panel', 'roofing', 'roof.cover.top'),
  'wall-post': row('WP', 'wall post', 'place', 'walls.posts.post'),
  'wall-beam': row('WB', 'wall beam', 'place', 'walls.posts.beam'),
  'bottom-plate': row('BP', 'bottom plate', 'place', 'walls.stud'),
  'top-plate': row('TP', 'top plate', 'place', 'walls.stud'),
  stud: row('S', 'stud', 'place', 'walls.stud'),
  king: row('KS', 'king stud', 'place', 'walls.openings'),
  jack: row('JS', 'jack stud', 'place', 'walls.openings'),
  cripple: row('C', 'cripple', 'place', 'walls.openings'),
  header: row('H', ['header ply', 'header plies'], 'place', 'walls.openings'),
  packing: row('HP', 'header packing', 'place', 'walls.openings'),
  sill: row('SL', 'sill', 'place', 'walls.openings'),
  'gable-stud': row('GS', 'gable stud', 'place', 'walls.stud'),
  block: row('K', 'block', 'place', 'walls.bracing'),
  brace: row('BR', 'diagonal brace', 'place', 'walls.bracing'),
  'wall-sheet': row('W', 'wall sheet', 'place', 'walls.sheathing'),
  siding: row('SD', 'siding board', 'siding', 'walls.siding'),
  'siding-batten': row('SN', 'siding batten', 'siding', 'walls.siding'),
  starter: row('SS', 'starter strip', 'siding', 'walls.siding'),
  'corner-board': row('CB', 'corner board', 'siding', 'walls.trim'),
  'wall-panel': row('WN', 'wall panel', 'siding', 'walls.siding'),
  pane: row('GN', 'pane', 'siding', 'walls.siding'),
  'pane-stop': row('PT', 'glazing stop', 'siding', 'walls.siding'),
  frieze: row('FZ', 'frieze board', 'siding', 'walls.trim'),
  'skirt-board': row('SX', 'skirt board on a wall', 'siding', 'walls.trim'),
  casing: row('CA', 'casing', 'siding', 'walls.trim'),
  'door-lining': row('DI', 'door lining', 'doors', 'walls.openings'),
  'door-board': row('DO', 'door board', 'doors', 'walls.openings'),
  ledge: row('LE', 'ledge', 'doors', 'walls.openings'),
  'door-brace': row('DX', 'door brace', 'doors', 'walls.openings'),
  stile: row('SE', 'stile', 'doors', 'walls.openings'),
  'door-rail': row('RL', 'door rail', 'doors', 'walls.openings'),
  'door-panel': row('DP', 'door panel', 'doors', 'walls.openings'),
  girt: row('GI', 'girt', 'place', 'walls.between'),
  'post-diagonal': row(
    'PD',
    ['diagonal between posts', 'diagonals between posts'],
    'braces',
    'walls.between',
  ),
  knee: row('KB', 'knee brace', 'braces', 'walls.posts.beam'),
  rail: row('RA', 'rail', 'rails', 'walls.railing'),
  baluster: row('BU', 'baluster', 'rails', 'walls.railing'),
  slat: row('ST', 'slat', 'sheets', 'walls.slats.section'),
  rim: row('RM', 'rim', 'place', 'floor.joist'),
  joist: row('J', 'joist', 'place', 'floor.joist'),
  'floor-header': row('FH', 'floor header', 'place', 'floor.joist'),
  'deck-sheet': row('D', 'deck sheet', 'place', 'floor.deck'),
  'deck-board': row('DB', 'deck board', 'place', 'floor.deck'),
  post: row('P', 'post', 'supports', 'base.lift'),
  border: row('BT', 'border timber', 'place', 'base.kind'),
  skid: row('SK', 'skid', 'place', 'base.kind'),
  beam: row('BM', ['beam ply', 'beam plies'], 'place', 'base.kind'),
  skirt: row('SB', 'skirt board', 'place', 'base.skirt'),
  stake: row('SP', 'skirt stake', 'place', 'base.skirt'),
}
export type Role = keyof typeof roles

const places = new Map(Object.keys(roles).map((role, i) => [role, i]))

/** Boards in the order in which they are put up within a step. */
export const byRole = (one: { readonly role: Role }, other: { readonly role: Role }): number =>
  (places.get(one.role) ?? 0) - (places.get(other.role) ?? 0)

/** Roles of boards that trusses are set with and that come down again. */
const temporaryRoles: readonly Role[] = [
  'wall-brace',
  'strongback',
  'truss-brace',
  'spacer',
  'scrap-block',
  'top-row',
  'top-diagonal',
]
export const isTemporary = (role: Role): boolean => temporaryRoles.includes(role)

/** Roles of what covers a roof. */
const coverRoles: readonly Role[] = ['roof-sheet', 'roof-board', 'roof-batten', 'roof-panel']
export const isRoofCover = (role: Role): boolean => coverRoles.includes(role)

/** Roles of what covers walls over their sheets. */
const skinRoles: readonly Role[] = [
  'siding',
  'siding-batten',
  'starter',
  'corner-board',
  'wall-panel',
  'pane',
  'pane-stop',
  'frieze',
  'skirt-board',
  'casing',
]
export const isWallSkin = (role: Role): boolean => skinRoles.includes(role)

/** Roles of what doors of one's own are made of. */
const doorRoles: readonly Role[] = [
  'door-lining',
  'door-board',
  'ledge',
  'door-brace',
  'stile',
  'door-rail',
  'door-panel',
]
export const isOfDoor = (role: Role): boolean => doorRoles.includes(role)

/** What carries on edge: its crown is kept up (common practice, no source). */
const crownedRoles: readonly Role[] = [
  ...(['rafter', 'cripple-rafter', 'jack-rafter', 'hip', 'roof-joist', 'level-rafter'] as const),
  ...(['fly-rafter', 'roof-header', 'stair-header', 'upper-header', 'ridge', 'ridge-beam'] as const),
  ...(['upper-chord', 'lower-chord', 'bottom-chord', 'purlin', 'knee-purlin', 'joist-beam'] as const),
  ...([
    'ceiling-joist',
    'loft-joist',
    'header',
    'wall-beam',
    'joist',
    'floor-header',
    'beam',
    'rim',
  ] as const),
]

export const isCrowned = (role: Role): boolean => crownedRoles.includes(role)

/** Whether a role is a ceiling joist's, or one's under a loft. */
export const isCeilingJoist = (role: Role): boolean => role === 'ceiling-joist' || role === 'loft-joist'

/** Whether a role is a wall's bottom or top plate. */
export const isPlate = (role: Role): boolean => role === 'bottom-plate' || role === 'top-plate'

/** The fields that boards hang on. */
export type RoleField = (typeof roles)[Role]['field']
