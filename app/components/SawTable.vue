<script setup lang="ts">
import { LONGER, type SawRow } from '../logic/saw-rows'

/** The list at the saw: a row a piece, in groups; `sections` where those are not the groups. */
defineProps<{ rows: readonly SawRow[]; sections: boolean; none: string }>()
const emit = defineEmits<{ take: [row: SawRow]; tick: [row: SawRow] }>()
const rowClass = (row: SawRow): string => (row.hand ? 'in-hand' : '')
</script>

<template>
  <DataTable
    class="saw-table"
    :value="rows"
    data-key="key"
    row-group-mode="subheader"
    group-rows-by="group"
    :row-class="rowClass"
    scrollable
    scroll-height="flex"
    size="small"
    @row-click="emit('take', $event.data)"
  >
    <template #groupheader="{ data }"
      ><span class="group">{{ data.group }}</span></template
    >
    <Column header="Mark" class="c-mark">
      <template #body="{ data }"
        ><button
          type="button"
          class="plain-button mark"
          :aria-pressed="data.hand"
          @click.stop="emit('take', data)"
        >
          {{ data.mark }}
        </button></template
      >
    </Column>
    <Column field="count" header="Count" class="c-count" body-class="figures right" header-class="right" />
    <Column header="Piece" class="c-piece">
      <template #body="{ data }"
        >{{ data.name }}<span v-if="sections" class="more">{{ data.section }}</span></template
      >
    </Column>
    <Column header="Length" class="c-length" body-class="figures right" header-class="right">
      <template #body="{ data }"
        >{{ data.length
        }}<span class="more from">{{ data.stock === LONGER ? LONGER : `from ${data.stock}` }}</span></template
      >
    </Column>
    <Column header="Cuts" body-class="figures" class="c-cuts">
      <template #body="{ data }"
        >{{ data.cuts }}<span v-if="data.more" class="more">{{ data.more }}</span></template
      >
    </Column>
    <Column header="Cut" class="c-box">
      <template #body="{ data }">
        <button
          type="button"
          class="box"
          role="checkbox"
          :aria-checked="data.state === 'yes' ? 'true' : data.state === 'changed' ? 'mixed' : 'false'"
          :aria-label="`${data.mark} is cut`"
          :class="data.state"
          :title="data.state === 'changed' ? 'Changed since it was cut' : ''"
          @click.stop="emit('tick', data)"
        >
          <i
            v-if="data.state !== 'no'"
            :class="data.state === 'yes' ? 'pi pi-check' : 'pi pi-exclamation-triangle'"
            aria-hidden="true"
          />
        </button>
      </template>
    </Column>
    <template #empty>
      <p class="none">{{ none }}</p>
    </template>
  </DataTable>
</template>

<style scoped>
.more {
  display: block;
  color: var(--soft);
  font-size: 0.85rem;
  line-height: 1.25;
}
.group {
  font: 600 1.2rem var(--head);
}
.mark {
  font: 600 1.25rem var(--head);
  color: var(--crayon-words);
  min-height: var(--target);
  min-width: var(--target);
}
.saw-table :deep(.right) {
  text-align: right;
}
.saw-table :deep(.right .p-datatable-column-header-content) {
  justify-content: flex-end;
}
.saw-table :deep(tr) {
  cursor: pointer;
}
.saw-table :deep(tr.in-hand > td) {
  background: var(--wash);
  box-shadow: inset 0 -2px 0 var(--crayon);
}
.saw-table :deep(table) {
  table-layout: fixed;
  width: 100%;
  min-width: 0;
}
.saw-table :deep(td),
.saw-table :deep(th) {
  padding: 3px 6px;
  overflow-wrap: anywhere;
}
.saw-table :deep(.c-mark) {
  width: 4rem;
}
.saw-table :deep(.c-piece) {
  width: 8.6rem;
}
.saw-table :deep(.c-count) {
  width: 3.9rem;
}
.saw-table :deep(.c-length) {
  width: 9.4rem;
}
.saw-table :deep(.c-box) {
  width: calc(var(--target) + 20px);
}
/* the group's cell spans one column too few */
.saw-table :deep(.p-datatable-row-group-header td) {
  border-bottom: 0;
  padding-top: 12px;
}
.box {
  width: var(--target);
  height: var(--target);
  border: 2px solid var(--soft);
  background: var(--sheet);
  color: inherit;
  cursor: pointer;
  border-radius: 3px;
}
.box.yes {
  background: var(--moss);
  border-color: var(--moss);
  color: var(--sheet);
}
.box.changed {
  background: var(--dust);
  border-color: var(--sawdust);
}
.none {
  padding: 20px 4px;
}
@container (max-width: 600px) {
  .saw-table :deep(thead) {
    display: none;
  }
  .saw-table :deep(tbody tr:not(.p-datatable-row-group-header)) {
    display: grid;
    grid-template:
      'mark count piece box' auto 'mark length cuts box' auto / 3.4rem minmax(2rem, 7.4rem)
      minmax(0, 1fr) calc(var(--target) + 8px);
    border-bottom: 1px solid var(--line);
  }
  .saw-table :deep(tbody tr:not(.p-datatable-row-group-header) td) {
    display: block;
    width: auto;
    border: 0;
    text-align: left;
    padding: 2px 4px;
  }
  .saw-table :deep(.p-datatable-row-group-header) {
    display: block;
  }
  .saw-table :deep(.p-datatable-row-group-header td) {
    display: block;
  }
  .saw-table :deep(.c-mark) {
    grid-area: mark;
  }
  .saw-table :deep(.c-count) {
    grid-area: count;
  }
  .saw-table :deep(.c-piece) {
    grid-area: piece;
  }
  .saw-table :deep(.c-length) {
    grid-area: length;
  }
  .saw-table :deep(.c-cuts) {
    grid-area: cuts;
    font-size: 0.9rem;
  }
  .saw-table :deep(.c-box) {
    grid-area: box;
    align-self: center;
  }
}
</style>
