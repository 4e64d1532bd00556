<script setup lang="ts">
import { limits, type OwnSize, sectionsUsed } from '../../../core/design'
import { formatLength } from '../../../core/measure'
import { readOwnSize } from '../../logic/own-size'

const bench = useBench()
const units = computed(() => bench.design?.units ?? 'imperial')
const own = computed(() => bench.design?.lumber.sections ?? [])
const used = computed(() => new Set(bench.design ? sectionsUsed(bench.design).map(([, name]) => name) : []))
const shapes = [
  { value: false, label: 'Sawn' },
  { value: true, label: 'Round log' },
]
const round = ref(false)
const blank = { name: '', thickness: '', depth: '' }
const entry = ref({ ...blank })
const fault = ref<{ field: string; message: string } | null>(null)
const moisture = ref<string | null>(null)
const moistureFault = ref('')
const size = (each: OwnSize): string =>
  each.round
    ? `round, ${formatLength(each.depth, { units: units.value, style: 'inches' })}`
    : `${formatLength(each.thickness, { units: units.value, style: 'inches' })} × ${formatLength(each.depth, { units: units.value, style: 'inches' })}`

function add(): void {
  const read = readOwnSize(entry.value, own.value, units.value, round.value)
  fault.value = read.ok ? null : { field: read.field, message: read.message }
  if (!read.ok) return
  bench.setValue('lumber.sections', [...own.value, read.size])
  entry.value = { ...blank }
}

function setMoisture(): void {
  if (moisture.value === null) return
  const value = Number(moisture.value.replace('%', '').trim() || NaN)
  const { min, max } = limits.moisture
  const good = value >= min && value <= max
  moistureFault.value = good ? '' : `Moisture must be a number from ${min} to ${max} percent.`
  if (!good) return
  bench.setValue('lumber.moisture', value)
  moisture.value = null
}

useTypedField({
  name: () => 'Own size',
  dirty: () => Object.values(entry.value).some(each => each.trim() !== ''),
  enter: () => {
    add()
    return fault.value?.message ?? ''
  },
})
useTypedField({
  name: () => 'Moisture',
  dirty: () => moisture.value !== null,
  enter: () => {
    setMoisture()
    return moistureFault.value
  },
})

const remove = (i: number): void =>
  bench.setValue(
    'lumber.sections',
    own.value.filter((_, k) => k !== i),
  )
const fields = computed(() => [
  {
    key: 'name' as const,
    label: 'Name',
    wide: 9,
    most: 40,
    placeholder: round.value ? 'cedar log' : 'rough 2x6',
  },
  ...(round.value
    ? [{ key: 'depth' as const, label: 'Diameter', wide: 9 }]
    : [
        { key: 'thickness' as const, label: 'Thickness', wide: 9 },
        { key: 'depth' as const, label: 'Depth', wide: 9 },
      ]),
])
</script>

<template>
  <div class="lumber">
    <div class="row">
      <label class="field"
        ><span>Moisture, %</span
        ><InputText
          :model-value="moisture ?? String(bench.design?.lumber.moisture ?? '')"
          inputmode="decimal"
          :invalid="!!moistureFault"
          aria-describedby="moisture-fault"
          @update:model-value="moisture = $event ?? ''"
          @blur="setMoisture"
          @keydown.enter="setMoisture"
      /></label>
      <p v-if="moistureFault" id="moisture-fault" role="alert" class="fault">{{ moistureFault }}</p>
    </div>
    <h3>Own sizes, rough-sawn or other</h3>
    <SelectButton
      v-model="round"
      :options="shapes"
      option-label="label"
      option-value="value"
      :allow-empty="false"
      aria-label="Shape of the new size"
    />
    <p v-if="round" class="quiet">Logs stand as posts, and are measured as the square timber round them.</p>
    <OwnList
      v-model="entry"
      :items="own.map(each => ({ name: each.name, size: size(each), inUse: used.has(each.name) }))"
      :fields="fields"
      :fault="fault"
      none="None yet. Add the sizes you measured."
      @add="add"
      @remove="remove"
    />
  </div>
</template>

<style scoped>
.lumber {
  display: grid;
  gap: 14px;
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
  width: 9rem;
}
.fault {
  padding: 8px 10px;
  background: var(--wash);
  border-left: 4px solid var(--crayon);
}
</style>
