<script setup lang="ts">
import { restackTo, setFields, topsOf } from '#core/edits'
import { fieldLimits } from '#core/model'
import { groupsAround, listedByGroup, type ShownElement, shownElements } from '#core/resolved'
import type { Id } from '#core/values'
import { departureOf } from '#core/themes'

/** What stands on the slide, front at top, groups with what is in them: dragged to restack, named, hidden, locked. */
const store = useDeck()
const where = useWhere()
const selected = useSelected()
const stage = useStage()
const arranging = useArranging()
const parts = computed(() => (stage.deck && where.stageId ? shownElements(stage.deck, where.stageId, true) : []))
const pinned = computed(() => parts.value.filter(element => element.pinned).reverse())
const folded = ref(new Set<Id>())
/** The rows, front first, each group above what is in it. */
const rows = computed(() =>
  listedByGroup(
    parts.value.filter(element => !element.pinned),
    folded.value,
  ),
)
const naming = ref<string | null>(null)
function fold(id: Id) {
  const next = new Set(folded.value)
  if (!next.delete(id)) next.add(id)
  folded.value = next
}
function select(event: MouseEvent, element: ShownElement) {
  const around = groupsAround(store.current, element.id)
  stage.opened = around.at(-1) ?? null
  if (event.shiftKey && selected.elements.length) {
    const ids = rows.value.map(row => row.element.id)
    const [from, to] = [ids.indexOf(selected.elements.at(-1)!), ids.indexOf(element.id)].sort((a, b) => a - b)
    return selected.select(...topsOf(store.current, ids.slice(from, to! + 1)))
  }
  if (event.ctrlKey || event.metaKey) return selected.toggle(element.id)
  selected.select(element.id)
}
const rename = (element: ShownElement, name: string) =>
  store.edit(`rename ${element.name}`, setFields(store.current, { table: 'elements', id: element.id, fields: { name } }))
const { menuOf, among, isHidden, isLocked, hide, lock } = useElementMenu()

const dragged = ref<readonly Id[]>([])
const over = ref<{ id: Id; where: 'front' | 'behind' | 'into' } | null>(null)
function dragStart(event: DragEvent, element: ShownElement) {
  dragged.value = topsOf(store.current, among(element.id))
  event.dataTransfer!.effectAllowed = 'move'
  event.dataTransfer!.setData('application/x-hailbank-parts', dragged.value.join())
}
function dragOver(event: DragEvent, element: ShownElement) {
  if (
    !dragged.value.length ||
    dragged.value.includes(element.id) ||
    groupsAround(store.current, element.id).some(id => dragged.value.includes(id))
  )
    return
  event.preventDefault()
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
  const share = (event.clientY - box.top) / box.height
  over.value = {
    id: element.id,
    where: element.kind === 'group' && share > 0.28 && share < 0.72 ? 'into' : share < 0.5 ? 'front' : 'behind',
  }
}
function drop() {
  if (over.value && dragged.value.length)
    store.edit(
      `restack ${arranging.nameOf(dragged.value)}`,
      restackTo(store.current, { elements: dragged.value, target: over.value.id, where: over.value.where }),
    )
  dragged.value = []
  over.value = null
}
const menu = (element: ShownElement) =>
  menuOf(element, [
    { label: 'Rename', icon: 'i-lucide-pencil', kbds: ['F2'], onSelect: () => afterMenu(() => void (naming.value = element.id)) },
  ])
const menuById = (id: Id) => {
  const element = parts.value.find(one => one.id === id)
  return element ? menu(element) : []
}
</script>

