<script setup lang="ts">
/** What was taken, as one line through the columns: it leans over between two rows where the column changes. */
const props = defineProps<{
  /** Column of each row. */
  columns: readonly number[]
  /** Of the columns’ lines, px from the left. */
  across: readonly number[]
  row: number
}>()
const bend = 12
const height = computed(() => props.columns.length * props.row)
const middle = (row: number) => (row + 0.5) * props.row
const path = computed(() => {
  const { columns, across, row } = props
  let made = ''
  columns.forEach((column, index) => {
    const x = across[column]!
    const before = index ? across[columns[index - 1]!]! : x
    if (!index) made += `M${x} ${middle(0)}`
    else if (x === before) made += `V${middle(index)}`
    else {
      const [edge, way] = [index * row, Math.sign(x - before) * bend]
      made += `V${edge - bend}Q${before} ${edge} ${before + way} ${edge}H${x - way}Q${x} ${edge} ${x} ${edge + bend}V${middle(index)}`
    }
  })
  return made
})
</script>

<template>
  <svg class="thread" :height="height" aria-hidden="true">
    <line v-for="x in across" :key="x" class="way" :x1="x" :x2="x" :y1="row / 2" :y2="height - row / 2" />
    <path :d="path" />
  </svg>
</template>

<style scoped>
.thread {
  position: absolute;
  left: 0;
  top: 0;
  width: 100%;
  pointer-events: none;
}
.way {
  stroke: var(--line);
  stroke-width: 2;
  stroke-dasharray: 2 4;
}
path {
  fill: none;
  stroke: var(--act);
  stroke-width: 3;
  stroke-linejoin: round;
}
</style>
