<script setup lang="ts">
import { isLumber } from '../../core/lumber'
import { roles } from '../../core/trade'
import { formatLength } from '../../core/measure'
import { cardOf } from '../../core/plan'
import { adviseOn, capital, saySection, sayLength } from '../../core/words'
import { figureRows, markRows, sawRows, steppingRows, toldRows } from '../logic/card-rows'
import { moment } from '../logic/moment'

const bench = useBench()
const units = computed(() => bench.design?.units ?? 'imperial')
const card = computed(() => (bench.plan && bench.piece ? cardOf(bench.plan, bench.piece) : null))
const cut = computed(() => (bench.piece ? bench.cutState(bench.piece) : 'no'))
const when = computed(() => {
  const at = bench.piece && cut.value !== 'no' ? bench.cutAt(bench.piece) : null
  return at && moment.format(at)
})
const short = (mm: number): string => formatLength(mm, { units: units.value, style: 'inches' })
/** The card, also where the view beside it is one that is printed. */
function print(): void {
  const { dataset } = document.documentElement
  dataset.paper = 'card'
  window.addEventListener('afterprint', () => delete dataset.paper, { once: true })
  window.print()
}
const square = ref(false)
const squareAsked = ref(false)
const told = computed(() => (card.value ? toldRows(card.value.piece, units.value).map(capital) : []))
const roleName = computed(() =>
  card.value ? roles[card.value.piece.role][card.value.piece.count === 1 ? 'one' : 'many'] : '',
)
</script>

<template>
  <section v-if="card" class="card" aria-label="Cut card">
    <header class="head">
      <h2 class="mark" tabindex="-1">{{ card.piece.mark }}</h2>
      <div class="what">
        <p>
          <b class="figures">{{ card.piece.count }}</b> {{ roleName }}
        </p>
        <p class="quiet figures">
          {{ saySection(card.piece.section, units)
          }}<template v-if="card.piece.section.round">
            · round, {{ short(card.piece.section.depth) }}</template
          ><template v-else-if="isLumber(card.piece.section)">
            · {{ short(card.piece.section.thickness) }} × {{ short(card.piece.section.depth) }}</template
          >
        </p>
      </div>
      <div class="turn no-print">
        <Button
          icon="pi pi-chevron-left"
          text
          severity="secondary"
          aria-label="Previous card"
          title="Previous (K)"
          @click="bench.nextPiece(-1)"
        />
        <Button
          icon="pi pi-chevron-right"
          text
          severity="secondary"
          aria-label="Next card"
          title="Next (J)"
          @click="bench.nextPiece(1)"
        />
      </div>
    </header>
    <p class="length figures">
      {{ sayLength(card.piece.length, units)
      }}<template v-if="!isLumber(card.piece.section)"> × {{ sayLength(card.piece.width, units) }}</template
      ><small v-if="card.piece.stock"> from {{ sayLength(card.piece.stock, units) }}</small>
    </p>
    <div class="acts no-print">
      <Button
        class="tick"
        :label="
          cut === 'yes' ? 'Cut' : cut === 'changed' ? 'Changed since it was cut: tick again' : 'Tick as cut'
        "
        :icon="cut === 'yes' ? 'pi pi-check' : undefined"
        :class="cut"
        title="Tick (X)"
        outlined
        :aria-pressed="cut === 'yes'"
        @click="bench.tick(card.piece)"
      />
      <small v-if="when" class="when">{{ cut === 'yes' ? when : `cut ${when}` }}</small>
      <Button icon="pi pi-print" text severity="secondary" label="Print the card" @click="print" />
      <HandPieceActs />
    </div>
    <BenchBoard :card="card" />
    <div class="part">
      <h3>Saw, from square</h3>
      <ExplainedList :rows="sawRows(card, units)" />
      <SawSettings :cuts="card.cuts" />
    </div>
    <div v-if="told.length" class="part">
      <h3>Cuts and notches, corner by corner</h3>
      <ul class="told figures">
        <li v-for="each in told" :key="each">{{ each }}</li>
      </ul>
    </div>
    <div v-if="card.stepping" class="part">
      <h3>Square and step-off</h3>
      <ExplainedList :rows="steppingRows(card, units)" />
      <Button
        class="no-print"
        label="Show the square on the board"
        icon="pi pi-pencil"
        outlined
        severity="secondary"
        @click="square = squareAsked = true"
      />
      <LazySquareDialog v-if="squareAsked" v-model="square" :card="card" />
    </div>
    <div class="part">
      <h3>Marks, from the first long point</h3>
      <ol class="marks">
        <li v-for="(mark, i) in markRows(card, units)" :key="i">
          <span class="figures at">{{ mark.at }}</span> {{ mark.what }}
        </li>
      </ol>
    </div>
    <div class="part">
      <h3>Figures</h3>
      <ExplainedList :rows="figureRows(card, units)" :columns="2" />
    </div>
    <p class="quiet advice">{{ adviseOn(card.piece.role) }}</p>
  </section>
  <section v-else class="card empty" aria-label="Cut card">
    <p class="quiet">No board can be cut yet. The cautions say what to change.</p>
  </section>
</template>

<style scoped>
.card {
  display: grid;
  gap: 8px;
  padding: 12px 16px 24px;
  align-content: start;
}
.head {
  display: flex;
  align-items: center;
  gap: 14px;
}
.mark {
  font-size: 3rem;
  color: var(--crayon-words);
  line-height: 0.9;
}
.what {
  flex: 1;
}
.turn {
  display: flex;
}
.turn :deep(.p-button) {
  min-width: var(--target);
}
.length {
  font-size: 1.6rem;
}
.length small {
  font-size: 0.95rem;
  color: var(--soft);
}
.acts {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
.when {
  align-self: center;
}
.tick.yes {
  background: var(--moss);
  color: var(--sheet);
  border-color: var(--moss);
}
:global(.dusk .tick.yes) {
  color: #10202c;
}
.tick.changed {
  background: var(--dust);
  color: var(--ink);
  border-color: var(--sawdust);
}
h3 {
  margin-top: 10px;
  font-size: 1.15rem;
  border-bottom: 2px solid var(--ink);
  padding-bottom: 2px;
}
.told {
  margin: 0;
  padding: 0;
  list-style: none;
}
.told li {
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
.marks {
  list-style: none;
  margin: 0;
  padding: 0;
}
.marks li {
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
  display: grid;
  grid-template-columns: 8.5rem 1fr;
  gap: 8px;
}
.at {
  color: var(--crayon-words);
  text-align: right;
  padding-right: 8px;
}
.advice {
  margin-top: 8px;
}
/* one page, as wide as the paper, to be read at arm's length */
@media print {
  .card {
    zoom: 0.84;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 0 28px;
    padding: 0;
    font-size: 1rem;
  }
  .head,
  .length,
  .card > :deep(.board) {
    grid-column: 1 / -1;
  }
  .length {
    font-size: 1.7rem;
  }
  .mark {
    font-size: 3.4rem;
  }
  .part {
    break-inside: avoid;
  }
}
.part {
  display: grid;
  gap: 8px;
  min-width: 0;
  align-content: start;
}
</style>
