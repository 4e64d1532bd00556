<script setup lang="ts">
import { lineOf, type Subject, subjectAt } from '../../../core/design'
import { sayCaution, sayProblem, saySubject } from '../../../core/words'
import { rowsOf } from '../../hand/rows'
import type { Row } from '../../hand/row'

/** A part of the building: its fields, their figures, and what is said of them. */
const props = defineProps<{ subject: Subject }>()
const bench = useBench()
const units = computed(() => bench.design?.units ?? 'imperial')
const name = computed(() => (bench.design ? saySubject(bench.design, props.subject) : ''))
const rows = computed(() => (bench.plan ? rowsOf(bench.plan, props.subject) : []))
const problems = computed(() => bench.plan?.frame.problems ?? [])
const pathOf = (row: Row): string | null => (row.kind === 'length' || row.kind === 'choice' ? row.path : null)
const isAt = (row: Row, path: string): boolean => {
  const at = pathOf(row)
  return at !== null && (at === path || at.startsWith(`${path}.`) || path.startsWith(`${at}.`))
}
/** A problem is said once, at the field that comes nearest to its path. */
const faults = computed(() => {
  const said = new Map<Row, string[]>()
  const left: string[] = []
  for (const problem of problems.value) {
    const row =
      rows.value.find(each => pathOf(each) === problem.path) ??
      rows.value.find(each => isAt(each, problem.path))
    if (row) said.set(row, [...(said.get(row) ?? []), sayProblem(problem, units.value)])
    else if (subjectAt(bench.subjects, problem.path).key === props.subject.key)
      left.push(sayProblem(problem, units.value))
  }
  return { said, left }
})
const cautions = computed(() => {
  const members = new Map((bench.plan?.frame.members ?? []).map(each => [each.id, each]))
  return bench.cautions.filter(caution => {
    const member = members.get(caution.members[0] ?? '')
    return member && lineOf(bench.subjects, bench.partOf(member)).some(({ key }) => key === props.subject.key)
  })
})
</script>

<template>
  <section class="subject" :aria-label="name">
    <h2 class="name" tabindex="-1">{{ name }}</h2>
    <p v-for="each in faults.left" :key="each" class="wrong">{{ each }}</p>
    <HandRow
      v-for="(row, i) in rows"
      :key="`${subject.key} ${row.kind} ${pathOf(row) ?? i}`"
      :row="row"
      :faults="faults.said.get(row) ?? []"
    />
    <template v-if="cautions.length">
      <h3>Cautions</h3>
      <ul class="cautions">
        <li v-for="(caution, i) in cautions" :key="i">{{ sayCaution(caution, units) }}</li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.subject {
  display: grid;
  gap: 6px;
  padding: 8px 16px 24px;
  align-content: start;
}
.name {
  font-size: 1.9rem;
  outline-offset: 4px;
}
h3 {
  margin-top: 10px;
  font-size: 1.1rem;
}
.wrong {
  border-left: 4px solid var(--crayon);
  background: var(--wash);
  padding: 6px 10px;
}
.cautions {
  margin: 0;
  padding: 0;
  list-style: none;
  display: grid;
  gap: 8px;
}
.cautions li {
  border-left: 4px solid var(--sawdust);
  padding-left: 10px;
}
</style>
