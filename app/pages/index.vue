<script setup lang="ts">
import { useToast } from 'primevue/usetoast'
import { chooseFile, saveFile } from '../composables/useFiles'
import { useImport } from '../composables/useImport'
import { onShelf, type ShelfOrder, shelfOrders } from '../logic/shelf-order'
import type { DesignRow } from '../storage/database'

const shelf = useShelf()
const toast = useToast()
const dusk = useDusk()
const naming = ref<{ id: string; name: string } | null>(null)
const menu = useTemplateRef<{ toggle: (event: Event) => void }>('menu')
const chosen = ref<DesignRow | null>(null)
useHead({ title: 'Shelf · Early Wren' })

onMounted(async () => {
  await shelf.open()
  if (shelf.state !== 'ready') return
  if (useRuntimeConfig().public.demo) await shelf.seed((await import('../demo-designs')).demoDesigns)
})

const say = (summary: string, act?: string, run?: () => void): void =>
  toast.add({
    group: 'undo',
    severity: 'secondary',
    summary,
    detail: act ? { act, run } : undefined,
    life: 9000,
  })

const { underWay, faults, readFiles, stop } = useImport(sentence => say(sentence))
const importFile = async (): Promise<void> => readFiles([await chooseFile('.json,application/json')])
async function dropped(event: DragEvent): Promise<void> {
  await readFiles(
    await Promise.all([...(event.dataTransfer?.files ?? [])].map(file => file.text().catch(() => null))),
  )
}

async function exportFile(row: DesignRow): Promise<void> {
  const design = await shelf.read(row.id)
  const { designFile, fileName } = await import('../../core/output')
  if (design) saveFile(fileName(design.name, 'json'), designFile(design), 'application/json')
}

async function remove(row: DesignRow): Promise<void> {
  if (await shelf.remove(row.id))
    say(`“${row.name}” is removed.`, 'Put it back', () => {
      void shelf.restore(row.id)
      toast.removeGroup('undo')
    })
}

/** Of many, those that a search leaves, in an order; several of them may be chosen. */
const MANY = 8
const search = ref('')
const order = ref<ShelfOrder>('changed')
const many = computed(() => shelf.rows.length > MANY)
const shown = computed(() => (many.value ? onShelf(shelf.rows, search.value, order.value) : shelf.rows))
const choosing = ref(false)
const picked = ref<ReadonlySet<string>>(new Set())
/** Only what is shown is meant. */
const meant = computed(() => shown.value.filter(({ id }) => picked.value.has(id)))
function pick(id: string, on: boolean): void {
  const next = new Set(picked.value)
  if (on) next.add(id)
  else next.delete(id)
  picked.value = next
}
function pickAll(): void {
  picked.value =
    meant.value.length === shown.value.length ? new Set() : new Set(shown.value.map(({ id }) => id))
}
function stopChoosing(): void {
  choosing.value = false
  picked.value = new Set()
}

/** How many designs stand in a file that is being made. */
const saving = ref<{ done: number; of: number } | null>(null)
async function exportSeveral(rows: readonly DesignRow[], name: string): Promise<void> {
  const { fileName } = await import('../../core/output')
  const { parts, saved } = await shelf.saveAll(
    rows.map(({ id }) => id),
    done => {
      saving.value = done < rows.length ? { done, of: rows.length } : null
    },
  )
  if (saved) saveFile(fileName(name, 'json'), new Blob(parts), 'application/json')
  if (saved < rows.length)
    faults.value = {
      title: `${rows.length - saved} of ${rows.length} designs are not in the file`,
      reasons: ["They can't be read in this browser's storage. The others are in it."],
    }
}
const backUp = (): Promise<void> =>
  exportSeveral(shelf.rows, `shelf ${new Date().toISOString().slice(0, 10)}`)

async function removeSeveral(): Promise<void> {
  const gone: string[] = []
  for (const { id } of meant.value) if (await shelf.remove(id)) gone.push(id)
  stopChoosing()
  if (gone.length)
    say(`${gone.length} ${gone.length === 1 ? 'design is' : 'designs are'} removed.`, 'Put back', () => {
      for (const id of gone) void shelf.restore(id)
      toast.removeGroup('undo')
    })
}

