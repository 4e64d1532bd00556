<script setup lang="ts">
import { bookLimits, buyingOf, entryOf, isOfYard, type NestStock, sayMoney, withEntry } from '../../core/nest'
import { fileName, stockCsv } from '../../core/output'
import { plansOf, wholeTotals, yardLengths } from '../../core/plan'
import { sayLength, saySection } from '../../core/words'
import { chooseFile, saveFile } from '../composables/useFiles'
import { readBookCsv, withOwn } from '../logic/stock-work'

/** What is bought, section by section, what it costs, and boards that are there already. */
const bench = useBench()
const saw = useSaw()
const units = computed(() => bench.design?.units ?? 'imperial')
onMounted(() => {
  saw.near = true
})
onBeforeUnmount(() => {
  saw.near = false
})
const length = (mm: number): string => sayLength(mm, units.value)
const lengths = computed(() => (bench.whole ? yardLengths(bench.whole) : []))
const named = computed(
  () =>
    new Map(
      (bench.whole ? plansOf(bench.whole) : [])
        .flatMap(each => each.pieces)
        .map(piece => [piece.section.name, saySection(piece.section, units.value)]),
    ),
)
const sections = computed(() => [...new Set(saw.asked?.ask.pieces.map(({ section }) => section) ?? [])])
const buying = computed(() => (saw.plan ? buyingOf(saw.plan, saw.book.spare) : null))
const groups = computed(() =>
  sections.value.map(name => {
    const bought = buying.value?.sections.find(each => each.section === name)
    const more = saw.book.stock.filter(
      each =>
        each.section === name && isOfYard(each) && !lengths.value.some(mm => Math.abs(mm - each.length) < 1),
    )
    const sold = [...lengths.value, ...more.map(each => each.length)].sort((a, b) => a - b)
    return {
      name,
      label: named.value.get(name) ?? name,
      cost: bought?.rows.length ? bought.cost : null,
      buy: (bought?.rows ?? []).map(row => `${row.cut + row.spare} × ${length(row.length)}`).join(', '),
      rows: sold.map(mm => {
        const row = bought?.rows.find(each => Math.abs(each.length - mm) < 1)
        const entry = entryOf(saw.book, name, mm)
        return {
          mm,
          cut: row?.cut ?? 0,
          spare: row?.spare ?? 0,
          cost: row?.cost ?? null,
          price: entry?.price ?? null,
          sold: entry?.count !== 0,
        }
      }),
    }
  }),
)
const sheets = computed(() => saw.sheets.reduce((sum, each) => sum + each.sheets.length, 0))
/** As many as the tally counts, which lays each piece as it comes. */
const laid = computed(() => (bench.whole ? wholeTotals(bench.whole).sheets : 0))
const sheetsSaid = computed(() => {
  const fewer = laid.value - sheets.value
  const said = `and ${sheets.value} ${sheets.value === 1 ? 'sheet' : 'sheets'}`
  return fewer > 0 ? `${said}, ${fewer} fewer than laid one by one` : said
})
const bare = computed(() => buying.value?.sections.every(({ rows }) => rows.every(row => row.cost === null)))
const setPrice = (section: string, mm: number, price: number | null): void =>
  saw.setBook(book => withEntry(book, section, mm, { price }))
const setSold = (section: string, mm: number, sold: boolean): void =>
  saw.setBook(book => withEntry(book, section, mm, { count: sold ? null : 0 }))

/** Boards on hand and culls. */
const own = computed(() => saw.book.stock.flatMap((each, at) => (isOfYard(each) ? [] : [{ each, at }])))
const adding = reactive<{
  section: string
  length: number | null
  count: number | null
  price: number | null
  poor: boolean
}>({
  section: '',
  length: null,
  count: 1,
  price: null,
  poor: false,
})
const bad = reactive<{ from: number | null; to: number | null }>({ from: null, to: null })
watch(
  sections,
  list => {
    if (!list.includes(adding.section)) adding.section = list[0] ?? ''
  },
  { immediate: true },
)
const told = ref<readonly string[]>([])
function add(): void {
  const made = withOwn(saw.book, adding, bad)
  told.value = made.ok ? [] : [made.message]
  if (!made.ok) return
  saw.setBook(book => ({ ...book, stock: [...book.stock, made.board] }))
  bad.from = bad.to = null
}
const remove = (at: number): void =>
  saw.setBook(book => ({ ...book, stock: book.stock.filter((_, i) => i !== at) }))
