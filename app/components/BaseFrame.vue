<script setup lang="ts">
import { supportName } from '../../core/frame'
import { type BaseKind, baseKinds, type GroundPath, valueAt } from '../../core/design'
import { baseWords } from '../../core/words'
import { baseLengths } from '../logic/base-fields'
import { looseRows } from '../logic/card-rows'
import { viewChoices } from '../logic/view-words'

const bench = useBench()
const below = useBelow()
const sections = useSectionChoices()
const from = usePlace<'base-plan' | 'base-elevation'>('base-view', 'base-plan')
const design = computed(() => bench.design)
const units = computed(() => design.value?.units ?? 'imperial')
const base = computed(() => design.value?.base ?? null)
const kind = computed<string>({
  get: () => base.value?.kind ?? 'none',
  set: value => below.chooseBase(value as BaseKind | 'none'),
})
const kinds = [
  { value: 'none', label: 'None' },
  ...baseKinds.map(value => ({ value: value as string, label: baseWords[value] })),
]
const { drawing, views } = useDrawings('ground', () => from.value)
const lengths = computed(() =>
  baseLengths(base.value).map(path => ({
    path,
    value: Number(design.value ? valueAt(design.value, path) : 0),
  })),
)
const timber = useChoice<string>('base.timber')
const count = useChoice<number>('base.count')
const runs = useChoice<string>('base.runs')
const skidEnds = useChoice<string>('base.ends')
const beam = useChoice<string>('base.beams.section')
const rows = useChoice<number>('base.beams.rows')
const plies = useChoice<number>('base.beams.plies')
const post = useChoice<string>('base.post')
const fill = useChoice<string>('base.fill')
const load = useChoice<number>('base.gravel.load')
const settles = useChoice<number>('base.gravel.compaction')
const numbers = (first: number, last: number) =>
  Array.from({ length: last - first + 1 }, (_, i) => ({ value: first + i, label: String(first + i) }))
const loose = computed(() =>
  looseRows(
    (bench.plan?.loose ?? []).filter(item => item.code !== 'nails' && item.code !== 'hangers'),
    units.value,
  ),
)
const postInHand = computed(() => (bench.member?.role === 'post' ? supportName(bench.member.where) : null))
const rock = computed(() => (base.value?.kind === 'posts' ? base.value.rock : []))
const stopped = computed(() => rock.value.some(each => each.post === postInHand.value))
const lowWall = computed({
  get: () => (base.value?.kind === 'slab' && base.value.lowWall ? 'yes' : 'no'),
  set: (value: string) =>
    bench.setValue(
      'base.lowWall',
      value === 'yes'
        ? units.value === 'imperial'
          ? { height: 304.8, thickness: 152.4 }
          : { height: 300, thickness: 150 }
        : null,
    ),
})
/** A piece of the base is taken up when its kind is chosen: a post if there is one. */
watch(
  () => base.value?.kind,
  () => {
    const members = bench.plan?.frame.members ?? []
    if (bench.member?.where.in !== 'base')
      bench.hand =
        (members.find(member => member.role === 'post') ?? members.find(member => member.where.in === 'base'))
          ?.id ?? bench.hand
  },
  { immediate: true },
)
const loads = computed(() =>
  [
    ...new Set([
      ...(units.value === 'imperial' ? [450, 900, 1800, 9000] : [500, 1000, 2000, 9000]),
      load.value,
    ]),
  ]
    .filter(Number.isFinite)
    .map(value => ({
      value,
      label: units.value === 'imperial' ? `${Math.round(value / 0.45359237 / 10) * 10} lb` : `${value} kg`,
    })),
)
</script>