<template>
  <div class="parts">
    <div class="head">
      <b>{{ where.lookOwner ? (store.current.layouts[where.lookOwner] ? 'On this layout' : 'On this master') : 'On this slide' }}</b>
      <span class="quiet">front at top</span>
    </div>
    <VariantBar v-if="!where.lookOwner" />
    <RightMenu :menu-of="menuById" @ask="id => selected.elements.includes(id) || selected.select(id)">
      <ul
        @drop.prevent="drop"
        @dragend="
          () => {
            dragged = []
            over = null
          }
        "
      >
        <li
          v-for="{ element, depth } in rows"
          :key="element.id"
          :class="[{ here: selected.elements.includes(element.id), faint: isHidden(element.id) }, over?.id === element.id && over.where]"
          :style="{ paddingLeft: `${depth * 14}px` }"
          :draggable="store.canEdit && !where.isForm && naming !== element.id"
          :data-row="element.name"
          :data-menu="element.id"
          @dragstart="dragStart($event, element)"
          @dragover="dragOver($event, element)"
        >
          <RenameField
            v-if="naming === element.id"
            :model-value="element.name"
            v-bind="fieldLimits('elements', 'name')"
            :aria-label="`Name of ${element.name}`"
            @rename="name => rename(element, name)"
            @done="naming = null"
          />
          <template v-else>
            <UButton
              v-if="element.kind === 'group'"
              variant="bare"
              class="fold"
              :aria-label="folded.has(element.id) ? `Show what is in ${element.name}` : `Fold ${element.name}`"
              :aria-expanded="!folded.has(element.id)"
              @click="fold(element.id)"
            >
              <UIcon :name="folded.has(element.id) ? 'i-lucide-chevron-right' : 'i-lucide-chevron-down'" />
            </UButton>
            <UButton
              variant="bare"
              class="part"
              :aria-pressed="selected.elements.includes(element.id)"
              @click="select($event, element)"
              @dblclick="store.canEdit && (naming = element.id)"
              @keydown.f2.prevent="store.canEdit && (naming = element.id)"
            >
              <span class="name">{{ element.name }}</span>
              <span
                v-if="departureOf(store.current, element.id)"
                class="differs"
                title="Differs from its text style"
                aria-label="differs from its style"
              />
              <span class="quiet">{{ element.kind }}</span>
            </UButton>
            <UButton
              v-if="isLocked(element.id)"
              variant="bare"
              class="state"
              :aria-label="`Unlock ${element.name}`"
              title="Locked"
              :disabled="!store.canEdit"
              @click="lock(element.id)"
            >
              <UIcon name="i-lucide-lock" />
            </UButton>
            <UButton
              v-if="isHidden(element.id) || selected.elements.includes(element.id)"
              variant="bare"
              class="state"
              :aria-label="`${isHidden(element.id) ? 'Show' : 'Hide'} ${element.name}`"
              :title="isHidden(element.id) ? 'Hidden' : 'Shown'"
              :disabled="!store.canEdit"
              @click="hide(element.id)"
            >
              <UIcon :name="isHidden(element.id) ? 'i-lucide-eye-off' : 'i-lucide-eye'" />
            </UButton>
            <UDropdownMenu v-if="store.canEdit" :items="menu(element)">
              <UButton
                variant="ghost"
                size="sm"
                class="more"
                icon="i-lucide-ellipsis-vertical"
                :aria-label="`What to do with ${element.name}`"
              />
            </UDropdownMenu>
          </template>
        </li>
      </ul>
    </RightMenu>
    <p v-if="!rows.length" class="quiet">Nothing yet. Add something above the stage, or drop a file on it.</p>
    <template v-if="pinned.length">
      <b class="sub">From the master</b>
      <ul>
        <li v-for="element in pinned" :key="element.id" class="pinned quiet">
          <span class="name">{{ element.name }}</span>
          <span>pinned</span>
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.differs {
  width: 7px;
  height: 7px;
  border-radius: 50%;
  background: var(--now);
  flex: none;
  align-self: center;
}
.head {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  font-size: 13px;
  padding: 0 6px 4px;
}
@media (max-width: 1150px) {
  .head .quiet {
    display: none;
  }
}
.head b,
.sub {
  color: var(--second);
  font-weight: 600;
  font-size: 13px;
}
.sub {
  display: block;
  padding: 14px 6px 4px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  align-items: center;
  border-radius: 7px;
  border-left: 3px solid transparent;
  position: relative;
}
li.here {
  background: var(--act-wash);
  border-left-color: var(--act);
}
li.faint .name {
  opacity: 0.55;
}
li.into {
  box-shadow: inset 0 0 0 2px var(--act);
}
li.front::before,
li.behind::before {
  content: '';
  position: absolute;
  left: 0;
  right: 0;
  height: 2px;
  background: var(--act);
}
li.front::before {
  top: -1px;
}
li.behind::before {
  bottom: -1px;
}
.part {
  flex: 1;
  min-width: 0;
  display: flex;
  justify-content: space-between;
  gap: 8px;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  padding: 5px 4px 5px 6px;
  text-align: left;
  cursor: pointer;
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.part .quiet {
  font-size: 12.5px;
  flex: none;
}
.fold,
.state,
.pinned {
  justify-content: space-between;
  padding: 4px 9px;
  font-size: 13px;
  gap: 8px;
}
p {
  padding: 4px 6px;
}
</style>
