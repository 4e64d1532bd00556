<script setup lang="ts">
import { ownSections, roofHas, type SideName, sideNames } from '../../../core/design'
import { fitUnits, withUnits } from '../../../core/frame'
import { findSection } from '../../../core/lumber'
import { sayLength, sideWords } from '../../../core/words'
import { readUnit } from '../../logic/unit-entry'

/** Units on hand, salvaged or bought, and a wall sized from them. */
const bench = useBench()
const wall = ref<SideName>('south')
const house = computed(() => (bench.design ? roofHas(bench.design.roof).house : null))
const walls = computed(() =>
  sideNames.filter(side => side !== house.value).map(value => ({ value, label: sideWords[value] })),
)
const units = computed(() => bench.design?.units ?? 'imperial')
const list = computed(() => bench.design?.walls.units ?? [])
const blank = { name: '', width: '', height: '', count: '1' }
const entry = ref({ ...blank })
const fault = ref<{ field: string; message: string } | null>(null)
const fit = computed(() => {
  const { design, plan } = bench
  if (!design || !plan) return null
  const own = ownSections(design.lumber)
  return fitUnits(
    design,
    wall.value,
    plan.frame.lumber.plate,
    name => findSection(name, own) ?? plan.frame.lumber.plate,
  )
})
const say = (mm: number): string => sayLength(mm, units.value)
const told = computed(() => {
  const at = fit.value
  if (!at) return ''
  if (at.ok)
    return `Side by side in the ${wall.value} wall, heads in line, they ask for a building ${say(at.overall)} along it and a wall ${say(at.height)} high.`
  if (at.code === 'no-units') return 'Add what you have: the frames measured outside.'
  return at.code === 'too-long'
    ? `Side by side they ask for ${say(at.needs)} of wall; ${say(at.most)} is the most. Take some away, or give them openings one by one.`
    : `The tallest asks for a wall ${say(at.needs)} high; ${say(at.most)} is the most. Take it away.`
})

function add(): void {
  const read = readUnit(entry.value, units.value)
  fault.value = read.ok ? null : { field: read.field, message: read.message }
  if (!read.ok) return
  bench.setValue('walls.units', [...list.value, read.unit])
  entry.value = { ...blank }
}
useTypedField({
  name: () => 'Unit on hand',
  dirty: () => [entry.value.name, entry.value.width, entry.value.height].some(each => each.trim() !== ''),
  enter: () => {
    add()
    return fault.value?.message ?? ''
  },
})
const remove = (i: number): void =>
  bench.setValue(
    'walls.units',
    list.value.filter((_, k) => k !== i),
  )

function size(): void {
  const at = fit.value
  if (!at?.ok) return
  bench.edit(design => withUnits(design, wall.value, at))
}
</script>

<template>
  <div class="units">
    <ul>
      <li v-for="(each, i) in list" :key="i">
        <span
          ><b class="figures">{{ each.count }} ×</b> {{ each.name }}
          <span class="figures quiet">{{ say(each.width) }} × {{ say(each.height) }}</span></span
        >
        <Button
          :aria-label="`Take away ${each.name}`"
          icon="pi pi-times"
          text
          severity="secondary"
          @click="remove(i)"
        />
      </li>
    </ul>
    <form class="row" @submit.prevent="add">
      <label class="field"
        ><span>Name</span
        ><InputText
          v-model="entry.name"
          maxlength="40"
          :invalid="fault?.field === 'name'"
          placeholder="kitchen sash"
      /></label>
      <label class="field short"
        ><span>Width</span><InputText v-model="entry.width" :invalid="fault?.field === 'width'"
      /></label>
      <label class="field short"
        ><span>Height</span><InputText v-model="entry.height" :invalid="fault?.field === 'height'"
      /></label>
      <label class="field few"
        ><span>How many</span
        ><InputText v-model="entry.count" inputmode="numeric" :invalid="fault?.field === 'count'"
      /></label>
      <Button type="submit" label="Add" outlined />
    </form>
    <p v-if="fault" role="alert" class="fault">{{ fault.message }}</p>
    <ChoiceField v-model="wall" label="Wall sized from them" :options="walls" />
    <p class="told" role="status">{{ told }}</p>
    <Button class="size" :label="`Size the ${wall} wall from them`" :disabled="!fit?.ok" @click="size" />
  </div>
</template>

<style scoped>
.units {
  display: grid;
  gap: 14px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  border-bottom: 1px solid var(--line);
  min-height: var(--target);
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
}
.field {
  display: grid;
  gap: 4px;
  font-size: 0.9rem;
  color: var(--soft);
}
.field :deep(.p-inputtext) {
  width: 11rem;
}
.short :deep(.p-inputtext) {
  width: 7rem;
}
.few :deep(.p-inputtext) {
  width: 5rem;
}
.fault {
  padding: 8px 10px;
  background: var(--wash);
  border-left: 4px solid var(--crayon);
}
</style>