const ownText = ({ section, length: mm, count, price, own: there, defects = [], poor }: NestStock): string =>
  [
    `${count ?? ''} × ${length(mm)} ${named.value.get(section) ?? section}`,
    there ? 'on hand' : price === null ? 'no price' : `${sayMoney(price)} each`,
    ...(poor ? ['crooked'] : []),
    ...defects.map(({ from, to }) => `bad from ${length(from)} to ${length(to)}`),
  ].join(', ')

async function readCsv(): Promise<void> {
  const text = await chooseFile('.csv,text/csv')
  if (text === null) return
  const read = readBookCsv(text, units.value)
  told.value = read.ok ? [] : read.reasons
  if (read.ok) saw.setBook(book => ({ ...book, stock: read.stock }))
}
const saveCsv = (): void =>
  saveFile(
    fileName('stock and prices', 'csv'),
    stockCsv(saw.book.stock, lengths.value, sections.value),
    'text/csv',
  )

/** Cost and what is over, by section: a chart where something is bought. */
const chart = computed(() => {
  const list = buying.value?.sections ?? []
  const costly = list.some(each => each.cost !== null)
  return {
    costly,
    labels: list.map(each => named.value.get(each.section) ?? each.section),
    cost: list.map(each => each.cost?.toNumber() ?? 0),
    over: list.map(each => (each.length > 0 ? Math.round((1000 * each.over) / each.length) / 10 : 0)),
  }
})
</script>

