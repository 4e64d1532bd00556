<script setup lang="ts">
import type { Bay } from '../../core/frame'
import type { FloorLayer } from '../../core/drawing'
import { rimPair, sheetsIn } from '../../core/plan'
import { sayLength } from '../../core/words'
import { viewChoices } from '../logic/view-words'

const bench = useBench()
const below = useBelow()
const sections = useSectionChoices()
const joist = useChoice<string>('floor.joist')
const runs = useChoice<string>('floor.runs')
const ends = useChoice<number>('floor.ends')
const blocking = useChoice<number>('floor.blocking')
const hold = useChoice<string>('floor.hold')
const deckBoard = useChoice<string>('floor.deck.section')
const layer = usePlace<FloorLayer>('floor', 'frame')
const design = computed(() => bench.design)
const units = computed(() => design.value?.units ?? 'imperial')
const { drawing, views } = useDrawings('floor', () => layer.value)
const bays = computed(() => bench.plan?.frame.floor?.bays ?? [])
const bayNames = { floor: 'Floor', west: 'West frame', east: 'East frame', porch: 'Porch' } as const
const nameOf = ({ in: within, frame }: Bay): string => bayNames[frame ?? within]
const chosen = ref('')
const bay = computed(() => bays.value.find(each => each.id === chosen.value) ?? bays.value[0] ?? null)
const pair = computed(() => (bench.plan && bay.value ? rimPair(bench.plan.frame, bay.value) : null))
const rims = computed<readonly [string, string]>(() =>
  bay.value?.joists === 'x' ? ['East', 'West'] : ['North', 'South'],
)
const diagonal = computed(() =>
  bay.value
    ? sayLength(
        Math.hypot(bay.value.rect.x1 - bay.value.rect.x0, bay.value.rect.y1 - bay.value.rect.y0),
        units.value,
      )
    : '',
)
const deck = computed({ get: () => design.value?.floor?.deck.kind ?? 'sheets', set: below.chooseDeck })
const porch = computed({ get: () => design.value?.floor?.porch?.side ?? 'none', set: below.choosePorch })
const split = computed({
  get: () => (design.value?.floor?.joint == null ? 'one' : 'two'),
  set: (value: string) => below.splitFloor(value === 'two'),
})
const doubled = computed(() => below.joistInHand() !== null)
const deckSheets = computed(() => (bench.plan ? sheetsIn(bench.plan, 'floor') : []))
/** What comes out of each sheet, by the pieces' marks; sheets that are cut alike are told once. */
const sheetCuts = computed(() => {
  const markOf = new Map(
    (bench.plan?.pieces ?? []).flatMap(piece => piece.members.map(member => [member, piece.mark] as const)),
  )
  const told = deckSheets.value.map(sheet =>
    sheet.pieces.map(each => markOf.get(each.member) ?? '').join(' + '),
  )
  return [...new Set(told)].map(text => ({ text, times: told.filter(each => each === text).length }))
})
const count = (list: readonly string[]) => list.map((label, value) => ({ value, label }))
onMounted(() => {
  bench.hand ??= bench.plan?.frame.members.find(member => member.role === 'joist')?.id ?? null
})
</script>

