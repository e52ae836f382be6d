<script setup lang="ts">
import { infoOf, fieldLimits, layoutsOf, mastersOf } from '#core/model'
import { setFields } from '#core/edits'
import { addLayout, duplicateLayout, duplicateMaster, removeLayout, removeMaster, slidesOfLayout } from '#core/themes'

/** Masters with their layouts: chosen to be edited on the stage, named, duplicated, removed. */
const store = useDeck()
const where = useWhere()
const selected = useSelected()
const context = { id: freshId }
const masters = computed(() =>
  mastersOf(store.current).map(master => ({
    master,
    layouts: layoutsOf(store.current)
      .filter(layout => layout.master === master.id)
      .map(layout => ({ layout, slides: slidesOfLayout(store.current, layout.id) })),
  })),
)
const removing = ref<{ kind: 'layout' | 'master'; id: string; heir: string } | null>(null)
const naming = ref<string | null>(null)
const put = (changes: Parameters<typeof store.edit>[1]) =>
  changes.find(change => change.do === 'put' && (change.table === 'layouts' || change.table === 'masters'))
function edit(label: string, changes: Parameters<typeof store.edit>[1]) {
  store.edit(label, changes)
  const made = put(changes)
  if (made?.do === 'put') open(made.record.id)
}
function open(id: string) {
  selected.select()
  where.lookOwner = id
}
const rename = (table: 'layouts' | 'masters', id: string, name: string) =>
  store.edit(`rename a ${table === 'layouts' ? 'layout' : 'master'}`, setFields(store.current, { table, id, fields: { name } }))
const others = computed(() => {
  const one = removing.value
  if (!one) return []
  return one.kind === 'layout'
    ? layoutsOf(store.current).filter(layout => layout.id !== one.id)
    : mastersOf(store.current).filter(master => master.id !== one.id)
})
const slideNumbers = (layout: string) => slidesOfLayout(store.current, layout).map(slide => store.slides.indexOf(slide) + 1)
function beginRemoving(kind: 'layout' | 'master', id: string) {
  removing.value = { kind, id, heir: '' }
  removing.value.heir = others.value[0]?.id ?? ''
}
function remove() {
  const one = removing.value
  if (!one) return
  if (one.kind === 'layout') store.edit('remove a layout', removeLayout(store.current, { layout: one.id, heir: one.heir }, context))
  else store.edit('remove a master', removeMaster(store.current, { master: one.id, heir: one.heir }))
  removing.value = null
}
const menu = (kind: 'layout' | 'master', id: string) => [
  [
    {
      label: 'Rename',
      icon: 'i-lucide-pencil',
      onSelect: () =>
        afterMenu(() => {
          naming.value = id
        }),
    },
    {
      label: 'Duplicate',
      icon: 'i-lucide-copy',
      onSelect: () =>
        edit(
          `duplicate a ${kind}`,
          kind === 'layout'
            ? duplicateLayout(store.current, { layout: id }, context)
            : duplicateMaster(store.current, { master: id }, context),
        ),
    },
    ...(kind === 'master'
      ? [
          {
            label: 'New layout on it',
            icon: 'i-lucide-plus',
            onSelect: () => edit('add a layout', addLayout(store.current, { master: id, name: 'New layout' }, context)),
          },
        ]
      : []),
    { label: 'Remove', icon: 'i-lucide-trash-2', onSelect: () => beginRemoving(kind, id) },
  ],
]
function menuById(id: string) {
  const [kind, record] = id.split(' ') as ['layout' | 'master', string]
  return store.canEdit ? menu(kind, record) : []
}
const ratio = computed(() => infoOf(store.current).size.height / infoOf(store.current).size.width)
onMounted(() => {
  if (!where.lookOwner) open(masters.value[0]?.master.id ?? '')
})
onBeforeUnmount(() => {
  where.lookOwner = null
  selected.select()
})
const bodyOf = computed(() => (removing.value?.kind === 'layout' ? slideNumbers(removing.value.id) : []))
</script>

