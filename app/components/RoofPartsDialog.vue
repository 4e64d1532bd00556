<script setup lang="ts">
import { INCH } from '../../core/measure'
import {
  type GableHold,
  roofHas,
  type RoofPart,
  type TieKind,
  usualBeam,
  usualPurlins,
  usualTies,
} from '../../core/design'

/**
 * A roof's parts besides its rafters: ridge and hips, tails, the ends over gables, ties and ceiling joists,
 * what lies along the tails, and blocks.
 */
const open = defineModel<boolean>({ required: true })
const bench = useBench()
const sections = useSectionChoices()
const roof = computed(() => bench.design?.roof)
const has = computed(() => roof.value && roofHas(roof.value))
const hasPart = (part: RoofPart): boolean => !!has.value?.parts.includes(part)
const ridged = computed(() => hasPart('ridge'))
const strip = computed(() => hasPart('strip'))
const stripPlies = useChoice<number>('roof.raised.plies')
const stripPost = useChoice<string>('roof.raised.post')
const isFlat = computed(() => hasPart('firrings'))
const firring = useChoice<string>('roof.firring.section')
const ledger = computed(() => hasPart('ledger'))
const hipped = computed(() => hasPart('hips'))
const boards = computed(() => [{ value: '', label: 'None' }, ...sections.value])
const hips = computed(() => [{ value: '', label: 'As the ridge' }, ...sections.value])
const ridge = useChoice<string>('roof.ridge')
const edge = useChoice<string>('roof.hip.edge')
const tail = useChoice<string>('roof.tail')
const hold = useChoice<GableHold>('roof.ends.hold')
const lookout = useChoice<string>('roof.ends.lookout')
const plate = useChoice<string>('roof.blocking.plate')
const vents = useChoice<number>('roof.blocking.vents')
const rows = useChoice<number>('roof.blocking.rows')
const optional = (
  path: string,
  read: () => string | null | undefined,
  wrap: (name: string) => unknown = name => name,
) =>
  computed<string>({ get: () => read() ?? '', set: name => bench.setValue(path, name ? wrap(name) : null) })
const hip = optional('roof.hip.section', () => roof.value?.hip.section)
const sub = optional('roof.fascia.sub', () => roof.value?.fascia.sub)
const face = optional('roof.fascia.face', () => roof.value?.fascia.face)
const finish = optional('roof.tails.finish', () => roof.value?.tails.finish)
const barge = optional('roof.ends.barge', () => roof.value?.ends.barge)
const soffit = optional(
  'roof.soffit',
  () => roof.value?.soffit?.section,
  section => ({ section }),
)
const purlin = optional(
  'roof.purlins',
  () => roof.value?.purlins?.section,
  section => ({ ...usualPurlins[bench.design?.lumber.yard ?? 'imperial'], ...roof.value?.purlins, section }),
)
const strut = useChoice<string>('roof.purlins.brace')
const names: Record<TieKind, { title: string; why: string }> = {
  rafter: {
    title: 'Rafter ties',
    why: 'Low down, from plate to plate: they keep the rafters from pushing the walls apart.',
  },
  collar: {
    title: 'Collar ties',
    why: "Up near the ridge: they keep the two slopes together in the wind. They don't hold the walls.",
  },
  ceiling: {
    title: 'Ceiling joists',
    why: "Beside every rafter, for a ceiling or a loft's floor; low down they hold the walls too.",
  },
}
const hung = "Level from the low wall to a ledger on the high side, for a ceiling or a loft's floor."
const every = [
  { value: 1, label: 'Every rafter' },
  { value: 2, label: 'Each second' },
  { value: 3, label: 'Each third' },
]
const kinds = computed(() =>
  (has.value?.ties ?? []).map(kind => ({
    kind,
    ...names[kind],
    ...(ridged.value ? {} : { why: hung }),
    ties: roof.value?.ties[kind] ?? null,
  })),
)
const setTies = (kind: TieKind, on: string | number): void =>
  bench.setValue(
    `roof.ties.${kind}`,
    on === 'yes' ? usualTies[bench.design?.lumber.yard ?? 'imperial'][kind] : null,
  )