<template>
  <div v-if="design" class="workbench">
    <div v-if="design.floor" class="strip">
      <ViewSwitch drawing="Plan" />
      <SelectButton
        v-model="layer"
        :options="viewChoices(views)"
        option-value="value"
        option-label="label"
        :allow-empty="false"
        aria-label="Frame or deck"
      />
      <template v-if="layer === 'frame'">
        <ChoiceField v-model="joist" label="Rims and joists" :options="sections" />
        <MeasureField path="floor.spacing" :value="design.floor.spacing" />
        <ChoiceField
          v-model="runs"
          label="Joists run"
          :options="[
            { value: 'width', label: 'Across' },
            { value: 'length', label: 'Along' },
          ]"
        />
        <ChoiceField
          v-model="ends"
          label="End joists"
          :options="[
            { value: 1, label: 'Single' },
            { value: 2, label: 'Doubled' },
          ]"
        />
        <ChoiceField
          v-model="blocking"
          label="Blocks"
          :options="count(['None', 'One row', 'Two rows', 'Three rows'])"
        />
        <ChoiceField
          v-model="hold"
          label="Joist ends"
          :options="[
            { value: 'nails', label: 'Nailed' },
            { value: 'hangers', label: 'Hangers' },
          ]"
        />
        <ChoiceField
          v-model="split"
          label="Built in"
          :options="[
            { value: 'one', label: 'One frame' },
            { value: 'two', label: 'Two frames' },
          ]"
        />
        <Button
          label="Double"
          outlined
          severity="secondary"
          aria-label="Double the joist in hand"
          title="Double the joist in hand, or make a doubled one single"
          :disabled="!doubled"
          @click="below.toggleDouble()"
        />
        <Button
          label="Opening"
          icon="pi pi-plus"
          outlined
          severity="secondary"
          aria-label="Add an opening"
          @click="below.addOpening()"
        />
        <Button label="No floor" text severity="secondary" @click="below.takeFloor()" />
      </template>
      <template v-else>
        <ChoiceField
          v-model="deck"
          label="Deck"
          :options="[
            { value: 'sheets', label: 'Sheets' },
            { value: 'boards', label: 'Boards' },
          ]"
        />
        <MeasureField
          v-if="design.floor.deck.kind === 'sheets'"
          path="floor.deck.thickness"
          :value="design.floor.deck.thickness"
        />
        <template v-else>
          <ChoiceField v-model="deckBoard" label="Boards" :options="sections" />
          <MeasureField path="floor.deck.gap" :value="design.floor.deck.gap" />
        </template>
        <ChoiceField
          v-model="porch"
          label="Porch"
          :options="[
            { value: 'none', label: 'None' },
            { value: 'south', label: 'South' },
            { value: 'east', label: 'East' },
            { value: 'north', label: 'North' },
            { value: 'west', label: 'West' },
          ]"
        />
        <MeasureField v-if="design.floor.porch" path="floor.porch.depth" :value="design.floor.porch.depth" />
      </template>
    </div>
    <div v-else class="strip"><ViewSwitch drawing="Plan" /></div>
    <ProblemLine />
    <template v-if="design.floor">
      <div v-if="layer === 'frame' && design.floor.openings.length" class="openings">
        <p v-for="(opening, i) in design.floor.openings" :key="i">
          <b>Opening {{ i + 1 }}</b>
          <MeasureField :path="`floor.openings.${i}.x`" :value="opening.x" /><MeasureField
            :path="`floor.openings.${i}.y`"
            :value="opening.y"
          />
          <MeasureField :path="`floor.openings.${i}.length`" :value="opening.length" /><MeasureField
            :path="`floor.openings.${i}.width`"
            :value="opening.width"
          />
          <Button
            icon="pi pi-times"
            text
            severity="secondary"
            :aria-label="`Take opening ${i + 1} away`"
            @click="below.dropOpening(i)"
          />
        </p>
      </div>
      <DrawingSheet
        v-if="drawing"
        class="sheet"
        :drawing="drawing"
        :label="`The floor ${layer === 'frame' ? 'frame' : 'deck'} from above, south at the bottom`"
      />
      <template v-if="layer === 'frame'">
        <SelectButton
          v-if="bays.length > 1"
          :model-value="bay?.id"
          class="bays"
          :options="bays.map(each => ({ value: each.id, label: nameOf(each) }))"
          option-value="value"
          option-label="label"
          :allow-empty="false"
          aria-label="Which frame"
          @update:model-value="chosen = $event"
        />
        <PairStrip
          v-if="pair"
          :pair="pair"
          :names="rims"
          :what="`${rims[0]} and ${rims[1].toLowerCase()} rim`"
        />
        <p class="caption quiet">
          Clamp the rims and mark both from the {{ bay?.joists === 'x' ? 'south' : 'west' }} end; X ahead, T a
          joist cut short. Crowns up. Each diagonal {{ diagonal }}: both alike, and opposite sides alike, and
          it is square.
        </p>
      </template>
      <template v-else>
        <p v-if="sheetCuts.length" class="cuts">
          <b>Out of each sheet:</b>
          <span v-for="each in sheetCuts" :key="each.text"
            ><span class="figures">{{ each.times }} ×</span> {{ each.text }}</span
          >
        </p>
        <p class="caption quiet">
          {{
            design.floor.deck.kind === 'sheets'
              ? `Ends break on joists, no row over the last one's. ${deckSheets.length} sheets, offcuts used again; leave 1/8" (3 mm) between.`
              : 'Boards across the joists, ends on a joist; the last row is ripped.'
          }}
        </p>
      </template>
    </template>
    <div v-else class="none">
      <p>No floor is framed: the walls stand on a slab or an old floor.</p>
      <Button label="Frame a floor" @click="below.frameFloor()" />
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
}
.openings {
  padding: 4px 16px;
  border-bottom: 1px solid var(--line);
  max-height: 9.5rem;
  overflow: auto;
}
.openings p {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
}
.bays {
  padding: 0 16px;
}
.cuts {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  padding: 6px 16px;
  border-top: 1px solid var(--line);
}
@media (max-width: 720px) {
  .openings p {
    flex-wrap: nowrap;
    overflow-x: auto;
  }
  .openings p > * {
    flex: none;
  }
}
</style>