<template>
  <div class="buy">
    <div class="field-row">
      <SawField
        kind="length"
        name="Longest to carry"
        hint="any"
        :value="saw.book.longest"
        :limit="bookLimits.longest"
        @set="saw.setBook(book => ({ ...book, longest: $event }))"
      />
      <SawField
        kind="count"
        name="Spare in each section"
        :value="saw.book.spare"
        :limit="bookLimits.spare"
        @set="saw.setBook(book => ({ ...book, spare: $event ?? 0 }))"
      />
      <Button
        label="Stock CSV"
        aria-label="Save stock and prices as CSV"
        icon="pi pi-download"
        outlined
        @click="saveCsv"
      />
      <Button
        label="Read CSV"
        aria-label="Read stock and prices from CSV"
        icon="pi pi-upload"
        outlined
        @click="readCsv"
      />
    </div>
    <div v-if="told.length" class="said-wrong" role="alert">
      <p v-for="each in told" :key="each">{{ each }}</p>
    </div>
    <SawTrouble class="said-wrong" />
    <p class="total" role="status">
      <template v-if="buying">
        <b v-if="bare">No prices yet</b>
        <template v-else>
          <b class="figures">{{ sayMoney(buying.cost) }}</b>
          <span v-if="buying.unpriced" class="quiet"
            >without {{ buying.unpriced }} {{ buying.unpriced === 1 ? 'length' : 'lengths' }} that
            {{ buying.unpriced === 1 ? 'has' : 'have' }} no price</span
          >
        </template>
        <span v-if="sheets" class="figures">{{ sheetsSaid }}</span>
      </template>
      <span v-else>Planning …</span>
    </p>
    <!-- its room is there before it is, so that nothing moves under a finger -->
    <div v-if="chart.labels.length" :style="{ height: `${100 + 34 * chart.labels.length}px` }">
      <LazySawCostChart :chart="chart" />
    </div>
    <section v-for="group in groups" :key="group.name" :aria-label="group.label">
      <h2>
        {{ group.label }} <span class="figures">{{ group.buy }}</span>
        <span v-if="group.cost" class="figures">{{ sayMoney(group.cost) }}</span>
      </h2>
      <table>
        <thead>
          <tr>
            <th scope="col">Length</th>
            <th scope="col">Buy</th>
            <th scope="col">Price each</th>
            <th scope="col">Cost</th>
            <th scope="col">Sold</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in group.rows" :key="row.mm" :class="{ none: row.cut + row.spare === 0 }">
            <th scope="row" class="figures">{{ length(row.mm) }}</th>
            <td class="figures">
              <b v-if="row.cut + row.spare">{{ row.cut + row.spare }}</b><span
                v-if="row.spare"
                class="quiet spare"
                >{{ row.spare }} to spare</span
              >
            </td>
            <td>
              <SawField
                kind="price"
                bare
                hint="–"
                :name="`Price of ${group.label}, ${length(row.mm)}`"
                :value="row.price"
                :limit="bookLimits.price"
                @set="setPrice(group.name, row.mm, $event)"
              />
            </td>
            <td class="figures">{{ row.cost ? sayMoney(row.cost) : '' }}</td>
            <td>
              <input
                type="checkbox"
                :checked="row.sold"
                :aria-label="`${group.label}, ${length(row.mm)} is sold`"
                @change="setSold(group.name, row.mm, ($event.target as HTMLInputElement).checked)"
              />
            </td>
          </tr>
        </tbody>
      </table>
    </section>
    <section aria-label="On hand">
      <h2>On hand, and culls</h2>
      <ul>
        <li v-for="{ each, at } in own" :key="at">
          <span>{{ ownText(each) }}</span>
          <Button icon="pi pi-times" text :aria-label="`Take away ${ownText(each)}`" @click="remove(at)" />
        </li>
      </ul>
      <form class="field-row" @submit.prevent="add">
        <ChoiceField
          v-model="adding.section"
          label="Section"
          :options="sections.map(value => ({ value, label: named.get(value) ?? value }))"
        />
        <SawField
          kind="length"
          name="Board length"
          hint="–"
          :value="adding.length"
          :limit="bookLimits.board"
          @set="adding.length = $event"
        />
        <SawField
          kind="count"
          name="How many"
          :value="adding.count"
          :limit="{ min: 1, max: 10000 }"
          @set="adding.count = $event"
        />
        <SawField
          kind="price"
          name="Cull price each"
          hint="on hand"
          :value="adding.price"
          :limit="bookLimits.price"
          @set="adding.price = $event"
        />
        <SawField
          kind="length"
          name="Bad from"
          hint="–"
          :value="bad.from"
          :limit="{ min: 0, max: 20000 }"
          @set="bad.from = $event"
        />
        <SawField
          kind="length"
          name="Bad to"
          hint="–"
          :value="bad.to"
          :limit="{ min: 0, max: 20000 }"
          @set="bad.to = $event"
        />
        <label class="ticked">
          <input v-model="adding.poor" type="checkbox" />
          Crooked: nothing crowned, no template
        </label>
        <Button type="submit" label="Add board" outlined />
      </form>
    </section>
  </div>
</template>

<style scoped>
.total {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 16px;
  min-height: 2rem;
}
.total b {
  font-size: 1.6rem;
}
h2 {
  font-size: 1.2rem;
  margin: 16px 0 4px;
  border-bottom: 2px solid var(--ink);
  display: flex;
  gap: 16px;
  align-items: baseline;
}
h2 .figures {
  font-size: 1rem;
  font-weight: normal;
}
table {
  width: 100%;
  max-width: 620px;
  border-collapse: collapse;
}
th,
td {
  padding: 2px 6px;
  text-align: right;
  font-weight: normal;
}
tbody th {
  white-space: nowrap;
}
thead th {
  color: var(--soft);
  font-size: 0.85rem;
}
tbody tr {
  border-top: 1px solid var(--line);
}
.none th {
  color: var(--soft);
}
td input[type='checkbox'] {
  width: 24px;
  height: 24px;
  accent-color: var(--chalk);
  vertical-align: middle;
}
.spare {
  display: block;
  font-size: 0.85rem;
}
@container (max-width: 420px) {
  th,
  td {
    padding: 2px;
    font-size: 0.9rem;
  }
  td :deep(input[type='text']) {
    width: 4.6rem;
    padding-inline: 4px;
  }
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li :deep(.p-button) {
  flex: none;
}
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  border-top: 1px solid var(--line);
}
</style>