<template>
  <Teleport defer to="#ground-strip">
    <ChoiceField v-model="kind" label="Base" :options="kinds" />
    <SelectButton
      v-if="base"
      v-model="from"
      :options="viewChoices(views)"
      option-value="value"
      option-label="label"
      :allow-empty="false"
      aria-label="Seen from"
    />
    <template v-if="base?.kind === 'border' || base?.kind === 'skids'"
      ><ChoiceField v-model="timber" label="Timber" :options="sections"
    /></template>
    <template v-if="base?.kind === 'skids'">
      <ChoiceField v-model="count" label="Skids" :options="numbers(2, 8)" />
      <ChoiceField
        v-model="runs"
        label="Run"
        :options="[
          { value: 'length', label: 'Along' },
          { value: 'width', label: 'Across' },
        ]"
      />
      <ChoiceField
        v-model="skidEnds"
        label="Ends"
        :options="[
          { value: 'square', label: 'Square' },
          { value: 'sloped', label: 'Sloped' },
        ]"
      />
    </template>
    <template v-if="base && 'beams' in base">
      <ChoiceField v-model="beam" label="Beams" :options="sections" />
      <ChoiceField v-model="plies" label="Plies" :options="numbers(1, 3)" />
      <ChoiceField v-model="rows" label="Rows" :options="numbers(2, 8)" />
    </template>
    <template v-if="base?.kind === 'posts'">
      <ChoiceField v-model="post" label="Posts" :options="sections" />
      <ChoiceField
        v-model="fill"
        label="Holes filled with"
        :options="[
          { value: 'gravel', label: 'Tamped gravel' },
          { value: 'concrete', label: 'Concrete' },
        ]"
      />
    </template>
    <ChoiceField
      v-if="base?.kind === 'slab'"
      v-model="lowWall"
      label="Low wall"
      :options="[
        { value: 'no', label: 'None' },
        { value: 'yes', label: 'Round the slab' },
      ]"
    />
    <template v-if="base && 'gravel' in base">
      <ChoiceField
        v-model="settles"
        label="Settles"
        :options="
          [...new Set([0, 10, 15, 20, 25, 30, 40, base.gravel.compaction])].map(value => ({
            value,
            label: `${value} %`,
          }))
        "
      />
      <ChoiceField v-model="load" label="One delivery" :options="loads" />
    </template>
    <MeasureField
      v-for="each in lengths"
      :key="each.path"
      :path="each.path as GroundPath"
      :value="each.value"
    />
    <Button
      v-if="base?.kind === 'posts'"
      :label="stopped ? 'No rock after all' : 'Rock stopped the hole'"
      outlined
      severity="secondary"
      title="At the post in hand"
      :disabled="!postInHand"
      @click="postInHand && below.setRock(postInHand, !stopped)"
    />
  </Teleport>
  <template v-if="base && drawing">
    <div v-if="rock.length" class="rock">
      <span v-for="(each, i) in rock" :key="each.post"
        ><b>Post {{ each.post.replace('/', '-') }}</b>
        <MeasureField :path="`base.rock.${i}.reached`" :value="each.reached"
      /></span>
    </div>
    <DrawingSheet
      class="sheet"
      :drawing="drawing"
      :label="
        from === 'base-plan'
          ? 'The base from above, south at the bottom'
          : 'The base and floor from the south, with the ground'
      "
    />
    <p class="caption quiet">
      {{
        from === 'base-plan'
          ? 'From above, south at the bottom. A row lies under every seam of the floor, beyond those asked for. Take a piece up for its card.'
          : 'From the south; the thick line is the ground along that side. Drag the ring to raise or lower the building.'
      }}
    </p>
    <div v-if="loose.length" class="loose"><ExplainedList :rows="loose" :columns="2" /></div>
  </template>
  <div v-else class="none">
    <p>
      No base is part of the work. Choose what the building stands on; all but a slab bring a floor frame with
      them.
    </p>
    <div class="picks">
      <Button
        v-for="each in baseKinds"
        :key="each"
        :label="baseWords[each]"
        outlined
        @click="below.chooseBase(each)"
      />
    </div>
  </div>
</template>

<style scoped>
.none {
  margin: auto;
  display: grid;
  gap: 16px;
  justify-items: center;
  padding: 24px;
  text-align: center;
  max-width: 36rem;
}
.picks {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  justify-content: center;
}
.caption {
  padding: 6px 16px;
  font-size: 0.9rem;
}
.loose {
  padding: 2px 16px 10px;
  border-top: 1px solid var(--line);
  max-height: 30%;
  overflow: auto;
  flex: none;
}
.rock {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  padding: 4px 16px;
  border-bottom: 1px solid var(--line);
}
.rock span {
  display: inline-flex;
  align-items: center;
  gap: 8px;
}
</style>