async function makeRoom(): Promise<void> {
  if (await shelf.free()) say('There is room again. Steps to undo were forgotten; every design is as it was.')
}

async function rename(): Promise<void> {
  if (!naming.value?.name.trim()) return
  const { id, name } = naming.value
  naming.value = null
  await shelf.rename(id, name)
}

const acts = computed(() => {
  const row = chosen.value
  if (!row) return []
  return [
    {
      label: 'Rename',
      icon: 'pi pi-pencil',
      command: () => {
        naming.value = { id: row.id, name: row.name }
      },
    },
    { label: 'Duplicate', icon: 'pi pi-copy', command: () => void shelf.duplicate(row.id) },
    { label: 'Save as a file', icon: 'pi pi-download', command: () => void exportFile(row) },
    { label: 'Remove', icon: 'pi pi-trash', command: () => void remove(row) },
  ]
})

function openMenu(event: Event, row: DesignRow): void {
  chosen.value = row
  menu.value?.toggle(event)
}
</script>

<template>
  <main class="page" @dragover.prevent @drop.prevent="dropped">
    <header class="head">
      <h1><img src="/icon.svg" alt="" width="44" height="44" /> Early Wren</h1>
      <Button
        :icon="dusk ? 'pi pi-sun' : 'pi pi-moon'"
        text
        severity="secondary"
        :aria-label="dusk ? 'Daylight' : 'Dusk'"
        @click="dusk = !dusk"
      />
    </header>
    <div class="strip">
      <NuxtLink v-slot="{ navigate, href }" to="/new" custom
        ><Button as="a" :href="href" class="new" label="New" icon="pi pi-plus" @click="navigate"
      /></NuxtLink>
      <Button label="Import a file" icon="pi pi-upload" outlined @click="importFile" />
      <template v-if="shelf.rows.length">
        <Button label="Back up all" icon="pi pi-download" outlined @click="backUp" />
        <Button
          v-if="shelf.rows.length > 1"
          :label="choosing ? 'Done' : 'Choose several'"
          outlined
          severity="secondary"
          :aria-pressed="choosing"
          @click="choosing ? stopChoosing() : (choosing = true)"
        />
      </template>
    </div>
    <div v-if="many" class="strip">
      <InputText v-model="search" class="search" placeholder="Find a design" aria-label="Find a design" />
      <ChoiceField v-model="order" label="In order" :options="shelfOrders" />
    </div>
    <div v-if="choosing" class="strip several" role="group" aria-label="Several designs">
      <Button :label="meant.length === shown.length ? 'None' : `All ${shown.length}`" text @click="pickAll" />
      <span class="figures" role="status">{{ meant.length }} chosen</span>
      <Button
        label="Save as one file"
        icon="pi pi-download"
        outlined
        :disabled="!meant.length"
        @click="exportSeveral(meant, 'designs')"
      />
      <Button
        label="Remove"
        icon="pi pi-trash"
        outlined
        severity="secondary"
        :disabled="!meant.length"
        @click="removeSeveral"
      />
    </div>
    <div v-if="underWay ?? saving" class="strip under-way" role="status">
      <span>{{ underWay ? 'Taken in' : 'In the file' }}</span>
      <progress :value="(underWay ?? saving)?.done" :max="(underWay ?? saving)?.of" />
      <span class="figures">{{ (underWay ?? saving)?.done }} of {{ (underWay ?? saving)?.of }}</span>
      <Button v-if="underWay" text label="Stop" @click="stop" />
    </div>
    <div v-if="faults" class="faults" role="alert">
      <div>
        <h2>{{ faults.title }}</h2>
        <ul>
          <li v-for="reason in faults.reasons.slice(0, 12)" :key="reason">{{ reason }}</li>
        </ul>
        <p v-if="faults.reasons.length > 12">And {{ faults.reasons.length - 12 }} more.</p>
      </div>
      <Button text label="OK" @click="faults = null" />
    </div>
    <div v-if="shelf.trouble" class="faults" role="alert">
      <div>
        <h2>{{ shelf.trouble.title }}</h2>
        <p>{{ shelf.trouble.sentence }}</p>
      </div>
      <div class="ways">
        <Button v-if="shelf.trouble.code === 'full'" text label="Make room" @click="makeRoom" />
        <Button v-if="shelf.state === 'failed'" text label="Try again" @click="shelf.open()" />
        <Button v-else text label="OK" @click="shelf.trouble = null" />
      </div>
    </div>
    <p v-if="shelf.state === 'loading'" role="status">Looking along the shelf …</p>
    <p v-else-if="shelf.state === 'silent'" class="faults" role="alert">
      The shelf does not answer. It is still being waited for. Close other tabs of Early Wren; if nothing
      comes, load this page again.
    </p>
    <template v-else-if="shelf.state === 'failed'" />
    <template v-else>
      <ul v-if="shelf.rows.length" class="list" aria-label="Designs">
        <ShelfRow
          v-for="row in shown"
          :key="row.id"
          :row="row"
          :choosing="choosing"
          :chosen="picked.has(row.id)"
          @choose="pick(row.id, $event)"
          @more="openMenu($event, row)"
        />
        <li v-if="!shown.length" class="nothing">
          No design is called “{{ search }}”. Clear the search to see all {{ shelf.rows.length }}.
        </li>
      </ul>
      <div v-else class="empty">
        <h2>No building yet</h2>
        <p>Begin with one that is like yours, or import a design file; you can drop it anywhere here.</p>
      </div>
    </template>
    <p class="quiet foot">Designs are kept in this browser. Save them as files to carry them elsewhere.</p>
    <Menu ref="menu" :model="acts" popup />
    <Dialog
      :visible="naming !== null"
      modal
      header="Rename"
      :style="{ width: 'min(26rem, 94vw)' }"
      @update:visible="naming = null"
    >
      <form v-if="naming" class="rename" @submit.prevent="rename">
        <InputText
          v-model="naming.name"
          aria-label="Name"
          maxlength="80"
          autofocus
          :invalid="!naming.name.trim()"
        />
        <p v-if="!naming.name.trim()" role="alert">A design needs a name.</p>
        <Button type="submit" label="Rename" :disabled="!naming.name.trim()" />
      </form>
    </Dialog>
  </main>
