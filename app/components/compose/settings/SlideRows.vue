<script setup lang="ts">
import { mostRows, rowName, rowsFor } from '#core/amounts'
import { isWhere, keyOf, keyWords } from '#core/data'
import { setFields } from '#core/edits'
import { infoOf, type SlideRows } from '#core/model'

/** Whether a slide is there once for each row of a table, and for which of them. */
const store = useDeck()
const where = useWhere()
const tables = useTables()
const list = useTeamTables()
const rows = computed(() => (where.slideId ? store.current.slides[where.slideId]?.rows : undefined))
const table = computed(() => (rows.value ? tables.table(rows.value.table) : undefined))
const found = computed(() => (rows.value && table.value ? rowsFor(rows.value, table.value) : []))
const names = computed(() => found.value.slice(0, 3).map(row => rowName(table.value!, row, infoOf(store.current).language)))
function set(label: string, next: SlideRows | undefined) {
  store.edit(label, setFields(store.current, { table: 'slides', id: where.slideId!, fields: { rows: next } }))
}
/** Sets fields; what is undefined is taken away. */
const change = (fields: { [K in keyof SlideRows]?: SlideRows[K] | undefined }) =>
  set(
    'change the rows of the slide',
    Object.fromEntries(Object.entries({ ...rows.value!, ...fields }).filter(([, value]) => value !== undefined)) as SlideRows,
  )
const columns = computed(() => (table.value?.columns ?? []).filter(column => !isWhere(column)))
const groups = computed(() => columns.value.filter(({ type }) => type !== 'number'))
/** As many values as a slide can name. */
const mostKeys = 1000
const keys = computed(() => {
  const by = groups.value.find(({ name }) => name === rows.value?.where?.column)
  if (!by) return []
  return [...new Map(by.values.map(value => [keyOf(value), value])).entries()].map(([key, value]) => ({
    key,
    label: keyWords(by, value, infoOf(store.current).language) || key,
  }))
})
const said = computed(() => {
  if (!table.value) return tables.lacking(rows.value!.table) || 'Bringing the table…'
  if (!found.value.length) return 'No row of it counts: the slide is not shown.'
  const list3 = names.value.join(', ')
  const more = found.value.length - names.value.length
  const count = found.value.length === 1 ? 'One slide' : `${numberWords(found.value.length)} slides`
  return `${count} when it plays: ${list3}${more > 0 ? ` and ${numberWords(more)} more` : ''}.`
})
</script>

<template>
  <div class="row">
    <span class="label">For each row of</span>
    <ChoiceField
      :model-value="rows?.table ?? null"
      :items="[
        { value: null as string | null, label: 'nothing: once' },
        ...(list ?? []).map(({ id, name }) => ({ value: id as string | null, label: name })),
      ]"
      label="For each row of"
      @update:model-value="
        next => set(next ? 'show the slide for each row' : 'show the slide once', next === null ? undefined : { table: next })
      "
    />
  </div>
  <template v-if="rows">
    <template v-if="table">
      <div class="row">
        <span class="label">Where</span>
        <ChoiceField
          :model-value="rows.where?.column ?? null"
          :items="[
            { value: null as string | null, label: 'all rows' },
            ...groups.map(({ name }) => ({ value: name as string | null, label: name })),
          ]"
          label="Rows where"
          @update:model-value="next => change({ where: next === null ? undefined : { column: next, keys: [] } })"
        />
      </div>
      <p v-if="rows.where && keys.length > mostKeys" class="quiet">
        “{{ rows.where.column }}” has {{ numberWords(keys.length) }} values; a slide can be there for {{ numberWords(mostKeys) }} of them.
        Choose a column with fewer, or only the first rows.
      </p>
      <ToggleList
        v-else-if="rows.where"
        :label="`Where ${rows.where.column} is`"
        :items="keys"
        :chosen="rows.where.keys"
        @choose="chosen => change({ where: { column: rows!.where!.column, keys: chosen } })"
      />
      <div class="row">
        <span class="label">In the order of</span>
        <ChoiceField
          :model-value="rows.order?.column ?? null"
          :items="[
            { value: null as string | null, label: 'the table' },
            ...columns.map(({ name }) => ({ value: name as string | null, label: name })),
          ]"
          label="In the order of"
          @update:model-value="next => change({ order: next === null ? undefined : { column: next, way: rows!.order?.way ?? 'falling' } })"
        />
      </div>
      <div v-if="rows.order" class="row">
        <span class="label">Begins with</span>
        <ChoiceField
          :model-value="rows.order.way"
          :items="choicesOf({ falling: 'the greatest, or Z', rising: 'the least, or A' })"
          label="Begins with"
          @update:model-value="way => change({ order: { column: rows!.order!.column, way } })"
        />
      </div>
      <div class="row">
        <span class="label">At most</span>
        <NumberField
          :model-value="rows.most ?? Math.max(1, Math.min(mostRows, table.columns[0]?.values.length ?? 1))"
          label="At most"
          unit="rows"
          :min="1"
          :max="mostRows"
          :step="1"
          :decimals="0"
          @update:model-value="most => change({ most })"
        />
      </div>
    </template>
    <p class="quiet" role="status">{{ said }} Put what a row has into words with the sign Σ.</p>
  </template>
</template>
