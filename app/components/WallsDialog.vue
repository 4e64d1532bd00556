<script setup lang="ts">
import { isSide } from '../../core/design'
import type { WallName } from '../../core/frame'

/** How all walls are built, and what the wall that is shown has of its own. */
const props = defineProps<{ wall: WallName }>()
const { build, ownHeight, step, steps } = useWalls(toRef(props, 'wall'))
const gable = computed(() => props.wall === 'east' || props.wall === 'west')
const open = defineModel<boolean>({ required: true })
const bench = useBench()
const sections = useSectionChoices()
const stud = useChoice<string>('walls.stud')
const plates = useChoice<number>('walls.topPlates')
const through = useChoice<string>('walls.through')
const corner = useChoice<string>('walls.corner')
const stack = useChoice<string>('walls.stack')
const bracing = useChoice<string>('walls.bracing')
const gables = useChoice<string>('walls.gables')
const post = useChoice<string>('walls.posts.post')
const beam = useChoice<string>('walls.posts.beam')
const joint = useChoice<string>('walls.posts.joint')
const posts = computed(() =>
  Object.values(bench.design?.walls.sides ?? {}).some(side => side.build === 'posts'),
)
const uneven = computed(
  () =>
    new Set(
      (bench.plan?.frame.walls ?? []).map(wall =>
        wall.raked ? 'raked' : wall.step ? 'steps' : Math.round(wall.height * 1000),
      ),
    ).size > 1,
)
</script>

<template>
  <Dialog
    v-model:visible="open"
    modal
    header="How the walls are built"
    :style="{ width: '30rem' }"
    :breakpoints="{ '720px': '96vw' }"
  >
    <div v-if="bench.design" class="dialog-rows">
      <template v-if="isSide(wall)">
        <h3>The {{ wall }} wall</h3>
        <ChoiceField
          v-model="build"
          label="Built of"
          :options="[
            { value: 'studs', label: 'Studs' },
            { value: 'posts', label: 'Posts, beam' },
          ]"
        />
        <ChoiceField
          v-model="ownHeight"
          label="Height"
          :options="[
            { value: 'all', label: 'As all' },
            { value: 'own', label: 'Its own' },
          ]"
        />
        <MeasureField
          v-if="ownHeight === 'own'"
          :path="`walls.sides.${wall}.height`"
          :value="bench.design.walls.sides[wall].height ?? 0"
        />
        <template v-if="gable && build === 'studs'">
          <ChoiceField
            v-model="steps"
            label="Its top"
            :options="[
              { value: 'no', label: 'Runs level' },
              { value: 'yes', label: 'Steps' },
            ]"
          />
          <template v-if="step">
            <MeasureField :path="`walls.sides.${wall}.step.at`" :value="step.at" />
            <MeasureField :path="`walls.sides.${wall}.step.height`" :value="step.height" />
          </template>
        </template>
        <h3>All walls</h3>
      </template>
      <ChoiceField v-model="stud" label="Studs" :options="sections" />
      <ChoiceField
        v-model="plates"
        label="Top plates"
        :options="[
          { value: 1, label: 'One' },
          { value: 2, label: 'Two' },
        ]"
      />
      <MeasureField path="walls.longest" :value="bench.design.walls.longest" />
      <ChoiceField
        v-model="through"
        label="Run through"
        :options="[
          { value: 'eaves', label: 'Eaves' },
          { value: 'gables', label: 'Gables' },
        ]"
      />
      <p v-if="uneven" class="quiet">Walls of unlike heights, or raked: the eave walls run through.</p>
      <ChoiceField
        v-model="corner"
        label="Corners"
        :options="[
          { value: 'three-stud', label: 'Third stud' },
          { value: 'nailer', label: 'Nailer laid flat' },
        ]"
      />
      <ChoiceField
        v-model="stack"
        label="Studs stand"
        :options="[
          { value: 'own', label: 'On their own layout' },
          { value: 'joists', label: 'Over the joists' },
          { value: 'rafters', label: 'Under the rafters' },
        ]"
      />
      <ChoiceField
        v-model="bracing"
        label="Diagonals"
        :options="[
          { value: 'none', label: 'None' },
          { value: 'temporary', label: 'For a while, inside' },
          { value: 'let-in', label: 'Let in, outside' },
        ]"
      />
      <ChoiceField
        v-model="gables"
        label="Gables"
        :options="[
          { value: 'studs', label: 'Studs' },
          { value: 'notched', label: 'Notched studs' },
          { value: 'raked', label: 'Raked walls' },
          { value: 'open', label: 'Open' },
        ]"
      />
      <template v-if="posts">
        <h3>Sides of posts</h3>
        <ChoiceField v-model="post" label="Posts" :options="sections" />
        <MeasureField path="walls.posts.spacing" :value="bench.design.walls.posts.spacing" />
        <ChoiceField v-model="beam" label="Beam" :options="sections" />
        <ChoiceField
          v-model="joint"
          label="Beams meet"
          :options="[
            { value: 'half-lap', label: 'Half-lapped' },
            { value: 'scarf', label: 'Scarfed' },
          ]"
        />
        <MeasureField path="walls.posts.brace" :value="bench.design.walls.posts.brace" />
      </template>
    </div>
    <template #footer><Button label="Close" @click="open = false" /></template>
  </Dialog>
</template>
