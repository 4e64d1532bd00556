<script setup lang="ts">
import { CUBIC_METRES } from '../../core/measure'
import { type SupportHeight, supportHeights } from '../../core/plan'
import { earthwork } from '../../core/survey'
import { sayLength, sayLoose, sayVolume } from '../../core/words'

const bench = useBench()
const below = useBelow()
const method = useChoice<string>('site.levels.method')
const design = computed(() => bench.design)
const units = computed(() => design.value?.units ?? 'imperial')
const points = computed(() => design.value?.site?.levels.points ?? [])
const { drawing } = useDrawings('ground', () => 'levels')
const ground = computed(() => bench.plan?.frame.ground ?? null)
const supports = computed(() => (bench.plan ? supportHeights(bench.plan.frame) : []))
const spoil = computed(() => bench.plan?.loose.find(item => item.code === 'spoil') ?? null)
/** The level at which as much is dug as filled, below the highest ground, and how much that is. */
const even = computed(() => {
  const frame = bench.plan?.frame
  if (!frame) return null
  const {
    outline,
    ground: { at, highest },
  } = frame
  const down =
    earthwork(at, outline, highest.height).filled / ((outline.x1 - outline.x0) * (outline.y1 - outline.y0))
  return { down, volume: earthwork(at, outline, highest.height - down).dug * CUBIC_METRES }
})
const say = (mm: number): string => sayLength(mm, units.value)
const where = (at: { x: number; y: number }): string =>
  `${say(Math.max(0, at.x))} from the west, ${say(Math.max(0, at.y))} from the south`
/** The piece's mark where it is sawn, then row and number. */
const markOf = ({ id, where }: SupportHeight): string =>
  [bench.plan?.pieces.find(piece => piece.members.includes(id))?.mark, where.run.join('-')]
    .filter(Boolean)
    .join(' · ')
const kinds: Record<string, string> = { post: 'Post', pier: 'Pier', block: 'Stack' }
const kindOf = (support: SupportHeight | undefined): string => kinds[support?.where.name ?? ''] ?? ''
</script>

<template>
  <Teleport defer to="#ground-strip">
    <ChoiceField
      v-model="method"
      label="Readings are"
      :options="[
        { value: 'rod', label: 'Rod, down from a level line' },
        { value: 'height', label: 'Heights, up' },
      ]"
    />
    <Button
      label="Corners"
      icon="pi pi-plus"
      outlined
      severity="secondary"
      aria-label="Add a reading at each corner"
      @click="below.addLevels(true)"
    />
    <Button
      label="Reading"
      icon="pi pi-plus"
      outlined
      severity="secondary"
      aria-label="Add a reading"
      @click="below.addLevels(false)"
    />
  </Teleport>
  <div v-if="design && drawing && ground" class="levels">
    <DrawingSheet
      class="plan"
      :drawing="drawing"
      label="The ground from above: each reading, and its height over the highest ground"
    />
    <div class="lists">
      <p v-if="!points.length" class="quiet">
        Take a reading at each corner of the building and wherever the ground humps or dips, all from one
        set-up of the instrument.
      </p>
      <template v-else>
        <p class="fall">
          The ground falls <b class="figures">{{ say(ground.highest.height - ground.lowest.height) }}</b> from
          {{ where(ground.highest) }}, to {{ where(ground.lowest) }}.
        </p>
        <p v-if="even && even.down > 1" class="quiet">
          Levelled to {{ say(even.down) }} below the highest, as much is dug as filled:
          {{ sayVolume(even.volume, units) }}, as it lies.
        </p>
        <ol class="points">
          <li v-for="(point, i) in points" :key="i">
            <b>{{ i + 1 }}</b>
            <MeasureField :path="`site.levels.points.${i}.x`" :value="point.x" /><MeasureField
              :path="`site.levels.points.${i}.y`"
              :value="point.y"
            /><MeasureField :path="`site.levels.points.${i}.reading`" :value="point.reading" />
            <Button
              icon="pi pi-times"
              text
              severity="secondary"
              :aria-label="`Take reading ${i + 1} away`"
              @click="below.dropLevel(i)"
            />
          </li>
        </ol>
      </template>
      <table v-if="supports.length" class="supports">
        <caption>
          Carry the level line from the highest ground and cut each to it
        </caption>
        <thead>
          <tr>
            <th scope="col">
              {{ kindOf(supports[0]) }}, row from the
              {{ design.floor?.runs === 'length' ? 'west' : 'south' }} and number
            </th>
            <th scope="col">Shows</th>
            <th scope="col">Whole</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="each in supports" :key="each.id">
            <td>
              <button
                v-if="each.where.name === 'post'"
                type="button"
                class="plain-button"
                @click="bench.pick(each.id)"
              >
                {{ markOf(each) }}</button><span v-else>{{ markOf(each) }}</span>
            </td>
            <td class="figures">{{ say(each.showing) }}</td>
            <td class="figures">{{ say(each.whole) }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="spoil" class="quiet">
        {{ sayLoose(spoil, units).name }}: {{ sayLoose(spoil, units).value }}.
        {{ sayLoose(spoil, units).why }}
      </p>
    </div>
  </div>
</template>

<style scoped>
.levels {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-rows: minmax(260px, 1fr) minmax(0, 1fr);
}
.plan {
  min-height: 260px;
}
.lists {
  overflow: auto;
  border-top: 1px solid var(--line);
  padding: 10px 16px 16px;
  display: grid;
  gap: 10px;
  align-content: start;
}
.fall {
  font-size: 1.1rem;
}
.points {
  list-style: none;
  margin: 0;
  padding: 0;
}
.points li {
  display: flex;
  gap: 6px 14px;
  align-items: center;
  border-bottom: 1px solid var(--line);
  padding: 3px 0;
  flex-wrap: wrap;
}
table {
  border-collapse: collapse;
  width: 100%;
  max-width: 34rem;
}
caption {
  text-align: left;
  color: var(--soft);
  padding-bottom: 4px;
}
th {
  text-align: left;
  font-weight: 700;
}
td,
th {
  padding: 3px 12px 3px 0;
  border-bottom: 1px solid var(--line);
}
td button {
  min-height: var(--target);
  min-width: var(--target);
  font: 600 1.1rem var(--head);
  color: var(--crayon-words);
}
@media (max-width: 720px) {
  .points li {
    flex-wrap: nowrap;
    overflow-x: auto;
  }
  .points li > * {
    flex: none;
  }
}
</style>
