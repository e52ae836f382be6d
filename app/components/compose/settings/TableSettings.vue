<script setup lang="ts">
import type { NumberFormat, TableColumn, TableElement, Theme } from '#core/model'
import type { ShownElement } from '#core/resolved'
import { tableContent } from '#core/tables'

/** A table: where its rows come from, and how each of its columns is shown. */
const props = defineProps<{ element: TableElement & ShownElement; theme: Theme }>()
const emit = defineEmits<{ table: []; edit: [] }>()
const store = useDeck()
const host = useStageHost()
const arranging = useArranging()
const set = (label: string, fields: Partial<TableElement>) => arranging.set(label, fields)
const columns = computed(() => tableContent(props.element, host.host.table) ?? [])
const all = computed(() => (props.element.table ? (host.host.table(props.element.table)?.columns ?? []) : []))
const aligns = { '': 'as it holds', left: 'left', center: 'centred', right: 'right', decimal: 'at the decimal' }
function look(index: number, fields: Partial<TableColumn>) {
  const looks = Array.from({ length: Math.max(index + 1, props.element.looks?.length ?? 0) }, (_, at) => props.element.looks?.[at] ?? null)
  const next = Object.fromEntries(Object.entries({ ...looks[index], ...fields }).filter(([, value]) => value !== undefined))
  looks[index] = Object.keys(next).length ? next : null
  set('set a column of', { looks })
}
const plainFormat: NumberFormat = { decimals: null, scale: 'none', prefix: '', suffix: '' }
const format = (index: number, fields: Partial<NumberFormat>) =>
  look(index, { format: { ...plainFormat, ...props.element.looks?.[index]?.format, ...fields } })
const formatOf = (index: number) => props.element.looks?.[index]?.format
const open = ref(-1)
const show = (name: string, on: boolean) => {
  const now = props.element.columns.length ? props.element.columns : all.value.map(column => column.name)
  set('choose the columns of', {
    columns: on
      ? all.value.map(column => column.name).filter(known => known === name || now.includes(known))
      : now.filter(known => known !== name),
  })
}
</script>

<template>
  <section>
    <div class="row">
      <span class="label">Its rows</span>
      <span class="pair">
        <UButton v-if="!element.table && store.canEdit" size="sm" @click="emit('edit')">Write in its cells</UButton>
        <UButton size="sm" @click="emit('table')">{{ element.table ? 'Other data' : 'From data' }}</UButton>
      </span>
    </div>
    <label class="row">
      <span class="label">Names on top</span>
      <UCheckbox
        :model-value="element.head !== false"
        @update:model-value="on => set('change', { head: on === true ? undefined : false })"
      />
    </label>
    <label class="row">
      <span class="label">Totals</span>
      <UCheckbox :model-value="!!element.totals" @update:model-value="on => set('change', { totals: on === true || undefined })" />
    </label>
    <label class="row">
      <span class="label">Every other row tinted</span>
      <UCheckbox
        :model-value="element.banding !== false"
        @update:model-value="on => set('change', { banding: on === true ? undefined : false })"
      />
    </label>
    <div class="row">
      <span class="label">Lines</span>
      <ChoiceField
        :model-value="element.rules ?? 'rows'"
        :items="[
          { value: 'rows', label: 'between rows' },
          { value: 'grid', label: 'around cells' },
          { value: 'none', label: 'none' },
        ]"
        label="Lines"
        @update:model-value="next => set('change', { rules: next })"
      />
    </div>
    <div class="row">
      <span class="label">Colour</span>
      <ColorField
        :model-value="element.color ?? { role: 'accent1' }"
        :theme="theme"
        label="Colour of the table"
        @update:model-value="color => set('colour', { color: color ?? undefined })"
      />
    </div>
    <div class="row">
      <span class="label">Words at most</span>
      <NumberField
        :model-value="element.size ?? theme.textStyles.body?.size ?? 32"
        label="Words at most"
        unit="px"
        :min="8"
        :max="200"
        @update:model-value="size => set('resize the text of', { size })"
      />
    </div>
    <b class="sub">Columns</b>
    <template v-if="all.length">
      <label v-for="column in all" :key="column.name" class="row">
        <span class="label name">{{ column.name }}</span>
        <UCheckbox
          :model-value="!element.columns.length || element.columns.includes(column.name)"
          :disabled="element.columns.length === 1 && element.columns[0] === column.name"
          @update:model-value="on => show(column.name, on === true)"
        />
      </label>
    </template>
    <div v-for="(column, index) in columns" :key="index" class="column">
      <UButton variant="ghost" size="sm" class="wide" :aria-expanded="open === index" @click="open = open === index ? -1 : index">
        <span class="name">{{ column.name }}</span>
        <span class="quiet">{{ column.type === 'number' ? 'numbers' : column.type === 'date' ? 'days' : 'words' }}</span>
      </UButton>
      <template v-if="open === index">
        <div class="row">
          <span class="label">Vertical</span>
          <ChoiceField
            :model-value="element.looks?.[index]?.align ?? ''"
            :items="choicesOf(aligns)"
            :label="`${column.name} stands`"
            @update:model-value="next => look(index, { align: next || undefined })"
          />
        </div>
        <div class="row">
          <span class="label">Width</span>
          <NumberField
            :model-value="(element.looks?.[index]?.wide ?? 1) * 100"
            :label="`Width of ${column.name}`"
            unit="%"
            :min="20"
            :max="500"
            :step="10"
            @update:model-value="wide => look(index, { wide: wide === 100 ? undefined : wide / 100 })"
          />
        </div>
        <template v-if="column.type === 'number'">
          <div class="row">
            <span class="label">Decimals</span>
            <ChoiceField
              :model-value="formatOf(index)?.decimals ?? ''"
              :items="[{ value: '', label: 'as needed' }, ...asTheyAre([0, 1, 2, 3, 4])]"
              :label="`Decimals of ${column.name}`"
              @update:model-value="next => format(index, { decimals: next === '' ? null : Number(next) })"
            />
          </div>
          <div class="row">
            <span class="label">In</span>
            <ChoiceField
              :model-value="formatOf(index)?.scale ?? 'none'"
              :items="[
                { value: 'none', label: 'full' },
                { value: 'thousands', label: 'thousands' },
                { value: 'millions', label: 'millions' },
                { value: 'percent', label: 'per cent' },
              ]"
              :label="`Scale of ${column.name}`"
              @update:model-value="next => format(index, { scale: next })"
            />
          </div>
          <div class="row">
            <span class="label">Before, after</span>
            <span class="pair">
              <WordsField
                :model-value="formatOf(index)?.prefix ?? ''"
                class="short"
                maxlength="20"
                :aria-label="`Before ${column.name}`"
                @update:model-value="words => format(index, { prefix: words })"
              />
              <WordsField
                :model-value="formatOf(index)?.suffix ?? ''"
                class="short"
                maxlength="40"
                :aria-label="`After ${column.name}`"
                @update:model-value="words => format(index, { suffix: words })"
              />
            </span>
          </div>
        </template>
      </template>
    </div>
    <ShadowField
      :model-value="element.shadow"
      :theme="theme"
      @update:model-value="shadow => arranging.set('set the shadow of', { shadow })"
    />
  </section>
</template>

<style scoped>
.pair {
  display: inline-flex;
  gap: 5px;
}
.sub {
  font-size: 13px;
  color: var(--second);
  margin-top: 6px;
}
.column {
  border-left: 2px solid var(--line);
  padding-left: 6px;
}
.wide {
  width: 100%;
  justify-content: space-between;
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  min-width: 0;
}
.short {
  width: 66px;
}
</style>
