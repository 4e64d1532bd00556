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
const fields = [
  { key: 'name', label: 'Name', wide: 11, most: 40, placeholder: 'kitchen sash' },
  { key: 'width', label: 'Width', wide: 7 },
  { key: 'height', label: 'Height', wide: 7 },
  { key: 'count', label: 'How many', wide: 5, numeric: true },
] as const
</script>

<template>
  <div class="units">
    <OwnList
      v-model="entry"
      :items="list.map(each => ({ ...each, size: `${say(each.width)} × ${say(each.height)}` }))"
      :fields="fields"
      :fault="fault"
      @add="add"
      @remove="remove"
    />
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
</style>
