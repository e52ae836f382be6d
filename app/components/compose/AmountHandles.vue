<script setup lang="ts">
import { setFields } from '#core/edits'
import type { ShownElement } from '#core/resolved'
import { centerOf, turn } from '#core/place'
import { amountsIn, shapeNamed, type Amount } from '#core/shapes'

/** Handles for what varies in a shape, or in the frame of a picture: a corner, a head, a depth. */
const props = defineProps<{ element: ShownElement }>()
const store = useDeck()
const stage = useStage()

const now = computed(() => ({ ...props.element, ...stage.tries[props.element.id] }) as ShownElement)
/** What has the amounts: the shape itself, or the frame. */
const shaped = computed(() => (now.value.kind === 'shape' ? now.value : now.value.kind === 'picture' ? now.value.frame : undefined))
const size = computed(() => ({ width: now.value.box.width, height: now.value.box.height }))
const amounts = computed(() => (shaped.value ? amountsIn(shaped.value, size.value) : {}))
const varying = computed(() =>
  shaped.value ? (shapeNamed(shaped.value.shape).amounts ?? []).filter(amount => amount.at && amount.read) : [],
)
const spot = (amount: Amount) => {
  const at = amount.at!(amounts.value[amount.name] ?? amount.initial, size.value, amounts.value)
  const { box } = now.value
  return turn({ x: box.x + at.x * box.width, y: box.y + at.y * box.height }, centerOf(box), box.angle)
}
/** Amounts whose handles stand on one spot (a tail’s place across and down) are dragged as one. */
const grips = computed(() => {
  const made: Amount[][] = []
  for (const amount of varying.value) {
    const at = spot(amount)
    const same = made.find(([other]) => {
      const there = spot(other!)
      return Math.hypot(there.x - at.x, there.y - at.y) < 0.5
    })
    if (same) same.push(amount)
    else made.push([amount])
  }
  return made
})
function press(event: PointerEvent, together: readonly Amount[]) {
  if (event.button !== 0) return
  event.preventDefault()
  const { box } = props.element
  followPointer(
    event,
    move => {
      const local = turn(stage.point(move), centerOf(box), -box.angle)
      const made: Record<string, number> = { ...shaped.value?.amounts }
      for (const amount of together) {
        const read = amount.read!({ x: (local.x - box.x) / box.width, y: (local.y - box.y) / box.height }, size.value, amounts.value)
        made[amount.name] = Math.min(amount.max, Math.max(amount.min, amount.whole ? Math.round(read) : Math.round(read * 1000) / 1000))
      }
      stage.tries = {
        [props.element.id]: props.element.kind === 'picture' ? { frame: { ...props.element.frame!, amounts: made } } : { amounts: made },
      }
    },
    given => {
      const tried = stage.tries[props.element.id]
      stage.forgetTried()
      if (given && tried)
        store.edit(`shape ${props.element.name}`, setFields(store.current, { table: 'elements', id: props.element.id, fields: tried }))
    },
  )
}
</script>

<template>
  <div class="amounts">
    <span
      v-for="together in grips"
      :key="together[0]!.name"
      class="amount-handle"
      :title="together[0]!.label"
      :data-amount="together[0]!.name"
      :style="{
        left: `${spot(together[0]!).x}px`,
        top: `${spot(together[0]!).y}px`,
        transform: `translate(-50%,-50%) scale(${1 / stage.scale}) rotate(45deg)`,
      }"
      @pointerdown.stop="press($event, together)"
    />
  </div>
</template>

<style scoped>
.amounts {
  position: absolute;
  inset: 0;
  pointer-events: none;
}
.amount-handle {
  position: absolute;
  width: 11px;
  height: 11px;
  border: 1.5px solid #7a4f0d;
  background: #e6a037;
  border-radius: 2px;
  pointer-events: auto;
  cursor: pointer;
  touch-action: none;
}
.amount-handle::after {
  content: '';
  position: absolute;
  inset: -5px;
}
</style>
