import { kindOfPath } from '../../core/design'

/** A choice drawn: its outline and what is cut out or set on it, as SVG paths in a box of 96 by 60. */
export interface Sketch {
  readonly name: string
  /** Wood, filled. */
  readonly wood: readonly string[]
  /** The other wood: a plate, a wall, what it meets. */
  readonly other: readonly string[]
  /** Lines that are looked at. */
  readonly mark: readonly string[]
}

const sketch = (
  name: string,
  wood: readonly string[],
  other: readonly string[] = [],
  mark: readonly string[] = [],
): Sketch => ({ name, wood, other, mark })

const plate = 'M40 40h18v8h-18z M40 48h18v12h-18z'
/** A rafter over a plate, its lower edge with what is cut of it at the wall. */
const rafter = (cut: string): string => `M8 43L88 3V23${cut}L8 60z`
const tail = (end: string): string => `M92 2V20L46 42H28L${end}z`
const wall = 'M28 42h18v18h-18z'

/** What covers a wall, cut level or plumb, its sheets behind. */
const sidings: readonly Sketch[] = [
  sketch(
    'Lapped boards, each over the one below',
    ['M40 2l5 0l8 22l-5 0z', 'M40 20l5 0l8 22l-5 0z', 'M40 38l5 0l8 20l-5 0z'],
    ['M28 2h10v56h-10z'],
  ),
  sketch(
    'Level boards, flat',
    ['M38 2h8v17h-8z', 'M38 20h8v18h-8z', 'M38 39h8v19h-8z'],
    ['M28 2h10v56h-10z'],
  ),
  sketch(
    'Upright boards, from above',
    ['M4 30h28v9h-28z', 'M33 30h29v9h-29z', 'M63 30h29v9h-29z'],
    ['M4 20h88v10h-88z'],
  ),
  sketch(
    'Boards and battens, from above',
    ['M4 30h26v9h-26z', 'M36 30h26v9h-26z', 'M68 30h24v9h-24z', 'M26 39h14v7h-14z', 'M58 39h14v7h-14z'],
    ['M4 20h88v10h-88z'],
  ),
  sketch(
    'Panels, from above: each laps the next',
    [],
    ['M4 20h88v10h-88z'],
    ['M4 40H16L20 32H26L30 40H46L50 32H56 M50 30H58L62 40H78L82 32H92'],
  ),
  sketch(
    'Panes between the studs and their stops, from above',
    ['M24 12h10v10h-10z', 'M62 12h10v10h-10z', 'M24 28h10v10h-10z', 'M62 28h10v10h-10z'],
    ['M8 12h16v36h-16z', 'M72 12h16v36h-16z'],
    ['M26 23H70V27H26z'],
  ),
]

const faceDeck: readonly Sketch[] = [
  sketch('Nothing on the rafters', [], ['M10 30h8v26h-8z', 'M44 30h8v26h-8z', 'M78 30h8v26h-8z']),
  sketch(
    'Sheets, their ends on a rafter',
    ['M4 20h43v10h-43z', 'M49 20h43v10h-43z'],
    ['M10 30h8v26h-8z', 'M44 30h8v26h-8z', 'M78 30h8v26h-8z'],
    ['M48 16V34'],
  ),
  sketch(
    'Boards across the rafters, from the side',
    ['M8 26h18v8h-18z', 'M28 26h18v8h-18z', 'M48 26h18v8h-18z', 'M68 26h18v8h-18z'],
    ['M4 34h88v20h-88z'],
  ),
]

