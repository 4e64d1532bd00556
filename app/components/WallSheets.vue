<script setup lang="ts">
import { sheetsIn } from '../../core/plan'
import type { WallName } from '../../core/frame'
import { sayLoose } from '../../core/words'

/** The sheets on the walls: what can be chosen of them, or what comes out of each. */
const props = defineProps<{ wall: WallName; part: 'choices' | 'cuts' }>()
const bench = useBench()
const { walls, covered, cover, build, siding } = useWalls(toRef(props, 'wall'))
const sections = useSectionChoices()
const board = useChoice<string>('walls.siding.section')
const slat = useChoice<string>('walls.slats.section')
const covers = computed(() => [
  ...(build.value === 'studs'
    ? [{ value: 'sheets', label: covered.value === 'sheets' ? 'Sheets' : 'As all' }]
    : []),
  { value: 'slats', label: 'Slats' },
  { value: 'open', label: 'Open' },
])
const shown = computed({
  get: () => (build.value === 'posts' && cover.value === 'sheets' ? 'open' : cover.value),
  set: value => {
    cover.value = value
  },
})
const way = useChoice<string>('walls.sheathing.way')
const top = useChoice<string>('walls.sheathing.top')
const units = computed(() => bench.design?.units ?? 'imperial')
const sheets = computed(() => (bench.plan ? sheetsIn(bench.plan, 'walls') : []))
/** What comes out of each sheet, by the pieces' marks; sheets that are cut alike are told once. */
const cuts = computed(() => {
  const markOf = new Map(
    (bench.plan?.pieces ?? []).flatMap(piece => piece.members.map(member => [member, piece.mark] as const)),
  )
  const told = sheets.value.map(sheet => sheet.pieces.map(each => markOf.get(each.member) ?? '').join(' + '))
  return [...new Set(told)].map(text => ({ text, times: told.filter(each => each === text).length }))
})
const wrap = computed(() =>
  (bench.plan?.loose ?? [])
    .filter(item => item.code === 'wrap' || item.code === 'siding')
    .map(item => sayLoose(item, units.value)),
)
</script>

<template>
  <template v-if="part === 'choices'">
    <ChoiceField
      v-model="covered"
      label="Walls"
      :options="[
        { value: 'none', label: 'Bare' },
        { value: 'sheets', label: 'Sheets' },
      ]"
    />
    <ChoiceField v-model="shown" label="This wall" :options="covers" />
    <template v-if="walls && cover === 'slats'">
      <ChoiceField v-model="slat" label="Slats" :options="sections" />
      <MeasureField path="walls.slats.gap" :value="walls.slats.gap" />
    </template>
    <template v-else-if="walls?.sheathing">
      <MeasureField path="walls.sheathing.thickness" :value="walls.sheathing.thickness" />
      <ChoiceField
        v-model="way"
        label="Sheets stand"
        :options="[
          { value: 'upright', label: 'Upright' },
          { value: 'level', label: 'Level' },
        ]"
      />
      <ChoiceField
        v-model="top"
        label="End"
        :options="[
          { value: 'under-tails', label: 'Under the tails' },
          { value: 'round-tails', label: 'Round the tails' },
        ]"
      />
      <MeasureField path="walls.sheathing.drop" :value="walls.sheathing.drop" />
      <ChoiceField
        v-model="siding"
        label="Siding"
        :options="[
          { value: 'none', label: 'None' },
          { value: 'lapped', label: 'Lapped' },
        ]"
      />
      <template v-if="walls.siding">
        <ChoiceField v-model="board" label="Boards" :options="sections" />
        <MeasureField path="walls.siding.exposure" :value="walls.siding.exposure" />
      </template>
    </template>
  </template>
  <div v-else-if="walls?.sheathing" class="cuts" tabindex="0" role="region" aria-label="Out of each sheet">
    <p>
      <b>Out of each sheet:</b>
      <span v-for="each in cuts" :key="each.text"
        ><span class="figures">{{ each.times }} ×</span> {{ each.text }}</span
      >
    </p>
    <p class="quiet">
      {{ sheets.length }} sheets for all walls and gables, offcuts used again; edges on wood, 1/8" (3 mm)
      apart.
      <span v-for="each in wrap" :key="each.name"
        >{{ each.name }}: <span class="figures">{{ each.value }}</span>.
        {{ each.name === 'Siding boards' ? each.why : '' }}</span
      >
    </p>
  </div>
  <p v-else class="cuts quiet">
    {{
      cover === 'slats'
        ? 'Slats are laid from the deck up, each end on a stud or post.'
        : 'The walls are bare. Choose sheets above to lay them out.'
    }}
  </p>
</template>

<style scoped>
.cuts {
  padding: 6px 16px 10px;
  border-top: 1px solid var(--line);
  font-size: 0.9rem;
  max-height: 9rem;
  overflow: auto;
}
.cuts > p {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
}
</style>
