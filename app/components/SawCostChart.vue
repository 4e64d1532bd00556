<script setup lang="ts">
/** Cost and what is over of each section; the table beside it says the same in figures. */
const props = defineProps<{
  chart: {
    readonly costly: boolean
    readonly labels: readonly string[]
    readonly cost: readonly number[]
    readonly over: readonly number[]
  }
}>()
const dusk = useDusk()
const colour = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim()
const data = computed(() => {
  void dusk.value
  const over = {
    label: 'Offcuts, %',
    data: [...props.chart.over],
    backgroundColor: colour('--sawdust'),
    xAxisID: 'over',
  }
  const cost = {
    label: 'Cost',
    data: [...props.chart.cost],
    backgroundColor: colour('--chalk'),
    xAxisID: 'cost',
  }
  return { labels: [...props.chart.labels], datasets: props.chart.costly ? [cost, over] : [over] }
})
const font = { family: 'Atkinson Hyperlegible', size: 14 }
const options = computed(() => {
  void dusk.value
  const axis = (title: string, position: 'top' | 'bottom') => ({
    ...{ type: 'linear', position, beginAtZero: true },
    title: { display: true, text: title, color: colour('--ink'), font },
    ticks: { color: colour('--ink'), font },
    grid: { color: colour('--line') },
  })
  return {
    ...{ indexAxis: 'y', animation: false, maintainAspectRatio: false },
    plugins: { legend: { labels: { color: colour('--ink'), font } } },
    scales: {
      y: { ticks: { color: colour('--ink'), font }, grid: { display: false } },
      over: axis('offcuts, %', 'bottom'),
      ...(props.chart.costly && { cost: axis('cost', 'top') }),
    },
  }
})
const says = computed(
  () =>
    `${props.chart.costly ? 'Cost and what is over' : 'What is over'} by section: ${props.chart.labels
      .map(
        (label, i) =>
          `${label} ${props.chart.costly ? `${props.chart.cost[i]?.toFixed(2)}, ` : ''}${props.chart.over[i]} % over`,
      )
      .join('; ')}`,
)
</script>

<template>
  <div class="chart">
    <Chart type="bar" :data="data" :options="options" :canvas-props="{ role: 'img', 'aria-label': says }" />
  </div>
</template>

<style scoped>
.chart {
  position: relative;
  height: 100%;
  max-width: 620px;
}
.chart :deep(.p-chart) {
  height: 100%;
}
</style>