const roofings: readonly Sketch[] = [
  sketch(
    'Panels, screwed to what lies across',
    ['M12 34h12v10h-12z', 'M42 34h12v10h-12z', 'M72 34h12v10h-12z'],
    ['M4 44h88v12h-88z'],
    ['M2 30H94 M18 24V40 M48 24V40 M78 24V40'],
  ),
  sketch(
    'Shingles, course over course',
    ['M4 49l36 -10v-4l-36 10z', 'M28 41l36 -10v-4l-36 10z', 'M52 33l36 -10v-4l-36 10z'],
    ['M4 51L92 27v8L4 59z'],
  ),
  sketch(
    'Roll roofing, each row over the one below',
    ['M4 40h50v4h-50z', 'M42 36h50v4h-50z'],
    ['M4 44h88v12h-88z'],
    ['M42 30V48 M54 30V48'],
  ),
  sketch(
    'A membrane, glued, over the edges',
    ['M2 38h92v4h-92z M2 42h4v10h-4z M90 42h4v10h-4z'],
    ['M6 42h84v14h-84z'],
  ),
]

const doors: readonly Sketch[] = [
  sketch(
    'Boards on ledges',
    ['M30 10h36v8h-36z', 'M30 42h36v8h-36z'],
    ['M28 2h10v56h-10z', 'M38 2h10v56h-10z', 'M48 2h10v56h-10z', 'M58 2h10v56h-10z'],
  ),
  sketch(
    'Ledges and braces: up from the hinges',
    ['M30 10h36v8h-36z', 'M30 42h36v8h-36z', 'M30 42L54 18L66 18L42 42z'],
    ['M28 2h10v56h-10z', 'M38 2h10v56h-10z', 'M48 2h10v56h-10z', 'M58 2h10v56h-10z'],
    ['M20 14h10', 'M20 46h10'],
  ),
  sketch(
    'Stiles and rails, with panels let in',
    ['M28 2h8v56h-8z', 'M60 2h8v56h-8z', 'M36 2h24v8h-24z', 'M36 26h24v8h-24z', 'M36 50h24v8h-24z'],
    ['M36 10h24v16h-24z', 'M36 34h24v16h-24z'],
  ),
]

const soffits: readonly Sketch[] = [
  sketch('Bare tails', [rafter('L58 40H40V46')], [plate]),
  sketch('Boards under the tails', [rafter('L58 40H40V46')], [plate], ['M8 64L22 55 M23 54L37 46']),
]

