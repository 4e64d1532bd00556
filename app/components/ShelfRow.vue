<script setup lang="ts">
import { moment } from '../logic/moment'
import type { DesignRow } from '../storage/database'

/** A design on the shelf: its picture, and what it is at a glance. */
const props = defineProps<{ row: DesignRow; choosing: boolean; chosen: boolean }>()
const emit = defineEmits<{ choose: [on: boolean]; more: [event: Event] }>()
const box = useTemplateRef<HTMLElement>('box')
const card = useShelfCard(box, () => props.row)
/** When it was changed last; its row may be damaged and not say. */
const when = computed(() =>
  props.row.updated === 0 ? 'changed at an unknown time' : moment.format(props.row.updated),
)
</script>

<template>
  <li ref="box" class="design" :class="{ chosen: choosing && chosen }">
    <label v-if="choosing" class="choose">
      <input
        type="checkbox"
        :checked="chosen"
        :aria-label="`Choose ${row.name}`"
        @change="emit('choose', ($event.target as HTMLInputElement).checked)"
      />
    </label>
    <NuxtLink :to="`/design/${row.id}/roof`" class="open">
      <svg width="96" height="64" aria-hidden="true"><path :d="card?.picture ?? ''" /></svg>
      <span class="text">
        <span class="name">{{ row.name }}</span>
        <span v-if="card" class="what quiet">
          <span class="figures">{{ card.size }}</span>
          <span>{{ card.roof }}</span>
          <span class="figures">{{ card.pieces }} pieces, {{ card.cut }} cut</span>
          <span class="figures">{{ card.cautions }} {{ card.cautions === 1 ? 'caution' : 'cautions' }}</span>
        </span>
        <span v-else-if="card === null" class="quiet">It can't be read here.</span>
        <span v-else class="quiet">…</span>
        <span class="quiet when">{{ when }}</span>
      </span>
    </NuxtLink>
    <Button
      icon="pi pi-ellipsis-h"
      text
      severity="secondary"
      :aria-label="`More for ${row.name}`"
      aria-haspopup="menu"
      @click="emit('more', $event)"
    />
  </li>
</template>

<style scoped>
.design {
  display: flex;
  align-items: center;
  border-top: 1px solid var(--line);
  background: var(--sheet);
  padding-right: 12px;
}
.design.chosen {
  box-shadow: inset 4px 0 0 var(--crayon);
}
.choose {
  display: grid;
  place-items: center;
  width: 52px;
  align-self: stretch;
  cursor: pointer;
}
.choose input {
  width: 24px;
  height: 24px;
  accent-color: var(--chalk);
}
.open {
  flex: 1;
  min-width: 0;
  display: flex;
  gap: 20px;
  align-items: center;
  padding: 10px 16px;
  color: inherit;
  text-decoration: none;
  min-height: 92px;
}
.open:hover .name {
  text-decoration: underline;
}
.text {
  display: grid;
  gap: 2px;
  min-width: 0;
}
.name {
  font: 600 1.5rem/1.1 var(--head);
  overflow-wrap: anywhere;
}
.what {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
}
.when {
  font-size: 0.9rem;
}
svg {
  flex: none;
}
path {
  fill: var(--pine);
  stroke: var(--ink);
  stroke-width: 0.7;
}
@media (max-width: 720px) {
  .design {
    padding-right: 0;
  }
  .open {
    padding-inline: 8px;
    gap: 12px;
  }
  .open svg {
    width: 72px;
    height: 48px;
  }
}
</style>
