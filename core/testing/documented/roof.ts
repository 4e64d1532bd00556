import fc from 'fast-check'
import { deck } from './below'
import { between, length, one, orNull, group, section, rafters, side, eave, pitch } from './kit'

const ties = (most: number) =>
  orNull(
    group(
      { section: section('2x4', '2x6', '47x125'), height: length(0, 4000, 0, most) },
      { every: one(1, 2, 3) },
    ),
    2,
  )

/** How a row of trusses is set and braced. */
const setting = group(
  {},
  {
    section: orNull(section('2x4', '38x89'), 2),
    straight: one('south', 'north'),
    braces: length(300, 10000, 1500, 5000),
    first: one('strongbacks', 'ground'),
    spacers: one('flush', 'between'),
    scrap: one(true, false),
    rows: group(
      {},
      {
        top: orNull(length(300, 10000, 800, 3000)),
        bottom: orNull(length(300, 10000, 1000, 4500)),
        webs: length(300, 10000, 900, 2000),
      },
    ),
    bays: length(300, 10000, 2000, 6000),
    purlins: orNull(length(150, 2500, 600, 1300)),
  },
)

/** Degrees of the lower slopes of a gambrel, as a pitch. */
const steep = fc
  .oneof({ weight: 8, arbitrary: between(45, 75) }, { weight: 1, arbitrary: between(20.01, 79.99) })
  .map(degrees => ({ rise: 12 * Math.tan((degrees * Math.PI) / 180), run: 12 }))

/** A beam inside the building. */
const innerBeam = {
  must: { section: section('2x8', '2x10', '47x175') },
  may: { plies: one(1, 2, 3), post: section('4x4', '100x100'), spacing: length(300, 4000, 900, 3000) },
}

/** What covers it. */
const coverLayers = () => ({
  deck: orNull(
    fc.oneof(
      group(
        {
          kind: fc.constant('sheets'),
          thickness: length(9, 40, 9, 22),
          sheet: group({ length: length(600, 3700, 2400, 2500), width: length(600, 3700, 1200, 1250) }),
        },
        {
          edge: one('square', 'tongue'),
          gap: length(0, 10, 0, 4),
          first: orNull(length(100, 3700, 300, 1200), 3),
          stagger: one('half', 'third', 'bay'),
        },
      ),
      group(
        { kind: fc.constant('boards'), section: section('1x6', '1x8', '22x150') },
        { edge: one('square', 'tongue'), space: length(0, 400, 0, 60) },
      ),
    ),
    4,
  ),
  battens: orNull(group({ section: section('2x4', '38x63'), apart: length(60, 1250, 300, 700) }), 2),
  underlay: orNull(
    group(
      { width: length(300, 15000, 900, 1500), length: length(3000, 100000, 10000, 50000) },
      { lap: length(0, 500, 50, 200), endLap: length(50, 500, 100, 200), ice: one(true, false) },
    ),
    2,
  ),
  top: orNull(
    fc.oneof(
      group(
        { kind: fc.constant('panels'), cover: length(300, 1250, 500, 1100) },
        {
          profile: one('ribbed', 'corrugated', 'flat'),
          clear: one(true, false),
          lap: length(0, 500, 0, 80),
          longest: length(600, 15000, 1800, 6000),
          endLap: length(50, 500, 100, 200),
          past: length(0, 150, 0, 60),
          height: length(1, 80, 5, 35),
          first: orNull(length(50, 1250, 200, 900), 2),
          screws: group({}, { at: one('flats', 'ribs'), across: one(1, 4, 5, 12) }),
        },
      ),
      group(
        {
          kind: fc.constant('shingles'),
          exposure: length(50, 400, 120, 160),
          strip: length(100, 1500, 900, 1000),
          bundle: one(5, 16, 21, 26, 80),
        },
        { nails: one(2, 4, 6, 10), waste: one(0, 7.5, 10, 100) },
      ),
      group(
        {
          kind: fc.constant('roll'),
          width: length(300, 15000, 900, 1100),
          length: length(3000, 100000, 8000, 12000),
        },
        { lap: length(0, 500, 50, 150), endLap: length(50, 500, 100, 200), waste: one(0, 5, 12.5) },
      ),
      group(
        { kind: fc.constant('membrane'), width: length(300, 15000, 1500, 6000) },
        { lap: length(0, 500, 50, 100), over: length(0, 500, 50, 150), up: length(0, 500, 100, 200) },
      ),
    ),
    3,
  ),
})
const cover = () =>
  group(
    {},
    {
      ...coverLayers(),
      own: fc.uniqueArray(
        group(
          { face: one('south', 'north', 'east', 'west', 'south-low', 'north-high', 'nowhere') },
          coverLayers(),
        ),
        { maxLength: 2, selector: ({ face }) => face },
      ),
      soffit: orNull(
        group(
          { section: section('1x6', '22x100') },
          { edge: one('square', 'tongue'), space: length(0, 100, 0, 10), vent: length(0, 150, 0, 60) },
        ),
        2,
      ),
      past: group({}, { eave: length(0, 150, 0, 25), rake: length(0, 150, 0, 25) }),
      slot: length(0, 100, 0, 40),
    },
  )

