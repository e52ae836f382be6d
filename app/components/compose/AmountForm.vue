<script setup lang="ts">
import { amountIn, findingNamed, findings, shownRow } from '#core/amounts'
import { isWhere, keyWords } from '#core/data'
import { infoOf, type Amount, type AmountFinding } from '#core/model'

/** Says which number of which table stands in a text, with what it is now. */
const props = defineProps<{ of: Amount | null }>()
const emit = defineEmits<{ put: [words: string, of: Amount]; free: [] }>()
const store = useDeck()
const where = useWhere()
const tables = useTables()
const language = computed(() => infoOf(store.current).language)
const list = useTeamTables()

const plain: Amount['format'] = { decimals: null, scale: 'none', prefix: '', suffix: '' }
const rows = computed(() => (where.slideId ? (store.current.slides[where.slideId]?.rows ?? null) : null))
const wish = ref<Omit<Amount, 'table'> & { table: string | null }>(
  props.of ?? { table: rows.value?.table ?? null, column: null, find: rows.value ? 'row' : 'sum', format: plain },
)
const table = computed(() => (wish.value.table ? tables.table(wish.value.table) : undefined))
const choices = computed(() => {
  const known = list.value ?? []
  const own = wish.value.table
  // A table that is none of the team’s any more is still the one that was chosen.
  return own && !known.some(({ id }) => id === own) ? [{ id: own, name: table.value?.name ?? own }, ...known] : known
})
const finding = computed(() => findingNamed(wish.value.find))
/** So many values a list offers; where there are more it is said. */
const mostValues = 2000
/** Columns that it can be of: those of numbers, and of a row any. */
const columns = computed(() =>
  (table.value?.columns ?? []).filter(
    column => !isWhere(column) && !column.open && (wish.value.find === 'row' || column.type === 'number'),
  ),
)
const column = computed(() => columns.value.find(({ name }) => name === wish.value.column) ?? columns.value[0] ?? null)
const filters = computed(() => (table.value?.columns ?? []).filter(({ type, kind }) => type !== 'number' && kind !== 'outline'))
const values = computed(() => {
  const by = filters.value.find(({ name }) => name === wish.value.where?.column)
  return by ? [...new Set(by.values)].flatMap(value => (value === null ? [] : [String(value)])) : []
})
const offered = computed(() => values.value.slice(0, mostValues))
const amount = computed<Amount | null>(() => {
  const { table: id, column: _, where: rule, ...rest } = wish.value
  if (!id || (!column.value && rest.find !== 'count')) return null
  return { ...rest, table: id, column: rest.find === 'count' ? null : column.value!.name, ...(rule?.key ? { where: rule } : {}) }
})
const now = computed(() => {
  if (!amount.value || !table.value) return null
  const row = where.slideId ? shownRow(store.current, where.slideId, id => tables.table(id)) : null
  return amountIn(amount.value, table.value, language.value, row?.table === amount.value.table ? row.row : null)
})
const set = (fields: Partial<Amount>) => {
  wish.value = Object.fromEntries(
    Object.entries({ ...wish.value, ...fields }).filter(([, value]) => value !== undefined),
  ) as typeof wish.value
}
const setFormat = (fields: Partial<Amount['format']>) => set({ format: { ...wish.value.format, ...fields } })
const says = computed(() => (wish.value.words ? 'words' : (wish.value.sign ?? 'plain')))
const ways = { plain: 'with a minus alone', always: 'with plus or minus', never: 'without a sign', words: 'in words' } as const
const usual = { more: 'rose', less: 'fell', same: 'stayed the same' }
function say(way: keyof typeof ways) {
  set({ words: way === 'words' ? usual : undefined, sign: way === 'always' || way === 'never' ? way : undefined })
}
const scales = { none: 'in full', auto: 'by size', thousands: 'in k', millions: 'in M', percent: 'as %' } as const
</script>

