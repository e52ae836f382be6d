<script setup lang="ts">
import { deckTheme } from '#core/model'
import { roleNames, type Color, type Role } from '#core/values'
import { colorsInUse, nearestRole, placesThatStay, replaceColor, turnIntoRole, type ColorUse } from '#core/themes'

/** Every colour in use: those that are no roles first, made roles or replaced everywhere, with a count of what that touches. */
const store = useDeck()
const uses = computed(() => colorsInUse(store.current))
const theme = computed(() => deckTheme(store.current))
const open = ref<string | null>(null)
const to = ref<Color>({ role: 'accent1' })
const key = (use: ColorUse) => use.role ?? use.hex
const from = (use: ColorUse) => (use.role ? { role: use.role } : { hex: use.hex })
const names: Readonly<Record<string, string>> = {
  ground: 'Background',
  ink: 'Ink',
  accent1: 'Accent 1',
  accent2: 'Accent 2',
  accent3: 'Accent 3',
  accent4: 'Accent 4',
  accent5: 'Accent 5',
  accent6: 'Accent 6',
  link: 'Link',
}
const own = computed(() => uses.value.filter(use => use.role === null))
function begin(use: ColorUse) {
  open.value = key(use)
  to.value = use.role ? { role: use.role === 'accent1' ? 'accent2' : 'accent1' } : { role: nearestRole(use.hex, store.current).role }
}
const places = (use: ColorUse) => {
  const byPlace = new Map<string, number>()
  for (const place of use.places) byPlace.set(place.where, (byPlace.get(place.where) ?? 0) + 1)
  return [...byPlace]
}
/** Of the colour that is open: how many of its places cannot take what is chosen. */
const staying = computed(() => {
  const use = uses.value.find(one => key(one) === open.value)
  return use ? placesThatStay(store.current, { from: from(use), to: to.value }) : 0
})
const words = (color: Color) => ('role' in color ? names[color.role]! : color.hex)
function replace(use: ColorUse) {
  store.edit(
    `replace ${use.role ? names[use.role] : use.hex} by ${words(to.value)}`,
    replaceColor(store.current, { from: from(use), to: to.value }),
  )
  open.value = null
}
function makeRole(use: ColorUse, role: Role) {
  store.edit(`make ${use.hex} ${names[role]!.toLowerCase()}`, turnIntoRole(store.current, { hex: use.hex, role }))
  open.value = null
}
</script>

<template>
  <div class="desk own">
    <p class="quiet">
      {{
        own.length
          ? `${own.length} ${own.length === 1 ? 'colour is a value' : 'colours are values'} of their own and do not follow the palette.`
          : 'Every colour in this deck is a role of the palette.'
      }}
    </p>
    <div v-for="use in uses" :key="key(use)" class="use" :class="{ open: open === key(use) }">
      <div class="line">
        <i :style="{ background: use.hex }" />
        <b>{{ use.role ? names[use.role] : use.hex }}</b>
        <span class="quiet amount">{{ use.count ? `${use.count} ${use.count === 1 ? 'place' : 'places'}` : 'on no slide' }}</span>
        <UButton v-if="store.canEdit" size="sm" @click="open === key(use) ? (open = null) : begin(use)">
          {{ open === key(use) ? 'Close' : 'Replace' }}
        </UButton>
      </div>
      <div v-if="open === key(use)" class="more">
        <div class="row">
          <span class="label">by</span>
          <ColorField :model-value="to" :theme="theme" label="Replace by" @update:model-value="color => color && (to = color)" />
        </div>
        <ul>
          <li v-for="[where, count] in places(use)" :key="where">
            <span>{{ where }}</span>
            <span class="amount quiet">{{ count }}</span>
          </li>
        </ul>
        <UButton color="primary" variant="solid" size="sm" @click="replace(use)">
          {{ use.count ? `Replace in ${use.count - staying} ${use.count - staying === 1 ? 'place' : 'places'}` : 'Replace' }}
        </UButton>
        <p v-if="staying" class="quiet">
          {{ staying }} {{ staying === 1 ? 'diagram is' : 'diagrams are' }} drawn in accents of the palette alone and
          {{ staying === 1 ? 'stays' : 'stay' }}.
        </p>
        <label v-if="use.role === null" class="turn">
          or make it the role
          <ChoiceField
            :items="roleNames.map(role => ({ value: role, label: names[role] ?? role }))"
            placeholder="choose"
            @update:model-value="next => makeRole(use, next)"
          />
        </label>
      </div>
    </div>
  </div>
</template>

<style scoped>
div.desk.own {
  gap: 4px;
}
.use {
  border-top: 1px solid var(--line);
  padding: 7px 0;
}
.line {
  display: flex;
  align-items: center;
  gap: 9px;
}
.line b {
  flex: 1;
  font-weight: 600;
}
.line i {
  width: 20px;
  height: 20px;
  border-radius: 50%;
  border: 1px solid var(--line);
}
.more {
  padding: 8px 0 4px 29px;
  display: flex;
  flex-direction: column;
  gap: 8px;
  align-items: flex-start;
}
.more .row {
  width: 100%;
  justify-content: flex-start;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  width: 100%;
  max-height: 180px;
  overflow-y: auto;
  font-size: 13px;
}
li {
  display: flex;
  justify-content: space-between;
  padding: 2px 0;
}
.turn {
  font-size: 13px;
  color: var(--second);
}
</style>
