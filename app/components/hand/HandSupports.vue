<script setup lang="ts">
import { wallOf } from '../../../core/frame'
import { type SupportHeight, supportHeights } from '../../../core/plan'
import { sayLength } from '../../../core/words'

/** How much of each support shows over the ground, and how long it is. */
const bench = useBench()
const units = computed(() => bench.design?.units ?? 'imperial')
const supports = computed(() => (bench.plan ? supportHeights(bench.plan.frame) : []))
const say = (mm: number): string => sayLength(mm, units.value)
/** The piece's mark where it is sawn, then row and number. */
const markOf = ({ id, where }: SupportHeight): string =>
  [
    bench.plan?.pieces.find(piece => piece.members.includes(id))?.mark,
    [wallOf(where), where.run.join('-')].filter(Boolean).join(' '),
  ]
    .filter(Boolean)
    .join(' · ')
const kinds: Record<string, string> = { post: 'Post', pier: 'Pier', block: 'Stack' }
const kind = computed(() => kinds[supports.value[0]?.where.name ?? ''] ?? '')
/** How they are told apart: by their side, or their row, and number. */
const told = computed(() =>
  bench.design?.base?.kind === 'poles'
    ? 'side and number'
    : `row from the ${bench.design?.floor?.runs === 'length' ? 'west' : 'south'} and number`,
)
</script>

<template>
  <table v-if="supports.length" class="supports">
    <caption>
      Carry the level line from the highest ground and cut each to it
    </caption>
    <thead>
      <tr>
        <th scope="col">{{ kind }}, {{ told }}</th>
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
</template>

<style scoped>
.supports {
  border-collapse: collapse;
  width: 100%;
}
caption {
  text-align: left;
  padding: 8px 0 4px;
  font-weight: 700;
}
th {
  text-align: left;
  font-size: 0.85rem;
  color: var(--soft);
  font-weight: 400;
}
td {
  border-top: 1px solid var(--line);
  padding: 2px 6px 2px 0;
}
td .plain-button {
  min-height: var(--target);
  text-decoration: underline;
  text-underline-offset: 3px;
  color: var(--chalk-words);
}
</style>
