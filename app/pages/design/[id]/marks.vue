<script setup lang="ts">
import { isSide, partitionIndex } from '../../../../core/design'
import type { WallName } from '../../../../core/frame'
import { formatLength } from '../../../../core/measure'
import { bearingStrip, type MarkedPair, platePair, rakeStrips, wallOrder } from '../../../../core/plan'
import { fileName } from '../../../../core/output'
import { readAloud, sayLength, saySlope } from '../../../../core/words'
import { saveFile } from '../../../composables/useFiles'
import { stripLines } from '../../../logic/strip-pages'

definePageMeta({ key: route => `marks-${String(route.params.id)}` })
const route = useRoute()
const bench = useBench()
const id = computed(() => String(route.params.id))
/** The part that was on the bench. */
const part = usePlace<string>('part', '')
onMounted(async () => {
  const at = part.value
  await bench.open(id.value)
  if (at) bench.goToPart(Number(at))
})
onBeforeUnmount(() => bench.close())
useHead({ title: () => (bench.design ? `${bench.design.name}, plate marks · Early Wren` : 'Early Wren') })

/** mm of paper along a line: a sheet laid upright, less its margins. */
const PAPER = 180
const scales = [
  { value: 'fit', label: 'On one line' },
  { value: '10', label: '1 to 10' },
  { value: '5', label: '1 to 5' },
  { value: '1', label: 'Full size' },
]
const chosen = ref('fit')
const units = computed(() => bench.design?.units ?? 'imperial')
const say = (mm: number): string => formatLength(mm, { units: units.value })
/** A wall's strips as they are marked: its plates as a pair, or a raked one's each alone. */
const walls = computed(() =>
  bench.plan
    ? wallOrder(bench.plan).flatMap(wall => {
        const pair = platePair(bench.plan!.frame, wall.name)
        const end = { x: { low: 'west', high: 'east' }, y: { low: 'south', high: 'north' } }[wall.along][
          pair.end
        ]
        const on = (title: string, what: string, strip: MarkedPair, hook: string) => ({
          title,
          what,
          pair: strip,
          end: hook,
          calls: readAloud(strip, units.value),
          ...stripLines(strip.length, PAPER, chosen.value === 'fit' ? null : 1 / Number(chosen.value)),
        })
        return [
          on(words(wall.name), pair.boards === 2 ? 'Both plates' : 'Bottom plate', pair, `${end} end`),
          ...rakeStrips(bench.plan!.frame, wall.name).map(strip =>
            on(
              `${words(wall.name)}, ${saySlope(strip.slope)} slope`,
              'Top plate along its lower face',
              strip,
              'low end',
            ),
          ),
          ...[bearingStrip(bench.plan!, wall.name)].flatMap(strip =>
            strip
              ? [
                  on(
                    `${words(wall.name)}, ${bench.plan!.building.roof.truss ? 'trusses' : 'rafters'} on it`,
                    'Top plate, corner to corner of the building',
                    strip,
                    `${wall.along === 'x' ? 'west' : 'south'} corner`,
                  ),
                ]
              : [],
          ),
        ]
      })
    : [],
)
const words = (name: WallName): string =>
  isSide(name) ? `${name[0]?.toUpperCase()}${name.slice(1)} wall` : `Partition ${partitionIndex(name) + 1}`
const print = (): void => window.print()
function saveText(): void {
  if (!bench.design) return
  const text = walls.value
    .map(({ title, what, pair, end, calls }) =>
      [
        `${title}: ${what.toLowerCase()} ${sayLength(pair.length, units.value)}, tape hooked on the ${end}`,
        ...calls.map(call => call.say),
      ].join('\n'),
    )
    .join('\n\n')
  saveFile(fileName(`${bench.design.name} plate marks`, 'txt'), `${text}\n`, 'text/plain')
}
</script>

<template>
  <main v-if="bench.plan && bench.design" class="page">
    <nav class="acts no-print">
      <NuxtLink :to="`/design/${id}/walls`"><i class="pi pi-arrow-left" aria-hidden="true" /> Walls</NuxtLink>
      <SelectButton
        v-model="chosen"
        :options="scales"
        option-value="value"
        option-label="label"
        :allow-empty="false"
        aria-label="How long on paper"
      />
      <Button label="Print" icon="pi pi-print" @click="print" />
      <Button
        label="Text"
        icon="pi pi-download"
        outlined
        aria-label="Save the list to read aloud as text"
        @click="saveText"
      />
    </nav>
    <h1>{{ bench.design.name }}: plate marks</h1>
    <p class="quiet">
      Lay the two plates side by side and mark across both. Near sides, running from one end; the letter is
      written ahead of the line.
      {{
        chosen === '1'
          ? 'Full size: check a line with the tape after printing, then lay the lines end to end.'
          : ''
      }}
    </p>
    <section
      v-for="{ title, what, pair, end, calls, scale, lines } in walls"
      :key="title"
      class="wall"
      tabindex="0"
      :aria-label="title"
    >
      <h2>{{ title }}</h2>
      <p>
        {{ what }} <b class="figures">{{ sayLength(pair.length, units) }}</b>, tape hooked on the {{ end
        }}<template v-if="pair.joints.length"
          >, joined at <b class="figures">{{ pair.joints.map(say).join(', ') }}</b></template
        >.
      </p>
      <StripOnPaper
        v-for="(line, i) in lines"
        :key="i"
        :pair="pair"
        :line="line"
        :scale="scale"
        :units="units"
      />
      <ol class="calls">
        <li v-for="(call, i) in calls" :key="i">{{ call.say }}</li>
      </ol>
    </section>
  </main>
  <BenchWait v-else />
</template>

<style scoped>
.page {
  max-width: 56rem;
  margin: 0 auto;
  padding: 16px;
  display: grid;
  gap: 10px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
}
.acts a {
  min-height: var(--target);
  display: inline-flex;
  gap: 8px;
  align-items: center;
  margin-right: auto;
}
.wall {
  border-top: 2px solid var(--ink);
  padding-top: 10px;
  display: grid;
  gap: 6px;
  overflow-x: auto;
}
.calls {
  columns: 2;
  column-gap: 32px;
  margin: 4px 0 8px;
  padding-left: 2.2rem;
  font-family: var(--figures);
  font-size: 0.95rem;
}
.calls li {
  break-inside: avoid;
  padding: 2px 0;
}
@media (max-width: 720px) {
  .calls {
    columns: 1;
  }
}
@media print {
  .page {
    padding: 0;
    max-width: none;
    display: block;
  }
  .wall {
    break-inside: auto;
    display: block;
    overflow: visible;
  }
  .wall + .wall {
    break-before: page;
  }
}
</style>