</template>

<style scoped>
.page {
  max-width: 860px;
  min-height: 100dvh;
  margin: 0 auto;
  padding: 24px 24px 40px;
  display: grid;
  gap: 20px;
  align-content: start;
}
.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
h1 {
  font-size: 2.4rem;
  display: flex;
  align-items: center;
  gap: 14px;
}
.strip {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
.list {
  list-style: none;
  margin: 0;
  padding: 0;
  border-bottom: 10px solid var(--grain);
}
.new {
  text-decoration: none;
}
.search {
  flex: 1 1 12rem;
}
.several {
  align-items: center;
  padding: 6px 12px;
  background: var(--dust);
  border: 1px solid var(--sawdust);
}
.under-way {
  align-items: center;
  padding: 6px 12px;
  background: var(--dust);
  border: 1px solid var(--sawdust);
}
.under-way progress {
  flex: 1 1 8rem;
  accent-color: var(--chalk);
}
.nothing {
  padding: 20px 16px;
  background: var(--sheet);
}
.faults {
  border-left: 4px solid var(--crayon);
  background: var(--wash);
  padding: 12px 16px;
  display: flex;
  justify-content: space-between;
  gap: 16px;
  align-items: start;
}
.ways {
  display: flex;
  flex: none;
}
.faults ul {
  margin: 8px 0 0;
  padding-left: 20px;
}
.empty {
  padding: 48px 24px;
  border-bottom: 10px solid var(--grain);
  background: var(--sheet);
  font-size: 1.1rem;
}
.foot {
  font-size: 0.9rem;
}
.rename {
  display: grid;
  gap: 12px;
}
@media (max-width: 720px) {
  .page {
    padding: 12px;
  }
}
</style>