/** The sketches of a field's choices, by its path; none where words are enough. */
const sketches: Readonly<Record<string, readonly Sketch[]>> = {
  'roof.seat.rule': [
    sketch(
      'Full bearing: the seat is as wide as the plate',
      [rafter('L58 40H40V46')],
      [plate],
      ['M40 40H58'],
    ),
    sketch('A third of the depth', [rafter('L50 42.5 L50 40H40V45')], [plate], ['M40 27V40']),
    sketch(
      'Chosen height above the plate',
      [rafter('L52 42 L52 40H40V45')],
      [plate],
      ['M40 27V40 M36 27H44 M36 40H44'],
    ),
    sketch('None: cut level along the bottom', ['M40 26L88 3V23L58 40H40z'], [plate], ['M40 40H58']),
    sketch('None: on a wedge', ['M12 27L88 1V19L12 45z'], [plate, 'M40 40H58V30z'], ['M40 40H58']),
  ],
  'roof.carried': [
    sketch(
      'Trusses, built flat and stood up whole',
      ['M8 56L20 24L48 10L76 24L88 56H82L72 28L48 16L24 28L14 56z'],
      [],
      ['M14 32L24 20L34 24 M40 16L48 8L56 16 M82 32L72 20L62 24'],
    ),
    sketch(
      'Rafters, to a ridge board',
      ['M8 56L20 24L46 12V18L24 28L14 56z', 'M88 56L76 24L50 12V18L72 28L82 56z'],
      ['M46 8h4v18h-4z', 'M18 30h10v4h-10z', 'M68 30h10v4h-10z'],
    ),
  ],
  'roof.gambrel.by': [
    sketch(
      'Four equal chords on a half circle',
      [],
      ['M4 52h88v4h-88z'],
      ['M8 52L20 24L48 12L76 24L88 52', 'M8 52A40 40 0 0 1 88 52'],
    ),
    sketch(
      'The knee: in from the wall, up over the plate',
      [],
      ['M4 52h88v4h-88z'],
      ['M8 52L24 22L48 10L72 22L88 52', 'M8 22H24 M24 22V52'],
    ),
    sketch(
      'Two pitches',
      [],
      ['M4 52h88v4h-88z'],
      ['M8 52L24 22L48 10L72 22L88 52', 'M4 40V26H12z M28 12V6H40z'],
    ),
    sketch(
      'What stays clear inside',
      [],
      ['M4 52h88v4h-88z'],
      ['M8 52L24 22L48 10L72 22L88 52', 'M28 52V26H68V52'],
    ),
  ],
  'roof.gambrel.foot.rule': [
    sketch(
      'Notched over the wall',
      ['M60 2L26 56H14L34 24H44L58 2z'],
      ['M34 24h20v8h-20z M34 32h20v24h-20z'],
      ['M34 24H44'],
    ),
    sketch(
      'Cut level on the plate',
      ['M62 2L54 24H34L50 2z'],
      ['M34 24h20v8h-20z M34 32h20v24h-20z'],
      ['M34 24H54'],
    ),
  ],
  'roof.tail': [
    sketch('Plumb', [tail('10 51V31')], [wall], ['M10 51V31']),
    sketch('Square to the slope', [tail('14 50L6 34')], [wall], ['M14 50L6 34']),
    sketch('Plumb and level', [tail('20 45H10V31')], [wall], ['M20 45H10V31']),
  ],
  'walls.corner': [
    sketch(
      'Third stud',
      ['M8 10h10v18h-10z', 'M52 10h10v18h-10z', 'M72 10h10v18h-10z'],
      ['M62 30h20v28h-20z'],
      ['M62 10v18'],
    ),
    sketch(
      'Nailer laid flat',
      ['M8 10h10v18h-10z', 'M52 20h20v8h-20z', 'M72 10h10v18h-10z'],
      ['M62 30h20v28h-20z'],
      ['M52 28h20'],
    ),
  ],
  'walls.through': [
    sketch(
      'Eave walls run through',
      ['M6 8h84v12h-84z', 'M6 44h84v12h-84z'],
      ['M6 20h12v24h-12z', 'M78 20h12v24h-12z'],
    ),
    sketch(
      'Gable walls run through',
      ['M6 8h12v48h-12z', 'M78 8h12v48h-12z'],
      ['M18 8h60v12h-60z', 'M18 44h60v12h-60z'],
    ),
  ],
  'walls.gables': [
    sketch(
      'Studs on the wall, under the end rafters',
      ['M30 26h5v18h-5z', 'M46 12h5v32h-5z', 'M62 26h5v18h-5z'],
      ['M4 44h88v6h-88z'],
      ['M4 44L48 6L92 44'],
    ),
    sketch(
      'Studs notched behind the end rafters',
      ['M30 16h5v28h-5z', 'M46 4h5v40h-5z', 'M62 16h5v28h-5z'],
      ['M4 44h88v6h-88z'],
      ['M4 44L48 6L92 44'],
    ),
    sketch(
      'Studs from the floor to a raked plate',
      ['M30 26h5v34h-5z', 'M46 12h5v48h-5z', 'M62 26h5v34h-5z'],
      [],
      ['M4 44L48 6L92 44 M6 48L48 12L90 48'],
    ),
    sketch('Open', [], ['M4 44h88v6h-88z'], ['M4 44L48 6L92 44']),
  ],
  'roof.hip.edge': [
    sketch(
      'Dropped: lowered until its edges touch both slopes',
      ['M40 20h16v36h-16z'],
      [],
      ['M6 38L48 14L90 38'],
    ),
    sketch(
      'Backed: its top bevelled to lie in both slopes',
      ['M40 18.6L48 14L56 18.6V56h-16z'],
      [],
      ['M6 38L48 14L90 38'],
    ),
  ],
  'roof.beam': [
    sketch(
      'A board joins the rafters; ties hold the walls',
      ['M45 8h6v20h-6z'],
      ['M45 12L6 44V56L45 24z', 'M51 12L90 44V56L51 24z'],
      ['M22 42H74'],
    ),
    sketch(
      'A beam on posts carries them',
      ['M42 20h12v20h-12z', 'M45 40h6v20h-6z'],
      ['M48 8L6 42V52L48 20z', 'M48 8L90 42V52L48 20z'],
    ),
  ],
  'roof.ends.hold': [
    sketch(
      'A ladder of rungs out to a fly rafter',
      ['M74 6h7v48h-7z'],
      ['M12 6h7v48h-7z', 'M52 6h7v48h-7z'],
      ['M59 14H74 M59 30H74 M59 46H74'],
    ),
    sketch(
      'Lookouts let in over the end rafter',
      ['M74 6h7v48h-7z', 'M19 14h55v6h-55z', 'M19 38h55v6h-55z'],
      ['M12 6h7v48h-7z', 'M52 6h7v48h-7z'],
    ),
  ],
  'roof.blocking.plate': [
    sketch('Plumb over the wall', ['M40 18v22h7v-25z'], [plate], ['M8 43L88 3 M8 60L88 20']),
    sketch('Square to the slope', ['M38 27L46 42L53 39L45 24z'], [plate], ['M8 43L88 3 M8 60L88 20']),
  ],
  'roof.pergola.tail.shape': [
    sketch('Plumb', ['M4 14h84v28h-84z'], ['M24 42h8v18h-8z']),
    sketch('The lower corner sawn off', ['M4 14h84v10l-18 18h-66z'], ['M24 42h8v18h-8z']),
    sketch('Hollowed by a quarter circle', ['M4 14h84v10a18 18 0 0 0 -18 18h-66z'], ['M24 42h8v18h-8z']),
  ],
  'walls.posts.set': [
    sketch('In a shoulder cut into the outside', ['M36 8h8v24h-8z'], ['M44 8h16v52h-24v-28h8z']),
    sketch(
      'In shoulders on both sides',
      ['M36 8h8v24h-8z', 'M52 8h8v24h-8z'],
      ['M44 8h8v24h8v28h-24v-28h8z'],
    ),
    sketch('In a fork', ['M44 8h8v24h-8z'], ['M36 8h8v24h8v-24h8v52h-24z']),
    sketch('On top of the posts', ['M36 8h8v24h-8z', 'M44 8h8v24h-8z'], ['M36 32h24v28h-24z']),
    sketch('Bolted to the faces', ['M28 8h8v24h-8z', 'M60 8h8v24h-8z'], ['M36 8h24v52h-24z'], ['M24 20H72']),
  ],
  'walls.posts.joint': [
    sketch('Half-lapped', ['M4 16h50v12h-14v12h-36z'], ['M54 16h38v24h-52v-12h14z', 'M38 40h20v20h-20z']),
    sketch('Scarfed', ['M4 16h56l-24 24h-32z'], ['M60 16h32v24h-56z', 'M38 40h20v20h-20z']),
    sketch('Butted', ['M4 16h43v24h-43z'], ['M49 16h43v24h-43z', 'M38 40h20v20h-20z']),
  ],
  'walls.siding': sidings,
  'walls.sides.*.siding': sidings,
  'walls.sides.*.gable': sidings,
  'roof.cover.deck': faceDeck,
  'roof.cover.top': roofings,
  'roof.cover.soffit': soffits,
  'roof.cover.battens': [
    sketch('None', [], ['M4 34h88v20h-88z']),
    sketch(
      'Across the rafters, flat',
      ['M10 26h14v8h-14z', 'M41 26h14v8h-14z', 'M72 26h14v8h-14z'],
      ['M4 34h88v20h-88z'],
    ),
  ],
  'walls.openings.*.door': doors,
  'base.ends': [
    sketch('Square', ['M6 20h84v20h-84z'], [], []),
    sketch('Sloped, to be pulled', ['M6 20h84v6l-14 14h-56l-14-14z'], [], []),
  ],
}

export const sketchesOf = (path: string): readonly Sketch[] =>
  sketches[path] ?? sketches[kindOfPath(path)] ?? []