<template>
  <div class="desk own">
    <RightMenu :menu-of="menuById">
      <div v-for="{ master, layouts } in masters" :key="master.id" class="master">
        <div class="line" :data-menu="`master ${master.id}`">
          <RenameField
            v-if="naming === master.id"
            :model-value="master.name"
            v-bind="fieldLimits('masters', 'name')"
            aria-label="Name of the master"
            @rename="name => rename('masters', master.id, name)"
            @done="naming = null"
          />
          <UButton v-else variant="bare" class="name" :class="{ on: where.lookOwner === master.id }" @click="open(master.id)">
            <b>{{ master.name }}</b>
            <span class="quiet">on every slide of {{ layouts.length }} {{ layouts.length === 1 ? 'layout' : 'layouts' }}</span>
          </UButton>
          <UDropdownMenu v-if="store.canEdit" :items="menu('master', master.id)">
            <UButton
              variant="ghost"
              size="sm"
              class="more"
              icon="i-lucide-ellipsis"
              :aria-label="`What to do with master ${master.name}`"
            />
          </UDropdownMenu>
        </div>
        <div class="layouts" @keydown="walkGrid($event, '.shot')">
          <div
            v-for="{ layout, slides } in layouts"
            :key="layout.id"
            class="layout"
            :class="{ on: where.lookOwner === layout.id }"
            :data-menu="`layout ${layout.id}`"
          >
            <UButton variant="bare" class="shot" :aria-label="`Edit layout ${layout.name}`" @click="open(layout.id)">
              <NearThumb :deck="store.deck" :slide="layout.id" :width="118" :ratio="ratio" prompts />
            </UButton>
            <div class="line small">
              <RenameField
                v-if="naming === layout.id"
                :model-value="layout.name"
                v-bind="fieldLimits('layouts', 'name')"
                aria-label="Name of the layout"
                @rename="name => rename('layouts', layout.id, name)"
                @done="naming = null"
              />
              <span v-else class="words">
                <b>{{ layout.name }}</b>
                <span class="quiet">{{ slides.length ? `${slides.length} ${slides.length === 1 ? 'slide' : 'slides'}` : 'unused' }}</span>
              </span>
              <UDropdownMenu v-if="store.canEdit" :items="menu('layout', layout.id)">
                <UButton
                  variant="ghost"
                  size="sm"
                  class="more"
                  icon="i-lucide-ellipsis"
                  :aria-label="`What to do with layout ${layout.name}`"
                />
              </UDropdownMenu>
            </div>
          </div>
        </div>
      </div>
    </RightMenu>
    <ProposedLayouts />
    <UModal
      :open="!!removing"
      :title="removing?.kind === 'master' ? 'Remove this master' : 'Remove this layout'"
      description="It can be undone"
      @update:open="value => !value && (removing = null)"
    >
      <template #body>
        <template v-if="removing">
          <p v-if="!others.length">It is the last one, so it stays.</p>
          <template v-else>
            <p v-if="removing.kind === 'layout'">
              {{
                bodyOf.length
                  ? `${bodyOf.length === 1 ? 'Slide' : 'Slides'} ${listWords(bodyOf)} ${bodyOf.length === 1 ? 'uses' : 'use'} it.`
                  : 'No slide uses it.'
              }}
            </p>
            <label v-if="removing.kind === 'master' || bodyOf.length" class="heir">
              {{ removing.kind === 'master' ? 'Its layouts go to' : 'They go to' }}
              <ChoiceField
                v-model="removing.heir"
                :items="others.map(one => ({ value: one.id, label: one.name }))"
                :label="removing.kind === 'master' ? 'Its layouts go to' : 'They go to'"
              />
            </label>
          </template>
        </template>
      </template>
      <template #footer>
        <UButton @click="removing = null">Cancel</UButton>
        <UButton color="primary" variant="solid" :disabled="!others.length" @click="remove">Remove it</UButton>
      </template>
    </UModal>
  </div>
</template>

<style scoped>
div.desk.own {
  gap: 16px;
}
.line {
  display: flex;
  align-items: center;
  gap: 4px;
}
.name {
  flex: 1;
  text-align: left;
  border: 1px solid transparent;
  background: none;
  color: var(--ink);
  border-radius: 8px;
  padding: 6px 8px;
  cursor: pointer;
  font: inherit;
  display: flex;
  flex-direction: column;
}
.name .quiet {
  font-size: 13px;
}
.name:hover {
  background: var(--act-wash);
}
.name.on {
  border-color: var(--act);
  background: var(--act-wash);
}
.layouts {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(122px, 1fr));
  gap: 10px;
  padding: 8px 0 0 4px;
}
.shot {
  display: block;
  border: 1.5px solid var(--line);
  border-radius: 7px;
  padding: 0;
  overflow: hidden;
  cursor: pointer;
  background: none;
  width: fit-content;
}
.layout.on .shot {
  border-color: var(--act);
  box-shadow: 0 0 0 1px var(--act);
}
.words {
  flex: 1;
  min-width: 0;
  font-size: 12.5px;
  display: flex;
  flex-direction: column;
}
.words b {
  font-weight: 500;
  line-height: 1.25;
  overflow-wrap: anywhere;
}
.small [data-slot='root'] {
  width: 96px;
}
.heir {
  display: flex;
  flex-direction: column;
  gap: 4px;
  color: var(--second);
}
</style>
