<script setup lang="ts">
import type { NestCut, Stretch } from '../../core/nest'
import { cutShape } from '../logic/held-boards'

/** A board to scale with what is cut from it: `tones` of the cuts, in their order, and what is bad of it. */
const props = defineProps<{
  stock: number
  cuts: readonly NestCut[]
  defects?: readonly Stretch[]
  tones: readonly ('' | 'hand' | 'done' | 'soon')[]
}>()
const share = (mm: number): string => `${((100 * mm) / props.stock).toFixed(3)}%`
</script>

<template>
  <div class="bar">
    <i
      v-for="(cut, i) in cuts"
      :key="i"
      :class="tones[i]"
      :style="{ left: share(cut.from), width: share(cut.length), clipPath: cutShape(cut) }"
    />
    <s
      v-for="(bad, i) in defects ?? []"
      :key="`bad ${i}`"
      :style="{ left: share(bad.from), width: share(bad.to - bad.from) }"
    />
  </div>
</template>

<style scoped>
.bar {
  position: relative;
  height: 20px;
  border: 1px solid var(--ink);
  background: repeating-linear-gradient(-45deg, var(--sheet) 0 5px, var(--line) 5px 6px);
}
i {
  position: absolute;
  inset-block: 0;
  background: var(--pine);
  /* within the piece: the next one lies less than a pixel on */
  box-shadow: inset -1px 0 0 var(--ink);
}
/* beside a slanted cut no line is drawn: the pieces are told apart by their tone */
i[style*='polygon']:nth-of-type(even):not(.hand, .done, .soon) {
  background: var(--grain);
}
i.hand {
  background: var(--crayon);
}
i.done {
  background: var(--moss);
}
i.soon {
  background: var(--wash);
}
s {
  position: absolute;
  inset-block: 0;
  background: var(--ink);
}
</style>
