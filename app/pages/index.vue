<script setup lang="ts">
import { useToast } from 'primevue/usetoast'
import type { Units } from '../../core/measure'
import { designFile, fileName } from '../../core/output'
import { chooseFile, saveFile } from '../composables/useFiles'
import type { DesignRow } from '../storage/database'

const shelf = useShelf()
const toast = useToast()
const router = useRouter()
const dusk = useDusk()
const faults = ref<{ title: string; reasons: readonly string[] } | null>(null)
const naming = ref<{ id: string; name: string } | null>(null)
const menu = useTemplateRef<{ toggle: (event: Event) => void }>('menu')
const chosen = ref<DesignRow | null>(null)
useHead({ title: 'Shelf · Early Wren' })

onMounted(async () => {
  await shelf.open()
  if (shelf.state !== 'ready') return
  if (useRuntimeConfig().public.demo) await shelf.seed((await import('../demo-designs')).demoDesigns)
})

/** When a design was changed last; its row may be damaged and not say. */
const when = (ms: number): string =>
  ms === 0
    ? 'changed at an unknown time'
    : new Intl.DateTimeFormat(undefined, { dateStyle: 'medium', timeStyle: 'short' }).format(ms)
async function openNew(units: Units): Promise<void> {
  const id = await shelf.create(units)
  if (id !== null) await router.push(`/design/${id}/roof`)
}
const say = (summary: string, act?: string, run?: () => void): void =>
  toast.add({
    group: 'undo',
    severity: 'secondary',
    summary,
    detail: act ? { act, run } : undefined,
    life: 9000,
  })

async function readFiles(texts: readonly (string | null)[]): Promise<void> {
  for (const text of texts) {
    if (text === null) continue
    const result = await shelf.importText(text)
    if (result === null) continue // storage says why
    if (!result.ok) faults.value = { title: 'The file was not taken in', reasons: result.reasons }
    else if (result.left.length)
      faults.value = {
        title: `“${result.name}” is on the shelf, without what is not known here`,
        reasons: result.left.map(path => `${path} was left out.`),
      }
    else say(`“${result.name}” is on the shelf.`)
  }
}

const importFile = async (): Promise<void> => readFiles([await chooseFile('.json,application/json')])
async function dropped(event: DragEvent): Promise<void> {
  await readFiles(
    await Promise.all([...(event.dataTransfer?.files ?? [])].map(file => file.text().catch(() => null))),
  )
}

async function exportFile(row: DesignRow): Promise<void> {
  const design = await shelf.read(row.id)
  if (design) saveFile(fileName(design.name, 'json'), designFile(design), 'application/json')
}

async function remove(row: DesignRow): Promise<void> {
  if (await shelf.remove(row.id))
    say(`“${row.name}” is off the shelf.`, 'Put it back', () => {
      void shelf.restore(row.id)
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
    { label: 'Take off the shelf', icon: 'pi pi-trash', command: () => void remove(row) },
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
      <Button label="New, feet and inches" icon="pi pi-plus" @click="openNew('imperial')" />
      <Button label="New, millimetres" icon="pi pi-plus" outlined @click="openNew('metric')" />
      <Button label="Import a file" icon="pi pi-upload" outlined @click="importFile" />
    </div>
    <div v-if="faults" class="faults" role="alert">
      <div>
        <h2>{{ faults.title }}</h2>
        <ul>
          <li v-for="reason in faults.reasons.slice(0, 12)" :key="reason">{{ reason }}</li>
        </ul>
        <p v-if="faults.reasons.length > 12">And {{ faults.reasons.length - 12 }} more.</p>
      </div>
      <Button text label="Good" @click="faults = null" />
    </div>
    <div v-if="shelf.trouble" class="faults" role="alert">
      <div>
        <h2>{{ shelf.trouble.title }}</h2>
        <p>{{ shelf.trouble.sentence }}</p>
      </div>
      <div class="ways">
        <Button v-if="shelf.trouble.code === 'full'" text label="Make room" @click="makeRoom" />
        <Button v-if="shelf.state === 'failed'" text label="Try again" @click="shelf.open()" />
        <Button v-else text label="Good" @click="shelf.trouble = null" />
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
        <li v-for="row in shelf.rows" :key="row.id" class="design">
          <NuxtLink :to="`/design/${row.id}/roof`" class="open"
            ><ShelfSketch :id="row.id" :revision="row.revision" /><span class="text"
              ><span class="name">{{ row.name }}</span
              ><span class="quiet">{{ when(row.updated) }}</span></span
            ></NuxtLink
          >
          <Button
            icon="pi pi-ellipsis-h"
            text
            severity="secondary"
            :aria-label="`More for ${row.name}`"
            aria-haspopup="menu"
            @click="openMenu($event, row)"
          />
        </li>
      </ul>
      <div v-else class="empty">
        <p>The shelf is empty. Start a building, or import a design file; you can drop it anywhere here.</p>
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
.design {
  display: flex;
  align-items: center;
  border-top: 1px solid var(--line);
  background: var(--sheet);
  padding-right: 12px;
}
.open {
  flex: 1;
  display: flex;
  gap: 20px;
  align-items: center;
  padding: 10px 16px;
  color: inherit;
  text-decoration: none;
  min-height: 84px;
}
.open:hover .name {
  text-decoration: underline;
}
.text {
  display: grid;
  gap: 2px;
}
.name {
  font: 600 1.5rem var(--head);
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
  .open {
    padding-inline: 8px;
    gap: 12px;
  }
}
</style>
