<script setup lang="ts">
import { useToast } from 'primevue/usetoast'
import type { Units } from '../../core/measure'
import { designFile, fileName } from '../../core/output'
import { chooseFile, saveFile } from '../composables/useFiles'
import { database, type DesignRow } from '../storage/database'
import { openDesign } from '../storage/designs'

const shelf = useShelf()
const toast = useToast()
const router = useRouter()
const dusk = useDusk()
const faults = ref<{ title: string, reasons: readonly string[] } | null>(null)
const naming = ref<{ id: string, name: string } | null>(null)
const menu = useTemplateRef<{ toggle: (event: Event) => void }>('menu')
const chosen = ref<DesignRow | null>(null)
useHead({ title: 'Shelf · Early Wren' })

onMounted(async () => {
  await shelf.open()
  if (useRuntimeConfig().public.demo) await shelf.seed((await import('../demo-designs')).demoDesigns)
})

const when = (ms: number): string => new Intl.DateTimeFormat(undefined, { dateStyle: 'medium', timeStyle: 'short' }).format(ms)
const openNew = async (units: Units): Promise<void> => void router.push(`/design/${await shelf.create(units)}/roof`)
const say = (summary: string, act?: string, run?: () => void): void => toast.add({ group: 'undo', severity: 'secondary', summary, detail: act ? { act, run } : undefined, life: 9000 })

async function readFiles(texts: readonly (string | null)[]): Promise<void> {
  for (const text of texts) {
    if (text === null) continue
    const result = await shelf.importText(text)
    if (!result.ok) faults.value = { title: 'The file was not taken in', reasons: result.reasons }
    else if (result.left.length) faults.value = { title: `“${result.name}” is on the shelf, without what is not known here`, reasons: result.left.map(path => `${path} was left out.`) }
    else say(`“${result.name}” is on the shelf.`)
  }
}

const importFile = async (): Promise<void> => readFiles([await chooseFile('.json,application/json')])
async function dropped(event: DragEvent): Promise<void> {
  await readFiles(await Promise.all([...event.dataTransfer?.files ?? []].map(file => file.text().catch(() => null))))
}

async function exportFile(row: DesignRow): Promise<void> {
  try {
    const { design } = await openDesign(database(), row.id)
    saveFile(fileName(design.name, 'json'), designFile(design), 'application/json')
  }
  catch { faults.value = { title: `“${row.name}” can't be read`, reasons: ['The design stored in this browser is damaged. Import it again from a file, if you saved one.'] } }
}

async function remove(row: DesignRow): Promise<void> {
  await shelf.remove(row.id)
  say(`“${row.name}” is off the shelf.`, 'Put it back', () => { void shelf.restore(row.id); toast.removeGroup('undo') })
}

async function rename(): Promise<void> {
  if (!naming.value?.name.trim()) return
  await shelf.rename(naming.value.id, naming.value.name)
  naming.value = null
}

const acts = computed(() => {
  const row = chosen.value
  if (!row) return []
  return [
    { label: 'Rename', icon: 'pi pi-pencil', command: () => { naming.value = { id: row.id, name: row.name } } },
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
      <h1><img src="/icon.svg" alt="" width="44" height="44"> Early Wren</h1>
      <Button :icon="dusk ? 'pi pi-sun' : 'pi pi-moon'" text severity="secondary" :aria-label="dusk ? 'Daylight' : 'Dusk'" @click="dusk = !dusk" />
    </header>
    <div class="strip">
      <Button label="New, feet and inches" icon="pi pi-plus" @click="openNew('imperial')" />
      <Button label="New, millimetres" icon="pi pi-plus" outlined @click="openNew('metric')" />
      <Button label="Import a file" icon="pi pi-upload" outlined @click="importFile" />
    </div>
    <div v-if="faults" class="faults" role="alert">
      <div>
        <h2>{{ faults.title }}</h2>
        <ul><li v-for="reason in faults.reasons.slice(0, 12)" :key="reason">{{ reason }}</li></ul>
        <p v-if="faults.reasons.length > 12">And {{ faults.reasons.length - 12 }} more.</p>
      </div>
      <Button text label="Good" @click="faults = null" />
    </div>
    <p v-if="shelf.state === 'loading'" role="status">Looking along the shelf …</p>
    <p v-else-if="shelf.state === 'failed'" class="faults" role="alert">The browser's storage can't be opened, so nothing can be kept here. Leave private browsing or allow this page to store data, then load it again.</p>
    <template v-else>
      <ul v-if="shelf.rows.length" class="list" aria-label="Designs">
        <li v-for="row in shelf.rows" :key="row.id" class="design">
          <NuxtLink :to="`/design/${row.id}/roof`" class="open"><ShelfSketch :id="row.id" :revision="row.revision" /><span class="text"><span class="name">{{ row.name }}</span><span class="quiet">{{ when(row.updated) }}</span></span></NuxtLink>
          <Button icon="pi pi-ellipsis-h" text severity="secondary" :aria-label="`More for ${row.name}`" aria-haspopup="menu" @click="openMenu($event, row)" />
        </li>
      </ul>
      <div v-else class="empty">
        <p>The shelf is empty. Start a building, or import a design file; you can drop it anywhere here.</p>
      </div>
    </template>
    <p class="quiet foot">Designs are kept in this browser. Save them as files to carry them elsewhere.</p>
    <Menu ref="menu" :model="acts" popup />
    <Dialog :visible="naming !== null" modal header="Rename" :style="{ width: 'min(26rem, 94vw)' }" @update:visible="naming = null">
      <form v-if="naming" class="rename" @submit.prevent="rename">
        <InputText v-model="naming.name" aria-label="Name" maxlength="80" autofocus :invalid="!naming.name.trim()" />
        <p v-if="!naming.name.trim()" role="alert">A design needs a name.</p>
        <Button type="submit" label="Rename" :disabled="!naming.name.trim()" />
      </form>
    </Dialog>
  </main>
</template>

<style scoped>
.page { max-width: 860px; min-height: 100dvh; margin: 0 auto; padding: 24px 24px 40px; display: grid; gap: 20px; align-content: start; }
.head { display: flex; justify-content: space-between; align-items: center; }
h1 { font-size: 2.4rem; display: flex; align-items: center; gap: 14px; }
.strip { display: flex; flex-wrap: wrap; gap: 12px; }
.list { list-style: none; margin: 0; padding: 0; border-bottom: 10px solid var(--grain); }
.design { display: flex; align-items: center; border-top: 1px solid var(--line); background: var(--sheet); padding-right: 12px; }
.open { flex: 1; display: flex; gap: 20px; align-items: center; padding: 10px 16px; color: inherit; text-decoration: none; min-height: 84px; }
.open:hover .name { text-decoration: underline; }
.text { display: grid; gap: 2px; }
.name { font: 600 1.5rem var(--head); }
.faults { border-left: 4px solid var(--crayon); background: var(--wash); padding: 12px 16px; display: flex; justify-content: space-between; gap: 16px; align-items: start; }
.faults ul { margin: 8px 0 0; padding-left: 20px; }
.empty { padding: 48px 24px; border-bottom: 10px solid var(--grain); background: var(--sheet); font-size: 1.1rem; }
.foot { font-size: .9rem; }
.rename { display: grid; gap: 12px; }
@media (max-width: 720px) { .page { padding: 12px; } .open { padding-inline: 8px; gap: 12px; } }
</style>
