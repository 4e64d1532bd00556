<script setup lang="ts">
import { sheetsIn } from '../../../core/plan'
import { counted } from '../../../core/words'
import { looseRows } from '../../logic/card-rows'

/** What comes out of each sheet of the walls or the floor, by the pieces' marks. */
const props = defineProps<{ of: 'walls' | 'floor' }>()
const bench = useBench()
const units = computed(() => bench.design?.units ?? 'imperial')
const sheets = computed(() => (bench.plan ? sheetsIn(bench.plan, props.of) : []))
/** Sheets that are cut alike are told once. */
const cuts = computed(() => {
  const markOf = new Map(
    (bench.plan?.pieces ?? []).flatMap(piece => piece.members.map(member => [member, piece.mark] as const)),
  )
  const told = sheets.value.map(sheet => sheet.pieces.map(each => markOf.get(each.member) ?? '').join(' + '))
  return [...new Set(told)].map(text => ({ text, times: told.filter(each => each === text).length }))
})
const loose = computed(() =>
  looseRows(
    (bench.plan?.loose ?? []).filter(({ code }) =>
      props.of === 'walls' ? code === 'wrap' : code === 'nails' || code === 'hangers',
    ),
    units.value,
  ),
)
const remark = computed(() =>
  props.of === 'walls'
    ? `${counted(sheets.value.length, 'sheet')} for all walls and gables, offcuts used again; edges on wood, 1/8" (3 mm) apart.`
    : sheets.value.length
      ? `Ends break on joists, no row over the last one's. ${counted(sheets.value.length, 'sheet')}, offcuts used again; leave 1/8" (3 mm) between.`
      : 'Boards across the joists, ends on a joist; the last row is ripped.',
)
</script>

<template>
  <div class="cuts">
    <template v-if="cuts.length">
      <h3>Out of each sheet</h3>
      <ul>
        <li v-for="each in cuts" :key="each.text">
          <span class="figures">{{ each.times }} ×</span> {{ each.text }}
        </li>
      </ul>
    </template>
    <p class="quiet">{{ remark }}</p>
    <ExplainedList v-if="loose.length" :rows="loose" />
  </div>
</template>

<style scoped>
.cuts {
  display: grid;
  gap: 6px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  border-bottom: 1px solid var(--line);
  padding: 4px 0;
}
h3 {
  font-size: 1.1rem;
}
</style>