<template>
  <form class="amount-form" @submit.prevent="amount && now && emit('put', now.words, amount)">
    <p v-if="list && !choices.length" class="quiet">There are no tables yet. Upload one under Data.</p>
    <label class="row">
      <span class="label">Of the table</span>
      <ChoiceField
        :model-value="wish.table"
        :items="choices.map(({ id, name }) => ({ value: id as string | null, label: name }))"
        label="Table"
        placeholder="choose one"
        @update:model-value="next => set({ table: next ?? undefined, column: null, where: undefined })"
      />
    </label>
    <template v-if="table">
      <label class="row">
        <span class="label">Say</span>
        <ChoiceField
          :model-value="wish.find"
          :items="
            findings.filter(one => one.name !== 'row' || rows?.table === wish.table).map(one => ({ value: one.name, label: one.label }))
          "
          label="What it says"
          @update:model-value="next => set({ find: next as AmountFinding })"
        />
      </label>
      <label v-if="wish.find !== 'count'" class="row">
        <span class="label">Column</span>
        <ChoiceField
          :model-value="column?.name ?? null"
          :items="columns.map(({ name }) => ({ value: name as string | null, label: name }))"
          label="Column"
          placeholder="no column of numbers"
          @update:model-value="next => set({ column: next })"
        />
      </label>
      <label v-if="wish.find !== 'row' && filters.length" class="row">
        <span class="label">Of rows where</span>
        <ChoiceField
          :model-value="wish.where?.column ?? null"
          :items="[
            { value: null as string | null, label: 'all rows' },
            ...filters.map(({ name }) => ({ value: name as string | null, label: name })),
          ]"
          label="Rows where"
          @update:model-value="next => set({ where: next === null ? undefined : { column: next, key: '' } })"
        />
      </label>
      <label v-if="wish.where" class="row">
        <span class="label">is</span>
        <ChoiceField
          :model-value="wish.where.key || null"
          :items="
            offered.map(value => ({
              value: value as string | null,
              label: keyWords(
                filters.find(({ name }) => name === wish.where?.column)!,
                value,
                'en',
              ),
            }))
          "
          label="The value"
          placeholder="choose one"
          @update:model-value="next => set({ where: { column: wish.where!.column, key: next ?? '' } })"
        />
      </label>
      <p v-if="wish.where && values.length > offered.length" class="quiet">
        {{ numberWords(values.length) }} values; the first {{ numberWords(offered.length) }} are offered.
      </p>
      <template v-if="now?.value != null">
        <label v-if="finding.isChange" class="row">
          <span class="label">Written</span>
          <ChoiceField :model-value="says" :items="choicesOf(ways)" label="Written" @update:model-value="say" />
        </label>
        <template v-if="wish.words">
          <label v-for="(label, key) in { more: 'Where it rose', less: 'Where it fell', same: 'Else' }" :key="key" class="row">
            <span class="label">{{ label }}</span>
            <WordsField
              :model-value="wish.words[key]"
              :aria-label="label"
              maxlength="80"
              @update:model-value="words => set({ words: { ...wish.words!, [key]: words } })"
            />
          </label>
        </template>
        <label v-else-if="!finding.isShare" class="row">
          <span class="label">Number</span>
          <ChoiceField
            :model-value="wish.format.scale"
            :items="choicesOf(scales)"
            label="Scale"
            @update:model-value="next => setFormat({ scale: next })"
          />
        </label>
        <label v-if="!wish.words" class="row">
          <span class="label">Decimals</span>
          <ChoiceField
            :model-value="String(wish.format.decimals)"
            :items="[{ value: 'null', label: 'as needed' }, ...[0, 1, 2, 3].map(count => ({ value: String(count), label: count }))]"
            label="Decimals"
            @update:model-value="next => setFormat({ decimals: next === 'null' ? null : Number(next) })"
          />
        </label>
      </template>
      <p class="now" role="status">
        <template v-if="now">
          Now:
          <b>{{ now.words }}</b>
        </template>
        <template v-else>Nothing in this table says that.</template>
      </p>
    </template>
    <span class="pair">
      <UButton type="submit" color="primary" variant="solid" size="sm" :disabled="!now">{{ of ? 'Change it' : 'Put it in' }}</UButton>
      <UButton v-if="of" size="sm" @click="emit('free')">Keep as plain words</UButton>
    </span>
  </form>
</template>

<style scoped>
.amount-form {
  display: flex;
  flex-direction: column;
  gap: 4px;
  width: 340px;
  padding: 12px;
}
.now {
  margin: 4px 0;
  overflow-wrap: anywhere;
}
.pair {
  display: flex;
  gap: 6px;
}
</style>