const holds = [
  { value: 'none', label: 'Nothing' },
  { value: 'ladder', label: 'A ladder' },
  { value: 'lookouts', label: 'Lookouts' },
]
const tailEnds = [
  { value: 'plumb', label: 'Plumb' },
  { value: 'square', label: 'Square' },
  { value: 'level', label: 'Plumb and level' },
]
const plies = useChoice<number>('roof.beam.plies')
const post = useChoice<string>('roof.beam.post')
const carries = computed<string>({
  get: () => (roof.value?.beam ? 'beam' : 'board'),
  set: value =>
    bench.setValue('roof.beam', value === 'beam' ? usualBeam[bench.design?.lumber.yard ?? 'imperial'] : null),
})
const per = useChoice<number>('roof.panel.per')
const leads = computed<string>({
  get: () => (roof.value?.panel ? 'panels' : 'rafters'),
  set: value =>
    bench.setValue(
      'roof.panel',
      value === 'panels'
        ? { cover: bench.design?.lumber.yard === 'metric' ? 1000 : 24 * INCH, per: 1 }
        : null,
    ),
})
const counts = (most: number) =>
  Array.from({ length: most + 1 }, (_, i) => ({ value: i, label: i === 0 ? 'None' : String(i) }))
</script>

<template>
  <Dialog
    v-model:visible="open"
    modal
    header="Parts of the roof"
    :style="{ width: '34rem' }"
    :breakpoints="{ '720px': '96vw' }"
  >
    <div v-if="roof" class="dialog-rows">
      <template v-if="ridged">
        <h3>{{ hipped ? 'Ridge and hips' : 'Ridge' }}</h3>
        <ChoiceField v-model="ridge" label="Ridge" :options="sections" />
        <template v-if="!hipped">
          <ChoiceField
            v-model="carries"
            label="The ridge is"
            :options="[
              { value: 'board', label: 'A board' },
              { value: 'beam', label: 'A beam on posts' },
            ]"
          />
          <template v-if="roof.beam">
            <ChoiceField v-model="plies" label="Plies" :options="counts(3).slice(1)" />
            <ChoiceField v-model="post" label="Ridge posts" :options="sections" />
            <MeasureField path="roof.beam.spacing" :value="roof.beam.spacing" />
          </template>
        </template>
        <template v-if="hipped">
          <ChoiceField v-model="hip" label="Hips" :options="hips" />
          <ChoiceField
            v-model="edge"
            label="Hip edges"
            :options="[
              { value: 'dropped', label: 'Dropped' },
              { value: 'backed', label: 'Backed' },
            ]"
          />
        </template>
      </template>
      <template v-if="isFlat">
        <h3>Firrings</h3>
        <p class="quiet">On each level joist, ripped to the fall.</p>
        <ChoiceField v-model="firring" label="Firrings, ripped of" :options="sections" />
        <MeasureField path="roof.firring.least" :value="roof.firring.least" />
      </template>
      <template v-if="strip">
        <h3>Strip between the slopes</h3>
        <ChoiceField v-model="ridge" label="Ledger and header" :options="sections" />
        <ChoiceField v-model="stripPlies" label="Header, plies" :options="counts(3).slice(1)" />
        <ChoiceField v-model="stripPost" label="Posts" :options="sections" />
        <MeasureField path="roof.raised.spacing" :value="roof.raised.spacing" />
        <p class="quiet">Posts stand on a partition whose face is the strip's, or on the deck.</p>
      </template>
      <template v-if="ledger">
        <h3>Ledger</h3>
        <ChoiceField v-model="ridge" label="Ledger" :options="sections" />
      </template>
      <h3>Spacing</h3>
      <ChoiceField
        v-model="leads"
        label="Spacing from"
        :options="[
          { value: 'rafters', label: 'As asked' },
          { value: 'panels', label: 'Roof panels' },
        ]"
      />
      <template v-if="roof.panel">
        <MeasureField path="roof.panel.cover" :value="roof.panel.cover" />
        <ChoiceField v-model="per" label="Rafters to a panel" :options="counts(3).slice(1)" />
        <p class="quiet">
          What one panel covers less its lap; its seams then fall on rafters. Square the first panel: all
          others follow it.
        </p>
      </template>
      <h3>Tails</h3>
      <template v-if="!isFlat">
        <ChoiceField v-model="tail" label="Tails end" :options="tailEnds" />
        <MeasureField v-if="roof.tail === 'level'" path="roof.tails.face" :value="roof.tails.face" />
        <MeasureField path="roof.tails.wild" :value="roof.tails.wild" />
      </template>
      <p v-if="isFlat" class="quiet">Level tails: soffit boards nail straight to them.</p>
      <ChoiceField v-model="sub" label="Sub-fascia" :options="boards" />
      <ChoiceField v-model="face" label="Fascia" :options="boards" />
      <ChoiceField v-if="!isFlat" v-model="soffit" label="Boxed soffit, of" :options="boards" />
      <ChoiceField v-if="!isFlat" v-model="finish" label="Boards let into the tails" :options="boards" />
      <template v-if="hasPart('ends')">
        <h3>Over the gables</h3>
        <MeasureField path="roof.overhang.gable" :value="roof.overhang.gable" />
        <ChoiceField v-model="hold" label="Carried by" :options="holds" />
        <MeasureField v-if="roof.ends.hold !== 'none'" path="roof.ends.spacing" :value="roof.ends.spacing" />
        <ChoiceField
          v-if="roof.ends.hold === 'lookouts'"
          v-model="lookout"
          label="Lookouts"
          :options="sections"
        />
        <ChoiceField v-model="barge" label="Barge boards" :options="boards" />
      </template>
      <template v-if="!isFlat">
        <h3>Purlins</h3>
        <p class="quiet">
          Under the {{ hipped ? 'common rafters' : 'rafters' }} halfway up, on braces down to a partition
          along the building.
        </p>
        <ChoiceField v-model="purlin" label="Purlins" :options="boards" />
        <template v-if="roof.purlins">
          <ChoiceField v-model="strut" label="Braces" :options="sections" />
          <MeasureField path="roof.purlins.spacing" :value="roof.purlins.spacing" />
        </template>
      </template>
      <h3>Blocks between rafters</h3>
      <ChoiceField
        v-model="plate"
        label="Over the plates"
        :options="[
          { value: 'none', label: 'None' },
          { value: 'plumb', label: 'Plumb' },
          ...(isFlat ? [] : [{ value: 'square', label: 'Square to the slope' }]),
        ]"
      />
      <template v-if="roof.blocking.plate !== 'none'">
        <ChoiceField v-model="vents" label="Holes for air in each" :options="counts(3)" />
        <MeasureField v-if="roof.blocking.vents > 0" path="roof.blocking.hole" :value="roof.blocking.hole" />
      </template>
      <ChoiceField
        v-model="rows"
        :label="has?.falls.length === 1 ? 'Rows between the walls' : 'Rows between plate and ridge'"
        :options="counts(2)"
      />
      <template v-if="roof.blocking.plate !== 'none' || roof.blocking.rows">
        <MeasureField path="roof.blocking.air" :value="roof.blocking.air" />
        <p class="quiet">Shallower blocks let air pass between them and the roof's deck.</p>
      </template>
      <template v-for="{ kind, title, why, ties } in kinds" :key="kind">
        <h3>{{ title }}</h3>
        <p class="quiet">{{ why }}</p>
        <ChoiceField
          :model-value="ties ? 'yes' : 'no'"
          :label="title"
          :options="[
            { value: 'no', label: 'None' },
            { value: 'yes', label: 'Framed' },
          ]"
          @update:model-value="setTies(kind, $event)"
        />
        <template v-if="ties">
          <ChoiceField
            :model-value="ties.section"
            :label="`${title}, of`"
            :options="sections"
            @update:model-value="bench.setValue(`roof.ties.${kind}.section`, $event)"
          />
          <ChoiceField
            :model-value="ties.every"
            :label="`${title}, at`"
            :options="every"
            @update:model-value="bench.setValue(`roof.ties.${kind}.every`, $event)"
          />
          <MeasureField :path="`roof.ties.${kind}.height`" :value="ties.height" />
        </template>
      </template>
      <p v-if="kinds.length" class="quiet">
        What ties must carry, and with which nails, local code and an engineer decide.
      </p>
    </div>
    <template #footer><Button label="Close" @click="open = false" /></template>
  </Dialog>
</template>