/** A gambrel over a span, mm. */
const gambrel = (wide: number) =>
  group(
    {
      by: one('half-octagon', 'knee', 'pitches', 'headroom'),
      foot: group(
        { rule: one('on-plate', 'over-plate') },
        { drop: orNull(length(0, 2000, 50, 500), 3), kick: orNull(pitch, 4) },
      ),
    },
    {
      knee: group(
        {},
        {
          in: orNull(length(50, 6000, 0.08 * wide, 0.25 * wide), 7),
          up: orNull(length(100, 6000, 0.2 * wide, 0.4 * wide), 7),
          share: orNull(between(0.08, 0.3), 3),
        },
      ),
      lower: orNull(steep, 7),
      headroom: orNull(
        group({
          height: length(300, 4000, 0.15 * wide, 0.4 * wide),
          width: length(300, 11000, 0.4 * wide, 0.8 * wide),
        }),
        7,
      ),
      purlin: orNull(group(innerBeam.must, innerBeam.may)),
    },
  )

/** A roof over a building so long and wide, mm. */
export const roof = (long: number, wide: number) =>
  group(
    {
      shape: one(
        'gable',
        'gable',
        'gable',
        'single-slope',
        'single-slope',
        'lean-to',
        'lean-to',
        'flat',
        'raised-ridge',
        'hip',
        'hip',
        'gambrel',
        'pergola',
        'none',
        'gambrel',
        'gambrel',
      ),
      pitch,
      rafter: rafters,
      ridge: section('2x6', '2x8', '2x10', '1x8', '47x175'),
      spacing: length(100, 1250, 300, 800),
      held: one('nails', 'ties', 'screws'),
      taper: fc.oneof(
        { weight: 3, arbitrary: fc.constant(0) },
        { weight: 1, arbitrary: length(-1500, 1500, -300, 300) },
      ),
      overhang: group(
        { eave: length(0, 1200, 0, 500), gable: length(0, 1000, 0, 450) },
        { high: orNull(length(0, 1200, 0, 500)) },
      ),
      seat: fc.oneof(
        group({ rule: fc.constant('full-bearing') }),
        group({ rule: fc.constant('third') }, { measured: one('square', 'plumb') }),
        group({ rule: fc.constant('height-above-plate'), height: length(5, 600, 50, 200) }),
        group({ rule: one('none', 'wedge') }),
      ),
    },
    {
      high: eave,
      northPitch: orNull(pitch, 2),
      peak: group(
        {},
        {
          at: orNull(length(100, 11900, 0.3 * wide, 0.7 * wide), 2),
          height: orNull(length(300, 12000, 2000, 4500), 2),
        },
      ),
      hip: group({}, { section: orNull(section('2x8', '2x6', '2x10')), edge: one('dropped', 'backed') }),
      gambrel: gambrel(wide),
      carried: orNull(one('trusses', 'rafters'), 7),
      truss: group(
        {},
        {
          kind: orNull(
            one(
              'open',
              'bottom-chord',
              'king-post',
              'queen-post',
              'w-web',
              'attic',
              'scissors',
              'scissors',
              'mono',
              'mono',
              'bought',
              'bought',
              'bought',
              'bought',
            ),
            8,
          ),
          bottom: orNull(section('2x6', '2x8', '47x150'), 3),
          web: orNull(section('2x4', '2x4', '47x100'), 3),
          heel: orNull(length(5, 600, 100, 300), 2),
          ceiling: orNull(pitch, 3),
          bought: group(
            {},
            { span: orNull(length(600, 12000, 0.9 * wide, 1.1 * wide)), weight: one(0, 12.5, 80) },
          ),
          splice: group(
            {},
            {
              bottom: orNull(length(100, 11900, 0.2 * wide, 0.8 * wide), 3),
              top: orNull(length(100, 11900, 0.1 * wide, 0.4 * wide), 3),
            },
          ),
          room: group(
            {},
            {
              width: length(300, 11000, 0.3 * wide, 0.6 * wide),
              height: length(300, 4000, 0.15 * wide, 0.3 * wide),
            },
          ),
          gusset: group(
            {},
            {
              thickness: length(9, 40, 9, 18),
              leg: orNull(length(75, 900, 150, 350)),
              nails: one(3, 6, 8, 20),
            },
          ),
          setting: orNull(setting, 8),
        },
      ),
      panel: orNull(group({ cover: length(300, 1250, 500, 1100) }, { per: one(1, 2, 3) }), 2),
      beam: orNull(
        group(
          {},
          { plies: one(1, 2, 3), post: section('4x4', '100x100'), spacing: length(300, 4000, 900, 3000) },
        ),
        2,
      ),
      purlins: orNull(
        group({
          section: section('2x4', '2x6'),
          brace: section('2x4', '38x89'),
          spacing: length(300, 4000, 800, 2000),
        }),
        2,
      ),
      tail: one('plumb', 'plumb', 'square', 'level'),
      tails: group(
        {},
        {
          face: length(15, 400, 40, 120),
          wild: one(0, 0, 0, 100, 600),
          finish: orNull(section('1x4', '1x6', '22x150'), 2),
        },
      ),
      soffit: orNull(group({ section: section('2x4', '38x63') }), 2),
      ends: group(
        {},
        {
          hold: one('none', 'ladder', 'lookouts'),
          spacing: length(100, 1250, 400, 700),
          lookout: section('2x4', '38x89', '1x4'),
          barge: orNull(section('1x6', '1x8', '22x150')),
        },
      ),
      blocking: group(
        {},
        {
          plate: one('none', 'plumb', 'square'),
          vents: one(0, 1, 2, 3),
          hole: length(10, 100, 25, 60),
          rows: one(0, 1, 2),
          air: one(0, 0, 0, 25, 75),
        },
      ),
      raised: group(
        {},
        {
          at: orNull(length(100, 11900, 0.3 * wide, 0.7 * wide)),
          plies: one(1, 2, 3),
          post: section('4x4', '100x100'),
          spacing: length(300, 4000, 900, 2500),
          vents: one(0, 1, 2, 5),
        },
      ),
      pergola: group(
        {},
        {
          notch: length(0, 200, 0, 60),
          tail: group({}, { shape: one('square', 'angled', 'cove'), size: length(10, 400, 30, 120) }),
          battens: orNull(
            group({}, { section: section('2x2', '38x63', '1x4'), apart: length(40, 1250, 80, 500) }),
            8,
          ),
        },
      ),
      firring: group({}, { section: section('2x6', '2x8', '2x10', '2x4'), least: length(0, 150, 0, 40) }),
      ties: group({}, { rafter: ties(300), collar: ties(1200), ceiling: ties(400) }),
      joistBeam: orNull(
        group(innerBeam.must, {
          ...innerBeam.may,
          at: orNull(length(100, 11900, 0.3 * wide, 0.7 * wide), 3),
        }),
        3,
      ),
      fascia: group(
        {},
        { sub: orNull(section('2x6', '2x4', '38x140'), 2), face: orNull(section('1x6', '1x8', '22x150'), 2) },
      ),
      cover: cover(),
      loft: orNull(group({ deck }, { height: length(300, 4000, 1000, 2000) }), 4),
      openings: fc.array(
        group(
          {
            kind: one('light', 'flue', 'stair'),
            at: length(0, 60000, 0.1 * long, 0.9 * long),
            up: length(0, 60000, 0.1 * wide, 0.5 * wide),
            width: length(150, 6000, 200, 900),
            length: length(150, 6000, 200, 1300),
          },
          {
            slope: fc.oneof({ weight: 5, arbitrary: eave }, { weight: 1, arbitrary: side }),
            plies: one(1, 2),
          },
        ),
        { maxLength: 1 },
      ),
    },
  )
